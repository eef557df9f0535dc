"""One prescription a ladder; what was asked is kept with sets and sessions."""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0018"
down_revision = "0017"

RUNG = (
    *("name", "movement", "changes", "sets", "low", "high", "unit", "rest_s", "rpe"),
    *("criterion_sets", "criterion_amount", "criterion_rpe", "criterion_sessions"),
)
"""Columns that a prescription has from its rung."""

INSERTED = "a step by one lever, proposed in the review"
"""What rungs say that an earlier release put on a ladder to make a small step."""

OUTCOMES_NOW = (
    *("stop", "ease_off", "step_back", "fewer_sets", "hold", "add_amount", "add_set"),
    *("slow_eccentric", "add_load", "change_height", "reduce_assistance", "add_assistance"),
    *("step_up", "bridge", "goal_reached", "swap_surface", "add_day", "reduce_days", "retest"),
)
OUTCOMES_BEFORE = (
    *("stop", "ease_off", "step_back", "hold", "add_amount", "add_set", "slow_eccentric"),
    *("add_load", "reduce_assistance", "step_up", "swap_surface", "reduce_days", "retest"),
)
ANSWERS_NOW = ("accept", "edit", "decline", "expired", "routine", "undone", "noted")
ANSWERS_BEFORE = ("accept", "edit", "decline", "expired")
STANDINGS = ("on course", "routine", "question", "blocked")


def _one_of(column: str, values: tuple[str, ...]) -> str:
    return f"{column} IN ({', '.join(repr(value) for value in values)})"


NAMED = {"outcome": "ck_proposal_outcome", "answer": "ck_proposal_ck_proposal_answer"}
"""Constraints as they have been called since the first of them."""


def _allow(column: str, values: tuple[str, ...]) -> None:
    name = op.f(NAMED[column])
    op.drop_constraint(name, "proposal", type_="check")
    op.create_check_constraint(name, "proposal", _one_of(column, values))


