"""Devices from which a coach has signed in before: guessing elsewhere does not lock them out."""

import sqlalchemy as sa
from alembic import op

revision = "0015"
down_revision = "0014"


def upgrade() -> None:
    """Nobody is known yet."""
    op.create_table(
        "sign_in_device",
        sa.Column("token_hash", sa.String(), nullable=False),
        sa.Column("account_id", sa.Uuid(), nullable=False),
        sa.Column("seen_at", sa.DateTime(timezone=True), nullable=False),
        sa.ForeignKeyConstraint(
            ["account_id"],
            ["account.id"],
            name="fk_sign_in_device_account_id",
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("token_hash", name="pk_sign_in_device"),
    )
    op.create_index("ix_sign_in_device_account_id", "sign_in_device", ["account_id"])


def downgrade() -> None:
    """Nobody is known any more."""
    op.drop_table("sign_in_device")
