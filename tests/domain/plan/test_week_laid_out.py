"""From where someone stands to a week: what it holds, how often, what the trade says of it."""

from dataclasses import replace
from datetime import date
from itertools import pairwise

import pytest

from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.readiness import CHECKS
from invelo.domain.athlete.spared import SparedPlace
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.equipment.kit import KitItem, Room, SafetyCheck
from invelo.domain.errors import InputError
from invelo.domain.plan.plan_overrides import NOTHING_BY_HAND
from invelo.domain.plan.session.order import interference
from invelo.domain.plan.session.timeline import length
from invelo.domain.plan.session.trainee import Stand, Trainee
from invelo.domain.plan.week.advice import advise_days, low_resistance, missing_pull, missing_push
from invelo.domain.plan.week.course import CourseWeek, course, paced
from invelo.domain.plan.week.problem import Day, Pin
from invelo.domain.plan.week.progress import PlannedWeek
from invelo.domain.plan.week.score import breaches, days_of, sets_of_regions
from invelo.domain.plan.week.solve import solve
from invelo.domain.plan.week.tasks import SPREAD, Availability, BuiltProblem, Extra, build_problem
from invelo.domain.plan.week.venue import Stock, Venue
from tests.domain.people import AVERAGE, EVERYTHING, stand, trainee

PUSH = stand("push", ("knee-push-up", 20.0), ("push-up", 11.0), at=1)
PULL = stand("pull", ("bent-knee-row", 18.0), ("row", 10.0), at=1)
LEGS = stand("legs", ("squat", 30.0), ("split-squat", 11.0), at=1)
DIP = stand("dip", ("dip", 9.0))
LEVER = stand(
    "lever",
    ("tuck-front-lever", 32.0),
    ("advanced-tuck-front-lever", 18.0),
    ("one-leg-front-lever", 9.0),
    at=1,
    method="wave",
    purpose="skill",
)
STAGE = Venue("stage", "Stage", frozenset({"bar", "rings", "surface", "parallel bars"}))
YARD = Venue("yard", "Yard", frozenset({"wall"}))


def days(count: int, minutes: int = 45, place: str = "") -> tuple[Day, ...]:
    return tuple(Day(i, minutes, place) for i in SPREAD[count])


def planned(laid: BuiltProblem) -> PlannedWeek:
    return solve(laid.problem, steps=10.0)


def week(
    who: Trainee, count: int = 3, minutes: int = 45, **more: object
) -> tuple[BuiltProblem, PlannedWeek]:
    laid = build_problem(who, Availability(days(count, minutes), **more))  # type: ignore[arg-type]
    return laid, planned(laid)


def test_each_region_works_twice_or_more_when_the_days_allow_it() -> None:
    """Each region at least twice a week, three times good, once too little (common practice)."""
    laid, found = week(trainee(PUSH, PULL, LEGS))
    for region in laid.problem.regions:
        there = {day for key, day in found.plan if laid.problem.task(key).sets.get(region, 0) >= 2}
        assert len(there) >= 2, region
    laid, found = week(trainee(PUSH, PULL, LEGS), count=1)
    assert any("too little" in notice for notice in laid.notices)


def test_the_most_stressful_rungs_come_twice_at_most() -> None:
    """Once or twice a week; three days is more than most recover from (common practice)."""
    laid, found = week(trainee(DIP, LEVER, PULL), count=6)
    for one in laid.problem.tasks:
        if one.stressful:
            assert len(days_of(found.plan, one)) <= 2, one.name
    assert breaches(laid.problem, found.plan) == ()


def test_hard_days_for_a_joint_do_not_follow_each_other() -> None:
    laid, found = week(trainee(DIP, LEVER, PUSH), count=6)
    for joint in laid.problem.stressed:
        hard = sorted(
            {day for key, day in found.plan if laid.problem.task(key).stress.get(joint, 0) >= 3}
        )
        assert all(later - earlier > 1 for earlier, later in pairwise(hard))


def test_with_little_resistance_there_are_more_and_shorter_days() -> None:
    """Five or six shorter days (30–45 min) replace three heavy ones (common practice)."""
    light = trainee(stand("push", ("wall-push-up", 28.0)), stand("legs", ("squat", 30.0)))
    assert low_resistance(light)
    assert not low_resistance(trainee(PUSH, PULL))
    more, fewer = advise_days(True), advise_days(False)
    assert 5 <= more.days <= 6
    assert 30 <= more.minutes <= 45
    assert more.days > fewer.days
    assert more.minutes < fewer.minutes
    assert "There are 3" in advise_days(True, days=3).why
    laid, found = week(light, count=5, minutes=30)
    per_day = [len(laid.items[key].sets) for key, day in found.plan if day == 0]
    assert per_day
    assert max(per_day) <= 2
    assert all(len(days_of(found.plan, one)) >= 3 for one in laid.problem.tasks)


