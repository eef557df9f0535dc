"""At the end of a week: every ladder of an athlete looked at once, by what the week shows."""

from collections.abc import Iterator
from datetime import date, datetime, timedelta
from uuid import UUID
from zoneinfo import ZoneInfo

from sqlmodel import Session

from invelo.db.moment import Moment
from invelo.db.queries import athlete_rows, ladder_rows, plan_rows, review_rows, training_rows
from invelo.db.queue import enqueue
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.review import ProposalRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.equipment.kit import Kind
from invelo.domain.plan.week.availability import week_start_of
from invelo.domain.plan.week.problem import HARD, STRESSFUL_LIMIT
from invelo.domain.review.proposals.progression import SetsOfDay, fullest_day
from invelo.domain.review.proposals.propose import decide
from invelo.domain.review.proposals.situation import Proposal, WeekSeen
from invelo.domain.review.response import weekly_limit
from invelo.domain.review.rules import WEEKLY_RULES
from invelo.domain.review.workload import workload
from invelo.services.ladder import case, ladder
from invelo.services.ladder.ladder import LadderView
from invelo.services.plan import availability
from invelo.services.review import propose, reach
from invelo.services.squad.squad import RATIO_BACK

REACH_BACK = timedelta(weeks=26)
FORTNIGHT = timedelta(days=14)
DAY = timedelta(days=1)


TASK = "review_week"

NIGHT = range(3, 6)
"""Hours of an athlete's own clock in which their week is looked at by itself."""


def due(db: Session, athletes: list[AthleteRow], now: datetime) -> list[AthleteRow]:
    """Whose last week was not looked at yet: those who train on a ladder."""
    week_starts = {athlete.id: week_start_of(_today(athlete, now)) for athlete in athletes}
    done = review_rows.weeks_looked_at(db, week_starts, set(week_starts.values()))
    training = ladder_rows.athletes_with_one(db, week_starts)
    return [
        athlete
        for athlete in athletes
        if athlete.id in training and (athlete.id, week_starts[athlete.id]) not in done
    ]


def queue_due(db: Session, now: datetime) -> int:
    """Put into the queue whose last week is to be looked at in this night of theirs; how many."""
    asleep = [
        athlete
        for athlete in athlete_rows.with_a_ladder(db)
        if now.astimezone(ZoneInfo(athlete.time_zone)).hour in NIGHT
    ]
    return sum(
        enqueue(db, TASK, {"athlete_id": str(athlete.id)}, once=f"{TASK} {athlete.id}")
        for athlete in due(db, asleep, now)
    )


def look_by_job(db: Session, athlete_id: UUID, now: datetime) -> list[ProposalRow]:
    """Look at someone's last week, unless they are gone."""
    athlete = db.get(AthleteRow, athlete_id)
    return [] if athlete is None else look(db, athlete, Moment(now, athlete.time_zone))


def _today(athlete: AthleteRow, now: datetime) -> date:
    return now.astimezone(ZoneInfo(athlete.time_zone)).date()


def look(db: Session, athlete: AthleteRow, moment: Moment) -> list[ProposalRow]:
    """Look at the week before this one, once: a second look changes nothing.

    What a session has proposed and waits for your decision stands, unless the week says something
    of its own. What concerns the whole athlete is said on their first ladder only.
    """
    week_start = week_start_of(moment.local_date)
    if not review_rows.mark_looked_at(db, athlete.id, week_start, moment.at):
        return []
    proposals = []
    rows = [row for row in ladder_rows.of_athlete(db, athlete.id) if not row.stopped]
    ratios = _ratios(db, athlete.id, week_start)
    for row in rows:
        seen = ladder.view(db, row, athlete, moment.local_date)
        if row.current_rung_id is None:
            continue
        said = _propose(db, seen, week_start, moment, ratios)
        if said is not None:
            proposals.append(said)
            ratios = (None, None)
    return proposals


