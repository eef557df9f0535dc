"""Drawings to rows and back: the rungs, how they are tied, and the sketches that edits leave."""

from typing import Any
from uuid import UUID

from sqlalchemy import delete
from sqlmodel import Session, col, or_, select, text

from invelo.core.rung import Rung as CoreRung
from invelo.core.workshop import Drawing, Drawn
from invelo.store import review_tables, tables
from invelo.store.columns import among
from invelo.store.errors import ConflictError
from invelo.store.rows import rung_columns, rung_of
from invelo.store.tables import Ladder, Rung, Tie


def rungs_of(db: Session, ladder_id: UUID) -> list[Rung]:
    """A ladder's rungs, from the foot up."""
    statement = select(Rung).where(Rung.ladder_id == ladder_id)
    return list(db.exec(statement.order_by(col(Rung.position))))


def drawing_of(db: Session, rungs: list[Rung]) -> Drawing:
    """A ladder as it is drawn now."""
    ids = [row.id for row in rungs]
    ties = db.exec(select(Tie).where(among(Tie.lower_id, ids))).all()
    return Drawing(
        tuple(Drawn(row.id, rung_of(row), row.why) for row in rungs),
        tuple(sorted((tie.lower_id, tie.upper_id) for tie in ties)),
    )


def write(db: Session, row: Ladder, drawing: Drawing) -> None:
    """Make the rows say what is drawn; rungs keep their ids.

    Raises:
        ConflictError: if a rung would go that the athlete stands on or that logs name, or an id is
            another ladder's.
    """
    kept = {rung.id: rung for rung in rungs_of(db, row.id)}
    wanted = {one.id for one in drawing.rungs}
    for rung in kept.values():
        if rung.id not in wanted:
            _may_go(db, row, rung)
    db.exec(text("SET CONSTRAINTS ALL DEFERRED"))  # type: ignore[call-overload]
    for position, one in enumerate(drawing.rungs):
        columns = {**rung_columns(one.rung), "why": one.why, "position": position}
        if one.id in kept:
            for name, value in columns.items():
                setattr(kept[one.id], name, value)
            db.add(kept[one.id])
        elif db.get(Rung, one.id) is not None:
            raise ConflictError("id", "it is in use.", "Make a new id for each rung.")
        else:
            db.add(Rung(id=one.id, ladder_id=row.id, **columns))
    for rung in kept.values():
        if rung.id not in wanted:
            db.delete(rung)
    db.flush()
    ids = list(wanted)
    db.exec(delete(Tie).where(or_(col(Tie.lower_id).in_(ids), col(Tie.upper_id).in_(ids))))
    db.add_all(Tie(lower_id=lower, upper_id=upper) for lower, upper in drawing.ties)
    db.flush()
    db.expire_all()


def _may_go(db: Session, row: Ladder, rung: Rung) -> None:
    if row.standing_id == rung.id:
        raise ConflictError(
            "rung", f"the athlete stands on “{rung.name}”.", "Put them on another first."
        )
    uses = (
        col(tables.LoggedSet.rung_id),
        col(review_tables.Decision.from_rung_id),
        col(review_tables.Decision.to_rung_id),
        col(review_tables.Decision.final_rung_id),
    )
    if any(db.exec(select(use).where(use == rung.id).limit(1)).first() for use in uses):
        raise ConflictError(
            "rung", f"sessions or decisions name “{rung.name}”.", "Leave it on the ladder."
        )


def document_of(drawing: Drawing) -> dict[str, Any]:
    """A drawing as JSON keeps it."""
    return {
        "rungs": [
            {"id": str(one.id), "why": one.why, **rung_columns(one.rung)} for one in drawing.rungs
        ],
        "ties": [[str(lower), str(upper)] for lower, upper in drawing.ties],
    }


def rung_from(columns: dict[str, Any]) -> CoreRung:
    """A rung from its columns, kept as JSON."""
    return rung_of(Rung(**columns))


def read(document: dict[str, Any]) -> Drawing:
    """A drawing from its JSON."""
    return Drawing(
        tuple(
            Drawn(UUID(one["id"]), rung_from({**one, "id": UUID(one["id"])}), one["why"])
            for one in document["rungs"]
        ),
        tuple((UUID(lower), UUID(upper)) for lower, upper in document["ties"]),
    )
