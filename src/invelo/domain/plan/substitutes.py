"""What is done in place of a movement that a place, kit or time closes.

The same pattern and limb, counted alike, with a prescription that fits who does it; then another
pattern for the same prime mover; never by a helper. Source: common practice.
"""

from collections.abc import Collection, Iterator, Mapping
from dataclasses import dataclass, replace
from math import exp, floor

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.plan.methods import prescription_for
from invelo.domain.plan.prescription import LEAST_USEFUL, Level, Prescription
from invelo.domain.strength.holds import LONGEST_SHARE
from invelo.domain.strength.says import work_of
from invelo.domain.strength.state import State

UNTESTED_RPE = 6.5
"""Effort asked of someone of whom nothing tells what they can do there (common practice)."""


@dataclass(frozen=True)
class Substitute:
    """A movement in place of another, as much of it as fits.

    Attributes:
        movement, prescription: what is done.
        same_pattern: whether it trains the same pattern; another for the same prime mover if not.
        likely: reps or seconds that are there, fresh; None where nothing tells.
    """

    movement: Movement
    prescription: Prescription
    same_pattern: bool
    likely: float | None


def substitutes(
    of: Movement,
    asked: Prescription,
    body: Body,
    open_movements: Collection[str],
    states: Mapping[Lane, State],
    level: Level = "beginner",
    taken: Collection[str] = (),
) -> Iterator[Substitute]:
    """What can stand in for a movement, the nearest first.

    Args:
        of: what is closed.
        asked: of it.
        body: whose.
        open_movements: ids of what nothing closes.
        states: what is known of them today, by lane.
        level: for what nothing is known of.
        taken: ids that are done already.
    """
    candidates = []
    for other in catalogue().movement:
        same = other.family == of.family
        if other.id not in open_movements or other.id in taken or not _stands_in(other, of):
            continue
        fitted = _fitted(other, asked, body, states, level)
        if fitted is not None:
            prescription, likely = fitted
            candidates.append(
                (_rank(of, other, asked, likely), Substitute(other, prescription, same, likely))
            )
    yield from (substitute for _, substitute in sorted(candidates, key=lambda ranked: ranked[0]))


def _stands_in(other: Movement, of: Movement) -> bool:
    """Whether one movement may stand in for another at all: counted alike, the same pattern or a
    prime mover in common; another pattern is no skill and stresses no joint harder."""
    if other.id == of.id or other.unit != of.unit or other.unit == "cm":
        return False
    if other.only_prepares or other.family == "balance and mobility":
        return False
    if other.family == of.family:
        return True
    hardest = max(of.stress.values(), default=1)
    return (
        bool(of.prime.keys() & other.prime.keys())
        and other.rest != "skill"
        and all(how <= hardest for how in other.stress.values())
    )


def _fitted(
    other: Movement,
    asked: Prescription,
    body: Body,
    states: Mapping[Lane, State],
    level: Level,
) -> tuple[Prescription, float | None] | None:
    """As much as fits; None where less than its least useful is there."""
    work = work_of(body, other, other.own(Modifiers()))
    state = states.get(other.posture.lane)
    if work is None or state is None:
        usual = prescription_for("double_progression", "strength", level, other.unit)
        rpe = min(asked.rpe, UNTESTED_RPE)
        return replace(usual, sets=asked.sets, rpe=rpe, rest=asked.rest), None
    likely = exp(float(work.log_count(state.on(work)[0])))
    there = LONGEST_SHARE * likely if other.unit == "s" else likely - asked.reserve
    least = LEAST_USEFUL[other.unit]
    if there < least:
        return None
    high = max(int(least), min(asked.high, floor(there)))
    low = min(asked.low, high)
    return replace(asked, low=low, high=high, unit=other.unit), likely


def _rank(
    of: Movement, other: Movement, asked: Prescription, likely: float | None
) -> tuple[float | str, ...]:
    """Lower is nearer: the pattern, the limb, the way of counting; then what fits what is asked
    best, the most of what does the same work, and the easiest of what nothing tells."""
    alike = sum(min(share, other.share_of(region)) for region, share in of.prime.items())
    away = abs(likely - asked.asks) / asked.asks if likely is not None else 1.0
    easy = sum(other.stress.values())
    return (
        other.family != of.family,
        other.counted != of.counted,
        other.rest == "skill",
        likely is None,
        round(away, 2),
        -alike,
        easy if likely is None else 0,
        other.name,
    )
