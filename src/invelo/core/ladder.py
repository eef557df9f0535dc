"""Ladders: rungs in order, the steps between them, and the gaps among the steps."""

from dataclasses import dataclass
from functools import lru_cache

import numpy as np

from invelo.core.body import BODY_SAMPLES, Body
from invelo.core.dose import LEAST_USEFUL_REPS
from invelo.core.estimate import Array, Derivation, Estimate, Input, interval_from_variations
from invelo.core.reading import Reading
from invelo.core.reps import Capacity, RepResult
from invelo.core.rung import Demand, Rung, demand


@dataclass(frozen=True)
class Step:
    """From one rung to the next.

    Attributes:
        ratio: upper demand ÷ lower demand.
        above: reps to failure on the upper rung for whoever just meets the lower gate.
        gap: whether that is under the least useful dose.
        easier: whether the upper rung asks less than the lower; flagged, never moved.
    """

    ratio: Estimate
    above: Estimate
    gap: bool
    easier: bool


@dataclass(frozen=True)
class MeasuredLadder:
    """A ladder as it stands for one body: a demand per rung, a step between each two."""

    rungs: tuple[Rung, ...]
    demands: tuple[Demand, ...]
    steps: tuple[Step, ...]


def load_ratio(upper: Reading, lower: Reading) -> tuple[float, float, float]:
    """Upper demand ÷ lower demand with its 80 % ends, both being of one body.

    Set-ups of two forms vary in set-up each for itself; what they share are the body's variations,
    which come first in both.
    """
    above, below = upper.samples, lower.samples
    if len(above) != len(below) or upper.setup.movement != lower.setup.movement:
        above, below = _each_alone(above, below)
    return interval_from_variations(above / below)


def _each_alone(above: Array, below: Array) -> tuple[Array, Array]:
    """Two rows of samples with the body's own variations paired and the set-ups' apart."""
    first, second = above[BODY_SAMPLES:], below[BODY_SAMPLES:]
    return (
        np.concatenate([above[:BODY_SAMPLES], first, np.full(len(second), above[0])]),
        np.concatenate([below[:BODY_SAMPLES], np.full(len(first), below[0]), second]),
    )


def relative_range(upper: Reading, lower: Reading) -> tuple[float, float]:
    """The 80 % ends of `load_ratio`, as factors on its likely value."""
    likely, low, high = load_ratio(upper, lower)
    return low / likely, high / likely


def step(lower: Rung, upper: Rung, below: Demand, above: Demand) -> Step:
    """The step from `lower` to `upper`.

    Source: ours; the least useful dose is common practice.
    """
    plain, plain_low, plain_high = load_ratio(above.load, below.load)
    likely = above.on_scale.likely / below.on_scale.likely
    just_met = Capacity(
        RepResult(
            below.load.demand.likely, lower.gate.reps, lower.modifiers.tempo, lower.gate.effort
        )
    )
    expected = just_met.predict(
        above.load.demand.likely, upper.modifiers.tempo, relative_range(above.load, below.load)
    )
    return Step(
        ratio=Estimate(
            likely,
            likely * plain_low / plain,
            likely * plain_high / plain,
            "×",
            Derivation(
                "Demand of the upper rung ÷ demand of the lower, tempo counted as load. The range "
                "is that of one body doing both.",
                (
                    Input("upper", above.on_scale.likely, above.on_scale.unit),
                    Input("lower", below.on_scale.likely, below.on_scale.unit),
                ),
                ("ours",),
            ),
        ),
        above=expected,
        gap=expected.likely < LEAST_USEFUL_REPS,
        easier=likely < 1.0,
    )


@lru_cache(maxsize=512)
def measure(body: Body, rungs: tuple[Rung, ...]) -> MeasuredLadder:
    """Demands and steps of `rungs` for `body`.

    Raises:
        InputError: if a rung is out of this body's reach.
    """
    demands = tuple(demand(body, rung) for rung in rungs)
    steps = tuple(
        step(rungs[i], rungs[i + 1], demands[i], demands[i + 1]) for i in range(len(rungs) - 1)
    )
    return MeasuredLadder(rungs, demands, steps)
