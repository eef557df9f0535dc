"""Floor: today's session, run and logged set by set."""

from collections.abc import Sequence
from datetime import date
from uuid import UUID

from fastapi import APIRouter, Response
from pydantic import AwareDatetime, Field

from invelo.api.context import Coach, Database, Now, moment_for
from invelo.api.problems import ERRORS
from invelo.api.review import Decision, decision_of
from invelo.api.shapes import Dose, Gate, RungName, Shape, dose_of, gate_of
from invelo.core.catalogue import catalogue
from invelo.core.caution import BEFORE_A_SESSION, STANDING
from invelo.core.log import PAIN_STOP
from invelo.exchange.setups import Request
from invelo.store import access, drawings, floor, logs, tables
from invelo.store.rows import modifiers_of

router = APIRouter(prefix="/api", tags=["Floor"], responses=ERRORS)


class LoggedSet(Shape):
    """A set as it was logged."""

    id: UUID
    rung_id: UUID
    number: int
    amount: float = Field(description="Reps, or seconds of a hold.")
    effort: float
    clean: bool
    pain: int
    pain_place: str


class RunningSession(Shape):
    """A session that is open, with the sets logged so far."""

    id: UUID
    sets: list[LoggedSet]


class TodayRung(RungName):
    """A rung as the floor needs it."""

    dose: Dose
    gate: Gate
    tempo: str
    rep_time_s: float
    cues: list[str]
    faults: list[str]


class LastTime(Shape):
    """What was done on this rung the last time."""

    local_date: date
    sets: list[LoggedSet]


class Today(Shape):
    """What to do today: the rung, the easier one beside it, the cautions."""

    ladder_id: UUID
    athlete_id: UUID
    athlete_name: str
    goal: str
    stopped: str
    rung: TodayRung
    easier: TodayRung | None
    last_time: LastTime | None
    cautions: list[str]
    pain_stop: int = Field(description="Pain, 0–10, at which the movement ends for the day.")
    running: RunningSession | None


class NewSession(Request):
    """A session opened on a device."""

    ladder_id: UUID
    at: AwareDatetime = Field(description="The device's clock.")
    zone: str | None = Field(None, description="The device's IANA zone.")


class NewSet(Request):
    """A set done."""

    rung_id: UUID
    number: int = Field(description="Counted from 1 in the session.", examples=[1])
    reps: int | None = Field(None, description="Clean reps, 0 to 200.", examples=[10])
    seconds: float | None = Field(None, description="Of a hold, 0 to 3600; instead of reps.")
    centimetres: float | None = Field(None, description="Of a jump, landed still.")
    effort: float = Field(description="1–10; 10 is not one more.", examples=[8.5])
    clean: bool = True
    pain: int = Field(0, description="0–10.")
    pain_place: str = Field("", max_length=40, examples=["left wrist"])
    at: AwareDatetime
    zone: str | None = None
    corrects: UUID | None = Field(None, description="The set this one puts right.")


class Finish(Request):
    """The end of a session."""

    effort: float = Field(description="Of the whole session, 1–10.", examples=[7])
    at: AwareDatetime
    zone: str | None = None


@router.get("/ladders/{ladder_id}/today")
def today(ladder_id: UUID, coach: Coach, db: Database) -> Today:
    """Today's session on this ladder, or the one that is running."""
    row = access.ladder(db, coach.id, ladder_id)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    rungs = {rung.id: rung for rung in drawings.rungs_of(db, row.id)}
    assert row.standing_id is not None  # noqa: S101  (a ladder is entered when it is made)
    here = rungs[row.standing_id]
    below = drawings.drawing_of(db, list(rungs.values())).below(here.id)
    easier = max((rungs[one] for one in below), key=lambda one: one.position, default=None)
    running = logs.unfinished(db, row.id)
    return Today(
        ladder_id=row.id,
        athlete_id=athlete.id,
        athlete_name=athlete.name,
        goal=row.goal,
        stopped=row.stopped,
        rung=_rung(here),
        easier=_rung(easier) if easier else None,
        last_time=_last_time(logs.finished(db, row.id), here.id),
        cautions=[
            *BEFORE_A_SESSION,
            *catalogue().find_movement(here.movement).cautions,
            STANDING,
        ],
        pain_stop=PAIN_STOP,
        running=_running(running) if running else None,
    )


