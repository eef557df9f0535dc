"""Drawings to rows and back: the rungs, how they are tied, and the sketches that edits leave."""

from typing import Any
from uuid import UUID

from sqlalchemy import delete
from sqlmodel import Session, col, or_, select, text

from invelo.db.codec import rung_columns, rung_of
from invelo.db.columns import among
from invelo.db.errors import ConflictError
from invelo.db.tables.ladder import EdgeRow, LadderRow, RungRow
from invelo.db.tables.review import ProposalRow
from invelo.db.tables.training import LoggedSetRow
from invelo.domain.ladder.rung import Rung as CoreRung
from invelo.domain.ladder.workshop import LadderGraph, Node


def rungs_of(db: Session, ladder_id: UUID) -> list[RungRow]:
    """A ladder's rungs, from the foot up."""
    statement = select(RungRow).where(RungRow.ladder_id == ladder_id)
    return list(db.exec(statement.order_by(col(RungRow.position))))


def graph_of(db: Session, rungs: list[RungRow]) -> LadderGraph:
    """A ladder as it is drawn now."""
    ids = [row.id for row in rungs]
    edges = db.exec(select(EdgeRow).where(among(EdgeRow.lower_id, ids))).all()
    return LadderGraph(
        tuple(Node(row.id, rung_of(row), row.why) for row in rungs),
        tuple(sorted((edge.lower_id, edge.upper_id) for edge in edges)),
    )


def write(db: Session, row: LadderRow, drawing: LadderGraph) -> None:
    """Make the rows say what is drawn; rungs keep their ids.

    Raises:
        ConflictError: if a rung would go that the athlete stands on or that logs name, or an id is
            another ladder's.
    """
    kept = {rung.id: rung for rung in rungs_of(db, row.id)}
    wanted = {other.id for other in drawing.rungs}
    for rung in kept.values():
        if rung.id not in wanted:
            _may_go(db, row, rung)
    db.exec(text("SET CONSTRAINTS ALL DEFERRED"))  # type: ignore[call-overload]
    for position, node in enumerate(drawing.rungs):
        columns = {**rung_columns(node.rung), "why": node.why, "position": position}
        if node.id in kept:
            for name, value in columns.items():
                setattr(kept[node.id], name, value)
            db.add(kept[node.id])
        elif db.get(RungRow, node.id) is not None:
            raise ConflictError("id", "it is in use.", "Make a new id for each rung.")
        else:
            db.add(RungRow(id=node.id, ladder_id=row.id, **columns))
    for rung in kept.values():
        if rung.id not in wanted:
            db.delete(rung)
    db.flush()
    ids = list(wanted)
    db.exec(
        delete(EdgeRow).where(or_(col(EdgeRow.lower_id).in_(ids), col(EdgeRow.upper_id).in_(ids)))
    )
    db.add_all(EdgeRow(lower_id=lower, upper_id=upper) for lower, upper in drawing.edges)
    db.flush()
    db.expire_all()


def _may_go(db: Session, row: LadderRow, rung: RungRow) -> None:
    if row.current_rung_id == rung.id:
        raise ConflictError(
            "rung", f"“{rung.name}” is the athlete's current rung.", "Put them on another first."
        )
    uses = (
        col(LoggedSetRow.rung_id),
        col(ProposalRow.from_rung_id),
        col(ProposalRow.to_rung_id),
        col(ProposalRow.final_rung_id),
    )
    if any(db.exec(select(use).where(use == rung.id).limit(1)).first() for use in uses):
        raise ConflictError(
            "rung", f"sessions or decisions name “{rung.name}”.", "Leave it on the ladder."
        )


def document_of(drawing: LadderGraph) -> dict[str, Any]:
    """A drawing as JSON keeps it."""
    return {
        "rungs": [
            {"id": str(node.id), "why": node.why, **rung_columns(node.rung)}
            for node in drawing.rungs
        ],
        "edges": [[str(lower), str(upper)] for lower, upper in drawing.edges],
    }


def rung_from(columns: dict[str, Any]) -> CoreRung:
    """A rung from its columns, kept as JSON."""
    return rung_of(RungRow(**columns))


def read(document: dict[str, Any]) -> LadderGraph:
    """A drawing from its JSON."""
    return LadderGraph(
        tuple(
            Node(UUID(rung["id"]), rung_from({**rung, "id": UUID(rung["id"])}), rung["why"])
            for rung in document["rungs"]
        ),
        tuple((UUID(lower), UUID(upper)) for lower, upper in document["edges"]),
    )
