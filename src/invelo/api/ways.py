"""Ways to the next step, and rungs made of them, on the Ladder sheet."""

from typing import Annotated, Literal
from uuid import UUID

from fastapi import APIRouter, Query
from pydantic import Field

from invelo.api.context import Coach, Database, Now, moment_for
from invelo.api.problems import ERRORS
from invelo.api.shapes import Estimate, Explained, RungName, Shape
from invelo.core.ways import ways
from invelo.exchange.setups import Request
from invelo.store import access, ladder, rungs
from invelo.store.rows import body_of

router = APIRouter(prefix="/api", tags=["Ladder"], responses=ERRORS)


class Way(Shape):
    """One thing changed alone until the step is made."""

    dial: str = Field(examples=["bag"])
    label: str = Field(examples=["bag high on the back"])
    unit: str = Field(examples=["kg"])
    by_work: bool = Field(description="It tells on the work of a rep, not on the demand.")
    now: float
    to: Explained | None
    demand: Estimate | None
    expected: Estimate | None
    why_not: str


class NewRung(Request):
    """A rung made from another by turning one dial."""

    id: UUID = Field(description="Made by the client, so that sending it twice adds one.")
    beside: UUID = Field(description="The rung it is made from.")
    side: Literal["above", "below"] = "above"
    dial: str = Field(examples=["foot_height"])
    amount: float = Field(description="kg, m or s; rounded to what can be set up.", examples=[0.1])


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
        seen.placement.known,
    )
    return Ways(
        rung_id=rung_id,
        step_percent=step_percent,
        ways=[
            Way(
                dial=way.dial.name,
                label=way.dial.label,
                unit=way.dial.unit,
                by_work=way.dial.by_work,
                now=way.now,
                to=Explained.model_validate(way.to) if way.to else None,
                demand=Estimate.model_validate(way.demand.on_scale) if way.demand else None,
                expected=Estimate.model_validate(way.expected) if way.expected else None,
                why_not=way.why_not,
            )
            for way in found
        ],
    )


@router.post("/ladders/{ladder_id}/rungs", status_code=201)
def add_rung(ladder_id: UUID, body: NewRung, coach: Coach, db: Database, now: Now) -> RungName:
    """Put a rung above or below another: a bridge over a gap, or a smaller step."""
    row = access.ladder(db, coach.id, ladder_id, roles=access.WRITE)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    new = rungs.NewRung(body.id, body.beside, body.side, body.dial, body.amount)
    return RungName.model_validate(rungs.add_rung(db, row, athlete, new, moment_for(athlete, now)))


@router.delete("/ladders/{ladder_id}/rungs/{rung_id}", status_code=204)
def remove_rung(ladder_id: UUID, rung_id: UUID, coach: Coach, db: Database, now: Now) -> None:
    """Take off a rung on which nobody has trained yet."""
    row = access.ladder(db, coach.id, ladder_id, roles=access.WRITE)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    rungs.remove_rung(db, row, athlete, rung_id, moment_for(athlete, now))
