"""Athletes put away, invitations to coach them, passwords set anew, and who did what of it."""

import sqlalchemy as sa
from alembic import op

revision = "0025"
down_revision = "0024"

INSTANT = sa.DateTime(timezone=True)


def upgrade() -> None:
    """Nobody is put away yet."""
    op.add_column("athlete", sa.Column("archived_at", INSTANT, nullable=True))
    op.create_table(
        "invitation",
        sa.Column("id", sa.Uuid(), primary_key=True),
        sa.Column("token_hash", sa.String(), nullable=False, unique=True),
        sa.Column(
            "account_id",
            sa.Uuid(),
            sa.ForeignKey("account.id", ondelete="CASCADE"),
            nullable=False,
            index=True,
        ),
        sa.Column(
            "athlete_id", sa.Uuid(), sa.ForeignKey("athlete.id", ondelete="CASCADE"), index=True
        ),
        sa.Column("role", sa.String(), nullable=False),
        sa.Column("meant_for", sa.String(), nullable=False),
        sa.Column("created_at", INSTANT, nullable=False),
        sa.Column("expires_at", INSTANT, nullable=False),
        sa.Column("used_at", INSTANT),
        sa.Column("used_by", sa.Uuid(), sa.ForeignKey("account.id", ondelete="SET NULL")),
        sa.CheckConstraint("role IN ('coach', 'reader')", name="ck_invitation_role"),
    )
    op.create_table(
        "password_reset",
        sa.Column("token_hash", sa.String(), primary_key=True),
        sa.Column(
            "account_id",
            sa.Uuid(),
            sa.ForeignKey("account.id", ondelete="CASCADE"),
            nullable=False,
            index=True,
        ),
        sa.Column("expires_at", INSTANT, nullable=False),
    )
    op.create_table(
        "account_event",
        sa.Column("id", sa.Uuid(), primary_key=True),
        sa.Column("at", INSTANT, nullable=False),
        sa.Column(
            "account_id",
            sa.Uuid(),
            sa.ForeignKey("account.id", ondelete="CASCADE"),
            nullable=False,
            index=True,
        ),
        sa.Column(
            "athlete_id", sa.Uuid(), sa.ForeignKey("athlete.id", ondelete="CASCADE"), index=True
        ),
        sa.Column("what", sa.String(), nullable=False),
    )


def downgrade() -> None:
    """Whoever is put away stands in the squad again."""
    op.drop_table("account_event")
    op.drop_table("password_reset")
    op.drop_table("invitation")
    op.drop_column("athlete", "archived_at")
