"""Logged sets and sessions as every place answers with them."""

from collections.abc import Iterable, Sequence
from datetime import date, datetime
from uuid import UUID

from pydantic import Field
from sqlmodel import Session

from invelo.db import shown_sets
from invelo.db.codec import changes_from
from invelo.db.queries import account_rows
from invelo.db.tables.training import LoggedSetRow, TrainingSessionRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.plan.prescription import Unit
from invelo.domain.strict import ResponseModel
from invelo.domain.training.by_hand import LoadPlace, carried
from invelo.domain.training.log import OneSide, SetKind


class LoggedSetOut(ResponseModel):
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
    load_kg: float = Field(description="Added; below nought taken off.")
    load_at: LoadPlace | None = Field(description="None for none, several, and what is taken off.")
    tempo: str
    band: str = Field(description="Of the coach's; '' for none.")
    partial: int = Field(description="Reps that fell short of depth.")
    prescribed_min: int | None
    prescribed_max: int | None
    surplus: float = Field(description="Beyond the top of what was asked.")
    rpe: float
    form_ok: bool
    faults: list[str]
    felt_in: list[str]
    pain: int
    pain_place: str
    note: str
    corrects_set_id: UUID | None
    picture: str = Field(description="Media type of what is kept with it; '' for nothing.")
    clock_off_s: float | None = Field(description="Seconds the device's clock was behind ours.")


class ChangedField(ResponseModel):
    """A field that a correction changed."""

    field: str
    before: str
    after: str


class SetVersionOut(LoggedSetOut):
    """A version of a set: the newest, or one that was put right."""

    kept_at: datetime = Field(description="By our clock.")
    entered_by: str = Field(description="The athlete, or the coach who entered it.")
    changed: list[ChangedField] = Field(description="From the version before; none of the first.")


class LoggedSessionOut(ResponseModel):
    """A session with the sets that stand."""

    id: UUID
    name: str
    at: datetime
    local_date: date
    finished_at: datetime | None
    rpe: float | None
    sets: list[LoggedSetOut]


def sets_of(db: Session, set_ids: Iterable[UUID]) -> list[LoggedSetOut]:
    """Sets as they are answered, in the order in which they are named."""
    return [_set(logged) for logged in shown_sets.of_sets(db, set_ids)]


def sessions_of(db: Session, rows: Iterable[TrainingSessionRow]) -> list[LoggedSessionOut]:
    """Sessions as they are answered, with the sets that stand."""
    there = list(rows)
    sets = shown_sets.of_sessions(db, [row.id for row in there])
    return [
        LoggedSessionOut.of(row, sets=[_set(logged) for logged in sets[row.id]]) for row in there
    ]


COMPARED = (
    *("amount", "least", "most", "load_kg", "load_at", "tempo", "band", "partial", "rpe"),
    *("form_ok", "faults", "felt_in"),
    *("pain", "pain_place", "note", "side", "kind", "number", "prescribed_min", "prescribed_max"),
)
"""Fields of which a correction is told."""


def versions_of(
    db: Session, rows: Sequence[LoggedSetRow], athlete_name: str
) -> list[SetVersionOut]:
    """The versions of a set, the newest first, each with what it changed of the one before."""
    sets = sets_of(db, [row.id for row in rows])
    names = account_rows.names(db, {row.author_id for row in rows if row.author_id})
    return [
        SetVersionOut(
            **shown.model_dump(),
            kept_at=row.server_at,
            entered_by=names[row.author_id] if row.author_id else athlete_name,
            changed=_changed(sets[i + 1], shown) if i + 1 < len(sets) else [],
        )
        for i, (row, shown) in enumerate(zip(rows, sets, strict=True))
    ]


def _changed(before: LoggedSetOut, after: LoggedSetOut) -> list[ChangedField]:
    return [
        ChangedField(field=name, before=_words(old), after=_words(new))
        for name in COMPARED
        if (old := getattr(before, name)) != (new := getattr(after, name))
    ]


def _words(value: object) -> str:
    match value:
        case None | "" | []:
            return "nothing"
        case bool():
            return "yes" if value else "no"
        case float():
            return f"{value:g}"
        case list():
            return ", ".join(map(str, value))
    return str(value)


def _set(logged: shown_sets.ShownSet) -> LoggedSetOut:
    movement = catalogue().find_movement(logged["movement"])
    over = (
        logged["amount"] - logged["prescribed_max"] if logged["prescribed_max"] is not None else 0.0
    )
    name = logged["name"] or movement.name
    modifiers = changes_from(logged["changes"])
    load = carried(modifiers)
    shown = {
        **logged,
        "name": name,
        "unit": movement.unit,
        "surplus": max(0.0, over),
        "load_kg": load.kg,
        "load_at": load.at,
        "tempo": str(modifiers.tempo),
        "band": (modifiers.band.band.name or "a band") if modifiers.band else "",
    }
    return LoggedSetOut.model_validate(shown)
