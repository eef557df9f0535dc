"""A forgotten password, set anew by the link that came for it."""

from fastapi import APIRouter, Request
from pydantic import Field

from invelo.api.common.context import Now
from invelo.api.common.problems import ERRORS
from invelo.db.database import transaction
from invelo.domain.strict import StrictModel
from invelo.services.account import accounts, passwords

router = APIRouter(prefix="/api/password-resets", tags=["Account"], responses=ERRORS)


class NewPassword(StrictModel):
    """A password set anew."""

    token: str = Field(max_length=100, description="Of the link.")
    new_password: str = Field(max_length=200)


@router.post("/use", status_code=204)
def use_reset(body: NewPassword, request: Request, now: Now) -> None:
    """Set a forgotten password anew. The link works once; every session ends."""
    hashed = accounts.hashed_password(body.new_password)
    with transaction(request.app.state.engine) as db:
        passwords.use_reset(db, body.token, hashed, now)
