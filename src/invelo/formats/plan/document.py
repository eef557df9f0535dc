"""`./invelo week`: days and what they should hold in JSON to a plan with its score and reasons."""

from typing import Annotated, Any, Literal

from pydantic import (
    BaseModel,
    BeforeValidator,
    Discriminator,
    Field,
    Tag,
    TypeAdapter,
    ValidationError,
)

from invelo.domain import MODEL_VERSION
from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import CATALOGUE_VERSION, catalogue
from invelo.domain.catalogue.movement import EARLIER_REGIONS, Muscle, StressedJoint
from invelo.domain.errors import InputError
from invelo.domain.plan.methods import WaveDay
from invelo.domain.plan.prescription import Purpose
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.session.work import ROLES, Item, Role
from invelo.domain.plan.week.problem import (
    STRESSFUL_LIMIT,
    WEEKDAYS,
    Day,
    Pin,
    PlanningProblem,
    WeekTask,
    Weights,
)
from invelo.domain.plan.week.progress import PlannedWeek
from invelo.domain.plan.week.score import Breach, Term, minutes_on, tasks_on
from invelo.domain.plan.week.shortfall import shortfalls
from invelo.domain.plan.week.tasks import task_of
from invelo.domain.strict import ResponseModel, StrictModel

DayName = Literal["monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday"]
MOST_SECONDS = 300.0
Region = Annotated[Muscle, BeforeValidator(lambda name: EARLIER_REGIONS.get(name, name))]
"""By its name, or by the one it had in an earlier release."""


class DayIn(StrictModel):
    """A day on which there is time."""

    day: DayName
    minutes: int = Field(description="Warm-up included, 1 to 240.", examples=[45])
    place: str = Field("", description="Key of where it is; '' where any kit is there.")
    past: bool = Field(False, description="What was done stays; nothing is added.")

    def core(self) -> Day:
        """As the domain reads it."""
        return Day(_index(self.day), self.minutes, self.place, self.past)


def _index(day: DayName) -> int:
    return WEEKDAYS.index(day.capitalize())


class _Often(StrictModel):
    days: int = Field(2, description="Wanted a week, 0 to 7.")
    least: int = Field(0, description="Days it must stand on.")
    most: int = Field(7, description="Days it may stand on.")
    places: list[str] | None = Field(None, description="That allow it; every one if left out.")
    wave: str = ""
    wave_day: WaveDay | None = None
    rotation: str = Field("", description="Accessories of one rotation take turns.")
    letter: str = Field("", description="Which of its turns.", examples=["A"])
    surface: str = Field("", examples=["rings"])
    prescribed: bool = Field(
        False, description="Of a ladder's prescription: comes before what else is asked."
    )


class MovementIn(_Often):
    """A movement of the catalogue; minutes, sets and stress follow from its prescription."""

    movement: str = Field(examples=["push-up"])
    key: str = Field("", description="The movement's id if left out.")
    purpose: Purpose = "strength"
    sets: int | None = Field(None, description="The prescription's own if left out.", ge=1, le=12)


class PlainIn(_Often):
    """Anything else, with all that is to be known of it."""

    key: str
    name: str
    role: Role
    minutes: int
    sets: dict[Region, float] = Field(default_factory=dict, description="Hard sets by region.")
    push: float = 0
    pull: float = 0
    stress: dict[StressedJoint, Literal[1, 2, 3]] = Field(default_factory=dict)
    leans: list[Region] = Field(default_factory=list, description="Small muscles it leans on.")


def _kind(given: Any) -> str:
    if isinstance(given, dict):
        return "movement" if "movement" in given else "plain"
    return "movement" if isinstance(given, MovementIn) else "plain"


TaskIn = Annotated[
    Annotated[MovementIn, Tag("movement")] | Annotated[PlainIn, Tag("plain")],
    Discriminator(_kind),
]


class PinIn(StrictModel):
    """A task on a day, or kept off it."""

    task: str
    day: DayName
    there: bool = True


class WeightsIn(StrictModel):
    """What a point of each term counts."""

    prescribed: int = Weights.prescribed
    asked: int = Weights.asked
    together: int = Weights.together
    regions: int = Weights.regions
    region_days: int = Weights.region_days
    balance: int = Weights.balance
    wave: int = Weights.wave
    small: int = Weights.small
    surfaces: int = Weights.surfaces
    rotation: int = Weights.rotation
    even: int = Weights.even
    moved: int = Weights.moved

    def core(self) -> Weights:
        """As the domain reads it."""
        return Weights(**self.model_dump())


class WeekRequest(StrictModel):
    """A week to plan."""

    days: list[DayIn]
    tasks: list[TaskIn]
    targets: dict[Region, float] = Field(
        default_factory=dict, description="Hard sets a week by region."
    )
    pins: list[PinIn] = Field(default_factory=list)
    weights: WeightsIn = Field(default_factory=WeightsIn)
    warm_up: int = Field(6, description="Minutes of a day's general warm-up.")
    hard_before: list[StressedJoint] = Field(
        default_factory=list, description="Joints for which the day before the week was hard."
    )
    stressful_limit: int = STRESSFUL_LIMIT
    together: list[list[str]] = Field(
        default_factory=list, description="Keys of tasks that are done together, a list each."
    )
    seconds: float = Field(20.0, description="The search takes at most.", gt=0, le=MOST_SECONDS)

    def core(self) -> PlanningProblem:
        """As the domain reads it.

        Raises:
            InputError: for values out of range, or a movement that is not in the catalogue.
        """
        return PlanningProblem(
            days=tuple(sorted((day_in.core() for day_in in self.days), key=lambda day: day.index)),
            tasks=tuple(_task(task) for task in self.tasks),
            targets={region: round(2 * sets) for region, sets in self.targets.items()},
            pins=tuple(Pin(pin.task, _index(pin.day), pin.there) for pin in self.pins),
            weights=self.weights.core(),
            warm_up=self.warm_up,
            hard_before=frozenset(self.hard_before),
            stressful_limit=self.stressful_limit,
            together=tuple(frozenset(keys) for keys in self.together),
        )


