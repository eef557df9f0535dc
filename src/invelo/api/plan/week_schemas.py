"""The week as it is asked for and answered."""

from datetime import date
from typing import Annotated, Literal
from uuid import UUID

from fastapi import Query
from pydantic import Field, TypeAdapter, ValidationError

from invelo.api.common.schemas import EstimateOut, OurDay
from invelo.domain.catalogue.movement import Muscle
from invelo.domain.errors import InputError
from invelo.domain.plan.prescription import Purpose
from invelo.domain.plan.session.work import Format
from invelo.domain.plan.week.availability import StandingAvailability
from invelo.domain.plan.week.problem import Pin as CorePin
from invelo.domain.plan.week.problem import Placed as CorePlaced
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.formats.plan.document import BreachOut, TermOut, WeightsIn
from invelo.services.plan.week import SkippedDay

DayIndex = Annotated[int, Field(ge=0, le=6, description="0 for Monday.")]


class WeekDayIn(StrictModel):
    """A day of every week on which there is time."""

    index: DayIndex
    minutes: int = Field(examples=[45])
    place: UUID | Literal[""] = ""
    at: str = Field("18:00", description="Wall time in the athlete's zone.")


class ExtraIn(StrictModel):
    """A movement beside the ladders."""

    movement: str
    purpose: Purpose = "endurance"
    sets: int | None = Field(None, ge=1, le=12)
    days: int = Field(2, ge=1, le=7)
    rotation: str = Field("", max_length=40)
    letter: str = Field("", max_length=4)


class OwnSetIn(StrictModel):
    """A set as the coach wants it; what is left out is as the prescription says."""

    rung: str = Field("", max_length=120)
    tempo: str = Field("", max_length=20)
    low: int | None = None
    high: int | None = None
    rpe: float | None = None
    rest: float | None = None


class EditIn(StrictModel):
    """What is set by hand about one item."""

    key: str
    sets: list[OwnSetIn] = Field(default_factory=list, max_length=12)
    format: Format = "straight sets"


class TogetherIn(StrictModel):
    """Items done together where a day holds all of them."""

    format: Format
    keys: list[str] = Field(min_length=1, max_length=12)
    rounds: int = Field(3, ge=2, le=5)


class HandsIn(StrictModel):
    """All that is set by hand."""

    edits: list[EditIn] = Field(default_factory=list, max_length=60)
    together: list[TogetherIn] = Field(default_factory=list, max_length=30)


class TargetIn(StrictModel):
    """Hard sets a week for a region."""

    region: Muscle
    sets: float


class RarelyIn(StrictModel):
    """A ladder that is to be trained on no more days a week than so many."""

    ladder_id: str
    days: int = Field(ge=1, le=7)


class AvailabilityRequest(StrictModel):
    """What is asked of every week."""

    days: list[WeekDayIn] = Field(max_length=7)
    extras: list[ExtraIn] = Field(default_factory=list, max_length=40)
    targets: list[TargetIn] = Field(default_factory=list, max_length=30)
    weights: WeightsIn = Field(default_factory=WeightsIn)
    hands: HandsIn = Field(default_factory=HandsIn)
    stressful_limit: int = 2
    begun: OurDay | None = Field(None, description="The Monday on which the block began.")
    weeks: int = 8
    easy_every: int = 4
    away: float = Field(0, description="Weeks away before the block.")
    eased: list[OurDay] = Field(
        default_factory=list, max_length=200, description="Mondays of weeks asked to ease."
    )
    rarely: list[RarelyIn] = Field(default_factory=list, max_length=30)

    def core(self) -> StandingAvailability:
        """As the domain reads it.

        Raises:
            InputError: for values out of range.
        """
        fields = self.model_dump(mode="json")
        fields["targets"] = [(target.region, target.sets) for target in self.targets]
        fields["rarely"] = [(rarely_in.ladder_id, rarely_in.days) for rarely_in in self.rarely]
        try:
            return _AVAILABILITY.validate_python(fields)
        except ValidationError as error:  # the domain's own InputError comes wrapped in it
            cause = error.errors()[0].get("ctx", {}).get("error")
            if isinstance(cause, InputError):
                raise cause from error
            raise

    @classmethod
    def from_core(cls, availability: StandingAvailability) -> "AvailabilityRequest":
        """What the domain keeps, as it is asked for."""
        fields = _AVAILABILITY.dump_python(availability, mode="json")
        fields["targets"] = [
            {"region": region, "sets": sets} for region, sets in availability.targets
        ]
        fields["rarely"] = [
            {"ladder_id": ladder, "days": days} for ladder, days in availability.rarely
        ]
        return cls.model_validate(fields)


