"""Mail, handed to a server by SMTP (RFC 5321): plain text, one letter a connection."""

import smtplib
import ssl
from dataclasses import dataclass
from email.message import EmailMessage
from email.utils import formatdate, make_msgid

from invelo.domain.errors import InputError
from invelo.runtime.settings import Security, Settings

TIMEOUT = 20.0
"""Seconds within which a mail server has to answer."""

OURS = "invelo.invalid"
"""Of our Message-IDs: a name that nobody else can have (RFC 2606)."""

LONGEST_LINE = 78
"""Letters of a subject (RFC 5322 asks for no more on a line)."""


@dataclass(frozen=True)
class Letter:
    """What is sent.

    Attributes:
        to: one address.
        subject, body: plain text.
        key: names the letter, so that one sent twice is shown once; "" for any.
        stop: address of a page, and of a service behind it, that ends further letters; "" for none.
    """

    to: str
    subject: str
    body: str
    key: str = ""
    stop: str = ""

    def __post_init__(self) -> None:
        """Refuse what would break a header."""
        if any(mark in self.to + self.subject for mark in "\r\n"):
            raise InputError("letter", "its head has a line break.", "Leave it out.")


@dataclass(frozen=True)
class MailServer:
    """Where mail is handed in.

    Attributes:
        host, port: of the server.
        sender: whose name stands on it.
        security: how the line is kept from others.
        user, password: "" where it asks for none.
    """

    host: str
    port: int
    sender: str
    security: Security = "starttls"
    user: str = ""
    password: str = ""

    def send(self, letter: Letter) -> None:
        """Hand a letter in.

        Raises:
            OSError: if the server is away or refuses it (`smtplib.SMTPException` is one).
        """
        message = EmailMessage()
        message["From"], message["To"] = self.sender, letter.to
        message["Subject"] = letter.subject[:LONGEST_LINE]
        message["Date"] = formatdate()
        message["Message-ID"] = f"<{letter.key}@{OURS}>" if letter.key else make_msgid(domain=OURS)
        if letter.stop:  # RFC 2369 and RFC 8058: a mail program's own button
            message["List-Unsubscribe"] = f"<{letter.stop}>"
            message["List-Unsubscribe-Post"] = "List-Unsubscribe=One-Click"
        message["Auto-Submitted"] = "auto-generated"  # RFC 3834: no out-of-office comes back
        message.set_content(letter.body)
        with self._line() as line:
            if self.security == "starttls":
                line.starttls(context=ssl.create_default_context())
            if self.user:
                line.login(self.user, self.password)
            line.send_message(message)

    def _line(self) -> smtplib.SMTP:
        if self.security == "tls":
            context = ssl.create_default_context()
            return smtplib.SMTP_SSL(self.host, self.port, timeout=TIMEOUT, context=context)
        return smtplib.SMTP(self.host, self.port, timeout=TIMEOUT)


def server_of(settings: Settings) -> MailServer | None:
    """The server for letters; None where none is set."""
    if not settings.mail_server:
        return None
    host, _, port = settings.mail_server.rpartition(":")
    return MailServer(
        host or settings.mail_server,
        int(port) if host and port.isdigit() else 587,
        settings.mail_from,
        settings.mail_security,
        settings.mail_user,
        settings.mail_password,
    )
