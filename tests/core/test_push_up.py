"""Push-up postures and their loads: geometry that closes, statics that balance, trends."""

import numpy as np
import pytest
from hypothesis import assume, given
from hypothesis import strategies as st

from invelo.core.body import GRAVITY, Body, Worn
from invelo.core.errors import InputError
from invelo.core.posture.push_up import PushUpSetup, push_up, varied_push_up
from invelo.core.posture.skeleton import SEGMENT_ENDS
from invelo.core.rung import push_up_load
from invelo.core.statics import contact_forces, cross, joint_torques
from tests.core.people import AVERAGE

PHASES = ("top", "middle", "bottom")
phases = st.sampled_from(PHASES)
bodies = st.builds(
    Body, mass=st.floats(40, 150, allow_nan=False), stature=st.floats(1.4, 2.1, allow_nan=False)
)
setups = st.builds(
    PushUpSetup,
    hand_height=st.floats(0, 0.7),
    foot_height=st.floats(0, 0.5),
    support=st.sampled_from(["toes", "knees"]),
    hand_offset=st.floats(-0.15, 0.15),
    worn=st.builds(Worn, vest=st.floats(0, 20), bag=st.floats(0, 20), ankles=st.floats(0, 3)),
)


def reachable(body: Body, setup: PushUpSetup, phase: str):
    try:
        return push_up(body, setup, phase)  # type: ignore[arg-type]
    except InputError:
        assume(False)


@given(bodies, setups, phases)
def test_limbs_keep_their_lengths(body: Body, setup: PushUpSetup, phase: str) -> None:
    posture = reachable(body, setup, phase)
    for name, (near, far) in SEGMENT_ENDS.items():
        if name == "foot":  # drawn from the ankle to the ball, not to the tip
            continue
        drawn = np.linalg.norm(posture.joints[far] - posture.joints[near])
        assert drawn == pytest.approx(float(posture.segments.length[name]), rel=1e-6)


@given(bodies, setups, phases)
def test_trunk_and_legs_form_one_line(body: Body, setup: PushUpSetup, phase: str) -> None:
    joints = reachable(body, setup, phase).joints
    line = ["knee", "hip", "shoulder", "crown"]
    if setup.support == "toes":
        line.insert(0, "ankle")
    along = joints[line[-1]] - joints[line[0]]
    for name in line[1:-1]:
        assert abs(cross(along, joints[name] - joints[line[0]])) < 1e-9


@given(bodies, setups, phases)
def test_hands_and_feet_stand_on_their_surfaces(body: Body, setup: PushUpSetup, phase: str) -> None:
    posture = reachable(body, setup, phase)
    assert posture.joints["wrist"][1] == pytest.approx(setup.hand_height, abs=1e-9)
    ground = next(c for c in posture.contacts if c.name != "hands")
    assert ground.point[1] == pytest.approx(setup.foot_height, abs=1e-9)


@given(bodies, setups, phases)
def test_forces_balance_the_carried_weight(body: Body, setup: PushUpSetup, phase: str) -> None:
    posture = reachable(body, setup, phase)
    forces = contact_forces(posture)
    masses, places = posture.mass_points(posture.carried())
    weight = masses * GRAVITY
    total = sum(forces.values())
    assert total[0] == pytest.approx(0, abs=1e-6)
    assert total[1] == pytest.approx(float(weight.sum()), rel=1e-9)
    moment = sum(cross(c.point, forces[c.name]) for c in posture.contacts)
    assert float(moment) == pytest.approx(float((weight * places[:, 0]).sum()), rel=1e-9)


@given(bodies, setups)
def test_locked_arms_push_along_the_arm_and_bent_arms_straight_up(
    body: Body, setup: PushUpSetup
) -> None:
    top = reachable(body, setup, "top")
    hand = contact_forces(top)["hands"]
    arm = top.joints["shoulder"] - top.joints["wrist"]
    assert abs(cross(hand, arm)) < 1e-6 * np.linalg.norm(hand)
    bottom = reachable(body, setup, "bottom")
    assert contact_forces(bottom)["hands"][0] == 0


@given(bodies, setups)
def test_locked_arms_leave_the_shoulder_nearly_without_torque(
    body: Body, setup: PushUpSetup
) -> None:
    """The hand's force runs through the shoulder; only the arms' own weight turns about it."""
    posture = reachable(body, setup, "top")
    torque = joint_torques(posture, contact_forces(posture))["shoulder"]
    arms = sum(float(posture.segments.mass[n]) for n in ("upper_arm", "forearm", "hand"))
    assert abs(float(torque)) <= arms * GRAVITY * body.stature


