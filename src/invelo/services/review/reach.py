"""Reach and load over time, read off what was kept."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date, timedelta
from uuid import UUID

import numpy as np
from sqlmodel import Session

from invelo.db import ladder_graph
from invelo.db.codec import body_of
from invelo.db.queries import athlete_rows, ladder_rows, training_rows
from invelo.db.tables.ladder import LadderRow
from invelo.domain import MODEL_VERSION
from invelo.domain.estimate import Estimate
from invelo.domain.review.trend import TrendPoint
from invelo.domain.review.workload import (
    SessionLoad,
    daily_loads,
    load_of,
    minutes_of,
    newest_ratios,
)
from invelo.domain.strength.capacity import groups_of, pool
from invelo.services.athlete import capacity, states


@dataclass(frozen=True)
class CapacityOnDay:
    """Capacity as it was told on a day.

    Attributes:
        day: local.
        capacity: kg, N·m or %, with its range, by today's model.
        session: id of the session that told it, None for a test or a move.
        stored: as it was computed then, where that was by another model; None where it was not.
        model_version: of the model then.
    """

    day: date
    capacity: Estimate
    session: UUID | None
    stored: Estimate | None = None
    model_version: str = MODEL_VERSION

    @property
    def point(self) -> TrendPoint:
        """For a trend."""
        return TrendPoint(self.day, self.capacity.likely)


def over_time(db: Session, row: LadderRow, since: date | None = None) -> tuple[CapacityOnDay, ...]:
    """Capacity in the newest lane of a ladder, a day each, oldest first.

    A day on which nothing new told it is left out: an old figure told again is no evidence. What
    another model computed then stays with its day, and beside it stands what today's makes of the
    same sets and tests; a day of which nothing is left to compute from is left out.
    """
    by_day = {kept.local_date: kept for kept in ladder_rows.capacities(db, row.id, since)}
    shown = list(by_day.values())
    days = shown[:1] + [
        shown_day for shown_day in shown[1:] if shown_day.told_on in (None, shown_day.local_date)
    ]
    anew = _anew(
        db,
        row,
        {shown_day.local_date for shown_day in days if shown_day.model_version != MODEL_VERSION},
    )
    points = []
    for shown_day in days:
        stored = Estimate(shown_day.likely, shown_day.low, shown_day.high, shown_day.unit)
        session = UUID(shown_day[-1]) if shown_day[-1] is not None else None
        if shown_day.model_version == MODEL_VERSION:
            points.append(CapacityOnDay(shown_day.local_date, stored, session))
        elif shown_day.local_date in anew:
            now = anew[shown_day.local_date]
            points.append(
                CapacityOnDay(shown_day.local_date, now, session, stored, shown_day.model_version)
            )
    return tuple(
        shown_day for shown_day in points if shown_day.capacity.unit == points[-1].capacity.unit
    )


def _anew(db: Session, row: LadderRow, days: set[date]) -> dict[date, Estimate]:
    """Capacity on some days as today's model tells it of the sets and tests kept by then."""
    if not days:
        return {}
    rungs = ladder_graph.rungs_of(db, row.id)
    kept = capacity.of_rungs(db, row.athlete_id, rungs)
    body = body_of(athlete_rows.measurements(db, row.athlete_id)[-1])
    by_day = {}
    for day in days:
        until_then = tuple(evidence for evidence in kept if evidence.day <= day)
        states_then = states.from_logs(db, row.athlete_id, groups_of(until_then), day)
        lanes = groups_of(capacity.as_known(until_then, states_then, body))
        newest = max(
            lanes.values(), key=lambda those: max(evidence.day for evidence in those), default=()
        )
        if newest:
            by_day[day] = pool(newest).greatest
    return by_day


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
