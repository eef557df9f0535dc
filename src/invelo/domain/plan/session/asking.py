"""Sets as a coach asks for them to the letter, made from what someone's own would be, and read
back."""

from collections.abc import Iterator
from dataclasses import replace

from invelo.domain.biomechanics.body import AddedLoad
from invelo.domain.biomechanics.setup import Assistance
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.equipment.band_words import hung, said_band
from invelo.domain.errors import InputError
from invelo.domain.ladder.rung import rises
from invelo.domain.plan.session.exactly import (
    MOST_FOLLOWING,
    Exactly,
    Following,
    RepRange,
    require_turns,
)
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.session.work import Item, WorkSet
from invelo.domain.strength.tempo import HALF_THEN_FULL, Tempo

HALF_AT_MOST = 0.75
"""Share of the range under which a rep is called half (ours)."""


def asked_set(asked: Exactly, work_set: WorkSet, trainee: Trainee) -> WorkSet:
    """A set as it is asked here.

    Raises:
        InputError: for what the movement does not have: a range of a hold, sides of a push-up.
    """
    low = asked.low if asked.low is not None else work_set.low
    high = asked.high if asked.high is not None else max(low, work_set.high)
    changed = replace(
        work_set,
        low=min(low, high),
        high=high,
        rpe=asked.rpe if asked.rpe is not None else work_set.rpe,
        rest=float(asked.rest) if asked.rest is not None else work_set.rest,
        modifiers=_set_up(asked, work_set.movement, work_set.modifiers, trainee),
        open_end=work_set.open_end and asked.high is None,
        kind="attempt" if asked.attempt else work_set.kind,
    )
    return _in_turn(asked, _sided(asked, changed), trainee)


def _in_turn(asked: Exactly, work_set: WorkSet, trainee: Trainee) -> WorkSet:
    """A set with another movement in turn, one rep of each.

    Raises:
        InputError: for what cannot take turns, or what is closed.
    """
    if not asked.in_turn:
        return work_set
    other = catalogue().find_movement(asked.in_turn)
    require_turns(work_set.movement, other)
    why = trainee.shut(other)
    if why:
        raise InputError("in turn", f"{other.name}: {why}", "Take turns with another movement.")
    return replace(work_set, in_turn=other, kind="turn", open_end=False)


def _set_up(
    asked: Exactly, movement: Movement, modifiers: Modifiers, trainee: Trainee
) -> Modifiers:
    if asked.values:
        values = {**dict(modifiers.values), **dict(asked.values)}
        modifiers = replace(modifiers, values=tuple(sorted(values.items())))
    if asked.tempo:
        modifiers = replace(modifiers, tempo=Tempo.parse(asked.tempo))
    if asked.bag or asked.belt or asked.hands or asked.ankles:
        load = AddedLoad(vest=asked.belt, bag=asked.bag, ankles=asked.ankles, hands=asked.hands)
        modifiers = replace(modifiers, added_load=load)
    if asked.assistance:
        modifiers = replace(modifiers, assistance=Assistance(asked.assistance))
    if asked.band:
        band = said_band(asked.band, trainee.bands)
        hold = hung(band, movement.posture, modifiers.band)
        modifiers = replace(modifiers, band=hold)
    return _ranged(asked, movement, modifiers, trainee) if asked.range else modifiers


def _ranged(
    asked: Exactly, movement: Movement, modifiers: Modifiers, trainee: Trainee
) -> Modifiers:
    if movement.unit != "reps":
        raise InputError("range", f"the {movement.name.lower()} is held.", "Leave the range out.")
    tempo = replace(modifiers.tempo, part=1.0)
    if asked.range == "half, then full":
        return replace(modifiers, range=1.0, tempo=replace(tempo, part=HALF_THEN_FULL))
    if asked.range == "full":
        return replace(modifiers, range=1.0, from_end=False, tempo=tempo)
    starts_at_top = not rises(trainee.body, movement, modifiers)
    from_end = starts_at_top == (asked.range == "bottom half")
    return replace(modifiers, range=0.5, from_end=from_end, tempo=tempo)


