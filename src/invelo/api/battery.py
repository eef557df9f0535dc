"""Tests: which to do, how, what they showed, and the capacity they tell."""

from datetime import date, datetime
from typing import Literal
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.context import Coach, Database, Now, moment_for
from invelo.api.drawing import Figure
from invelo.api.problems import ERRORS
from invelo.api.shapes import Estimate, Explained, Shape
from invelo.core import MODEL_VERSION
from invelo.core.battery import PROTOCOL, STOP
from invelo.core.bench import Task
from invelo.core.body import Body
from invelo.core.capacity import Evidence, Pool
from invelo.core.catalogue import TestKind, catalogue
from invelo.core.dose import Unit
from invelo.core.figure import figure
from invelo.core.log import OneSide
from invelo.core.norms import norm_of
from invelo.core.reading import reading
from invelo.core.results import before, between, sides
from invelo.exchange.setups import Changes
from invelo.store import access, battery, capacity, person, screen, tables
from invelo.store.moment import Moment
from invelo.store.rows import body_of, modifiers_of

router = APIRouter(prefix="/api", tags=["Intake"], responses=ERRORS)


class NewTest(Changes):
    """A test as it was done: reps or, of a hold, seconds."""

    id: UUID = Field(description="Made by the client, so that sending it twice counts once.")
    movement: str = Field("push-up", examples=["push-up"])
    reps: int | None = Field(None, examples=[12])
    seconds: float | None = Field(None, description="Of a hold, up to an hour.")
    effort: float = 10.0
    side: OneSide = Field("", description="Of a movement done one side at a time.")

    def core(self) -> battery.NewTest:
        """As the store keeps it."""
        return battery.NewTest(
            self.id,
            catalogue().find_movement(self.movement),
            self.modifiers(),
            self.reps,
            self.seconds,
            self.effort,
            self.side,
        )


class Norm(Shape):
    """A published table beside a test."""

    name: str
    source: str
    age: int
    words: list[str]
    least: list[float] = Field(description="Least amount that earns each word.")


class TestCard(Changes):
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
    figures: list[Figure]
    norm: Norm | None
    why: str
    expected: Estimate | None


class ClosedTest(Shape):
    """A test that is closed now."""

    name: str
    why: str


class Battery(Shape):
    """What to test now, the most telling first."""

    tests: list[TestCard]
    left_out: list[ClosedTest]


class TestDone(Shape):
    """A kept test."""

    id: UUID
    at: datetime
    local_date: date
    words: str
    family: str
    amount: float
    unit: Unit
    side: OneSide
    effort: float
    model_version: str
    since: str = Field(description="Against the test of the same kind before it; '' if none.")
    norm_word: str = Field(description="Where it stands among people of that age and sex.")


class TwoSides(Shape):
    """Left against right."""

    words: str
    weaker: Literal["", "left", "right"]


class ReadyLadderName(Shape):
    """A ready ladder by its goal."""

    id: str
    goal: str


class Capacity(Shape):
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
    rung: str = Field(description="The rung whose dose fits; '' while there is no ladder.")
    rungs: str = Field(description="The rungs its range would place them on.")
    standing: str
    moved_why: str = Field(description="The coach's word, where they moved the athlete.")
    ready_ladders: list[ReadyLadderName] = Field(description="To give, while there is none.")
    sides: TwoSides | None
    narrower: str


class Capacities(Shape):
    """All that the tests tell."""

    capacities: list[Capacity]
    tests: list[TestDone]
    model_version: str


