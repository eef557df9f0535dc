"""Floor: sessions of several ladders, what a set tells besides its count, links, check-ins."""

from typing import Any

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0008"
down_revision = "0007"


def _id() -> sa.Column[object]:
    return sa.Column("id", sa.Uuid(), primary_key=True)


def _of(table: str, column: str = "", ondelete: str = "CASCADE") -> sa.Column[object]:
    return sa.Column(
        column or f"{table}_id",
        sa.Uuid(),
        sa.ForeignKey(f"{table}.id", ondelete=ondelete),
        nullable=ondelete != "CASCADE",
    )


def _instant(name: str, nullable: bool = False) -> sa.Column[object]:
    return sa.Column(name, sa.DateTime(timezone=True), nullable=nullable)


def _text(name: str) -> sa.Column[object]:
    return sa.Column(name, sa.String(), nullable=False)


def _whole(name: str) -> sa.Column[object]:
    return sa.Column(name, sa.Integer(), nullable=False)


def _dated() -> tuple[sa.Column[object], ...]:
    day: sa.Column[object] = sa.Column("local_date", sa.Date(), nullable=False)
    return _instant("at"), _text("zone"), day


def upgrade() -> None:
    """Widen sessions and sets, add the floor's own tables."""
    _sessions()
    _sets()
    op.drop_constraint("uq_decision_session_id", "decision")
    op.create_index("ix_decision_session_id", "decision", ["session_id"])
    op.create_table(
        "athlete_link",
        sa.Column("token_hash", sa.String(), primary_key=True),
        _of("athlete"),
        _instant("created_at"),
        _instant("expires_at"),
        _instant("opened_at", nullable=True),
        _instant("revoked_at", nullable=True),
    )
    op.create_index("ix_athlete_link_athlete_id", "athlete_link", ["athlete_id"])
    op.create_table(
        "check_in",
        _id(),
        _of("athlete"),
        *_dated(),
        sa.Column("told", JSONB(), nullable=False),
    )
    op.create_index("ix_check_in_athlete_id_local_date", "check_in", ["athlete_id", "local_date"])
    op.create_table(
        "skip",
        _id(),
        _of("training_session", "session_id"),
        *_dated(),
        _text("name"),
        _whole("number"),
        _text("why"),
    )
    op.create_index("ix_skip_session_id", "skip", ["session_id"])
    op.create_table(
        "technique_note",
        _id(),
        _of("athlete"),
        _text("movement"),
        _text("text"),
        _of("logged_set", "set_id", "SET NULL"),
        _of("account", "author_id", "SET NULL"),
        _instant("created_at"),
        _instant("retired_at", nullable=True),
    )
    op.create_index("ix_technique_note_athlete_id", "technique_note", ["athlete_id"])
    op.create_table(
        "set_media",
        _id(),
        _of("logged_set", "set_id"),
        _text("media_type"),
        sa.Column("content", sa.LargeBinary(), nullable=False),
        _instant("kept_at"),
        sa.UniqueConstraint("set_id", name="uq_set_media_set_id"),
        sa.CheckConstraint(
            "media_type IN ('image/jpeg', 'video/webm', 'video/mp4')",
            name=op.f("ck_set_media_media_type"),
        ),
    )
    op.create_table(
        "whereabouts",
        sa.Column(
            "session_id",
            sa.Uuid(),
            sa.ForeignKey("training_session.id", ondelete="CASCADE"),
            primary_key=True,
        ),
        _of("athlete"),
        _text("state"),
        _text("doing"),
        _whole("set_number"),
        _whole("set_count"),
        _whole("step"),
        _whole("steps"),
        _instant("at"),
    )
    op.create_index("ix_whereabouts_athlete_id", "whereabouts", ["athlete_id"])


def _sessions() -> None:
    op.add_column("training_session", sa.Column("athlete_id", sa.Uuid(), nullable=True))
    op.add_column(
        "training_session", sa.Column("name", sa.String(), nullable=False, server_default="")
    )
    op.execute(
        "UPDATE training_session SET athlete_id = ladder.athlete_id, name = ladder.goal "
        "FROM ladder WHERE ladder.id = training_session.ladder_id"
    )
    op.alter_column("training_session", "athlete_id", nullable=False)
    op.alter_column("training_session", "name", server_default=None)
    op.create_foreign_key(
        "fk_training_session_athlete_id",
        "training_session",
        "athlete",
        ["athlete_id"],
        ["id"],
        ondelete="CASCADE",
    )
    op.drop_index("uq_training_session_open", "training_session")
    op.drop_index("ix_training_session_ladder_id_at", "training_session")
    op.drop_column("training_session", "ladder_id")
    op.drop_column("training_session", "rung_id")
    op.create_index("ix_training_session_athlete_id_at", "training_session", ["athlete_id", "at"])


