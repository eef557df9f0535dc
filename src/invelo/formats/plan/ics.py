"""Weeks as iCalendar (RFC 5545): wall time in the athlete's zone, nothing about health."""

from collections.abc import Iterable
from datetime import date, datetime, time, timedelta
from zoneinfo import ZoneInfo

from icalendar import Calendar, Event

from invelo import __version__
from invelo.domain.plan.daily_minimum import RunningDailyMinimum
from invelo.formats.plan.words import FileDay, FileWeek

ABOUT = timedelta(days=190)
"""Before and after the weeks for which the zone's changes are told: one change of each kind, which
every reader understands; a feed is read anew long before."""


def ics(weeks: Iterable[FileWeek], made: datetime, owner: str) -> bytes:
    """A calendar of some weeks, and of the daily minimum.

    Args:
        weeks: in order; they share a zone.
        made: when, for the time stamp of every event.
        owner: an opaque name of whose it is, so that each event keeps its UID.
    """
    file_weeks = tuple(weeks)
    calendar = Calendar()
    calendar.add("prodid", f"-//Invelo//{__version__}//EN")
    calendar.add("version", "2.0")
    calendar.add("calscale", "GREGORIAN")
    calendar.add("x-wr-calname", "Training")
    for week in file_weeks:
        for day in week.days:
            calendar.add_component(_session(day, week, made, owner))
    for daily in file_weeks[0].daily if file_weeks else ():
        calendar.add_component(_daily(daily, file_weeks[0].week_start, made, owner))
    if file_weeks:
        calendar.add_missing_timezones(
            file_weeks[0].week_start - ABOUT, file_weeks[-1].week_start + ABOUT
        )
    written: bytes = calendar.to_ical()
    return written


def _at(day: date, wall: str, time_zone: str) -> datetime:
    hours, minutes = wall.split(":")
    return datetime.combine(day, time(int(hours), int(minutes)), ZoneInfo(time_zone))


def _session(day: FileDay, week: FileWeek, made: datetime, owner: str) -> Event:
    event = Event()
    event.add("uid", f"{owner}-{day.day.isoformat()}@invelo")
    event.add("dtstamp", made)
    event.add("sequence", week.revision)
    start = _at(day.day, day.at, week.time_zone)
    event.add("dtstart", start)
    # Added to the wall time, so that a session over a change of the clocks ends when it does.
    event.add("duration", timedelta(minutes=round(day.minutes)))
    event.add("summary", f"Training, {round(day.minutes)} min")
    if day.place:
        event.add("location", day.place)
    return event


def _daily(daily: RunningDailyMinimum, week_start: date, made: datetime, owner: str) -> Event:
    event = Event()
    event.add("uid", f"{owner}-daily-{daily.id}@invelo")
    event.add("dtstamp", made)
    event.add("dtstart", _at(max(daily.begun_on, week_start), daily.at, daily.time_zone))
    event.add("duration", timedelta(minutes=1))
    event.add("rrule", {"freq": "daily"})
    event.add("summary", f"Daily minute, {daily.moment}")
    return event
