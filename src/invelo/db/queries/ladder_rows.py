"""Ladders, their rungs, revisions and placements."""

from collections.abc import Collection, Iterable, Mapping, Sequence
from datetime import date
from typing import Any
from uuid import UUID

from sqlalchemy import Text, cast, func
from sqlalchemy.orm import aliased
from sqlmodel import Session, col, delete, select

from invelo.db.columns import among
from invelo.db.tables.ladder import (
    LadderRevisionRow,
    LadderRow,
    PlacementRow,
    PrescriptionRow,
    RungRow,
)
from invelo.db.tables.training import LoggedSetRow


def of_athlete(db: Session, athlete_id: UUID) -> list[LadderRow]:
    """An athlete's ladders, oldest first."""
    statement = select(LadderRow).where(LadderRow.athlete_id == athlete_id)
    return list(db.exec(statement.order_by(col(LadderRow.created_at), col(LadderRow.id))))


def of_athletes(db: Session, athlete_ids: Iterable[UUID]) -> Sequence[tuple[UUID, UUID, str, str]]:
    """Id, athlete, goal and what stopped it, of every ladder of some athletes, the newest first."""
    statement = (
        select(
            col(LadderRow.id),
            col(LadderRow.athlete_id),
            col(LadderRow.goal),
            col(LadderRow.stopped),
        )
        .where(among(LadderRow.athlete_id, athlete_ids))
        .order_by(col(LadderRow.created_at).desc(), col(LadderRow.id))
    )
    return db.exec(statement).all()


def athletes_with_one(db: Session, athlete_ids: Iterable[UUID]) -> set[UUID]:
    """Those of some athletes who have a ladder."""
    statement = select(LadderRow.athlete_id).where(among(LadderRow.athlete_id, athlete_ids))
    return set(db.exec(statement.distinct()))


def locked_of_rungs(db: Session, rung_ids: Collection[UUID]) -> list[LadderRow]:
    """The ladders that some rungs stand on, locked, in a fixed order."""
    ladder_ids = select(RungRow.ladder_id).where(col(RungRow.id).in_(rung_ids))
    statement = (
        select(LadderRow).where(col(LadderRow.id).in_(ladder_ids)).order_by(col(LadderRow.id))
    )
    return list(db.exec(statement.with_for_update()))


def current_rungs(db: Session, ladder_ids: Iterable[UUID]) -> Sequence[RungRow]:
    """The rungs that some ladders are trained on."""
    return db.exec(
        select(RungRow)
        .join(LadderRow, col(LadderRow.current_rung_id) == RungRow.id)
        .where(among(LadderRow.id, ladder_ids))
    ).all()


def rungs_of_athlete(db: Session, athlete_id: UUID) -> Sequence[RungRow]:
    """The rungs of all of an athlete's ladders."""
    return db.exec(
        select(RungRow)
        .join(LadderRow, col(LadderRow.id) == RungRow.ladder_id)
        .where(LadderRow.athlete_id == athlete_id)
    ).all()


def rung_of_athlete(db: Session, athlete_id: UUID, rung_id: UUID) -> RungRow | None:
    """A rung of any of an athlete's ladders."""
    return db.exec(
        select(RungRow)
        .join(LadderRow, col(LadderRow.id) == RungRow.ladder_id)
        .where(RungRow.id == rung_id, LadderRow.athlete_id == athlete_id)
    ).first()


def prescriptions(db: Session, ladder_id: UUID, most: int) -> Sequence[PrescriptionRow]:
    """What was asked on a ladder, the newest first, undone ones left out."""
    return db.exec(
        select(PrescriptionRow)
        .where(PrescriptionRow.ladder_id == ladder_id, col(PrescriptionRow.undone_at).is_(None))
        .order_by(col(PrescriptionRow.number).desc())
        .limit(most)
    ).all()


def next_prescription(db: Session, ladder_id: UUID) -> int:
    """The number of the next one, undone ones counted."""
    newest = db.exec(
        select(func.max(PrescriptionRow.number)).where(PrescriptionRow.ladder_id == ladder_id)
    ).one()
    return (newest or 0) + 1


def rungs(db: Session, ladder_id: UUID) -> Sequence[RungRow]:
    """The rungs of a ladder, in no order."""
    return db.exec(select(RungRow).where(RungRow.ladder_id == ladder_id)).all()


