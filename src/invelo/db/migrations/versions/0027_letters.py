"""Athletes' addresses for letters, and what became of a message."""

import sqlalchemy as sa
from alembic import op

revision = "0027"
down_revision = "0026"

STATES = "'draft', 'queued', 'sent', 'failed'"


def upgrade() -> None:
    """Nobody has an address yet; every message so far is a draft."""
    op.add_column("athlete", sa.Column("email", sa.String(), nullable=False, server_default=""))
    op.add_column("athlete", sa.Column("letters_stopped_at", sa.DateTime(timezone=True)))
    op.add_column(
        "athlete",
        sa.Column(
            "letters_key", sa.Uuid(), nullable=False, server_default=sa.text("gen_random_uuid()")
        ),
    )
    op.create_unique_constraint(op.f("uq_athlete_letters_key"), "athlete", ["letters_key"])
    op.add_column(
        "message", sa.Column("status", sa.String(), nullable=False, server_default="draft")
    )
    op.create_check_constraint(op.f("ck_message_status"), "message", f"status IN ({STATES})")
    op.add_column("message", sa.Column("sent_at", sa.DateTime(timezone=True)))
    op.add_column("message", sa.Column("failure", sa.String(), nullable=False, server_default=""))


def downgrade() -> None:
    """Back to messages that are only read here."""
    for column in ("failure", "sent_at", "status"):
        op.drop_column("message", column)
    for column in ("letters_key", "letters_stopped_at", "email"):
        op.drop_column("athlete", column)
