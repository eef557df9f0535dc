"""Screen: what can hurt an athlete, what is closed to them, and who opened it again."""

from datetime import date, datetime
from typing import Annotated
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import OurDay
from invelo.db import access
from invelo.db.queries import athlete_rows
from invelo.db.tables.athlete import AthleteLimitRow, AthleteRow
from invelo.domain.athlete.limits import Limit, closed_by
from invelo.domain.athlete.screen import (
    ALL_ASKED,
    QUESTION_WORDS,
    Answers,
    Disease,
    Medicine,
    Outcome,
    PainPlace,
    PregnancyStage,
    Question,
    Sign,
)
from invelo.domain.athlete.strain import Quantity
from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.days import day_words
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.account import accounts
from invelo.services.athlete import guard, limits, screen

router = APIRouter(prefix="/api/athletes/{athlete_id}", tags=["Intake"], responses=ERRORS)


class NewScreen(StrictModel):
    """What the athlete says of themselves."""

    id: UUID = Field(description="Made by the client, so that sending it twice counts once.")
    born: OurDay
    active: bool = Field(description="30 min, three days a week, for the last three months.")
    diseases: set[Disease] = Field(default_factory=set)
    signs: set[Sign] = Field(default_factory=set)
    medicines: set[Medicine] = Field(default_factory=set)
    pregnant: bool = Field(False, description="Now, or within three months of birth.")
    operated_weeks: int | None = Field(None, description="Since the last operation, 0 to 52.")
    pains: dict[PainPlace, int] = Field(default_factory=dict, description="0 to 10 by place.")
    lax: bool = Field(False, description="Joints that bend further than most.")
    pregnancy_stage: PregnancyStage | None = Field(
        None, description="Decides about lying on the back; told late where it is not told."
    )
    front_comfortable: bool = Field(False, description="Lying on the front, of who is pregnant.")
    asked: set[Question] | None = Field(
        None,
        description="Questions that were answered; all of them if left out. One that was not is no "
        "answer “no”.",
    )

    def core(self) -> Answers:
        """As the domain reads them."""
        return Answers(
            self.born,
            self.active,
            frozenset(self.diseases),
            frozenset(self.signs),
            frozenset(self.medicines),
            self.pregnant,
            self.operated_weeks,
            self.pains,
            self.lax,
            ALL_ASKED if self.asked is None else frozenset(self.asked),
            self.pregnancy_stage,
            self.front_comfortable,
        )


class FindingOut(ResponseModel):
    """One thing the answers say."""

    rule: str
    sentence: str
    source: str
    refers: bool


class LimitOut(ResponseModel):
    """The most of a quantity that stays open."""

    id: Quantity
    words: str
    most: float = Field(description="Degrees, %, or a class of 0 to 3.")
    why: str
    until: date | None
    by_coach: UUID | None = Field(description="Its id, where a coach set it and may end it.")
    set_by: str = Field(description="Who set it, and when.", examples=["the screen of 5 Dec 2026"])
    forms: list[str] = Field(description="Movements it closes.")


class ClearanceOut(ResponseModel):
    """A clinician's word, as the coach recorded it."""

    said_by: str
    note: str
    lifts: list[str]
    on: date
    author: str


class Screen(ResponseModel):
    """Where the athlete stands: nothing is asked yet where `screened_on` is null."""

    screened_on: date | None
    outcome: Outcome
    findings: list[FindingOut]
    limits: list[LimitOut]
    left_open: str = Field(description="How much the limits leave open, '' where there is none.")
    unasked: list[str] = Field(description="What nobody answered yet, in words.")
    closed: list[str] = Field(description="What a clearance could lift.")
    clearances: list[ClearanceOut]
    answers: NewScreen | None = Field(description="Of the newest screen, to go on from.")


class LimitRequest(StrictModel):
    """What a coach closes besides what the screen says."""

    id: UUID = Field(description="Made by the client, so that sending it twice counts once.")
    quantity: Quantity
    most: float = Field(description="What stays open: degrees, %, or a class.", examples=[60.0])
    why: Annotated[str, Field(min_length=1, max_length=500, pattern=r"\S")]
    until: OurDay | None = Field(None, description="The last day it holds; none if left out.")


