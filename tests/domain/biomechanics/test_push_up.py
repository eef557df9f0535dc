"""Push-up postures and their loads: geometry that closes, statics that balance, trends."""

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import assume, example, given
from hypothesis import strategies as st
from scipy.optimize import minimize_scalar

from invelo.domain.biomechanics.body import GRAVITY, AddedLoad, Body
from invelo.domain.biomechanics.effort import FRICTION, Strengths, contact_forces
from invelo.domain.biomechanics.posture.skeleton import SEGMENT_ENDS, Posture, cross
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.biomechanics.setup import SetUp, set_up
from invelo.domain.biomechanics.statics import joint_torques
from invelo.domain.errors import InputError
from tests.domain.people import AVERAGE, PHASES, alone

phases = st.sampled_from(sorted(PHASES))
bodies = st.builds(
    Body, mass=st.floats(40, 150, allow_nan=False), stature=st.floats(1.4, 2.1, allow_nan=False)
)
setups = st.builds(
    set_up,
    st.sampled_from(["push_up", "knee_push_up"]),
    hand_height=st.floats(0, 0.7),
    foot_height=st.floats(0, 0.5),
    hand_offset=st.floats(-0.15, 0.15),
    added_load=st.builds(
        AddedLoad, vest=st.floats(0, 20), bag=st.floats(0, 20), ankles=st.floats(0, 3)
    ),
)


def push_up(**values: float) -> Reading:
    return reading(AVERAGE, set_up("push_up", **values))


def possible(body: Body, setup: SetUp) -> bool:
    try:
        reading(body, setup)
    except InputError:
        return False
    return True


def reachable(body: Body, setup: SetUp, phase: str) -> Posture:
    try:
        return alone(body, setup, PHASES[phase])
    except InputError:
        assume(False)
    raise AssertionError


@given(bodies, setups, phases)
def test_limbs_keep_their_lengths(body: Body, setup: SetUp, phase: str) -> None:
    posture = reachable(body, setup, phase)
    for name, (near, far) in SEGMENT_ENDS.items():
        if name == "foot":  # drawn from the ankle to the ball, not to the tip
            continue
        drawn = np.linalg.norm(posture.joints[far] - posture.joints[near])
        assert drawn == pytest.approx(float(posture.segments.length[name]), rel=1e-6)


@given(bodies, setups, phases)
def test_trunk_and_legs_form_one_line(body: Body, setup: SetUp, phase: str) -> None:
    joints = reachable(body, setup, phase).joints
    line = ["knee", "hip", "shoulder", "crown"]
    if setup.movement == "push_up":
        line.insert(0, "ankle")
    along = joints[line[-1]] - joints[line[0]]
    for name in line[1:-1]:
        assert abs(cross(along, joints[name] - joints[line[0]])) < 1e-9


@given(bodies, setups, phases)
def test_hands_and_feet_stand_on_their_surfaces(body: Body, setup: SetUp, phase: str) -> None:
    posture = reachable(body, setup, phase)
    assert posture.joints["wrist"][1] == pytest.approx(setup.value("hand_height"), abs=1e-9)
    ground = next(c for c in posture.contacts if c.name != "hands")
    assert ground.point[1] == pytest.approx(setup.value("foot_height"), abs=1e-9)


@given(bodies, setups, phases)
def test_forces_balance_the_carried_weight(body: Body, setup: SetUp, phase: str) -> None:
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
def test_hands_and_feet_keep_their_place_along_a_rep(body: Body, setup: SetUp) -> None:
    posture = reading(body, setup).posture if possible(body, setup) else None
    if posture is None:
        return
    for contact in posture.contacts:
        moved = contact.point[:, 0] - contact.point[0, 0]
        assert np.abs(moved).max() < 1e-3


@given(bodies, setups)
def test_every_force_lies_inside_its_cone(body: Body, setup: SetUp) -> None:
    if not possible(body, setup):
        return
    for force in reading(body, setup).contact.values():
        across, up = force[..., 0], force[..., 1]
        assert (up > 0).all()
        assert (np.abs(across) <= FRICTION * up + 1e-6).all()


@given(bodies, setups)
def test_no_other_push_inside_the_cones_takes_less_effort(body: Body, setup: SetUp) -> None:
    """Held against a bounded search of a general library along the one number that is open."""
    if not possible(body, setup):
        return
    posture = alone(body, setup)
    forces = contact_forces(posture)
    strengths = Strengths.of(posture).both
    hands, feet = posture.contacts
    line = feet.point - hands.point
    line = line / np.linalg.norm(line)

    def effort(push: float) -> float:
        by = push * line
        shared = {hands.name: forces[hands.name] + by, feet.name: forces[feet.name] - by}
        torques = joint_torques(posture, shared)
        return float(
            sum(
                (t / strengths[name][0 if t >= 0 else 1]) ** 2
                for name, torque in torques.items()
                if name in strengths
                for t in [float(torque)]
            )
        )

    found = minimize_scalar(effort, bounds=(-40.0, 40.0), method="bounded")
    if abs(found.x) > 0.5:  # it would be less outside a cone only
        edge = [abs(abs(float(force[0])) - FRICTION * float(force[1])) for force in forces.values()]
        assert min(edge) < 1.0 or effort(0.0) <= found.fun * (1 + 1e-3)


