"""Bodies and ladders the core tests share."""

from dataclasses import replace

import numpy as np

from invelo.domain.biomechanics.body import Body, SegmentValues
from invelo.domain.biomechanics.posture.build import build
from invelo.domain.biomechanics.posture.form import forms
from invelo.domain.biomechanics.posture.skeleton import Posture
from invelo.domain.biomechanics.setup import SetUp
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.ladder import MeasuredLadder, measure
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.prescription import range_criterion, range_prescription
from invelo.domain.plan.session.trainee import Near, Stand, Trainee

AVERAGE = Body(mass=75.0, stature=1.75)
forms()  # read once, so that no single test pays for it
PRESCRIPTION = range_prescription("strength", "intermediate")


PHASES = {"top": 0.0, "middle": 0.5, "bottom": 1.0}


def alone(body: Body, setup: SetUp, depth: float = 0.0) -> Posture:
    """The posture of one body at one place along the rep, every value of shape `()`."""
    plain = body.segments()
    one = SegmentValues(
        {name: value[None] for name, value in plain.length.items()},
        {name: value[None] for name, value in plain.mass.items()},
        plain.centre,
        plain.stature,
        plain.ankle_height,
    )
    values = {name: np.full(1, value) for name, value in setup.all_values.items()}
    posture = build(setup.form, one, values, np.full((1, 1), depth), setup.added_load)
    segments = replace(
        posture.segments,
        length={name: value[0] for name, value in posture.segments.length.items()},
        mass={name: value[0] for name, value in posture.segments.mass.items()},
    )
    return replace(
        posture,
        joints={name: place[0, 0] for name, place in posture.joints.items()},
        segments=segments,
        contacts=tuple(
            replace(
                contact,
                point=contact.point[0, 0],
                line=None if contact.line is None else contact.line[0, 0],
            )
            for contact in posture.contacts
        ),
        base=None,
    )


def rung(name: str, movement: str = "push-up", **changes: object) -> Rung:
    """A rung with the usual prescription; what is no field of `Modifiers` is one of the form's
    values."""
    fields = {
        name: changes.pop(name) for name in list(changes) if name in Modifiers.__annotations__
    }
    values = tuple(sorted(changes.items())) or fields.pop("values", ())
    return Rung(
        name,
        catalogue().find_movement(movement),
        Modifiers(values=values, **fields),  # type: ignore[arg-type]
        PRESCRIPTION,
        range_criterion(PRESCRIPTION),
    )


def ready(body: Body = AVERAGE) -> MeasuredLadder:
    """The ready push-up ladder, measured for a body."""
    rungs = tuple(
        rung(one.name, one.movement, **one.modifiers().__dict__)
        for one in catalogue().find_ladder("push-up").rungs
    )
    return measure(body, rungs)


EVERYTHING = frozenset(one.id for one in catalogue().movement)


def near(movement: str, likely: float | None = None, **changes: object) -> Near:
    """A movement as a rung with the range method's prescription, and what is likely done on it."""
    of = catalogue().find_movement(movement)
    prescription = range_prescription("strength", "intermediate", of.unit)
    rung = Rung(of.name, of, of.own(Modifiers()), prescription, range_criterion(prescription))
    rung = replace(rung, **changes)  # type: ignore[arg-type]
    if likely is None:
        return Near(rung)
    return Near(rung, Estimate(likely, 0.8 * likely, 1.2 * likely, of.unit))


def stand(key: str, *movements: tuple[str, float] | str, at: int = 0, **more: object) -> Stand:
    """A stand on a ladder of these movements, easiest first, with what is likely done on each."""
    rungs = [near(one) if isinstance(one, str) else near(*one) for one in movements]
    fields: dict[str, object] = {
        "method": "double_progression",
        "purpose": "strength",
        "level": "intermediate",
    }
    return Stand(
        key=key,
        goal=f"goal of {key}",
        here=rungs[at],
        below=tuple(reversed(rungs[:at])),
        above=tuple(rungs[at + 1 :]),
        **{**fields, **more},  # type: ignore[arg-type]
    )


def trainee(*stands: Stand, **more: object) -> Trainee:
    """Someone on these ladders to whom everything is open."""
    fields: dict[str, object] = {"level": "intermediate", "open_movements": EVERYTHING}
    return Trainee("Ada", AVERAGE, stands, **{**fields, **more})  # type: ignore[arg-type]
