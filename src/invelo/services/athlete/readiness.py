"""Readiness checks as they were shown; the newest of each speaks."""

from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.db.codec import row_of
from invelo.db.columns import dated
from invelo.db.errors import ConflictError
from invelo.db.moment import Moment
from invelo.db.queries import athlete_rows
from invelo.db.tables.athlete import AthleteRow, ReadinessRow
from invelo.domain.athlete.readiness import CheckId, CheckResult

CHECK: TypeAdapter[CheckId] = TypeAdapter(CheckId)


def newest(db: Session, athlete_id: UUID) -> dict[CheckId, CheckResult]:
    """What each check showed last."""
    by_check: dict[CheckId, CheckResult] = {}
    for row in athlete_rows.readiness(db, athlete_id):
        check = CHECK.validate_python(row.check)
        by_check[check] = CheckResult(check, row.passed, row.local_date, row.note)
    return by_check


def record(
    db: Session, athlete: AthleteRow, shown_id: UUID, shown: CheckResult, moment: Moment
) -> ReadinessRow:
    """Keep what a check showed. A replay changes nothing.

    Raises:
        ConflictError: if the id is in use.
    """
    kept = db.get(ReadinessRow, shown_id)
    if kept is not None:
        if (kept.athlete_id, kept.check) == (athlete.id, shown.check):
            return kept
        raise ConflictError("id", "it is in use.", "Make a new id for each check.")
    row = row_of(ReadinessRow, shown, id=shown_id, athlete_id=athlete.id, **dated(moment))
    db.add(row)
    db.flush()
    return row
