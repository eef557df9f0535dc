"""Ways to the next step, on the Ladder sheet."""

from typing import Annotated, Literal
from uuid import UUID

from fastapi import APIRouter, Query

from invelo.api.context import Coach, Database
from invelo.api.problems import ERRORS
from invelo.api.shapes import Estimate, Explained, Shape
from invelo.core.ways import ways
from invelo.store import access, ladder
from invelo.store.rows import body_of

router = APIRouter(prefix="/api", tags=["Ladder"], responses=ERRORS)


class Way(Shape):
    """One thing changed alone until the step is made."""

    dial: Literal["bag", "feet", "hands", "along", "lowering"]
    unit: str
    now: float
    to: Explained | None
    demand: Estimate | None
    expected: Estimate | None
    why_not: str


class Ways(Shape):
    """Equal choices, each made alone."""

    rung_id: UUID
    step_percent: float
    ways: list[Way]


@router.get("/ladders/{ladder_id}/rungs/{rung_id}/ways")
def get_ways(
    ladder_id: UUID,
    rung_id: UUID,
    coach: Coach,
    db: Database,
    step_percent: Annotated[float, Query(description="More, or with a minus less; %.")] = 5.0,
) -> Ways:
    """What equals a step from this rung: kilos, centimetres or seconds, side by side."""
    row = access.ladder(db, coach.id, ladder_id)
    position = ladder.rung_on(db, row.id, rung_id).position
    seen = ladder.view(db, row, access.athlete(db, coach.id, row.athlete_id))
    found = ways(
        body_of(seen.measure),
        seen.measured.rungs[position],
        step_percent / 100,
        seen.placement.evidence,
    )
    return Ways(
        rung_id=rung_id,
        step_percent=step_percent,
        ways=[
            Way(
                dial=way.dial,
                unit=way.unit,
                now=way.now,
                to=Explained.model_validate(way.to) if way.to else None,
                demand=Estimate.model_validate(way.demand.on_scale) if way.demand else None,
                expected=Estimate.model_validate(way.expected) if way.expected else None,
                why_not=way.why_not,
            )
            for way in found
        ],
    )
