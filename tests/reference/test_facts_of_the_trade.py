"""Facts of the trade: what a coach knows without a model (common practice), held against it."""

from itertools import pairwise

import pytest

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.reading import reading
from invelo.domain.biomechanics.setup import SetUp
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, sorted_values
from invelo.domain.strength.predict import Done, Known
from invelo.domain.strength.tempo import Tempo
from tests.domain.people import AVERAGE

BODIES = (Body(50.0, 1.55), AVERAGE, Body(100.0, 1.90))


def setup(movement_id: str, **values: float) -> SetUp:
    movement = catalogue().find_movement(movement_id)
    return movement.own(Modifiers(sorted_values(values))).setup(movement)


def likely(done: SetUp, count: float, wanted: SetUp, tempo: str = "1-0-1-0") -> float:
    known = Known(AVERAGE, Done(done, count))
    return known.expected(reading(AVERAGE, wanted), Tempo.parse(tempo)).likely


def demands(line: list[SetUp], body: Body) -> list[float]:
    return [reading(body, one).demand.likely for one in line]


LINES = {
    "inclines": [
        *(setup("push-up", hand_height=h) for h in (1.1, 0.9, 0.61, 0.45, 0.3)),
        setup("push-up"),
        setup("push-up", foot_height=0.3),
        setup("push-up", foot_height=0.6),
    ],
    "squats": [setup(name) for name in ("half-squat", "chair-squat", "squat", "deep-squat")],
    "one leg": [
        setup("step-up"),
        setup("two-stairs-step-up"),
        setup("chair-step-up"),
        setup("one-leg-squat"),
    ],
    "L-sits": [setup(name) for name in ("tuck-l-sit", "one-leg-l-sit", "l-sit")],
    "planches": [
        setup(name)
        for name in ("tuck-planche", "advanced-tuck-planche", "one-leg-planche", "planche")
    ],
    "front levers": [
        setup(f"{shape}front-lever") for shape in ("tuck-", "advanced-tuck-", "one-leg-", "")
    ],
    "planks": [setup("knee-plank"), setup("plank"), setup("long-plank-hollow")],
    "bridges": [
        setup(name)
        for name in ("bridge", "feet-raised-bridge", "one-leg-bridge", "feet-raised-one-leg-bridge")
    ],
}


@pytest.mark.parametrize("body", BODIES, ids=lambda one: f"{one.stature}m")
@pytest.mark.parametrize("line", LINES)
def test_lines_climb_in_the_order_everybody_knows(line, body) -> None:
    told = demands(LINES[line], body)
    assert all(low < high for low, high in pairwise(told)), told


def test_rough_spacing_of_the_lines() -> None:
    """Twice on one leg; a third or so from half to level to deep; a straddle a little under the
    full; knees about four fifths of a push-up."""
    deep, one_leg = demands([setup("deep-squat"), setup("one-leg-squat")], AVERAGE)
    assert 1.5 < one_leg / deep < 2.2
    half, level = demands([setup("half-squat"), setup("squat")], AVERAGE)
    assert 1.25 < level / half < 1.8
    assert 1.25 < deep / level < 1.8
    straddle, full = demands([setup("straddle-planche"), setup("planche")], AVERAGE)
    assert 0.85 < straddle / full < 0.97
    knees, floor = demands([setup("knee-push-up"), setup("push-up")], AVERAGE)
    assert 0.72 < knees / floor < 0.9


def test_whoever_stands_up_from_a_chair_25_times_does_ten_low_steps_and_more() -> None:
    assert likely(setup("chair-squat"), 25, setup("step-up")) >= 10


def test_fifteen_at_the_wall_are_four_to_fifteen_at_a_high_shelf() -> None:
    shelf = setup("counter-push-up", hand_height=1.1)
    assert 4 <= likely(setup("wall-push-up"), 15, shelf) <= 15


def test_ten_plain_reps_are_five_to_seven_slow_ones() -> None:
    assert 5 <= likely(setup("push-up"), 10, setup("push-up"), "4-0-1-0") <= 7


def test_pauses_at_both_ends_leave_a_third_to_a_half() -> None:
    """About 3 s a rep against 1.2 s."""
    known = Known(AVERAGE, Done(setup("push-up"), 24, Tempo.parse("0.6-0-0.6-0")))
    paused = known.expected(reading(AVERAGE, setup("push-up")), Tempo.parse("0.6-0.9-0.6-0.9"))
    assert 24 / 3 <= paused.likely <= 24 / 2


@pytest.mark.parametrize(("tuck_s", "low", "high"), [(15, 0, 3), (20, 4, 6), (30, 12, 16)])
def test_the_straddle_rule(tuck_s, low, high) -> None:
    """15 to 30 s of the advanced tuck is what the straddle needs."""
    told = likely(setup("advanced-tuck-planche"), tuck_s, setup("straddle-planche"))
    assert low <= told <= high
