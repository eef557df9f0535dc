"""From a load to a count of reps and back: one smooth curve, strictly rising, exactly inverted.

A curve tells which share of the one-rep load allows how many reps to failure. It is laid through a
blend of published tables and equations by monotone cubic interpolation of the logarithm of the load
over the logarithm of the reps (Fritsch and Butland 1984), so that fifteen, seventeen and nineteen
reps are three capacities, and whoever goes from one load to another and back is where they began.
Squat-like work of the legs allows more reps at the same share than pressing and pulling.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from functools import cached_property
from typing import Literal, overload

import numpy as np

from invelo.domain.estimate import Array
from invelo.domain.strength.tempo import REFERENCE_REP

CurveName = Literal["upper", "legs"]

MOST_REPS = 200.0
"""Reps at which the curves end; what is beyond reads as this many."""

ROUNDING = 1e-12
"""How far under 1 a ratio may lie, in its logarithm, and still be the one-rep load."""

_STEPS = 1025
_NEWTON = 4


@dataclass(frozen=True)
class RepCurve:
    """Shares of the one-rep load over reps to failure.

    Attributes:
        name: whose curve.
        shares: reps to the share of the one-rep load that allows them, from 1 rep on; falling.
        sources: what it is blended from.
    """

    name: CurveName
    shares: Mapping[int, float]
    sources: tuple[str, ...]

    @cached_property
    def _knots(self) -> tuple[Array, Array, Array]:
        """ln reps, ln (one-rep load ÷ load), and the slope at each knot."""
        x = np.log(np.array(sorted(self.shares), dtype=float))
        y = -np.log(np.array([self.shares[reps] for reps in sorted(self.shares)]))
        step, rise = np.diff(x), np.diff(y) / np.diff(x)
        near, far = 2 * step[1:] + step[:-1], step[1:] + 2 * step[:-1]
        inner = (near + far) / (near / rise[:-1] + far / rise[1:])
        ends = [
            _end_slope(step[0], step[1], rise[0], rise[1]),
            _end_slope(step[-1], step[-2], rise[-1], rise[-2]),
        ]
        return x, y, np.concatenate([ends[:1], inner, ends[1:]])

    def _at(self, x: Array) -> tuple[Array, Array]:
        """ln ratio and its slope at ln reps."""
        knots, values, slopes = self._knots
        i = np.minimum(np.maximum(np.searchsorted(knots, x, side="right") - 1, 0), len(knots) - 2)
        h = knots[i + 1] - knots[i]
        t = (x - knots[i]) / h
        rise = values[i + 1] - values[i]
        m0, m1 = slopes[i] * h, slopes[i + 1] * h
        square, cube = 3 * rise - 2 * m0 - m1, m0 + m1 - 2 * rise
        value = values[i] + t * (m0 + t * (square + t * cube))
        return value, (m0 + t * (2 * square + 3 * t * cube)) / h

    @cached_property
    def _table(self) -> tuple[Array, Array]:
        x = np.linspace(0.0, self._knots[0][-1], _STEPS)
        return x, self._at(x)[0]

    @overload
    def ratio(self, reps: float) -> float: ...
    @overload
    def ratio(self, reps: Array) -> Array: ...
    def ratio(self, reps: float | Array) -> float | Array:
        """One-rep load ÷ the load that allows `reps` to failure; 1 at one rep and under.

        Args:
            reps: any, shape `(...)`; those beyond `MOST_REPS` read as that many.
        """
        count = np.minimum(np.maximum(np.asarray(reps, dtype=float), 1.0), MOST_REPS)
        found: Array = np.exp(self._at(np.log(count))[0])
        return float(found) if np.ndim(reps) == 0 else found

    @overload
    def reps(self, ratio: float) -> float: ...
    @overload
    def reps(self, ratio: Array) -> Array: ...
    def reps(self, ratio: float | Array) -> float | Array:
        """Reps to failure with a load that many times under the one-rep load; exact to 1e-12.

        Args:
            ratio: one-rep load ÷ load, shape `(...)`; under 1, where not one rep is there, reads 0.
        """
        wanted = np.log(np.maximum(np.asarray(ratio, dtype=float), 1e-300))
        x, values = self._table
        at = np.interp(wanted, values, x)
        for _ in range(_NEWTON):
            value, slope = self._at(at)
            at = np.minimum(np.maximum(at - (value - wanted) / slope, 0.0), x[-1])
        found: Array = np.where(wanted < -ROUNDING, 0.0, np.exp(at))
        return float(found) if np.ndim(ratio) == 0 else found


def _end_slope(h0: float, h1: float, rise0: float, rise1: float) -> Array:
    """Three-point slope at an end that keeps the curve monotone (Fritsch and Carlson 1980)."""
    slope = ((2 * h0 + h1) * rise0 - h0 * rise1) / (h0 + h1)
    slope = max(slope, 0.0)
    return np.asarray(min(slope, 3 * rise0))


SOURCES = (
    "Richens and Cleather 2014, Shimano 2006, Nuzzo 2024 (reps at shares of the one-rep load; from "
    "memory), blended with the published equations",
)

UPPER = RepCurve(
    "upper",
    {
        1: 1.0,
        2: 0.965,
        3: 0.94,
        5: 0.89,
        10: 0.77,
        15: 0.68,
        20: 0.61,
        30: 0.52,
        60: 0.36,
        200: 0.19,
    },
    (*SOURCES, "beyond 60 reps carried on (ours)"),
)
"""Pressing, pulling, and work of a single joint."""

LEGS = RepCurve(
    "legs",
    {
        1: 1.0,
        2: 0.975,
        3: 0.957,
        5: 0.92,
        10: 0.83,
        15: 0.755,
        20: 0.70,
        30: 0.615,
        60: 0.46,
        200: 0.28,
    },
    (*SOURCES, "beyond 60 reps carried on (ours)"),
)
"""Squats, steps and lunges."""

CURVES: dict[CurveName, RepCurve] = {curve.name: curve for curve in (UPPER, LEGS)}


def slow_factor(
    curve: RepCurve, reps: float | Array, plain_seconds: float | Array, exponent: float
) -> Array:
    """How much heavier a slow rep counts: the factor on the load at a rep of `REFERENCE_REP`.

    `reps` reps of `plain_seconds` each are as hard as `reps` reference reps at this many times the
    load.

    Args:
        curve: whose reps.
        reps: to failure.
        plain_seconds: as `Tempo.plain_seconds` tells a rep, shape `(...)`.
        exponent: how a count falls as reps grow longer.
    """
    longer = np.asarray(plain_seconds, dtype=float) / REFERENCE_REP
    slow = np.asarray(reps, dtype=float) * longer**exponent
    factors: Array = curve.ratio(np.atleast_1d(slow)) / curve.ratio(np.atleast_1d(np.asarray(reps)))
    return factors
