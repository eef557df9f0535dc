"""Gaps closed with what is to hand."""

from dataclasses import replace
from datetime import date

import pytest

from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.equipment.kit import ANYTHING, KitItem, Room, SafetyCheck, ToHand, to_hand
from invelo.domain.equipment.loads import Thing, weights
from invelo.domain.errors import InputError
from invelo.domain.ladder.bridge import bridge
from invelo.domain.ladder.candidates import candidates, name_of
from invelo.domain.ladder.ladder import measure
from invelo.domain.ladder.rung import Rung, demand
from invelo.domain.ladder.step_policy import StepPolicy
from invelo.domain.plan.prescription import range_criterion, range_prescription
from invelo.domain.strength.bands import Pull, fit
from invelo.domain.strength.tempo import Tempo
from tests.domain.people import AVERAGE

TODAY = date(2026, 3, 2)
SAFE = SafetyCheck(TODAY, True, "coach")
NOTHING = ToHand(frozenset())
STAGE = to_hand(
    (
        Room(
            "stage",
            "gripping",
            (
                KitItem("surface", "riser 20", 0.2, check=SAFE),
                KitItem("surface", "riser 40", 0.4, check=SAFE),
                KitItem("chair", "wobbly chair", 0.45, check=SafetyCheck(TODAY, False, "coach")),
                KitItem("bar", "lighting bar", 2.3, check=SAFE),
                KitItem("bag", "sack", kg=12.0),
                KitItem("load", "sandbag", kg=2.5, count=2),
                KitItem("load", "sandbag, large", kg=5.0),
                KitItem("wall", "back wall"),
            ),
        ),
    ),
    TODAY,
)


def on(movement: str, name: str = "", unit_effort: float = 9.0, **changes) -> Rung:
    of = catalogue().find_movement(movement)
    values = {k: v for k, v in changes.items() if k not in ("tempo", "bag")}
    prescription = range_prescription("strength", "beginner", of.unit)
    rest = of.own(
        Modifiers(tuple(sorted(values.items())), tempo=Tempo.parse(changes.get("tempo", "1-0-1-0")))
    )
    return Rung(name or movement, of, rest, prescription, range_criterion(prescription))


def test_every_step_of_a_bridge_is_under_the_wanted_size() -> None:
    lower, upper = on("counter-push-up"), on("push-up")
    for step in (0.05, 0.1, 0.2):
        found = bridge(AVERAGE, lower, upper, STAGE, StepPolicy(step=step))
        rungs = (lower, *(one.rung for one in found.rungs), upper)
        steps = measure(AVERAGE, rungs).steps
        assert all(1.0 < one.ratio.likely <= 1 + step + 1e-6 for one in steps)
        assert found.possible
        assert found.last == pytest.approx(steps[-1].ratio.likely)
        for one, made in zip(found.rungs, steps, strict=False):
            assert one.ratio == pytest.approx(made.ratio.likely, rel=1e-9)


def test_a_smaller_step_takes_no_fewer_rungs() -> None:
    lower, upper = on("counter-push-up"), on("push-up")
    counts = [
        len(bridge(AVERAGE, lower, upper, STAGE, StepPolicy(step=s)).rungs)
        for s in (0.3, 0.2, 0.1, 0.05)
    ]
    assert counts == sorted(counts)
    assert counts[-1] > counts[0]


def test_nothing_is_proposed_where_the_step_is_small_enough() -> None:
    found = bridge(AVERAGE, on("push-up"), on("push-up", foot_height=0.2), STAGE)
    assert found.possible
    assert found.rungs == ()


def test_only_what_is_to_hand_is_proposed() -> None:
    found = candidates(
        AVERAGE,
        on("counter-push-up"),
        on("push-up"),
        STAGE,
        ((on("push-up").movement.posture.lane, 1.0),),
    )
    own = {value for one in found.setups for value in one.movement.values.values()}
    for one in found.setups:
        values = dict(one.modifiers.values)
        for height in ("hand_height", "foot_height"):
            assert values.get(height, 0.0) in {0.0, 0.2, 0.4, 0.9, *own}
        assert one.modifiers.added_load.total in {0.0, 2.5, 5.0, 7.5, 10.0}
        assert STAGE.has(one.movement.kit)
    assert {one.modifiers.added_load.total for one in found.setups} == {0.0, 2.5, 5.0, 7.5, 10.0}


