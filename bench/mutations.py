"""Small changes to the rules, each of which some test must notice.

    PYTHONPATH=src:. .venv/bin/python -m bench.mutations [part of a name ...]

Each is keyed by the symbol it changes and the text within it, so that it outlives moves of lines;
one whose text is gone is an error, to be mended or taken off. It is tried in a copy of the tree, by
the tests that it names; it is killed if they fail, and lives if they pass. Told: a line for each,
and the share that was killed.
"""

import ast
import os
import re
import shutil
import subprocess
import sys
import tempfile
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from pathlib import Path
from queue import Queue

from bench.mutated import MUTATIONS, Mutation
from invelo.runtime.settings import ROOT

AT_ONCE = 2
COPIED = ("src", "tests", "bench", "web", "docs", "pyproject.toml", "invelo")
LEFT_OUT = ("node_modules", "dist", "__pycache__", "screenshots")
WANTED = 0.95


class GoneError(LookupError):
    """What a mutation changes is not there, or there more than once."""


@dataclass(frozen=True)
class Outcome:
    """What became of one."""

    mutation: Mutation
    killed: bool
    words: str


def source_of(text: str, symbol: str, path: str) -> tuple[int, int]:
    """Where a symbol's definition stands in its file: from which character to which.

    Raises:
        GoneError: if there is none.
    """
    if not path.endswith(".py"):
        return _typescript(text, symbol, path)
    lines = text.splitlines(keepends=True)
    node: ast.AST = ast.parse(text)
    for name in symbol.split("."):
        node = next(
            (one for one in ast.iter_child_nodes(node) if name in _names(one)), ast.Module([], [])
        )
    if not isinstance(node, ast.stmt):
        raise GoneError(f"{path}: no {symbol}")
    starts = [0]
    for line in lines:
        starts.append(starts[-1] + len(line))
    return starts[node.lineno - 1], starts[node.end_lineno or node.lineno]


def _typescript(text: str, symbol: str, path: str) -> tuple[int, int]:
    """By the layout that the formatter gives: a definition ends with a line of its own indent."""
    named = rf"^( *)(?:export )?(?:async )?(function|const) {symbol}\b.*$"
    found = min(re.finditer(named, text, re.M), key=lambda one: len(one[1]), default=None)
    if found is None:
        raise GoneError(f"{path}: no {symbol}")
    if found[0].endswith(";"):
        return found.start(), found.end()
    block = found[2] == "function" or found[0].endswith(("{", "[", "("))
    end = re.compile(rf"^{found[1]}[}}\]]\)*;?$" if block else r";$", re.M)
    closing = end.search(text, found.end())
    return found.start(), closing.end() if closing else len(text)


def _names(node: ast.AST) -> list[str]:
    if isinstance(node, ast.ClassDef | ast.FunctionDef | ast.AsyncFunctionDef):
        return [node.name]
    if isinstance(node, ast.Assign):
        return [
            one.id
            for target in node.targets
            for one in (target.elts if isinstance(target, ast.Tuple) else [target])
            if isinstance(one, ast.Name)
        ]
    if isinstance(node, ast.AnnAssign) and isinstance(node.target, ast.Name):
        return [node.target.id]
    return []


def mutated(text: str, mutation: Mutation) -> str:
    """The file with the change made.

    Raises:
        GoneError: if its text does not stand exactly once in its symbol.
    """
    start, end = source_of(text, mutation.symbol, mutation.path)
    inside = text[start:end]
    if inside.count(mutation.old) != 1:
        raise GoneError(
            f"{mutation.path}, {mutation.symbol}: {mutation.old!r} stands there "
            f"{inside.count(mutation.old)} times"
        )
    return text[:start] + inside.replace(mutation.old, mutation.new) + text[end:]


def _copy(folder: Path) -> Path:
    """A tree of its own, with the packages of this one."""
    for name in COPIED:
        if (ROOT / name).is_dir():
            shutil.copytree(ROOT / name, folder / name, ignore=shutil.ignore_patterns(*LEFT_OUT))
        else:
            shutil.copy2(ROOT / name, folder / name)
    for name in ("node_modules", "dist"):
        (folder / "web" / name).symlink_to(ROOT / "web" / name)
    return folder


def tried(mutation: Mutation, tree: Path) -> Outcome:
    """Make the change in a tree, run its tests, put the tree back."""
    path = tree / mutation.path
    before = path.read_text(encoding="utf-8")
    try:
        path.write_text(mutated(before, mutation), encoding="utf-8")
        command = [sys.executable, "-m", "pytest", "-x", "-q", "-p", "no:cacheprovider"]
        done = subprocess.run(
            [*command, *mutation.tests],
            cwd=tree,
            env={**os.environ, "PYTHONPATH": str(tree / "src"), "PYTHONDONTWRITEBYTECODE": "1"},
            capture_output=True,
            text=True,
        )
    except GoneError as error:
        return Outcome(mutation, False, str(error))
    finally:
        path.write_text(before, encoding="utf-8")
    if done.returncode not in (0, 1):
        return Outcome(
            mutation, False, f"pytest ended with {done.returncode}: {done.stdout[-300:]}"
        )
    return Outcome(mutation, done.returncode == 1, "")


def run(mutations: list[Mutation]) -> Iterator[Outcome]:
    """Try all of them, in trees of their own."""
    with tempfile.TemporaryDirectory(prefix="invelo-mutations-") as folder:
        trees: Queue[Path] = Queue()
        for number in range(AT_ONCE):
            trees.put(_copy(Path(folder) / str(number)))

        def one(mutation: Mutation) -> Outcome:
            tree = trees.get()
            try:
                return tried(mutation, tree)
            finally:
                trees.put(tree)

        with ThreadPoolExecutor(AT_ONCE) as pool:
            yield from pool.map(one, mutations)


def main() -> None:
    """Try those that are asked for, or all."""
    asked = sys.argv[1:]
    chosen = [one for one in MUTATIONS if not asked or any(part in one.name for part in asked)]
    outcomes = []
    for outcome in run(chosen):
        outcomes.append(outcome)
        verdict = "killed" if outcome.killed else "LIVES "
        print(f"{verdict}  {outcome.mutation.name}  {outcome.words}".rstrip(), flush=True)
    killed = sum(one.killed for one in outcomes)
    print(f"{killed} of {len(outcomes)} killed")
    raise SystemExit(killed < WANTED * len(outcomes))


if __name__ == "__main__":
    main()
