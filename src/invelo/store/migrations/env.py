"""Alembic's entry: migrate over one connection, in one transaction."""

from alembic import context
from sqlmodel import SQLModel

from invelo.store import (  # noqa: F401  (fill the metadata)
    floor_tables,
    kit_tables,
    plan_tables,
    review_tables,
    tables,
)
from invelo.store.database import engine_for

engine = engine_for(context.config.attributes["url"])
with engine.connect() as connection:
    context.configure(connection=connection, target_metadata=SQLModel.metadata)
    with context.begin_transaction():
        context.run_migrations()
engine.dispose()
