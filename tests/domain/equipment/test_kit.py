"""Kit: what may be planned with."""

from datetime import date, timedelta

import pytest

from invelo.domain.equipment.kit import (
    BEARS,
    CHECK_DAYS,
    LOOK_FOR,
    KitItem,
    Room,
    SafetyCheck,
    kit_unavailable_reason,
)
from invelo.domain.errors import InputError

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
