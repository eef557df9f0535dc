"""Daily minimum: one rep at a fixed moment, tried, ticked, changed."""

from datetime import date, datetime
from uuid import UUID

from fastapi import APIRouter, Response
from pydantic import AwareDatetime, Field

from invelo.api.common.context import (
    AtWork,
    Database,
    DeviceClock,
    Now,
    OnFloor,
    device_moment,
    moment_for,
)
from invelo.api.common.problems import ERRORS
from invelo.db.moment import Moment
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.plan.daily_minimum import MOMENTS, TRIES, DailyMinimum
from invelo.domain.strict import ResponseModel, StrictModel, renamed
from invelo.services.plan import daily_minimum

router = APIRouter(prefix="/api/athletes/{athlete_id}/daily", tags=["Daily"], responses=ERRORS)


class NewDaily(StrictModel):
    """A daily minimum."""

    movement: str = Field(examples=["push-up"])
    amount: int = Field(1, description="Reps, 1 to 5, or seconds, 1 to 10.")
    moment: str = Field(max_length=120, examples=["while the kettle boils"])
    at: str = Field("08:00", description="Wall time of it, for the calendar.")
    why: str = Field("", max_length=200, description="Why the one before was changed.")
    cheer: str = Field("", max_length=80, description="Their own good word.")
    in_sight: str = Field("", max_length=120, description="What is left in sight.")
    beside: bool = Field(False, description="Besides those that run; in place of them if not.")
    instead_of: UUID | None = Field(None, description="Of those that run, the one it replaces.")


class NewTick(StrictModel):
    """A daily minimum done."""

    amount: int | None = Field(None, ge=1, le=600, description="More than asked is welcome.")
    trial: bool = Field(False, description="Tried out, on the first day.")
    daily_id: UUID | None = Field(None, description="Which; the day's first if left out.")
    at: AwareDatetime | None = Field(None, description="The device's clock; now if left out.")
    time_zone: str | None = Field(None, validation_alias=renamed("time_zone", "zone"))
    sent_at: AwareDatetime | None = Field(None, description="The device's clock as it sends.")

    def moment(self, athlete: AthleteRow, now: datetime) -> Moment:
        """When it was done, by our clock."""
        if self.at is None:
            return moment_for(athlete, now, None, self.time_zone)
        device_clock = DeviceClock.model_validate(self, from_attributes=True)
        return device_moment(athlete, now, device_clock)[0]


class Ended(StrictModel):
    """The end of a daily minimum."""

    why: str = Field("", max_length=200)
    daily_id: UUID | None = Field(None, description="Which; the day's first if left out.")


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
    cheer: str
    in_sight: str
    before: list[DailyBefore]


class DailyChoice(ResponseModel):
    """A movement that may be a daily minimum."""

    id: str
    name: str


class DailySheet(ResponseModel):
    """The daily minimums that run, and what others may be made of."""

    daily: Daily | None = Field(description="The day's first.")
    running: list[Daily] = Field(description="All, by the time of day.")
    moments: list[str] = Field(description="To tie one to.")
    movements: list[DailyChoice] = Field(
        description="Easy enough for no warm-up, and open to them."
    )


@router.get("")
def get_daily(who: OnFloor, db: Database, now: Now) -> DailySheet:
    """The daily minimums as they stand."""
    return _sheet(db, who.athlete, moment_for(who.athlete, now).local_date)


@router.put("/{daily_minimum_id}")
def begin_daily(
    daily_minimum_id: UUID, body: NewDaily, who: AtWork, db: Database, now: Now
) -> DailySheet:
    """Begin a daily minimum: in place of those that run, of one of them, or beside them. The
    athlete may, alone."""
    athlete = who.athlete
    moment = moment_for(athlete, now)
    movement = catalogue().find_movement(body.movement)
    prescription = DailyMinimum(
        movement, body.amount, body.moment, body.at, body.cheer, body.in_sight
    )
    daily_minimum.begin(
        db,
        athlete,
        daily_minimum_id,
        prescription,
        body.why,
        moment,
        body.beside,
        body.instead_of,
    )
    return _sheet(db, athlete, moment.local_date)


@router.put("/ticks/{tick_id}")
def tick_daily(tick_id: UUID, body: NewTick, who: AtWork, db: Database, now: Now) -> DailySheet:
    """Tick the day off, or try it out on its first day. A day has one tick."""
    athlete = who.athlete
    moment = body.moment(athlete, now)
    daily_minimum.tick(db, athlete.id, tick_id, body.amount, body.trial, moment, body.daily_id)
    return _sheet(db, athlete, moment_for(athlete, now).local_date)


@router.post("/end", status_code=204)
def end_daily(body: Ended, who: AtWork, db: Database, now: Now) -> Response:
    """End a daily minimum that runs."""
    today = moment_for(who.athlete, now).local_date
    daily_minimum.end(db, who.athlete.id, body.why, today, body.daily_id)
    return Response(status_code=204)


def _sheet(db: Database, athlete: AthleteRow, today: date) -> DailySheet:
    running = [_daily(seen) for seen in daily_minimum.views(db, athlete.id, today)]
    return DailySheet(
        daily=running[0] if running else None,
        running=running,
        moments=list(MOMENTS),
        movements=[
            DailyChoice.of(
                movement,
            )
            for movement in daily_minimum.choices(db, athlete, today)
        ],
    )


def _daily(seen: daily_minimum.DailyMinimumView) -> Daily:
    row = seen.row
    return Daily.of(
        seen.standing,
        row,
        movement=catalogue().find_movement(row.movement).name,
        movement_id=row.movement,
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
    )
