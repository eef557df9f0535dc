"""Where an athlete would stand on every ready ladder, from what the intake tells."""

from dataclasses import dataclass
from datetime import date
from uuid import UUID

from sqlmodel import Session

from invelo.db.codec import body_of
from invelo.db.queries import athlete_rows, ladder_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.athlete.battery import test_for
from invelo.domain.catalogue.catalogue import ReadyLadder, TestKind, catalogue
from invelo.domain.errors import InputError
from invelo.domain.ladder.ladder import MeasuredLadder, measure
from invelo.domain.ladder.placement import Placement, place
from invelo.domain.ladder.ready import drawn
from invelo.domain.plan.prescription import Level, Purpose
from invelo.services.athlete import battery, capacity, guard

NO_TEST = "no test of the catalogue speaks to it"


@dataclass(frozen=True)
class LadderPlacement:
    """An athlete on one ready ladder.

    Attributes:
        ready: which.
        measured: for their body; None where a rung is out of its reach.
        placement: None while nothing tells, or where it is closed.
        closed: why all of it is closed, '' where some is open.
        shut: how many rungs are closed.
        test: what would place them, where nothing tells yet; None where nothing is open.
        waits: why no test is open, where nothing tells yet.
        given: the ladder they stand on already.
    """

    ready: ReadyLadder
    measured: MeasuredLadder | None
    placement: Placement | None
    closed: str
    shut: int
    test: TestKind | None
    waits: str
    given: UUID | None


def everywhere(
    db: Session, athlete: AthleteRow, purpose: Purpose, level: Level, today: date
) -> tuple[LadderPlacement, ...]:
    """Where an athlete would stand on every ready ladder."""
    guarded = guard.of_athlete(db, athlete.id, today)
    situation = battery.situation_of(db, athlete, today)
    known = capacity.newest(db, athlete.id, athlete_rows.measurements(db, athlete.id))
    given = {
        ladder_row.goal: ladder_row.id for ladder_row in ladder_rows.of_athlete(db, athlete.id)
    }
    body = body_of(athlete_rows.measurements(db, athlete.id)[-1])
    ladder_placements = []
    for ready in catalogue().ladder:
        drawing = drawn(ready, body, purpose, level)
        rungs = tuple(node.rung for node in drawing.rungs)
        closed = [guarded.unavailable_reason(rung.movement, rung.modifiers) for rung in rungs]
        shut = frozenset(i for i, why in enumerate(closed) if why)
        reason = closed[0] if len(shut) == len(rungs) else ""
        measured = placement = test = None
        try:
            measured = measure(body, rungs, drawing.links)
        except InputError as error:
            reason = reason or f"{error.field}: {error.problem}"
        if measured is not None and not reason:
            tells = any(evidence.load.setup.form.lane in measured.lanes for evidence in known)
            placement = place(measured, known, shut) if tells else None
            test = None if placement else test_for(measured.lanes, situation)
        waits = "" if placement or test or reason else next(filter(None, closed), NO_TEST)
        ladder_placements.append(
            LadderPlacement(
                ready,
                measured,
                placement,
                reason,
                len(shut),
                test,
                waits,
                given.get(ready.goal),
            )
        )
    return tuple(ladder_placements)
