"""A rung: a movement with its modifiers, a dose and a gate; and what it asks of a body."""

from dataclasses import dataclass
from functools import lru_cache

from invelo.core.body import GRAVITY, Body
from invelo.core.dose import Dose, Gate
from invelo.core.estimate import Array, Derivation, Estimate, Input, interval_from_variations
from invelo.core.movement import Modifiers, Movement
from invelo.core.posture.push_up import Phase, PushUpSetup, varied_push_up
from invelo.core.reps import SOURCES as REP_SOURCES
from invelo.core.reps import equivalent_ratio
from invelo.core.statics import contact_forces
from invelo.core.tempo import REFERENCE_REP


@dataclass(frozen=True)
class Rung:
    """One place on a ladder."""

    name: str
    movement: Movement
    modifiers: Modifiers
    dose: Dose
    gate: Gate


@dataclass(frozen=True)
class Load:
    """What a posture puts on the hands along the rep.

    Attributes:
        top, middle, bottom: vertical force of the hands ÷ g, kg: what a scale under both hands
            reads.
        share: `top` as a share of body weight, %.
        work: mechanical work of one press, J.
        samples: `top` for the body and its plausible neighbours, kg, shape `(k,)`; ratios between
            two set-ups are taken entry by entry, because both belong to one body.
    """

    top: Estimate
    middle: Estimate
    bottom: Estimate
    share: Estimate
    work: Estimate
    samples: tuple[float, ...]


@dataclass(frozen=True)
class Demand:
    """What a rung asks of one body.

    Attributes:
        load: of the movement as set up.
        rep_time: seconds.
        on_scale: the load at a rep of 2 s that would be as hard as this rung at its tempo, kg.
            This is the rung's height on the drawing.
    """

    load: Load
    rep_time: float
    on_scale: Estimate


def _estimate(samples: Array, unit: str, derivation: Derivation) -> Estimate:
    return Estimate(*interval_from_variations(samples), unit, derivation)


@lru_cache(maxsize=4096)
def push_up_load(body: Body, setup: PushUpSetup) -> Load:
    """Load on the hands in the three phases of a push-up.

    The demand is the top value: it reproduces the published order of inclines, which the bottom
    does not yet (see docs/model.md).

    Raises:
        InputError: if the set-up is out of this body's reach.
    """
    phases: tuple[Phase, ...] = ("top", "middle", "bottom")
    postures = {phase: varied_push_up(body, setup, phase) for phase in phases}
    kilos: dict[Phase, Array] = {
        phase: contact_forces(posture)["hands"][..., 1] / GRAVITY
        for phase, posture in postures.items()
    }
    inputs = (
        Input("body mass", body.mass, "kg"),
        Input("stature", body.stature, "m"),
        Input("hands above the floor", setup.hand_height, "m"),
        Input("feet above the floor", setup.foot_height, "m"),
        Input("turning about", setup.support),
        Input("hands along the body", setup.hand_offset, "m"),
        Input("worn", setup.worn.total, "kg"),
    )

    def derivation(phase: Phase, formula: str, note: str = "") -> Derivation:
        return Derivation(
            formula.format(closure=postures[phase].closure),
            inputs,
            (body.table.source, "plane statics"),
            note,
        )

    on_hands = (
        "The body's weight and what it wears, balanced about the support; {closure}. The upward "
        "part of the hands' force ÷ 9.80665 m/s². The range lets limb lengths, segment masses and "
        "the hands' place differ as they do between people."
    )
    heights = {
        phase: _carried_height(postures[phase].mass_points(postures[phase].carried()))
        for phase in phases
    }
    carried = postures["top"].mass_points(postures["top"].carried())[0].sum(axis=0)
    return Load(
        top=_estimate(kilos["top"], "kg", derivation("top", on_hands)),
        middle=_estimate(kilos["middle"], "kg", derivation("middle", on_hands)),
        bottom=_estimate(
            kilos["bottom"],
            "kg",
            derivation(
                "bottom",
                on_hands,
                "Less certain than the top: it hardly tells inclines apart.",
            ),
        ),
        share=_estimate(
            100 * kilos["top"] / body.mass,
            "% of body weight",
            derivation("top", "Load on the hands at the top ÷ body mass. " + on_hands),
        ),
        work=_estimate(
            carried * GRAVITY * (heights["top"] - heights["bottom"]),
            "J",
            derivation("top", "Carried mass × g × how far its centre rises from bottom to top."),
        ),
        samples=tuple(float(value) for value in kilos["top"]),
    )


def _carried_height(points: tuple[Array, Array]) -> Array:
    masses, places = points
    height: Array = (masses * places[..., 1]).sum(axis=0) / masses.sum(axis=0)
    return height


def demand(body: Body, rung: Rung) -> Demand:
    """What `rung` asks of `body`.

    Raises:
        InputError: if the set-up is out of this body's reach.
    """
    load = push_up_load(body, rung.modifiers.setup(rung.movement))
    seconds = rung.modifiers.tempo.rep_time
    factor = equivalent_ratio(rung.dose.reps_low, seconds)
    return Demand(load, seconds, _on_scale(load.top, factor, rung, seconds))


def _on_scale(top: Estimate, factor: float, rung: Rung, seconds: float) -> Estimate:
    if seconds == REFERENCE_REP:
        return top
    return Estimate(
        top.likely * factor,
        top.low * factor,
        top.high * factor,
        "kg",
        Derivation(
            "The load on the hands × how much heavier a slow rep counts: the load at a rep of 2 s "
            "that allows as many reps (equal time under tension, median of the rep equations).",
            (
                Input("load on the hands", top.likely, "kg"),
                Input("tempo", str(rung.modifiers.tempo), "s"),
                Input("seconds a rep", seconds, "s"),
                Input("at", rung.dose.reps_low, "reps"),
                Input("factor", factor),
            ),
            REP_SOURCES,
        ),
    )
