"""The week as a model for the CP-SAT solver: one switch for each task and day.

Every hard rule carries a label, so that where nothing fits the fewest can be switched off. What a
limit, the kit or the floor forbids has no switch at all: it is never relaxed.
"""

from collections.abc import Iterable
from dataclasses import dataclass, field
from itertools import combinations, pairwise
from typing import Any

from ortools.sat.python import cp_model
from ortools.sat.python.cp_model import IntVar, LinearExprT

from invelo.domain.catalogue.movement import StressedJoint
from invelo.domain.plan.methods import WAVE
from invelo.domain.plan.week.problem import (
    HARD,
    MOST_MINUTES,
    REGION_DAYS,
    WEEKDAYS,
    Day,
    Placed,
    Plan,
    PlanningProblem,
    WeekTask,
)
from invelo.domain.plan.week.score import OVER_STEP

MANY = 10_000
"""Half sets that no week comes to."""


@dataclass
class Model:
    """The solver's statement of a week.

    Attributes:
        cp: the model.
        on: the switch of each task and day that kit, floor and pins allow.
        keep: in a model that may relax, the switch of each hard rule by what relaxing it means.
        terms: of the objective.
    """

    problem: PlanningProblem
    relaxing: bool = False
    cp: cp_model.CpModel = field(default_factory=cp_model.CpModel)
    on: dict[Placed, IntVar] = field(default_factory=dict)
    keep: dict[str, IntVar] = field(default_factory=dict)
    terms: list[LinearExprT] = field(default_factory=list)

    def __post_init__(self) -> None:
        """State all of it."""
        for task in self.problem.tasks:
            for day in self.problem.days:
                if self.problem.possible(task, day):
                    self.on[task.key, day.index] = self.cp.new_bool_var(f"{task.key}@{day.index}")
        self.used = {day.index: self._any(self._day(day), f"day{day.index}") for day in self._days}
        self._hard_rules()
        self._soft_terms()
        if self.relaxing:
            self.cp.maximize(sum(self.keep.values()))
        else:
            self.cp.minimize(sum(self.terms))

    @property
    def _days(self) -> tuple[Day, ...]:
        return self.problem.days

    def plan(self, value: "Values") -> Plan:
        """The plan that switches stand for."""
        return frozenset(placed for placed, switch in self.on.items() if value(switch))

    def hint(self, plan: Plan) -> None:
        """Begin the search from a plan."""
        for placed, switch in self.on.items():
            self.cp.add_hint(switch, placed in plan)

    def _task(self, task: WeekTask) -> list[IntVar]:
        return [
            self.on[task.key, day.index] for day in self._days if (task.key, day.index) in self.on
        ]

    def _day(self, day: Day, tasks: Iterable[WeekTask] | None = None) -> list[IntVar]:
        those = self.problem.tasks if tasks is None else tasks
        return [self.on[task.key, day.index] for task in those if (task.key, day.index) in self.on]

    def _any(self, switches: list[IntVar], name: str) -> IntVar:
        """Whether any of them is on."""
        either = self.cp.new_bool_var(name)
        self.cp.add_max_equality(either, [*switches, 0])
        return either

    def _require(self, rule: Any, relaxed: str) -> None:
        """A hard rule, a comparison of the solver's or False, and what relaxing it means."""
        constraint = self.cp.add(rule) if not isinstance(rule, bool) else self.cp.add_bool_and(rule)
        if self.relaxing:
            switch = self.keep.setdefault(relaxed, self.cp.new_bool_var(relaxed))
            constraint.only_enforce_if(switch)

    # ---- hard rules ----------------------------------------------------------------------

    def _hard_rules(self) -> None:
        problem = self.problem
        for day in self._days:
            if not day.past:
                self._require(self._minutes(day) <= day.minutes, f"more minutes on {day.name}")
        for joint in problem.stressed:
            self._hard_days(joint)
        for task in problem.tasks:
            days = sum(self._task(task))
            if task.stressful:
                self._require(
                    days <= problem.stressful_limit,
                    f"{task.name} on more than {problem.stressful_limit} days",
                )
            if task.least:
                self._require(
                    days >= task.least, f"{task.name} on fewer than {task.least} days of the week"
                )
            self.cp.add(days <= task.most)
        for pin in problem.pins:
            if pin.there:
                name = f"{problem.task(pin.task).name} not pinned to {WEEKDAYS[pin.day]}"
                switch = self.on.get((pin.task, pin.day))
                self._require(switch == 1 if switch is not None else False, name)

    def _minutes(self, day: Day) -> LinearExprT:
        there = [
            task.minutes * self.on[task.key, day.index]
            for task in self.problem.tasks
            if (task.key, day.index) in self.on
        ]
        return sum(there) + self.problem.warm_up_on(day) * self.used[day.index]

    def _hard_days(self, joint: StressedJoint) -> None:
        hard = [task for task in self.problem.tasks if task.stress.get(joint, 0) >= HARD]
        indices = {day.index: day for day in self._days}
        is_hard = {i: self._any(self._day(day, hard), f"{joint}@{i}") for i, day in indices.items()}
        relaxed = "a second hard day in a row for the {}: {} and {}"
        if joint in self.problem.hard_before and 0 in is_hard:
            words = relaxed.format(joint, "the day before the week", WEEKDAYS[0])
            self._require(is_hard[0] == 0, words)
        for i in sorted(indices):
            if i + 1 in indices:
                words = relaxed.format(joint, WEEKDAYS[i], WEEKDAYS[i + 1])
                self._require(is_hard[i] + is_hard[i + 1] <= 1, words)

    # ---- soft terms ----------------------------------------------------------------------

    def _soft_terms(self) -> None:
        problem, weights = self.problem, self.problem.weights
        for task in problem.tasks:
            short = self._over(task.asked - sum(self._task(task)), 7)
            weight = weights.prescribed if task.prescribed else weights.asked
            self.terms.append(weight * short)
        self._together()
        for region in problem.regions:
            self._region(region)
        push = sum(t.push * s for t in problem.tasks for s in self._task(t))
        pull = sum(t.pull * s for t in problem.tasks for s in self._task(t))
        self.terms.append(weights.balance * self._distance(push - pull))
        self._waves()
        for day in self._days:
            for muscle in problem.leaned_on:
                lean = self._day(day, [t for t in problem.tasks if muscle in t.leans])
                if len(lean) > 1:
                    self.terms.append(weights.small * self._over(sum(lean) - 1, len(lean)))
        self._surfaces()
        self._rotations()
        self._even_days()
        self._moves()

    def _over(self, expression: LinearExprT, most: int) -> IntVar:
        """How far an expression is over 0."""
        over = self.cp.new_int_var(0, most, "")
        self.cp.add(over >= expression)
        return over

    def _distance(self, expression: LinearExprT) -> IntVar:
        """Its size."""
        size = self.cp.new_int_var(0, MANY, "")
        self.cp.add(size >= expression)
        self.cp.add(size >= -expression)
        return size

    def _region(self, region: str) -> None:
        problem = self.problem
        half = {task: task.sets.get(region, 0) for task in problem.tasks}  # type: ignore[call-overload]
        have = sum(half[task] * s for task in problem.tasks for s in self._task(task) if half[task])
        target = problem.targets[region]  # type: ignore[index]
        weight = problem.weights.regions
        self.terms.append(weight * self._over(target - have, MANY))
        over = self._over((have - target), MANY)
        steps = self.cp.new_int_var(0, MANY, "")
        self.cp.add(OVER_STEP * steps >= over)
        self.terms.append(weight * steps)
        self.terms.append(weight * self._over(have - 2 * target, MANY))
        prime = [task for task in problem.tasks if half[task] >= 2]
        days = [self._any(self._day(day, prime), f"{region}@{day.index}") for day in self._days]
        self.terms.append(
            problem.weights.region_days * self._over(REGION_DAYS - sum(days), REGION_DAYS)
        )

    def _together(self) -> None:
        for keys in self.problem.together:
            for day in self._days:
                there = [self.on.get((key, day.index)) for key in sorted(keys)]
                able = [switch for switch in there if switch is not None]
                if not able:
                    continue
                some = self._any(able, "")
                every = self.cp.new_bool_var("")
                if len(able) < len(there):
                    self.cp.add(every == 0)
                else:
                    self.cp.add_min_equality(every, able)
                self.terms.append(self.problem.weights.together * (some - every))

    def _waves(self) -> None:
        for days in self.problem.waves.values():
            keys = [days[wave_day] for wave_day in WAVE if wave_day in days]
            for first, second in combinations(keys, 2):
                for (key, earlier), wave_day in self.on.items():
                    for (other_key, later), other in self.on.items():
                        if (key, other_key) == (first, second) and earlier >= later:
                            self.terms.append(
                                self.problem.weights.wave * self._both(wave_day, other)
                            )

    def _both(self, one: IntVar, other: IntVar) -> IntVar:
        return self._over(one + other - 1, 1)

    def _surfaces(self) -> None:
        for surface in sorted({task.surface for task in self.problem.tasks if task.surface}):
            those = [task for task in self.problem.tasks if task.surface == surface]
            used = [
                self._any(self._day(day, those), f"{surface}@{day.index}") for day in self._days
            ]
            for one, other in pairwise(used):
                self.terms.append(self.problem.weights.surfaces * self._both(one, other))

    def _rotations(self) -> None:
        groups: dict[str, dict[str, list[WeekTask]]] = {}
        for task in self.problem.tasks:
            if task.rotation:
                groups.setdefault(task.rotation, {}).setdefault(task.letter, []).append(task)
        weight = self.problem.weights.rotation
        for group, letters in groups.items():
            there = {
                letter: [self._any(self._day(day, those), f"{group}{letter}") for day in self._days]
                for letter, those in letters.items()
            }
            for used in there.values():
                for one, other in pairwise(used):
                    self.terms.append(weight * self._both(one, other))
            for i in range(len(self._days)):
                beside = [used[i] for used in there.values()]
                self.terms.append(weight * self._over(sum(beside) - 1, len(beside)))

    def _even_days(self) -> None:
        open_days = [day for day in self._days if not day.past]
        if not open_days:
            return
        longest = self.cp.new_int_var(0, 40 * MOST_MINUTES, "longest")
        shortest = self.cp.new_int_var(0, 40 * MOST_MINUTES, "shortest")
        for day in open_days:
            self.cp.add(longest >= self._minutes(day))
            self.cp.add(shortest <= self._minutes(day))
        self.terms.append(self.problem.weights.even * (longest - shortest))

    def _moves(self) -> None:
        if not self.problem.last:
            return
        known = {task.key for task in self.problem.tasks}
        gone = sum(key in known and (key, i) not in self.on for key, i in self.problem.last)
        stayed = sum(
            1 - switch if placed in self.problem.last else switch
            for placed, switch in self.on.items()
        )
        self.terms.append(self.problem.weights.moved * (stayed + gone))


class Values:
    """Reads the value of a switch; see `Model.plan`."""

    def __init__(self, solver: "cp_model.CpSolver | cp_model.CpSolverSolutionCallback") -> None:
        """Of a finished search, or of one that is running."""
        self._solver = solver

    def __call__(self, switch: IntVar) -> int:
        """Its value."""
        return int(self._solver.value(switch))