ANYBODY = Trainee(
    "", Body(75.0, 1.75), (), frozenset(movement.id for movement in catalogue().movement)
)
"""To whom everything is open; a session's minutes do not hang on the body."""


def item_of(given: MovementIn) -> Item:
    """A movement's item."""
    movement = catalogue().find_movement(given.movement)
    return ANYBODY.loose(movement, given.purpose, given.sets)


def _task(given: MovementIn | PlainIn) -> WeekTask:
    often = {
        "asked": given.days,
        "least": given.least,
        "most": given.most,
        "places": None if given.places is None else frozenset(given.places),
        "wave": given.wave,
        "wave_day": given.wave_day,
        "rotation": given.rotation,
        "letter": given.letter,
        "surface": given.surface,
        "prescribed": given.prescribed,
    }
    if isinstance(given, MovementIn):
        plain = task_of(item_of(given), (), given.days)
        fields = {**plain.__dict__, **often, "key": given.key or given.movement}
        return WeekTask(**fields)
    return WeekTask(
        key=given.key,
        name=given.name,
        role=given.role,
        family="",
        minutes=given.minutes,
        sets={region: round(2 * sets) for region, sets in given.sets.items()},
        push=round(2 * given.push),
        pull=round(2 * given.pull),
        stress=dict(given.stress),
        leans=frozenset(given.leans),
        **often,  # type: ignore[arg-type]
    )


class TermOut(ResponseModel):
    """A term of the score."""

    name: str
    counts: str
    amount: int
    weight: int
    points: int
    parts: list[str] = Field(description="Where the amount comes from, the largest first.")


class TaskOut(BaseModel):
    """A task on a day."""

    key: str
    name: str
    minutes: int


class DayOut(BaseModel):
    """A day of the plan."""

    day: str
    minutes: int = Field(description="Warm-up included; 0 of an empty day.")
    of: int = Field(description="Minutes there are.")
    tasks: list[TaskOut]


class BreachOut(ResponseModel):
    """A hard rule that had to give way."""

    rule: str
    sentence: str
    source: str
    words: str


class WeekAnswer(BaseModel):
    """A plan with its score and reasons."""

    days: list[DayOut]
    points: int = Field(description="Fewer are better.")
    bound: int = Field(description="No plan can have fewer, as far as is proven.")
    proof: str = Field(examples=["proven best"])
    terms: list[TermOut]
    short: list[str] = Field(
        description="What stands on fewer days than was asked, with what binds on the others."
    )
    relaxed: list[str] = Field(description="What had to be relaxed so that something fits.")
    breaches: list[BreachOut]
    model_version: str = MODEL_VERSION
    catalogue_version: str = CATALOGUE_VERSION


requests: TypeAdapter[WeekRequest] = TypeAdapter(WeekRequest)


def schema() -> dict[str, Any]:
    """The JSON Schema of a request."""
    return requests.json_schema()


def read(content: Any) -> WeekRequest:
    """A request from JSON.

    Raises:
        InputError: naming the field and what would put it right.
    """
    try:
        return requests.validate_python(content)
    except ValidationError as error:
        first = error.errors()[0]
        tags = ("movement", "plain")
        where = ".".join(str(p) for p in first["loc"] if p not in tags or p == first["loc"][-1])
        raise InputError(
            where or "input",
            f"{first['msg'].rstrip('.')}.",
            "Send what the schema printed by --schema allows.",
        ) from error


def term_out(term: Term) -> TermOut:
    """A term of the score."""
    return TermOut.of(term, counts=term.words, parts=list(term.parts))


def breach_out(breach: Breach) -> BreachOut:
    """A hard rule that gives way."""
    return BreachOut.of(breach, breach.rule, rule=breach.rule.id)


def answer(problem: PlanningProblem, solved: PlannedWeek) -> WeekAnswer:
    """A plan as it is told."""
    return WeekAnswer(
        days=[
            DayOut(
                day=day.name.lower(),
                minutes=minutes_on(problem, solved.plan, day),
                of=day.minutes,
                tasks=[
                    TaskOut.model_validate(task, from_attributes=True)
                    for task in sorted(
                        tasks_on(problem, solved.plan, day), key=lambda t: ROLES.index(t.role)
                    )
                ],
            )
            for day in problem.days
        ],
        points=solved.score.points,
        bound=solved.progress.bound,
        proof=solved.progress.words,
        terms=[term_out(term) for term in solved.score.terms],
        short=[shortfall.words for shortfall in shortfalls(problem, solved.plan)],
        relaxed=list(solved.relaxed),
        breaches=[breach_out(breach) for breach in solved.breaches],
    )
