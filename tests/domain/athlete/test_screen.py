"""The screen: who may go, who is limited, who sees a doctor first, and what a limit closes."""

from datetime import date
from typing import Any, get_args

import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.limits import exceeded
from invelo.domain.athlete.readiness import CHECKS
from invelo.domain.athlete.screen import (
    Answers,
    Cleared,
    Disease,
    Medicine,
    PainPlace,
    Screened,
    Sign,
    screen,
)
from invelo.domain.athlete.strain import AVERAGE, strains
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError

TODAY = date(2026, 3, 2)


def asked(**changes: Any) -> Screened:
    told = {"born": date(1990, 5, 1), "active": True} | changes
    for name in ("diseases", "signs", "medicines"):
        told[name] = frozenset(told.get(name, ()))
    return screen(Answers(**told), TODAY)


# Riebe et al. 2015, Med Sci Sports Exerc 47(11):2473–2479, the algorithm's branches (from memory):
# activity × disease × signs, and whether medical clearance comes first.
RIEBE = [
    (False, (), (), False),
    (False, ("heart or vessels",), (), True),
    (False, ("metabolism",), (), True),
    (False, ("kidneys",), (), True),
    (False, (), ("chest pressure",), True),
    (True, (), (), False),
    (True, ("metabolism",), (), False),
    (True, ("heart or vessels",), ("faint or dizzy",), True),
    (True, (), ("breathless at rest",), True),
]


@pytest.mark.parametrize(("active", "diseases", "signs", "refers"), RIEBE)
def test_the_published_branches(active: bool, diseases: tuple, signs: tuple, refers: bool) -> None:
    found = asked(active=active, diseases=diseases, signs=signs)
    assert (found.outcome == "doctor") == refers
    assert all(one.sentence and one.source for one in found.findings)


@pytest.mark.parametrize(("weeks", "refers"), [(0, True), (11, True), (12, False), (13, False)])
def test_the_surgeon_speaks_first_for_twelve_weeks(weeks: int, refers: bool) -> None:
    """Common practice: under twelve weeks after an operation nobody trains without that word."""
    found = asked(operated_weeks=weeks)
    assert (found.outcome == "doctor") == refers
    assert any("surgeon" in one.sentence for one in found.findings) == refers


def test_a_disease_of_someone_active_keeps_hard_work_waiting() -> None:
    """Riebe et al. 2015: moderate goes on, vigorous waits for clearance within twelve months."""
    found = asked(diseases=("heart or vessels",), medicines=("heart or blood pressure",))
    assert found.outcome == "limits"
    assert [limit.quantity for limit in found.limits] == ["head down", "hard hold"]


def test_who_has_nothing_may_go() -> None:
    assert asked() == Screened(())
    assert asked().outcome == "go"


def test_a_question_that_nobody_answered_is_no_go() -> None:
    half = asked(asked=frozenset({"active", "diseases"}))
    assert half.outcome == "unasked"
    assert half.unasked[0] == "signs"
    assert Cleared(half).outcome == "unasked"
    assert asked(asked=frozenset(), lax=True).outcome == "limits"
    assert asked(asked=frozenset(), signs=("swollen ankles",)).outcome == "doctor"


@pytest.mark.parametrize("sign", get_args(Sign))
def test_every_sign_refers(sign: Sign) -> None:
    assert asked(signs=(sign,)).outcome == "doctor"


@pytest.mark.parametrize("place", get_args(PainPlace))
def test_grave_pain_closes_something_and_slight_pain_nothing(place: PainPlace) -> None:
    assert asked(pains={place: 4}).limits
    assert asked(pains={place: 3}).outcome == "go"


def closed(told: dict[str, Any], movement_id: str) -> bool:
    movement = catalogue().find_movement(movement_id)
    everything = frozenset(check.id for check in CHECKS)
    guard = Guard(
        limits=asked(**told).limits,
        passed=everything,
        age=Answers(told.get("born", date(1990, 5, 1)), active=True).age(TODAY),
    )
    return guard.closed(movement) is not None


