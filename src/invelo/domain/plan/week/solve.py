"""The best week there is, found while the coach looks on; and what to relax where none is."""

from ortools.sat.python import cp_model

from invelo.domain.errors import InputError
from invelo.domain.plan.week.model import Model, Values
from invelo.domain.plan.week.problem import Plan, PlanningProblem
from invelo.domain.plan.week.progress import PlannedWeek, Progress, Watch
from invelo.domain.plan.week.score import breaches, score

SECONDS = 20.0
"""How long a search goes on unless it is stopped or its proof is found."""


class _Watching(cp_model.CpSolverSolutionCallback):
    def __init__(self, model: Model, watch: Watch) -> None:
        super().__init__()
        self._model = model
        self._watch = watch
        self.best: Plan | None = None
        self.points = 0

    def on_solution_callback(self) -> None:
        """A better plan is found."""
        self.best = self._model.plan(Values(self))
        self.points = round(self.objective_value)
        self.report(self.best_objective_bound)

    def report(self, bound: float) -> None:
        """The bound has moved, or the plan has."""
        if self.best is None:
            return
        progress = Progress(self.best, self.points, _whole(bound))
        if not self._watch(progress):
            self.stop_search()


def _whole(bound: float) -> int:
    """Points are whole: a bound between two is the upper."""
    return max(0, int(-(-(bound - 1e-6) // 1)))


def solve(
    problem: PlanningProblem,
    start: Plan | None = None,
    watch: Watch = lambda _: True,
    seconds: float = SECONDS,
    workers: int = 1,
    steps: float | None = None,
) -> PlannedWeek:
    """The best plan there is, or the best that is found in time.

    Where no plan keeps every hard rule, the fewest are relaxed and the answer names them.

    Args:
        problem: the week.
        start: a plan to begin from, such as the last one.
        watch: told of progress; stops the search by returning False.
        seconds: the search takes at most.
        workers: threads of the solver; one gives the same answer every time under `steps`.
        steps: a limit in the solver's own deterministic units, for runs that must repeat.
    """
    model = Model(problem)
    if start is not None:
        model.hint(start)
    solver = _solver(seconds, workers, steps)
    watching = _Watching(model, watch)
    solver.best_bound_callback = watching.report
    status = solver.solve(model.cp, watching)
    if status in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        plan = model.plan(Values(solver))
        points = round(solver.objective_value)
        progress = Progress(plan, points, min(points, _whole(solver.best_objective_bound)))
        return PlannedWeek(progress, score(problem, plan))
    if status == cp_model.UNKNOWN and watching.best is None:
        raise InputError(
            "time", "no plan was found before the search was stopped.", "Give it longer."
        )
    return _relaxed(problem, seconds, workers, steps)


def _solver(seconds: float, workers: int, steps: float | None) -> cp_model.CpSolver:
    solver = cp_model.CpSolver()
    solver.parameters.num_workers = workers
    solver.parameters.random_seed = 1
    solver.parameters.linearization_level = 2  # the sums of a week are near their relaxation
    solver.parameters.max_time_in_seconds = seconds
    if steps is not None:
        solver.parameters.max_deterministic_time = steps
    return solver


def _relaxed(
    problem: PlanningProblem, seconds: float, workers: int, steps: float | None
) -> PlannedWeek:
    """The plan that keeps as many hard rules as can be kept, and the best of those."""
    model = Model(problem, relaxing=True)
    solver = _solver(seconds, workers, steps)
    status = solver.solve(model.cp)
    if status not in (cp_model.OPTIMAL, cp_model.FEASIBLE):
        raise InputError(
            "time", "no plan was found before the search was stopped.", "Give it longer."
        )
    given_up = [words for words, switch in model.keep.items() if not solver.value(switch)]
    for words, switch in model.keep.items():
        model.cp.add(switch == (words not in given_up))
    model.cp.minimize(sum(model.terms))
    solver = _solver(seconds, workers, steps)
    solver.solve(model.cp)
    plan = model.plan(Values(solver))
    points = round(solver.objective_value)
    progress = Progress(plan, points, min(points, _whole(solver.best_objective_bound)))
    return PlannedWeek(progress, score(problem, plan), tuple(given_up), breaches(problem, plan))
