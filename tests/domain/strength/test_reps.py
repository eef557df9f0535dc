"""Rep equations: inverses, medians, ranges, tempo."""

import math

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from scipy.interpolate import PchipInterpolator

from invelo.domain.errors import InputError
from invelo.domain.strength.rep_curve import CURVES, LEGS, MOST_REPS, UPPER, slow_factor
from invelo.domain.strength.rep_equations import EQUATIONS, speaking
from invelo.domain.strength.reps import Capacity, RepResult
from invelo.domain.strength.tempo import ENDURANCE_EXPONENT, REFERENCE_REP, Tempo, reps_at

EQUAL = (1.0, 1.0)
by_name = {equation.name.split()[0]: equation for equation in EQUATIONS}


def capacity(reps: float, load: float = 40.0, tempo: str = "1-0-1-0", rpe: float = 10):
    return Capacity(RepResult(load, reps, Tempo.parse(tempo), rpe))


@pytest.mark.parametrize("equation", EQUATIONS, ids=lambda e: e.name)
@given(reps=st.floats(1.0, 15.0))
def test_each_equation_comes_back_to_its_reps(equation, reps: float) -> None:
    assert equation.reps_for(equation.ratio_at(reps)) == pytest.approx(reps, rel=1e-6)


@pytest.mark.parametrize("equation", EQUATIONS, ids=lambda e: e.name)
def test_one_rep_is_the_one_rep_load(equation) -> None:
    assert equation.ratio_at(1) == 1.0
    assert equation.reps_for(1.0) == 1.0
    assert equation.reps_for(0.999) == 0.0


@pytest.mark.parametrize("equation", EQUATIONS, ids=lambda e: e.name)
@given(reps=st.floats(1, 14), more=st.floats(0.01, 1))
def test_more_reps_mean_more_capacity(equation, reps: float, more: float) -> None:
    assert equation.ratio_at(reps + more) > equation.ratio_at(reps)


def test_two_equations_fall_silent_above_fifteen() -> None:
    silent = {e.name for e in EQUATIONS} - {e.name for e in speaking(16)}
    assert silent == {"Brzycki 1993", "Lander 1985"}


def test_an_equation_without_an_inverse_counts_as_high() -> None:
    assert by_name["Mayhew"].reps_for(100 / 52.2 + 0.001) == math.inf
    assert by_name["Wathan"].reps_for(100 / 48.8 + 0.001) == math.inf


@given(st.floats(1, 29), st.floats(5, 200))
def test_a_test_predicts_itself(reps: float, load: float) -> None:
    result = capacity(reps, load)
    assert result.predict(load, Tempo(), EQUAL).likely == pytest.approx(reps, rel=1e-9)


@pytest.mark.parametrize("curve", CURVES.values(), ids=lambda c: c.name)
def test_the_curve_rises_from_rep_to_rep_and_comes_back_exactly(curve) -> None:
    """Held against a general library's monotone interpolation through the same knots."""
    reps = np.geomspace(1.0, MOST_REPS, 4001)
    ratios = curve.ratio(reps)
    assert (np.diff(ratios) > 0).all()
    assert curve.reps(ratios) == pytest.approx(reps, rel=1e-10)
    knots = np.array(sorted(curve.shares), dtype=float)
    shares = np.array([curve.shares[int(knot)] for knot in knots])
    general = PchipInterpolator(np.log(knots), -np.log(shares))
    assert np.log(ratios) == pytest.approx(general(np.log(reps)), abs=1e-9)


@pytest.mark.parametrize("curve", CURVES.values(), ids=lambda c: c.name)
def test_fifteen_seventeen_and_nineteen_reps_are_three_capacities(curve) -> None:
    three = [curve.ratio(reps) for reps in (15.0, 17.0, 19.0)]
    assert three[1] / three[0] > 1.03
    assert three[2] / three[1] > 1.03


def test_at_the_curves_ends() -> None:
    assert UPPER.ratio(1.0) == UPPER.ratio(0.2) == 1.0
    assert UPPER.reps(0.999) == 0.0
    assert UPPER.reps(1.0) == 1.0
    assert UPPER.reps(1e6) == pytest.approx(MOST_REPS)


@given(st.floats(1, 60), st.floats(1.0, 2.0), st.sampled_from(["upper", "legs"]))
def test_there_and_back_again_is_where_it_began(reps: float, ratio: float, curve) -> None:
    """Reps at one load tell those at another, and those tell the first."""
    first = Capacity(RepResult(40.0, reps, curve=curve))
    there = first.predict(40.0 / ratio, Tempo(), EQUAL).likely
    if 1.0 <= there < MOST_REPS - 1:
        back = Capacity(RepResult(40.0 / ratio, there, curve=curve)).predict(40.0, Tempo(), EQUAL)
        assert back.likely == pytest.approx(reps, rel=1e-6)


@given(st.floats(1, 100), st.floats(0.3, 3.0), st.floats(1, 10))
def test_no_range_has_no_width(reps: float, ratio: float, rpe: float) -> None:
    tested = capacity(reps, rpe=rpe)
    for told in (tested.predict(40 * ratio, Tempo(), EQUAL), tested.one_rep, tested.load_for(8)):
        assert told.high > told.low
        assert told.high >= told.likely >= told.low


