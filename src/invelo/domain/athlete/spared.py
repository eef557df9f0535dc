"""A place that hurts: nothing loads it, on any ladder, until the coach clears it.

Source: common practice.
"""

from dataclasses import dataclass
from datetime import date, timedelta

from invelo.domain.athlete.limits import Limit, exceeded
from invelo.domain.athlete.screen import SPARED, PainPlace
from invelo.domain.athlete.strain import Strains
from invelo.domain.catalogue.movement import Movement

ASK_AGAIN_DAYS = 7
"""Days after which someone is asked again how a place is (common practice)."""

BACK_DAYS = 28
"""Days after a place was cleared in which what loads it may still be on its way back."""


@dataclass(frozen=True)
class SparedPlace:
    """A place that is spared.

    Attributes:
        place: which.
        since: the day it was told.
        pain: 0–10, as told.
        cleared: the day the coach cleared it, None while it is spared.
    """

    place: PainPlace
    since: date
    pain: int
    cleared: date | None = None

    @property
    def days(self) -> int:
        """It was spared."""
        return (self.cleared - self.since).days if self.cleared else 0

    @property
    def ask_on(self) -> date:
        """When to ask again how it is."""
        return self.since + timedelta(days=ASK_AGAIN_DAYS)

    def closes(self, movement: Movement, asked: Strains) -> bool:
        """Whether a movement loads it: by its class of stress, or past what a painful place is
        spared."""
        if movement.stress.get(self.place, 0):
            return True
        limits = (Limit(quantity, most, self.place) for quantity, most in SPARED[self.place])
        return bool(exceeded(asked, limits))
