"""The squad: athletes, their measures, and a line on each that says who needs the coach."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from datetime import date, datetime, timedelta
from typing import Any
from uuid import UUID
from zoneinfo import ZoneInfo

from sqlalchemy import text
from sqlalchemy.dialects.postgresql import distinct_on
from sqlalchemy.orm import aliased
from sqlmodel import Session, col, select

from invelo.core.body import Body
from invelo.core.squad import Condition, Mark, marks, urgency
from invelo.core.week.wishes import monday_of
from invelo.core.workload import LONG_DAYS, workload
from invelo.store import access, logs, reach
from invelo.store.columns import dated
from invelo.store.errors import ConflictError
from invelo.store.moment import Moment
from invelo.store.plan_tables import WeekPlan
from invelo.store.review_tables import Decision
from invelo.store.tables import (
    Account,
    Athlete,
    AthleteAccess,
    Ladder,
    Measure,
    Placement,
    Rung,
    TrainingSession,
)

RATIO_BACK = timedelta(days=4 * LONG_DAYS)
"""As far as loads are read for a ratio: what lies before weighs nothing any more."""


@dataclass(frozen=True)
class Waiting:
    """A decision that waits for a word, with the names it takes to read it."""

    row: Decision
    goal: str
    from_name: str
    to_name: str


@dataclass(frozen=True)
class SquadLine:
    """One athlete in the list; what hangs on a ladder is None before they have one. `today` is how
    many things are planned for today, None where the week was not planned."""

    athlete: Athlete
    ladder: Ladder | None
    standing: Rung | None
    expected: tuple[float, float, float] | None
    last: TrainingSession | None
    today: int | None
    waiting: tuple[Waiting, ...]
    marks: tuple[Mark, ...]


@dataclass(frozen=True)
class Person:
    """Someone to coach: kg and m."""

    id: UUID
    name: str
    mass: float
    stature: float
    note: str = ""


def enrol(db: Session, coach: Account, person: Person, moment: Moment) -> Athlete:
    """Add an athlete with a first measure; the coach owns the record. A replay changes nothing.

    Raises:
        InputError: for a mass or a stature out of range.
        ConflictError: if the id names someone else.
    """
    Body(person.mass, person.stature)
    kept = db.get(Athlete, person.id)
    if kept is not None:
        if kept.name == person.name.strip() and kept in access.athletes(db, coach.id):
            return kept
        raise ConflictError("id", "it names someone else.", "Make a new id for each athlete.")
    athlete = Athlete(
        id=person.id,
        name=person.name.strip(),
        time_zone=moment.zone,
        note=person.note.strip(),
        consent_on=moment.local_date,
        created_at=moment.at,
    )
    db.add(athlete)
    db.flush()
    db.add(AthleteAccess(account_id=coach.id, athlete_id=athlete.id, role="owner"))
    measure(db, athlete, person.mass, person.stature, moment)
    return athlete


def measure(
    db: Session,
    athlete: Athlete,
    mass: float,
    stature: float,
    moment: Moment,
    lengths: Mapping[str, float] | None = None,
) -> Measure:
    """Keep a body mass, a stature and whatever limb lengths (m) were measured.

    Raises:
        InputError: for a value no human has.
    """
    known = dict(lengths or {})
    Body(mass, stature, lengths=tuple(sorted(known.items())))
    row = Measure(
        athlete_id=athlete.id,
        **dated(moment),
        mass_kg=mass,
        stature_m=stature,
        lengths=known,
    )
    db.add(row)
    db.flush()
    return row


def erase(db: Session, athlete: Athlete) -> None:
    """Erase a person: every row about them, logs included. There is no way back."""
    db.exec(text("SET LOCAL invelo.erasing = 'yes'"))  # type: ignore[call-overload]
    db.delete(athlete)
    db.flush()


def lines(db: Session, account_id: UUID, now: datetime) -> list[SquadLine]:
    """The squad, whoever needs the coach first on top (see `invelo.core.squad.ORDER`)."""
    people = access.athletes(db, account_id)
    ladders = db.exec(
        select(Ladder)
        .where(col(Ladder.athlete_id).in_([a.id for a in people]))
        .order_by(col(Ladder.created_at).desc(), col(Ladder.id))
    ).all()
    first = {ladder.athlete_id: ladder for ladder in ladders}
    ids = [ladder.id for ladder in first.values()]
    standing = _by(
        "ladder_id",
        db.exec(
            select(Rung)
            .join(Ladder, col(Ladder.standing_id) == Rung.id)
            .where(col(Ladder.id).in_(ids))
        ),
    )
    placed = _newest(db, Placement, ids)
    waiting = _waiting(db, [ladder.id for ladder in ladders])
    stopped = {one.athlete_id: one.stopped for one in ladders if one.stopped}
    ratios = _ratios(db, people, now)
    planned = _planned(db, people, now)
    last = logs.newest_of(db, [one.id for one in people])
    sets = logs.standing_sets(db, [session.id for session in last.values()])
    found: list[SquadLine] = []
    for athlete in people:
        ladder = first.get(athlete.id)
        key = ladder.id if ladder else None
        session = last.get(athlete.id)
        worst = max(sets[session.id], key=lambda s: s.pain, default=None) if session else None
        condition = Condition(
            stopped=stopped.get(athlete.id, ""),
            pain=worst.pain if worst else 0,
            pain_place=worst.pain_place if worst else "",
            waiting=tuple(
                one.row.outcome
                for one in waiting.get(athlete.id, ())
                if one.row.outcome != "hold"  # to go on as it is wants no word
            ),
            last=session.local_date if session else None,
            ratio=ratios.get(athlete.id),
        )
        rung = standing.get(key)
        told = placed.get(key)
        expected = told.result["predictions"].get(str(rung.id)) if told and rung else None
        found.append(
            SquadLine(
                athlete,
                ladder,
                rung,
                expected,
                session,
                planned.get(athlete.id),
                waiting.get(athlete.id, ()),
                marks(condition, _today(athlete, now)),
            )
        )
    return sorted(found, key=lambda line: (*urgency(line.marks), line.athlete.name))


def _today(athlete: Athlete, now: datetime) -> date:
    return now.astimezone(ZoneInfo(athlete.time_zone)).date()


def _waiting(db: Session, ladder_ids: list[UUID]) -> dict[UUID, tuple[Waiting, ...]]:
    """Decisions that wait, by athlete, the newest ladder's first."""
    to = aliased(Rung)
    statement = (
        select(Decision, Ladder.athlete_id, Ladder.goal, Rung.name, to.name)  # type: ignore[call-overload]
        .join(Ladder, col(Ladder.id) == Decision.ladder_id)
        .join(Rung, col(Rung.id) == Decision.from_rung_id)
        .join(to, to.id == Decision.to_rung_id)
        .where(col(Decision.ladder_id).in_(ladder_ids), col(Decision.answer).is_(None))
        .order_by(col(Ladder.created_at).desc(), col(Ladder.id))
    )
    found: dict[UUID, tuple[Waiting, ...]] = {}
    for row, athlete_id, goal, before, after in db.exec(statement):
        one = Waiting(row, goal, before, after)
        found[athlete_id] = (*found.get(athlete_id, ()), one)
    return found


