"""Figures: what is drawn is what was computed."""

import pytest

from invelo.domain.biomechanics.body import GRAVITY
from invelo.domain.biomechanics.figure import figure, figures
from invelo.domain.biomechanics.posture.form import forms
from invelo.domain.biomechanics.reading import reading
from invelo.domain.biomechanics.setup import set_up
from tests.domain.people import AVERAGE


@pytest.mark.parametrize("name", sorted(forms()))
def test_a_figure_draws_every_segment_along_the_rep(name: str) -> None:
    read = reading(AVERAGE, set_up(name))
    drawn = figures(read)
    assert len(drawn) == len(read.depths)
    for one in drawn:
        assert all(part.near in one.joints and part.far in one.joints for part in one.segments)
        assert len(one.segments) == (3 if one.from_above else len(read.posture.segments.mass))
    assert drawn[0].phase == (read.setup.form.ends[0] if len(drawn) > 1 else "hold")


def test_the_drawn_hand_force_is_the_load() -> None:
    read = reading(AVERAGE, set_up("push_up", foot_height=0.4))
    hands = next(force for force in figure(read, 0).forces if force.name == "hands")
    assert hands.vector.y / GRAVITY == pytest.approx(read.at_start.likely, abs=1e-3)
    assert hands.at.y == pytest.approx(0)


def test_surfaces_stand_where_the_setup_says() -> None:
    read = reading(AVERAGE, set_up("push_up", hand_height=0.6, foot_height=0.1))
    heights = {one.label: one.height for one in figure(read, 0).surfaces}
    assert heights == {"hands": 0.6, "feet": 0.1}


def test_a_bar_is_drawn_where_the_hands_are_and_stays_there() -> None:
    read = reading(AVERAGE, set_up("row", body_angle=60))
    start, end = figure(read, 0), figure(read, len(read.depths) - 1)
    for drawn in (start, end):
        bar = next(one for one in drawn.surfaces if one.kind == "bar")
        assert drawn.joints["wrist"].y == pytest.approx(bar.height, abs=1e-3)
    assert start.joints["wrist"].x == pytest.approx(end.joints["wrist"].x, abs=1e-3)


def test_the_centre_of_mass_lies_within_the_body() -> None:
    drawn = figure(reading(AVERAGE, set_up("push_up")), 0)
    xs = [place.x for place in drawn.joints.values()]
    assert min(xs) < drawn.centre_of_mass.x < max(xs)
