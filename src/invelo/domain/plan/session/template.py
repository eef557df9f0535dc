"""Shapes of sessions: which patterns in which formats, with no person in them."""

from dataclasses import dataclass
from typing import Literal

from invelo.domain.equipment.kit import Kind
from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.prescription import Purpose
from invelo.domain.plan.session.exactly import (
    MOST_FOLLOWING,
    MOST_SECONDS,
    NOTHING_EXACT,
    Exactly,
    Following,
)
from invelo.domain.plan.session.work import Format, Instead

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
        followed_by: what its sets go on to without a rest.
        instead: what is done in its place, and when, in order.
    """

    family: str
    movements: tuple[str, ...] = ()
    purpose: Purpose = "strength"
    sets: int | None = None
    exact: bool = False
    asked: Exactly = NOTHING_EXACT
    each: tuple[Exactly, ...] = ()
    followed_by: tuple[Following, ...] = ()
    instead: tuple[Instead, ...] = ()

    def __post_init__(self) -> None:
        """Refuse a chain without an end."""
        require_within("what follows", len(self.followed_by), 0, MOST_FOLLOWING, "parts")


CHAINED: tuple[Format, ...] = ("straight sets", "drop set", "pair", "triple", "circuit")
"""Formats whose sets may go on to something without a rest."""

BY_THEIR_OWN_RULE: tuple[Format, ...] = ("drop set", "cluster", "top single", "holds in pieces")
"""Formats that make sets of a kind of their own out of those that are asked."""


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
        if self.format not in CHAINED and any(slot.followed_by for slot in self.slots):
            raise InputError(
                "what follows",
                f"a {self.format} goes on by its own rule.",
                f"Choose one of {', '.join(CHAINED)}, or let nothing follow.",
            )
        if self.format in BY_THEIR_OWN_RULE and any(
            exactly.in_turn for slot in self.slots for exactly in (slot.asked, *slot.each)
        ):
            raise InputError(
                "in turn",
                f"a {self.format} makes sets of its own kind.",
                "Take turns in straight sets or in rounds.",
            )
        in_rounds = self.format in ("pair", "triple", "circuit", "interval", "pre-tire")
        asked = [exactly for slot in self.slots for exactly in (slot.asked, *slot.each)]
        if in_rounds and any(exactly.rest is not None for exactly in asked):
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
