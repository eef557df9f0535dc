"""Limits that coaches set besides what the screen says."""

import sqlalchemy as sa
from alembic import op

revision = "0021"
down_revision = "0020"


def upgrade() -> None:
    """No coach has set any yet."""
    op.create_table(
        "athlete_limit",
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("time_zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("athlete_id", sa.Uuid(), nullable=False),
        sa.Column("author_id", sa.Uuid()),
        sa.Column("quantity", sa.String(), nullable=False),
        sa.Column("most", sa.Float(), nullable=False),
        sa.Column("why", sa.String(), nullable=False),
        sa.Column("until", sa.Date()),
        sa.Column("ended_at", sa.DateTime(timezone=True)),
        sa.Column("ended_by", sa.Uuid()),
        sa.CheckConstraint("most BETWEEN 0 AND 200", name=op.f("ck_athlete_limit_most")),
        sa.ForeignKeyConstraint(
            ["athlete_id"], ["athlete.id"], name="fk_athlete_limit_athlete_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["author_id"], ["account.id"], name="fk_athlete_limit_author_id", ondelete="SET NULL"
        ),
        sa.ForeignKeyConstraint(
            ["ended_by"], ["account.id"], name="fk_athlete_limit_ended_by", ondelete="SET NULL"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_athlete_limit"),
    )
    op.create_index("ix_athlete_limit_athlete_id", "athlete_limit", ["athlete_id"])


def downgrade() -> None:
    """What coaches had closed besides opens again."""
    op.drop_table("athlete_limit")
