"""What the Bench is asked and what it answers."""

from typing import Annotated, Literal
from uuid import UUID

from pydantic import Field

from invelo.api.common.drawing import FigureOut
from invelo.api.common.schemas import EstimateOut, Explained
from invelo.domain.biomechanics.setup import Place
from invelo.domain.equipment.loads import Thing, water
from invelo.domain.strength.predict import Done
from invelo.domain.strength.tempo import Tempo
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.domain.training.amount import AmountDone
from invelo.formats.setups import BodyRequest, SetUpRequest


class ParameterOf(ResponseModel):
    """Something about a form that may be changed."""

    name: str = Field(examples=["hand_height"])
    label: str = Field(examples=["surface under the hands"])
    unit: str = Field(examples=["m"])
    low: float
    high: float
    default: float
    step: float


class AdjustableOut(ResponseModel):
    """Something that can be solved for."""

    name: str
    label: str
    unit: str
    low: float
    high: float


class Preset(ResponseModel):
    """A named shape of a form."""

    name: str
    values: dict[str, float]


class FormOf(ResponseModel):
    """A family's posture."""

    id: str = Field(examples=["push_up"])
    name: str = Field(examples=["Push-up"])
    family: str
    counted: Literal["reps", "hold", "rpe"]
    measure: str = Field(examples=["hand load"])
    ends: list[str]
    parameters: list[ParameterOf]
    adjustables: list[AdjustableOut]
    presets: list[Preset]
    loads: list[str]
    says: str
    caution: str
    keeps: list[str] = Field(description="Families of ladders that can hold it as a rung.")
    compares: list[str] = Field(description="Forms that it can be compared with.")


class Forms(ResponseModel):
    """Every family's posture."""

    forms: list[FormOf]


class DoneAt(AmountDone):
    """A set or a hold that was done."""

    setup: SetUpRequest
    rpe: float = 10.0

    def core(self) -> Done:
        """As the domain reads it."""
        return Done.given(
            self.setup.core(),
            self.amount,
            self.unit,
            Tempo.parse(self.setup.tempo),
            self.rpe,
        )


class Sheet(StrictModel):
    """A body, one set-up or two, and what the body has done."""

    body: BodyRequest
    one: SetUpRequest
    other: SetUpRequest | None = None
    done: DoneAt | None = None


class JointOut(ResponseModel):
    """A joint's torque against what a body of this size does there that way, both sides together;
    a leg that works by itself, or a second one, for itself."""

    joint: str
    torque: float = Field(description="N·m.")
    strength: float = Field(description="N·m, likely; people differ by 30 % and more.")


class AlongRep(ResponseModel):
    """The limiting measure at a place along the rep, and who carries what there."""

    depth: float
    demand: EstimateOut
    carried: dict[str, float] = Field(description="Upwards on each contact, kg.")
    joints: list[JointOut]


class ReadingOf(ResponseModel):
    """What a set-up asks."""

    movement: str
    words: str = Field(description="The set-up as it is called.", examples=["Push-up, feet 20 cm"])
    measure: str
    demand: EstimateOut
    share: EstimateOut
    along: list[AlongRep]
    peak_depth: float
    rises: bool = Field(description="The body is up at the rep's other end.")
    work: EstimateOut
    rep_time_s: float
    overhang: EstimateOut
    torques: dict[str, EstimateOut]
    forces: dict[str, EstimateOut]
    expected: EstimateOut | None = Field(description="Reps or seconds, from what was done.")
    expected_unavailable_reason: str
    figures: list[FigureOut]


class Bench(ResponseModel):
    """The sheet, computed."""

    one: ReadingOf
    other: ReadingOf | None
    ratio: EstimateOut | None = Field(description="How many times as hard the other is.")
    ratio_unavailable_reason: str
    done: str = Field(description="What was done, as it is called.")
    model_version: str


class DerivationRequest(Sheet):
    """Which figure of the sheet is to be explained."""

    which: Literal["one", "other", "ratio", "capacity"] = "one"
    figure: str = Field("demand", examples=["demand", "torque.hip", "force.hands", "expected"])


class Aim(StrictModel):
    """As hard as another set-up, or so many reps or seconds of what was done."""

    model: SetUpRequest | None = None
    step_percent: float = 0.0
    count: float | None = Field(None, examples=[5])


class Puzzle(StrictModel):
    """Turn one dial of a set-up until the aim is met."""

    body: BodyRequest
    task: SetUpRequest
    adjustable: str = Field(examples=["foot_height"])
    aim: Aim
    done: DoneAt | None = None


class SolutionOut(ResponseModel):
    """Where the dial meets the aim."""

    adjustable: str
    label: str
    unit: str
    now: float
    to: Explained | None
    setup: SetUpRequest | None
    unavailable_reason: str


class BandPuzzle(StrictModel):
    """Which band brings a count within reach."""

    body: BodyRequest
    task: SetUpRequest
    done: DoneAt
    count: float = Field(examples=[5])
    at: Place = "hips"


class BandAnswer(ResponseModel):
    """One band, and where it must hang."""

    name: str
    anchor: Explained | None
    pull: Explained | None
    stretch: float | None
    expected: Explained | None
    setup: SetUpRequest | None
    unavailable_reason: str


class BandAnswers(ResponseModel):
    """Every band the coach has, plain and doubled."""

    assistance: Explained = Field(description="How much must be taken off the demand.")
    bands: list[BandAnswer]


class ThingAt(StrictModel):
    """Something to load with."""

    name: str = Field(max_length=60, examples=["sandbag 2.5"])
    kg: float = Field(0.0, examples=[2.5])
    litres: float = Field(0.0, description="Of water, in place of kilos.")
    count: int = Field(1, examples=[4])

    def core(self) -> Thing:
        """As the domain picks it."""
        return Thing(self.name, water(self.litres) if self.litres else self.kg, self.count)


class LoadPuzzle(StrictModel):
    """A load to be made of things."""

    target_kg: float = Field(examples=[7.5])
    tolerance_kg: float = 0.25
    limit_kg: float = 15.0
    things: list[ThingAt] = Field(max_length=60)


class Piece(ResponseModel):
    """How many of a thing."""

    name: str
    count: int
    kg: float


class Pieces(ResponseModel):
    """The fewest pieces that make the load."""

    pieces: list[Piece]
    kg: float
    off_kg: float


class KeptSetUp(StrictModel):
    """A set-up to keep as a rung."""

    id: UUID = Field(description="Made by the client, so that sending it twice adds one.")
    name: Annotated[str, Field(min_length=1, max_length=80, pattern=r"\S")]
    setup: SetUpRequest