def _sided(asked: Exactly, work_set: WorkSet) -> WorkSet:
    if not asked.sides:
        return work_set
    if work_set.movement.counted == "total":
        raise InputError(
            "sides",
            f"the {work_set.movement.name.lower()} works both at once.",
            "Leave the sides out.",
        )
    if asked.sides == "left" or asked.sides == "right":
        return replace(work_set, side=asked.sides, turns="per side")
    return replace(work_set, side="", turns=asked.sides)


def followed(item: Item, following: tuple[Following, ...], trainee: Trainee) -> Item:
    """An item whose sets go on, without a rest, to what follows them.

    Raises:
        InputError: for a follower that is closed, or that its movement does not have.
    """
    if not following:
        return item
    sets: list[WorkSet] = []
    last = len(item.sets) - 1
    for number, work_set in enumerate(item.sets):
        goes_on = [follower for follower in following if follower.every or number == last]
        sets += _chain(work_set, goes_on, trainee)
    return replace(item, sets=tuple(sets))


def _chain(work_set: WorkSet, following: list[Following], trainee: Trainee) -> Iterator[WorkSet]:
    pauses = [float(follower.pause) for follower in following]
    rests = [*pauses, work_set.rest]
    yield replace(work_set, rest=rests[0])
    for follower, rest in zip(following, rests[1:], strict=True):
        movement = (
            catalogue().find_movement(follower.movement) if follower.movement else work_set.movement
        )
        base = replace(work_set, rest=rest, kind="part", share=0.0, open_end=False)
        if movement is not work_set.movement:
            own = movement.own(Modifiers())
            base = replace(base, name=movement.name, movement=movement, modifiers=own)
            if movement.unit != work_set.unit and follower.asked.low is None:
                raise InputError(
                    "amount",
                    f"the {movement.name.lower()} is counted in {movement.unit}, the set before "
                    f"it in {work_set.unit}.",
                    "Say how much of it.",
                )
        part = asked_set(follower.asked, base, trainee)
        yield replace(part, rest=rest, kind="part")


def chain_of(item: Item, trainee: Trainee) -> tuple[Following, ...]:
    """What a coach asked to follow, read back from an item whose sets have it."""
    with_parts = [chain for chain in item.chains if len(chain) > 1]
    if not with_parts:
        return ()
    every = len(with_parts) == len(item.chains)
    first, *parts = with_parts[-1]
    pauses = [first.rest, *(part.rest for part in parts)]
    return tuple(
        Following(
            "" if part.movement.id == first.movement.id else part.movement.id,
            asked_of(part, trainee, rests=False),
            int(pause),
            every,
        )
        for part, pause in zip(parts[:MOST_FOLLOWING], pauses, strict=False)
    )


def asked_of(work_set: WorkSet, trainee: Trainee, *, rests: bool) -> Exactly:
    """A set as a coach would ask for it to the letter."""
    modifiers = work_set.modifiers
    load = modifiers.added_load
    tempo = str(replace(modifiers.tempo, part=1.0))
    usual = dict(work_set.movement.own(Modifiers()).values)
    return Exactly(
        low=work_set.low,
        high=max(work_set.low, work_set.high),
        rpe=work_set.rpe,
        rest=int(work_set.rest) if rests else None,
        tempo="" if tempo == "1-0-1-0" else tempo,
        range=_range_of(work_set, trainee),
        sides=work_set.side or work_set.turns,
        attempt=work_set.kind == "attempt",
        bag=load.bag,
        belt=load.vest,
        hands=load.hands,
        ankles=load.ankles,
        assistance=modifiers.assistance.kg if modifiers.assistance else 0.0,
        band=modifiers.band.band.name if modifiers.band else "",
        values=tuple(pair for pair in modifiers.values if usual.get(pair[0]) != pair[1]),
        in_turn=work_set.in_turn.id if work_set.in_turn else "",
    )


def _range_of(work_set: WorkSet, trainee: Trainee) -> RepRange:
    modifiers = work_set.modifiers
    if modifiers.tempo.part == HALF_THEN_FULL:
        return "half, then full"
    if work_set.unit != "reps" or modifiers.range >= HALF_AT_MOST:
        return ""
    starts_at_top = not rises(trainee.body, work_set.movement, modifiers)
    return "bottom half" if starts_at_top == modifiers.from_end else "top half"