def _ratios(db: Session, people: list[Athlete], now: datetime) -> dict[UUID, float | None]:
    """Short over long load of each athlete, as of today."""
    since = now.date() - RATIO_BACK
    kept = reach.loads(db, [one.id for one in people], since)
    by_id = {one.id: one for one in people}
    found: dict[UUID, float | None] = {}
    for athlete_id, loads in kept.items():
        today = _today(by_id[athlete_id], now)
        held = [one for one in loads if one.day <= today]
        found[athlete_id] = workload(held, today).on(today)[0] if held else None
    return found


def _planned(db: Session, people: list[Athlete], now: datetime) -> dict[UUID, int]:
    """How many things are planned for today, for those whose week was planned."""
    mondays = {one.id: monday_of(_today(one, now)) for one in people}
    statement = (
        select(WeekPlan)
        .where(
            col(WeekPlan.athlete_id).in_(mondays), col(WeekPlan.monday).in_(set(mondays.values()))
        )
        .ext(distinct_on(col(WeekPlan.athlete_id), col(WeekPlan.monday)))
        .order_by(col(WeekPlan.athlete_id), col(WeekPlan.monday), col(WeekPlan.number).desc())
    )
    by_id = {one.id: one for one in people}
    return {
        row.athlete_id: sum(
            1 for _, day in row.placed if day == _today(by_id[row.athlete_id], now).weekday()
        )
        for row in db.exec(statement)
        if row.monday == mondays[row.athlete_id]
    }


def _newest(db: Session, table: Any, ids: list[UUID], *conditions: Any) -> dict[Any, Any]:
    statement = (
        select(table)
        .where(table.ladder_id.in_(ids), *conditions)
        .ext(distinct_on(table.ladder_id))
        .order_by(table.ladder_id, table.at.desc(), table.id)
    )
    return _by("ladder_id", db.exec(statement))


def _by(column: str, rows: Iterable[Any]) -> dict[Any, Any]:
    return {getattr(row, column): row for row in rows}
