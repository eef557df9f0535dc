"""Rows: geometry, balance, what makes them hard, what cannot be pulled."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.biomechanics.body import GRAVITY, AddedLoad, Body
from invelo.domain.biomechanics.effort import contact_forces
from invelo.domain.biomechanics.posture.skeleton import cross
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.biomechanics.setup import set_up
from invelo.domain.errors import InputError
from tests.domain.people import AVERAGE, alone

leans = st.floats(20, 90)


def row(body_angle: float, *, added_load: AddedLoad | None = None, **values: float) -> Reading:
    return reading(AVERAGE, set_up("row", added_load=added_load, body_angle=body_angle, **values))


bodies = st.builds(Body, mass=st.floats(40, 150), stature=st.floats(1.4, 2.1))


@given(bodies, leans, st.floats(0, 60))
def test_forces_balance_the_whole_body(body: Body, lean: float, knee: float) -> None:
    posture = alone(body, set_up("row", body_angle=lean, knee=knee))
    forces = contact_forces(posture)
    masses, places = posture.mass_points()
    weight = masses * GRAVITY
    total = sum(forces.values())
    assert total[0] == pytest.approx(0, abs=1e-6)
    assert total[1] == pytest.approx(float(weight.sum()))
    moment = sum(cross(c.point, forces[c.name]) for c in posture.contacts)
    assert float(moment) == pytest.approx(float((weight * places[:, 0]).sum()), abs=1e-6)


@given(leans)
def test_a_pull_begins_with_arms_at_right_angles_to_the_trunk(lean: float) -> None:
    posture = alone(AVERAGE, set_up("row", body_angle=lean))
    joints = posture.joints
    trunk = joints["shoulder"] - joints["hip"]
    arm = joints["wrist"] - joints["shoulder"]
    assert float(trunk @ arm) == pytest.approx(0, abs=1e-9)


@given(st.floats(20, 84), st.floats(1, 5))
def test_leaning_back_is_harder(degrees: float, more: float) -> None:
    one, other = (row(angle).demand.likely for angle in (degrees, degrees + more))
    assert other > one


@given(st.floats(0, 40), st.floats(5, 20))
def test_bending_the_knees_is_easier(bend: float, more: float) -> None:
    """Common practice."""
    one, other = (row(60, knee=knee).demand.likely for knee in (bend, bend + more))
    assert other < one


def test_raised_feet_are_harder_than_level_only_through_the_lean() -> None:
    level = row(90)
    raised = row(90, foot_height=0.4)
    assert raised.demand.likely == pytest.approx(level.demand.likely)


def test_worn_mass_adds_to_the_pull() -> None:
    plain = row(60).demand.likely
    vest = row(60, added_load=AddedLoad(vest=10)).demand.likely
    assert plain < vest < plain + 10


def test_a_pull_knows_its_range_and_how_it_came_about() -> None:
    told = row(60)
    assert told.demand.low < told.demand.likely < told.demand.high
    assert told.share.likely == pytest.approx(100 * told.demand.likely / 75)
    assert "effort of all joints is least" in told.demand.derivation.formula


def test_a_body_over_its_heels_has_nothing_to_pull() -> None:
    with pytest.raises(InputError, match="nothing to pull"):
        row(30, knee=90)


@pytest.mark.parametrize(
    ("setup", "field"),
    [
        ({"body_angle": 4}, "body angle"),
        ({"body_angle": 111}, "body angle"),
        ({"body_angle": 50, "knee": 111}, "knee"),
        ({"body_angle": 50, "foot_height": -0.1}, "foot height"),
        ({"body_angle": float("nan")}, "body angle"),
    ],
)
def test_impossible_rows_are_refused(setup: dict[str, float], field: str) -> None:
    with pytest.raises(InputError) as caught:
        set_up("row", **setup)
    assert caught.value.field == field
