"""Logged sets and sessions as every place answers with them."""

from collections.abc import Iterable
from datetime import date, datetime
from uuid import UUID

from pydantic import Field
from sqlmodel import Session, col, select

from invelo.api.shapes import Shape
from invelo.core.catalogue import catalogue
from invelo.core.dose import Unit
from invelo.core.log import OneSide, SetKind
from invelo.store import logs, notes, tables
from invelo.store.rows import ONE_SIDE, SET_KIND


class LoggedSet(Shape):
    """A set as it was logged."""

    id: UUID
    at: datetime
    rung_id: UUID | None = Field(description="None off any ladder.")
    name: str = Field(description="Of the rung or movement.")
    movement: str
    item: str
    kind: SetKind
    side: OneSide
    number: int
    amount: float = Field(description="Full reps, seconds of a hold, or centimetres.")
    unit: Unit
    least: float | None = Field(description="The least of a count told from memory.")
    most: float | None
    partial: int = Field(description="Reps that fell short of depth.")
    asked_low: int | None
    asked_high: int | None
    surplus: float = Field(description="Beyond the top of what was asked.")
    effort: float
    clean: bool
    faults: list[str]
    felt_in: list[str]
    pain: int
    pain_place: str
    note: str
    corrects: UUID | None
    picture: str = Field(description="Media type of what is kept with it; '' for nothing.")
    clock_off_s: float | None = Field(description="Seconds the device's clock was behind ours.")


class LoggedSession(Shape):
    """A session with the sets that stand."""

    id: UUID
    name: str
    at: datetime
    local_date: date
    finished_at: datetime | None
    effort: float | None
    sets: list[LoggedSet]


def sets_of(db: Session, rows: Iterable[tables.LoggedSet]) -> list[LoggedSet]:
    """Sets as they are answered."""
    there = list(rows)
    names = _names(db, there)
    pictures = notes.with_media(db, [row.id for row in there])
    return [_set(row, names, pictures) for row in there]


def sessions_of(db: Session, found: Iterable[logs.LoggedSession]) -> list[LoggedSession]:
    """Sessions as they are answered."""
    there = list(found)
    every = [row for one in there for row in one.sets]
    names = _names(db, every)
    pictures = notes.with_media(db, [row.id for row in every])
    return [
        LoggedSession(
            id=one.row.id,
            name=one.row.name,
            at=one.row.at,
            local_date=one.row.local_date,
            finished_at=one.row.finished_at,
            effort=one.row.effort,
            sets=[_set(row, names, pictures) for row in one.sets],
        )
        for one in there
    ]


def _names(db: Session, rows: Iterable[tables.LoggedSet]) -> dict[UUID, str]:
    wanted = {row.rung_id for row in rows if row.rung_id is not None}
    if not wanted:
        return {}
    found = db.exec(select(tables.Rung.id, tables.Rung.name).where(col(tables.Rung.id).in_(wanted)))
    return dict(found.all())


_AS_KEPT = (
    *("id", "at", "rung_id", "movement", "item", "number", "amount", "least", "most", "partial"),
    *("asked_low", "asked_high", "effort", "clean", "faults", "felt_in", "pain", "pain_place"),
    *("note", "corrects"),
)


def _set(row: tables.LoggedSet, names: dict[UUID, str], pictures: dict[UUID, str]) -> LoggedSet:
    movement = catalogue().find_movement(row.movement)
    return LoggedSet(
        **{name: getattr(row, name) for name in _AS_KEPT},
        name=names.get(row.rung_id, movement.name) if row.rung_id else movement.name,
        kind=SET_KIND.validate_python(row.kind),
        side=ONE_SIDE.validate_python(row.side),
        unit=movement.unit,
        surplus=max(0.0, row.amount - row.asked_high) if row.asked_high is not None else 0.0,
        picture=pictures.get(row.id, ""),
        clock_off_s=row.skew_s,
    )
