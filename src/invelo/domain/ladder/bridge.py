"""Bridges: the rungs that close a gap with what is to hand.

Among all set-ups of the family that the kit allows, the chain is taken that climbs from the lower
to the upper rung with every step under the wanted size: first by the fewest rungs, then by the
least distance from the upper movement, then by what the coach likes best, then by name.
"""

from collections.abc import Mapping
from dataclasses import dataclass, replace

import numpy as np
from numpy.typing import NDArray

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.equipment.kit import ToHand
from invelo.domain.errors import InputError
from invelo.domain.ladder.candidates import Candidates, Scales, SetUpOf, candidates
from invelo.domain.ladder.rung import Demand, Rung, demand
from invelo.domain.ladder.shortest import Costs, shortest
from invelo.domain.ladder.step_policy import USUAL_POLICY, Lever, StepPolicy
from invelo.domain.strength.tempo import Tempo

ANOTHER = 1000
"""What a unit of distance outweighs: any preference over `MOST_BETWEEN` rungs."""

NEAR = {
    0: "the upper rung's own movement",
    1: "limited by the same as the upper rung",
    2: "of the same family",
}

CHANGED: dict[Lever, str] = {
    "tempo": "slower",
    "lever": "another leverage",
    "range": "another range",
    "load": "another load",
}

BLOCKS = tuple(round(0.05 * i, 2) for i in range(1, 15))
HELPS = tuple(2.5 * i for i in range(1, 17))
BAGS = tuple(0.5 * i for i in range(1, 31))
"""Kit that is tried where none at hand is enough: a block, a band's help, a bag."""


@dataclass(frozen=True)
class ProposedRung:
    """A rung of a bridge.

    Attributes:
        rung: with the lower rung's prescription and criterion.
        demand: what it asks.
        ratio: its demand ÷ the one below it.
        distance: 0 the upper rung's movement, 1 limited by the same, 2 of the same family.
        levers: kinds of change.
        why: why it and no other, in words.
    """

    rung: Rung
    demand: Demand
    ratio: float
    distance: int
    levers: tuple[Lever, ...]
    why: str


@dataclass(frozen=True)
class Bridge:
    """What closes a gap.

    Attributes:
        rungs: from the lowest; empty where the step is no larger than wanted, or nothing fits.
        last: upper demand ÷ the last proposed rung's.
        considered: how many candidates were looked at.
        possible: whether the kit closes it.
        missing: what one piece of kit would do, where it does not.
    """

    rungs: tuple[ProposedRung, ...]
    last: float
    considered: int
    possible: bool
    missing: str = ""


def bridge(
    body: Body,
    lower: Rung,
    upper: Rung,
    hand: ToHand,
    policy: StepPolicy = USUAL_POLICY,
    capacity: Mapping[Lane, float] | None = None,
    allowed: frozenset[str] | None = None,
) -> Bridge:
    """The rungs between two.

    Args:
        body: whose.
        lower, upper: the rungs.
        hand: what can be set up with.
        policy: wanted step and order of preference.
        capacity: likely capacity by lane, where it is known: on the share of it, rungs of two lanes
            of one family compare.
        allowed: movements that nothing closes; all if None.

    Raises:
        InputError: if nothing compares the two, or a rung is out of this body's reach.

    Source: ours; exact, see `shortest`.
    """
    scales = _scales(lower, upper, capacity or {})
    below, above = demand(body, lower), demand(body, upper)
    low, high = below.height * dict(scales)[lower.movement.posture.lane], above.height
    options = candidates(body, lower, upper, hand, scales, allowed)
    chain = _chain(options, lower, upper, low, high, policy)
    if chain is None:
        missing = _missing(body, lower, upper, hand, scales, allowed, (low, high), policy)
        return Bridge((), high / low, len(options.heights), False, missing)
    rungs = []
    last = low
    for index in chain:
        proposed_rung = _proposed(body, options, index, lower, upper, last)
        rungs.append(proposed_rung)
        last = float(options.heights[index])
    return Bridge(tuple(rungs), high / last, len(options.heights), True)


def _scales(lower: Rung, upper: Rung, capacity: Mapping[Lane, float]) -> Scales:
    """The lanes that compare with the upper rung's, and by how much."""
    for rung in (lower, upper):
        if rung.movement.rpe_only:
            raise InputError(
                "bridge",
                f"only effort tells “{rung.name}”; there is no step to divide.",
                "Add a rung by hand, and say in its cue what makes it harder.",
            )
    here, there = upper.movement.posture.lane, lower.movement.posture.lane
    scales = {here: 1.0}
    if here in capacity:
        counted = upper.movement.posture.counted
        scales |= {
            lane: capacity[here] / known
            for lane, known in capacity.items()
            if lane != here and lane[3] == counted and known > 0.0
        }
    if there not in scales:
        raise InputError(
            "bridge",
            f"“{lower.name}” and “{upper.name}” are limited by different things.",
            "Test both, so that each can be told as a share of what the athlete can do.",
        )
    return tuple(scales.items())


def _chain(
    candidates: Candidates,
    lower: Rung,
    upper: Rung,
    low: float,
    high: float,
    policy: StepPolicy,
    among: NDArray[np.intp] | None = None,
) -> tuple[int, ...] | None:
    chosen = np.arange(len(candidates.heights)) if among is None else among
    costs = costs_of(candidates, lower, upper, policy)[chosen]
    names = _Names(candidates, chosen)
    chain = shortest(low, high, 1.0 + policy.step, candidates.heights[chosen], costs, names)
    return None if chain is None else tuple(int(chosen[i]) for i in chain)


