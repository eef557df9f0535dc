"""Bodies and ladders the core tests share."""

from invelo.core.body import Body
from invelo.core.dose import range_dose, range_gate
from invelo.core.ladder import MeasuredLadder, measure
from invelo.core.movement import Modifiers, catalogue
from invelo.core.rung import Rung

AVERAGE = Body(mass=75.0, stature=1.75)
DOSE = range_dose("strength", "intermediate")


def rung(name: str, movement: str = "push-up", **modifiers: object) -> Rung:
    """A rung with the usual dose."""
    return Rung(
        name,
        catalogue().find_movement(movement),
        Modifiers(**modifiers),  # type: ignore[arg-type]
        DOSE,
        range_gate(DOSE),
    )


def ready(body: Body = AVERAGE) -> MeasuredLadder:
    """The ready push-up ladder, measured for a body."""
    rungs = tuple(
        rung(one.name, one.movement, **one.modifiers().__dict__)
        for one in catalogue().find_ladder("push-up").rungs
    )
    return measure(body, rungs)
