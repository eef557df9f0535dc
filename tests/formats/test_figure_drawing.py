"""Figures for print: every movement is drawn, inside its space, its other end dashed."""

from typing import Any

import pytest
from reportlab.graphics.shapes import Circle, Drawing, Line

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.formats.figure_drawing import drawing_of

WIDTH, HEIGHT = 84.0, 52.0


def drawn(movement_id: str) -> Drawing:
    movement = catalogue().find_movement(movement_id)
    return drawing_of(movement, movement.own(Modifiers()), WIDTH, HEIGHT)


def dashed(drawing: Drawing) -> list[Any]:
    return [one for one in drawing.contents if getattr(one, "strokeDashArray", None)]


@pytest.mark.parametrize("family", [one.name for one in catalogue().family])
def test_every_movement_is_drawn_inside_its_space(family: str) -> None:
    for movement in catalogue().movement:
        if movement.family != family:
            continue
        drawing = drawn(movement.id)
        left, low, right, high = drawing.getBounds()
        assert sum(isinstance(one, Line) for one in drawing.contents) >= 3, movement.id
        assert left >= -HEIGHT / 4, movement.id
        assert right <= WIDTH + HEIGHT / 4, movement.id
        assert low >= -HEIGHT / 4, movement.id
        assert high <= HEIGHT * 1.25, movement.id  # a head reaches a little over its crown


def test_a_rep_has_two_ends_and_a_hold_one() -> None:
    assert dashed(drawn("push-up"))
    assert not dashed(drawn("plank"))


def test_whoever_hangs_is_drawn_as_large_as_who_lies() -> None:
    """Without the two metres of air under them."""
    lever, plank = drawn("front-lever"), drawn("plank")

    def across(drawing: Drawing) -> float:
        xs = [x for one in drawing.contents if isinstance(one, Line) for x in (one.x1, one.x2)]
        return float(max(xs) - min(xs))

    assert across(lever) >= 0.6 * across(plank)
    assert any(isinstance(one, Circle) and one.r < 2 for one in lever.contents)  # the bar
