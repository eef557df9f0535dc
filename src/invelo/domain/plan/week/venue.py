"""A place as a week sees it: which kit is safe there, and whether its floor grips."""

from dataclasses import dataclass, replace
from datetime import date

from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.catalogue.needs import needs_of
from invelo.domain.equipment.kit import Floor, Kind, Room, floors_of
from invelo.domain.equipment.need import missing
from invelo.domain.ladder.rung import kit_needed
from invelo.domain.plan.session.work import Item

MATTERS = frozenset({"jump and land"})
"""Families that want a floor that grips."""


@dataclass(frozen=True)
class Stock:
    """What a place holds, whose body it has to fit, and the day, for checks that run out."""

    room: Room
    body: Body
    today: date


@dataclass(frozen=True)
class Venue:
    """A place as a week sees it.

    Attributes:
        key, name: as stored, as shown.
        kinds: of safe things there.
        floor: whether feet grip or slide, or whether there is one of each.
        stock: what is there with its sizes, for whom and when; None where only kinds are known.
    """

    key: str
    name: str
    kinds: frozenset[Kind]
    floor: Floor = "gripping"
    stock: "Stock | None" = None

    def allows(self, item: Item) -> bool:
        """Whether kit and floor are there for every set of an item."""
        return all(
            self._floor_for(work_set.movement)
            and self._kit_for(work_set.movement, work_set.modifiers)
            for work_set in item.sets
        )

    def without_kit(self) -> "Venue":
        """The same with nothing in it."""
        bare = replace(self.stock, room=replace(self.stock.room, items=())) if self.stock else None
        return replace(self, kinds=frozenset(), stock=bare)

    def _kit_for(self, movement: Movement, modifiers: Modifiers) -> bool:
        if self.stock is None:
            return all(self.kinds & set(kinds) for kinds in kit_needed(movement, modifiers))
        needs = needs_of(self.stock.body, movement, modifiers)
        return not missing(needs, (self.stock.room,), self.stock.today)

    def _floor_for(self, movement: Movement) -> bool:
        floors = floors_of(self.floor)
        if movement.floor:
            return movement.floor in floors
        return "gripping" in floors or movement.family not in MATTERS
