"""Sessions in words, and laws that hold for whatever is put into one."""

from dataclasses import replace
from itertools import permutations

import pytest
from hypothesis import assume, given, settings
from hypothesis import strategies as st

from invelo.devices.simulated_run import run
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError
from invelo.domain.plan.day.fit import fit
from invelo.domain.plan.plan_overrides import NOTHING_BY_HAND
from invelo.domain.plan.session import blocks
from invelo.domain.plan.session.order import cost, in_order, leans_on, shared
from invelo.domain.plan.session.timeline import length, timeline
from invelo.domain.plan.session.totals import balance, hard_sets
from invelo.domain.plan.session.words import block_words, clock, set_words, sets_words
from invelo.domain.plan.session.work import Item, Rig, Session, role_of
from invelo.domain.plan.week.tasks import minutes_of, surface_of
from invelo.domain.plan.week.venue import Venue
from tests.domain.people import EVERYTHING, stand, trainee

PLAIN = trainee()
NAMES = (
    "push-up",
    "dip",
    "row",
    "squat",
    "split-squat",
    "plank",
    "side-plank",
    "l-sit",
    "curl",
    "calf-raise",
    "rear-lunge",
    "face-pull",
)


def item(movement: str, sets: int | None = None, purpose: str = "strength") -> Item:
    return PLAIN.loose(catalogue().find_movement(movement), purpose, sets)  # type: ignore[arg-type]


some = st.lists(st.sampled_from(NAMES), min_size=1, max_size=6, unique=True)


# ---- words ---------------------------------------------------------------------------------


@pytest.mark.parametrize(
    ("movement", "words"),
    [
        ("push-up", "6–10"),
        ("split-squat", "6–10 a side"),
        ("rear-lunge", "6–10 alternating"),
        ("plank", "8–15 s"),
        ("side-plank", "8–15 s a side"),
        ("jump", "60–100 cm"),
    ],
)
def test_what_a_set_asks_is_told_as_it_is_counted(movement: str, words: str) -> None:
    assert set_words(item(movement).main) == words


def test_equal_neighbours_are_told_together_and_others_apart() -> None:
    push = item("push-up", 3)
    slow = replace(push.main, low=5, high=5, rpe=8.0)
    mixed = replace(push, sets=(*push.sets, slow))
    assert sets_words(mixed) == (
        "3 × 6–10, effort 9, rest 2:00",
        "1 × 5, effort 8, rest 2:00",
    )


def test_every_kind_of_set_says_what_it_is() -> None:
    where = stand("p", "knee-push-up", "push-up", at=1)
    dropped = blocks.drop_set(trainee(where).item(where)).items[0]
    assert sets_words(dropped)[-1].startswith("go on: 1 × 6–10")
    single = blocks.top_single(item("pull-up", 2)).items[0]
    assert sets_words(single)[0].startswith("top single: 1 × 1")
    finished = blocks.cluster(item("push-up", 1)).items[0]
    assert sets_words(finished)[1].startswith("then 1 × ")
    broken = blocks.in_pieces(item("plank", 1), 40).items[0]
    assert sets_words(broken)[0].startswith("piece 3 × 10 s")


def test_a_block_says_its_rounds_or_its_clock() -> None:
    pair = blocks.rounds_of("pair", [item("push-up", 3), item("row", 3)])
    assert block_words(pair) == "Pair, 3 rounds, 1:30 between them"
    assert block_words(blocks.interval([item("squat")], 3)) == ("Interval: 40 s on, 20 s to change")
    assert clock(75) == "1:15"


# ---- laws ----------------------------------------------------------------------------------


@settings(max_examples=30)
@given(some)
def test_no_order_is_better_than_the_one_found(names: list[str]) -> None:
    items = [item(one) for one in names]
    assert cost(in_order(items)) == min(cost(order) for order in permutations(items))


@settings(max_examples=30)
@given(some, st.floats(8, 60))
def test_a_session_cut_to_its_minutes_fits_and_gains_nothing(
    names: list[str], minutes: float
) -> None:
    whole = NOTHING_BY_HAND.session("s", [item(one) for one in names], PLAIN)
    try:
        fitted = fit(whole, minutes)
    except InputError:
        least = length(whole).likely
        assume(minutes >= least)  # refused though it fits would be a fault
        raise
    assert length(fitted.session).likely <= minutes
    before = {one.key: len(one.sets) for one in whole.items}
    assert all(1 <= len(one.sets) <= before[one.key] for one in fitted.session.items)


@settings(max_examples=30)
@given(some)
def test_a_timeline_has_no_gaps_and_its_sets_are_all_there(names: list[str]) -> None:
    session = NOTHING_BY_HAND.session("s", [item(one) for one in names], PLAIN)
    events = timeline(session)
    now = 0.0
    for event in events:
        assert event.at == pytest.approx(now)
        assert event.seconds >= 0
        now += event.seconds
    work = [event for event in events if event.kind == "work"]
    sets = [one for block in session.blocks for each in block.items for one in each.sets]
    assert len(work) == sum(one.sides for one in sets)


@settings(max_examples=20)
@given(some)
def test_a_task_takes_at_least_what_it_adds_to_a_session(names: list[str]) -> None:
    """The solver's minutes never promise less than the session takes."""
    items = [item(one) for one in names]
    together = length(NOTHING_BY_HAND.session("s", items, PLAIN)).likely
    general = length(Session("w", NOTHING_BY_HAND.session("s", [], PLAIN).blocks)).likely
    assert together <= 8.0 + general + sum(minutes_of(one) for one in items)


