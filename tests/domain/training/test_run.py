"""Sessions as a device runs them: rungs around each set, prescriptions, a rep's phases and path."""

from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.ladder.rung import rises
from invelo.domain.plan.plan_overrides import NOTHING_BY_HAND
from invelo.domain.plan.session import blocks
from invelo.domain.plan.session.timeline import timeline
from invelo.domain.plan.session.work import Session
from invelo.domain.strength.holds import LONGEST_SHARE
from invelo.domain.strength.tempo import Tempo
from invelo.domain.training.check_in import CheckIn
from invelo.domain.training.run import (
    CEILING,
    choices,
    path,
    phases,
    prescription_on,
    run_of,
    without_closed,
    without_pain,
)
from tests.domain.people import AVERAGE, EVERYTHING, near, stand, trainee

PUSH = stand(
    "push",
    ("counter-push-up", 30),
    ("knee-push-up", 22),
    ("push-up", 14),
    ("feet-raised-push-up", 9),
    at=2,
)
WHO = trainee(PUSH)
ITEM = WHO.item(PUSH)


# ---- the rungs around a set --------------------------------------------------------------------


def test_the_neighbours_go_along_the_hardest_first() -> None:
    found = choices(ITEM, WHO)
    assert [one.way for one in found] == ["harder", "here", "easier", "easier"]
    assert [one.rung.movement.id for one in found] == [
        "feet-raised-push-up",
        "push-up",
        "knee-push-up",
        "counter-push-up",
    ]


def test_here_is_what_was_planned() -> None:
    here = next(one for one in choices(ITEM, WHO) if one.way == "here")
    main = ITEM.main
    assert (here.low, here.high, here.rpe, here.rest) == (
        main.low,
        main.high,
        main.rpe,
        main.rest,
    )


def test_an_easier_rung_asks_for_more_and_a_harder_for_less() -> None:
    harder, here, easier, easiest = choices(ITEM, WHO)
    assert harder.high < here.high <= easier.high <= easiest.high


def test_the_top_leaves_in_reserve_what_the_effort_says() -> None:
    """10 − effort are reps in reserve (common practice); by hand: of 22 at effort 8, 20."""
    eased = replace(ITEM.main, rpe=8.0)
    assert prescription_on(eased, near("knee-push-up", 22), "easier").high == 20


def test_of_a_hold_the_top_is_seven_tenths_of_the_best() -> None:
    """Each hold 50–70 % of best (common practice); by hand: of 20 s at most 14."""
    one = WHO.loose(catalogue().find_movement("plank"), "strength").main
    assert prescription_on(one, near("plank", 20), "easier").high == int(LONGEST_SHARE * 20) == 14


def test_past_thirty_reps_nothing_is_asked() -> None:
    """A set that reaches about 30 reps is too light for strength (common practice)."""
    assert (
        prescription_on(ITEM.main, near("wall-push-up", 80), "easier").high == CEILING["reps"] == 30
    )


def test_where_nothing_is_known_the_rungs_own_dose_stands() -> None:
    unknown = near("knee-push-up")
    found = prescription_on(ITEM.main, unknown, "easier")
    assert (found.low, found.high) == (
        unknown.rung.prescription.low,
        unknown.rung.prescription.high,
    )
    assert found.likely is None


@given(st.floats(0.1, 120), st.floats(1, 10))
def test_a_dose_on_another_rung_is_always_one_that_can_be_done(likely: float, rpe: float) -> None:
    one = replace(ITEM.main, rpe=rpe)
    found = prescription_on(one, near("knee-push-up", likely), "easier")
    assert 1 <= found.low <= found.high <= CEILING["reps"]
    if likely - (10 - rpe) >= 1:
        assert found.high <= likely


def test_a_movement_off_ladders_falls_back_to_what_its_faults_call_for() -> None:
    loose = trainee().loose(catalogue().find_movement("push-up"), "strength")
    found = choices(loose, trainee())
    assert [one.way for one in found] == ["here", "easier", "easier"]
    assert found[1].rung.movement.id == "knee-push-up"
    closed = trainee(open_movements=EVERYTHING - {"knee-push-up"})
    assert "knee-push-up" not in {one.rung.movement.id for one in choices(loose, closed)}


# ---- a session ---------------------------------------------------------------------------------


def session(*made) -> Session:
    return Session("Monday", tuple(made))


FORMATS = {
    "straight sets": lambda items: blocks.straight(items[0]),
    "pair": lambda items: blocks.rounds_of("pair", items),
    "circuit": lambda items: blocks.rounds_of("circuit", [*items, *items[:1]]),
    "interval": lambda items: blocks.interval(items, 3),
    "drop set": lambda items: blocks.drop_set(items[0]),
    "cluster": lambda items: blocks.cluster(items[0]),
    "pre-tire": lambda items: blocks.pre_tire(items[1], items[0]),
    "top single": lambda items: blocks.top_single(items[0]),
    "finisher": lambda items: blocks.finisher(items[0]),
}


