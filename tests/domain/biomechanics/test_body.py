"""Bodies: shares that add up, overrides, ranges."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.biomechanics.body import VARIED, WINTER, AddedLoad, Body
from invelo.domain.errors import InputError
from tests.domain.people import AVERAGE

bodies = st.builds(
    Body, mass=st.floats(20, 300, allow_nan=False), stature=st.floats(1.0, 2.4, allow_nan=False)
)


def test_mass_shares_make_a_whole_body() -> None:
    assert sum(segment.mass_share for segment in WINTER.segments.values()) == pytest.approx(1.0)


def test_centres_lie_within_their_segments() -> None:
    assert all(0 < segment.centre < 1 for segment in WINTER.segments.values())


@given(bodies)
def test_segments_carry_the_body_mass(body: Body) -> None:
    assert sum(body.segments().mass.values()) == pytest.approx(body.mass)


@given(bodies)
def test_every_variation_carries_the_same_mass(body: Body) -> None:
    total = sum(body.varied_segments(setup_pairs=2).mass.values())
    assert np.allclose(total, body.mass)
    assert total.shape == (1 + 4 * len(VARIED) + 4,)


@given(bodies)
def test_the_first_variation_is_the_body_itself(body: Body) -> None:
    plain, varied = body.segments(), body.varied_segments()
    for name in plain.length:
        assert varied.length[name][0] == plain.length[name]
        assert varied.mass[name][0] == plain.mass[name]


def test_a_measured_length_replaces_the_table_and_does_not_vary() -> None:
    body = Body(75.0, 1.75, lengths=(("thigh", 0.50),))
    assert body.segments().length["thigh"] == 0.50
    assert np.all(body.varied_segments().length["thigh"] == 0.50)
    assert np.ptp(body.varied_segments().length["shank"]) > 0


@pytest.mark.parametrize(
    ("mass", "stature", "field"),
    [
        (19.9, 1.75, "mass"),
        (300.1, 1.75, "mass"),
        (float("nan"), 1.75, "mass"),
        (75.0, 0.99, "stature"),
        (75.0, 2.41, "stature"),
        (75.0, 175.0, "stature"),
        (75.0, float("inf"), "stature"),
    ],
)
def test_impossible_bodies_are_refused_with_field_and_remedy(
    mass: float, stature: float, field: str
) -> None:
    with pytest.raises(InputError) as caught:
        Body(mass, stature)
    assert caught.value.field == field
    assert caught.value.remedy.startswith("Give a value from")


def test_an_unknown_segment_is_refused() -> None:
    with pytest.raises(InputError, match="tail"):
        Body(75.0, 1.75, lengths=(("tail", 0.3),))


def test_worn_mass_adds_up_and_is_bounded() -> None:
    assert AddedLoad(vest=5, bag=6, ankles=1).total == 12
    with pytest.raises(InputError, match="worn bag"):
        AddedLoad(bag=-1)
    with pytest.raises(InputError, match="worn vest"):
        AddedLoad(vest=151)


def test_bodies_are_values() -> None:
    assert Body(75.0, 1.75) == AVERAGE
    assert hash(Body(75.0, 1.75)) == hash(AVERAGE)
