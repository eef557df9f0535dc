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

from invelo.db import logs
from invelo.db.codec import CHANGES, ONE_SIDE, SET_KIND, body_on
from invelo.db.tables.athlete import TechniqueNoteRow, TestRow
from invelo.db.tables.ladder import LadderRow
from invelo.db.tables.plan import WeekPlanRow
from invelo.db.tables.review import ProposalRow
from invelo.db.tables.training import CheckInRow, LoggedSetRow, TrainingSessionRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.plan.week.availability import week_start_of
from invelo.domain.review.tally import Group, WeekTally, tally
from invelo.services.athlete import capacity, person

USUAL_DAYS = 3
"""Days a week where neither a plan nor the person says (common practice)."""


@dataclass(frozen=True)
class SessionPoint:
    """A session on the time line.

    Attributes:
        id, day: which and when.
        rpe: of the whole session, None where it was not asked.
        sets: logged.
        form_ok: share of them that kept their form.
        tempo: share of the reps' sets without a fault of tempo.
        pain: worst, 0–10.
    """

    id: UUID
    day: date
    rpe: float | None
    mean_set_rpe: float
    sets: int
    form_ok: float
    tempo: float
    pain: int


@dataclass(frozen=True)
class DatedEvent:
    """Something that happened on a day, in words."""

    day: date
    kind: str
    words: str


@dataclass(frozen=True)
class Adherence:
    """Sessions of a week: how many were planned, how many done."""

    week_start: date
    planned: int
    done: int


TEMPO_FAULTS = ("too fast", "rushed", "bounced", "tempo")
"""Words in a fault's name that say the tempo was not kept."""


def sessions(db: Session, athlete_id: UUID, since: date) -> tuple[SessionPoint, ...]:
    """Finished sessions since a day, oldest first."""
    faults = func.array_to_string(LoggedSetRow.faults, " ")
    untimed = func.count().filter(faults.op("~*")("|".join(TEMPO_FAULTS)))
    statement = (
        select(  # type: ignore[call-overload]
            TrainingSessionRow.id,
            TrainingSessionRow.local_date,
            TrainingSessionRow.rpe,
            func.avg(LoggedSetRow.rpe),
            func.count(),
            func.count().filter(col(LoggedSetRow.form_ok)),
            untimed,
            func.max(LoggedSetRow.pain),
        )
        .join(LoggedSetRow, col(LoggedSetRow.session_id) == TrainingSessionRow.id)
        .where(*_standing(athlete_id, since))
        .group_by(TrainingSessionRow.id)
        .order_by(TrainingSessionRow.at, TrainingSessionRow.id)
    )
    return tuple(
        SessionPoint(id_, day, rpe, float(mean), n, form_ok / n, 1 - fast / n, int(pain))
        for id_, day, rpe, mean, n, form_ok, fast, pain in db.exec(statement)
    )


def _standing(athlete_id: UUID, since: date) -> tuple[Any, ...]:
    """Of finished sessions since a day, the sets that no later row corrects."""
    return (
        TrainingSessionRow.athlete_id == athlete_id,
        TrainingSessionRow.local_date >= since,
        col(TrainingSessionRow.finished_at).is_not(None),
        logs.STANDS,
    )


def weeks(db: Session, athlete_id: UUID, since: date) -> tuple[WeekTally, ...]:
    """What each week since a day adds up to."""
    week_start = cast(func.date_trunc("week", TrainingSessionRow.local_date), Date)
    changes = cast(LoggedSetRow.changes, JSONB)
    alike = (week_start, LoggedSetRow.movement, changes, LoggedSetRow.kind, LoggedSetRow.side)
    statement = (
        select(  # type: ignore[call-overload]
            *alike, func.count(), func.sum(LoggedSetRow.amount), func.max(LoggedSetRow.amount)
        )
        .join(TrainingSessionRow, col(TrainingSessionRow.id) == LoggedSetRow.session_id)
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
    newest: dict[date, WeekPlanRow] = {}
    rows = db.exec(
        select(WeekPlanRow)
        .where(WeekPlanRow.athlete_id == athlete_id, WeekPlanRow.week_start >= week_start_of(since))
        .order_by(col(WeekPlanRow.number))
    )
    for row in rows:
        newest[row.week_start] = row
    usual = person.of_athlete(db, athlete_id).days or USUAL_DAYS
    by_week: dict[date, set[UUID]] = {}
    for point in done:
        by_week.setdefault(week_start_of(point.day), set()).add(point.id)
    adherences = []
    week_start = min((*by_week, week_start_of(today)))
    while week_start <= today:
        plan = newest.get(week_start)
        planned = len({day for _, day in plan.placed}) if plan else usual
        adherences.append(Adherence(week_start, planned, len(by_week.get(week_start, ()))))
        week_start += timedelta(days=7)
    return tuple(adherences)


def events(db: Session, athlete_id: UUID, since: date) -> tuple[DatedEvent, ...]:
    """What else happened since a day, oldest first: answers, tests, notes, pain told, measures."""
    dated_events: list[DatedEvent] = []
    ladders = select(LadderRow.id).where(LadderRow.athlete_id == athlete_id)
    answers = select(
        col(ProposalRow.local_date),
        col(ProposalRow.outcome),
        col(ProposalRow.answer),
        col(ProposalRow.note),
    ).where(
        col(ProposalRow.ladder_id).in_(ladders),
        ProposalRow.local_date >= since,
        col(ProposalRow.answer).in_(("accept", "edit", "decline")),
        ProposalRow.outcome != "hold",
    )
    for day, outcome, answer, note in db.exec(answers):
        words = f"{outcome.replace('_', ' ')}: {answer}" + (f", {note}" if note else "")
        dated_events.append(DatedEvent(day, "proposal", words))
    for test in db.exec(
        select(TestRow).where(TestRow.athlete_id == athlete_id, TestRow.local_date >= since)
    ):
        movement = catalogue().find_movement(test.movement)
        dated_events.append(
            DatedEvent(
                test.local_date, "test", f"test: {movement.name}, {test.amount:g} {movement.unit}"
            )
        )
    for technique in db.exec(
        select(TechniqueNoteRow).where(
            TechniqueNoteRow.athlete_id == athlete_id,
            func.date(TechniqueNoteRow.created_at) >= since,
        )
    ):
        dated_events.append(DatedEvent(technique.created_at.date(), "note", technique.text))
    for check in db.exec(
        select(CheckInRow).where(
            CheckInRow.athlete_id == athlete_id, CheckInRow.local_date >= since
        )
    ):
        pains = dict(check.answers.get("pain") or {})
        if pains:
            place, worst = max(pains.items(), key=lambda item: item[1])
            dated_events.append(
                DatedEvent(check.local_date, "pain", f"came with pain {worst}, {place}")
            )
    return tuple(
        sorted(
            dated_events,
            key=lambda dated_event: (dated_event.day, dated_event.kind, dated_event.words),
        )
    )
