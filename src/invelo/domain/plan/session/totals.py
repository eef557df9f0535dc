"""What a session adds up to: hard sets by region, torque × seconds by joint, both sides."""

from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass
from functools import lru_cache
from typing import TypeVar

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.movement import Modifiers, Movement, Muscle
from invelo.domain.catalogue.tags import NO_TAGS, Tags
from invelo.domain.errors import InputError
from invelo.domain.estimate import Derivation, Estimate
from invelo.domain.plan.session.work import Item, WorkSet

HELPER = 0.5
"""What a set counts for a region that only helps (common practice); 1 for a prime mover."""

HELPS_FROM = 25
"""Per cent of the work from which a helper's sets count at all (ours)."""

PUSH = ("horizontal push", "vertical push", "dip", "straight-arm push", "triceps")
PULL = ("horizontal pull", "vertical pull", "straight-arm pull", "curl")
"""Families that push and that pull with the arms."""


STILL = "towel and stick"
"""The family of what is pulled or pushed and does not give."""


@dataclass(frozen=True)
class Totals:
    """What a session, or a week of them, adds up to.

    Attributes:
        regions: hard sets by region.
        tags: the same by the coach's own tags.
        joints: torque × seconds by joint, N·m·s, both sides together.
        left, right: seconds at work of each side, of what is counted by side.
        push, pull: hard sets that push and that pull.
        effort_only: movements that no torque can be told of.
    """

    regions: dict[Muscle, float]
    tags: dict[str, float]
    joints: dict[str, Estimate]
    left: float
    right: float
    push: float
    pull: float
    rpe_only: tuple[str, ...]


def set_of(movement: Movement) -> dict[Muscle, float]:
    """What one hard set counts by region: 1 for a prime mover, 0.5 for a helper that does a
    quarter of the work or more, nothing for the others."""
    helpers = {region: HELPER for region, share in movement.helping.items() if share >= HELPS_FROM}
    return {**helpers, **dict.fromkeys(movement.prime, 1.0)}


def hard_sets(items: Iterable[Item]) -> dict[Muscle, float]:
    """Hard sets by region, as `set_of` counts them; easy sets do not count."""
    return _hard_sets(items, set_of)


def tagged_sets(items: Iterable[Item], tags: Tags) -> dict[str, float]:
    """Hard sets by a coach's own tags: one for each that a movement has."""
    return _hard_sets(items, lambda movement: dict.fromkeys(tags.get(movement.id, ()), 1.0))


Of = TypeVar("Of", bound=str)


def _hard_sets(
    items: Iterable[Item], counts: Callable[[Movement], Mapping[Of, float]]
) -> dict[Of, float]:
    sums: dict[Of, float] = {}
    for item in items:
        for work_set in item.sets:
            if work_set.kind == "easy":
                continue
            for movement, _, part in work_set.parts:
                for region, count in counts(movement).items():
                    sums[region] = sums.get(region, 0.0) + count * part * work_set.share
    return sums


def balance(items: Iterable[Item]) -> tuple[float, float]:
    """Hard sets that push and that pull."""
    push = pull = 0.0
    for item in items:
        count = sum(work_set.share for work_set in item.sets if work_set.kind != "easy")
        if pushes(item.movement):
            push += count
        elif pulls(item.movement):
            pull += count
    return push, pull


def pushes(movement: Movement) -> bool:
    """Whether the arms push: by the family, or against something that does not give."""
    still = movement.family == STILL and "chest" in movement.prime
    return movement.family in PUSH or still


def pulls(movement: Movement) -> bool:
    """Whether the arms pull: by the family, or against something that does not give."""
    still = movement.family == STILL and bool({"lats", "upper back"} & movement.prime.keys())
    return movement.family in PULL or still


@lru_cache(maxsize=8192)
def torques(body: Body, movement: Movement, modifiers: Modifiers) -> dict[str, Estimate]:
    """Size of every joint's torque, N·m; empty where only the effort tells, or out of reach."""
    if movement.rpe_only:
        return {}
    try:
        return reading(body, modifiers.setup(movement)).torques
    except InputError:
        return {}


def torque_seconds(body: Body, sets: Iterable[WorkSet]) -> dict[str, Estimate]:
    """Torque × seconds by joint, N·m·s.

    The torque is that of the posture where the demand is told, taken over the whole set: the set's
    upper bound, which serves to compare one way of doing it with another (ours).
    """
    sums: dict[str, list[float]] = {}
    parts = ((work_set, *part) for work_set in sets for part in work_set.parts)
    for work_set, movement, modifiers, part in parts:
        for joint, torque in torques(body, movement, modifiers).items():
            ends = (work_set.amount, work_set.low, work_set.high)
            seconds = [work_set.seconds(amount) * work_set.sides * part for amount in ends]
            triple = (torque.likely, torque.low, torque.high)
            mine = sums.setdefault(joint.removeprefix("other_"), [0.0, 0.0, 0.0])
            for k in range(3):
                mine[k] += triple[k] * seconds[k]
    how = Derivation(
        "Joint torque where the demand is told × seconds at work, added up over the sets.",
        (),
        ("plane statics", "ours"),
    )
    return {
        joint: Estimate(likely, min(low, likely), max(high, likely), "N·m·s", how)
        for joint, (likely, low, high) in sums.items()
    }


def totals(body: Body, items: Iterable[Item], tags: Tags = NO_TAGS) -> Totals:
    """What items add up to for a body, with a coach's tags."""
    all_items = tuple(items)
    sets = [work_set for item in all_items for work_set in item.sets]
    push, pull = balance(all_items)
    rpe_only = dict.fromkeys(item.name for item in all_items if item.movement.rpe_only)
    return Totals(
        hard_sets(all_items),
        tagged_sets(all_items, tags),
        torque_seconds(body, sets),
        sum(work_set.seconds_on("left") for work_set in sets),
        sum(work_set.seconds_on("right") for work_set in sets),
        push,
        pull,
        tuple(rpe_only),
    )
