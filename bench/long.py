"""The long form of every test, and the tests that only run long: how many, and for how long."""

import subprocess
import sys
import time

from invelo.runtime.settings import ROOT


def run() -> dict[str, dict[str, float]]:
    """Run them by the command that a contributor calls.

    Raises:
        SystemExit: if one fails; its words are on the terminal.
    """
    began = time.monotonic()
    ended = subprocess.call([sys.executable, "-m", "invelo", "test", "--long"], cwd=ROOT)
    if ended:
        raise SystemExit(ended)
    return {"tests at full length": {"minutes": (time.monotonic() - began) / 60}}
