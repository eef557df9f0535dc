"""What every kind of test shares: a throwaway PostgreSQL, a clock that stands still."""

import os
import tempfile
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import UTC, datetime, timedelta
from pathlib import Path
from typing import TypeVar

import psycopg
import pytest
from sqlalchemy import Engine
from sqlmodel import Session, SQLModel, select

from invelo.db.database import engine_for, migrate, transaction
from invelo.demo.history import load
from invelo.runtime import postgres
from invelo.runtime.settings import ROOT
from tests import depth
from tests.report import SlowestFiles
from tests.stage import Stages, empty

Row = TypeVar("Row", bound=SQLModel)

FORTNIGHT = 2
"""Weeks of the theatre's story that make a squad which has been lived in."""


def pytest_addoption(parser: pytest.Parser) -> None:
    parser.addoption(
        "--long", action="store_true", help="the long form of every test, and the long tests too"
    )


def pytest_configure(config: pytest.Config) -> None:
    depth.choose(config.getoption("--long"))
    if not hasattr(config, "workerinput"):  # where all of a run's reports come together
        config.pluginmanager.register(SlowestFiles(), "slowest-files")


HEAVIEST = ("browser", "machine", "reference", "api")
"""Folders whose tests take longest. They come first: what is left for the end is shared finely."""


def pytest_collection_modifyitems(config: pytest.Config, items: list[pytest.Item]) -> None:
    if not config.getoption("--long"):
        long = [item for item in items if item.get_closest_marker("long")]
        config.hook.pytest_deselected(items=long)
        items[:] = [item for item in items if item not in long]
    items.sort(key=_weight)


def _weight(item: pytest.Item) -> int:
    part = item.path.relative_to(ROOT / "tests").parts[0]
    return HEAVIEST.index(part) if part in HEAVIEST else len(HEAVIEST)


@contextmanager
def open_folder() -> Iterator[Path]:
    """A folder into which a server may look that runs as another user. Not one of pytest's own:
    those are closed to others whenever another run begins on the machine."""
    with tempfile.TemporaryDirectory(prefix="invelo-test-") as folder:
        os.chmod(folder, 0o755)
        yield Path(folder)


@pytest.fixture(scope="session")
def server() -> Iterator[postgres.Server]:
    """A PostgreSQL server of the test run's own, gone with it."""
    with (
        open_folder() as folder,
        postgres.running(folder / "postgres", postgres.FAST_AND_LOOSE) as running,
    ):
        may_pass_by_triggers = f"GRANT SET ON PARAMETER session_replication_role TO {postgres.ROLE}"
        with psycopg.connect(running.conninfo("postgres"), autocommit=True) as connection:
            connection.execute(may_pass_by_triggers)  # tests put rows back as they were
        yield running


@pytest.fixture(scope="session")
def shared_engine(server: postgres.Server) -> Iterator[Engine]:
    """A migrated database that tests share, one after the other."""
    url = server.url("shared")
    migrate(url)
    made = engine_for(url)
    yield made
    made.dispose()


def fresh(server: postgres.Server, name: str, like: str = "") -> str:
    """The address of a new database, or of one like another. A worker that gives tests away and
    steals some back sets a module up twice, so one that is there goes first."""
    server.drop(name)
    return server.copy(like, name) if like else server.url(name)


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


@pytest.fixture(scope="session")
def fortnight(server: postgres.Server) -> Iterator[Engine]:
    """A database with two weeks of the theatre in it, which no test writes to."""
    url = server.url("fortnight")
    migrate(url)
    told = engine_for(url)
    with transaction(told) as db:
        load(db, Clock().now, weeks=FORTNIGHT)
    yield told
    told.dispose()


@pytest.fixture(scope="session")
def stages() -> Stages:
    """Where tests begin, each made once."""
    return Stages()
