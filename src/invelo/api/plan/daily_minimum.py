"""Daily minimum: one rep at a fixed moment, tried, ticked, changed."""

from datetime import date
from uuid import UUID

from fastapi import APIRouter, Response
from pydantic import AwareDatetime, Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import ResponseModel
from invelo.db import access
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.plan.daily_minimum import MOMENTS, TRIES, DailyMinimum
from invelo.domain.strict import StrictModel, renamed
from invelo.services.plan import daily_minimum

router = APIRouter(prefix="/api/athletes/{athlete_id}/daily", tags=["Daily"], responses=ERRORS)


class NewDaily(StrictModel):
    """A daily minimum."""

    movement: str = Field(examples=["push-up"])
    amount: int = Field(1, description="Reps, 1 to 5, or seconds, 1 to 10.")
    moment: str = Field(max_length=120, examples=["while the kettle boils"])
    at: str = Field("08:00", description="Wall time of it, for the calendar.")
    why: str = Field("", max_length=200, description="Why the one before was changed.")


class NewTick(StrictModel):
    """A daily minimum done."""

    amount: int | None = Field(None, ge=1, le=600, description="More than asked is welcome.")
    trial: bool = Field(False, description="Tried out, on the first day.")
    at: AwareDatetime | None = None
    time_zone: str | None = Field(None, validation_alias=renamed("time_zone", "zone"))


class Ended(StrictModel):
    """The end of a daily minimum."""

    why: str = Field("", max_length=200)


class DailyBefore(ResponseModel):
    """A daily minimum that was changed."""

    movement: str
    moment: str
    begun_on: date
    ended_on: date
    why: str


class Daily(ResponseModel):
    """A daily minimum as it stands."""

    id: UUID
    movement: str
    movement_id: str
    amount: int
    unit: str
    moment: str
    at: str
    begun_on: date
    ticks: list[date]
    run: int
    done: int
    days: int
    missed: int
    tries: int
    tries_wanted: int
    today: bool
    note: str
    before: list[DailyBefore]


class DailySheet(ResponseModel):
    """The daily minimum, if one runs, and moments to tie one to."""

    daily: Daily | None
    moments: list[str]


@router.get("")
def get_daily(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> DailySheet:
    """The daily minimum as it stands."""
    athlete = access.athlete(db, coach.id, athlete_id)
    return _sheet(db, athlete, moment_for(athlete, now).local_date)


@router.put("/{daily_minimum_id}")
def begin_daily(
    athlete_id: UUID, daily_minimum_id: UUID, body: NewDaily, coach: Coach, db: Database, now: Now
) -> DailySheet:
    """Begin a daily minimum, in place of the one that runs."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    moment = moment_for(athlete, now)
    movement = catalogue().find_movement(body.movement)
    prescription = DailyMinimum(movement, body.amount, body.moment, body.at)
    daily_minimum.begin(db, athlete, daily_minimum_id, prescription, body.why, moment)
    return _sheet(db, athlete, moment.local_date)


@router.put("/ticks/{tick_id}")
def tick_daily(
    athlete_id: UUID, tick_id: UUID, body: NewTick, coach: Coach, db: Database, now: Now
) -> DailySheet:
    """Tick the day off, or try the prescription out on its first day. A day has one tick."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    moment = moment_for(athlete, now, body.at, body.time_zone)
    daily_minimum.tick(db, athlete.id, tick_id, body.amount, body.trial, moment)
    return _sheet(db, athlete, moment_for(athlete, now).local_date)


@router.post("/end", status_code=204)
def end_daily(athlete_id: UUID, body: Ended, coach: Coach, db: Database, now: Now) -> Response:
    """End the daily minimum that runs."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    daily_minimum.end(db, athlete.id, body.why, moment_for(athlete, now).local_date)
    return Response(status_code=204)


def _sheet(db: Database, athlete: AthleteRow, today: date) -> DailySheet:
    seen = daily_minimum.view(db, athlete.id, today)
    if seen is None:
        return DailySheet(daily=None, moments=list(MOMENTS))
    row, goes = seen.row, seen.standing
    return DailySheet(
        daily=Daily.of(
            goes,
            id=row.id,
            movement=catalogue().find_movement(row.movement).name,
            movement_id=row.movement,
            amount=row.amount,
            unit=row.unit,
            moment=row.moment,
            at=row.at,
            begun_on=row.begun_on,
            ticks=list(seen.ticks),
            tries_wanted=TRIES,
            before=[
                DailyBefore.of(
                    daily_minimum_row,
                    movement=catalogue().find_movement(daily_minimum_row.movement).name,
                    ended_on=daily_minimum_row.ended_on or daily_minimum_row.begun_on,
                    why=daily_minimum_row.ended_why,
                )
                for daily_minimum_row in seen.before
            ],
        ),
        moments=list(MOMENTS),
    )
