"""Where the time of a run went: its slowest files, told at its end."""

from collections import Counter

import pytest

SHOWN = 10


class SlowestFiles:
    """Adds up what the tests of a file took, their fixtures included, over all workers."""

    def __init__(self) -> None:
        self.seconds: Counter[str] = Counter()
        self.tests: Counter[str] = Counter()

    def pytest_runtest_logreport(self, report: pytest.TestReport) -> None:
        file = report.nodeid.split("::", 1)[0]
        self.seconds[file] += report.duration  # type: ignore[assignment]
        self.tests[file] += report.when == "call"

    def pytest_terminal_summary(self, terminalreporter: pytest.TerminalReporter) -> None:
        if len(self.seconds) < SHOWN:
            return
        terminalreporter.section("slowest files", sep="=")
        for file, seconds in self.seconds.most_common(SHOWN):
            terminalreporter.line(f"{seconds:7.1f} s  {self.tests[file]:4} tests  {file}")
