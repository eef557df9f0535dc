"""Trend and forecast: what they say, what they refuse, how they are told."""

from datetime import date, timedelta

import pytest

from invelo.domain.errors import InputError
from invelo.domain.plan.prescription import Criterion
from invelo.domain.review.forecast import Forecast, forecast, nearer_by, needed
from invelo.domain.review.trend import TrendPoint, trend
from invelo.domain.strength.state import CountedWork, DaySeen, Seen, State, state_of

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


WORK = CountedWork("press", "reps", "upper", 40.0)


def known(days: int = 20, begins: int = 8, every: int = 3) -> State:
    """Who does three sets to their end every other day, one rep more every so many days."""
    return state_of(
        [
            DaySeen(
                MONDAY + timedelta(days=2 * i),
                tuple(
                    Seen(WORK, begins + i // every - k, begins + i // every - k, error=0.3)
                    if k
                    else Seen(
                        WORK, begins + i // every, begins + i // every, begins + i // every + 1
                    )
                    for k in range(2)
                ),
            )
            for i in range(days)
        ]
    )


def told(state: State, amount: int, seed: int = 1, work: CountedWork = WORK) -> Forecast:
    criterion = Criterion(3, amount, 9.0)
    return forecast(state, work, criterion, 120.0, state.day, "the criterion", seed, "more of it")


def test_what_is_there_already_is_today() -> None:
    state = known()
    there = told(state, 2)
    assert there.low == there.likely == there.high == state.day
    assert there.growth < 0
    assert there.reached == 1.0


def test_a_farther_criterion_is_later_and_likely_lies_between() -> None:
    near, far = (told(known(), amount) for amount in (13, 15))
    assert near.low is not None
    assert near.likely is not None
    assert far.likely is not None
    assert near.low <= near.likely < far.likely
    assert near.growth < far.growth


def test_what_is_far_beyond_a_year_is_not_in_sight() -> None:
    heavy = CountedWork("press", "reps", "upper", 120.0)
    far = told(known(), 12, work=heavy)
    assert far.likely is None
    assert far.high is None
    assert far.reached < 0.5


def test_the_same_asks_the_same() -> None:
    assert told(known(), 14, seed=3) == told(known(), 14, seed=3)
    assert told(known(), 14, seed=3) != told(known(), 14, seed=4)


def test_all_sets_have_to_be_there_not_only_the_first() -> None:
    one, three, slow = (
        needed(WORK, Criterion(sets, 10, 9.0), rest, 1.0)
        for sets, rest in ((1, 120.0), (3, 120.0), (3, 300.0))
    )
    assert one < slow < three
    assert needed(WORK, Criterion(3, 10, 9.0), 120.0, 1.4) > three  # who tires sooner needs more


def test_a_longer_look_knows_growth_better() -> None:
    assert known(40).growth[1] < known(6).growth[1]


def test_a_forecast_accounts_for_itself() -> None:
    found = told(known(), 15)
    names = {one.name for one in found.derivation.inputs}
    assert {"capacity has to grow by", "growth now", "tires from set to set"} <= names
    assert found.nearer == "more of it"


@pytest.mark.parametrize(
    ("days", "rpe", "done", "growth", "says"),
    [
        (3.0, 8.5, 0.5, 0.01, "Do the planned sessions: 50 %"),
        (1.5, 8.5, 0.9, 0.01, "second day"),
        (3.0, 6.2, 0.9, 0.01, "nearer their end"),
        (3.0, 8.5, 0.9, -0.01, "Change one thing"),
        (3.0, 8.5, 0.9, 0.01, "Go on"),
    ],
)
def test_what_would_bring_it_nearer_is_the_first_that_is_missing(
    days: float, rpe: float, done: float, growth: float, says: str
) -> None:
    assert says in nearer_by(days, rpe, done, growth)
