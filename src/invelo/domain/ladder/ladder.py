"""Ladders: rungs, the steps between them, and the gaps among the steps.

A ladder climbs by links from a lower to an upper rung; it may branch and join, and never turns back
on itself. Rungs that are limited by the same thing stand in one lane and are compared by demand.
Where a link leads to another lane, or to a rung that only effort tells, there is no ratio.
"""

from collections.abc import Iterable
from dataclasses import dataclass
from functools import cached_property, lru_cache
from itertools import pairwise

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.biomechanics.ratio import load_ratio
from invelo.domain.errors import InputError
from invelo.domain.estimate import Derivation, Estimate, Input
from invelo.domain.ladder.rung import Demand, Rung, demand
from invelo.domain.ladder.step_policy import USUAL_POLICY, StepPolicy
from invelo.domain.strength.predict import Done, Known

MOST_RUNGS = 60
"""Rungs of one ladder (ours): more is a catalogue, not a way to somewhere."""

Link = tuple[int, int]
"""Positions of a lower and an upper rung."""


@dataclass(frozen=True)
class Step:
    """From one rung to the next.

    Attributes:
        lower, upper: positions on the ladder.
        ratio: upper demand ÷ lower demand; None across lanes, and where only effort tells.
        above: reps to failure, or seconds, on the upper rung for whoever just meets the lower
        criterion;
            None where there is no ratio.
        gap: whether that is under the least useful prescription.
        easier: whether the upper rung asks less than the lower; flagged, never moved.
    """

    lower: int
    upper: int
    ratio: Estimate | None
    above: Estimate | None
    gap: bool
    easier: bool


@dataclass(frozen=True, eq=False)
class MeasuredLadder:
    """A ladder as it stands for one body: a demand per rung, a step per link.

    `measure` makes one for each body and ladder, so that the same question is the same object.
    """

    rungs: tuple[Rung, ...]
    demands: tuple[Demand, ...]
    steps: tuple[Step, ...]
    policy: StepPolicy = USUAL_POLICY

    @cached_property
    def lanes(self) -> tuple[Lane, ...]:
        """What its rungs are compared by, in the order in which they first stand."""
        return tuple(dict.fromkeys(demand.lane for demand in self.demands if demand.lane))

    def above(self, index: int) -> tuple[int, ...]:
        """Positions one steps to from a rung."""
        return tuple(step.upper for step in self.steps if step.lower == index)

    def below(self, index: int) -> tuple[int, ...]:
        """Positions one steps to a rung from."""
        return tuple(step.lower for step in self.steps if step.upper == index)


def chain(count: int) -> tuple[Link, ...]:
    """The links of a ladder without branches."""
    return tuple(pairwise(range(count)))


def check_links(names: tuple[str, ...], links: Iterable[Link]) -> None:
    """Refuse links that turn back.

    Args:
        names: of the rungs, from the foot up.
        links: between them.

    Raises:
        InputError: for too many rungs, or a link that does not lead upwards.
    """
    if len(names) > MOST_RUNGS:
        raise InputError(
            "rungs", f"there are {len(names)}.", f"Keep to {MOST_RUNGS}, or make two ladders."
        )
    for lower, upper in links:
        if lower >= upper:
            raise InputError(
                "after",
                f"“{names[upper]}” comes after “{names[lower]}”, which stands above it or is "
                "itself: a loop.",
                "Link from a lower rung to an upper one.",
            )


def step(
    lower: Rung,
    upper: Rung,
    below: Demand,
    above: Demand,
    link: Link,
    policy: StepPolicy = USUAL_POLICY,
) -> Step:
    """The step from `lower` to `upper`.

    Source: ours; the least useful prescription is common practice.
    """
    if not (below.on_scale and above.on_scale and below.lane == above.lane):
        return Step(*link, None, None, False, False)
    plain_low, plain, plain_high = load_ratio(above.load, below.load)
    likely = above.on_scale.likely / below.on_scale.likely
    just_met = Known(
        below.load.body,
        Done(below.load.setup, lower.criterion.amount, lower.modifiers.tempo, lower.criterion.rpe),
    )
    expected = just_met.expected(above.load, upper.modifiers.tempo)
    return Step(
        *link,
        ratio=Estimate(
            likely,
            likely * plain_low / plain,
            likely * plain_high / plain,
            "×",
            Derivation(
                "Demand of the upper rung ÷ demand of the lower, tempo and range counted as load. "
                "The range is that of one body doing both.",
                (
                    Input("upper", above.on_scale.likely, above.on_scale.unit),
                    Input("lower", below.on_scale.likely, below.on_scale.unit),
                ),
                ("ours",),
            ),
        ),
        above=expected,
        gap=expected.likely < policy.least(upper.prescription.unit),
        easier=likely < 1.0,
    )


def belongs(demands: tuple[Demand, ...], asks: float, lane: Lane | None = None) -> int:
    """Position at which a set-up of this demand belongs: right above the highest rung of its lane
    that asks no more, 0 where none asks so little."""
    under = [
        i
        for i, demand in enumerate(demands)
        if demand.height <= asks and (lane is None or demand.lane == lane)
    ]
    return max(under, default=-1) + 1


@lru_cache(maxsize=512)
def measure(
    body: Body,
    rungs: tuple[Rung, ...],
    links: tuple[Link, ...] | None = None,
    policy: StepPolicy = USUAL_POLICY,
) -> MeasuredLadder:
    """Demands and steps of `rungs` for `body`.

    Args:
        body: whose.
        rungs: from the foot up.
        links: from a lower to an upper position; each rung from the one before if left out.
        policy: what counts as a gap.

    Raises:
        InputError: if a rung is out of this body's reach, or a link turns back.
    """
    joined = chain(len(rungs)) if links is None else links
    check_links(tuple(rung.name for rung in rungs), joined)
    demands = tuple(demand(body, rung) for rung in rungs)
    steps = tuple(
        step(rungs[i], rungs[j], demands[i], demands[j], (i, j), policy) for i, j in joined
    )
    return MeasuredLadder(rungs, demands, steps, policy)
