"""Long work that somebody waits for: large files, comparisons of plans."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0016"
down_revision = "0015"


def upgrade() -> None:
    """Nothing is asked for yet."""
    op.create_table(
        "background_task",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("account_id", sa.Uuid()),
        sa.Column("athlete_id", sa.Uuid()),
        sa.Column("kind", sa.String(), nullable=False),
        sa.Column("question", JSONB(), nullable=False),
        sa.Column("content", sa.LargeBinary()),
        sa.Column("state", sa.String(), nullable=False),
        sa.Column("progress", sa.Integer(), nullable=False),
        sa.Column("result", JSONB()),
        sa.Column("refusal", JSONB()),
        sa.Column("asked_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("changed_at", sa.DateTime(timezone=True), nullable=False),
        sa.CheckConstraint("kind IN ('log_file', 'comparison')", name="kind"),
        sa.CheckConstraint(
            "state IN ('queued', 'working', 'done', 'stopped', 'refused')", name="state"
        ),
        sa.CheckConstraint(
            "(kind = 'log_file') = (athlete_id IS NOT NULL)"
            " AND (kind = 'comparison') = (account_id IS NOT NULL)",
            name="owner",
        ),
        sa.ForeignKeyConstraint(
            ["account_id"],
            ["account.id"],
            name="fk_background_task_account_id",
            ondelete="CASCADE",
        ),
        sa.ForeignKeyConstraint(
            ["athlete_id"],
            ["athlete.id"],
            name="fk_background_task_athlete_id",
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("id", name="pk_background_task"),
    )
    op.create_index("ix_background_task_account_id", "background_task", ["account_id"])
    op.create_index("ix_background_task_athlete_id", "background_task", ["athlete_id"])
    op.create_index(
        "uq_background_task_under_way",
        "background_task",
        ["kind", sa.text("coalesce(athlete_id, account_id)")],
        unique=True,
        postgresql_where=sa.text("state IN ('queued', 'working')"),
    )


def downgrade() -> None:
    """What was asked for is forgotten."""
    op.drop_table("background_task")
