"""A robust trend: the median of all slopes between two points, and how far the points scatter."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date

import numpy as np

from invelo.domain.errors import InputError
from invelo.domain.estimate import Z80, Array, Derivation, Estimate, Input

LEAST_POINTS = 3
"""Points under which there is no trend to speak of (ours)."""

TO_SD = 1.4826
"""Median absolute deviation to standard deviation, of a normal distribution."""

MOST_POINTS = 200
"""Newest points that are looked at: pairs grow with the square."""


@dataclass(frozen=True)
class TrendPoint:
    """A figure on a day."""

    day: date
    value: float


def percent_a_week(slope: float, error: float) -> tuple[float, float, float]:
    """Growth, % a week, with its 80 % range, from that of the logarithm and its standard error."""
    likely, low, high = (100 * float(np.expm1(slope + k * Z80 * error)) for k in (0, -1, 1))
    return likely, low, high


@dataclass(frozen=True)
class Trend:
    """A line through points, robust against single ones.

    Attributes:
        slope: of the logarithm, a week.
        error: its standard error, a week.
        level: the logarithm on the newest day, on the line.
        scatter: standard deviation of the points about the line, of the logarithm.
        points: how many.
        first, last: days it spans.
    """

    slope: float
    error: float
    level: float
    scatter: float
    points: int
    first: date
    last: date

    @property
    def weeks(self) -> float:
        """It spans."""
        return (self.last - self.first).days / 7

    @property
    def growth(self) -> Estimate:
        """Growth, % a week."""
        likely, low, high = percent_a_week(self.slope, self.error)
        return Estimate(
            likely,
            low,
            high,
            "% a week",
            Derivation(
                "Median of the slopes between every two days, on the logarithm; its range from the "
                "scatter about the line (median absolute deviation × 1.4826).",
                (
                    Input("days with a figure", float(self.points)),
                    Input("from", self.first.isoformat()),
                    Input("to", self.last.isoformat()),
                    Input("scatter about the line", 100 * self.scatter, "%"),
                ),
                (
                    "Theil 1950, Proc. K. Ned. Akad. Wet. 53:386–392, from memory",
                    "Sen 1968, J Am Stat Assoc 63(324):1379–1389, from memory",
                ),
            ),
        )


def trend(points: Iterable[TrendPoint]) -> Trend:
    """The robust trend of positive figures.

    Args:
        points: in any order; the newest 200 are looked at.

    Raises:
        InputError: for fewer than three points, or for points all on one day.

    Source: Theil 1950, Sen 1968 (median of pairwise slopes; intercept by the median of what is
    left).
    """
    ordered = sorted((point for point in points if point.value > 0), key=lambda point: point.day)[
        -MOST_POINTS:
    ]
    if len(ordered) < LEAST_POINTS or ordered[0].day == ordered[-1].day:
        raise InputError(
            "sessions",
            f"{len(ordered)} tell too little of a trend.",
            "Log a few more, on other days.",
        )
    weeks = np.array([(point.day - ordered[-1].day).days / 7 for point in ordered])
    logs = np.log([point.value for point in ordered])
    slope, level = theil_sen(weeks, logs)
    left = logs - (level + slope * weeks)
    scatter = TO_SD * float(np.median(np.abs(left - np.median(left))))
    spread = float(np.sqrt(np.sum((weeks - weeks.mean()) ** 2)))
    return Trend(
        slope=slope,
        error=scatter / spread,
        level=level,
        scatter=scatter,
        points=len(ordered),
        first=ordered[0].day,
        last=ordered[-1].day,
    )


def theil_sen(x: Array, y: Array) -> tuple[float, float]:
    """Slope and intercept.

    Args:
        x, y: shape `(n,)`.

    Returns:
        The median of the slopes of all pairs with different `x`; the median of `y` less the slope
        times the median of `x`.

    Source: Theil 1950, Sen 1968.
    """
    lower, upper = np.triu_indices(len(x), 1)
    run = x[upper] - x[lower]
    apart = run != 0
    slope = float(np.median((y[upper] - y[lower])[apart] / run[apart]))
    return slope, float(np.median(y) - slope * np.median(x))
