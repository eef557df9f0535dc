"""Private calendar addresses: a token that is shown once, kept hashed, and can be revoked."""

from datetime import datetime
from uuid import UUID

from sqlmodel import Session

from invelo.db.errors import MissingError
from invelo.db.queries import plan_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.plan import CalendarFeedRow
from invelo.db.tokens import digest, new_token


def open_feed(db: Session, athlete_id: UUID, now: datetime) -> str:
    """Make an address for an athlete in place of the one there was; its token is told this once."""
    revoke(db, athlete_id, now)
    token = new_token()
    db.add(CalendarFeedRow(token_hash=digest(token), athlete_id=athlete_id, created_at=now))
    db.flush()
    return token


def revoke(db: Session, athlete_id: UUID, now: datetime) -> None:
    """End the address that works; whoever still asks for it is told that it is not there."""
    row = plan_rows.calendar_feed(db, athlete_id)
    if row is not None:
        row.revoked_at = now
        db.add(row)
        db.flush()


def athlete_of(db: Session, token: str) -> AthleteRow:
    """Whose calendar a token opens.

    Raises:
        MissingError: for a token that opens nothing, or no longer.
    """
    row = db.get(CalendarFeedRow, digest(token))
    athlete = db.get(AthleteRow, row.athlete_id) if row and row.revoked_at is None else None
    if athlete is None:
        raise MissingError("calendar")
    return athlete
