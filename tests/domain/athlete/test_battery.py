"""The battery: which tests, in which order, and what is left out."""

from dataclasses import replace
from datetime import date

import pytest

from invelo.domain.athlete.battery import (
    MOST_TESTS,
    BatterySituation,
    battery,
    half_width,
    protocol_of,
    rpe_of,
)
from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.limits import Limit
from invelo.domain.athlete.person import Person
from invelo.domain.athlete.readiness import CHECKS
from invelo.domain.athlete.results import between, sides
from invelo.domain.athlete.screen import SPARED
from invelo.domain.athlete.strain import strains
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.catalogue.norms import lacks, norms_of
from invelo.domain.equipment.kit import KitItem, Room, SafetyCheck
from invelo.domain.strength.capacity import Pool, evidence, groups_of, pool
from tests.domain.people import AVERAGE

DAY = date(2026, 3, 2)
OPEN = frozenset(one.id for one in CHECKS)


def situation(**change: object) -> BatterySituation:
    guard = {"limits": (), "passed": OPEN, "rooms": (), "today": DAY, "body": AVERAGE, "age": None}
    guard |= {name: change.pop(name) for name in list(change) if name in guard}
    fresh = BatterySituation(AVERAGE, Person(), Guard(**guard), {})  # type: ignore[arg-type]
    return replace(fresh, **change)  # type: ignore[arg-type]


def done(test_id: str, amount: float, side: str = "", day: date = DAY):
    test = next(one for one in catalogue().test if one.id == test_id)
    return evidence(day, "test", AVERAGE, test.of, test.modifiers(), amount, 10, side)  # type: ignore[arg-type]


def known(*results) -> dict[str, Pool]:
    return {key: pool(those) for key, those in groups_of(results).items()}


def names(found) -> list[str]:
    return [one.test.id for one in found.proposed]


def test_goals_lead_and_one_test_a_family_is_asked() -> None:
    found = battery(situation(person=Person(("pull-up", "l-sit"), training_years=2)))
    assert [one.test.of.family for one in found.proposed] == [
        "vertical pull",
        "horizontal pull",
        "compression",
        "trunk front",
    ]


def test_no_more_than_a_sitting_holds() -> None:
    assert len(battery(situation()).proposed) == MOST_TESTS


def test_who_is_new_begins_with_the_easy_ones() -> None:
    goal = ("row",)
    assert names(battery(situation(person=Person(goal)))) == ["row-half"]
    assert names(battery(situation(person=Person(goal, training_years=4)))) == ["row-level"]


def test_the_unknown_comes_first_then_the_least_sure() -> None:
    person = Person(("push-up", "row"), training_years=2)
    found = battery(situation(person=person, known=known(done("push-up", 9))))
    assert found.proposed[0].now is None
    assert found.proposed[-1].test.of.family == "horizontal push"
    assert "Known to ±" in found.proposed[-1].why


def test_a_strong_result_calls_for_a_harder_test() -> None:
    """Thirty reps tell little of strength (common practice): the next test is a harder one."""
    person = Person(("push-up",), training_years=2)
    found = battery(situation(person=person, known=known(done("push-up", 26))))
    assert "push-up-feet" in names(found)


def test_the_proposed_test_narrows_what_is_known() -> None:
    person = Person(("push-up",), training_years=2)
    first = known(done("push-up", 20))
    one = next(
        p
        for p in battery(situation(person=person, known=first)).proposed
        if p.test.of.family == "horizontal push"
    )
    assert one.now is not None
    assert one.leaves < one.now


@pytest.mark.parametrize(
    ("change", "word"),
    [
        ({"limits": (Limit("overhead", 90, "x"),)}, "upper arms raised by at most 90°"),
        ({"rooms": (Room("Home", "gripping"),)}, "it needs bar or rings"),
        ({"person": Person(("pull-up",), dislikes=("row", "hang"))}, "disliked"),
    ],
)
def test_what_is_closed_is_left_out_with_the_reason(change: dict, word: str) -> None:
    found = battery(situation(**{"person": Person(("pull-up",)), **change}))
    assert any(word in one.why for one in found.left_out)
    assert not set(names(found)) & {one.test.id for one in found.left_out}


def test_a_closed_gate_leaves_its_tests_out() -> None:
    found = battery(situation(person=Person(("one-leg-squat",)), passed=frozenset()))
    why = {one.test.id: one.why for one in found.left_out}
    assert any("stand on one leg" in reason for reason in why.values())


