"""Trends: reach with its criteria, load, weeks, sides, and when the next criterion is likely."""

from datetime import date, timedelta
from typing import Literal
from uuid import UUID

from fastapi import APIRouter, Query
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import DerivationOut, EstimateOut, Explained
from invelo.api.training.log_schemas import LoggedSessionOut, sessions_of
from invelo.db import access
from invelo.db.queries import athlete_rows
from invelo.domain.plan.week.availability import week_start_of
from invelo.domain.plan.week.problem import STRESSFUL_LIMIT
from invelo.domain.review.response import weekly_limit
from invelo.domain.review.tally import WeekTally
from invelo.domain.review.trend import LEAST_POINTS
from invelo.domain.review.workload import (
    DISPUTE,
    SessionLoad,
    Workload,
    monotony,
    ratio_on,
    ratio_words,
    strain,
    workload,
)
from invelo.domain.strict import ResponseModel
from invelo.services.ladder import ladder
from invelo.services.review import outlook, reach, trends, weekly

router = APIRouter(prefix="/api", tags=["Review"], responses=ERRORS)


class ReachPoint(ResponseModel):
    """Capacity on a day, by today's model."""

    day: date
    capacity: EstimateOut
    session_id: UUID | None
    stored: EstimateOut | None = Field(
        description="As it was computed then, where that was by another model."
    )
    model_version: str = Field(description="Of the model then.")


class CriterionLineOut(ResponseModel):
    """What a rung's criterion asks of capacity."""

    name: str
    needed: float
    growth: float = Field(description="Over today's capacity, share.")


class ForecastOut(ResponseModel):
    """When something is likely reached; a date that is missing lies beyond a year."""

    what: str
    likely: date | None
    low: date | None
    high: date | None
    reached: float = Field(description="Share of the simulated futures that get there.")
    growth: float
    nearer: str
    derivation: DerivationOut


class SessionOnLine(ResponseModel):
    """A session on the time line."""

    id: UUID
    day: date
    rpe: float | None
    mean_set_rpe: float = Field(description="Mean effort of its sets.")
    sets: int
    form_ok: float
    tempo: float = Field(description="Share of its sets without a fault of tempo.")
    pain: int


class LoadDay(ResponseModel):
    """What a day asked, effort × minutes, and the ratios of that day."""

    day: date
    load: float
    ratio: float | None
    ratio_smoothed: float | None


class LoadWeek(ResponseModel):
    """What a week asked."""

    week_start: date
    load: float
    monotony: float | None = Field(description="Empty where every day was alike: no variation.")
    strain: float | None


class Load(ResponseModel):
    """Workload with its dispute."""

    days: list[LoadDay]
    weeks: list[LoadWeek]
    ratio: Explained | None
    words: str
    dispute: str
    stood_in: int = Field(description="Sessions whose effort the sets' mean stands in for.")


class RegionWeek(ResponseModel):
    """Hard sets of a week by region and by own tag, torque × seconds by joint, N·m·s."""

    week_start: date
    regions: dict[str, float]
    tags: dict[str, float]
    joints: dict[str, EstimateOut]


class SidePair(ResponseModel):
    """The best of each side of a movement, and by how much they differ."""

    movement: str
    left: float
    right: float
    apart: float = Field(description="Share by which the weaker lies under the stronger.")
    weaker: Literal["left", "right", ""]


class WeekDone(ResponseModel):
    """Sessions planned and done."""

    week_start: date
    planned: int
    done: int


class EventOut(ResponseModel):
    """Something that happened, in words."""

    day: date
    kind: str
    words: str


class Mass(ResponseModel):
    """Body mass as measured."""

    day: date
    mass_kg: float


class StressLimit(ResponseModel):
    """Days a week of the most stressful rungs that this athlete bears."""

    days: int
    learned: bool
    derivation: DerivationOut


class Trends(ResponseModel):
    """Everything on one time line."""

    ladder_id: UUID
    athlete_id: UUID
    athlete_name: str
    goal: str
    since: date
    today: date
    reach: list[ReachPoint]
    unit: str
    measure: str
    growth: Explained | None
    criteria: list[CriterionLineOut]
    next_criterion: ForecastOut | None
    goal_forecast: ForecastOut | None
    why_no_forecast: str
    sessions: list[SessionOnLine]
    load: Load | None
    weeks: list[RegionWeek]
    sides: list[SidePair]
    adherence: list[WeekDone]
    masses: list[Mass]
    mass_note: str
    events: list[EventOut]
    limit: StressLimit


WEEKS = 26
MASS_OLD_DAYS = 60
"""Days after which a body mass is too old for loads that hang on it (ours)."""
CRITERIA_SHOWN = 4


