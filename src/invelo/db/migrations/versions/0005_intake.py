"""Intake: persons, readiness, places and kit, tests of any count, bands that start anew."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0005"
down_revision = "0004"

RENAMED = (
    ("pk_rep_test", "pk_test"),
    ("fk_rep_test_athlete_id", "fk_test_athlete_id"),
    ("ck_rep_test_ck_rep_test_effort", "ck_test_effort"),
)
# Earlier revisions gave checks their table's name twice.


def _dated() -> tuple[sa.Column, ...]:  # type: ignore[type-arg]
    return (
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
    )


def upgrade() -> None:
    """Reps become amounts with a unit; the new tables follow."""
    _amounts()
    op.add_column("measure", sa.Column("lengths", JSONB(), nullable=False, server_default="{}"))
    op.alter_column("measure", "lengths", server_default=None)
    op.add_column("band", sa.Column("retired_at", sa.DateTime(timezone=True)))
    op.add_column("band", sa.Column("retired_why", sa.String(), nullable=False, server_default=""))
    op.alter_column("band", "retired_why", server_default=None)
    op.drop_constraint(op.f("uq_band_account_id_name"), "band")
    op.create_index(
        "uq_band_in_use",
        "band",
        ["account_id", "name"],
        unique=True,
        postgresql_where=sa.text("retired_at IS NULL"),
    )
    _tables()


def _amounts() -> None:
    for old, new in (("reps_low", "low"), ("reps_high", "high"), ("gate_reps", "gate_amount")):
        op.alter_column("rung", old, new_column_name=new)
    op.add_column("rung", sa.Column("unit", sa.String(), nullable=False, server_default="reps"))
    op.alter_column("rung", "unit", server_default=None)
    op.create_check_constraint(op.f("ck_rung_unit"), "rung", "unit IN ('reps', 's')")
    op.drop_constraint(op.f("ck_logged_set_ck_logged_set_reps"), "logged_set")
    op.alter_column("logged_set", "reps", new_column_name="amount", type_=sa.Float())
    op.create_check_constraint(
        op.f("ck_logged_set_amount"), "logged_set", "amount BETWEEN 0 AND 3600"
    )
    op.rename_table("rep_test", "test")
    op.drop_constraint(op.f("ck_rep_test_ck_rep_test_reps"), "test")
    op.alter_column("test", "reps", new_column_name="amount", type_=sa.Float())
    op.create_check_constraint(op.f("ck_test_amount"), "test", "amount BETWEEN 0.5 AND 3600")
    op.add_column("test", sa.Column("side", sa.String(), nullable=False, server_default=""))
    op.alter_column("test", "side", server_default=None)
    op.create_check_constraint(op.f("ck_test_side"), "test", "side IN ('', 'left', 'right')")
    for old, new in RENAMED:
        op.execute(sa.text(f"ALTER TABLE test RENAME CONSTRAINT {old} TO {new}"))
    op.execute(sa.text("ALTER INDEX ix_rep_test_athlete_id RENAME TO ix_test_athlete_id"))


def _tables() -> None:
    op.create_table(
        "person",
        sa.Column("athlete_id", sa.Uuid(), nullable=False),
        sa.Column("told", JSONB(), nullable=False),
        sa.Column("updated_at", sa.DateTime(timezone=True), nullable=False),
        sa.ForeignKeyConstraint(
            ["athlete_id"], ["athlete.id"], name="fk_person_athlete_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("athlete_id", name="pk_person"),
    )
    op.create_table(
        "readiness",
        *_dated(),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("athlete_id", sa.Uuid(), nullable=False),
        sa.Column("check", sa.String(), nullable=False),
        sa.Column("passed", sa.Boolean(), nullable=False),
        sa.Column("word", sa.String(), nullable=False),
        sa.ForeignKeyConstraint(
            ["athlete_id"], ["athlete.id"], name="fk_readiness_athlete_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_readiness"),
    )
    op.create_index("ix_readiness_athlete_id", "readiness", ["athlete_id"], unique=False)
    op.create_table(
        "place",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("account_id", sa.Uuid(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("floor", sa.String(), nullable=False),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.CheckConstraint("floor IN ('gripping', 'smooth')", name=op.f("ck_place_floor")),
        sa.ForeignKeyConstraint(
            ["account_id"], ["account.id"], name="fk_place_account_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_place"),
        sa.UniqueConstraint("account_id", "name", name="uq_place_account_id_name"),
    )
    op.create_table(
        "kit_item",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("place_id", sa.Uuid(), nullable=False),
        sa.Column("kind", sa.String(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("height_m", sa.Float()),
        sa.Column("kg", sa.Float()),
        sa.Column("count", sa.Integer(), nullable=False),
        sa.Column("setup_minutes", sa.Float(), nullable=False),
        sa.Column("home_made", sa.Boolean(), nullable=False),
        sa.Column("band_id", sa.Uuid()),
        sa.Column("photo", sa.LargeBinary()),
        sa.Column("photo_type", sa.String(), nullable=False),
        sa.Column("approved_on", sa.Date()),
        sa.Column("checked_on", sa.Date()),
        sa.Column("safe", sa.Boolean()),
        sa.Column("checked_by", sa.String(), nullable=False),
        sa.ForeignKeyConstraint(
            ["place_id"], ["place.id"], name="fk_kit_item_place_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["band_id"], ["band.id"], name="fk_kit_item_band_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_kit_item"),
    )
    op.create_index("ix_kit_item_place_id", "kit_item", ["place_id"], unique=False)


def downgrade() -> None:
    """Back to reps alone; holds and what has no column there are lost."""
    for table in ("kit_item", "place", "readiness", "person"):
        op.drop_table(table)
    op.drop_index("uq_band_in_use", "band")
    op.execute(sa.text("DELETE FROM band WHERE retired_at IS NOT NULL"))
    op.create_unique_constraint("uq_band_account_id_name", "band", ["account_id", "name"])
    for table, column in (("band", "retired_why"), ("band", "retired_at"), ("measure", "lengths")):
        op.drop_column(table, column)
    op.drop_column("test", "side")
    op.drop_constraint(op.f("ck_test_amount"), "test")
    op.alter_column("test", "amount", new_column_name="reps", type_=sa.Integer())
    op.create_check_constraint(
        op.f("ck_rep_test_ck_rep_test_reps"), "test", "reps BETWEEN 1 AND 200"
    )
    op.rename_table("test", "rep_test")
    for old, new in RENAMED:
        op.execute(sa.text(f"ALTER TABLE rep_test RENAME CONSTRAINT {new} TO {old}"))
    op.execute(sa.text("ALTER INDEX ix_test_athlete_id RENAME TO ix_rep_test_athlete_id"))
    op.drop_constraint(op.f("ck_logged_set_amount"), "logged_set")
    op.alter_column("logged_set", "amount", new_column_name="reps", type_=sa.Integer())
    op.create_check_constraint(
        op.f("ck_logged_set_ck_logged_set_reps"), "logged_set", "reps BETWEEN 0 AND 200"
    )
    op.drop_column("rung", "unit")
    for old, new in (("low", "reps_low"), ("high", "reps_high"), ("gate_amount", "gate_reps")):
        op.alter_column("rung", old, new_column_name=new)
