"""The phone's logic in one Node process: a question a line, an answer a line, all of it JSON."""

import json
import select
import subprocess
from contextlib import suppress
from pathlib import Path
from typing import Any

from invelo.runtime.settings import ROOT

WEB = ROOT / "web"
PATIENCE = 30
"""Seconds for one answer: one that spins is ended."""


class PhoneError(AssertionError):
    """What was asked ended in an error."""


class Node:
    """Calls into the bundle: `node.advance(run, now)`; `web/harness/main.ts` lists them."""

    def __init__(self, bundle: Path) -> None:
        self._process = subprocess.Popen(
            ["node", str(bundle)], stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True
        )

    def __getattr__(self, call: str) -> Any:
        def ask(*args: Any) -> Any:
            assert self._process.stdin is not None
            assert self._process.stdout is not None
            self._process.stdin.write(json.dumps({"call": call, "args": args}) + "\n")
            self._process.stdin.flush()
            answered, _, _ = select.select([self._process.stdout], [], [], PATIENCE)
            if not answered:
                self._process.kill()
                raise PhoneError(f"{call}: no answer in {PATIENCE} s")
            line = self._process.stdout.readline()
            said = json.loads(line) if line else {"error": "the process ended"}
            if "error" in said:
                raise PhoneError(f"{call}: {said['error']}")
            return said["value"]

        return ask

    def close(self) -> None:
        assert self._process.stdin is not None
        with suppress(BrokenPipeError):
            self._process.stdin.close()
        self._process.wait(timeout=10)


def bundle(folder: Path) -> Path:
    """The phone's logic and its harness in one file."""
    made = folder / "phone.mjs"
    command = ["npm", "run", "--silent", "harness", "--", str(made), "--log-level", "silent"]
    done = subprocess.run(command, cwd=WEB, capture_output=True, text=True)
    assert done.returncode == 0, done.stdout + done.stderr
    return made