@router.get("/ladders/{ladder_id}/trends")
def get_trends(
    ladder_id: UUID,
    coach: Coach,
    db: Database,
    now: Now,
    weeks: int = Query(WEEKS, ge=4, le=156, description="How far back."),
) -> Trends:
    """Reach, effort, load, weeks, sides and what else happened, with the forecast."""
    row, athlete = access.ladder_seen(db, coach.id, ladder_id)
    today = moment_for(athlete, now).local_date
    since = today - timedelta(weeks=weeks)
    seen = ladder.view(db, row, athlete, today)
    reached = reach.over_time(db, row, since)
    points = [day.point for day in reached]
    done = trends.sessions(db, athlete.id, since)
    adherence = trends.adherence(db, athlete.id, done, since, today)
    lines = outlook.criteria(seen)
    prospects = outlook.outlook(seen, points, done, adherence, today)
    tallies = trends.weeks(db, athlete.id, since)
    demand = seen.measured.demands[seen.current]
    growth = outlook.growth_of(seen) if len(points) >= LEAST_POINTS else None
    masses = athlete_rows.measurements(db, athlete.id)
    old = (today - masses[-1].local_date).days
    return Trends(
        ladder_id=row.id,
        athlete_id=athlete.id,
        athlete_name=athlete.name,
        goal=row.goal,
        since=since,
        today=today,
        reach=[_reach_point(day) for day in reached],
        unit=reached[-1].capacity.unit if reached else demand.load.unit,
        measure=demand.load.measure,
        growth=Explained.model_validate(growth) if growth else None,
        criteria=[CriterionLineOut.model_validate(line) for line in lines[:CRITERIA_SHOWN]],
        next_criterion=ForecastOut.model_validate(prospects.next_criterion)
        if prospects.next_criterion
        else None,
        goal_forecast=ForecastOut.model_validate(prospects.goal) if prospects.goal else None,
        why_no_forecast=prospects.unavailable_reason,
        sessions=[SessionOnLine.model_validate(point) for point in done],
        load=_load(reach.loads(db, athlete.id, since), since, today),
        weeks=[RegionWeek.model_validate(week_tally) for week_tally in tallies],
        sides=_sides(tallies),
        adherence=[WeekDone.model_validate(other) for other in adherence],
        masses=[Mass(day=mass.local_date, mass_kg=mass.mass_kg) for mass in masses],
        mass_note=f"Body mass is {old} days old: measure again." if old > MASS_OLD_DAYS else "",
        events=[EventOut.model_validate(event) for event in trends.events(db, athlete.id, since)],
        limit=StressLimit.model_validate(
            weekly_limit(
                points, weekly.days_by_week(db, row.id, week_start_of(today)), STRESSFUL_LIMIT
            )
        ),
    )


def _reach_point(day: reach.CapacityOnDay) -> ReachPoint:
    return ReachPoint.of(
        day,
        capacity=EstimateOut.model_validate(day.capacity),
        session_id=day.session,
        stored=EstimateOut.model_validate(day.stored) if day.stored else None,
    )


@router.get("/athletes/{athlete_id}/sessions/{session_id}")
def get_done(athlete_id: UUID, session_id: UUID, coach: Coach, db: Database) -> LoggedSessionOut:
    """One session, as a point of a chart opens it."""
    athlete = access.athlete(db, coach.id, athlete_id)
    return sessions_of(db, [access.own_session(db, athlete.id, session_id)])[0]


def _load(loads: list[SessionLoad], since: date, today: date) -> Load | None:
    until_today = [load for load in loads if load.day <= today]
    if not until_today:
        return None
    work = workload(until_today, today)
    ratio = ratio_on(work, today)
    week_starts = _week_starts(work, today)
    return Load(
        days=[_day(work, work.first + timedelta(days=i)) for i in range(len(work.series))],
        weeks=[_week(work, week_start) for week_start in week_starts],
        ratio=Explained.model_validate(ratio) if ratio else None,
        words=ratio_words(ratio.likely if ratio else None),
        dispute=DISPUTE,
        stood_in=sum(session_load.stood_in for session_load in until_today),
    )


def _week_starts(work: Workload, today: date) -> list[date]:
    first = week_start_of(work.first)
    return [first + timedelta(weeks=i) for i in range((today - first).days // 7 + 1)]


def _day(work: Workload, day: date) -> LoadDay:
    ratio, smoothed = work.on(day)
    load = float(work.series[(day - work.first).days])
    return LoadDay(day=day, load=load, ratio=ratio, ratio_smoothed=smoothed)


def _week(work: Workload, week_start: date) -> LoadWeek:
    loads = work.week(week_start)
    return LoadWeek(
        week_start=week_start, load=sum(loads), monotony=monotony(loads), strain=strain(loads)
    )


def _sides(tallies: tuple[WeekTally, ...]) -> list[SidePair]:
    """The newest week in which both sides of a movement were done."""
    newest: dict[str, tuple[float, float]] = {}
    for week in tallies:
        for name in week.left.keys() & week.right.keys():
            newest[name] = (week.left[name], week.right[name])
    return [
        SidePair(
            movement=name,
            left=left,
            right=right,
            apart=1 - min(left, right) / max(left, right) if max(left, right) else 0.0,
            weaker="" if left == right else "left" if left < right else "right",
        )
        for name, (left, right) in sorted(newest.items())
    ]