@pytest.mark.parametrize(
    ("told", "shut", "open_"),
    [
        (
            {"pains": {"wrist": 6}},
            ["push-up", "planche", "seat-lift", "wrist-rocks", "sliding-fly"],
            ["row", "pull-up", "squat", "plank", "dip"],
        ),
        ({"pains": {"shoulder": 5}}, ["bench-dip", "dip", "pull-up", "back-lever"], ["squat"]),
        (
            {"pains": {"knee": 7}},
            ["half-squat", "squat", "deep-squat", "wall-sit", "jump", "jumping-jacks"],
            ["push-up", "pull-up", "high-wall-sit", "step-up", "hinge"],
        ),
        ({"lax": True}, ["planche", "front-lever", "l-sit"], ["push-up", "pull-up"]),
        ({"medicines": ("blood thinning",)}, ["jump", "jumping-jacks", "landing"], ["push-up"]),
        (
            {"pregnant": True},
            ["jump", "hollow", "bridge", "planche", "chest-raise", "pull-up", "wall-handstand"],
            ["wall-push-up", "row", "squat"],
        ),
        (
            {"born": date(2014, 1, 1)},
            ["planche", "front-lever", "one-arm-push-up", "landing", "archer-pull-up"],
            ["push-up", "pull-up", "uneven-push-up", "tuck-l-sit", "bent-arm-balance", "jump"],
        ),
    ],
)
def test_limits_close_what_they_must_and_no_more(told: dict, shut: list, open_: list) -> None:
    """Common practice: shoulder signs rule out bench dips, lax elbows are not locked, children do
    no straight-arm levers and little on one hand; a sore knee keeps shallow bends."""
    assert [name for name in shut if not closed(told, name)] == []
    assert [name for name in open_ if closed(told, name)] == []


def test_a_limit_that_a_clinician_lifts_at_a_child_leaves_the_age_to_speak() -> None:
    lever = catalogue().find_movement("front-lever")
    everything = frozenset(check.id for check in CHECKS)
    shut = Guard(passed=everything, age=15).closed(lever)
    assert shut is not None
    assert shut.by == "age"
    assert Guard(passed=everything, age=16).closed(lever) is None


def test_every_limit_that_a_screen_sets_closes_something_and_says_so() -> None:
    for place in get_args(PainPlace):
        for limit in asked(pains={place: 5}).limits:
            assert limit.words
            assert any(
                exceeded(strains(AVERAGE, movement, movement.own(Modifiers())), [limit])
                for movement in catalogue().movement
            ), limit


@pytest.mark.parametrize(
    ("told", "field"),
    [
        ({"born": date(2026, 3, 3)}, "born"),
        ({"born": date(2023, 1, 1)}, "age"),
        ({"born": date(1890, 1, 1)}, "age"),
        ({"pains": {"knee": 11}}, "pain, knee"),
        ({"operated_weeks": -1}, "operation"),
        ({"medicines": ("heart or blood pressure",)}, "medicines"),
        ({"medicines": ("blood sugar",)}, "medicines"),
    ],
)
def test_what_cannot_be_is_refused(told: dict, field: str) -> None:
    with pytest.raises(InputError) as refused:
        asked(**told)
    assert refused.value.field == field
    assert refused.value.remedy


def test_age_turns_on_the_birthday() -> None:
    assert Answers(date(2010, 3, 2), active=True).age(TODAY) == 16
    assert Answers(date(2010, 3, 3), active=True).age(TODAY) == 15


@given(
    st.booleans(),
    st.sets(st.sampled_from(get_args(Disease))),
    st.sets(st.sampled_from(get_args(Sign))),
    st.sets(st.sampled_from(["blood thinning", "bones or steroids"])),
    st.booleans(),
    st.one_of(st.none(), st.integers(0, 52)),
    st.dictionaries(st.sampled_from(get_args(PainPlace)), st.integers(0, 10)),
    st.booleans(),
)
def test_telling_more_never_opens_anything(
    active: bool,
    diseases: set[Disease],
    signs: set[Sign],
    medicines: set[Medicine],
    pregnant: bool,
    operated: int | None,
    pains: dict[PainPlace, int],
    lax: bool,
) -> None:
    told = {
        "active": active,
        "diseases": diseases,
        "signs": signs,
        "medicines": medicines,
        "pregnant": pregnant,
        "operated_weeks": operated,
        "pains": pains,
        "lax": lax,
    }
    severity = ["go", "limits", "doctor"]
    full = asked(**told)
    for silent in ({"signs": ()}, {"pregnant": False}, {"pains": {}}, {"lax": False}):
        less = asked(**told | silent)
        most = {limit.quantity: limit.most for limit in full.limits}
        assert all(most[limit.quantity] <= limit.most for limit in less.limits)
        assert severity.index(less.outcome) <= severity.index(full.outcome)


def test_a_clearance_opens_what_it_names_and_no_more() -> None:
    found = asked(signs=("chest pressure",), pains={"wrist": 6})
    closed = Cleared(found)
    assert closed.outcome == "doctor"
    assert closed.closed == ("doctor", "wrist bend", "straight arms")
    assert closed.referral.rule == "signs"
    seen = Cleared(found, frozenset({"doctor"}))
    assert (seen.outcome, seen.limits) == ("limits", found.limits)
    assert Cleared(found, frozenset(closed.closed)).outcome == "go"
