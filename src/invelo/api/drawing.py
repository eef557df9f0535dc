"""Postures as they are drawn."""

from typing import Literal

from pydantic import Field

from invelo.api.shapes import Shape
from invelo.core.posture.figure import push_up_figure
from invelo.store.ladder import LadderView
from invelo.store.rows import body_of


class Point(Shape):
    """A place (m) or a vector (N)."""

    x: float
    y: float


class Segment(Shape):
    """Two joints to join by a line."""

    near: str = Field(examples=["hip"])
    far: str = Field(examples=["knee"])


class Force(Shape):
    """A force of the world on the body."""

    name: str = Field(examples=["hands"])
    at: Point
    vector: Point


class Figure(Shape):
    """A computed posture, seen from the side; x from the feet to the head, y up, m."""

    phase: Literal["top", "middle", "bottom"]
    joints: dict[str, Point]
    segments: list[Segment]
    centre_of_mass: Point
    forces: list[Force]
    hand_surface: float
    foot_surface: float


def figure_of(seen: LadderView, index: int, phase: Literal["top", "bottom"]) -> Figure:
    """One rung's posture for the ladder's athlete."""
    rung = seen.measured.rungs[index]
    setup = rung.modifiers.setup(rung.movement)
    return Figure.model_validate(push_up_figure(body_of(seen.measure), setup, phase))
