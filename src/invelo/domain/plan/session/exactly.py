"""What a coach asks of a set to the letter: amount, effort, tempo, range, sides, loads, and what
follows without a rest.

Source: common practice, where a constant does not say otherwise.
"""

from dataclasses import dataclass
from typing import Literal

from invelo.domain.catalogue.movement import Movement
from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.session.work import SideRule
from invelo.domain.strength.tempo import Tempo

RepRange = Literal["", "full", "top half", "bottom half", "half, then full"]

MOST_SECONDS = 600
"""The longest rest, and the longest work window, s."""

MOST_FOLLOWING = 4
"""Parts that follow a set without a rest: a chain longer than that trains patience (ours)."""


@dataclass(frozen=True)
class Exactly:
    """What a coach asks of a set instead of what the athlete's own prescription would; what is
    left out is as prescribed.

    Attributes:
        low, high: reps, seconds or centimetres.
        rpe: target, 1 to 10.
        rest: seconds after a set.
        tempo: lower-hold-press-hold, s.
        range: of a rep; "half, then full" counts as one.
        sides: the one side, both in turn, or alternating with the lead swapped halfway.
        attempt: whether it is a try at something hard, which nobody fails.
        bag, belt, hands, ankles, assistance: kg.
        band: of the coach's, by its name and how it is held: "red folded", "red + blue".
        values: of the form's parameters, heights in m and angles in °.
        in_turn: id of another movement done in turn with it, rep by rep; '' for none.
    """

    low: int | None = None
    high: int | None = None
    rpe: float | None = None
    rest: int | None = None
    tempo: str = ""
    range: RepRange = ""
    sides: SideRule = ""
    attempt: bool = False
    bag: float = 0.0
    belt: float = 0.0
    hands: float = 0.0
    ankles: float = 0.0
    assistance: float = 0.0
    band: str = ""
    values: tuple[tuple[str, float], ...] = ()
    in_turn: str = ""

    def __post_init__(self) -> None:
        """Check ranges."""
        for field, value in (("range's foot", self.low), ("range's top", self.high)):
            if value is not None:
                require_within(field, value, 1, 3600, "")
        if self.low is not None and self.high is not None and self.low > self.high:
            raise InputError(
                "range's top", "it lies under the range's foot.", "Give the larger second."
            )
        if self.rpe is not None:
            require_within("effort", self.rpe, 1, 10, "")
        if self.rest is not None:
            require_within("rest", self.rest, 0, MOST_SECONDS, "s")
        if self.tempo:
            Tempo.parse(self.tempo)
        for name in ("bag", "belt", "hands", "ankles", "assistance"):
            require_within(name, getattr(self, name), 0, 150, "kg")


NOTHING_EXACT: Exactly = Exactly()


def require_turns(movement: Movement, other: Movement) -> None:
    """Refuse two movements that cannot be done in turn, rep by rep.

    Raises:
        InputError: for twice the same, or what is not counted in reps of both sides.
    """
    if other is movement:
        name = other.name.lower()
        raise InputError("in turn", f"the {name} is what is done.", "Name another movement.")
    for one in (movement, other):
        if one.unit != "reps" or one.counted == "per side":
            raise InputError(
                "in turn",
                f"the {one.name.lower()} is not counted in reps of both sides.",
                "Take turns with what is.",
            )


@dataclass(frozen=True)
class Following:
    """What a set goes on to without a rest: an easier shape, part of the range, reps with a hold.

    Attributes:
        movement: its id, '' for the same one.
        asked: of it.
        pause: seconds to get there.
        every: whether every set goes on to it; the last one alone if not.
    """

    movement: str = ""
    asked: Exactly = NOTHING_EXACT
    pause: int = 0
    every: bool = True

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("pause", self.pause, 0, 60, "s")
        if self.asked.rest is not None:
            raise InputError(
                "rest", "what follows has none of its own.", "Give the set before it the rest."
            )