@router.get("/athletes/{athlete_id}/battery")
def get_battery(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> Battery:
    """The tests to do now, and what is closed."""
    athlete = access.athlete(db, coach.id, athlete_id)
    today = Moment(now, athlete.time_zone).local_date
    found = battery.propose(db, athlete, today)
    body = body_of(capacity.measures(db, athlete.id)[-1])
    age, sex = screen.age_of(db, athlete.id, today), person.of_athlete(db, athlete.id).sex
    return Battery(
        tests=[_card(one.test, body, one.why, one.expected, age, sex) for one in found.proposed],
        left_out=[ClosedTest(name=one.test.name, why=one.why) for one in found.left_out],
    )


@router.post("/athletes/{athlete_id}/tests", status_code=201)
def add_test(athlete_id: UUID, body: NewTest, coach: Coach, db: Database, now: Now) -> TestDone:
    """Keep a test; capacity and every placement it speaks to are estimated anew."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    kept = battery.keep_test(db, athlete, body.core(), moment_for(athlete, now))
    return next(one for one in _tests(db, athlete, now) if one.id == kept.id)


@router.get("/athletes/{athlete_id}/capacity")
def get_capacity(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> Capacities:
    """Capacity by family with its range, the rung it places them on, sides, and tests."""
    athlete = access.athlete(db, coach.id, athlete_id)
    return Capacities(
        capacities=[
            _capacity(one)
            for one in battery.standings(db, athlete, moment_for(athlete, now).local_date)
        ],
        tests=_tests(db, athlete, now),
        model_version=MODEL_VERSION,
    )


def _card(
    test: TestKind,
    body: Body,
    why: str,
    expected: object,
    age: int | None,
    sex: str | None,
) -> TestCard:
    movement, changes = test.of, test.modifiers()
    load = reading(body, changes.setup(movement))
    ends = {0, len(load.depths) - 1}
    found = norm_of(catalogue().norm, test.norm, sex) if age is not None else None
    band = found.band(age) if found and age is not None else None
    return TestCard(
        id=test.id,
        name=test.name,
        movement=movement.id,
        **Changes.of(changes),
        family=movement.family,
        unit=movement.unit,
        per_side=test.per_side,
        how=test.how,
        protocol=PROTOCOL[movement.unit],
        stop=list(STOP),
        cautions=list(movement.cautions),
        figures=[Figure.model_validate(figure(load, place)) for place in sorted(ends)],
        norm=Norm(
            name=found.name,
            source=found.source,
            age=age or 0,
            words=list(found.words),
            least=list(band.least),
        )
        if found and band
        else None,
        why=why,
        expected=Estimate.model_validate(expected) if expected else None,
    )


def _tests(db: Database, athlete: tables.Athlete, now: Now) -> list[TestDone]:
    rows = capacity.tests_of(db, athlete.id)
    bodies = capacity.measures(db, athlete.id)
    told = [(row, capacity.test_evidence(row, bodies)) for row in rows]
    age = screen.age_of(db, athlete.id, Moment(now, athlete.time_zone).local_date)
    sex = person.of_athlete(db, athlete.id).sex
    known = [one for _, one in told]
    return [_done(row, one, before(one, known), age, sex) for row, one in told]


def _done(
    row: tables.Test, one: Evidence, last: Evidence | None, age: int | None, sex: str | None
) -> TestDone:
    movement = catalogue().find_movement(row.movement)
    changes = modifiers_of(row)
    kind = next(
        (t for t in catalogue().test if t.movement == movement.id and t.modifiers() == changes),
        None,
    )
    norm = norm_of(catalogue().norm, kind.norm, sex) if kind and age is not None else None
    return TestDone(
        id=row.id,
        at=row.at,
        local_date=row.local_date,
        words=kind.name if kind else Task(movement.form, changes).words,
        family=movement.family,
        amount=row.amount,
        unit=movement.unit,
        side=one.side,
        effort=row.effort,
        model_version=row.model_version,
        since=between(last, one).words if last else "",
        norm_word=norm.word(age, row.amount) if norm and age is not None else "",
    )


def _capacity(one: battery.Standing) -> Capacity:
    pool: Pool = one.pool
    nearest = pool.nearest
    form = nearest.load.setup.form
    placed = one.ladder
    compared = sides(*one.sides) if one.sides else None
    placement = placed.placement if placed else None
    rungs = placed.rungs if placed else []
    return Capacity(
        family=form.family,
        measure=form.limiting,
        unit="s" if form.counted == "hold" else "reps",
        capacity=Explained.model_validate(pool.greatest),
        half_width_percent=one.half_width,
        day=max(member.day for member in pool.members),
        tests=len(pool.members),
        ladder_id=placed.row.id if placed else None,
        goal=placed.row.goal if placed else "",
        rung=rungs[placement.index].name if placement else "",
        rungs=f"{rungs[placement.low_index].name} to {rungs[placement.high_index].name}"
        if placement
        else "",
        standing=rungs[placed.standing].name if placed else "",
        moved_why=one.moved_why,
        ready_ladders=[ReadyLadderName.model_validate(ready) for ready in one.ready],
        sides=TwoSides(words=compared.difference.words, weaker=compared.weaker)
        if compared
        else None,
        narrower=placement.narrower if placement else "",
    )
