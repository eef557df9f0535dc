"""How an athlete answers to their own weeks: how many days of what stresses most they bear."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import date, timedelta
from statistics import median

from invelo.domain.estimate import Derivation, Input
from invelo.domain.review.trend import TrendPoint

LEAST_WEEKS = 3
"""Weeks of as many days under which their own response does not tell (ours)."""

LOST = -0.02
"""Change of reach over the week after that counts as too much, share (ours)."""

MOST_DAYS = 4
"""No response raises the limit beyond this (common practice: three is more than most recover
from)."""


@dataclass(frozen=True)
class FrequencyLimit:
    """Days a week for the most stressful rungs.

    Attributes:
        days: borne.
        learned: whether their own response says so; common practice if not.
        derivation: how it came about.
    """

    days: int
    learned: bool
    derivation: Derivation


def weekly_limit(
    points: Sequence[TrendPoint], days: Mapping[date, int], usual: int = 2
) -> FrequencyLimit:
    """The most days a week after which reach did not fall.

    For each number of days that at least three weeks had, the middle change of reach into the week
    after is looked at. The limit is the greatest number whose change is above −2 % and above which
    none was borne better; where nothing was tried often enough, the usual stands.

    Args:
        points: capacity by day, oldest first.
        days: trained, by the Monday of the week.
        usual: where nothing tells, days.

    Source: ours; the usual of two is common practice.
    """
    by_week = _by_week(points)
    changes: dict[int, list[float]] = {}
    for week_start, count in days.items():
        after = week_start + timedelta(days=7)
        if count and week_start in by_week and after in by_week:
            changes.setdefault(count, []).append(by_week[after] / by_week[week_start] - 1.0)
    medians = {
        count: median(rates) for count, rates in changes.items() if len(rates) >= LEAST_WEEKS
    }
    inputs = tuple(
        Input(f"weeks of {count} days, change after", round(100 * change, 1), "%")
        for count, change in sorted(medians.items())
    )
    borne = [count for count, change in medians.items() if change > LOST and count <= MOST_DAYS]
    too_many = [count for count, change in medians.items() if change <= LOST]
    if not borne and not too_many:
        return FrequencyLimit(
            usual, False, _account(inputs, "Too few weeks tell: common practice stands.")
        )
    limit = max(borne, default=1)
    limit = min(limit, max(1, min(too_many) - 1)) if too_many else max(limit, usual)
    return FrequencyLimit(limit, True, _account(inputs, ""))


def _account(inputs: tuple[Input, ...], note: str) -> Derivation:
    return Derivation(
        "The most days a week after which the middle change of reach into the next week stayed "
        f"above {100 * LOST:.0f} %, of numbers of days that at least {LEAST_WEEKS} weeks had.",
        inputs,
        ("ours; two days are common practice",),
        note,
    )


def _by_week(points: Sequence[TrendPoint]) -> dict[date, float]:
    """The middle of each week's figures, by its Monday."""
    by_week: dict[date, list[float]] = {}
    for point in points:
        by_week.setdefault(point.day - timedelta(days=point.day.weekday()), []).append(point.value)
    return {week_start: median(values) for week_start, values in by_week.items()}
