"""When the next criterion, when the goal: a capacity's robust trend carried on by simulation.

What is asked is by how much capacity has to grow until a rung's criterion is likely shown. The
trend of
the logarithm of capacity is carried on many times over: each time with another slope out of its
range, pulled towards a plain expectation while few days tell, and with growth that slackens or
picks up from week to week as people's does.
"""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, timedelta

import numpy as np

from invelo.domain.errors import InputError, require_within
from invelo.domain.estimate import Array, Derivation, Input
from invelo.domain.review.trend import Trend, TrendPoint, trend

LEAST_DAYS = 6
"""Dated sets under which nothing is forecast."""

RUNS = 2000
"""Futures that are simulated."""

HORIZON = 104
"""Weeks that are looked ahead."""

USUAL_GROWTH, USUAL_GROWTH_SD = 0.008, 0.010
"""Growth a week that is expected before anything is known, and its spread, of the logarithm (ours:
chosen on simulated athletes whose seeds are kept apart from the tests')."""

FADE = 13.0
"""Weeks over which growth slackens to about a third (ours: training answers most at first)."""

DRIFT, BACK = 0.006, 0.9
"""How far a week's growth wanders from the last, standard deviation, and which share of how far it
has wandered stays to the next (ours, chosen likewise)."""

WINDOW = 10
"""Newest weeks whose trend is carried on (ours): what was long ago tells little of tomorrow."""

ALIKE = 1.7
"""How much vaguer a slope is for neighbouring days telling alike, each being the middle of three
(ours)."""


LEAST_SCATTER = 0.02
"""Less than this a few days' sets are never off, standard deviation of the logarithm (ours)."""


@dataclass(frozen=True)
class Forecast:
    """When something is likely reached.

    Attributes:
        what: the criterion or goal, in words.
        likely, low, high: dates; None where it lies beyond two years or is not in sight. `low` and
            `high` bound 80 % of the simulated futures.
        reached: share of the futures that get there within two years.
        growth: by how much capacity has to grow, share.
        nearer: what would bring it nearer, in words.
        derivation: how it came about.
    """

    what: str
    likely: date | None
    low: date | None
    high: date | None
    reached: float
    growth: float
    nearer: str
    derivation: Derivation


def forecast(
    points: Sequence[TrendPoint],
    growth: float,
    today: date,
    what: str,
    seed: int = 1,
    nearer: str = "",
) -> Forecast:
    """The date at which capacity has grown by a share.

    Args:
        points: capacity by day, kg or N·m.
        growth: that is wanted over what the newest points say, as a share: 0.1 is a tenth more; 0
            or less is there already.
        today: from which it is counted.
        what: the criterion or goal, in words.
        seed: of the simulation; the same gives the same.
        nearer: what would bring it nearer, in words.

    Raises:
        InputError: for fewer than six days, or a growth out of range.

    Source: Theil–Sen trend (Theil 1950, Sen 1968) with a normal prior, carried on by simulation;
    ours.
    """
    require_within("growth", growth, -0.9, 20.0, "of capacity")
    days = len({point.day for point in points})
    if days < LEAST_DAYS:
        raise InputError(
            "sessions",
            f"{days} days tell: not enough yet for a forecast.",
            f"Log sets near their end on {LEAST_DAYS - days} more.",
        )
    line = recent(points)
    weeks = _weeks(line, growth, today, np.random.default_rng(seed))
    return Forecast(
        what=what,
        likely=_date(weeks, 0.5, today),
        low=_date(weeks, 0.1, today),
        high=_date(weeks, 0.9, today),
        reached=float(np.isfinite(weeks).mean()),
        growth=growth,
        nearer=nearer,
        derivation=_account(line, growth),
    )


LEAST_DAYS_A_WEEK = 2
LOW_RPE = 7.0
LOW_SHARE = 0.7
"""Days a week, mean effort and share of planned sessions under which each is named as what would
bring a criterion nearer (days: common practice; the others ours)."""


