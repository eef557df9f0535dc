"""The screen: who may go, who is limited, who sees a doctor first, and what a limit closes."""

from datetime import date
from typing import Any, get_args

import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.athlete.screen import (
    WORDS,
    Answers,
    Cleared,
    Disease,
    Medicine,
    PainPlace,
    Screened,
    Sign,
    forbidden,
    screen,
)
from invelo.domain.biomechanics.posture.form import Strain, form, forms
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
    assert found.limits == {"long hold"}


def test_who_has_nothing_may_go() -> None:
    assert asked() == Screened(())
    assert asked().outcome == "go"


@pytest.mark.parametrize("sign", get_args(Sign))
def test_every_sign_refers(sign: Sign) -> None:
    assert asked(signs=(sign,)).outcome == "doctor"


@pytest.mark.parametrize("place", get_args(PainPlace))
def test_grave_pain_closes_something_and_slight_pain_nothing(place: PainPlace) -> None:
    assert asked(pains={place: 4}).limits
    assert asked(pains={place: 3}).outcome == "go"


@pytest.mark.parametrize(
    ("told", "closed", "open_"),
    [
        ({"pains": {"wrist": 6}}, ["push_up", "planche", "l_sit"], ["row", "pull_up", "squat"]),
        ({"pains": {"shoulder": 5}}, ["bench_dip", "dip", "pull_up"], ["squat", "row"]),
        ({"pains": {"knee": 7}}, ["squat", "wall_sit", "jump"], ["push_up", "pull_up", "bridge"]),
        ({"lax": True}, ["planche", "front_lever", "l_sit"], ["push_up", "pull_up"]),
        ({"born": date(2014, 1, 1)}, ["planche"], ["push_up", "pull_up"]),
        ({"medicines": ("blood thinning",)}, ["jump"], ["push_up"]),
        ({"pregnant": True}, ["jump", "hollow", "bridge", "planche"], ["push_up", "row"]),
    ],
)
def test_limits_close_what_they_must_and_no_more(told: dict, closed: list, open_: list) -> None:
    """Common practice: shoulder signs rule out bench dips, lax elbows are not locked, children do
    no loaded straight-arm work."""
    limits = asked(**told).limits
    assert all(forbidden(form(name), limits) for name in closed)
    assert not any(forbidden(form(name), limits) for name in open_)


def test_every_limit_has_words_and_closes_something() -> None:
    for strain in get_args(Strain):
        assert WORDS[strain]
        assert any(forbidden(one, [strain]) for one in forms().values()), strain


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
        assert less.limits <= full.limits
        assert severity.index(less.outcome) <= severity.index(full.outcome)


def test_a_clearance_opens_what_it_names_and_no_more() -> None:
    found = asked(signs=("chest pressure",), pains={"wrist": 6})
    closed = Cleared(found)
    assert closed.outcome == "doctor"
    assert closed.closed == ("doctor", "locked elbows", "wrist load")
    assert closed.referral.rule == "signs"
    seen = Cleared(found, frozenset({"doctor"}))
    assert (seen.outcome, seen.limits) == ("limits", found.limits)
    assert Cleared(found, frozenset(closed.closed)).outcome == "go"
