"""What `./invelo review` reads and answers with: a ladder, whose it is, and what was done; what is
known, what comes next and when."""

from datetime import date
from typing import Annotated, Any, Literal

from pydantic import BeforeValidator, Field, TypeAdapter

from invelo.domain.athlete.limits import EARLIER_LIMITS, Limit
from invelo.domain.athlete.strain import Quantity
from invelo.domain.plan.prescription import Method, Purpose, Unit
from invelo.domain.review.proposals.situation import Outcome, Standing
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.domain.training.log import Derived, OneSide, SetKind
from invelo.formats.scripts.ladder import BandOf, ItemOf, TestOf
from invelo.formats.scripts.movements import Range
from invelo.formats.setups import BodyRequest, Changes


class CheckedItem(ItemOf):
    """A thing to set up with, and until when its safety check holds."""

    checked_until: date | None = Field(None, description="None where no check is needed.")


class PrescribedRung(Changes):
    """What is asked now: a rung of the ladder by its name, as it is set."""

    rung: str = Field(description="Name of a rung of the ladder.")
    name: str = Field("", description="As it is set; the rung's own if left out.")
    sets: int | None = None
    low: int | None = None
    high: int | None = None
    rest_s: int | None = None
    rpe: float | None = None
    since: date | None = Field(None, description="From which day; from the beginning if left out.")
    climbed: bool = Field(False, description="Whether it was newly taken.")
    own_range: bool = Field(False, description="Whether a hold's seconds are the coach's own.")
    as_set: bool = Field(False, description="Whether the changes replace the rung's own.")


class DoneSet(StrictModel):
    """A set, with what was asked of it."""

    rung: str = Field("", description="Name of a rung; the prescribed one if left out.")
    amount: float
    rpe: float | None = Field(None, ge=1, le=10, description="None where it was not said.")
    asked_low: float | None = None
    asked_high: float | None = None
    asked_rpe: float | None = None
    amrap: bool = Field(False, description="Whether it was asked to go on to its end.")
    form_ok: bool = True
    pain: int = 0
    pain_place: str = ""
    kind: SetKind = "work"
    side: OneSide = ""
    number: int = 0


class SessionDone(StrictModel):
    """A session of the ladder."""

    day: date
    derived: Derived = Field("", description="Why it asked other than the prescription.")
    sets: list[DoneSet]


class Answered(StrictModel):
    """What became of an earlier proposal."""

    outcome: Outcome
    rung: str
    answer: Literal["accept", "edit", "decline", "routine", "undone"] = "accept"
    day: date
    rules: list[str] = Field(default_factory=list)


def _earlier(value: Any) -> Any:
    if isinstance(value, str) and value in EARLIER_LIMITS:
        quantity, most = EARLIER_LIMITS[value]
        return {"quantity": quantity, "most": most}
    return value


class LimitGiven(StrictModel):
    """The most of a quantity that stays open."""

    quantity: Quantity
    most: float = Field(0.0, description="Degrees, %, or a class of 0 to 3.")

    def core(self) -> Limit:
        """As the domain reads it.

        Raises:
            InputError: for a figure out of range.
        """
        return Limit(self.quantity, self.most, "screen")


LimitOf = Annotated[LimitGiven, BeforeValidator(_earlier)]


class ReviewRequest(StrictModel):
    """A ladder, whose it is, and what was done."""

    body: BodyRequest
    ladder: dict[str, Any] = Field(description="A ladder file.")
    today: date
    age: int | None = Field(None, ge=5, le=110)
    limits: list[LimitOf] = Field(
        default_factory=list, description="Of the screen; a name of an earlier release is read too."
    )
    kit: list[CheckedItem] | None = None
    bands: list[BandOf] = Field(default_factory=list)
    method: Method = "double_progression"
    purpose: Purpose = "strength"
    prescription: PrescribedRung | None = None
    sessions: list[SessionDone] = Field(default_factory=list)
    tests: list[TestOf] = Field(default_factory=list)
    answered: list[Answered] = Field(default_factory=list)
    occasion: Literal["session", "week"] = "session"
    stressful_days: int | None = Field(None, description="A week at most, of what stresses most.")


class CapacityAnswer(StrictModel):
    """What is known in one limiting measure."""

    measure: str
    unit: str
    capacity: Range
    at_least: bool = Field(description="Whether nothing has told the most they can do.")
    growth_percent_a_week: Range
    told_on: date | None = Field(description="Day of the newest set that told by end or rating.")


class FigureAnswer(StrictModel):
    """A figure that a rule saw."""

    name: str
    value: str


class AskedAnswer(StrictModel):
    """A rung as it is asked."""

    rung: str
    words: str
    sets: int
    low: int
    high: int
    unit: Unit
    rpe: float
    rest_s: int


class SpokenProposal(ResponseModel):
    """A proposal in order."""

    outcome: Outcome
    standing: Standing
    to: str
    reason: str
    figures: list[FigureAnswer]
    rules: list[str]
    then: AskedAnswer | None
    new_rung: bool = Field(description="Whether a rung would be put on the ladder.")
    passed: list[str]


class NextSession(AskedAnswer):
    """The next session as it will be asked."""

    derived: Derived
    why: str
    last_set_amrap: bool
    last_set_rpe: float | None


class ForecastAnswer(ResponseModel):
    """When a criterion is there; empty dates lie beyond a year."""

    what: str
    likely: date | None
    low: date | None
    high: date | None


class ReviewAnswer(StrictModel):
    """What is known and what comes next."""

    state: Standing
    capacities: list[CapacityAnswer]
    expected_next: float | None = Field(description="Likely reps or seconds on the next rung.")
    proposals: list[SpokenProposal]
    next_session: NextSession
    forecast: list[ForecastAnswer]
    reminders: list[str]
    model_version: str


requests: TypeAdapter[ReviewRequest] = TypeAdapter(ReviewRequest)
