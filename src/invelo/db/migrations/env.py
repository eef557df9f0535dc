"""Alembic's entry: migrate over one connection, in one transaction, one copy of the service at a
time."""

from alembic import context
from sqlalchemy import text
from sqlmodel import SQLModel

from invelo.db import tables  # noqa: F401  (the metadata knows what was imported)
from invelo.db.database import engine_for

ONE_AT_A_TIME = text("SELECT pg_advisory_xact_lock(hashtext('invelo migrations'))")
"""Whoever comes second waits, and then finds nothing to do."""

engine = engine_for(context.config.attributes["url"])
with engine.connect() as connection:
    context.configure(connection=connection, target_metadata=SQLModel.metadata)
    with context.begin_transaction():
        connection.execute(ONE_AT_A_TIME)
        context.run_migrations()
engine.dispose()
