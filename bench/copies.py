"""How many fields are copied by hand from one look-alike to another of the same name.

    python -m bench.copies [FOLDER ...]

Counts `Thing(name=other.name, …)` in the source, by module: what a derived schema would say once.
Beside it, those that copy a look-alike: three fields or more taken off one and the same value.
"""

import ast
import sys
from collections import Counter
from pathlib import Path

ROOT = Path(__file__).resolve().parents[1]
LOOK_ALIKE = 3
"""Fields taken off one value by one call, from which on the two shapes say the same."""


def copies(source: str, least: int = 1) -> int:
    """Keyword arguments of a call that take the attribute of their own name off something, where
    at least so many take it off the same."""
    return sum(
        count
        for node in ast.walk(ast.parse(source))
        if isinstance(node, ast.Call)
        for count in _off(node).values()
        if count >= least
    )


def _off(call: ast.Call) -> Counter[str]:
    return Counter(
        ast.unparse(keyword.value.value)
        for keyword in call.keywords
        if isinstance(keyword.value, ast.Attribute) and keyword.value.attr == keyword.arg
    )


def by_module(folder: Path, least: int = 1) -> Counter[str]:
    """Of every module under a folder that has any."""
    found: Counter[str] = Counter()
    for path in sorted(folder.rglob("*.py")):
        if count := copies(path.read_text(encoding="utf-8"), least):
            found[str(path.relative_to(folder))] = count
    return found


def main(folders: list[str]) -> None:
    """Print each folder's counts and its ten worst modules."""
    for folder in map(Path, folders or [str(ROOT / "src")]):
        found, alike = by_module(folder), by_module(folder, LOOK_ALIKE)
        print(f"{folder}: {found.total()} fields copied by hand, {alike.total()} of look-alikes")
        for name, count in found.most_common(10):
            print(f"  {count:4d}  {name}")


if __name__ == "__main__":
    main(sys.argv[1:])
