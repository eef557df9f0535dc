"""From where someone stands to what their week should hold.

Source: common practice, where a constant does not say otherwise.
"""

import math
from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, replace
from typing import Literal

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Muscle
from invelo.domain.errors import InputError
from invelo.domain.plan.methods import WAVE
from invelo.domain.plan.plan_overrides import NOTHING_BY_HAND, ByHand
from invelo.domain.plan.prescription import Level, Purpose
from invelo.domain.plan.session.order import leans_on
from invelo.domain.plan.session.timeline import ends_at, timeline
from invelo.domain.plan.session.totals import balance, hard_sets
from invelo.domain.plan.session.trainee import Stand, Trainee
from invelo.domain.plan.session.warm_up import of_pattern
from invelo.domain.plan.session.work import Block, Item, Session
from invelo.domain.plan.week.advice import low_resistance, notices
from invelo.domain.plan.week.course import BUILDING, CourseWeek, paced
from invelo.domain.plan.week.problem import (
    STRESSFUL_LIMIT,
    USUAL_WEIGHTS,
    Day,
    Pin,
    Plan,
    PlanningProblem,
    WeekTask,
    Weights,
)
from invelo.domain.plan.week.venue import Venue

WEEKLY_SETS: dict[Level, int] = {"beginner": 6, "intermediate": 9, "advanced": 12}
"""Hard sets a week of a region that the week trains (ours; Schoenfeld, Ogborn and Krieger 2017,
J Sports Sci 35(11):1073–1082, from memory: growth rises up to 10 and more)."""

TOO_LIGHT = 15.0
"""Likely reps on a strength rung from which the resistance there is counts as low (ours)."""

SPREAD: dict[int, tuple[int, ...]] = {
    1: (2,),
    2: (0, 3),
    3: (0, 2, 4),
    4: (0, 1, 3, 4),
    5: (0, 1, 2, 4, 5),
    6: (0, 1, 2, 3, 4, 5),
    7: (0, 1, 2, 3, 4, 5, 6),
}
"""Days of the week by how many there are, Monday 0 (ours: spread out)."""


@dataclass(frozen=True)
class Extra:
    """A movement beside the ladders.

    Attributes:
        movement: its id.
        purpose: of its prescription.
        sets: as many; the prescription's own if left out.
        days: a week; two if left out.
        rotation, letter: the accessories it takes turns with, and which of them it is.
    """

    movement: str
    purpose: Purpose = "endurance"
    sets: int | None = None
    days: int = 2
    rotation: str = ""
    letter: str = ""


@dataclass(frozen=True)
class Availability:
    """What a coach asks of a week.

    Attributes:
        days: on which there is time; spread by the count where the coach names none.
        extras: movements beside the ladders.
        pins: the coach's own choices.
        targets: hard sets a week by region, where they differ from the usual.
        weights: of the soft terms.
        hands: what the coach set by hand about items and formats.
        week: of the block: building, easy, or coming back.
        stressful_limit: days a week for each of the most stressful rungs.
        days_of_ladders: days a week of ladders, by key, where they were decided.
    """

    days: tuple[Day, ...]
    extras: tuple[Extra, ...] = ()
    pins: tuple[Pin, ...] = ()
    targets: tuple[tuple[Muscle, float], ...] = ()
    weights: Weights = USUAL_WEIGHTS
    hands: ByHand = NOTHING_BY_HAND
    week: CourseWeek = BUILDING
    stressful_limit: int = STRESSFUL_LIMIT
    days_of_ladders: tuple[tuple[str, int], ...] = ()


@dataclass(frozen=True)
class BuiltProblem:
    """A week ready to be planned.

    Attributes:
        problem: for the solver.
        items: of each task, by its key.
        left_out: what something closes, in words.
        notices: what the coach should know, in words.
    """

    problem: PlanningProblem
    items: Mapping[str, Item]
    left_out: tuple[str, ...]
    notices: tuple[str, ...]


def build_problem(
    trainee: Trainee,
    availability: Availability,
    venues: Iterable[Venue] = (),
    last: Plan = frozenset(),
    hard_before: frozenset[str] = frozenset(),
) -> BuiltProblem:
    """What a week should hold, as a problem for the solver.

    Args:
        trainee: who.
        availability: of the coach.
        spots: the places there are; any kit is taken to be there where none is known.
        last: the plan that stands.
        hard_before: joints for which the day before the week was hard.

    Raises:
        InputError: with no day or nothing to do.
    """
    places = tuple(venues)
    left_out: list[str] = []
    tasks: list[WeekTask] = []
    items: dict[str, Item] = {}

    for item, task in _wanted(trainee, availability, places, left_out):
        if task.key in availability.hands.tired_first:
            task = replace(task, leans=frozenset())  # it is meant to tire the muscle
        if places and not task.places:
            names = ", ".join(place.name for place in places)
            left_out.append(f"{item.name}: neither kit nor floor for it at {names}.")
            continue
        items[task.key] = item
        tasks.append(task)
    if not tasks and left_out:
        raise InputError(
            "tasks", f"nothing can be done: {' '.join(left_out)}", "Give other ladders or kit."
        )
    known = {task.key for task in tasks}
    problem = PlanningProblem(
        days=tuple(sorted(availability.days, key=lambda day: day.index)),
        tasks=tuple(tasks),
        targets=_targets(trainee, tasks, items, availability),
        pins=tuple(pin for pin in availability.pins if pin.task in known),
        weights=availability.weights,
        hard_before=hard_before,  # type: ignore[arg-type]
        stressful_limit=availability.stressful_limit,
        together=_together(availability, known),
        last=frozenset(placed for placed in last if placed[0] in known),
    )
    return BuiltProblem(problem, items, tuple(left_out), notices(trainee, problem, places))


