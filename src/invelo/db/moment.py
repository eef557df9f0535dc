"""An instant with the place it happened at."""

from dataclasses import dataclass
from datetime import date, datetime
from functools import cache
from zoneinfo import ZoneInfo, available_timezones

from invelo.domain.errors import InputError

FIRST_YEAR, LAST_YEAR = 1970, 2200
"""Between which something may have happened; past them calendars cannot be reckoned with."""


@dataclass(frozen=True)
class Moment:
    """An instant and the zone of whoever lived it, so that its calendar day is known for good.

    Attributes:
        at: the instant, with its offset.
        time_zone: IANA name, such as "Europe/Lisbon".
    """

    at: datetime
    time_zone: str

    def __post_init__(self) -> None:
        """Refuse a naive time and a zone nobody knows."""
        if self.at.tzinfo is None:
            raise InputError("time", "it has no offset from UTC.", "End it in Z or +01:00.")
        if not FIRST_YEAR <= self.at.year <= LAST_YEAR:
            raise InputError("at", f"the year {self.at.year} is none of ours.", "Give the day's.")
        require_zone(self.time_zone)

    @property
    def local_date(self) -> date:
        """The calendar day there and then."""
        return self.at.astimezone(ZoneInfo(self.time_zone)).date()


@cache
def _zones() -> frozenset[str]:
    return frozenset(available_timezones())


def require_zone(name: str) -> None:
    """Raise `InputError` unless `name` is an IANA time zone."""
    if name not in _zones():
        raise InputError(
            "time zone", f"“{name}” is not known.", "Give an IANA name such as Europe/Lisbon."
        )
