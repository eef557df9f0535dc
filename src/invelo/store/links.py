"""Athletes' private ways in: a token that is shown once, kept hashed, runs out, can be revoked."""

from datetime import datetime, timedelta
from typing import Literal
from uuid import UUID

from sqlmodel import Session, col, select

from invelo.core.errors import require_within
from invelo.store.floor_tables import AthleteLink
from invelo.store.tables import Athlete
from invelo.store.tokens import digest, new_token

USUAL_DAYS = 180
MOST_DAYS = 400

State = Literal["none", "works", "expired", "revoked"]


def make(db: Session, athlete_id: UUID, now: datetime, days: int = USUAL_DAYS) -> str:
    """Make a way in, in place of the one there was; its token is told this once.

    Raises:
        InputError: for a life of no days, or of too many.
    """
    require_within("days", days, 1, MOST_DAYS, "")
    revoke(db, athlete_id, now)
    token = new_token()
    row = AthleteLink(
        token_hash=digest(token),
        athlete_id=athlete_id,
        created_at=now,
        expires_at=now + timedelta(days=days),
    )
    db.add(row)
    db.flush()
    return token


def newest(db: Session, athlete_id: UUID) -> AthleteLink | None:
    """The link that was made last."""
    statement = select(AthleteLink).where(AthleteLink.athlete_id == athlete_id)
    return db.exec(
        statement.order_by(col(AthleteLink.created_at).desc(), col(AthleteLink.token_hash))
    ).first()


def state_of(row: AthleteLink | None, now: datetime) -> State:
    """Whether a link works, and if not, why."""
    if row is None:
        return "none"
    if row.revoked_at is not None:
        return "revoked"
    return "works" if now < row.expires_at else "expired"


def revoke(db: Session, athlete_id: UUID, now: datetime) -> None:
    """End every link that works, at once."""
    statement = select(AthleteLink).where(
        AthleteLink.athlete_id == athlete_id, col(AthleteLink.revoked_at).is_(None)
    )
    for row in db.exec(statement):
        row.revoked_at = now
        db.add(row)
    db.flush()


def athlete_for(db: Session, token: str, now: datetime) -> tuple[Athlete | None, State]:
    """Whom a token lets in, and whether it still does."""
    row = db.get(AthleteLink, digest(token))
    state = state_of(row, now)
    athlete = db.get(Athlete, row.athlete_id) if row is not None and state == "works" else None
    return athlete, state


def opened(db: Session, token: str, now: datetime) -> None:
    """Note that a link was opened."""
    row = db.get(AthleteLink, digest(token))
    if row is not None:
        row.opened_at = now
        db.add(row)
        db.flush()