def test_every_candidate_asks_what_its_rung_would() -> None:
    lower, upper = on("push-up"), on("one-arm-push-up")
    found = candidates(AVERAGE, lower, upper, STAGE, ((upper.movement.posture.lane, 1.0),))
    for index in range(0, len(found.heights), 997):
        rung = Rung(
            "x",
            found.of(index).movement,
            found.modifiers(index),
            lower.prescription,
            lower.criterion,
        )
        assert demand(AVERAGE, rung).height == pytest.approx(found.heights[index], rel=1e-9)


@pytest.mark.law
def test_candidates_are_told_apart_by_name() -> None:
    lower, upper = on("squat"), on("one-leg-squat")
    found = candidates(AVERAGE, lower, upper, STAGE, ((upper.movement.posture.lane, 1.0),))
    names = [found.name(index) for index in range(len(found.heights))]
    assert len(names) > 1000
    assert len(set(names)) == len(names)


def test_a_closed_movement_is_not_proposed() -> None:
    lower, upper = on("squat"), on("one-leg-squat")
    allowed = frozenset({"squat", "one-leg-squat", "deep-squat"})
    found = bridge(AVERAGE, lower, upper, STAGE, StepPolicy(step=0.2), allowed=allowed)
    assert {one.rung.movement.id for one in found.rungs} <= allowed


def test_two_legs_to_one_is_a_gap_and_slow_reps_with_a_pause_are_proposed() -> None:
    """Common practice: the step from a two-leg to a one-leg squat is too big for most; slow the
    tempo and pause at the bottom first."""
    lower, upper = on("squat"), on("one-leg-squat")
    (step,) = measure(AVERAGE, (lower, upper)).steps
    assert step.gap
    found = bridge(
        AVERAGE, lower, upper, STAGE, StepPolicy(order=("tempo", "lever", "range", "load"))
    )
    assert found.possible
    slow = [one.rung.modifiers.tempo for one in found.rungs if "tempo" in one.levers]
    assert any(tempo.lower > 1.0 and tempo.bottom > 0.0 for tempo in slow)


@pytest.mark.parametrize("family", ["front-lever", "planche"])
def test_eight_seconds_of_an_advanced_tuck_are_far_from_a_straddle(family: str) -> None:
    """Common practice: who holds an advanced tuck 5–10 s is far off the straddle; a shape in
    between, or help so that it is held 5 s, comes first."""
    lower = on(f"advanced-tuck-{family}")
    lower = replace(lower, criterion=replace(lower.criterion, amount=8))
    (step,) = measure(AVERAGE, (lower, on(f"straddle-{family}"))).steps
    assert step.gap
    assert step.above.likely < 5.0
    found = bridge(AVERAGE, lower, on(f"straddle-{family}"), STAGE)
    assert found.possible
    assert found.rungs
    assert all({"lever", "load"} & set(one.levers) for one in found.rungs)


def test_a_band_helps_where_the_shapes_are_not_wanted() -> None:
    """With a measured band on the bar, help stands among the candidates."""
    band = fit(
        1.0,
        tuple(
            Pull(length, 9.80665 * kg)
            for length, kg in (
                (1.2, 2.6),
                (1.4, 4.3),
                (1.6, 5.5),
                (1.8, 6.6),
                (2.0, 7.6),
                (2.3, 8.8),
            )
        ),
    )
    with_band = replace(STAGE, bands=(("narrow", band),), bars=(2.3, 3.2))
    upper = on("straddle-front-lever")
    found = candidates(
        AVERAGE,
        on("advanced-tuck-front-lever"),
        upper,
        with_band,
        ((upper.movement.posture.lane, 1.0),),
    )
    banded = [i for i in range(len(found.heights)) if found.of(i).modifiers.band]
    assert banded
    assert any(found.levers(i) == {"load"} for i in banded)


