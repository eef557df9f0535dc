"""Tables, columns and kept values take the field's own words; nothing else changes.

Constraints and indexes are renamed with the tables and columns they name, and what is kept as JSON
has its keys and a few of its values renamed wherever they stand in it.
"""

import json
import re
from collections.abc import Callable
from typing import Any

import sqlalchemy as sa
from alembic import op

revision = "0011"
down_revision = "0010"

TABLES = {
    "measure": "body_measurement",
    "sketch": "ladder_revision",
    "tie": "edge",
    "week_wishes": "availability",
    "own_session": "session_template",
    "habit": "daily_minimum",
    "habit_tick": "daily_minimum_tick",
    "decision": "proposal",
    "outbox_message": "message",
}

EVERYWHERE = {
    "zone": "time_zone",
    "monday": "week_start",
    "word": "note",
    "effort": "rpe",
    "decision_id": "proposal_id",
    "habit_id": "daily_minimum_id",
}
"""Columns that are renamed in whatever table they stand."""

COLUMNS = {
    "person": {"told": "answers"},
    "check_in": {"told": "answers"},
    "availability": {"told": "document"},
    "ladder": {
        "school": "method",
        "standing_id": "current_rung_id",
        "least_reps": "min_reps",
        "least_seconds": "min_hold_s",
        "step": "target_step",
        "levers": "lever_order",
        "drawn": "revision",
    },
    "rung": {
        "gate_sets": "criterion_sets",
        "gate_amount": "criterion_amount",
        "gate_effort": "criterion_rpe",
        "gate_sessions": "criterion_sessions",
    },
    "training_session": {"of_sets": "mean_set_rpe", "lasted_s": "duration_s"},
    "logged_set": {
        "asked_low": "prescribed_min",
        "asked_high": "prescribed_max",
        "clean": "form_ok",
        "corrects": "corrects_set_id",
    },
}
"""Columns of one table, by its new name."""

INDEXES = {
    "ix_decision_waiting": "ix_proposal_pending",
    "ix_logged_set_corrects": "ix_logged_set_corrects_set_id",
}

METHODS = {
    "range": "double_progression",
    "near-failure": "near_failure",
    "effort": "rpe_target",
    "clock": "density",
}
OUTCOMES = {
    "ease-off": "ease_off",
    "step-back": "step_back",
    "add-amount": "add_amount",
    "add-set": "add_set",
    "slow-tempo": "slow_eccentric",
    "add-load": "add_load",
    "less-help": "reduce_assistance",
    "step-up": "step_up",
    "swap-surface": "swap_surface",
    "cut-frequency": "reduce_days",
    "test-again": "retest",
}
RULES = {"range.gate-met": "range.criterion-met"}
ANSWERS = {"take": "accept", "lapse": "expired"}
REGIONS = {
    "elbow benders": "biceps",
    "forearm and grip": "forearm",
    "abdomen": "abs",
    "side of the trunk": "obliques",
    "low back": "lower back",
    "hip benders": "hip flexors",
    "buttocks": "glutes",
    "side of the hip": "side glutes",
    "front thigh": "quads",
    "rear thigh": "hamstrings",
    "inner thigh": "adductors",
    "calf": "calves",
    "shin and foot": "shins",
}

KEYS = {
    "asked_high": "prescribed_max",
    "asked_low": "prescribed_min",
    "carried": "added_load",
    "dose": "prescription",
    "effort": "rpe",
    "gate": "criterion",
    "gate_amount": "criterion_amount",
    "gate_effort": "criterion_rpe",
    "gate_sessions": "criterion_sessions",
    "gate_sets": "criterion_sets",
    "help": "assistance",
    "least_reps": "min_reps",
    "least_seconds": "min_hold_s",
    "monday": "week_start",
    "school": "method",
    "schools": "methods",
    "standing": "current_rung",
    "terms": "settings",
    "ties": "edges",
    "why_not": "unavailable_reason",
    "word": "note",
    "worn": "added_load",
    "zone": "time_zone",
}
"""Keys of what is kept as JSON."""

VALUES = {"methods": METHODS, "method": METHODS, "outcome": OUTCOMES, "answer": ANSWERS}
"""Values under a key of the new name."""

OF_A_REGION = frozenset({"region", "regions", "targets", "sets", "felt_in", "muscles"})
"""Keys under which regions are named, as values or as keys."""

