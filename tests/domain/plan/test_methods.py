"""Six methods: what each asks, what it asks to be shown, how its sets grow, what a coach departs
from. Ranges and rests are common practice, named beside each check."""

from typing import get_args

import pytest

from invelo.domain.errors import InputError
from invelo.domain.plan.methods import (
    METHODS,
    WAVE,
    criterion_for,
    departures,
    grown,
    hold_prescription,
    prescription_for,
)
from invelo.domain.plan.prescription import Criterion, Level, Method, Prescription, Purpose, Unit

PURPOSES: tuple[Purpose, ...] = get_args(Purpose)
UNITS: tuple[Unit, ...] = get_args(Unit)
LEVELS: tuple[Level, ...] = get_args(Level)


@pytest.mark.parametrize("method", get_args(Method))
def test_every_school_has_a_dose_and_a_gate_for_every_purpose(method: Method) -> None:
    assert METHODS[method].moves_up
    for purpose in PURPOSES:
        for level in LEVELS:
            for unit in UNITS:
                for wave in WAVE:
                    prescription = prescription_for(method, purpose, level, unit, wave=wave)
                    criterion = criterion_for(method, prescription)
                    assert prescription.unit == criterion.unit == unit
                    assert criterion.amount >= prescription.low


def test_near_failure_opens_the_top_and_rests_less() -> None:
    """45–90 s near failure; the ceiling is 30 reps (common practice)."""
    prescription = prescription_for("near_failure", "strength", "intermediate")
    assert (prescription.low, prescription.high) == (6, 30)
    assert 45 <= prescription.rest <= 90
    assert prescription.reserve <= 2
    assert criterion_for("near_failure", prescription) == Criterion(1, 30, 10.0, 1)


def test_learning_and_keeping_stay_away_from_failure() -> None:
    for purpose in ("learn", "keep"):
        prescription = prescription_for("near_failure", purpose, "advanced")  # type: ignore[arg-type]
        assert prescription.rpe <= 7
        assert prescription.high < 30


def test_keeping_and_learning_ask_for_little() -> None:
    """A new variation is first learned in a few easy reps; 6–7 is light (common practice)."""
    learn, keep = (
        prescription_for("double_progression", one, "advanced") for one in ("learn", "keep")
    )  # type: ignore[arg-type]
    assert (learn.sets, learn.high, learn.rpe) == (2, 5, 6.0)
    assert (keep.sets, keep.rpe) == (2, 7.0)


def test_the_wave_is_long_and_easy_then_middle_then_short_and_hard() -> None:
    """Long easy holds of 15–20 s, middle holds, then 5 s of the hardest (common practice)."""
    easy, middle, hard = (
        prescription_for("wave", "skill", "beginner", "s", wave=one) for one in WAVE
    )
    assert (easy.low, easy.high) == (15, 20)
    assert hard.low == 5
    assert easy.low > middle.low > hard.low
    assert easy.rpe < middle.rpe < hard.rpe
    assert min(easy.low, middle.low, hard.low) >= 5


def test_the_clock_fills_its_window_at_the_tempo() -> None:
    """40 s on, 20 s to change over (common practice)."""
    quick = prescription_for("density", "strength", "beginner", rep_time=2.0)
    slow = prescription_for("density", "strength", "beginner", rep_time=8.0)
    assert (quick.high, slow.high) == (20, 5)
    assert quick.rest == 20
    assert 2 <= quick.sets <= 5
    held = prescription_for("density", "strength", "beginner", "s")
    assert held.high == 40


def test_a_habit_is_one_small_set_and_never_pushed() -> None:
    prescription = prescription_for("habit", "strength", "advanced")
    assert (prescription.sets, prescription.low) == (1, 1)
    assert prescription.rpe <= 5
    assert grown("habit", prescription) is None


def test_sets_grow_two_three_four_and_no_further() -> None:
    """Start with 2 sets per movement, then 3, then 4 (common practice)."""
    prescription = prescription_for("double_progression", "strength", "beginner")
    seen = [prescription.sets]
    while (more := grown("double_progression", prescription)) is not None:
        prescription = more
        seen.append(prescription.sets)
    assert seen == [2, 3, 4]
    assert grown("near_failure", prescription) is None
    assert grown("wave", prescription) is None


@pytest.mark.parametrize("best", [8, 10, 15, 25, 40, 80])
def test_each_hold_is_half_to_seven_tenths_of_the_best(best: int) -> None:
    prescription = hold_prescription(
        best, prescription_for("double_progression", "strength", "intermediate", "s"), "strength"
    ).prescription
    assert prescription.low >= 5
    assert prescription.high <= 0.7 * best + 1e-9
    assert prescription.low >= min(0.5 * best, prescription.high)
    assert 2 <= prescription.sets <= 4


def test_a_best_of_six_seconds_has_no_practice_hold() -> None:
    """A hold best of 6 s gets an easier shape or help, not a 3 s hold (common practice)."""
    with pytest.raises(InputError, match=r"easier shape, or assistance"):
        hold_prescription(
            6.0, prescription_for("double_progression", "skill", "beginner", "s"), "skill"
        )


def test_a_tuck_seat_of_twenty_five_seconds_gets_about_three_times_fifteen() -> None:
    """Beginners: 3 × 15 s tuck seat (common practice)."""
    prescription = hold_prescription(
        25, prescription_for("double_progression", "strength", "intermediate", "s"), "strength"
    ).prescription
    assert prescription.low <= 15 <= prescription.high
    assert prescription.sets in (3, 4)


def test_a_coachs_own_dose_names_the_rules_it_overrides() -> None:
    asked = prescription_for("double_progression", "strength", "beginner")
    assert departures(asked, asked) == ()
    given = Prescription(5, 3, 4, 30, 10.0)
    found = {one.rule.id: (one.asked, one.given) for one in departures(given, asked)}
    assert found["prescription.sets"] == ("2 sets", "5 sets")
    grown = {one.rule.id for one in departures(given, asked, most=5)}
    assert "prescription.sets" not in grown, "the rules let them grow so far"
    assert "prescription.sets" in {one.rule.id for one in departures(given, asked, most=4)}
    assert found["prescription.range"] == ("6–10", "3–4")
    assert found["prescription.rest"] == ("120 s of rest", "30 s of rest")
    assert found["prescription.rpe"] == ("effort 9", "effort 10")
    assert "prescription.least" in found


def test_too_long_a_hold_and_too_light_a_set_are_named() -> None:
    asked = prescription_for("double_progression", "skill", "beginner", "s")
    long = Prescription(3, 12, 15, 120, 8.0, "s")
    assert "prescription.hold-share" in {one.rule.id for one in departures(long, asked, best=14)}
    light = Prescription(2, 20, 40, 120, 9.0)
    rules = {
        one.rule.id
        for one in departures(light, prescription_for("double_progression", "strength", "beginner"))
    }
    assert "prescription.ceiling" in rules
