"""Ladders: demand in order, steps, gaps; the catalogue that ships."""

from dataclasses import replace

import pytest

from invelo.domain.biomechanics.body import AddedLoad, Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError
from invelo.domain.ladder.ladder import belongs, load_ratio, measure
from invelo.domain.ladder.ready import drawn
from invelo.domain.ladder.rung import Rung
from invelo.domain.ladder.step_policy import StepPolicy
from invelo.domain.plan.prescription import (
    LEAST_USEFUL,
    Criterion,
    Prescription,
    range_criterion,
    range_prescription,
)
from invelo.domain.strength.tempo import Tempo
from tests.domain.people import AVERAGE, ready, rung


def test_the_ready_ladder_climbs_for_an_average_body() -> None:
    demands = [d.on_scale.likely for d in ready().demands]
    assert demands == sorted(demands)
    assert not any(step.easier for step in ready().steps)


@pytest.mark.parametrize(("mass", "stature"), [(52, 1.58), (64, 1.68), (90, 1.85), (105, 1.95)])
def test_rungs_of_the_ready_ladder_that_change_places_are_flagged(
    mass: float, stature: float
) -> None:
    """Fixed heights do not bind every body; where the order turns, the step says so."""
    measured = ready(Body(mass, stature))
    demands = [d.on_scale.likely for d in measured.demands]
    for i, step in enumerate(measured.steps):
        assert step.easier == (demands[i + 1] < demands[i])


def test_a_step_is_the_ratio_of_demands() -> None:
    measured = measure(AVERAGE, (rung("floor"), rung("feet", foot_height=0.4)))
    lower, upper = (d.on_scale.likely for d in measured.demands)
    assert measured.steps[0].ratio.likely == pytest.approx(upper / lower)
    assert measured.steps[0].ratio.unit == "×"


def test_a_step_is_surer_than_its_two_demands() -> None:
    """Both loads are of one body, so what is unknown of it mostly cancels."""
    measured = measure(AVERAGE, (rung("floor"), rung("feet", foot_height=0.2)))
    step = measured.steps[0].ratio
    lower, upper = (d.load.demand for d in measured.demands)
    careless = upper.high / lower.low - upper.low / lower.high
    assert step.high - step.low < careless


def test_a_gap_is_a_step_too_large_for_a_useful_dose() -> None:
    wide = measure(AVERAGE, (rung("counter", hand_height=0.9), rung("floor"))).steps[0]
    narrow = measure(AVERAGE, (rung("floor"), rung("feet", foot_height=0.2))).steps[0]
    assert wide.gap
    assert wide.above.likely < LEAST_USEFUL["reps"]
    assert not narrow.gap
    assert narrow.above.likely >= LEAST_USEFUL["reps"]


def test_an_easier_rung_above_is_flagged_not_moved() -> None:
    measured = measure(AVERAGE, (rung("floor"), rung("counter", hand_height=0.9)))
    assert measured.steps[0].easier
    assert [r.name for r in measured.rungs] == ["floor", "counter"]


def test_tempo_raises_a_rung_without_touching_its_load() -> None:
    slow = Tempo.parse("3-0-1-0")
    plain, slower = measure(AVERAGE, (rung("floor"), rung("slow", tempo=slow))).demands
    assert slower.load.demand == plain.load.demand
    assert slower.on_scale.likely > plain.on_scale.likely
    assert slower.rep_time == 4.0


def test_the_ratio_of_a_load_to_itself_is_one_for_sure() -> None:
    load = ready().demands[0].load
    assert load_ratio(load, load) == (1.0, 1.0, 1.0)


def test_a_rung_out_of_reach_is_marked_and_takes_no_ladder_with_it() -> None:
    measured = measure(Body(45, 1.3), (rung("scaffold", hand_height=1.6), rung("floor")))
    high, floor = measured.demands
    assert "beyond this body's reach" in high.refused
    assert (high.on_scale, high.lane) == (None, None)
    assert not floor.refused
    assert measured.steps[0].ratio is None
    assert not measured.steps[0].gap


BODIES = [
    Body(mass, stature)
    for stature, masses in (
        (1.30, (30, 45)),
        (1.45, (35, 55, 80)),
        (1.75, (50, 75, 110)),
        (1.90, (60, 90)),
        (2.05, (80, 130)),
    )
    for mass in masses
]


@pytest.mark.parametrize("body", BODIES, ids=lambda one: f"{one.stature}m{one.mass}kg")
def test_every_ready_ladder_opens_and_climbs_for_short_and_tall(body) -> None:
    """1.30 to 2.05 m, 30 to 130 kg: nothing refused, each step up asks more than the one before,
    or the catalogue says why it stands there."""
    for ready_ladder in catalogue().ladder:
        graph = drawn(ready_ladder, body, "strength", "beginner")
        rungs = tuple(node.rung for node in graph.rungs)
        assert len(rungs) >= 0.6 * len(ready_ladder.rungs), ready_ladder.id
        measured = measure(body, rungs, graph.links)
        for step in measured.steps:
            upper = graph.rungs[step.upper]
            assert not measured.demands[step.upper].refused
            if step.ratio is not None and not upper.why:
                assert step.ratio.likely >= 0.98, (ready_ladder.id, upper.rung.name)


