"""A warm-up made from the day's patterns: general first, then an easier rung of each.

Source: common practice: 5 to 10 minutes, then one easier set of each pattern.
"""

from collections.abc import Iterable
from dataclasses import replace

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.session.work import Block, Item, WorkSet

LEAST_GENERAL = 300.0
"""Seconds of general warm-up, at least."""

SHORT_SESSION, LEAST_SHORT = 15.0, 120.0
"""A session of fewer minutes has so many seconds of it (common practice)."""

OWN_AMOUNT: dict[str, int] = {"reps": 10, "s": 30, "cm": 3}
"""Reps or seconds of a piece of the coach's own list that is not among those below (ours)."""

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

PULSE: tuple[tuple[str, int], ...] = (
    ("jog-on-the-spot", 90),
    ("jumping-jacks", 30),
    ("stairs-climb", 120),
    ("march-on-the-spot", 120),
    ("step-jack", 40),
)
"""What raises the pulse, the liveliest first: one of them opens the warm-up."""

GENERAL: tuple[tuple[str, int, frozenset[str]], ...] = (
    ("arm-circles", 20, ARMS),
    ("overhead-reach", 16, ARMS),
    ("arms-back-raise", 10, ARMS),
    ("forward-reach", 12, frozenset({"horizontal pull", "vertical pull", "straight-arm pull"})),
    ("hands-behind-stretch", 20, frozenset({"dip", "straight arms behind"})),
    ("chest-opening", 20, ARMS),
    ("wrist-rocks", 15, frozenset({"vertical push", "straight-arm push", "compression"})),
    ("wrist-circles", 15, frozenset({"horizontal push", "vertical push", "straight-arm push"})),
    ("leg-swings", 10, LEGS),
    ("side-lunge", 10, LEGS),
    ("hip-circles", 12, LEGS),
    ("round-and-hollow", 10, frozenset()),
    ("trunk-turn", 12, frozenset()),
)
"""Movement, reps or seconds, and the families it is for; none for all."""


def general(families: Iterable[str], trainee: Trainee) -> tuple[Item, ...]:
    """What warms up for some families, of what nothing closes: one piece that raises the pulse,
    then the day's patterns and places; at least five minutes of it, two before a short session. A
    coach's own list stands as it is."""
    if trainee.warm_up:
        own = (drill for drill in trainee.warm_up if _open(drill, trainee))
        return tuple(_piece(drill, _own_amount(drill)) for drill in own)
    there = frozenset(families)
    least = least_general(trainee.minutes)
    pulse = next((drill for drill in PULSE if _open(drill[0], trainee)), None)
    chosen = [_piece(*pulse)] if pulse else []
    for movement_id, amount, for_families in GENERAL:
        if sum(_seconds(item) for item in chosen) >= least:
            break
        if _open(movement_id, trainee) and (not for_families or for_families & there):
            chosen.append(_piece(movement_id, amount))
    return _stretched(chosen, least)


def least_general(minutes: float | None) -> float:
    """Seconds of general warm-up that a session of so many minutes begins with, at least."""
    return LEAST_SHORT if minutes is not None and minutes < SHORT_SESSION else LEAST_GENERAL


def within_short(items: Iterable[Item]) -> tuple[Item, ...]:
    """The first pieces of a general warm-up, as many as a short session begins with."""
    kept: list[Item] = []
    for item in items:
        if kept and sum(_seconds(other) for other in kept) >= LEAST_SHORT:
            break
        kept.append(item)
    return tuple(kept)


def _own_amount(movement_id: str) -> int:
    known = {**dict(PULSE), **{drill: amount for drill, amount, _ in GENERAL}}
    return known.get(movement_id, OWN_AMOUNT[catalogue().find_movement(movement_id).unit])


def _open(movement_id: str, trainee: Trainee) -> bool:
    movement = catalogue().find_movement(movement_id)
    return not trainee.shut(movement, movement.own(Modifiers()))


def _piece(movement_id: str, amount: int) -> Item:
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
    return Item(f"warm-up:{movement_id}", movement.name, "preparation", (work_set,))


def _stretched(chosen: list[Item], least: float) -> tuple[Item, ...]:
    """Gone through again, piece by piece, until the time is there; twice at most."""
    items = list(chosen)
    for i, item in enumerate(chosen):
        if sum(_seconds(other) for other in items) >= least:
            break
        items[i] = replace(item, sets=item.sets * 2)
    return tuple(items)


def _seconds(item: Item) -> float:
    return sum(
        work_set.seconds(work_set.amount) * work_set.sides + work_set.rest for work_set in item.sets
    )


def of_pattern(item: Item, trainee: Trainee | None = None) -> Item | None:
    """One easier set of an item's pattern: half the amount, on the rung below where that is open
    and counted alike, or on the same rung."""
    work_set = item.main
    rung: Rung | None = item.easier[0] if item.easier else None
    low = max(1, work_set.low // 2)
    easy = replace(work_set, low=low, high=low, rpe=EASY_RPE, rest=SET_REST, kind="easy", side="")
    shut = trainee is not None and rung and trainee.shut(rung.movement, rung.modifiers)
    if rung is not None and not shut and rung.movement.unit == work_set.unit:
        easy = easy.on(rung)
    return Item(f"warm-up:{item.key}", easy.name, "preparation", (easy,), rig=item.rig)


def warm_up(items: Iterable[Item], trainee: Trainee, *, whole: bool = True) -> Block:
    """The warm-up of a session.

    Args:
        items: of the session, in order.
        trainee: who, with what is closed to them.
        whole: whether the general part is made too.
    """
    given = [item for item in items if item.role in ("skill", "strength")]
    first: dict[str, Item] = {}
    for item in given:
        first.setdefault(item.movement.family, item)
    families = list(first) or [item.movement.family for item in items]
    easier = tuple(made for item in first.values() if (made := of_pattern(item, trainee)))
    return Block(
        "warm-up",
        (*(general(families, trainee) if whole else ()), *easier),
        words="general, then one easier set of each pattern",
    )
