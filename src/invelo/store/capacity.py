"""What is kept of an athlete's tests and sets, as evidence of capacity."""

from uuid import UUID

from sqlmodel import Session, col, select

from invelo.core.capacity import Evidence, Side, evidence, tells
from invelo.core.catalogue import catalogue
from invelo.store import logs
from invelo.store.rows import body_on, modifiers_of, set_of
from invelo.store.tables import Ladder, Measure, Rung, Test


def measures(db: Session, athlete_id: UUID) -> list[Measure]:
    """An athlete's measures, oldest first."""
    statement = select(Measure).where(Measure.athlete_id == athlete_id)
    return list(db.exec(statement.order_by(col(Measure.at), col(Measure.id))))


def tests_of(db: Session, athlete_id: UUID) -> list[Test]:
    """An athlete's newest tests, newest first."""
    statement = select(Test).where(Test.athlete_id == athlete_id)
    newest = statement.order_by(col(Test.at).desc(), col(Test.id)).limit(logs.LOOK_BACK)
    return list(db.exec(newest))


def test_evidence(test: Test, bodies: list[Measure]) -> Evidence:
    """What a kept test says."""
    side: Side = {"left": "left", "right": "right"}.get(test.side, "")  # type: ignore[assignment]
    return evidence(
        test.local_date,
        "test",
        body_on(bodies, test.local_date),
        catalogue().find_movement(test.movement),
        modifiers_of(test),
        test.amount,
        test.effort,
        side,
    )


def ladder_evidence(
    db: Session, row: Ladder, bodies: list[Measure], rungs: list[Rung]
) -> tuple[Evidence, ...]:
    """Everything kept that says something of the capacity a ladder asks for."""
    lanes = {catalogue().find_movement(rung.movement).posture.lane for rung in rungs}
    tests = tuple(
        test_evidence(test, bodies)
        for test in tests_of(db, row.athlete_id)
        if catalogue().find_movement(test.movement).posture.lane in lanes
    )
    return tests + _sets(db, row, bodies, rungs)


def _sets(
    db: Session, row: Ladder, bodies: list[Measure], rungs: list[Rung]
) -> tuple[Evidence, ...]:
    by_id = {rung.id: rung for rung in rungs}
    found = []
    for session in logs.finished(db, row.id):
        for done in session.sets:
            rung = by_id[done.rung_id]
            movement = catalogue().find_movement(rung.movement)
            if movement.effort_only or not tells(set_of(done, movement.unit)):
                continue
            day = session.row.local_date
            found.append(
                evidence(
                    day,
                    "set",
                    body_on(bodies, day),
                    movement,
                    modifiers_of(rung),
                    done.amount,
                    done.effort,
                )
            )
    return tuple(found)


def everything(db: Session, athlete_id: UUID) -> tuple[Evidence, ...]:
    """All tests and telling sets of an athlete, whatever they are of."""
    bodies = measures(db, athlete_id)
    found = tuple(test_evidence(test, bodies) for test in tests_of(db, athlete_id))
    ladders = db.exec(select(Ladder).where(Ladder.athlete_id == athlete_id)).all()
    for row in ladders:
        rungs = list(db.exec(select(Rung).where(Rung.ladder_id == row.id)))
        found += _sets(db, row, bodies, rungs)
    return found
