"""Sets that are a part of the one before, and attempts."""

from alembic import op

revision = "0022"
down_revision = "0021"

NAME = "ck_logged_set_kind"
BEFORE = "'work', 'easy', 'drop', 'piece', 'single', 'cluster'"


def upgrade() -> None:
    """Two more kinds."""
    op.drop_constraint(op.f(NAME), "logged_set")
    op.create_check_constraint(op.f(NAME), "logged_set", f"kind IN ({BEFORE}, 'part', 'attempt')")


def downgrade() -> None:
    """A part was dropped to, an attempt was easy: neither judges anything."""
    op.execute("ALTER TABLE logged_set DISABLE TRIGGER logged_set_append_only")
    op.execute("UPDATE logged_set SET kind = 'drop' WHERE kind = 'part'")
    op.execute("UPDATE logged_set SET kind = 'easy' WHERE kind = 'attempt'")
    op.execute("ALTER TABLE logged_set ENABLE TRIGGER logged_set_append_only")
    op.drop_constraint(op.f(NAME), "logged_set")
    op.create_check_constraint(op.f(NAME), "logged_set", f"kind IN ({BEFORE})")
