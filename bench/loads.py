"""Loads to hand: kits of forty things, against a general integer solver with the same answers.

The reference states the fewest pieces within the tolerance as an integer programme and leaves it to
HiGHS, through SciPy. Both must take as few pieces.
"""

import statistics
import time
from collections.abc import Callable
from random import Random

import numpy as np
from scipy.optimize import Bounds, LinearConstraint, milp

from invelo.domain.equipment.loads import Thing, pick

KITS, THINGS = 20, 40
TOLERANCE, LIMIT = 0.1, 40.0


def _kit(random: Random) -> tuple[tuple[Thing, ...], float]:
    things = tuple(
        Thing(f"thing {i}", round(random.uniform(0.2, 6.0), 2), random.randint(1, 4))
        for i in range(THINGS)
    )
    return things, round(random.uniform(3.0, 30.0), 2)


def _solver(things: tuple[Thing, ...], target: float) -> int:
    weights = np.array([thing.kg for thing in things])
    found = milp(
        np.ones(len(things)),
        constraints=LinearConstraint(weights, target - TOLERANCE, target + TOLERANCE),
        bounds=Bounds(0, [thing.count for thing in things]),
        integrality=np.ones(len(things)),
    )
    return round(found.fun)


def _ours(things: tuple[Thing, ...], target: float) -> int:
    return sum(count for _, count in pick(things, target, TOLERANCE, LIMIT).pieces)


def _timed(act: Callable[[tuple[Thing, ...], float], int], kits: list) -> tuple[list, list[int]]:
    took, answers = [], []
    for things, target in kits:
        began = time.perf_counter()
        answers.append(act(things, target))
        took.append(1000 * (time.perf_counter() - began))
    return took, answers


def run() -> dict[str, dict[str, float]]:
    """Both over the same kits; ms and the ratio."""
    random = Random(40)
    kits = [_kit(random) for _ in range(KITS)]
    ours, fewest = _timed(_ours, kits)
    solver, reference = _timed(_solver, kits)
    assert fewest == reference
    return {
        "loads to hand, kits of 40": {
            "ours, ms": statistics.median(ours),
            "ours, worst ms": max(ours),
            "integer solver, ms": statistics.median(solver),
            "ratio": statistics.median(solver) / statistics.median(ours),
        }
    }
