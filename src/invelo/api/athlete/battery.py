"""Tests: which to do, how, what they showed, and the capacity they tell."""

from uuid import UUID

from fastapi import APIRouter

from invelo.api.athlete.battery_schemas import (
    BatteryOut,
    Capacities,
    CapacityOut,
    ClosedTest,
    NormOut,
    ReadyLadderName,
    TestCard,
    TestCreate,
    TestDone,
    TwoSides,
)
from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.drawing import FigureOut
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import EstimateOut, Explained
from invelo.db import access
from invelo.db.codec import body_of, modifiers_of
from invelo.db.moment import Moment
from invelo.db.queries import athlete_rows
from invelo.db.tables.athlete import AthleteRow, TestRow
from invelo.domain import MODEL_VERSION
from invelo.domain.athlete.battery import PROTOCOL, STOP
from invelo.domain.athlete.caution import cautions_of
from invelo.domain.athlete.results import before, between, sides
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.figure import figure
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.catalogue import TestKind, catalogue
from invelo.domain.catalogue.norms import norm_of
from invelo.domain.ladder.candidates import name_of
from invelo.domain.strength.capacity import Evidence, Pool
from invelo.formats.setups import Changes
from invelo.services.athlete import battery, capacity, person, screen

router = APIRouter(prefix="/api", tags=["Intake"], responses=ERRORS)


@router.get("/athletes/{athlete_id}/battery")
def get_battery(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> BatteryOut:
    """The tests to do now, and what is closed."""
    athlete = access.athlete(db, coach.id, athlete_id)
    today = Moment(now, athlete.time_zone).local_date
    found = battery.propose(db, athlete, today)
    body = body_of(athlete_rows.measurements(db, athlete.id)[-1])
    age, sex = screen.age_of(db, athlete.id, today), person.of_athlete(db, athlete.id).sex
    return BatteryOut(
        tests=[
            _card(proposed_test.test, body, proposed_test.why, proposed_test.expected, age, sex)
            for proposed_test in found.proposed
        ],
        left_out=[ClosedTest(name=left.test.name, why=left.why) for left in found.left_out],
    )


@router.post("/athletes/{athlete_id}/tests", status_code=201)
def add_test(athlete_id: UUID, body: TestCreate, coach: Coach, db: Database, now: Now) -> TestDone:
    """Keep a test; capacity and every placement it speaks to are estimated anew."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    kept = battery.keep_test(db, athlete, body.core(), moment_for(athlete, now))
    return next(test for test in _tests(db, athlete, now) if test.id == kept.id)


@router.get("/athletes/{athlete_id}/capacity")
def get_capacity(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> Capacities:
    """Capacity by family with its range, the rung it places them on, sides, and tests."""
    athlete = access.athlete(db, coach.id, athlete_id)
    return Capacities(
        capacities=[
            _capacity(status)
            for status in battery.group_statuses(db, athlete, moment_for(athlete, now).local_date)
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
    norm = norm_of(catalogue().norm, test.norm, sex) if age is not None else None
    band = norm.band(age) if norm and age is not None else None
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
        cautions=list(cautions_of(movement, changes)),
        figures=[FigureOut.model_validate(figure(load, place)) for place in sorted(ends)],
        norm=NormOut.of(norm, age=age or 0, words=list(norm.words), least=list(band.least))
        if norm and band
        else None,
        why=why,
        expected=EstimateOut.model_validate(expected) if expected else None,
    )


def _tests(db: Database, athlete: AthleteRow, now: Now) -> list[TestDone]:
    rows = capacity.tests_of(db, athlete.id)
    bodies = athlete_rows.measurements(db, athlete.id)
    told = [(row, capacity.test_evidence(row, bodies)) for row in rows]
    age = screen.age_of(db, athlete.id, Moment(now, athlete.time_zone).local_date)
    sex = person.of_athlete(db, athlete.id).sex
    known = [evidence for _, evidence in told]
    return [_done(row, evidence, before(evidence, known), age, sex) for row, evidence in told]


def _done(
    row: TestRow, evidence: Evidence, last: Evidence | None, age: int | None, sex: str | None
) -> TestDone:
    movement = catalogue().find_movement(row.movement)
    changes = movement.own(modifiers_of(row))
    kind = next(
        (
            kind
            for kind in catalogue().test
            if kind.movement == movement.id and movement.own(kind.modifiers()) == changes
        ),
        None,
    )
    norm = norm_of(catalogue().norm, kind.norm, sex) if kind and age is not None else None
    return TestDone.of(
        row,
        words=kind.name if kind else name_of(movement, changes),
        family=movement.family,
        unit=movement.unit,
        side=evidence.side,
        since=between(last, evidence).words if last else "",
        norm_text=norm.word(age, row.amount) if norm and age is not None else "",
    )


def _capacity(group_status: battery.GroupStatus) -> CapacityOut:
    pool: Pool = group_status.pool
    nearest = pool.nearest
    form = nearest.load.setup.form
    placed = group_status.ladder
    compared = sides(*group_status.sides) if group_status.sides else None
    placement = placed.placement if placed else None
    rungs = placed.rungs if placed else []
    return CapacityOut(
        family=form.family,
        measure=form.limiting,
        unit="s" if form.counted == "hold" else "reps",
        capacity=Explained.model_validate(pool.greatest),
        half_width_percent=group_status.half_width,
        day=max(member.day for member in pool.members),
        tests=len(pool.members),
        ladder_id=placed.row.id if placed else None,
        goal=placed.row.goal if placed else "",
        rung=rungs[placement.index].name if placement else "",
        rungs=f"{rungs[placement.low_index].name} to {rungs[placement.high_index].name}"
        if placement
        else "",
        current_rung=rungs[placed.current].name if placed else "",
        moved_why=group_status.moved_why,
        ready_ladders=[ReadyLadderName.model_validate(ready) for ready in group_status.ready],
        sides=TwoSides(words=compared.difference.words, weaker=compared.weaker)
        if compared
        else None,
        narrower=placement.narrower if placement else "",
    )
