"""Sessions: formats, counts by side, length, warm-up, totals, ready shapes, groups."""

from dataclasses import replace
from itertools import permutations

import pytest

from invelo.devices.simulated_run import run
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError
from invelo.domain.plan.plan_overrides import NOTHING_BY_HAND
from invelo.domain.plan.session import blocks
from invelo.domain.plan.session.builder import block_of, session_of
from invelo.domain.plan.session.order import cost, in_order, interference
from invelo.domain.plan.session.template import SessionTemplate
from invelo.domain.plan.session.timeline import ends_at, length, timeline
from invelo.domain.plan.session.totals import torque_seconds, totals
from invelo.domain.plan.session.work import Item, Rig, Session
from tests.domain.people import AVERAGE, EVERYTHING, stand, trainee

PLAIN = trainee()


def item(movement: str, sets: int | None = None, purpose: str = "strength") -> Item:
    return PLAIN.loose(catalogue().find_movement(movement), purpose, sets)  # type: ignore[arg-type]


# ---- counts --------------------------------------------------------------------------------


def test_per_side_alternating_and_total_are_three_different_counts() -> None:
    """Three different things, stored apart, or prescriptions double (common practice)."""
    split, lunge, push = (item(one).main for one in ("split-squat", "rear-lunge", "push-up"))
    told = [one.count(8) for one in (split, lunge, push)]
    assert [one.in_all for one in told] == [16, 8, 8]
    assert [one.each_side for one in told] == [8, 4, 4]
    assert told[0].words == "8 a side"
    assert told[1].words == "8 alternating, lead swapped halfway"
    assert split.sides == 2
    assert lunge.sides == push.sides == 1


def test_a_set_more_for_the_weaker_side_counts_on_that_side_only() -> None:
    split = item("split-squat", 2)
    weaker = replace(split.main, side="left")
    found = totals(AVERAGE, [replace(split, sets=(*split.sets, weaker))])
    assert found.left == pytest.approx(1.5 * found.right)
    assert weaker.count(8).words == "8, left only"


def test_sets_of_one_item_may_each_have_their_own_rung_tempo_and_target() -> None:
    push, knee = item("push-up", 2), item("knee-push-up", 1)
    mixed = replace(push, sets=(replace(push.main, low=12, high=12), *push.sets, *knee.sets))
    found = timeline(Session("s", (blocks.straight(mixed),)))
    work = [event.seconds for event in found if event.kind == "work"]
    assert work == [24.0, 16.0, 16.0, 16.0]


# ---- formats -------------------------------------------------------------------------------


def test_a_drop_set_ends_on_the_easier_neighbours() -> None:
    """Lower the feet, then knees (common practice)."""
    where = stand("p", "knee-push-up", "push-up", "feet-raised-push-up", at=2)
    block = blocks.drop_set(trainee(where).item(where))
    names = [one.name for one in block.items[0].sets[-3:]]
    assert names == ["Decline push-up", "Push-up", "Knee push-up"]
    assert [one.kind for one in block.items[0].sets[-2:]] == ["drop", "drop"]


def test_a_drop_set_without_an_easier_rung_is_refused() -> None:
    with pytest.raises(InputError, match="no easier rung"):
        blocks.drop_set(item("push-up"))


def test_a_cluster_finishes_the_range_after_a_few_breaths() -> None:
    block = blocks.cluster(item("push-up", 1))
    first, rest = block.items[0].sets
    assert first.low + rest.low == item("push-up").main.low
    assert first.rest == 15


def test_a_forty_second_hold_is_broken_into_pieces_of_five_to_ten() -> None:
    """A 40 s hold may be broken into pieces of 5–10 s (common practice)."""
    plank = item("plank", 1, "endurance")
    block = blocks.in_pieces(plank, 40)
    assert [one.low for one in block.items[0].sets] == [10, 10, 10, 10]
    assert sum(one.share for one in block.items[0].sets) == pytest.approx(1.0)


def test_what_is_not_held_is_not_broken_into_pieces() -> None:
    with pytest.raises(InputError, match="not held"):
        blocks.in_pieces(item("push-up"))


def test_a_circuit_has_two_to_five_rounds() -> None:
    """Circuits: 2–5 rounds (common practice)."""
    few = blocks.rounds_of("circuit", [item(one, 1) for one in ("push-up", "squat", "row")])
    many = blocks.rounds_of("circuit", [item(one, 9) for one in ("push-up", "squat", "row")])
    assert (few.rounds, many.rounds) == (2, 5)


def test_interval_work_is_forty_on_and_twenty_off() -> None:
    block = blocks.interval([item("push-up"), item("squat")], 3)
    events = timeline(Session("s", (block, blocks.finisher(item("plank", 1)))))
    kinds = [event.seconds for event in events if event.block == 0]
    assert kinds == [40, 20] * 6
    with pytest.raises(InputError, match="rounds"):
        blocks.interval([item("push-up")], 9)


def test_a_top_single_comes_first_and_is_near_the_best() -> None:
    block = blocks.top_single(item("pull-up", 2))
    single = block.items[0].sets[0]
    assert (single.low, single.high, single.kind, single.rpe) == (1, 1, "single", 9.0)


@pytest.mark.parametrize(
    ("format_", "count"), [("pair", 1), ("triple", 2), ("circuit", 2), ("pre-tire", 3)]
)
def test_a_format_with_the_wrong_number_of_movements_is_refused(format_: str, count: int) -> None:
    given = [item(one) for one in ("push-up", "squat", "row")][:count]
    with pytest.raises(InputError, match="movement"):
        block_of(format_, given)  # type: ignore[arg-type]


