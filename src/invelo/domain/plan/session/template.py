"""Shapes of sessions: which patterns in which formats, with no person in them."""

from dataclasses import dataclass
from typing import Literal

from invelo.domain.equipment.kit import Kind
from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.prescription import Purpose
from invelo.domain.plan.session.work import Format
from invelo.domain.strength.tempo import Tempo

ShapeKind = Literal[
    "push",
    "pull",
    "legs",
    "trunk",
    "whole body",
    "smallest",
    "hips",
    "upper body",
    "first week",
    "travel",
    "jumps",
    "warm-up",
    "cool-down",
    "own",
]
ShapeKit = Literal["none", "household", "bar and bands"]

KINDS_OF: dict[ShapeKit, frozenset[Kind] | None] = {
    "none": frozenset({"wall"}),
    "household": frozenset({"wall", "chair", "stairs", "surface", "towel", "stick", "bag", "load"}),
    "bar and bands": None,
}
"""What each kind of kit holds; a wall is everywhere (ours)."""


MOST_SECONDS = 600
"""The longest rest, and the longest work window, s."""


@dataclass(frozen=True)
class Exactly:
    """What a coach asks of a slot instead of what the athlete's own prescription would; what is
    left out is as prescribed.

    Attributes:
        low, high: reps, seconds or centimetres.
        rpe: target, 1 to 10.
        rest: seconds after a set.
        tempo: lower-hold-press-hold, s.
        bag, belt, hands, assistance: kg.
    """

    low: int | None = None
    high: int | None = None
    rpe: float | None = None
    rest: int | None = None
    tempo: str = ""
    bag: float = 0.0
    belt: float = 0.0
    hands: float = 0.0
    assistance: float = 0.0

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
        for name in ("bag", "belt", "hands", "assistance"):
            require_within(name, getattr(self, name), 0, 150, "kg")


NOTHING_EXACT = Exactly()


@dataclass(frozen=True)
class Slot:
    """A place in a shape.

    Attributes:
        family: whose rung fills it.
        movements: taken in turn where the athlete has no ladder of the family; the first open one.
        purpose: of a movement off any ladder.
        sets: as many; the prescription's own if left out.
        exact: whether it is the first open one of the movements whatever ladder they are on.
        asked: what is asked of it, where the coach says so.
        each: the same of each set, where they differ; as many sets as it is long.
    """

    family: str
    movements: tuple[str, ...] = ()
    purpose: Purpose = "strength"
    sets: int | None = None
    exact: bool = False
    asked: Exactly = NOTHING_EXACT
    each: tuple[Exactly, ...] = ()


@dataclass(frozen=True)
class ShapeBlock:
    """Slots done in one format.

    Attributes:
        format: how.
        slots: what.
        rounds: of what is done in rounds; those of the sets if left out of a circuit or pair.
        between: seconds from one movement of a round to the next; the format's own if left out.
        round_rest: seconds after a round; the format's own if left out.
        work: seconds of a work window, where a clock rules; the usual if left out.
    """

    format: Format
    slots: tuple[Slot, ...]
    rounds: int = 3
    between: float | None = None
    round_rest: float | None = None
    work: float | None = None

    def __post_init__(self) -> None:
        """Refuse what the session makes by itself."""
        if self.format in ("warm-up", "preparatory work"):
            raise InputError(
                "format", f"the {self.format} makes itself from the rest.", "Leave it out."
            )
        if not self.slots:
            raise InputError("blocks", "one has no movement.", "Give it one, or take it out.")
        for field, seconds in (
            ("rest between movements", self.between),
            ("rest between rounds", self.round_rest),
            ("work window", self.work),
        ):
            if seconds is not None:
                require_within(field, seconds, 0, MOST_SECONDS, "s")
        if self.work is not None and self.format != "interval":
            raise InputError(
                "work window", f"a {self.format} has none.", "Choose intervals, or leave it out."
            )
        in_rounds = self.format in ("pair", "triple", "circuit", "interval", "pre-tire")
        asked = [one for slot in self.slots for one in (slot.asked, *slot.each)]
        if in_rounds and any(one.rest is not None for one in asked):
            raise InputError(
                "rest",
                f"in a {self.format} the rests between movements and rounds are kept.",
                "Leave the movement's own rest out.",
            )
        if not in_rounds and (self.between is not None or self.round_rest is not None):
            raise InputError(
                "rest between movements",
                f"{self.format} has no rounds.",
                "Give each movement its own rest.",
            )


@dataclass(frozen=True)
class SessionTemplate:
    """A session without a person in it.

    Attributes:
        id, name: as stored, as shown.
        kind, kit: what it trains, and what it takes.
        blocks: in order.
    """

    id: str
    name: str
    kind: ShapeKind
    kit: ShapeKit
    blocks: tuple[ShapeBlock, ...]

    @property
    def kinds(self) -> frozenset[Kind] | None:
        """Kinds of things it may take; None for anything."""
        return KINDS_OF[self.kit]
