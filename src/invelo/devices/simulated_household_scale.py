"""The simulated household scale: a body whose hands carry a little more or less than the model
says, read to the half kilo by somebody who breathes.

It stands in for a scale and a minute on the floor, in the demo and wherever none is at hand.
"""

from dataclasses import replace
from math import exp
from random import Random

from invelo.domain.athlete.household_scale import HOW, HeldPosition, Position, expected_hands
from invelo.domain.biomechanics.body import HANDS_PER_FORM, HANDS_SHARED, Body

STEP = 0.5
"""What it reads to, kg."""

BREATH = 0.4
"""Standard deviation of a reading, kg."""


def weigh(body: Body, seed: int) -> tuple[float, tuple[HeldPosition, ...]]:
    """Standing weight and the three positions of a body off the model by chance.

    Args:
        body: as it is known.
        seed: whose chance; the same gives the same.
    """
    random = Random(seed)  # noqa: S311
    plain = replace(body, hands=None)
    shared = random.gauss(0.0, HANDS_SHARED)
    readings = []
    position: Position
    for position in HOW:
        factor = exp(shared + random.gauss(0.0, HANDS_PER_FORM))
        under_feet = body.mass - factor * expected_hands(plain, HeldPosition(position, 0.0))
        readings.append(HeldPosition(position, _read(under_feet + random.gauss(0.0, BREATH))))
    return _read(body.mass + random.gauss(0.0, BREATH)), tuple(readings)


def _read(kg: float) -> float:
    return round(kg / STEP) * STEP
