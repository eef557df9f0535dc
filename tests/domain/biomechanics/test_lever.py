"""Straight-arm levers: order, symmetry, what changes them."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import form
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.biomechanics.setup import set_up
from invelo.domain.errors import InputError
from invelo.domain.strength.predict import Done, Known
from invelo.domain.strength.tempo import Tempo
from tests.domain.people import AVERAGE

bodies = st.builds(Body, mass=st.floats(40, 150), stature=st.floats(1.4, 2.1))
SHAPES = sorted(form("planche").preset)


def planche(shape: str | None = None, body: Body = AVERAGE, **values: float) -> Reading:
    return reading(body, set_up("planche", shape=shape, **values))


@given(bodies)
def test_levers_compare_across_bodies_on_one_scale(body: Body) -> None:
    for name in SHAPES:
        here = planche(name, body).share.likely
        assert here == pytest.approx(planche(name).share.likely), name


@given(st.floats(0, 79), st.floats(0.5, 10))
def test_a_wider_straddle_is_lighter(degrees: float, more: float) -> None:
    narrow = planche(splay=degrees).demand.likely
    wide = planche(splay=min(80, degrees + more)).demand.likely
    assert wide <= narrow


@given(st.floats(0, 30))
def test_rounding_the_trunk_makes_it_lighter(rounding: float) -> None:
    assert planche(rounding=rounding).demand.likely <= planche("full").demand.likely + 1e-9


def test_one_leg_out_is_the_mean_of_both_in_and_both_out() -> None:
    tucked, full = (planche(n).demand for n in ("advanced_tuck", "full"))
    one = planche("one_leg").demand
    assert one.likely == pytest.approx((tucked.likely + full.likely) / 2)


def test_a_leg_half_out_lies_between() -> None:
    one, half, both_in = (
        planche(hip=90, knee=140, leg_out=out).demand.likely for out in (100, 50, 0)
    )
    assert both_in < half < one


@pytest.mark.parametrize("shape", SHAPES)
def test_planche_front_and_back_lever_ask_the_same_torque_of_other_muscles(shape: str) -> None:
    asked = [
        reading(AVERAGE, set_up(name, shape=shape)).demand.likely
        for name in ("planche", "front_lever", "back_lever")
    ]
    assert asked == pytest.approx([asked[0]] * 3)


@pytest.mark.parametrize("shape", SHAPES)
@pytest.mark.parametrize("name", ["planche", "front_lever", "back_lever"])
def test_the_hands_come_under_the_centre_and_carry_it_all(name: str, shape: str) -> None:
    read = reading(AVERAGE, set_up(name, shape=shape))
    assert read.overhang.likely == pytest.approx(0, abs=1e-9)
    assert read.forces["hands"].likely == pytest.approx(AVERAGE.mass)


def test_a_torque_knows_its_range_and_its_source() -> None:
    told = planche("full")
    assert told.demand.low < told.demand.likely < told.demand.high
    assert told.share.unit == "body weight × stature"
    assert "Winter" in told.demand.derivation.sources[0]


@given(st.floats(1.5, 300), st.sampled_from(SHAPES))
def test_a_tested_shape_predicts_itself(seconds: float, name: str) -> None:
    known = Known(AVERAGE, Done(set_up("planche", shape=name), amount=seconds))
    assert known.expected(planche(name), Tempo()).likely == pytest.approx(seconds, rel=1e-6)


@pytest.mark.parametrize(
    ("values", "field"),
    [
        ({"hip": 151}, "hip"),
        ({"knee": 161}, "knee"),
        ({"splay": -1}, "splay"),
        ({"splay": 90}, "splay"),
        ({"rounding": 50}, "rounding"),
        ({"shape": "moonwalk"}, "shape"),
        ({"wings": 2}, "wings"),
    ],
)
def test_shapes_no_body_makes_are_refused(values: dict, field: str) -> None:
    with pytest.raises(InputError) as caught:
        set_up("planche", **values)
    assert caught.value.field == field
