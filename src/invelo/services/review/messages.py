"""Messages to athletes: drafts put right, sent as letters, stopped by whoever gets them."""

from datetime import datetime
from uuid import UUID

from sqlmodel import Session

from invelo.db.errors import ConflictError, MissingError
from invelo.db.queries import athlete_rows
from invelo.db.queue import enqueue
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.review import MessageRow
from invelo.devices.mail import Letter
from invelo.domain.errors import InputError
from invelo.domain.review.message import require_plain
from invelo.services.training import links

TASK = "send_message"
LINK_TASK = "send_link"

OPEN = ("draft", "failed")
"""States in which a message may be put right and sent."""

STOP_PATH = "/letters"


def reason_not_to_send(athlete: AthleteRow, by_mail: bool) -> str:
    """Why no letter can go to someone; '' where one can."""
    if not by_mail:
        return "No mail goes out from here."
    if not athlete.email:
        return f"There is no e-mail address of {athlete.name}; their record has a place for it."
    if athlete.letters_stopped_at is not None:
        return f"{athlete.name} wants no letters."
    return ""


def edit(db: Session, row: MessageRow, subject: str, body: str) -> None:
    """Put a draft right.

    Raises:
        ConflictError: for one that is on its way or was sent.
        InputError: for one without words, or with words of health.
    """
    _require_open(row)
    for field, words in (("subject", subject), ("body", body)):
        if not words.strip():
            raise InputError(field, "it is empty.", "Say something.")
        require_plain(words, field)
    row.subject, row.body = " ".join(subject.split()), body.strip()
    row.status, row.failure = "draft", ""
    db.add(row)
    db.flush()


def send(db: Session, row: MessageRow, athlete: AthleteRow, by_mail: bool) -> None:
    """Have a message sent as a letter; one that is on its way stays on it.

    Raises:
        ConflictError: if it was sent, or nothing can be sent to them.
        InputError: for words of health.
    """
    if row.status == "queued":
        return
    _require_open(row)
    _require_reachable(athlete, by_mail)
    require_plain(f"{row.subject}\n{row.body}", "body")
    row.status, row.failure = "queued", ""
    db.add(row)
    db.flush()
    enqueue(db, TASK, {"message_id": str(row.id)}, once=f"{TASK} {row.id}")


def send_link(db: Session, athlete: AthleteRow, by_mail: bool) -> None:
    """Have an athlete sent a new link of their own in place of the one there was.

    Raises:
        ConflictError: if nothing can be sent to them.
    """
    _require_reachable(athlete, by_mail)
    enqueue(db, LINK_TASK, {"athlete_id": str(athlete.id)}, once=f"{LINK_TASK} {athlete.id}")


def _require_open(row: MessageRow) -> None:
    if row.status not in OPEN:
        done = "was sent already" if row.status == "sent" else "is on its way"
        raise ConflictError("message", f"it {done}.", "Write to them again.")


def _require_reachable(athlete: AthleteRow, by_mail: bool) -> None:
    if reason := reason_not_to_send(athlete, by_mail):
        raise ConflictError("message", reason, "Copy or share it instead.")


# ---- on the way ---------------------------------------------------------------------------------


def letter_of(db: Session, message_id: UUID, public_address: str) -> Letter | None:
    """The letter of a message that is on its way; None where it no longer is."""
    row = db.get(MessageRow, message_id)
    if row is None or row.status != "queued":
        return None
    athlete = db.get_one(AthleteRow, row.athlete_id)
    if reason := reason_not_to_send(athlete, by_mail=True):
        row.status, row.failure = "failed", reason
        db.add(row)
        return None
    return _letter(athlete, row.subject, row.body, public_address, str(row.id))


def link_letter(db: Session, athlete_id: UUID, public_address: str, now: datetime) -> Letter | None:
    """A letter with a new link of an athlete's own; None where they are gone or want none."""
    athlete = db.get(AthleteRow, athlete_id)
    if athlete is None or reason_not_to_send(athlete, by_mail=True):
        return None
    token = links.make(db, athlete.id, now)
    return _letter(
        athlete,
        "Your training on your phone",
        f"Open this on your phone and keep it to yourself; it opens your own training and nothing "
        f"else:\n\n{public_address}/open#{token}",
        public_address,
    )


def _letter(
    athlete: AthleteRow, subject: str, body: str, public_address: str, key: str = ""
) -> Letter:
    page = f"{public_address}{STOP_PATH}#{athlete.letters_key}"
    return Letter(
        athlete.email,
        subject,
        f"{body}\n\n-- \nNo more letters: {page}\n",
        key=key,
        stop=f"{public_address}/api/letters/{athlete.letters_key}/stop",
    )


def sent(db: Session, message_id: UUID, now: datetime) -> None:
    """Note that a letter was handed in."""
    row = db.get(MessageRow, message_id)
    if row is not None and row.status == "queued":
        row.status, row.sent_at, row.failure = "sent", now, ""
        db.add(row)


def failed(db: Session, message_id: UUID, why: str, *, last: bool) -> None:
    """Note that a letter was not taken: for good, or to be tried again."""
    row = db.get(MessageRow, message_id)
    if row is not None and row.status == "queued":
        row.status, row.failure = "failed" if last else "queued", why
        db.add(row)


# ---- stopped ------------------------------------------------------------------------------------


def reader(db: Session, key: UUID) -> AthleteRow:
    """Whose letters a key stops.

    Raises:
        MissingError: for a key of nobody's.
    """
    athlete = athlete_rows.by_letters_key(db, key)
    if athlete is None:
        raise MissingError("letters")
    return athlete


def stop(db: Session, key: UUID, now: datetime) -> None:
    """Send someone no more letters, what is on its way included."""
    athlete = reader(db, key)
    athlete.letters_stopped_at = athlete.letters_stopped_at or now
    db.add(athlete)


def start(db: Session, key: UUID) -> None:
    """Send someone letters again."""
    athlete = reader(db, key)
    athlete.letters_stopped_at = None
    db.add(athlete)
