"""What is told of a set: counts from memory, sides, surplus, what may be logged."""

from datetime import date

import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError
from invelo.domain.strength.capacity import evidence, pool, tells
from invelo.domain.training.log import (
    ABOUT,
    AskedRange,
    SessionRecord,
    SetRecord,
    about,
    read_count,
    weaker_sides,
)
from tests.domain.people import AVERAGE

DAY = date(2026, 3, 2)


def set_of(amount: float = 10, rpe: float = 8, **more: object) -> SetRecord:
    return SetRecord("a", amount, rpe, **more)  # type: ignore[arg-type]


# ---- counts as they are told ---------------------------------------------------------------


@pytest.mark.parametrize(
    ("words", "likely", "least", "most"),
    [
        ("12", 12, 12, 12),
        (" 12 ", 12, 12, 12),
        ("11 or 12", 11.5, 11, 12),
        ("12 or 11", 11.5, 11, 12),
        ("11-12", 11.5, 11, 12),
        ("11–12", 11.5, 11, 12),
        ("11/12", 11.5, 11, 12),
        ("8 to 10", 9, 8, 10),
        ("about 30", 30, 27, 33),
        ("ABOUT 30", 30, 27, 33),
        ("~5", 5, 4, 6),
        ("ca. 20", 20, 18, 22),
        ("7,5", 7.5, 7.5, 7.5),
    ],
)
def test_a_count_from_memory_becomes_a_range(words, likely, least, most) -> None:
    """ "11 or 12", "about 30" are logged as ranges (common practice)."""
    found = read_count(words)
    assert (found.amount, found.least, found.most) == (likely, least, most)
    assert (found.about is None) == (least == most)


@pytest.mark.parametrize(
    "words", ["", "many", "-3", "=1+1", "1e9x", "12 reps", "a lot of 5", "1 2"]
)
def test_what_is_no_count_is_refused_with_what_to_write(words: str) -> None:
    with pytest.raises(InputError) as refused:
        read_count(words)
    assert "11 or 12" in refused.value.remedy


@given(st.integers(0, 180))
def test_about_is_at_least_one_off_and_never_below_nothing(amount: int) -> None:
    found = about(amount)
    assert 0 <= found.least <= amount <= found.most
    assert found.most - amount == pytest.approx(max(1, ABOUT * amount))


def test_a_count_from_memory_makes_every_later_estimate_wider() -> None:
    movement = catalogue().find_movement("push-up")
    exact = evidence(DAY, "set", AVERAGE, movement, Modifiers(), 12, 9)
    vague = evidence(DAY, "set", AVERAGE, movement, Modifiers(), 12, 9, about=(10, 14))
    assert vague.greatest.likely == exact.greatest.likely
    assert vague.greatest.low < exact.greatest.low
    assert vague.greatest.high > exact.greatest.high
    harder = catalogue().find_movement("feet-raised-push-up")
    load = evidence(DAY, "set", AVERAGE, harder, harder.own(Modifiers()), 5, 9).load
    told_exact, told_vague = (
        pool([one]).expected(load, Modifiers().tempo) for one in (exact, vague)
    )
    assert told_vague.high - told_vague.low > told_exact.high - told_exact.low
    assert told_vague.likely == told_exact.likely


# ---- sets ------------------------------------------------------------------------------------


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"amount": 10_000}, "reps"),
        ({"amount": -1}, "reps"),
        ({"amount": float("nan")}, "reps"),
        ({"amount": 4000, "unit": "s"}, "hold"),
        ({"amount": 401, "unit": "cm"}, "distance"),
        ({"rpe": 0}, "rpe"),
        ({"pain": 11}, "pain"),
        ({"partial": 201}, "partial reps"),
        ({"about": (11, 12)}, "reps"),
        ({"about": (5, 300)}, "reps"),
    ],
)
def test_a_set_out_of_range_names_its_field(change: dict, field: str) -> None:
    with pytest.raises(InputError) as refused:
        set_of(**change)
    assert refused.value.field == field


