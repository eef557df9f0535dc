"""What a plan leaves out of what was asked, and what binds on each day that has it not."""

from collections.abc import Iterator
from dataclasses import dataclass

from invelo.domain.plan.week.problem import Day, Pin, Plan, PlanningProblem, WeekTask
from invelo.domain.plan.week.score import Breach, breaches, days_of, score


@dataclass(frozen=True)
class Shortfall:
    """Something that stands on fewer days than was asked.

    Attributes:
        task: its key.
        there, asked: days it has, and days it should have.
        reasons: what binds, with the days it binds on.
    """

    task: str
    name: str
    there: int
    asked: int
    reasons: tuple[str, ...]

    @property
    def words(self) -> str:
        """In a sentence or a few."""
        days = "1 day" if self.asked == 1 else f"{self.asked} days"
        return f"{self.name}: on {self.there or 'none'} of {days} asked. {' '.join(self.reasons)}"


def shortfalls(problem: PlanningProblem, plan: Plan) -> tuple[Shortfall, ...]:
    """What is left out, ladders first; nothing of a plan that gives all that was asked."""
    short = [task for task in problem.tasks if len(days_of(plan, task)) < task.asked]
    short.sort(key=lambda task: not task.prescribed)
    return tuple(
        Shortfall(
            task.key,
            task.name,
            len(days_of(plan, task)),
            task.asked,
            tuple(_reasons(problem, plan, task)),
        )
        for task in short
    )


def _reasons(problem: PlanningProblem, plan: Plan, task: WeekTask) -> Iterator[str]:
    there = days_of(plan, task)
    by_reason: dict[str, list[str]] = {}
    for day in problem.days:
        if day.index not in there and not day.past:
            by_reason.setdefault(_binds(problem, plan, task, day), []).append(day.name)
    for reason, days in by_reason.items():
        yield f"{_listed(days)}: {reason}."
    if not by_reason:
        yield "There is no other day with time."


def _binds(problem: PlanningProblem, plan: Plan, task: WeekTask, day: Day) -> str:
    """Why a day that has it not could not have it as well."""
    if Pin(task.key, day.index, there=False) in problem.pins:
        return "you keep it off"
    if not task.fits(day):
        return "its place has no kit or floor for it"
    more = plan | {(task.key, day.index)}
    before = {breach.words for breach in breaches(problem, plan)}
    new = [breach for breach in breaches(problem, more) if breach.words not in before]
    if new:
        return "; ".join(dict.fromkeys(_short(breach) for breach in new))
    if score(problem, more).points <= score(problem, plan).points:
        return "it fits: plan again"
    return f"it fits, but {_worse(problem, plan, more)}"


def _short(breach: Breach) -> str:
    return {
        "week.minutes": "too few minutes",
        "week.hard-days": "a hard day for the same joint beside it",
        "week.stressful": "the most stressful come no more often",
        "week.least": "no more often than it may",
    }.get(breach.rule.id, breach.words.rstrip(".").lower())


def _worse(problem: PlanningProblem, plan: Plan, more: Plan) -> str:
    """The term that adding it makes worst."""
    before = {term.name: term.points for term in score(problem, plan).terms}
    terms = score(problem, more).terms
    worst = max(terms, key=lambda term: term.points - before[term.name])
    return f"at the price of {worst.words}"


def _listed(days: list[str]) -> str:
    return days[0] if len(days) == 1 else f"{', '.join(days[:-1])} and {days[-1]}"
