"""Places that hurt until they are cleared, and screens that are half asked; ratings and floors."""

import sqlalchemy as sa
from alembic import op

revision = "0020"
down_revision = "0019"


def upgrade() -> None:
    """No place is known to hurt but by what is logged next."""
    _allow("'unasked', 'go', 'limits', 'doctor'")
    op.add_column("kit_item", sa.Column("rated_kg", sa.Float()))
    op.execute("UPDATE kit_item SET height_m = 0.01 WHERE height_m < 0.01")
    _floors("'gripping', 'smooth', 'both'")
    op.create_table(
        "spared_place",
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("time_zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("athlete_id", sa.Uuid(), nullable=False),
        sa.Column("place", sa.String(), nullable=False),
        sa.Column("pain", sa.Integer(), nullable=False),
        sa.Column("cleared_at", sa.DateTime(timezone=True)),
        sa.Column("cleared_by", sa.Uuid()),
        sa.Column("note", sa.String(), nullable=False),
        sa.Column("borne", sa.Integer()),
        sa.CheckConstraint("pain BETWEEN 0 AND 10", name=op.f("ck_spared_place_pain")),
        sa.ForeignKeyConstraint(
            ["athlete_id"], ["athlete.id"], name="fk_spared_place_athlete_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["cleared_by"], ["account.id"], name="fk_spared_place_cleared_by", ondelete="SET NULL"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_spared_place"),
    )
    op.create_index("ix_spared_place_athlete_id", "spared_place", ["athlete_id"])
    op.create_index(
        "ix_spared_place_open",
        "spared_place",
        ["athlete_id"],
        postgresql_where=sa.text("cleared_at IS NULL"),
    )


def _floors(floors: str) -> None:
    name = op.f("ck_place_floor")
    op.drop_constraint(name, "place", type_="check")
    op.create_check_constraint(name, "place", f"floor IN ({floors})")


def _allow(outcomes: str) -> None:
    name = op.f("ck_screening_ck_screening_outcome")
    op.drop_constraint(name, "screening", type_="check")
    op.create_check_constraint(name, "screening", f"outcome IN ({outcomes})")


def downgrade() -> None:
    """What was half asked counts as asked."""
    op.execute("UPDATE screening SET outcome = 'go' WHERE outcome = 'unasked'")
    _allow("'go', 'limits', 'doctor'")
    op.drop_table("spared_place")
    op.execute("UPDATE place SET floor = 'gripping' WHERE floor = 'both'")
    _floors("'gripping', 'smooth'")
    op.drop_column("kit_item", "rated_kg")
