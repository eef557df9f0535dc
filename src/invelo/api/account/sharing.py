"""Athletes shared between coaches: who sees them, who is invited, handing over."""

from datetime import datetime
from typing import Literal
from uuid import UUID

from fastapi import APIRouter, Request
from pydantic import EmailStr, Field

from invelo.api.common.context import Coach, Database, Now
from invelo.api.common.problems import ERRORS
from invelo.db import access
from invelo.db.database import transaction
from invelo.db.queries import sharing_rows
from invelo.db.tables.account import AccountRow, InvitationRow
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.account import accounts, sharing

router = APIRouter(prefix="/api", tags=["Sharing"], responses=ERRORS)


class CoachOf(ResponseModel):
    """Who sees an athlete, and what they may do."""

    account_id: UUID
    name: str
    email: str
    role: Literal["owner", "coach", "reader"] = Field(
        description="The owner may erase and share, a coach may change, a reader may look."
    )


class CoachesOf(ResponseModel):
    """Everybody who sees an athlete, the owner first."""

    coaches: list[CoachOf]


class RoleChange(StrictModel):
    """What another coach may do; `owner` hands the record over."""

    role: Literal["owner", "coach", "reader"]


class NewInvitation(StrictModel):
    """Somebody invited to coach, or to look on."""

    athlete_id: UUID | None = Field(None, description="Everybody you own if left out.")
    role: sharing.GivenRole = "coach"
    meant_for: str = Field(min_length=1, max_length=120, examples=["Tomas, stage left"])


class InvitationOut(ResponseModel):
    """An invitation that was sent."""

    id: UUID
    meant_for: str
    role: sharing.GivenRole
    athlete: str = Field(description="'' for the whole squad.")
    created_at: datetime
    expires_at: datetime
    unavailable_reason: str = Field(description="Why it can no longer be taken up; '' if it can.")


class SentInvitation(InvitationOut):
    """An invitation with its token, told once."""

    token: str


class Invitations(ResponseModel):
    """What a coach has sent, the newest first."""

    invitations: list[InvitationOut]


class ShownInvitation(ResponseModel):
    """What somebody is invited to, before they come in."""

    by: str
    athlete: str = Field(description="'' for the whole squad.")
    role: sharing.GivenRole


class TokenOf(StrictModel):
    """The token of an invitation's link."""

    token: str = Field(max_length=100)


class Joining(TokenOf):
    """Somebody new who takes an invitation up."""

    name: str = Field(min_length=1, max_length=80)
    email: EmailStr
    password: str = Field(max_length=200)
    time_zone: str = Field(examples=["Europe/Lisbon"])


class Joined(ResponseModel):
    """What an invitation opened."""

    athletes: list[UUID]


@router.get("/athletes/{athlete_id}/coaches")
def get_coaches(athlete_id: UUID, coach: Coach, db: Database) -> CoachesOf:
    """Who sees an athlete."""
    access.athlete(db, coach.id, athlete_id)
    return CoachesOf(
        coaches=[
            CoachOf.of(row, name=account.name, email=account.email)
            for row, account in sharing_rows.coaches(db, athlete_id)
        ]
    )


@router.put("/athletes/{athlete_id}/coaches/{account_id}")
def set_role(
    athlete_id: UUID, account_id: UUID, body: RoleChange, coach: Coach, db: Database, now: Now
) -> CoachesOf:
    """Say what another coach may do, or hand the record over."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.OWN)
    sharing.set_role(db, coach, athlete, account_id, body.role, now)
    return get_coaches(athlete_id, coach, db)


@router.delete("/athletes/{athlete_id}/coaches/{account_id}", status_code=204)
def end_access(athlete_id: UUID, account_id: UUID, coach: Coach, db: Database, now: Now) -> None:
    """Let another coach no longer see an athlete; or leave one yourself."""
    roles = access.SEE if account_id == coach.id else access.OWN
    athlete = access.athlete(db, coach.id, athlete_id, roles=roles)
    sharing.end(db, coach, athlete, account_id, now)


@router.get("/invitations")
def get_invitations(coach: Coach, db: Database, now: Now) -> Invitations:
    """Whom you invited."""
    rows = sharing_rows.invitations(db, coach.id)
    return Invitations(invitations=[_out(db, row, now) for row in rows])


@router.post("/invitations", status_code=201)
def invite(body: NewInvitation, coach: Coach, db: Database, now: Now) -> SentInvitation:
    """Invite somebody. The link is told once, here: send it to whom it is meant for."""
    athlete = (
        access.athlete(db, coach.id, body.athlete_id, roles=access.OWN) if body.athlete_id else None
    )
    made = sharing.invite(db, coach, athlete, body.role, body.meant_for, now)
    return SentInvitation(**_out(db, made.row, now).model_dump(), token=made.token)


@router.delete("/invitations/{invitation_id}", status_code=204)
def take_back(invitation_id: UUID, coach: Coach, db: Database, now: Now) -> None:
    """Take an invitation back that nobody took up."""
    sharing.take_back(db, coach, invitation_id, now)


@router.post("/invitations/look")
def look(body: TokenOf, db: Database, now: Now) -> ShownInvitation:
    """What the link of an invitation opens, and whose it is."""
    row = sharing.find(db, body.token, now)
    by = db.get_one(AccountRow, row.account_id).name
    return ShownInvitation(by=by, athlete=_whose(db, row), role=_role(row))


@router.post("/invitations/accept")
def accept(body: TokenOf, coach: Coach, db: Database, now: Now) -> Joined:
    """Take an invitation up with the account you are signed in with."""
    account = db.get_one(AccountRow, coach.id)
    return Joined(athletes=sharing.take_up(db, account, body.token, now))


@router.post("/invitations/join", status_code=201)
def join(body: Joining, request: Request, now: Now) -> Joined:
    """Take an invitation up with an account of your own, made here; then sign in."""
    with transaction(request.app.state.engine) as db:
        sharing.find(db, body.token, now)  # before a password is hashed for whoever asks
    hashed = accounts.hashed_password(body.password)
    with transaction(request.app.state.engine) as db:
        sharing.find(db, body.token, now)
        account = accounts.create_hashed(db, body.email, body.name, hashed, body.time_zone, now)
        return Joined(athletes=sharing.take_up(db, account, body.token, now))


def _out(db: Database, row: InvitationRow, now: datetime) -> InvitationOut:
    return InvitationOut.of(
        row, athlete=_whose(db, row), unavailable_reason=sharing.standing(row, now)
    )


def _whose(db: Database, row: InvitationRow) -> str:
    return db.get_one(AthleteRow, row.athlete_id).name if row.athlete_id else ""


def _role(row: InvitationRow) -> sharing.GivenRole:
    return "reader" if row.role == "reader" else "coach"
