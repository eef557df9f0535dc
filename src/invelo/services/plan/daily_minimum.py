"""The daily minimum: one that runs, its ticks, its changes."""

from dataclasses import dataclass
from datetime import date
from uuid import UUID

from sqlmodel import Session

from invelo.db.codec import set_up_columns
from invelo.db.columns import dated
from invelo.db.errors import ConflictError, MissingError
from invelo.db.moment import Moment
from invelo.db.queries import plan_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.plan import DailyMinimumRow, DailyMinimumTickRow
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError
from invelo.domain.plan.daily_minimum import DailyMinimum, DailyMinimumStatus, standing
from invelo.services.athlete import guard


@dataclass(frozen=True)
class DailyMinimumView:
    """A daily minimum as it stands, and those before it."""

    row: DailyMinimumRow
    ticks: tuple[date, ...]
    standing: DailyMinimumStatus
    before: tuple[DailyMinimumRow, ...]


def view(db: Session, athlete_id: UUID, today: date) -> DailyMinimumView | None:
    """How it goes."""
    row = plan_rows.running_minimum(db, athlete_id)
    if row is None:
        return None
    ticks = plan_rows.ticks(db, row.id)
    days = tuple(sorted(tick.local_date for tick in ticks if not tick.trial))
    tries = sum(tick.trial for tick in ticks)
    ended = plan_rows.ended_minimums(db, athlete_id)
    return DailyMinimumView(row, days, standing(row.begun_on, days, tries, today), ended)


def begin(
    db: Session,
    athlete: AthleteRow,
    daily_minimum_id: UUID,
    prescription: DailyMinimum,
    why: str,
    moment: Moment,
) -> DailyMinimumRow:
    """Begin one, in place of the one that runs. A replay changes nothing.

    Raises:
        ConflictError: if something closes the movement, or the id is another's.
    """
    kept = db.get(DailyMinimumRow, daily_minimum_id)
    if kept is not None:
        if kept.athlete_id == athlete.id:
            return kept
        raise ConflictError("id", "it is in use.", "Make a new id for each daily minimum.")
    given = prescription.movement
    guard.allow(db, athlete.id, [(given, given.own(Modifiers()))], moment.local_date)
    before = plan_rows.running_minimum(db, athlete.id)
    if before is not None:
        _end(db, before, why or "changed", moment.local_date)
    row = DailyMinimumRow(
        id=daily_minimum_id,
        athlete_id=athlete.id,
        **set_up_columns(prescription.movement.id, prescription.movement.own(Modifiers())),
        moment=prescription.moment.strip(),
        at=prescription.at,
        time_zone=moment.time_zone,
        amount=prescription.amount,
        unit=prescription.movement.unit,
        begun_on=moment.local_date,
    )
    db.add(row)
    db.flush()
    return row


def _end(db: Session, row: DailyMinimumRow, why: str, day: date) -> None:
    row.ended_on = day
    row.ended_why = why
    db.add(row)
    db.flush()


def end(db: Session, athlete_id: UUID, why: str, day: date) -> None:
    """End the one that runs.

    Raises:
        MissingError: if none does.
    """
    row = plan_rows.running_minimum(db, athlete_id)
    if row is None:
        raise MissingError("daily minimum")
    _end(db, row, why, day)


def tick(
    db: Session, athlete_id: UUID, tick_id: UUID, amount: int | None, trial: bool, moment: Moment
) -> DailyMinimumTickRow:
    """Tick the day off, or try it out. A replay changes nothing, and a day has one tick.

    Raises:
        MissingError: if no daily minimum runs.
        InputError: for a trial after the first day.
        ConflictError: if the id is another's.
    """
    row = plan_rows.running_minimum(db, athlete_id)
    if row is None:
        raise MissingError("daily minimum")
    kept = db.get(DailyMinimumTickRow, tick_id)
    if kept is not None:
        if kept.daily_minimum_id == row.id:
            return kept
        raise ConflictError("id", "it is in use.", "Make a new id for each tick.")
    if trial and moment.local_date != row.begun_on:
        raise InputError("trial", "it is tried out on its first day.", "Tick the day off instead.")
    there = plan_rows.tick_of_day(db, row.id, moment.local_date)
    if there is not None and not trial:
        return there
    made = DailyMinimumTickRow(
        id=tick_id,
        daily_minimum_id=row.id,
        amount=amount or row.amount,
        trial=trial,
        **dated(moment),
    )
    db.add(made)
    db.flush()
    return made
