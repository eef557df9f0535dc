"""What a set-up asks along the rep: bands, help, a shorter range, loads, and their accounts."""

from itertools import pairwise

import numpy as np
import pytest

from invelo.domain.biomechanics.body import GRAVITY, AddedLoad, Body
from invelo.domain.biomechanics.reading import reading
from invelo.domain.biomechanics.setup import Assistance, BandHold, set_up
from invelo.domain.errors import InputError
from invelo.domain.strength.bands import Band, Pull, fit
from tests.domain.people import AVERAGE

C1, C2 = 20.0, 15.0


def band(rest: float = 1.0) -> Band:
    """A band whose pulls lie on the curve itself."""
    stretches = (1.2, 1.4, 1.6, 1.8, 2.0, 2.4)
    return fit(
        rest, tuple(Pull(rest * s, 2 * (C1 + C2 / s) * (s - s**-2)) for s in stretches), limit=3.0
    )


def along(setup) -> list[float]:
    return [one.demand.likely for one in reading(AVERAGE, setup).along]


def test_a_band_over_the_shoulders_loads_the_end_where_it_is_stretched() -> None:
    """Common practice: a band across the back, held in the hands, loads the top of a push-up and
    hardly its bottom."""
    plain = along(set_up("push_up"))
    held = along(set_up("push_up", band=BandHold(band(0.5), "shoulders", in_hands=True)))
    more = np.array(held) - plain
    assert more[0] > 1.0
    assert more[-1] == pytest.approx(0.0, abs=0.05)
    assert all(later <= earlier + 1e-9 for earlier, later in pairwise(more))


def test_a_band_from_above_helps_most_at_the_bottom_of_a_pull_up() -> None:
    """Common practice: the band under the feet helps most in the hang, least with the chin up."""
    plain = along(set_up("pull_up"))
    helped = along(set_up("pull_up", band=BandHold(band(), "feet", anchor_height=2.4)))
    less = np.array(plain) - helped
    assert less[0] > less[-1] > 0


def test_a_band_makes_a_curl_peak_at_its_end() -> None:
    """Common practice: a weight is hardest near a right angle of the elbow, a band at the end."""
    weight = reading(AVERAGE, set_up("curl", added_load=AddedLoad(hands=10.0)))
    pulled = reading(AVERAGE, set_up("curl", band=BandHold(band(0.8), "hands", anchor_height=0.0)))
    assert 0.4 < weight.peak.depth < 0.8
    assert pulled.peak.depth > weight.peak.depth


def test_a_band_past_its_limit_is_refused_before_it_breaks() -> None:
    with pytest.raises(InputError) as told:
        reading(AVERAGE, set_up("pull_up", band=BandHold(band(0.5), "feet", anchor_height=4.0)))
    assert told.value.field == "band length"
    assert "break" in told.value.problem


def test_a_helping_hand_takes_off_what_it_lifts() -> None:
    """A hand under the hips of someone hanging takes its kilos off the arms."""
    plain = reading(AVERAGE, set_up("pull_up")).demand.likely
    helped = reading(AVERAGE, set_up("pull_up", assistance=Assistance(10.0, "feet"))).demand.likely
    assert plain - helped == pytest.approx(10.0)


def test_half_the_range_is_the_first_half_of_the_whole() -> None:
    whole = reading(AVERAGE, set_up("push_up"))
    half = reading(AVERAGE, set_up("push_up", range=0.5))
    assert half.along[-1].depth == pytest.approx(0.5)
    assert half.at_start.likely == pytest.approx(whole.at_start.likely)
    assert half.at_end.likely == pytest.approx(whole.midway.likely)
    assert half.work.likely < whole.work.likely


def test_a_deficit_lengthens_the_way_and_the_work() -> None:
    plain, deep = (reading(AVERAGE, set_up("push_up", deficit=d)) for d in (0.0, 0.05))
    assert deep.work.likely > plain.work.likely


def test_work_of_a_pull_up_is_weight_times_rise() -> None:
    """The centre of mass rises by what the shoulders do; no table is needed for that."""
    read = reading(AVERAGE, set_up("pull_up"))
    height = read.posture.centre_of_mass()[:, 0, 1]
    assert read.work.likely == pytest.approx(
        AVERAGE.mass * GRAVITY * (height[-1] - height[0]), rel=0.02
    )


@pytest.mark.parametrize(
    ("movement", "place"),
    [("pull_up", "vest"), ("pull_up", "bag"), ("pull_up", "ankles")],
)
def test_a_load_counts_in_full_where_it_hangs_from_what_is_limited(
    movement: str, place: str
) -> None:
    plain, loaded = (
        reading(AVERAGE, set_up(movement, added_load=AddedLoad(**{place: kg}))).demand.likely
        for kg in (0.0, 8.0)
    )
    assert loaded - plain == pytest.approx(8.0, abs=1e-6)


def test_a_bag_weighs_more_on_the_hands_than_a_vest() -> None:
    """Common practice: high on the back is nearer the hands."""
    vest, bag = (
        reading(AVERAGE, set_up("push_up", added_load=AddedLoad(**{place: 10.0}))).demand.likely
        for place in ("vest", "bag")
    )
    assert bag > vest


def test_longer_legs_make_a_longer_lever() -> None:
    long = Body(75.0, 1.75, lengths=(("shank", 0.50), ("thigh", 0.50)))
    plain = reading(AVERAGE, set_up("planche")).demand.likely
    assert reading(long, set_up("planche")).demand.likely > plain


def test_heavier_legs_make_a_heavier_lever_and_the_rest_makes_up_for_it() -> None:
    heavy = Body(75.0, 1.75, shares=(("thigh", 0.24),))
    assert (
        reading(heavy, set_up("planche")).demand.likely
        > reading(AVERAGE, set_up("planche")).demand.likely
    )
    segments = heavy.segments()
    assert sum(float(np.ravel(m)[0]) for m in segments.mass.values()) == pytest.approx(75.0)


def test_an_account_names_what_went_in() -> None:
    setup = set_up(
        "planche",
        shape="straddle",
        added_load=AddedLoad(vest=2.0),
        assistance=Assistance(3.0),
        hand_height=0.4,
    )
    told = reading(AVERAGE, setup).demand.derivation
    inputs = {one.name: one.value for one in told.inputs}
    assert inputs["body mass"] == 75.0
    assert inputs["each leg out to the side"] == 45.0
    assert inputs["carried"] == 2.0
    assert inputs["assistance at the hips"] == 3.0
    assert "shoulder" in told.formula
