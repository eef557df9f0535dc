"""The shape of the code itself: names once, folders that can be taken in at a glance."""

import ast
from collections import Counter
from collections.abc import Iterator
from pathlib import Path

import pytest

from invelo.runtime.cli import QUICK
from invelo.runtime.settings import ROOT

SOURCE = ROOT / "src" / "invelo"
MOST_MODULES = 14
"""Side by side in a folder."""


def modules() -> Iterator[tuple[Path, ast.Module]]:
    for path in sorted(SOURCE.rglob("*.py")):
        if "migrations" not in path.parts:
            yield path.relative_to(SOURCE), ast.parse(path.read_text(encoding="utf-8"))


def test_a_class_name_exists_once() -> None:
    names = Counter(
        node.name
        for _, module in modules()
        for node in ast.walk(module)
        if isinstance(node, ast.ClassDef)
    )
    assert {name for name, times in names.items() if times > 1} == set()


@pytest.mark.parametrize("root", [SOURCE, ROOT / "web" / "src"])
def test_no_folder_holds_more_than_can_be_taken_in(root: Path) -> None:
    kinds = {".py", ".ts", ".tsx"}
    files = Counter(
        path.parent.relative_to(ROOT)
        for path in root.rglob("*")
        if path.suffix in kinds and path.name != "__init__.py" and "versions" not in path.parts
    )
    assert {folder: number for folder, number in files.items() if number > MOST_MODULES} == {}


def test_no_router_knows_another() -> None:
    """Only the application puts them together; what two answer with stands beside them."""
    routers = {
        "invelo." + ".".join(path.with_suffix("").parts)
        for path, module in modules()
        if any(
            isinstance(node, ast.Call) and ast.unparse(node.func) == "APIRouter"
            for node in ast.walk(module)
        )
    }
    assert len(routers) > 20
    known = {
        (path, f"{node.module}.{alias.name}" if node.module not in routers else node.module)
        for path, module in modules()
        if path.parts[0] == "api" and path.name != "app.py"
        for node in ast.walk(module)
        if isinstance(node, ast.ImportFrom)
        for alias in node.names
    }
    assert {(path, name) for path, name in known if name in routers} == set()


def test_nothing_forwards_only() -> None:
    """A package's first file says what is in it; it hands nothing on."""
    handing_on = [
        path
        for path, module in modules()
        if path.name == "__init__.py"
        and path.parts[:2] != ("db", "tables")  # rows name each other, so all must be known
        and any(isinstance(node, ast.ImportFrom) for node in module.body)
    ]
    assert handing_on == []


def test_a_quick_run_finds_its_tests() -> None:
    named = [part for part in QUICK if part.startswith("tests/")]
    assert [part for part in named if not (ROOT / part).exists()] == []
