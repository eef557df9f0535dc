"""The bench's questions: what equals what, which band is enough, where a dial meets its aim."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from invelo.domain.bench.comparison import (
    LeverageTask,
    against,
    as_hard_as,
    bands_for,
    both_ways,
    for_count,
    least_assistance,
)
from invelo.domain.bench.solve import solve
from invelo.domain.biomechanics.adjustable import adjustable_of, adjustables
from invelo.domain.biomechanics.body import GRAVITY, AddedLoad
from invelo.domain.biomechanics.posture.form import form, forms
from invelo.domain.biomechanics.reading import reading
from invelo.domain.biomechanics.setup import set_up
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError
from invelo.domain.strength.bands import Pull, fit
from invelo.domain.strength.predict import Done, Known
from invelo.domain.strength.tempo import Tempo
from tests.domain.people import AVERAGE

PUSH_UP = LeverageTask("push_up", Modifiers())
NINE = Known(AVERAGE, Done(set_up("push_up"), amount=9))
ADVANCED = Known(AVERAGE, Done(set_up("planche", shape="advanced_tuck"), amount=12))
STRADDLE = LeverageTask("planche", Modifiers(values=(("splay", 45.0),)))


def band(kg_at_double: float, rest: float = 1.0):
    strength = kg_at_double * GRAVITY / (2 * 1.25 * 1.75)
    stretches = (1.2, 1.4, 1.6, 1.8, 2.0, 2.3)
    pulls = (2 * strength * (0.75 + 0.5 * 2 / s) * (s - s**-2) / 1.0 for s in stretches)
    return fit(rest, tuple(Pull(rest * s, f) for s, f in zip(stretches, pulls, strict=True)))


def pushed(**values: float) -> LeverageTask:
    return LeverageTask("push_up", Modifiers(values=tuple(sorted(values.items()))))


def test_a_set_up_is_as_hard_as_itself() -> None:
    ratio = against(AVERAGE, PUSH_UP, PUSH_UP)
    assert (ratio.low, ratio.likely, ratio.high) == pytest.approx((1.0, 1.0, 1.0))


@given(st.floats(0.0, 0.6), st.floats(0.0, 0.6))
@settings(max_examples=25)
def test_there_and_back_again_multiply_to_one(one: float, other: float) -> None:
    there = against(AVERAGE, pushed(hand_height=one), pushed(hand_height=other))
    back = against(AVERAGE, pushed(hand_height=other), pushed(hand_height=one))
    assert there.likely * back.likely == pytest.approx(1.0)
    assert there.low * back.high == pytest.approx(1.0, rel=0.02)


def test_a_ratio_is_surer_than_the_two_figures_it_compares() -> None:
    """One body does both, so what is unsure of it falls out."""
    low, high = pushed(foot_height=0.2), pushed(foot_height=0.4)
    ratio = against(AVERAGE, low, high)
    width = (ratio.high - ratio.low) / ratio.likely
    alone = high.asks(AVERAGE).load.demand
    assert width < (alone.high - alone.low) / alone.likely


def test_different_measures_are_not_compared() -> None:
    with pytest.raises(InputError, match="another measure"):
        against(AVERAGE, PUSH_UP, LeverageTask("planche", Modifiers()))


@pytest.mark.parametrize("name", ["foot_height", "vest", "bag", "assistance", "eccentric"])
def test_what_equals_it_does_equal_it(name: str) -> None:
    aim = LeverageTask("push_up", Modifiers(added_load=AddedLoad(bag=3.0)))
    task = (
        LeverageTask("push_up", Modifiers(added_load=AddedLoad(bag=6.0)))
        if name == "assistance"
        else PUSH_UP
    )
    found = as_hard_as(AVERAGE, task, name, aim)
    assert found.to is not None
    assert found.to.low <= found.to.likely <= found.to.high
    exact = LeverageTask(
        "push_up", adjustable_of(task.form, name).put(task.changes, found.to.likely)
    )
    assert against(AVERAGE, aim, exact).likely == pytest.approx(1.0, abs=1e-3)
    assert found.task is not None
    grain = adjustable_of(task.form, name).grain
    assert found.task.changes == adjustable_of(task.form, name).turned(
        task.changes, found.to.likely
    )
    assert (
        abs(adjustable_of(task.form, name).get(found.task.changes) - found.to.likely)
        <= grain / 2 + 1e-9
    )


def test_a_step_harder_is_that_much_harder() -> None:
    found = as_hard_as(AVERAGE, PUSH_UP, "vest", PUSH_UP, step=0.05)
    exact = LeverageTask(
        "push_up", adjustable_of(PUSH_UP.form, "vest").put(PUSH_UP.changes, found.to.likely)
    )
    assert against(AVERAGE, PUSH_UP, exact).likely == pytest.approx(1.05, abs=1e-3)


def test_a_dial_that_cannot_says_why() -> None:
    found = as_hard_as(AVERAGE, PUSH_UP, "ankles", PUSH_UP, step=0.5)
    assert found.to is None
    assert "10 kg" in found.unavailable_reason


def test_a_height_at_which_so_many_reps_are_just_there() -> None:
    found = for_count(NINE, PUSH_UP, "hand_height", 15)
    there = reading(AVERAGE, set_up("push_up", hand_height=found.to.likely))
    assert NINE.expected(there, Tempo()).likely == pytest.approx(15, abs=0.1)


def test_tempo_cannot_be_solved_for_a_count() -> None:
    for name in ("eccentric", "pause"):
        found = for_count(NINE, PUSH_UP, name, 12)
        assert found.to is None
        assert "changes the count itself" in found.unavailable_reason


def test_the_least_help_brings_five_seconds_of_straddle_within_reach() -> None:
    wanted = least_assistance(ADVANCED, STRADDLE, 5)
    demand = reading(AVERAGE, STRADDLE.setup).demand.likely
    allowed = ADVANCED.allowed(5, Tempo()).likely
    assert wanted.likely == pytest.approx(demand - allowed)
    assert wanted.unit == "N·m"
    assert 0 < wanted.low < wanted.likely < wanted.high


def test_no_help_is_needed_for_what_is_there_already() -> None:
    easy = LeverageTask("planche", Modifiers(values=(("hip", 130.0), ("knee", 140.0))))
    assert least_assistance(ADVANCED, easy, 5).likely == 0
    (answer,) = bands_for(ADVANCED, easy, 5, (("broad", band(20)),))
    assert answer.unavailable_reason == "no assistance is needed"


def test_each_band_that_is_enough_gives_the_seconds_and_a_thin_one_says_why_not() -> None:
    choices = {
        one.name: one
        for one in bands_for(
            ADVANCED, STRADDLE, 5, (("broad", band(25)), ("narrow", band(8)), ("thread", band(0.5)))
        )
    }
    for name in ("broad", "narrow"):
        one = choices[name]
        assert one.expected.likely == pytest.approx(5, abs=0.4)
        assert one.stretch < 3
        assert one.pull.unit == "kg"
    assert choices["narrow"].stretch > choices["broad"].stretch
    assert choices["narrow"].anchor.likely > choices["broad"].anchor.likely
    assert "too thin" in choices["thread"].unavailable_reason


@pytest.mark.parametrize("name", forms())
def test_every_dial_reads_back_what_it_was_turned_to(name: str) -> None:
    for one in adjustables(form(name)):
        for amount in (one.low, one.high, (one.low + one.high) / 2):
            turned = one.turned(Modifiers(), amount)
            assert one.get(turned) == pytest.approx(one.rounded(amount)), one.name
        with pytest.raises(InputError):
            one.turned(Modifiers(), one.high + 1)


def test_there_is_no_dial_of_another_form() -> None:
    with pytest.raises(InputError, match="splay"):
        adjustable_of(form("push_up"), "splay")


@given(st.floats(-2, 2), st.floats(0.2, 3), st.floats(-1, 1))
def test_the_nearest_root_is_found(now: float, slope: float, root: float) -> None:
    def quantity(x: float) -> tuple[float, float, float]:
        y = slope * (x - root)
        return y - 0.1, y, y + 0.1

    found = solve(quantity, -3.0, 3.0, now, (0.0, 0.0, 0.0))
    assert found.likely == pytest.approx(root, abs=1e-4 / slope)
    assert found.low <= found.likely <= found.high


def test_where_no_body_goes_is_no_answer() -> None:
    assert solve(lambda x: None if x > 1 else (x, x, x), 0, 5, 0.0, (2, 2, 2)) is None


@pytest.mark.parametrize(
    ("task", "words"),
    [
        (PUSH_UP, "Push-up"),
        (pushed(foot_height=0.125), "Push-up, feet 12.5 cm"),
        (pushed(foot_height=0.4), "Push-up, feet 40 cm"),
        (STRADDLE, "Planche, straddle"),
        (LeverageTask("planche", Modifiers(values=(("splay", 30.0),))),
         "Planche, each leg out to the side 30°"),
        (LeverageTask("push_up",
                      Modifiers(added_load=AddedLoad(bag=3.0), range=0.8, tempo=Tempo(3, 0, 1, 0))),
         "Push-up, bag 3 kg, 80 % of the range, 3-0-1-0"),
    ],
)  # fmt: skip
def test_a_set_up_is_called_what_a_coach_would_call_it(task: LeverageTask, words: str) -> None:
    assert task.words == words


def test_each_band_is_offered_plain_and_folded() -> None:
    plain, folded = both_ways([("broad", band(20))])
    assert (plain[0], folded[0]) == ("broad", "broad, doubled")
    assert folded[1].force_at(1.5) == pytest.approx(2 * plain[1].force_at(1.5))
