"""Two set-ups of one body against each other: what is unknown of the body mostly cancels."""

from math import hypot

import numpy as np

from invelo.domain.biomechanics.body import BODY_SAMPLES
from invelo.domain.biomechanics.model_error import deficit_of, relative_error_within
from invelo.domain.biomechanics.reading import Reading
from invelo.domain.biomechanics.setup import SetUp
from invelo.domain.estimate import Z80, Array, interval_from_variations
from invelo.domain.ladder.rung import Demand
from invelo.domain.strength.rep_curve import CURVES, slow_factor
from invelo.domain.strength.tempo import ENDURANCE_EXPONENT, ENDURANCE_EXPONENT_SD

Triple = tuple[float, float, float]
"""Low, likely and high."""


def load_ratio(upper: Reading, lower: Reading) -> Triple:
    """Upper demand ÷ lower demand with its 80 % ends, both being of one body.

    Set-ups of two forms vary in set-up each for itself, and the model may be off differently; what
    they share are the body's variations, which come first in both. Where one limb works and two
    did, the bilateral deficit is in the range.
    """
    above, below = upper.samples, lower.samples
    if len(above) != len(below) or upper.setup.movement != lower.setup.movement:
        above, below = _each_alone(above, below)
    likely, low, high = interval_from_variations(above / below)
    off = _parts_unshared(upper.setup, lower.setup) * likely
    less, more = deficit_of(upper.setup, lower.setup)
    low = likely - hypot(likely - low, off, likely * (1.0 - less))
    high = likely + hypot(high - likely, off, likely * (more - 1.0))
    return max(low, 0.0), likely, high


def _parts_unshared(upper: SetUp, lower: SetUp) -> float:
    """80 % half-width of a ratio by what the model's error of two forms does not have in common, as
    a share of it; set-ups of one form are off alike."""
    if upper.movement == lower.movement:
        return 0.0
    return hypot(relative_error_within(upper), relative_error_within(lower))


def _each_alone(above: Array, below: Array) -> tuple[Array, Array]:
    """Two rows of samples with the body's own variations paired and the set-ups' apart."""
    first, second = above[BODY_SAMPLES:], below[BODY_SAMPLES:]
    return (
        np.concatenate([above[:BODY_SAMPLES], first, np.full(len(second), above[0])]),
        np.concatenate([below[:BODY_SAMPLES], np.full(len(first), below[0]), second]),
    )


def relative_range(upper: Reading, lower: Reading) -> tuple[float, float]:
    """The 80 % ends of `load_ratio`, as factors on its likely value."""
    low, likely, high = load_ratio(upper, lower)
    if likely == 0.0:
        return 1.0, 1.0
    return low / likely, high / likely


def demand_ratio(there: Demand, here: Demand, reps: float) -> Triple:
    """Demand there ÷ here with its 80 % ends: loads of one body, and how tempo tells on it.

    Args:
        there, here: two set-ups of one body.
        reps: at which count tempo is weighed.
    """
    low, plain, high = load_ratio(there.load, here.load)
    if there.counts_as == here.counts_as:
        return low, plain, high

    curve = CURVES[there.load.setup.form.curve]

    def factor(exponent: float) -> float:
        slow, quick = slow_factor(
            curve, reps, np.array([there.counts_as, here.counts_as]), exponent
        )
        return float(slow / quick)

    tempo = factor(ENDURANCE_EXPONENT)
    spread = Z80 * ENDURANCE_EXPONENT_SD
    ends = sorted(factor(ENDURANCE_EXPONENT + sign * spread) / tempo for sign in (-1, 1))
    return low * tempo * ends[0], plain * tempo, high * tempo * ends[1]
