"""Who entered a set: a coach by hand, or nobody but the athlete's own device."""

import sqlalchemy as sa
from alembic import op

revision = "0012"
down_revision = "0011"


def upgrade() -> None:
    """Room for it; what was logged before does not say."""
    op.add_column("logged_set", sa.Column("author_id", sa.Uuid()))
    op.create_foreign_key("fk_logged_set_author_id", "logged_set", "account", ["author_id"], ["id"])


def downgrade() -> None:
    """Without it."""
    op.drop_constraint("fk_logged_set_author_id", "logged_set")
    op.drop_column("logged_set", "author_id")
