"""The rows of planning: what is asked of a week, its plans, own sessions, the daily minimum,
feeds."""

from datetime import date, datetime
from typing import Any
from uuid import UUID, uuid4

from sqlalchemy import CheckConstraint, Index, UniqueConstraint, text
from sqlalchemy.dialects.postgresql import JSONB
from sqlmodel import Field, SQLModel

from invelo.db.columns import (
    Computed,
    Dated,
    SetUpColumns,
    Versioned,
    instant,
    json_column,
    one_of,
    within,
)


class AvailabilityRow(Versioned, table=True):
    """What a coach asks of an athlete's weeks, as `core.week.availability` writes it."""

    __tablename__ = "availability"

    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", primary_key=True)
    document: dict[str, Any] = json_column()
    updated_at: datetime = instant()


class WeekPlanRow(Dated, Computed, table=True):
    """A plan of a week as it was kept at one time, `number` counting its revisions; the newest
    that is not undone stands. `placed` holds tasks and days, `inputs` the problem, `result` the
    score."""

    __tablename__ = "week_plan"
    __table_args__ = (
        UniqueConstraint("athlete_id", "week_start", "number"),
        CheckConstraint("EXTRACT(ISODOW FROM week_start) = 1", "week_start"),
    )

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE")
    week_start: date
    number: int
    placed: list[tuple[str, int]] = json_column()
    result: dict[str, Any] = json_column()
    note: str = ""
    undone_at: datetime | None = instant(nullable=True)


UNDER_WAY = ("queued", "working")
"""States of a planning that still changes."""


class WeekPlanningRow(SQLModel, table=True):
    """A planning of a week that was asked for: how far it is, and what it ended with.

    One made `again` after an answer is kept by itself; another only once the coach keeps it.
    `question` holds pins, losses and the most seconds it may take; `asks` counts how often it was
    asked for.
    """

    __tablename__ = "week_planning"
    __table_args__ = (
        one_of("state", *UNDER_WAY, "solved", "stopped", "refused"),
        CheckConstraint("EXTRACT(ISODOW FROM week_start) = 1", "week_start"),
        Index(
            "uq_week_planning_under_way",
            "athlete_id",
            "week_start",
            unique=True,
            postgresql_where=text("state IN ('queued', 'working')"),
        ),
    )

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE")
    week_start: date
    again: bool = False
    note: str = ""
    question: dict[str, Any] = json_column()
    asks: int = 1
    state: str = "queued"
    progress: dict[str, Any] | None = Field(default=None, sa_type=JSONB(none_as_null=True))
    result: dict[str, Any] | None = Field(default=None, sa_type=JSONB(none_as_null=True))
    refusal: dict[str, Any] | None = Field(default=None, sa_type=JSONB(none_as_null=True))
    asked_at: datetime = instant()
    changed_at: datetime = instant()


class SessionTemplateRow(SQLModel, table=True):
    """A coach's own session to start from, as the domain's `Shape` writes it."""

    __tablename__ = "session_template"
    __table_args__ = (UniqueConstraint("account_id", "name"),)

    id: UUID = Field(primary_key=True)
    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE")
    name: str
    document: dict[str, Any] = json_column()
    created_at: datetime = instant()


class AdaptedDayRow(Dated, table=True):
    """A day that was adapted: what it allowed, and the session as it was done then; the newest
    of a day stands."""

    __tablename__ = "adapted_day"
    __table_args__ = (Index("ix_adapted_day_athlete_id_day", "athlete_id", "day"),)

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE")
    day: date
    allowed: dict[str, Any] = json_column()
    session: dict[str, Any] = json_column()


class DailyMinimumRow(SetUpColumns, table=True):
    """A daily minimum: one movement at a fixed moment of the day, in the zone of whoever does
    it. A changed one is a new row; the old stays, ended."""

    __tablename__ = "daily_minimum"

    __table_args__ = (
        Index(
            "ix_daily_minimum_running",
            "athlete_id",
            postgresql_where=text("ended_on IS NULL"),
        ),
        one_of("unit", "reps", "s"),
        within("amount", 1, 60),
    )

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE")
    moment: str
    at: str
    time_zone: str
    amount: int
    unit: str
    begun_on: date
    ended_on: date | None = None
    ended_why: str = ""
    cheer: str = ""
    in_sight: str = ""


class DailyMinimumTickRow(Dated, table=True):
    """A daily minimum done: a try on the first day, or the day's tick, which is one."""

    __tablename__ = "daily_minimum_tick"
    __table_args__ = (
        Index(
            "uq_daily_minimum_tick_day",
            "daily_minimum_id",
            "local_date",
            unique=True,
            postgresql_where=text("NOT trial"),
        ),
        within("amount", 1, 600),
    )

    id: UUID = Field(primary_key=True)
    daily_minimum_id: UUID = Field(foreign_key="daily_minimum.id", ondelete="CASCADE")
    amount: int
    trial: bool = False


class CalendarFeedRow(SQLModel, table=True):
    """A private calendar address of an athlete; its token is kept only as its SHA-256."""

    __tablename__ = "calendar_feed"

    token_hash: str = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    created_at: datetime = instant()
    revoked_at: datetime | None = instant(nullable=True)