def test_push_and_pull_are_in_balance() -> None:
    laid, found = week(trainee(PUSH, DIP, PULL, LEGS), count=4)
    push = sum(laid.problem.task(key).push for key, _ in found.plan)
    pull = sum(laid.problem.task(key).pull for key, _ in found.plan)
    # half sets; three push for every two pull is the most there is with two ladders against one
    assert pull > 0
    assert abs(push - pull) <= push / 2


def test_the_missing_pull_is_named_with_the_cheapest_safe_remedy() -> None:
    """Pulling is what a room without kit lacks: name the cheapest safe remedy (common practice)."""
    laid = build_problem(trainee(PUSH), Availability(days(3, place="yard")), [YARD])
    assert any("Nothing pulls" in one and "towel" in one for one in laid.notices)
    there = build_problem(trainee(PUSH), Availability(days(3, place="stage")), [STAGE])
    assert any("Stage has what it takes" in one for one in there.notices)
    towel = Venue("room", "Room", frozenset({"towel"}))
    rows = build_problem(trainee(PUSH), Availability(days(3, place="room")), [towel])
    assert any("with the towel or stick at hand" in one for one in rows.notices)


def test_no_session_is_longer_than_asked() -> None:
    """At most 45 min (common practice)."""
    who = trainee(PUSH, PULL, LEGS, DIP, LEVER)
    laid, found = week(who, count=3, minutes=45)
    for day in laid.problem.days:
        items = [laid.items[key] for key, there in sorted(found.plan) if there == day.index]
        assert length(NOTHING_BY_HAND.session(day.name, items, who)).likely <= 45


def test_triceps_heavy_movements_of_a_day_are_kept_apart_where_they_can_be() -> None:
    """Common practice."""
    who = trainee(PUSH, DIP, PULL, LEGS)
    laid, found = week(who, count=3)
    for day in laid.problem.days:
        items = [laid.items[key] for key, there in sorted(found.plan) if there == day.index]
        others = len(items) - sum("triceps" in laid.problem.task(i.key).leans for i in items)
        if others:
            assert interference(NOTHING_BY_HAND.session("d", items, who).items) == ()


def test_the_wave_goes_long_easy_middle_hard_through_the_week() -> None:
    """A skill week of three: long easy holds, middle holds, the hardest shape (common practice)."""
    laid, found = week(trainee(LEVER, PULL), count=3)
    order = [
        next(day for key, day in found.plan if key == f"lever/{one}")
        for one in ("easy", "middle", "hard")
    ]
    assert order == sorted(order)
    assert len(set(order)) == 3
    assert all(laid.items[f"lever/{one}"].main.low >= 5 for one in ("easy", "middle", "hard"))


def test_accessories_take_turns() -> None:
    """A-B-A (common practice)."""
    extras = (
        Extra("calf-raise", days=2, rotation="small", letter="A"),
        Extra("side-leg-raise", days=1, rotation="small", letter="B"),
    )
    _, found = week(trainee(PUSH, PULL), extras=extras)
    there = {
        day: key.removeprefix("movement:")
        for key, day in sorted(found.plan)
        if key.startswith("movement:")
    }
    assert [there[day] for day in sorted(there)] == ["calf-raise", "side-leg-raise", "calf-raise"]


def test_a_closed_checks_work_stands_on_every_training_day() -> None:
    flat = next(one for one in CHECKS if one.id == "flat back")
    laid, found = week(trainee(PUSH, PULL, closed_checks=(flat,)))
    assert {day for key, day in found.plan if key == "check:flat back"} == {0, 2, 4}
    assert any("flat back" in one for one in laid.notices)


def test_kit_and_floor_keep_a_movement_where_they_are() -> None:
    who = trainee(PUSH, PULL, stand("curl", ("sliding-leg-curl", 10.0)))
    smooth = replace(STAGE, floor="smooth")
    availability = Availability((Day(0, 45, "stage"), Day(2, 45, "yard"), Day(4, 45, "stage")))
    laid = build_problem(who, availability, [smooth, YARD])
    found = planned(laid)
    assert {day for key, day in found.plan if key in ("pull", "curl")} <= {0, 4}
    rough = build_problem(who, availability, [STAGE, YARD])
    assert any("Sliding leg curl" in one for one in rough.left_out)


def test_what_a_limit_forbids_is_left_out_and_never_relaxed() -> None:
    closed = trainee(
        PUSH,
        DIP,
        open_movements=EVERYTHING - {"dip"},
        why_closed={"dip": "the dip is closed: shoulder warning signs."},
    )
    laid, found = week(closed)
    assert laid.left_out == ("goal of dip: the dip is closed: shoulder warning signs.",)
    assert {key for key, _ in found.plan} == {"push"}
    alone = replace(closed, stands=(DIP,))
    with pytest.raises(InputError, match="shoulder warning signs"):
        build_problem(alone, Availability(days(3)))


def test_a_pin_of_what_is_left_out_does_no_harm() -> None:
    closed = trainee(PUSH, DIP, open_movements=EVERYTHING - {"dip"})
    laid = build_problem(closed, Availability(days(3), pins=(Pin("dip", 0), Pin("push", 2))))
    assert laid.problem.pins == (Pin("push", 2),)


