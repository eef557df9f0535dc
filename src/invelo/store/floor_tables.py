"""The rows of the floor besides its sets: who may come in, how they come, what is left of it."""

from datetime import datetime
from typing import Any
from uuid import UUID, uuid4

from sqlalchemy import Index, LargeBinary
from sqlmodel import Field, SQLModel

from invelo.store.columns import Dated, instant, json_column, one_of


class AthleteLink(SQLModel, table=True):
    """An athlete's private way in; its token is kept only as its SHA-256."""

    __tablename__ = "athlete_link"

    token_hash: str = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    created_at: datetime = instant()
    expires_at: datetime = instant()
    opened_at: datetime | None = instant(nullable=True)
    revoked_at: datetime | None = instant(nullable=True)


class CheckIn(Dated, table=True):
    """How an athlete comes to a day, as the core's `CheckIn` writes it; the newest speaks."""

    __tablename__ = "check_in"
    __table_args__ = (Index("ix_check_in_athlete_id_local_date", "athlete_id", "local_date"),)

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE")
    told: dict[str, Any] = json_column()


class Skip(Dated, table=True):
    """A set that was asked for and left out, with the reason."""

    __tablename__ = "skip"

    id: UUID = Field(primary_key=True)
    session_id: UUID = Field(foreign_key="training_session.id", ondelete="CASCADE", index=True)
    name: str
    number: int
    why: str


class TechniqueNote(SQLModel, table=True):
    """A coach's word on how an athlete does a movement, shown as a cue from then on; pinned to the
    set it was seen in, if it was."""

    __tablename__ = "technique_note"

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    movement: str
    text: str
    set_id: UUID | None = Field(default=None, foreign_key="logged_set.id", ondelete="SET NULL")
    author_id: UUID | None = Field(default=None, foreign_key="account.id", ondelete="SET NULL")
    created_at: datetime = instant()
    retired_at: datetime | None = instant(nullable=True)


class SetMedia(SQLModel, table=True):
    """A photo or a short clip of a set, stripped of what it told besides the picture."""

    __tablename__ = "set_media"
    __table_args__ = (one_of("media_type", "image/jpeg", "video/webm", "video/mp4"),)

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    set_id: UUID = Field(foreign_key="logged_set.id", ondelete="CASCADE", unique=True)
    media_type: str
    content: bytes = Field(sa_type=LargeBinary)
    kept_at: datetime = instant()


class Whereabouts(SQLModel, table=True):
    """Where in a session an athlete is, as their device says; for whoever watches."""

    session_id: UUID = Field(
        foreign_key="training_session.id", ondelete="CASCADE", primary_key=True
    )
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    state: str
    doing: str
    set_number: int
    set_count: int
    step: int
    steps: int
    at: datetime = instant()
