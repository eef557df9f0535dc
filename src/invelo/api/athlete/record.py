"""What an athlete has done, as the bench reads it: tests and sets, and figures fitted to them."""

from datetime import date
from typing import Literal
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.common.context import Coach, Database
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import Explained
from invelo.db import access
from invelo.domain.bench.comparison import LeverageTask
from invelo.domain.errors import InputError
from invelo.domain.plan.prescription import Unit
from invelo.domain.strength.capacity import Evidence, groups_of
from invelo.domain.strength.personal import Observed, fit
from invelo.domain.strength.reps import Capacity
from invelo.domain.strict import ResponseModel
from invelo.formats.setups import SetUpRequest
from invelo.services.ladder import ladder

router = APIRouter(prefix="/api", tags=["Bench"], responses=ERRORS)

NEWEST = 12
"""Entries of a record that are sent."""


class RecordEntry(ResponseModel):
    """A test or a set that says something of capacity."""

    day: date
    kind: Literal["test", "set"]
    setup: SetUpRequest
    words: str = Field(description="The set-up as it is called.")
    amount: float
    unit: Unit
    rpe: float
    capacity: Explained


class Record(ResponseModel):
    """The newest evidence of a ladder's family, newest first."""

    entries: list[RecordEntry]


class Personal(ResponseModel):
    """A person's own figures, fitted to their sets; none while there are too few."""

    sets: int
    first: date | None
    last: date | None
    capacity: Explained | None
    growth: Explained | None
    g: Explained | None
    endurance: Explained | None
    unavailable_reason: str


@router.get("/ladders/{ladder_id}/record")
def get_record(ladder_id: UUID, coach: Coach, db: Database) -> Record:
    """What the athlete has done in the ladder's family."""
    known = ladder.known(db, access.ladder(db, coach.id, ladder_id))
    newest = sorted(
        known, key=lambda evidence: (evidence.day, evidence.kind == "test"), reverse=True
    )
    return Record(entries=[_entry(evidence) for evidence in newest[:NEWEST]])


@router.get("/ladders/{ladder_id}/personal")
def get_personal(ladder_id: UUID, coach: Coach, db: Database) -> Personal:
    """The athlete's own capacity, growth, g and endurance, with how many sets they rest on."""
    known = ladder.known(db, access.ladder(db, coach.id, ladder_id))
    lanes = groups_of(
        tuple(evidence for evidence in known if isinstance(evidence.known.capacity, Capacity))
    )
    most = max(lanes.values(), key=len, default=())  # figures of two measures do not mix
    observed = tuple(
        Observed.of(evidence.day, capacity.result)
        for evidence in most
        if isinstance(capacity := evidence.known.capacity, Capacity)
    )
    if not observed:
        return _none(0, "Figures of their own are fitted to reps; this ladder is of holds.")
    try:
        personal_fit = fit(observed, most[0].load.unit)
    except InputError as error:
        return _none(len(observed), f"{error.problem} {error.remedy}")
    return Personal.of(
        personal_fit,
        capacity=Explained.model_validate(personal_fit.capacity),
        growth=Explained.model_validate(personal_fit.growth),
        g=Explained.model_validate(personal_fit.g),
        endurance=Explained.model_validate(personal_fit.endurance),
        unavailable_reason="",
    )


def _none(sets: int, unavailable_reason: str) -> Personal:
    return Personal(
        sets=sets,
        first=None,
        last=None,
        capacity=None,
        growth=None,
        g=None,
        endurance=None,
        unavailable_reason=unavailable_reason,
    )


def _entry(evidence: Evidence) -> RecordEntry:
    done = evidence.known.done
    setup = SetUpRequest.from_core(evidence.load.setup, done.tempo)
    return RecordEntry.of(
        done,
        unit="s" if done.setup.form.counted == "hold" else "reps",
        day=evidence.day,
        kind=evidence.kind,
        setup=setup,
        words=LeverageTask(setup.movement, setup.changes()).words,
        capacity=Explained.model_validate(evidence.greatest),
    )
