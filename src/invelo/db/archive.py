"""The whole data as JSON Lines and back: read row by row, written batch by batch, nothing half."""

import json
from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from graphlib import TopologicalSorter

from sqlalchemy import Connection, inspect, text
from sqlalchemy.exc import DBAPIError
from sqlmodel import SQLModel

from invelo.domain.errors import InputError

BATCH = 2000
"""Rows that are written at a time."""

LEFT_OUT = frozenset(
    {
        "sign_in",
        "sign_in_device",
        "sign_in_attempt",
        "password_reset",
        "whereabouts",
        "week_planning",
        "background_task",
        "procrastinate_jobs",
        "procrastinate_events",
        "procrastinate_periodic_defers",
        "procrastinate_workers",
    }
)
"""Tables that say who is signed in, standing where, or at work on what just now: no part of the
data."""


_UNBROKEN = "Take an unbroken archive."


@dataclass(frozen=True)
class TableOf:
    """A table and the columns that order its rows."""

    name: str
    keys: tuple[str, ...]


def tables() -> tuple[TableOf, ...]:
    """Every table that is kept, those that others point to first."""
    return tuple(
        TableOf(table.name, tuple(column.name for column in table.primary_key))
        for table in SQLModel.metadata.sorted_tables
        if table.name not in LEFT_OUT
    )


def tables_there(db: Connection) -> tuple[TableOf, ...]:
    """Every table that is kept at whatever schema the database stands, those that others point to
    first; what may point to rows that come later is held to it in the end (`check`)."""
    there = inspect(db)
    names = set(there.get_table_names()) - LEFT_OUT - {"alembic_version"}
    order = TopologicalSorter(
        {
            name: {
                key["referred_table"]
                for key in there.get_foreign_keys(name)
                if not key["options"].get("deferrable") and key["referred_table"] != name
            }
            for name in sorted(names)
        }
    )
    return tuple(
        TableOf(name, tuple(there.get_pk_constraint(name)["constrained_columns"]))
        for name in order.static_order()
    )


def revision(db: Connection) -> str:
    """Which migration the database stands at."""
    return str(db.execute(text("SELECT version_num FROM alembic_version")).scalar_one())


def rows(db: Connection, table: TableOf) -> Iterator[bytes]:
    """A table's rows, a JSON object in a line each, in the order of their keys.

    Read through the server's COPY, so that no more than a buffer of them is held.
    """
    order = ", ".join(f'"{key}"' for key in table.keys)
    query = f'SELECT row_to_json(t)::text FROM (SELECT * FROM "{table.name}" ORDER BY {order}) t'  # noqa: S608
    driver = db.connection.driver_connection
    assert driver is not None  # noqa: S101  (a connection that is open has one)
    with driver.cursor() as cursor, cursor.copy(f"COPY ({query}) TO STDOUT") as copy:
        for (line,) in copy.rows():
            yield line.encode() + b"\n"


def is_empty(db: Connection) -> bool:
    """Whether nothing is kept yet."""
    return not any(
        db.execute(text(f'SELECT 1 FROM "{table.name}" LIMIT 1')).first()  # noqa: S608
        for table in tables()
    )


def defer(db: Connection) -> None:
    """Let rows point to ones that come later, until all are there."""
    db.execute(text("SET CONSTRAINTS ALL DEFERRED"))


def check(db: Connection) -> None:
    """Hold every row to what it points to, now.

    Raises:
        InputError: for a row that points to one that is not there.
    """
    try:
        db.execute(text("SET CONSTRAINTS ALL IMMEDIATE"))
    except DBAPIError as error:
        raise InputError("archive", "a row points to one that is not there.", _UNBROKEN) from error


def fill(db: Connection, table: TableOf, lines: Iterable[bytes]) -> int:
    """Write a table's rows; the number of them.

    Raises:
        InputError: for a line that is no row of this table.
    """
    written = 0
    batch: list[str] = []

    def write() -> None:
        statement = text(
            f'INSERT INTO "{table.name}" SELECT * FROM '  # noqa: S608
            f'json_populate_recordset(NULL::"{table.name}", CAST(:rows AS json))'
        )
        try:
            db.execute(statement, {"rows": f"[{','.join(batch)}]"})
        except DBAPIError as error:
            raise InputError(
                f"{table.name}, lines to {written}", "they do not fit the table.", _UNBROKEN
            ) from error
        batch.clear()

    for line in lines:
        written += 1
        try:
            document = json.loads(line)
        except (ValueError, RecursionError) as error:
            raise InputError(
                f"{table.name}, line {written}", "it is no JSON.", _UNBROKEN
            ) from error
        if not isinstance(document, dict):
            raise InputError(f"{table.name}, line {written}", "it is no row.", _UNBROKEN)
        batch.append(line.decode().strip())
        if len(batch) == BATCH:
            write()
    if batch:
        write()
    return written


def count_up(db: Connection) -> None:
    """Let numbers that count up go on after the greatest that was written."""
    for table in SQLModel.metadata.sorted_tables:
        for column in table.primary_key:
            if column.autoincrement is True or str(column.type) == "INTEGER":
                sequence = db.execute(
                    text("SELECT pg_get_serial_sequence(:table, :column)"),
                    {"table": f'"{table.name}"', "column": column.name},
                ).scalar()
                if sequence:
                    db.execute(
                        text(
                            f"SELECT setval(:sequence, COALESCE((SELECT MAX({column.name}) "  # noqa: S608
                            f'FROM "{table.name}"), 1))'
                        ),
                        {"sequence": sequence},
                    )
