"""A week as its files tell it: what Markdown, print and calendar share."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from datetime import date, timedelta

from invelo.core.session.timeline import length
from invelo.core.session.work import Session
from invelo.store.plan_tables import Habit
from invelo.store.week import WeekView


@dataclass(frozen=True)
class FileDay:
    """A day of a week's file.

    Attributes:
        day: which.
        at: when it begins, "HH:MM".
        place: where, in words; '' where that is open.
        minutes: it likely takes.
        session: what is done.
    """

    day: date
    at: str
    place: str
    minutes: float
    session: Session

    def with_session(self, session: Session, minutes: float) -> "FileDay":
        """The same day with another session."""
        return replace(self, session=session, minutes=minutes)

    @property
    def title(self) -> str:
        """Which day, in words."""
        return f"{self.day:%A} {self.day.day} {self.day:%B}"


@dataclass(frozen=True)
class FileWeek:
    """A week's file.

    Attributes:
        who: the athlete's name.
        monday: its first day.
        zone: IANA name in which its times are told.
        revision: of the plan.
        days: with something on them.
        habit: the daily dose, if one runs.
    """

    who: str
    monday: date
    zone: str
    revision: int
    days: tuple[FileDay, ...]
    habit: Habit | None

    def with_days(self, days: tuple[FileDay, ...]) -> "FileWeek":
        """The same week with other days."""
        return replace(self, days=days)


def file_week(seen: WeekView, zone: str, habit: Habit | None) -> FileWeek:
    """A week as its files tell it."""
    revision = seen.row.number if seen.row else 0
    return FileWeek(seen.who.name, seen.monday, zone, revision, tuple(_days(seen)), habit)


def _days(seen: WeekView) -> Iterator[FileDay]:
    names = {spot.key: spot.name for spot in seen.spots}
    for day in seen.wishes.days:
        if not seen.items(day.index):
            continue
        session = seen.session(day.index)
        yield FileDay(
            seen.monday + timedelta(days=day.index),
            day.at,
            names.get(day.place, ""),
            length(session).likely,
            session,
        )
