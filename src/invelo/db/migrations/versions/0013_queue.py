"""Long work leaves the request: the queue's own tables, as its package publishes them, and the
plannings of weeks."""

from pathlib import Path

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0013"
down_revision = "0012"

QUEUE = Path(__file__).parents[1] / "queue_3_10.sql"
"""The schema of procrastinate 3.10, unchanged; the queue is no part of an archive."""

OF_QUEUE = """
DROP TABLE procrastinate_events, procrastinate_periodic_defers, procrastinate_jobs,
    procrastinate_workers CASCADE;
DROP TYPE procrastinate_job_to_defer_v1 CASCADE;
DROP TYPE procrastinate_job_status CASCADE;
DROP TYPE procrastinate_job_event_type CASCADE;
DO $$
DECLARE of_queue regprocedure;
BEGIN
    FOR of_queue IN SELECT p.oid::regprocedure FROM pg_proc p
        JOIN pg_namespace n ON n.oid = p.pronamespace
        WHERE n.nspname = current_schema() AND p.proname LIKE 'procrastinate\\_%'
    LOOP
        EXECUTE 'DROP FUNCTION ' || of_queue || ' CASCADE';
    END LOOP;
END $$;
"""


def upgrade() -> None:
    """Make both."""
    _plainly(QUEUE.read_text(encoding="utf-8"))
    op.create_table(
        "week_planning",
        sa.Column("id", sa.Uuid(), primary_key=True),
        sa.Column("athlete_id", sa.Uuid(), nullable=False),
        sa.Column("week_start", sa.Date(), nullable=False),
        sa.Column("again", sa.Boolean(), nullable=False),
        sa.Column("note", sa.String(), nullable=False),
        sa.Column("question", JSONB(), nullable=False),
        sa.Column("asks", sa.Integer(), nullable=False),
        sa.Column("state", sa.String(), nullable=False),
        sa.Column("progress", JSONB()),
        sa.Column("result", JSONB()),
        sa.Column("refusal", JSONB()),
        sa.Column("asked_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("changed_at", sa.DateTime(timezone=True), nullable=False),
        sa.ForeignKeyConstraint(
            ["athlete_id"], ["athlete.id"], "fk_week_planning_athlete_id", ondelete="CASCADE"
        ),
        sa.CheckConstraint(
            "state IN ('queued', 'working', 'solved', 'stopped', 'refused')",
            op.f("ck_week_planning_state"),
        ),
        sa.CheckConstraint(
            "EXTRACT(ISODOW FROM week_start) = 1", op.f("ck_week_planning_week_start")
        ),
    )
    op.create_index(
        "uq_week_planning_under_way",
        "week_planning",
        ["athlete_id", "week_start"],
        unique=True,
        postgresql_where=sa.text("state IN ('queued', 'working')"),
    )


def downgrade() -> None:
    """Take both away; what waited in the queue is gone."""
    op.drop_table("week_planning")
    _plainly(OF_QUEUE)


def _plainly(statements: str) -> None:
    """Run statements as they are: with no parameters, nothing in them is taken for one."""
    connection = op.get_bind().connection.driver_connection
    assert connection is not None  # noqa: S101  (a migration runs over one)
    connection.cursor().execute(statements)
