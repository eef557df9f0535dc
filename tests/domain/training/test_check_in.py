"""How someone comes to a day, and what it stops."""

import pytest

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError
from invelo.domain.plan.day.adapt import adapt
from invelo.domain.plan.plan_overrides import NOTHING_BY_HAND
from invelo.domain.training.check_in import ALARMS, MOST_SORE, PLACES, CheckIn
from invelo.domain.training.log import PAIN_STOP
from tests.domain.people import stand, trainee

WHO = trainee(
    stand("push", ("knee-push-up", 20), ("push-up", 12), at=1),
    stand("row", ("upright-row", 18), ("level-row", 9), at=1),
)
PLANNED = NOTHING_BY_HAND.session("Monday", [WHO.item(one) for one in WHO.stands], WHO)


def test_nothing_said_changes_nothing() -> None:
    assert not CheckIn().changes
    assert CheckIn().stop == ""
    assert adapt(PLANNED, WHO, CheckIn().today).changes == ()


@pytest.mark.parametrize("alarm", ALARMS)
def test_a_sign_of_something_grave_stops_the_whole_day(alarm) -> None:
    """Stop on chest pain, dizziness or faintness, and see a doctor (common practice)."""
    said = CheckIn(alarms=(alarm,)).stop
    assert alarm in said
    assert "doctor" in said
    assert "call for help" in said


@pytest.mark.parametrize("how", [PAIN_STOP, 7, 10])
def test_pain_that_must_stop_a_place_leaves_nothing_that_loads_it(how: int) -> None:
    """Sharp or growing joint pain ends the movement for the day (common practice)."""
    told = CheckIn(pain=(("wrist", how),))
    assert told.stopped_at == ("wrist",)
    left = adapt(PLANNED, WHO, told.today).after
    assert left.items
    assert all(told.closes(item.movement) == "" for item in left.items)
    assert told.closes(catalogue().find_movement("push-up")) == "wrist"


def test_lesser_pain_stops_nothing_but_is_spared() -> None:
    told = CheckIn(pain=(("wrist", PAIN_STOP - 1),))
    assert told.stopped_at == ()
    assert told.today.sore == (("wrist", PAIN_STOP - 1),)


@pytest.mark.parametrize("how", range(1, 11))
def test_soreness_of_worked_muscles_never_counts_as_pain(how: int) -> None:
    told = CheckIn(sore=(("shoulder", how),))
    assert told.stopped_at == ()
    assert told.today.sore == (("shoulder", min(how, MOST_SORE)),)
    assert MOST_SORE < PAIN_STOP


def test_where_both_are_told_the_pain_speaks() -> None:
    told = CheckIn(sore=(("knee", 9),), pain=(("knee", 5),))
    assert told.today.sore == (("knee", 5),)


@pytest.mark.parametrize(
    ("told", "field"),
    [
        ({"minutes": 0}, "minutes"),
        ({"minutes": 500}, "minutes"),
        ({"sleep": 25}, "sleep"),
        ({"pain": (("wrist", 11),)}, "wrist, pain"),
        ({"sore": (("hip", -1),)}, "hip, soreness"),
        ({"pain": (("wrist", 3), ("wrist", 5))}, "pain"),
    ],
)
def test_what_nobody_can_mean_is_refused(told: dict, field: str) -> None:
    with pytest.raises(InputError) as refused:
        CheckIn(**told)
    assert refused.value.field == field


def test_a_short_night_and_few_minutes_ease_the_day() -> None:
    told = CheckIn(sleep=4, minutes=20)
    done = adapt(PLANNED, WHO, told.today)
    assert done.lengths[1].likely <= 20
    assert any("4 h of sleep" in change.why for change in done.changes)


def test_every_place_of_the_body_is_borne_by_some_movement() -> None:
    for place in PLACES:
        told = CheckIn(pain=((place, 6),))
        assert any(told.closes(one) for one in catalogue().movement), place
