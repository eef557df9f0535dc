"""What tests are asked and what they answer."""

from datetime import date, datetime
from typing import Literal
from uuid import UUID

from pydantic import Field

from invelo.api.common.drawing import FigureOut
from invelo.api.common.schemas import EstimateOut, Explained
from invelo.domain.athlete.battery import rpe_of
from invelo.domain.catalogue.catalogue import catalogue, find_test
from invelo.domain.plan.prescription import Unit, amount_in
from invelo.domain.strict import ResponseModel
from invelo.domain.training.amount import AmountDone
from invelo.domain.training.by_hand import done_with
from invelo.domain.training.log import OneSide
from invelo.formats.setups import Changes
from invelo.services.athlete import battery


class TestCreate(Changes, AmountDone):
    """A test as it was done: reps or, of a hold, seconds."""

    id: UUID = Field(description="Made by the client, so that sending it twice counts once.")
    movement: str = Field("push-up", examples=["push-up"])
    rpe: float = 10.0
    kind: str | None = Field(
        None, max_length=60, description="Test of the battery, where it was one.", examples=["hang"]
    )
    side: OneSide = Field("", description="Of a movement done one side at a time.")
    load_kg: float | None = Field(
        None, description="Kilos added where the movement carries them; below nought taken off."
    )

    def core(self) -> battery.NewTest:
        """As the store keeps it."""
        movement = catalogue().find_movement(self.movement)
        kind = find_test(self.kind) if self.kind else None
        amount = amount_in(movement.posture.name, movement.unit, self.amount, self.unit)
        return battery.NewTest(
            self.id,
            movement,
            done_with(movement, self.modifiers(), kg=self.load_kg, at=None, tempo=""),
            amount,
            self.rpe if kind is None else min(self.rpe, rpe_of(kind, gentle=False, amount=amount)),
            self.side,
            kind,
        )


class NormOut(ResponseModel):
    """A published table beside a test."""

    side: OneSide
    name: str
    source: str
    age: int
    words: list[str]
    least: list[float] = Field(description="Least amount that earns each word.")


class TestCard(Changes, ResponseModel):
    """A test of the battery: how it is done, and why it is worth doing now."""

    id: str
    name: str
    movement: str
    family: str
    unit: Unit
    per_side: bool
    how: str
    protocol: str
    stop: list[str]
    cautions: list[str]
    figures: list[FigureOut]
    norms: list[NormOut] = Field(description="One, one for each side, or none.")
    beside: str = Field(description="What is to be known where no norm stands beside it.")
    rpe: float = Field(description="Effort it is done at: 10 goes to its end.")
    stop_at: int = Field(description="Seconds after which longer tells nothing; 0 for none.")
    within: int = Field(description="Seconds there are for it; 0 where it goes to its end.")
    why: str
    expected: EstimateOut | None


class ClosedTest(ResponseModel):
    """A test that is closed now."""

    name: str
    why: str


class BatteryOut(ResponseModel):
    """What to test now, the most telling first."""

    tests: list[TestCard]
    measures: list[TestCard] = Field(
        description="Compared with people of that age; they tell no strength that is computed."
    )
    left_out: list[ClosedTest]


class TestDone(ResponseModel):
    """A kept test."""

    id: UUID
    at: datetime
    local_date: date
    words: str
    family: str
    amount: float
    unit: Unit
    side: OneSide
    rpe: float
    model_version: str
    since: str = Field(description="Against the test of the same kind before it; '' if none.")
    norm_text: str = Field(description="Where it stands among people of that age and sex.")


class TwoSides(ResponseModel):
    """Left against right."""

    words: str
    weaker: Literal["", "left", "right"]


class ReadyLadderName(ResponseModel):
    """A ready ladder by its goal."""

    id: str
    goal: str


class CapacityOut(ResponseModel):
    """What an athlete can do in one family."""

    family: str
    measure: str = Field(description="What limits it.", examples=["hand load"])
    unit: Unit
    capacity: Explained
    half_width_percent: float
    day: date
    tests: int = Field(description="Days of evidence it rests on.")
    ladder_id: UUID | None
    goal: str
    rung: str = Field(description="The rung whose prescription fits; '' while there is no ladder.")
    rungs: str = Field(description="The rungs its range would place them on.")
    current_rung: str
    moved_why: str = Field(description="The coach's word, where they moved the athlete.")
    ready_ladders: list[ReadyLadderName] = Field(description="To give, while there is none.")
    sides: TwoSides | None
    narrower: str


class Capacities(ResponseModel):
    """All that the tests tell."""

    capacities: list[CapacityOut]
    tests: list[TestDone]
    model_version: str
