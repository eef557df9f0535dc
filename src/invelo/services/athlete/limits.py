"""Limits that a coach sets besides what the screen says, and ends again."""

from datetime import datetime
from uuid import UUID

from sqlmodel import Session

from invelo.db.codec import row_of
from invelo.db.columns import dated
from invelo.db.errors import ConflictError, MissingError
from invelo.db.moment import Moment
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteLimitRow, AthleteRow
from invelo.domain.athlete.limits import Limit, tightened
from invelo.domain.errors import InputError
from invelo.services.athlete import screen


def add(
    db: Session,
    athlete: AthleteRow,
    coach: AccountRow,
    row_id: UUID,
    limit: Limit,
    moment: Moment,
) -> None:
    """Leave less open than the screen does. A replay changes nothing.

    Raises:
        InputError: for a limit that closes nothing more, or one that is over already.
        ConflictError: if the id is in use.
    """
    kept = db.get(AthleteLimitRow, row_id)
    if kept is not None:
        if kept.athlete_id == athlete.id:
            return
        raise ConflictError("id", "it is in use.", "Make a new id for each limit.")
    today = moment.local_date
    if limit.until is not None and limit.until < today:
        raise InputError("until", "that day is over.", "Give the last day on which it holds.")
    tightened(limit, screen.standing(db, athlete.id, today).now.limits)
    row = row_of(
        AthleteLimitRow,
        limit,
        id=row_id,
        athlete_id=athlete.id,
        author_id=coach.id,
        why=limit.why.strip(),
        **dated(moment),
    )
    db.add(row)
    db.flush()


def end(db: Session, athlete: AthleteRow, coach: AccountRow, row_id: UUID, now: datetime) -> None:
    """Open again what a coach had closed; what the screen says stays. Ending it twice ends it once.

    Raises:
        MissingError: if there is no such limit of theirs.
    """
    row = db.get(AthleteLimitRow, row_id)
    if row is None or row.athlete_id != athlete.id:
        raise MissingError("limit")
    if row.ended_at is None:
        row.ended_at = now
        row.ended_by = coach.id
        db.add(row)
        db.flush()
