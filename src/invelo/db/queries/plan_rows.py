"""Weeks, days as they were adapted, templates, the daily minimum, calendars."""

from collections.abc import Collection, Iterable, Sequence
from datetime import date
from uuid import UUID

from sqlalchemy import func
from sqlalchemy.dialects.postgresql import distinct_on
from sqlmodel import Session, col, select

from invelo.db.columns import among
from invelo.db.tables.plan import (
    AdaptedDayRow,
    CalendarFeedRow,
    DailyMinimumRow,
    DailyMinimumTickRow,
    SessionTemplateRow,
    WeekPlanRow,
)


def newest_week(db: Session, athlete_id: UUID, week_start: date) -> WeekPlanRow | None:
    """The revision of a week that stands."""
    statement = select(WeekPlanRow).where(
        WeekPlanRow.athlete_id == athlete_id, WeekPlanRow.week_start == week_start
    )
    return db.exec(statement.order_by(col(WeekPlanRow.number).desc()).limit(1)).first()


def newest_weeks(
    db: Session, athlete_ids: Iterable[UUID], week_starts: Collection[date]
) -> Sequence[WeekPlanRow]:
    """The standing revisions of some weeks of many athletes."""
    return db.exec(
        select(WeekPlanRow)
        .where(
            among(WeekPlanRow.athlete_id, athlete_ids), col(WeekPlanRow.week_start).in_(week_starts)
        )
        .ext(distinct_on(col(WeekPlanRow.athlete_id), col(WeekPlanRow.week_start)))
        .order_by(
            col(WeekPlanRow.athlete_id), col(WeekPlanRow.week_start), col(WeekPlanRow.number).desc()
        )
    ).all()


def weeks_since(db: Session, athlete_id: UUID, week_start: date) -> dict[date, WeekPlanRow]:
    """The standing revision of every planned week from one on."""
    rows = db.exec(
        select(WeekPlanRow)
        .where(WeekPlanRow.athlete_id == athlete_id, WeekPlanRow.week_start >= week_start)
        .order_by(col(WeekPlanRow.number))
    )
    return {row.week_start: row for row in rows}


def forget_week(db: Session, athlete_id: UUID, week_start: date, up_to: int) -> None:
    """Take away the oldest revisions of a week."""
    statement = select(WeekPlanRow).where(
        WeekPlanRow.athlete_id == athlete_id,
        WeekPlanRow.week_start == week_start,
        col(WeekPlanRow.number) <= up_to,
    )
    for row in db.exec(statement):
        db.delete(row)


def newest_adapted(
    db: Session, athlete_id: UUID, day: date, besides: Collection[UUID] = ()
) -> AdaptedDayRow | None:
    """A day as it was adapted last, leaving some adaptations out."""
    statement = select(AdaptedDayRow).where(
        AdaptedDayRow.athlete_id == athlete_id,
        AdaptedDayRow.day == day,
        col(AdaptedDayRow.id).not_in(besides),
    )
    return db.exec(statement.order_by(col(AdaptedDayRow.at).desc(), col(AdaptedDayRow.id))).first()


def forget_adapted(
    db: Session, athlete_id: UUID, day: date, only: Collection[UUID] | None = None
) -> None:
    """Take away a day's adaptations, or some of them."""
    statement = select(AdaptedDayRow).where(
        AdaptedDayRow.athlete_id == athlete_id, AdaptedDayRow.day == day
    )
    if only is not None:
        statement = statement.where(col(AdaptedDayRow.id).in_(only))
    for row in db.exec(statement):
        db.delete(row)
    db.flush()


def templates(db: Session, account_id: UUID) -> list[SessionTemplateRow]:
    """A coach's own sessions, by name."""
    statement = select(SessionTemplateRow).where(SessionTemplateRow.account_id == account_id)
    return list(db.exec(statement.order_by(col(SessionTemplateRow.name))))


def running_minimum(db: Session, athlete_id: UUID) -> DailyMinimumRow | None:
    """The daily minimum that runs, if one does."""
    return db.exec(
        select(DailyMinimumRow).where(
            DailyMinimumRow.athlete_id == athlete_id, col(DailyMinimumRow.ended_on).is_(None)
        )
    ).first()


def ended_minimums(db: Session, athlete_id: UUID) -> tuple[DailyMinimumRow, ...]:
    """Daily minimums that have ended, the newest first."""
    statement = select(DailyMinimumRow).where(
        DailyMinimumRow.athlete_id == athlete_id, col(DailyMinimumRow.ended_on).is_not(None)
    )
    order = (col(DailyMinimumRow.begun_on).desc(), col(DailyMinimumRow.id))
    return tuple(db.exec(statement.order_by(*order)))


def ticks(db: Session, daily_minimum_id: UUID) -> Sequence[DailyMinimumTickRow]:
    """Every tick and trial of a daily minimum."""
    return db.exec(
        select(DailyMinimumTickRow).where(DailyMinimumTickRow.daily_minimum_id == daily_minimum_id)
    ).all()


def tick_of_day(db: Session, daily_minimum_id: UUID, day: date) -> DailyMinimumTickRow | None:
    """The tick of a day, which is no trial."""
    return db.exec(
        select(DailyMinimumTickRow).where(
            DailyMinimumTickRow.daily_minimum_id == daily_minimum_id,
            DailyMinimumTickRow.local_date == day,
            col(DailyMinimumTickRow.trial).is_(False),
        )
    ).first()


def days_ticked(db: Session, athlete_id: UUID, since: date, before: date) -> int:
    """On how many days of a span the daily minimum was ticked off."""
    statement = (
        select(func.count(func.distinct(DailyMinimumTickRow.local_date)))
        .join(DailyMinimumRow, col(DailyMinimumRow.id) == DailyMinimumTickRow.daily_minimum_id)
        .where(
            DailyMinimumRow.athlete_id == athlete_id,
            col(DailyMinimumTickRow.trial).is_(False),
            DailyMinimumTickRow.local_date >= since,
            DailyMinimumTickRow.local_date < before,
        )
    )
    return int(db.exec(statement).one())


def calendar_feed(db: Session, athlete_id: UUID) -> CalendarFeedRow | None:
    """The calendar's address that works, if one does."""
    statement = select(CalendarFeedRow).where(
        CalendarFeedRow.athlete_id == athlete_id, col(CalendarFeedRow.revoked_at).is_(None)
    )
    return db.exec(statement).first()
