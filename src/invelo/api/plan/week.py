"""Week: days as columns, solved while the coach looks on, moved by hand, kept as revisions."""

from datetime import date, timedelta
from uuid import UUID

from fastapi import APIRouter

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import EstimateOut
from invelo.api.common.versions import IfMatch, require_match
from invelo.api.plan.week_schemas import (
    AvailabilityRequest,
    BreachOnDays,
    DoneSession,
    Losses,
    Monday,
    PinRequest,
    PlannedDay,
    PlannedTask,
    RegionTotal,
    ToKeep,
    Trial,
    WeekBefore,
    WeekPlace,
    WeekSheet,
)
from invelo.db import access
from invelo.db.queries import plan_rows, training_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.equipment.kit import lapsing
from invelo.domain.plan.session.timeline import length
from invelo.domain.plan.session.totals import tagged_sets
from invelo.domain.plan.session.words import sets_words
from invelo.domain.plan.week.advice import layoff_notice
from invelo.domain.plan.week.availability import week_start_of
from invelo.domain.plan.week.problem import WEEKDAYS, Plan
from invelo.domain.plan.week.score import days_of, days_of_region, minutes_on, sets_of_regions
from invelo.domain.plan.week.shortfall import shortfalls
from invelo.formats.plan.document import breach_out, term_out
from invelo.services.athlete import person
from invelo.services.catalogue import tags
from invelo.services.equipment import kit
from invelo.services.plan import look_back, sessions, week

router = APIRouter(prefix="/api/athletes/{athlete_id}/week", tags=["Week"], responses=ERRORS)

LOOK_BACK = 2


@router.get("")
def get_week(
    athlete_id: UUID, coach: Coach, db: Database, now: Now, week_start: Monday = None
) -> WeekSheet:
    """A week as it stands."""
    athlete = access.athlete(db, coach.id, athlete_id)
    today = moment_for(athlete, now).local_date
    seen = week.view(db, athlete, week_start or week_start_of(today), today)
    return _sheet(db, athlete, seen, today)


@router.post("/preview")
def try_week(
    athlete_id: UUID, body: ToKeep, coach: Coach, db: Database, now: Now, week_start: Monday = None
) -> WeekSheet:
    """A week as it would be with a coach's own moves: its score and the rules it breaks. Nothing
    is kept."""
    athlete = access.athlete(db, coach.id, athlete_id)
    today = moment_for(athlete, now).local_date
    seen = _seen(db, athlete, week_start, today, body)
    plan = _plan(body)
    return _sheet(db, athlete, seen.with_plan(plan), today)


@router.put("/availability")
def keep_availability(
    athlete_id: UUID,
    body: AvailabilityRequest,
    coach: Coach,
    db: Database,
    now: Now,
    week_start: Monday = None,
    if_match: IfMatch = None,
) -> WeekSheet:
    """Keep what is asked of every week, in place of what was asked before. `If-Match` is
    `availability_version`."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    stands = week.availability_version(db, athlete.id)
    require_match(if_match, stands, "availability", "what is asked of every week was kept anew")
    week.keep_availability(db, athlete, body.core(), now)
    today = moment_for(athlete, now).local_date
    return _sheet(
        db, athlete, week.view(db, athlete, week_start or week_start_of(today), today), today
    )


@router.put("")
def keep_week(
    athlete_id: UUID, body: ToKeep, coach: Coach, db: Database, now: Now, week_start: Monday = None
) -> WeekSheet:
    """Keep a plan as a new revision. A plan that breaks a rule is kept too, since the coach has the
    last word; the answer names what it breaks."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    moment = moment_for(athlete, now)
    seen = _seen(db, athlete, week_start, moment.local_date, body)
    week.keep(db, athlete, seen, _plan(body), body.number, body.note, moment, body.bound)
    seen = week.view(db, athlete, seen.week_start, moment.local_date)
    return _sheet(db, athlete, seen, moment.local_date)


