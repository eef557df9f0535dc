"""The ladder: made from a ready one, measured for its athlete, moved along."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any
from uuid import UUID

from sqlalchemy import func
from sqlmodel import Session, col, select

from invelo.core import ladder as core
from invelo.core.dose import Level, Purpose, range_dose, range_gate
from invelo.core.movement import Modifiers, Movement, ReadyLadder, catalogue
from invelo.core.placement import Evidence, Placement, evidence, place, tells
from invelo.store import logs, screen, tables
from invelo.store.errors import ConflictError, MissingError
from invelo.store.moment import Moment
from invelo.store.rows import (
    body_of,
    body_on,
    modifiers_of,
    rung_of,
    set_of,
    set_up_columns,
    stored,
)
from invelo.store.tables import Athlete, Ladder, Measure, RepTest, Rung, dated


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


def measures(db: Session, athlete_id: UUID) -> list[Measure]:
    """An athlete's measures, oldest first."""
    statement = select(Measure).where(Measure.athlete_id == athlete_id)
    return list(db.exec(statement.order_by(col(Measure.at), col(Measure.id))))


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


@dataclass(frozen=True)
class Test:
    """A rep test as it was done: strict reps of a movement, to the end unless `effort` < 10."""

    id: UUID
    movement: Movement
    modifiers: Modifiers
    reps: int
    effort: float = 10.0


def create(
    db: Session,
    athlete: Athlete,
    ready: ReadyLadder,
    purpose: Purpose,
    level: Level,
    test: Test,
    moment: Moment,
) -> Ladder:
    """Give an athlete a ladder, and stand them on the rung that their test says.

    Raises:
        InputError: for a test or a rung out of range for this body.
        ConflictError: if the test's id is used already, the athlete has such a ladder, or their
            screen closes a rung of it.
    """
    if any(
        one.family == ready.family and one.goal == ready.goal for one in of_athlete(db, athlete.id)
    ):
        raise ConflictError(
            "ready ladder", f"{athlete.name} stands on it already.", "Open it from the squad."
        )
    screen.allow(db, athlete.id, [screen.form_of(rung.movement) for rung in ready.rungs])
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
    dose = range_dose(purpose, level)
    gate = range_gate(dose)
    for position, rung in enumerate(ready.rungs):
        db.add(
            Rung(
                ladder_id=row.id,
                position=position,
                name=rung.name,
                **set_up_columns(rung.movement, rung.modifiers()),
                sets=dose.sets,
                reps_low=dose.reps_low,
                reps_high=dose.reps_high,
                rest_s=dose.rest,
                effort=dose.effort,
                gate_sets=gate.sets,
                gate_reps=gate.reps,
                gate_effort=gate.effort,
                gate_sessions=gate.sessions,
            )
        )
    db.flush()
    add_test(db, row, athlete, test, moment)
    return row


def add_test(db: Session, row: Ladder, athlete: Athlete, test: Test, moment: Moment) -> RepTest:
    """Keep a test with the capacity it was read as, and place the athlete anew.

    The coach moves an athlete who stands on the ladder already. A replay of the same test changes
    nothing.

    Raises:
        InputError: for reps, effort or set-up out of range.
        ConflictError: if the id names another test, or the athlete's screen closes the movement.
    """
    kept = db.get(RepTest, test.id)
    if kept is not None:
        same = (kept.athlete_id, kept.reps, kept.movement) == (
            athlete.id,
            test.reps,
            test.movement.id,
        )
        if same:
            return kept
        raise ConflictError("test id", "it names another test.", "Make a new id for each test.")
    screen.allow(db, athlete.id, [screen.form_of(test.movement.id)])
    body = body_on(measures(db, athlete.id), moment.local_date)
    read = evidence(
        moment.local_date, "test", body, test.movement, test.modifiers, test.reps, test.effort
    )
    result = RepTest(
        id=test.id,
        athlete_id=athlete.id,
        **dated(moment),
        **set_up_columns(test.movement.id, test.modifiers),
        reps=test.reps,
        effort=test.effort,
        inputs={"mass_kg": body.mass, "stature_m": body.stature, "segments": body.table.name},
        result={"one_rep": stored(read.capacity.one_rep), "load": stored(read.load.demand)},
    )
    db.add(result)
    db.flush()
    record_placement(db, row, athlete, moment, {"test": str(test.id)})
    return result


def _known(
    db: Session, row: Ladder, bodies: list[Measure], rungs: list[Rung]
) -> tuple[Evidence, ...]:
    """Everything kept that says something of the athlete's capacity in the ladder's family."""
    tests = db.exec(
        select(RepTest)
        .where(RepTest.athlete_id == row.athlete_id)
        .order_by(col(RepTest.at).desc())
        .limit(logs.LOOK_BACK)
    ).all()
    found = [
        _evidence("test", bodies, test, test.local_date, test.reps, test.effort)
        for test in tests
        if catalogue().find_movement(test.movement).family == row.family
    ]
    by_id = {rung.id: rung for rung in rungs}
    for session in logs.finished(db, row.id):
        found += [
            _evidence(
                "set", bodies, by_id[done.rung_id], session.row.local_date, done.reps, done.effort
            )
            for done in session.sets
            if tells(set_of(done))
        ]
    return tuple(found)


def _evidence(
    kind: Any, bodies: list[Measure], row: tables.SetUp, day: Any, reps: int, effort: float
) -> Evidence:
    movement = catalogue().find_movement(row.movement)
    return evidence(day, kind, body_on(bodies, day), movement, modifiers_of(row), reps, effort)


def known(db: Session, row: Ladder) -> tuple[Evidence, ...]:
    """Everything kept that says something of the athlete's capacity in the ladder's family."""
    return _known(db, row, measures(db, row.athlete_id), rungs_of(db, row.id))


def view(db: Session, row: Ladder, athlete: Athlete) -> LadderView:
    """The ladder as it stands for its athlete now."""
    rungs = rungs_of(db, row.id)
    bodies = measures(db, athlete.id)
    measured = core.measure(body_of(bodies[-1]), tuple(rung_of(rung) for rung in rungs))
    placement = place(measured, _known(db, row, bodies, rungs))
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


def stand(db: Session, row: Ladder, athlete: Athlete, rung_id: UUID, moment: Moment) -> Ladder:
    """Put the athlete on another rung, on the coach's own word.

    Raises:
        MissingError: if it is no rung of this ladder.
        ConflictError: if the athlete's screen closes it.
    """
    rung = rung_on(db, row.id, rung_id)
    screen.allow(db, athlete.id, [screen.form_of(rung.movement)])
    row.standing_id = rung.id
    record_placement(db, row, athlete, moment, {"moved to": str(rung_id)})
    return row


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