def test_surplus_beyond_the_range_counts() -> None:
    """One that reaches the top with more to give goes on, and the surplus counts (common
    practice)."""
    assert set_of(14).surplus(12) == 2
    assert set_of(11).surplus(12) == 0


def test_a_gate_is_judged_by_the_least_that_was_done() -> None:
    assert set_of(10, about=(9, 11)).least == 9
    assert set_of(10).least == 10


@pytest.mark.parametrize("kind", ["easy", "drop", "piece", "cluster"])
def test_what_is_no_ordinary_set_judges_no_gate_and_tells_no_capacity(kind: str) -> None:
    session = SessionRecord(DAY, (set_of(8), set_of(4, kind=kind)))
    assert [one.amount for one in session.on("a")] == [8]
    assert tells(set_of(8))
    assert not tells(set_of(8, kind=kind))


def test_a_top_single_tells_capacity_but_judges_no_gate() -> None:
    assert tells(set_of(1, 9, kind="single"))
    assert SessionRecord(DAY, (set_of(1, 9, kind="single"),)).on("a") == ()


def test_a_broken_hold_is_judged_by_its_sum() -> None:
    """A 40 s hold may be broken into pieces of 5–10 s (common practice)."""
    pieces = [
        set_of(seconds, rpe, kind="piece", unit="s", number=number)
        for number, seconds, rpe in [(1, 10, 6), (1, 10, 7), (1, 8, 9), (4, 10, 6), (4, 9, 8)]
    ]
    whole = SessionRecord(DAY, tuple(pieces)).on("a")
    assert [(one.amount, one.rpe) for one in whole] == [(28, 9), (19, 8)]
    assert not any(tells(one) for one in pieces)  # none says how long it holds unbroken


def test_pieces_of_each_side_add_up_and_the_weaker_side_leads() -> None:
    pieces = [
        set_of(seconds, kind="piece", unit="s", number=1, side=side)
        for side, seconds in [("left", 10), ("left", 6), ("right", 10), ("right", 10)]
    ]
    (whole,) = SessionRecord(DAY, tuple(pieces)).on("a")
    assert (whole.amount, whole.side) == (16, "")


def test_what_was_asked_of_a_broken_hold_adds_up_and_one_from_memory_keeps_its_range() -> None:
    asked = AskedRange(10, 10)
    first, second = (
        set_of(10, kind="piece", unit="s", number=1, asked=asked, about=about)
        for about in [None, (8.0, 12.0)]
    )
    (whole,) = SessionRecord(DAY, (first, second)).on("a")
    assert whole.asked == AskedRange(20, 20)
    assert whole.about == (18.0, 22.0)


# ---- sides -----------------------------------------------------------------------------------


def test_of_two_sides_the_weaker_speaks_and_all_that_went_wrong() -> None:
    """One-limb work: log both; the weaker side leads (common practice)."""
    left = set_of(8, 9, side="left", number=1, form_ok=False)
    right = set_of(10, 7, side="right", number=1, pain=2)
    (found,) = weaker_sides([left, right])
    assert (found.amount, found.rpe, found.pain, found.form_ok) == (8, 9, 2, False)
    assert found.side == ""


def test_sides_of_different_sets_stay_apart() -> None:
    sets = [set_of(8 + n, side=side, number=n) for n in (1, 2, 3) for side in ("left", "right")]
    assert [one.amount for one in weaker_sides(sets)] == [9, 10, 11]


@given(
    st.lists(
        st.tuples(st.integers(1, 4), st.sampled_from(["", "left", "right"]), st.integers(1, 30)),
        max_size=12,
    )
)
def test_making_sides_one_never_loses_a_set_and_never_flatters(sets) -> None:
    given_sets = [set_of(amount, side=side, number=n) for n, side, amount in sets]
    found = weaker_sides(given_sets)
    assert len(found) >= sum(one.side == "" for one in given_sets)
    assert len(found) <= len(given_sets)
    assert min((one.amount for one in found), default=0) == min(
        (one.amount for one in given_sets), default=0
    )
