"""A person's own figures, fitted to what they logged: capacity and its growth, g, endurance.

Each set says how many reps of how many seconds a load allowed on a day. Three things differ between
people: how capacity runs over time, how tempo tells (g), and how fast reps fall as the load nears
the one-rep load (the endurance exponent h: 1 is the curve itself). They are found
together by least squares on the logarithm of the reps, with a prior at the defaults, so that few or
uniform sets leave the defaults nearly as they are and say so.
"""

from dataclasses import dataclass
from datetime import date
from functools import partial

import numpy as np

from invelo.domain.errors import InputError, require_within
from invelo.domain.estimate import Z80, Array, Derivation, Estimate, Input
from invelo.domain.strength.rep_curve import CURVES, CurveName
from invelo.domain.strength.reps import ENDURANCE_SD, REP_SCATTER, RESERVE_SCATTER, RepResult
from invelo.domain.strength.tempo import ENDURANCE_EXPONENT, ENDURANCE_EXPONENT_SD, REFERENCE_REP

LEAST_SETS = 4
"""Sets under which nothing is fitted (ours: as many as there are unknowns)."""

MOST_REPS = 60.0
"""Reps beyond which a set says no more than that it was light (ours)."""

GROWTH_SD = 0.02
"""Growth of capacity a week that is not surprising, standard deviation (ours: 2 %)."""

PRIOR_RULES = 0.8
"""A figure whose interval is still this share of the prior's rests on the default."""


@dataclass(frozen=True)
class Observed:
    """A set as the fit sees it.

    Attributes:
        day: when.
        load: kg or N·m at the limiting place.
        seconds: of a rep.
        reps: to failure, those in reserve counted in; 1 to 60.
        rated: whether reps in reserve were only rated.
        curve: whose reps.
    """

    day: date
    load: float
    seconds: float
    reps: float
    rated: bool = False
    curve: CurveName = "upper"

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("load", self.load, 0.1, 5000.0, "")
        require_within("seconds a rep", self.seconds, 0.5, 240.0, "s")
        require_within("reps", self.reps, 1.0, MOST_REPS, "reps")

    @classmethod
    def of(cls, day: date, result: RepResult) -> "Observed":
        """A test or a set as it was done."""
        return cls(
            day,
            result.load,
            result.tempo.plain_seconds(),
            min(MOST_REPS, result.reps_to_failure),
            result.rpe < 10,
            result.curve,
        )

    @property
    def scatter(self) -> float:
        """Standard deviation of the logarithm of the reps."""
        test = max(1.0, REP_SCATTER * self.reps) / Z80
        rated = RESERVE_SCATTER / Z80 if self.rated else 0.0
        return float(np.hypot(test, rated)) / self.reps


@dataclass(frozen=True)
class PersonalFit:
    """A person's own figures in one family.

    Attributes:
        capacity: one-rep load at 2 s a rep on the newest day.
        growth: of capacity, % a week.
        g: how tempo tells.
        endurance: the exponent h.
        sets: how many it rests on.
        first, last: days it spans.
        heaviest, lightest: loads it spans.
        unit: of the loads.
        curve: whose reps.
    """

    capacity: Estimate
    growth: Estimate
    g: Estimate
    endurance: Estimate
    sets: int
    first: date
    last: date
    lightest: float
    heaviest: float
    unit: str
    curve: CurveName = "upper"

    def reps(self, load: float, seconds: float) -> tuple[float, str]:
        """Reps to failure at a load and a tempo, on the newest day, and what to say of it.

        The note tells where the load lies outside what was logged: nothing is carried on past the
        data unsaid.
        """
        require_within("load", load, 0.1, 5000.0, self.unit)
        count = float(reps_of(self.capacity.likely, self.endurance.likely, load, self.curve))
        expected = count * (REFERENCE_REP / seconds) ** self.g.likely
        outside = not self.lightest <= load <= self.heaviest
        note = (
            f"Carried on past the data: {self.lightest:.0f} to {self.heaviest:.0f} {self.unit} "
            "were logged."
            if outside
            else ""
        )
        return expected, note


GRID = np.arange(1.0, 60.001, 0.01)
RATIOS = {name: curve.ratio(GRID) for name, curve in CURVES.items()}


def reps_of(
    capacity: Array | float, endurance: float, load: Array | float, curve: CurveName = "upper"
) -> Array:
    """Reps of 2 s: the curve read backwards, its ratio raised to 1/h."""
    ratio = np.maximum(1.0, np.asarray(capacity) / load) ** (1.0 / endurance)
    reps: Array = np.interp(ratio, RATIOS[curve], GRID)
    return reps


