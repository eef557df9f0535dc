"""Classes: one session for several people, put on everyone's day, printed, and run by one clock."""

from collections.abc import Iterable
from typing import Annotated
from uuid import UUID

from fastapi import APIRouter, Query, Response
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.files import Paper, file_answer
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import OurDay
from invelo.api.plan.session_schemas import SessionSheet, sheet_of
from invelo.db import access
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.plan.group.class_clock import TurnKind, class_clock
from invelo.domain.plan.group.group import GroupSession, group
from invelo.domain.plan.session.needed import needed
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.plan import sessions, trainee

router = APIRouter(prefix="/api", tags=["Sessions"], responses=ERRORS)


class ForGroup(StrictModel):
    """Who does a session together."""

    athletes: list[UUID] = Field(min_length=1, max_length=20)


class OfGroup(ResponseModel):
    """One person's part of a group session."""

    athlete_id: UUID
    athlete_name: str
    session: SessionSheet


class GroupSheet(ResponseModel):
    """One session, each person on their own rung."""

    name: str
    minutes: float
    sessions: list[OfGroup]


class ClassDoing(ResponseModel):
    """What one person does in a turn."""

    name: str
    words: str
    cue: str


class ClassTurn(ResponseModel):
    """Something the whole room does at once."""

    at: float = Field(description="Seconds from the start.")
    seconds: float
    kind: TurnKind
    words: str
    doing: list[ClassDoing] = Field(description="Of each person; of a rest, what comes next.")


class ClassClock(ResponseModel):
    """A class from its first second to its last."""

    name: str
    minutes: float
    people: list[str]
    fetch: list[str] = Field(description="What to fetch before it starts.")
    turns: list[ClassTurn]


@router.post("/session-templates/{template_id}/group")
def group_session(
    template_id: str, body: ForGroup, coach: Coach, db: Database, now: Now
) -> GroupSheet:
    """One session for several people, each on their own rung."""
    there, people = _people(db, coach, body.athletes, now)
    made = group(sessions.find(db, coach.id, template_id), people)
    return _group_sheet(made, there, people)


@router.get("/session-templates/{template_id}/class-sheet", response_class=Response)
def get_class_sheet(
    template_id: str,
    athletes: Annotated[list[UUID], Query(min_length=1, max_length=20)],
    coach: Coach,
    db: Database,
    now: Now,
    paper: Paper = "a4",
) -> Response:
    """A class on one sheet to print or hang up: each on their own rung, and what to fetch first."""
    from invelo.formats.plan.class_pdf import class_pdf

    _, people = _people(db, coach, athletes, now)
    made = group(sessions.find(db, coach.id, template_id), people)
    return file_answer(class_pdf(made, paper), "pdf", f"Class {made.shape.name}")


@router.get("/session-templates/{template_id}/class-clock")
def get_class_clock(
    template_id: str,
    athletes: Annotated[list[UUID], Query(min_length=1, max_length=20)],
    coach: Coach,
    db: Database,
    now: Now,
    rotate: Annotated[bool, Query(description="Whether each begins at another station.")] = False,
) -> ClassClock:
    """A class turn by turn, for a screen that the whole room sees."""
    there, people = _people(db, coach, athletes, now)
    made = group(sessions.find(db, coach.id, template_id), people)
    turns = class_clock(made, rotate=rotate)
    return ClassClock(
        name=made.shape.name,
        minutes=sum(turn.seconds for turn in turns) / 60.0,
        people=[row.name for row in there],
        fetch=list(dict.fromkeys(line for part in made.parts for line in needed(part.session))),
        turns=[ClassTurn.model_validate(turn) for turn in turns],
    )


@router.put("/session-templates/{template_id}/days/{day}")
def put_on_day(
    template_id: str, day: OurDay, body: ForGroup, coach: Coach, db: Database, now: Now
) -> GroupSheet:
    """Put a session on a day of one or several people, each on their own rung, as it is; what was
    planned for the day stands behind it."""
    there, people = _people(db, coach, body.athletes, now, roles=access.WRITE)
    made = group(sessions.find(db, coach.id, template_id), people)
    for athlete, part in zip(there, made.parts, strict=True):
        sessions.keep_given(db, athlete, day, part.session, moment_for(athlete, now))
    return _group_sheet(made, there, people)


def _people(
    db: Database,
    coach: Coach,
    ids: Iterable[UUID],
    now: Now,
    roles: access.Roles = access.SEE,
) -> tuple[list[AthleteRow], list[Trainee]]:
    """Those who train together, each once."""
    there = [
        access.athlete(db, coach.id, athlete_id, roles=roles) for athlete_id in dict.fromkeys(ids)
    ]
    return there, [trainee.of_athlete(db, row, moment_for(row, now).local_date) for row in there]


def _group_sheet(made: GroupSession, there: list[AthleteRow], people: list[Trainee]) -> GroupSheet:
    return GroupSheet(
        name=made.shape.name,
        minutes=made.minutes,
        sessions=[
            OfGroup(athlete_id=row.id, athlete_name=row.name, session=sheet_of(part.session, who))
            for row, who, part in zip(there, people, made.parts, strict=True)
        ],
    )
