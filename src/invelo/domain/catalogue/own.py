"""Movements of a coach's own: a movement of the catalogue with joint angles, names and shares of
the coach's, computed like any other.

A movement of one's own never changes: whoever wants it otherwise makes another. So a body's reading
of it, and every set that was done of it, stand for good.
"""

from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field, replace
from hashlib import sha256
from typing import Literal

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Form, forget_form, keep_form
from invelo.domain.biomechanics.posture.pose import HUMAN_RANGE
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.catalogue import catalogue, forget_movement, keep_movement
from invelo.domain.catalogue.movement import (
    Fault,
    Modifiers,
    Movement,
    Muscle,
    StressedJoint,
)
from invelo.domain.equipment.kit import Kind
from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.prescription import Counted

PREFIX = "own:"
"""What the ids of such movements begin with."""

DRAGGED = ("hip", "knee", "ankle", "shoulder", "elbow", "neck", "trunk")
"""Joint angles that a coach may set, where a form tells them; of the second leg with `other_`."""

LEGS_FREE = frozenset({"hands", "forearms", "back"})
"""What a body stands on or hangs from while both legs are free."""

TRUNK = (-180.0, 180.0)

USUAL = Body(75.0, 1.75)
"""By whose torques the joint stress is proposed (ours)."""

Stress = Literal[1, 2, 3]
CLASSES: tuple[Stress, ...] = (1, 1, 2, 3, 3)
"""A class of stress, one less and one more than there are among them."""

MUCH, LITTLE = 1.25, 0.8
"""Torque over that of the movement it is made from, past which its class of stress is one more or
one less (ours)."""


@dataclass(frozen=True, kw_only=True)
class OwnMovement:
    """What a coach says of it; what is left out is as of the movement it is made from.

    Attributes:
        name: as it is called.
        base: id of the movement it is made from, whose contacts and measure it keeps.
        also: other terms for it.
        counted: how reps are counted.
        values: of the form's parameters.
        start, end: joint angles at both ends of the rep, degrees; of a hold the start's alone.
        cues, faults: to think of, to see.
        prime, helping: regions that work, % of it.
        kit: any one of these is needed.
        stress: joints and how much they bear; proposed from the posture if left out.
    """

    name: str
    base: str
    also: tuple[str, ...] = ()
    counted: Counted | None = None
    values: dict[str, float] = field(default_factory=dict, hash=False)
    start: dict[str, float] = field(default_factory=dict, hash=False)
    end: dict[str, float] = field(default_factory=dict, hash=False)
    cues: tuple[str, ...] = ()
    faults: tuple[Fault, ...] = ()
    prime: dict[Muscle, int] = field(default_factory=dict, hash=False)
    helping: dict[Muscle, int] = field(default_factory=dict, hash=False)
    kit: tuple[Kind, ...] | None = None
    stress: dict[StressedJoint, Stress] | None = field(default=None, hash=False)


def settable(posture: Form) -> tuple[str, ...]:
    """Joint angles of a form that may be set: those it tells, but for what its arms or its balance
    settle by themselves. Where neither leg is stood on, the second may do something else."""
    known_names = {
        *posture.start,
        *(parameter.sets for parameter in posture.parameter if parameter.sets),
    }
    by_itself: set[str] = {posture.gives, "trunk" if posture.turn == "upper body" else posture.turn}
    if posture.arms != "angles":
        by_itself |= {"shoulder", "elbow"}
    if posture.anchor in LEGS_FREE and "hip" in known_names:
        known_names |= {"other_hip", "other_knee", "other_ankle"}
    names = [*DRAGGED, *(f"other_{name}" for name in ("hip", "knee", "ankle"))]
    return tuple(name for name in names if name in known_names and name not in by_itself)


def angles_of(movement: Movement) -> tuple[dict[str, float], dict[str, float]]:
    """Joint angles of a movement at both ends of the rep, degrees, as its values set them."""
    posture = movement.posture
    values = posture.values(movement.values)
    start, end = dict(posture.start), {**posture.start, **posture.end}
    for parameter in posture.parameter:
        if parameter.sets:
            degrees = parameter.plus + parameter.sign * values[parameter.name]
            if parameter.at != "end":
                start[parameter.sets] = degrees
            if parameter.at != "start":
                end[parameter.sets] = degrees
    return start, end


def learn(own_id: str, own: OwnMovement) -> Movement:
    """Make a movement of one's own known to this process; the same id is the same movement.

    Raises:
        InputError: for angles no joint has, shares that do not add up, a posture that cannot be.
    """
    base = catalogue().find_movement(own.base)
    if base.id.startswith(PREFIX):
        raise InputError(
            "base", "it is one of your own already.", "Make it from one of the catalogue."
        )
    if not own.name.strip():
        raise InputError("name", "it has none.", "Say what it is called.")
    posture = _form(own_id, own, base)
    keep_form(posture)
    movement = _movement(own_id, own, base, posture)
    reading(USUAL, movement.own(Modifiers()).setup(movement))  # refuses what no body can do
    if own.stress is None:
        movement = replace(movement, stress=proposed_stress(movement, base))
    keep_movement(movement)
    _said[own_id] = own
    return movement


