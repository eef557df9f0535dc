"""Figures: what is drawn is what was computed."""

import pytest

from invelo.core.body import GRAVITY
from invelo.core.posture.figure import push_up_figure
from invelo.core.posture.push_up import PushUpSetup
from invelo.core.rung import push_up_load
from tests.core.people import AVERAGE


@pytest.mark.parametrize("phase", ["top", "middle", "bottom"])
def test_a_figure_draws_every_segment(phase: str) -> None:
    figure = push_up_figure(AVERAGE, PushUpSetup(hand_height=0.3), phase)  # type: ignore[arg-type]
    assert figure.phase == phase
    assert len(figure.segments) == 8
    assert all(one.near in figure.joints and one.far in figure.joints for one in figure.segments)


def test_the_drawn_hand_force_is_the_load() -> None:
    setup = PushUpSetup(foot_height=0.4)
    figure = push_up_figure(AVERAGE, setup, "top")
    hands = next(force for force in figure.forces if force.name == "hands")
    load = push_up_load(AVERAGE, setup).top.likely
    assert hands.vector.y / GRAVITY == pytest.approx(load, abs=1e-3)
    assert hands.at.y == pytest.approx(0)


def test_surfaces_stand_where_the_setup_says() -> None:
    figure = push_up_figure(AVERAGE, PushUpSetup(hand_height=0.6, foot_height=0.1), "top")
    assert (figure.hand_surface, figure.foot_surface) == (0.6, 0.1)


def test_the_centre_of_mass_lies_within_the_body() -> None:
    figure = push_up_figure(AVERAGE, PushUpSetup(), "top")
    xs = [place.x for place in figure.joints.values()]
    assert min(xs) < figure.centre_of_mass.x < max(xs)
