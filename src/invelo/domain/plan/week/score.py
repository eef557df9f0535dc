"""How well a plan serves, term by term, and which rules it breaks.

Written for a reader, not for a solver: the solver has its own statement of the same rules, and
tests hold the two together.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import pairwise

from invelo.domain.catalogue.movement import Muscle
from invelo.domain.plan.methods import WAVE
from invelo.domain.plan.week.problem import (
    HARD,
    REGION_DAYS,
    WEEKDAYS,
    Day,
    Plan,
    PlanningProblem,
    WeekTask,
)
from invelo.domain.review.rules import Rule

WEEK_RULES: dict[str, Rule] = {
    id_: Rule(id_, sentence, source)
    for id_, sentence, source in (
        ("week.minutes", "A day holds no more than the minutes there are.", "common practice"),
        (
            "week.hard-days",
            "At most one hard day in a row for each stressed joint.",
            "common practice",
        ),
        (
            "week.stressful",
            "The most stressful rungs come once or twice a week.",
            "common practice",
        ),
        ("week.place", "The kit and the floor of the day's place allow it.", "common practice"),
        (
            "week.least",
            "What must be in the week is in it; nothing more often than it may.",
            "ours",
        ),
        ("week.pin", "The coach's own choices stand.", "ours"),
    )
}


@dataclass(frozen=True)
class Term:
    """A soft term of the score.

    Attributes:
        name: of its weight.
        words: what its amount counts.
        amount, weight: points are one times the other.
        parts: where the amount comes from, in words, the largest first.
    """

    name: str
    words: str
    amount: int
    weight: int
    parts: tuple[str, ...] = ()

    @property
    def points(self) -> int:
        """That it takes away."""
        return self.amount * self.weight


@dataclass(frozen=True)
class Score:
    """All terms; fewer points are better, 0 leaves nothing to wish."""

    terms: tuple[Term, ...]

    @property
    def points(self) -> int:
        """In all."""
        return sum(term.points for term in self.terms)


@dataclass(frozen=True)
class Breach:
    """A hard rule that a plan breaks.

    Attributes:
        rule: which.
        words: where and by how much.
        tasks, days: that it is about.
    """

    rule: Rule
    words: str
    tasks: tuple[str, ...] = ()
    days: tuple[int, ...] = ()


def tasks_on(problem: PlanningProblem, plan: Plan, day: Day) -> list[WeekTask]:
    """What stands on a day, in the order of the tasks."""
    return [task for task in problem.tasks if (task.key, day.index) in plan]


def days_of(plan: Plan, task: WeekTask) -> list[int]:
    """Indices of the days a task stands on, in order."""
    return sorted(day for key, day in plan if key == task.key)


def minutes_on(problem: PlanningProblem, plan: Plan, day: Day) -> int:
    """Minutes of a day's session, warm-up included; 0 of an empty day."""
    there = tasks_on(problem, plan, day)
    return problem.warm_up_on(day) + sum(task.minutes for task in there) if there else 0


def sets_of_regions(problem: PlanningProblem, plan: Plan) -> dict[Muscle, int]:
    """Half hard sets of a week by region."""
    sums: dict[Muscle, int] = {}
    for key, _ in plan:
        for region, half in problem.task(key).sets.items():
            sums[region] = sums.get(region, 0) + half
    return sums


def days_of_region(problem: PlanningProblem, plan: Plan, region: Muscle) -> int:
    """Days on which some task moves a region."""
    return len({day for key, day in plan if problem.task(key).sets.get(region, 0) >= 2})


def score(problem: PlanningProblem, plan: Plan) -> Score:
    """How well a plan serves."""
    weights = problem.weights
    terms = []
    for name, words, parts in (
        ("prescribed", "days short of a ladder's prescription", _short(problem, plan, True)),
        ("asked", "days short of what else is asked", _short(problem, plan, False)),
        ("together", "days with a part of what is done together", _together(problem, plan)),
        ("regions", "half sets short of the regions' targets or far over", _regions(problem, plan)),
        ("region_days", "days short of two for a region", _region_days(problem, plan)),
        ("balance", "half sets between push and pull", _balance(problem, plan)),
        ("wave", "wave days on one day or out of order", _wave(problem, plan)),
        ("small", "more that lean on one small muscle in a day", _small(problem, plan)),
        ("surfaces", "neighbouring days on one surface", _surfaces(problem, plan)),
        ("rotation", "accessories that do not take turns", _rotation(problem, plan)),
        ("even", "minutes between the longest and the shortest day", _even(problem, plan)),
        ("moved", "places moved from the last plan", _moved(problem, plan)),
    ):
        worst_first = sorted(parts, key=lambda part: -part[0])
        amount = sum(part[0] for part in worst_first)
        words_of = tuple(part[1] for part in worst_first if part[0])
        terms.append(Term(name, words, amount, getattr(weights, name), words_of))
    return Score(tuple(terms))


