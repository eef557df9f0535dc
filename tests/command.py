"""The command line in the test's own process, which spares its start; `real` pays for it."""

import os
import subprocess
import sys
import time
from collections.abc import Callable

from click.testing import Result
from typer.testing import CliRunner

from invelo.runtime.cli import app
from invelo.runtime.settings import ROOT


def invelo(*arguments: str, given: str = "", **environment: str) -> Result:
    """`invelo` with these arguments; `given` is its standard input."""
    return CliRunner().invoke(app, arguments, input=given, env=environment)


def real(*arguments: str, given: str = "") -> subprocess.CompletedProcess[str]:
    """The same in a process of its own, as a shell starts it."""
    return subprocess.run(
        [sys.executable, "-m", "invelo", *arguments],
        env={**os.environ, "PYTHONPATH": str(ROOT / "src")},
        input=given,
        capture_output=True,
        text=True,
        timeout=120,
    )


def until(condition: Callable[[], bool], seconds: float = 20) -> None:
    """Wait for a condition; it is asked often, and told when it does not come."""
    end = time.monotonic() + seconds
    while not condition():
        assert time.monotonic() < end, "it did not come in time"
        time.sleep(0.05)