def upgrade() -> None:
    """Whoever trains on a rung is asked what that rung asked; what was logged stays as it is."""
    op.create_table(
        "prescription",
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("time_zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
        sa.Column("movement", sa.String(), nullable=False),
        sa.Column("changes", JSONB(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("sets", sa.Integer(), nullable=False),
        sa.Column("low", sa.Integer(), nullable=False),
        sa.Column("high", sa.Integer(), nullable=False),
        sa.Column("unit", sa.String(), nullable=False),
        sa.Column("rest_s", sa.Integer(), nullable=False),
        sa.Column("rpe", sa.Float(), nullable=False),
        sa.Column("criterion_sets", sa.Integer(), nullable=False),
        sa.Column("criterion_amount", sa.Integer(), nullable=False),
        sa.Column("criterion_rpe", sa.Float(), nullable=False),
        sa.Column("criterion_sessions", sa.Integer(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("ladder_id", sa.Uuid(), nullable=False),
        sa.Column("rung_id", sa.Uuid(), nullable=False),
        sa.Column("number", sa.Integer(), nullable=False),
        sa.Column("begun", sa.Date(), nullable=False),
        sa.Column("climbed", sa.Boolean(), nullable=False),
        sa.Column("own_range", sa.Boolean(), nullable=False),
        sa.Column("set_by", sa.Uuid()),
        sa.Column("rule", sa.String(), nullable=False),
        sa.Column("proposal_id", sa.Uuid()),
        sa.Column("undone_at", sa.DateTime(timezone=True)),
        sa.CheckConstraint(_one_of("unit", ("reps", "s", "cm")), name=op.f("ck_prescription_unit")),
        sa.ForeignKeyConstraint(
            ["ladder_id"], ["ladder.id"], name="fk_prescription_ladder_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["rung_id"], ["rung.id"], name="fk_prescription_rung_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["set_by"], ["account.id"], name="fk_prescription_set_by", ondelete="SET NULL"
        ),
        sa.ForeignKeyConstraint(
            ["proposal_id"],
            ["proposal.id"],
            name="fk_prescription_proposal_id",
            ondelete="SET NULL",
        ),
        sa.PrimaryKeyConstraint("id", name="pk_prescription"),
        sa.UniqueConstraint("ladder_id", "number", name="uq_prescription_ladder_id_number"),
    )
    op.create_index("ix_prescription_proposal_id", "prescription", ["proposal_id"])
    op.add_column("logged_set", sa.Column("prescribed_rpe", sa.Float()))
    op.add_column(
        "logged_set",
        sa.Column("prescribed_open", sa.Boolean(), nullable=False, server_default=sa.false()),
    )
    op.add_column(
        "training_session",
        sa.Column("asked", JSONB(), nullable=False, server_default=sa.text("'{}'::jsonb")),
    )
    op.add_column(
        "proposal",
        sa.Column("standing", sa.String(), nullable=False, server_default="question"),
    )
    op.add_column("proposal", sa.Column("prescription", JSONB()))
    op.create_check_constraint(
        op.f("ck_proposal_standing"), "proposal", _one_of("standing", STANDINGS)
    )
    op.add_column(
        "athlete", sa.Column("routine", sa.Boolean(), nullable=False, server_default=sa.true())
    )
    op.add_column(
        "athlete",
        sa.Column("routine_per_week", sa.Integer(), nullable=False, server_default="1"),
    )
    op.create_check_constraint(
        op.f("ck_athlete_routine_per_week"), "athlete", "routine_per_week BETWEEN 0 AND 7"
    )
    _allow("outcome", OUTCOMES_NOW)
    _allow("answer", ANSWERS_NOW)
    columns = ", ".join(RUNG)
    theirs = ", ".join(f"rung.{column}" for column in RUNG)
    op.execute(
        f"""
        INSERT INTO prescription (id, ladder_id, rung_id, number, at, time_zone, local_date,
            begun, climbed, own_range, rule, {columns})
        SELECT gen_random_uuid(), ladder.id, rung.id, 1, now(), athlete.time_zone,
            (now() AT TIME ZONE athlete.time_zone)::date, DATE '2000-01-01',
            false, false, 'migration', {theirs}
        FROM ladder
        JOIN athlete ON athlete.id = ladder.athlete_id
        JOIN rung ON rung.id = ladder.current_rung_id
        """  # noqa: S608  (names of columns, none from outside)
    )
    op.execute(
        "UPDATE proposal SET standing = 'on course', answer = COALESCE(answer, 'noted') "
        "WHERE outcome = 'hold'"
    )
    _drop_unused_insertions()


def _drop_unused_insertions() -> None:
    """Rungs that were put on a ladder to make a small step leave it, where nobody trained on them;
    the ones below them lead to the ones above."""
    unused = f"""
        SELECT rung.id FROM rung
        WHERE rung.why = '{INSERTED}'
        AND NOT EXISTS (SELECT 1 FROM ladder WHERE ladder.current_rung_id = rung.id)
        AND NOT EXISTS (SELECT 1 FROM logged_set WHERE logged_set.rung_id = rung.id)
        AND NOT EXISTS (SELECT 1 FROM placement WHERE placement.rung_id = rung.id)
        AND NOT EXISTS (
            SELECT 1 FROM proposal WHERE rung.id IN (from_rung_id, to_rung_id, final_rung_id)
        )
    """  # noqa: S608  (a constant of this file)
    op.execute(
        f"""
        INSERT INTO edge (lower_id, upper_id)
        SELECT below.lower_id, above.upper_id
        FROM edge below JOIN edge above ON below.upper_id = above.lower_id
        WHERE below.upper_id IN ({unused})
        AND below.lower_id NOT IN ({unused}) AND above.upper_id NOT IN ({unused})
        ON CONFLICT DO NOTHING
        """  # noqa: S608
    )
    op.execute(f"DELETE FROM rung WHERE id IN ({unused})")  # noqa: S608


def downgrade() -> None:
    """Rungs ask for themselves again."""
    op.execute(
        f"DELETE FROM proposal WHERE NOT ({_one_of('outcome', OUTCOMES_BEFORE)})"  # noqa: S608
    )
    op.execute("UPDATE proposal SET answer = 'expired' WHERE answer IN ('routine', 'undone')")
    op.execute("UPDATE proposal SET answer = NULL WHERE answer = 'noted'")
    _allow("outcome", OUTCOMES_BEFORE)
    _allow("answer", ANSWERS_BEFORE)
    op.drop_constraint(op.f("ck_athlete_routine_per_week"), "athlete", type_="check")
    for column in ("routine", "routine_per_week"):
        op.drop_column("athlete", column)
    op.drop_constraint(op.f("ck_proposal_standing"), "proposal", type_="check")
    for column in ("standing", "prescription"):
        op.drop_column("proposal", column)
    op.drop_column("training_session", "asked")
    for column in ("prescribed_rpe", "prescribed_open"):
        op.drop_column("logged_set", column)
    op.drop_table("prescription")
