"""Connections and migrations."""

from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from alembic import command
from alembic.config import Config
from alembic.script import ScriptDirectory
from sqlalchemy import Connection, Engine, create_engine, text
from sqlmodel import Session

CONNECT_SECONDS = 3
POOL_SECONDS = 5
"""How long a connection, and a place in the pool, is waited for (ours)."""

LIMITS = {
    "lock_timeout": "5s",
    "statement_timeout": "30s",
    "idle_in_transaction_session_timeout": "60s",
}
"""After what the server ends a wait for a lock, a statement, and a transaction that does nothing
(ours): one request's trouble stays its own."""


def engine_for(url: str) -> Engine:
    """A pool on a PostgreSQL address that finds its way back when the server returns, and whose
    connections wait for nothing without end."""
    options = " ".join(f"-c {name}={limit}" for name, limit in LIMITS.items())
    return create_engine(
        url,
        pool_pre_ping=True,
        pool_timeout=POOL_SECONDS,
        connect_args={"connect_timeout": CONNECT_SECONDS, "options": options},
    )


def take_time(connection: Connection | Session) -> None:
    """Let this transaction's statements take as long as they do: a backup, a migration."""
    for name in LIMITS:
        connection.execute(text(f"SET LOCAL {name} = 0"))


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
