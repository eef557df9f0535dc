"""Trend and forecast: what they say, what they refuse, how they are told."""

from datetime import date, timedelta

import pytest

from invelo.domain.errors import InputError
from invelo.domain.review.forecast import LEAST_DAYS, forecast, posterior, recent
from invelo.domain.review.trend import TrendPoint, trend

MONDAY = date(2026, 3, 2)


def rising(days: int, weekly: float = 0.01, noise: float = 0.01) -> list[TrendPoint]:
    wobble = (0.0, 1.0, -1.0, 0.5, -0.5)
    return [
        TrendPoint(
            MONDAY + timedelta(days=3 * i),
            60.0 * (1 + weekly) ** (3 * i / 7) * (1 + noise * wobble[i % 5]),
        )
        for i in range(days)
    ]


def last(points: list[TrendPoint]) -> date:
    return points[-1].day


def test_growth_is_told_with_its_range_and_source() -> None:
    growth = trend(rising(20)).growth
    assert growth.low < 1.0 < growth.high
    assert growth.unit == "% a week"
    assert "Theil" in growth.derivation.sources[0]


@pytest.mark.parametrize("points", [[], rising(2), [TrendPoint(MONDAY, 60.0)] * 5])
def test_too_little_is_no_trend(points: list[TrendPoint]) -> None:
    with pytest.raises(InputError, match="too little"):
        trend(points)


def test_order_does_not_matter() -> None:
    assert trend(rising(12)) == trend(reversed(rising(12)))


def test_under_six_days_there_is_not_enough_yet() -> None:
    for days in range(LEAST_DAYS):
        with pytest.raises(InputError, match="not enough yet"):
            forecast(rising(days), 0.1, MONDAY, "the criterion")
    twice = rising(5) + rising(5)  # two sets of one day are one day
    with pytest.raises(InputError, match="5 days tell"):
        forecast(twice, 0.1, MONDAY, "the criterion")
    assert forecast(rising(LEAST_DAYS), 0.1, last(rising(LEAST_DAYS)), "the criterion").what


def test_what_is_there_already_is_today() -> None:
    points = rising(20)
    told = forecast(points, -0.2, last(points), "the criterion")
    assert told.low == told.likely == told.high == last(points)


def test_a_farther_goal_is_later_and_likely_lies_between() -> None:
    points = rising(24)
    near, far = (forecast(points, g, last(points), "it") for g in (0.03, 0.06))
    assert near.likely is not None
    assert far.likely is not None
    assert near.likely < far.likely
    assert near.low is not None
    assert near.low <= near.likely


def test_what_falls_is_not_in_sight() -> None:
    points = rising(30, weekly=-0.02)
    told = forecast(points, 0.5, last(points), "the goal")
    assert told.likely is None
    assert told.high is None
    assert told.reached < 0.5


def test_the_same_asks_the_same() -> None:
    points = rising(15)
    one, other = (forecast(points, 0.05, last(points), "it", seed=3) for _ in range(2))
    assert one == other


def test_few_days_lean_on_the_usual_and_many_speak_for_themselves() -> None:
    few, many = trend(rising(6, 0.03, 0.05)), trend(rising(60, 0.03, 0.005))
    assert posterior(few)[1] > posterior(many)[1]
    assert abs(posterior(many)[0] - many.slope) < abs(posterior(few)[0] - few.slope)


def test_what_was_long_ago_tells_little() -> None:
    old = [TrendPoint(MONDAY - timedelta(days=400 - 3 * i), 40.0 + i) for i in range(30)]
    assert recent([*old, *rising(12)]).first >= MONDAY
    assert recent([*old, *rising(3)]).first < MONDAY  # too few of the newest to stand alone


def test_a_forecast_accounts_for_itself() -> None:
    points = rising(15)
    told = forecast(points, 0.05, last(points), "it", nearer="a third day a week")
    names = {one.name for one in told.derivation.inputs}
    assert {"capacity has to grow by", "growth used", "days that tell"} <= names
    assert told.nearer == "a third day a week"


@pytest.mark.parametrize("growth", [-0.95, 21.0])
def test_a_growth_out_of_range_is_refused(growth: float) -> None:
    with pytest.raises(InputError, match="growth"):
        forecast(rising(15), growth, MONDAY, "it")
