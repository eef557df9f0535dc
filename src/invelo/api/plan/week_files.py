"""Weeks as files: print, Markdown, JSON, iCalendar, and a private feed of it."""

from datetime import timedelta
from hashlib import sha256
from typing import Annotated, Literal
from uuid import UUID

from fastapi import APIRouter, Query, Response
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.files import Paper, file_answer
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import OurDay
from invelo.api.plan.week_schemas import Monday
from invelo.db import access
from invelo.db.queries import plan_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.errors import InputError
from invelo.domain.plan.week.availability import week_start_of
from invelo.domain.strict import ResponseModel
from invelo.services.plan import feeds
from invelo.services.plan.week_file import file_week

router = APIRouter(prefix="/api", tags=["Week files"], responses=ERRORS)

Kind = Literal["pdf", "md", "ics"]
AHEAD = 4
"""Weeks a feed looks ahead, besides the one that runs."""


class Feed(ResponseModel):
    """A private calendar address."""

    there: bool
    address: str = Field(description="Path of the feed; told only when it is made.")


@router.get("/athletes/{athlete_id}/week/file", response_class=Response)
def get_week_file(
    athlete_id: UUID,
    coach: Coach,
    db: Database,
    now: Now,
    kind: Annotated[Kind, Query(description="PDF to print, Markdown to read, iCalendar.")],
    week_start: Monday = None,
    paper: Paper = "a4",
) -> Response:
    """A week as a file."""
    athlete = access.athlete(db, coach.id, athlete_id)
    today = moment_for(athlete, now).local_date
    week_file = file_week(db, athlete, week_start or week_start_of(today), today)
    content: bytes | str
    if kind == "pdf":
        from invelo.formats.plan.pdf import week_pdf

        content = week_pdf(week_file, paper)
    elif kind == "md":
        from invelo.formats.plan.markdown import markdown

        content = markdown(week_file)
    else:
        from invelo.formats.plan.ics import ics

        content = ics([week_file], now, _owner(athlete))
    return file_answer(content, kind, f"Week of {week_file.week_start.isoformat()}")


@router.get("/athletes/{athlete_id}/days/{day}/card", response_class=Response)
def get_session_card(
    athlete_id: UUID, day: OurDay, coach: Coach, db: Database, now: Now, paper: Paper = "a4"
) -> Response:
    """A day's session as a card to print, adapted if it was."""
    from invelo.formats.plan.pdf import session_pdf

    athlete = access.athlete(db, coach.id, athlete_id)
    week_file = file_week(db, athlete, week_start_of(day), moment_for(athlete, now).local_date)
    there = next((file_day for file_day in week_file.days if file_day.day == day), None)
    if there is None:
        raise InputError("day", "nothing is planned on it.", "Pick a day with a session.")
    return file_answer(session_pdf(week_file, there, paper), "pdf", f"Session of {day.isoformat()}")


@router.get("/athletes/{athlete_id}/feed")
def get_feed(athlete_id: UUID, coach: Coach, db: Database) -> Feed:
    """Whether the athlete has a private calendar address."""
    athlete = access.athlete(db, coach.id, athlete_id)
    return Feed(there=plan_rows.calendar_feed(db, athlete.id) is not None, address="")


@router.post("/athletes/{athlete_id}/feed", status_code=201)
def open_feed(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> Feed:
    """Make a private calendar address, in place of the one there was. It is told only now."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    token = feeds.open_feed(db, athlete.id, now)
    return Feed(there=True, address=f"/api/calendar/{token}.ics")


@router.delete("/athletes/{athlete_id}/feed", status_code=204)
def close_feed(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> Response:
    """End the address: whoever asks for it is told that it is not there."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    feeds.revoke(db, athlete.id, now)
    return Response(status_code=204)


@router.get("/calendar/{token}.ics", response_class=Response)
def read_feed(token: str, db: Database, now: Now) -> Response:
    """A calendar by its private address: no sign-in, nothing but times and places."""
    from invelo.formats.plan.ics import ics

    athlete = feeds.athlete_of(db, token)
    today = moment_for(athlete, now).local_date
    first = week_start_of(today)
    file_weeks = [
        file_week(db, athlete, first + timedelta(days=7 * ahead), today)
        for ahead in range(AHEAD + 1)
    ]
    return file_answer(ics(file_weeks, now, _owner(athlete)), "ics", "Training")


def _owner(athlete: AthleteRow) -> str:
    """An opaque name that stays the same, so that a calendar knows an event again."""
    return sha256(f"calendar {athlete.id}".encode()).hexdigest()[:24]
