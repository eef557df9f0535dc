"""Kit by size: what may be rigged and what may not, against a plain reading of heights."""

from collections.abc import Callable
from datetime import date, timedelta
from math import inf
from random import Random

import pytest

from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.readiness import CHECKS
from invelo.domain.biomechanics.body import AddedLoad, Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.catalogue.needs import needs_of
from invelo.domain.equipment.kit import KitItem, Room, SafetyCheck, lapsing
from invelo.domain.equipment.need import Need, missing, pieces
from invelo.domain.errors import InputError

TODAY = date(2026, 3, 2)
SAFE = SafetyCheck(TODAY, True, "Ilse Marn")
EVERY_CHECK = frozenset(check.id for check in CHECKS)


def thing(kind: str, height: float | None = None, **more: object) -> KitItem:
    fields: dict[str, object] = {"name": f"{kind} {height}", "check": SAFE, **more}
    return KitItem(kind, height=height, **fields)  # type: ignore[arg-type]


def may(movement_id: str, *items: KitItem, stature: float = 1.75, mass: float = 75.0) -> str:
    """'' where it may be done, why not otherwise."""
    guard = Guard(
        passed=EVERY_CHECK,
        rooms=(Room("Stage", "gripping", items),),
        today=TODAY,
        body=Body(mass, stature),
    )
    return guard.unavailable_reason(catalogue().find_movement(movement_id), Modifiers())


# ---- five hundred random kits against a plain reading of what stands there --------------------

Kit = tuple[KitItem, ...]
Verdict = bool | None
"""Whether it can be rigged; None within the tables' own width."""

TABLES = 0.06
"""Of stature: tables of segments differ by so much."""


def free_hang(kit: Kit, stature: float) -> Verdict:
    """From a table of segments (Winter 2009, as shares of stature, from memory): a grip stands
    0.332 above the shoulder with the arm straight (0.186 + 0.146, the hand closed), the knee
    0.288 + 0.245 under it; a palm's breadth stays free."""
    return at_least(kit, ("bar", "rings"), 0.865 * stature + 0.05, TABLES * stature)


def at_least(kit: Kit, kinds: tuple[str, ...], least: float, width: float) -> Verdict:
    heights = [item.height or 0.0 for item in kit if item.kind in kinds]
    if any(height > least + width for height in heights):
        return True
    return None if any(height > least - width for height in heights) else False


def feet_helped(kit: Kit, stature: float) -> Verdict:
    """Seated under it: the arm and the trunk, 0.332 + 0.288."""
    return at_least(kit, ("bar", "rings"), 0.62 * stature + 0.05, TABLES * stature)


def dip(kit: Kit, stature: float) -> Verdict:
    """Upper arms level: the shoulder a forearm (0.146) over the bar, the knee 0.533 under it."""
    least = (0.533 - 0.146) * stature + 0.05
    return at_least(kit, ("parallel bars", "rings"), least, 2 * TABLES * stature)


def within(kit: Kit, kinds: tuple[str, ...], low: float, high: float, count: int = 1) -> bool:
    return any(
        low <= height <= high
        for item in kit
        if item.kind in kinds and item.count >= count
        for height in (
            [round(step * (item.height or 0.0), 3) for step in (1, 2, 3)]
            if item.kind == "stairs"
            else [item.height or 0.0]
        )
    )


def one_of(*kinds: str) -> Callable[[Kit, float], Verdict]:
    return lambda kit, _: any(item.kind in kinds for item in kit)


def seat(kit: Kit, _: float) -> Verdict:
    """From a low bench to a high stool (common practice)."""
    return within(kit, ("chair", "surface"), 0.3, 0.65)


def step(kit: Kit, stature: float) -> Verdict:
    """A stair up to nearly twice its height, never over the knee (0.285; common practice)."""
    return within(kit, ("stairs", "surface"), 0.02, min(0.32, 0.285 * stature + 0.05))