class NewClearance(StrictModel):
    """A clinician's word."""

    id: UUID = Field(description="Made by the client, so that sending it twice counts once.")
    said_by: Annotated[str, Field(min_length=1, max_length=120, pattern=r"\S")]
    note: Annotated[str, Field(min_length=1, max_length=500, pattern=r"\S")]
    lifts: list[str] = Field(max_length=20, examples=[["doctor", "overhead"]])


@router.get("/screen")
def get_screen(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> Screen:
    """The newest screen, with what is closed and what was opened."""
    return _screen(db, access.athlete(db, coach.id, athlete_id), now)


@router.post("/screens", status_code=201)
def add_screen(athlete_id: UUID, body: NewScreen, coach: Coach, db: Database, now: Now) -> Screen:
    """Keep the answers; what follows from them binds at once."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    screen.record(db, athlete, body.id, body.core(), moment_for(athlete, now))
    return _screen(db, athlete, now)


@router.post("/clearances", status_code=201)
def add_clearance(
    athlete_id: UUID, body: NewClearance, coach: Coach, db: Database, now: Now
) -> Screen:
    """Record what a clinician opened again."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    note = screen.Word(body.id, body.said_by.strip(), body.note.strip(), tuple(body.lifts))
    screen.clear(db, athlete, coach, note, moment_for(athlete, now))
    return _screen(db, athlete, now)


@router.post("/limits", status_code=201)
def add_limit(athlete_id: UUID, body: LimitRequest, coach: Coach, db: Database, now: Now) -> Screen:
    """Leave less open than the screen does; only a clearance leaves more."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    limit = Limit(body.quantity, body.most, "coach", body.why, body.until)
    limits.add(db, athlete, coach, body.id, limit, moment_for(athlete, now))
    return _screen(db, athlete, now)


@router.post("/limits/{limit_id}/end")
def end_limit(athlete_id: UUID, limit_id: UUID, coach: Coach, db: Database, now: Now) -> Screen:
    """Open again what a coach had closed."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    limits.end(db, athlete, coach, limit_id, now)
    return _screen(db, athlete, now)


def _screen(db: Database, athlete: AthleteRow, now: datetime) -> Screen:
    today = moment_for(athlete, now).local_date
    kept = screen.standing(db, athlete.id, today)
    body = guard.of_athlete(db, athlete.id, today).body
    row, stands = kept.screening, kept.now
    of_screen = f"the screen of {day_words(row.local_date)}" if row else ""
    setters = {str(limit_row.id): limit_row for limit_row in athlete_rows.limits(db, athlete.id)}
    return Screen(
        screened_on=row.local_date if row else None,
        outcome=stands.outcome,
        findings=[FindingOut.model_validate(finding) for finding in stands.screened.findings],
        limits=[
            _limit(limit, body, *_setter(db, setters.get(limit.by), of_screen))
            for limit in stands.limits
        ],
        left_open=_left_open(stands.limits, body),
        unasked=[QUESTION_WORDS[limit_row] for limit_row in stands.screened.unasked],
        closed=list(stands.closed),
        clearances=[
            ClearanceOut.of(
                clearance, on=clearance.local_date, author=_author(db, clearance.author_id)
            )
            for clearance in kept.clearances
        ],
        answers=NewScreen.model_validate({"id": row.id, **row.inputs}) if row else None,
    )


def _setter(db: Database, row: AthleteLimitRow | None, of_screen: str) -> tuple[UUID | None, str]:
    """The id of a coach's limit, and who set it when."""
    if row is None:
        return None, of_screen
    return row.id, f"{_author(db, row.author_id)}, {day_words(row.local_date)}"


def _limit(limit: Limit, body: Body, by_coach: UUID | None, set_by: str) -> LimitOut:
    return LimitOut.of(
        limit,
        id=limit.quantity,
        by_coach=by_coach,
        set_by=set_by,
        forms=[movement.name for movement in closed_by([limit], body)],
    )


def _left_open(limits: tuple[Limit, ...], body: Body) -> str:
    if not limits:
        return ""
    count = len(catalogue().movement)
    open_ = count - len(closed_by(limits, body))
    if open_ == 0:
        return (
            "Nothing is left open. Ask a clinician which of these could be cleared, and record it."
        )
    return f"Together they leave {open_} of {count} movements open."


def _author(db: Database, account_id: UUID | None) -> str:
    account = accounts.named(db, account_id) if account_id else None
    return account.name if account else "someone whose account is gone"
