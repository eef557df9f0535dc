"""Workload: session load, the two ways of acute : chronic, monotony and strain."""

from datetime import date, timedelta

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.errors import InputError
from invelo.domain.review.workload import (
    LONG_DAYS,
    RATIO_EASE,
    SessionLoad,
    daily,
    exponential,
    monotony,
    newest_ratios,
    ratio_on,
    ratio_words,
    rolling,
    short_over_long,
    strain,
    workload,
)

MONDAY = date(2026, 3, 2)


def sessions(count: int, every: int = 1, rpe: float = 7, minutes: float = 30) -> list[SessionLoad]:
    return [SessionLoad(MONDAY + timedelta(days=every * i), rpe, minutes) for i in range(count)]


def test_a_session_s_load_is_effort_times_minutes() -> None:
    """Foster et al. 2001, from memory: session rating × duration in minutes."""
    one = SessionLoad(MONDAY, 7, 40)
    assert one.load == 280
    assert (one.estimate.low, one.estimate.high) == (260, 300)
    assert "stands in" in SessionLoad(MONDAY, 7, 40, stood_in=True).estimate.derivation.note


def test_a_forgotten_clock_is_no_day_of_work() -> None:
    assert SessionLoad(MONDAY, 5, 900).load == 5 * 240
    assert SessionLoad(MONDAY, 5, 0).load == 5
    with pytest.raises(InputError, match="minutes"):
        SessionLoad(MONDAY, 5, -1)


def test_days_of_rest_are_zero_and_two_sessions_of_a_day_add_up() -> None:
    loads = [SessionLoad(MONDAY, 5, 10), SessionLoad(MONDAY, 5, 20), *sessions(1)]
    series = daily(loads, MONDAY, MONDAY + timedelta(days=3))
    assert list(series) == [360, 0, 0, 0]
    with pytest.raises(InputError):
        daily(loads, MONDAY, MONDAY - timedelta(days=1))


def test_sessions_out_of_order_and_in_the_future_change_nothing_of_today() -> None:
    plain = sessions(40)
    today = MONDAY + timedelta(days=30)
    ahead = [*reversed(plain), SessionLoad(MONDAY + timedelta(days=400), 10, 200)]
    assert np.array_equal(workload(plain, today).ratio, workload(ahead, today).ratio, True)


def test_nothing_is_shown_before_twenty_eight_days() -> None:
    work = workload(sessions(60), MONDAY + timedelta(days=59))
    assert np.isnan(work.ratio[: LONG_DAYS - 1 + 0]).all()
    assert work.on(MONDAY + timedelta(days=20)) == (None, None)
    assert work.on(MONDAY + timedelta(days=45))[0] is not None
    assert work.on(MONDAY + timedelta(days=400)) == (None, None)


@pytest.mark.parametrize("every", [1, 2, 3])
def test_a_steady_week_never_alarms(every: int) -> None:
    work = workload(sessions(90, every), MONDAY + timedelta(days=89))
    told = work.ratio[~np.isnan(work.ratio)]
    assert len(told) > 20
    assert (told < 1.3).all()


def test_half_as_much_again_is_worth_a_word_and_a_doubled_week_asks_to_ease() -> None:
    usual = sessions(56)
    after = MONDAY + timedelta(days=56)

    def then(times: float) -> float:
        more = [SessionLoad(after + timedelta(days=i), 7, 30 * times) for i in range(7)]
        ratio = workload([*usual, *more], after + timedelta(days=6)).on(after + timedelta(days=6))
        assert ratio[0] is not None
        return ratio[0]

    assert ratio_words(then(1)) == "as usual"
    assert then(1.5) == pytest.approx(1.5 / (4.5 / 4))
    assert ratio_words(then(1.5)) == "more than usual: ask how they are"
    assert then(2) == pytest.approx(2 / (5 / 4))
    assert ratio_words(then(2)) == "much more than usual: ease next week"
    assert "ease" in ratio_words(then(3.5))


def test_a_layoff_reads_as_less() -> None:
    work = workload(sessions(56), MONDAY + timedelta(days=70))
    assert ratio_words(work.on(MONDAY + timedelta(days=70))[0]) == "less than usual"


def test_long_rest_tells_no_ratio_by_plain_means() -> None:
    nothing = short_over_long(np.zeros(60), np.zeros(60))
    assert np.isnan(nothing).all()
    assert ratio_words(None) == "not told before four weeks of sessions"


def test_a_week_all_alike_has_no_monotony() -> None:
    assert monotony([100.0] * 7) is None
    assert strain([100.0] * 7) is None


def test_the_ratio_says_how_it_came_about_and_that_it_is_disputed() -> None:
    work = workload(sessions(60, 2), MONDAY + timedelta(days=100))
    told = ratio_on(work, MONDAY + timedelta(days=100))
    assert told is not None
    assert told.low <= told.likely <= told.high
    assert "Impellizzeri" in " ".join(told.derivation.sources)
    assert told.derivation.note.startswith("Disputed")
    assert ratio_on(work, MONDAY) is None


def test_no_session_is_said_plainly() -> None:
    with pytest.raises(InputError, match="none yet"):
        workload([], MONDAY)


@given(st.lists(st.floats(0, 2000), min_size=1, max_size=120))
def test_means_stay_within_what_they_are_of(values: list[float]) -> None:
    series = np.array(values)
    for found in (exponential(series, 7), rolling(series, 28)):
        assert len(found) == len(series)
        assert (found <= series.max() + 1e-9).all()
        assert (found >= series.min() - 1e-9).all()


def test_a_doubled_week_warns_on_the_squad_too() -> None:
    """Four even weeks, then a week of twice as much: one plain coupled ratio of 7 over 28 days
    (common practice), for one athlete as for many at once."""
    even = np.tile([100.0, 0.0, 100.0, 0.0, 100.0, 0.0, 0.0], 4)
    doubled = np.concatenate([even, 2 * even[:7]])
    told = newest_ratios({"one": doubled})
    assert told["one"] == pytest.approx(600 / ((600 + 3 * 300) / 4))
    assert told["one"] > RATIO_EASE