def test_what_is_no_real_things_height_is_a_share_of_the_bodys() -> None:
    wall, chair = (
        next(one for one in catalogue().find_ladder(ladder).rungs if one.name == name)
        for ladder, name in (
            ("full-push-up", "Wall push-up"),
            ("household-legs", "Chair stand"),
        )
    )
    assert dict(wall.modifiers(1.40).values)["hand_height"] == pytest.approx(1.25 * 0.8)
    assert wall.modifiers(1.75) == wall.modifiers()
    assert chair.modifiers(1.40) == chair.modifiers()


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"sets": 0}, "sets"),
        ({"low": 0}, "range's foot"),
        ({"high": 101}, "range's top"),
        ({"low": 12, "high": 8}, "range's top"),
        ({"rest": -1}, "rest"),
        ({"rpe": 11}, "rpe"),
    ],
)
def test_impossible_doses_are_refused(change: dict[str, int], field: str) -> None:
    with pytest.raises(InputError) as caught:
        Prescription(**{"sets": 3, "low": 6, "high": 10, "rest": 90, "rpe": 9, **change})
    assert caught.value.field == field


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"sets": 13}, "criterion sets"),
        ({"amount": 0}, "criterion reps"),
        ({"rpe": 0}, "criterion effort"),
        ({"sessions": 0}, "criterion sessions"),
    ],
)
def test_impossible_gates_are_refused(change: dict[str, int], field: str) -> None:
    with pytest.raises(InputError) as caught:
        Criterion(**{"sets": 3, "amount": 10, **change})
    assert caught.value.field == field


def test_sets_grow_with_the_level() -> None:
    """Common practice: 2, then 3, then 4."""
    levels = ("beginner", "intermediate", "advanced")
    assert [range_prescription("strength", level).sets for level in levels] == [2, 3, 4]


def test_the_range_gate_asks_for_the_top_of_the_range_twice() -> None:
    prescription = range_prescription("size", "intermediate")
    assert (prescription.low, prescription.high) == (8, 12)
    assert range_criterion(prescription) == Criterion(sets=3, amount=12, rpe=9.0, sessions=2)


def test_a_set_up_belongs_right_above_what_asks_no_more() -> None:
    demands = ready().demands
    asks = [one.on_scale.likely for one in demands]
    assert belongs(demands, min(asks) - 1) == 0
    assert belongs(demands, max(asks) + 1) == asks.index(max(asks)) + 1
    middle = sorted(asks)[len(asks) // 2]
    assert asks[belongs(demands, middle) - 1] <= middle


def loaded(name: str, **values: float) -> Rung:
    plain = rung(name, **values)
    return replace(plain, modifiers=replace(plain.modifiers, added_load=AddedLoad(bag=6.0)))


def test_links_branch_and_join() -> None:
    """A bent-arm and a straight-arm way to one skill stand side by side."""
    rungs = (
        rung("floor"),
        rung("feet", foot_height=0.2),
        loaded("bag"),
        loaded("top", foot_height=0.45),
    )
    measured = measure(AVERAGE, rungs, ((0, 1), (0, 2), (1, 3), (2, 3)))
    assert measured.above(0) == (1, 2)
    assert measured.below(3) == (1, 2)
    heights = [one.height for one in measured.demands]
    for step in measured.steps:
        assert step.ratio.likely == pytest.approx(heights[step.upper] / heights[step.lower])


@pytest.mark.parametrize("links", [((1, 0),), ((0, 1), (1, 1))])
def test_a_loop_is_refused_with_its_rungs(links: tuple) -> None:
    with pytest.raises(InputError, match="loop") as caught:
        measure(AVERAGE, (rung("floor"), rung("feet", foot_height=0.2)), links)
    assert "“floor”" in str(caught.value) or "“feet”" in str(caught.value)


def test_a_thousand_rungs_are_refused() -> None:
    with pytest.raises(InputError, match="there are 1000"):
        measure(AVERAGE, tuple(rung(str(i)) for i in range(1000)))


def test_what_only_effort_tells_has_no_height_and_no_ratio() -> None:
    towel = catalogue().find_movement("towel-apart")
    prescription = range_prescription("strength", "beginner", "s")
    squeeze = Rung(
        "squeeze", towel, towel.own(Modifiers()), prescription, range_criterion(prescription)
    )
    measured = measure(AVERAGE, (squeeze, rung("floor")))
    assert measured.demands[0].on_scale is None
    assert measured.demands[0].lane is None
    assert measured.steps[0].ratio is None
    assert not measured.steps[0].gap
    assert len(measured.lanes) == 1


def test_what_counts_as_a_gap_is_the_coach_s() -> None:
    rungs = (rung("floor"), rung("feet", foot_height=0.4))
    usual = measure(AVERAGE, rungs).steps[0]
    strict = measure(AVERAGE, rungs, policy=StepPolicy(reps=25)).steps[0]
    assert not usual.gap
    assert strict.gap
    assert strict.above == usual.above


@pytest.mark.parametrize(
    ("wrong", "field"),
    [
        ({"reps": 0}, "least useful reps"),
        ({"seconds": 0.5}, "least useful hold"),
        ({"step": 0.01}, "wanted step"),
        ({"order": ("tempo", "tempo", "range", "load")}, "order of preference"),
    ],
)
def test_impossible_terms_are_refused(wrong: dict, field: str) -> None:
    with pytest.raises(InputError) as caught:
        StepPolicy(**wrong)
    assert caught.value.field == field


def test_a_shorter_rep_counts_as_a_shorter_one() -> None:
    """Two half reps make one whole one; a deeper one counts for more."""
    whole, half, deep = (
        measure(AVERAGE, (one,)).demands[0]
        for one in (
            rung("whole"),
            replace(rung("half"), modifiers=Modifiers(range=0.5)),
            rung("deep", deficit=0.07),
        )
    )
    assert whole.share == 1.0
    assert half.share == pytest.approx(half.load.work.likely / whole.load.work.likely)
    assert half.height < whole.height
    assert deep.share > 1.0
    assert half.load.demand.likely == pytest.approx(whole.load.demand.likely, rel=0.03)
