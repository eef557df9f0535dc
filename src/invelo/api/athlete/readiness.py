"""Readiness: checks, what they open, and the work that opens a closed one."""

from datetime import date
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.db import access
from invelo.domain.athlete.readiness import CHECKS, Check, CheckId, CheckResult, held_back
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.athlete import readiness

router = APIRouter(prefix="/api/athletes/{athlete_id}", tags=["Intake"], responses=ERRORS)


class ReadinessCheck(ResponseModel):
    """A check, and what it showed last; `passed` is null where it was never done."""

    id: CheckId
    name: str
    how: str
    passes: str
    opens: list[str] = Field(description="Movements that wait for it.")
    prepares: str
    prescription: str
    beside: str
    passed: bool | None
    on: date | None
    again_on: date | None
    note: str


class ReadinessOut(ResponseModel):
    """All checks."""

    checks: list[ReadinessCheck]


class NewShown(StrictModel):
    """What a check showed."""

    id: UUID = Field(description="Made by the client, so that sending it twice counts once.")
    check: CheckId
    passed: bool
    note: str = Field("", max_length=200, examples=["left 6 s, right 12 s"])


@router.get("/readiness")
def get_readiness(athlete_id: UUID, coach: Coach, db: Database) -> ReadinessOut:
    """Every check, with what it showed last."""
    return _readiness(db, access.athlete(db, coach.id, athlete_id).id)


@router.post("/readiness", status_code=201)
def add_shown(
    athlete_id: UUID, body: NewShown, coach: Coach, db: Database, now: Now
) -> ReadinessOut:
    """Keep what a check showed; a closed criterion names the work that opens it and a day to
    retry."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    moment = moment_for(athlete, now)
    shown = CheckResult(body.check, body.passed, moment.local_date, body.note.strip())
    readiness.record(db, athlete, body.id, shown, moment)
    return _readiness(db, athlete.id)


def _readiness(db: Database, athlete_id: UUID) -> ReadinessOut:
    newest = readiness.newest(db, athlete_id)
    return ReadinessOut(checks=[_check(check, newest.get(check.id)) for check in CHECKS])


def _check(check: Check, shown: CheckResult | None) -> ReadinessCheck:
    return ReadinessCheck.of(
        check,
        opens=list(held_back(check)),
        passed=shown.passed if shown else None,
        on=shown.day if shown else None,
        again_on=shown.again_on if shown else None,
        note=shown.note if shown else "",
    )
