"""The rows of long work that somebody asked for and waits for, besides planning a week."""

from datetime import datetime
from typing import Any
from uuid import UUID, uuid4

from sqlalchemy import CheckConstraint, Index, text
from sqlalchemy.dialects.postgresql import JSONB
from sqlmodel import Field, SQLModel

from invelo.db.columns import instant, json_column, one_of

UNDER_WAY = ("queued", "working")
"""States of a task that still changes."""


class BackgroundTaskRow(SQLModel, table=True):
    """Long work: a file to be read in for an athlete, or plans to be compared.

    A file is an athlete's, a comparison an account's; of each kind there is one under way for its
    owner. `question` says what is to be done, `content` holds a file's bytes until it has ended.
    """

    __tablename__ = "background_task"
    __table_args__ = (
        one_of("kind", "log_file", "comparison"),
        one_of("state", *UNDER_WAY, "done", "stopped", "refused"),
        CheckConstraint(
            "(kind = 'log_file') = (athlete_id IS NOT NULL)"
            " AND (kind = 'comparison') = (account_id IS NOT NULL)",
            "owner",
        ),
        Index(
            "uq_background_task_under_way",
            "kind",
            text("coalesce(athlete_id, account_id)"),
            unique=True,
            postgresql_where=text("state IN ('queued', 'working')"),
        ),
    )

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    account_id: UUID | None = Field(
        default=None, foreign_key="account.id", ondelete="CASCADE", index=True
    )
    athlete_id: UUID | None = Field(
        default=None, foreign_key="athlete.id", ondelete="CASCADE", index=True
    )
    kind: str
    question: dict[str, Any] = json_column()
    content: bytes | None = None
    state: str = "queued"
    progress: int = 0
    result: dict[str, Any] | None = Field(default=None, sa_type=JSONB(none_as_null=True))
    refusal: dict[str, Any] | None = Field(default=None, sa_type=JSONB(none_as_null=True))
    asked_at: datetime = instant()
    changed_at: datetime = instant()
