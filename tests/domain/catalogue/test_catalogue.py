"""The catalogue that ships: complete, told apart, checked; and careless entries refused."""

from collections import Counter
from datetime import date
from importlib import resources
from typing import get_args

import pytest
from pydantic import ValidationError

from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.readiness import CHECKS
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.dumas import DUMAS
from invelo.domain.biomechanics.figure import figures
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.catalogue import catalogue, read
from invelo.domain.catalogue.movement import MUSCLES, RESTS, Modifiers, Movement, StressedJoint
from invelo.domain.equipment.kit import Room
from invelo.domain.errors import InputError
from invelo.domain.ladder.ladder import chain, measure
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.prescription import range_criterion, range_prescription
from tests.domain.people import AVERAGE

SMALL = Body(58.0, 1.62, DUMAS["female"])
FAMILIES = {
    "horizontal push", "vertical push", "dip", "horizontal pull", "vertical pull",
    "straight-arm push", "straight-arm pull", "straight arms behind", "compression",
    "trunk front", "trunk side", "trunk back", "squat", "split and one-leg squat", "lunge and step",
    "hinge and bridge", "hip side and rear", "inner thigh", "calf", "curl", "triceps",
    "shoulder blade and rear shoulder", "chest isolation", "towel and stick", "grip",
    "jump and land", "balance and mobility",
}  # fmt: skip
GOALS = {
    "full-push-up", "one-arm-push-up", "handstand-push-up", "dip", "loaded-dip", "row", "pull-up",
    "loaded-pull-up", "one-arm-pull-up", "l-sit", "v-sit", "planche", "front-lever",
    "one-leg-squat", "rear-foot-raised-split-squat", "one-leg-bridge", "hollow", "side-plank",
    "l-sit-floor", "close-push-up", "ring-push-up", "grip", "weighted-dip", "weighted-pull-up",
    "hinge", "chin-up", "calf", "inner-thigh",
}  # fmt: skip


def test_it_holds_at_least_260_movements_of_every_family() -> None:
    counts = Counter(movement.family for movement in catalogue().movement)
    assert len(catalogue().movement) >= 260
    assert set(counts) == FAMILIES
    assert min(counts.values()) >= 3
    assert {family.name for family in catalogue().family} == FAMILIES


@pytest.mark.parametrize("movement", catalogue().movement, ids=lambda one: one.id)
@pytest.mark.parametrize("body", [AVERAGE, SMALL], ids=["average", "small"])
def test_every_movement_stands_and_is_drawn(movement: Movement, body: Body) -> None:
    """A movement's sheet shows its figure at both ends of the rep."""
    drawn = figures(reading(body, movement.own(Modifiers()).setup(movement)))
    assert {"shoulder", "wrist"} <= drawn[0].joints.keys()
    if movement.unit == "reps" and not movement.rpe_only:
        assert drawn[0].joints != drawn[-1].joints


@pytest.mark.parametrize("movement", catalogue().movement, ids=lambda one: one.id)
def test_every_movement_says_what_a_coach_needs(movement: Movement) -> None:
    assert movement.name
    assert sum(movement.prime.values()) + sum(movement.helping.values()) == 100
    assert set(movement.muscles) <= set(MUSCLES)
    assert movement.rest in RESTS
    assert set(movement.stress) <= set(get_args(StressedJoint))
    assert all(len(cue) <= 70 for cue in movement.cues)
    assert all(fault.remedy.endswith(".") for fault in movement.fault)


REACH_NOT_TORQUE = {"straddle-l-sit", "v-sit", "long-plank-hollow"}
"""Harder by the reach of the legs or the load on the shoulders, not by the torque that is told:
legs that rise or part pull less at the hip."""


def test_an_easier_movement_is_easier_where_both_can_be_weighed() -> None:
    """Common practice: a fault calls for less, never for more. Within one lane the figures say
    whether that is so; a posture that leans on something else is not asked."""
    for movement in catalogue().movement:
        here = reading(AVERAGE, movement.own(Modifiers()).setup(movement))
        for fault in movement.fault:
            if not fault.easier:
                continue
            other = catalogue().find_movement(fault.easier)
            there = reading(AVERAGE, other.own(Modifiers()).setup(other))
            if movement.id in REACH_NOT_TORQUE:
                continue
            if movement.rpe_only or here.setup.form.lane != there.setup.form.lane:
                continue
            assert there.demand.low <= here.demand.high, (movement.id, other.id)


