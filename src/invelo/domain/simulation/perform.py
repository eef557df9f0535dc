"""A set as a simulated athlete does it: as far as asked, rated as well as they can."""

import math
from dataclasses import dataclass

from invelo.domain.plan.prescription import Prescription
from invelo.domain.simulation.response import FULL_RPE, SET_DROP

SHAKY = 0.3
"""Chance that a set taken to its very end loses its form (ours)."""


@dataclass(frozen=True)
class Performed:
    """What was done of a set.

    Attributes:
        amount: reps or whole seconds, at least one.
        rpe: as it was rated, in halves.
        form_ok: whether form held.
    """

    amount: int
    rpe: float
    form_ok: bool


def perform(
    prescription: Prescription, can: float, rating: float, luck: float, to_failure: bool = False
) -> Performed:
    """One set.

    Args:
        prescription: what is asked.
        can: reps or seconds that are there.
        rating: error of the rated effort.
        luck: 0 to 1, for the form of a set that ends at its end.
        to_failure: whether it goes on past the range.
    """
    if prescription.unit == "s":
        target = math.floor(can if to_failure else can * prescription.rpe / 10.0)
        amount = max(1, target if to_failure else min(prescription.high, target))
        true = 10.0 * min(1.0, amount / max(can, 1e-9))
    else:
        target = math.floor(can if to_failure else can - (10.0 - prescription.rpe))
        amount = max(1, target if to_failure else min(prescription.high, target))
        true = 10.0 - max(0.0, can - amount)
    rpe = round(2 * min(10.0, max(3.0, true + rating))) / 2
    return Performed(amount, rpe, can - amount >= 0.5 or luck > SHAKY)


def tires_by(rpe: float) -> float:
    """Share by which a set of an effort lessens the sets after it."""
    return SET_DROP * min(1.0, max(0.0, (rpe - 5.0) / (FULL_RPE - 5.0)))
