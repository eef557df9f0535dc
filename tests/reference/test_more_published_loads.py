"""More published loads, each from memory of its source, and how far the model lies from it.

Nothing is fitted to any of them. Where a published figure comes from a posture that is told well
enough to set up, the error is bounded and told in docs/model.md; where the model is known to miss,
the miss itself is held, so that nobody improves or worsens it unseen.
"""

import numpy as np
import pytest

from invelo.domain.biomechanics.body import GRAVITY, Body
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.biomechanics.setup import set_up
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers

MAN = Body(80.0, 1.80)


def read(movement: str, shape: str | None = None, **values: float) -> Reading:
    return reading(MAN, set_up(movement, shape=shape, **values))


def share_of(read: Reading, contact: str, place: int = -1) -> float:
    """Upward force on a contact, % of body weight."""
    return 100 * float(read.contact[contact][place, 0, 1]) / (MAN.mass * GRAVITY)


def test_a_pull_up_or_dip_lifts_all_but_forearms_and_hands() -> None:
    """Common practice in strength studies: body mass less forearms and hands, about 96 %
    (Dempster's forearm and hand, 2.2 % a side)."""
    for movement in ("pull_up", "dip", "handstand_push_up"):
        assert read(movement).share.likely == pytest.approx(95.6, abs=0.3), movement


def test_the_squat_line_knows_depth_and_legs() -> None:
    """Common practice, easy to hard: half, chair, parallel, low step, deep, split, rear foot raised
    (as hard as a step of two stairs), chair step, one leg."""
    line = [
        *("half-squat", "chair-squat", "squat", "step-up", "deep-squat", "split-squat"),
        *("rear-foot-raised-split-squat", "chair-step-up", "one-leg-squat"),
    ]
    for body in (Body(75.0, 1.75), Body(50.0, 1.55), Body(100.0, 1.90)):
        moved = [catalogue().find_movement(name) for name in line]
        demands = [reading(body, one.own(Modifiers()).setup(one)).demand.likely for one in moved]
        shown = {name: round(demand) for name, demand in zip(line, demands, strict=True)}
        easy, hard = demands[:3], demands[-3:]
        assert easy == sorted(easy), shown
        assert hard == sorted(hard), shown
        assert max(easy) < min(demands[3:]), shown


def test_front_leg_of_a_split_squat_with_the_rear_foot_raised_is_under_told() -> None:
    """Helme, Emmonds and Low 2022, J Strength Cond Res 36(7):1781–1787: the lead foot carries
    about 84 % with the rear foot raised (from memory). Plane statics of our posture puts it at 55
    to 65: people bring the trunk further over the front foot than the posture does, and the rear
    leg hangs on its support. The miss is told on the Bench and in docs/model.md."""
    raised = share_of(read("split_squat", "rear_foot_raised"), "feet")
    assert 50 < raised < 70
    leaning = share_of(read("split_squat", "rear_foot_raised", lean=40, shank=25), "feet")
    assert raised < leaning < 84


def test_the_split_squat_leaning_loads_the_front_leg_more_than_upright() -> None:
    """Common practice: lean forwards for the hip, stay upright for the thigh of both legs."""
    upright, leaning = (
        share_of(read("split_squat", shape), "feet") for shape in ("upright", "leaning")
    )
    assert leaning > upright


def test_planks_put_more_on_the_forearms_than_on_the_feet() -> None:
    """Common practice, and what the push-up's published top says of a level body: about two
    thirds on the arms."""
    for movement in ("plank", "side_plank"):
        assert 60 < share_of(read(movement), "forearms", 0) < 72, movement


def test_a_seated_lift_and_a_bench_dip_lie_under_the_bar_dip() -> None:
    """Common practice: legs on the floor take a part."""
    bar = read("dip").demand.likely
    for shape in ("legs_bent", "legs_straight", "feet_raised"):
        assert 0.4 < read("bench_dip", shape).demand.likely / bar < 0.95
    assert read("seat_lift").demand.likely < bar


def test_a_straight_leg_raise_asks_its_hip_for_the_leg_at_arms_length() -> None:
    """Worked by hand with Winter's leg: 0.161 of body mass a side at 0.447 of the leg's length
    from the hip (Winter, foot and leg, from memory); both legs, level with the floor."""
    worked = 2 * 0.161 * MAN.mass * GRAVITY * 0.447 * 0.53 * MAN.stature
    told = read("leg_lower", "straight").peak.demand.likely
    assert told == pytest.approx(worked, rel=0.10)


def test_the_curl_is_hardest_with_the_forearm_level() -> None:
    """A fact of statics every handbook tells: the weight's lever is longest at a level forearm."""
    curl = read("curl", elbow=140)
    elbow, wrist = (curl.posture.joints[name][:, 0] for name in ("elbow", "wrist"))
    slope = np.abs(np.degrees(np.arctan2(*(wrist - elbow).T[::-1])))
    level = int(np.argmin(np.abs(slope)))
    assert int(np.argmax(curl.measured[:, 0])) == level
