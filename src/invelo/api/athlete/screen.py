"""Screen: what can hurt an athlete, what is closed to them, and who opened it again."""

from datetime import date
from typing import Annotated
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import OurDay, ResponseModel
from invelo.db import access
from invelo.domain.athlete.screen import (
    WORDS,
    Answers,
    Disease,
    Medicine,
    Outcome,
    PainPlace,
    Sign,
    closes,
)
from invelo.domain.biomechanics.posture.form import Strain
from invelo.domain.strict import StrictModel
from invelo.services.account import accounts
from invelo.services.athlete import screen

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
        )


class FindingOut(ResponseModel):
    """One thing the answers say."""

    rule: str
    sentence: str
    source: str
    refers: bool


class LimitOut(ResponseModel):
    """Something that is closed."""

    id: str
    words: str
    forms: list[str] = Field(description="What it closes.")


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
    closed: list[str] = Field(description="What a clearance could lift.")
    clearances: list[ClearanceOut]
    answers: NewScreen | None = Field(description="Of the newest screen, to go on from.")


class NewClearance(StrictModel):
    """A clinician's word."""

    id: UUID = Field(description="Made by the client, so that sending it twice counts once.")
    said_by: Annotated[str, Field(min_length=1, max_length=120, pattern=r"\S")]
    note: Annotated[str, Field(min_length=1, max_length=500, pattern=r"\S")]
    lifts: list[str] = Field(max_length=20, examples=[["doctor", "overhead"]])


@router.get("/screen")
def get_screen(athlete_id: UUID, coach: Coach, db: Database) -> Screen:
    """The newest screen, with what is closed and what was opened."""
    return _screen(db, access.athlete(db, coach.id, athlete_id).id)


@router.post("/screens", status_code=201)
def add_screen(athlete_id: UUID, body: NewScreen, coach: Coach, db: Database, now: Now) -> Screen:
    """Keep the answers; what follows from them binds at once."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    screen.record(db, athlete, body.id, body.core(), moment_for(athlete, now))
    return _screen(db, athlete.id)


@router.post("/clearances", status_code=201)
def add_clearance(
    athlete_id: UUID, body: NewClearance, coach: Coach, db: Database, now: Now
) -> Screen:
    """Record what a clinician opened again."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    note = screen.Word(body.id, body.said_by.strip(), body.note.strip(), tuple(body.lifts))
    screen.clear(db, athlete, coach, note, moment_for(athlete, now))
    return _screen(db, athlete.id)


def _screen(db: Database, athlete_id: UUID) -> Screen:
    kept = screen.standing(db, athlete_id)
    row, now = kept.screening, kept.now
    return Screen(
        screened_on=row.local_date if row else None,
        outcome=now.outcome,
        findings=[FindingOut.model_validate(finding) for finding in now.screened.findings],
        limits=[_limit(limit) for limit in sorted(now.limits)],
        closed=list(now.closed),
        clearances=[
            ClearanceOut.of(
                clearance, on=clearance.local_date, author=_author(db, clearance.author_id)
            )
            for clearance in kept.clearances
        ],
        answers=NewScreen.model_validate({"id": row.id, **row.inputs}) if row else None,
    )


def _limit(strain: Strain) -> LimitOut:
    return LimitOut(id=strain, words=WORDS[strain], forms=[form.name for form in closes(strain)])


def _author(db: Database, account_id: UUID | None) -> str:
    account = accounts.named(db, account_id) if account_id else None
    return account.name if account else "someone whose account is gone"
