"""Planning a week: asked for, told as it goes, stopped; kept only when the coach keeps it."""

from collections.abc import AsyncIterator
from datetime import datetime
from typing import Annotated, Literal
from uuid import UUID

from fastapi import APIRouter, Depends, Request
from fastapi.sse import EventSourceResponse
from pydantic import Field
from starlette.concurrency import run_in_threadpool

from invelo.api.common.context import Coach, Database, NobodyError, Now, Token, moment_for
from invelo.api.common.live.tidings import Tidings
from invelo.api.common.problems import ERRORS, FieldProblem
from invelo.api.plan.week_schemas import Monday, PlacedTask, ToSolve
from invelo.db import access
from invelo.db.database import transaction
from invelo.db.tables.plan import WeekPlanningRow
from invelo.domain.plan.week.availability import week_start_of
from invelo.domain.plan.week.progress import Progress
from invelo.domain.strict import ResponseModel
from invelo.formats.plan.document import BreachOut, TermOut, breach_out, term_out
from invelo.services import background
from invelo.services.account import accounts
from invelo.services.plan import planning, week

router = APIRouter(prefix="/api/athletes/{athlete_id}/week/plans", tags=["Week"], responses=ERRORS)


class PlanProgress(ResponseModel):
    """How far a search has come."""

    placed: list[PlacedTask]
    points: int
    bound: int
    proof: str

    @classmethod
    def of_progress(cls, progress: Progress) -> "PlanProgress":
        """Off a search's best plan."""
        return cls(
            placed=[PlacedTask(task=key, day=day) for key, day in sorted(progress.plan)],
            points=progress.points,
            bound=min(progress.points, progress.bound),
            proof=progress.words,
        )


class PlanEnd(PlanProgress):
    """What a search ended with."""

    relaxed: list[str]
    terms: list[TermOut]
    breaches: list[BreachOut]


class PlanningOut(ResponseModel):
    """A planning of a week."""

    id: UUID
    week_start: str = Field(description="First day of the week, ISO 8601.")
    again: bool = Field(description="After an answer: it is kept by itself.")
    state: Literal["queued", "working", "solved", "stopped", "refused"]
    asked_at: datetime
    best: PlanProgress | None = Field(description="The best plan so far.")
    end: PlanEnd | None = Field(description="Once it is solved.")
    refusal: FieldProblem | None = Field(description="Why there is no plan.")
    note: str = Field(description="What there is to say while it waits; '' for nothing.")


@router.post("", status_code=202)
def ask_for_plan(
    athlete_id: UUID, body: ToSolve, coach: Coach, db: Database, now: Now, week_start: Monday = None
) -> PlanningOut:
    """Ask for a week to be planned. A worker plans it; nothing is kept until the plan is put."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    today = moment_for(athlete, now).local_date
    pins, lost = tuple(pin.core() for pin in body.pins), body.lost.core()
    seen = week.view(db, athlete, week_start or week_start_of(today), today, pins, lost)
    return planning_out(planning.ask(db, athlete, seen, body.seconds, now), now)


@router.get("/{planning_id}")
def get_planning(
    athlete_id: UUID, planning_id: UUID, coach: Coach, db: Database, now: Now
) -> PlanningOut:
    """How far a planning is."""
    athlete = access.athlete(db, coach.id, athlete_id)
    return planning_out(planning.of_athlete(db, athlete.id, planning_id), now)


@router.delete("/{planning_id}")
def stop_planning(
    athlete_id: UUID, planning_id: UUID, coach: Coach, db: Database, now: Now
) -> PlanningOut:
    """Stop a planning. The best plan so far stays to be looked at."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    row = planning.of_athlete(db, athlete.id, planning_id)
    return planning_out(planning.stop(db, row.id, now), now)


def _may_watch(request: Request, athlete_id: UUID, planning_id: UUID, token: Token = None) -> str:
    """The session that watches; refused before anything is streamed."""
    if token is None or _look(request, token, athlete_id, planning_id) is None:
        raise NobodyError
    request.app.state.tidings.admit(token)
    return token


@router.get("/{planning_id}/stream", response_class=EventSourceResponse)
async def stream_planning(
    request: Request,
    athlete_id: UUID,
    planning_id: UUID,
    token: Annotated[str, Depends(_may_watch)],
) -> AsyncIterator[PlanningOut]:
    """The same, again whenever something changes, until it has ended."""
    tidings: Tidings = request.app.state.tidings
    async with tidings.hearing(planning.CHANNEL, str(planning_id), token) as heard:
        while True:
            seen = await run_in_threadpool(_look, request, token, athlete_id, planning_id)
            if seen is None:  # signed out meanwhile
                return
            yield seen
            if seen.state not in ("queued", "working") or not await heard.wait():
                return


def _look(request: Request, token: str, athlete_id: UUID, planning_id: UUID) -> PlanningOut | None:
    """How far it is; None for nobody."""
    now = request.app.state.clock()
    with transaction(request.app.state.engine) as db:
        account = accounts.for_token(db, token, now)
        if account is None:
            return None
        return get_planning(athlete_id, planning_id, account, db, now)


def planning_out(row: WeekPlanningRow, now: datetime) -> PlanningOut:
    """A planning as it is told."""
    best = planning.PROGRESS.validate_python(row.progress) if row.progress else None
    end = planning.PLANNED.validate_python(row.result) if row.result else None
    return PlanningOut.of(
        row,
        week_start=row.week_start.isoformat(),
        best=PlanProgress.of_progress(best) if best else None,
        end=PlanEnd(
            **dict(PlanProgress.of_progress(end.progress)),
            relaxed=list(end.relaxed),
            terms=[term_out(term) for term in end.score.terms],
            breaches=[breach_out(breach) for breach in end.breaches],
        )
        if end
        else None,
        refusal=FieldProblem.model_validate(row.refusal) if row.refusal else None,
        note=background.waiting_note(row, now),
    )
