"""Who signs in."""

from datetime import datetime
from uuid import UUID, uuid4

from sqlalchemy import (
    Index,
)
from sqlmodel import Field, SQLModel

from invelo.db.columns import instant, one_of


class AccountRow(SQLModel, table=True):
    """A coach who signs in. `email` is kept in lower case."""

    __tablename__ = "account"

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    email: str = Field(unique=True)
    name: str
    password_hash: str
    time_zone: str
    created_at: datetime = instant()


class SignInRow(SQLModel, table=True):
    """A server-side session; the cookie's token is kept only as its SHA-256."""

    __tablename__ = "sign_in"

    token_hash: str = Field(primary_key=True)
    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE", index=True)
    created_at: datetime = instant()
    expires_at: datetime = instant()


class SignInDeviceRow(SQLModel, table=True):
    """A browser from which a coach has signed in; its cookie's token is kept as its SHA-256."""

    __tablename__ = "sign_in_device"

    token_hash: str = Field(primary_key=True)
    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE", index=True)
    seen_at: datetime = instant()


class SignInAttemptRow(SQLModel, table=True):
    """A try to sign in that did not succeed, or not yet, counted per e-mail address, machine and
    known browser (as SHA-256)."""

    __tablename__ = "sign_in_attempt"
    __table_args__ = (Index("ix_sign_in_attempt_key_at", "key", "at"),)

    id: int | None = Field(default=None, primary_key=True)
    key: str
    at: datetime = instant()


class InvitationRow(SQLModel, table=True):
    """A coach invited to one athlete, or to all that the inviting coach has (`athlete_id` None).
    Whoever has its token may take it up, once; only the token's SHA-256 is kept."""

    __tablename__ = "invitation"
    __table_args__ = (one_of("role", "coach", "reader"),)

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    token_hash: str = Field(unique=True)
    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE", index=True)
    athlete_id: UUID | None = Field(
        default=None, foreign_key="athlete.id", ondelete="CASCADE", index=True
    )
    role: str
    meant_for: str
    created_at: datetime = instant()
    expires_at: datetime = instant()
    used_at: datetime | None = instant(nullable=True)
    used_by: UUID | None = Field(default=None, foreign_key="account.id", ondelete="SET NULL")


class PasswordResetRow(SQLModel, table=True):
    """A way to set a forgotten password anew, once; its token is kept as its SHA-256."""

    __tablename__ = "password_reset"

    token_hash: str = Field(primary_key=True)
    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE", index=True)
    expires_at: datetime = instant()


class AccountEventRow(SQLModel, table=True):
    """What was done about an account, its athletes and who sees them: a line each. A line that
    names an athlete goes with them when they are erased."""

    __tablename__ = "account_event"

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    at: datetime = instant()
    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE", index=True)
    athlete_id: UUID | None = Field(
        default=None, foreign_key="athlete.id", ondelete="CASCADE", index=True
    )
    what: str
