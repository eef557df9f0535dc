"""How a set tires the next: a reserve that empties with what was done and refills with rest.

Two shares of what is possible are missing after a set: one that comes back within minutes, one that
takes a session. A set taken to its end empties both as far as they go; one that stops short of it
empties them by the square of how near the end it came.
"""

from dataclasses import dataclass
from math import exp

import numpy as np

from invelo.domain.estimate import Array

FAST, FAST_SECONDS = 0.55, 90.0
SLOW, SLOW_SECONDS = 0.14, 1200.0
"""Share of the reps that is missing right after a set to its end, and the seconds in which it comes
back to 37 %; the same of the part that lasts (fitted by eye to the falls over sets at 1, 2, 3 and
5 min of rest in Willardson and Burkett 2005, J Strength Cond Res 19(1):23–26, and 2006,
20(2):400–403, from memory)."""

PERSONAL_SD = 0.25
"""How far people differ in all of it, as a standard deviation of a factor round 1 (ours: ± 50 %
takes in nearly everybody)."""

LEAST_LEFT = 0.15
"""Share of the fresh reps under which nobody falls while they still try (ours)."""


@dataclass(frozen=True)
class Fatigue:
    """What is missing before a set, as shares of the fresh reps or seconds.

    Attributes:
        fast, slow: the two parts.
    """

    fast: float = 0.0
    slow: float = 0.0

    @property
    def missing(self) -> float:
        """Both together, of somebody usual."""
        return self.fast + self.slow

    def left(self, personal: float = 1.0) -> float:
        """Share of the fresh reps that is there, for someone who tires so many times as usual."""
        return max(LEAST_LEFT, 1.0 - personal * self.missing)

    def after(self, share: float, rest: float) -> "Fatigue":
        """The next set's: after one that took a share of what was possible, and a rest.

        Args:
            share: done ÷ possible at that moment, 0 to 1.
            rest: s.
        """
        took = min(1.0, max(0.0, share)) ** 2
        fast = self.fast + (FAST - self.fast) * took
        slow = self.slow + SLOW * (1.0 - self.slow) * took
        return Fatigue(fast * exp(-rest / FAST_SECONDS), slow * exp(-rest / SLOW_SECONDS))


FRESH = Fatigue()


@dataclass(frozen=True, eq=False)
class Fatigues:
    """The same for many at once, arrays of one shape."""

    fast: Array
    slow: Array

    def left(self, personal: float = 1.0) -> Array:
        """Share of the fresh reps that is there."""
        return np.maximum(LEAST_LEFT, 1.0 - personal * (self.fast + self.slow))

    def after(self, share: Array, rest: float) -> "Fatigues":
        """The next set's; see `Fatigue.after`."""
        took = np.clip(share, 0.0, 1.0) ** 2
        return Fatigues(
            (self.fast + (FAST - self.fast) * took) * exp(-rest / FAST_SECONDS),
            (self.slow + SLOW * (1.0 - self.slow) * took) * exp(-rest / SLOW_SECONDS),
        )


FRESH_ARRAYS = Fatigues(np.zeros(1), np.zeros(1))


def sets_to_the_end(count: int, rest: float, personal: float = 1.0) -> tuple[float, ...]:
    """What sets taken to their end come to, as shares of the first.

    Args:
        count: of sets.
        rest: between them, s.
        personal: how many times as fast as usual someone tires.
    """
    shares, fatigue = [], FRESH
    for _ in range(count):
        shares.append(fatigue.left(personal))
        fatigue = fatigue.after(1.0, rest)
    return tuple(shares)
