"""What a ladder prescribes comes before the targets of regions: the usual weights are newer."""

from alembic import op

revision = "0019"
down_revision = "0018"


def upgrade() -> None:
    """A weight that is still the former usual one gives way to the usual one of today."""
    op.execute(
        "UPDATE availability SET document = jsonb_set(document, '{weights}', "
        "(document -> 'weights') - 'asked') WHERE document -> 'weights' ->> 'asked' = '12'"
    )


def downgrade() -> None:
    """The former usual weight again."""
    op.execute(
        "UPDATE availability SET document = document #- '{weights,prescribed}' "
        "#- '{weights,together}'"
    )
    op.execute(
        "UPDATE availability SET document = jsonb_set(document, '{weights,asked}', '12') "
        "WHERE document ? 'weights'"
    )
