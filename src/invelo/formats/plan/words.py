"""A week as its files tell it: what Markdown, print and calendar share."""

from dataclasses import dataclass, replace
from datetime import date

from invelo.domain.plan.daily_minimum import RunningDailyMinimum
from invelo.domain.plan.session.work import Session


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
        week_start: its first day.
        time_zone: IANA name in which its times are told.
        revision: of the plan.
        days: with something on them.
        daily: the daily minimums that run.
    """

    who: str
    week_start: date
    time_zone: str
    revision: int
    days: tuple[FileDay, ...]
    daily: tuple[RunningDailyMinimum, ...]
