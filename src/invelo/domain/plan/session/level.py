"""A session made easier or harder in one step, for a class of several levels.

Source: common practice for stepping to the neighbouring movement; the shares are ours.
"""

from collections.abc import Iterator
from dataclasses import replace
from typing import Literal

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Movement
from invelo.domain.plan.session.exactly import Exactly
from invelo.domain.plan.session.template import SessionTemplate, ShapeBlock, Slot

Way = Literal["easier", "harder"]

SHARES: dict[Way, float] = {"easier": 0.7, "harder": 1.3}
"""Of the amount and of what is carried, where no neighbouring movement is known."""


def levelled(shape: SessionTemplate, way: Way) -> SessionTemplate:
    """The same session a level down or up. A slot of someone's current rung stays: it fits each
    already. An exact one goes to the neighbouring movement, or asks less or more of the same."""
    blocks = (_block(block, way) for block in shape.blocks)
    return replace(shape, blocks=tuple(blocks))


def _block(block: ShapeBlock, way: Way) -> ShapeBlock:
    return replace(block, slots=tuple(_slot(slot, way) for slot in block.slots))


def _slot(slot: Slot, way: Way) -> Slot:
    if not slot.exact or not slot.movements:
        return slot
    movement = catalogue().find_movement(slot.movements[0])
    beside = next(easier_than(movement) if way == "easier" else harder_than(movement), None)
    if beside is not None:
        asked, each = _unset(slot.asked), tuple(_unset(each_asked) for each_asked in slot.each)
        return replace(
            slot,
            family=beside.family,
            movements=(beside.id,),
            asked=asked,
            each=each,
            followed_by=(),
        )
    by = SHARES[way]
    return replace(
        slot,
        asked=_scaled(slot.asked, by),
        each=tuple(_scaled(each_asked, by) for each_asked in slot.each),
    )


def easier_than(movement: Movement) -> Iterator[Movement]:
    """Movements that its faults call for, counted alike, each once."""
    for id_ in dict.fromkeys(fault.easier for fault in movement.fault if fault.easier):
        other = catalogue().find_movement(id_)
        if other.unit == movement.unit and other.id != movement.id:
            yield other


def harder_than(movement: Movement) -> Iterator[Movement]:
    """Movements of its family from which a fault leads to it, counted alike."""
    for other in catalogue().movement:
        if other.family == movement.family and any(
            easier.id == movement.id for easier in easier_than(other)
        ):
            yield other


def _unset(asked: Exactly) -> Exactly:
    """What is asked, without what belongs to one movement's set-up alone."""
    return replace(asked, values=(), range="", sides="")


def _scaled(asked: Exactly, by: float) -> Exactly:
    def amount(value: int | None) -> int | None:
        return None if value is None else max(1, round(value * by))

    def load(kg: float) -> float:
        return round(2 * kg * by) / 2

    return replace(
        asked,
        low=amount(asked.low),
        high=amount(asked.high),
        bag=load(asked.bag),
        belt=load(asked.belt),
        hands=load(asked.hands),
        ankles=load(asked.ankles),
    )
