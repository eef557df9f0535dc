"""A household scale tells this body: three positions, what differs, accepted or not."""

from datetime import date
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import Explained
from invelo.db import access
from invelo.db.queries import athlete_rows
from invelo.db.tables.athlete import ScaleCheckRow
from invelo.devices import simulated_household_scale
from invelo.domain.athlete.household_scale import HOW, HeldPosition, Position
from invelo.domain.errors import InputError
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.athlete import household_scale

router = APIRouter(
    prefix="/api/athletes/{athlete_id}/scale-checks", tags=["Intake"], responses=ERRORS
)


class PositionReading(StrictModel):
    """One position held still, as the scale showed it."""

    position: Position
    read_kg: float = Field(description="On the scale, under feet or knees.", examples=[24.5])
    distance_m: float | None = Field(
        None, description="From the ball of the foot, or the knee, to the wrist."
    )

    def core(self) -> HeldPosition:
        """As the domain reads it."""
        return HeldPosition(self.position, self.read_kg, self.distance_m)


class NewScaleCheck(StrictModel):
    """What a scale showed."""

    id: UUID = Field(description="Made by the client, so that sending it twice counts once.")
    standing_kg: float = Field(description="Both feet on the same scale.", examples=[75.5])
    readings: list[PositionReading] = Field(min_length=1, max_length=3)


class PositionHow(ResponseModel):
    """A position and what to do."""

    position: Position
    how: str


class PositionOut(ResponseModel):
    """What a position said."""

    position: Position
    read_kg: float
    hands_kg: float = Field(description="Standing less what the scale showed.")
    expected: Explained = Field(description="By the model, kg.")
    odd: str = Field(description="Why it is doubted; '' where it fits the others.")


class ScaleCheckOut(ResponseModel):
    """What a check says, and whether it stands."""

    id: UUID
    on: date
    standing_kg: float
    accepted: bool
    undone: bool
    words: str
    factor: Explained | None = Field(
        description="On the load of the hands; null where the body is another by now."
    )
    positions: list[PositionOut]


class SimulatedWeighing(ResponseModel):
    """What the simulated scale shows."""

    standing_kg: float
    readings: list[PositionReading]


class ScaleChecks(ResponseModel):
    """All checks, newest first."""

    how: list[PositionHow]
    simulated: SimulatedWeighing = Field(description="Stands in where no scale is at hand.")
    checks: list[ScaleCheckOut]


@router.get("")
def get_scale_checks(athlete_id: UUID, coach: Coach, db: Database) -> ScaleChecks:
    """How it is done, and what was said."""
    athlete = access.athlete(db, coach.id, athlete_id)
    rows = athlete_rows.scale_checks(db, athlete.id)
    body = household_scale.plain_body(db, athlete.id)
    standing, readings = simulated_household_scale.weigh(body, athlete.id.int % 2**31)
    return ScaleChecks(
        how=[PositionHow(position=position, how=how) for position, how in HOW.items()],
        simulated=SimulatedWeighing(
            standing_kg=standing,
            readings=[
                PositionReading(position=each.position, read_kg=each.read_kg) for each in readings
            ],
        ),
        checks=[_out(db, row) for row in rows],
    )


@router.post("", status_code=201)
def add_scale_check(
    athlete_id: UUID, body: NewScaleCheck, coach: Coach, db: Database, now: Now
) -> ScaleCheckOut:
    """Keep what a scale showed. Nothing changes until it is accepted."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    readings = tuple(each.core() for each in body.readings)
    moment = moment_for(athlete, now)
    return _out(db, household_scale.keep(db, athlete, body.id, body.standing_kg, readings, moment))


@router.post("/{check_id}/acceptance")
def accept_scale_check(
    athlete_id: UUID, check_id: UUID, coach: Coach, db: Database, now: Now
) -> ScaleCheckOut:
    """Let it stand: loads of the hands take its factor, their ranges narrow."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    return _out(db, household_scale.accept(db, athlete, check_id, now))


@router.delete("/{check_id}/acceptance")
def undo_scale_check(
    athlete_id: UUID, check_id: UUID, coach: Coach, db: Database, now: Now
) -> ScaleCheckOut:
    """Take it back: loads are as the model says again."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    return _out(db, household_scale.undo(db, athlete, check_id, now))


def _out(db: Database, row: ScaleCheckRow) -> ScaleCheckOut:
    head = {
        "on": row.local_date,
        "standing_kg": row.inputs["standing_kg"],
        "accepted": row.accepted_at is not None and row.undone_at is None,
        "undone": row.undone_at is not None,
    }
    try:
        said = household_scale.said(db, row)
    except InputError as error:
        return ScaleCheckOut.of(row, **head, words=str(error), factor=None, positions=[])
    return ScaleCheckOut.of(
        row,
        **head,
        words=said.words,
        factor=Explained.model_validate(said.factor),
        positions=[
            PositionOut(
                position=each.reading.position,
                read_kg=each.reading.read_kg,
                hands_kg=each.hands,
                expected=Explained.model_validate(each.expected),
                odd=each.odd,
            )
            for each in said.seen
        ],
    )
