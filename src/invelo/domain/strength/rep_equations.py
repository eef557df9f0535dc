"""Published equations from a load to a count of reps and back: how far the literature differs.

Seven of them give the one-rep load C from r reps with a load w. Each is written as a ratio
f(r) = C / w with its inverse. The likely figure is the curve's (`rep_curve`); these span what is
told beside it.
"""

import math
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

import numpy as np

SILENT_ABOVE = 15.0
"""Brzycki and Lander speak up to this many reps."""


@dataclass(frozen=True)
class RepEquation:
    """One published equation, as the ratio of one-rep load to working load.

    Attributes:
        name: author and year.
        formula: as published.
        ratio: f(r) for r ≥ 2, a number or an array of them.
        inverse: r for a ratio, `inf` where the equation never reaches it.
        limit: largest r it speaks to.
    """

    name: str
    formula: str
    ratio: Callable[[Any], Any]
    inverse: Callable[[float], float]
    limit: float = math.inf

    def ratio_at(self, reps: float) -> float:
        """C / w for `reps ≥ 1`.

        One rep is the one-rep load whatever the equation says; between one and two reps the line
        from 1 to f(2) is ours.
        """
        if reps < 2.0:
            return float(1.0 + (self.ratio(2.0) - 1.0) * (reps - 1.0))
        return float(self.ratio(reps))

    def reps_for(self, ratio: float) -> float:
        """Inverse of `ratio_at`: 0 where the load is above the one-rep load."""
        if ratio < 1.0:
            return 0.0
        at_two = self.ratio(2.0)
        if ratio < at_two:
            return float(1.0 + (ratio - 1.0) / (at_two - 1.0))
        return self.inverse(ratio)


def _log_inverse(constant: float, scale: float, rate: float) -> Callable[[float], float]:
    """Inverse of 100 / (constant + scale·e^(−rate·r)), `inf` beyond its asymptote."""

    def inverse(ratio: float) -> float:
        rest = 100.0 / ratio - constant
        return math.inf if rest <= 0 else -math.log(rest / scale) / rate

    return inverse


EQUATIONS: tuple[RepEquation, ...] = (
    RepEquation("Epley 1985", "w (1 + r/30)", lambda r: 1 + r / 30, lambda c: 30 * (c - 1)),
    RepEquation(
        "Brzycki 1993",
        "w · 36 / (37 − r)",
        lambda r: 36 / (37 - r),
        lambda c: 37 - 36 / c,
        SILENT_ABOVE,
    ),
    RepEquation(
        "Lander 1985",
        "100 w / (101.3 − 2.67123 r)",
        lambda r: 100 / (101.3 - 2.67123 * r),
        lambda c: (101.3 - 100 / c) / 2.67123,
        SILENT_ABOVE,
    ),
    RepEquation("Lombardi 1989", "w · r^0.10", lambda r: r**0.10, lambda c: c**10),
    RepEquation(
        "Mayhew 1992",
        "100 w / (52.2 + 41.9 e^(−0.055 r))",
        lambda r: 100 / (52.2 + 41.9 * np.exp(-0.055 * r)),
        _log_inverse(52.2, 41.9, 0.055),
    ),
    RepEquation(
        "O'Conner 1989", "w (1 + 0.025 r)", lambda r: 1 + 0.025 * r, lambda c: 40 * (c - 1)
    ),
    RepEquation(
        "Wathan 1994",
        "100 w / (48.8 + 53.8 e^(−0.075 r))",
        lambda r: 100 / (48.8 + 53.8 * np.exp(-0.075 * r)),
        _log_inverse(48.8, 53.8, 0.075),
    ),
)


def speaking(reps: float) -> tuple[RepEquation, ...]:
    """The equations that speak to this many reps."""
    return tuple(e for e in EQUATIONS if reps <= e.limit)
