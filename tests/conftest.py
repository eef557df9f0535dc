"""What every kind of test shares: a throwaway PostgreSQL, a clock that stands still."""

import os
import tempfile
from collections.abc import Iterator
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import TypeVar

import pytest
from sqlalchemy import Engine, text
from sqlmodel import Session, SQLModel, select

from invelo import postgres
from invelo.store.database import engine_for, migrate
from tests import depth
from tests.report import SlowestFiles

Row = TypeVar("Row", bound=SQLModel)


def pytest_addoption(parser: pytest.Parser) -> None:
    parser.addoption(
        "--long", action="store_true", help="the long form of every test, and the long tests too"
    )


def pytest_configure(config: pytest.Config) -> None:
    depth.choose(config.getoption("--long"))
    if not hasattr(config, "workerinput"):  # where all of a run's reports come together
        config.pluginmanager.register(SlowestFiles(), "slowest-files")


def pytest_collection_modifyitems(config: pytest.Config, items: list[pytest.Item]) -> None:
    if not config.getoption("--long"):
        long = [item for item in items if item.get_closest_marker("long")]
        config.hook.pytest_deselected(items=long)
        items[:] = [item for item in items if item not in long]


@pytest.fixture(scope="session")
def server() -> Iterator[postgres.Server]:
    """A PostgreSQL server of the test run's own, gone with it."""
    with tempfile.TemporaryDirectory(prefix="invelo-test-") as folder:
        os.chmod(folder, 0o755)  # the server may run as another user
        with postgres.running(Path(folder) / "postgres", postgres.FAST_AND_LOOSE) as running:
            yield running


@pytest.fixture(scope="session")
def shared_engine(server: postgres.Server) -> Iterator[Engine]:
    """A migrated database that tests share, one after the other."""
    url = server.url("shared")
    migrate(url)
    made = engine_for(url)
    yield made
    made.dispose()


def empty(engine: Engine) -> None:
    """Take every row out of a database. Most tables hold few or none, which a deletion passes over
    and a truncation would write anew."""
    tables = (table.name for table in SQLModel.metadata.sorted_tables)
    with engine.begin() as connection:
        connection.execute(text("SET LOCAL session_replication_role = replica"))  # in any order
        connection.execute(text(";".join(f'DELETE FROM "{name}"' for name in tables)))


def rows(engine: Engine, table: type[Row]) -> list[Row]:
    """Every row of a table."""
    with Session(engine) as db:
        return list(db.exec(select(table)))


@pytest.fixture
def engine(shared_engine: Engine) -> Engine:
    """That database, emptied for one test."""
    empty(shared_engine)
    return shared_engine


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
