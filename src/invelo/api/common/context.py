"""What routes are given: the database, the time, and who asks."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from typing import Annotated
from uuid import UUID

from fastapi import Cookie, Depends, Request
from pydantic import AwareDatetime, Field
from sqlmodel import Session

from invelo.api.common.cookies import DEVICE_COOKIE, LINK_COOKIE, SESSION_COOKIE, cookie_of
from invelo.db import access
from invelo.db.database import transaction
from invelo.db.errors import MissingError
from invelo.db.moment import Moment
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.errors import InputError
from invelo.domain.strict import StrictModel, renamed
from invelo.services.account import accounts
from invelo.services.training import links

CLOCK_LEEWAY = timedelta(hours=1)
"""How far a device's clock may run ahead of ours before its time is refused."""

CLOCK_BELIEVED = timedelta(minutes=2)
"""How far a device's clock may be off before what it logs is put right by the difference (ours)."""

Clock = Callable[[], datetime]


class NobodyError(Exception):
    """Nobody is signed in."""


class LinkEndedError(Exception):
    """An athlete's link has run out or was revoked; its state is the one argument."""


def system_clock() -> datetime:
    """Now, in UTC."""
    return datetime.now(UTC)


def _database(request: Request) -> Iterator[Session]:
    with transaction(request.app.state.engine) as session:
        yield session


# "function": the transaction ends before the answer is sent, so that what it says is kept.
Database = Annotated[Session, Depends(_database, scope="function")]


async def _whole_body(request: Request) -> bytes:
    return await request.body()


WholeBody = Annotated[bytes, Depends(_whole_body)]
"""A body that is no JSON, all of it. Named first among a route's parameters it is there before a
connection to the database is taken, so that a slow sender holds up nobody else."""


def _now(request: Request) -> datetime:
    clock: Clock = request.app.state.clock
    return clock()


Now = Annotated[datetime, Depends(_now)]


def _from_cookie(name: str) -> Callable[..., str | None]:
    def read(
        request: Request, _: Annotated[str | None, Cookie(alias=name, max_length=200)] = None
    ) -> str | None:
        return cookie_of(request, name)

    return read


Token = Annotated[str | None, Depends(_from_cookie(SESSION_COOKIE))]
DeviceToken = Annotated[str | None, Depends(_from_cookie(DEVICE_COOKIE))]


def _coach(db: Database, now: Now, token: Token = None) -> AccountRow:
    account = accounts.for_token(db, token, now) if token else None
    if account is None:
        raise NobodyError
    return account


Coach = Annotated[AccountRow, Depends(_coach, scope="function")]


@dataclass(frozen=True)
class Visitor:
    """Who asks on the floor: the athlete themself by their link, or a coach of theirs."""

    athlete: AthleteRow
    coach: AccountRow | None

    @property
    def author_id(self) -> UUID | None:
        """The coach who writes; None where the athlete does."""
        return self.coach.id if self.coach else None


LinkToken = Annotated[str | None, Depends(_from_cookie(LINK_COOKIE))]


def _visitor(roles: access.Roles) -> Callable[..., Visitor]:
    def ask(
        athlete_id: UUID, db: Database, now: Now, token: Token = None, link: LinkToken = None
    ) -> Visitor:
        return visitor(db, athlete_id, now, token, link, roles)

    return ask


def visitor(
    db: Session,
    athlete_id: UUID,
    now: datetime,
    token: str | None,
    link: str | None,
    roles: access.Roles = access.SEE,
) -> Visitor:
    """Who asks for an athlete's floor.

    Raises:
        NobodyError: for nobody.
        LinkEndedError: for a link that has run out or was revoked.
        MissingError: for whoever may not, and for an athlete who is not there.
    """
    account = accounts.for_token(db, token, now) if token else None
    athlete, state = links.athlete_for(db, link, now) if link else (None, "none")
    own = athlete if athlete is not None and athlete.id == athlete_id else None
    if account is not None:
        try:
            return Visitor(access.athlete(db, account.id, athlete_id, roles), account)
        except MissingError:
            if own is None:
                raise
    if own is not None:
        return Visitor(own if roles == access.SEE else access.lock(db, own), None)
    if state in ("expired", "revoked"):
        raise LinkEndedError(state)
    if athlete is None:
        raise NobodyError
    raise MissingError("athlete")


OnFloor = Annotated[Visitor, Depends(_visitor(access.SEE), scope="function")]
AtWork = Annotated[Visitor, Depends(_visitor(access.WRITE), scope="function")]
"""Whoever may look at an athlete's floor, and whoever may write on it; the athlete is locked then,
so that two devices write one after the other."""


class Asking:
    """Whoever asks, to be let in before there is a transaction: for long reading of what they sent.
    They are let in once more with the transaction that writes."""

    def __init__(
        self,
        request: Request,
        athlete_id: UUID,
        now: Now,
        token: Token = None,
        link: LinkToken = None,
    ) -> None:
        """As the request says."""
        self._engine = request.app.state.engine
        self._asked = (athlete_id, now, token, link)

    def let_in(self) -> None:
        """Let in whoever may look at this athlete's floor.

        Raises:
            NobodyError, LinkEndedError, MissingError: as `visitor` does.
        """
        with Session(self._engine) as db:
            visitor(db, *self._asked)


AskedFor = Annotated[Asking, Depends(Asking)]


class DeviceClock(StrictModel):
    """When something was done, and what the device's clock says as it sends."""

    at: AwareDatetime = Field(description="The device's clock.")
    time_zone: str | None = Field(
        None, description="The device's IANA zone.", validation_alias=renamed("time_zone", "zone")
    )
    sent_at: AwareDatetime | None = Field(
        None, description="The device's clock as it sends; tells by how much it is off."
    )


def device_moment(
    athlete: AthleteRow, now: datetime, device_clock: DeviceClock
) -> tuple[Moment, float | None]:
    """When something happened by our clock, and by how many seconds the device's stood behind ours
    where that was too much to believe it.

    Raises:
        InputError: for an unknown zone, or a time that has not come yet by the device's own clock.
    """
    for at in filter(None, (device_clock.at, device_clock.sent_at)):
        Moment(at, athlete.time_zone)  # refuses a year that is none of ours
    skew = now - device_clock.sent_at if device_clock.sent_at is not None else timedelta()
    if abs(skew) <= CLOCK_BELIEVED:
        return moment_for(athlete, now, device_clock.at, device_clock.time_zone), None
    at = min(device_clock.at + skew, now)
    return Moment(at, device_clock.time_zone or athlete.time_zone), skew.total_seconds()


def moment_for(
    athlete: AthleteRow,
    now: datetime,
    at: AwareDatetime | None = None,
    time_zone: str | None = None,
) -> Moment:
    """When something happened to an athlete: now, or when and where their device says.

    Raises:
        InputError: for an unknown zone, or a time that has not come yet.
    """
    if at is not None and at > now + CLOCK_LEEWAY:
        raise InputError("at", "that time has not come yet.", "Set the device's clock right.")
    return Moment(at or now, time_zone or athlete.time_zone)
