"""What routes are given: the database, the time, and who asks."""

from collections.abc import Callable, Iterator
from datetime import UTC, datetime, timedelta
from typing import Annotated

from fastapi import Cookie, Depends, Request
from pydantic import AwareDatetime
from sqlmodel import Session

from invelo.core.errors import InputError
from invelo.store import accounts
from invelo.store.database import transaction
from invelo.store.moment import Moment
from invelo.store.tables import Account, Athlete

SESSION_COOKIE = "invelo_session"
CLOCK_LEEWAY = timedelta(hours=1)
"""How far a device's clock may run ahead of ours before its time is refused."""

Clock = Callable[[], datetime]


class NobodyError(Exception):
    """Nobody is signed in."""


def system_clock() -> datetime:
    """Now, in UTC."""
    return datetime.now(UTC)


def _database(request: Request) -> Iterator[Session]:
    with transaction(request.app.state.engine) as session:
        yield session


# "function": the transaction ends before the answer is sent, so that what it says is kept.
Database = Annotated[Session, Depends(_database, scope="function")]


def _now(request: Request) -> datetime:
    clock: Clock = request.app.state.clock
    return clock()


Now = Annotated[datetime, Depends(_now)]
Token = Annotated[str | None, Cookie(alias=SESSION_COOKIE)]


def _coach(db: Database, now: Now, token: Token = None) -> Account:
    account = accounts.for_token(db, token, now) if token else None
    if account is None:
        raise NobodyError
    return account


Coach = Annotated[Account, Depends(_coach, scope="function")]


def moment_for(
    athlete: Athlete, now: datetime, at: AwareDatetime | None = None, zone: str | None = None
) -> Moment:
    """When something happened to an athlete: now, or when and where their device says.

    Raises:
        InputError: for an unknown zone, or a time that has not come yet.
    """
    if at is not None and at > now + CLOCK_LEEWAY:
        raise InputError("at", "that time has not come yet.", "Set the device's clock right.")
    return Moment(at or now, zone or athlete.time_zone)
