"""The shortest chain between two demands: fewest rungs, then least cost, then by name.

A chain climbs from a lower to an upper demand by candidates of which each is harder than the one
before, by no more than a wanted ratio. Exact: layer by layer from the top, each candidate keeps the
least cost of reaching the top in just so many rungs. Since a step depends on demand alone, the
candidates one may step to are a window of those sorted by demand, and the least cost in a window is
read off a sparse table (Bender and Farach-Colton 2000, The LCA problem revisited).
"""

from collections.abc import Callable

import numpy as np
from numpy.typing import NDArray

from invelo.domain.estimate import Array

NEVER = np.iinfo(np.int64).max // 4
MOST_BETWEEN = 40
"""Rungs of one bridge beyond which it is no bridge (ours)."""

SAME = 1e-9
"""Relative play within which a ratio still counts as the wanted one."""

Costs = NDArray[np.int64]


def shortest(
    low: float, high: float, ratio: float, heights: Array, costs: Costs, name: Callable[[int], str]
) -> tuple[int, ...] | None:
    """Which candidates to climb by, from the lowest; empty where one step is enough.

    Args:
        low, high: demands to climb between; `high` is the greater.
        ratio: of the largest step, above 1.
        heights: demands of the candidates, shape `(n,)`.
        costs: of taking each, shape `(n,)`, 0 or more.
        name: of a candidate; among equals the chain whose names come first is taken.

    Returns:
        positions among the candidates, or None if no chain climbs so high in `MOST_BETWEEN`.
    """
    ratio *= 1 + SAME
    if high <= low * ratio:
        return ()
    order = np.flatnonzero((heights > low) & (heights < high))
    order = order[np.argsort(heights[order], kind="stable")]
    sorted_heights, sorted_costs = heights[order], costs[order]
    count = _fewest(low, high, ratio, sorted_heights)
    if count is None:
        return None
    first = np.searchsorted(sorted_heights, sorted_heights, side="right")
    beyond = np.searchsorted(sorted_heights, sorted_heights * ratio, side="right")
    last = np.where(sorted_heights * ratio >= high, sorted_costs, NEVER)
    layers = [last]
    for _ in range(count - 1):
        least = _least_in_windows(layers[-1], first, beyond)
        layers.append(np.where(least < NEVER, sorted_costs + least, NEVER))
    layers.reverse()
    chain: list[int] = []
    window = slice(0, int(np.searchsorted(sorted_heights, low * ratio, side="right")))
    for layer in layers:
        within = layer[window]
        equals = np.flatnonzero(within == within.min()) + window.start
        taken = int(min(equals, key=lambda i: (name(int(order[i])), i)))
        chain.append(int(order[taken]))
        window = slice(int(first[taken]), int(beyond[taken]))
    return tuple(chain)


def _fewest(low: float, high: float, ratio: float, heights: Array) -> int | None:
    """How many rungs the longest steps that there are make; None where they end short."""
    reached = low
    for count in range(MOST_BETWEEN + 1):
        if high <= reached * ratio:
            return count
        next_one = int(np.searchsorted(heights, reached * ratio, side="right")) - 1
        if next_one < 0 or heights[next_one] <= reached:
            return None
        reached = float(heights[next_one])
    return None


def _least_in_windows(values: Costs, first: Costs, beyond: Costs) -> Costs:
    """The least of `values[first:beyond]` for every pair; `NEVER` in an empty one."""
    table = [values]
    while 2 << (len(table) - 1) <= len(values):
        half = 1 << (len(table) - 1)
        table.append(np.minimum(table[-1][:-half], table[-1][half:]))
    size = beyond - first
    level = np.frexp(np.maximum(size, 1))[1] - 1
    least = np.full(len(first), NEVER, dtype=np.int64)
    for i, row in enumerate(table):
        at = np.flatnonzero((level == i) & (size > 0))
        least[at] = np.minimum(row[first[at]], row[beyond[at] - (1 << i)])
    return least
