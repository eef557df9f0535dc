"""Signing in and out."""

from datetime import timedelta
from uuid import UUID

from fastapi import APIRouter, Request, Response
from pydantic import Field
from sqlmodel import Session

from invelo.api.common.context import SESSION_COOKIE, Coach, Database, Now, Token
from invelo.api.common.problems import ERRORS, FieldProblem, ProblemDocument, problem
from invelo.api.common.schemas import ResponseModel
from invelo.db.tables.account import AccountRow
from invelo.domain.strict import StrictModel
from invelo.runtime.settings import Settings
from invelo.services.account import accounts

router = APIRouter(prefix="/api", tags=["Sign-in"], responses=ERRORS)


class Credentials(StrictModel):
    """Who signs in."""

    email: str = Field(min_length=3, max_length=254, examples=["coach@theatre.example"])
    password: str = Field(min_length=1, max_length=200, examples=["three sandbags and a riser"])


class SignedIn(ResponseModel):
    """The coach who is signed in."""

    id: UUID
    email: str = Field(examples=["coach@theatre.example"])
    name: str = Field(examples=["Ilse Marn"])
    time_zone: str = Field(examples=["Europe/Lisbon"])


@router.post(
    "/sign-in",
    response_model=SignedIn,
    responses={429: {"model": ProblemDocument, "description": "Too many tries."}},
)
def sign_in(
    body: Credentials, request: Request, response: Response, db: Database, now: Now
) -> SignedIn | Response:
    """Check a password and set the session cookie. Five failures in a quarter of an hour lock
    the address for the rest of it."""
    machine = request.client.host if request.client else "unknown"
    account = accounts.check(db, body.email, body.password, machine, now)
    if account is None:  # answered, not raised: the failed try must be kept
        field_problem = FieldProblem(
            field="password",
            problem="address and password do not belong together.",
            remedy="Check both and try again.",
        )
        return problem(401, "Not signed in", field_problem)
    _set_cookie(response, db, account, now, request.app.state.settings)
    return SignedIn.model_validate(account)


def _set_cookie(
    response: Response, db: Session, account: AccountRow, now: Now, settings: Settings
) -> None:
    lasts = timedelta(hours=settings.session_hours)
    response.set_cookie(
        SESSION_COOKIE,
        accounts.open_session(db, account, now, lasts),
        max_age=int(lasts.total_seconds()),
        httponly=True,
        secure=settings.secure_cookies,
        samesite="strict",
        path="/api",
    )


@router.post("/sign-out", status_code=204)
def sign_out(response: Response, db: Database, token: Token = None) -> None:
    """End the session here and on the server."""
    if token:
        accounts.close_session(db, token)
    response.delete_cookie(SESSION_COOKIE, path="/api")


@router.get("/me")
def me(coach: Coach) -> SignedIn:
    """Who is signed in."""
    return SignedIn.model_validate(coach)
