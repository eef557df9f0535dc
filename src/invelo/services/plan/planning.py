"""Planning a week as long work: asked for in a request, done by a worker, told as it goes.

The solver runs neither in a request nor under a lock: a worker takes the question up in one
transaction, solves it in none, and writes the answer in another.
"""

from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Any
from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.db import access
from invelo.db.errors import ConflictError, MissingError
from invelo.db.moment import Moment
from invelo.db.queries import plan_rows
from invelo.db.queue import enqueue, notify
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.plan import UNDER_WAY, WeekPlanningRow
from invelo.domain.errors import InputError
from invelo.domain.plan.week.availability import next_week_start, week_start_of
from invelo.domain.plan.week.problem import Plan, PlanningProblem
from invelo.domain.plan.week.progress import PlannedWeek, Progress
from invelo.services.plan import week

TASK = "plan_week"
CHANNEL = "invelo_planning"
"""PostgreSQL's channel on which a planning's change is told, with its id."""

AGAIN_STEPS = 4.0
"""Limit of the solver when a week is planned anew after an answer, in its own units."""

KEPT_FOR = timedelta(days=1)
"""How long a planning that has ended is kept."""

FORGOTTEN = timedelta(seconds=60)
"""How long nobody has touched a planning whose job may be lost: as long as a search may take."""

PROGRESS: TypeAdapter[Progress] = TypeAdapter(Progress)
PLANNED: TypeAdapter[PlannedWeek] = TypeAdapter(PlannedWeek)


def ask(
    db: Session, athlete: AthleteRow, seen: week.WeekView, seconds: float, now: datetime
) -> WeekPlanningRow:
    """Ask for a week to be planned; it is kept only once the coach keeps it.

    Raises:
        ConflictError: while the week is being planned already.
    """
    if plan_rows.planning_under_way(db, athlete.id, seen.week_start) is not None:
        raise ConflictError(
            "week", "it is being planned already.", "Wait for that plan, or stop it first."
        )
    plan_rows.forget_plannings_before(db, now - KEPT_FOR)
    question = {
        "pins": week.PINS.dump_python(seen.pins, mode="json"),
        "lost": week.LOST.dump_python(seen.lost, mode="json"),
        "seconds": seconds,
    }
    row = WeekPlanningRow(
        athlete_id=athlete.id,
        week_start=seen.week_start,
        question=question,
        asked_at=now,
        changed_at=now,
    )
    return _queued(db, row)


def ask_again(
    db: Session, athlete: AthleteRow, moment: Moment, note: str
) -> WeekPlanningRow | None:
    """Ask for the week that is about to be trained to be planned anew and kept, after something was
    decided; None where neither that week nor this one was planned.

    A planning of the coach's that is under way is told that it has been overtaken; one like this is
    asked for once more.
    """
    starts = (next_week_start(moment.local_date), week_start_of(moment.local_date))
    week_start = next(
        (start for start in starts if plan_rows.newest_week(db, athlete.id, start)), None
    )
    if week_start is None:
        return None
    under_way = plan_rows.planning_under_way(db, athlete.id, week_start, lock=True)
    if under_way is not None and under_way.again:
        under_way.asks += 1
        under_way.note = note
        return _changed(db, under_way, moment.at)
    if under_way is not None:
        _refuse(db, under_way, OVERTAKEN, moment.at)
    row = WeekPlanningRow(
        athlete_id=athlete.id,
        week_start=week_start,
        again=True,
        note=note,
        question={},
        asked_at=moment.at,
        changed_at=moment.at,
    )
    return _queued(db, row)


OVERTAKEN = InputError(
    "week", "something was decided meanwhile.", "Plan it again; nothing was overwritten."
)


def of_athlete(db: Session, athlete_id: UUID, planning_id: UUID) -> WeekPlanningRow:
    """A planning of an athlete's.

    Raises:
        MissingError: if there is none.
    """
    row = db.get(WeekPlanningRow, planning_id)
    if row is None or row.athlete_id != athlete_id:
        raise MissingError("planning")
    return row


def stop(db: Session, planning_id: UUID, now: datetime) -> WeekPlanningRow:
    """Stop a planning: the best plan so far stays to be looked at. One that has ended stays so.

    Raises:
        ConflictError: for one after an answer, which is not the coach's to stop.
    """
    row = _locked(db, planning_id)
    if row.state not in UNDER_WAY:
        return row
    if row.again:
        raise ConflictError(
            "planning", "it follows from what was decided.", "Let it end, then change the week."
        )
    row.state = "stopped"
    return _changed(db, row, now)


@dataclass(frozen=True)
class WeekQuestion:
    """What a worker solves.

    Attributes:
        planning_id, asks: of which planning, asked for how often by now.
        problem: the week.
        start: a plan to begin from.
        seconds, steps: limits of the search; None for none.
        number: of the week's revision that it follows.
    """

    planning_id: UUID
    asks: int
    problem: PlanningProblem
    start: Plan | None
    seconds: float | None
    steps: float | None
    number: int


