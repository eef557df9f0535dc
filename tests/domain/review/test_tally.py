"""What weeks of logs add up to: hard sets by region, torque × seconds by joint, sides."""

from dataclasses import replace
from datetime import date, timedelta

import pytest

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.review.tally import Group, tally
from invelo.domain.strength.tempo import Tempo
from tests.domain.people import AVERAGE

MONDAY = date(2026, 3, 2)


def done(movement: str = "push-up", sets: int = 3, amount: float = 30, **more: object) -> Group:
    found = catalogue().find_movement(movement)
    plain = Group(MONDAY, found, Modifiers(), "work", "", sets, amount, 12.0)
    return replace(plain, **more)  # type: ignore[arg-type]


def week(*groups: Group):
    (only,) = tally(groups, lambda _: AVERAGE)
    return only


def test_a_set_counts_whole_for_what_does_the_work_and_half_for_what_helps() -> None:
    """Common practice."""
    kick = catalogue().find_movement("long-leg-rear-raise")
    regions = week(done("long-leg-rear-raise", sets=4)).regions
    assert dict.fromkeys(kick.prime, 4.0).items() <= regions.items()
    assert regions["hamstrings"] == 2.0  # a quarter of the work
    assert regions.keys() == {*kick.prime, "hamstrings"}  # a seventh is no set


def test_a_set_of_each_side_is_one_set() -> None:
    """Both sides of a set are logged apart; three of each are three sets, not six."""
    left, right = (done("one-leg-squat", side=side) for side in ("left", "right"))
    assert week(left, right).regions == week(done("one-leg-squat")).regions


def test_an_easy_set_is_no_hard_set_but_its_joints_bear_it() -> None:
    easy = week(done(kind="easy"))
    assert easy.regions == {}
    assert easy.joints == week(done()).joints


@pytest.mark.parametrize("kind", ["drop", "part", "cluster"])
def test_what_goes_on_from_a_set_is_no_set_of_its_own(kind: str) -> None:
    both = week(done(sets=3), done(sets=3, kind=kind))
    assert both.regions == week(done(sets=3)).regions


def test_two_movements_in_turn_are_half_a_set_each() -> None:
    both = week(done(sets=3, kind="turn"), done("close-push-up", sets=3, kind="turn"))
    assert both.regions["chest"] == 3.0


def test_torque_times_seconds_of_a_hold_is_the_torque_for_as_long() -> None:
    """By hand: what ten seconds ask is ten times what one second asks."""
    one = week(done("front-lever", sets=1, amount=1.0)).joints
    ten = week(done("front-lever", sets=2, amount=10.0)).joints
    for joint, told in one.items():
        assert ten[joint].likely == pytest.approx(10 * told.likely)
        assert ten[joint].low == pytest.approx(10 * told.low)
        assert told.low <= told.likely <= told.high
        assert told.unit == "N·m·s"


def test_slower_reps_bear_longer() -> None:
    """By hand: reps at twice the time bear the same torques twice as long."""
    quick, slow = Modifiers(tempo=Tempo(1, 0, 1, 0)), Modifiers(tempo=Tempo(2, 0, 2, 0))
    assert slow.tempo.rep_time == 2 * quick.tempo.rep_time
    one, two = week(done(modifiers=quick)).joints, week(done(modifiers=slow)).joints
    for joint in one:
        assert two[joint].likely == pytest.approx(2 * one[joint].likely)


def test_groups_add_up() -> None:
    together = week(done(sets=2, amount=20), done("row", sets=3, amount=24), done(sets=1, amount=9))
    apart = [week(done(sets=3, amount=29)), week(done("row", sets=3, amount=24))]
    for joint, told in together.joints.items():
        parts = [one.joints[joint].likely for one in apart if joint in one.joints]
        assert told.likely == pytest.approx(sum(parts))
    for region, sets in together.regions.items():
        assert sets == sum(one.regions.get(region, 0.0) for one in apart)


def test_weeks_stand_apart_and_oldest_first_with_the_body_of_their_time() -> None:
    later = MONDAY + timedelta(weeks=1)
    bodies = {MONDAY: AVERAGE, later: replace(AVERAGE, mass=2 * AVERAGE.mass)}
    light, heavy = tally([done(week_start=later), done()], bodies.__getitem__)
    assert (light.week_start, heavy.week_start) == (MONDAY, later)
    for joint, told in light.joints.items():
        assert heavy.joints[joint].likely == pytest.approx(2 * told.likely)


def test_the_best_of_each_side_is_kept_where_they_were_done_apart() -> None:
    groups = (
        done("one-leg-squat", side="left", best=6),
        done("one-leg-squat", side="left", best=8),
        done("one-leg-squat", side="right", best=7),
        done("one-leg-squat", side="right", kind="easy", best=15),
        done("push-up", best=20),
    )
    told = week(*groups)
    name = catalogue().find_movement("one-leg-squat").name
    assert (told.left, told.right) == ({name: 8}, {name: 7})


def test_without_sets_there_are_no_weeks() -> None:
    assert tally([], lambda _: AVERAGE) == ()