def nearer_by(days_a_week: float, rpe: float, done_share: float, growth: float) -> str:
    """What would bring a criterion nearer, in words.

    Args:
        days_a_week: trained lately.
        rpe: mean of the sets.
        done_share: of the planned sessions that were done.
        growth: trend of capacity, share a week.
    """
    if done_share < LOW_SHARE:
        return f"Do the planned sessions: {100 * done_share:.0f} % of them were done."
    if days_a_week < LEAST_DAYS_A_WEEK:
        return "A second day a week: once is too little."
    if rpe < LOW_RPE:
        return f"Sets nearer their end: the mean effort is {rpe:.1f}."
    if growth <= 0:
        return "Change one thing, as the review proposes: capacity does not rise."
    return "Go on as you do; an easier week now and then keeps it rising."


def recent(points: Sequence[TrendPoint]) -> Trend:
    """The trend of the newest weeks; of everything while those hold too few days."""
    since = max(point.day for point in points) - timedelta(weeks=WINDOW)
    newest = [point for point in points if point.day > since]
    return trend(newest if len({point.day for point in newest}) >= LEAST_DAYS else points)


def posterior(line: Trend) -> tuple[float, float]:
    """Growth a week and its standard error: the trend, pulled towards the usual while it is vague.

    Source: the product of two normal distributions.
    """
    error = max(ALIKE * line.error, 1e-4)
    told, usual = 1.0 / error**2, 1.0 / USUAL_GROWTH_SD**2
    mean = (told * line.slope + usual * USUAL_GROWTH) / (told + usual)
    return float(mean), float((told + usual) ** -0.5)


def _weeks(line: Trend, growth: float, today: date, random: np.random.Generator) -> Array:
    """Weeks from today until it is reached, by future; infinite where it is not in time."""
    mean, error = posterior(line)
    slope = random.normal(mean, error, RUNS)
    level = random.normal(0.0, max(LEAST_SCATTER, line.scatter), RUNS)
    since = (today - line.last).days / 7
    steps = np.arange(HORIZON)
    wander = random.normal(0.0, DRIFT, (RUNS, HORIZON))
    for week in range(1, HORIZON):
        wander[:, week] += BACK * wander[:, week - 1]
    rates = (slope[:, None] + wander) * np.exp(-steps / FADE)
    ahead = level[:, None] + since * slope[:, None] + np.cumsum(rates, axis=1)
    wanted = np.log1p(growth)
    ahead = np.concatenate(((level + since * slope)[:, None], ahead), axis=1)
    there = ahead >= wanted
    first = np.argmax(there, axis=1).astype(float)
    first[~there.any(axis=1)] = np.inf
    return _between(ahead, first, wanted)


def _between(ahead: Array, first: Array, wanted: float) -> Array:
    """Within the week in which it is reached, by straight line."""
    found = first.copy()
    inside = np.isfinite(first) & (first > 0)
    rows = np.flatnonzero(inside)
    at = first[rows].astype(int)
    before, after = ahead[rows, at - 1], ahead[rows, at]
    found[rows] = at - 1 + (wanted - before) / np.maximum(after - before, 1e-12)
    return found


def _date(weeks: Array, share: float, today: date) -> date | None:
    at = float(np.quantile(weeks, share, method="higher"))
    return today + timedelta(days=round(7 * at)) if np.isfinite(at) else None


def _account(line: Trend, growth: float) -> Derivation:
    mean, error = posterior(line)
    return Derivation(
        f"Robust trend of the logarithm of capacity, pulled towards {100 * USUAL_GROWTH:.1f} % a "
        f"week while few days tell, carried on in {RUNS} simulated futures whose growth wanders "
        f"from week to week and slackens over {FADE:.0f} weeks. Likely is the middle of the "
        "futures; four of five lie between low and high.",
        (
            Input("capacity has to grow by", 100 * growth, "%"),
            Input("days that tell", float(line.points)),
            Input("trend", 100 * line.slope, "% a week"),
            Input("growth used", 100 * mean, "% a week"),
            Input("its standard error", 100 * error, "% a week"),
            Input("scatter of a day", 100 * line.scatter, "%"),
        ),
        ("Theil 1950 and Sen 1968, from memory", "simulation, ours"),
        "Tells when capacity would allow the criterion, if training goes on as it did.",
    )
