"""Tests: which to do, how, what they showed, and the capacity they tell."""

from dataclasses import dataclass, replace
from datetime import date
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
from invelo.db.codec import ONE_SIDE, body_of, modifiers_of
from invelo.db.moment import Moment
from invelo.db.queries import athlete_rows
from invelo.db.tables.athlete import AthleteRow, TestRow
from invelo.domain import MODEL_VERSION
from invelo.domain.athlete.battery import STOP, protocol_of, rpe_of
from invelo.domain.athlete.caution import cautions_of
from invelo.domain.athlete.results import before, between, sides
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.figure import figure
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.catalogue import TestKind, catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.catalogue.norms import lacks, norms_of
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
    proposed = battery.propose(db, athlete, today)
    body = body_of(athlete_rows.measurements(db, athlete.id)[-1])
    whose = replace(_whose(db, athlete, today), gentle=proposed.gentle)
    return BatteryOut(
        tests=[
            _card(proposed_test.test, body, whose, proposed_test.why, proposed_test.expected)
            for proposed_test in proposed.proposed
        ],
        measures=[_card(test, body, whose, "") for test in proposed.measures],
        left_out=[ClosedTest(name=left.test.name, why=left.why) for left in proposed.left_out],
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


@dataclass(frozen=True)
class _Whose:
    """Of whom norms are looked up, and whether their tests go to the end."""

    age: int | None
    sex: str | None
    gentle: bool = False

    def norms(self, test: TestKind) -> list[NormOut]:
        """Published tables that hold for them."""
        norms = norms_of(catalogue().norm, test.norm, self.sex)
        age = self.age
        bands = [(norm, norm.band(age)) for norm in norms] if age is not None else []
        return [
            NormOut.of(norm, age=age, words=list(norm.words), least=list(band.least))
            for norm, band in bands
            if band is not None
        ]

    def words(self, test: TestKind | None, side: str, amount: float) -> str:
        """Where an amount stands among people of that age and sex."""
        if test is None or self.age is None:
            return ""
        norms = norms_of(catalogue().norm, test.norm, self.sex)
        phrases = (norm.word(self.age, amount) for norm in norms if norm.side in ("", side))
        return next(phrases, "")


def _card(test: TestKind, body: Body, whose: _Whose, why: str, expected: object = None) -> TestCard:
    movement, changes = test.of, test.modifiers()
    load = reading(body, changes.setup(movement))
    ends = {0, len(load.depths) - 1}
    return TestCard.of(
        test,
        movement,
        movement=movement.id,
        **Changes.as_sent(changes),
        protocol=protocol_of(test, whose.gentle),
        rpe=rpe_of(test, whose.gentle),
        stop=list(STOP),
        cautions=list(cautions_of(movement, changes)),
        figures=[FigureOut.model_validate(figure(load, place)) for place in sorted(ends)],
        norms=whose.norms(test),
        beside=test.beside or lacks(catalogue().norm, test.norm, whose.sex, whose.age),
        why=why,
        expected=EstimateOut.model_validate(expected) if expected else None,
    )


def _tests(db: Database, athlete: AthleteRow, now: Now) -> list[TestDone]:
    rows = capacity.tests_of(db, athlete.id)
    bodies = athlete_rows.measurements(db, athlete.id)
    evidence = {
        row.id: capacity.test_evidence(row, bodies) for row in rows if capacity.test_tells(row)
    }
    whose = _whose(db, athlete, Moment(now, athlete.time_zone).local_date)
    known = list(evidence.values())
    return [_done(row, evidence.get(row.id), known, rows, whose) for row in rows]


def _whose(db: Database, athlete: AthleteRow, today: date) -> _Whose:
    age = screen.age_of(db, athlete.id, today)
    return _Whose(age, person.of_athlete(db, athlete.id).sex)


def _done(
    row: TestRow,
    evidence: Evidence | None,
    known: list[Evidence],
    rows: list[TestRow],
    whose: _Whose,
) -> TestDone:
    movement = catalogue().find_movement(row.movement)
    changes = movement.own(modifiers_of(row))
    kind = _kind(row, movement, changes)
    last = before(evidence, known) if evidence else None
    since = between(last, evidence).words if last and evidence else ""
    return TestDone.of(
        row,
        words=kind.name if kind else name_of(movement, changes),
        family=movement.family,
        unit=movement.unit,
        side=ONE_SIDE.validate_python(row.side),
        since=since or ("" if evidence else _counted_since(row, rows, movement)),
        norm_text=whose.words(kind, row.side, row.amount),
    )


def _kind(row: TestRow, movement: Movement, changes: Modifiers) -> TestKind | None:
    """The test of the battery that a kept one is: as it says, or by its set-up; None where there is
    none any more."""
    if row.kind:
        return next((kind for kind in catalogue().test if kind.id == row.kind), None)
    return next(
        (
            kind
            for kind in catalogue().test
            if kind.tells_capacity
            and kind.movement == movement.id
            and movement.own(kind.modifiers()) == changes
        ),
        None,
    )


def _counted_since(row: TestRow, rows: list[TestRow], movement: Movement) -> str:
    """How much more or less than the time before, where no capacity tells it."""
    alike = (
        earlier
        for earlier in rows
        if (earlier.movement, earlier.kind, earlier.side) == (row.movement, row.kind, row.side)
        and earlier.at < row.at
    )
    last = max(alike, key=lambda earlier: earlier.at, default=None)
    if last is None:
        return ""
    more = row.amount - last.amount
    return f"{abs(more):g} {movement.unit} {'more' if more >= 0 else 'less'}"


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
