"""Accounts, their sign-ins and the attempts at one."""

from collections.abc import Collection
from datetime import datetime
from uuid import UUID

from sqlalchemy import func
from sqlmodel import Session, col, delete, select

from invelo.db.columns import among
from invelo.db.tables.account import AccountRow, SignInAttemptRow, SignInRow


def by_email(db: Session, address: str) -> AccountRow | None:
    """The account of an address, in lower case."""
    return db.exec(select(AccountRow).where(AccountRow.email == address)).first()


def signed_in(db: Session, token_hash: str, now: datetime) -> AccountRow | None:
    """The account whose session this is, while it lasts."""
    return db.exec(
        select(AccountRow)
        .join(SignInRow, col(SignInRow.account_id) == AccountRow.id)
        .where(SignInRow.token_hash == token_hash, SignInRow.expires_at > now)
    ).first()


def names(db: Session, account_ids: Collection[UUID]) -> dict[UUID, str]:
    """What some coaches are called."""
    if not account_ids:
        return {}
    statement = select(AccountRow.id, AccountRow.name).where(among(AccountRow.id, account_ids))
    return dict(db.exec(statement).all())


def attempts_since(db: Session, key: str, since: datetime) -> tuple[datetime | None, int]:
    """The oldest failed attempt since a moment, and how many there were."""
    return db.exec(
        select(func.min(SignInAttemptRow.at), func.count()).where(
            SignInAttemptRow.key == key, SignInAttemptRow.at > since
        )
    ).one()


def forget_attempts(db: Session, key: str) -> None:
    """Take away the failed attempts with one key."""
    db.exec(delete(SignInAttemptRow).where(col(SignInAttemptRow.key) == key))


def forget_attempts_before(db: Session, moment: datetime) -> None:
    """Take away the failed attempts that no longer count."""
    db.exec(delete(SignInAttemptRow).where(col(SignInAttemptRow.at) <= moment))


def end_sessions_before(db: Session, moment: datetime) -> None:
    """Take away the sessions that have run out."""
    db.exec(delete(SignInRow).where(col(SignInRow.expires_at) <= moment))


def end_session(db: Session, token_hash: str) -> None:
    """Take one session away."""
    db.exec(delete(SignInRow).where(col(SignInRow.token_hash) == token_hash))
