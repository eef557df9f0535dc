"""Angles as joints are dragged are the angles that the postures are built from."""

import pytest

from invelo.domain.biomechanics.figure import figure
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.catalogue.own import USUAL, angles_of, settable
from tests.phone.node import Node

HANDLES = {"knee": "hip", "ankle": "knee", "elbow": "shoulder", "wrist": "elbow"}
"""Joint that is taken hold of, and the angle it sets; feet and hands may lie on what they touch."""

DRAWN = [
    movement
    for movement in catalogue().movement
    if set(HANDLES.values()) & set(settable(movement.posture))
    and not movement.posture.level_plane
    and "rear" not in {touch.at for touch in movement.posture.touches}
]


@pytest.mark.parametrize("movement", DRAWN[::6], ids=lambda one: one.id)
def test_a_joint_let_go_where_it_was_keeps_its_angle(node: Node, movement: Movement) -> None:
    read = reading(USUAL, movement.own(Modifiers()).setup(movement))
    drawn = figure(read, 0)
    joints = {name: {"x": at.x, "y": at.y} for name, at in drawn.joints.items()}
    facing = 1 if movement.posture.facing == "up" else -1
    start, _ = angles_of(movement)
    laid = {touch.at for touch in movement.posture.touches}
    for handle, joint in HANDLES.items():
        if joint not in settable(movement.posture) or joint not in start:
            continue
        if (handle == "wrist" and "forearms" in laid) or (handle == "ankle" and "knees" in laid):
            continue
        if "shoulders" in laid and handle in ("elbow", "wrist"):
            continue  # the arms lie on the floor
        told = node.angleOf(handle, joints[handle], joints, facing)
        assert told == pytest.approx(start[joint], abs=1.5), (handle, joint)


def test_a_joint_drawn_further_turns_its_angle(node: Node) -> None:
    """A lever lies level with the head to the right: straight up from the hip is a right angle."""
    joints = {"hip": {"x": 0, "y": 1}, "shoulder": {"x": 0.5, "y": 1}, "knee": {"x": -0.4, "y": 1}}
    assert node.angleOf("knee", {"x": -0.4, "y": 1}, joints, 1) == 0
    assert node.angleOf("knee", {"x": 0, "y": 1.4}, joints, 1) == 90
    assert node.angleOf("knee", {"x": 0, "y": 1.4}, joints, -1) == -90
