"""Placement: from tests and sets to a rung."""

from datetime import date, timedelta

import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError
from invelo.domain.ladder.placement import place
from invelo.domain.strength.capacity import Evidence, evidence, pool, tells
from invelo.domain.training.log import SetRecord
from tests.domain.people import AVERAGE, ready

DAY = date(2026, 3, 2)
FLOOR = next(i for i, r in enumerate(ready().rungs) if r.name == "Floor push-up")


def seen(reps: float, days_ago: int = 0, rpe: float = 10, hands: float = 0.0) -> Evidence:
    return evidence(
        DAY - timedelta(days=days_ago),
        "test" if rpe == 10 else "set",
        AVERAGE,
        catalogue().find_movement("push-up"),
        Modifiers((("hand_height", hands),)),
        reps,
        rpe,
    )


def test_the_dose_of_the_placed_rung_fits_and_the_next_one_does_not() -> None:
    ladder = ready()
    placed = place(ladder, (seen(9),))
    wanted = ladder.rungs[0].prescription.asks
    assert placed.fits
    assert placed.predictions[placed.index].likely >= wanted
    assert placed.predictions[placed.index + 1].likely < wanted


@given(st.integers(1, 29))
def test_more_reps_never_place_lower(reps: int) -> None:
    ladder = ready()
    assert place(ladder, (seen(reps + 1),)).index >= place(ladder, (seen(reps),)).index


@given(st.integers(1, 40))
def test_the_range_of_rungs_holds_the_placed_one(reps: int) -> None:
    placed = place(ready(), (seen(reps),))
    assert placed.low_index <= placed.index <= placed.high_index
    assert placed.reach.low <= placed.reach.likely <= placed.reach.high


def test_the_tested_rung_predicts_what_was_tested() -> None:
    placed = place(ready(), (seen(12),))
    assert placed.predictions[FLOOR].likely == pytest.approx(12)


def test_reach_stands_at_or_above_the_placed_rung() -> None:
    """Reach is the demand at which the placed rung's useful prescription is just there."""
    ladder = ready()
    for reps in (4, 9, 14, 22):
        placed = place(ladder, (seen(reps),))
        assert placed.reach.likely >= ladder.demands[placed.index].on_scale.likely * 0.99


def test_one_who_cannot_do_the_lowest_dose_is_told_so() -> None:
    placed = place(ready(), (seen(1, hands=0.9),))
    assert not placed.fits
    assert placed.index == 0


def test_nothing_known_is_an_error_with_a_remedy() -> None:
    with pytest.raises(InputError, match="Enter a test"):
        place(ready(), ())


def test_one_bad_day_does_not_move_capacity() -> None:
    steady = [seen(10, days) for days in (6, 4)]
    assert pool((*steady, seen(3, 0))).greatest.likely == seen(10).greatest.likely


def test_the_best_of_a_day_speaks_for_it() -> None:
    assert pool((seen(8), seen(10), seen(6))).nearest.known.done.amount == 10


def test_old_evidence_gives_way_to_new() -> None:
    assert pool((seen(20, 60), seen(9, 2))).nearest.known.done.amount == 9


def test_what_is_left_after_a_layoff_still_speaks() -> None:
    assert pool((seen(12, 200),)).nearest.known.done.amount == 12


@pytest.mark.parametrize(
    ("done", "speaks"),
    [
        (SetRecord("r", 8, 9.0), True),
        (SetRecord("r", 8, 6.0), True),
        (SetRecord("r", 8, 5.5), False),
        (SetRecord("r", 0, 10.0), False),
        (SetRecord("r", 8, 9.0, form_ok=False), False),
        (SetRecord("r", 8, 9.0, pain=4), False),
        (SetRecord("r", 8, 9.0, pain=3), True),
    ],
)
def test_only_clean_hard_sets_say_something_of_capacity(done: SetRecord, speaks: bool) -> None:
    assert tells(done) is speaks


def test_the_narrowing_test_depends_on_what_is_known() -> None:
    ladder = ready()
    assert "spread widely" in place(ladder, (seen(25),)).narrower
    assert "rated effort" in place(ladder, (seen(8, rpe=8.5),)).narrower
    assert "second test" in place(ladder, (seen(9),)).narrower
