"""What lists and trends read, kept in columns: sums of a session's sets, a placement's figures."""

import sqlalchemy as sa
from alembic import op

revision = "0010"
down_revision = "0009"

FIGURES = ("likely", "low", "high", "unit")
"""Of a placement, kept beside the whole result."""


def upgrade() -> None:
    """Add the sums, and work them out for what is there."""
    op.add_column("training_session", sa.Column("of_sets", sa.Float()))
    op.add_column("training_session", sa.Column("lasted_s", sa.Float()))
    op.execute(
        """
        UPDATE training_session s SET of_sets = sums.effort, lasted_s = sums.lasted
        FROM (
            SELECT done.session_id, avg(done.effort) AS effort,
                   greatest(0, extract(epoch FROM max(done.at) - of.at)) AS lasted
            FROM logged_set done JOIN training_session of ON of.id = done.session_id
            WHERE NOT EXISTS (SELECT FROM logged_set later WHERE later.corrects = done.id)
            GROUP BY done.session_id, of.at
        ) sums
        WHERE sums.session_id = s.id AND s.finished_at IS NOT NULL
        """
    )
    for name in ("likely", "low", "high"):
        op.add_column("placement", sa.Column(name, sa.Float()))
    op.add_column("placement", sa.Column("unit", sa.String()))
    op.add_column("placement", sa.Column("told_on", sa.Date()))
    op.execute(
        """
        UPDATE placement SET likely = (told ->> 'likely')::float, low = (told ->> 'low')::float,
            high = (told ->> 'high')::float, unit = told ->> 'unit', told_on = day::date,
            result = result - 'told_on'
        FROM (SELECT id, result -> 'capacity' AS told, result ->> 'told_on' AS day FROM placement) p
        WHERE p.id = placement.id
        """
    )
    for name in FIGURES:
        op.alter_column("placement", name, nullable=False)
    op.create_index(
        "ix_training_session_load",
        "training_session",
        ["athlete_id", "local_date"],
        postgresql_include=["effort", "of_sets", "lasted_s"],
        postgresql_where=sa.text("finished_at IS NOT NULL"),
    )
    op.create_index(
        "ix_logged_set_corrects",
        "logged_set",
        ["corrects"],
        postgresql_where=sa.text("corrects IS NOT NULL"),
    )


def downgrade() -> None:
    """Leave them out again."""
    op.drop_index("ix_logged_set_corrects")
    op.drop_index("ix_training_session_load")
    op.execute(
        """
        UPDATE placement SET result = result || jsonb_build_object('told_on', told_on)
        WHERE told_on IS NOT NULL
        """
    )
    for name in (*FIGURES, "told_on"):
        op.drop_column("placement", name)
    op.drop_column("training_session", "lasted_s")
    op.drop_column("training_session", "of_sets")
