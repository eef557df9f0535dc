"""Messages to athletes: drafts put right, sent as letters, and stopped by their readers."""

from uuid import UUID

from fastapi import APIRouter, Request
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now
from invelo.api.common.problems import ERRORS
from invelo.api.review.schemas import MessageOut
from invelo.db import access
from invelo.db.queries import review_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.review import MessageRow
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.review import messages, review

router = APIRouter(prefix="/api", tags=["Messages"], responses=ERRORS)


class Reader(ResponseModel):
    """To whom a message goes."""

    name: str
    email: str
    unavailable_reason: str = Field(description="Why no letter can go to them; '' where one can.")


class MessageList(ResponseModel):
    """Messages to the coach's athletes, newest first."""

    messages: list[MessageOut]
    athletes: dict[UUID, Reader]
    before: UUID | None = Field(description="Ask for older ones with this; empty at the end.")


class MessageDraft(StrictModel):
    """A message put right."""

    subject: str = Field(max_length=120)
    body: str = Field(max_length=2000)


class LettersState(ResponseModel):
    """Whether someone wants letters."""

    wanted: bool


@router.get("/messages")
def get_messages(
    request: Request, coach: Coach, db: Database, before: UUID | None = None
) -> MessageList:
    """Messages to this coach's athletes, twenty at a time."""
    rows = review_rows.messages(db, coach.id, before, review.NEWEST)
    people = {athlete.id: athlete for athlete in access.athletes(db, coach.id)}
    return MessageList(
        messages=[MessageOut.model_validate(row) for row in rows],
        athletes={
            row.athlete_id: _reader(people[row.athlete_id], _by_mail(request)) for row in rows
        },
        before=rows[-1].id if len(rows) == review.NEWEST else None,
    )


@router.put("/messages/{message_id}")
def edit_message(message_id: UUID, body: MessageDraft, coach: Coach, db: Database) -> MessageOut:
    """Put a draft right. What was sent stays as it was sent; nothing of health is taken."""
    row, _ = _message(db, coach.id, message_id)
    messages.edit(db, row, body.subject, body.body)
    return MessageOut.model_validate(row)


@router.post("/messages/{message_id}/send", status_code=202)
def send_message(message_id: UUID, request: Request, coach: Coach, db: Database) -> MessageOut:
    """Send a message as a letter; a worker hands it in, and tries again where the mail server is
    away."""
    row, athlete = _message(db, coach.id, message_id)
    messages.send(db, row, athlete, _by_mail(request))
    return MessageOut.model_validate(row)


@router.get("/athletes/{athlete_id}/letters")
def get_reader(athlete_id: UUID, request: Request, coach: Coach, db: Database) -> Reader:
    """Where letters to someone go, and why none can."""
    return _reader(access.athlete(db, coach.id, athlete_id), _by_mail(request))


@router.post("/athletes/{athlete_id}/link/letter", status_code=202)
def send_link(athlete_id: UUID, request: Request, coach: Coach, db: Database) -> Reader:
    """Send an athlete a new link of their own, in place of the one there was."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    messages.send_link(db, athlete, _by_mail(request))
    return _reader(athlete, by_mail=True)


# ---- whoever reads a letter -------------------------------------------------------------------


@router.get("/letters/{key}")
def get_letters(key: UUID, db: Database) -> LettersState:
    """Whether letters are wanted, asked by the address at their foot."""
    return LettersState(wanted=messages.reader(db, key).letters_stopped_at is None)


@router.post("/letters/{key}/stop")
def stop_letters(key: UUID, db: Database, now: Now) -> LettersState:
    """Send no more letters; a mail program's own button asks the same (RFC 8058)."""
    messages.stop(db, key, now)
    return LettersState(wanted=False)


@router.post("/letters/{key}/start")
def start_letters(key: UUID, db: Database) -> LettersState:
    """Send letters again."""
    messages.start(db, key)
    return LettersState(wanted=True)


def _by_mail(request: Request) -> bool:
    return bool(request.app.state.settings.mail_server)


def _reader(athlete: AthleteRow, by_mail: bool) -> Reader:
    return Reader.of(
        athlete, unavailable_reason=messages.reason_not_to_send(athlete, by_mail=by_mail)
    )


def _message(db: Database, account_id: UUID, message_id: UUID) -> tuple[MessageRow, AthleteRow]:
    row = access.message(db, account_id, message_id, roles=access.WRITE)
    return row, access.athlete(db, account_id, row.athlete_id)