@pytest.mark.parametrize("name", FORMATS)
def test_every_format_goes_along_with_every_set_once_and_in_order(name: str) -> None:
    row = stand("row", ("upright-row", 18), ("level-row", 9), at=1)
    who = trainee(PUSH, row)
    block = FORMATS[name]([who.item(PUSH), who.item(row)])
    run = run_of(session(block), who)
    work = [(event.item, event.set, event.side) for event in run.events if event.kind == "work"]
    asked = [(item.key, number) for item in block.items for number, _ in enumerate(item.sets)]
    assert sorted({(key, number) for key, number, _ in work}) == sorted(set(asked))
    assert run.events == timeline(run.session)
    assert all(one.choices for one in run.items)


def test_holds_in_pieces_come_as_pieces() -> None:
    hold = stand("seat", ("plank", 60))
    who = trainee(hold)
    run = run_of(session(blocks.in_pieces(who.item(hold))), who)
    kinds = {one.kind for each in run.items for one in each.item.sets}
    assert "piece" in kinds


def test_a_drop_set_goes_down_the_next_easier_rungs() -> None:
    """Drop sets end a last set on the easier neighbours (common practice)."""
    block = blocks.drop_set(ITEM)
    names = [one.movement.id for one in block.items[0].sets]
    assert names[-3:] == ["push-up", "knee-push-up", "counter-push-up"]


def test_what_is_closed_today_is_left_out_and_said() -> None:
    row = stand("row", ("upright-row", 18), ("level-row", 9), at=1)
    who = trainee(PUSH, row)
    made = NOTHING_BY_HAND.session("Monday", [who.item(PUSH), who.item(row)], who)
    shut = replace(
        who,
        open_movements=EVERYTHING - {"push-up"},
        why_closed={"push-up": "wrists are spared."},
    )
    left, why = without_closed(made, shut)
    assert [item.movement.id for item in left.items] == ["level-row"]
    assert why == ("Push-up: wrists are spared.",)
    assert without_closed(made, who) == (made, ())


def test_what_hurts_is_left_out_and_said() -> None:
    row = stand("row", ("upright-row", 18), ("level-row", 9), at=1)
    who = trainee(PUSH, row)
    made = NOTHING_BY_HAND.session("Monday", [who.item(PUSH), who.item(row)], who)
    left, why = without_pain(made, CheckIn(pain=(("wrist", 6),)))
    assert "push-up" not in {item.movement.id for item in left.items}
    assert "Push-up: the wrist hurts." in why
    assert without_pain(made, CheckIn(pain=(("wrist", 3),))) == (made, ())


# ---- a rep -------------------------------------------------------------------------------------


def test_a_press_begins_by_lowering_and_a_pull_by_pulling() -> None:
    tempo = Modifiers(tempo=Tempo(3, 1, 2, 0.5))
    push, pull = (catalogue().find_movement(one) for one in ("push-up", "towel-pull-up"))
    assert not rises(AVERAGE, push, push.own(Modifiers()))
    assert rises(AVERAGE, pull, pull.own(Modifiers()))
    down = [(one.name, one.seconds) for one in phases(push, tempo, False)]
    up = [(one.name, one.seconds) for one in phases(pull, tempo, True)]
    assert down == [("lower", 3), ("hold", 1), ("press", 2), ("top", 0.5)]
    assert up == [("pull", 2), ("hold", 0.5), ("return", 3), ("hold", 1)]


@pytest.mark.parametrize("up", [False, True])
def test_phases_join_and_add_up_to_the_rep(up: bool) -> None:
    tempo = Tempo(4, 2, 1, 1)
    found = phases(catalogue().find_movement("push-up"), Modifiers(tempo=tempo), up)
    assert sum(one.seconds for one in found) == tempo.rep_time
    ends = [(one.start, one.end) for one in found]
    assert all(one[1] == other[0] for one, other in zip(ends, [*ends[1:], ends[0]], strict=True))


def test_a_hold_has_no_phases() -> None:
    assert phases(catalogue().find_movement("plank"), Modifiers(), False) == ()


def test_the_path_goes_from_one_drawn_end_to_the_other() -> None:
    push = catalogue().find_movement("push-up")
    found = path(AVERAGE, push, push.own(Modifiers()))
    assert found is not None
    assert found.points[0] == found.start.joints[found.joint]
    assert found.points[-1] == found.end.joints[found.joint]
    heights = [one.y for one in found.points]
    assert heights == sorted(heights, reverse=True), "a push-up only goes down to its bottom"


def test_of_a_hold_the_shape_alone_goes_along() -> None:
    plank = catalogue().find_movement("plank")
    found = path(AVERAGE, plank, plank.own(Modifiers()))
    assert found is not None
    assert (found.points, found.start) == ((), found.end)


@pytest.mark.parametrize("movement", catalogue().movement, ids=lambda one: one.id)
def test_every_movement_can_be_taken_along(movement) -> None:
    own = movement.own(Modifiers())
    found = path(AVERAGE, movement, own)
    told = phases(movement, own, rises(AVERAGE, movement, own))
    assert bool(told) == (movement.unit == "reps")
    if found is not None and found.points:
        assert found.joint in found.start.joints
