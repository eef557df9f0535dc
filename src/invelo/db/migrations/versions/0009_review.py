"""Review: every outcome, decisions of a week, the outbox."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0009"
down_revision = "0008"

BEFORE = ("stop", "step-back", "hold", "step-up")
NOW = (
    *("stop", "ease-off", "step-back", "hold", "add-amount", "add-set", "slow-tempo", "add-load"),
    *("less-help", "step-up", "swap-surface", "cut-frequency", "test-again"),
)
DEFERRED = (
    ("ladder", "fk_ladder_standing_id", "rung", "standing_id", "SET NULL"),
    ("logged_set", "fk_logged_set_corrects", "logged_set", "corrects", "CASCADE"),
)
"""References that point back, so that a whole archive can be written in any order of rows."""


OLD_NAME, NAME = "ck_decision_ck_decision_outcome", "ck_decision_outcome"


def _outcomes(values: tuple[str, ...], old: str, new: str) -> None:
    known = ", ".join(f"'{value}'" for value in values)
    op.drop_constraint(op.f(old), "decision")
    op.create_check_constraint(op.f(new), "decision", f"outcome IN ({known})")


def upgrade() -> None:
    """Widen decisions, add what the review keeps."""
    _outcomes(NOW, OLD_NAME, NAME)
    op.alter_column("decision", "session_id", nullable=True)
    op.add_column("decision", sa.Column("monday", sa.Date()))
    op.add_column("decision", sa.Column("made", JSONB()))
    op.add_column("decision", sa.Column("amount", sa.Float()))
    op.create_index(
        "ix_decision_waiting",
        "decision",
        ["ladder_id", "at"],
        postgresql_where=sa.text("answer IS NULL"),
    )
    op.create_table(
        "week_review",
        sa.Column(
            "athlete_id",
            sa.Uuid(),
            sa.ForeignKey("athlete.id", ondelete="CASCADE"),
            primary_key=True,
        ),
        sa.Column("monday", sa.Date(), primary_key=True),
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
    )
    op.create_table(
        "outbox_message",
        sa.Column("id", sa.Uuid(), primary_key=True),
        sa.Column(
            "athlete_id",
            sa.Uuid(),
            sa.ForeignKey("athlete.id", ondelete="CASCADE"),
            nullable=False,
        ),
        sa.Column(
            "decision_id",
            sa.Uuid(),
            sa.ForeignKey("decision.id", ondelete="CASCADE"),
            unique=True,
        ),
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
        sa.Column("subject", sa.String(), nullable=False),
        sa.Column("body", sa.String(), nullable=False),
    )
    op.create_index("ix_outbox_message_athlete_id_at", "outbox_message", ["athlete_id", "at"])
    for table, name, other, column, ondelete in DEFERRED:
        op.drop_constraint(op.f(name), table)
        op.create_foreign_key(
            name, table, other, [column], ["id"], ondelete=ondelete, deferrable=True
        )


def downgrade() -> None:
    """Back to four outcomes; decisions of other kinds and of weeks go."""
    for table, name, other, column, ondelete in DEFERRED:
        op.drop_constraint(op.f(name), table)
        op.create_foreign_key(name, table, other, [column], ["id"], ondelete=ondelete)
    op.drop_table("outbox_message")
    op.drop_table("week_review")
    op.drop_index("ix_decision_waiting", "decision")
    known = ", ".join(f"'{value}'" for value in BEFORE)
    op.execute(f"DELETE FROM decision WHERE session_id IS NULL OR outcome NOT IN ({known})")  # noqa: S608
    for column in ("amount", "made", "monday"):
        op.drop_column("decision", column)
    op.alter_column("decision", "session_id", nullable=False)
    _outcomes(BEFORE, NAME, OLD_NAME)
