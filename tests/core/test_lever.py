"""Straight-arm levers: order, symmetry, what changes them."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.core.body import Body
from invelo.core.errors import InputError
from invelo.core.lever import lever_torque, predict_hold
from invelo.core.posture.lever import SHAPES, Leg, LeverShape, shape, straddle
from tests.core.people import AVERAGE

bodies = st.builds(Body, mass=st.floats(40, 150), stature=st.floats(1.4, 2.1))


@given(bodies)
def test_levers_compare_across_bodies_on_one_scale(body: Body) -> None:
    for name, known in SHAPES.items():
        here = lever_torque(body, known).share.likely
        assert here == pytest.approx(lever_torque(AVERAGE, known).share.likely), name


@given(st.floats(0, 79), st.floats(0.5, 10))
def test_a_wider_straddle_is_lighter(degrees: float, more: float) -> None:
    narrow = lever_torque(AVERAGE, straddle(degrees)).torque.likely
    wide = lever_torque(AVERAGE, straddle(min(80, degrees + more))).torque.likely
    assert wide <= narrow


@given(st.floats(0, 0.3))
def test_rounding_the_trunk_makes_it_lighter(rounding: float) -> None:
    leg = Leg()
    straight = lever_torque(AVERAGE, LeverShape((leg, leg))).torque.likely
    assert lever_torque(AVERAGE, LeverShape((leg, leg), rounding)).torque.likely <= straight


def test_one_leg_out_is_the_mean_of_both_in_and_both_out() -> None:
    tucked, full = (lever_torque(AVERAGE, SHAPES[n]).torque for n in ("advanced_tuck", "full"))
    one = lever_torque(AVERAGE, SHAPES["one_leg"]).torque
    assert one.likely == pytest.approx((tucked.likely + full.likely) / 2)


def test_which_leg_is_out_makes_no_difference() -> None:
    left, right = SHAPES["one_leg"].legs
    swapped = lever_torque(AVERAGE, LeverShape((right, left)))
    assert swapped.torque.likely == pytest.approx(
        lever_torque(AVERAGE, SHAPES["one_leg"]).torque.likely
    )


def test_a_torque_knows_its_range_and_its_source() -> None:
    told = lever_torque(AVERAGE, SHAPES["full"])
    assert told.torque.low < told.torque.likely < told.torque.high
    assert told.share.unit == "body weight × stature"
    assert "Winter" in told.torque.derivation.sources[0]


@given(st.floats(1.5, 300), st.sampled_from(sorted(SHAPES)))
def test_a_tested_shape_predicts_itself(seconds: float, name: str) -> None:
    known = SHAPES[name]  # type: ignore[index]
    expected = predict_hold(AVERAGE, known, seconds, known)
    assert expected.likely == pytest.approx(seconds, rel=1e-6)


@pytest.mark.parametrize(
    ("make", "field"),
    [
        (lambda: Leg(thigh=np.radians(151)), "thigh"),
        (lambda: Leg(knee=np.radians(161)), "knee"),
        (lambda: Leg(splay=np.radians(-1)), "splay"),
        (lambda: LeverShape((Leg(), Leg()), 0.5), "rounding"),
        (lambda: straddle(90), "splay"),
        (lambda: shape("moonwalk"), "shape"),
    ],
)
def test_shapes_no_body_makes_are_refused(make, field: str) -> None:
    with pytest.raises(InputError) as caught:
        make()
    assert caught.value.field == field