def test_the_coach_s_order_breaks_ties_of_length() -> None:
    lower, upper = on("push-up"), on("push-up", foot_height=0.4, tempo="3-1-1-0")
    first = {}
    for leads in ("tempo", "load"):
        rest = [one for one in ("tempo", "lever", "range", "load") if one != leads]
        found = bridge(AVERAGE, lower, upper, STAGE, StepPolicy(step=0.15, order=(leads, *rest)))
        first[leads] = {lever for one in found.rungs for lever in one.levers}
    assert first["tempo"] == {"tempo"}
    assert "load" in first["load"]


def test_where_the_kit_cannot_do_it_one_thing_that_would_is_named() -> None:
    lower, upper = on("raised-side-plank"), on("side-plank")
    found = bridge(AVERAGE, lower, upper, NOTHING, StepPolicy(step=0.18))
    assert not found.possible
    assert found.rungs == ()
    assert found.missing.startswith("A block of ")
    height = float(found.missing.split()[3]) / 100
    with_it = replace(NOTHING, kinds=frozenset({"surface"}), heights=(height,))
    assert bridge(AVERAGE, lower, upper, with_it, StepPolicy(step=0.18)).possible


def test_what_no_piece_of_kit_would_do_is_said() -> None:
    lower, upper = on("hang"), on("one-arm-hang")
    found = bridge(AVERAGE, lower, upper, NOTHING, StepPolicy(step=0.02))
    assert not found.possible
    assert found.missing


def test_what_only_effort_tells_has_nothing_to_divide() -> None:
    with pytest.raises(InputError, match="only effort tells"):
        bridge(AVERAGE, on("towel-apart"), on("towel-overhead-pull"), STAGE)


def test_rungs_of_two_lanes_compare_once_both_are_tested() -> None:
    lower, upper = on("straight-leg-bench-dip"), on("dip")
    with pytest.raises(InputError, match="Test both"):
        bridge(AVERAGE, lower, upper, STAGE)
    known = {lower.movement.posture.lane: 90.0, upper.movement.posture.lane: 80.0}
    found = bridge(AVERAGE, lower, upper, ANYTHING, StepPolicy(step=0.15), known)
    assert found.possible
    assert found.considered > 100


@pytest.mark.parametrize("body", [Body(50, 1.55), Body(75, 1.75), Body(100, 1.95)])
def test_feet_raised_rank_above_the_floor_and_the_floor_above_the_knees(body: Body) -> None:
    """Common practice, for every body."""
    rungs = (on("knee-push-up"), on("push-up"), on("feet-raised-push-up"))
    assert not any(step.easier for step in measure(body, rungs).steps)


def test_what_is_to_hand_is_safe_and_real() -> None:
    assert STAGE.heights == (0.2, 0.4)
    assert STAGE.bars == (2.3,)
    assert STAGE.loads == (2.5, 5.0, 7.5, 10.0)
    assert to_hand((), TODAY).kinds is None


def test_weights_are_those_that_the_pieces_make() -> None:
    """Against every choice of pieces there is."""
    from itertools import product

    things = (Thing("a", 2.5, 2), Thing("b", 1.2, 3), Thing("c", 4.0, 1))
    made = {
        round(sum(n * t.kg for n, t in zip(counts, things, strict=True)), 3)
        for counts in product(*(range(t.count + 1) for t in things))
    }
    wanted = {
        round(kg * 2) / 2 for kg in made if 0 < kg <= 9 and abs(kg - round(kg * 2) / 2) <= 0.0501
    }
    assert set(weights(things, 9.0)) == wanted
    assert weights((), 9.0) == ()


def test_a_rung_is_named_for_what_is_changed() -> None:
    of = catalogue().find_movement("chair-push-up")
    assert name_of(of, of.own(Modifiers())) == "Incline push-up, chair"
    slow = replace(of.own(Modifiers()), tempo=Tempo.parse("3-2-1-0"))
    assert name_of(of, slow) == "Incline push-up, chair, 3-2-1-0"