def test_a_pair_that_loses_one_becomes_straight_sets() -> None:
    one, other = item("push-up"), item("squat")
    session = Session("s", (blocks.rounds_of("pair", [one, other]),))
    assert session.with_items({one.key: None}).blocks[0].format == "straight sets"


# ---- order ---------------------------------------------------------------------------------


def test_the_order_is_the_best_of_all_orders() -> None:
    names = ("dip", "push-up", "row", "plank", "l-sit", "curl")
    items = [item(one) for one in names]
    best = min(cost(order) for order in permutations(items))
    assert cost(in_order(items)) == best


def test_two_triceps_heavy_movements_are_never_neighbours_when_another_order_exists() -> None:
    """Common practice."""
    there = [item(one) for one in ("push-up", "dip", "squat", "plank")]
    assert interference(in_order(there)) == ()
    forced = [item(one) for one in ("push-up", "dip")]
    told = interference(in_order(forced))
    assert [one.muscle for one in told] == ["triceps"]
    assert "tires the triceps" in told[0].words


def test_skill_comes_before_strength_before_small_muscles() -> None:
    items = [item(one) for one in ("calf-raise", "squat", "planche-lean")]
    assert [one.role for one in in_order(items)] == ["skill", "strength", "small"]


def test_rigging_is_done_once_where_it_can_be() -> None:
    there = trainee(rigs={"bar": 4.0, "rings": 5.0})
    names = ("row", "bridge", "pull-up", "hanging-knee-raise")
    items = [there.loose(catalogue().find_movement(one), "size") for one in names]
    assert all(one.rig == Rig("bar", 4.0) for one in items if one.name != "Glute bridge")
    assert cost(in_order(items))[3] <= 8.0


def test_too_many_items_in_a_session_are_refused() -> None:
    with pytest.raises(InputError, match="two sessions"):
        in_order([item("push-up")] * 13)


# ---- length --------------------------------------------------------------------------------


@pytest.mark.parametrize("shape", catalogue().session, ids=lambda one: one.id)
def test_the_predicted_length_is_within_a_tenth_of_the_simulated_run(
    shape: SessionTemplate,
) -> None:
    session = session_of(shape, PLAIN)
    predicted = length(session)
    runs = [run(session, seed) for seed in range(25)]
    mean = sum(runs) / len(runs)
    assert predicted.likely == pytest.approx(mean, rel=0.10)
    assert predicted.low <= mean <= predicted.high


def test_the_length_adds_up_to_its_own_account() -> None:
    told = length(session_of(catalogue().session[0], PLAIN))
    assert sum(float(one.value) for one in told.derivation.inputs) == pytest.approx(told.likely)


# ---- warm-up -------------------------------------------------------------------------------


@pytest.mark.parametrize("shape", catalogue().session, ids=lambda one: one.id)
def test_the_warm_up_takes_five_to_ten_minutes_and_then_eases_into_each_pattern(
    shape: SessionTemplate,
) -> None:
    """Warm up 5–10 min, then one easier set of each pattern (common practice)."""
    session = session_of(shape, PLAIN)
    block = session.blocks[0]
    assert block.format == "warm-up"
    general = [one for one in block.items if one.key.split(":")[1] in EVERYTHING]
    alone = Session("w", (replace(block, items=tuple(general)),))
    assert 4.5 <= ends_at(timeline(alone)) / 60.0 <= 10.0
    patterns = {one.movement.family for one in session.items if one.role in ("skill", "strength")}
    assert len(block.items) - len(general) == len(patterns)


def test_the_warm_up_takes_the_rung_below_at_half_the_amount() -> None:
    where = stand("p", "knee-push-up", "push-up", at=1)
    who = trainee(where)
    easier = NOTHING_BY_HAND.session("s", [who.item(where)], who).blocks[0].items[-1]
    assert easier.name == "Knee push-up"
    assert easier.main.low == who.item(where).main.low // 2


# ---- totals --------------------------------------------------------------------------------


def test_a_set_counts_one_for_the_prime_mover_and_half_for_a_helper_of_a_quarter() -> None:
    """A push-up's belly holds the line: three sets of push-ups are no sets for it."""
    found = totals(AVERAGE, [item("push-up", 3)])
    assert found.regions["chest"] == 3
    assert "abs" not in found.regions
    kick = totals(AVERAGE, [item("long-leg-rear-raise", 3)]).regions
    assert kick["hamstrings"] == 1.5  # 25 % of the work
    assert "front shoulder" not in totals(AVERAGE, [item("dip", 3)]).regions  # a fifth is none
    assert (found.push, found.pull) == (3, 0)


def test_easy_sets_and_drops_count_nothing_more() -> None:
    where = stand("p", "knee-push-up", "push-up", at=1)
    dropped = blocks.drop_set(trainee(where).item(where)).items[0]
    assert totals(AVERAGE, [dropped]).regions["chest"] == len(trainee(where).item(where).sets)


def test_torque_times_seconds_is_the_torque_times_the_seconds() -> None:
    push = item("push-up", 2)
    found = torque_seconds(AVERAGE, push.sets)["shoulder"]
    from invelo.domain.biomechanics.reading import reading

    torque = reading(AVERAGE, push.main.modifiers.setup(push.movement)).torques["shoulder"]
    seconds = 2 * push.main.amount * 2.0
    assert found.likely == pytest.approx(torque.likely * seconds)
    assert found.low < found.likely < found.high


def test_what_only_effort_tells_is_named() -> None:
    assert totals(AVERAGE, [item("curl-up")]).rpe_only == ("Curl-up",)
