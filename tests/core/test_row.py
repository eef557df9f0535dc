"""Rows: geometry, balance, what makes them hard, what cannot be pulled."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.core.body import GRAVITY, Body, Worn
from invelo.core.errors import InputError
from invelo.core.posture.row import RowSetup, row
from invelo.core.row import row_load
from invelo.core.statics import contact_forces, cross
from tests.core.people import AVERAGE

leans = st.floats(20, 100).map(np.radians)
bodies = st.builds(Body, mass=st.floats(40, 150), stature=st.floats(1.4, 2.1))


@given(bodies, leans, st.floats(0, 60).map(np.radians))
def test_forces_balance_the_whole_body(body: Body, lean: float, knee: float) -> None:
    posture = row(body, RowSetup(lean, knee))
    forces = contact_forces(posture)
    masses, places = posture.mass_points()
    weight = masses * GRAVITY
    total = sum(forces.values())
    assert total[0] == pytest.approx(0, abs=1e-6)
    assert total[1] == pytest.approx(float(weight.sum()))
    moment = sum(cross(c.point, forces[c.name]) for c in posture.contacts)
    assert float(moment) == pytest.approx(float((weight * places[:, 0]).sum()), abs=1e-6)


@given(leans)
def test_arms_stand_at_right_angles_to_the_trunk_and_pull_along(lean: float) -> None:
    posture = row(AVERAGE, RowSetup(lean))
    joints = posture.joints
    trunk = joints["shoulder"] - joints["hip"]
    arm = joints["wrist"] - joints["shoulder"]
    assert float(trunk @ arm) == pytest.approx(0, abs=1e-9)
    assert abs(float(cross(contact_forces(posture)["hands"], arm))) < 1e-6


@given(st.floats(20, 84), st.floats(1, 5))
def test_leaning_back_is_harder(degrees: float, more: float) -> None:
    one, other = (
        row_load(AVERAGE, RowSetup(np.radians(angle))).pull.likely
        for angle in (degrees, degrees + more)
    )
    assert other > one


@given(st.floats(0, 40), st.floats(5, 20))
def test_bending_the_knees_is_easier(bend: float, more: float) -> None:
    """Common practice."""
    one, other = (
        row_load(AVERAGE, RowSetup(np.radians(60), np.radians(knee))).pull.likely
        for knee in (bend, bend + more)
    )
    assert other < one


def test_raised_feet_are_harder_than_level_only_through_the_lean() -> None:
    level = row_load(AVERAGE, RowSetup(np.radians(90)))
    raised = row_load(AVERAGE, RowSetup(np.radians(90), foot_height=0.4))
    assert raised.pull.likely == pytest.approx(level.pull.likely)


def test_worn_mass_adds_to_the_pull() -> None:
    plain = row_load(AVERAGE, RowSetup(np.radians(60))).pull.likely
    vest = row_load(AVERAGE, RowSetup(np.radians(60), worn=Worn(vest=10))).pull.likely
    assert plain < vest < plain + 10


def test_a_pull_knows_its_range_and_how_it_came_about() -> None:
    told = row_load(AVERAGE, RowSetup(np.radians(60)))
    assert told.pull.low < told.pull.likely < told.pull.high
    assert told.share.likely == pytest.approx(100 * told.pull.likely / 75)
    assert "right angles" in told.pull.derivation.formula


def test_a_body_over_its_heels_has_nothing_to_pull() -> None:
    with pytest.raises(InputError, match="nothing to pull"):
        row_load(AVERAGE, RowSetup(np.radians(30), np.radians(90)))


@pytest.mark.parametrize(
    ("setup", "field"),
    [
        ({"lean": np.radians(4)}, "body angle"),
        ({"lean": np.radians(111)}, "body angle"),
        ({"lean": 1.0, "knee": np.radians(111)}, "knee bend"),
        ({"lean": 1.0, "foot_height": -0.1}, "foot height"),
        ({"lean": float("nan")}, "body angle"),
    ],
)
def test_impossible_rows_are_refused(setup: dict[str, float], field: str) -> None:
    with pytest.raises(InputError) as caught:
        RowSetup(**setup)
    assert caught.value.field == field
