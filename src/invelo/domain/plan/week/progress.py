"""How far the search for a week has come, and what it ends with."""

from collections.abc import Callable
from dataclasses import dataclass

from invelo.domain.plan.week.problem import Plan
from invelo.domain.plan.week.score import Breach, Score


@dataclass(frozen=True)
class Progress:
    """How far a search has come.

    Attributes:
        plan: the best so far.
        points: of its score.
        bound: points that no plan can go under, as far as is proven yet.
    """

    plan: Plan
    points: int
    bound: int

    @property
    def gap(self) -> float:
        """How far the plan may be from the best, a share of its points; 0 is proven best."""
        return (self.points - self.bound) / self.points if self.points else 0.0

    @property
    def words(self) -> str:
        """The proof, or how near."""
        if self.points <= self.bound:
            return "proven best"
        return f"within {100 * self.gap:.0f} % of the best possible"


@dataclass(frozen=True)
class PlannedWeek:
    """A week's plan.

    Attributes:
        progress: the plan with its proof.
        score: term by term.
        relaxed: what had to be relaxed, in words; empty where everything holds.
        breaches: the rules that are broken for it.
    """

    progress: Progress
    score: Score
    relaxed: tuple[str, ...] = ()
    breaches: tuple[Breach, ...] = ()

    @property
    def plan(self) -> Plan:
        """The plan."""
        return self.progress.plan


Watch = Callable[[Progress], bool]
"""Told of every better plan and every better bound; False stops the search."""
