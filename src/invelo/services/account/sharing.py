"""Athletes shared between coaches: invitations, roles, and handing a record over."""

from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Literal
from uuid import UUID

from sqlmodel import Session

from invelo.db.errors import ConflictError, MissingError
from invelo.db.queries import sharing_rows
from invelo.db.tables.account import AccountRow, InvitationRow
from invelo.db.tables.athlete import AthleteAccessRow, AthleteRow
from invelo.db.tokens import digest, new_token

GivenRole = Literal["coach", "reader"]

LASTS = timedelta(days=7)
MOST_INVITATIONS = 50


@dataclass(frozen=True)
class Invitation:
    """An invitation and its token, told once."""

    row: InvitationRow
    token: str


def invite(
    db: Session,
    coach: AccountRow,
    athlete: AthleteRow | None,
    role: GivenRole,
    meant_for: str,
    now: datetime,
) -> Invitation:
    """Invite somebody to coach or to read one athlete, or all that a coach has.

    Raises:
        ConflictError: for too many that wait.
    """
    waiting = [
        invitation
        for invitation in sharing_rows.invitations(db, coach.id)
        if standing(invitation, now) == ""
    ]
    if len(waiting) >= MOST_INVITATIONS:
        raise ConflictError(
            "invitations", f"{len(waiting)} wait already.", "Take one back before the next."
        )
    token = new_token()
    row = InvitationRow(
        token_hash=digest(token),
        account_id=coach.id,
        athlete_id=athlete.id if athlete else None,
        role=role,
        meant_for=meant_for.strip(),
        created_at=now,
        expires_at=now + LASTS,
    )
    db.add(row)
    whom = athlete.name if athlete else "the whole squad"
    line = f"Invited {row.meant_for} to {whom} as {role}."
    sharing_rows.tell(db, coach.id, line, now, row.athlete_id)
    db.flush()
    return Invitation(row, token)


def standing(row: InvitationRow, now: datetime) -> str:
    """Why an invitation can no longer be taken up, in words; '' where it can."""
    if row.used_at is not None:
        return "It was taken up already."
    if row.expires_at <= now:
        return "It has run out."
    return ""


def take_back(db: Session, coach: AccountRow, invitation_id: UUID, now: datetime) -> None:
    """Take an invitation back that nobody took up.

    Raises:
        MissingError: if this coach sent none of that id.
    """
    row = db.get(InvitationRow, invitation_id)
    if row is None or row.account_id != coach.id:
        raise MissingError("invitation")
    if row.used_at is None:
        sharing_rows.tell(db, coach.id, f"Took back the invitation of {row.meant_for}.", now)
        db.delete(row)
        db.flush()


def find(db: Session, token: str, now: datetime) -> InvitationRow:
    """The invitation of a token.

    Raises:
        MissingError: if there is none.
        ConflictError: if it was used, or has run out.
    """
    row = sharing_rows.invitation(db, digest(token))
    if row is None:
        raise MissingError("invitation")
    reason = standing(row, now)
    if reason:
        raise ConflictError("invitation", reason.lower(), "Ask for another.")
    return row


def take_up(db: Session, account: AccountRow, token: str, now: datetime) -> list[UUID]:
    """Take an invitation up; the athletes it opens. A role that is greater already stays.

    Raises:
        MissingError, ConflictError: as `find`; and for one's own.
    """
    row = find(db, token, now)
    if row.account_id == account.id:
        raise ConflictError(
            "invitation", "it is your own.", "Send its link to whoever is to come in."
        )
    owned = sharing_rows.owned(db, row.account_id)
    opened = [owned_id for owned_id in owned if row.athlete_id in (None, owned_id)]
    for athlete_id in opened:
        kept = sharing_rows.access_of(db, account.id, athlete_id)
        if kept is None:
            access = AthleteAccessRow(account_id=account.id, athlete_id=athlete_id, role=row.role)
            db.add(access)
        elif kept.role == "reader":
            kept.role = row.role
            db.add(kept)
    row.used_at, row.used_by = now, account.id
    db.add(row)
    sharing_rows.tell(db, row.account_id, f"{account.name} took up the invitation.", now)
    people = "1 athlete" if len(opened) == 1 else f"{len(opened)} athletes"
    sharing_rows.tell(db, account.id, f"Came in as {row.role}, {people}.", now)
    db.flush()
    return opened


def set_role(
    db: Session,
    coach: AccountRow,
    athlete: AthleteRow,
    account_id: UUID,
    role: Literal["owner", "coach", "reader"],
    now: datetime,
) -> None:
    """Give another coach of an athlete a role; with `owner` the record is handed over, and the one
    who had it stays as a coach.

    Raises:
        MissingError: if the other does not coach them.
        ConflictError: for the owner's own role, which is given by handing over.
    """
    other = sharing_rows.access_of(db, account_id, athlete.id)
    if other is None:
        raise MissingError("coach")
    if account_id == coach.id:
        raise ConflictError("role", "you own the record.", "Hand it over to another coach.")
    name = db.get_one(AccountRow, account_id).name
    if role == "owner":
        own = sharing_rows.access_of(db, coach.id, athlete.id)
        if own is not None:
            own.role = "coach"
            db.add(own)
        handed = f"Was handed {athlete.name} by {coach.name}."
        sharing_rows.tell(db, account_id, handed, now, athlete.id)
    other.role = role
    db.add(other)
    sharing_rows.tell(db, coach.id, f"Made {name} {role} of {athlete.name}.", now, athlete.id)
    db.flush()


def end(
    db: Session, coach: AccountRow, athlete: AthleteRow, account_id: UUID, now: datetime
) -> None:
    """Let another coach no longer see an athlete.

    Raises:
        MissingError: if they do not see them.
        ConflictError: for the owner.
    """
    other = sharing_rows.access_of(db, account_id, athlete.id)
    if other is None:
        raise MissingError("coach")
    if other.role == "owner":
        raise ConflictError("coach", "they own the record.", "Hand it over first.")
    name = db.get_one(AccountRow, account_id).name
    db.delete(other)
    sharing_rows.tell(db, coach.id, f"{name} no longer sees {athlete.name}.", now, athlete.id)
    db.flush()
