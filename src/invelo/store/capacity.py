"""What is kept of an athlete's tests and sets, as evidence of capacity."""

from uuid import UUID

from sqlmodel import Session, col, select

from invelo.core.capacity import Evidence, evidence, tells
from invelo.core.catalogue import catalogue
from invelo.store import logs
from invelo.store.rows import ONE_SIDE, about_of, body_on, modifiers_of, set_of
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
    return evidence(
        test.local_date,
        "test",
        body_on(bodies, test.local_date),
        catalogue().find_movement(test.movement),
        modifiers_of(test),
        test.amount,
        test.effort,
        ONE_SIDE.validate_python(test.side),
    )


def ladder_evidence(
    db: Session, row: Ladder, bodies: list[Measure], rungs: list[Rung]
) -> tuple[Evidence, ...]:
    """Everything kept that says something of the capacity a ladder asks for."""
    lanes = {catalogue().find_movement(rung.movement).posture.lane for rung in rungs}
    found = (*_tests(db, row.athlete_id, bodies), *_sets(db, row.athlete_id, bodies))
    return tuple(one for one in found if one.load.setup.form.lane in lanes)


def _tests(db: Session, athlete_id: UUID, bodies: list[Measure]) -> tuple[Evidence, ...]:
    return tuple(test_evidence(test, bodies) for test in tests_of(db, athlete_id))


def _sets(db: Session, athlete_id: UUID, bodies: list[Measure]) -> tuple[Evidence, ...]:
    found = []
    for session in logs.of_athlete(db, athlete_id):
        day = session.row.local_date
        for done in session.sets:
            movement = catalogue().find_movement(done.movement)
            if movement.effort_only or not tells(set_of(done)):
                continue
            found.append(
                evidence(
                    day,
                    "set",
                    body_on(bodies, day),
                    movement,
                    modifiers_of(done),
                    done.amount,
                    done.effort,
                    ONE_SIDE.validate_python(done.side),
                    about_of(done),
                )
            )
    return tuple(found)


def everything(db: Session, athlete_id: UUID) -> tuple[Evidence, ...]:
    """All tests and telling sets of an athlete, whatever they are of."""
    bodies = measures(db, athlete_id)
    return (*_tests(db, athlete_id, bodies), *_sets(db, athlete_id, bodies))
