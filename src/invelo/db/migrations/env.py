"""Alembic's entry: migrate over one connection, in one transaction, one copy of the service at a
time. Whoever is in a transaction already hands its connection over, and commits by itself."""

from alembic import context
from sqlalchemy import Connection, text
from sqlmodel import SQLModel

from invelo.db import tables  # noqa: F401  (the metadata knows what was imported)
from invelo.db.database import engine_for
from invelo.db.queue import is_ours

ONE_AT_A_TIME = text("SELECT pg_advisory_xact_lock(hashtext('invelo migrations'))")
"""Whoever comes second waits, and then finds nothing to do."""


def migrate(connection: Connection) -> None:
    """Run what was asked for."""
    context.configure(
        connection=connection, target_metadata=SQLModel.metadata, include_name=is_ours
    )
    with context.begin_transaction():
        connection.execute(ONE_AT_A_TIME)
        context.run_migrations()


handed_over = context.config.attributes.get("connection")
if handed_over is not None:
    migrate(handed_over)
else:
    engine = engine_for(context.config.attributes["url"])
    with engine.connect() as own:
        migrate(own)
    engine.dispose()
