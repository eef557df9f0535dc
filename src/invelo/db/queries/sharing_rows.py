"""Who may see an athlete, who is invited to, and what was done about it."""

from collections.abc import Sequence
from datetime import datetime
from uuid import UUID

from sqlmodel import Session, col, select

from invelo.db.tables.account import AccountEventRow, AccountRow, InvitationRow
from invelo.db.tables.athlete import AthleteAccessRow


def coaches(db: Session, athlete_id: UUID) -> Sequence[tuple[AthleteAccessRow, AccountRow]]:
    """Who may see an athlete, the owner first, then by name."""
    return db.exec(
        select(AthleteAccessRow, AccountRow)
        .join(AccountRow, col(AccountRow.id) == AthleteAccessRow.account_id)
        .where(AthleteAccessRow.athlete_id == athlete_id)
        .order_by(col(AthleteAccessRow.role) != "owner", col(AccountRow.name))
    ).all()


def access_of(db: Session, account_id: UUID, athlete_id: UUID) -> AthleteAccessRow | None:
    """What a coach may do with an athlete."""
    return db.get(AthleteAccessRow, (account_id, athlete_id))


def owned(db: Session, account_id: UUID) -> Sequence[UUID]:
    """The athletes whose records a coach owns."""
    return db.exec(
        select(AthleteAccessRow.athlete_id).where(
            AthleteAccessRow.account_id == account_id, AthleteAccessRow.role == "owner"
        )
    ).all()


def invitations(db: Session, account_id: UUID) -> Sequence[InvitationRow]:
    """What a coach has sent, the newest first."""
    return db.exec(
        select(InvitationRow)
        .where(InvitationRow.account_id == account_id)
        .order_by(col(InvitationRow.created_at).desc(), col(InvitationRow.id))
    ).all()


def invitation(db: Session, token_hash: str) -> InvitationRow | None:
    """The invitation of a token, locked until the transaction ends."""
    return db.exec(
        select(InvitationRow).where(InvitationRow.token_hash == token_hash).with_for_update()
    ).first()


def events(db: Session, account_id: UUID, most: int) -> Sequence[AccountEventRow]:
    """What a coach did, the newest first."""
    return db.exec(
        select(AccountEventRow)
        .where(AccountEventRow.account_id == account_id)
        .order_by(col(AccountEventRow.at).desc(), col(AccountEventRow.id))
        .limit(most)
    ).all()


def tell(
    db: Session, account_id: UUID, what: str, now: datetime, athlete_id: UUID | None = None
) -> None:
    """Keep a line of what was done; whoever it names is named by `athlete_id`, so that it goes with
    them."""
    db.add(AccountEventRow(account_id=account_id, athlete_id=athlete_id, what=what, at=now))