_said: dict[str, OwnMovement] = {}
"""What coaches said of the movements that this process knows."""


def said_of(movement: Movement) -> OwnMovement | None:
    """What a coach said of a movement of their own; None of one of the catalogue."""
    return _said.get(movement.id)


@contextmanager
def looked_at(own_id: str, own: OwnMovement) -> Iterator[Movement]:
    """A movement known for as long as it is looked at.

    Raises:
        InputError: as `learn` does.
    """
    movement = learn(own_id, own)
    try:
        yield movement
    finally:
        forget_movement(own_id)
        _said.pop(own_id, None)
        forget_form(movement.form)


def _form(own_id: str, own: OwnMovement, base: Movement) -> Form:
    """The base's form with the coach's angles in place of what sets them."""
    posture = base.posture
    free = settable(posture)
    if own.end and posture.counted == "hold":
        raise InputError("end", f"the {posture.name.lower()} is held.", "Give the start's angles.")
    for place, angles in (("start", own.start), ("end", own.end)):
        for joint, degrees in angles.items():
            if joint not in free:
                raise InputError(
                    f"{place}, {joint}".replace("_", " "),
                    f"in the {posture.name.lower()} it is not free.",
                    f"Use one of {', '.join(free) or 'none'}.",
                )
            low, high = HUMAN_RANGE.get(joint.removeprefix("other_"), TRUNK)
            require_within(f"{place}, {joint}".replace("_", " "), degrees, low, high, "°")
    start, end = _angles(base, own)
    set_here = {*own.start, *own.end}
    if "other_hip" in set_here:
        set_here.add("leg_out")  # it would stretch the second leg out anew
    parameters = tuple(
        parameter
        for parameter in posture.parameter
        if not {parameter.sets, parameter.name} & set_here
    )
    # its id tells its angles, so that readings of one posture are never taken for another's
    fingerprint = repr((posture.id, sorted(start.items()), sorted(end.items())))
    return replace(
        posture,
        id=f"{own_id}/{sha256(fingerprint.encode()).hexdigest()[:8]}",
        name=own.name.strip(),
        start=start,
        end=end,
        parameter=parameters,
        preset={},
    )


def _angles(base: Movement, own: OwnMovement) -> tuple[dict[str, float], dict[str, float]]:
    """Both ends' angles: a joint the coach sets at one end keeps what the base has at the other."""
    start, end = dict(base.posture.start), dict(base.posture.end)
    before_start, before_end = angles_of(base)
    for joint in {*own.start, *own.end} & before_start.keys():
        start[joint], end[joint] = before_start[joint], before_end[joint]
    return {**start, **own.start}, {**end, **own.end}


def _movement(own_id: str, own: OwnMovement, base: Movement, posture: Form) -> Movement:
    there = {parameter.name for parameter in posture.parameter}
    kept = {name for name in base.values if name in there}
    values = {**{name: base.values[name] for name in kept}, **own.values}
    regions = own.prime or own.helping
    try:
        return replace(
            base,
            id=own_id,
            name=own.name.strip(),
            form=posture.id,
            also=own.also,
            counted=own.counted or base.counted,
            values=values,
            cues=own.cues or base.cues,
            fault=own.faults or base.fault,
            prime=own.prime if regions else base.prime,
            helping=own.helping if regions else base.helping,
            kit=base.kit if own.kit is None else own.kit,
            stress=base.stress if own.stress is None else own.stress,
            of_height=(),
        )
    except InputError:
        raise
    except ValueError as error:
        problem = str(error).removeprefix(f"{own_id}: ")
        raise InputError("movement", problem, "Put it right and send it again.") from error


def proposed_stress(movement: Movement, base: Movement) -> dict[StressedJoint, Stress]:
    """How much each joint bears, from what the base's bears and how much more or less torque this
    posture asks of it."""
    own = reading(USUAL, movement.own(Modifiers()).setup(movement)).torques
    before = reading(USUAL, base.own(Modifiers()).setup(base)).torques
    proposed: dict[StressedJoint, Stress] = {}
    for joint, much in base.stress.items():
        ratio = 1.0
        if joint in own and joint in before and before[joint].likely > 1.0:
            ratio = own[joint].likely / before[joint].likely
        proposed[joint] = CLASSES[much + (ratio > MUCH) - (ratio < LITTLE)]
    return proposed
