"""The week: what is asked of it, its plan with every revision, and a look back."""

from dataclasses import dataclass, replace
from datetime import date, datetime, timedelta
from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.db.columns import dated
from invelo.db.errors import ConflictError
from invelo.db.moment import Moment
from invelo.db.queries import plan_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.plan import AvailabilityRow, WeekPlanRow
from invelo.domain.catalogue.movement import StressedJoint
from invelo.domain.errors import InputError
from invelo.domain.plan.session.trainee import Trainee
from invelo.domain.plan.session.work import Item
from invelo.domain.plan.session.work import Session as CoreSession
from invelo.domain.plan.week.advice import DaysAdvice, advise_days, low_resistance
from invelo.domain.plan.week.availability import StandingAvailability, usual_availability
from invelo.domain.plan.week.problem import HARD, Pin, Placed, Plan, PlanningProblem
from invelo.domain.plan.week.progress import Progress
from invelo.domain.plan.week.score import Breach, Score, breaches, score
from invelo.domain.plan.week.tasks import BuiltProblem, build_problem
from invelo.domain.plan.week.venue import Venue
from invelo.services.athlete import person
from invelo.services.plan import availability, trainee

PINS: TypeAdapter[tuple[Pin, ...]] = TypeAdapter(tuple[Pin, ...])
MOST_REVISIONS = 50
"""Revisions of a week that are kept."""


@dataclass(frozen=True)
class SkippedDay:
    """What a single week has lost: days that were missed, places that cannot be had.

    Attributes:
        days: indices.
        places: keys.
    """

    days: frozenset[int] = frozenset()
    places: frozenset[str] = frozenset()


NOTHING_LOST = SkippedDay()
LOST: TypeAdapter[SkippedDay] = TypeAdapter(SkippedDay)


@dataclass(frozen=True)
class WeekView:
    """A week as it stands for an athlete.

    Attributes:
        week_start: its first day.
        who: the athlete as it sees them.
        availability: what is asked of it; `told` says whether the coach did.
        spots: their places.
        advice: how many days would serve, and why.
        laid: what it should hold.
        row: the newest revision, None where it was never planned.
        pins: the coach's own choices.
        lost: days and places that this week has lost.
        plan: what stands where; what has gone since is left out.
    """

    week_start: date
    who: Trainee
    availability: StandingAvailability
    has_availability: bool
    venues: tuple[Venue, ...]
    advice: DaysAdvice
    built: BuiltProblem
    row: WeekPlanRow | None
    pins: tuple[Pin, ...]
    lost: SkippedDay
    plan: Plan

    @property
    def score(self) -> Score:
        """How well the plan serves."""
        return score(self.built.problem, self.plan)

    @property
    def breaches(self) -> tuple[Breach, ...]:
        """The hard rules it breaks."""
        return breaches(self.built.problem, self.plan)

    @property
    def bound(self) -> int | None:
        """Points no plan can go under, as far as it was proven for the plan that stands."""
        if self.row is None or _placed(self.row) != self.plan:
            return None
        bound = self.row.result["bound"]
        return None if bound is None else min(int(bound), self.score.points)

    @property
    def proof(self) -> str:
        """How near the best possible it is, in words; '' where nothing is proven."""
        bound = self.bound
        return "" if bound is None else Progress(self.plan, self.score.points, bound).words

    def with_plan(self, plan: Plan) -> "WeekView":
        """The same week with another plan.

        Raises:
            InputError: for a task, or a pin of one, that this week does not have.
        """
        known = {task.key for task in self.built.problem.tasks}
        for key in {*(key for key, _ in plan), *(pin.task for pin in self.pins)}:
            if key not in known:
                raise InputError("plan", f"“{key}” is no task of this week.", "Look at it anew.")
        return replace(self, plan=plan)

    def items(self, index: int) -> tuple[Item, ...]:
        """What stands on a day."""
        order = [task.key for task in self.built.problem.tasks]
        keys = sorted((key for key, day in self.plan if day == index), key=order.index)
        return tuple(self.built.items[key] for key in keys)

    def who_on(self, index: int) -> Trainee:
        """Who trains on a day: in its minutes, with what there is at its place."""
        day = next((day for day in self.built.problem.days if day.index == index), None)
        if day is None:
            return self.who
        who = replace(self.who, minutes=day.minutes)
        stock = next((venue.stock for venue in self.venues if venue.key == day.place), None)
        return who.at(stock.room) if stock else who

    def session(self, index: int) -> CoreSession:
        """A day's session.

        Raises:
            InputError: if nothing stands on it.
        """
        items = self.items(index)
        if not items:
            raise InputError("day", "nothing is planned on it.", "Plan the week, or move one here.")
        day = self.week_start + timedelta(days=index)
        who = self.who_on(index)
        given = [who.rigged(item) for item in items]
        return self.availability.hands.session(f"{day:%A}", given, who)


