"""A plan that knows the truth: the floor that no plan goes below."""

from collections.abc import Callable
from dataclasses import dataclass, field, replace
from datetime import date

from invelo.domain.simulation.plans import Fixed, PrescribedSession


@dataclass
class ToldTheTruth(Fixed):
    """Whatever truly can be shown today and was not; else the hardest rung that truly fits.

    Attributes:
        fits: whether a rung's prescription truly fits today.
        to_show: rungs whose criterion is true today and was not shown.
    """

    fits: Callable[[int], bool] = field(default=lambda _: False)
    to_show: Callable[[], set[int]] = field(default=lambda: set())
    name: str = "told the truth"

    def asks(self, day: date) -> PrescribedSession:
        """What can be shown, else the hardest that fits."""
        shows = self.to_show()
        if shows:
            self.at = max(self.order.index(index) for index in shows)
            prescription = self.ladder.rungs[self.index].prescription
            return self.asked(replace(prescription, rpe=10.0))
        there = [at for at, index in enumerate(self.order) if self.fits(index)]
        self.at = max(there, default=0)
        return self.asked(self.ladder.rungs[self.index].prescription)

    def hurt(self) -> None:
        """Tomorrow's truth tells."""
