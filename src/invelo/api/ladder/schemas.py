"""What the Ladder is asked and what it answers."""

from datetime import date
from typing import Literal
from uuid import UUID

from pydantic import Field

from invelo.api.athlete.battery_schemas import TestCreate
from invelo.api.common.drawing import FigureOut
from invelo.api.common.schemas import (
    BodyMeasurementOut,
    CriterionOut,
    EstimateOut,
    Explained,
    PrescriptionOut,
)
from invelo.domain.biomechanics.posture.form import Form
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Movement
from invelo.domain.plan.prescription import Level, Purpose, Unit
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.formats.ladder.shapes import PlainRung, StepPolicyDocument
from invelo.formats.setups import Changes


class SetUpOut(Changes):
    """A movement and what is changed about it."""

    movement: str = Field(examples=["push-up"])


class RungOut(SetUpOut, ResponseModel):
    """A rung as it is drawn: its height on the page is `demand`."""

    id: UUID
    version: str = Field(description="For `If-Match`.")
    position: int
    name: str
    prescription: PrescriptionOut
    criterion: CriterionOut
    why: str = Field(description="Why it stands where it does, if not by demand.")
    closed: str = Field(description="Why it is closed to the athlete today; '' if it is open.")
    lane: int | None = Field(description="Which of the ladder's lanes; none if effort alone tells.")
    demand: EstimateOut | None
    load: EstimateOut | None
    share: EstimateOut | None
    expected: EstimateOut | None = Field(description="Reps to failure, or seconds, likely here.")
    figure: FigureOut


class StepOut(ResponseModel):
    """From one rung to one above it."""

    lower_id: UUID
    upper_id: UUID
    ratio: EstimateOut | None = Field(description="None across lanes and where effort alone tells.")
    above: EstimateOut | None = Field(
        description="Likely above for whoever just meets the criterion."
    )
    gap: bool
    easier: bool


class Lane(ResponseModel):
    """Rungs that are limited by the same thing, and what is known of the athlete there."""

    measure_words: str = Field(description="What limits them.", examples=["hand load"])
    unit: str = Field(examples=["kg"])
    counted: Unit
    reach: Explained | None
    capacity: Explained | None


class PlacementOut(ResponseModel):
    """Where the model places the athlete."""

    rung_id: UUID
    low_rung_id: UUID
    high_rung_id: UUID
    fits: bool
    reach: Explained
    capacity: Explained
    evidence_day: date
    evidence_kind: Literal["test", "set"]
    narrower: str


class LadderSheet(ResponseModel):
    """A ladder measured for its athlete."""

    id: UUID
    athlete_id: UUID
    athlete_name: str
    goal: str
    family: str
    lanes: list[Lane]
    method: str
    purpose: Purpose
    level: Level
    settings: StepPolicyDocument
    stopped: str = Field(description="Why pain stopped the movement; empty while it runs.")
    current_rung_id: UUID
    measure: BodyMeasurementOut
    rungs: list[RungOut]
    steps: list[StepOut]
    placement: PlacementOut | None = Field(description="None while no test says anything.")
    undo: str = Field(description="What an undo takes back; '' if there is nothing.")
    redo: str
    revision: int
    version: str = Field(description="For `If-Match`: another after every change.")
    model_version: str
    catalogue_version: str


class FaultAtRungOut(ResponseModel):
    """Something to see in a rep, and what to do about it."""

    name: str
    remedy: str
    easier: str = Field("", description="The easier movement it calls for, by name.")


class Phases(ResponseModel):
    """The limiting measure along the rep."""

    top: Explained
    middle: Explained
    bottom: Explained


class RungSheet(ResponseModel):
    """Everything about one rung, each figure with how it came about."""

    id: UUID
    name: str
    movement_name: str
    rpe_only: bool
    prime: list[str]
    cues: list[str]
    faults: list[FaultAtRungOut]
    cautions: list[str]
    limits_of_figure: list[str] = Field(description="What the figure does not tell, for the coach.")
    stress: list[str] = Field(description="Joints and how much they bear.")
    demand: Explained | None
    share: Explained | None
    work: Explained | None
    rep_time_s: float
    phases: Phases | None
    expected: Explained | None
    figures: list[FigureOut]


class FirstRung(PlainRung):
    """The first rung of a ladder from nothing."""

    id: UUID


class NewLadder(StrictModel):
    """A ladder for an athlete: a ready one, or one of your own that begins with a rung."""

    ready_ladder: str | None = Field(None, examples=["push-up"])
    goal: str = Field("", max_length=120, description="Of a ladder of your own.")
    first: FirstRung | None = Field(None, description="Of a ladder of your own.")
    purpose: Purpose = "strength"
    level: Level = "beginner"
    test: TestCreate | None = Field(None, description="Kept first, if one was done just now.")


class Copy(StrictModel):
    """A ladder for someone else too."""

    athlete_id: UUID


class Move(StrictModel):
    """The coach's own choice of rung."""

    rung_id: UUID
    note: str = Field("", max_length=300, description="Why.")


class ComparedLadders(ResponseModel):
    """One ladder for two athletes, each by their own body and tests."""

    one: LadderSheet
    other: LadderSheet


def faults_of(movement: Movement) -> list[FaultAtRungOut]:
    """A movement's faults, each with the easier movement it calls for by name."""
    return [
        FaultAtRungOut.of(
            fault, easier=catalogue().find_movement(fault.easier).name if fault.easier else ""
        )
        for fault in movement.fault
    ]


def ends_of(form: Form) -> tuple[Literal["start", "end"], ...]:
    """The ends of the rep that are drawn; one for a hold."""
    return ("start",) if form.counted == "hold" else ("start", "end")
