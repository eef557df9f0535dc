"""The rows of the review: what is proposed, which weeks were looked at, what athletes are told."""

from datetime import date, datetime
from typing import Any, get_args
from uuid import UUID, uuid4

from sqlalchemy import ARRAY, Column, Index, Text, text
from sqlalchemy.dialects.postgresql import JSONB
from sqlmodel import Field, SQLModel

from invelo.db.columns import Computed, Dated, instant, one_of
from invelo.domain.review.proposals.situation import OUTCOMES, Standing

ANSWERS = ("accept", "edit", "decline", "expired", "routine", "undone", "noted")
"""What became of a proposal: the coach's three answers; a newer one spoke; it was done by itself;
that was undone; or there was nothing to answer."""

STANDINGS: tuple[str, ...] = get_args(Standing)
MESSAGE_STATES = ("draft", "queued", "sent", "failed")


class ProposalRow(Dated, Computed, table=True):
    """A proposal put to the coach after a session or at the end of a week, and what they said.

    `session_id` is empty for a week's, `monday` for a session's: the first day of the week to come.
    `made` holds a rung that is to be put on the ladder, `prescription` the rung as it is asked once
    it is taken, `amount` days or a share. `standing` says what it is to the coach.
    """

    __tablename__ = "proposal"

    __table_args__ = (
        Index("ix_proposal_ladder_id_at", "ladder_id", "at"),
        Index("ix_proposal_pending", "ladder_id", "at", postgresql_where=text("answer IS NULL")),
        one_of("outcome", *OUTCOMES),
        one_of("answer", *ANSWERS),
        one_of("standing", *STANDINGS),
    )

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    ladder_id: UUID = Field(foreign_key="ladder.id", ondelete="CASCADE")
    session_id: UUID | None = Field(
        default=None, foreign_key="training_session.id", ondelete="CASCADE", index=True
    )
    week_start: date | None = None
    outcome: str
    from_rung_id: UUID = Field(foreign_key="rung.id", ondelete="CASCADE")
    to_rung_id: UUID = Field(foreign_key="rung.id", ondelete="CASCADE")
    made: dict[str, Any] | None = Field(default=None, sa_type=JSONB)
    prescription: dict[str, Any] | None = Field(default=None, sa_type=JSONB(none_as_null=True))
    standing: str = "question"
    amount: float | None = None
    reason: str
    figures: list[dict[str, Any]] = Field(sa_type=JSONB, nullable=False)
    rules: list[str] = Field(sa_column=Column(ARRAY(Text), nullable=False))
    confidence: str
    confidence_why: str
    answer: str | None = None
    answered_at: datetime | None = instant(nullable=True)
    answered_by: UUID | None = Field(default=None, foreign_key="account.id", ondelete="SET NULL")
    note: str = ""
    final_rung_id: UUID | None = Field(default=None, foreign_key="rung.id", ondelete="CASCADE")


class WeekReviewRow(SQLModel, table=True):
    """A week that was looked at for an athlete, by the Monday that begins the week to come."""

    __tablename__ = "week_review"

    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", primary_key=True)
    week_start: date = Field(primary_key=True)
    at: datetime = instant()


class MessageRow(Dated, table=True):
    """A message to an athlete in plain words: a draft until it is sent as a letter, or handed on
    by the coach. `failure` says why it did not go out, or not yet."""

    __tablename__ = "message"
    __table_args__ = (
        Index("ix_message_athlete_id_at", "athlete_id", "at"),
        one_of("status", *MESSAGE_STATES),
    )

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE")
    proposal_id: UUID | None = Field(
        default=None, foreign_key="proposal.id", ondelete="CASCADE", unique=True
    )
    subject: str
    body: str
    status: str = "draft"
    sent_at: datetime | None = instant(nullable=True)
    failure: str = ""
