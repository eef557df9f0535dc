"""Trends: what weeks of logs add up to, and what else happened, on one time line."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date, timedelta
from typing import Any
from uuid import UUID

from sqlalchemy import cast, func
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.types import Date
from sqlmodel import Session, col, select

from invelo.core.catalogue import catalogue
from invelo.core.tally import Group, WeekTally, tally
from invelo.core.week.wishes import monday_of
from invelo.store import capacity, logs, person
from invelo.store.floor_tables import CheckIn, TechniqueNote
from invelo.store.plan_tables import WeekPlan
from invelo.store.review_tables import Decision
from invelo.store.rows import CHANGES, ONE_SIDE, SET_KIND, body_on
from invelo.store.tables import Ladder, LoggedSet, Test, TrainingSession

USUAL_DAYS = 3
"""Days a week where neither a plan nor the person says (common practice)."""


@dataclass(frozen=True)
class SessionPoint:
    """A session on the time line.

    Attributes:
        id, day: which and when.
        effort: of the whole session, None where it was not asked.
        sets: logged.
        clean: share of them that kept their form.
        tempo: share of the reps' sets without a fault of tempo.
        pain: worst, 0–10.
    """

    id: UUID
    day: date
    effort: float | None
    of_sets: float
    sets: int
    clean: float
    tempo: float
    pain: int


@dataclass(frozen=True)
class Event:
    """Something that happened on a day, in words."""

    day: date
    kind: str
    words: str


@dataclass(frozen=True)
class Adherence:
    """Sessions of a week: how many were planned, how many done."""

    monday: date
    planned: int
    done: int


TEMPO_FAULTS = ("too fast", "rushed", "bounced", "tempo")
"""Words in a fault's name that say the tempo was not kept."""


def sessions(db: Session, athlete_id: UUID, since: date) -> tuple[SessionPoint, ...]:
    """Finished sessions since a day, oldest first."""
    faults = func.array_to_string(LoggedSet.faults, " ")
    untimed = func.count().filter(faults.op("~*")("|".join(TEMPO_FAULTS)))
    statement = (
        select(  # type: ignore[call-overload]
            TrainingSession.id,
            TrainingSession.local_date,
            TrainingSession.effort,
            func.avg(LoggedSet.effort),
            func.count(),
            func.count().filter(col(LoggedSet.clean)),
            untimed,
            func.max(LoggedSet.pain),
        )
        .join(LoggedSet, col(LoggedSet.session_id) == TrainingSession.id)
        .where(*_standing(athlete_id, since))
        .group_by(TrainingSession.id)
        .order_by(TrainingSession.at, TrainingSession.id)
    )
    return tuple(
        SessionPoint(id_, day, effort, float(mean), n, clean / n, 1 - fast / n, int(pain))
        for id_, day, effort, mean, n, clean, fast, pain in db.exec(statement)
    )


def _standing(athlete_id: UUID, since: date) -> tuple[Any, ...]:
    """Of finished sessions since a day, the sets that no later row corrects."""
    return (
        TrainingSession.athlete_id == athlete_id,
        TrainingSession.local_date >= since,
        col(TrainingSession.finished_at).is_not(None),
        logs.STANDS,
    )


def weeks(db: Session, athlete_id: UUID, since: date) -> tuple[WeekTally, ...]:
    """What each week since a day adds up to."""
    monday = cast(func.date_trunc("week", TrainingSession.local_date), Date)
    changes = cast(LoggedSet.changes, JSONB)
    alike = (monday, LoggedSet.movement, changes, LoggedSet.kind, LoggedSet.side)
    statement = (
        select(  # type: ignore[call-overload]
            *alike, func.count(), func.sum(LoggedSet.amount), func.max(LoggedSet.amount)
        )
        .join(TrainingSession, col(TrainingSession.id) == LoggedSet.session_id)
        .where(*_standing(athlete_id, since))
        .group_by(*alike)
    )
    bodies = capacity.measures(db, athlete_id)
    groups = (
        Group(
            day,
            catalogue().find_movement(movement),
            CHANGES.validate_python(changed),
            SET_KIND.validate_python(kind),
            ONE_SIDE.validate_python(side),
            count,
            float(amount),
            float(best),
        )
        for day, movement, changed, kind, side, count, amount, best in db.exec(statement)
    )
    return tally(groups, lambda day: body_on(bodies, day))


def adherence(
    db: Session, athlete_id: UUID, done: Iterable[SessionPoint], since: date, today: date
) -> tuple[Adherence, ...]:
    """Sessions planned and done by week, oldest first. Where a week was not planned, the days a
    week the person has told stand for it."""
    newest: dict[date, WeekPlan] = {}
    rows = db.exec(
        select(WeekPlan)
        .where(WeekPlan.athlete_id == athlete_id, WeekPlan.monday >= monday_of(since))
        .order_by(col(WeekPlan.number))
    )
    for row in rows:
        newest[row.monday] = row
    usual = person.of_athlete(db, athlete_id).days or USUAL_DAYS
    by_week: dict[date, set[UUID]] = {}
    for one in done:
        by_week.setdefault(monday_of(one.day), set()).add(one.id)
    found = []
    monday = min((*by_week, monday_of(today)))
    while monday <= today:
        plan = newest.get(monday)
        planned = len({day for _, day in plan.placed}) if plan else usual
        found.append(Adherence(monday, planned, len(by_week.get(monday, ()))))
        monday += timedelta(days=7)
    return tuple(found)


def events(db: Session, athlete_id: UUID, since: date) -> tuple[Event, ...]:
    """What else happened since a day, oldest first: answers, tests, notes, pain told, measures."""
    found: list[Event] = []
    ladders = select(Ladder.id).where(Ladder.athlete_id == athlete_id)
    answers = select(
        col(Decision.local_date), col(Decision.outcome), col(Decision.answer), col(Decision.word)
    ).where(
        col(Decision.ladder_id).in_(ladders),
        Decision.local_date >= since,
        col(Decision.answer).in_(("take", "edit", "decline")),
        Decision.outcome != "hold",
    )
    for day, outcome, answer, word in db.exec(answers):
        words = f"{outcome.replace('-', ' ')}: {answer}" + (f", {word}" if word else "")
        found.append(Event(day, "decision", words))
    for test in db.exec(
        select(Test).where(Test.athlete_id == athlete_id, Test.local_date >= since)
    ):
        movement = catalogue().find_movement(test.movement)
        found.append(
            Event(
                test.local_date, "test", f"test: {movement.name}, {test.amount:g} {movement.unit}"
            )
        )
    for note in db.exec(
        select(TechniqueNote).where(
            TechniqueNote.athlete_id == athlete_id,
            func.date(TechniqueNote.created_at) >= since,
        )
    ):
        found.append(Event(note.created_at.date(), "note", note.text))
    for check in db.exec(
        select(CheckIn).where(CheckIn.athlete_id == athlete_id, CheckIn.local_date >= since)
    ):
        pains = dict(check.told.get("pain") or {})
        if pains:
            place, worst = max(pains.items(), key=lambda item: item[1])
            found.append(Event(check.local_date, "pain", f"came with pain {worst}, {place}"))
    return tuple(sorted(found, key=lambda one: (one.day, one.kind, one.words)))