def fit(observed: tuple[Observed, ...], unit: str = "kg") -> PersonalFit:
    """Fit a person's figures to their sets.

    Raises:
        InputError: for fewer than four sets.

    Source: non-linear least squares with Gaussian priors (maximum a posteriori; intervals from the
    curvature at the optimum), in a general library.
    """
    from scipy.optimize import least_squares  # loaded on first use

    if len(observed) < LEAST_SETS:
        raise InputError(
            "sets",
            f"{len(observed)} are too few to fit.",
            f"Log {LEAST_SETS} near the end of what can be done.",
        )
    last = max(other.day for other in observed)
    weeks = np.array([(other.day - last).days / 7 for other in observed])
    loads, seconds, reps, scatter = (
        np.array([getattr(other, name) for other in observed])
        for name in ("load", "seconds", "reps", "scatter")
    )
    curve = observed[0].curve
    ratios = np.interp(np.minimum(reps, 30.0), GRID, RATIOS[curve])
    start = float(np.log(max(loads * ratios)))

    def left(values: Array) -> Array:
        capacity, growth, g, endurance = values
        predicted = reps_of(np.exp(capacity + growth * weeks), endurance, loads, curve)
        predicted = predicted * (REFERENCE_REP / seconds) ** g
        priors = [
            growth / GROWTH_SD,
            (g - ENDURANCE_EXPONENT) / ENDURANCE_EXPONENT_SD,
            (endurance - 1.0) / ENDURANCE_SD,
        ]
        return np.append(np.log(predicted / reps) / scatter, priors)

    bounds = ([start - 2, -0.2, 0.2, 0.4], [start + 2, 0.2, 2.0, 2.0])
    solution = least_squares(
        left, [start, 0.0, ENDURANCE_EXPONENT, 1.0], bounds=bounds, diff_step=1e-4
    )
    spread = Z80 * np.sqrt(np.diag(np.linalg.inv(solution.jac.T @ solution.jac)))
    return _fit_estimate(observed, solution.x, spread, unit, last)


def _fit_estimate(
    observed: tuple[Observed, ...], values: Array, spread: Array, unit: str, last: date
) -> PersonalFit:
    first = min(other.day for other in observed)
    loads = [other.load for other in observed]
    inputs = (
        Input("sets", float(len(observed))),
        Input("from", first.isoformat()),
        Input("to", last.isoformat()),
        Input("lightest load", min(loads), unit),
        Input("heaviest load", max(loads), unit),
    )

    account = partial(_account, inputs, len(observed))
    capacity, growth, g, endurance = (float(value) for value in values)
    halves = [float(value) for value in spread]
    return PersonalFit(
        capacity=Estimate(
            float(np.exp(capacity)),
            float(np.exp(capacity - halves[0])),
            float(np.exp(capacity + halves[0])),
            unit,
            account("One-rep load at 2 s a rep on the newest day.", halves[0], None),
        ),
        growth=_around(
            100 * growth,
            100 * halves[1],
            "% a week",
            account("Growth of the one-rep load.", halves[1], GROWTH_SD),
        ),
        g=_around(
            g,
            halves[2],
            "",
            account(
                "How reps fall as a rep takes longer: reps × (2 s ÷ seconds)^g.",
                halves[2],
                ENDURANCE_EXPONENT_SD,
            ),
        ),
        endurance=_around(
            endurance,
            halves[3],
            "",
            account(
                "How reps fall as the load nears the one-rep load; under 1 means more reps than "
                "the published equations give.",
                halves[3],
                ENDURANCE_SD,
            ),
        ),
        sets=len(observed),
        first=first,
        last=last,
        lightest=min(loads),
        heaviest=max(loads),
        unit=unit,
        curve=observed[0].curve,
    )


def _account(
    inputs: tuple[Input, ...], sets: int, formula: str, half: float, prior: float | None
) -> Derivation:
    rests = prior is not None and half > PRIOR_RULES * Z80 * prior
    return Derivation(
        f"{formula} Fitted with the others to {sets} sets by least squares on the "
        "logarithm of the reps, with a prior at the default.",
        inputs,
        ("least squares with a prior, ours",),
        "The sets say little of it: this is nearly the default." if rests else "",
    )


def _around(likely: float, half: float, unit: str, derivation: Derivation) -> Estimate:
    return Estimate(likely, likely - half, likely + half, unit, derivation)
