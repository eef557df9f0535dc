"""Someone at a session on the phone: presses things, lets time pass, fills sets in."""

from typing import Any

from tests.phone.node import Node
from tests.phone.sheets import ATHLETE, SESSION

STOP = 4
"""Pain from which what hurts ends for the day."""

Run = dict[str, Any]


class Athlete:
    """A run in progress, its clock in the test's hand (ms)."""

    def __init__(self, node: Node, sheet: dict[str, Any]) -> None:
        self.node, self.now = node, 1_000_000.0
        run = node.begin({"athlete_id": ATHLETE}, sheet, SESSION)
        self.run: Run = {**run, "since": self.now}

    # ---- looking ----

    @property
    def event(self) -> dict[str, Any] | None:
        events = self.run["sheet"]["events"]
        return events[self.run["at"]] if self.run["at"] < len(events) else None

    @property
    def doing(self) -> tuple[str, str, int, int] | None:
        """Kind, item, set and side of the event at hand."""
        one = self.event
        return None if one is None else (one["kind"], one["item"], one["set"], one["side"])

    @property
    def pending(self) -> list[dict[str, Any]]:
        return list(self.run["pending"])

    # ---- doing ----

    def passes(self, seconds: float) -> None:
        """Let time pass; the page looks at the clock once at the end, as one that slept."""
        self.now += 1000 * seconds
        self.run = self.node.tick(self.run, self.now)

    def done(self, **seen: Any) -> None:
        """Press "Done", with a sensor's count or without."""
        self.run = self.node.advance(self.run, self.now, seen or None)

    def works(self, seconds: float = 24, **seen: Any) -> None:
        """Go on to the next work and do it for so long."""
        while self.event is not None and self.event["kind"] != "work":
            self.done()
        self.passes(seconds)
        self.done(**seen)

    def pauses(self) -> None:
        self.run = self.node.pause(self.run, self.now)

    def goes_back(self) -> None:
        self.run = self.node.back(self.run, self.now)

    def skips(self) -> dict[str, Any] | None:
        self.run, gone = self.node.skip(self.run, self.now)
        return gone  # type: ignore[no-any-return]

    def logs(self, number: int = 0, **change: Any) -> dict[str, Any]:
        """Fill in a set that waits and log it."""
        entry = {**self.pending[number], "rpe": 8, **change}
        self.run = self.node.log(self.run, entry, STOP, self.now)
        return entry

    def ends(self) -> None:
        """Press "End …"."""
        self.run = {**self.run, "finishing": True, "since": None}

    def takes(self, way: int) -> None:
        """The easier rung (1) or the harder (−1) for the item at hand."""
        _, event = self.node.upcoming(self.run)
        one = next(i for i in self.run["sheet"]["items"] if i["key"] == event["item"])
        index = self.node.beside(self.run, one, way)
        if index >= 0:
            self.run = self.node.swap(self.run, one, index)

    def sends(self, entry: dict[str, Any], picture: bool = False) -> list[dict[str, Any]]:
        """The bodies that go out for a logged set."""
        return list(self.node.logged(self.run, entry, picture))
