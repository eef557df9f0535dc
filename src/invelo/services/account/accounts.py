"""Coach accounts, sign-in and its brake."""

import secrets
from datetime import datetime, timedelta
from functools import cache
from uuid import UUID

from pwdlib import PasswordHash
from sqlmodel import Session

from invelo.db.errors import ConflictError, ThrottledError
from invelo.db.moment import require_zone
from invelo.db.queries import account_rows
from invelo.db.queue import notify
from invelo.db.tables.account import AccountRow, SignInAttemptRow, SignInRow
from invelo.db.tokens import digest, new_token
from invelo.domain.errors import InputError

PASSWORD_LEAST = 10
ENDED = "invelo_ended"
"""PostgreSQL's channel on which it is told that a session or a link ended."""

TRY_WINDOW = timedelta(minutes=15)
TRIES_PER_ADDRESS = 5
TRIES_PER_MACHINE = 30


@cache
def _hasher() -> PasswordHash:
    return PasswordHash.recommended()  # argon2id


@cache
def _nobody() -> str:
    """Checked against when there is no such account, so that both answers take as long."""
    return _hasher().hash(secrets.token_urlsafe())


def create(
    db: Session, email: str, name: str, password: str, time_zone: str, now: datetime
) -> AccountRow:
    """Make a coach's account.

    Raises:
        InputError: for a short password or an unknown zone.
        ConflictError: if the address has one already.
    """
    require_zone(time_zone)
    if len(password) < PASSWORD_LEAST:
        raise InputError(
            "password", "it is too short.", f"Use at least {PASSWORD_LEAST} characters."
        )
    address = email.strip().lower()
    if account_rows.by_email(db, address):
        raise ConflictError("email", f"{address} has an account already.", "Sign in with it.")
    account = AccountRow(
        email=address,
        name=name,
        password_hash=_hasher().hash(password),
        time_zone=time_zone,
        created_at=now,
    )
    db.add(account)
    db.flush()
    return account


def check(db: Session, email: str, password: str, machine: str, now: datetime) -> AccountRow | None:
    """The account whose password this is; a failure is counted, and must be committed.

    Raises:
        ThrottledError: after too many failures with this address or from this machine.
    """
    address = email.strip().lower()
    limits = {digest(address): TRIES_PER_ADDRESS, digest(machine): TRIES_PER_MACHINE}
    for key, limit in limits.items():
        oldest, count = account_rows.attempts_since(db, key, now - TRY_WINDOW)
        if oldest is not None and count >= limit:
            raise ThrottledError(round((oldest + TRY_WINDOW - now).total_seconds()))
    account = account_rows.by_email(db, address)
    known = account.password_hash if account else _nobody()
    if _hasher().verify(password, known) and account:
        account_rows.forget_attempts(db, digest(address))
        return account
    account_rows.forget_attempts_before(db, now - TRY_WINDOW)
    db.add_all(SignInAttemptRow(key=key, at=now) for key in limits)
    return None


def open_session(db: Session, account: AccountRow, now: datetime, lasts: timedelta) -> str:
    """Sign an account in; the token for its cookie, of which only a hash is kept."""
    account_rows.end_sessions_before(db, now)
    token = new_token()
    db.add(
        SignInRow(
            token_hash=digest(token),
            account_id=account.id,
            created_at=now,
            expires_at=now + lasts,
        )
    )
    return token


def for_token(db: Session, token: str, now: datetime) -> AccountRow | None:
    """The account signed in by this token, if its session has not run out."""
    return account_rows.signed_in(db, digest(token), now)


def close_session(db: Session, token: str) -> None:
    """Sign out."""
    account_rows.end_session(db, digest(token))
    notify(db, ENDED, "")


def named(db: Session, account_id: UUID) -> AccountRow | None:
    """An account by its id."""
    return db.get(AccountRow, account_id)
