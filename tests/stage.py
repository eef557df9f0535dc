"""States of the database that many tests begin with: made once in a run, put back as plain rows."""

from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime
from typing import Any, TypeVar

from sqlalchemy import Engine, text
from sqlalchemy.exc import OperationalError
from sqlmodel import SQLModel

Made = TypeVar("Made")


def empty(engine: Engine) -> None:
    """Take every row out of a database. Most tables hold few or none, which a deletion passes over
    and a truncation would write anew."""
    tables = (*(table.name for table in SQLModel.metadata.sorted_tables), "procrastinate_jobs")
    everything_goes = text(";".join(f'DELETE FROM "{name}"' for name in tables))
    for once_more in (True, True, False):
        try:
            with engine.begin() as connection:
                connection.execute(text("SET LOCAL session_replication_role = replica"))
                connection.execute(everything_goes)
            return
        except OperationalError:  # a page that was left behind still writes: one gives way
            if not once_more:
                raise


def everything(engine: Engine) -> dict[str, bytes]:
    """The rows of every table that has any, as PostgreSQL copies them."""
    found = {}
    connection = engine.raw_connection()
    try:
        cursor: Any = connection.cursor()
        for table in SQLModel.metadata.sorted_tables:
            with cursor.copy(f'COPY "{table.name}" TO STDOUT') as rows:
                content = b"".join(bytes(part) for part in rows)
            if content:
                found[table.name] = content
    finally:
        connection.close()
    return found


def put_back(engine: Engine, state: dict[str, bytes]) -> None:
    """Empty a database and fill it with the rows of a state."""
    empty(engine)
    connection = engine.raw_connection()
    try:
        cursor: Any = connection.cursor()
        cursor.execute("SET LOCAL session_replication_role = replica")
        for name, content in state.items():
            with cursor.copy(f'COPY "{name}" FROM STDIN') as rows:
                rows.write(content)
        connection.commit()
    finally:
        connection.close()


@dataclass(frozen=True)
class _Kept:
    state: dict[str, bytes]
    at: datetime
    made: Any


class Stages:
    """What was made once, by name: its rows, when it was, and what its making answered."""

    def __init__(self) -> None:
        self._kept: dict[tuple[str, str], _Kept] = {}

    def set(self, engine: Engine, clock: Any, name: str, make: Callable[[], Made]) -> Made:
        """Bring the database to where `make` brings it, and the clock with it.

        A stage stands for the whole database: whatever was there before it is gone.
        """
        key = (engine.url.database or "", name)
        if key not in self._kept:
            made = make()
            self._kept[key] = _Kept(everything(engine), clock.now, made)
            return made
        kept = self._kept[key]
        put_back(engine, kept.state)
        clock.now = kept.at
        return kept.made  # type: ignore[no-any-return]
