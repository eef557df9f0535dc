"""Ways to the next step: each reaches the step, alone, within what it allows."""

from datetime import date

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from invelo.domain.biomechanics.body import AddedLoad
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError
from invelo.domain.ladder.rung import Rung, demand
from invelo.domain.ladder.ways import Adjustment, adjustments
from invelo.domain.strength.capacity import evidence, pool
from invelo.domain.strength.tempo import Tempo
from tests.domain.people import AVERAGE, rung

KNOWN = pool(
    [
        evidence(
            date(2026, 3, 2),
            "test",
            AVERAGE,
            catalogue().find_movement("push-up"),
            Modifiers(),
            12,
            10,
        )
    ]
)


def found(start: Rung, step: float) -> dict[str, Adjustment]:
    return {way.adjustable.name: way for way in adjustments(AVERAGE, start, step, KNOWN)}


@pytest.mark.law
@settings(max_examples=8)
@given(
    st.floats(0.02, 0.12),
    st.floats(0.0, 0.5),
    st.sampled_from([-1, 1]),
)
def test_every_way_makes_the_step_it_was_asked_for(step: float, hands: float, sign: int) -> None:
    start = rung("start", hand_height=hands)
    here = demand(AVERAGE, start).on_scale.likely
    for way in found(start, sign * step).values():
        if way.demand is None or way.to is None:
            assert way.unavailable_reason
            continue
        made = way.demand.on_scale.likely / here
        assert made == pytest.approx(1 + sign * step, abs=1e-3)
        assert way.to.low <= way.to.likely <= way.to.high
        assert way.adjustable.low <= way.to.likely <= way.adjustable.high


def test_from_the_floor_everything_but_range_and_the_hands_height_can_add() -> None:
    reached = {name for name, way in found(rung("floor"), 0.05).items() if way.to}
    assert reached == {
        "bag",
        "vest",
        "foot_height",
        "hand_offset",
        "deficit",
        "share",
        "eccentric",
        "pause",
    }


def test_equal_choices_are_equal_in_load_and_so_in_reps() -> None:
    ways_up = found(rung("floor"), 0.05)
    reps = [ways_up[name].expected.likely for name in ("bag", "vest", "foot_height")]
    assert reps == pytest.approx([reps[0]] * 3, abs=0.1)


def test_an_easier_step_raises_the_hands() -> None:
    easier = found(rung("raised", hand_height=0.4), -0.05)
    assert easier["hand_height"].to.likely > 0.4
    assert easier["bag"].to is None
    assert "cannot weigh less than nothing" in easier["bag"].unavailable_reason


def test_a_loaded_bag_can_be_emptied() -> None:
    start = rung("loaded", added_load=AddedLoad(bag=10.0))
    lighter = found(start, -0.05)["bag"]
    assert lighter.now == 10
    assert 0 < lighter.to.likely < 10


def test_a_slow_rung_can_be_made_quicker() -> None:
    quicker = found(rung("slow", tempo=Tempo(4, 0, 1, 0)), -0.1)["eccentric"]
    assert quicker.to.likely < 4


def test_a_step_beyond_the_bag_says_so() -> None:
    far = found(rung("floor"), 0.9)["bag"]
    assert far.to is None
    assert "15 kg" in far.unavailable_reason


def test_what_is_unknown_of_tempo_widens_its_range() -> None:
    """Kilos in a bag are sure; how tempo tells on a person is not."""
    told = found(rung("floor"), 0.1)
    bag, lowering = told["bag"].to, told["eccentric"].to
    assert (lowering.high - lowering.low) / lowering.likely > (bag.high - bag.low) / bag.likely


def test_about_three_kilos_are_five_per_cent_and_a_chair_under_the_feet_is_three() -> None:
    """Common practice: a small bag is felt at once, a chair under the feet less than it looks: the
    body's centre moves over the hands, but the hardest part of the rep moves to the middle."""
    assert 2 <= found(rung("floor"), 0.05)["bag"].to.likely <= 6
    assert 0.25 <= found(rung("floor"), 0.03)["foot_height"].to.likely <= 0.6


@pytest.mark.parametrize("step", [0.0, -0.6, 1.1, float("nan")])
def test_steps_of_nothing_or_too_much_are_refused(step: float) -> None:
    with pytest.raises(InputError, match="step"):
        found(rung("floor"), step)