def test_two_movements_of_one_name_stay_two() -> None:
    two = catalogue().called("incline push-up")
    assert [one.id for one in two] == ["counter-push-up", "chair-push-up"]


def test_movements_are_told_apart_by_posture_or_kit() -> None:
    """Two entries that are the same posture, counted alike, differ in what they are done with."""
    seen = Counter(
        (one.form, tuple(sorted(one.values.items())), one.unit, one.kit, one.name)
        for one in catalogue().movement
    )
    assert max(seen.values()) == 1


def test_names_and_other_terms_find_a_movement() -> None:
    assert [one.id for one in catalogue().called("Inverted Row")] == ["row"]
    assert catalogue().called("nothing of the kind") == ()


def test_what_is_not_in_the_catalogue_is_refused_with_what_is_near() -> None:
    with pytest.raises(InputError, match="“push-up”"):
        catalogue().find_movement("pussh-up")
    with pytest.raises(InputError, match="push-up"):
        catalogue().find_ladder("flying")


def test_a_name_or_another_term_that_one_alone_has_is_the_movement() -> None:
    for words in ("dip", "Bar dip", "parallel bar dip", "Parallel dips"):
        assert catalogue().find_movement(words).id == "dip"
    shared = next(
        term
        for one in catalogue().movement
        for term in one.also
        if len(catalogue().called(term)) > 1
    )
    with pytest.raises(InputError, match="may be several movements"):
        catalogue().find_movement(shared)


def _measured(ladder_id: str, body: Body):
    ready = catalogue().find_ladder(ladder_id)
    rungs = []
    for one in ready.rungs:
        prescription = range_prescription("strength", "beginner", one.of.unit)
        rungs.append(
            Rung(one.name, one.of, one.modifiers(), prescription, range_criterion(prescription))
        )
    links = tuple((low, i) for i in range(len(rungs)) for low in ready.lower(i))
    return ready, measure(body, tuple(rungs), links)


def test_there_is_a_ready_ladder_toward_every_goal_and_with_household_kit() -> None:
    assert {ladder.id for ladder in catalogue().ladder} >= GOALS
    assert len({ladder.goal for ladder in catalogue().ladder}) >= 30
    household = [ladder for ladder in catalogue().ladder if ladder.household]
    assert len(household) >= 4
    allowed = {"chair", "surface", "stairs", "wall", "towel", "straps", "bag", "load"}
    for ladder in household:
        for one in ladder.rungs:
            assert not one.of.kit or allowed & set(one.of.kit), one.name


@pytest.mark.parametrize("ladder_id", [one.id for one in catalogue().ladder])
def test_a_ready_ladder_climbs_or_says_why_not(ladder_id: str) -> None:
    """Order agrees with the computed demand, beyond its range, or the exception is explained."""
    ready, measured = _measured(ladder_id, AVERAGE)
    for step in measured.steps:
        if step.ratio is not None and step.ratio.high < 1.0:
            assert ready.rungs[step.upper].why, (ready.rungs[step.upper].name, step.ratio)
    for i, demand in enumerate(measured.demands):
        if i and demand.lane not in {measured.demands[low].lane for low in measured.below(i)}:
            below = measured.below(i)
            assert (
                not below
                or ready.rungs[i].why
                or ready.rungs[i].of.rpe_only
                or all(
                    measured.demands[low].lane is None or measured.demands[low].lane != demand.lane
                    for low in below
                )
            )


def test_a_ready_ladder_may_branch_and_join() -> None:
    ready, measured = _measured("dip", AVERAGE)
    joined = [i for i in range(len(ready.rungs)) if len(measured.below(i)) == 2]
    assert joined
    assert tuple((step.lower, step.upper) for step in measured.steps) != chain(len(ready.rungs))


