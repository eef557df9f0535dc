"""A plan that knows the truth: the floor that no plan goes below."""

from collections.abc import Callable
from dataclasses import dataclass, field, replace
from datetime import date

from invelo.domain.plan.methods import MOST_HARD_SETS
from invelo.domain.plan.prescription import Prescription
from invelo.domain.simulation.plans import Fixed, PrescribedSession

GROWN_EVERY = 14
"""Days for a set more."""


def _more(prescription: Prescription, sets: int) -> Prescription:
    most = max(prescription.sets, MOST_HARD_SETS)
    return replace(prescription, sets=min(most, prescription.sets + sets))


@dataclass
class ToldTheTruth(Fixed):
    """Whatever truly can be shown today and was not; else the hardest rung that truly fits. Its
    sets grow as the rules let them at most: one every two weeks.

    Attributes:
        fits: whether a rung's prescription truly fits today.
        to_show: rungs whose criterion is true today and was not shown.
    """

    fits: Callable[[int], bool] = field(default=lambda _: False)
    to_show: Callable[[], set[int]] = field(default=lambda: set())
    name: str = "told the truth"
    first: date | None = None

    def asks(self, day: date) -> PrescribedSession:
        """What can be shown, else the hardest that fits."""
        self.first = self.first or day
        grown = (day - self.first).days // GROWN_EVERY
        shows = self.to_show()
        if shows:
            self.at = max(self.order.index(index) for index in shows)
            prescription = self.ladder.rungs[self.index].prescription
            return self.asked(_more(replace(prescription, rpe=10.0), grown))
        there = [at for at, index in enumerate(self.order) if self.fits(index)]
        self.at = max(there, default=0)
        return self.asked(_more(self.ladder.rungs[self.index].prescription, grown))

    def hurt(self) -> None:
        """Tomorrow's truth tells."""
