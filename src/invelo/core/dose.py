"""How much to do: sets, reps, rest and effort, by school and purpose."""

from dataclasses import dataclass
from typing import Literal

from invelo.core.errors import InputError, require_within

Purpose = Literal["learn", "skill", "strength", "size", "endurance", "keep", "finisher"]
Level = Literal["beginner", "intermediate", "advanced"]
School = Literal["range"]

LEAST_USEFUL_REPS = 5
"""Fewest reps that are still practice rather than a trial (common practice)."""

GATE_EFFORT = 9.0
"""Highest effort at which a gate counts as met in the range school (common practice)."""

GATE_SESSIONS = 2
"""Consecutive sessions of a ladder on which the gate is shown (common practice)."""


@dataclass(frozen=True)
class Dose:
    """What one session asks on a rung.

    Attributes:
        sets: number of work sets.
        reps_low: the range's foot.
        reps_high: the range's top.
        rest: seconds between sets.
        effort: target, 1–10.
    """

    sets: int
    reps_low: int
    reps_high: int
    rest: int
    effort: float

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("sets", self.sets, 1, 12, "sets")
        require_within("lowest reps", self.reps_low, 1, 100, "reps")
        require_within("highest reps", self.reps_high, 1, 100, "reps")
        require_within("rest", self.rest, 0, 900, "s")
        require_within("effort", self.effort, 1, 10, "")
        if self.reps_low > self.reps_high:
            raise InputError(
                "highest reps", "the range's top lies under its foot.", "Give the larger second."
            )

    @property
    def reserve(self) -> float:
        """Reps left in reserve at the target effort."""
        return 10.0 - self.effort


@dataclass(frozen=True)
class Gate:
    """What is shown before moving up.

    Attributes:
        sets: sets that each meet it.
        reps: clean reps in every one.
        effort: highest effort allowed.
        sessions: consecutive sessions of the ladder on which it is shown.
    """

    sets: int
    reps: int
    effort: float = GATE_EFFORT
    sessions: int = GATE_SESSIONS

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("gate sets", self.sets, 1, 12, "sets")
        require_within("gate reps", self.reps, 1, 100, "reps")
        require_within("gate effort", self.effort, 1, 10, "")
        require_within("gate sessions", self.sessions, 1, 10, "sessions")


RANGES: dict[Purpose, tuple[int, int, int, float]] = {
    "learn": (3, 5, 60, 6.0),
    "skill": (3, 5, 180, 8.0),
    "strength": (6, 10, 120, 9.0),
    "size": (8, 12, 75, 9.0),
    "endurance": (12, 15, 60, 9.0),
    "keep": (8, 12, 75, 7.0),
    "finisher": (25, 30, 45, 9.0),
}
"""Foot and top of the range, rest in s, effort (common practice)."""

SETS: dict[Level, int] = {"beginner": 2, "intermediate": 3, "advanced": 4}
"""Sets of a movement: 2 to start with, then 3, then 4 (common practice)."""

FEW_SETS: dict[Purpose, int] = {"learn": 2, "keep": 2, "finisher": 1}
"""Purposes that ask for no more than this, whatever the level (common practice)."""


def range_dose(purpose: Purpose, level: Level) -> Dose:
    """The `range` school's dose: a fixed range of reps, climbed before the rung changes.

    Source: common practice.
    """
    low, high, rest, effort = RANGES[purpose]
    return Dose(min(SETS[level], FEW_SETS.get(purpose, 12)), low, high, rest, effort)


def range_gate(dose: Dose) -> Gate:
    """The `range` school's gate: every set at the top, effort 9 or under, two sessions running.

    Source: common practice.
    """
    return Gate(dose.sets, dose.reps_high)
