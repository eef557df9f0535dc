"""The week: what is asked of it, its plan with every revision, and a look back."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date, datetime, timedelta
from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session, col, select

from invelo.core.errors import InputError
from invelo.core.movement import StressedJoint
from invelo.core.session.trainee import Trainee
from invelo.core.session.work import Item
from invelo.core.session.work import Session as CoreSession
from invelo.core.week.advice import DaysAdvice, advise_days, low_resistance
from invelo.core.week.problem import HARD, Pin, Placed, Plan
from invelo.core.week.score import Breach, Score, breaches, score
from invelo.core.week.spot import Spot
from invelo.core.week.tasks import Laid, lay_out
from invelo.core.week.wishes import StandingWishes, usual_wishes
from invelo.store import person, trainee
from invelo.store.columns import dated
from invelo.store.errors import ConflictError
from invelo.store.moment import Moment
from invelo.store.plan_tables import WeekPlan, WeekWishes
from invelo.store.tables import Athlete

WISHES: TypeAdapter[StandingWishes] = TypeAdapter(StandingWishes)
PINS: TypeAdapter[tuple[Pin, ...]] = TypeAdapter(tuple[Pin, ...])
MOST_REVISIONS = 50
"""Revisions of a week that are kept."""


@dataclass(frozen=True)
class WeekView:
    """A week as it stands for an athlete.

    Attributes:
        monday: its first day.
        who: the athlete as it sees them.
        wishes: what is asked of it; `told` says whether the coach did.
        spots: their places.
        advice: how many days would serve, and why.
        laid: what it should hold.
        row: the newest revision, None where it was never planned.
        pins: the coach's own choices.
        plan: what stands where; what has gone since is left out.
    """

    monday: date
    who: Trainee
    wishes: StandingWishes
    told: bool
    spots: tuple[Spot, ...]
    advice: DaysAdvice
    laid: Laid
    row: WeekPlan | None
    pins: tuple[Pin, ...]
    plan: Plan

    @property
    def score(self) -> Score:
        """How well the plan serves."""
        return score(self.laid.problem, self.plan)

    @property
    def breaches(self) -> tuple[Breach, ...]:
        """The hard rules it breaks."""
        return breaches(self.laid.problem, self.plan)

    def items(self, index: int) -> tuple[Item, ...]:
        """What stands on a day."""
        order = [task.key for task in self.laid.problem.tasks]
        keys = sorted((key for key, day in self.plan if day == index), key=order.index)
        return tuple(self.laid.items[key] for key in keys)

    def session(self, index: int) -> CoreSession:
        """A day's session.

        Raises:
            InputError: if nothing stands on it.
        """
        items = self.items(index)
        if not items:
            raise InputError(
                "day", "nothing is planned on it.", "Solve the week, or move one here."
            )
        day = self.monday + timedelta(days=index)
        return self.wishes.hands.session(f"{day:%A}", items, self.who)


def wishes_of(db: Session, athlete_id: UUID) -> StandingWishes | None:
    """What the coach asked of the athlete's weeks, if anything."""
    row = db.get(WeekWishes, athlete_id)
    return WISHES.validate_python(row.told) if row else None


def keep_wishes(db: Session, athlete: Athlete, told: StandingWishes, now: datetime) -> None:
    """Keep what is asked, in place of what was asked before.

    Raises:
        InputError: for a place where the athlete does not train.
    """
    places = person.of_athlete(db, athlete.id).places
    for day in told.days:
        if day.place and day.place not in places:
            raise InputError(
                "place",
                f"{athlete.name} does not train there.",
                "Pick one of their places, or add it on the Intake sheet.",
            )
    row = db.get(WeekWishes, athlete.id) or WeekWishes(
        athlete_id=athlete.id, told={}, updated_at=now
    )
    row.told = WISHES.dump_python(told, mode="json")
    row.updated_at = now
    db.add(row)
    db.flush()


def view(db: Session, athlete: Athlete, monday: date, today: date) -> WeekView:
    """A week as it stands.

    Raises:
        InputError: for a week that does not begin on a Monday, or with nothing to do.
    """
    if monday.weekday() != 0:
        raise InputError("monday", f"{monday.isoformat()} is none.", "Name the week by its Monday.")
    who = trainee.of_athlete(db, athlete, today)
    spots = trainee.spots_of(db, athlete.id, today)
    told = person.of_athlete(db, athlete.id)
    advice = advise_days(low_resistance(who), told.days, told.minutes)
    kept = wishes_of(db, athlete.id)
    wishes = kept or usual_wishes(told, advice)
    row = newest(db, athlete.id, monday)
    placed = _placed(row)
    pins = PINS.validate_python(row.inputs.get("pins", [])) if row else ()
    past = frozenset(
        Pin(key, index) for key, index in placed if monday + timedelta(days=index) < today
    )
    laid = lay_out(
        who,
        wishes.of(monday, today, tuple(dict.fromkeys((*_still(pins, wishes), *sorted_pins(past))))),
        spots,
        placed,
        _hard_before(db, athlete.id, monday),
    )
    known = {task.key for task in laid.problem.tasks}
    plan = frozenset(one for one in placed if one[0] in known)
    return WeekView(monday, who, wishes, kept is not None, spots, advice, laid, row, pins, plan)


