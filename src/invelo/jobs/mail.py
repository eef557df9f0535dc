"""Mail: a letter is written when it is sent, so that no secret of it lies in the queue."""

import smtplib
from uuid import UUID

import anyio.to_thread
from sqlmodel import Session

from invelo.devices.mail import Letter
from invelo.jobs.work import Post, Work
from invelo.services.account import passwords
from invelo.services.review import messages


async def send_reset(work: Work, account_id: str) -> None:
    """Send a coach the link that sets a forgotten password anew. A second time sends another
    link; both work until one is used."""
    if work.post is None:
        return
    letter = await work.do(
        passwords.reset_letter, UUID(account_id), work.post.public_address, work.clock()
    )
    await _hand_in(work.post, letter)


async def send_link(work: Work, athlete_id: str) -> None:
    """Send an athlete a new link of their own. A second time sends another; the first ends."""
    if work.post is None:
        return
    letter = await work.do(
        messages.link_letter, UUID(athlete_id), work.post.public_address, work.clock()
    )
    await _hand_in(work.post, letter)


async def send_message(work: Work, message_id: str, *, last: bool) -> None:
    """Send an athlete a message. A worker that dies in between sends it again, under the same
    Message-ID.

    Args:
        work: what it stands on.
        message_id: which.
        last: whether there is no further try.

    Raises:
        OSError: if the server is away or busy, and another try comes.
    """
    known = UUID(message_id)
    if work.post is None:
        await _note(work, known, "No mail goes out from here.", last=True)
        return
    letter = await work.do(messages.letter_of, known, work.post.public_address)
    try:
        await _hand_in(work.post, letter)
    except OSError as error:
        final = last or _is_refused(error)
        await _note(work, known, _words(error), last=final)
        if final:
            return
        raise
    await work.do(messages.sent, known, work.clock())


async def _hand_in(post: Post, letter: Letter | None) -> None:
    if letter is not None:
        await anyio.to_thread.run_sync(post.server.send, letter)


async def _note(work: Work, message_id: UUID, why: str, *, last: bool) -> None:
    def note(db: Session) -> None:
        messages.failed(db, message_id, why, last=last)

    await work.do(note)


def _is_refused(error: OSError) -> bool:
    """Whether the server has said no for good (RFC 5321: a reply of 5xx)."""
    if isinstance(error, smtplib.SMTPRecipientsRefused):
        return all(code >= 500 for code, _ in error.recipients.values())
    return isinstance(error, smtplib.SMTPResponseException) and error.smtp_code >= 500


def _words(error: OSError) -> str:
    if isinstance(error, smtplib.SMTPRecipientsRefused):
        return "The mail server knows no such address."
    if isinstance(error, smtplib.SMTPResponseException):
        return "The mail server refused the letter."
    return "The mail server does not answer."
