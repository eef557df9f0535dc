"""Who signs in."""

from datetime import datetime
from uuid import UUID, uuid4

from sqlalchemy import (
    Index,
)
from sqlmodel import Field, SQLModel

from invelo.db.columns import instant


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
