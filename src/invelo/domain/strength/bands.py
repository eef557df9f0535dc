"""Elastic bands: a curve fitted to pulled lengths, and what a band gives at any stretch.

Rubber in tension after Mooney and Rivlin: F = 2 A₀ (C₁ + C₂/λ)(λ − 1/λ²), with λ the length ÷ the
rest length. Colour says nothing about force between makers, so a band is measured: five pulls or
more, reaching twice its rest length. Until then its label will do, a force at a length, and says
how wide that makes everything.
"""

from dataclasses import dataclass, field, replace
from functools import lru_cache
from itertools import pairwise

import numpy as np

from invelo.domain.errors import InputError, require_within
from invelo.domain.estimate import Z80, Array, Derivation, Estimate, Input

LEAST_PULLS = 5
LEAST_REACH = 2.0
"""Stretch the pulls must reach for the curve to be known where bands are used (ours)."""

WARN_ABOVE = 2.5
"""Stretch above which a band is near its limit (common practice)."""

LIMIT = 3.0
"""Stretch a band is never taken past, unless its maker says otherwise (common practice)."""

FALLS_BY = 0.1
"""Share of the greatest force by which a longer pull may seem weaker: a reading's noise (ours)."""

FLOOR_SCATTER = 0.02
"""Least 80 % half-width of a band's force, as a share of it (ours: a hand scale's reading)."""


LABEL_SCATTER = 0.5
"""80 % half-width of the force of a band that is known from its label alone (ours: what labels call
light or heavy differs by as much, and rubber ages)."""

LABELS: dict[str, float] = {
    "very light": 4.0,
    "light": 9.0,
    "medium": 16.0,
    "heavy": 27.0,
    "very heavy": 45.0,
}
"""Kilos at twice the rest length of what labels call so (from memory, of loops of a metre)."""

LABEL_STRETCH = 2.0
"""Length ÷ rest length at which labels are told here."""


@dataclass(frozen=True)
class Pull:
    """A reading: the band pulled to a length (m) and the force it pulled with (N)."""

    length: float
    force: float

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("length", self.length, 0.01, 20.0, "m")
        require_within("force", self.force, 0.0, 3000.0, "N")


@dataclass(frozen=True)
class Band:
    """A measured band.

    Attributes:
        rest: length without pull, m.
        c1, c2: A₀C₁ and A₀C₂ of the curve, N.
        scatter: 80 % half-width of a force, as a share of it.
        limit: largest stretch allowed.
        pulls: what it was fitted to.
        measured_rest: the rest length the pulls were measured with, m; `rest` if 0 was given.
        folds: 2 where it is folded in two.
        name: what its owner calls it, and how it is held; "" where nobody said.
    """

    rest: float
    c1: float
    c2: float
    scatter: float = FLOOR_SCATTER
    limit: float = LIMIT
    pulls: tuple[Pull, ...] = ()
    measured_rest: float = 0.0
    folds: int = 1
    name: str = field(default="", compare=False)

    def __post_init__(self) -> None:
        """Check ranges."""
        if not self.measured_rest:
            object.__setattr__(self, "measured_rest", self.rest)
        require_within("rest length", self.rest, 0.05, 5.0, "m")
        require_within("limit", self.limit, 1.0, 6.0, "times the rest length")

    @property
    def measured(self) -> bool:
        """Whether it was pulled and measured; else only its label speaks."""
        return len(self.pulls) != 1

    @property
    def full_grip(self) -> bool:
        """Whether it is held at its whole length."""
        return abs(self.rest * self.folds - self.measured_rest) < 1e-9

    def force_at(self, stretch: Array | float) -> Array:
        """Newtons at a stretch λ ≥ 1, shape of `stretch`; slack (0 N) below.

        Source: Mooney–Rivlin, uniaxial.
        """
        at = np.maximum(np.asarray(stretch, float), 1.0)
        force: Array = 2.0 * (self.c1 + self.c2 / at) * (at - at**-2.0)
        return force

    def too_long(self, length: float) -> InputError:
        """What is said of a length, m, past the band's limit."""
        return InputError(
            "band length",
            f"{length:.2f} m is {length / self.rest:.1f} times the rest length; the band may break "
            f"past {self.limit:g}.",
            "Take a longer grip, a thicker band or one more.",
        )

    def pull(self, length: float) -> Estimate:
        """Force when pulled to `length`, N.

        Raises:
            InputError: past the band's limit.
        """
        require_within("band length", length, 0.0, 20.0, "m")
        stretch = length / self.rest
        if stretch > self.limit:
            raise self.too_long(length)
        likely = float(self.force_at(stretch))
        return Estimate(
            likely,
            likely * (1 - self.scatter),
            likely * (1 + self.scatter),
            "N",
            Derivation(
                "2 (A₀C₁ + A₀C₂ ÷ stretch)(stretch − 1 ÷ stretch²), "
                + (
                    "the curve fitted to this band's own pulls. The range is how far the pulls "
                    "lie from it."
                    if self.measured
                    else "through the force on its label. Five pulls narrow the range."
                ),
                (
                    Input("rest length", self.rest, "m"),
                    Input("length", length, "m"),
                    Input("stretch", stretch),
                    Input("A₀C₁", self.c1, "N"),
                    Input("A₀C₂", self.c2, "N"),
                ),
                ("Mooney 1940; Rivlin 1948 (uniaxial tension)",),
                "Near its limit: check it for nicks before each use."
                if stretch > WARN_ABOVE
                else "",
            ),
        )

    def length_for(self, force: float) -> float:
        """Length at which the band pulls with `force` N, m.

        Raises:
            InputError: if it does not pull that hard within its limit.
        """
        require_within("force", force, 0.0, 3000.0, "N")
        low, high = 1.0, self.limit
        most = float(self.force_at(high))
        if force > most:
            raise InputError(
                "force",
                f"this band pulls {most:.0f} N at most.",
                "Take a thicker band, or add one.",
            )
        while high - low > 1e-9:
            middle = (low + high) / 2
            low, high = (middle, high) if float(self.force_at(middle)) < force else (low, middle)
        return self.rest * (low + high) / 2

    def gripped(self, rest: float) -> "Band":
        """The same band held shorter: a shorter rest length pulls harder at the same length.

        Raises:
            InputError: for a grip longer than the band.
        """
        if rest > self.rest:
            raise InputError(
                "grip", f"{rest:g} m is longer than the band.", f"Take {self.rest:g} m or less."
            )
        return replace(self, rest=rest, name=self.name and f"{self.name} at {rest:g} m")

    def doubled(self) -> "Band":
        """Folded in two: two halves in parallel, each of half the rest length."""
        return replace(
            self,
            rest=self.rest / 2,
            c1=2 * self.c1,
            c2=2 * self.c2,
            folds=2 * self.folds,
            name=self.name and f"{self.name} folded",
        )

    def beside(self, other: "Band") -> "Band":
        """Two bands of one rest length side by side: forces add.

        Raises:
            InputError: if their rest lengths differ by more than 1 cm.
        """
        if abs(self.rest - other.rest) > 0.01:
            raise InputError(
                "bands",
                f"their rest lengths differ ({self.rest:g} m and {other.rest:g} m).",
                "Grip the longer one at the shorter one's length.",
            )
        return Band(
            self.rest,
            self.c1 + other.c1,
            self.c2 + other.c2,
            max(self.scatter, other.scatter),
            min(self.limit, other.limit),
            next((band.pulls for band in (self, other) if not band.measured), ()),
            name=self.name and other.name and f"{self.name} + {other.name}",
        )


