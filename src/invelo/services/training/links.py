"""Athletes' private ways in: a token that is shown once, kept hashed, runs out, can be revoked."""

from datetime import datetime, timedelta
from typing import Literal
from uuid import UUID

from sqlmodel import Session

from invelo.db.queries import athlete_rows
from invelo.db.queue import notify
from invelo.db.tables.athlete import AthleteLinkRow, AthleteRow
from invelo.db.tokens import digest, new_token
from invelo.domain.errors import require_within
from invelo.services.account import accounts

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
    row = AthleteLinkRow(
        token_hash=digest(token),
        athlete_id=athlete_id,
        created_at=now,
        expires_at=now + timedelta(days=days),
    )
    db.add(row)
    db.flush()
    return token


def revoke(db: Session, athlete_id: UUID, now: datetime) -> None:
    """End every link that works, at once; what was opened with one ends too."""
    athlete_rows.revoke_links(db, athlete_id, now)
    notify(db, accounts.ENDED, "")


def state_of(row: AthleteLinkRow | None, now: datetime) -> State:
    """Whether a link works, and if not, why."""
    if row is None:
        return "none"
    if row.revoked_at is not None:
        return "revoked"
    return "works" if now < row.expires_at else "expired"


def athlete_for(db: Session, token: str, now: datetime) -> tuple[AthleteRow | None, State]:
    """Whom a token lets in, and whether it still does."""
    row = db.get(AthleteLinkRow, digest(token))
    state = state_of(row, now)
    athlete = db.get(AthleteRow, row.athlete_id) if row is not None and state == "works" else None
    return athlete, state


def opened(db: Session, token: str, now: datetime) -> None:
    """Note that a link was opened."""
    row = db.get(AthleteLinkRow, digest(token))
    if row is not None:
        row.opened_at = now
        db.add(row)
        db.flush()
