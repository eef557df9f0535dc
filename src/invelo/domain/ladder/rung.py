"""A rung: a movement with its modifiers, a prescription and a criterion; and what it asks of a
body."""

import math
from dataclasses import dataclass

from invelo.domain.biomechanics.body import USUAL_STATURE, Body
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.biomechanics.reading import Reading, reading, rep_share
from invelo.domain.biomechanics.setup import SetUp, set_up
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.catalogue.needs import BELT, RAISED_ON
from invelo.domain.equipment.kit import Kind
from invelo.domain.errors import InputError
from invelo.domain.estimate import Derivation, Estimate, Input
from invelo.domain.plan.prescription import Criterion, Prescription
from invelo.domain.strength.rep_curve import CURVES, SOURCES, slow_factor
from invelo.domain.strength.tempo import ENDURANCE_EXPONENT, REFERENCE_REP, Tempo


@dataclass(frozen=True)
class Rung:
    """One place on a ladder."""

    name: str
    movement: Movement
    modifiers: Modifiers
    prescription: Prescription
    criterion: Criterion


def kit_needed(movement: Movement, modifiers: Modifiers) -> tuple[tuple[Kind, ...], ...]:
    """Kinds of thing that a set-up takes: any one of each."""
    kit = movement.kit_of(modifiers)
    needed = [kit] if kit else []
    needed += movement.with_kit
    heights = {
        parameter.name for parameter in movement.posture.parameter if parameter.tried == "kit"
    }
    if any(value > 0.0 for name, value in modifiers.values if name in heights):
        needed.append(RAISED_ON)
    if modifiers.added_load.bag > 0.0:
        needed.append(("bag",))
    if modifiers.added_load.vest > 0.0:
        needed.append(BELT)
    if modifiers.added_load.ankles > 0.0:
        needed.append(("ankle weight",))
    if modifiers.band:
        needed.append(("band",))
    return tuple(needed)


@dataclass(frozen=True)
class Demand:
    """What a rung asks of one body.

    Attributes:
        load: what the movement asks as it is set up.
        tempo: of the reps.
        share: of a whole rep's work that a rep of this range and depth is.
        on_scale: the demand at a whole rep of 2 s that would be as hard as this rung at its tempo
            and range. This is the rung's height on the drawing; None where only the effort tells.
        refused: why this body cannot do it as it is set up, '' where it can; then `load` is what
            a body of usual height would meet.
    """

    load: Reading
    tempo: Tempo
    share: float
    on_scale: Estimate | None
    refused: str = ""

    @property
    def estimate(self) -> Estimate:
        """The demand on the scale; where only the effort tells, what is carried."""
        return self.on_scale or self.load.demand

    @property
    def height(self) -> float:
        """The likely demand on the scale; NaN where only the effort tells."""
        return self.on_scale.likely if self.on_scale else math.nan

    @property
    def lane(self) -> Lane | None:
        """What it can be compared with; None where only the effort tells."""
        return self.load.setup.form.lane if self.on_scale else None

    @property
    def rep_time(self) -> float:
        """Seconds of a rep as set up."""
        return self.tempo.rep_time

    @property
    def counts_as(self) -> float:
        """Seconds of the whole rep without a hold that costs as much."""
        if self.load.setup.form.counted != "reps":
            return REFERENCE_REP
        return self.tempo.scaled(self.share).plain_seconds()


def rises(body: Body, movement: Movement, modifiers: Modifiers) -> bool:
    """Whether a rep begins by going up; not where the body cannot be posed so."""
    try:
        return reading(body, modifiers.setup(movement)).rises
    except InputError:
        return False


def demand(body: Body, rung: Rung) -> Demand:
    """What `rung` asks of `body`; one that cannot be posed says why, and asks nothing on the scale.

    Raises:
        InputError: for values the movement does not have.
    """
    setup, tempo = rung.modifiers.setup(rung.movement), rung.modifiers.tempo
    try:
        return asked(body, setup, tempo, rung.prescription.low)
    except InputError as error:
        stand_in = _of_usual_height(body, setup)
        return Demand(stand_in, tempo, 1.0, None, f"{error.problem} {error.remedy}")


MOST_ASSISTANCE = 0.6
"""Share of the body's mass that assistance may take before nothing is left to train (ours)."""


def unfit(body: Body, rung: Rung) -> str:
    """Why a body has no use for a ready rung as it is set up, '' where it has."""
    assistance = rung.modifiers.assistance
    if assistance and assistance.kg > MOST_ASSISTANCE * body.mass:
        return f"{assistance.kg:g} kg of assistance leave this body nothing to lift."
    return demand(body, rung).refused


def _of_usual_height(body: Body, setup: SetUp) -> Reading:
    """What a body of usual height would meet; where none could, of the movement's plain set-up."""
    usual = Body(body.mass, USUAL_STATURE, body.table)
    try:
        return reading(usual, setup)
    except InputError:
        return reading(usual, set_up(setup.movement))


def asked(body: Body, setup: SetUp, tempo: Tempo, reps: float) -> Demand:
    """What a set-up asks of `body` at a tempo.

    Args:
        body: whose.
        setup: of the movement.
        tempo: of its reps; a hold has none and is told as it is.
        reps: at which count tempo and range are weighed, since they tell more in a long set.

    Raises:
        InputError: if the set-up is out of this body's reach.
    """
    load = reading(body, setup)
    if setup.form.counted == "rpe":
        return Demand(load, tempo, 1.0, None)
    if setup.form.counted == "hold":
        return Demand(load, Tempo(), 1.0, load.demand)
    share = rep_share(body, setup)
    on_scale = _on_scale(load, share, tempo, reps)
    return Demand(load, tempo, share, on_scale)


def _on_scale(load: Reading, share: float, tempo: Tempo, reps: float) -> Estimate:
    plain, seconds = load.demand, tempo.scaled(share).plain_seconds()
    if seconds == REFERENCE_REP:
        return plain
    curve = CURVES[load.setup.form.curve]
    factor = float(slow_factor(curve, reps, seconds, ENDURANCE_EXPONENT)[0])
    return Estimate(
        plain.likely * factor,
        plain.low * factor,
        plain.high * factor,
        plain.unit,
        Derivation(
            "The demand as set up × how much heavier a slow or a deep rep counts: that of a whole "
            "rep of 2 s that allows as many reps, by what a rep costs and the curve of this kind "
            "of movement.",
            (
                Input("demand as set up", plain.likely, plain.unit),
                Input("tempo", str(tempo), "s"),
                Input("seconds a rep", tempo.rep_time, "s"),
                Input("costs as much as a plain rep of", seconds, "s"),
                Input("work of a rep, of a whole one", 100 * share, "%"),
                Input("at", reps, "reps"),
                Input("factor", factor),
            ),
            SOURCES,
        ),
    )
