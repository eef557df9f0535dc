"""A set as a simulated athlete does it: as far as asked, rated as well as they can."""

import math
from dataclasses import dataclass

from invelo.domain.plan.prescription import Prescription

SHAKY = 0.3
"""Chance that a set taken to its very end loses its form (ours)."""


BIAS_IN_FULL = 2.0
"""Reps in reserve from which people misjudge them in full; nearer to the end they know better
(Halperin and others 2022, from memory)."""


@dataclass(frozen=True)
class Performed:
    """What was done of a set.

    Attributes:
        amount: reps or whole seconds, at least one.
        rpe: as it was rated, in halves.
        true_rpe: as it was.
        form_ok: whether form held.
    """

    amount: int
    rpe: float
    true_rpe: float
    form_ok: bool


def perform(
    prescription: Prescription,
    can: float,
    rating: float,
    luck: float,
    to_failure: bool = False,
    bias: float = 0.0,
) -> Performed:
    """One set. Reps end where the athlete believes the asked effort to be, or at the range's top;
    a hold at the range's top, or where it ends.

    Args:
        prescription: what is asked.
        can: reps or seconds that are there.
        rating: error of the rated effort.
        luck: 0 to 1, for the form of a set that ends at its end.
        to_failure: whether it goes on past the range, to its end.
        bias: reps that are left beyond those they say.
    """
    if prescription.unit == "s":
        target = math.floor(can)
        amount = max(1, target if to_failure else min(prescription.high, target))
        true = 10.0 * min(1.0, amount / max(can, 1e-9))
        if not to_failure and amount < can - 1.0:
            true = min(true, 9.0)
        said = true + rating
    else:
        reserve = 10.0 - prescription.rpe
        short = reserve + bias * min(1.0, reserve / BIAS_IN_FULL)
        target = math.floor(can if to_failure else can - short - 0.5 * rating)
        amount = max(1, target if to_failure else min(prescription.high, target))
        left = max(0.0, can - amount)
        true = 10.0 - left
        whole = math.floor(left)
        said = 10.0 - max(0.0, whole - bias * min(1.0, whole / BIAS_IN_FULL)) + rating
        if amount >= math.floor(can):
            said = 10.0
    rpe = round(2 * min(10.0, max(3.0, said))) / 2
    return Performed(amount, rpe, max(1.0, true), can - amount >= 0.5 or luck > SHAKY)