@given(bodies, setups)
@example(Body(40.0, 1.4375), set_up("push_up", hand_offset=0.148, added_load=AddedLoad(bag=20.0)))
def test_locked_arms_leave_the_shoulder_nearly_without_torque(body: Body, setup: SetUp) -> None:
    """The hand's force runs through the shoulder, and only the arms' own weight turns about it, as
    long as nothing slips: feet that bear little hold back little of a lean."""
    posture = reachable(body, setup, "top")
    forces = contact_forces(posture)
    torque = joint_torques(posture, forces)["shoulder"]
    arms = sum(float(posture.segments.mass[n]) for n in ("upper_arm", "forearm", "hand"))
    if abs(float(torque)) > arms * GRAVITY * body.stature:
        across, down = forces["feet" if "feet" in forces else "knees"].reshape(2)
        assert abs(across) == pytest.approx(FRICTION * down, abs=1.0)


@given(bodies, setups)
def test_the_load_lies_in_its_own_range(body: Body, setup: SetUp) -> None:
    reachable(body, setup, "top")
    try:
        load = reading(body, setup)
    except InputError:
        assume(False)
    for part in (load.demand, load.midway, load.at_end, load.share, load.work):
        assert part.low <= part.likely <= part.high
        assert part.derivation.formula
        assert part.derivation.inputs
        assert part.derivation.sources


@given(st.floats(40, 150), st.floats(1.4, 2.1), st.floats(0, 0.6))
def test_load_is_in_proportion_to_body_mass(mass: float, stature: float, hands: float) -> None:
    setup = set_up("push_up", hand_height=hands)
    one = reading(Body(mass, stature), setup).demand.likely
    other = reading(Body(mass * 1.1, stature), setup).demand.likely
    assert other == pytest.approx(one * 1.1)


@given(st.floats(0, 0.7), st.floats(0.01, 0.2))
def test_raising_the_hands_takes_load_off(hands: float, more: float) -> None:
    low = push_up(hand_height=hands).demand.likely
    high = push_up(hand_height=hands + more).demand.likely
    assert high < low


@given(st.floats(0, 0.4), st.floats(0.01, 0.1))
def test_raising_the_feet_puts_load_on(feet: float, more: float) -> None:
    low = push_up(foot_height=feet).demand.likely
    high = push_up(foot_height=feet + more).demand.likely
    assert high > low


def test_knees_carry_more_than_toes_do() -> None:
    knees = reading(AVERAGE, set_up("knee_push_up")).demand.likely
    assert knees < push_up().demand.likely


@pytest.mark.parametrize("place", ["vest", "bag"])
def test_worn_mass_adds_less_than_itself_to_the_hands(place: str) -> None:
    plain = push_up().demand.likely
    added_load = push_up(added_load=AddedLoad(**{place: 10.0})).demand.likely
    assert plain < added_load < plain + 10


def test_a_bag_high_on_the_back_loads_the_hands_more_than_a_vest() -> None:
    bag = push_up(added_load=AddedLoad(bag=10)).demand.likely
    vest = push_up(added_load=AddedLoad(vest=10)).demand.likely
    ankles = push_up(added_load=AddedLoad(ankles=10)).demand.likely
    assert bag > vest > ankles


def test_hands_towards_the_feet_carry_more() -> None:
    """Common practice: the further the lean, the nearer to a planche."""
    loads = [push_up(hand_offset=x).demand.likely for x in (-0.2, 0.0, 0.2)]
    assert loads == sorted(loads)


def test_work_is_weight_times_rise() -> None:
    load = push_up()
    rise = load.work.likely / (AVERAGE.mass * GRAVITY)
    assert 0.15 < rise < 0.35


def test_the_first_of_the_variations_is_the_plain_posture() -> None:
    setup = set_up("push_up", hand_height=0.3)
    plain = contact_forces(alone(AVERAGE, setup))["hands"]
    varied = reading(AVERAGE, setup).contact["hands"]
    assert np.allclose(varied[0, 0], plain)


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
        set_up("push_up", **setup)
    assert caught.value.field == field


@pytest.mark.parametrize(
    ("setup", "field"),
    [
        (set_up("push_up", hand_height=1.9), "hand height"),
        (set_up("push_up", foot_height=2.0), "foot height"),
    ],
)
def test_what_a_body_cannot_reach_is_refused_by_name(setup: SetUp, field: str) -> None:
    with pytest.raises(InputError) as caught:
        reading(Body(50.0, 1.4), setup)
    assert caught.value.field == field


def test_three_free_contacts_are_more_than_is_settled() -> None:
    posture = alone(AVERAGE, set_up("push_up"))
    more = replace(posture, contacts=(*posture.contacts, posture.contacts[0]))
    with pytest.raises(ValueError, match="6 unknown"):
        contact_forces(more)
