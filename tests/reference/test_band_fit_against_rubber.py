"""A band fitted from five noisy pulls against another rubber model's truth.

Truth: Ogden 1972, Proc. R. Soc. Lond. A 326:565–584, three terms for vulcanised natural rubber
(from memory: α = 1.3, 5, −2; μ = 0.63, 0.0012, −0.01 MPa); in simple tension
F/A₀ = Σ μᵢ (λ^(αᵢ−1) − λ^(−αᵢ/2−1)). The curve that is fitted is another, Mooney and Rivlin's.
"""

import numpy as np

from invelo.domain.strength.bands import Pull, fit

TRIALS = 400
MU, ALPHA = np.array([0.63e6, 0.0012e6, -0.01e6]), np.array([1.3, 5.0, -2.0])
FORCE_NOISE = 0.02
"""Standard deviation of a hand scale's reading, as a share of it."""

LENGTH_NOISE = 0.005
"""m, standard deviation of a length read off a tape."""


def ogden(stretch: np.ndarray, area: float) -> np.ndarray:
    at = np.asarray(stretch)[:, None]
    return area * (MU * (at ** (ALPHA - 1) - at ** (-ALPHA / 2 - 1))).sum(axis=1)


def test_five_pulls_foretell_the_rest() -> None:
    random = np.random.default_rng(1972)
    held_out = np.array([1.35, 1.7, 2.1, 2.4])
    good = 0
    for _ in range(TRIALS):
        rest, area = random.uniform(0.3, 1.5), random.uniform(2e-5, 2e-4)
        stretches = np.sort(np.append(random.uniform(1.1, 2.0, 4), random.uniform(2.0, 2.5)))
        forces = ogden(stretches, area) * random.normal(1, FORCE_NOISE, 5)
        lengths = rest * stretches + random.normal(0, LENGTH_NOISE, 5)
        lengths[-1] = max(lengths[-1], 2.0 * rest)
        lengths = np.maximum(lengths, rest)
        pulls = tuple(Pull(float(at), float(by)) for at, by in zip(lengths, forces, strict=True))
        band = fit(float(rest), pulls)
        truth = ogden(held_out, area)
        error = np.abs(band.force_at(held_out) - truth).max() / truth.max()
        good += error <= 0.08
    assert good / TRIALS >= 0.90