def test_unsafe_kit_is_not_tested_with() -> None:
    unsafe = KitItem("bar", "bar", 2.2, check=SafetyCheck(DAY, False, "x"))
    rooms = (Room("Stage", "smooth", (unsafe,)),)
    found = battery(situation(person=Person(("pull-up",)), rooms=rooms))
    assert names(found) == []
    on_the_bar = [one for one in found.left_out if "bar" in one.test.of.kit]
    assert on_the_bar
    assert all("unsafe" in one.why for one in on_the_bar)


@pytest.mark.parametrize("place", SPARED)
def test_no_proposed_test_strains_what_a_limit_spares(place) -> None:
    limits = tuple(Limit(quantity, most, place) for quantity, most in SPARED[place])
    for one in battery(situation(limits=limits)).proposed:
        asked = strains(AVERAGE, one.test.of, one.test.modifiers())
        assert all(asked.get(limit.quantity, 0) <= limit.most for limit in limits)


@pytest.mark.parametrize("test", catalogue().test, ids=lambda one: one.id)
def test_every_test_can_be_set_up_and_says_how(test) -> None:
    for stature in (1.5, 1.75, 2.0):
        body = replace(AVERAGE, stature=stature)
        assert reading(body, test.modifiers().setup(test.of)).demand.likely > 0
    assert test.how
    assert test.level in ("new", "trained", "strong")


def test_a_retest_counts_only_beyond_its_noise() -> None:
    before = done("push-up", 12)
    assert not between(before, done("push-up", 13)).beyond
    better = between(before, done("push-up", 18))
    assert better.beyond
    assert "more, beyond the noise" in better.words


def test_a_test_against_itself_differs_by_nothing() -> None:
    assert between(done("plank", 60), done("plank", 60)).percent == pytest.approx(0.0)


def test_the_weaker_side_is_named_and_speaks_for_the_family() -> None:
    left, right = done("split-squat", 9, "left"), done("split-squat", 16, "right")
    assert sides(left, right).weaker == "left"
    assert sides(left, done("split-squat", 9, "right")).weaker == ""
    assert pool((left, right)).greatest.likely == left.greatest.likely


def test_a_second_day_narrows_and_the_middle_speaks() -> None:
    first = done("push-up", 10)
    second = done("push-up", 12, day=date(2026, 3, 5))
    both = pool((first, second))
    low, high = sorted(one.greatest.likely for one in (first, second))
    assert low < both.greatest.likely < high
    assert half_width(both.greatest) < half_width(pool((second,)).greatest)
    assert "2 days' evidence" in both.greatest.derivation.formula


@pytest.mark.parametrize(
    ("norm_id", "sex", "age", "amount", "word"),
    [
        ("toes", "male", 25, 36, "excellent"),
        ("toes", "male", 25, 35, "very good"),
        ("toes", "male", 45, 9, "needs work"),
        ("knees", "female", 33, 13, "good"),
        ("side plank", "female", 22, 74, "over the mean"),  # of the right, which comes first
        ("chair stands", "male", 67, 11, "lowest quarter"),
        ("chair stands", "male", 67, 18, "middle half"),
        ("chair stands", "female", 82, 15, "top quarter"),
        ("one-leg stand", None, 65, 32, "at the mean or over"),
        ("heel raises", "female", 30, 24, "under the usual 25"),
    ],
)
def test_published_norms_stand_beside(norm_id, sex, age, amount, word) -> None:
    """CSEP's push-up table, McGill and others 1999, Rikli and Jones 1999, Springer and others
    2007, Lunsford and Perry 1995, all from memory; see catalogue/norms.toml."""
    norm, *_ = norms_of(catalogue().norm, norm_id, sex)
    assert norm.word(age, amount) == word
    assert "from memory" in norm.source


def test_where_a_study_is_silent_so_are_we() -> None:
    (norm,) = norms_of(catalogue().norm, "plank", "male")
    assert norm.word(70, 60) == ""
    assert norms_of(catalogue().norm, "toes", None) == ()