def availability_version(db: Session, athlete_id: UUID) -> str:
    """The version of what the coach asked of the athlete's weeks."""
    row = db.get(AvailabilityRow, athlete_id)
    return row.version if row else person.UNKEPT


def keep_availability(
    db: Session, athlete: AthleteRow, asked: StandingAvailability, now: datetime
) -> None:
    """Keep what is asked, in place of what was asked before.

    Raises:
        InputError: for a place where the athlete does not train.
    """
    places = person.of_athlete(db, athlete.id).places
    for day in asked.days:
        if day.place and day.place not in places:
            raise InputError(
                "place",
                f"{athlete.name} does not train there.",
                "Pick one of their places, or add it on the Intake sheet.",
            )
    row = db.get(AvailabilityRow, athlete.id) or AvailabilityRow(
        athlete_id=athlete.id, document={}, updated_at=now
    )
    row.document = availability.AVAILABILITY.dump_python(asked, mode="json")
    row.updated_at = now
    db.add(row)
    db.flush()


def view(
    db: Session,
    athlete: AthleteRow,
    week_start: date,
    today: date,
    pins: tuple[Pin, ...] | None = None,
    lost: SkippedDay | None = None,
) -> WeekView:
    """A week as it stands, or as it would with other pins and losses.

    Raises:
        InputError: for a week that does not begin on a Monday, or with nothing to do.
    """
    if week_start.weekday() != 0:
        raise InputError(
            "week_start", f"{week_start.isoformat()} is none.", "Name the week by its Monday."
        )
    who = trainee.of_athlete(db, athlete, today)
    venues = trainee.venues_of(db, athlete.id, today)
    details = person.of_athlete(db, athlete.id)
    advice = advise_days(low_resistance(who), details.days, details.minutes)
    kept = availability.of(db, athlete.id)
    standing = kept or usual_availability(details, advice)
    row = plan_rows.newest_week(db, athlete.id, week_start)
    if pins is None:
        pins = PINS.validate_python(row.inputs["pins"]) if row else ()
    if lost is None:
        lost = LOST.validate_python(row.inputs["lost"]) if row else NOTHING_LOST
    placed = frozenset(placement for placement in _placed(row) if placement[1] not in lost.days)
    past = [
        Pin(*placement)
        for placement in sorted(placed)
        if week_start + timedelta(days=placement[1]) < today
    ]
    asked = standing.of(week_start, today, tuple(dict.fromkeys((*pins, *past))))
    days = tuple(day for day in asked.days if day.index not in lost.days)
    if not days:
        raise InputError(
            "days", "every one of them is lost.", "Keep one, or give the week another day."
        )
    open_days = {day.index for day in days}
    built = build_problem(
        who,
        replace(asked, days=days, pins=tuple(pin for pin in asked.pins if pin.day in open_days)),
        [venue.without_kit() if venue.key in lost.places else venue for venue in venues],
        placed,
        _hard_before(db, athlete.id, week_start),
    )
    known = {task.key for task in built.problem.tasks}
    plan = frozenset(
        placement for placement in placed if placement[0] in known and placement[1] in open_days
    )
    return WeekView(
        week_start, who, standing, kept is not None, venues, advice, built, row, pins, lost, plan
    )


