"""The command line in the test's own process, which spares its start; `real` pays for it."""

import os
import subprocess
import sys

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
