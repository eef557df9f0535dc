"""Squad: the athletes, who needs the coach first, and why."""

from datetime import date, datetime
from typing import Literal
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import (
    BodyMeasurementOut,
    CriterionOut,
    EstimateOut,
    RungName,
    criterion_of,
)
from invelo.db import access
from invelo.db.codec import UNIT
from invelo.db.moment import Moment
from invelo.db.queries import athlete_rows, ladder_rows
from invelo.domain.plan.prescription import Unit
from invelo.domain.review.proposals.situation import Outcome, Standing
from invelo.domain.squad.squad import ORDER_WORDS, Kind
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.equipment import kit
from invelo.services.review import weekly
from invelo.services.squad import squad

router = APIRouter(prefix="/api", tags=["Squad"], responses=ERRORS)


class FlagOut(ResponseModel):
    """One reason to look at an athlete."""

    kind: Kind
    text: str = Field(examples=["needs your decision: the next rung"])


class PendingDecisionOut(ResponseModel):
    """A proposal that needs your decision."""

    id: UUID
    ladder_id: UUID
    goal: str
    outcome: Outcome
    from_rung: str
    to_rung: str
    reason: str
    confidence: Literal["high", "medium", "low"]
    plain: bool = Field(description="Whether it may be taken along with others.")
    weekly: bool = Field(description="Whether the end of a week proposed it.")
    standing: Standing = Field(description="A question, or what blocks all further training.")


class LadderGoal(ResponseModel):
    """A ladder of someone's, by where it leads."""

    id: UUID
    goal: str


class SquadLineOut(ResponseModel):
    """One athlete, with the most urgent reason first."""

    id: UUID
    name: str = Field(examples=["Oda Fenwick"])
    note: str
    ladder_id: UUID | None
    goal: str | None
    ladders: list[LadderGoal] = Field(description="All of theirs, the oldest first.")
    current_rung: RungName | None
    criterion: CriterionOut | None
    expected: EstimateOut | None = Field(
        description="Reps to failure, or seconds, on their rung, as of the last evidence."
    )
    last_session: date | None
    today: int | None = Field(
        description="Things planned for today; empty where the week was not planned."
    )
    pending_decisions: list[PendingDecisionOut]
    flags: list[FlagOut]


class Squad(ResponseModel):
    """The coach's athletes, whoever needs them first on top."""

    order: str = Field(description="By what they are sorted, in words.")
    athletes: list[SquadLineOut]
    due: list[UUID] = Field(description="Athletes whose last week was not looked at yet.")
    kit_checks: list[str] = Field(description="Safety checks of kit that run out or have run out.")


class NewAthlete(StrictModel):
    """A person to coach."""

    id: UUID = Field(description="Made by the client, so that sending it twice counts once.")
    name: str = Field(min_length=1, max_length=80, pattern=r"\S", examples=["Oda Fenwick"])
    mass_kg: float = Field(description="20 to 300 kg.", examples=[75.0])
    stature_m: float = Field(description="1.0 to 2.4 m.", examples=[1.75])
    note: str = Field("", max_length=500)
    time_zone: str | None = Field(None, description="IANA name; the coach's own if left out.")
    consent: Literal[True] = Field(
        description="The athlete has agreed that their records are kept."
    )


class NewMeasure(StrictModel):
    """A body measured again."""

    mass_kg: float = Field(examples=[74.2])
    stature_m: float = Field(examples=[1.75])
    lengths: dict[str, float] = Field(
        default_factory=dict, description="Measured limbs, m.", examples=[{"thigh": 0.44}]
    )


class RoutineBounds(StrictModel):
    """Within what small changes inside a rung are done by themselves."""

    routine: bool = Field(description="Whether any are; they are listed and can be undone.")
    per_week: int = Field(1, ge=0, le=7, description="Changes a ladder and week.")


class LadderName(ResponseModel):
    """A ladder by its goal."""

    id: UUID
    goal: str
    family: str


class AthleteOut(ResponseModel):
    """An athlete with measures and ladders."""

    id: UUID
    name: str
    note: str
    time_zone: str
    email: str
    letters_stopped_at: datetime | None = Field(description="When they stopped letters to them.")
    consent_on: date
    archived_at: datetime | None
    routine: bool = Field(description="Whether small changes are done by themselves.")
    routine_per_week: int = Field(description="How many a ladder and week.")
    measures: list[BodyMeasurementOut]
    ladders: list[LadderName]


class AthleteChange(StrictModel):
    """Who an athlete is, put right."""

    name: str = Field(min_length=1, max_length=80)
    note: str = Field("", max_length=300)
    time_zone: str = Field(examples=["Europe/Lisbon"])
    email: str | None = Field(
        None, max_length=254, description="For letters; '' for none, nothing for as it is."
    )


class ArchivedAthlete(ResponseModel):
    """Somebody who was put away."""

    id: UUID
    name: str
    archived_at: datetime


