"""Numbers that know their range, their unit and where they came from."""

from collections.abc import Sequence
from dataclasses import dataclass, field, replace

import numpy as np
from numpy.typing import NDArray

Array = NDArray[np.float64]

Z80 = 1.2815515655446004
"""Half-width of an 80 % interval of a normal distribution, in standard deviations."""


@dataclass(frozen=True)
class Input:
    """One figure that went into a result: its name, its value and its unit ('' if a word)."""

    name: str
    value: float | str
    unit: str = ""


@dataclass(frozen=True)
class Derivation:
    """How a figure came about, for a reader who wants to check it by hand.

    Attributes:
        formula: the computation in words.
        inputs: what went in.
        sources: published works, or "common practice", "from memory", "ours".
        note: what limits the figure, if anything does.
    """

    formula: str
    inputs: tuple[Input, ...] = ()
    sources: tuple[str, ...] = ()
    note: str = ""


@dataclass(frozen=True)
class Estimate:
    """A figure with its 80 % interval.

    `low <= likely <= high` always holds. `spread_low` and `spread_high` are the envelope of
    differing published methods where more than one speaks; they are no interval and are shown
    apart.
    """

    likely: float
    low: float
    high: float
    unit: str
    derivation: Derivation = field(default_factory=lambda: Derivation(""))
    spread_low: float | None = None
    spread_high: float | None = None

    def __post_init__(self) -> None:
        """Refuse an interval that does not hold its own likely value."""
        if not self.low <= self.likely <= self.high:
            raise ValueError(f"{self.low} <= {self.likely} <= {self.high} does not hold")

    def explained(self, derivation: Derivation) -> "Estimate":
        """The same figure with another account of how it came about."""
        return replace(self, derivation=derivation)


@dataclass(frozen=True)
class ComputedInput(Input):
    """A figure among the inputs that was itself computed, with its own account."""

    estimate: Estimate | None = None


@dataclass(frozen=True)
class Part:
    """One cause of uncertainty: what the result becomes at its low and at its high end."""

    cause: str
    low: float
    high: float


def combine(likely: float, parts: tuple[Part, ...]) -> tuple[float, float]:
    """Join independent causes of uncertainty into one interval.

    Departures below and above `likely` are added in quadrature, each side for itself (linear
    error propagation). A part whose low end lies above `likely` adds nothing below.

    Returns:
        `(low, high)`, in the unit of `likely`.
    """
    down = sum(max(0.0, likely - min(part.low, part.high)) ** 2 for part in parts)
    up = sum(max(0.0, max(part.low, part.high) - likely) ** 2 for part in parts)
    return likely - float(np.sqrt(down)), likely + float(np.sqrt(up))


def middle_80(values: Sequence[float]) -> tuple[float, float]:
    """10th and 90th percentile, linear between neighbours (Hyndman and Fan 1996, type 7)."""
    ranked = sorted(values)
    last = len(ranked) - 1

    def at(share: float) -> float:
        below = int(share * last)
        above = min(below + 1, last)
        return ranked[below] + (share * last - below) * (ranked[above] - ranked[below])

    return at(0.1), at(0.9)


def interval_from_variations(values: Array) -> tuple[float, float, float]:
    """Read an interval off a model run at a nominal input and at pairs around it.

    Args:
        values: shape `(1 + 2n,)`: the nominal result, then for each of `n` uncertain inputs the
            result at its low and at its high 80 % end.

    Returns:
        `(likely, low, high)`, departures of all pairs added in quadrature as `combine` does.
    """
    likely = float(values[0])
    away = values[1:].reshape(-1, 2) - likely
    down = np.minimum(away.min(axis=1), 0.0)
    up = np.maximum(away.max(axis=1), 0.0)
    return likely, likely - float(np.sqrt(down @ down)), likely + float(np.sqrt(up @ up))
