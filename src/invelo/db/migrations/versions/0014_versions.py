"""Versions that never return, so that a stale page overwrites nothing; an undone plan of a week
stays and keeps its number."""

import sqlalchemy as sa
from alembic import op

revision = "0014"
down_revision = "0013"

VERSIONED = ("ladder", "rung", "person", "availability")


def upgrade() -> None:
    """A version for everything that is edited; what stands gets one of its own each."""
    for table in VERSIONED:
        anew = sa.text("md5(random()::text)")
        op.add_column(table, sa.Column("version", sa.String(), nullable=False, server_default=anew))
        op.alter_column(table, "version", server_default=None)
    op.add_column("week_plan", sa.Column("undone_at", sa.DateTime(timezone=True)))


def downgrade() -> None:
    """Without them; plans that were undone go."""
    op.execute("DELETE FROM week_plan WHERE undone_at IS NOT NULL")
    op.drop_column("week_plan", "undone_at")
    for table in VERSIONED:
        op.drop_column(table, "version")
