"""Sets of two movements in turn, a coach's own tags of movements, and what a test was done as."""

import sqlalchemy as sa
from alembic import op

revision = "0026"
down_revision = "0025"

NAME = "ck_logged_set_kind"
BEFORE = "'work', 'easy', 'drop', 'piece', 'single', 'cluster', 'part', 'attempt'"


def upgrade() -> None:
    """One more kind, no tags yet, and tests known by their set-up alone."""
    op.add_column("test", sa.Column("kind", sa.String(), nullable=False, server_default=""))
    op.create_table(
        "movement_tag",
        sa.Column(
            "account_id",
            sa.Uuid(),
            sa.ForeignKey("account.id", ondelete="CASCADE"),
            primary_key=True,
        ),
        sa.Column("movement", sa.String(), primary_key=True),
        sa.Column("tag", sa.String(), primary_key=True),
    )
    op.drop_constraint(op.f(NAME), "logged_set")
    op.create_check_constraint(op.f(NAME), "logged_set", f"kind IN ({BEFORE}, 'turn')")


def downgrade() -> None:
    """What was done in turn followed without a rest: neither judges anything."""
    op.drop_table("movement_tag")
    op.drop_column("test", "kind")
    op.execute("ALTER TABLE logged_set DISABLE TRIGGER logged_set_append_only")
    op.execute("UPDATE logged_set SET kind = 'part' WHERE kind = 'turn'")
    op.execute("ALTER TABLE logged_set ENABLE TRIGGER logged_set_append_only")
    op.drop_constraint(op.f(NAME), "logged_set")
    op.create_check_constraint(op.f(NAME), "logged_set", f"kind IN ({BEFORE})")
