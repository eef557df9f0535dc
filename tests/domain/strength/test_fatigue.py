"""How sets tire the next, against published falls and by what must hold whatever the constants."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.strength.fatigue import (
    FRESH,
    FRESH_ARRAYS,
    LEAST_LEFT,
    sets_to_the_end,
)


@pytest.mark.parametrize(("rest", "reps"), [(60.0, 17.5), (120.0, 21.0), (300.0, 26.5)])
def test_four_sets_with_an_eight_rep_load_come_to_what_was_published(
    rest: float, reps: float
) -> None:
    """Willardson and Burkett 2005, J Strength Cond Res 19(1):23-26, bench press (from memory:
    reps of four sets with the 8RM at 1, 2 and 5 min of rest)."""
    assert 8 * sum(sets_to_the_end(4, rest)) == pytest.approx(reps, rel=0.15)


def test_the_third_set_falls_most_at_one_minute_and_hardly_at_five() -> None:
    """Common practice, and the order of Willardson and Burkett 2006 (from memory)."""
    thirds = [sets_to_the_end(3, rest)[2] for rest in (60, 120, 180, 300)]
    assert thirds == sorted(thirds)
    assert thirds[0] < 0.55
    assert thirds[-1] > 0.75


def test_sets_that_stop_short_tire_less() -> None:
    left = [FRESH.after(share, 120.0).left() for share in (0.5, 0.7, 0.9, 1.0)]
    assert left == sorted(left, reverse=True)
    assert left[0] > 0.92  # half of what was there leaves the next nearly whole
    assert left[-1] < 0.75


def test_people_tire_at_their_own_pace() -> None:
    slow, usual, fast = (sets_to_the_end(4, 120.0, personal) for personal in (0.5, 1.0, 1.5))
    assert slow[-1] > usual[-1] > fast[-1]
    assert min(sets_to_the_end(12, 20.0, 1.5)) >= LEAST_LEFT


@given(
    st.lists(st.floats(0.0, 1.3), min_size=1, max_size=8),
    st.floats(10.0, 600.0),
    st.floats(0.5, 1.5),
)
def test_one_and_many_tire_alike(shares: list[float], rest: float, personal: float) -> None:
    one, many = FRESH, FRESH_ARRAYS
    for share in shares:
        one, many = one.after(share, rest), many.after(np.array([share]), rest)
    assert float(many.left(personal)[0]) == pytest.approx(one.left(personal))
    assert LEAST_LEFT <= one.left(personal) <= 1.0


@given(st.floats(0.3, 1.0), st.floats(20.0, 500.0))
def test_a_longer_rest_never_leaves_less(share: float, rest: float) -> None:
    after = [FRESH.after(share, seconds).left() for seconds in (rest, rest + 60.0)]
    assert after[0] <= after[1]
