"""Reach and load over time, read off what was kept."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date
from typing import Any
from uuid import UUID

from sqlalchemy import func
from sqlmodel import Session, col, select

from invelo.core.estimate import Estimate
from invelo.core.trend import Point
from invelo.core.workload import AFTER_LAST_SET, SessionLoad
from invelo.store.tables import LoggedSet, Placement, Rung, TrainingSession


@dataclass(frozen=True)
class Reached:
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
    def point(self) -> Point:
        """For a trend."""
        return Point(self.day, self.capacity.likely)


def over_time(db: Session, ladder_id: UUID, since: date | None = None) -> tuple[Reached, ...]:
    """Capacity in the newest lane of a ladder, a day each, oldest first.

    A day on which nothing new told it is left out: an old figure told again is no evidence.
    """
    capacity = col(Placement.result)["capacity"]
    statement = (
        select(  # type: ignore[call-overload]
            Placement.local_date,
            capacity["likely"].as_float(),
            capacity["low"].as_float(),
            capacity["high"].as_float(),
            capacity["unit"].as_string(),
            col(Placement.inputs)["session"].as_string(),
            col(Placement.result)["told_on"].as_string(),
        )
        .where(Placement.ladder_id == ladder_id)
        .order_by(col(Placement.at), col(Placement.id))
    )
    if since is not None:
        statement = statement.where(Placement.local_date >= since)
    by_day: dict[date, tuple[Any, ...]] = {}
    for row in db.exec(statement):
        by_day[row[0]] = tuple(row)
    held = list(by_day.values())
    unit = held[-1][4] if held else ""
    rows = held[:1] + [one for one in held[1:] if one[6] is None or one[6] == one[0].isoformat()]
    return tuple(
        Reached(
            day, Estimate(likely, low, high, told), UUID(session) if session is not None else None
        )
        for day, likely, low, high, told, session, _ in rows
        if told == unit
    )


def loads(db: Session, athlete_ids: Iterable[UUID], since: date) -> dict[UUID, list[SessionLoad]]:
    """What each finished session since a day asked, by athlete. It lasts from its opening to a
    minute after its last set; without an effort of its own, the mean of the sets' stands in."""
    last = func.max(LoggedSet.at)
    statement = (
        select(  # type: ignore[call-overload]
            TrainingSession.athlete_id,
            TrainingSession.local_date,
            TrainingSession.effort,
            func.avg(LoggedSet.effort),
            func.extract("epoch", last - TrainingSession.at),
        )
        .join(LoggedSet, col(LoggedSet.session_id) == TrainingSession.id)
        .where(
            col(TrainingSession.athlete_id).in_(list(athlete_ids)),
            col(TrainingSession.finished_at).is_not(None),
            TrainingSession.local_date >= since,
        )
        .group_by(TrainingSession.id)
        .order_by(TrainingSession.local_date, TrainingSession.id)
    )
    found: dict[UUID, list[SessionLoad]] = {}
    for athlete, day, effort, of_sets, seconds in db.exec(statement):
        minutes = min(24 * 60.0, max(0.0, float(seconds) / 60.0) + AFTER_LAST_SET)
        one = SessionLoad(day, effort or float(of_sets), minutes, stood_in=effort is None)
        found.setdefault(athlete, []).append(one)
    return found


def training_days(db: Session, ladder_id: UUID, since: date) -> list[date]:
    """Days since one on which a ladder was trained, each once, in order."""
    statement = (
        select(col(TrainingSession.local_date))
        .join(LoggedSet, col(LoggedSet.session_id) == TrainingSession.id)
        .join(Rung, col(Rung.id) == LoggedSet.rung_id)
        .where(Rung.ladder_id == ladder_id, TrainingSession.local_date >= since)
        .distinct()
        .order_by(col(TrainingSession.local_date))
    )
    return list(db.exec(statement))
