"""What every kind of test shares: a throwaway PostgreSQL, a clock that stands still."""

import os
import tempfile
from collections.abc import Iterator
from datetime import UTC, datetime, timedelta
from pathlib import Path
from uuid import uuid4

import psycopg
import pytest
from psycopg import sql
from sqlalchemy import Engine

from invelo import postgres
from invelo.store.database import engine_for, migrate

TEMPLATE = "migrated"


@pytest.fixture(scope="session")
def server() -> Iterator[postgres.Server]:
    """A PostgreSQL server of the test run's own, gone with it."""
    with tempfile.TemporaryDirectory(prefix="invelo-test-") as folder:
        os.chmod(folder, 0o755)  # the server may run as another user
        with postgres.running(Path(folder) / "postgres", postgres.FAST_AND_LOOSE) as running:
            migrate(running.url(TEMPLATE))
            yield running


@pytest.fixture
def database_url(server: postgres.Server) -> Iterator[str]:
    """A database at the newest schema, empty, for one test."""
    name = f"test_{uuid4().hex}"
    with psycopg.connect(server.conninfo("postgres"), autocommit=True) as connection:
        connection.execute(
            sql.SQL("CREATE DATABASE {} TEMPLATE {}").format(
                sql.Identifier(name), sql.Identifier(TEMPLATE)
            )
        )
    yield server.url(name)
    server.drop(name)


@pytest.fixture
def engine(database_url: str) -> Iterator[Engine]:
    """A pool on that database."""
    made = engine_for(database_url)
    yield made
    made.dispose()


class Clock:
    """Stands still until a test moves it."""

    def __init__(self) -> None:
        self.now = datetime(2026, 3, 2, 9, 0, tzinfo=UTC)

    def __call__(self) -> datetime:
        return self.now

    def pass_by(self, **by: float) -> datetime:
        self.now += timedelta(**by)
        return self.now


@pytest.fixture
def clock() -> Clock:
    return Clock()