def both_hands_on_chairs(kit: Kit, stature: float) -> Verdict:
    """Hip and knee under straight arms (0.533 − 0.332), a pair of chairs or bars or rings."""
    pairs = tuple(item for item in kit if item.kind != "chair" or item.count >= 2)
    least = (0.533 - 0.332) * stature + 0.05
    return at_least(pairs, ("chair", "parallel bars", "rings"), least, TABLES * stature)


PLAIN: dict[str, Callable[[Kit, float], Verdict]] = {
    **dict.fromkeys(
        ("pull-up", "hang", "archer-pull-up", "hanging-knee-raise", "shoulder-blade-pull-up"),
        free_hang,
    ),
    "feet-helped-hang": feet_helped,
    "dip": dip,
    "support-hold": both_hands_on_chairs,
    "chair-squat": seat,
    "bench-dip": lambda kit, _: within(kit, ("chair", "surface", "stairs"), 0.3, 0.65),
    "feet-raised-bench-dip": lambda kit, _: within(kit, ("chair", "surface"), 0.3, 0.6, 2),
    "three-support-push-up": lambda kit, _: within(kit, ("chair",), 0.3, 0.6, 3),
    "counter-push-up": lambda kit, _: within(kit, ("surface", "parallel bars"), 0.75, 1.05),
    "step-up": step,
    "step-calf-raise": lambda kit, _: within(kit, ("stairs", "surface"), 0.05, 0.25),
    "wall-push-up": one_of("wall"),
    "wall-sit": one_of("wall"),
    "band-apart": one_of("band"),
    "ring-push-up": one_of("rings", "straps"),
    "curl": one_of("load", "bag"),
    "push-up": lambda kit, _: True,
    "plank": lambda kit, _: True,
    "one-leg-squat": lambda kit, _: True,
    "towel-pull-up": lambda kit, stature: (
        free_hang(kit, stature) if any(i.kind in ("towel", "straps") for i in kit) else False
    ),
    "deep-handstand-push-up": lambda kit, _: (
        any(i.kind == "wall" for i in kit)
        and (
            within(kit, ("surface",), 0.05, 0.35, 2)
            or any(i.kind == "load" and i.count >= 2 for i in kit)
        )
    ),
}

HEIGHTS = {
    "bar": (0.8, 2.6),
    "rings": (1.2, 2.8),
    "straps": (1.2, 2.8),
    "parallel bars": (0.2, 1.3),
    "chair": (0.35, 0.5),
    "surface": (0.05, 1.3),
    "stairs": (0.14, 0.2),
}
WEIGHTS = {"load": (1.0, 10.0), "bag": (5.0, 15.0)}


def random_kit(random: Random) -> Kit:
    kinds = (*HEIGHTS, *WEIGHTS, "wall", "towel", "band")
    made = []
    for i, kind in enumerate(random.choices(kinds, k=random.randint(0, 6))):
        low, high = HEIGHTS.get(kind, (0, 0))
        height = round(random.uniform(low, high), 2) if high else None
        light, heavy = WEIGHTS.get(kind, (0, 0))
        kg = round(random.uniform(light, heavy), 1) if heavy else None
        count = random.choice((1, 1, 2, 3)) if kind in ("chair", "surface", "load") else 1
        made.append(thing(kind, height, name=f"{kind} {i}", kg=kg, count=count))
    return tuple(made)


@pytest.mark.parametrize("block", range(10))
def test_over_random_kits_nothing_is_open_that_cannot_be_rigged_and_nothing_closed_that_could(
    block: int,
) -> None:
    """Five hundred kits in all, each asked about every movement of the plain reading."""
    random = Random(25 + block)
    judged = 0
    for _ in range(50):
        stature = round(random.uniform(1.3, 2.05), 2)
        kit = random_kit(random)
        for movement, plainly in PLAIN.items():
            if not kit:
                continue  # nothing is known of the room: nothing is missed
            verdict = plainly(kit, stature)
            told = may(movement, *kit, stature=stature)
            if verdict is not None:
                judged += 1
                assert (told == "") == verdict, (movement, stature, kit, told)
    assert judged > 50 * len(PLAIN) * 0.75