class _Names:
    """Names of candidates, made when they are asked for."""

    def __init__(self, candidates: Candidates, chosen: NDArray[np.intp]) -> None:
        self.found, self.chosen = candidates, chosen

    def __call__(self, index: int) -> str:
        return self.found.name(int(self.chosen[index]))


def costs_of(candidates: Candidates, lower: Rung, upper: Rung, policy: StepPolicy) -> Costs:
    """What taking each candidate costs: distance first, then the coach's order, shape `(n,)`."""
    plain = np.array(
        [_cost(set_up, set_up.levers, lower, upper, policy) for set_up in candidates.setups]
    )
    slow = np.array(
        [
            _cost(set_up, set_up.levers | SLOWER, lower, upper, policy)
            for set_up in candidates.setups
        ]
    )
    changed = np.array([tempo != Tempo() for tempo in candidates.tempos])
    return np.where(
        changed[candidates.tempo], slow[candidates.setup], plain[candidates.setup]
    ).astype(np.int64)


SLOWER: frozenset[Lever] = frozenset({"tempo"})
ELSEWHERE: frozenset[Lever] = frozenset({"lever"})


def _cost(
    set_up: SetUpOf, levers: frozenset[Lever], lower: Rung, upper: Rung, policy: StepPolicy
) -> int:
    kinds = levers or ELSEWHERE
    if set_up.movement is not lower.movement:
        kinds = kinds | ELSEWHERE
    return ANOTHER * _distance(set_up, upper) + sum(policy.order.index(kind) + 1 for kind in kinds)


def _distance(set_up: SetUpOf, upper: Rung) -> int:
    if set_up.movement is upper.movement:
        return 0
    return 1 if set_up.movement.posture.lane == upper.movement.posture.lane else 2


def _proposed(
    body: Body, candidates: Candidates, index: int, lower: Rung, upper: Rung, below: float
) -> ProposedRung:
    set_up = candidates.of(index)
    rung = Rung(
        candidates.name(index),
        set_up.movement,
        candidates.modifiers(index),
        lower.prescription,
        lower.criterion,
    )
    distance = _distance(set_up, upper)
    levers = tuple(sorted(candidates.levers(index)))
    ratio = float(candidates.heights[index]) / below
    changes = " and ".join(CHANGED[lever] for lever in levers) or "a movement in between"
    return ProposedRung(
        rung,
        demand(body, rung),
        ratio,
        distance,
        levers,
        f"{changes.capitalize()}; {NEAR[distance]}; ×{ratio:.2f} of the rung below.",
    )


def _missing(
    body: Body,
    lower: Rung,
    upper: Rung,
    hand: ToHand,
    scales: Scales,
    allowed: frozenset[str] | None,
    ends: tuple[float, float],
    policy: StepPolicy,
) -> str:
    """What one piece of kit would do: a block, else a bag, else a band's help."""

    def tried(more: ToHand) -> Candidates:
        return candidates(body, lower, upper, more, scales, allowed)

    kinds = hand.kinds
    with_block = replace(
        hand,
        kinds=None if kinds is None else kinds | {"surface"},
        heights=tuple(sorted({*hand.heights, *BLOCKS})),
    )
    attempt = tried(with_block)
    heights = [_new_heights(set_up, hand) for set_up in attempt.setups]
    for block in BLOCKS:
        fits = np.array([not new - {block} for new in heights])
        among = np.flatnonzero(fits[attempt.setup])
        chain = _chain(attempt, lower, upper, *ends, policy, among)
        if chain is not None and any(heights[int(attempt.setup[i])] for i in chain):
            return f"A block of {100 * block:.0f} cm would do it, in {_rungs(len(chain))}."
    attempt = tried(replace(hand, loads=tuple(sorted({*hand.loads, *BAGS}))))
    chain = _chain(attempt, lower, upper, *ends, policy)
    if chain is not None:
        most = max(attempt.modifiers(i).added_load.total for i in chain)
        return f"A bag filled up to {most:g} kg would do it, in {_rungs(len(chain))}."
    attempt = tried(replace(hand, assistances=HELPS))
    chain = _chain(attempt, lower, upper, *ends, policy)
    if chain is not None:
        assistances = [
            assistance.kg
            for assistance in (attempt.modifiers(i).assistance for i in chain)
            if assistance
        ]
        return (
            f"A band that takes {min(assistances):g} to {max(assistances):g} kg at the hips "
            "would do it, in "
            f"{_rungs(len(chain))}."
        )
    return "No one block, bag or band closes it: ask for larger steps, or go over another movement."


def _new_heights(set_up: SetUpOf, hand: ToHand) -> frozenset[float]:
    """Heights a set-up asks for that are not to hand."""
    kit = {
        parameter.name
        for parameter in set_up.movement.posture.parameter
        if parameter.tried == "kit"
    }
    own = set(set_up.movement.values.values())
    return frozenset(
        value
        for name, value in set_up.modifiers.values
        if name in kit and value not in (0.0, *hand.heights) and value not in own
    )


def _rungs(count: int) -> str:
    return f"{count} rung" + "s" * (count != 1)
