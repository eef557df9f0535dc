"""The solver: forces from outside, one contact, balance."""

from dataclasses import replace

import numpy as np
import pytest

from invelo.domain.biomechanics.body import GRAVITY
from invelo.domain.biomechanics.effort import contact_forces
from invelo.domain.biomechanics.posture.skeleton import Contact, OutsideForce, cross
from invelo.domain.biomechanics.setup import set_up
from invelo.domain.biomechanics.statics import joint_torques, overhang
from tests.domain.people import AVERAGE, alone

TOP = alone(AVERAGE, set_up("push_up"))
UP = np.array([0.0, 1.0])


def with_help(newtons: float, at: str = "hip", segment: str = "trunk"):
    return replace(TOP, outside=(OutsideForce("band", segment, TOP.joints[at], newtons * UP),))


def test_a_band_under_the_hips_takes_load_off_hands_and_feet() -> None:
    plain, helped = contact_forces(TOP), contact_forces(with_help(100.0))
    for name in ("hands", "feet"):
        assert helped[name][1] < plain[name][1]
    given = sum(plain.values())[1] - sum(helped.values())[1]
    assert given == pytest.approx(100.0)


def test_moments_balance_with_forces_from_outside() -> None:
    posture = with_help(150.0, "shoulder")
    forces = contact_forces(posture)
    masses, places = posture.mass_points()
    weight = (masses * GRAVITY * places[:, 0]).sum()
    band = posture.outside[0]
    held = sum(cross(c.point, forces[c.name]) for c in posture.contacts)
    assert float(held + cross(band.point, band.vector)) == pytest.approx(float(weight))


def test_help_is_linear() -> None:
    loads = [contact_forces(with_help(n))["hands"][1] for n in (0.0, 50.0, 100.0)]
    assert loads[0] - loads[1] == pytest.approx(loads[1] - loads[2])


def test_a_weight_in_the_hand_turns_about_the_elbow() -> None:
    """A weight of 100 N at the wrist: its lever is the forearm's reach along the ground."""
    free = replace(TOP, contacts=())
    held = OutsideForce("weight", "hand", TOP.joints["wrist"], -100.0 * UP)
    plain = joint_torques(free, {})["elbow"]
    loaded = joint_torques(replace(free, outside=(held,)), {})["elbow"]
    lever = (TOP.joints["wrist"] - TOP.joints["elbow"])[0]
    assert float(loaded - plain) == pytest.approx(100.0 * float(lever))


def test_a_body_on_one_contact_puts_its_whole_weight_there() -> None:
    hanging = replace(TOP, contacts=(Contact("bar", "hand", TOP.joints["wrist"]),))
    force = contact_forces(hanging)["bar"]
    assert force == pytest.approx(np.array([0.0, AVERAGE.mass * GRAVITY]))


def test_a_push_up_rests_over_its_support_and_a_hand_alone_does_not() -> None:
    assert float(overhang(TOP)) == 0.0
    one = replace(TOP, contacts=(Contact("hands", "hand", TOP.joints["wrist"]),))
    short = float(TOP.centre_of_mass()[0] - TOP.joints["wrist"][0])
    assert float(overhang(one)) == pytest.approx(short)
    assert short < 0  # it would tip towards the feet


def test_a_wider_base_holds_what_a_point_does_not() -> None:
    one = replace(TOP, contacts=(Contact("hands", "hand", TOP.joints["wrist"]),))
    x = TOP.centre_of_mass()[0]
    assert float(overhang(one, (x - 0.1, x + 0.1))) == 0.0
    assert float(overhang(one, (x + 0.1, x + 0.2))) == pytest.approx(-0.1)


def test_many_postures_at_once_are_each_posture_alone() -> None:
    """One body in several postures: the same forces and torques as one after the other."""
    each = [alone(AVERAGE, set_up("push_up", hand_height=h)) for h in (0.0, 0.2, 0.5)]
    together = replace(
        TOP,
        joints={name: np.stack([p.joints[name] for p in each]) for name in TOP.joints},
        contacts=tuple(
            replace(
                contact,
                point=np.stack([p.contacts[i].point for p in each]),
                line=None if contact.line is None else np.stack([p.contacts[i].line for p in each]),
            )
            for i, contact in enumerate(TOP.contacts)
        ),
    )
    forces = contact_forces(together)
    torques = joint_torques(together, forces)
    for i, posture in enumerate(each):
        expected = contact_forces(posture)
        for name, force in expected.items():
            assert forces[name][i] == pytest.approx(force)
        for joint, torque in joint_torques(posture, expected).items():
            assert torques[joint][i] == pytest.approx(float(torque))
    assert together.centre_of_mass().shape == (3, 2)