@router.post("/undo")
def undo_week(
    athlete_id: UUID,
    coach: Coach,
    db: Database,
    now: Now,
    week_start: Monday = None,
    if_match: IfMatch = None,
) -> WeekSheet:
    """Take up the revision before the one that stands. `If-Match` is `revision`."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    today = moment_for(athlete, now).local_date
    first = week_start or week_start_of(today)
    row = plan_rows.newest_week(db, athlete.id, first)
    if row is not None:
        require_match(if_match, row.number, "week", row.note or "it was planned anew")
    week.undo(db, athlete, first, now)
    return _sheet(db, athlete, week.view(db, athlete, first, today), today)


def _plan(body: ToKeep) -> Plan:
    return frozenset(placed_task.core() for placed_task in body.placed)


def _seen(
    db: Database, athlete: AthleteRow, week_start: date | None, today: date, body: Trial
) -> week.WeekView:
    pins = tuple(pin.core() for pin in body.pins)
    return week.view(db, athlete, week_start or week_start_of(today), today, pins, body.lost.core())


def _sheet(db: Database, athlete: AthleteRow, seen: week.WeekView, today: date) -> WeekSheet:
    problem, plan = seen.built.problem, seen.plan
    scored = seen.score
    bound = seen.bound
    sets = sets_of_regions(problem, plan)
    course = seen.availability.week(seen.week_start)
    under_way = plan_rows.planning_under_way(db, athlete.id, seen.week_start)
    return WeekSheet.of(
        seen,
        athlete_id=athlete.id,
        athlete_name=athlete.name,
        time_zone=athlete.time_zone,
        today=today,
        revision=seen.row.number if seen.row else 0,
        note=seen.row.note if seen.row else "",
        availability_version=week.availability_version(db, athlete.id),
        kind=course.kind,
        kind_words=course.words,
        advice=seen.advice.why,
        availability=AvailabilityRequest.from_core(seen.availability),
        places=[WeekPlace.of(venue) for venue in seen.venues],
        days=[_day(db, athlete, seen, index) for index in _indices(seen)],
        tasks=[_task(seen, key) for key in seen.built.items],
        pins=[PinRequest.model_validate(pin, from_attributes=True) for pin in seen.pins],
        lost=Losses(
            days=sorted(seen.lost.days), places=[UUID(place) for place in sorted(seen.lost.places)]
        ),
        regions=[
            RegionTotal(
                region=region,
                sets=sets.get(region, 0) / 2,
                target=problem.targets[region] / 2,
                days=days_of_region(problem, plan, region),
            )
            for region in problem.regions
        ],
        tags=tagged_sets(
            [seen.built.items[key] for key, _ in plan], tags.of_athlete(db, athlete.id)
        ),
        push=sum(problem.task(key).push for key, _ in plan) / 2,
        pull=sum(problem.task(key).pull for key, _ in plan) / 2,
        points=scored.points,
        bound=bound,
        terms=[term_out(term) for term in scored.terms],
        breaches=[
            BreachOnDays(
                **breach_out(breach).model_dump(), tasks=list(breach.tasks), days=list(breach.days)
            )
            for breach in seen.breaches
        ],
        planning_id=under_way.id if under_way else None,
        left_out=list(seen.built.left_out),
        short=[shortfall.words for shortfall in shortfalls(problem, plan)] if plan else [],
        notices=_notices(db, athlete, seen, today),
        before=[
            _before(look_back)
            for look_back in look_back.weeks(db, athlete.id, seen.week_start, LOOK_BACK)
        ],
    )


def _notices(db: Database, athlete: AthleteRow, seen: week.WeekView, today: date) -> list[str]:
    away = layoff_notice(training_rows.last_day(db, athlete.id), seen.week_start)
    planned = seen.availability.week(seen.week_start).kind == "re-entry"
    rooms = kit.rooms(db, person.of_athlete(db, athlete.id).places)
    lapses = lapsing((item for room in rooms for item in room.items), today)
    return [*([away] if away and not planned else []), *seen.built.notices, *lapses]


def _indices(seen: week.WeekView) -> list[int]:
    return sorted(day.index for day in seen.availability.days)


def _day(db: Database, athlete: AthleteRow, seen: week.WeekView, index: int) -> PlannedDay:
    wish = next(day for day in seen.availability.days if day.index == index)
    date_ = seen.week_start + timedelta(days=index)
    lost = index in seen.lost.days
    items = [] if lost else list(seen.items(index))
    session = seen.session(index) if items else None
    names = {venue.key: venue.name for venue in seen.venues}
    return PlannedDay.of(
        wish,
        index=index,
        date=date_,
        name=WEEKDAYS[index],
        taken=0
        if lost
        else minutes_on(seen.built.problem, seen.plan, seen.built.problem.day(index)),
        session_minutes=EstimateOut.model_validate(length(session)) if session else None,
        place_name=names.get(wish.place, ""),
        past=not lost and seen.built.problem.day(index).past,
        lost=lost,
        adapted=sessions.adapted(db, athlete.id, date_) is not None,
        tasks=[item.key for item in session.items] if session else [],
    )


def _task(seen: week.WeekView, key: str) -> PlannedTask:
    problem = seen.built.problem
    task, item = problem.task(key), seen.built.items[key]
    return PlannedTask.of(
        task,
        key=key,
        goal=item.goal,
        days=days_of(seen.plan, task),
        possible=[day.index for day in problem.days if task.fits(day)],
        sets=list(sets_words(item)),
        wave_day=task.wave_day or "",
    )


def _before(look_back: look_back.LookBack) -> WeekBefore:
    return WeekBefore(
        week_start=look_back.week_start,
        sessions=[DoneSession.model_validate(done) for done in look_back.sessions],
        regions=[
            RegionTotal(region=region, sets=sets, target=0, days=0)
            for region, sets in sorted(look_back.regions.items(), key=lambda pair: -pair[1])
        ],
    )
