"""The rows of movements that coaches made."""

from datetime import datetime
from typing import Any
from uuid import UUID

from sqlmodel import Field, SQLModel

from invelo.db.columns import instant, json_column


class OwnMovementRow(SQLModel, table=True):
    """A movement of a coach's own. It never changes; put away, it is offered no more, and what was
    done of it stands."""

    __tablename__ = "own_movement"

    id: UUID = Field(primary_key=True)
    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE", index=True)
    name: str
    document: dict[str, Any] = json_column()
    created_at: datetime = instant()
    put_away_at: datetime | None = instant(nullable=True)


class MovementTagRow(SQLModel, table=True):
    """A tag that a coach gave a movement, of the catalogue or of their own."""

    __tablename__ = "movement_tag"

    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE", primary_key=True)
    movement: str = Field(primary_key=True)
    tag: str = Field(primary_key=True)
