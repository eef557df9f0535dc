"""Each family by what limits it (facts of the trade: common practice)."""

from itertools import pairwise

import pytest

from invelo.domain.athlete.readiness import CHECKS
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.reading import reading
from invelo.domain.biomechanics.setup import set_up
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError
from tests.domain.people import AVERAGE

NINE = tuple(
    Body(mass, stature)
    for stature, masses in ((1.45, (40, 55, 75)), (1.70, (55, 70, 95)), (1.95, (70, 90, 125)))
    for mass in masses
)


def demand(movement_id: str, body: Body = AVERAGE) -> float:
    movement = catalogue().find_movement(movement_id)
    return reading(body, movement.own(Modifiers()).setup(movement)).demand.likely


def rising(names: tuple[str, ...], body: Body = AVERAGE) -> bool:
    told = [demand(name, body) for name in names]
    return all(low < high for low, high in pairwise(told))


@pytest.mark.parametrize("body", NINE, ids=lambda one: f"{one.stature}m{one.mass}kg")
def test_the_l_sit_line(body) -> None:
    assert rising(("tuck-l-sit", "one-leg-l-sit", "l-sit"), body)


def test_spreading_level_legs_takes_nothing_off_the_hips() -> None:
    closed, spread = demand("l-sit"), demand("straddle-l-sit")
    assert spread == pytest.approx(closed, rel=0.01)


def test_above_level_reach_limits_and_nothing_is_predicted() -> None:
    v_sit = catalogue().find_movement("v-sit")
    assert v_sit.rpe_only
    assert v_sit.unit == "s"
    with pytest.raises(InputError, match="limited by the hips' reach"):
        reading(AVERAGE, set_up("l_sit", hip=110))
    tuck = set_up("l_sit", hip=130, knee=140, hand_height=0.45)
    assert reading(AVERAGE, tuck).demand.likely > 0  # thighs over level, shins under it
    (check,) = (check for check in CHECKS if "v-sit" in check.movements)
    assert "Both heels" in check.passes


def test_planks_are_harder_with_the_arms_further_ahead() -> None:
    told = [
        reading(AVERAGE, set_up("plank", shoulder=angle)).demand.likely
        for angle in (90, 100, 110, 120)
    ]
    assert told == sorted(told)
    assert told[-1] > 1.1 * told[0]


@pytest.mark.parametrize("body", NINE, ids=lambda one: f"{one.stature}m{one.mass}kg")
def test_the_hollow_line_knows_the_arms(body) -> None:
    assert rising(("tucked-hollow", "arms-down-hollow", "hollow"), body)


@pytest.mark.parametrize("body", NINE, ids=lambda one: f"{one.stature}m{one.mass}kg")
def test_a_raised_foot_makes_a_bridge_harder(body) -> None:
    assert rising(("bridge", "feet-raised-bridge"), body)
    assert rising(("bridge", "one-leg-bridge", "feet-raised-one-leg-bridge"), body)


@pytest.mark.parametrize("name", ["bridge", "one_leg_bridge"])
def test_a_bridge_with_raised_feet_goes_down_to_the_floor_all_the_same(name) -> None:
    low = []
    for height in (0.0, 0.2, 0.4):
        load = reading(AVERAGE, set_up(name, foot_height=height))
        low.append(float(load.posture.joints["hip"][-1, 0, 1]))
    assert max(low) - min(low) < 0.05


def test_the_planche_and_front_lever_lines() -> None:
    for lever in ("planche", "front-lever"):
        assert rising((f"tuck-{lever}", f"advanced-tuck-{lever}", f"one-leg-{lever}", lever))


def test_who_carries_what_and_torque_against_strength_at_any_place() -> None:
    load = reading(AVERAGE, set_up("push_up"))
    for place in range(len(load.depths)):
        carried = load.carried_at(place)
        assert set(carried) == {"hands", "feet"}
        assert sum(carried.values()) == pytest.approx(AVERAGE.mass, rel=1e-3)
        joints = {one.joint: one for one in load.joints[place]}
        assert joints["elbow"].torque == pytest.approx(abs(load.torque["elbow"][place, 0]))
        assert all(one.strength > 0 for one in joints.values())
    # pressing out of the bottom stretches elbows: 2 × 45 N·m at 75 kg and 1.75 m
    bottom = {one.joint: one for one in load.joints[-1]}
    assert bottom["elbow"].strength == pytest.approx(90.0, rel=0.01)


def test_a_deep_knee_is_told_against_less_strength() -> None:
    """Isometric norms peak at 60 to 75° of bend (from memory)."""
    load = reading(AVERAGE, set_up("squat", knee=130, shank=40))
    knees = [
        next(one.strength for one in load.joints[place] if one.joint == "knee") for place in (4, 8)
    ]
    assert knees[1] < 0.75 * knees[0]


def test_the_second_leg_is_told_for_itself() -> None:
    load = reading(AVERAGE, set_up("split_squat"))
    assert {"feet", "rear foot"} <= set(load.carried_at(0))
    assert {"hip", "other_hip"} <= {one.joint for one in load.joints[0]}