def _still(pins: Iterable[Pin], wishes: StandingWishes) -> list[Pin]:
    """Pins to days that there still is time on; a lost day loses its pins."""
    indices = {day.index for day in wishes.days}
    return [pin for pin in pins if pin.day in indices]


def sorted_pins(pins: Iterable[Pin]) -> list[Pin]:
    """In one order, whatever they came from."""
    return sorted(pins, key=lambda pin: (pin.day, pin.task))


def newest(db: Session, athlete_id: UUID, monday: date) -> WeekPlan | None:
    """The revision that stands."""
    statement = select(WeekPlan).where(WeekPlan.athlete_id == athlete_id, WeekPlan.monday == monday)
    return db.exec(statement.order_by(col(WeekPlan.number).desc()).limit(1)).first()


def _placed(row: WeekPlan | None) -> frozenset[Placed]:
    return frozenset((str(key), int(day)) for key, day in row.placed) if row else frozenset()


def _hard_before(db: Session, athlete_id: UUID, monday: date) -> frozenset[StressedJoint]:
    """Joints for which the Sunday before was planned hard."""
    row = newest(db, athlete_id, monday - timedelta(days=7))
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
    athlete: Athlete,
    seen: WeekView,
    plan: Plan,
    pins: tuple[Pin, ...],
    number: int,
    word: str,
    moment: Moment,
) -> WeekPlan:
    """Keep a plan as a new revision; the ones before stay.

    Args:
        db, athlete, seen: the transaction, whose, and the week as it stood.
        plan, pins: what stands where, and what of it is the coach's own choice.
        number: of the revision this one follows, 0 for none.
        word: what was done, for the list of revisions.
        moment: when.

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
    known = {task.key for task in seen.laid.problem.tasks}
    for key in {*(key for key, _ in plan), *(pin.task for pin in pins)}:
        if key not in known:
            raise InputError("plan", f"“{key}” is no task of this week.", "Look at it anew.")
    past = {day.index for day in seen.laid.problem.days if day.past}
    if {one for one in plan ^ seen.plan if one[1] in past}:
        raise ConflictError(
            "day", "it is over; what was planned on it stays.", "Change a later one."
        )
    result = score(seen.laid.problem, plan)
    row = WeekPlan(
        athlete_id=athlete.id,
        monday=seen.monday,
        number=standing + 1,
        placed=sorted(plan),
        word=word,
        **dated(moment),
        inputs={
            "pins": PINS.dump_python(tuple(pins), mode="json"),
            "wishes": WISHES.dump_python(seen.wishes, mode="json"),
            "tasks": {task.key: task.name for task in seen.laid.problem.tasks},
        },
        result={
            "points": result.points,
            "terms": {term.name: term.points for term in result.terms},
            "broken": [one.rule.id for one in breaches(seen.laid.problem, plan)],
            "stress": {task.key: dict(task.stress) for task in seen.laid.problem.tasks},
        },
    )
    db.add(row)
    db.flush()
    _forget(db, athlete.id, seen.monday, row.number - MOST_REVISIONS)
    return row


def _forget(db: Session, athlete_id: UUID, monday: date, up_to: int) -> None:
    statement = select(WeekPlan).where(
        WeekPlan.athlete_id == athlete_id, WeekPlan.monday == monday, col(WeekPlan.number) <= up_to
    )
    for row in db.exec(statement):
        db.delete(row)


def undo(db: Session, athlete: Athlete, monday: date) -> None:
    """Take up the revision before; the undone one goes.

    Raises:
        ConflictError: if there is none.
    """
    row = newest(db, athlete.id, monday)
    if row is None:
        raise ConflictError("week", "there is nothing to undo.", "Go on from here.")
    db.delete(row)
    db.flush()


def revisions(db: Session, athlete_id: UUID, monday: date) -> list[WeekPlan]:
    """All that are kept, the newest first."""
    statement = select(WeekPlan).where(WeekPlan.athlete_id == athlete_id, WeekPlan.monday == monday)
    return list(db.exec(statement.order_by(col(WeekPlan.number).desc())))
