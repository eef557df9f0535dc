"""Signing in and out."""

from datetime import timedelta

from fastapi import APIRouter, Request, Response
from pydantic import Field

from invelo.api.account.schemas import Password, SignedIn, machine_of
from invelo.api.common import cookies
from invelo.api.common.context import Coach, Database, DeviceToken, Now, Token
from invelo.api.common.cookies import DEVICE_COOKIE, SESSION_COOKIE
from invelo.api.common.problems import ERRORS, FieldProblem, ProblemDocument, problem
from invelo.db.database import transaction
from invelo.domain.strict import StrictModel
from invelo.runtime.settings import Settings
from invelo.services.account import accounts

router = APIRouter(prefix="/api", tags=["Sign-in"], responses=ERRORS)


class Credentials(StrictModel):
    """Who signs in."""

    email: str = Field(min_length=3, max_length=254, examples=["coach@theatre.example"])
    password: Password


@router.post(
    "/sign-in",
    response_model=SignedIn,
    responses={429: {"model": ProblemDocument, "description": "Too many tries."}},
)
def sign_in(
    body: Credentials, request: Request, response: Response, now: Now, device: DeviceToken = None
) -> SignedIn | Response:
    """Check a password and set the session cookie. After five failures with an address, tries from
    browsers it does not know have to pause, longer each time, for a minute at most."""
    engine = request.app.state.engine
    with transaction(engine) as db:  # a failed try stays counted
        begun = accounts.begin_try(db, body.email, machine_of(request), device, now)
    if not accounts.matches(begun, body.password):
        field_problem = FieldProblem(
            field="password",
            problem="address and password do not belong together.",
            remedy="Check both and try again.",
        )
        return problem(401, "Not signed in", field_problem)
    settings: Settings = request.app.state.settings
    lasts = timedelta(hours=settings.session_hours)
    with transaction(engine) as db:
        account = accounts.succeed(db, begun)
        token = accounts.open_session(db, account, now, lasts)
        known = accounts.know_device(db, account, device, now)
        signed_in = SignedIn.model_validate(account)
    cookies.set_cookie(response, settings, SESSION_COOKIE, token, lasts)
    cookies.set_cookie(response, settings, DEVICE_COOKIE, known, accounts.DEVICE_KNOWN)
    return signed_in


@router.post("/sign-out", status_code=204)
def sign_out(request: Request, response: Response, db: Database, token: Token = None) -> None:
    """End the session here and on the server, and let the browser forget what it has read."""
    if token:
        accounts.close_session(db, token)
    cookies.delete_cookie(response, request.app.state.settings, SESSION_COOKIE)
    if request.app.state.settings.secure_cookies:  # browsers heed it where HTTPS is
        response.headers["Clear-Site-Data"] = '"cache"'


@router.get("/me")
def me(coach: Coach) -> SignedIn:
    """Who is signed in."""
    return SignedIn.model_validate(coach)
