"""What is kept of an athlete's tests and sets, as evidence of capacity."""

from collections.abc import Mapping
from dataclasses import replace
from datetime import date
from functools import lru_cache
from math import exp
from uuid import UUID

from sqlmodel import Session

from invelo.db import logs
from invelo.db.codec import ONE_SIDE, about_of, body_on, modifiers_of, set_of
from invelo.db.queries import athlete_rows
from invelo.db.tables.athlete import BodyMeasurementRow, TestRow
from invelo.db.tables.ladder import RungRow
from invelo.db.tables.training import LoggedSetRow
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.estimate import Z80
from invelo.domain.strength.capacity import (
    EVIDENCE_SESSIONS,
    Evidence,
    evidence,
    groups_of,
    tells,
)
from invelo.domain.strength.predict import Known
from invelo.domain.strength.says import work_of_reading
from invelo.domain.strength.state import State


def tests_of(db: Session, athlete_id: UUID) -> list[TestRow]:
    """An athlete's newest tests, newest first."""
    return athlete_rows.tests(db, athlete_id, logs.LOOK_BACK)


def test_tells(test: TestRow) -> bool:
    """Whether a kept test says something of strength."""
    return bool(test.result)


def test_evidence(test: TestRow, bodies: list[BodyMeasurementRow]) -> Evidence:
    """What a kept test says."""
    return evidence(
        test.local_date,
        "test",
        body_on(bodies, test.local_date),
        catalogue().find_movement(test.movement),
        modifiers_of(test),
        test.amount,
        test.rpe,
        ONE_SIDE.validate_python(test.side),
    )


def of_rungs(db: Session, athlete_id: UUID, rungs: list[RungRow]) -> tuple[Evidence, ...]:
    """Everything kept that says something of the capacity that rungs ask for, oldest first: for a
    record, or to fit figures of their own. What speaks now is `newest`."""
    bodies = athlete_rows.measurements(db, athlete_id)
    lanes = _lanes(rungs)
    evidences = (
        *_tests(db, athlete_id, bodies),
        *(
            _set_evidence(session.row.local_date, done, bodies)
            for session in logs.of_athlete(db, athlete_id)
            for done in session.sets
            if catalogue().find_movement(done.movement).posture.lane in lanes
            and not catalogue().find_movement(done.movement).rpe_only
            and tells(set_of(done))
        ),
    )
    return tuple(evidence for evidence in evidences if evidence.load.setup.form.lane in lanes)


def newest(
    db: Session,
    athlete_id: UUID,
    bodies: list[BodyMeasurementRow],
    rungs: list[RungRow] | None = None,
) -> tuple[Evidence, ...]:
    """The evidence that can speak for an athlete now: their tests, and of each movement and side
    the telling sets of as many days as a pool takes.

    Args:
        db: one transaction.
        athlete_id: whose.
        bodies: their measures, oldest first.
        rungs: in whose lanes; every lane if left out.
    """
    lanes = None if rungs is None else _lanes(rungs)
    movements = _movements(None if lanes is None else frozenset(lanes))
    rows = logs.newest_telling(db, athlete_id, movements, EVIDENCE_SESSIONS)
    evidences = (
        *_tests(db, athlete_id, bodies),
        *(_set_evidence(day, done, bodies) for day, done in rows if tells(set_of(done))),
    )
    return tuple(
        evidence
        for evidence in evidences
        if lanes is None or evidence.load.setup.form.lane in lanes
    )


def as_known(
    collected: tuple[Evidence, ...], states: Mapping[Lane, State], body: Body
) -> tuple[Evidence, ...]:
    """Evidence as the state of its lane says it: of each lane one, at the set-up of what told last,
    with the count and the scatter that the state has there."""
    known: list[Evidence] = []
    for lane, those in groups_of(collected).items():
        newest = max(those, key=lambda evidence: evidence.day)
        state = states.get(lane)
        known.extend(those if state is None else [_by_state(newest, state, body) or newest])
    return tuple(known)


def _by_state(newest: Evidence, state: State, body: Body) -> Evidence | None:
    done = newest.known.done
    load = reading(body, done.setup)
    work = work_of_reading(load, done.tempo)
    if work is None:
        return None
    mean, deviation = state.on(work)
    log_count, steep = work.log_count_at(mean)
    count = min(150.0, max(1.0, exp(min(6.0, log_count))))
    known = Known(body, replace(done, amount=round(count, 1), rpe=10.0))
    plain = known.scatter
    days = max(1, min(9, round((plain / max(0.3, Z80 * deviation * steep * count)) ** 2)))
    return Evidence(state.evidence_on or newest.day, newest.kind, replace(known, days=days))


@lru_cache(maxsize=256)
def _movements(lanes: frozenset[Lane] | None) -> tuple[str, ...]:
    """Movements of the catalogue whose sets tell capacity in some lanes, or in any."""
    return tuple(
        movement.id
        for movement in catalogue().movement
        if not movement.rpe_only and (lanes is None or movement.posture.lane in lanes)
    )


def _lanes(rungs: list[RungRow]) -> set[Lane]:
    return {catalogue().find_movement(rung.movement).posture.lane for rung in rungs}


def _tests(db: Session, athlete_id: UUID, bodies: list[BodyMeasurementRow]) -> tuple[Evidence, ...]:
    return tuple(
        test_evidence(test, bodies) for test in tests_of(db, athlete_id) if test_tells(test)
    )


def _set_evidence(day: date, done: LoggedSetRow, bodies: list[BodyMeasurementRow]) -> Evidence:
    return evidence(
        day,
        "set",
        body_on(bodies, day),
        catalogue().find_movement(done.movement),
        modifiers_of(done),
        done.amount,
        done.rpe,
        ONE_SIDE.validate_python(done.side),
        about_of(done),
    )
