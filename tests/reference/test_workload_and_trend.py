"""Workload against pandas and worked examples; the robust trend against SciPy."""

from datetime import date, timedelta

import numpy as np
import pandas as pd
import pytest
from scipy import stats

from invelo.domain.review.trend import TrendPoint, theil_sen, trend
from invelo.domain.review.workload import exponential, monotony, rolling, strain

RANDOM = np.random.default_rng(7)


@pytest.mark.parametrize("days", [7, 28])
@pytest.mark.parametrize("length", [1, 5, 40, 400])
def test_exponential_load_is_pandas_ewm(days: int, length: int) -> None:
    """pandas' `ewm(span=N, adjust=False)`: weight 2 ÷ (N + 1), begun at the first value."""
    series = RANDOM.gamma(2.0, 100.0, length) * (RANDOM.random(length) < 0.5)
    told = pd.Series(series).ewm(span=days, adjust=False).mean().to_numpy()
    assert np.allclose(exponential(series, days), told, rtol=1e-12, atol=1e-9)


@pytest.mark.parametrize("days", [7, 28])
def test_plain_load_is_pandas_rolling(days: int) -> None:
    series = RANDOM.gamma(2.0, 100.0, 120)
    told = pd.Series(series).rolling(days, min_periods=1).mean().to_numpy()
    assert np.allclose(rolling(series, days), told)


def test_monotony_and_strain_of_a_worked_example() -> None:
    """Foster 1998, from memory: monotony is the mean of the week's daily loads over their standard
    deviation, strain is the week's load times it. Worked here by hand, population SD:
    loads 300 0 300 0 300 0 0: sum 900, mean 128.571, SD √(270 000 ÷ 7 − 128.571²) = 148.461."""
    week = [300.0, 0.0, 300.0, 0.0, 300.0, 0.0, 0.0]
    same = monotony(week)
    assert same == pytest.approx(128.571 / 148.461, abs=1e-4)
    assert strain(week) == pytest.approx(900 * 0.86603, abs=0.05)
    assert same == pytest.approx(0.8660254, abs=1e-6)  # √3 ÷ 2 for three equal days of seven


@pytest.mark.parametrize("seed", range(20))
def test_the_robust_trend_is_scipy_s(seed: int) -> None:
    """`scipy.stats.theilslopes`: slope and intercept (method "separate")."""
    random = np.random.default_rng(seed)
    x = np.sort(random.choice(200, 30, replace=False)).astype(float)
    y = 0.3 * x + random.standard_t(2, 30)
    slope, intercept = theil_sen(x, y)
    told = stats.theilslopes(y, x)
    assert slope == pytest.approx(told.slope, rel=1e-12)
    assert intercept == pytest.approx(told.intercept, rel=1e-9, abs=1e-9)


def test_days_told_twice_are_no_slope_as_scipy_has_it() -> None:
    x = np.array([0.0, 0.0, 1.0, 2.0, 2.0, 3.0])
    y = np.array([1.0, 5.0, 2.0, 3.0, 3.5, 9.0])
    assert theil_sen(x, y)[0] == pytest.approx(stats.theilslopes(y, x).slope)


def test_one_wild_day_moves_a_trend_little() -> None:
    """What it is for: least squares (numpy's polyfit) is dragged off, the median is not."""
    first = date(2026, 1, 5)
    plain = [
        TrendPoint(first + timedelta(days=3 * i), 50.0 * 1.01 ** (3 * i / 7)) for i in range(12)
    ]
    wild = [*plain[:-1], TrendPoint(plain[-1].day, 25.0)]
    robust = trend(wild).slope
    weeks = [(one.day - first).days / 7 for one in wild]
    dragged = np.polyfit(weeks, np.log([one.value for one in wild]), 1)[0]
    assert robust == pytest.approx(np.log(1.01), abs=2e-4)
    assert dragged < 0
