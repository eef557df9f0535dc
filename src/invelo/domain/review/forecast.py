"""When a criterion, when the goal: the state of capacity carried on in many futures.

Each future begins somewhere in what is known today, grows at some rate out of what is known of
growth, wanders from week to week and slackens towards what lasts. A criterion is there when all its
sets are, one after the other, tired as sets tire the next.
"""

from dataclasses import dataclass
from datetime import date, timedelta
from math import exp, log

import numpy as np

from invelo.domain.estimate import Array, Derivation, Estimate, Input
from invelo.domain.plan.prescription import Criterion
from invelo.domain.review.trend import percent_a_week
from invelo.domain.strength.fatigue import FRESH
from invelo.domain.strength.state import (
    GROWTH_FADES,
    GROWTH_IN_THE_END,
    WANDERS,
    CountedWork,
    State,
)

LEAST_DAYS = 6
"""Days that tell capacity under which nothing is forecast (ours)."""

RUNS = 2000
"""Futures."""

HORIZON = 52
"""Weeks that are looked ahead: beyond a year nothing is predicted."""

DRIFT, BACK = 0.0035, 0.9
"""How far a week's growth wanders, standard deviation of the logarithm, and which share of it stays
to the next (ours, chosen on simulated athletes whose seeds no test uses)."""

GROWTH_VAGUE = 0.0035
"""What is uncertain about growth besides what the state knows of it, standard deviation a week
(ours, chosen likewise): people change, and so does their training."""


@dataclass(frozen=True)
class Forecast:
    """When something is likely there.

    Attributes:
        what: the criterion or goal, in words.
        likely, low, high: dates; None where it lies beyond a year. `low` and `high` bound 80 % of
            the futures.
        reached: share of the futures that get there within a year.
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


def needed(work: CountedWork, criterion: Criterion, rest: float, tires: float) -> float:
    """ln of the capacity at which every set of a criterion is there with its reserve."""
    reserve = 0.0 if criterion.unit == "s" else 10.0 - criterion.rpe
    wanted = criterion.amount + reserve
    low, high = log(wanted), log(wanted) + 2.0
    for _ in range(40):
        middle = (low + high) / 2
        low, high = (low, middle) if _there(exp(middle), criterion, rest, tires) else (middle, high)
    return work.log_capacity(exp(high))


def _there(fresh: float, criterion: Criterion, rest: float, tires: float) -> bool:
    reserve = 0.0 if criterion.unit == "s" else 10.0 - criterion.rpe
    fatigue = FRESH
    for _ in range(criterion.sets):
        can = fresh * fatigue.left(tires)
        if can < criterion.amount + reserve:
            return False
        fatigue = fatigue.after(criterion.amount / can, rest)
    return True


def forecast(
    state: State,
    work: CountedWork,
    criterion: Criterion,
    rest: float,
    today: date,
    what: str,
    seed: int = 1,
    nearer: str = "",
) -> Forecast:
    """The date at which a criterion is there.

    Args:
        state: of capacity, today.
        work: of the rung whose criterion it is.
        criterion, rest: what is to be shown, and s between sets.
        today: from which it is counted.
        what: the criterion or goal, in words.
        seed: of the futures; the same gives the same.
        nearer: what would bring it nearer, in words.

    Source: ours; growth that slackens is common practice.
    """
    wanted = needed(work, criterion, rest, state.tires)
    mean, deviation = state.on(work)
    weeks = _weeks(state, mean, deviation, wanted, np.random.default_rng(seed))
    growth, error = state.growth
    return Forecast(
        what,
        _date(weeks, 0.5, today),
        _date(weeks, 0.1, today),
        _date(weeks, 0.9, today),
        float(np.isfinite(weeks).mean()),
        exp(wanted - mean) - 1.0,
        nearer,
        Derivation(
            f"The state of capacity carried on in {RUNS} futures: growth out of its range, "
            f"wandering from week to week and slackening over {GROWTH_FADES:.0f} weeks to "
            f"{100 * GROWTH_IN_THE_END:g} % a week. Likely is the middle of the futures; four of "
            "five lie between low and high.",
            (
                Input("capacity has to grow by", 100 * (exp(wanted - mean) - 1.0), "%"),
                Input("growth now", 100 * growth, "% a week"),
                Input("its standard deviation", 100 * error, "% a week"),
                Input("what is uncertain of capacity", 100 * deviation, "%"),
                Input("tires from set to set", state.tires, "× usual"),
            ),
            ("simulation, ours",),
            "Tells when capacity would allow it, if training goes on as it did.",
        ),
    )


def growth_estimate(state: State) -> Estimate:
    """Growth of capacity as the state knows it, % a week: what a forecast begins with."""
    growth, error = state.growth
    likely, low, high = percent_a_week(growth, error)
    return Estimate(
        likely,
        low,
        high,
        "% a week",
        Derivation(
            "The state's growth from day to day, weighed by every set that says something.",
            (
                Input("on", state.day.isoformat()),
                Input(
                    "last day that told",
                    state.evidence_on.isoformat() if state.evidence_on else "none",
                ),
                Input("its standard deviation", 100 * error, "% a week"),
            ),
            ("ours",),
        ),
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


def _weeks(
    state: State, mean: float, deviation: float, wanted: float, random: np.random.Generator
) -> Array:
    """Weeks until it is there, by future; infinite where it is not within a year."""
    growth, error = state.growth
    error = float(np.hypot(error, GROWTH_VAGUE))
    slope = random.normal(growth, error, RUNS)
    level = random.normal(mean, deviation, RUNS)
    wander = random.normal(0.0, DRIFT, (RUNS, HORIZON))
    for week in range(1, HORIZON):
        wander[:, week] += BACK * wander[:, week - 1]
    fade = np.exp(-np.arange(HORIZON) / GROWTH_FADES)
    rates = GROWTH_IN_THE_END + (slope[:, None] - GROWTH_IN_THE_END) * fade + wander
    steps = rates + random.normal(0.0, WANDERS / 2, (RUNS, HORIZON))
    there = np.concatenate((level[:, None], level[:, None] + np.cumsum(steps, axis=1)), axis=1)
    reached = there >= wanted
    first = np.argmax(reached, axis=1).astype(float)
    first[~reached.any(axis=1)] = np.inf
    rows = np.flatnonzero(np.isfinite(first) & (first > 0))
    at = first[rows].astype(int)
    before, after = there[rows, at - 1], there[rows, at]
    first[rows] = at - 1 + (wanted - before) / np.maximum(after - before, 1e-12)
    weeks: Array = first
    return weeks


def _date(weeks: Array, share: float, today: date) -> date | None:
    at = float(np.quantile(weeks, share, method="higher"))
    return today + timedelta(days=round(7 * at)) if np.isfinite(at) else None
