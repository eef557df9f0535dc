"""A kept week gathered for its files."""

from collections.abc import Iterator
from datetime import date, timedelta

from sqlmodel import Session

from invelo.db.queries import plan_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.plan import DailyMinimumRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError
from invelo.domain.plan.daily_minimum import RunningDailyMinimum
from invelo.domain.plan.session.timeline import length
from invelo.formats.plan.words import FileDay, FileWeek
from invelo.services.plan import sessions, week
from invelo.services.plan.week import WeekView


def file_week(db: Session, athlete: AthleteRow, week_start: date, today: date) -> FileWeek:
    """A week as its files tell it, each day as it was adapted; without anything to plan, the daily
    minimum alone."""
    running = tuple(_running(row) for row in plan_rows.running_minimums(db, athlete.id))
    try:
        seen = week.view(db, athlete, week_start, today)
    except InputError:
        return FileWeek(athlete.name, week_start, athlete.time_zone, 0, (), running)
    revision = seen.row.number if seen.row else 0
    days = tuple(_adapted(db, athlete, day) for day in _days(seen))
    return FileWeek(athlete.name, week_start, athlete.time_zone, revision, days, running)


def _days(seen: WeekView) -> Iterator[FileDay]:
    names = {venue.key: venue.name for venue in seen.venues}
    for day in seen.availability.days:
        if not seen.items(day.index):
            continue
        session = seen.session(day.index)
        yield FileDay(
            seen.week_start + timedelta(days=day.index),
            day.at,
            names.get(day.place, ""),
            length(session).likely,
            session,
        )


def _adapted(db: Session, athlete: AthleteRow, day: FileDay) -> FileDay:
    session = sessions.adapted(db, athlete.id, day.day)
    return day if session is None else day.with_session(session, length(session).likely)


def _running(row: DailyMinimumRow) -> RunningDailyMinimum:
    movement = catalogue().find_movement(row.movement)
    return RunningDailyMinimum(
        row.id, movement, row.amount, row.moment, row.at, row.begun_on, row.time_zone
    )
