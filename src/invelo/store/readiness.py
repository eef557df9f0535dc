"""Readiness checks as they were shown; the newest of each speaks."""

from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session, col, select

from invelo.core.readiness import CheckId, Shown
from invelo.store.columns import dated
from invelo.store.errors import ConflictError
from invelo.store.moment import Moment
from invelo.store.tables import Athlete, Readiness

CHECK: TypeAdapter[CheckId] = TypeAdapter(CheckId)


def newest(db: Session, athlete_id: UUID) -> dict[CheckId, Shown]:
    """What each check showed last."""
    statement = select(Readiness).where(Readiness.athlete_id == athlete_id)
    found: dict[CheckId, Shown] = {}
    for row in db.exec(statement.order_by(col(Readiness.at), col(Readiness.id))):
        check = CHECK.validate_python(row.check)
        found[check] = Shown(check, row.passed, row.local_date, row.word)
    return found


def passed(db: Session, athlete_id: UUID) -> frozenset[CheckId]:
    """The checks that are open."""
    return frozenset(one.check for one in newest(db, athlete_id).values() if one.passed)


def record(
    db: Session, athlete: Athlete, shown_id: UUID, shown: Shown, moment: Moment
) -> Readiness:
    """Keep what a check showed. A replay changes nothing.

    Raises:
        ConflictError: if the id is in use.
    """
    kept = db.get(Readiness, shown_id)
    if kept is not None:
        if (kept.athlete_id, kept.check) == (athlete.id, shown.check):
            return kept
        raise ConflictError("id", "it is in use.", "Make a new id for each check.")
    row = Readiness(
        id=shown_id,
        athlete_id=athlete.id,
        check=shown.check,
        passed=shown.passed,
        word=shown.word,
        **dated(moment),
    )
    db.add(row)
    db.flush()
    return row