def test_each_side_has_a_norm_of_its_own() -> None:
    """McGill and others 1999, from memory: 94 s on the right, 97 s on the left of young men."""
    right, left = norms_of(catalogue().norm, "side plank", "male")
    assert (right.side, left.side) == ("right", "left")
    assert right.word(22, 95) == "over the mean"
    assert left.word(22, 95) == "under the mean"
    assert right.word(31, 95) == ""  # nobody so old was measured


@pytest.mark.parametrize(
    ("norm_id", "sex", "age", "said"),
    [
        ("toes", "female", 30, "for women"),
        ("toes", "male", 19, "from 20 to 69"),
        ("toes", "male", 70, "from 20 to 69"),
        ("toes", None, 30, "go by sex"),
        ("toes", "male", None, "go by age"),
        ("toes", "male", 30, ""),
        ("heel raises", None, 30, ""),
    ],
)
def test_why_no_norm_stands_there_is_said(norm_id, sex, age, said) -> None:
    found = lacks(catalogue().norm, norm_id, sex, age)
    assert said in found
    assert bool(found) == bool(said)


def the_test(test_id: str):
    return next(one for one in catalogue().test if one.id == test_id)


@pytest.mark.parametrize(
    ("change", "gentle"),
    [
        ({"age": 15}, True),
        ({"age": 16, "person": Person(training_years=3)}, False),
        ({"first_week": True}, True),
        ({"first_week": True, "person": Person(training_years=3)}, False),
        ({}, False),
    ],
)
def test_the_young_and_the_new_never_test_to_the_end(change: dict, gentle: bool) -> None:
    """Under 16 years and in the first week of the new (common practice)."""
    now = situation(**change)
    assert now.gentle is gentle
    push = the_test("push-up")
    assert rpe_of(push, now.gentle) == (8.0 if gentle else 10.0)
    assert ("two more clean ones are left" in protocol_of(push, now.gentle)) is gentle


def test_a_hold_that_the_clock_ends_was_not_all_there_was() -> None:
    """Hang and support at 120 s, wall sit and plank at 180 s: longer tells nothing (common
    practice)."""
    stops = {one.id: one.stop_at for one in catalogue().test if one.stop_at}
    assert stops == {
        **{"hang": 120, "support": 120, "wall-sit": 180, "plank": 180},
        **{"back-lever-tuck": 10, "one-leg-stand": 45},
    }
    plank = the_test("plank")
    assert rpe_of(plank, gentle=False, amount=179) == 10.0
    assert rpe_of(plank, gentle=False, amount=180) < 10.0
    assert "End it at 180 s" in protocol_of(plank, gentle=False)


def test_what_a_clock_or_balance_ends_tells_no_capacity_and_is_offered_by_age() -> None:
    old, young = (battery(situation(age=age)) for age in (66, 30))
    assert {"chair-stands", "one-leg-stand"} <= {one.id for one in old.measures}
    assert "chair-stands" not in {one.id for one in young.measures}
    for one in (*old.proposed, *young.proposed):
        assert one.test.tells_capacity


def test_a_hold_ladder_places_by_seconds() -> None:
    """Common practice: half to seven tenths of the best hold is the practice hold."""
    from invelo.domain.ladder.ladder import measure
    from invelo.domain.ladder.placement import place
    from invelo.domain.ladder.rung import Rung
    from invelo.domain.plan.prescription import range_criterion, range_prescription

    prescription = range_prescription("strength", "beginner", "s")
    rungs = tuple(
        Rung(
            one.name,
            catalogue().find_movement(one.movement),
            one.modifiers(),
            prescription,
            range_criterion(prescription),
        )
        for one in catalogue().find_ladder("l-sit").rungs
    )
    ladder = measure(AVERAGE, rungs)
    placed = place(ladder, (done("l-sit-tuck", 20),))
    here = placed.predictions[placed.index]
    assert here.unit == "s"
    assert 0.7 * here.likely >= prescription.low
    assert 0.7 * placed.predictions[placed.index + 1].likely < prescription.low
    assert placed.capacity.unit == "N·m"
    with pytest.raises(Exception, match="nothing says yet"):
        place(ladder, (done("push-up", 10),))


def test_modifiers_of_a_shape_carry_its_values() -> None:
    tuck = next(one for one in catalogue().test if one.id == "front-lever-tuck")
    assert tuck.modifiers() == Modifiers(
        (("hip", 130.0), ("knee", 140.0), ("rounding", 15.0)), tempo=tuck.modifiers().tempo
    )
