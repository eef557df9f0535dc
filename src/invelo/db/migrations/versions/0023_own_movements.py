"""Movements that coaches make."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0023"
down_revision = "0022"


def upgrade() -> None:
    """No coach has made any yet."""
    op.create_table(
        "own_movement",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("account_id", sa.Uuid(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("document", postgresql.JSONB(), nullable=False),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("put_away_at", sa.DateTime(timezone=True)),
        sa.ForeignKeyConstraint(
            ["account_id"], ["account.id"], name="fk_own_movement_account_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_own_movement"),
    )
    op.create_index("ix_own_movement_account_id", "own_movement", ["account_id"])


def downgrade() -> None:
    """What was made is no longer known."""
    op.drop_table("own_movement")
