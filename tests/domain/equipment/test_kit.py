"""Kit: what may be planned with."""

from datetime import date, timedelta

import pytest

from invelo.domain.biomechanics.body import AddedLoad
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.catalogue.needs import needs_of
from invelo.domain.equipment.kit import (
    BEARS,
    CHECK_DAYS,
    LOOK_FOR,
    Kind,
    KitItem,
    Room,
    SafetyCheck,
    ToHand,
    kit_unavailable_reason,
    to_hand,
)
from invelo.domain.equipment.need import missing, pieces
from invelo.domain.errors import InputError
from invelo.domain.ladder.settings import harder
from invelo.domain.ladder.step_policy import StepPolicy
from tests.domain.people import AVERAGE, rung

TODAY = date(2026, 3, 2)
SAFE = SafetyCheck(TODAY, True, "Ilse Marn")


def bar(**change: object) -> KitItem:
    return KitItem(
        **{"kind": "bar", "name": "lighting bar", "height": 1.1, "check": SAFE, **change}
    )  # type: ignore[arg-type]


def test_a_checked_bar_may_be_planned_with() -> None:
    assert bar().unavailable_reason(TODAY) == ""
    assert (
        kit_unavailable_reason(("bar", "rings"), [Room("Stage", "smooth", (bar(),))], TODAY) == ""
    )


@pytest.mark.parametrize(
    ("change", "word"),
    [
        ({"check": None}, "not checked yet"),
        ({"check": SafetyCheck(TODAY, False, "x")}, "unsafe"),
        ({"check": SafetyCheck(TODAY - timedelta(days=CHECK_DAYS + 1), True, "x")}, "look again"),
        ({"home_made": True}, "photo"),
        ({"home_made": True, "approved": TODAY, "check": None}, "not checked"),
    ],
)
def test_unsafe_kit_is_never_planned_with(change: dict, word: str) -> None:
    thing = bar(**change)
    assert word in thing.unavailable_reason(TODAY)
    assert "not safe" in kit_unavailable_reason(
        ("bar",), [Room("Stage", "smooth", (thing,))], TODAY
    )


def test_an_approved_rig_may_be_used_once_it_is_checked() -> None:
    assert bar(home_made=True, approved=TODAY).unavailable_reason(TODAY) == ""


def test_what_is_not_there_is_told_with_its_place() -> None:
    why = kit_unavailable_reason(("bar", "rings"), [Room("Home", "gripping")], TODAY)
    assert why == "it needs bar or rings, and there is none at Home"


def test_where_no_place_is_known_nothing_is_refused() -> None:
    assert kit_unavailable_reason(("bar",), [], TODAY) == ""
    assert kit_unavailable_reason((), [Room("Home", "gripping")], TODAY) == ""


def test_whatever_bears_a_person_says_what_to_look_for() -> None:
    assert set(LOOK_FOR) >= BEARS


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"height": None}, "height"),
        ({"height": -0.2}, "height"),
        ({"height": 60.0}, "height"),
        ({"count": 0}, "count"),
        ({"setup_minutes": 90.0}, "minutes to set up"),
        ({"kind": "load", "kg": None}, "weight"),
        ({"kind": "load", "kg": 0.0}, "weight"),
        ({"kind": "bag", "kg": None}, "weight"),
    ],
)
def test_kit_that_cannot_be_is_refused(change: dict, field: str) -> None:
    with pytest.raises(InputError) as caught:
        bar(**change)
    assert caught.value.field == field


# ---- what loads -------------------------------------------------------------------------------


def hand(*items: KitItem) -> ToHand:
    return to_hand([Room("Stage", "smooth", items)], TODAY)


BELT = KitItem("belt", "chain belt", check=SAFE)
PLATES = KitItem("plate", "plate", kg=2.5, count=4)


def test_plates_hang_on_a_belt_and_nowhere_without_one() -> None:
    assert hand(BELT, PLATES).loads_at("vest") == (2.5, 5.0, 7.5, 10.0)
    assert hand(PLATES).loads_at("vest") == ()
    unchecked = KitItem("belt", "chain belt")
    assert hand(unchecked, PLATES).loads_at("vest") == ()


def test_hands_take_one_or_two_of_the_same_ankles_a_pair() -> None:
    bells = KitItem("dumbbell", "dumbbell", kg=8, count=2), KitItem("kettlebell", "bell", kg=12)
    assert hand(*bells).loads_at("hands") == (8, 12, 16)
    assert hand(*bells).loads_at("ankles") == ()
    assert hand(KitItem("ankle weight", "cuff", kg=1.5, count=2)).loads_at("ankles") == (3,)
    assert hand(KitItem("ankle weight", "cuff", kg=1.5)).loads_at("ankles") == ()


def test_a_pulley_takes_off_what_it_is_loaded_with() -> None:
    pulley = KitItem("pulley", "block", height=2.4, check=SAFE)
    assert hand(pulley, PLATES).assistances == (2.5, 5.0, 7.5, 10.0)
    assert hand(pulley).assistances == ()


def test_a_gripper_says_its_rating() -> None:
    with pytest.raises(InputError, match="Say its rating"):
        KitItem("gripper", "silver")
    assert KitItem("gripper", "silver", kg=40).kg == 40


@pytest.mark.parametrize("kind", ["dumbbell", "kettlebell", "load"])
def test_whatever_is_held_serves_a_curl(kind: Kind) -> None:
    movement = catalogue().find_movement("hammer-curl")
    (need,) = needs_of(AVERAGE, movement, Modifiers())
    assert pieces([need], Room("Stage", "smooth", (KitItem(kind, "x", kg=8, count=2),)), TODAY)


def test_a_load_on_the_belt_wants_a_belt_and_a_step_up_is_made_of_plates() -> None:
    movement = catalogue().find_movement("pull-up")
    modifiers = movement.own(Modifiers(added_load=AddedLoad(vest=5.0)))
    bar_alone = Room("Stage", "smooth", (bar(height=2.4),))
    assert "belt" in missing(needs_of(AVERAGE, movement, modifiers), [bar_alone], TODAY)
    at_five = rung("Pull-up, belt 5 kg", "pull-up", added_load=AddedLoad(vest=5.0))
    there = hand(bar(height=2.4), BELT, PLATES)
    steps = {one.change: one for one in harder(AVERAGE, at_five, there, StepPolicy())}
    assert steps["load"].rung.modifiers.added_load.vest == 7.5
