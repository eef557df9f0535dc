"""Accounts, their sign-ins and the attempts at one."""

from collections.abc import Collection
from datetime import datetime
from uuid import UUID

from sqlalchemy import text
from sqlmodel import Session, col, delete, select

from invelo.db.columns import among
from invelo.db.tables.account import AccountRow, SignInAttemptRow, SignInDeviceRow, SignInRow


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


def attempts_since(db: Session, key: str, since: datetime) -> list[datetime]:
    """When attempts with one key were made since a moment, oldest first. Whoever else asks for the
    same key waits until this transaction ends, so that none is counted too late."""
    db.execute(text("SELECT pg_advisory_xact_lock(hashtextextended(:key, 0))"), {"key": key})
    statement = select(SignInAttemptRow.at).where(
        SignInAttemptRow.key == key, SignInAttemptRow.at > since
    )
    return list(db.exec(statement.order_by(col(SignInAttemptRow.at))))


def known_device(db: Session, token_hash: str, address: str) -> SignInDeviceRow | None:
    """The browser of this token, if the account of an address has signed in from it."""
    return db.exec(
        select(SignInDeviceRow)
        .join(AccountRow, col(AccountRow.id) == SignInDeviceRow.account_id)
        .where(SignInDeviceRow.token_hash == token_hash, AccountRow.email == address)
    ).first()


def forget_devices_before(db: Session, moment: datetime) -> None:
    """Take away the browsers that were not used for long."""
    db.exec(delete(SignInDeviceRow).where(col(SignInDeviceRow.seen_at) <= moment))


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
