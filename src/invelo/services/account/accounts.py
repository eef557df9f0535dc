"""Coach accounts, sign-in and its brake."""

import secrets
from dataclasses import dataclass
from datetime import datetime, timedelta
from functools import cache
from math import ceil
from threading import BoundedSemaphore
from uuid import UUID

from pwdlib import PasswordHash
from sqlmodel import Session

from invelo.db.errors import ConflictError, ThrottledError
from invelo.db.moment import require_zone
from invelo.db.queries import account_rows
from invelo.db.queue import notify
from invelo.db.tables.account import AccountRow, SignInAttemptRow, SignInDeviceRow, SignInRow
from invelo.db.tokens import digest, new_token
from invelo.domain.errors import InputError

PASSWORD_LEAST = 10
ENDED = "invelo_ended"
"""PostgreSQL's channel on which it is told that a session or a link ended."""

TRY_WINDOW = timedelta(minutes=15)
TRIES = 5
"""Within the window, from a browser that is known; and with one address from elsewhere before tries
have to pause (common practice)."""

TRIES_PER_MACHINE = 30
LONGEST_PAUSE = 60.0
"""Seconds between two tries with one address from elsewhere, at most (ours): some 90 guesses an
hour, and nobody locked out."""

DEVICE_KNOWN = timedelta(days=365)
HASHES_AT_ONCE = 4
"""Passwords that are hashed at a time: each takes 64 MiB."""

_hashing = BoundedSemaphore(HASHES_AT_ONCE)


@cache
def _hasher() -> PasswordHash:
    return PasswordHash.recommended()  # argon2id


@cache
def _nobody() -> str:
    """Checked against when there is no such account, so that both answers take as long."""
    return _hasher().hash(secrets.token_urlsafe())


def hashed_password(password: str) -> str:
    """A new password as it is kept. It takes long on purpose: hash outside any transaction.

    Raises:
        InputError: for a short one.
    """
    if len(password) < PASSWORD_LEAST:
        raise InputError(
            "password", "it is too short.", f"Use at least {PASSWORD_LEAST} characters."
        )
    with _hashing:
        return _hasher().hash(password)


def create(
    db: Session, email: str, name: str, password: str, time_zone: str, now: datetime
) -> AccountRow:
    """Make a coach's account.

    Raises:
        InputError: for a short password or an unknown zone.
        ConflictError: if the address has one already.
    """
    return create_hashed(db, email, name, hashed_password(password), time_zone, now)


def create_hashed(
    db: Session, email: str, name: str, hashed: str, time_zone: str, now: datetime
) -> AccountRow:
    """Make a coach's account with a password that is hashed already.

    Raises:
        InputError: for an unknown zone.
        ConflictError: if the address has one already.
    """
    require_zone(time_zone)
    address = email.strip().lower()
    if account_rows.by_email(db, address):
        raise ConflictError("email", f"{address} has an account already.", "Sign in with it.")
    account = AccountRow(
        email=address,
        name=name,
        password_hash=hashed,
        time_zone=time_zone,
        created_at=now,
    )
    db.add(account)
    db.flush()
    return account


@dataclass(frozen=True)
class Try:
    """A try to sign in that is counted and allowed, to be verified outside any transaction.

    Attributes:
        address: e-mail address, in lower case.
        password_hash: of its account, or of nobody's.
        account_id: whose; None where nobody has the address.
        keys: under which it was counted.
    """

    address: str
    password_hash: str
    account_id: UUID | None
    keys: tuple[str, ...]


def begin_try(db: Session, email: str, machine: str, device: str | None, now: datetime) -> Try:
    """Count a try before it is verified, so that no number of them at once passes the limits.

    From a browser that the account knows, tries are counted for that browser alone: whoever guesses
    elsewhere slows down nobody but those who come from elsewhere.

    Args:
        db: a transaction of its own, kept before the password is looked at.
        email, machine: who tries, and from which address of the network.
        device: the browser's own token, if it has any.
        now: when.

    Raises:
        ThrottledError: after too many tries; it says how long to wait.
    """
    address = email.strip().lower()
    hashed = digest(device) if device else ""
    known = account_rows.known_device(db, hashed, address) if hashed else None
    if known is not None:
        keys: tuple[str, ...] = (hashed,)
        _require_window(account_rows.attempts_since(db, hashed, now - TRY_WINDOW), TRIES, now)
    else:
        keys = tuple(sorted((digest(address), digest(machine))))
        made = {key: account_rows.attempts_since(db, key, now - TRY_WINDOW) for key in keys}
        _require_window(made[digest(machine)], TRIES_PER_MACHINE, now)
        _require_pause(made[digest(address)], now)
    account_rows.forget_attempts_before(db, now - TRY_WINDOW)
    db.add_all(SignInAttemptRow(key=key, at=now) for key in keys)
    account = account_rows.by_email(db, address)
    return Try(
        address, account.password_hash if account else "", account.id if account else None, keys
    )


def _require_window(made: list[datetime], most: int, now: datetime) -> None:
    if len(made) >= most:
        raise ThrottledError(round((made[0] + TRY_WINDOW - now).total_seconds()))


def _require_pause(made: list[datetime], now: datetime) -> None:
    """Let tries with one address follow each other ever more slowly, and never not at all."""
    if len(made) >= TRIES:
        pause = min(LONGEST_PAUSE, 2.0 ** (len(made) - TRIES))
        left = pause - (now - made[-1]).total_seconds()
        if left > 0:
            raise ThrottledError(ceil(left))


def matches(begun: Try, password: str) -> bool:
    """Whether a try's password is right; takes as long where nobody has the address."""
    with _hashing:
        right = _hasher().verify(password, begun.password_hash or _nobody())
    return right and begun.account_id is not None


def succeed(db: Session, begun: Try) -> AccountRow:
    """The account of a try whose password was right; it no longer counts."""
    for key in begun.keys:
        account_rows.forget_attempts(db, key)
    return db.get_one(AccountRow, begun.account_id)


def know_device(db: Session, account: AccountRow, device: str | None, now: datetime) -> str:
    """Know the browser from which an account has signed in; its token, made if it has none."""
    account_rows.forget_devices_before(db, now - DEVICE_KNOWN)
    known = account_rows.known_device(db, digest(device), account.email) if device else None
    token = device if known is not None and device else new_token()
    row = known or SignInDeviceRow(token_hash=digest(token), account_id=account.id, seen_at=now)
    row.seen_at = now
    db.add(row)
    return token


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
