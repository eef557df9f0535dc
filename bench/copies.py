"""How many fields are copied by hand from one look-alike to another of the same name.

    python -m bench.copies [FOLDER ...]

Counts `Thing(name=other.name, …)` in the source, by module: what a derived schema would say once.
"""

import ast
import sys
from collections import Counter
from pathlib import Path

ROOT = Path(__file__).resolve().parents[1]


def copies(source: str) -> int:
    """Keyword arguments of a call that take the attribute of their own name off something."""
    return sum(
        isinstance(keyword.value, ast.Attribute) and keyword.value.attr == keyword.arg
        for node in ast.walk(ast.parse(source))
        if isinstance(node, ast.Call)
        for keyword in node.keywords
    )


def by_module(folder: Path) -> Counter[str]:
    """Of every module under a folder that has any."""
    found: Counter[str] = Counter()
    for path in sorted(folder.rglob("*.py")):
        if count := copies(path.read_text(encoding="utf-8")):
            found[str(path.relative_to(folder))] = count
    return found


def main(folders: list[str]) -> None:
    """Print each folder's count and its ten worst modules."""
    for folder in map(Path, folders or [str(ROOT / "src")]):
        found = by_module(folder)
        print(f"{folder}: {found.total()} fields copied by hand")
        for name, count in found.most_common(10):
            print(f"  {count:4d}  {name}")


if __name__ == "__main__":
    main(sys.argv[1:])
