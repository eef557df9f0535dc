"""What an athlete has done, as the bench reads it: tests and sets, and figures fitted to them."""

from datetime import date
from typing import Literal
from uuid import UUID

from fastapi import APIRouter

from invelo.api.context import Coach, Database
from invelo.api.problems import ERRORS
from invelo.api.shapes import Explained, Shape
from invelo.core.personal import LEAST_SETS, Observed, fit
from invelo.core.placement import Evidence
from invelo.exchange.setups import SetUpRequest
from invelo.store import access, ladder

router = APIRouter(prefix="/api", tags=["Bench"], responses=ERRORS)

NEWEST = 12
"""Entries of a record that are sent."""

MOST_REPS = 60.0


class RecordEntry(Shape):
    """A test or a set that says something of capacity."""

    day: date
    kind: Literal["test", "set"]
    setup: SetUpRequest
    reps: float
    effort: float
    capacity: Explained


class Record(Shape):
    """The newest evidence of a ladder's family, newest first."""

    entries: list[RecordEntry]


class Personal(Shape):
    """A person's own figures, fitted to their sets; none while there are too few."""

    sets: int
    first: date | None
    last: date | None
    capacity: Explained | None
    growth: Explained | None
    g: Explained | None
    endurance: Explained | None
    why_not: str


@router.get("/ladders/{ladder_id}/record")
def get_record(ladder_id: UUID, coach: Coach, db: Database) -> Record:
    """What the athlete has done in the ladder's family."""
    known = ladder.known(db, access.ladder(db, coach.id, ladder_id))
    newest = sorted(known, key=lambda one: (one.day, one.kind == "test"), reverse=True)
    return Record(entries=[_entry(one) for one in newest[:NEWEST]])


@router.get("/ladders/{ladder_id}/personal")
def get_personal(ladder_id: UUID, coach: Coach, db: Database) -> Personal:
    """The athlete's own capacity, growth, g and endurance, with how many sets they rest on."""
    known = ladder.known(db, access.ladder(db, coach.id, ladder_id))
    observed = tuple(_observed(one) for one in known)
    if len(observed) < LEAST_SETS:
        return Personal(
            sets=len(observed),
            first=None,
            last=None,
            capacity=None,
            growth=None,
            g=None,
            endurance=None,
            why_not=f"{len(observed)} sets are too few; {LEAST_SETS} near the end are wanted.",
        )
    found = fit(observed, known[0].load.unit)
    return Personal(
        sets=found.sets,
        first=found.first,
        last=found.last,
        capacity=Explained.model_validate(found.capacity),
        growth=Explained.model_validate(found.growth),
        g=Explained.model_validate(found.g),
        endurance=Explained.model_validate(found.endurance),
        why_not="",
    )


def _entry(one: Evidence) -> RecordEntry:
    result = one.capacity.result
    return RecordEntry(
        day=one.day,
        kind=one.kind,
        setup=SetUpRequest.from_core(one.load.setup, result.tempo),
        reps=result.reps,
        effort=result.effort,
        capacity=Explained.model_validate(one.capacity.one_rep),
    )


def _observed(one: Evidence) -> Observed:
    result = one.capacity.result
    return Observed(
        one.day,
        result.load,
        result.tempo.rep_time,
        min(MOST_REPS, result.reps_to_failure),
        result.effort < 10,
    )
