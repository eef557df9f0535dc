"""What a week is planned from: days, tasks, pins, weights.

A plan is a set of (task, day) pairs; everything else follows from it.
"""

from collections.abc import Mapping
from dataclasses import dataclass, field, fields

from invelo.domain.catalogue.movement import Muscle, StressedJoint
from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.methods import WaveDay
from invelo.domain.plan.session.work import Role

WEEKDAYS = ("Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday")
HARD = 3
"""Class of joint stress that makes a day hard for the joint; see `movement.STRESS`."""

STRESSFUL_LIMIT = 2
"""Days a week for the most stressful rungs (common practice: once or twice)."""

REGION_DAYS = 2
"""Days a week on which each region works, at least (common practice)."""

SHORT_DAY, SHORT_WARM_UP = 15, 2
"""A day of fewer minutes is begun with so many of general warm-up at most (common practice)."""

MOST_TASKS = 60
MOST_MINUTES = 240

Placed = tuple[str, int]
"""A task's key and a day's index."""

Plan = frozenset[Placed]


@dataclass(frozen=True)
class Day:
    """A day on which there is time to train.

    Attributes:
        index: 0 for Monday to 6 for Sunday.
        minutes: there are, 1 to 240, warm-up included.
        place: key of where it is; '' where any kit is taken to be there.
        past: whether it is over: what was done on it stays, and nothing is added.
    """

    index: int
    minutes: int
    place: str = ""
    past: bool = False

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("day", self.index, 0, 6, "")
        require_within("minutes", self.minutes, 1, MOST_MINUTES, "min")

    @property
    def name(self) -> str:
        """In words."""
        return WEEKDAYS[self.index]


@dataclass(frozen=True, kw_only=True)
class WeekTask:
    """Something a week should hold: a ladder's rung, one of its wave's days, an accessory.

    Attributes:
        key, name: stable, and as shown.
        role: skill, strength or small muscles.
        family: of its movement.
        minutes: it takes in a session, with its own warm-up set.
        sets: half hard sets by region: 2 for a set that the region moves, 1 where it helps.
        push, pull: half hard sets that push and that pull.
        stress: class of joint stress, 1 to 3, by joint.
        leans: small muscles it leans on.
        asked: how many days of the week it is wanted on.
        least, most: days it must and may stand on.
        places: keys of the places whose kit and floor allow it; None for every place.
        wave, wave_day: the ladder whose wave it belongs to, and which of its days it is.
        rotation, letter: accessories that take turns, and which of them it is.
        surface: what it is done on, where that can change from day to day.
        prescribed: whether it is a ladder's prescription, which comes before all else.
    """

    key: str
    name: str
    role: Role
    family: str
    minutes: int
    sets: Mapping[Muscle, int] = field(default_factory=dict, hash=False)
    push: int = 0
    pull: int = 0
    stress: Mapping[StressedJoint, int] = field(default_factory=dict, hash=False)
    leans: frozenset[Muscle] = frozenset()
    asked: int = 2
    least: int = 0
    most: int = 7
    places: frozenset[str] | None = None
    wave: str = ""
    wave_day: WaveDay | None = None
    rotation: str = ""
    letter: str = ""
    surface: str = ""
    prescribed: bool = False

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within(f"{self.name}, minutes", self.minutes, 1, MOST_MINUTES, "min")
        require_within(f"{self.name}, days asked for", self.asked, 0, 7, "days")
        if not 0 <= self.least <= self.most <= 7:
            raise InputError(
                f"{self.name}, days",
                f"at least {self.least} and at most {self.most} do not go together.",
                "Give 0 to 7, the smaller first.",
            )

    @property
    def stressful(self) -> bool:
        """Whether it counts among the most stressful."""
        return any(stress >= HARD for stress in self.stress.values())

    def fits(self, day: Day) -> bool:
        """Whether a day's place has the kit and the floor for it."""
        return self.places is None or not day.place or day.place in self.places


@dataclass(frozen=True)
class Pin:
    """The coach's own choice: a task on a day, or not on it."""

    task: str
    day: int
    there: bool = True


@dataclass(frozen=True)
class Weights:
    """What a point of each soft term counts (ours; the coach sees and sets them).

    Attributes:
        prescribed: each day that a ladder is short of what its prescription asks.
        asked: each day that anything else is short of what is asked for it.
        together: each day that holds a part of what is done together, and not all of it.
        regions: each half hard set that a region is short of its target or over twice of it, and
            each two sets over the target itself.
        region_days: each day that a region is short of two.
        balance: each half hard set by which push and pull differ.
        wave: each pair of a wave's days that stand on one day or in the wrong order.
        small: each further movement of a day that leans on one small muscle.
        surfaces: each pair of neighbouring training days on one surface.
        rotation: each accessory that comes again on the next training day, or beside its other.
        even: each minute between the longest and the shortest day.
        moved: each task and day in which a plan differs from the last one.
    """

    prescribed: int = 300
    asked: int = 60
    together: int = 30
    regions: int = 1
    region_days: int = 10
    balance: int = 1
    wave: int = 8
    small: int = 3
    surfaces: int = 2
    rotation: int = 4
    even: int = 1
    moved: int = 1

    def __post_init__(self) -> None:
        """Check ranges."""
        for weight in fields(self):
            require_within(f"weight of {weight.name}", getattr(self, weight.name), 0, 1000, "")


