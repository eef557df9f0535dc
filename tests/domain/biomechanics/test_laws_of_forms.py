"""What holds of every form and shape, for bodies of 1.30 to 2.05 m and 30 to 130 kg.

Facts of mechanics, not of this model: hands and feet that stay stay, forces along a rep do not
jump, the two sides are alike, what helps does not hinder.
"""

from dataclasses import replace
from itertools import pairwise

import numpy as np
import pytest

from invelo.domain.biomechanics.body import AddedLoad, Body
from invelo.domain.biomechanics.equilibrium import Rows, hold, limiting
from invelo.domain.biomechanics.posture.form import Form, forms
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.biomechanics.setup import Assistance, BandHold, SetUp, set_up
from invelo.domain.errors import InputError
from invelo.domain.strength.bands import Band
from tests.domain.people import AVERAGE

pytestmark = pytest.mark.law

BODIES = (Body(30.0, 1.30), Body(55.0, 1.60), AVERAGE, Body(130.0, 1.85), Body(95.0, 2.05))
MEASURED = tuple(form for form in forms().values() if not form.pose and form.counted != "rpe")
SHAPES = tuple(
    (form, shape) for form in MEASURED for shape in (*form.preset, None) if form.counted == "reps"
)

each = pytest.mark.parametrize(
    ("form", "shape"), SHAPES, ids=lambda one: getattr(one, "id", one or "plain")
)


def bodies_that_can(setup: SetUp) -> list[tuple[Body, Reading]]:
    found = []
    for body in BODIES:
        try:
            found.append((body, reading(body, setup)))
        except InputError:
            continue
    return found


def along(body: Body, setup: SetUp, places: int) -> np.ndarray:
    """The limiting measure at many places along the rep, shape `(n,)`."""
    form = setup.form
    rows = Rows(
        form,
        body.varied_segments(),
        {name: np.array([value]) for name, value in setup.all_values.items()},
        np.linspace(0.0, 1.0, places)[:, None],
        setup.added_load,
        setup.band,
        setup.assistance,
    )
    measured: np.ndarray = limiting(rows, hold(rows), 1)[:, 0]
    return measured


@each
def test_hands_and_feet_keep_their_place(form: Form, shape: str | None) -> None:
    """To a millimetre along the rep; a sliding heel slides, and a bar is gripped where it is."""
    if form.id == "sliding_curl":
        return
    for _, load in bodies_that_can(set_up(form.id, shape=shape)):
        posture = load.posture
        for contact in posture.contacts:
            if contact.name in ("wall", "back", "front", "shoulders"):
                continue  # lain on or leaned at: it rolls
            points = contact.point[:, 0]
            others = [other for other in posture.contacts if other is not contact]
            first = others[0].point[:, 0] if others else points
            apart = np.linalg.norm(points - first, axis=-1)
            assert np.ptp(apart) < 1e-3 or "shoulders" in {other.name for other in others}


@each
def test_nothing_jumps_along_a_rep(form: Form, shape: str | None) -> None:
    """Largest step along 33 postures at most 7 % of the rep's largest value (a curl's sine takes
    7.4); at 65 postures at most 0.65 of that step. Arms that start straight bend as the root of the
    way, whose first step shrinks to 0.71 only: there the steps after it are asked, and it is small.
    """
    setup = set_up(form.id, shape=shape)
    for body, load in bodies_that_can(setup):
        if load.demand.likely < 1e-6:
            continue
        rough, smooth = along(body, setup, 33), along(body, setup, 65)
        most = rough.max()
        if form.arms != "angles":
            assert np.abs(rough[1] - rough[0]) <= 0.05 * most, body
            rough, smooth = rough[1:], smooth[2:]
        coarse, fine = (np.abs(np.diff(steps)).max() for steps in (rough, smooth))
        assert coarse <= (0.074 if form.id == "curl" else 0.07) * most, (body, coarse / most)
        assert fine <= 0.65 * coarse + 1e-9 * most, (body, fine / coarse)


@each
def test_more_weight_worn_is_never_less(form: Form, shape: str | None) -> None:
    for place in set(form.loads) - {"ankles"}:  # these lie on feet that may stand
        setups = [
            set_up(form.id, shape=shape, added_load=AddedLoad(**{place: kg})) for kg in (0.0, 5.0)
        ]
        for body, light in bodies_that_can(setups[0]):
            try:
                heavy = reading(body, setups[1])
            except InputError:
                continue  # it falls over with it
            if form.measure in ("hands", "pull", "arms", "feet"):
                assert heavy.demand.likely >= light.demand.likely - 1e-6, (body, place)