def _placed(row: WeekPlanRow | None) -> frozenset[Placed]:
    return frozenset((str(key), int(day)) for key, day in row.placed) if row else frozenset()


def _hard_before(db: Session, athlete_id: UUID, week_start: date) -> frozenset[StressedJoint]:
    """Joints for which the Sunday before was planned hard."""
    row = plan_rows.newest_week(db, athlete_id, week_start - timedelta(days=7))
    stress: dict[str, dict[StressedJoint, int]] = row.result.get("stress", {}) if row else {}
    return frozenset(
        joint
        for key, day in _placed(row)
        if day == 6
        for joint, how in stress.get(key, {}).items()
        if how >= HARD
    )


def keep(
    db: Session,
    athlete: AthleteRow,
    seen: WeekView,
    plan: Plan,
    number: int,
    note: str,
    moment: Moment,
    bound: int | None = None,
) -> WeekPlanRow:
    """Keep a plan as a new revision; the ones before stay.

    Args:
        db, athlete, seen: the transaction, whose, and the week with the pins and losses to keep.
        plan: what stands where.
        number: of the revision this one follows, 0 for none.
        note: what was done, for the list of revisions.
        moment: when.
        bound: points no plan can go under, if the solver proved any.

    Raises:
        InputError: for a task or a pin of something else.
        ConflictError: if the week was changed since, or what is past would change.
    """
    standing = seen.row.number if seen.row else 0
    if number != standing:
        raise ConflictError(
            "week",
            f"it was changed meanwhile: revision {standing} stands, not {number}.",
            "Look at it anew; nothing was overwritten.",
        )
    seen.with_plan(plan)
    past = {day.index for day in seen.built.problem.days if day.past}
    if {placement for placement in plan ^ seen.plan if placement[1] in past}:
        raise ConflictError(
            "day", "it is over; what was planned on it stays.", "Change a later one."
        )
    row = WeekPlanRow(
        athlete_id=athlete.id,
        week_start=seen.week_start,
        number=plan_rows.last_number(db, athlete.id, seen.week_start) + 1,
        placed=sorted(plan),
        note=note,
        **dated(moment),
        inputs={
            "pins": PINS.dump_python(seen.pins, mode="json"),
            "lost": LOST.dump_python(seen.lost, mode="json"),
            "availability": availability.AVAILABILITY.dump_python(seen.availability, mode="json"),
            "tasks": {task.key: task.name for task in seen.built.problem.tasks},
        },
        result=_judged(seen.built.problem, plan, bound),
    )
    db.add(row)
    db.flush()
    plan_rows.forget_week(db, athlete.id, seen.week_start, row.number - MOST_REVISIONS)
    return row


def _judged(problem: PlanningProblem, plan: Plan, bound: int | None) -> dict[str, object]:
    """A plan's score as it is kept."""
    result = score(problem, plan)
    return {
        "points": result.points,
        "bound": bound,
        "terms": {term.name: term.points for term in result.terms},
        "broken": [breach.rule.id for breach in breaches(problem, plan)],
        "stress": {task.key: dict(task.stress) for task in problem.tasks},
    }


def standing_availability(db: Session, athlete: AthleteRow, today: date) -> StandingAvailability:
    """What is asked of the athlete's weeks; the usual, where the coach has said nothing."""
    kept = availability.of(db, athlete.id)
    if kept is not None:
        return kept
    details = person.of_athlete(db, athlete.id)
    who = trainee.of_athlete(db, athlete, today)
    return usual_availability(
        details, advise_days(low_resistance(who), details.days, details.minutes)
    )


def undo(db: Session, athlete: AthleteRow, week_start: date, now: datetime) -> None:
    """Take up the revision before; the undone one keeps its number, which no other gets.

    Raises:
        ConflictError: if there is none.
    """
    row = plan_rows.newest_week(db, athlete.id, week_start)
    if row is None:
        raise ConflictError("week", "there is nothing to undo.", "Go on from here.")
    row.undone_at = now
    db.add(row)
    db.flush()