def test_a_bar_at_hip_height_is_no_bar_for_pull_ups_and_one_for_rows() -> None:
    told = may("pull-up", thing("bar", 1.05))
    assert told == "the pull-up: “bar 1.05” at 1.05 m is under 1.56 m, too low to hang free."
    assert may("level-row", thing("bar", 1.05)) == ""
    assert may("pull-up", thing("bar", 1.7)) == ""  # with the knees bent
    assert may("pull-up", thing("bar", 1.7), stature=2.0) != ""


def test_rings_are_let_down_and_a_bar_is_not() -> None:
    assert may("row", thing("rings", 2.6)) == ""
    assert "too high to row under" in may("row", thing("bar", 2.6))


@pytest.mark.parametrize(
    ("movement", "items", "open_"),
    [
        ("towel-pull-up", [thing("bar", 2.2)], False),
        ("towel-pull-up", [thing("bar", 2.2), thing("towel")], True),
        ("three-support-push-up", [thing("chair", 0.45, count=2)], False),
        ("three-support-push-up", [thing("chair", 0.45, count=3)], True),
        ("feet-raised-bench-dip", [thing("chair", 0.45)], False),
        ("deep-handstand-push-up", [thing("wall")], False),
        ("deep-handstand-push-up", [thing("wall"), thing("surface", 0.2)], False),
        ("deep-handstand-push-up", [thing("wall"), thing("surface", 0.2, count=2)], True),
        ("support-hold", [thing("chair", 0.45)], False),
        ("l-sit", [thing("chair", 0.45)], False),
        ("l-sit", [thing("chair", 0.45, count=2)], True),
        ("bench-dip", [thing("surface", 1.2)], False),
        ("table-row", [thing("surface", 0.2)], False),
        ("table-row", [thing("surface", 0.75)], True),
        ("box-jump", [thing("surface", 0.9)], False),
        ("step-up", [thing("stairs", 0.17)], True),
        ("two-stairs-step-up", [thing("stairs", 0.17)], True),  # two of its steps
        ("chair-step-up", [thing("chair", 0.7)], False),  # over the knee
        ("chair-squat", [thing("chair", 0.45)], True),
        ("chair-squat", [thing("surface", 0.1)], False),
        ("chair-push-up", [thing("chair", 0.45)], True),
        ("chair-push-up", [thing("surface", 1.2)], False),
        ("dip", [thing("parallel bars", 0.4)], False),
        ("dip", [thing("parallel bars", 1.0)], True),
        ("sliding-fly", [thing("towel")], False),  # the floor grips
        ("push-up", [], True),
    ],
)
def test_what_a_room_allows(movement: str, items: list[KitItem], open_: bool) -> None:
    """Common practice, and plain to see."""
    told = may(movement, *items)
    assert (told == "") == open_, told


def test_all_that_is_needed_is_in_one_place() -> None:
    bar, towel = thing("bar", 2.2), thing("towel")
    pull = catalogue().find_movement("towel-pull-up")
    needs = needs_of(Body(75, 1.75), pull, Modifiers())
    apart = (Room("Stage", "gripping", (bar,)), Room("Truck", "gripping", (towel,)))
    assert missing(needs, apart, TODAY)
    assert missing(needs, (Room("Stage", "gripping", (bar, towel)),), TODAY) == ""
    assert missing(needs, (), TODAY) == ""  # nothing is known: nothing is missed


def test_a_place_may_have_both_floors() -> None:
    slide = catalogue().find_movement("sliding-leg-curl")
    grips = Room("Stage", "gripping", (thing("towel"),))
    both = Room("Stage", "both", (thing("towel"),))
    guard = Guard(passed=EVERY_CHECK, rooms=(grips,), today=TODAY)
    assert "wants a smooth floor" in guard.unavailable_reason(slide, Modifiers())
    open_ = Guard(passed=EVERY_CHECK, rooms=(both,), today=TODAY)
    assert open_.unavailable_reason(slide, Modifiers()) == ""


