"""A forgotten password, set anew by the link that came for it."""

from fastapi import APIRouter, Request
from pydantic import Field

from invelo.api.account.schemas import machine_of
from invelo.api.common.context import DeviceToken, Now
from invelo.api.common.problems import ERRORS
from invelo.db.database import transaction
from invelo.db.errors import ConflictError
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.account import accounts, passwords

router = APIRouter(prefix="/api/password-resets", tags=["Account"], responses=ERRORS)


class ResetAsked(ResponseModel):
    """A letter is on its way, if somebody signs in with the address."""

    hours: int = Field(description="For which its link works.")


class Forgotten(StrictModel):
    """Who has forgotten a password."""

    email: str = Field(min_length=3, max_length=254, examples=["coach@theatre.example"])


@router.post("", status_code=202)
def ask_reset(
    body: Forgotten, request: Request, now: Now, device: DeviceToken = None
) -> ResetAsked:
    """Have a link sent that sets a password anew. The answer is the same whether or not somebody
    signs in with the address; asking is slowed down as guessing is."""
    if not request.app.state.settings.mail_server:
        raise ConflictError(
            "email",
            "no mail goes out from here.",
            "Whoever runs the service makes a link: ./invelo reset-password with your address.",
        )
    with transaction(request.app.state.engine) as db:
        accounts.begin_try(db, body.email, machine_of(request), device, now)
        passwords.ask_reset(db, body.email)
    return ResetAsked(hours=int(passwords.RESET_LASTS.total_seconds() // 3600))


class NewPassword(StrictModel):
    """A password set anew."""

    token: str = Field(max_length=100, description="Of the link.")
    new_password: str = Field(max_length=200)


@router.post("/use", status_code=204)
def use_reset(body: NewPassword, request: Request, now: Now) -> None:
    """Set a forgotten password anew. The link works once; every session ends."""
    with transaction(request.app.state.engine) as db:
        passwords.find_reset(db, body.token, now)  # before a password is hashed for whoever asks
    hashed = accounts.hashed_password(body.new_password)
    with transaction(request.app.state.engine) as db:
        passwords.use_reset(db, body.token, hashed, now)
