"""Kit by size: what may be rigged and what may not, against a plain reading of heights."""

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


FREE_HANGS = ("pull-up", "hang", "archer-pull-up", "hanging-knee-raise", "shoulder-blade-pull-up")


def hangs_free(height: float, stature: float) -> bool:
    """By hand, from a table of segments (Winter 2009, as shares of stature, from memory): a grip
    stands 0.332 above the shoulder with the arm straight (0.186 + 0.146, the hand closed), the
    knee 0.288 + 0.245 under it; a palm's breadth stays free."""
    return height >= (0.332 + 0.288 + 0.245) * stature + 0.05


def test_over_random_kits_nothing_is_open_that_cannot_be_rigged_and_nothing_closed_that_could() -> (
    None
):
    random = Random(25)
    for _ in range(500):
        stature = round(random.uniform(1.3, 2.05), 2)
        height = round(random.uniform(0.8, 2.6), 2)
        kind = random.choice(("bar", "rings"))
        plain = hangs_free(height, stature)
        if abs(height - 0.865 * stature - 0.05) < 0.06 * stature:
            continue  # the tables differ by so much
        for movement in FREE_HANGS:
            told = may(movement, thing(kind, height), stature=stature)
            assert (told == "") == plain, (movement, stature, height, told)


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
        ("deep-handstand-push-up", [thing("wall"), thing("surface", 0.2)], True),
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