def _together(availability: Availability, known: set[str]) -> tuple[frozenset[str], ...]:
    """Keys of what is done together, where all of it is in the week."""
    groups = (frozenset(block.keys) for block in availability.hands.together)
    return tuple(keys for keys in dict.fromkeys(groups) if len(keys) > 1 and keys <= known)


Made = tuple[Item, WeekTask]


def _wanted(
    trainee: Trainee, availability: Availability, places: tuple[Venue, ...], left_out: list[str]
) -> Iterator[Made]:
    """Rungs, extra movements and preparation; what cannot be is told in `left_out`."""
    count = len(availability.days)
    for stand in trainee.stands:
        try:
            yield from _of_stand(trainee, stand, availability, places)
        except InputError as error:
            left_out.append(f"{stand.goal}: {error.problem}")
    for extra in availability.extras:
        try:
            movement = catalogue().find_movement(extra.movement)
            item = trainee.loose(movement, extra.purpose, extra.sets)
        except InputError as error:
            left_out.append(error.problem)
            continue
        item = paced(availability.hands.edited(item, trainee), availability.week)
        task = task_of(item, places, min(extra.days, count))
        task = replace(task, rotation=extra.rotation, letter=extra.letter)
        yield item, replace(task, most=task.asked)
    for item in trainee.preparation():
        yield item, task_of(item, places, count)


def _of_stand(
    trainee: Trainee, stand: Stand, availability: Availability, places: tuple[Venue, ...]
) -> Iterable[Made]:
    movement = stand.movement
    why = trainee.shut(movement, stand.here.rung.modifiers)
    if why:
        raise InputError(
            "rung",
            why,
            "Take another rung, or open it on the Intake sheet.",
        )
    if stand.method == "habit":
        return  # the daily minimum has its own moment, and needs no session
    count = len(availability.days)
    if stand.method == "wave" and count >= len(WAVE):
        for wave in WAVE:
            made = replace(trainee.item(stand, wave), key=f"{stand.key}/{wave}")
            item = paced(availability.hands.edited(made, trainee), availability.week)
            task = task_of(item, places, 1)
            name = f"{item.name}, {wave} day"
            yield (
                item,
                replace(task, name=name, wave=stand.key, wave_day=wave, most=1, prescribed=True),
            )
        return
    item = trainee.item(stand)
    light = low_resistance(trainee) and count >= 5
    if light and len(item.sets) > 2:
        item = item.with_sets(2)
    item = paced(availability.hands.edited(item, trainee), availability.week, stand.method)
    wanted = 4 if light else 3 if count >= 3 else min(count, 2)
    set_days = dict(availability.days_of_ladders).get(stand.key)
    task = replace(task_of(item, places, min(set_days or wanted, count)), prescribed=True)
    if task.stressful:
        task = replace(task, asked=min(task.asked, availability.stressful_limit))
    if set_days is not None:
        yield item, replace(task, least=1, most=task.asked)
        return
    yield item, replace(task, least=1, most=min(7, task.asked + 1))


def task_of(item: Item, places: tuple[Venue, ...], asked: int) -> WeekTask:
    """An item as the solver sees it.

    Args:
        item: which.
        places: there are; every one allows it where none is known.
        asked: days a week.
    """
    sets = hard_sets([item])
    push, pull = balance([item])
    return WeekTask(
        key=item.key,
        name=item.name,
        role=item.role,
        family=item.movement.family,
        minutes=minutes_of(item),
        sets={region: round(2 * count) for region, count in sets.items()},
        push=round(2 * push),
        pull=round(2 * pull),
        stress=dict(item.movement.stress),
        leans=frozenset(leans_on(item.movement)),
        asked=asked,
        places=frozenset(place.key for place in places if place.allows(item)) if places else None,
        surface=surface_of(item),
    )


def minutes_of(item: Item) -> int:
    """Whole minutes an item adds to a session, its own easier warm-up set included."""
    easier = of_pattern(item) if item.role in ("skill", "strength") else None
    alone = Session(
        item.name,
        (
            *([Block("warm-up", (easier,))] if easier else []),
            Block("straight sets", (item,)),
            Block("finisher", ()),  # so that the last rest is counted
        ),
    )
    return max(1, math.ceil(ends_at(timeline(alone)) / 60.0))


Surface = Literal["floor", "bars", "bar", "rings", ""]


def surface_of(item: Item) -> Surface:
    """What a straight-arm hold is done on; '' of anything else."""
    if item.role != "skill" or item.main.unit != "s":
        return ""
    kit = set(item.movement.kit)
    if not kit:
        return "floor"
    if item.rig.kind == "rings" or kit == {"rings"}:
        return "rings"
    return "bars" if "parallel bars" in kit else "bar"


def _targets(
    trainee: Trainee, tasks: list[WeekTask], items: Mapping[str, Item], availability: Availability
) -> dict[Muscle, int]:
    """Half hard sets a week of every region that some task moves."""
    usual = max(1, round(2 * WEEKLY_SETS[trainee.level] * availability.week.share))
    trained = {
        region
        for task in tasks
        if items[task.key].role != "preparation"
        for region in items[task.key].movement.prime
    }
    targets = dict.fromkeys(sorted(trained), usual)
    for region, sets in availability.targets:
        targets[region] = round(2 * sets)
    return targets
