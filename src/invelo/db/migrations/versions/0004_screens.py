"""Screens and clearances."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import ARRAY, JSONB

revision = "0004"
down_revision = "0003"


def _dated() -> tuple[sa.Column, ...]:  # type: ignore[type-arg]
    return (
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
    )


def upgrade() -> None:
    """Make both tables."""
    op.create_table(
        "screening",
        sa.Column("model_version", sa.String(), nullable=False),
        sa.Column("catalogue_version", sa.String(), nullable=False),
        sa.Column("inputs", JSONB(), nullable=False),
        *_dated(),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("athlete_id", sa.Uuid(), nullable=False),
        sa.Column("outcome", sa.String(), nullable=False),
        sa.Column("findings", JSONB(), nullable=False),
        sa.CheckConstraint("outcome IN ('go', 'limits', 'doctor')", name="ck_screening_outcome"),
        sa.ForeignKeyConstraint(
            ["athlete_id"], ["athlete.id"], name="fk_screening_athlete_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_screening"),
    )
    op.create_index("ix_screening_athlete_id", "screening", ["athlete_id"], unique=False)
    op.create_table(
        "clearance",
        *_dated(),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("screening_id", sa.Uuid(), nullable=False),
        sa.Column("author_id", sa.Uuid(), nullable=True),
        sa.Column("said_by", sa.String(), nullable=False),
        sa.Column("word", sa.String(), nullable=False),
        sa.Column("lifts", ARRAY(sa.Text()), nullable=False),
        sa.ForeignKeyConstraint(
            ["author_id"], ["account.id"], name="fk_clearance_author_id", ondelete="SET NULL"
        ),
        sa.ForeignKeyConstraint(
            ["screening_id"],
            ["screening.id"],
            name="fk_clearance_screening_id",
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("id", name="pk_clearance"),
    )
    op.create_index("ix_clearance_screening_id", "clearance", ["screening_id"], unique=False)


def downgrade() -> None:
    """Drop them."""
    op.drop_table("clearance")
    op.drop_table("screening")
