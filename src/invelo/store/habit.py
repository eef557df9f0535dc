"""The smallest daily dose: one that runs, its ticks, its changes."""

from dataclasses import dataclass
from datetime import date
from uuid import UUID

from sqlmodel import Session, col, select

from invelo.core.errors import InputError
from invelo.core.habit import DailyDose, Standing, standing
from invelo.core.movement import Modifiers
from invelo.store import guard
from invelo.store.columns import dated
from invelo.store.errors import ConflictError, MissingError
from invelo.store.moment import Moment
from invelo.store.plan_tables import Habit, HabitTick
from invelo.store.rows import set_up_columns
from invelo.store.tables import Athlete


@dataclass(frozen=True)
class HabitView:
    """A daily dose as it stands, and those before it."""

    row: Habit
    ticks: tuple[date, ...]
    standing: Standing
    before: tuple[Habit, ...]


def running(db: Session, athlete_id: UUID) -> Habit | None:
    """The one that runs, if one does."""
    return db.exec(
        select(Habit).where(Habit.athlete_id == athlete_id, col(Habit.ended_on).is_(None))
    ).first()


def view(db: Session, athlete_id: UUID, today: date) -> HabitView | None:
    """How it goes."""
    row = running(db, athlete_id)
    if row is None:
        return None
    ticks = list(db.exec(select(HabitTick).where(HabitTick.habit_id == row.id)))
    days = tuple(sorted(one.local_date for one in ticks if not one.trial))
    tries = sum(one.trial for one in ticks)
    before = select(Habit).where(Habit.athlete_id == athlete_id, col(Habit.ended_on).is_not(None))
    ended = tuple(db.exec(before.order_by(col(Habit.begun_on).desc(), col(Habit.id))))
    return HabitView(row, days, standing(row.begun_on, days, tries, today), ended)


def begin(
    db: Session, athlete: Athlete, habit_id: UUID, dose: DailyDose, why: str, moment: Moment
) -> Habit:
    """Begin one, in place of the one that runs. A replay changes nothing.

    Raises:
        ConflictError: if something closes the movement, or the id is another's.
    """
    kept = db.get(Habit, habit_id)
    if kept is not None:
        if kept.athlete_id == athlete.id:
            return kept
        raise ConflictError("id", "it is in use.", "Make a new id for each daily dose.")
    guard.allow(db, athlete.id, [dose.movement.id], moment.local_date)
    before = running(db, athlete.id)
    if before is not None:
        _end(db, before, why or "changed", moment.local_date)
    row = Habit(
        id=habit_id,
        athlete_id=athlete.id,
        **set_up_columns(dose.movement.id, dose.movement.own(Modifiers())),
        moment=dose.moment.strip(),
        at=dose.at,
        zone=moment.zone,
        amount=dose.amount,
        unit=dose.movement.unit,
        begun_on=moment.local_date,
    )
    db.add(row)
    db.flush()
    return row


def _end(db: Session, row: Habit, why: str, day: date) -> None:
    row.ended_on = day
    row.ended_why = why
    db.add(row)
    db.flush()


def end(db: Session, athlete_id: UUID, why: str, day: date) -> None:
    """End the one that runs.

    Raises:
        MissingError: if none does.
    """
    row = running(db, athlete_id)
    if row is None:
        raise MissingError("daily dose")
    _end(db, row, why, day)


def tick(
    db: Session, athlete_id: UUID, tick_id: UUID, amount: int | None, trial: bool, moment: Moment
) -> HabitTick:
    """Tick the day off, or try it out. A replay changes nothing, and a day has one tick.

    Raises:
        MissingError: if no daily dose runs.
        InputError: for a trial after the first day.
        ConflictError: if the id is another's.
    """
    row = running(db, athlete_id)
    if row is None:
        raise MissingError("daily dose")
    kept = db.get(HabitTick, tick_id)
    if kept is not None:
        if kept.habit_id == row.id:
            return kept
        raise ConflictError("id", "it is in use.", "Make a new id for each tick.")
    if trial and moment.local_date != row.begun_on:
        raise InputError("trial", "it is tried out on its first day.", "Tick the day off instead.")
    there = db.exec(
        select(HabitTick).where(
            HabitTick.habit_id == row.id,
            HabitTick.local_date == moment.local_date,
            col(HabitTick.trial).is_(False),
        )
    ).first()
    if there is not None and not trial:
        return there
    made = HabitTick(
        id=tick_id, habit_id=row.id, amount=amount or row.amount, trial=trial, **dated(moment)
    )
    db.add(made)
    db.flush()
    return made
