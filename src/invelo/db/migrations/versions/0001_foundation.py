"""Foundation: accounts, athletes, ladders, sessions, decisions.

Revision: 0001, after .
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0001"
down_revision = None

APPEND_ONLY = """
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    IF TG_OP = 'DELETE' AND current_setting('invelo.erasing', true) = 'yes' THEN
        RETURN OLD;
    END IF;
    RAISE EXCEPTION '% is append-only: write a new row that corrects the old', TG_TABLE_NAME;
END
$$;
CREATE TRIGGER logged_set_append_only BEFORE UPDATE OR DELETE ON logged_set
    FOR EACH ROW EXECUTE FUNCTION refuse_change();
"""
"""Only a person's erasure, which says so for its own transaction, may delete a logged set."""


def upgrade() -> None:
    """Make the tables."""
    op.create_table(
        "account",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("email", sa.String(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("password_hash", sa.String(), nullable=False),
        sa.Column("time_zone", sa.String(), nullable=False),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_account"),
        sa.UniqueConstraint("email", name="uq_account_email"),
    )
    op.create_table(
        "athlete",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("time_zone", sa.String(), nullable=False),
        sa.Column("note", sa.String(), nullable=False),
        sa.Column("consent_on", sa.Date(), nullable=False),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_athlete"),
    )
    op.create_table(
        "sign_in_attempt",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("key", sa.String(), nullable=False),
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.PrimaryKeyConstraint("id", name="pk_sign_in_attempt"),
    )
    op.create_index("ix_sign_in_attempt_key_at", "sign_in_attempt", ["key", "at"], unique=False)
    op.create_table(
        "athlete_access",
        sa.Column("account_id", sa.Uuid(), nullable=False),
        sa.Column("athlete_id", sa.Uuid(), nullable=False),
        sa.Column("role", sa.String(), nullable=False),
        sa.CheckConstraint("role IN ('owner', 'coach', 'reader')", name="ck_athlete_access_role"),
        sa.ForeignKeyConstraint(
            ["account_id"], ["account.id"], name="fk_athlete_access_account_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["athlete_id"], ["athlete.id"], name="fk_athlete_access_athlete_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("account_id", "athlete_id", name="pk_athlete_access"),
    )
    op.create_index("ix_athlete_access_athlete_id", "athlete_access", ["athlete_id"], unique=False)
    op.create_table(
        "ladder",
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("athlete_id", sa.Uuid(), nullable=False),
        sa.Column("goal", sa.String(), nullable=False),
        sa.Column("family", sa.String(), nullable=False),
        sa.Column("school", sa.String(), nullable=False),
        sa.Column("purpose", sa.String(), nullable=False),
        sa.Column("level", sa.String(), nullable=False),
        sa.Column("standing_id", sa.Uuid(), nullable=True),
        sa.Column("stopped", sa.String(), nullable=False),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.ForeignKeyConstraint(
            ["athlete_id"], ["athlete.id"], name="fk_ladder_athlete_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_ladder"),
    )
    op.create_index("ix_ladder_athlete_id", "ladder", ["athlete_id"], unique=False)
    op.create_table(
        "measure",
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("athlete_id", sa.Uuid(), nullable=False),
        sa.Column("mass_kg", sa.Float(), nullable=False),
        sa.Column("stature_m", sa.Float(), nullable=False),
        sa.CheckConstraint("mass_kg BETWEEN 20 AND 300", name="ck_measure_mass_kg"),
        sa.CheckConstraint("stature_m BETWEEN 1 AND 2.4", name="ck_measure_stature_m"),
        sa.ForeignKeyConstraint(
            ["athlete_id"], ["athlete.id"], name="fk_measure_athlete_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_measure"),
    )
    op.create_index("ix_measure_athlete_id", "measure", ["athlete_id"], unique=False)
    op.create_table(
        "rep_test",
        sa.Column("movement", sa.String(), nullable=False),
        sa.Column("hand_height_m", sa.Float(), nullable=False),
        sa.Column("foot_height_m", sa.Float(), nullable=False),
        sa.Column("hand_offset_m", sa.Float(), nullable=False),
        sa.Column("vest_kg", sa.Float(), nullable=False),
        sa.Column("bag_kg", sa.Float(), nullable=False),
        sa.Column("tempo", sa.String(), nullable=False),
        sa.Column("model_version", sa.String(), nullable=False),
        sa.Column("catalogue_version", sa.String(), nullable=False),
        sa.Column("inputs", JSONB(), nullable=False),
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("athlete_id", sa.Uuid(), nullable=False),
        sa.Column("reps", sa.Integer(), nullable=False),
        sa.Column("effort", sa.Float(), nullable=False),
        sa.Column("result", JSONB(), nullable=False),
        sa.CheckConstraint("effort BETWEEN 1 AND 10", name="ck_rep_test_effort"),
        sa.CheckConstraint("reps BETWEEN 1 AND 200", name="ck_rep_test_reps"),
        sa.ForeignKeyConstraint(
            ["athlete_id"], ["athlete.id"], name="fk_rep_test_athlete_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_rep_test"),
    )
    op.create_index("ix_rep_test_athlete_id", "rep_test", ["athlete_id"], unique=False)
    op.create_table(
        "sign_in",
        sa.Column("token_hash", sa.String(), nullable=False),
        sa.Column("account_id", sa.Uuid(), nullable=False),
        sa.Column("created_at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("expires_at", sa.DateTime(timezone=True), nullable=False),
        sa.ForeignKeyConstraint(
            ["account_id"], ["account.id"], name="fk_sign_in_account_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("token_hash", name="pk_sign_in"),
    )
    op.create_index("ix_sign_in_account_id", "sign_in", ["account_id"], unique=False)
    op.create_table(
        "rung",
        sa.Column("movement", sa.String(), nullable=False),
        sa.Column("hand_height_m", sa.Float(), nullable=False),
        sa.Column("foot_height_m", sa.Float(), nullable=False),
        sa.Column("hand_offset_m", sa.Float(), nullable=False),
        sa.Column("vest_kg", sa.Float(), nullable=False),
        sa.Column("bag_kg", sa.Float(), nullable=False),
        sa.Column("tempo", sa.String(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("ladder_id", sa.Uuid(), nullable=False),
        sa.Column("position", sa.Integer(), nullable=False),
        sa.Column("name", sa.String(), nullable=False),
        sa.Column("sets", sa.Integer(), nullable=False),
        sa.Column("reps_low", sa.Integer(), nullable=False),
        sa.Column("reps_high", sa.Integer(), nullable=False),
        sa.Column("rest_s", sa.Integer(), nullable=False),
        sa.Column("effort", sa.Float(), nullable=False),
        sa.Column("gate_sets", sa.Integer(), nullable=False),
        sa.Column("gate_reps", sa.Integer(), nullable=False),
        sa.Column("gate_effort", sa.Float(), nullable=False),
        sa.Column("gate_sessions", sa.Integer(), nullable=False),
        sa.ForeignKeyConstraint(
            ["ladder_id"], ["ladder.id"], name="fk_rung_ladder_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_rung"),
        sa.UniqueConstraint(
            "ladder_id", "position", deferrable=True, name="uq_rung_ladder_id_position"
        ),
    )
    op.create_table(
        "placement",
        sa.Column("model_version", sa.String(), nullable=False),
        sa.Column("catalogue_version", sa.String(), nullable=False),
        sa.Column("inputs", JSONB(), nullable=False),
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("ladder_id", sa.Uuid(), nullable=False),
        sa.Column("rung_id", sa.Uuid(), nullable=False),
        sa.Column("result", JSONB(), nullable=False),
        sa.ForeignKeyConstraint(
            ["ladder_id"], ["ladder.id"], name="fk_placement_ladder_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["rung_id"], ["rung.id"], name="fk_placement_rung_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_placement"),
    )
    op.create_index("ix_placement_ladder_id_at", "placement", ["ladder_id", "at"], unique=False)
    op.create_table(
        "training_session",
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("ladder_id", sa.Uuid(), nullable=False),
        sa.Column("rung_id", sa.Uuid(), nullable=False),
        sa.Column("finished_at", sa.DateTime(timezone=True), nullable=True),
        sa.Column("effort", sa.Float(), nullable=True),
        sa.CheckConstraint("effort BETWEEN 1 AND 10", name="ck_training_session_effort"),
        sa.ForeignKeyConstraint(
            ["ladder_id"], ["ladder.id"], name="fk_training_session_ladder_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["rung_id"], ["rung.id"], name="fk_training_session_rung_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_training_session"),
    )
    op.create_index(
        "ix_training_session_ladder_id_at", "training_session", ["ladder_id", "at"], unique=False
    )
    op.create_index(
        "uq_training_session_open",
        "training_session",
        ["ladder_id"],
        unique=True,
        postgresql_where=sa.text("finished_at IS NULL"),
    )
    op.create_table(
        "decision",
        sa.Column("model_version", sa.String(), nullable=False),
        sa.Column("catalogue_version", sa.String(), nullable=False),
        sa.Column("inputs", JSONB(), nullable=False),
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("ladder_id", sa.Uuid(), nullable=False),
        sa.Column("session_id", sa.Uuid(), nullable=False),
        sa.Column("outcome", sa.String(), nullable=False),
        sa.Column("from_rung_id", sa.Uuid(), nullable=False),
        sa.Column("to_rung_id", sa.Uuid(), nullable=False),
        sa.Column("reason", sa.String(), nullable=False),
        sa.Column("figures", JSONB(), nullable=False),
        sa.Column("rules", sa.ARRAY(sa.Text()), nullable=False),
        sa.Column("confidence", sa.String(), nullable=False),
        sa.Column("confidence_why", sa.String(), nullable=False),
        sa.Column("answer", sa.String(), nullable=True),
        sa.Column("answered_at", sa.DateTime(timezone=True), nullable=True),
        sa.Column("answered_by", sa.Uuid(), nullable=True),
        sa.Column("word", sa.String(), nullable=False),
        sa.Column("final_rung_id", sa.Uuid(), nullable=True),
        sa.CheckConstraint(
            "answer IN ('take', 'edit', 'decline', 'lapse')", name="ck_decision_answer"
        ),
        sa.CheckConstraint(
            "outcome IN ('stop', 'step-back', 'hold', 'step-up')", name="ck_decision_outcome"
        ),
        sa.ForeignKeyConstraint(
            ["answered_by"], ["account.id"], name="fk_decision_answered_by", ondelete="SET NULL"
        ),
        sa.ForeignKeyConstraint(
            ["final_rung_id"], ["rung.id"], name="fk_decision_final_rung_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["from_rung_id"], ["rung.id"], name="fk_decision_from_rung_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["ladder_id"], ["ladder.id"], name="fk_decision_ladder_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["session_id"],
            ["training_session.id"],
            name="fk_decision_session_id",
            ondelete="CASCADE",
        ),
        sa.ForeignKeyConstraint(
            ["to_rung_id"], ["rung.id"], name="fk_decision_to_rung_id", ondelete="CASCADE"
        ),
        sa.PrimaryKeyConstraint("id", name="pk_decision"),
        sa.UniqueConstraint("session_id", name="uq_decision_session_id"),
    )
    op.create_index("ix_decision_ladder_id_at", "decision", ["ladder_id", "at"], unique=False)
    op.create_table(
        "logged_set",
        sa.Column("at", sa.DateTime(timezone=True), nullable=False),
        sa.Column("zone", sa.String(), nullable=False),
        sa.Column("local_date", sa.Date(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        sa.Column("session_id", sa.Uuid(), nullable=False),
        sa.Column("rung_id", sa.Uuid(), nullable=False),
        sa.Column("number", sa.Integer(), nullable=False),
        sa.Column("reps", sa.Integer(), nullable=False),
        sa.Column("effort", sa.Float(), nullable=False),
        sa.Column("clean", sa.Boolean(), nullable=False),
        sa.Column("pain", sa.Integer(), nullable=False),
        sa.Column("pain_place", sa.String(), nullable=False),
        sa.Column("corrects", sa.Uuid(), nullable=True),
        sa.Column("server_at", sa.DateTime(timezone=True), nullable=False),
        sa.CheckConstraint("effort BETWEEN 1 AND 10", name="ck_logged_set_effort"),
        sa.CheckConstraint("number BETWEEN 1 AND 99", name="ck_logged_set_number"),
        sa.CheckConstraint("pain BETWEEN 0 AND 10", name="ck_logged_set_pain"),
        sa.CheckConstraint("reps BETWEEN 0 AND 200", name="ck_logged_set_reps"),
        sa.ForeignKeyConstraint(
            ["corrects"], ["logged_set.id"], name="fk_logged_set_corrects", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["rung_id"], ["rung.id"], name="fk_logged_set_rung_id", ondelete="CASCADE"
        ),
        sa.ForeignKeyConstraint(
            ["session_id"],
            ["training_session.id"],
            name="fk_logged_set_session_id",
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("id", name="pk_logged_set"),
    )
    op.create_index("ix_logged_set_session_id", "logged_set", ["session_id"], unique=False)
    op.create_foreign_key(
        "fk_ladder_standing_id", "ladder", "rung", ["standing_id"], ["id"], ondelete="SET NULL"
    )
    op.execute(APPEND_ONLY)


def downgrade() -> None:
    """Drop the tables."""
    op.drop_constraint("fk_ladder_standing_id", "ladder")
    op.drop_index("ix_logged_set_session_id", table_name="logged_set")
    op.drop_table("logged_set")
    op.drop_index("ix_decision_ladder_id_at", table_name="decision")
    op.drop_table("decision")
    op.drop_index(
        "uq_training_session_open",
        table_name="training_session",
        postgresql_where=sa.text("finished_at IS NULL"),
    )
    op.drop_index("ix_training_session_ladder_id_at", table_name="training_session")
    op.drop_table("training_session")
    op.drop_index("ix_placement_ladder_id_at", table_name="placement")
    op.drop_table("placement")
    op.drop_table("rung")
    op.drop_index("ix_sign_in_account_id", table_name="sign_in")
    op.drop_table("sign_in")
    op.drop_index("ix_rep_test_athlete_id", table_name="rep_test")
    op.drop_table("rep_test")
    op.drop_index("ix_measure_athlete_id", table_name="measure")
    op.drop_table("measure")
    op.drop_index("ix_ladder_athlete_id", table_name="ladder")
    op.drop_table("ladder")
    op.drop_index("ix_athlete_access_athlete_id", table_name="athlete_access")
    op.drop_table("athlete_access")
    op.drop_index("ix_sign_in_attempt_key_at", table_name="sign_in_attempt")
    op.drop_table("sign_in_attempt")
    op.drop_table("athlete")
    op.drop_table("account")
    op.execute("DROP FUNCTION refuse_change")