@router.put("/sessions/{session_id}")
def start(
    session_id: UUID, body: NewSession, coach: Coach, db: Database, now: Now
) -> RunningSession:
    """Open a session. The id is the device's own: sending it again opens nothing new."""
    row = access.ladder(db, coach.id, body.ladder_id, roles=access.WRITE)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    floor.start(db, row, session_id, moment_for(athlete, now, body.at, body.zone))
    return RunningSession(
        id=session_id, sets=_sets(logs.standing_sets(db, [session_id])[session_id])
    )


@router.put("/sessions/{session_id}/sets/{set_id}")
def log_set(
    session_id: UUID, set_id: UUID, body: NewSet, coach: Coach, db: Database, now: Now
) -> LoggedSet:
    """Log a set for good. Sending the same set again writes nothing; other figures under the
    same id are refused, since a correction is a new row that names the old in `corrects`."""
    session, row = _locked(db, coach, session_id)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    entry = floor.SetEntry(
        id=set_id,
        rung_id=body.rung_id,
        number=body.number,
        reps=body.reps,
        seconds=body.seconds,
        effort=body.effort,
        clean=body.clean,
        pain=body.pain,
        pain_place=body.pain_place,
        moment=moment_for(athlete, now, body.at, body.zone),
        corrects=body.corrects,
        centimetres=body.centimetres,
    )
    return LoggedSet.model_validate(floor.log(db, session, entry, now))


@router.post("/sessions/{session_id}/finish")
def finish(session_id: UUID, body: Finish, coach: Coach, db: Database, now: Now) -> Decision:
    """Close a session; the answer is the decision it leads to."""
    session, row = _locked(db, coach, session_id)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    moment = moment_for(athlete, now, body.at, body.zone)
    decision = floor.finish(db, row, athlete, session, body.effort, moment)
    return decision_of(decision, {rung.id: rung for rung in drawings.rungs_of(db, row.id)})


@router.delete("/sessions/{session_id}", status_code=204)
def discard(session_id: UUID, coach: Coach, db: Database) -> Response:
    """Drop a session in which nothing was logged."""
    floor.discard(db, _locked(db, coach, session_id)[0])
    return Response(status_code=204)


def _locked(
    db: Database, coach: Coach, session_id: UUID
) -> tuple[tables.TrainingSession, tables.Ladder]:
    """A session under its ladder's lock, so that two devices write one after the other."""
    session = access.training_session(db, coach.id, session_id, roles=access.WRITE)
    row = access.ladder(db, coach.id, session.ladder_id, roles=access.WRITE)
    db.refresh(session)
    return session, row


def _rung(row: tables.Rung) -> TodayRung:
    movement = catalogue().find_movement(row.movement)
    tempo = modifiers_of(row).tempo
    return TodayRung(
        id=row.id,
        name=row.name,
        dose=dose_of(row),
        gate=gate_of(row),
        tempo=str(tempo),
        rep_time_s=tempo.rep_time,
        cues=list(movement.cues),
        faults=[fault.name for fault in movement.fault],
    )


def _last_time(sessions: list[logs.LoggedSession], rung_id: UUID) -> LastTime | None:
    for session in reversed(sessions):
        done = [s for s in session.sets if s.rung_id == rung_id]
        if done:
            return LastTime(local_date=session.row.local_date, sets=_sets(done))
    return None


def _running(session: logs.LoggedSession) -> RunningSession:
    return RunningSession(id=session.row.id, sets=_sets(session.sets))


def _sets(rows: Sequence[tables.LoggedSet]) -> list[LoggedSet]:
    return [LoggedSet.model_validate(row) for row in rows]
