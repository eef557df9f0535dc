"""Placement over all ready ladders."""

from typing import Annotated
from uuid import UUID

from fastapi import APIRouter, Query
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import EstimateOut
from invelo.db import access
from invelo.domain.plan.prescription import Level, Purpose
from invelo.domain.strict import ResponseModel
from invelo.services.athlete import placements

router = APIRouter(prefix="/api", tags=["Placement"], responses=ERRORS)


class PlacedOn(ResponseModel):
    """Where an athlete would stand on one ready ladder."""

    id: str = Field(examples=["pull-up"])
    goal: str
    family: str
    household: bool
    rungs: int
    closed: str = Field(description="Why all of it is closed today; '' where some is open.")
    shut: int = Field(description="How many of its rungs are closed.")
    rung: str = Field(
        description="The rung whose useful prescription fits; '' while nothing tells."
    )
    low_rung: str = Field(description="The lowest that the range of the prediction allows.")
    high_rung: str
    fits: bool
    expected: EstimateOut | None
    narrower: str = Field(description="The test that would narrow it most.")
    test: str = Field(description="The test that would place them, where nothing tells yet.")
    waits: str = Field(description="Why no test is open, where nothing tells yet.")
    ladder_id: UUID | None = Field(description="Where they have it already.")


class Placements(ResponseModel):
    """Over all ready ladders."""

    ladders: list[PlacedOn]


@router.get("/athletes/{athlete_id}/placements")
def get_placements(
    athlete_id: UUID,
    coach: Coach,
    db: Database,
    now: Now,
    purpose: Annotated[Purpose, Query()] = "strength",
    level: Annotated[Level, Query()] = "beginner",
) -> Placements:
    """Where the intake's tests would put an athlete on every ready ladder."""
    athlete = access.athlete(db, coach.id, athlete_id)
    today = moment_for(athlete, now).local_date
    ladder_placements = placements.everywhere(db, athlete, purpose, level, today)
    return Placements(ladders=[_placed(ladder_placement) for ladder_placement in ladder_placements])


def _placed(ladder_placement: placements.LadderPlacement) -> PlacedOn:
    placement, ready = ladder_placement.placement, ladder_placement.ready
    names = [rung.name for rung in ready.rungs]
    expected = placement.predictions[placement.index] if placement else None
    return PlacedOn.of(
        ready,
        ladder_placement,
        rungs=len(names),
        rung=names[placement.index] if placement else "",
        low_rung=names[placement.low_index] if placement else "",
        high_rung=names[placement.high_index] if placement else "",
        fits=placement.fits if placement else False,
        expected=EstimateOut.model_validate(expected) if expected else None,
        narrower=placement.narrower if placement else "",
        test=ladder_placement.test.name if ladder_placement.test else "",
        ladder_id=ladder_placement.given,
    )
