"""A place as a week sees it: which kit is safe there, and whether its floor grips."""

from dataclasses import dataclass

from invelo.domain.catalogue.movement import Movement
from invelo.domain.equipment.kit import Floor, Kind, floors_of
from invelo.domain.ladder.rung import kit_needed
from invelo.domain.plan.session.work import Item

MATTERS = frozenset({"jump and land"})
"""Families that want a floor that grips."""


@dataclass(frozen=True)
class Venue:
    """A place as a week sees it.

    Attributes:
        key, name: as stored, as shown.
        kinds: of safe things there.
        floor: whether feet grip or slide, or whether there is one of each.
    """

    key: str
    name: str
    kinds: frozenset[Kind]
    floor: Floor = "gripping"

    def allows(self, item: Item) -> bool:
        """Whether kit and floor are there for every set of an item."""
        return all(
            self._floor_for(work_set.movement)
            and all(
                self.kinds & set(kinds)
                for kinds in kit_needed(work_set.movement, work_set.modifiers)
            )
            for work_set in item.sets
        )

    def _floor_for(self, movement: Movement) -> bool:
        floors = floors_of(self.floor)
        if movement.floor:
            return movement.floor in floors
        return "gripping" in floors or movement.family not in MATTERS
