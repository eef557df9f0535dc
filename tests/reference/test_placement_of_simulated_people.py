"""Placement of a thousand simulated people whose capacity is known.

They are made by the same other model as in `test_capacity_of_simulated_people` (exponential curves,
limbs, masses and days drawn; its page names the sources): none of it is the estimator's, and none
was tuned to what comes out here. Each does a test somewhere on the ladder and, days later, the one
that the placement says would narrow it; the right rung is the hardest on which, by their own curve
and their own body, the useful prescription is there.
"""

from collections.abc import Callable
from dataclasses import dataclass, replace
from datetime import date, timedelta
from functools import cache

import numpy as np
import pytest

from invelo.domain.biomechanics.body import LENGTH_CV, MASS_SHARE_CV, VARIED, Body
from invelo.domain.biomechanics.survey import survey
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.ladder.ladder import MeasuredLadder, measure
from invelo.domain.ladder.placement import place
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.prescription import range_criterion, range_prescription
from invelo.domain.strength.capacity import Evidence, evidence
from invelo.domain.strength.tempo import ENDURANCE_EXPONENT_SD
from tests.depth import depth
from tests.reference.test_capacity_of_simulated_people import (
    DAY_CV,
    HOLD_FLOOR,
    HOLD_RATE,
    HOLD_RATE_SD,
    REPS_FLOOR,
    REPS_RATE,
    REPS_RATE_SD,
)

PEOPLE = depth(250, 1000)
DAY = date(2026, 3, 2)
LADDERS = {"reps": "push-up", "hold": "l-sit"}


@cache
def rungs_of(ladder_id: str) -> tuple[Rung, ...]:
    found = []
    for one in catalogue().find_ladder(ladder_id).rungs:
        prescription = range_prescription("strength", "beginner", one.of.unit)
        found.append(
            Rung(one.name, one.of, one.modifiers(), prescription, range_criterion(prescription))
        )
    return tuple(found)


def amount(kind: str, share: float, rate: float) -> float:
    """Reps, or seconds, at a share of the greatest load, by their own curve."""
    floor = REPS_FLOOR if kind == "reps" else HOLD_FLOOR
    left = (share - floor) / (1 - floor)
    if left <= 0:
        return 500.0
    told = -rate * float(np.log(left))
    return max(0.0, told + (1.0 if kind == "reps" else 6.0))


@dataclass(frozen=True)
class Simulated:
    """A person on a ladder: as they are measured, the right rung, and what they show in a test."""

    measured: MeasuredLadder
    right: int
    tested: int
    shows: Callable[[int, date], Evidence]


def simulated(kind: str, random: np.random.Generator) -> Simulated:
    """A person drawn at random."""
    rungs = rungs_of(LADDERS[kind])
    body = Body(float(5 * random.integers(10, 21)), float(np.round(random.uniform(1.55, 1.95), 1)))
    plain = {name: float(body.segments().length[name]) for name in VARIED}
    lengths = {name: length * float(random.normal(1, LENGTH_CV)) for name, length in plain.items()}
    shares = {
        name: body.mass_shares()[name] * float(random.normal(1, MASS_SHARE_CV)) for name in VARIED
    }
    true_body = replace(
        body, lengths=tuple(sorted(lengths.items())), shares=tuple(sorted(shares.items()))
    )
    read = survey(true_body, [(one.movement.posture, one.modifiers) for one in rungs])
    mean, spread = (REPS_RATE, REPS_RATE_SD) if kind == "reps" else (HOLD_RATE, HOLD_RATE_SD)
    rate = mean * float(np.exp(random.normal(0, spread)))
    slowness = random.normal(1, ENDURANCE_EXPONENT_SD)
    tested = int(random.integers(3, len(rungs) - 3))
    greatest = read.demand[tested] / float(random.uniform(0.65, 0.92))
    times = [one.modifiers.tempo.rep_time if kind == "reps" else 2.0 for one in rungs]
    can = [
        amount(kind, demand / greatest, rate) * (2.0 / time) ** slowness
        for demand, time in zip(read.demand, times, strict=True)
    ]
    measured = measure(body, rungs)
    fitting = [i for i, one in enumerate(rungs) if can[i] >= one.prescription.asks]
    right = max(fitting, key=lambda i: measured.demands[i].height, default=0)

    def shows(place: int, day: date) -> Evidence:
        one, today = rungs[place], greatest * float(np.exp(random.normal(0, DAY_CV)))
        shown = amount(kind, read.demand[place] / today, rate) * (2.0 / times[place]) ** slowness
        done = max(1.0, float(int(shown) if kind == "reps" else round(shown)))
        return evidence(day, "test", body, one.movement, one.modifiers, min(done, 199.0), 10)

    return Simulated(measured, right, tested, shows)


@pytest.mark.parametrize("kind", ["reps", "hold"])
def test_the_right_rung_or_one_beside_it(kind: str) -> None:
    random = np.random.default_rng(1990)
    near = 0
    for _ in range(PEOPLE):
        person = simulated(kind, random)
        heights = [one.height for one in person.measured.demands]
        order = sorted(range(len(heights)), key=heights.__getitem__)
        first = person.shows(person.tested, DAY)
        placed = place(person.measured, (first,))
        asked = min(placed.index + 1, len(heights) - 1)  # as `narrower` says
        second = person.shows(asked, DAY + timedelta(days=3))
        placed = place(person.measured, (first, second))
        near += abs(order.index(placed.index) - order.index(person.right)) <= 1
    assert near / PEOPLE >= 0.95
