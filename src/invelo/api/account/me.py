"""A coach's own settings: name, address, password, where they are signed in, what was done."""

from datetime import datetime
from typing import Annotated
from uuid import UUID

from fastapi import APIRouter, Query, Request, Response
from pydantic import EmailStr, Field

from invelo.api.account.schemas import Password, SignedIn, machine_of
from invelo.api.common import cookies
from invelo.api.common.context import Coach, Database, DeviceToken, Now
from invelo.api.common.cookies import SESSION_COOKIE
from invelo.api.common.problems import ERRORS
from invelo.db.database import transaction
from invelo.db.queries import sharing_rows
from invelo.domain.errors import InputError
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.account import accounts, passwords

router = APIRouter(prefix="/api", tags=["Account"], responses=ERRORS)


class AccountChange(StrictModel):
    """What a coach is called, and where their days are counted."""

    name: str = Field(min_length=1, max_length=80, examples=["Ilse Marn"])
    time_zone: str = Field(examples=["Europe/Lisbon"])


@router.put("/me")
def change_me(body: AccountChange, coach: Coach, db: Database, now: Now) -> SignedIn:
    """Put name and time zone right."""
    return SignedIn.model_validate(passwords.change(db, coach.id, body.name, body.time_zone, now))


class EmailChange(StrictModel):
    """Another address to sign in with."""

    email: EmailStr = Field(examples=["coach@theatre.example"])
    password: Password


@router.put("/me/email")
def change_email(
    body: EmailChange, request: Request, coach: Coach, now: Now, device: DeviceToken = None
) -> SignedIn:
    """Sign in with another address; the password says that it is you."""
    _require_password(request, coach.email, body.password, device, now)
    with transaction(request.app.state.engine) as db:
        account = passwords.change_email(db, coach.id, body.email, now)
        return SignedIn.model_validate(account)


class PasswordChange(StrictModel):
    """Another password."""

    password: Password = Field(description="The one so far.")
    new_password: str = Field(max_length=200)


@router.put("/me/password", status_code=204)
def change_password(
    body: PasswordChange,
    request: Request,
    response: Response,
    coach: Coach,
    now: Now,
    device: DeviceToken = None,
) -> None:
    """Take another password. You are signed out wherever you were signed in, here too."""
    _require_password(request, coach.email, body.password, device, now)
    hashed = accounts.hashed_password(body.new_password)
    with transaction(request.app.state.engine) as db:
        passwords.set_password(db, coach.id, hashed, now)
    cookies.delete_cookie(response, request.app.state.settings, SESSION_COOKIE)


@router.delete("/me/sign-ins", status_code=204)
def sign_out_everywhere(
    request: Request, response: Response, coach: Coach, db: Database, now: Now
) -> None:
    """Sign out on every device, this one too."""
    passwords.sign_out_everywhere(db, coach.id, now)
    cookies.delete_cookie(response, request.app.state.settings, SESSION_COOKIE)


class AccountEventOut(ResponseModel):
    """What was done about an account, its athletes and who sees them."""

    id: UUID
    at: datetime
    what: str


class AccountEvents(ResponseModel):
    """What a coach did, the newest first."""

    events: list[AccountEventOut]


@router.get("/me/events")
def get_events(
    coach: Coach, db: Database, most: Annotated[int, Query(ge=1, le=500)] = 50
) -> AccountEvents:
    """What was done about the account, its athletes and who sees them."""
    rows = sharing_rows.events(db, coach.id, most)
    return AccountEvents(events=[AccountEventOut.model_validate(row) for row in rows])


def _require_password(
    request: Request, email: str, password: str, device: str | None, now: datetime
) -> None:
    """Refuse who does not know the password; tries are counted as those to sign in are."""
    with transaction(request.app.state.engine) as db:
        begun = accounts.begin_try(db, email, machine_of(request), device, now)
    if not accounts.matches(begun, password):
        raise InputError("password", "it is not right.", "Type the one you signed in with.")
    with transaction(request.app.state.engine) as db:
        accounts.succeed(db, begun)
