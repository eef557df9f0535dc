"""The squad: athletes, their measures, and a line on each that says who needs the coach."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from datetime import date, datetime, timedelta
from typing import Any, NamedTuple
from uuid import UUID
from zoneinfo import ZoneInfo

from sqlalchemy import Text, cast, func, text
from sqlalchemy.dialects.postgresql import distinct_on
from sqlalchemy.orm import aliased
from sqlmodel import Session, col, select

from invelo.core.body import Body
from invelo.core.squad import Condition, Mark, marks, urgency
from invelo.core.week.wishes import monday_of
from invelo.core.workload import LONG_DAYS
from invelo.store import access, logs, reach
from invelo.store.columns import among, dated
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
    """A decision that waits for a word, as the list tells it."""

    id: UUID
    ladder_id: UUID
    outcome: str
    reason: str
    confidence: str
    plain: bool
    weekly: bool
    goal: str
    from_rung: str
    to_rung: str


class LadderLine(NamedTuple):
    """A ladder as the list tells it."""

    id: UUID
    athlete_id: UUID
    goal: str
    stopped: str


@dataclass(frozen=True)
class SquadLine:
    """One athlete in the list; what hangs on a ladder is None before they have one. `today` is how
    many things are planned for today, None where the week was not planned."""

    athlete: Athlete
    ladder: LadderLine | None
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
    told = db.exec(
        select(col(Ladder.id), col(Ladder.athlete_id), col(Ladder.goal), col(Ladder.stopped))
        .where(among(Ladder.athlete_id, [a.id for a in people]))
        .order_by(col(Ladder.created_at).desc(), col(Ladder.id))
    )
    ladders = [LadderLine(*row) for row in told]
    first = {ladder.athlete_id: ladder for ladder in ladders}
    ids = [ladder.id for ladder in first.values()]
    standing = _by(
        "ladder_id",
        db.exec(
            select(Rung)
            .join(Ladder, col(Ladder.standing_id) == Rung.id)
            .where(among(Ladder.id, ids))
        ),
    )
    expected = _expected(db, ids)
    waiting = _waiting(db, [ladder.id for ladder in ladders])
    stopped = {one.athlete_id: one.stopped for one in ladders if one.stopped}
    todays = {one.id: _today(one, now) for one in people}
    ratios = reach.ratios(db, todays, RATIO_BACK)
    planned = _planned(db, todays)
    last = logs.newest_of(db, [one.id for one in people])
    pains = logs.worst_pain(db, [session.id for session in last.values()])
    found: list[SquadLine] = []
    for athlete in people:
        ladder = first.get(athlete.id)
        key = ladder.id if ladder else None
        session = last.get(athlete.id)
        pain, place = pains.get(session.id, (0, "")) if session else (0, "")
        condition = Condition(
            stopped=stopped.get(athlete.id, ""),
            pain=pain,
            pain_place=place,
            waiting=tuple(
                one.outcome
                for one in waiting.get(athlete.id, ())
                if one.outcome != "hold"  # to go on as it is wants no word
            ),
            last=session.local_date if session else None,
            ratio=ratios.get(athlete.id),
        )
        found.append(
            SquadLine(
                athlete,
                ladder,
                standing.get(key),
                expected.get(key),
                session,
                planned.get(athlete.id),
                waiting.get(athlete.id, ()),
                marks(condition, todays[athlete.id]),
            )
        )
    return sorted(found, key=lambda line: (*urgency(line.marks), line.athlete.name))


def _today(athlete: Athlete, now: datetime) -> date:
    return now.astimezone(ZoneInfo(athlete.time_zone)).date()


def _expected(db: Session, ids: list[UUID]) -> dict[Any, tuple[float, float, float]]:
    """What each ladder's newest placement expects on the rung that is stood on."""
    newest = (
        select(col(Placement.result)["predictions"])
        .where(Placement.ladder_id == Ladder.id)
        .order_by(col(Placement.at).desc(), col(Placement.id))
        .limit(1)
        .scalar_subquery()
    )
    told = newest[cast(Ladder.standing_id, Text)]
    rows = db.exec(select(col(Ladder.id), told).where(among(Ladder.id, ids)))
    return {ladder_id: tuple(found) for ladder_id, found in rows if found}


def _waiting(db: Session, ladder_ids: list[UUID]) -> dict[UUID, tuple[Waiting, ...]]:
    """Decisions that wait, by athlete, the newest ladder's first."""
    to = aliased(Rung)
    made = col(Decision.made)["name"].as_string()
    statement = (
        select(  # type: ignore[call-overload]
            Ladder.athlete_id,
            Decision.id,
            Decision.ladder_id,
            Decision.outcome,
            Decision.reason,
            Decision.confidence,
            func.coalesce(col(Decision.inputs)["plain"].as_boolean(), False),
            col(Decision.monday).is_not(None),
            Ladder.goal,
            Rung.name,
            func.coalesce(made, to.name),
        )
        .join(Ladder, col(Ladder.id) == Decision.ladder_id)
        .join(Rung, col(Rung.id) == Decision.from_rung_id)
        .join(to, to.id == Decision.to_rung_id)
        .where(among(Decision.ladder_id, ladder_ids), col(Decision.answer).is_(None))
        .order_by(col(Ladder.created_at).desc(), col(Ladder.id))
    )
    found: dict[UUID, tuple[Waiting, ...]] = {}
    for athlete_id, *told in db.exec(statement):
        found[athlete_id] = (*found.get(athlete_id, ()), Waiting(*told))
    return found


def _planned(db: Session, todays: Mapping[UUID, date]) -> dict[UUID, int]:
    """How many things are planned for today, for those whose week was planned."""
    mondays = {athlete: monday_of(today) for athlete, today in todays.items()}
    statement = (
        select(WeekPlan)
        .where(among(WeekPlan.athlete_id, mondays), col(WeekPlan.monday).in_(set(mondays.values())))
        .ext(distinct_on(col(WeekPlan.athlete_id), col(WeekPlan.monday)))
        .order_by(col(WeekPlan.athlete_id), col(WeekPlan.monday), col(WeekPlan.number).desc())
    )
    return {
        row.athlete_id: sum(1 for _, day in row.placed if day == todays[row.athlete_id].weekday())
        for row in db.exec(statement)
        if row.monday == mondays[row.athlete_id]
    }


def _by(column: str, rows: Iterable[Any]) -> dict[Any, Any]:
    return {getattr(row, column): row for row in rows}
