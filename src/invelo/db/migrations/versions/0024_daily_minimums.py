"""Several daily minimums at once, each with a cheer and what stays in sight."""

import sqlalchemy as sa
from alembic import op

revision = "0024"
down_revision = "0023"

RUNNING = "uq_daily_minimum_running"


def upgrade() -> None:
    """Those there are have neither yet."""
    for name in ("cheer", "in_sight"):
        op.add_column(
            "daily_minimum", sa.Column(name, sa.String(), nullable=False, server_default="")
        )
        op.alter_column("daily_minimum", name, server_default=None)
    op.drop_index(RUNNING, "daily_minimum")
    op.create_index(
        "ix_daily_minimum_running",
        "daily_minimum",
        ["athlete_id"],
        postgresql_where=sa.text("ended_on IS NULL"),
    )


def downgrade() -> None:
    """The newest goes on alone."""
    op.execute(
        "UPDATE daily_minimum SET ended_on = begun_on WHERE ended_on IS NULL AND id NOT IN ("
        "SELECT DISTINCT ON (athlete_id) id FROM daily_minimum WHERE ended_on IS NULL "
        "ORDER BY athlete_id, begun_on DESC, id)"
    )
    op.drop_index("ix_daily_minimum_running", "daily_minimum")
    op.create_index(
        RUNNING,
        "daily_minimum",
        ["athlete_id"],
        unique=True,
        postgresql_where=sa.text("ended_on IS NULL"),
    )
    op.drop_column("daily_minimum", "in_sight")
    op.drop_column("daily_minimum", "cheer")
