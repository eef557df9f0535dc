"""The simulated mail server: takes every letter on loopback and sends none on."""

from collections.abc import Callable, Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field
from email import message_from_bytes, policy
from email.message import EmailMessage

from aiosmtpd.controller import Controller
from aiosmtpd.smtp import SMTP, Envelope, Session

from invelo.devices.mail import Letter

HOST = "127.0.0.1"


@dataclass
class MailBox:
    """Letters that came, and what is done with each.

    Attributes:
        letters: the newest last.
        refuses: how many of the next are refused, as a server does that is busy (RFC 5321, 451).
        come: called with each.
    """

    letters: list[Letter] = field(default_factory=list)
    refuses: int = 0
    come: Callable[[Letter], None] = lambda _: None

    async def handle_DATA(self, _: SMTP, __: Session, envelope: Envelope) -> str:  # noqa: N802
        """Take a letter in, or refuse it."""
        if self.refuses > 0:
            self.refuses -= 1
            return "451 Busy, try again later"
        content = envelope.content if isinstance(envelope.content, bytes) else b""
        message = message_from_bytes(content, policy=policy.default)
        body = message.get_content() if isinstance(message, EmailMessage) else ""
        letter = Letter(
            str(message["To"]),
            str(message["Subject"]),
            body,
            key=str(message["Message-ID"]),
            stop=str(message["List-Unsubscribe"] or "").strip("<> "),
        )
        self.letters.append(letter)
        self.come(letter)
        return "250 Taken"


@contextmanager
def simulated_mail(port: int, box: MailBox) -> Iterator[str]:
    """A mail server on loopback while this lasts; its address, "host:port"."""
    controller = Controller(box, hostname=HOST, port=port)
    controller.start()
    try:
        yield f"{HOST}:{port}"
    finally:
        controller.stop()