def take_up(db: Session, planning_id: UUID, now: datetime) -> WeekQuestion | None:
    """What there is to solve; None where it has ended, or cannot be asked any more."""
    row = plan_rows.locked_planning(db, planning_id)
    if row is None or row.state not in UNDER_WAY:
        return None
    try:
        seen = _view(db, row, now)
    except InputError as error:
        _refuse(db, row, error, now)
        return None
    row.state = "working"
    _changed(db, row, now)
    return WeekQuestion(
        row.id,
        row.asks,
        seen.built.problem,
        None if row.again else seen.plan or None,
        row.question.get("seconds"),
        AGAIN_STEPS if row.again else None,
        seen.row.number if seen.row else 0,
    )


def is_under_way(db: Session, planning_id: UUID) -> bool:
    """Whether anybody still waits for it."""
    row = db.get(WeekPlanningRow, planning_id)
    return row is not None and row.state in UNDER_WAY


def note_progress(db: Session, planning_id: UUID, progress: Progress, now: datetime) -> None:
    """Tell of a better plan, or of a better bound."""
    row = plan_rows.locked_planning(db, planning_id)
    if row is not None and row.state == "working":
        row.progress = PROGRESS.dump_python(progress, mode="json")
        _changed(db, row, now)


def finish(db: Session, question: WeekQuestion, planned: PlannedWeek, now: datetime) -> bool:
    """Write what a search has found; once, however often it is told.

    Returns:
        False where it is to be solved once more, because it was asked for again or the week
        changed meanwhile.
    """
    asked = db.get(WeekPlanningRow, question.planning_id)
    if asked is None:
        return True
    athlete = access.lock(db, db.get_one(AthleteRow, asked.athlete_id))
    row = plan_rows.locked_planning(db, question.planning_id)
    if row is None or row.state not in UNDER_WAY:
        return True
    if row.asks != question.asks:
        return False
    if row.again:
        moment = Moment(now, athlete.time_zone)
        try:
            with db.begin_nested():
                seen = _view(db, row, now)
                bound = planned.progress.bound
                number = question.number
                week.keep(db, athlete, seen, planned.plan, number, row.note, moment, bound)
        except (ConflictError, InputError):
            return False
    row.state = "solved"
    row.progress = PROGRESS.dump_python(planned.progress, mode="json")
    row.result = PLANNED.dump_python(planned, mode="json")
    _changed(db, row, now)
    return True


def refuse(db: Session, planning_id: UUID, error: InputError, now: datetime) -> None:
    """Write why there is no plan."""
    row = plan_rows.locked_planning(db, planning_id)
    if row is not None and row.state in UNDER_WAY:
        _refuse(db, row, error, now)


def put_back(db: Session, planning_id: UUID, now: datetime) -> None:
    """Leave a planning to another worker."""
    row = plan_rows.locked_planning(db, planning_id)
    if row is not None and row.state == "working":
        row.state = "queued"
        _queued(db, row)
        _changed(db, row, now)


def put_back_forgotten(db: Session, now: datetime) -> None:
    """See to it that whatever is under way has a job, should its own have been lost. One that has
    is at most looked at once more."""
    for row in plan_rows.plannings_untouched_since(db, now - FORGOTTEN):
        _queued(db, row)


def _refuse(db: Session, row: WeekPlanningRow, error: InputError, now: datetime) -> None:
    row.state = "refused"
    row.refusal = {"field": error.field, "problem": error.problem, "remedy": error.remedy}
    _changed(db, row, now)


def _view(db: Session, row: WeekPlanningRow, now: datetime) -> week.WeekView:
    athlete = db.get_one(AthleteRow, row.athlete_id)
    today = Moment(now, athlete.time_zone).local_date
    asked: dict[str, Any] = row.question
    pins = week.PINS.validate_python(asked["pins"]) if "pins" in asked else None
    lost = week.LOST.validate_python(asked["lost"]) if "lost" in asked else None
    return week.view(db, athlete, row.week_start, today, pins, lost)


def _locked(db: Session, planning_id: UUID) -> WeekPlanningRow:
    row = plan_rows.locked_planning(db, planning_id)
    if row is None:
        raise MissingError("planning")
    return row


def _queued(db: Session, row: WeekPlanningRow) -> WeekPlanningRow:
    db.add(row)
    db.flush()
    key = str(row.id)
    enqueue(db, TASK, {"planning_id": key}, once=key, lock=key)
    notify(db, CHANNEL, key)
    return row


def _changed(db: Session, row: WeekPlanningRow, now: datetime) -> WeekPlanningRow:
    row.changed_at = now
    db.add(row)
    db.flush()
    notify(db, CHANNEL, str(row.id))
    return row
