"""Names, addresses and passwords of coaches: changed, forgotten, set anew."""

from datetime import datetime, timedelta
from uuid import UUID

from sqlmodel import Session, col, delete

from invelo.db.errors import ConflictError, MissingError
from invelo.db.moment import require_zone
from invelo.db.queries import account_rows, sharing_rows
from invelo.db.queue import enqueue, notify
from invelo.db.tables.account import (
    AccountRow,
    PasswordResetRow,
    SignInDeviceRow,
    SignInRow,
)
from invelo.db.tokens import digest, new_token
from invelo.devices.mail import Letter
from invelo.domain.errors import InputError
from invelo.services.account import accounts

TASK = "send_reset"

RESET_LASTS = timedelta(hours=2)


def change(db: Session, account_id: UUID, name: str, time_zone: str, now: datetime) -> AccountRow:
    """Put right what a coach is called and where their days are counted.

    Raises:
        InputError: for an unknown zone or no name.
    """
    require_zone(time_zone)
    if not name.strip():
        raise InputError("name", "it is empty.", "Say what you are called.")
    account = db.get_one(AccountRow, account_id)
    account.name, account.time_zone = name.strip(), time_zone
    db.add(account)
    sharing_rows.tell(db, account_id, "Name or time zone changed.", now)
    db.flush()
    return account


def change_email(db: Session, account_id: UUID, email: str, now: datetime) -> AccountRow:
    """Sign in with another address from now on.

    Raises:
        ConflictError: if somebody has it.
    """
    address = email.strip().lower()
    other = account_rows.by_email(db, address)
    if other is not None and other.id != account_id:
        raise ConflictError("email", f"{address} has an account already.", "Use another.")
    account = db.get_one(AccountRow, account_id)
    account.email = address
    db.add(account)
    sharing_rows.tell(db, account_id, f"Signs in as {address}.", now)
    db.flush()
    return account


def set_password(db: Session, account_id: UUID, hashed: str, now: datetime) -> None:
    """Take another password, hashed before; every session and known browser ends."""
    account = db.get_one(AccountRow, account_id)
    account.password_hash = hashed
    db.add(account)
    sharing_rows.tell(db, account_id, "Password changed; signed out everywhere.", now)
    end_everywhere(db, account_id)


def sign_out_everywhere(db: Session, account_id: UUID, now: datetime) -> None:
    """Sign out wherever one is signed in, and say so among what was done."""
    sharing_rows.tell(db, account_id, "Signed out everywhere.", now)
    end_everywhere(db, account_id)


def end_everywhere(db: Session, account_id: UUID) -> None:
    """Sign an account out wherever it is signed in."""
    for table in (SignInRow, SignInDeviceRow, PasswordResetRow):
        db.exec(delete(table).where(col(table.account_id) == account_id))
    db.flush()
    notify(db, accounts.ENDED, "")


def begin_reset(db: Session, email: str, now: datetime) -> tuple[AccountRow, str] | None:
    """Begin to set a forgotten password anew; the account and the token that does it, None where
    nobody has the address."""
    account = account_rows.by_email(db, email.strip().lower())
    if account is None:
        return None
    token = new_token()
    db.exec(delete(PasswordResetRow).where(col(PasswordResetRow.expires_at) <= now))
    db.add(
        PasswordResetRow(
            token_hash=digest(token), account_id=account.id, expires_at=now + RESET_LASTS
        )
    )
    sharing_rows.tell(db, account.id, "Asked for a new password.", now)
    db.flush()
    return account, token


def ask_reset(db: Session, email: str) -> None:
    """Have a link sent to whoever signs in with an address; nothing where nobody does."""
    account = account_rows.by_email(db, email.strip().lower())
    if account is not None:
        enqueue(db, TASK, {"account_id": str(account.id)}, once=f"{TASK} {account.id}")


def reset_letter(
    db: Session, account_id: UUID, public_address: str, now: datetime
) -> Letter | None:
    """The letter with a new link; None where the account is gone."""
    account = db.get(AccountRow, account_id)
    begun = begin_reset(db, account.email, now) if account else None
    if begun is None:
        return None
    account, token = begun
    return Letter(
        account.email,
        "Set your password for Invelo anew",
        f"Somebody asked for a new password for {account.email}.\n\n"
        f"{public_address}/reset#{token}\n\n"
        "The link works once, within two hours. If it was not you, do nothing: your password "
        "stays as it is.\n",
    )


def use_reset(db: Session, token: str, hashed: str, now: datetime) -> None:
    """Set a password anew, once.

    Raises:
        MissingError: for a token that is unknown, used or has run out.
    """
    set_password(db, find_reset(db, token, now).account_id, hashed, now)


def find_reset(db: Session, token: str, now: datetime) -> PasswordResetRow:
    """What a link to set a password belongs to, locked until the transaction ends.

    Raises:
        MissingError: for a token that is unknown, used or has run out.
    """
    row = db.get(PasswordResetRow, digest(token), with_for_update=True)
    if row is None or row.expires_at <= now:
        raise MissingError("link to set a password")
    return row