def test_no_day_and_nothing_to_do_are_told() -> None:
    with pytest.raises(InputError, match="days"):
        build_problem(trainee(PUSH), Availability(()))
    with pytest.raises(InputError, match="tasks"):
        build_problem(trainee(), Availability(days(3)))


def test_a_habit_needs_no_session() -> None:
    habit: Stand = stand("h", "push-up", method="habit")
    laid = build_problem(trainee(habit, PULL), Availability(days(3)))
    assert [task.key for task in laid.problem.tasks] == ["pull"]


def test_targets_are_the_coachs() -> None:
    laid, found = week(trainee(PUSH, PULL), targets=(("chest", 4.0),))
    assert laid.problem.targets["chest"] == 8
    assert sets_of_regions(laid.problem, found.plan)["chest"] > 0


# ---- blocks of weeks ---------------------------------------------------------------------------


def test_every_fourth_week_is_easy_and_sets_grow_after_it() -> None:
    kinds = [one.kind for one in course(9)]
    assert kinds == ["build"] * 3 + ["easy"] + ["build"] * 3 + ["easy", "build"]
    assert [one.grows for one in course(9) if one.kind == "build"] == [0, 0, 0, 1, 1, 1, 2]


def test_after_a_layoff_the_way_back_is_as_long_as_the_time_away() -> None:
    """> 2 weeks away: re-entry at a lower share, building over as many weeks (common practice)."""
    back = [one for one in course(10, away=4) if one.kind == "re-entry"]
    assert len(back) == 4
    shares = [one.share for one in back]
    assert shares == sorted(shares)
    assert shares[0] == 0.5
    assert all(one.rpe <= 7 for one in back)
    assert [one for one in course(10, away=2) if one.kind == "re-entry"] == []


def test_an_easy_week_has_fewer_sets_at_an_effort_of_seven() -> None:
    easy = course(4)[3]
    who = trainee(PUSH, PULL)
    usual = build_problem(who, Availability(days(3)))
    eased = build_problem(who, Availability(days(3), week=easy))
    for key, item in eased.items.items():
        assert len(item.sets) < len(usual.items[key].sets)
        assert item.main.rpe <= 7
    assert sum(eased.problem.targets.values()) < sum(usual.problem.targets.values())


def test_a_grown_week_adds_a_set_where_the_school_does() -> None:
    grown = CourseWeek(5, "build", grows=1)
    item = trainee(PUSH).item(PUSH)
    assert len(paced(item, grown, "double_progression").sets) == len(item.sets) + 1
    assert len(paced(item, grown, "near_failure").sets) == len(item.sets)
    assert len(paced(item, CourseWeek(30, "build", grows=9), "double_progression").sets) == 4


def test_top_singles_wait_until_the_way_back_is_done() -> None:
    """Back after months away: no top single (common practice)."""
    from invelo.domain.plan.session.blocks import top_single

    item = top_single(trainee(PUSH).item(PUSH)).items[0]
    back = course(6, away=6)[0]
    assert all(one.kind != "single" for one in paced(item, back).sets)


@pytest.mark.parametrize("given", [{"weeks": 0}, {"weeks": 4, "away": -1}, {"weeks": 27}])
def test_a_block_out_of_range_is_refused(given: dict[str, float]) -> None:
    with pytest.raises(InputError):
        course(**given)  # type: ignore[arg-type]


def test_nothing_closed_is_named_to_put_push_and_pull_right() -> None:
    """Whose wrist hurts is not told to add a push-up."""
    sore = Guard(spared=(SparedPlace("wrist", date(2026, 3, 2), 5),), passed=frozenset())
    who = replace(trainee(stand("row", "row")), guard=sore, open_movements=sore.open_movements)
    told = missing_push(who)
    assert "push-up" not in told
    named = told.removeprefix("Nothing pushes this week: add the ").rstrip(".")
    assert any(one.name.lower() == named and not who.shut(one) for one in catalogue().movement)
    shut = replace(who, guard=Guard(doctor="ask first"), open_movements=frozenset())
    assert "nothing that pushes is open" in missing_push(shut)
    assert "nothing that pulls is open" in missing_pull((), shut)


def test_a_day_is_not_planned_where_the_bar_is_too_low() -> None:
    """Rings at one place and a low bar at the other: pull-ups stand where one can hang."""
    looked = SafetyCheck(date(2026, 3, 2), True, "Ilse Marn")

    def venue(key: str, item: KitItem) -> Venue:
        room = Room(key, "gripping", (item,))
        stock = Stock(room, AVERAGE, date(2026, 3, 2))
        return Venue(key, key, frozenset({item.kind}), stock=stock)

    low = venue("yard", KitItem("bar", "rail", 1.05, check=looked))
    high = venue("stage", KitItem("rings", "rings", 2.4, check=looked))
    hanging = stand("hang", "pull-up")
    item = trainee(hanging).item(hanging)
    assert high.allows(item)
    assert not low.allows(item)
    assert not high.without_kit().allows(item)