_AVAILABILITY: TypeAdapter[StandingAvailability] = TypeAdapter(StandingAvailability)


class PinRequest(StrictModel):
    """The coach's own choice: a task on a day, or not on it."""

    task: str
    day: DayIndex
    there: bool = True

    def core(self) -> CorePin:
        """As the domain reads it."""
        return CorePin(self.task, self.day, self.there)


class PlacedTask(StrictModel):
    """A task on a day."""

    task: str
    day: DayIndex

    def core(self) -> CorePlaced:
        """As the domain reads it."""
        return self.task, self.day


class Losses(StrictModel):
    """What this week has lost."""

    days: list[DayIndex] = Field(default_factory=list, max_length=7)
    places: list[UUID] = Field(default_factory=list, max_length=20)

    def core(self) -> SkippedDay:
        """As the week reads it."""
        return SkippedDay(frozenset(self.days), frozenset(str(place) for place in self.places))


class Trial(StrictModel):
    """A week as it would be: not kept."""

    pins: list[PinRequest] = Field(default_factory=list, max_length=200)
    lost: Losses = Field(default_factory=Losses)


class ToSolve(Trial):
    """A week to solve."""

    seconds: float = Field(20, gt=0, le=60, description="The search takes at most.")


class ToKeep(Trial):
    """A plan to keep, as the revision after the one it came from."""

    placed: list[PlacedTask] = Field(max_length=420)
    number: int = Field(ge=0, description="Of the revision it follows; 0 for none.")
    bound: int | None = Field(None, description="Points no plan can go under, if proven.")
    note: str = Field("", max_length=200)


class PlannedTask(ResponseModel):
    """Something the week should hold."""

    key: str
    name: str
    goal: str
    role: str
    minutes: int
    asked: int
    days: list[int] = Field(description="On which it stands.")
    possible: list[int] = Field(description="On which kit and floor allow it.")
    stressful: bool
    sets: list[str]
    wave_day: str


class PlannedDay(ResponseModel):
    """A day on which there is time."""

    index: int
    date: date
    name: str
    minutes: int = Field(description="There are.")
    taken: int = Field(description="Planned, warm-up included.")
    session_minutes: EstimateOut | None = Field(description="Of the session as it would be run.")
    place: str
    place_name: str
    at: str
    past: bool
    lost: bool
    adapted: bool
    tasks: list[str] = Field(description="Keys, in the order they are done.")


class RegionTotal(ResponseModel):
    """Hard sets of a region against its target."""

    region: str
    sets: float
    target: float
    days: int


class DoneSession(ResponseModel):
    """A session that was done."""

    day: date
    goal: str
    sets: int
    rpe: float


class WeekBefore(ResponseModel):
    """A week that is over."""

    week_start: date
    sessions: list[DoneSession]
    regions: list[RegionTotal]


class WeekPlace(ResponseModel):
    """A place of the athlete's."""

    key: str
    name: str


class BreachOnDays(BreachOut):
    """A hard rule that is broken, and by what."""

    tasks: list[str]
    days: list[int]


class WeekSheet(ResponseModel):
    """A week, drawn."""

    athlete_id: UUID
    athlete_name: str
    time_zone: str
    week_start: date
    today: date
    revision: int
    availability_version: str = Field(description="For `If-Match`, of what is asked of each week.")
    note: str
    kind: str
    kind_words: str
    advice: str
    has_availability: bool
    availability: AvailabilityRequest
    places: list[WeekPlace]
    days: list[PlannedDay]
    tasks: list[PlannedTask]
    pins: list[PinRequest]
    lost: Losses
    regions: list[RegionTotal]
    tags: dict[str, float] = Field(description="Hard sets by the coach's own tags.")
    push: float
    pull: float
    points: int
    bound: int | None
    proof: str
    terms: list[TermOut]
    breaches: list[BreachOnDays]
    planning_id: UUID | None = Field(description="Of the planning that is under way.")
    left_out: list[str]
    short: list[str] = Field(
        description="What stands on fewer days than was asked, with what binds on the others."
    )
    notices: list[str]
    before: list[WeekBefore]


Monday = Annotated[OurDay | None, Query(description="The week's Monday; this week if left out.")]
