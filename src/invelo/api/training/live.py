"""Live: who is on the floor now, set by set, over server-sent events.

Every message is the whole picture, so that whoever comes late, or comes back after the line broke,
has missed nothing. PostgreSQL tells of changes, so that several copies of the service serve one
floor.
"""

from collections.abc import AsyncIterator
from datetime import datetime
from typing import Annotated, Literal
from uuid import UUID

from fastapi import APIRouter, Depends, Request
from fastapi.sse import EventSourceResponse, ServerSentEvent
from pydantic import Field
from starlette.concurrency import run_in_threadpool

from invelo.api.common.context import Coach, Database, NobodyError, Now, Token
from invelo.api.common.live.tidings import Tidings
from invelo.api.common.problems import ERRORS
from invelo.api.training.log_schemas import LoggedSessionOut, sessions_of
from invelo.db.database import transaction
from invelo.domain.strict import ResponseModel
from invelo.domain.training.log import PAIN_STOP
from invelo.services.account import accounts
from invelo.services.training import live

router = APIRouter(prefix="/api", tags=["Live"], responses=ERRORS)


COME_BACK = 2000
"""Milliseconds after which a browser that lost the stream asks again."""


class AtWorkNow(ResponseModel):
    """One athlete on the floor."""

    athlete_id: UUID
    athlete_name: str
    state: Literal["ready", "working", "resting", "paused", "done"]
    doing: str
    set_number: int
    set_count: int
    step: int
    steps: int
    at: datetime
    session: LoggedSessionOut


class LiveFloor(ResponseModel):
    """Everyone on the floor."""

    now: datetime
    pain_stop: int = Field(description="Pain from which a movement ends, 0–10.")
    people: list[AtWorkNow]


@router.get("/live")
def get_live(coach: Coach, db: Database, now: Now) -> LiveFloor:
    """Who is on the floor now."""
    at_work_nows = []
    there = live.on_floor(db, coach.id, now)
    sessions = sessions_of(db, [on_floor.session for on_floor in there])
    for one, session in zip(there, sessions, strict=True):
        where = one.where
        over = one.session.finished_at is not None
        at_work_nows.append(
            AtWorkNow(
                athlete_id=one.athlete.id,
                athlete_name=one.athlete.name,
                state="done" if over else where.state if where else "ready",
                doing="" if over or where is None else where.doing,
                set_number=where.set_number if where else 0,
                set_count=where.set_count if where else 0,
                step=where.step if where else 0,
                steps=where.steps if where else 0,
                at=where.at if where else one.session.at,
                session=session,
            )
        )
    return LiveFloor(now=now, pain_stop=PAIN_STOP, people=at_work_nows)


def _may_watch(request: Request, token: Token = None) -> str:
    """The session that watches; its account is looked at again with every news."""
    if token is None or not _signed_in(request, token):
        raise NobodyError
    request.app.state.tidings.admit(token)
    return token


@router.get(
    "/live/stream",
    response_class=EventSourceResponse,
    responses={200: {"model": LiveFloor, "description": "`LiveFloor`s, one an event."}},
)
async def stream_live(
    request: Request, token: Annotated[str, Depends(_may_watch)]
) -> AsyncIterator[ServerSentEvent]:
    """The same, again whenever something changes; until whoever watches signs out."""
    tidings: Tidings = request.app.state.tidings
    async with tidings.hearing(live.CHANNEL, session=token) as heard:
        while True:
            floor = await run_in_threadpool(_floor, request, token)
            if floor is None:  # signed out meanwhile
                return
            yield ServerSentEvent(data=floor, retry=COME_BACK)
            if not await heard.wait():
                return


def _signed_in(request: Request, token: str) -> bool:
    with transaction(request.app.state.engine) as db:
        return accounts.for_token(db, token, request.app.state.clock()) is not None


def _floor(request: Request, token: str) -> LiveFloor | None:
    now = request.app.state.clock()
    with transaction(request.app.state.engine) as db:
        account = accounts.for_token(db, token, now)
        return get_live(account, db, now) if account is not None else None
