"""Rungs put on a ladder and taken off it by the coach."""

from dataclasses import dataclass
from typing import Any, Literal
from uuid import UUID

from sqlmodel import Session, col, select, update

from invelo.core.ladder import belongs
from invelo.core.movement import Modifiers, catalogue
from invelo.core.reading import reading
from invelo.core.rung import asked
from invelo.core.ways import changed
from invelo.store import capacity, guard, ladder, tables
from invelo.store.errors import ConflictError
from invelo.store.moment import Moment
from invelo.store.rows import body_of, rung_of, set_up_columns
from invelo.store.tables import Athlete, Ladder, Rung

DOSE_COLUMNS = (
    "sets",
    "low",
    "high",
    "unit",
    "rest_s",
    "effort",
    "gate_sets",
    "gate_amount",
    "gate_effort",
    "gate_sessions",
)
"""What a new rung takes over from the one beside it."""


@dataclass(frozen=True)
class NewRung:
    """A rung made from one of the ladder's by turning one dial."""

    id: UUID
    beside: UUID
    side: Literal["above", "below"]
    dial: str
    amount: float


def add_rung(db: Session, row: Ladder, athlete: Athlete, new: NewRung, moment: Moment) -> Rung:
    """Put a rung right above or below another, with that one's dose and gate; placed anew.

    A replay of the same rung changes nothing.

    Raises:
        InputError: for an amount out of range or of this body's reach.
        MissingError: if `beside` is no rung of this ladder.
        ConflictError: if the id is in use, or something closes it.
    """
    kept = _replayed(db, row, new.id)
    if kept is not None:
        return kept
    beside = ladder.rung_on(db, row.id, new.beside)
    guard.allow(db, athlete.id, [beside.movement], moment.local_date)
    made = changed(rung_of(beside), new.dial, new.amount)
    body = body_of(capacity.measures(db, athlete.id)[-1])
    reading(body, made.modifiers.setup(made.movement))  # refuses what the body cannot reach
    position = beside.position + (new.side == "above")
    return _insert(
        db,
        row,
        athlete,
        moment,
        beside,
        position,
        new.id,
        made.name,
        set_up_columns(beside.movement, made.modifiers),
    )


def _replayed(db: Session, row: Ladder, rung_id: UUID) -> Rung | None:
    """The rung that this id has put on the ladder already."""
    kept = db.get(Rung, rung_id)
    if kept is not None and kept.ladder_id != row.id:
        raise ConflictError("id", "it is in use.", "Make a new id for each rung.")
    return kept


def _insert(
    db: Session,
    row: Ladder,
    athlete: Athlete,
    moment: Moment,
    beside: Rung,
    position: int,
    rung_id: UUID,
    name: str,
    columns: dict[str, Any],
) -> Rung:
    """Make room at a position and put a rung there with its neighbour's dose; placed anew."""
    later = col(Rung.ladder_id) == row.id, col(Rung.position) >= position
    same = {column: getattr(beside, column) for column in DOSE_COLUMNS}
    db.exec(update(Rung).where(*later).values(position=Rung.position + 1))
    rung = Rung(id=rung_id, ladder_id=row.id, position=position, name=name, **columns, **same)
    db.add(rung)
    db.flush()
    db.expire_all()
    ladder.record_placement(db, row, athlete, moment, {"rung added": str(rung_id)})
    return rung


def keep_set_up(
    db: Session,
    row: Ladder,
    athlete: Athlete,
    rung_id: UUID,
    name: str,
    form_id: str,
    changes: Modifiers,
    moment: Moment,
) -> Rung:
    """Put a set-up on a ladder as a rung, where its demand belongs, with its neighbour's dose.

    A replay of the same rung changes nothing.

    Raises:
        InputError: for a form that is no movement of the ladder's family, or a set-up out of this
            body's reach.
        ConflictError: if the id is in use, or something closes it.
    """
    kept = _replayed(db, row, rung_id)
    if kept is not None:
        return kept
    movement = catalogue().movement_of(form_id, row.family)
    guard.allow(db, athlete.id, [movement.id], moment.local_date)
    seen = ladder.view(db, row, athlete)
    asks = asked(
        body_of(seen.measure), changes.setup(movement), changes.tempo, seen.rungs[0].low
    ).on_scale.likely
    position = belongs(seen.measured.demands, asks)
    beside = seen.rungs[max(0, position - 1)]
    return _insert(
        db,
        row,
        athlete,
        moment,
        beside,
        position,
        rung_id,
        name,
        set_up_columns(movement.id, changes),
    )


def remove_rung(db: Session, row: Ladder, athlete: Athlete, rung_id: UUID, moment: Moment) -> None:
    """Take a rung off that nobody has trained on.

    Raises:
        MissingError: if it is no rung of this ladder.
        ConflictError: if the athlete stands on it, or sessions or decisions name it.
    """
    rung = ladder.rung_on(db, row.id, rung_id)
    if row.standing_id == rung.id:
        raise ConflictError("rung", "the athlete stands on it.", "Put them on another first.")
    uses = (
        col(tables.TrainingSession.rung_id),
        col(tables.LoggedSet.rung_id),
        col(tables.Decision.from_rung_id),
        col(tables.Decision.to_rung_id),
        col(tables.Decision.final_rung_id),
    )
    if any(db.exec(select(use).where(use == rung.id).limit(1)).first() for use in uses):
        raise ConflictError("rung", "sessions or decisions name it.", "Leave it on the ladder.")
    db.delete(rung)
    db.flush()
    later = col(Rung.ladder_id) == row.id, col(Rung.position) > rung.position
    db.exec(update(Rung).where(*later).values(position=Rung.position - 1))
    db.expire_all()
    ladder.record_placement(db, row, athlete, moment, {"rung removed": str(rung_id)})