DOCUMENTS = {
    "adapted_day": ("allowed", "session"),
    "availability": ("document",),
    "check_in": ("answers",),
    "daily_minimum": ("changes",),
    "ladder_revision": ("document",),
    "logged_set": ("changes",),
    "person": ("answers",),
    "placement": ("inputs", "result"),
    "proposal": ("made", "figures", "inputs"),
    "rung": ("changes",),
    "screening": ("inputs",),
    "session_template": ("document",),
    "test": ("changes", "inputs", "result"),
    "week_plan": ("inputs", "result"),
}
"""Columns kept as JSON, by the new names of their tables."""

APPEND_ONLY = "logged_set"
"""Its trigger refuses changes; here it is what was logged that is written with other words."""

BATCH = 1000


def left(table: str, back: bool) -> frozenset[str]:
    """Keys that are left as they are: terms of the week's objective have that name, and of the two
    names that what is worn had, the rows have one."""
    of_the_objective = {"terms"} if table == "week_plan" else set()
    return frozenset(of_the_objective | ({"carried"} if back else set()))


def _turned(names: dict[str, str], back: bool) -> dict[str, str]:
    return {new: old for old, new in names.items()} if back else names


def _json(found: Any, keys: dict[str, str], back: bool, under: str = "") -> Any:
    """What is kept, with keys and values renamed; `under` is the new name of the key above."""
    if isinstance(found, list):
        return [_json(one, keys, back, under) for one in found]
    if isinstance(found, dict):
        regions = _turned(REGIONS, back) if under in OF_A_REGION else {}
        made = {}
        for key, value in found.items():
            name = keys.get(key, regions.get(key, key))
            made[name] = _json(value, keys, back, key if back else name or key)
        return made
    if isinstance(found, str):
        values = VALUES.get(under) or (REGIONS if under in OF_A_REGION else {})
        return _turned(values, back).get(found, found)
    return found


def _documents(back: bool) -> None:
    """Rename within every column kept as JSON, some rows at a time."""
    op.execute(f"ALTER TABLE {APPEND_ONLY} DISABLE TRIGGER USER")
    connection = op.get_bind()
    for table, columns in DOCUMENTS.items():
        keys = _turned(
            {old: new for old, new in KEYS.items() if old not in left(table, back)}, back
        )
        key = "athlete_id" if table in ("person", "availability") else "id"
        last = None
        while True:
            after = "" if last is None else f'WHERE "{key}" > :last'
            listed = ", ".join(f'"{one}"' for one in (key, *columns))
            rows = connection.execute(
                sa.text(f'SELECT {listed} FROM "{table}" {after} ORDER BY "{key}" LIMIT {BATCH}'),  # noqa: S608
                {} if last is None else {"last": last},
            ).all()
            for row in rows:
                changed = {
                    column: made
                    for column, kept in zip(columns, row[1:], strict=True)
                    if kept is not None and (made := _json(kept, keys, back)) != kept
                }
                if changed:
                    to = ", ".join(f'"{one}" = CAST(:{one} AS jsonb)' for one in changed)
                    connection.execute(
                        sa.text(f'UPDATE "{table}" SET {to} WHERE "{key}" = :key'),  # noqa: S608
                        {"key": row[0], **{one: json.dumps(kept) for one, kept in changed.items()}},
                    )
            if len(rows) < BATCH:
                break
            last = rows[-1][0]
    op.execute(f"ALTER TABLE {APPEND_ONLY} ENABLE TRIGGER USER")


def _values(table: str, column: str, values: dict[str, str], back: bool) -> None:
    for old, new in _turned(values, back).items():
        op.execute(
            sa.text(f'UPDATE "{table}" SET "{column}" = :new WHERE "{column}" = :old').bindparams(  # noqa: S608
                old=old, new=new
            )
        )


def _rules(back: bool) -> None:
    for old, new in _turned(RULES, back).items():
        op.execute(
            sa.text(
                "UPDATE proposal SET rules = array_replace(rules, :old, :new) "
                "WHERE :old = ANY(rules)"
            ).bindparams(old=old, new=new)
        )


def _felt_in(back: bool) -> None:
    op.execute(f"ALTER TABLE {APPEND_ONLY} DISABLE TRIGGER USER")
    for old, new in _turned(REGIONS, back).items():
        op.execute(
            sa.text(
                "UPDATE logged_set SET felt_in = array_replace(felt_in, :old, :new) "
                "WHERE :old = ANY(felt_in)"
            ).bindparams(old=old, new=new)
        )
    op.execute(f"ALTER TABLE {APPEND_ONLY} ENABLE TRIGGER USER")


