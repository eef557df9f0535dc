"""Workshop: ladders that branch and join, what counts as a step, edits that can be undone."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0006"
down_revision = "0005"

STEPS = (
    ("least_reps", sa.Float(), "5"),
    ("least_seconds", sa.Float(), "5"),
    ("step", sa.Float(), "0.1"),
    ("levers", sa.ARRAY(sa.Text()), "{tempo,lever,range,load}"),
    ("drawn", sa.Integer(), "0"),
)

IN_A_ROW = """
INSERT INTO tie (lower_id, upper_id)
SELECT lower.id, upper.id FROM rung AS lower
JOIN rung AS upper
  ON upper.ladder_id = lower.ladder_id AND upper.position = lower.position + 1
"""


def upgrade() -> None:
    """Every ladder so far climbs in a row."""
    for name, kind, usual in STEPS:
        op.add_column("ladder", sa.Column(name, kind, nullable=False, server_default=usual))
        op.alter_column("ladder", name, server_default=None)
    op.add_column("rung", sa.Column("why", sa.String(), nullable=False, server_default=""))
    op.alter_column("rung", "why", server_default=None)
    op.drop_constraint(op.f("ck_rung_unit"), "rung")
    op.create_check_constraint(op.f("ck_rung_unit"), "rung", "unit IN ('reps', 's', 'cm')")
    op.create_table(
        "tie",
        sa.Column(
            "lower_id", sa.Uuid(), sa.ForeignKey("rung.id", ondelete="CASCADE"), primary_key=True
        ),
        sa.Column(
            "upper_id", sa.Uuid(), sa.ForeignKey("rung.id", ondelete="CASCADE"), primary_key=True
        ),
    )
    op.create_index("ix_tie_upper_id", "tie", ["upper_id"])
    op.execute(IN_A_ROW)
    op.create_table(
        "sketch",
        sa.Column("id", sa.Uuid(), primary_key=True),
        sa.Column(
            "ladder_id",
            sa.Uuid(),
            sa.ForeignKey("ladder.id", ondelete="CASCADE"),
            nullable=False,
        ),
        sa.Column("number", sa.Integer(), nullable=False),
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("word", sa.String(), nullable=False),
        sa.Column("document", JSONB(), nullable=False),
        sa.UniqueConstraint("ladder_id", "number"),
    )


def downgrade() -> None:
    """Back to ladders in a row."""
    op.drop_table("sketch")
    op.drop_table("tie")
    op.drop_column("rung", "why")
    op.drop_constraint(op.f("ck_rung_unit"), "rung")
    op.create_check_constraint(op.f("ck_rung_unit"), "rung", "unit IN ('reps', 's')")
    for name, _, _ in STEPS:
        op.drop_column("ladder", name)
