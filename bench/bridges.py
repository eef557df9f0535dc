"""Bridges: a ladder of twenty-five rungs among fifty thousand candidates, and the search itself
against the same search on NetworkX's graph, with the same answer."""

import statistics
import time

import networkx as nx
import numpy as np

from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, sorted_values
from invelo.domain.equipment.kit import ANYTHING
from invelo.domain.ladder import candidates
from invelo.domain.ladder.bridge import bridge
from invelo.domain.ladder.ladder import measure
from invelo.domain.ladder.rung import Rung
from invelo.domain.ladder.shortest import shortest
from invelo.domain.ladder.step_policy import StepPolicy
from invelo.domain.plan.prescription import range_criterion, range_prescription

RUNGS, BODIES = 25, 8
PLAIN, RUNS = 2000, 5
ANOTHER = 1_000_000


def _rung(name: str, **values: float) -> Rung:
    movement = catalogue().find_movement("push-up")
    prescription = range_prescription("strength", "beginner")
    return Rung(
        name,
        movement,
        Modifiers(sorted_values(values)),
        prescription,
        range_criterion(prescription),
    )


def _ladder() -> tuple[Rung, ...]:
    """From a counter to one arm, with a gap before the last rung."""
    raised = [_rung(f"hands {i}", hand_height=round(0.9 - 0.05 * i, 2)) for i in range(18)]
    feet = [_rung(f"feet {i}", foot_height=round(0.1 * i, 2)) for i in range(6)]
    return (*raised, *feet, _rung("one arm", share=100))


def _answers() -> dict[str, float]:
    took, considered = [], 0
    rungs = _ladder()
    assert len(rungs) == RUNGS
    for i in range(BODIES):
        body = Body(60.0 + 5 * i, 1.6 + 0.04 * i)
        measured = measure(body, rungs)
        gap = next(step for step in measured.steps if step.gap and step.lower > 10)
        candidates.candidates.cache_clear()
        began = time.perf_counter()
        found = bridge(body, rungs[gap.lower], rungs[gap.upper], ANYTHING, StepPolicy())
        took.append(1000 * (time.perf_counter() - began))
        considered = found.considered
        assert found.possible
    return {"candidates": considered, "ms": statistics.median(took), "worst ms": max(took)}


def _networkx(low: float, high: float, ratio: float, heights: np.ndarray, costs: np.ndarray) -> int:
    graph = nx.DiGraph()
    order = np.argsort(heights)
    ranked = heights[order]
    for place, i in enumerate(order):
        if ranked[place] <= low or ranked[place] >= high:
            continue
        if ranked[place] <= low * ratio:
            graph.add_edge("low", int(i), weight=ANOTHER + int(costs[i]))
        if high <= ranked[place] * ratio:
            graph.add_edge(int(i), "high", weight=0)
        end = int(np.searchsorted(ranked, ranked[place] * ratio, side="right"))
        for k in order[place + 1 : end]:
            graph.add_edge(int(i), int(k), weight=ANOTHER + int(costs[k]))
    return int(nx.dijkstra_path_length(graph, "low", "high"))


def _against() -> dict[str, float]:
    ours, reference = [], []
    for seed in range(RUNS):
        random = np.random.default_rng(seed)
        heights = np.exp(random.uniform(np.log(9), np.log(40), PLAIN))
        costs = random.integers(0, 3000, PLAIN)
        began = time.perf_counter()
        chain = shortest(10.0, 35.0, 1.1, heights, costs, str)
        ours.append(1000 * (time.perf_counter() - began))
        began = time.perf_counter()
        length = _networkx(10.0, 35.0, 1.1, heights, costs)
        reference.append(1000 * (time.perf_counter() - began))
        assert chain is not None
        assert len(chain) * ANOTHER + int(costs[list(chain)].sum()) == length
    return {
        "ours, ms": statistics.median(ours),
        "NetworkX, ms": statistics.median(reference),
        "ratio": statistics.median(reference) / statistics.median(ours),
    }


def run() -> dict[str, dict[str, float]]:
    """Both; ms and the ratio."""
    return {
        f"bridge on a ladder of {RUNGS}": _answers(),
        f"chain among {PLAIN:,} candidates": _against(),
    }
