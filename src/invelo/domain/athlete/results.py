"""Two results beside each other: a retest against the test before, the left against the right.

A difference counts only beyond what either result repeats to: the two scatters joined in
quadrature, as an 80 % bound.
"""

from collections.abc import Iterable
from dataclasses import dataclass
from math import hypot

from invelo.domain.biomechanics.ratio import relative_range
from invelo.domain.errors import InputError
from invelo.domain.strength.capacity import Evidence
from invelo.domain.strength.predict import alike


@dataclass(frozen=True)
class Difference:
    """How the second of two results compares with the first.

    Attributes:
        percent: of the first's capacity; + where the second is greater.
        noise: 80 % bound of a difference that means nothing, %.
        beyond: whether it is more than noise.
    """

    percent: float
    noise: float

    @property
    def beyond(self) -> bool:
        """Whether the difference is more than noise."""
        return abs(self.percent) > self.noise

    @property
    def words(self) -> str:
        """As a coach reads it."""
        way = "more" if self.percent > 0 else "less"
        if not self.beyond:
            return f"{abs(self.percent):.0f} % {way}, within the noise of ±{self.noise:.0f} %"
        return f"{abs(self.percent):.0f} % {way}, beyond the noise of ±{self.noise:.0f} %"


def between(first: Evidence, second: Evidence) -> Difference:
    """How `second` compares with `first`, both of one person.

    What is unknown of the person and the body is in both and cancels; the day's scatter is not.

    Raises:
        InputError: if the two are limited by different things.
    """
    if not alike(first.load.setup.form, second.load.setup.form):
        raise InputError(
            "tests", "the two are limited by different things.", "Compare tests of one movement."
        )
    change = second.greatest.likely / first.greatest.likely - 1.0
    step = relative_range(second.load, first.load)
    return Difference(
        100.0 * change,
        100.0 * hypot(_scatter(first), _scatter(second), (step[1] - step[0]) / 2.0),
    )


def before(evidence: Evidence, known: Iterable[Evidence]) -> Evidence | None:
    """The newest earlier result of the same movement and side, None where there is none."""
    movement = evidence.load.setup.movement
    earlier = [
        other
        for other in known
        if other.day < evidence.day
        and (other.load.setup.movement, other.side) == (movement, evidence.side)
    ]
    return max(earlier, key=lambda other: other.day, default=None)


def _scatter(evidence: Evidence) -> float:
    """80 % half-width of a capacity from day to day, as a share of it."""
    low, high = evidence.known.capacity.repeats
    return (high - low) / (2.0 * evidence.greatest.likely)


@dataclass(frozen=True)
class Sides:
    """Left against right.

    Attributes:
        difference: of the right against the left.
        weaker: which side is, '' where the difference is noise.
    """

    difference: Difference

    @property
    def weaker(self) -> str:
        """The side to begin with."""
        if not self.difference.beyond:
            return ""
        return "left" if self.difference.percent > 0 else "right"


def sides(left: Evidence, right: Evidence) -> Sides:
    """Left against right of one test.

    Raises:
        InputError: if the two are limited by different things.
    """
    return Sides(between(left, right))
