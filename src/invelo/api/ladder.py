"""Ladder: the rungs to scale, the athlete's reach on them, and the sheet of one rung."""

from datetime import date
from typing import Literal
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.battery import NewTest
from invelo.api.context import Coach, Database, Now, moment_for
from invelo.api.drawing import Figure, figure_of
from invelo.api.problems import ERRORS
from invelo.api.shapes import (
    Dose,
    Estimate,
    Explained,
    Gate,
    Level,
    Measure,
    Purpose,
    Shape,
    dose_of,
    gate_of,
)
from invelo.core import MODEL_VERSION
from invelo.core.caution import STANDING
from invelo.core.dose import Unit
from invelo.core.movement import CATALOGUE_VERSION, catalogue
from invelo.exchange.setups import Changes, Request
from invelo.store import access, battery, ladder, tables

router = APIRouter(prefix="/api", tags=["Ladder"], responses=ERRORS)


class SetUp(Changes):
    """A movement and what is changed about it."""

    movement: str = Field(examples=["push-up"])


class Rung(SetUp):
    """A rung as it is drawn: its height on the page is `demand`."""

    id: UUID
    position: int
    name: str
    dose: Dose
    gate: Gate
    demand: Estimate
    load: Estimate
    share: Estimate
    expected: Estimate = Field(description="Reps to failure, or seconds, likely here.")
    figure: Figure


class Step(Shape):
    """From one rung to the next above it."""

    ratio: Estimate
    above: Estimate = Field(description="Likely above for whoever just meets the lower gate.")
    gap: bool
    easier: bool


class Standing(Shape):
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


class LadderSheet(Shape):
    """A ladder measured for its athlete."""

    id: UUID
    athlete_id: UUID
    athlete_name: str
    goal: str
    family: str
    measure_words: str = Field(description="What limits it.", examples=["hand load"])
    unit: Unit = Field(description="What its sets are counted in.")
    school: str
    purpose: Purpose
    level: Level
    stopped: str = Field(description="Why pain stopped the movement; empty while it runs.")
    standing_id: UUID
    measure: Measure
    rungs: list[Rung]
    steps: list[Step]
    placement: Standing
    revision: int
    model_version: str
    catalogue_version: str


class Fault(Shape):
    """Something to see in a rep, and what to do about it."""

    name: str
    remedy: str


class Phases(Shape):
    """Load on the hands along the rep."""

    top: Explained
    middle: Explained
    bottom: Explained


class RungSheet(Shape):
    """Everything about one rung, each figure with how it came about."""

    id: UUID
    name: str
    movement_name: str
    prime: list[str]
    cues: list[str]
    faults: list[Fault]
    cautions: list[str]
    demand: Explained
    share: Explained
    work: Explained
    rep_time_s: float
    phases: Phases
    expected: Explained
    figures: list[Figure]


class Movement(Shape):
    """A movement of the catalogue."""

    id: str
    name: str
    family: str
    form: str = Field(description="Of the bench's forms.")


class ReadyLadder(Shape):
    """A ladder to copy to an athlete."""

    id: str = Field(examples=["push-up"])
    goal: str
    family: str
    rungs: list[str]


class CatalogueTest(Changes):
    """A test: a set-up done to the end."""

    id: str
    name: str
    movement: str
    family: str
    unit: Unit
    how: str


class Catalogue(Shape):
    """What the product knows by name."""

    version: str
    movements: list[Movement]
    ladders: list[ReadyLadder]
    tests: list[CatalogueTest]


class NewLadder(Request):
    """A ready ladder for an athlete, entered where their tests say."""

    ready_ladder: str = Field(examples=["push-up"])
    purpose: Purpose = "strength"
    level: Level = "beginner"
    test: NewTest | None = Field(None, description="Kept first, if one was done just now.")


class Move(Request):
    """The coach's own choice of rung."""

    rung_id: UUID
    word: str = Field("", max_length=300, description="Why.")


@router.get("/catalogue")
def get_catalogue(_: Coach) -> Catalogue:
    """Movements and ready ladders."""
    known = catalogue()
    return Catalogue(
        version=CATALOGUE_VERSION,
        movements=[Movement.model_validate(m) for m in known.movement],
        ladders=[
            ReadyLadder(
                id=one.id, goal=one.goal, family=one.family, rungs=[r.name for r in one.rungs]
            )
            for one in known.ladder
        ],
        tests=[
            CatalogueTest(
                id=one.id,
                name=one.name,
                movement=one.movement,
                **Changes.of(one.modifiers()),
                family=one.of.family,
                unit=one.of.unit,
                how=one.how,
            )
            for one in known.test
        ],
    )


