"""Shapes of sessions: which patterns in which formats, with no person in them."""

from dataclasses import dataclass
from typing import Literal

from invelo.domain.equipment.kit import Kind
from invelo.domain.errors import InputError
from invelo.domain.plan.prescription import Purpose
from invelo.domain.plan.session.work import Format

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
    """

    family: str
    movements: tuple[str, ...] = ()
    purpose: Purpose = "strength"
    sets: int | None = None


@dataclass(frozen=True)
class ShapeBlock:
    """Slots done in one format.

    Attributes:
        format: how.
        slots: what.
        rounds: of interval work.
    """

    format: Format
    slots: tuple[Slot, ...]
    rounds: int = 3

    def __post_init__(self) -> None:
        """Refuse what the session makes by itself."""
        if self.format in ("warm-up", "preparatory work"):
            raise InputError(
                "format", f"the {self.format} makes itself from the rest.", "Leave it out."
            )
        if not self.slots:
            raise InputError("blocks", "one has no movement.", "Give it one, or take it out.")


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
