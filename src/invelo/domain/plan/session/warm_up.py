"""A warm-up made from the day's patterns: general first, then an easier rung of each.

Source: common practice: 5 to 10 minutes, then one easier set of each pattern.
"""

from collections.abc import Iterable
from dataclasses import replace

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.session.work import Block, Item, WorkSet

LEAST_GENERAL = 300.0
"""Seconds of general warm-up, at least."""

EASY_RPE = 4.0
SHORT_REST = 10.0
SET_REST = 30.0

ARMS = frozenset(
    {
        "horizontal push",
        "vertical push",
        "dip",
        "horizontal pull",
        "vertical pull",
        "straight-arm push",
        "straight-arm pull",
        "straight arms behind",
        "compression",
    }
)
LEGS = frozenset(
    {"squat", "split and one-leg squat", "lunge and step", "hinge and bridge", "jump and land"}
)

GENERAL: tuple[tuple[str, int, frozenset[str]], ...] = (
    ("jog-on-the-spot", 90, frozenset()),
    ("jumping-jacks", 20, frozenset()),
    ("arm-circles", 20, ARMS),
    ("arms-back-raise", 10, ARMS),
    ("chest-opening", 20, ARMS),
    ("wrist-rocks", 15, frozenset({"vertical push", "straight-arm push", "compression"})),
    ("leg-swings", 10, LEGS),
    ("side-lunge", 10, LEGS),
    ("round-and-hollow", 10, frozenset()),
)
"""Movement, reps or seconds, and the families it is for; none for all."""

INSTEAD = ("stairs-climb", 120, frozenset[str]())
"""Where neither jogging nor jumping is open: two minutes of stairs."""


def general(families: Iterable[str], open_movements: frozenset[str]) -> tuple[Item, ...]:
    """What warms up for some families, of what nothing closes; at least five minutes of it."""
    there = frozenset(families)
    chosen: list[Item] = []
    livelier = {"jog-on-the-spot", "jumping-jacks"} & open_movements
    for movement_id, amount, for_families in (*(() if livelier else (INSTEAD,)), *GENERAL):
        if movement_id not in open_movements or (for_families and not for_families & there):
            continue
        movement = catalogue().find_movement(movement_id)
        work_set = WorkSet(
            movement.name,
            movement,
            movement.own(Modifiers()),
            amount,
            amount,
            EASY_RPE,
            SHORT_REST,
            "easy",
        )
        chosen.append(Item(f"warm-up:{movement_id}", movement.name, "preparation", (work_set,)))
    return _stretched(chosen)


def _stretched(chosen: list[Item]) -> tuple[Item, ...]:
    """Gone through again, piece by piece, until the time is there; twice at most."""
    items = list(chosen)
    for i, item in enumerate(chosen):
        if sum(_seconds(other) for other in items) >= LEAST_GENERAL:
            break
        items[i] = replace(item, sets=item.sets * 2)
    return tuple(items)


def _seconds(item: Item) -> float:
    return sum(
        work_set.seconds(work_set.amount) * work_set.sides + work_set.rest for work_set in item.sets
    )


def of_pattern(item: Item) -> Item | None:
    """One easier set of an item's pattern: the rung below at half the amount, or the same rung."""
    work_set = item.main
    rung: Rung | None = item.easier[0] if item.easier else None
    low = max(1, work_set.low // 2)
    easy = replace(work_set, low=low, high=low, rpe=EASY_RPE, rest=SET_REST, kind="easy", side="")
    if rung is not None and rung.movement.unit == work_set.unit:
        easy = easy.on(rung)
    return Item(f"warm-up:{item.key}", easy.name, "preparation", (easy,), rig=item.rig)


def warm_up(items: Iterable[Item], open_movements: frozenset[str]) -> Block:
    """The warm-up of a session.

    Args:
        items: of the session, in order.
        open_movements: ids that nothing closes to whoever trains.
    """
    given = [item for item in items if item.role in ("skill", "strength")]
    first: dict[str, Item] = {}
    for item in given:
        first.setdefault(item.movement.family, item)
    families = list(first) or [item.movement.family for item in items]
    easier = tuple(made for item in first.values() if (made := of_pattern(item)))
    return Block(
        "warm-up",
        (*general(families, open_movements), *easier),
        words="general, then one easier set of each pattern",
    )
