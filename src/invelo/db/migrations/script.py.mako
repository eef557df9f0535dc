"""${message}.

Revision: ${up_revision}, after ${down_revision | comma,n}.
"""

import sqlalchemy as sa
from alembic import op

revision = ${repr(up_revision)}
down_revision = ${repr(down_revision)}


def upgrade() -> None:
    """${message}."""
    ${upgrades if upgrades else "pass"}


def downgrade() -> None:
    """Undo it."""
    ${downgrades if downgrades else "pass"}
