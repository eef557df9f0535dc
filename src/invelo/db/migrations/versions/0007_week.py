"""Week: what is asked of it, its plans, own sessions, adapted days, the daily dose, feeds."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0007"
down_revision = "0006"


def _id(name: str = "id") -> sa.Column[object]:
    return sa.Column(name, sa.Uuid(), primary_key=True)


def _of(table: str, primary: bool = False) -> sa.Column[object]:
    return sa.Column(
        f"{table}_id",
        sa.Uuid(),
        sa.ForeignKey(f"{table}.id", ondelete="CASCADE"),
        nullable=False,
        primary_key=primary,
    )


def _instant(name: str, nullable: bool = False) -> sa.Column[object]:
    return sa.Column(name, sa.DateTime(timezone=True), nullable=nullable)


def _json(name: str) -> sa.Column[object]:
    return sa.Column(name, JSONB(), nullable=False)


def _text(name: str) -> sa.Column[object]:
    return sa.Column(name, sa.String(), nullable=False)


def _day(name: str, nullable: bool = False) -> sa.Column[object]:
    return sa.Column(name, sa.Date(), nullable=nullable)


def _dated() -> tuple[sa.Column[object], ...]:
    return _instant("at"), _text("zone"), _day("local_date")


def upgrade() -> None:
    """Planning."""
    op.create_table(
        "week_wishes", _of("athlete", primary=True), _json("told"), _instant("updated_at")
    )
    op.create_table(
        "week_plan",
        _id(),
        *_dated(),
        _text("model_version"),
        _text("catalogue_version"),
        _json("inputs"),
        _of("athlete"),
        _day("monday"),
        sa.Column("number", sa.Integer(), nullable=False),
        _json("placed"),
        _json("result"),
        _text("word"),
        sa.UniqueConstraint("athlete_id", "monday", "number"),
        sa.CheckConstraint("EXTRACT(ISODOW FROM monday) = 1", op.f("ck_week_plan_monday")),
    )
    op.create_table(
        "own_session",
        _id(),
        _of("account"),
        _text("name"),
        _json("document"),
        _instant("created_at"),
        sa.UniqueConstraint("account_id", "name"),
    )
    op.create_table(
        "adapted_day",
        _id(),
        *_dated(),
        _of("athlete"),
        _day("day"),
        _json("allowed"),
        _json("session"),
    )
    op.create_index("ix_adapted_day_athlete_id_day", "adapted_day", ["athlete_id", "day"])
    op.create_table(
        "habit",
        _id(),
        _text("movement"),
        _json("changes"),
        _of("athlete"),
        _text("moment"),
        sa.Column("at", sa.String(), nullable=False),
        _text("zone"),
        sa.Column("amount", sa.Integer(), nullable=False),
        _text("unit"),
        _day("begun_on"),
        _day("ended_on", nullable=True),
        _text("ended_why"),
        sa.CheckConstraint("unit IN ('reps', 's')", op.f("ck_habit_unit")),
        sa.CheckConstraint("amount BETWEEN 1 AND 60", op.f("ck_habit_amount")),
    )
    op.create_index(
        "uq_habit_running",
        "habit",
        ["athlete_id"],
        unique=True,
        postgresql_where=sa.text("ended_on IS NULL"),
    )
    op.create_table(
        "habit_tick",
        _id(),
        *_dated(),
        _of("habit"),
        sa.Column("amount", sa.Integer(), nullable=False),
        sa.Column("trial", sa.Boolean(), nullable=False),
        sa.CheckConstraint("amount BETWEEN 1 AND 600", op.f("ck_habit_tick_amount")),
    )
    op.create_index(
        "uq_habit_tick_day",
        "habit_tick",
        ["habit_id", "local_date"],
        unique=True,
        postgresql_where=sa.text("NOT trial"),
    )
    op.create_table(
        "calendar_feed",
        sa.Column("token_hash", sa.String(), primary_key=True),
        _of("athlete"),
        _instant("created_at"),
        _instant("revoked_at", nullable=True),
    )
    op.create_index("ix_calendar_feed_athlete_id", "calendar_feed", ["athlete_id"])


def downgrade() -> None:
    """Back to ladders alone."""
    for table in (
        "calendar_feed",
        "habit_tick",
        "habit",
        "adapted_day",
        "own_session",
        "week_plan",
        "week_wishes",
    ):
        op.drop_table(table)
