"""Connections and migrations."""

from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from alembic import command
from alembic.config import Config
from alembic.script import ScriptDirectory
from sqlalchemy import Connection, Engine, create_engine
from sqlmodel import Session

CONNECT_SECONDS = 3


def engine_for(url: str) -> Engine:
    """A pool on a PostgreSQL address that finds its way back when the server returns."""
    return create_engine(url, pool_pre_ping=True, connect_args={"connect_timeout": CONNECT_SECONDS})


@contextmanager
def transaction(engine: Engine) -> Iterator[Session]:
    """A session that commits at the end, or leaves no trace if anything went wrong."""
    with Session(engine) as session:
        yield session
        session.commit()


def migrate(url: str) -> None:
    """Bring a database to the newest schema."""
    config = _migrations()
    config.attributes["url"] = url
    command.upgrade(config, "head")


def knows(revision: str) -> bool:
    """Whether a schema is one of this release's or of an earlier one's."""
    scripts = ScriptDirectory.from_config(_migrations()).walk_revisions()
    return revision in {script.revision for script in scripts}


def move_to(connection: Connection, revision: str) -> None:
    """Bring the tables to an earlier schema, within a transaction of the caller's."""
    config = _migrations()
    config.attributes["connection"] = connection
    command.downgrade(config, revision)


def move_on(connection: Connection) -> None:
    """Bring the tables to the newest schema, within a transaction of the caller's."""
    config = _migrations()
    config.attributes["connection"] = connection
    command.upgrade(config, "head")


def _migrations() -> Config:
    config = Config()
    config.set_main_option("script_location", str(Path(__file__).parent / "migrations"))
    return config
