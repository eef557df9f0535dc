"""Bands, each measured by its coach."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0003"
down_revision = "0002"


def upgrade() -> None:
    """Make the table."""
    op.create_table(
        "band",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("account_id", sa.Uuid(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("rest_m", sa.Float(), nullable=False),
        sa.Column("limit", sa.Float(), nullable=False),
        sa.Column("pulls", JSONB(), nullable=False),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.ForeignKeyConstraint(
            ["account_id"], ["account.id"], name="fk_band_account_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_band"),
        sa.UniqueConstraint("account_id", "name", name="uq_band_account_id_name"),
    )


def downgrade() -> None:
    """Drop it."""
    op.drop_table("band")