OVER_STEP = 4
"""Half sets over a region's target that count as one short of it (ours: a little more than was
aimed at does no harm)."""

Part = tuple[int, str]


def _short(problem: PlanningProblem, plan: Plan, prescribed: bool) -> Iterator[Part]:
    for task in problem.tasks:
        if task.prescribed != prescribed:
            continue
        there = len(days_of(plan, task))
        yield max(0, task.asked - there), f"{task.name}: {there} of {task.asked} days"


def _together(problem: PlanningProblem, plan: Plan) -> Iterator[Part]:
    for keys in problem.together:
        for day in problem.days:
            there = sum((key, day.index) in plan for key in keys)
            names = " and ".join(sorted(problem.task(key).name for key in keys))
            yield int(0 < there < len(keys)), f"{day.name}: not all of {names}"


def _regions(problem: PlanningProblem, plan: Plan) -> Iterator[Part]:
    sets = sets_of_regions(problem, plan)
    for region in problem.regions:
        have, want = sets.get(region, 0), problem.targets[region]
        over = -(-max(0, have - want) // OVER_STEP) + max(0, have - 2 * want)
        yield max(0, want - have) + over, f"{region}: {have / 2:g} of {want / 2:g} sets"


def _region_days(problem: PlanningProblem, plan: Plan) -> Iterator[Part]:
    for region in problem.regions:
        days = days_of_region(problem, plan, region)
        yield max(0, REGION_DAYS - days), f"{region}: {days} day{'s'[days == 1 :]}"


def _balance(problem: PlanningProblem, plan: Plan) -> Iterator[Part]:
    push = sum(problem.task(key).push for key, _ in plan)
    pull = sum(problem.task(key).pull for key, _ in plan)
    yield abs(push - pull), f"{push / 2:g} sets push, {pull / 2:g} pull"


def _wave(problem: PlanningProblem, plan: Plan) -> Iterator[Part]:
    for days in problem.waves.values():
        there = [days[wave_day] for wave_day in WAVE if wave_day in days]
        for i, first in enumerate(there):
            for second in there[i + 1 :]:
                names = f"{problem.task(first).name} before {problem.task(second).name}"
                wrong = sum(
                    earlier >= later
                    for earlier in days_of(plan, problem.task(first))
                    for later in days_of(plan, problem.task(second))
                )
                yield wrong, names


def _small(problem: PlanningProblem, plan: Plan) -> Iterator[Part]:
    for day in problem.days:
        there = tasks_on(problem, plan, day)
        for muscle in problem.leaned_on:
            count = sum(muscle in task.leans for task in there)
            yield max(0, count - 1), f"{day.name}: {count} lean on the {muscle}"


def _surfaces(problem: PlanningProblem, plan: Plan) -> Iterator[Part]:
    for surface in sorted({task.surface for task in problem.tasks if task.surface}):
        used = [
            any(task.surface == surface for task in tasks_on(problem, plan, day))
            for day in problem.days
        ]
        for (one, first), (other, second) in pairwise(zip(used, problem.days, strict=True)):
            yield int(one and other), f"{surface} on {first.name} and {second.name}"


def _rotation(problem: PlanningProblem, plan: Plan) -> Iterator[Part]:
    groups: dict[str, set[str]] = {}
    for task in problem.tasks:
        if task.rotation:
            groups.setdefault(task.rotation, set()).add(task.letter)
    for group, letters in sorted(groups.items()):
        there = {
            letter: [
                any(
                    task.rotation == group and task.letter == letter
                    for task in tasks_on(problem, plan, day)
                )
                for day in problem.days
            ]
            for letter in sorted(letters)
        }
        for letter, used in there.items():
            for i, (one, other) in enumerate(pairwise(used)):
                words = f"{group} {letter} on {problem.days[i].name} and the next day"
                yield int(one and other), words
        for i, day in enumerate(problem.days):
            beside = sum(used[i] for used in there.values())
            yield max(0, beside - 1), f"{group}: {beside} at once on {day.name}"


def _even(problem: PlanningProblem, plan: Plan) -> Iterator[Part]:
    minutes = [minutes_on(problem, plan, day) for day in problem.days if not day.past]
    if minutes:
        yield max(minutes) - min(minutes), f"{max(minutes)} min and {min(minutes)} min"


def _moved(problem: PlanningProblem, plan: Plan) -> Iterator[Part]:
    if problem.last:
        for key, index in sorted(problem.last ^ plan):
            if any(task.key == key for task in problem.tasks):
                to = "on to" if (key, index) in plan else "off"
                yield 1, f"{problem.task(key).name} {to} {WEEKDAYS[index]}"


def breaches(problem: PlanningProblem, plan: Plan) -> tuple[Breach, ...]:
    """The hard rules a plan breaks; none of a plan that stands."""
    return (
        *_over_minutes(problem, plan),
        *_hard_in_a_row(problem, plan),
        *_too_stressful(problem, plan),
        *_out_of_place(problem, plan),
        *_too_few(problem, plan),
        *_unpinned(problem, plan),
    )


def _over_minutes(problem: PlanningProblem, plan: Plan) -> Iterator[Breach]:
    for day in problem.days:
        minutes = minutes_on(problem, plan, day)
        if minutes > day.minutes and not day.past:
            yield Breach(
                WEEK_RULES["week.minutes"],
                f"{day.name} takes {minutes} min of {day.minutes}.",
                days=(day.index,),
            )


def hard_for(problem: PlanningProblem, plan: Plan, joint: str) -> list[tuple[int, str]]:
    """Days that are hard for a joint, with what makes them so; −1 for the day before the week."""
    hard = [(-1, "the week before")] if joint in problem.hard_before else []
    for day in problem.days:
        for task in tasks_on(problem, plan, day):
            if task.stress.get(joint, 0) >= HARD:  # type: ignore[call-overload]
                hard.append((day.index, task.name))
                break
    return hard


def _hard_in_a_row(problem: PlanningProblem, plan: Plan) -> Iterator[Breach]:
    for joint in problem.stressed:
        for (one, first), (other, second) in pairwise(hard_for(problem, plan, joint)):
            if other - one == 1:
                before = "the day before the week" if one < 0 else WEEKDAYS[one]
                yield Breach(
                    WEEK_RULES["week.hard-days"],
                    f"{before} and {WEEKDAYS[other]} are both hard for the {joint}: {first}, then "
                    f"{second}.",
                    days=tuple(day for day in (one, other) if day >= 0),
                )


def _too_stressful(problem: PlanningProblem, plan: Plan) -> Iterator[Breach]:
    for task in problem.tasks:
        days = days_of(plan, task)
        if task.stressful and len(days) > problem.stressful_limit:
            yield Breach(
                WEEK_RULES["week.stressful"],
                f"{task.name} is on {len(days)} days; {problem.stressful_limit} is the limit.",
                (task.key,),
                tuple(days),
            )


def _out_of_place(problem: PlanningProblem, plan: Plan) -> Iterator[Breach]:
    for key, index in sorted(plan):
        task = problem.task(key)
        days = [day for day in problem.days if day.index == index]
        if not days or not task.fits(days[0]):
            where = "there is no time" if not days else "its place has no kit or floor for it"
            yield Breach(
                WEEK_RULES["week.place"],
                f"{task.name} on {WEEKDAYS[index]}: {where}.",
                (key,),
                (index,),
            )


def _too_few(problem: PlanningProblem, plan: Plan) -> Iterator[Breach]:
    for task in problem.tasks:
        days = days_of(plan, task)
        if not task.least <= len(days) <= task.most:
            yield Breach(
                WEEK_RULES["week.least"],
                f"{task.name} is on {len(days)} days; {task.least} to {task.most} are asked.",
                (task.key,),
                tuple(days),
            )


def _unpinned(problem: PlanningProblem, plan: Plan) -> Iterator[Breach]:
    for pin in problem.pins:
        if ((pin.task, pin.day) in plan) != pin.there:
            name = problem.task(pin.task).name
            kept = "is pinned to" if pin.there else "is kept off"
            yield Breach(
                WEEK_RULES["week.pin"],
                f"{name} {kept} {WEEKDAYS[pin.day]}.",
                (pin.task,),
                (pin.day,),
            )