def _relations(rename: Callable[[str], str]) -> None:
    """Rename what constraints and indexes are called, as their tables and columns are."""
    connection = op.get_bind()
    constraints = connection.execute(
        sa.text(
            "SELECT c.conname, t.relname FROM pg_constraint c JOIN pg_class t ON t.oid = "
            "c.conrelid "
            "JOIN pg_namespace n ON n.oid = t.relnamespace WHERE n.nspname = current_schema()"
        )
    ).all()
    for name, table in constraints:
        if (new := rename(name)) != name:
            op.execute(f'ALTER TABLE "{table}" RENAME CONSTRAINT "{name}" TO "{new}"')
    indexes = connection.execute(
        sa.text("SELECT indexname FROM pg_indexes WHERE schemaname = current_schema()")
    ).all()
    for (name,) in indexes:
        if (new := rename(name)) != name:
            op.execute(f'ALTER INDEX "{name}" RENAME TO "{new}"')


def _renamed(name: str, back: bool) -> str:
    """What a constraint or an index is called."""
    if name in (special := _turned(INDEXES, back)):
        return special[name]
    kind, _, rest = name.partition("_")
    if kind not in ("ck", "fk", "ix", "pk", "uq"):
        return name
    for old, new in sorted(_turned(TABLES, back).items(), key=lambda one: -len(one[0])):
        if rest == old or rest.startswith(f"{old}_"):
            rest = new + rest.removeprefix(old).replace(f"_ck_{old}_", f"_ck_{new}_")
            break
    columns = dict(EVERYWHERE)
    for of_one in COLUMNS.values():
        columns |= {old: new for old, new in of_one.items() if old not in ("step", "told", "drawn")}
    for old, new in _turned(columns, back).items():
        rest = re.sub(rf"(?<=_){old}(?=_|$)", new, rest)
    return f"{kind}_{rest}"


def _columns(back: bool) -> None:
    connection = op.get_bind()
    tables = sa.inspect(connection).get_table_names()
    for table in tables:
        names = {**EVERYWHERE, **COLUMNS.get(table, {})}
        there = {column["name"] for column in sa.inspect(connection).get_columns(table)}
        kept = KEEPS_NOTE if back else frozenset()
        for old, new in _turned(names, back).items():
            if old in there and (table, old) not in kept:
                op.alter_column(table, old, new_column_name=new)


KEEPS_NOTE = frozenset(
    {
        ("athlete", "note"),
        ("logged_set", "note"),
        ("account", "time_zone"),
        ("athlete", "time_zone"),
    }
)
"""Columns that had these names before."""


CHECKS = {
    "outcome": "ck_proposal_outcome",
    "answer": "ck_proposal_ck_proposal_answer",
}
"""What the checks are called that say which words a column takes."""


def _words(column: str, values: tuple[str, ...]) -> None:
    known = ", ".join(f"'{value}'" for value in values)
    op.create_check_constraint(op.f(CHECKS[column]), "proposal", f"{column} IN ({known})")


SAID = ("accept", "edit", "decline", "expired")
OUTCOME = ("stop", "hold", *OUTCOMES.values())


def upgrade() -> None:
    """Rename, and rewrite what is kept by name."""
    for old, new in TABLES.items():
        op.rename_table(old, new)
    _columns(back=False)
    _relations(lambda name: _renamed(name, back=False))
    for name in CHECKS.values():
        op.drop_constraint(op.f(name), "proposal")
    _values("proposal", "outcome", OUTCOMES, back=False)
    _values("proposal", "answer", ANSWERS, back=False)
    _values("ladder", "method", METHODS, back=False)
    _words("outcome", OUTCOME)
    _words("answer", SAID)
    _felt_in(back=False)
    _rules(back=False)
    _documents(back=False)


def downgrade() -> None:
    """The old names again."""
    _documents(back=True)
    _felt_in(back=True)
    _rules(back=True)
    for name in CHECKS.values():
        op.drop_constraint(op.f(name), "proposal")
    _values("proposal", "outcome", OUTCOMES, back=True)
    _values("proposal", "answer", ANSWERS, back=True)
    _values("ladder", "method", METHODS, back=True)
    before = {new: old for old, new in {**OUTCOMES, **ANSWERS}.items()}
    _words("outcome", tuple(before.get(one, one) for one in OUTCOME))
    _words("answer", tuple(before.get(one, one) for one in SAID))
    _relations(lambda name: _renamed(name, back=True))
    _columns(back=True)
    for old, new in TABLES.items():
        op.rename_table(new, old)
