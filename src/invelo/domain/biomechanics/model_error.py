"""How far a load that the model tells may lie from what a plate would read.

The figures come from the published loads of docs/model.md: of each family the logarithm of
published ÷ told, the study a random effect, so that studies which part among themselves widen the
range. A family with fewer than two studies takes what all of them together say.
"""

from math import hypot

from invelo.domain.biomechanics.body import HANDS_PER_FORM, Body
from invelo.domain.biomechanics.setup import SetUp
from invelo.domain.estimate import Z80

BETWEEN = {"horizontal push": 0.077}
"""Standard deviation from study to study, as a share of the load."""

WITHIN = {"horizontal push": 0.055}
"""Standard deviation within a study from set-up to set-up, as a share of the load."""

OF_ALL = (0.07, 0.05)
"""The same of all families together."""

MEASURED_BY_NATURE = ("arms", "feet", "carried")
"""Measures that are weights of a body and its parts: nothing of a posture is in them."""

WEIGHED = 0.01
"""Standard deviation of those, as a share of the load (ours: scales, and what a meal weighs)."""

DEFICIT = (0.05, 0.15)
"""How much more one limb alone can do than half of what two do (from memory, of studies of the
bilateral deficit)."""


def relative_error(setup: SetUp, body: Body) -> float:
    """80 % half-width of a told load, as a share of it; where the hands share the load and a
    household scale has told of this body, what is left open after that.

    Source: the published loads, one study left out at a time (docs/model.md).
    """
    form = setup.form
    if body.hands and form.measure == "hands" and form.shares_load:
        return Z80 * hypot(body.hands[1], HANDS_PER_FORM)
    if form.measure in MEASURED_BY_NATURE:
        return Z80 * WEIGHED
    between = BETWEEN.get(form.family, OF_ALL[0])
    return Z80 * hypot(between, relative_error_within(setup) / Z80)


def relative_error_within(setup: SetUp) -> float:
    """80 % half-width of what two set-ups of one body do not share, as a share of the load."""
    form = setup.form
    if form.measure in MEASURED_BY_NATURE:
        return Z80 * WEIGHED
    return Z80 * WITHIN.get(form.family, OF_ALL[1])


def deficit_of(upper: SetUp, lower: SetUp) -> tuple[float, float]:
    """How much less or more a demand counts where one limb works and two did, or the other way
    round: the factor's ends, 1 to 1 where the limbs are the same."""
    alone = upper.alone - lower.alone
    most = 1.0 + DEFICIT[1] * abs(alone)
    return (1.0 / most, 1.0) if alone > 0.0 else (1.0, most)
