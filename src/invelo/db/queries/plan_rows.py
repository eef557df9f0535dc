"""Weeks, days as they were adapted, templates, the daily minimum, calendars."""

from collections.abc import Collection, Iterable, Sequence
from datetime import date, datetime
from uuid import UUID

from sqlalchemy import func
from sqlalchemy.dialects.postgresql import distinct_on
from sqlmodel import Session, col, delete, select

from invelo.db.columns import among
from invelo.db.tables.plan import (
    UNDER_WAY,
    AdaptedDayRow,
    CalendarFeedRow,
    DailyMinimumRow,
    DailyMinimumTickRow,
    SessionTemplateRow,
    WeekPlanningRow,
    WeekPlanRow,
)


def newest_week(db: Session, athlete_id: UUID, week_start: date) -> WeekPlanRow | None:
    """The revision of a week that stands."""
    statement = select(WeekPlanRow).where(
        WeekPlanRow.athlete_id == athlete_id,
        WeekPlanRow.week_start == week_start,
        col(WeekPlanRow.undone_at).is_(None),
    )
    return db.exec(statement.order_by(col(WeekPlanRow.number).desc()).limit(1)).first()


def last_number(db: Session, athlete_id: UUID, week_start: date) -> int:
    """The greatest number a revision of a week has had, undone or not; 0 for none."""
    statement = select(func.max(WeekPlanRow.number)).where(
        WeekPlanRow.athlete_id == athlete_id, WeekPlanRow.week_start == week_start
    )
    return db.exec(statement).one() or 0


def newest_weeks(
    db: Session, athlete_ids: Iterable[UUID], week_starts: Collection[date]
) -> Sequence[WeekPlanRow]:
    """The standing revisions of some weeks of many athletes."""
    return db.exec(
        select(WeekPlanRow)
        .where(
            among(WeekPlanRow.athlete_id, athlete_ids),
            col(WeekPlanRow.week_start).in_(week_starts),
            col(WeekPlanRow.undone_at).is_(None),
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
        .where(
            WeekPlanRow.athlete_id == athlete_id,
            WeekPlanRow.week_start >= week_start,
            col(WeekPlanRow.undone_at).is_(None),
        )
        .order_by(col(WeekPlanRow.number))
    )
    return {row.week_start: row for row in rows}


def planning_under_way(
    db: Session, athlete_id: UUID, week_start: date, lock: bool = False
) -> WeekPlanningRow | None:
    """The planning of a week that still changes, if one does."""
    statement = select(WeekPlanningRow).where(
        WeekPlanningRow.athlete_id == athlete_id,
        WeekPlanningRow.week_start == week_start,
        col(WeekPlanningRow.state).in_(UNDER_WAY),
    )
    return db.exec(statement.with_for_update() if lock else statement).first()


def plannings_untouched_since(db: Session, moment: datetime) -> Sequence[WeekPlanningRow]:
    """Plannings under way that have not changed since a moment."""
    return db.exec(
        select(WeekPlanningRow).where(
            col(WeekPlanningRow.state).in_(UNDER_WAY), col(WeekPlanningRow.changed_at) < moment
        )
    ).all()


def locked_planning(db: Session, planning_id: UUID) -> WeekPlanningRow | None:
    """A planning, held until this transaction ends."""
    statement = select(WeekPlanningRow).where(WeekPlanningRow.id == planning_id)
    return db.exec(statement.with_for_update()).first()


def forget_plannings_before(db: Session, moment: datetime) -> None:
    """Take away the plannings that ended long ago."""
    statement = delete(WeekPlanningRow).where(
        col(WeekPlanningRow.changed_at) < moment, col(WeekPlanningRow.state).not_in(UNDER_WAY)
    )
    db.exec(statement)


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


def running_minimums(db: Session, athlete_id: UUID) -> tuple[DailyMinimumRow, ...]:
    """The daily minimums that run, by the time of day."""
    statement = select(DailyMinimumRow).where(
        DailyMinimumRow.athlete_id == athlete_id, col(DailyMinimumRow.ended_on).is_(None)
    )
    order = (DailyMinimumRow.at, col(DailyMinimumRow.id))
    return tuple(db.exec(statement.order_by(*order)))


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
