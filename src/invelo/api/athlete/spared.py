"""Places that hurt: what they close, what fits instead, when to ask again, and clearing them."""

from datetime import date
from typing import Annotated
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.db import access
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.athlete.screen import PainPlace
from invelo.domain.plan.substitutes import Substitute
from invelo.domain.review.proposals.situation import prescription_words
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.athlete import instead
from invelo.services.athlete.spared import ClearingWord
from invelo.services.ladder import ladder

router = APIRouter(prefix="/api/athletes/{athlete_id}", tags=["Intake"], responses=ERRORS)


class InsteadOut(ResponseModel):
    """What fits and is open."""

    movement: str
    name: str
    words: str = Field(description="What is asked of it.", examples=["3 × 8–12 at effort 8"])
    same_pattern: bool
    likely: float | None = Field(description="Reps or seconds that are there, fresh.")


class ClosedLadderOut(ResponseModel):
    """A ladder that stands still meanwhile."""

    id: UUID
    goal: str
    rung: str
    instead: list[InsteadOut]


class SparedOut(ResponseModel):
    """A place that hurts."""

    place: PainPlace
    since: date
    pain: int
    ask_on: date = Field(description="When to ask again how it is.")
    ladders: list[ClosedLadderOut]


class SparedPlaces(ResponseModel):
    """All that is spared, and where it leads."""

    places: list[SparedOut]


class ClearedRequest(StrictModel):
    """A word that a place is well."""

    note: Annotated[str, Field(min_length=1, max_length=500, pattern=r"\S")]


@router.get("/spared")
def get_spared(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> SparedPlaces:
    """Places that hurt, the ladders they close, and what fits instead."""
    athlete = access.athlete(db, coach.id, athlete_id)
    return _spared(db, athlete, moment_for(athlete, now).local_date)


@router.post("/spared/{place}/clear")
def clear_place(
    athlete_id: UUID, place: PainPlace, body: ClearedRequest, coach: Coach, db: Database, now: Now
) -> SparedPlaces:
    """Open again what a place had closed: it comes back in steps."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    moment = moment_for(athlete, now)
    ladder.clear_place(db, athlete, place, ClearingWord(coach, body.note), moment)
    return _spared(db, athlete, moment.local_date)


def _spared(db: Database, athlete: AthleteRow, today: date) -> SparedPlaces:
    return SparedPlaces(
        places=[
            SparedOut.of(
                seen.place,
                ladders=[
                    ClosedLadderOut.of(
                        closed, instead=[_instead(substitute) for substitute in closed.instead]
                    )
                    for closed in seen.ladders
                ],
            )
            for seen in instead.view(db, athlete, today)
        ]
    )


def _instead(substitute: Substitute) -> InsteadOut:
    return InsteadOut.of(
        substitute,
        movement=substitute.movement.id,
        name=substitute.movement.name,
        words=prescription_words(substitute.prescription),
    )
