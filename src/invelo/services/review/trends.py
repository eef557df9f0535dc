"""Trends: what weeks of logs add up to, and what else happened, on one time line."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date, timedelta
from uuid import UUID

from sqlmodel import Session

from invelo.db.codec import CHANGES, ONE_SIDE, SET_KIND, body_on
from invelo.db.queries import athlete_rows, plan_rows, review_rows, training_rows
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.plan.week.availability import week_start_of
from invelo.domain.review.tally import Group, WeekTally, tally
from invelo.services.athlete import person
from invelo.services.catalogue import tags

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
    return tuple(
        SessionPoint(id_, day, rpe, float(mean), n, form_ok / n, 1 - fast / n, int(pain))
        for id_, day, rpe, mean, n, form_ok, fast, pain in training_rows.session_sums(
            db, athlete_id, since, TEMPO_FAULTS
        )
    )


def weeks(db: Session, athlete_id: UUID, since: date) -> tuple[WeekTally, ...]:
    """What each week since a day adds up to."""
    bodies = athlete_rows.measurements(db, athlete_id)
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
        for day, movement, changed, kind, side, count, amount, best in (
            training_rows.set_sums_by_week(db, athlete_id, since)
        )
    )
    return tally(groups, lambda day: body_on(bodies, day), tags.of_athlete(db, athlete_id))


def adherence(
    db: Session, athlete_id: UUID, done: Iterable[SessionPoint], since: date, today: date
) -> tuple[Adherence, ...]:
    """Sessions planned and done by week, oldest first. Where a week was not planned, the days a
    week the person has told stand for it."""
    newest = plan_rows.weeks_since(db, athlete_id, week_start_of(since))
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
    for day, outcome, answer, note in review_rows.answers_since(db, athlete_id, since):
        words = f"{outcome.replace('_', ' ')}: {answer}" + (f", {note}" if note else "")
        dated_events.append(DatedEvent(day, "proposal", words))
    for test in athlete_rows.tests_since(db, athlete_id, since):
        movement = catalogue().find_movement(test.movement)
        dated_events.append(
            DatedEvent(
                test.local_date, "test", f"test: {movement.name}, {test.amount:g} {movement.unit}"
            )
        )
    for technique in training_rows.notes_since(db, athlete_id, since):
        dated_events.append(DatedEvent(technique.created_at.date(), "note", technique.text))
    for check in training_rows.check_ins_since(db, athlete_id, since):
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