@settings(max_examples=30)
@given(some)
def test_totals_of_a_session_are_the_sums_of_its_items(names: list[str]) -> None:
    items = [item(one) for one in names]
    whole = hard_sets(items)
    for region, sets in whole.items():
        assert sets == pytest.approx(sum(hard_sets([one]).get(region, 0) for one in items))
    push, pull = balance(items)
    assert push + pull <= sum(len(one.sets) for one in items)


@pytest.mark.parametrize("movement", NAMES)
def test_whoever_leans_on_a_muscle_shares_it_with_themself(movement: str) -> None:
    of = catalogue().find_movement(movement)
    both = shared(of, of)
    assert (both is None) == (not leans_on(of))


FORMATS = {
    "drop set": lambda: blocks.drop_set(
        trainee(where := stand("p", "knee-push-up", "push-up", at=1)).item(where)
    ),
    "cluster": lambda: blocks.cluster(item("push-up", 3)),
    "top single": lambda: blocks.top_single(item("pull-up", 3)),
    "holds in pieces": lambda: blocks.in_pieces(item("plank", 3), 40),
    "interval": lambda: blocks.interval([item("push-up"), item("squat")], 4),
    "pre-tire": lambda: blocks.pre_tire(item("triceps-press", 3), item("push-up", 3)),
    "triple": lambda: blocks.rounds_of("triple", [item(one, 3) for one in NAMES[:3]]),
}


@pytest.mark.parametrize("name", FORMATS)
def test_every_format_takes_as_long_as_its_simulated_run(name: str) -> None:
    """Within a tenth, over thirty runs, an ordinary item before and after it."""
    block = FORMATS[name]()
    session = Session(
        name, (blocks.straight(item("row", 3)), block, blocks.straight(item("bridge", 3)))
    )
    runs = [run(session, seed) for seed in range(30)]
    assert length(session).likely == pytest.approx(sum(runs) / len(runs), rel=0.10)


# ---- rungs, places, surfaces -----------------------------------------------------------------


def test_a_stand_goes_down_to_what_the_kit_allows() -> None:
    where = stand("p", "push-up", "chair-push-up", "feet-raised-push-up", at=2)
    who = trainee(where)
    assert who.within(where, None) == where
    bare = who.within(where, frozenset({"wall"}))
    assert bare is not None
    assert bare.movement.id == "push-up"
    closed = replace(who, open_movements=EVERYTHING - {"push-up"})
    assert closed.within(where, frozenset({"wall"})) is None


def test_the_quickest_rig_is_taken() -> None:
    who = trainee(rigs={"bar": 4.0, "rings": 1.0})
    assert who.rig(catalogue().find_movement("pull-up")) == Rig("rings", 1.0)
    assert who.rig(catalogue().find_movement("push-up")) == Rig()


@pytest.mark.parametrize(
    ("movement", "rigs", "surface"),
    [
        ("planche", {}, "floor"),
        ("front-lever", {"rings": 2.0}, "rings"),
        ("front-lever", {"bar": 2.0}, "bar"),
        ("l-sit", {"parallel bars": 0.0}, "bars"),
        ("push-up", {}, ""),
    ],
)
def test_straight_arm_holds_know_their_surface(
    movement: str, rigs: dict[str, float], surface: str
) -> None:
    who = trainee(rigs=rigs)
    made = who.loose(catalogue().find_movement(movement), "skill")
    assert surface_of(made) == surface


def test_a_place_allows_what_its_kit_and_floor_do() -> None:
    """Some drills need a smooth floor, some a gripping one (common practice)."""
    smooth = Venue("s", "Stage", frozenset({"chair", "towel"}), "smooth")
    rough = replace(smooth, floor="gripping")
    slide, jump, row = item("sliding-leg-curl"), item("jump"), item("row")
    assert smooth.allows(slide)
    assert not rough.allows(slide)
    assert rough.allows(jump)
    assert not smooth.allows(jump)
    assert not rough.allows(row)


@pytest.mark.parametrize(
    ("movement", "role"),
    [
        ("planche", "skill"),
        ("push-up", "strength"),
        ("plank", "small"),
        ("curl", "small"),
        ("ankle-rocks", "preparation"),
    ],
)
def test_roles_follow_from_what_sets_are_for(movement: str, role: str) -> None:
    assert role_of(catalogue().find_movement(movement)) == role


def test_a_simulated_run_repeats_by_its_seed_and_differs_by_it() -> None:
    session = NOTHING_BY_HAND.session("s", [item("push-up"), item("row")], PLAIN)
    assert run(session, 5) == run(session, 5)
    assert len({run(session, seed) for seed in range(10)}) == 10


def test_a_last_set_that_goes_on_is_told_with_the_others_and_not_as_one_set_less() -> None:
    """Four sets of which the last goes nearer to its end are four sets (common practice)."""
    item = trainee(stand("a", "push-up")).item(stand("a", "push-up"))
    plain = replace(item.sets[0], low=6, high=10, rpe=9.0, rest=120.0, open_end=False)
    further = replace(item, sets=(plain, plain, plain, replace(plain, rpe=9.5)))
    assert sets_words(further) == ("4 × 6–10, effort 9, the last to 9.5, rest 2:00",)
    to_its_end = replace(plain, rpe=10.0, high=30, open_end=True)
    assert sets_words(replace(item, sets=(plain, plain, to_its_end))) == (
        "3 × 6–10, effort 9, the last to its end, rest 2:00",
    )
    easier = replace(plain, rpe=7.0)
    assert sets_words(replace(item, sets=(plain, easier))) == (
        "1 × 6–10, effort 9, rest 2:00",
        "1 × 6–10, effort 7, rest 2:00",
    )
    assert sets_words(replace(item, sets=(plain,))) == ("1 × 6–10, effort 9, rest 2:00",)
    wider = replace(plain, low=4, rpe=9.5)
    assert len(sets_words(replace(item, sets=(plain, wider)))) == 2
