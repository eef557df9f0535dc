"""How much to do: sets, reps or seconds, rest and effort, by method and purpose."""

from dataclasses import dataclass
from typing import Literal

from invelo.domain.errors import InputError, require_within
from invelo.domain.strength.holds import LEAST_USEFUL_HOLD, LONGEST_SHARE

Purpose = Literal["learn", "skill", "strength", "size", "endurance", "keep", "finisher", "daily"]
Level = Literal["beginner", "intermediate", "advanced"]
Method = Literal["double_progression", "near_failure", "rpe_target", "wave", "density", "habit"]
Counted = Literal["total", "per side", "alternating"]
"""How reps are told: all of them, those of one side before the other, or all of them with the lead
swapped halfway."""
Unit = Literal["reps", "s", "cm"]
"""What a prescription counts: reps, seconds of a hold, or centimetres of a jump landed still."""

LEAST_USEFUL: dict[Unit, float] = {"reps": 5.0, "s": LEAST_USEFUL_HOLD, "cm": 10.0}
"""Fewest reps, or shortest hold, that are still practice rather than a trial (common practice); of
a jump anything that can be landed still."""

MOST: dict[Unit, float] = {"reps": 100.0, "s": 600.0, "cm": 400.0}

CRITERION_RPE = 9.0
"""Highest effort at which a criterion counts as met in the range method (common practice)."""

CRITERION_SESSIONS = 2
"""Consecutive sessions of a ladder on which the criterion is shown (common practice)."""


DONE_IN: dict[Unit, str] = {"reps": "counted", "s": "held", "cm": "jumped"}
GIVEN_AS: dict[Unit, str] = {"reps": "reps", "s": "hold", "cm": "distance"}
IN_WORDS: dict[Unit, str] = {"reps": "reps", "s": "seconds", "cm": "centimetres"}


def amount_in(name: str, counted: Unit, amount: float | None, unit: Unit | None = None) -> float:
    """An amount in what is counted.

    Args:
        name: of what was done, as a refusal calls it.
        counted: what it is counted in.
        amount: reps, seconds or centimetres.
        unit: which of them; None for whatever is counted.

    Raises:
        InputError: for no amount, or one in another unit.
    """
    if unit is not None and unit != counted:
        raise InputError(
            GIVEN_AS[counted],
            f"the {name.lower()} is {DONE_IN[counted]}, not {DONE_IN[unit]}.",
            f"Give {IN_WORDS[counted]}.",
        )
    if amount is None:
        raise InputError(
            GIVEN_AS[counted],
            f"the {name.lower()} needs the {IN_WORDS[counted]} that were done.",
            f"Give {IN_WORDS[counted]}.",
        )
    return amount


@dataclass(frozen=True)
class Prescription:
    """What one session asks on a rung.

    Attributes:
        sets: number of work sets.
        low, high: the range's foot and top, in `unit`.
        rest: seconds between sets.
        rpe: target, 1–10.
        unit: reps, or seconds of a hold.
    """

    sets: int
    low: int
    high: int
    rest: int
    rpe: float
    unit: Unit = "reps"

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("sets", self.sets, 1, 12, "sets")
        require_within("range's foot", self.low, 1, MOST[self.unit], self.unit)
        require_within("range's top", self.high, 1, MOST[self.unit], self.unit)
        require_within("rest", self.rest, 0, 900, "s")
        require_within("rpe", self.rpe, 1, 10, "")
        if self.low > self.high:
            raise InputError(
                "range's top", "the range's top lies under its foot.", "Give the larger second."
            )

    @property
    def reserve(self) -> float:
        """Reps left in reserve at the target effort."""
        return 10.0 - self.rpe

    @property
    def asks(self) -> float:
        """What must be there in all for the range's foot to fit: the foot and the reps in
        reserve, or the hold of which the foot is seven tenths (common practice); a jump asks for
        itself."""
        if self.unit == "cm":
            return self.low
        return self.low + self.reserve if self.unit == "reps" else self.low / LONGEST_SHARE


@dataclass(frozen=True)
class Criterion:
    """What is shown before moving up.

    Attributes:
        sets: sets that each meet it.
        amount: clean reps, or seconds, in every one.
        rpe: highest effort allowed.
        sessions: consecutive sessions of the ladder on which it is shown.
        unit: reps, or seconds of a hold.
    """

    sets: int
    amount: int
    rpe: float = CRITERION_RPE
    sessions: int = CRITERION_SESSIONS
    unit: Unit = "reps"

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("criterion sets", self.sets, 1, 12, "sets")
        require_within(f"criterion {self.unit}", self.amount, 1, MOST[self.unit], self.unit)
        require_within("criterion effort", self.rpe, 1, 10, "")
        require_within("criterion sessions", self.sessions, 1, 14, "sessions")

    @property
    def asks(self) -> float:
        """What must be there in all for the criterion to be shown: its reps and those in
        reserve at its effort; of a hold or a jump, itself."""
        return self.amount + 10.0 - self.rpe if self.unit == "reps" else float(self.amount)


RANGES: dict[Purpose, tuple[int, int, int, float]] = {
    "learn": (3, 5, 60, 6.0),
    "skill": (3, 5, 180, 8.0),
    "strength": (6, 10, 120, 9.0),
    "size": (8, 12, 75, 9.0),
    "endurance": (12, 15, 60, 9.0),
    "keep": (8, 12, 75, 7.0),
    "finisher": (25, 30, 45, 9.0),
    "daily": (1, 5, 0, 5.0),
}
"""Foot and top of the range, rest in s, effort (common practice)."""

HELD_RANGES: dict[Purpose, tuple[int, int, int, float]] = {
    "learn": (5, 8, 60, 6.0),
    "skill": (5, 15, 120, 8.0),
    "strength": (8, 15, 120, 9.0),
    "size": (15, 30, 75, 9.0),
    "endurance": (30, 45, 60, 9.0),
    "keep": (8, 15, 75, 7.0),
    "finisher": (30, 60, 45, 9.0),
    "daily": (5, 10, 0, 5.0),
}
"""The same for holds, in seconds (common practice: 15–30 s of a shape open the next one)."""

JUMP_RANGE = (60, 100, 120, 7.0)
"""Centimetres of a standing jump to begin with, rest in s, effort (ours: well inside what most
adults land still)."""

SETS: dict[Level, int] = {"beginner": 2, "intermediate": 3, "advanced": 4}
"""Sets of a movement: 2 to start with, then 3, then 4 (common practice)."""

FEW_SETS: dict[Purpose, int] = {"learn": 2, "keep": 2, "finisher": 1, "daily": 1}
"""Purposes that ask for no more than this, whatever the level (common practice)."""


def range_prescription(purpose: Purpose, level: Level, unit: Unit = "reps") -> Prescription:
    """The `range` method's prescription: a fixed range, climbed before the rung changes.

    Source: common practice.
    """
    low, high, rest, rpe = {
        "reps": RANGES[purpose],
        "s": HELD_RANGES[purpose],
        "cm": JUMP_RANGE,
    }[unit]
    return Prescription(min(SETS[level], FEW_SETS.get(purpose, 12)), low, high, rest, rpe, unit)


def range_criterion(prescription: Prescription) -> Criterion:
    """The `range` method's criterion: every set at the top, effort 9 or under, two sessions
    running.

    Source: common practice.
    """
    return Criterion(prescription.sets, prescription.high, unit=prescription.unit)
