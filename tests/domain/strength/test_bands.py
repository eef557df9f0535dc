"""Bands: the fit, the grip, the limit."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.biomechanics.posture.form import form
from invelo.domain.biomechanics.reading import reading
from invelo.domain.biomechanics.setup import BandHold, set_up
from invelo.domain.errors import InputError
from invelo.domain.strength.bands import LIMIT, Band, Pull, fit
from tests.domain.people import AVERAGE

STRETCHES = (1.2, 1.5, 1.8, 2.1, 2.5)
constants = st.floats(0.0, 60.0)


def pulls(band: Band, *stretches: float, noise: float = 0.0) -> tuple[Pull, ...]:
    signs = [1 if i % 2 else -1 for i in range(len(stretches))]
    return tuple(
        Pull(band.rest * at, float(band.force_at(at)) * (1 + sign * noise))
        for at, sign in zip(stretches, signs, strict=True)
    )


@given(st.floats(0.3, 1.5), constants, constants)
def test_a_fit_finds_the_band_that_made_the_pulls(rest: float, c1: float, c2: float) -> None:
    band = Band(rest, c1 + 1, c2)
    found = fit(rest, pulls(band, *STRETCHES))
    for at in (1.1, 1.6, 2.3, 2.9):
        assert float(found.force_at(at)) == pytest.approx(float(band.force_at(at)), rel=1e-6)


@given(st.lists(st.floats(0.1, 300), min_size=5, max_size=5))
def test_a_fit_never_pushes(forces: list[float]) -> None:
    read = tuple(Pull(at, force) for at, force in zip(STRETCHES, sorted(forces), strict=True))
    found = fit(1.0, read)
    assert min(found.c1, found.c2) >= 0
    assert np.all(found.force_at(np.linspace(1, 3, 20)) >= 0)


def test_the_non_negative_fit_agrees_with_scipy() -> None:
    from scipy.optimize import nnls

    random = np.random.default_rng(7)
    for _ in range(50):
        force = np.sort(random.uniform(0.1, 100, 5))
        found = fit(1.0, tuple(Pull(a, f) for a, f in zip(STRETCHES, force, strict=True)))
        at = np.array(STRETCHES)
        grows = 2 * (at - at**-2.0)
        expected, _ = nnls(np.column_stack([grows, grows / at]), force)
        assert (found.c1, found.c2) == pytest.approx(tuple(expected), abs=1e-6)


def test_noisy_pulls_widen_the_range() -> None:
    band = Band(1.0, 20, 10)
    quiet, noisy = fit(1.0, pulls(band, *STRETCHES)), fit(1.0, pulls(band, *STRETCHES, noise=0.1))
    assert noisy.scatter > quiet.scatter
    told = noisy.pull(2.0)
    assert told.low < told.likely < told.high


def test_a_slack_band_does_not_pull() -> None:
    assert Band(1.0, 20, 10).pull(0.7).likely == 0


@given(st.floats(1.01, 2.99))
def test_length_and_force_go_there_and_back(stretch: float) -> None:
    band = Band(0.8, 20, 10)
    force = band.pull(0.8 * stretch).likely
    assert band.length_for(force) == pytest.approx(0.8 * stretch, rel=1e-6)


def test_a_shorter_grip_pulls_harder() -> None:
    band = Band(1.0, 20, 10)
    assert band.gripped(0.7).pull(1.5).likely > band.pull(1.5).likely


def test_doubled_is_two_halves_in_parallel() -> None:
    band = Band(1.0, 20, 10)
    half = band.gripped(0.5)
    assert band.doubled().pull(1.0).likely == pytest.approx(2 * half.pull(1.0).likely)


def test_side_by_side_forces_add_and_the_weaker_limit_holds() -> None:
    one, other = Band(1.0, 20, 10), Band(1.0, 5, 0, limit=2.6)
    both = one.beside(other)
    assert both.pull(2.0).likely == pytest.approx(one.pull(2.0).likely + other.pull(2.0).likely)
    assert both.limit == 2.6


def test_near_the_limit_a_band_warns_and_past_it_refuses() -> None:
    band = Band(1.0, 20, 10)
    assert "limit" in band.pull(2.6).derivation.note
    assert band.pull(2.4).derivation.note == ""
    with pytest.raises(InputError, match="thicker band"):
        band.pull(LIMIT + 0.01)


@pytest.mark.parametrize(
    ("act", "field"),
    [
        (lambda: fit(1.0, pulls(Band(1.0, 20, 1), 1.2, 1.5, 2.1)), "pulls"),
        (lambda: fit(1.0, pulls(Band(1.0, 20, 1), 1.1, 1.2, 1.3, 1.4, 1.9)), "pulls"),
        (lambda: fit(1.0, tuple(Pull(at, 0.0) for at in STRETCHES)), "pulls"),
        (lambda: fit(1.3, tuple(Pull(at * 1.1, 9.0) for at in (1, 1.5, 2, 2.4, 2.6))), "pulls"),
        (lambda: fit(0.0, pulls(Band(1.0, 20, 1), *STRETCHES)), "rest length"),
        (lambda: Pull(1.0, -2.0), "force"),
        (lambda: Band(1.0, 20, 10).length_for(2000), "force"),
        (lambda: Band(1.0, 20, 10).gripped(1.2), "grip"),
        (lambda: Band(1.0, 20, 10).beside(Band(0.5, 20, 10)), "bands"),
    ],
)
def test_what_cannot_be_is_refused_by_name(act, field: str) -> None:
    with pytest.raises(InputError) as caught:
        act()
    assert caught.value.field == field


def test_pulls_that_shorten_as_force_grows_are_refused_by_their_lengths() -> None:
    crossed = tuple(
        Pull(at, by) for at, by in ((1.2, 20.0), (1.4, 34.0), (1.6, 60.0), (1.8, 45.0), (2.1, 66.0))
    )
    with pytest.raises(InputError, match="180 cm is weaker than the one at 160 cm"):
        fit(1.0, crossed)


# ---- from its label ----------------------------------------------------------------------------


def test_a_label_will_do_and_says_how_wide_that_is() -> None:
    labelled = fit(1.0, (Pull(2.0, 157.0),))
    assert not labelled.measured
    pull = labelled.pull(2.0)
    assert pull.likely == pytest.approx(157.0)
    assert (pull.low, pull.high) == pytest.approx((78.5, 235.5))
    assert "label" in pull.derivation.formula


def test_what_a_label_leaves_open_is_in_every_number() -> None:
    measured = fit(1.0, tuple(Pull(1 + 0.25 * i, 60.0 + 40 * i) for i in range(1, 6)))
    labelled = fit(1.0, (Pull(2.0, float(measured.force_at(2.0))),))
    straddle = form("planche").preset["straddle"]
    loads = [
        reading(AVERAGE, set_up("planche", band=BandHold(band, "hips", 2.2), **straddle)).demand
        for band in (measured, labelled)
    ]
    widths = [load.high - load.low for load in loads]
    assert widths[1] > 1.2 * widths[0]


@pytest.mark.parametrize("pull", [Pull(0.9, 50.0), Pull(1.0, 50.0), Pull(2.0, 0.0)])
def test_a_label_without_a_pull_is_refused(pull) -> None:
    with pytest.raises(InputError) as refused:
        fit(1.0, (pull,))
    assert refused.value.field == "pulls"


def test_two_to_four_pulls_are_neither() -> None:
    with pytest.raises(InputError, match="too few") as refused:
        fit(1.0, (Pull(1.5, 50.0), Pull(2.0, 90.0)))
    assert "label" in refused.value.remedy