def is_logged_on(db: Session, ladder_id: UUID) -> bool:
    """Whether any set names a rung of it."""
    statement = select(LoggedSetRow.id).join(RungRow).where(RungRow.ladder_id == ladder_id)
    return db.exec(statement.limit(1)).first() is not None


def placement_inputs(db: Session, ladder_id: UUID) -> Sequence[Mapping[str, Any]]:
    """What each placement rests on, the newest first."""
    return db.exec(
        select(PlacementRow.inputs)
        .where(PlacementRow.ladder_id == ladder_id)
        .order_by(col(PlacementRow.at).desc(), col(PlacementRow.id))
    ).all()


def placements(db: Session, ladder_id: UUID) -> int:
    """How many placements are kept."""
    return db.exec(select(func.count()).where(PlacementRow.ladder_id == ladder_id)).one()


def capacities(db: Session, ladder_id: UUID, since: date | None) -> Sequence[Any]:
    """Day, likely, low, high, unit, day of the evidence, model's version and session of every
    placement, oldest first."""
    statement = (
        select(  # type: ignore[call-overload]
            PlacementRow.local_date,
            PlacementRow.likely,
            PlacementRow.low,
            PlacementRow.high,
            PlacementRow.unit,
            PlacementRow.told_on,
            PlacementRow.model_version,
            col(PlacementRow.inputs)["session"].as_string(),
        )
        .where(PlacementRow.ladder_id == ladder_id)
        .order_by(col(PlacementRow.at), col(PlacementRow.id))
    )
    if since is not None:
        statement = statement.where(PlacementRow.local_date >= since)
    rows: Sequence[Any] = db.exec(statement).all()
    return rows


def states(db: Session, athlete_id: UUID) -> Sequence[list[dict[str, Any]]]:
    """What the newest placement of each of an athlete's ladders kept of what they can do."""
    other = aliased(PlacementRow)
    newest = (
        select(other.id)
        .where(other.ladder_id == LadderRow.id)
        .order_by(col(other.at).desc(), col(other.id))
        .limit(1)
        .correlate(LadderRow)
        .scalar_subquery()
    )
    statement = (
        select(col(PlacementRow.result)["states"])
        .join(LadderRow, col(LadderRow.id) == PlacementRow.ladder_id)
        .where(LadderRow.athlete_id == athlete_id, PlacementRow.id == newest)
    )
    return [state for state in db.exec(statement) if state]


def expected_on_current(
    db: Session, ladder_ids: Iterable[UUID]
) -> dict[UUID, tuple[float, float, float]]:
    """What each ladder's newest placement expects on its current rung: likely, low, high."""
    newest = (
        select(col(PlacementRow.result)["predictions"])
        .where(PlacementRow.ladder_id == LadderRow.id)
        .order_by(col(PlacementRow.at).desc(), col(PlacementRow.id))
        .limit(1)
        .scalar_subquery()
    )
    prediction = newest[cast(LadderRow.current_rung_id, Text)]
    statement = select(col(LadderRow.id), prediction).where(among(LadderRow.id, ladder_ids))
    return {ladder_id: tuple(three) for ladder_id, three in db.exec(statement) if three}


def revision(db: Session, ladder_id: UUID, number: int) -> LadderRevisionRow | None:
    """One drawing of a ladder."""
    statement = select(LadderRevisionRow).where(
        LadderRevisionRow.ladder_id == ladder_id, LadderRevisionRow.number == number
    )
    return db.exec(statement).first()


def revision_notes(db: Session, ladder_id: UUID, numbers: Collection[int]) -> dict[int, str]:
    """What was done at some drawings of a ladder."""
    statement = select(col(LadderRevisionRow.number), col(LadderRevisionRow.note)).where(
        LadderRevisionRow.ladder_id == ladder_id, col(LadderRevisionRow.number).in_(numbers)
    )
    return dict(db.exec(statement).all())


def forget_revisions(
    db: Session, ladder_id: UUID, after: int | None = None, before: int | None = None
) -> None:
    """Take away the drawings after one, or before one."""
    statement = delete(LadderRevisionRow).where(col(LadderRevisionRow.ladder_id) == ladder_id)
    if after is not None:
        statement = statement.where(col(LadderRevisionRow.number) > after)
    if before is not None:
        statement = statement.where(col(LadderRevisionRow.number) < before)
    db.exec(statement)
