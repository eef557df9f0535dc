"""Row loads against published strap measurements.

Nothing is fitted. The published pulls are of straps, which hang from above and seldom at right
angles to the trunk; ours is the least pull there is, so it lies at or under them, the more so the
lower the body. docs/model.md tells each difference.
"""

import pytest

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.reading import reading
from invelo.domain.biomechanics.setup import set_up

# Melrose and Dawes 2015, resistance characteristics of suspension training at different
# angles and distances from the hanging point, J Athl Enhancement 4(1): % of body mass by the body's
# angle, in degrees from upright (from memory).
MELROSE = {30: 37.44, 45: 52.88, 60: 68.10, 75: 79.38}


def share(degrees: float) -> float:
    return reading(Body(75.0, 1.75), set_up("row", body_angle=degrees)).share.likely


@pytest.mark.parametrize("angle", [30, 45])
def test_steep_rows_within_five_points(angle: int) -> None:
    assert share(angle) == pytest.approx(MELROSE[angle], abs=5.0)


@pytest.mark.parametrize("angle", MELROSE)
def test_the_model_pulls_no_harder_than_straps_do(angle: int) -> None:
    assert share(angle) <= MELROSE[angle]


def test_the_order_of_the_angles() -> None:
    values = [share(angle) for angle in MELROSE]
    assert values == sorted(values)
