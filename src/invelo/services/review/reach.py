"""Reach and load over time, read off what was kept."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date, timedelta
from uuid import UUID

import numpy as np
from sqlmodel import Session

from invelo.db.queries import ladder_rows, training_rows
from invelo.domain.estimate import Estimate
from invelo.domain.review.trend import TrendPoint
from invelo.domain.review.workload import (
    SessionLoad,
    daily_loads,
    load_of,
    minutes_of,
    newest_ratios,
)


@dataclass(frozen=True)
class CapacityOnDay:
    """Capacity as it was told on a day.

    Attributes:
        day: local.
        capacity: kg or N·m, with its range.
        session: id of the session that told it, None for a test or a move.
    """

    day: date
    capacity: Estimate
    session: UUID | None

    @property
    def point(self) -> TrendPoint:
        """For a trend."""
        return TrendPoint(self.day, self.capacity.likely)


def over_time(db: Session, ladder_id: UUID, since: date | None = None) -> tuple[CapacityOnDay, ...]:
    """Capacity in the newest lane of a ladder, a day each, oldest first.

    A day on which nothing new told it is left out: an old figure told again is no evidence.
    """
    by_day = {row.local_date: row for row in ladder_rows.capacities(db, ladder_id, since)}
    held = list(by_day.values())
    rows = held[:1] + [one for one in held[1:] if one.told_on in (None, one.local_date)]
    return tuple(
        CapacityOnDay(
            row.local_date,
            Estimate(row.likely, row.low, row.high, row.unit),
            UUID(row[-1]) if row[-1] is not None else None,
        )
        for row in rows
        if row.unit == held[-1].unit
    )


def loads(db: Session, athlete_id: UUID, since: date) -> list[SessionLoad]:
    """What each finished session since a day asked. It lasts from its opening to a minute after
    its last set; without an effort of its own, the mean of the sets' stands in."""
    return [
        SessionLoad(
            row.local_date,
            row.rpe or row.mean_set_rpe or 0.0,
            float(minutes_of(row.duration_s or 0.0)),
            stood_in=row.rpe is None,
        )
        for row in training_rows.rated_since(db, athlete_id, since)
    ]


def ratios(db: Session, todays: Mapping[UUID, date], back: timedelta) -> dict[UUID, float | None]:
    """Acute : chronic load of many athletes, each as of their own today; None where not told.

    Args:
        db: one transaction.
        todays: the date there, by athlete.
        back: how far loads are read.
    """
    since = min(todays.values(), default=date.max) - back
    return newest_ratios(
        {
            athlete: daily_loads(
                np.array(days),
                load_of(np.array(rpes), minutes_of(np.array(lasted))),
                (todays[athlete] - since).days + 1,
            )
            for athlete, days, rpes, lasted in training_rows.rated_of_many(db, todays, since)
        }
    )
