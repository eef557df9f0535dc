"""Set-ups of every form: one column of changes in place of a column for each push-up height."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0002"
down_revision = "0001"

TABLES = ("rung", "rep_test")
LENGTHS = ("hand_height", "foot_height", "hand_offset")
TEMPO = ("lower", "bottom", "press", "top")


def upgrade() -> None:
    """Gather the old columns."""
    pairs = " || ".join(
        f"CASE WHEN {name}_m <> 0 THEN jsonb_build_array(jsonb_build_array('{name}', {name}_m)) "
        "ELSE '[]'::jsonb END"
        for name in sorted(LENGTHS)
    )
    tempo = ", ".join(
        f"'{name}', split_part(tempo, '-', {i})::float" for i, name in enumerate(TEMPO, start=1)
    )
    for table in TABLES:
        op.add_column(table, sa.Column("changes", JSONB(), nullable=True))
        op.execute(
            f"UPDATE {table} SET changes = jsonb_build_object('values', {pairs}, "  # noqa: S608
            "'worn', jsonb_build_object('vest', vest_kg, 'bag', bag_kg), "
            f"'tempo', jsonb_build_object({tempo}))"
        )
        op.alter_column(table, "changes", nullable=False)
        for name in (*(f"{length}_m" for length in LENGTHS), "vest_kg", "bag_kg", "tempo"):
            op.drop_column(table, name)


def downgrade() -> None:
    """Spread them again; what the old columns cannot hold is lost."""
    for table in TABLES:
        for name in (*(f"{length}_m" for length in LENGTHS), "vest_kg", "bag_kg"):
            op.add_column(table, sa.Column(name, sa.Float(), nullable=False, server_default="0"))
        op.add_column(
            table, sa.Column("tempo", sa.String(), nullable=False, server_default="1-0-1-0")
        )
        lengths = ", ".join(
            f"{name}_m = coalesce((SELECT (pair->>1)::float FROM "  # noqa: S608
            f"jsonb_array_elements(changes->'values') pair WHERE pair->>0 = '{name}'), 0)"
            for name in LENGTHS
        )
        tempo = " || '-' || ".join(f"(changes->'tempo'->>'{name}')::float::text" for name in TEMPO)
        op.execute(
            f"UPDATE {table} SET {lengths}, "  # noqa: S608
            "vest_kg = (changes->'worn'->>'vest')::float, "
            f"bag_kg = (changes->'worn'->>'bag')::float, tempo = {tempo}"
        )
        op.drop_column(table, "changes")
        for name in (*(f"{length}_m" for length in LENGTHS), "vest_kg", "bag_kg", "tempo"):
            op.alter_column(table, name, server_default=None)
