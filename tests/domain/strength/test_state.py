"""The state of capacity: what each kind of set moves, what none moves, what time does."""

from datetime import date, timedelta
from math import exp, inf
from statistics import NormalDist

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from invelo.domain.strength.state import (
    LOSS_DAYS,
    STILL_DAYS,
    Asked,
    CountedWork,
    DaySeen,
    Seen,
    begin,
    chance_above,
    chance_of_each,
    chance_of_total,
    days_seen,
    seen,
    state_of,
)

MONDAY = date(2026, 3, 2)
WORK = CountedWork("press", "reps", "upper", 40.0)
HOLD = CountedWork("lever", "hold", "upper", 80.0)


def exact(reps: float, work: CountedWork = WORK) -> Seen:
    return Seen(work, reps, reps, reps + 1.0)


def at_least(reps: float) -> Seen:
    return Seen(WORK, reps, reps, inf)


def rated(reps: float, left: float) -> Seen:
    return Seen(WORK, reps, reps + left, reps + left + 1.0, 0.6, left)


def days(*each: Seen, every: int = 3) -> list[DaySeen]:
    return [DaySeen(MONDAY + timedelta(days=every * i), (one,)) for i, one in enumerate(each)]


def reps(state) -> float:
    return exp(float(WORK.log_count(state.on(WORK)[0])))


@pytest.mark.parametrize("work", [WORK, HOLD])
@given(count=st.floats(1.5, 60.0))
def test_a_count_and_its_capacity_belong_together(work: CountedWork, count: float) -> None:
    capacity = work.log_capacity(count)
    assert exp(float(work.log_count(capacity))) == pytest.approx(count, rel=1e-3)
    assert work.log_count_at(capacity)[0] == pytest.approx(float(work.log_count(capacity)))


def test_sets_to_their_end_are_believed_within_their_count() -> None:
    state = state_of(days(*[exact(10)] * 6))
    assert 9.5 < reps(state) < 12.0  # ten done and no eleventh, and a little growth to be had


def test_a_lower_bound_never_pulls_down() -> None:
    known = state_of(days(*[exact(12)] * 4))
    after = seen(known, DaySeen(known.day, (at_least(4),)))
    assert reps(after) >= reps(known) - 1e-6
    assert reps(seen(known, DaySeen(known.day, (at_least(16),)))) > reps(known) + 0.5


def test_an_end_says_more_than_a_rating_and_a_rating_more_than_a_bound() -> None:
    first = days(exact(10))
    sds = [
        seen(state_of(first), DaySeen(MONDAY + timedelta(days=3), (one,))).log_capacity[1]
        for one in (exact(11), rated(8, 3), at_least(8))
    ]
    assert sds == sorted(sds)


def test_what_says_nothing_moves_nothing() -> None:
    known = state_of(days(*[exact(12)] * 4))
    after = seen(known, DaySeen(known.day, (Seen(WORK, 3, None),)))
    assert after.log_capacity == known.log_capacity
    assert after.evidence_on == known.evidence_on


def test_a_set_after_a_tiring_one_is_read_as_tired() -> None:
    """Eight in the second set two minutes after eleven to the end is no loss."""
    known = state_of(days(*[exact(11)] * 4))
    fresh = seen(known, DaySeen(known.day + timedelta(days=3), (exact(8),)))
    tired = seen(known, DaySeen(known.day + timedelta(days=3), (exact(11), exact(8))))
    assert reps(tired) > reps(fresh) + 0.5


def test_who_falls_further_from_set_to_set_is_known_to_tire_sooner() -> None:
    steady = state_of([DaySeen(d.day, (exact(12), exact(11))) for d in days(*[exact(1)] * 8)])
    falling = state_of([DaySeen(d.day, (exact(12), exact(6))) for d in days(*[exact(1)] * 8)])
    assert falling.tires > 1.0 > steady.tires


def test_one_bad_day_is_a_bad_day_and_three_are_a_fall() -> None:
    known = state_of(days(*[exact(14)] * 8))
    once = state_of(days(*[exact(14)] * 8, exact(11)))
    thrice = state_of(days(*[exact(14)] * 8, exact(11), exact(11), exact(11)))
    assert reps(known) - reps(once) < 0.75 * (reps(known) - reps(thrice))


def test_capacity_grows_on_while_they_train_and_goes_when_they_do_not() -> None:
    known = state_of(days(*[exact(8 + i // 2) for i in range(12)]))
    soon, still, long = (
        known.later(known.day + timedelta(days=days)).log_capacity
        for days in (7, STILL_DAYS + 7, LOSS_DAYS + 40)
    )
    assert soon[0] > known.log_capacity[0]
    assert still[0] > long[0]
    assert known.log_capacity[1] < soon[1] < long[1]
    assert known.later(known.day - timedelta(days=3)) is known


def test_another_movement_says_something_of_this_one_but_not_all() -> None:
    other = CountedWork("dip", "reps", "upper", 40.0)
    known = state_of(days(*[exact(12)] * 5))
    assert known.on(other)[1] > known.on(WORK)[1]
    more = seen(known, DaySeen(known.day + timedelta(days=2), (exact(20, other),)))
    assert reps(known) < reps(more) < 17


def test_chances_fall_with_what_is_asked_and_with_sets() -> None:
    state = state_of(days(*[exact(12)] * 6))
    each = [chance_of_each(state, Asked(WORK, 3, 120.0), n, 1.0) for n in (4, 6, 8, 10)]
    assert each == sorted(each, reverse=True)
    assert chance_of_each(state, Asked(WORK, 1, 120.0), 8, 1.0) > each[2]
    assert chance_of_each(state, Asked(WORK, 3, 120.0), 8, 3.0) < each[2] - 0.05  # as much left
    total = [chance_of_total(state, Asked(WORK, 3, 120.0), n, 1.0) for n in (15, 21, 27)]
    assert total == sorted(total, reverse=True)
    assert total[0] > 0.95


@given(st.floats(-3.5, 3.5))
def test_the_share_above_is_the_normal_one(z: float) -> None:
    assert chance_above(z) == pytest.approx(1.0 - NormalDist().cdf(z), abs=2e-4)


def test_days_come_in_their_order_and_sets_in_theirs() -> None:
    sets = [(MONDAY, exact(3)), (MONDAY - timedelta(days=2), exact(5)), (MONDAY, exact(2))]
    found = days_seen(sets)
    assert [day.day for day in found] == [MONDAY - timedelta(days=2), MONDAY]
    assert [one.done for one in found[1].sets] == [3, 2]
    with pytest.raises(StopIteration):
        state_of([])


KINDS = st.one_of(
    st.builds(exact, st.floats(1, 60)),
    st.builds(at_least, st.floats(1, 60)),
    st.builds(rated, st.floats(1, 60), st.floats(0.5, 3)),
    st.just(Seen(WORK, 1, None)),
)


@settings(max_examples=60, deadline=None)
@given(st.lists(KINDS, min_size=1, max_size=25), st.integers(0, 40))
def test_whatever_is_seen_it_stays_a_state(sets: list[Seen], gap: int) -> None:
    """Positive variances, finite numbers, whatever odd sets in whatever order."""
    state = begin(DaySeen(MONDAY, (sets[0],)))
    for i, one in enumerate(sets):
        state = seen(state, DaySeen(MONDAY + timedelta(days=gap * (i // 3)), (one,)))
    assert np.isfinite(state.mean).all()
    assert (np.linalg.eigvalsh(state.cov) > -1e-9).all()
    assert 0.4 <= state.tires <= 1.6