class ArchivedAthletes(ResponseModel):
    """Whom a coach has put away, by name."""

    athletes: list[ArchivedAthlete]


@router.get("/squad")
def list_squad(coach: Coach, db: Database, now: Now) -> Squad:
    """Every athlete of this coach, one line each."""
    lines = squad.lines(db, coach.id, now)
    due = weekly.due(db, [line.athlete for line in lines], now)
    return Squad(
        order=ORDER_WORDS,
        athletes=[_line(line) for line in lines],
        due=[athlete.id for athlete in due],
        kit_checks=list(kit.lapses(db, coach.id, Moment(now, coach.time_zone).local_date)),
    )


@router.post("/athletes", status_code=201)
def enrol(body: NewAthlete, coach: Coach, db: Database, now: Now) -> AthleteOut:
    """Add an athlete with a first measure."""
    moment = Moment(now, body.time_zone or coach.time_zone)
    person = squad.AthleteDraft(body.id, body.name, body.mass_kg, body.stature_m, body.note)
    squad.enrol(db, coach, person, moment)
    return get_athlete(body.id, coach, db)


@router.get("/athletes/{athlete_id}")
def get_athlete(athlete_id: UUID, coach: Coach, db: Database) -> AthleteOut:
    """One athlete."""
    row = access.athlete(db, coach.id, athlete_id)
    return AthleteOut.of(
        row,
        measures=[
            BodyMeasurementOut.model_validate(m) for m in athlete_rows.measurements(db, row.id)
        ],
        ladders=[
            LadderName.model_validate(ladder_row)
            for ladder_row in ladder_rows.of_athlete(db, row.id)
        ],
    )


@router.put("/athletes/{athlete_id}")
def change(
    athlete_id: UUID, body: AthleteChange, coach: Coach, db: Database, now: Now
) -> AthleteOut:
    """Put name, note and time zone right."""
    row = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    squad.change(db, coach.id, row, body.name, body.note, body.time_zone, body.email, now)
    return get_athlete(athlete_id, coach, db)


@router.put("/athletes/{athlete_id}/archive")
def archive(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> AthleteOut:
    """Put an athlete away: out of the squad, reviewed by nobody, with everything of theirs kept."""
    row = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    squad.archive(db, coach.id, row, now, away=True)
    return get_athlete(athlete_id, coach, db)


@router.delete("/athletes/{athlete_id}/archive")
def restore(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> AthleteOut:
    """Bring an athlete back into the squad."""
    row = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    squad.archive(db, coach.id, row, now, away=False)
    return get_athlete(athlete_id, coach, db)


@router.get("/archived-athletes")
def list_archived(coach: Coach, db: Database) -> ArchivedAthletes:
    """Whom you have put away."""
    rows = squad.archived(db, coach.id)
    return ArchivedAthletes(athletes=[ArchivedAthlete.model_validate(row) for row in rows])


@router.post("/athletes/{athlete_id}/body-measurements", status_code=201)
def measure(
    athlete_id: UUID, body: NewMeasure, coach: Coach, db: Database, now: Now
) -> BodyMeasurementOut:
    """Keep today's body mass and stature; ladders are measured with the newest."""
    row = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    kept = squad.measure(db, row, body.mass_kg, body.stature_m, moment_for(row, now), body.lengths)
    return BodyMeasurementOut.model_validate(kept)


@router.put("/athletes/{athlete_id}/routine")
def set_routine(athlete_id: UUID, body: RoutineBounds, coach: Coach, db: Database) -> RoutineBounds:
    """Say whether small changes inside a rung are done by themselves, and how many a week."""
    row = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    squad.set_routine(db, row, body.routine, body.per_week)
    return body


@router.delete("/athletes/{athlete_id}", status_code=204)
def erase(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> None:
    """Erase a person and every record of theirs, logged sets included. There is no way back."""
    row = access.athlete(db, coach.id, athlete_id, roles=access.OWN)
    squad.erase(db, coach.id, row, now)


def _line(line: squad.SquadLine) -> SquadLineOut:
    rung = line.current_rung
    return SquadLineOut.of(
        line.athlete,
        ladder_id=line.ladder.id if line.ladder else None,
        goal=line.ladder.goal if line.ladder else None,
        ladders=[LadderGoal.model_validate(ladder) for ladder in line.ladders],
        current_rung=RungName.model_validate(rung) if rung else None,
        criterion=criterion_of(rung) if rung else None,
        expected=_expected(line.expected, UNIT.validate_python(rung.unit) if rung else "reps"),
        last_session=line.last.local_date if line.last else None,
        today=line.today,
        pending_decisions=[
            PendingDecisionOut.model_validate(decision) for decision in line.pending_decisions
        ],
        flags=[FlagOut.of(mark) for mark in line.flags],
    )


def _expected(expected: tuple[float, float, float] | None, unit: Unit) -> EstimateOut | None:
    if expected is None:
        return None
    low, likely, high = expected
    return EstimateOut(low=low, likely=likely, high=high, unit=unit)