@given(bodies, setups)
def test_the_load_lies_in_its_own_range(body: Body, setup: PushUpSetup) -> None:
    reachable(body, setup, "top")
    try:
        load = push_up_load(body, setup)
    except InputError:
        assume(False)
    for part in (load.top, load.middle, load.bottom, load.share, load.work):
        assert part.low <= part.likely <= part.high
        assert part.derivation.formula
        assert part.derivation.inputs
        assert part.derivation.sources


@given(st.floats(40, 150), st.floats(1.4, 2.1), st.floats(0, 0.6))
def test_load_is_in_proportion_to_body_mass(mass: float, stature: float, hands: float) -> None:
    setup = PushUpSetup(hand_height=hands)
    one = push_up_load(Body(mass, stature), setup).top.likely
    other = push_up_load(Body(mass * 1.1, stature), setup).top.likely
    assert other == pytest.approx(one * 1.1)


@given(st.floats(0, 0.7), st.floats(0.01, 0.2))
def test_raising_the_hands_takes_load_off(hands: float, more: float) -> None:
    low = push_up_load(AVERAGE, PushUpSetup(hand_height=hands)).top.likely
    high = push_up_load(AVERAGE, PushUpSetup(hand_height=hands + more)).top.likely
    assert high < low


@given(st.floats(0, 0.4), st.floats(0.01, 0.1))
def test_raising_the_feet_puts_load_on(feet: float, more: float) -> None:
    low = push_up_load(AVERAGE, PushUpSetup(foot_height=feet)).top.likely
    high = push_up_load(AVERAGE, PushUpSetup(foot_height=feet + more)).top.likely
    assert high > low


def test_knees_carry_more_than_toes_do() -> None:
    knees = push_up_load(AVERAGE, PushUpSetup(support="knees")).top.likely
    assert knees < push_up_load(AVERAGE, PushUpSetup()).top.likely


@pytest.mark.parametrize("place", ["vest", "bag"])
def test_worn_mass_adds_less_than_itself_to_the_hands(place: str) -> None:
    plain = push_up_load(AVERAGE, PushUpSetup()).top.likely
    worn = push_up_load(AVERAGE, PushUpSetup(worn=Worn(**{place: 10.0}))).top.likely
    assert plain < worn < plain + 10


def test_a_bag_high_on_the_back_loads_the_hands_more_than_a_vest() -> None:
    bag = push_up_load(AVERAGE, PushUpSetup(worn=Worn(bag=10))).top.likely
    vest = push_up_load(AVERAGE, PushUpSetup(worn=Worn(vest=10))).top.likely
    ankles = push_up_load(AVERAGE, PushUpSetup(worn=Worn(ankles=10))).top.likely
    assert bag > vest > ankles


def test_hands_towards_the_feet_carry_more() -> None:
    """Common practice: the further the lean, the nearer to a planche."""
    loads = [push_up_load(AVERAGE, PushUpSetup(hand_offset=x)).top.likely for x in (-0.2, 0.0, 0.2)]
    assert loads == sorted(loads)


def test_work_is_weight_times_rise() -> None:
    load = push_up_load(AVERAGE, PushUpSetup())
    rise = load.work.likely / (AVERAGE.mass * GRAVITY)
    assert 0.15 < rise < 0.35


def test_the_first_of_the_variations_is_the_plain_posture() -> None:
    setup = PushUpSetup(hand_height=0.3)
    plain = contact_forces(push_up(AVERAGE, setup, "top"))["hands"]
    varied = contact_forces(varied_push_up(AVERAGE, setup, "top"))["hands"]
    assert np.allclose(varied[0], plain)


@pytest.mark.parametrize(
    ("setup", "field"),
    [
        ({"hand_height": -0.1}, "hand height"),
        ({"hand_height": 2.5}, "hand height"),
        ({"foot_height": float("nan")}, "foot height"),
        ({"hand_offset": 0.5}, "hand offset"),
    ],
)
def test_impossible_set_ups_are_refused(setup: dict[str, float], field: str) -> None:
    with pytest.raises(InputError) as caught:
        PushUpSetup(**setup)
    assert caught.value.field == field


@pytest.mark.parametrize(
    ("setup", "field"),
    [(PushUpSetup(hand_height=1.9), "hand height"), (PushUpSetup(foot_height=2.0), "foot height")],
)
def test_what_a_body_cannot_reach_is_refused_by_name(setup: PushUpSetup, field: str) -> None:
    with pytest.raises(InputError) as caught:
        push_up_load(Body(50.0, 1.4), setup)
    assert caught.value.field == field


def test_two_free_contacts_are_one_unknown_too_many() -> None:
    posture = push_up(AVERAGE, PushUpSetup(), "top")
    from dataclasses import replace

    free = replace(posture, contacts=tuple(replace(c, line=None) for c in posture.contacts))
    with pytest.raises(ValueError, match="4 unknown"):
        contact_forces(free)