@router.post("/athletes/{athlete_id}/ladders", status_code=201)
def create(athlete_id: UUID, body: NewLadder, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """Copy a ready ladder to an athlete and place them by their tests."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    ready = catalogue().find_ladder(body.ready_ladder)
    moment = moment_for(athlete, now)
    if body.test is not None:
        battery.keep_test(db, athlete, body.test.core(), moment)
    row = ladder.create(db, athlete, ready, body.purpose, body.level, moment)
    return _sheet(db, ladder.view(db, row, athlete))


@router.get("/ladders/{ladder_id}")
def get_ladder(ladder_id: UUID, coach: Coach, db: Database) -> LadderSheet:
    """A ladder drawn to scale for its athlete."""
    row = access.ladder(db, coach.id, ladder_id)
    return _sheet(db, ladder.view(db, row, access.athlete(db, coach.id, row.athlete_id)))


@router.get("/ladders/{ladder_id}/rungs/{rung_id}")
def get_rung(ladder_id: UUID, rung_id: UUID, coach: Coach, db: Database) -> RungSheet:
    """One rung in full."""
    row = access.ladder(db, coach.id, ladder_id)
    position = ladder.rung_on(db, row.id, rung_id).position
    return _rung_sheet(ladder.view(db, row, access.athlete(db, coach.id, row.athlete_id)), position)


@router.post("/ladders/{ladder_id}/standing")
def stand(ladder_id: UUID, body: Move, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """Put the athlete on a rung of the coach's choice."""
    row = access.ladder(db, coach.id, ladder_id, roles=access.WRITE)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    ladder.stand(db, row, athlete, body.rung_id, body.word.strip(), moment_for(athlete, now))
    return _sheet(db, ladder.view(db, row, athlete))


@router.post("/ladders/{ladder_id}/resume")
def resume(ladder_id: UUID, coach: Coach, db: Database) -> LadderSheet:
    """Take up again a movement that pain had stopped, once a clinician agrees."""
    row = ladder.resume(db, access.ladder(db, coach.id, ladder_id, roles=access.WRITE))
    return _sheet(db, ladder.view(db, row, access.athlete(db, coach.id, row.athlete_id)))


def _sheet(db: Database, seen: ladder.LadderView) -> LadderSheet:
    row, placement = seen.row, seen.placement
    return LadderSheet(
        id=row.id,
        athlete_id=row.athlete_id,
        athlete_name=seen.athlete.name,
        goal=row.goal,
        family=row.family,
        measure_words=seen.measured.demands[0].load.measure,
        unit=seen.measured.rungs[0].dose.unit,
        school=row.school,
        purpose=row.purpose,
        level=row.level,
        stopped=row.stopped,
        standing_id=seen.rungs[seen.standing].id,
        measure=Measure.model_validate(seen.measure),
        rungs=[_rung(seen, i) for i in range(len(seen.rungs))],
        steps=[Step.model_validate(step) for step in seen.measured.steps],
        placement=Standing(
            rung_id=seen.rungs[placement.index].id,
            low_rung_id=seen.rungs[placement.low_index].id,
            high_rung_id=seen.rungs[placement.high_index].id,
            fits=placement.fits,
            reach=Explained.model_validate(placement.reach),
            capacity=Explained.model_validate(placement.capacity),
            evidence_day=placement.known.nearest.day,
            evidence_kind=placement.known.nearest.kind,
            narrower=placement.narrower,
        ),
        revision=ladder.revision(db, row),
        model_version=MODEL_VERSION,
        catalogue_version=CATALOGUE_VERSION,
    )


def _rung(seen: ladder.LadderView, index: int) -> Rung:
    row: tables.Rung = seen.rungs[index]
    demand = seen.measured.demands[index]
    return Rung(
        id=row.id,
        position=row.position,
        name=row.name,
        movement=row.movement,
        **Changes.of(seen.measured.rungs[index].modifiers),
        dose=dose_of(row),
        gate=gate_of(row),
        demand=Estimate.model_validate(demand.on_scale),
        load=Estimate.model_validate(demand.load.demand),
        share=Estimate.model_validate(demand.load.share),
        expected=Estimate.model_validate(seen.placement.predictions[index]),
        figure=figure_of(seen, index, "start"),
    )


def _rung_sheet(seen: ladder.LadderView, index: int) -> RungSheet:
    demand = seen.measured.demands[index]
    movement = seen.measured.rungs[index].movement
    ends: tuple[Literal["start", "end"], ...] = ("start", "end")
    if movement.unit == "s":
        ends = ("start",)
    return RungSheet(
        id=seen.rungs[index].id,
        name=seen.rungs[index].name,
        movement_name=movement.name,
        prime=list(movement.prime),
        cues=list(movement.cues),
        faults=[Fault.model_validate(fault) for fault in movement.fault],
        cautions=[*movement.cautions, STANDING],
        demand=Explained.model_validate(demand.on_scale),
        share=Explained.model_validate(demand.load.share),
        work=Explained.model_validate(demand.load.work),
        rep_time_s=demand.rep_time,
        phases=Phases(
            top=Explained.model_validate(demand.load.at_start),
            middle=Explained.model_validate(demand.load.midway),
            bottom=Explained.model_validate(demand.load.at_end),
        ),
        expected=Explained.model_validate(seen.placement.predictions[index]),
        figures=[figure_of(seen, index, end) for end in ends],
    )