def test_legs_allow_more_reps_at_the_same_share() -> None:
    """Richens and Cleather 2014, Shimano 2006 (from memory)."""
    for reps in (5.0, 10.0, 20.0):
        assert LEGS.ratio(reps) < UPPER.ratio(reps)


@given(st.floats(1, 15), st.floats(1.01, 1.6))
def test_more_load_means_fewer_reps(reps: float, heavier: float) -> None:
    here = capacity(reps)
    assert (
        here.predict(40 * heavier, Tempo(), EQUAL).likely <= here.predict(40, Tempo(), EQUAL).likely
    )


@given(st.floats(1, 40), st.floats(5, 100), st.floats(0.5, 2.0))
def test_predictions_keep_their_order_and_their_scale(
    reps: float, load: float, ratio: float
) -> None:
    expected = capacity(reps, load).predict(load * ratio, Tempo(), (0.95, 1.05))
    assert 0 <= expected.low <= expected.likely <= expected.high


@given(st.floats(1, 25), st.floats(1, 10))
def test_capacity_never_lies_under_the_load_done(reps: float, rpe: float) -> None:
    one_rep = capacity(reps, rpe=rpe).one_rep
    assert one_rep.likely >= 40.0
    assert one_rep.low <= one_rep.likely <= one_rep.high


def test_capacity_shows_the_envelope_of_the_equations_apart() -> None:
    one_rep = capacity(10).one_rep
    assert one_rep.spread_low is not None
    assert one_rep.spread_high is not None
    members = [*(40 * e.ratio_at(10) for e in EQUATIONS), one_rep.likely]
    assert one_rep.spread_low == pytest.approx(min(members))
    assert one_rep.spread_high == pytest.approx(max(members))


def test_above_fifteen_reps_the_range_widens_and_says_why() -> None:
    few, many = capacity(8).one_rep, capacity(25).one_rep
    assert (many.high - many.low) / many.likely > (few.high - few.low) / few.likely
    assert "spread widely" in many.derivation.note
    assert few.derivation.note == ""


def test_reps_in_reserve_count_as_reps() -> None:
    assert capacity(8, rpe=8).one_rep.likely == pytest.approx(capacity(10).one_rep.likely)


def test_a_rated_set_is_less_sure_than_a_test_to_the_end() -> None:
    rated, ended = capacity(8, rpe=8).one_rep, capacity(10).one_rep
    assert rated.high - rated.low > ended.high - ended.low


@given(st.floats(2, 29), st.floats(20, 80), st.floats(1, 25))
def test_the_load_for_a_count_is_the_heaviest_that_allows_it(
    reps: float, load: float, done: float
) -> None:
    tested = capacity(done, load)
    asked = tested.load_for(reps)
    assert asked.low <= asked.likely <= asked.high
    assert tested.predict(asked.likely, Tempo(), EQUAL).likely == pytest.approx(reps, rel=1e-6)


def test_a_slower_tempo_leaves_fewer_reps_and_counts_as_heavier() -> None:
    tested = capacity(12)
    slow = tested.predict(40, Tempo.parse("3-0-1-0"), EQUAL)
    assert slow.likely == pytest.approx(12 / 2**ENDURANCE_EXPONENT)
    assert slow.low < slow.likely < slow.high
    heavier, same = slow_factor(UPPER, 6.0, np.array([4.0, REFERENCE_REP]), ENDURANCE_EXPONENT)
    assert heavier > 1
    assert same == 1


@given(st.floats(1, 30), st.floats(0.8, 8), st.floats(0.8, 8))
def test_tempo_equivalence_goes_there_and_back(reps: float, now: float, then: float) -> None:
    assert reps_at(reps_at(reps, now, then), then, now) == pytest.approx(reps)


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"load": 0.0}, "load"),
        ({"reps": 0}, "reps"),
        ({"reps": 201}, "reps"),
        ({"rpe": 0.5}, "rpe"),
        ({"rpe": 10.5}, "rpe"),
        ({"reps": float("nan")}, "reps"),
    ],
)
def test_impossible_results_are_refused(change: dict[str, float], field: str) -> None:
    with pytest.raises(InputError) as caught:
        RepResult(**{"load": 40.0, "reps": 8, **change})  # type: ignore[arg-type]
    assert caught.value.field == field


@pytest.mark.parametrize("text", ["3-0-1-0", "3-0-1", " 2.5 - 1 - 1 - 0 "])
def test_tempo_reads_what_coaches_write(text: str) -> None:
    assert Tempo.parse(str(Tempo.parse(text))) == Tempo.parse(text)


@pytest.mark.parametrize("text", ["", "3", "3-0", "fast", "3-0-1-0-1", "-1-0-1-0", "0-0-0-0"])
def test_tempo_refuses_what_is_none(text: str) -> None:
    with pytest.raises(InputError, match="tempo"):
        Tempo.parse(text)


def test_a_minute_is_the_longest_phase() -> None:
    with pytest.raises(InputError, match="tempo, lower"):
        Tempo(lower=61)
