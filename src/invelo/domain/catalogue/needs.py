"""What a movement needs of kit, worked out of how it is set up for a body."""

from functools import lru_cache
from math import inf

import numpy as np

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Form
from invelo.domain.biomechanics.reading import posture_along
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.equipment.kit import Kind
from invelo.domain.equipment.need import Need
from invelo.domain.errors import InputError

CLEAR = 0.05
"""Metres that stay free under the lowest part that cannot be drawn up (ours)."""

NEAR = 0.15
"""Metres by which a thing may be higher or lower than a rung says: what it asks changes by a few
per cent (ours)."""

ROW_LOWER, ROW_HIGHER = 0.35, 0.5
"""The same of a fixed bar that is rowed under: a block goes under the feet, or they go further
(ours)."""

SEAT = (0.3, 0.65)
"""Heights a seat to sit down on has, m (common practice)."""

KNEE_HEIGHT = 0.285
"""Height of the knee, of stature: a step is no higher (Winter 2009, from memory; common
practice)."""

BELT: tuple[Kind, ...] = ("belt", "bag")
"""What carries a load at the trunk: a belt or vest, or else a bag worn in front."""

RAISED_ON: tuple[Kind, ...] = ("surface", "chair", "stairs", "parallel bars")
STOOD_ON: frozenset[Kind] = frozenset({"surface", "chair", "stairs", "load"})
SIZED: frozenset[Kind] = STOOD_ON | {"bar", "parallel bars"}
HUNG_FROM: frozenset[Kind] = frozenset({"bar", "rings", "parallel bars", "straps"})


@lru_cache(maxsize=65_536)
def needs_of(body: Body, movement: Movement, modifiers: Modifiers) -> tuple[Need, ...]:
    """All that a movement needs to be done by a body, all of it in one place.

    Source: heights are measured on the posture; tolerances are ours.
    """
    as_set_up = movement.own(modifiers)
    bears = body.mass + as_set_up.added_load.total
    needs = []
    raised = _raised(movement, as_set_up, body)
    if movement.kit_of(as_set_up):
        heights = _heights(movement, as_set_up, body)
        if raised is not None and STOOD_ON & set(movement.kit):
            heights = raised
        low, high, what, at = heights
        count, pairs = movement.kit_count, movement.pairs
        needs.append(Need(movement.kit, low, high, count, what, bears, at, pairs))
    elif raised is not None:
        low, high, what, at = raised
        needs.append(Need(RAISED_ON, low, high, what=what, bears=bears, at=at))
    needs += [_beside(movement, kinds, bears) for kinds in movement.with_kit]
    if as_set_up.added_load.bag > 0.0:
        needs.append(Need(("bag",), bears=as_set_up.added_load.bag))
    if as_set_up.added_load.vest > 0.0:
        needs.append(Need(BELT, bears=as_set_up.added_load.vest))
    if as_set_up.added_load.ankles > 0.0:
        needs.append(Need(("ankle weight",)))
    if as_set_up.band:
        needs.append(Need(("band",)))
    return tuple(needs)


def _beside(movement: Movement, kinds: tuple[Kind, ...], bears: float) -> Need:
    """What is needed besides: blocks under the hands are as high and as many as it says."""
    if not STOOD_ON & set(kinds):
        return Need(kinds)
    low, high = movement.kit_heights or (0.0, inf)
    return Need(kinds, low, high, bears=bears, pairs=movement.pairs)


Heights = tuple[float, float, str, float | None]
"""The least and the most that serve, m, what for, and what serves best."""


def _raised(movement: Movement, modifiers: Modifiers, body: Body) -> Heights | None:
    """Where hands or feet stand on something: as high as the rung says, or nearly."""
    values = dict(modifiers.values)
    if movement.posture.id == "one_leg_squat" or movement.family == "lunge and step":
        height = values.get("foot_height", 0.0)
        if height > 0.0:
            knee = KNEE_HEIGHT * body.stature + CLEAR
            return max(0.02, height - NEAR), min(knee, height + NEAR), "to step on", height
    for parameter in movement.posture.parameter:
        height = values.get(parameter.name, 0.0)
        if parameter.name.endswith("_height") and parameter.tried == "kit" and height > 0.0:
            return max(0.02, height - NEAR), height + NEAR, "", height
    return None


def _heights(movement: Movement, modifiers: Modifiers, body: Body) -> Heights:
    """Heights of what is hung from, leaned on or sat on."""
    form = movement.posture
    kinds = set(movement.kit)
    touched = {touch.at for touch in form.touches}
    if movement.kit_heights is not None and SIZED & kinds:
        return *movement.kit_heights, "", None
    hung = kinds & HUNG_FROM or form.id == "row"
    if hung and "hands" in touched and not form.level_plane:
        return _hung(form, movement, modifiers, body)
    if movement.id in SAT_ON:
        return *SEAT, "to sit down on", None
    return ANY


ANY: Heights = (0.0, inf, "", None)

SAT_ON = frozenset({"chair-squat", "chair-one-leg-squat", "knee-squeeze"})


def _hung(form: Form, movement: Movement, modifiers: Modifiers, body: Body) -> Heights:
    try:
        at = posture_along(body, modifiers.setup(movement)).joints
    except InputError:
        return ANY
    hands = float(np.max(at["wrist"][..., 1]))
    helped = movement.strain.get("hanging") == 1
    parts = ("shoulder", "hip") if helped else ("shoulder", "hip", "knee")
    lowest = min(float(np.min(at[name][..., 1])) for name in parts)
    clear = hands - lowest + CLEAR
    if form.id == "row":
        least = max(clear + CLEAR, hands - ROW_LOWER) if "surface" not in movement.kit else 0.6
        return least, hands + ROW_HIGHER, "to row under", hands
    if {touch.at for touch in form.touches} == {"hands"}:
        if helped:
            return max(0.0, clear), inf, "to hang from with the feet on the floor", None
        above = hands > float(np.max(at["shoulder"][..., 1]))
        return max(0.0, clear), inf, "to hang free" if above else "to be held up free", None
    return ANY
