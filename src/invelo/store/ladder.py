"""The ladder: made from a ready one, measured for its athlete, moved along."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any
from uuid import UUID

from sqlalchemy import func
from sqlmodel import Session, col, select

from invelo.core import ladder as core
from invelo.core.capacity import Evidence
from invelo.core.dose import Level, Purpose, range_dose, range_gate
from invelo.core.movement import ReadyLadder, catalogue
from invelo.core.placement import Placement, place
from invelo.store import capacity, guard, tables
from invelo.store.errors import ConflictError, MissingError
from invelo.store.moment import Moment
from invelo.store.rows import (
    body_of,
    rung_of,
    set_up_columns,
    stored,
)
from invelo.store.tables import Athlete, Ladder, Measure, Rung, dated


@dataclass(frozen=True)
class LadderView:
    """A ladder with everything the model says of it for its athlete, as measured last."""

    row: Ladder
    athlete: Athlete
    measure: Measure
    rungs: list[Rung]
    measured: core.MeasuredLadder
    placement: Placement

    @property
    def standing(self) -> int:
        """Index of the rung the athlete stands on."""
        return next(i for i, r in enumerate(self.rungs) if r.id == self.row.standing_id)


def of_athlete(db: Session, athlete_id: UUID) -> list[Ladder]:
    """An athlete's ladders, oldest first."""
    statement = select(Ladder).where(Ladder.athlete_id == athlete_id)
    return list(db.exec(statement.order_by(col(Ladder.created_at), col(Ladder.id))))


def rungs_of(db: Session, ladder_id: UUID) -> list[Rung]:
    """A ladder's rungs, from the foot up."""
    statement = select(Rung).where(Rung.ladder_id == ladder_id)
    return list(db.exec(statement.order_by(col(Rung.position))))


def rung_on(db: Session, ladder_id: UUID, rung_id: UUID) -> Rung:
    """A rung of this ladder.

    Raises:
        MissingError: if it is no rung of it.
    """
    found = db.get(Rung, rung_id)
    if found is None or found.ladder_id != ladder_id:
        raise MissingError("rung")
    return found


def create(
    db: Session,
    athlete: Athlete,
    ready: ReadyLadder,
    purpose: Purpose,
    level: Level,
    moment: Moment,
) -> Ladder:
    """Give an athlete a ladder, and stand them on the rung that their tests say.

    Raises:
        InputError: for a rung out of range for this body, or where no test says anything yet.
        ConflictError: if the athlete has such a ladder, or something closes a rung of it.
    """
    if any(
        one.family == ready.family and one.goal == ready.goal for one in of_athlete(db, athlete.id)
    ):
        raise ConflictError(
            "ready ladder", f"{athlete.name} stands on it already.", "Open it from the squad."
        )
    guard.allow(db, athlete.id, [rung.movement for rung in ready.rungs], moment.local_date)
    row = Ladder(
        athlete_id=athlete.id,
        goal=ready.goal,
        family=ready.family,
        purpose=purpose,
        level=level,
        created_at=moment.at,
    )
    db.add(row)
    db.flush()
    for position, rung in enumerate(ready.rungs):
        dose = range_dose(purpose, level, catalogue().find_movement(rung.movement).unit)
        gate = range_gate(dose)
        db.add(
            Rung(
                ladder_id=row.id,
                position=position,
                name=rung.name,
                **set_up_columns(rung.movement, rung.modifiers()),
                sets=dose.sets,
                low=dose.low,
                high=dose.high,
                unit=dose.unit,
                rest_s=dose.rest,
                effort=dose.effort,
                gate_sets=gate.sets,
                gate_amount=gate.amount,
                gate_effort=gate.effort,
                gate_sessions=gate.sessions,
            )
        )
    db.flush()
    record_placement(db, row, athlete, moment, {"ladder given": ready.id})
    return row


def known(db: Session, row: Ladder) -> tuple[Evidence, ...]:
    """Everything kept that says something of the athlete's capacity in the ladder's family."""
    return capacity.ladder_evidence(
        db, row, capacity.measures(db, row.athlete_id), rungs_of(db, row.id)
    )


def view(db: Session, row: Ladder, athlete: Athlete) -> LadderView:
    """The ladder as it stands for its athlete now."""
    rungs = rungs_of(db, row.id)
    bodies = capacity.measures(db, athlete.id)
    measured = core.measure(body_of(bodies[-1]), tuple(rung_of(rung) for rung in rungs))
    placement = place(measured, capacity.ladder_evidence(db, row, bodies, rungs))
    return LadderView(row, athlete, bodies[-1], rungs, measured, placement)


def record_placement(
    db: Session, row: Ladder, athlete: Athlete, moment: Moment, because: Mapping[str, Any]
) -> LadderView:
    """Store where the model places the athlete after new evidence.

    A ladder nobody stands on yet is entered at the placed rung.
    """
    seen = view(db, row, athlete)
    placed = seen.rungs[seen.placement.index]
    row.standing_id = row.standing_id or placed.id
    db.add(
        tables.Placement(
            ladder_id=row.id,
            rung_id=placed.id,
            **dated(moment),
            inputs={
                **because,
                "mass_kg": seen.measure.mass_kg,
                "stature_m": seen.measure.stature_m,
                "standing": str(row.standing_id),
            },
            result={
                "capacity": stored(seen.placement.capacity),
                "reach": stored(seen.placement.reach),
                "predictions": {
                    str(rung.id): [p.low, p.likely, p.high]
                    for rung, p in zip(seen.rungs, seen.placement.predictions, strict=True)
                },
                "narrower": seen.placement.narrower,
            },
        )
    )
    db.add(row)
    db.flush()
    return seen


def stand(
    db: Session, row: Ladder, athlete: Athlete, rung_id: UUID, word: str, moment: Moment
) -> Ladder:
    """Put the athlete on another rung, on the coach's own word, which is kept.

    Raises:
        MissingError: if it is no rung of this ladder.
        ConflictError: if something closes it.
    """
    rung = rung_on(db, row.id, rung_id)
    guard.allow(db, athlete.id, [rung.movement], moment.local_date)
    row.standing_id = rung.id
    record_placement(db, row, athlete, moment, {"moved to": str(rung_id), "word": word})
    return row


def moved_why(db: Session, row: Ladder) -> str:
    """The coach's newest word on why the athlete stands where they do; '' where there is none."""
    statement = (
        select(tables.Placement.inputs)
        .where(tables.Placement.ladder_id == row.id)
        .order_by(col(tables.Placement.at).desc(), col(tables.Placement.id))
    )
    moves = (found for found in db.exec(statement) if "moved to" in found)
    newest = next(moves, None)
    if newest is None or newest["moved to"] != str(row.standing_id):
        return ""
    return str(newest.get("word", ""))


def resume(db: Session, row: Ladder) -> Ladder:
    """Take up a movement again that pain had stopped.

    Raises:
        ConflictError: if it is not stopped.
    """
    if not row.stopped:
        raise ConflictError("ladder", "it is not stopped.", "Go on with it.")
    row.stopped = ""
    db.add(row)
    return row


def revision(db: Session, row: Ladder) -> int:
    """How often the sheet was drawn anew: placements kept for it."""
    statement = select(func.count()).where(tables.Placement.ladder_id == row.id)
    return db.exec(statement).one()
