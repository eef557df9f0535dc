"""Ladder: the rungs to scale, the athlete's reach on them, and the sheet of one rung."""

from uuid import UUID

from fastapi import APIRouter

from invelo.api.context import Coach, Database, Now, moment_for
from invelo.api.drawing import figure_of
from invelo.api.ladder_shapes import (
    Compared,
    Copy,
    LadderSheet,
    Lane,
    Move,
    NewLadder,
    Phases,
    Rung,
    RungSheet,
    Standing,
    Step,
    ends_of,
    faults_of,
)
from invelo.api.problems import ERRORS
from invelo.api.shapes import (
    Estimate,
    Explained,
    Measure,
    dose_of,
    gate_of,
)
from invelo.core import MODEL_VERSION
from invelo.core.catalogue import CATALOGUE_VERSION, catalogue
from invelo.core.caution import STANDING
from invelo.core.errors import InputError
from invelo.core.movement import STRESS
from invelo.core.workshop import Drawn, in_a_row
from invelo.exchange.ladder_json import TermsOf
from invelo.exchange.setups import Changes
from invelo.store import access, battery, ladder, tables, workshop

router = APIRouter(prefix="/api", tags=["Ladder"], responses=ERRORS)


@router.post("/athletes/{athlete_id}/ladders", status_code=201)
def create(athlete_id: UUID, body: NewLadder, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """Give an athlete a ladder and place them by their tests."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    moment = moment_for(athlete, now)
    if body.test is not None:
        battery.keep_test(db, athlete, body.test.core(), moment)
    if body.ready_ladder is not None:
        ready = catalogue().find_ladder(body.ready_ladder)
        row = ladder.create(db, athlete, ready, body.purpose, body.level, moment)
        return sheet_of(db, row, athlete, now)
    if body.first is None or not body.goal.strip():
        raise InputError(
            "goal" if body.first else "first",
            "a ladder of your own wants a goal and a first rung.",
            "Name the goal and pick a movement, or name a ready ladder.",
        )
    first = Drawn(body.first.id, body.first.core(body.purpose, body.level), body.first.why)
    row = ladder.begin(
        db,
        athlete,
        body.goal.strip(),
        in_a_row([first]),
        body.purpose,
        body.level,
        moment,
        {"ladder begun": body.goal},
    )
    return sheet_of(db, row, athlete, now)


@router.get("/ladders/{ladder_id}")
def get_ladder(ladder_id: UUID, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """A ladder drawn to scale for its athlete."""
    row, athlete = access.ladder_seen(db, coach.id, ladder_id)
    return sheet_of(db, row, athlete, now)


@router.delete("/ladders/{ladder_id}", status_code=204)
def delete_ladder(ladder_id: UUID, coach: Coach, db: Database) -> None:
    """Take a ladder away on which nothing was trained yet."""
    ladder.delete(db, access.ladder(db, coach.id, ladder_id, roles=access.WRITE))


@router.post("/ladders/{ladder_id}/copies", status_code=201)
def copy(ladder_id: UUID, body: Copy, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """Give the same ladder to another athlete, placed by their own tests."""
    row = access.ladder(db, coach.id, ladder_id)
    other = access.athlete(db, coach.id, body.athlete_id, roles=access.WRITE)
    copied = ladder.copy(db, row, other, moment_for(other, now))
    return sheet_of(db, copied, other, now)


@router.get("/ladders/{ladder_id}/beside/{athlete_id}")
def compare(ladder_id: UUID, athlete_id: UUID, coach: Coach, db: Database, now: Now) -> Compared:
    """The ladder for its athlete and, measured anew, for another."""
    row = access.ladder(db, coach.id, ladder_id)
    own = access.athlete(db, coach.id, row.athlete_id)
    other = access.athlete(db, coach.id, athlete_id)
    today = moment_for(other, now).local_date
    return Compared(
        one=sheet_of(db, row, own, now), other=_sheet(db, ladder.view_for(db, row, other, today))
    )


@router.get("/ladders/{ladder_id}/rungs/{rung_id}")
def get_rung(ladder_id: UUID, rung_id: UUID, coach: Coach, db: Database, now: Now) -> RungSheet:
    """One rung in full."""
    row = access.ladder(db, coach.id, ladder_id)
    position = ladder.rung_on(db, row.id, rung_id).position
    return _rung_sheet(seen_by(db, row, coach, now), position)


@router.post("/ladders/{ladder_id}/standing")
def stand(ladder_id: UUID, body: Move, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """Put the athlete on a rung of the coach's choice."""
    row = access.ladder(db, coach.id, ladder_id, roles=access.WRITE)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    ladder.stand(db, row, athlete, body.rung_id, body.word.strip(), moment_for(athlete, now))
    return sheet_of(db, row, athlete, now)


@router.post("/ladders/{ladder_id}/resume")
def resume(ladder_id: UUID, coach: Coach, db: Database, now: Now) -> LadderSheet:
    """Take up again a movement that pain had stopped, once a clinician agrees."""
    row = ladder.resume(db, access.ladder(db, coach.id, ladder_id, roles=access.WRITE))
    return sheet_of(db, row, access.athlete(db, coach.id, row.athlete_id), now)


def seen_by(db: Database, row: tables.Ladder, coach: Coach, now: Now) -> ladder.LadderView:
    """A ladder as it stands for its athlete now."""
    athlete = access.athlete(db, coach.id, row.athlete_id)
    return ladder.view(db, row, athlete, moment_for(athlete, now).local_date)


def sheet_of(db: Database, row: tables.Ladder, athlete: tables.Athlete, now: Now) -> LadderSheet:
    """A ladder drawn to scale for its athlete now."""
    return _sheet(db, ladder.view(db, row, athlete, moment_for(athlete, now).local_date))


def _sheet(db: Database, seen: ladder.LadderView) -> LadderSheet:
    row = seen.row
    undo, redo = workshop.undoable(db, row)
    return LadderSheet(
        id=row.id,
        athlete_id=seen.athlete.id,
        athlete_name=seen.athlete.name,
        goal=row.goal,
        family=row.family,
        lanes=_lanes(seen),
        school=row.school,
        purpose=row.purpose,
        level=row.level,
        terms=TermsOf.of(seen.measured.terms),
        stopped=row.stopped,
        standing_id=seen.rungs[seen.standing].id,
        measure=Measure.model_validate(seen.measure),
        rungs=[_rung(seen, i) for i in range(len(seen.rungs))],
        steps=[
            Step(
                lower_id=seen.rungs[step.lower].id,
                upper_id=seen.rungs[step.upper].id,
                ratio=Estimate.model_validate(step.ratio) if step.ratio else None,
                above=Estimate.model_validate(step.above) if step.above else None,
                gap=step.gap,
                easier=step.easier,
            )
            for step in seen.measured.steps
        ],
        placement=_standing(seen),
        undo=undo,
        redo=redo,
        revision=ladder.revision(db, row),
        model_version=MODEL_VERSION,
        catalogue_version=CATALOGUE_VERSION,
    )


def _lanes(seen: ladder.LadderView) -> list[Lane]:
    known = seen.placement.lanes if seen.placement else {}
    found = []
    for lane in seen.measured.lanes:
        i = next(i for i, one in enumerate(seen.measured.demands) if one.lane == lane)
        here = known.get(lane)
        found.append(
            Lane(
                measure_words=seen.measured.demands[i].load.measure,
                unit=seen.measured.demands[i].load.unit,
                counted=seen.measured.rungs[i].dose.unit,
                reach=Explained.model_validate(here.reach) if here else None,
                capacity=Explained.model_validate(here.capacity) if here else None,
            )
        )
    return found


def _standing(seen: ladder.LadderView) -> Standing | None:
    placement = seen.placement
    if placement is None:
        return None
    return Standing(
        rung_id=seen.rungs[placement.index].id,
        low_rung_id=seen.rungs[placement.low_index].id,
        high_rung_id=seen.rungs[placement.high_index].id,
        fits=placement.fits,
        reach=Explained.model_validate(placement.reach),
        capacity=Explained.model_validate(placement.capacity),
        evidence_day=placement.known.nearest.day,
        evidence_kind=placement.known.nearest.kind,
        narrower=placement.narrower,
    )


def _rung(seen: ladder.LadderView, index: int) -> Rung:
    row: tables.Rung = seen.rungs[index]
    demand = seen.measured.demands[index]
    weighed = demand.on_scale is not None
    expected = seen.placement.predictions[index] if seen.placement else None
    return Rung(
        id=row.id,
        position=row.position,
        name=row.name,
        movement=row.movement,
        **Changes.of(seen.measured.rungs[index].modifiers),
        dose=dose_of(row),
        gate=gate_of(row),
        why=row.why,
        closed=seen.closed[index],
        lane=seen.measured.lanes.index(demand.lane) if demand.lane else None,
        demand=Estimate.model_validate(demand.on_scale) if weighed else None,
        load=Estimate.model_validate(demand.load.demand) if weighed else None,
        share=Estimate.model_validate(demand.load.share) if weighed else None,
        expected=Estimate.model_validate(expected) if expected else None,
        figure=figure_of(seen, index, "start"),
    )


def _rung_sheet(seen: ladder.LadderView, index: int) -> RungSheet:
    demand = seen.measured.demands[index]
    movement = seen.measured.rungs[index].movement
    load, weighed = demand.load, demand.on_scale is not None
    expected = seen.placement.predictions[index] if seen.placement else None
    return RungSheet(
        id=seen.rungs[index].id,
        name=seen.rungs[index].name,
        movement_name=movement.name,
        effort_only=movement.effort_only,
        prime=list(movement.prime),
        cues=list(movement.cues),
        faults=faults_of(movement),
        cautions=[*movement.cautions, STANDING],
        stress=[f"{joint}: {STRESS[much]}" for joint, much in movement.stress.items()],
        demand=Explained.model_validate(demand.on_scale) if weighed else None,
        share=Explained.model_validate(load.share) if weighed else None,
        work=Explained.model_validate(load.work) if weighed else None,
        rep_time_s=demand.rep_time,
        phases=Phases(
            top=Explained.model_validate(load.at_start),
            middle=Explained.model_validate(load.midway),
            bottom=Explained.model_validate(load.at_end),
        )
        if weighed
        else None,
        expected=Explained.model_validate(expected) if expected else None,
        figures=[figure_of(seen, index, end) for end in ends_of(movement.posture)],
    )
