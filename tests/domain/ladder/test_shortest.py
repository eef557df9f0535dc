"""The shortest chain: equal to brute force, and to a general graph library."""

import itertools
import math
import random

import networkx as nx
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from invelo.domain.ladder.shortest import shortest

CASES = 300


def brute(low: float, high: float, ratio: float, heights, costs, names) -> tuple[int, ...] | None:
    """Every chain there is, the best by the stated order."""
    if high <= low * ratio:
        return ()
    order = sorted(range(len(heights)), key=lambda i: heights[i])
    best = None
    for count in range(1, len(order) + 1):
        for chain in itertools.combinations(order, count):
            levels = [low, *(heights[i] for i in chain), high]
            if any(not a < b <= a * ratio for a, b in itertools.pairwise(levels)):
                continue
            told = (sum(costs[i] for i in chain), [names[i] for i in chain])
            if best is None or told < best[0]:
                best = (told, chain)
        if best is not None:
            return best[1]
    return None


def test_it_equals_brute_force_on_random_small_cases() -> None:
    rng = random.Random(7)
    found = {"none": 0, "empty": 0, "chain": 0}
    for _ in range(CASES):
        count = rng.randint(0, 11)
        low, high = 10.0, rng.uniform(10.5, 25.0)
        heights = [
            rng.choice([rng.uniform(8, 27), round(rng.uniform(8, 27))]) for _ in range(count)
        ]
        costs = [rng.randint(0, 4) for _ in range(count)]
        names = [f"{rng.choice('abc')}{i}" for i in range(count)]
        ratio = rng.uniform(1.05, 1.6)
        want = brute(low, high, ratio, heights, costs, names)
        got = shortest(
            low, high, ratio, np.array(heights), np.array(costs, dtype=np.int64), names.__getitem__
        )
        assert got == want, (low, high, ratio, heights, costs, names)
        found["none" if want is None else "chain" if want else "empty"] += 1
    assert min(found.values()) >= 10, found


@settings(max_examples=200)
@given(
    st.lists(st.tuples(st.floats(5, 40), st.integers(0, 3)), max_size=8),
    st.floats(11, 35),
    st.floats(1.02, 1.8),
)
def test_it_equals_brute_force_whatever_the_case(
    given_ones: list[tuple[float, int]], high: float, ratio: float
) -> None:
    heights = [height for height, _ in given_ones]
    costs = [cost for _, cost in given_ones]
    names = [f"r{i}" for i in range(len(heights))]
    levels = [10.0, high, *heights]
    near = [a / b / ratio - 1 for a in levels for b in levels if b < a]
    if any(abs(play) < 1e-8 for play in near):
        return  # a step of just the wanted size, within rounding: either answer will do
    got = shortest(
        10.0, high, ratio, np.array(heights), np.array(costs, dtype=np.int64), names.__getitem__
    )
    assert got == brute(10.0, high, ratio, heights, costs, names)


@pytest.mark.parametrize("seed", range(5))
def test_it_equals_dijkstra_on_a_graph(seed: int) -> None:
    """NetworkX's weighted shortest path on the graph of every step there is."""
    rng = np.random.default_rng(seed)
    low, high, ratio, big = 10.0, 31.0, 1.1, 10_000
    heights = rng.uniform(9, 33, 300)
    costs = rng.integers(0, 9, 300)
    graph = nx.DiGraph()
    levels = {"low": low, "high": high, **dict(enumerate(heights))}
    for a, b in itertools.permutations(levels, 2):
        if b != "low" and levels[a] < levels[b] <= levels[a] * ratio:
            graph.add_edge(a, b, weight=big + (0 if b == "high" else int(costs[b])))
    path = nx.dijkstra_path(graph, "low", "high")[1:-1]
    got = shortest(low, high, ratio, heights, costs, str)
    assert got is not None
    assert len(got) == len(path)
    assert sum(costs[list(got)]) == sum(costs[path])


def test_fewest_rungs_come_before_cost_and_cost_before_name() -> None:
    heights = np.array([11.0, 12.0, 12.0, 12.0])
    costs = np.array([0, 5, 3, 3])
    names = ["a", "a", "c", "b"]
    assert shortest(10, 14, 1.2, heights, costs, names.__getitem__) == (3,)


def test_nothing_is_needed_where_one_step_is_enough() -> None:
    assert shortest(10, 11, 1.1, np.array([]), np.array([], dtype=np.int64), str) == ()


def test_a_chain_never_stands_still() -> None:
    """Candidates as hard as the lower or the upper rung are no step."""
    heights = np.array([10.0, 20.0])
    assert shortest(10, 20, 1.5, heights, np.zeros(2, dtype=np.int64), str) is None


def test_a_gap_too_wide_for_any_number_of_rungs_has_none() -> None:
    heights = np.geomspace(1, 1e6, 5000)
    assert shortest(1.0, 1e6, 1.02, heights, np.zeros(5000, dtype=np.int64), str) is None
    assert math.log(1e6) / math.log(1.02) > 40
