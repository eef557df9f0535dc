"""Columns that more than one table has: instants, local days, where a result came from."""

from collections.abc import Iterable
from datetime import date, datetime
from typing import Any
from uuid import uuid4

from sqlalchemy import (
    ARRAY,
    CheckConstraint,
    DateTime,
    Uuid,
    any_,
    event,
    literal,
)
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import object_session
from sqlalchemy.types import TypeEngine
from sqlmodel import Field, SQLModel, col

from invelo.db.moment import Moment
from invelo.domain import MODEL_VERSION
from invelo.domain.catalogue.catalogue import CATALOGUE_VERSION

NAMES = {
    "ix": "ix_%(column_0_label)s",
    "uq": "uq_%(table_name)s_%(column_0_N_name)s",
    "ck": "ck_%(table_name)s_%(constraint_name)s",
    "fk": "fk_%(table_name)s_%(column_0_name)s",
    "pk": "pk_%(table_name)s",
}
SQLModel.metadata.naming_convention = NAMES


def instant(nullable: bool = False) -> Any:
    """An instant with its zone."""
    return Field(
        default=None if nullable else ..., sa_type=DateTime(timezone=True), nullable=nullable
    )


def within(column: str, low: float, high: float) -> CheckConstraint:
    """Last line of defence; the domain refuses the same values first, with words."""
    return CheckConstraint(f"{column} BETWEEN {low:g} AND {high:g}", column)


def one_of(column: str, *values: str) -> CheckConstraint:
    """One of a few words."""
    known = ", ".join(f"'{value}'" for value in values)
    return CheckConstraint(f"{column} IN ({known})", column)


def json_column() -> Any:
    """Whatever the domain writes as JSON."""
    return Field(sa_type=JSONB, nullable=False)


def among(column: Any, values: Iterable[Any], of: TypeEngine[Any] | None = None) -> Any:
    """Whether a column is one of so many ids, or values of a type: one parameter however many."""
    return col(column) == any_(literal(list(values), ARRAY(of or Uuid())))


class Dated(SQLModel):
    """When and where something happened."""

    at: datetime = instant()
    time_zone: str
    local_date: date


class Computed(SQLModel):
    """What a result came from."""

    model_version: str = MODEL_VERSION
    catalogue_version: str = CATALOGUE_VERSION
    inputs: dict[str, Any] = json_column()


def dated(moment: Moment) -> dict[str, Any]:
    """The columns of `Dated` for a moment."""
    return {"at": moment.at, "time_zone": moment.time_zone, "local_date": moment.local_date}


class Versioned(SQLModel):
    """What is edited: `version` is another at every change and never comes back, so that a page
    that has grown stale can tell."""

    version: str = Field(default_factory=lambda: uuid4().hex)


@event.listens_for(Versioned, "before_update", propagate=True)
def _another_version(_: object, __: object, row: Versioned) -> None:
    session = object_session(row)
    if session is not None and session.is_modified(row):
        row.version = uuid4().hex


class SetUpColumns(SQLModel):
    """A movement with what is changed about it, as the domain's `Modifiers` write it."""

    movement: str
    changes: dict[str, Any] = json_column()
