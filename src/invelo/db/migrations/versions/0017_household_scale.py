"""What a household scale says of a body."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0017"
down_revision = "0016"


def upgrade() -> None:
    """Nobody was asked yet."""
    op.create_table(
        "scale_check",
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("time_zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
        sa.Column("model_version", sa.String(), nullable=False),
        sa.Column("catalogue_version", sa.String(), nullable=False),
        sa.Column("inputs", JSONB(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("athlete_id", sa.Uuid(), nullable=False),
        sa.Column("hands_log", sa.Float(), nullable=False),
        sa.Column("hands_sd", sa.Float(), nullable=False),
        sa.Column("accepted_at", sa.DateTime(timezone=True)),
        sa.Column("undone_at", sa.DateTime(timezone=True)),
        sa.ForeignKeyConstraint(
            ["athlete_id"], ["athlete.id"], name="fk_scale_check_athlete_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_scale_check"),
    )
    op.create_index("ix_scale_check_athlete_id", "scale_check", ["athlete_id"])
    for column in ("hands_log", "hands_sd"):
        op.add_column("body_measurement", sa.Column(column, sa.Float()))


def downgrade() -> None:
    """Loads are as the model says again."""
    for column in ("hands_log", "hands_sd"):
        op.drop_column("body_measurement", column)
    op.drop_table("scale_check")
