"""Ladders: rungs in order, the steps between them, and the gaps among the steps."""

from dataclasses import dataclass
from functools import lru_cache

from invelo.core.body import Body
from invelo.core.dose import LEAST_USEFUL
from invelo.core.estimate import Derivation, Estimate, Input
from invelo.core.predict import Done, Known
from invelo.core.ratio import load_ratio
from invelo.core.rung import Demand, Rung, demand


@dataclass(frozen=True)
class Step:
    """From one rung to the next.

    Attributes:
        ratio: upper demand ÷ lower demand.
        above: reps to failure, or seconds, on the upper rung for whoever just meets the lower gate.
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


def step(lower: Rung, upper: Rung, below: Demand, above: Demand) -> Step:
    """The step from `lower` to `upper`.

    Source: ours; the least useful dose is common practice.
    """
    plain_low, plain, plain_high = load_ratio(above.load, below.load)
    likely = above.on_scale.likely / below.on_scale.likely
    just_met = Known(
        below.load.body,
        Done.of(below.load.setup, lower.gate.amount, lower.modifiers.tempo, lower.gate.effort),
    )
    expected = just_met.expected(above.load, upper.modifiers.tempo)
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
        gap=expected.likely < LEAST_USEFUL[upper.dose.unit],
        easier=likely < 1.0,
    )


def belongs(demands: tuple[Demand, ...], asks: float) -> int:
    """Position at which a set-up of this demand belongs: right above the highest rung that asks no
    more, 0 where none asks so little."""
    under = [i for i, one in enumerate(demands) if one.on_scale.likely <= asks]
    return max(under, default=-1) + 1


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