GOOD = """
[[family]]
name = "waving"
about = "Waving."
[family.usual]
rest = "finisher"
prime = { "side shoulder" = 100 }

[[movement]]
id = "wave"
name = "Wave"
family = "waving"
form = "standing"
amount = "s"
counted = "total"
cues = ["Wave."]
fault = [{ name = "stops", remedy = "Go on." }]
"""


def test_a_careful_entry_is_taken() -> None:
    (wave,) = read([GOOD]).movement
    assert wave.rest == "finisher"
    assert wave.rpe_only
    assert wave.unit == "s"


@pytest.mark.parametrize(
    ("careful", "careless", "told"),
    [
        ('amount = "s"\n', "", "say what is counted"),
        ('amount = "s"', 'amount = "reps"', "least and its most depth"),
        ('form = "standing"', 'form = "flying"', "is not known"),
        ('form = "standing"', 'form = "push_up"', "its form counts reps, not s"),
        ('counted = "total"', 'counted = "twice"', "Input should be"),
        ('cues = ["Wave."]', "cues = []", "one to three cues"),
        ('cues = ["Wave."]', 'cues = ["a", "b", "c", "d"]', "one to three cues"),
        ('fault = [{ name = "stops", remedy = "Go on." }]', "fault = []", "no fault is named"),
        ('remedy = "Go on."', 'remedy = "Go on.", easier = "fly"', "no other movement"),
        ('"side shoulder" = 100', '"side shoulder" = 90', "add up to 90 %"),
        ('"side shoulder" = 100', '"side shoulder" = 85, chest = 15', "a region under 20 % helps"),
        ('"side shoulder" = 100', '"left ear" = 100', "Input should be"),
        ('family = "waving"', 'family = "flying"', "no family “flying” is described"),
        ('id = "wave"', 'id = "wave"\nvalues = { wings = 3 }', "has no such measure"),
        ('id = "wave"', 'id = "wave"\nvalues = { arms = 900 }', "arms"),
        ('id = "wave"', 'id = "wave"\nkit = ["wand"]', "Input should be"),
        ('id = "wave"', 'id = "wave"\nstress = { elbow = 4 }', "Input should be"),
    ],
)
def test_a_careless_entry_is_refused_and_told(careful: str, careless: str, told: str) -> None:
    page = GOOD.replace(careful, careless)
    assert page != GOOD
    with pytest.raises((ValidationError, InputError, ValueError), match=told):
        _ = [one.unit for one in read([page]).movement]


def test_a_movement_named_twice_is_refused() -> None:
    twice = GOOD + GOOD[GOOD.index("[[movement]]") :]
    with pytest.raises(ValidationError, match="wave: named twice"):
        read([twice])


def test_pages_hold_only_what_is_known() -> None:
    """A misspelt heading would be passed over in silence."""
    from tomllib import loads

    known = {"family", "movement", "ladder", "test", "skill", "norm", "session"}
    for page in resources.files("invelo.domain.catalogue").iterdir():
        if page.name.endswith(".toml"):
            assert set(loads(page.read_text(encoding="utf-8"))) <= known, page.name


def test_half_the_body_mass_is_reached_in_shares_of_it() -> None:
    """A rung of + 50 % is 30 kg for sixty and 45 for ninety; assistance is a share too."""
    heaviest = catalogue().find_ladder("weighted-pull-up").rungs[-1]
    assert heaviest.modifiers(mass=60.0).added_load.vest == 30.0
    assert heaviest.modifiers(mass=90.0).added_load.vest == 45.0
    helped = catalogue().find_ladder("pull-up").rungs
    shares = [rung.assistance_share for rung in helped if rung.assistance_share]
    assert shares == sorted(shares, reverse=True)
    assert not [rung for rung in helped if rung.assistance]


def test_a_floor_is_all_an_l_sit_takes() -> None:
    ladder = catalogue().find_ladder("l-sit-floor")
    bare = Guard(
        passed=frozenset(check.id for check in CHECKS),
        rooms=(Room("Hall", "gripping"),),
        today=date(2026, 3, 2),
    )
    for rung in ladder.rungs:
        assert bare.unavailable_reason(rung.of, rung.modifiers()) == "", rung.name