def test_a_rating_is_for_body_and_load() -> None:
    bar = thing("bar", 2.2, rated=90.0)
    assert may("pull-up", bar, mass=75) == ""
    assert "bears 90 kg, and 100 kg are on it" in may("pull-up", bar, mass=100)
    pull, load = catalogue().find_movement("pull-up"), Modifiers(added_load=AddedLoad(vest=20))
    guard = Guard(
        passed=EVERY_CHECK, rooms=(Room("x", "gripping", (bar,)),), today=TODAY, body=Body(75, 1.75)
    )
    assert "95 kg" in guard.unavailable_reason(pull, load)


def test_the_fitting_piece_that_takes_least_is_picked() -> None:
    need = Need(("bar", "rings"), low=1.6, high=inf)
    low, near, far = thing("bar", 1.0), thing("rings", 2.4), thing("bar", 2.2, setup_minutes=5)
    room = Room("Stage", "gripping", (low, far, near))
    assert pieces([need], room, TODAY) == (near,)
    assert need.lacks(low, TODAY)
    assert pieces([need], Room("Truck", "gripping", (low,)), TODAY) is None


@pytest.mark.parametrize(
    ("more", "field"),
    [
        ({"kind": "surface", "height": 0.0}, "height"),
        ({"kind": "bag", "kg": 20.0, "rated": 15.0}, "weight"),
        ({"kind": "bar", "height": 2.2, "rated": 0.0}, "rating"),
    ],
)
def test_kit_that_cannot_be_is_refused(more: dict, field: str) -> None:
    with pytest.raises(InputError) as refused:
        KitItem(name="x", **more)
    assert refused.value.field == field
    assert refused.value.remedy


@pytest.mark.parametrize(
    ("ago", "says"),
    [
        (10, ()),
        (77, ("The check of “bar 2.2” runs out on 15 Mar 2026: look at it before.",)),
        (90, ("The check of “bar 2.2” runs out on 2 Mar 2026: look at it before.",)),
        (91, ("The check of “bar 2.2” ran out on 1 Mar 2026: closed until you look.",)),
    ],
)
def test_a_check_that_runs_out_is_told_two_weeks_before(ago: int, says: tuple[str, ...]) -> None:
    looked = SafetyCheck(TODAY - timedelta(days=ago), True, "Ilse Marn")
    bar = thing("bar", 2.2, check=looked)
    assert lapsing([bar, thing("wall")], TODAY) == says
    shut = may("pull-up", bar)
    assert bool(shut) == (ago > 90)
    assert "away" not in shut


def test_what_fits_best_is_picked_and_named_with_its_height() -> None:
    """Of two bars to row under the nearer one to what the rung says; rings are let down to it."""
    row = catalogue().find_movement("row")
    (need,) = needs_of(Body(75, 1.75), row, Modifiers())
    assert need.at is not None
    low, near = thing("bar", 1.2, name="low bar"), thing("bar", 1.45, name="rail")
    rings = thing("rings", 2.6, name="wooden rings", setup_minutes=5)
    assert pieces([need], Room("Stage", "gripping", (low, near)), TODAY) == (near,)
    assert need.piece_words(near) == "rail at 1.45 m"
    assert need.piece_words(rings) == f"wooden rings at {need.at:.2f} m"
    step = needs_of(Body(75, 1.75), catalogue().find_movement("two-stairs-step-up"), Modifiers())
    assert step[0].piece_words(thing("stairs", 0.17, name="stairs")) == "stairs at 34 cm"
    chairs = needs_of(Body(75, 1.75), catalogue().find_movement("support-hold"), Modifiers())
    assert chairs[0].piece_words(thing("chair", 0.45, name="chair")) == "2 × chair at 45 cm"
