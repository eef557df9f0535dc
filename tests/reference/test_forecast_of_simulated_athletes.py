"""Forecasts against simulated athletes whose truth is known.

The seed is kept apart from those on which the forecast's constants were chosen.
"""

from collections.abc import Iterator
from dataclasses import dataclass
from datetime import timedelta
from functools import cache
from math import exp, floor
from statistics import fmean, median

import numpy as np

from invelo.domain.plan.prescription import Criterion
from invelo.domain.review.forecast import HORIZON, Forecast, forecast, needed
from invelo.domain.simulation.cast import Member, cast
from invelo.domain.strength.state import State, begin, seen
from tests.depth import depth
from tests.reference.lives import FIRST, REST, Lived, lived

SEED = 4200
ATHLETES = depth(30, 110)
GROWTHS = (0.06, 0.10, 0.15, 0.22)
ASKED_AT = (5, 8, 12, 16, 22)
SESSIONS = 3 * (22 + HORIZON)


@dataclass(frozen=True)
class Case:
    athlete: int
    growth: float
    truth: float
    low: float
    high: float

    @property
    def holds(self) -> bool:
        if not np.isfinite(self.truth):
            return not np.isfinite(self.high)
        return self.low - 1 / 7 <= self.truth <= self.high + 1 / 7


@cache
def cases() -> tuple[Case, ...]:
    """When a criterion a share above the sixth week is reached, asked again and again until it
    is."""
    return tuple(case for member in cast(ATHLETES, SEED) for case in _of_one(member))


def _of_one(member: Member) -> Iterator[Case]:
    life = list(lived(member, 12, SESSIONS))
    start = next(one.capacity for one in life if _week(one) >= 6)
    work = life[0].work
    for growth in GROWTHS:
        count = exp(float(work.log_count(start)) + float(work.log_count_at(start)[1]) * growth)
        criterion = Criterion(3, max(2, floor(0.7 * count)), 9.0)
        there = needed(work, criterion, REST, member.talent.falls)
        reached = next((_week(one) for one in life if one.capacity >= there), np.inf)
        for week in ASKED_AT:
            if reached <= week:
                break
            today = FIRST + timedelta(weeks=week)
            state = _state(life, week).later(today)
            told = forecast(state, work, criterion, REST, today, "the criterion")
            left = reached - week if reached - week <= HORIZON else np.inf
            yield Case(member.number, growth, left, *_ends(told, today))


def _week(session: Lived) -> float:
    return (session.day - FIRST).days / 7


def _state(life: list[Lived], week: int) -> State:
    known = [one.seen for one in life if _week(one) <= week]
    state = begin(known[0])
    for day in known:
        state = seen(state, day)
    return state


def _ends(told: Forecast, today) -> list[float]:
    return [(one - today).days / 7 if one else np.inf for one in (told.low, told.high)]


def test_four_of_five_ranges_hold_the_truth() -> None:
    known = cases()
    assert len(known) >= ATHLETES * 4
    assert 0.75 <= fmean(one.holds for one in known) <= 0.85


def test_misses_lie_on_both_sides() -> None:
    early = fmean(one.truth < one.low - 1 / 7 for one in cases())
    late = fmean(one.truth > one.high + 1 / 7 for one in cases())
    assert 0.03 < early < 0.17
    assert 0.03 < late < 0.17


def test_a_late_forecast_is_narrower_than_an_early_one() -> None:
    """Of the same criterion, which was reached: what is asked last against what was asked first."""
    by_criterion: dict[tuple[int, float], list[Case]] = {}
    for one in cases():
        if np.isfinite(one.truth):
            by_criterion.setdefault((one.athlete, one.growth), []).append(one)
    pairs = [
        (min(each[0].high, HORIZON) - each[0].low, min(each[-1].high, HORIZON) - each[-1].low)
        for each in by_criterion.values()
        if len(each) > 1
    ]
    assert len(pairs) >= 20
    assert median(late for _, late in pairs) < median(early for early, _ in pairs)
