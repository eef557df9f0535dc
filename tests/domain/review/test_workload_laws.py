"""Workload: what holds for every diary, and each mean against its definition written out."""

from datetime import date, timedelta

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.review.workload import (
    LONG_DAYS,
    SHORT_DAYS,
    SessionLoad,
    daily,
    daily_loads,
    exponential,
    monotony,
    newest_ratios,
    rolling,
    short_over_long,
    strain,
    workload,
)

pytestmark = pytest.mark.law

FIRST = date(2026, 1, 5)

loads = st.lists(st.floats(0, 900), min_size=1, max_size=70).map(np.array)
weeks = st.lists(st.floats(0, 900), min_size=7, max_size=7)
diaries = st.lists(
    st.builds(
        SessionLoad,
        day=st.integers(0, 60).map(lambda days: FIRST + timedelta(days=days)),
        rpe=st.sampled_from([3.0, 5.0, 7.0, 9.5]),
        minutes=st.sampled_from([10.0, 25.0, 60.0]),
    ),
    min_size=1,
    max_size=40,
)
today = st.integers(60, 75).map(lambda days: FIRST + timedelta(days=days))


@given(loads, st.sampled_from([SHORT_DAYS, LONG_DAYS]))
def test_the_exponential_mean_is_its_definition_written_out(series, days: int) -> None:
    """Williams et al. 2017: today's load × λ + yesterday's mean × (1 − λ), λ = 2 ÷ (N + 1)."""
    weight, mean = 2 / (days + 1), float(series[0])
    for told, load in zip(exponential(series, days), series, strict=True):
        mean = weight * load + (1 - weight) * mean
        assert told == pytest.approx(mean, abs=1e-9)


@given(loads, st.sampled_from([SHORT_DAYS, LONG_DAYS]))
def test_the_plain_mean_is_that_of_the_last_days(series, days: int) -> None:
    for i, told in enumerate(rolling(series, days)):
        assert told == pytest.approx(np.mean(series[max(0, i + 1 - days) : i + 1]), abs=1e-6)


@given(diaries, today, st.floats(0.1, 10))
def test_a_ratio_knows_no_unit(diary, now: date, scale: float) -> None:
    """Minutes or hours, effort of ten or of a hundred: acute : chronic is the same."""
    plain = daily(diary, FIRST, now)
    for mean in (exponential, rolling):
        one = short_over_long(mean(plain, SHORT_DAYS), mean(plain, LONG_DAYS))
        scaled = scale * plain
        other = short_over_long(mean(scaled, SHORT_DAYS), mean(scaled, LONG_DAYS))
        assert np.allclose(one, other, atol=1e-6, equal_nan=True)


@given(diaries, today, st.integers(1, 400))
def test_a_diary_moved_in_time_is_judged_the_same(diary, now: date, days: int) -> None:
    shift = timedelta(days=days)
    moved = [SessionLoad(one.day + shift, one.rpe, one.minutes) for one in diary]
    one, other = workload(diary, now), workload(moved, now + shift)
    assert np.array_equal(one.ratio, other.ratio, equal_nan=True)
    assert np.array_equal(one.ratio_smoothed, other.ratio_smoothed, equal_nan=True)


@given(diaries, today)
def test_what_was_done_is_neither_lost_nor_made(diary, now: date) -> None:
    series = daily(diary, FIRST, now)
    assert series.sum() == pytest.approx(sum(one.load for one in diary))
    assert (series >= 0).all()
    by_week = [workload(diary, now).week(FIRST + timedelta(weeks=i)) for i in range(12)]
    assert sum(map(sum, by_week)) == pytest.approx(series.sum())


@given(st.lists(diaries, min_size=1, max_size=4), today)
def test_many_at_once_are_each_judged_by_themselves(many, now: date) -> None:
    spans = {}
    for i, diary in enumerate(many):
        days = np.array([(one.day - FIRST).days for one in diary])
        asked = np.array([one.load for one in diary])
        spans[i] = daily_loads(days, asked, (now - FIRST).days + 1 + i)
    found = newest_ratios(spans)
    for i, diary in enumerate(many):
        own = workload(diary, now + timedelta(days=i)).on(now + timedelta(days=i))[0]
        assert found[i] == (None if own is None else pytest.approx(own))


@given(weeks, st.floats(0.5, 4))
def test_monotony_knows_no_unit_and_strain_grows_with_it(week, scale: float) -> None:
    """Foster 1998: mean over spread of the days; strain is the week's load times that."""
    plain, more = monotony(week), monotony([scale * one for one in week])
    if plain is None or more is None or np.std(week) < 1e-6:
        return
    assert more == pytest.approx(plain)
    assert strain([scale * one for one in week]) == pytest.approx(scale * strain(week))
    assert strain(week) == pytest.approx(sum(week) * plain)


@given(weeks, st.permutations(range(7)))
def test_the_order_of_days_in_a_week_changes_neither(week, order: list[int]) -> None:
    turned = [week[i] for i in order]
    assert monotony(turned) == pytest.approx(monotony(week)) or np.std(week) < 1e-6
