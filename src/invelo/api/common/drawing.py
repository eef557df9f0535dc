"""Postures as they are drawn."""

from typing import Literal

from pydantic import Field

from invelo.domain.biomechanics.figure import figure
from invelo.domain.strict import ResponseModel
from invelo.services.ladder.ladder import LadderView


class PointOut(ResponseModel):
    """A place (m) or a vector (N)."""

    x: float
    y: float


class SegmentOut(ResponseModel):
    """Two joints to join by a line."""

    near: str = Field(examples=["hip"])
    far: str = Field(examples=["knee"])


class ForceOut(ResponseModel):
    """A force of the world on the body."""

    name: str = Field(examples=["hands"])
    at: PointOut
    vector: PointOut
    kg: float = Field(description="As it is told: an upright force by its upward part.")
    pulls: bool = Field(description="It draws the body towards itself.")


class SurfaceOut(ResponseModel):
    """Something the body touches: a block, a bar or a wall."""

    kind: Literal["block", "bar", "wall"]
    under: str = Field(description="The joint it is drawn at.", examples=["wrist"])
    height: float = Field(description="Above the floor, m.")
    label: str = Field(examples=["hands"])


class FigureOut(ResponseModel):
    """A computed posture, seen from the side; x from the feet to the head, y up, m."""

    phase: str = Field(examples=["top"])
    depth: float = Field(description="0 at the rep's start, 1 at its other end.")
    joints: dict[str, PointOut]
    segments: list[SegmentOut]
    centre_of_mass: PointOut
    forces: list[ForceOut]
    surfaces: list[SurfaceOut]
    from_above: bool


def figure_of(seen: LadderView, index: int, place: Literal["start", "end"]) -> FigureOut:
    """One rung's posture for the ladder's athlete."""
    load = seen.measured.demands[index].load
    return FigureOut.model_validate(figure(load, 0 if place == "start" else len(load.depths) - 1))