def _ratios(db: Session, athlete_id: UUID, week_start: date) -> tuple[float | None, float | None]:
    """Acute : chronic load on the Sunday before a Monday, both ways."""
    sunday = week_start - timedelta(days=1)
    kept = reach.loads(db, athlete_id, week_start - RATIO_BACK)
    before = [session_load for session_load in kept if session_load.day <= sunday]
    return workload(before, sunday).on(sunday) if before else (None, None)


def _propose(
    db: Session,
    seen: LadderView,
    week_start: date,
    moment: Moment,
    ratios: tuple[float | None, float | None],
) -> ProposalRow | None:
    """What the week says of one ladder; None where it says no more than its sessions did."""
    week_seen = seen_week(db, seen, week_start, ratios)
    asked = case.of(db, seen, moment.local_date, week_seen).situation()
    proposal = decide(asked)
    waiting = review_rows.pending(db, seen.row.id)
    if waiting is not None and waiting.outcome in ("stop", proposal.outcome):
        return None
    if not _weekly(proposal):
        return None
    return propose.keep(db, seen, asked, proposal, moment, week_start=week_start)


def _weekly(proposal: Proposal) -> bool:
    return any(rule.id in WEEKLY_RULES for rule in proposal.rules)


def seen_week(
    db: Session,
    seen: LadderView,
    week_start: date,
    ratios: tuple[float | None, float | None] = (None, None),
) -> WeekSeen:
    """What is known of an athlete on a ladder at the end of the week before a Monday."""
    row, movement = seen.row, seen.measured.rungs[seen.current].movement
    sunday = week_start - timedelta(days=1)
    points = tuple(capacity.point for capacity in reach.over_time(db, row, week_start - REACH_BACK))
    asked = availability.of(db, row.athlete_id)
    stressful = any(stress >= HARD for stress in movement.stress.values())
    here, there = _surfaces(seen)
    limit = asked.stressful_limit if asked else STRESSFUL_LIMIT
    days = days_by_week(db, row.id, week_start)
    if stressful:
        limit = weekly_limit(points, days, limit).days
    return WeekSeen(
        ratio=ratios[0],
        ratio_smoothed=ratios[1],
        days_done=days.get(week_start_of(sunday), 0),
        days_limit=limit,
        stressful=stressful,
        surface=here,
        other_surface=there,
        ticks=plan_rows.days_ticked(db, row.athlete_id, week_start - FORTNIGHT, week_start)
        if row.method == "habit"
        else 0,
        region_sets=fullest_day(movement, _sets_of(db, row.athlete_id, week_start)),
    )


def _sets_of(db: Session, athlete_id: UUID, week_start: date) -> Iterator[SetsOfDay]:
    """Sets of the week before a Monday by day and movement; what nobody knows any more is left."""
    before = week_start - timedelta(days=7)
    for day, name, sets in training_rows.sets_by_day(db, athlete_id, before, week_start - DAY):
        done = catalogue().movement_or_none(name)
        if done is not None:
            yield day, done, sets


def days_by_week(db: Session, ladder_id: UUID, week_start: date) -> dict[date, int]:
    """Days trained in each of the weeks that reach is looked back on."""
    counts: dict[date, int] = {}
    for day in training_rows.days_on_ladder(db, ladder_id, week_start - REACH_BACK):
        counts[week_start_of(day)] = counts.get(week_start_of(day), 0) + 1
    return counts


SURFACES: tuple[Kind, ...] = ("bar", "rings", "parallel bars")


def _surfaces(seen: LadderView) -> tuple[str, str]:
    """What a straight-arm hold is likely done on, and what else the athlete has for it."""
    movement = seen.measured.rungs[seen.current].movement
    if movement.unit != "s" or not movement.family.startswith("straight-arm"):
        return "", ""
    takes = [needed for needed in movement.kit if needed in SURFACES]
    have = [kind for kind in takes if seen.guarded.has(kind)]
    return (have[0], have[1]) if len(have) > 1 else ("", "")
