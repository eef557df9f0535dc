"""Intervals: order, combination, percentiles."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.estimate import Estimate, Part, combine, interval_from_variations, middle_80

numbers = st.floats(-1000, 1000, allow_nan=False)


def test_an_interval_holds_its_likely_value() -> None:
    with pytest.raises(ValueError, match="does not hold"):
        Estimate(5, 6, 7, "kg")


@given(numbers, st.lists(st.tuples(numbers, numbers), max_size=6))
def test_combined_causes_hold_the_likely_value(
    likely: float, ends: list[tuple[float, float]]
) -> None:
    low, high = combine(likely, tuple(Part("", a, b) for a, b in ends))
    assert low <= likely <= high


def test_independent_causes_add_in_quadrature() -> None:
    low, high = combine(10, (Part("one", 7, 13), Part("other", 6, 14)))
    assert (low, high) == (5, 15)


def test_a_cause_on_one_side_moves_that_side_only() -> None:
    assert combine(10, (Part("", 10, 12),)) == (10, 12)


def test_variations_come_in_pairs_after_the_nominal() -> None:
    likely, low, high = interval_from_variations(np.array([10.0, 7.0, 13.0, 6.0, 14.0]))
    assert (likely, low, high) == (10, 5, 15)


@given(st.lists(numbers, min_size=1, max_size=12))
def test_percentiles_agree_with_numpy(values: list[float]) -> None:
    expected = np.percentile(values, [10, 90])
    assert middle_80(values) == pytest.approx(tuple(expected), abs=1e-9)
