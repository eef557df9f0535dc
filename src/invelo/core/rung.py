"""A rung: a movement with its modifiers, a dose and a gate; and what it asks of a body."""

from dataclasses import dataclass

from invelo.core.body import Body
from invelo.core.dose import Dose, Gate
from invelo.core.estimate import Derivation, Estimate, Input
from invelo.core.movement import Modifiers, Movement
from invelo.core.reading import Reading, reading
from invelo.core.reps import SOURCES as REP_SOURCES
from invelo.core.reps import equivalent_ratio
from invelo.core.setup import SetUp
from invelo.core.tempo import REFERENCE_REP, Tempo


@dataclass(frozen=True)
class Rung:
    """One place on a ladder."""

    name: str
    movement: Movement
    modifiers: Modifiers
    dose: Dose
    gate: Gate


@dataclass(frozen=True)
class Demand:
    """What a rung asks of one body.

    Attributes:
        load: what the movement asks as it is set up.
        rep_time: seconds.
        on_scale: the demand at a rep of 2 s that would be as hard as this rung at its tempo.
            This is the rung's height on the drawing.
    """

    load: Reading
    rep_time: float
    on_scale: Estimate


def demand(body: Body, rung: Rung) -> Demand:
    """What `rung` asks of `body`.

    Raises:
        InputError: if the set-up is out of this body's reach.
    """
    return asked(body, rung.modifiers.setup(rung.movement), rung.modifiers.tempo, rung.dose.low)


def asked(body: Body, setup: SetUp, tempo: Tempo, reps: float) -> Demand:
    """What a set-up asks of `body` at a tempo.

    Args:
        body: whose.
        setup: of the movement.
        tempo: of its reps; a hold has none and is told as it is.
        reps: at which count the tempo is weighed, since a slow rep tells more in a long set.

    Raises:
        InputError: if the set-up is out of this body's reach.
    """
    load = reading(body, setup)
    if setup.form.counted != "reps":
        return Demand(load, REFERENCE_REP, load.demand)
    factor = equivalent_ratio(reps, tempo.rep_time)
    return Demand(load, tempo.rep_time, _on_scale(load.demand, factor, tempo, reps))


def _on_scale(plain: Estimate, factor: float, tempo: Tempo, reps: float) -> Estimate:
    seconds = tempo.rep_time
    if seconds == REFERENCE_REP:
        return plain
    return Estimate(
        plain.likely * factor,
        plain.low * factor,
        plain.high * factor,
        plain.unit,
        Derivation(
            "The demand as set up × how much heavier a slow rep counts: that of a rep of 2 s "
            "that allows as many reps (equal time under tension, median of the rep equations).",
            (
                Input("demand as set up", plain.likely, plain.unit),
                Input("tempo", str(tempo), "s"),
                Input("seconds a rep", seconds, "s"),
                Input("at", reps, "reps"),
                Input("factor", factor),
            ),
            REP_SOURCES,
        ),
    )
