"""What an athlete has done, as the bench reads it: tests and sets, and figures fitted to them."""

from datetime import date
from typing import Literal
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.context import Coach, Database
from invelo.api.problems import ERRORS
from invelo.api.shapes import Explained, Shape
from invelo.core.bench import Task
from invelo.core.errors import InputError
from invelo.core.personal import Observed, fit
from invelo.core.placement import Evidence
from invelo.exchange.setups import SetUpRequest
from invelo.store import access, ladder

router = APIRouter(prefix="/api", tags=["Bench"], responses=ERRORS)

NEWEST = 12
"""Entries of a record that are sent."""


class RecordEntry(Shape):
    """A test or a set that says something of capacity."""

    day: date
    kind: Literal["test", "set"]
    setup: SetUpRequest
    words: str = Field(description="The set-up as it is called.")
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
    observed = tuple(Observed.of(one.day, one.capacity.result) for one in known)
    try:
        found = fit(observed, known[0].load.unit)
    except InputError as error:
        return Personal(
            sets=len(observed),
            first=None,
            last=None,
            capacity=None,
            growth=None,
            g=None,
            endurance=None,
            why_not=f"{error.problem} {error.remedy}",
        )
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
    setup = SetUpRequest.from_core(one.load.setup, result.tempo)
    return RecordEntry(
        day=one.day,
        kind=one.kind,
        setup=setup,
        words=Task(setup.movement, setup.changes()).words,
        reps=result.reps,
        effort=result.effort,
        capacity=Explained.model_validate(one.capacity.one_rep),
    )