@pytest.mark.parametrize("form", MEASURED, ids=lambda one: one.id)
def test_a_helper_at_the_hips_never_makes_it_harder(form: Form) -> None:
    for shape in (*form.preset, None):
        plain = set_up(form.id, shape=shape)
        for body, load in bodies_that_can(plain):
            try:
                helped = reading(body, replace(plain, assistance=Assistance(3.0, "hips")))
            except InputError:
                continue
            assert helped.demand.likely <= load.demand.likely * (1 + 1e-9) + 1e-6, (body, shape)


PULLED = (
    *(("planche", shape, at) for shape in ("straddle", "full") for at in ("hips", "knees", "feet")),
    *(("front_lever", "straddle", at) for at in ("hips", "knees", "feet")),
    *((name, None, at) for name in ("pull_up", "dip") for at in ("hips", "knees", "feet")),
    *(("push_up", None, at) for at in ("hips", "knees")),
)


@pytest.mark.parametrize(("movement", "shape", "at"), PULLED)
def test_a_thicker_band_never_reads_harder(movement, shape, at) -> None:
    """Posture and pull are each other's, and solved together."""
    told = []
    for strength in (0.0, 0.5, 1.0, 2.0, 4.0, 8.0, 16.0, 32.0):
        band = BandHold(Band(1.0, strength, strength, limit=5.0), at, anchor_height=2.4)
        try:
            told.append(reading(AVERAGE, set_up(movement, shape=shape, band=band)).demand.likely)
        except InputError:
            break  # so thick that it lifts the body off
    assert len(told) >= 5
    assert all(thick <= thin + 1e-6 for thin, thick in pairwise(told)), told


def test_a_band_at_the_feet_hangs_over_the_hands() -> None:
    band = BandHold(Band(1.0, 10.0, 10.0, limit=5.0), "feet", anchor_height=2.4)
    load = reading(AVERAGE, set_up("planche", shape="straddle", band=band))
    (pull,) = load.posture.outside
    wrist = load.posture.joints["wrist"][0, 0]
    toward = np.array([wrist[0], 2.4]) - pull.point[0, 0]
    angle = np.arctan2(*toward[::-1]) - np.arctan2(*pull.vector[0, 0][::-1])
    assert angle == pytest.approx(0.0, abs=1e-3)


@pytest.mark.parametrize("movement", ["push_up", "squat", "row", "planche_lean"])
def test_what_holds_standing_feet_up_is_refused(movement) -> None:
    band = BandHold(Band(1.0, 10.0, 10.0), "feet")
    with pytest.raises(InputError, match="the feet stand on something") as refused:
        set_up(movement, band=band)
    assert refused.value.field == "band"
    with pytest.raises(InputError) as refused:
        set_up(movement, assistance=Assistance(3.0, "feet"))
    assert refused.value.field == "assistance"


def test_straps_from_below_are_refused() -> None:
    high = set_up("row", body_angle=45, strap_height=2.4)
    assert reading(AVERAGE, high).demand.likely > 0
    with pytest.raises(InputError, match="anchored below the hands"):
        reading(AVERAGE, set_up("row", body_angle=45, strap_height=0.4))


@pytest.mark.parametrize("movement", ["push_up", "pull_up", "squat", "dip"])
def test_two_halves_of_a_rep_are_read_from_either_end(movement) -> None:
    whole, upper, lower = (
        reading(AVERAGE, set_up(movement, **part))
        for part in ({}, {"range": 0.5}, {"range": 0.5, "from_end": True})
    )
    assert (upper.depths[0], upper.depths[-1]) == (0.0, 0.5)
    assert (lower.depths[0], lower.depths[-1]) == (0.5, 1.0)
    assert upper.at_start.likely == pytest.approx(whole.at_start.likely)
    assert lower.at_end.likely == pytest.approx(whole.at_end.likely)
    assert upper.at_end.likely == pytest.approx(lower.at_start.likely)
    assert upper.work.likely + lower.work.likely == pytest.approx(whole.work.likely, rel=1e-6)


def test_the_low_half_of_a_squat_is_the_harder_one() -> None:
    """Common practice: partials from the bottom are the hard ones."""
    upper, lower = (
        reading(AVERAGE, set_up("squat", range=0.5, from_end=from_end)).demand.likely
        for from_end in (False, True)
    )
    assert lower > 1.3 * upper
