"""Movements of a coach's own: seen while they are made, kept, put away."""

from hashlib import sha256
from uuid import UUID

from fastapi import APIRouter, Response
from pydantic import Field

from invelo.api.catalogue.schemas import MovementOut, movement_fields
from invelo.api.common.context import Coach, Database, Now
from invelo.api.common.drawing import FigureOut
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import Explained
from invelo.api.ladder.schemas import ends_of
from invelo.domain.biomechanics.figure import figure
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.catalogue.own import PREFIX, USUAL, angles_of, looked_at, settable
from invelo.domain.errors import InputError
from invelo.domain.strict import ResponseModel
from invelo.formats.own_movement import OwnMovementOf
from invelo.services.catalogue import own_movements

router = APIRouter(prefix="/api", tags=["Catalogue"], responses=ERRORS)


class SettableAngle(ResponseModel):
    """A joint angle that may be set, as it is now."""

    joint: str
    start: float = Field(description="Degrees, as they come out.")
    end: float


class OwnMovementSeen(ResponseModel):
    """A movement while it is made."""

    wrong: str = Field(description="Why it cannot be yet, '' where it can.")
    angles: list[SettableAngle]
    parameters: list[str] = Field(description="Names of what else may be set.")
    figures: list[FigureOut] = Field(description="At both ends of the rep.")
    facing_up: bool = Field(description="Whether the chest faces up with the head to the right.")
    demand: Explained | None
    measure_words: str
    stress: dict[str, int]
    regions: dict[str, int] = Field(description="% of the work, the most first.")
    kit: list[str] = Field(description="Any one of these is needed.")
    is_hold: bool


class OwnMovementsOut(ResponseModel):
    """A coach's own."""

    movements: list[MovementOut]


@router.get("/own-movements")
def get_own_movements(coach: Coach, db: Database) -> OwnMovementsOut:
    """A coach's own movements, by name."""
    there = own_movements.listed(db, coach.id)
    return OwnMovementsOut(
        movements=[MovementOut(**movement_fields(movement)) for movement in there]
    )


@router.post("/own-movements/preview")
def preview_own_movement(body: OwnMovementOf, coach: Coach) -> OwnMovementSeen:
    """A movement as it would be, kept nowhere: its figures, what it asks, what it strains."""
    base = catalogue().find_movement(body.base)
    own = body.core()
    key = sha256(body.model_dump_json().encode()).hexdigest()[:16]
    try:
        with looked_at(f"{PREFIX}{key}", own) as movement:
            return _seen(movement, base, "")
    except InputError as error:
        return _seen(base, base, f"{error.field}: {error.problem} {error.remedy}")


def _seen(movement: Movement, base: Movement, wrong: str) -> OwnMovementSeen:
    read = reading(USUAL, movement.own(Modifiers()).setup(movement))
    places = {"start": 0, "end": len(read.depths) - 1}
    posture = movement.posture
    start, end = angles_of(movement)
    return OwnMovementSeen(
        wrong=wrong,
        angles=[
            SettableAngle(
                joint=joint,
                start=start.get(joint, start.get(_first(joint), 0.0)),
                end=end.get(joint, end.get(_first(joint), 0.0)),
            )
            for joint in settable(base.posture)
        ],
        parameters=[parameter.name for parameter in posture.parameter],
        figures=[FigureOut.model_validate(figure(read, places[at])) for at in ends_of(posture)],
        facing_up=posture.facing == "up",
        demand=None if movement.rpe_only else Explained.model_validate(read.demand),
        measure_words=read.measure,
        stress=dict(movement.stress),
        regions={region: movement.share_of(region) for region in movement.muscles},
        kit=list(movement.kit),
        is_hold=posture.counted == "hold",
    )


def _first(joint: str) -> str:
    """The first leg's joint: what the second does until it is told otherwise."""
    return joint.removeprefix("other_")


@router.put("/own-movements/{movement_id}")
def keep_own_movement(
    movement_id: UUID, body: OwnMovementOf, coach: Coach, db: Database, now: Now
) -> MovementOut:
    """Keep a movement of one's own. It never changes: whoever wants it otherwise makes another."""
    movement = own_movements.make(db, coach.id, movement_id, body.core(), now)
    return MovementOut(**movement_fields(movement))


@router.delete("/own-movements/{movement_id}", status_code=204)
def put_own_movement_away(movement_id: UUID, coach: Coach, db: Database, now: Now) -> Response:
    """Offer it no more; what was done of it stands."""
    own_movements.put_away(db, coach.id, movement_id, now)
    return Response(status_code=204)