USUAL_WEIGHTS = Weights()


@dataclass(frozen=True)
class PlanningProblem:
    """A week to plan.

    Attributes:
        days: on which there is time, in order.
        tasks: what it should hold.
        targets: half hard sets a week by region.
        pins: the coach's own choices.
        weights: of the soft terms.
        warm_up: minutes of a day's general warm-up.
        hard_before: joints for which the day before the week was hard.
        stressful_limit: days a week for each of the most stressful tasks.
        together: keys of tasks that are done together.
        last: the plan that stands, from which as little as need be is moved.
    """

    days: tuple[Day, ...]
    tasks: tuple[WeekTask, ...]
    targets: Mapping[Muscle, int] = field(default_factory=dict, hash=False)
    pins: tuple[Pin, ...] = ()
    weights: Weights = USUAL_WEIGHTS
    warm_up: int = 6
    hard_before: frozenset[StressedJoint] = frozenset()
    stressful_limit: int = STRESSFUL_LIMIT
    together: tuple[frozenset[str], ...] = ()
    last: Plan = frozenset()

    def warm_up_on(self, day: Day) -> int:
        """Minutes of a day's general warm-up: two at most on a short day."""
        return min(self.warm_up, SHORT_WARM_UP) if day.minutes < SHORT_DAY else self.warm_up

    def __post_init__(self) -> None:
        """Check that there is something to plan, and that pins name it."""
        if not self.days:
            raise InputError(
                "days", "there is none to train on.", "Give at least one day with its minutes."
            )
        if not self.tasks:
            raise InputError(
                "tasks", "there is nothing to do.", "Give a ladder, or add a movement to the week."
            )
        if len(self.tasks) > MOST_TASKS:
            raise InputError(
                "tasks", f"there are {len(self.tasks)}.", f"Keep to {MOST_TASKS} a week."
            )
        require_within("weekly limit of the most stressful", self.stressful_limit, 1, 7, "days")
        require_within("warm-up", self.warm_up, 0, 60, "min")
        for what, named in (
            ("days", [day.index for day in self.days]),
            ("tasks", [task.key for task in self.tasks]),
        ):
            if len(set(named)) != len(named):
                raise InputError(what, "one is named twice.", "Name each once.")
        known = {task.key for task in self.tasks}
        for key in frozenset[str]().union(*self.together) - known:
            raise InputError("together", f"“{key}” is no task of this week.", "Name one that is.")
        indices = {day.index for day in self.days}
        for pin in self.pins:
            if pin.task not in known:
                raise InputError(
                    "pins", f"“{pin.task}” is no task of this week.", "Pin one that is."
                )
            if pin.there and pin.day not in indices:
                raise InputError(
                    "pins",
                    f"{self.task(pin.task).name} is pinned to {WEEKDAYS[pin.day % 7]}, which has "
                    "no time.",
                    "Give that day minutes, or pin it elsewhere.",
                )

    def task(self, key: str) -> WeekTask:
        """A task by its key."""
        return next(week_task for week_task in self.tasks if week_task.key == key)

    def day(self, index: int) -> Day:
        """A day by its index."""
        return next(other for other in self.days if other.index == index)

    def possible(self, task: WeekTask, day: Day) -> bool:
        """Whether kit, floor and pins let a task stand on a day at all.

        What is past holds only what is pinned there.
        """
        there = Pin(task.key, day.index) in self.pins
        if Pin(task.key, day.index, there=False) in self.pins and not there:
            return False
        return task.fits(day) and (there or not day.past)

    @property
    def regions(self) -> tuple[Muscle, ...]:
        """Regions with a target."""
        return tuple(region for region, target in self.targets.items() if target > 0)

    @property
    def leaned_on(self) -> tuple[Muscle, ...]:
        """Small muscles that some task leans on."""
        return tuple(sorted({muscle for task in self.tasks for muscle in task.leans}))

    @property
    def stressed(self) -> tuple[StressedJoint, ...]:
        """Joints that some task stresses hard."""
        joints = {j for task in self.tasks for j, stress in task.stress.items() if stress >= HARD}
        return tuple(sorted(joints))

    @property
    def waves(self) -> dict[str, dict[WaveDay, str]]:
        """Keys of each wave's tasks by their day."""
        by_ladder: dict[str, dict[WaveDay, str]] = {}
        for task in self.tasks:
            if task.wave and task.wave_day:
                by_ladder.setdefault(task.wave, {})[task.wave_day] = task.key
        return by_ladder