NEW_IN_A_SET: tuple[tuple[str, Any, str], ...] = (
    ("item", sa.String(), "''"),
    ("kind", sa.String(), "'work'"),
    ("side", sa.String(), "''"),
    ("partial", sa.Integer(), "0"),
    ("faults", sa.ARRAY(sa.Text()), "'{}'"),
    ("felt_in", sa.ARRAY(sa.Text()), "'{}'"),
    ("note", sa.String(), "''"),
    ("movement", sa.String(), "''"),
    ("changes", JSONB(), "'{}'"),
)
OPEN_IN_A_SET: tuple[tuple[str, Any], ...] = (
    ("least", sa.Float()),
    ("most", sa.Float()),
    ("asked_low", sa.Integer()),
    ("asked_high", sa.Integer()),
    ("skew_s", sa.Float()),
)
CHECKS = {
    "partial": "partial BETWEEN 0 AND 200",
    "kind": "kind IN ('work', 'easy', 'drop', 'piece', 'single', 'cluster')",
    "side": "side IN ('', 'left', 'right')",
    "about": "least <= amount AND amount <= most",
}


def _sets() -> None:
    for name, kind, default in NEW_IN_A_SET:
        op.add_column(
            "logged_set", sa.Column(name, kind, nullable=False, server_default=sa.text(default))
        )
    for name, kind in OPEN_IN_A_SET:
        op.add_column("logged_set", sa.Column(name, kind, nullable=True))
    op.execute("ALTER TABLE logged_set DISABLE TRIGGER logged_set_append_only")
    op.execute(
        "UPDATE logged_set SET movement = rung.movement, changes = rung.changes, "
        "item = rung.ladder_id::text FROM rung WHERE rung.id = logged_set.rung_id"
    )
    op.execute("ALTER TABLE logged_set ENABLE TRIGGER logged_set_append_only")
    for name, _, _ in NEW_IN_A_SET:
        op.alter_column("logged_set", name, server_default=None)
    op.alter_column("logged_set", "rung_id", nullable=True)
    op.create_index("ix_logged_set_rung_id", "logged_set", ["rung_id"])
    for name, rule in CHECKS.items():
        op.create_check_constraint(op.f(f"ck_logged_set_{name}"), "logged_set", rule)


LATEST_OF_A_LADDER = """
UPDATE training_session SET ladder_id = one.ladder_id, rung_id = one.rung_id FROM (
    SELECT DISTINCT ON (logged_set.session_id)
        logged_set.session_id, rung.ladder_id, rung.id AS rung_id
    FROM logged_set JOIN rung ON rung.id = logged_set.rung_id
    ORDER BY logged_set.session_id, logged_set.number
) AS one WHERE one.session_id = training_session.id
"""


def downgrade() -> None:
    """Back to sessions of one ladder; what stands on none, and what is newer than that, goes."""
    for table in (
        "whereabouts",
        "set_media",
        "technique_note",
        "skip",
        "check_in",
        "athlete_link",
    ):
        op.drop_table(table)
    op.drop_index("ix_decision_session_id", "decision")
    op.create_unique_constraint("uq_decision_session_id", "decision", ["session_id"])
    op.execute("SET LOCAL invelo.erasing = 'yes'")
    op.execute("DELETE FROM logged_set WHERE rung_id IS NULL")
    op.drop_index("ix_training_session_athlete_id_at", "training_session")
    op.add_column(
        "training_session",
        sa.Column("ladder_id", sa.Uuid(), sa.ForeignKey("ladder.id", ondelete="CASCADE")),
    )
    op.add_column(
        "training_session",
        sa.Column("rung_id", sa.Uuid(), sa.ForeignKey("rung.id", ondelete="CASCADE")),
    )
    op.execute(LATEST_OF_A_LADDER)
    op.execute("DELETE FROM training_session WHERE ladder_id IS NULL")
    op.alter_column("training_session", "ladder_id", nullable=False)
    op.alter_column("training_session", "rung_id", nullable=False)
    op.create_index("ix_training_session_ladder_id_at", "training_session", ["ladder_id", "at"])
    op.create_index(
        "uq_training_session_open",
        "training_session",
        ["ladder_id"],
        unique=True,
        postgresql_where=sa.text("finished_at IS NULL"),
    )
    op.drop_column("training_session", "athlete_id")
    op.drop_column("training_session", "name")
    op.drop_index("ix_logged_set_rung_id", "logged_set")
    for name in CHECKS:
        op.drop_constraint(op.f(f"ck_logged_set_{name}"), "logged_set")
    for column in (*NEW_IN_A_SET, *OPEN_IN_A_SET):
        op.drop_column("logged_set", column[0])
    op.alter_column("logged_set", "rung_id", nullable=False)
