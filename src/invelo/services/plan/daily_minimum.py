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
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError
from invelo.domain.plan.daily_minimum import (
    MOST_RUNNING,
    DailyMinimum,
    DailyMinimumStatus,
    hard,
    standing,
)
from invelo.services.athlete import guard


@dataclass(frozen=True)
class DailyMinimumView:
    """A daily minimum as it stands, and those before it."""

    row: DailyMinimumRow
    ticks: tuple[date, ...]
    standing: DailyMinimumStatus
    before: tuple[DailyMinimumRow, ...]


def views(db: Session, athlete_id: UUID, today: date) -> tuple[DailyMinimumView, ...]:
    """How those that run go, by the time of day."""
    ended = plan_rows.ended_minimums(db, athlete_id)
    return tuple(_view(db, row, ended, today) for row in plan_rows.running_minimums(db, athlete_id))


def _view(
    db: Session, row: DailyMinimumRow, ended: tuple[DailyMinimumRow, ...], today: date
) -> DailyMinimumView:
    ticks = plan_rows.ticks(db, row.id)
    days = tuple(sorted(tick.local_date for tick in ticks if not tick.trial))
    tries = sum(tick.trial for tick in ticks)
    goes = standing(row.begun_on, days, tries, today, row.cheer)
    return DailyMinimumView(row, days, goes, ended)


def begin(
    db: Session,
    athlete: AthleteRow,
    daily_minimum_id: UUID,
    prescription: DailyMinimum,
    why: str,
    moment: Moment,
    beside: bool = False,
    instead_of: UUID | None = None,
) -> DailyMinimumRow:
    """Begin one, in place of those that run, of one of them, or beside them. A replay changes
    nothing.

    Raises:
        InputError: for more of them than a day bears.
        MissingError: if the one it takes the place of does not run.
        ConflictError: if something closes the movement, or the id is another's.
    """
    kept = db.get(DailyMinimumRow, daily_minimum_id)
    if kept is not None:
        if kept.athlete_id == athlete.id:
            return kept
        raise ConflictError("id", "it is in use.", "Make a new id for each daily minimum.")
    given = prescription.movement
    guard.allow(db, athlete.id, [(given, given.own(Modifiers()))], moment.local_date)
    running = plan_rows.running_minimums(db, athlete.id)
    gone = () if beside else running
    if instead_of is not None:
        gone = (_running(running, instead_of),)
    if len(running) - len(gone) >= MOST_RUNNING:
        raise InputError(
            "daily minimum", f"{MOST_RUNNING} run already.", "Change one, or end one first."
        )
    for row in gone:
        _end(db, row, why or "changed", moment.local_date)
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
        cheer=prescription.cheer.strip(),
        in_sight=prescription.in_sight.strip(),
    )
    db.add(row)
    db.flush()
    return row


def _end(db: Session, row: DailyMinimumRow, why: str, day: date) -> None:
    row.ended_on = day
    row.ended_why = why
    db.add(row)
    db.flush()


def choices(db: Session, athlete: AthleteRow, today: date) -> tuple[Movement, ...]:
    """Movements that may be a daily minimum: easy enough for no warm-up, and open to them."""
    open_to = guard.of_athlete(db, athlete.id, today)
    easy = (
        movement
        for movement in catalogue().movement
        if movement.unit != "cm" and not movement.kit and not hard(movement)
    )
    return tuple(
        movement for movement in easy if open_to.closed(movement, movement.own(Modifiers())) is None
    )


def _running(rows: tuple[DailyMinimumRow, ...], daily_minimum_id: UUID | None) -> DailyMinimumRow:
    """One of those that run, the first if none is named.

    Raises:
        MissingError: if it does not.
    """
    for row in rows:
        if daily_minimum_id in (None, row.id):
            return row
    raise MissingError("daily minimum")


def end(
    db: Session, athlete_id: UUID, why: str, day: date, daily_minimum_id: UUID | None = None
) -> None:
    """End one that runs, the first if none is named.

    Raises:
        MissingError: if none does.
    """
    rows = plan_rows.running_minimums(db, athlete_id)
    _end(db, _running(rows, daily_minimum_id), why, day)


def tick(
    db: Session,
    athlete_id: UUID,
    tick_id: UUID,
    amount: int | None,
    trial: bool,
    moment: Moment,
    daily_minimum_id: UUID | None = None,
) -> DailyMinimumTickRow:
    """Tick the day off, or try it out. A replay changes nothing, and a day has one tick.

    Raises:
        MissingError: if no daily minimum runs.
        InputError: for a trial after the first day.
        ConflictError: if the id is another's.
    """
    row = _running(plan_rows.running_minimums(db, athlete_id), daily_minimum_id)
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
