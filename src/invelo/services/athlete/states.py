"""What an athlete can do as a state that moves, by lane: from everything kept, or as it was left
after the newest session and carried on to today."""

from collections.abc import Collection, Mapping
from datetime import date
from typing import Any
from uuid import UUID

import numpy as np
from sqlmodel import Session

from invelo.db import logs
from invelo.db.codec import body_on, modifiers_of, set_of
from invelo.db.queries import athlete_rows, ladder_rows
from invelo.db.tables.athlete import BodyMeasurementRow
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.strength.says import seen_of, tested, work_of
from invelo.domain.strength.state import DaySeen, Seen, State, days_seen, state_of

USUAL_REST = 120.0
"""Seconds between sets where nothing says (common practice)."""

States = dict[Lane, State]


def of_lanes(db: Session, athlete_id: UUID, lanes: Collection[Lane], today: date) -> States:
    """The states of some lanes on a day: as they were left after the newest session where that is
    kept, from the logs where it is not."""
    kept = stored(db, athlete_id, hands_of(db, athlete_id))
    missing = [lane for lane in lanes if lane not in kept]
    if missing:
        kept |= from_logs(db, athlete_id, missing)
    return {lane: kept[lane].later(today) for lane in lanes if lane in kept}


def from_logs(
    db: Session, athlete_id: UUID, lanes: Collection[Lane], until: date | None = None
) -> States:
    """The states of some lanes as tests and logged sets say, on the day of the newest; of those up
    to a day, if one is given."""
    states = {}
    for lane, days in _seen(db, athlete_id, lanes).items():
        until_then = [day for day in days if until is None or day.day <= until]
        if until_then:
            states[lane] = state_of(until_then)
    return states


def _seen(
    db: Session, athlete_id: UUID, lanes: Collection[Lane]
) -> dict[Lane, tuple[DaySeen, ...]]:
    bodies = athlete_rows.measurements(db, athlete_id)
    by_lane: dict[Lane, list[tuple[date, Seen]]] = {lane: [] for lane in lanes}
    tests = athlete_rows.tests(db, athlete_id, logs.LOOK_BACK)
    for test in sorted(tests, key=lambda test: (test.local_date, test.movement, test.amount)):
        _add_test(by_lane, test, bodies)
    for session in logs.of_athlete(db, athlete_id):
        for row in session.sets:
            movement = catalogue().find_movement(row.movement)
            lane = movement.posture.lane
            if lane not in by_lane:
                continue
            day = session.row.local_date
            work = work_of(body_on(bodies, day), movement, modifiers_of(row))
            if work is not None:
                by_lane[lane].append((day, seen_of(set_of(row), work, USUAL_REST)))
    return {
        lane: days_seen(sorted(those, key=lambda test: test[0])) for lane, those in by_lane.items()
    }


def _add_test(
    by_lane: dict[Lane, list[tuple[date, Seen]]], test: Any, bodies: list[BodyMeasurementRow]
) -> None:
    movement = catalogue().find_movement(test.movement)
    lane = movement.posture.lane
    if lane not in by_lane:
        return
    work = work_of(body_on(bodies, test.local_date), movement, modifiers_of(test))
    if work is None or test.amount < 1:
        return
    by_lane[lane].append((test.local_date, tested(test.amount, test.rpe, work)))


Hands = tuple[float | None, float | None]
"""What a household scale says of a body's loads."""


def hands_of(db: Session, athlete_id: UUID) -> Hands:
    """What a household scale says of an athlete's body now."""
    newest = athlete_rows.measurements(db, athlete_id)[-1]
    return newest.hands_log, newest.hands_sd


def stored(db: Session, athlete_id: UUID, hands: Hands) -> States:
    """The states that placements of an athlete's ladders kept, of each lane the newest; those of
    another scale's loads are left out."""
    states: States = {}
    for document in ladder_rows.states(db, athlete_id):
        for entry in document:
            if tuple(entry["hands"]) != hands:
                continue
            lane: Lane = tuple(entry["lane"])
            state = _read(entry)
            if lane not in states or states[lane].day <= state.day:
                states[lane] = state
    return states


def document_of(states: Mapping[Lane, State], hands: Hands) -> list[dict[str, Any]]:
    """States as they are stored."""
    return [
        {
            "hands": list(hands),
            "lane": list(lane),
            "day": state.day.isoformat(),
            "trained": state.trained.isoformat(),
            "mean": [round(float(number), 7) for number in state.mean],
            "cov": [[round(float(number), 9) for number in line] for line in state.cov],
            "movements": dict(state.movements),
            "told": state.evidence_on.isoformat() if state.evidence_on else None,
            "exact": state.exact.isoformat() if state.exact else None,
        }
        for lane, state in states.items()
    ]


def _read(document: dict[str, Any]) -> State:
    def day(name: str) -> date | None:
        return date.fromisoformat(document[name]) if document[name] else None

    return State(
        date.fromisoformat(document["day"]),
        date.fromisoformat(document["trained"]),
        np.array(document["mean"]),
        np.array(document["cov"]),
        document["movements"],
        day("told"),
        day("exact"),
    )
