"""What was done: sets and sessions, as decisions read them."""

from dataclasses import dataclass
from datetime import date

from invelo.core.dose import GIVEN_AS, Unit
from invelo.core.errors import require_within

PAIN_STOP = 4
"""Pain, 0–10, at which the movement ends for the day (common practice)."""


MOST_LOGGED: dict[Unit, float] = {"reps": 200.0, "s": 3600.0, "cm": 400.0}


@dataclass(frozen=True)
class SetRecord:
    """One logged set.

    Attributes:
        rung: key of the rung it was done on, unique on its ladder.
        amount: clean reps, seconds of a hold, or centimetres of a jump.
        effort: 1–10.
        clean: whether form held to the end.
        pain: 0–10; 0 for none.
        pain_place: where, '' for none.
        unit: of the amount.
    """

    rung: str
    amount: float
    effort: float
    clean: bool = True
    pain: int = 0
    pain_place: str = ""
    unit: Unit = "reps"

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within(GIVEN_AS[self.unit], self.amount, 0, MOST_LOGGED[self.unit], self.unit)
        require_within("effort", self.effort, 1, 10, "")
        require_within("pain", self.pain, 0, 10, "")


@dataclass(frozen=True)
class SessionRecord:
    """One session of one ladder, its sets in the order they were done."""

    day: date
    sets: tuple[SetRecord, ...]

    def on(self, rung: str) -> tuple[SetRecord, ...]:
        """The sets done on one rung."""
        return tuple(s for s in self.sets if s.rung == rung)

    def pain_by_place(self) -> dict[str, int]:
        """Worst pain of the session at each place where there was any."""
        worst: dict[str, int] = {}
        for done in self.sets:
            if done.pain:
                place = done.pain_place or "unnamed place"
                worst[place] = max(done.pain, worst.get(place, 0))
        return worst
