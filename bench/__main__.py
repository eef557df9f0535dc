"""All ratios in one run: a table on the terminal, JSON to the file named (or .local/bench.json)."""

import json
import sys
from pathlib import Path

from bench import bridges, closure, loads, long, service, slider, statics, week
from invelo.runtime.settings import ROOT


def main() -> None:
    """Measure, print, keep."""
    path = Path(sys.argv[1]) if len(sys.argv) > 1 else ROOT / ".local" / "bench.json"
    results = {
        **bridges.run(),
        **loads.run(),
        **statics.run(),
        **closure.run(),
        **service.run(),
        **slider.run(),
        **week.run(),
        **long.run(),
    }
    for name, figures in results.items():
        print(name)
        for what, value in figures.items():
            print(f"  {what:24} {value:12,.1f}")
    path.parent.mkdir(parents=True, exist_ok=True)
    path.write_text(json.dumps(results, indent=2) + "\n")
    print(f"kept in {path}")


main()