@lru_cache(maxsize=512)
def fit(rest: float, pulls: tuple[Pull, ...], limit: float = LIMIT) -> Band:
    """Fit a band's curve to its pulls by non-negative linear least squares in (A₀C₁, A₀C₂). A
    single pull is the label's: the curve goes through it, and is told as widely as labels lie.

    Raises:
        InputError: for two to four pulls, pulls that do not reach twice the rest length, or forces
            that do not grow.
    """
    require_within("rest length", rest, 0.05, 5.0, "m")
    if len(pulls) == 1:
        return _from_label(rest, pulls[0], limit)
    if len(pulls) < LEAST_PULLS:
        raise InputError(
            "pulls",
            f"{len(pulls)} are too few.",
            f"Measure {LEAST_PULLS} lengths or more, or give the one force on its label.",
        )
    stretch = np.array([pull.length for pull in pulls]) / rest
    force = np.array([pull.force for pull in pulls])
    if stretch.max() < LEAST_REACH:
        raise InputError(
            "pulls",
            f"they reach {stretch.max():.2f} times the rest length only.",
            f"Pull on to {LEAST_REACH:g} times, {LEAST_REACH * rest:.2f} m.",
        )
    if stretch.min() < 1.0:
        raise InputError(
            "pulls", "one is shorter than the rest length.", "Measure the rest length again."
        )
    if force.max() <= 0.0:
        raise InputError("pulls", "none shows a force.", "Zero the scale and pull again.")
    grows = 2.0 * (stretch - stretch**-2.0)
    _require_rising(pulls)
    c1, c2 = _non_negative(np.column_stack([grows, grows / stretch]), force)
    fitted = Band(rest, c1, c2, limit=limit, pulls=pulls)
    left = (fitted.force_at(stretch) - force)[force > 0] / force[force > 0]
    spread = Z80 * float(np.sqrt(np.mean(left**2)))
    return replace(fitted, scatter=max(FLOOR_SCATTER, spread))


def _from_label(rest: float, pull: Pull, limit: float) -> Band:
    """A band through one force at one length, A₀C₁ and A₀C₂ alike (from memory, of natural
    rubber)."""
    stretch = pull.length / rest
    if stretch <= 1.0 or pull.force <= 0.0:
        raise InputError(
            "pulls",
            "the label's force must pull at a length beyond the rest length.",
            "Give a force over 0 at a greater length.",
        )
    both = pull.force / (2.0 * (1.0 + 1.0 / stretch) * (stretch - stretch**-2.0))
    return Band(rest, both, both, LABEL_SCATTER, limit, (pull,))


def _require_rising(pulls: tuple[Pull, ...]) -> None:
    """Refuse pulls of which a longer one is clearly the weaker.

    Raises:
        InputError: naming the two.
    """
    ranked = sorted(pulls, key=lambda pull: (pull.length, pull.force))
    most = max(pull.force for pull in pulls)
    for shorter, longer in pairwise(ranked):
        if longer.force < shorter.force - FALLS_BY * most:
            raise InputError(
                "pulls",
                f"the one at {100 * longer.length:.0f} cm is weaker than the one at "
                f"{100 * shorter.length:.0f} cm.",
                "A band pulls harder the longer it is: pull these two again.",
            )


def _non_negative(columns: Array, values: Array) -> tuple[float, float]:
    """Least squares in two unknowns, neither under zero: the free optimum if it is allowed, else
    the better of the two edges (exact, since the problem is convex)."""
    free, *_ = np.linalg.lstsq(columns, values, rcond=None)
    if free.min() >= 0.0:
        return float(free[0]), float(free[1])
    edges = []
    for kept in (0, 1):
        column = columns[:, kept]
        size = max(0.0, float(column @ values / (column @ column)))
        pair = (size, 0.0) if kept == 0 else (0.0, size)
        edges.append((float(((columns @ np.array(pair) - values) ** 2).sum()), pair))
    return min(edges)[1]
