"""Holds: the curve and its inverse, capacity, predictions, the least hold."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.errors import InputError
from invelo.domain.strength.holds import (
    LEAST_SHARE,
    LEAST_USEFUL_HOLD,
    LONGEST,
    OTHERS,
    ZERO_SHARE,
    HoldCapacity,
    HoldResult,
    by_another_curve,
    hold_share,
    rohmert,
    rohmert_inverse,
)

shares = st.floats(LEAST_SHARE, 1.0885)  # just short of the curve's zero


@given(shares)
def test_the_curve_and_its_inverse_meet(share: float) -> None:
    seconds = rohmert(share)
    assert rohmert_inverse(max(1e-9, seconds)) == pytest.approx(share, abs=1e-6)


@given(shares, st.floats(1e-4, 0.2))
def test_a_greater_share_is_held_for_less(share: float, more: float) -> None:
    assert rohmert(share + more) <= rohmert(share)


@given(st.floats(ZERO_SHARE, 100))
def test_beyond_the_zero_there_is_no_time_and_never_less(share: float) -> None:
    assert rohmert(share) == 0.0


@pytest.mark.parametrize("share", [0.0, -1.0, 0.149, float("nan")])
def test_below_its_end_the_curve_does_not_speak(share: float) -> None:
    with pytest.raises(InputError, match="share of capacity"):
        rohmert(share)


@pytest.mark.parametrize("seconds", [0.0, -5.0, LONGEST + 1, float("nan")])
def test_times_off_the_curve_have_no_share(seconds: float) -> None:
    with pytest.raises(InputError, match="hold"):
        rohmert_inverse(seconds)


@given(st.floats(1.5, 600), st.floats(10, 500))
def test_a_tested_hold_predicts_itself(seconds: float, torque: float) -> None:
    tested = HoldCapacity(HoldResult(torque, seconds))
    assert tested.predict(torque).likely == pytest.approx(seconds, rel=1e-6)


@given(st.floats(2, 300), st.floats(0.3, 1.5), st.floats(0.9, 1.0), st.floats(1.0, 1.1))
def test_predictions_keep_their_order(
    seconds: float, ratio: float, low: float, high: float
) -> None:
    expected = HoldCapacity(HoldResult(200, seconds)).predict(200 * ratio, (low, high))
    assert 0 <= expected.low <= expected.likely <= expected.high
    assert expected.unit == "s"


@given(st.floats(3, 300), st.floats(1.01, 1.3))
def test_a_harder_shape_is_held_for_less(seconds: float, harder: float) -> None:
    tested = HoldCapacity(HoldResult(200, seconds))
    assert tested.predict(200 * harder).likely < seconds


@given(st.floats(3, 300), st.floats(1, 60))
def test_the_torque_for_a_time_is_held_for_that_time(seconds: float, wanted: float) -> None:
    tested = HoldCapacity(HoldResult(200, seconds))
    asked = tested.torque_for(wanted)
    assert asked.low <= asked.likely <= asked.high
    assert tested.predict(asked.likely).likely == pytest.approx(wanted, rel=1e-6)


@pytest.mark.parametrize("curve", OTHERS.values(), ids=OTHERS)
@given(share=st.floats(0.2, 0.95), more=st.floats(0.001, 0.04))
def test_every_curve_falls_with_the_share(curve, share: float, more: float) -> None:
    assert curve(share + more) < curve(share)


@given(st.floats(3, 300), st.floats(0.5, 2.0))
def test_the_other_curves_widen_the_range_at_any_length(seconds: float, times: float) -> None:
    told = HoldCapacity(HoldResult(100, seconds)).predict(100 * times)
    assert told.spread_low is not None
    assert told.spread_high is not None
    assert told.spread_low <= told.likely <= told.spread_high
    assert told.low <= told.likely < told.high


def test_a_curve_that_reads_the_test_reads_it_back() -> None:
    for curve in OTHERS.values():
        again = by_another_curve(curve, 20.0, 1.0)
        assert again is None or again == pytest.approx(20.0, rel=1e-5)


def test_the_hip_says_what_stands_in_for_it() -> None:
    said = HoldCapacity(HoldResult(100, 120, "hip")).predict(110).derivation.note
    assert said == "The trunk's curve stands in for the hip's."


def test_a_hold_that_outlasts_the_curve_is_a_lower_bound() -> None:
    endless = HoldCapacity(HoldResult(100, 1200))
    assert endless.only_a_bound
    assert "at least this" in endless.greatest.derivation.note
    assert endless.greatest.likely == pytest.approx(100 / LEAST_SHARE)


def test_a_shape_beyond_reach_says_so() -> None:
    beyond = HoldCapacity(HoldResult(100, 6)).predict(120)
    assert beyond.likely == 0
    assert "Beyond reach" in beyond.derivation.note


def test_a_shape_lighter_than_the_curve_says_so() -> None:
    light = HoldCapacity(HoldResult(100, 6)).predict(10)
    assert light.likely == LONGEST
    assert "at least this long" in light.derivation.note


@pytest.mark.parametrize(
    ("torque", "seconds", "field"),
    [(0, 10, "torque"), (6000, 10, "torque"), (100, 0, "hold"), (100, 4000, "hold")],
)
def test_impossible_holds_are_refused(torque: float, seconds: float, field: str) -> None:
    with pytest.raises(InputError) as caught:
        HoldResult(torque, seconds)
    assert caught.value.field == field


@pytest.mark.parametrize(
    ("best", "expected"), [(30, (15, 21)), (12, (6, 8.4)), (8, (5, 5.6)), (6, (5, 5))]
)
def test_practice_holds_are_half_to_seven_tenths_and_never_useless(best, expected) -> None:
    """Common practice; under about 8 s both cannot hold, and the hold stays at the least useful."""
    assert hold_share(best) == pytest.approx(expected)
    assert min(hold_share(best)) >= LEAST_USEFUL_HOLD
