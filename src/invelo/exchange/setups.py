"""Movements, bodies and set-ups as scripts write them in JSON."""

from math import radians
from typing import Annotated, Any, Literal

from pydantic import BaseModel, ConfigDict, Field

from invelo.core.body import WINTER, Body, Worn
from invelo.core.dumas import DUMAS
from invelo.core.errors import InputError
from invelo.core.posture.lever import LeverShape, ShapeName, shape
from invelo.core.posture.push_up import PushUpSetup
from invelo.core.posture.row import RowSetup
from invelo.core.tempo import Tempo


class Request(BaseModel):
    """A request; a misspelt field is an error, not silence."""

    model_config = ConfigDict(extra="forbid", allow_inf_nan=False)


class BodyRequest(Request):
    """Whose body."""

    stature_m: float = Field(description="1.0 to 2.4 m.", examples=[1.75])
    mass_kg: float = Field(description="20 to 300 kg.", examples=[75])
    sex: Literal["male", "female"] | None = Field(None, description="Which of dumas's tables.")
    table: Literal["winter", "dumas"] = Field("winter", description="Segment table.")
    lengths_m: dict[str, float] = Field(
        default_factory=dict,
        description="Measured segment lengths in place of the table's.",
        examples=[{"thigh": 0.44}],
    )

    def core(self) -> Body:
        """As the core computes with it.

        Raises:
            InputError: for values no human has, or a table by sex without the sex.
        """
        lengths = tuple(sorted(self.lengths_m.items()))
        if self.table == "winter":
            return Body(self.mass_kg, self.stature_m, WINTER, lengths)
        if self.sex is None:
            raise InputError("sex", "the table dumas is by sex.", "Give male or female.")
        return Body(self.mass_kg, self.stature_m, DUMAS[self.sex], lengths)


class PushUpRequest(Request):
    """Heights of hands and feet above the floor, m; what the body turns about; where in the rep."""

    hands_height_m: float = Field(0.0, examples=[0.3048])
    feet_height_m: float = 0.0
    hands_offset_m: float = Field(0.0, description="Along the body, + towards the feet.")
    vest_kg: float = 0.0
    bag_kg: float = 0.0
    support: Literal["toes", "knees"] = "toes"
    phase: Literal["top", "bottom"] = "top"

    def core(self) -> PushUpSetup:
        """As the core computes with it."""
        return PushUpSetup(
            self.hands_height_m,
            self.feet_height_m,
            self.support,
            self.hands_offset_m,
            Worn(vest=self.vest_kg, bag=self.bag_kg),
        )


class RowRequest(Request):
    """A row: heels on the ground, the body leaning back in one line."""

    body_angle_deg: float = Field(description="Of the trunk from upright; 90 is level.")
    knee_bend_deg: float = 0.0
    feet_height_m: float = 0.0
    vest_kg: float = 0.0

    def core(self) -> RowSetup:
        """As the core computes with it."""
        return RowSetup(
            radians(self.body_angle_deg),
            radians(self.knee_bend_deg),
            self.feet_height_m,
            Worn(vest=self.vest_kg),
        )


class LeverRequest(Request):
    """A canonical shape of a straight-arm lever."""

    shape: ShapeName = Field(examples=["advanced_tuck"])

    def core(self) -> LeverShape:
        """As the core computes with it."""
        return shape(self.shape)


class PushUp(Request):
    """A push-up and its set-up."""

    movement: Literal["push_up"]
    setup: PushUpRequest = Field(default_factory=PushUpRequest)


class Row(Request):
    """A row and its set-up."""

    movement: Literal["row"]
    setup: RowRequest


class Lever(Request):
    """A planche or a front lever in one of its shapes, body level."""

    movement: Literal["planche", "front_lever"]
    setup: LeverRequest


MOVEMENTS = frozenset({"push_up", "row", "planche", "front_lever"})
"""Every movement scripts can name."""


class Range(BaseModel):
    """A figure with its 80 % interval, and the envelope of differing methods where more speak."""

    low: float
    likely: float
    high: float
    spread: tuple[float, float] | None = None


def tempo_of(seconds: list[float] | None) -> Tempo:
    """Lower, hold, press, hold in seconds; an even rep of 2 s if left out."""
    return Tempo(*seconds) if seconds else Tempo()


TempoSeconds = Annotated[
    list[float] | None,
    Field(min_length=4, max_length=4, description="Lower, hold, press, hold; s."),
]


def said(answer: BaseModel) -> dict[str, Any]:
    """An answer as JSON keeps it, without the fields that mean nothing here."""
    return answer.model_dump(exclude_none=True)
