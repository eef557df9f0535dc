"""Sessions made for someone: ready shapes, groups, cut to the minutes, sets by hand."""

from dataclasses import replace

import pytest

from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.readiness import CHECKS
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError
from invelo.domain.plan.day.fit import ORDER_OF_CUTS, fit
from invelo.domain.plan.group.group import group
from invelo.domain.plan.plan_overrides import (
    NOTHING_BY_HAND,
    ByHand,
    Edit,
    OwnSet,
    Together,
)
from invelo.domain.plan.session.builder import cautions, session_of
from invelo.domain.plan.session.template import Exactly, SessionTemplate, ShapeBlock, Slot
from invelo.domain.plan.session.timeline import ends_at, length, timeline
from invelo.domain.plan.session.work import Item, WorkSet
from tests.domain.people import EVERYTHING, stand, trainee

PLAIN = trainee()


def item(movement: str, sets: int | None = None, purpose: str = "strength") -> Item:
    return PLAIN.loose(catalogue().find_movement(movement), purpose, sets)  # type: ignore[arg-type]


# ---- ready sessions ------------------------------------------------------------------------


def test_there_is_a_ready_session_of_each_kind_for_each_kit() -> None:
    kinds = ("push", "pull", "legs", "trunk", "whole body", "smallest")
    kits = ("none", "household", "bar and bands")
    there = {(one.kind, one.kit) for one in catalogue().session}
    assert there >= {(kind, kit) for kind in kinds for kit in kits}
    besides = ("hips", "upper body", "first week", "travel", "jumps", "warm-up", "cool-down")
    assert {kind for kind, _ in there} == {*kinds, *besides}


@pytest.mark.parametrize("shape", catalogue().session, ids=lambda one: one.id)
def test_a_ready_session_takes_no_more_kit_than_it_says(shape: SessionTemplate) -> None:
    session = session_of(shape, PLAIN)
    for one in session.items:
        assert one.movement.takes(shape.kinds), one.name
    if shape.kind == "smallest":
        assert len(session.items) == 3


@pytest.mark.parametrize("shape", catalogue().session, ids=lambda one: one.id)
def test_a_ready_session_has_no_neighbours_that_spoil_each_other(shape: SessionTemplate) -> None:
    assert not [note for note in session_of(shape, PLAIN).notes if "tires the" in note]


def test_a_session_stands_on_the_athletes_own_rung_within_the_kit() -> None:
    where = stand("p", "push-up", "feet-raised-push-up", at=1)
    bare, house = (
        next(one for one in catalogue().session if (one.kind, one.kit) == ("push", kit))
        for kit in ("none", "household")
    )
    names = [one.name for one in session_of(bare, trainee(where)).items]
    assert "Push-up" in names
    assert "Decline push-up" not in names
    assert "Decline push-up" in [one.name for one in session_of(house, trainee(where)).items]


def test_a_closed_check_puts_its_work_into_the_session() -> None:
    ankle = next(one for one in CHECKS if one.id == "ankle")
    session = session_of(catalogue().session[0], trainee(closed_checks=(ankle,)))
    block = session.blocks[1]
    assert block.format == "preparatory work"
    assert "again in 21 days" in block.words
    assert block.items[0].movement.id == "ankle-rocks"


def test_a_slot_that_something_closes_is_left_out_and_says_why() -> None:
    pushes = {"push-up", "knee-push-up", "wall-push-up"}
    closed = trainee(
        open_movements=EVERYTHING - pushes, why_closed={"push-up": "the wrist limit closes it."}
    )
    session = session_of(catalogue().session[0], closed)
    assert "Push-up" not in [one.name for one in session.items]
    assert any("wrist limit" in note for note in session.notes)


def test_a_session_that_is_closed_altogether_is_refused_with_the_reasons() -> None:
    nothing = trainee(open_movements=frozenset(), why_closed={"push-up": "ask a doctor first."})
    with pytest.raises(InputError, match="ask a doctor first"):
        session_of(catalogue().session[0], nothing)


@pytest.mark.parametrize("shape", catalogue().session, ids=lambda one: one.id)
def test_whoever_passed_no_check_yet_still_has_every_ready_session(shape: SessionTemplate) -> None:
    """A closed criterion is never a dead end (common practice)."""
    session = session_of(shape, trainee(open_movements=Guard().open_movements))
    assert session.items


def test_cautions_are_said_before_a_session() -> None:
    said = cautions(session_of(catalogue().session[0], PLAIN))
    assert any("chest pain" in one for one in said)
    assert any("lax" in one for one in said)


# ---- groups --------------------------------------------------------------------------------


def test_a_group_does_one_shape_each_on_their_own_rung() -> None:
    """People of different levels train together (common practice)."""
    beginner = replace(trainee(stand("a", "knee-push-up", "push-up")), name="Bo")
    strong = replace(trainee(stand("b", "push-up", "archer-push-up", at=1)), name="Cy")
    shape = next(one for one in catalogue().session if one.id == "push-none")
    made = group(shape, [beginner, strong])
    names = {part.name: part.session.items[0].name for part in made.parts}
    assert names == {"Bo": "Knee push-up", "Cy": "Archer push-up"}
    assert made.minutes == max(length(part.session).likely for part in made.parts)
    formats = [[block.format for block in part.session.blocks] for part in made.parts]
    assert formats[0] == formats[1]


def test_what_is_closed_to_one_of_a_group_is_left_out_for_them_alone() -> None:
    closed = replace(
        trainee(open_movements=EVERYTHING - {"pike-push-up", "shoulder-blade-push-up"}), name="Bo"
    )
    shape = next(one for one in catalogue().session if one.id == "push-none")
    made = group(shape, [closed, PLAIN])
    assert len(made.parts[0].session.items) == len(made.parts[1].session.items) - 1
    assert any("vertical push" in note for note in made.parts[0].session.notes)
    with pytest.raises(InputError, match="nobody"):
        group(shape, [])


def test_an_own_shape_cannot_hold_what_makes_itself() -> None:
    with pytest.raises(InputError, match="makes itself"):
        ShapeBlock("warm-up", (Slot("horizontal push"),))
    with pytest.raises(InputError, match="no movement"):
        ShapeBlock("pair", ())


# ---- fit to the minutes --------------------------------------------------------------------


@pytest.mark.parametrize("minutes", [30, 25, 20, 16])
def test_a_session_fits_its_minutes_and_says_what_it_cost(minutes: int) -> None:
    whole = session_of(next(s for s in catalogue().session if s.id == "whole-body-bar"), PLAIN)
    fitted = fit(whole, minutes)
    assert length(fitted.session).likely <= minutes
    places = [ORDER_OF_CUTS.index(one) for one in fitted.cuts]
    assert places == sorted(places)
    assert places
    kept = {item.key for item in fitted.session.items}
    general = [one for one in whole.blocks[0].items if one.key.split(":", 1)[1] in EVERYTHING]
    warm = fitted.session.blocks[0].items
    assert list(warm[: len(general)]) == general
    assert {one.key.removeprefix("warm-up:") for one in warm[len(general) :]} <= kept


def test_accessories_lose_sets_before_strength_does() -> None:
    """Fewer sets of accessories first (common practice)."""
    whole = NOTHING_BY_HAND.session(
        "s", [item("push-up", 3), item("squat", 3), item("calf-raise", 3)], PLAIN
    )
    fitted = fit(whole, length(whole).likely - 1)
    sets = {one.name: len(one.sets) for one in fitted.session.items}
    assert sets["Push-up"] == sets["Squat"] == 3
    assert sets["Calf raise"] < 3


def test_what_a_cut_freed_too_much_of_is_given_back() -> None:
    there = trainee(rigs={"bar": 8.0})
    items = [there.loose(catalogue().find_movement(one), "skill", 3) for one in ("l-sit", "row")]
    whole = NOTHING_BY_HAND.session("s", items, there)
    alone = NOTHING_BY_HAND.session("s", items[:1], there)
    fitted = fit(whole, length(alone).likely + 1)
    assert [len(one.sets) for one in fitted.session.items] == [3]
    assert fitted.back == ("L-sit has 3 sets again",)


def test_one_minute_is_refused_with_what_the_least_takes() -> None:
    whole = session_of(catalogue().session[0], PLAIN)
    with pytest.raises(InputError, match="daily minimum") as caught:
        fit(whole, 1)
    least = float(caught.value.remedy.split()[1])
    assert length(fit(whole, least + 1).session).likely <= least + 1


def test_a_fitted_session_that_fits_already_is_left_alone() -> None:
    whole = session_of(catalogue().session[0], PLAIN)
    assert fit(whole, 120).session == whole


def test_a_set_of_jumps_takes_time_too() -> None:
    jump = item("jump")
    one: WorkSet = jump.main
    assert one.seconds(100) == 30.0
    assert one.modifiers == jump.movement.own(Modifiers())


# ---- by hand -------------------------------------------------------------------------------


LADDER = stand("p", "knee-push-up", "push-up", "feet-raised-push-up", at=1)


def by_hand(*sets: OwnSet, **more: object) -> Item:
    hands = ByHand((Edit("p", sets, **more),))  # type: ignore[arg-type]
    who = trainee(LADDER)
    return hands.edited(who.item(LADDER), who)


def test_each_set_may_have_its_own_rung_tempo_and_target() -> None:
    """An easy first set, a quick then a paused one (common practice)."""
    made = by_hand(
        OwnSet("Knee push-up", rpe=6),
        OwnSet(low=8, high=8),
        OwnSet(tempo="2-3-1-0", low=5, high=6, rest=180),
    )
    assert [one.name for one in made.sets] == ["Knee push-up", "Push-up", "Push-up"]
    assert [str(one.modifiers.tempo) for one in made.sets] == ["1-0-1-0", "1-0-1-0", "2-3-1-0"]
    assert [(one.low, one.high) for one in made.sets] == [(6, 10), (8, 8), (5, 6)]
    assert made.sets[2].rest == 180


@pytest.mark.parametrize(
    ("own", "field"),
    [
        ({"rung": "Dip"}, "rung"),
        ({"low": 9, "high": 4}, "range's top"),
        ({"tempo": "quick"}, "tempo"),
        ({"rpe": 11}, "rpe"),
        ({"rest": -1}, "rest"),
    ],
)
def test_a_set_by_hand_that_cannot_be_is_refused(own: dict[str, object], field: str) -> None:
    with pytest.raises(InputError) as caught:
        by_hand(OwnSet(**own))  # type: ignore[arg-type]
    assert caught.value.field == field


def test_formats_by_hand_shape_the_day() -> None:
    who = trainee(LADDER)
    items = [who.item(LADDER), item("row"), item("squat"), item("plank", 2, "endurance")]
    hands = ByHand(
        (Edit("p", (), "drop set"), Edit("movement:plank", (), "holds in pieces")),
        (Together("pair", ("movement:row", "movement:squat")),),
    )
    session = hands.session("day", items, who)
    formats = [block.format for block in session.blocks]
    assert sorted(formats) == ["drop set", "holds in pieces", "pair", "warm-up"]


def test_items_together_stand_apart_on_a_day_that_lacks_one() -> None:
    hands = ByHand(together=(Together("pair", ("movement:row", "movement:squat")),))
    session = hands.session("day", [item("row")], PLAIN)
    assert session.blocks[-1].format == "straight sets"


def test_a_clocks_ladder_is_done_in_intervals() -> None:
    clock = stand("p", "push-up", method="density")
    who = trainee(clock)
    session = NOTHING_BY_HAND.session("day", [who.item(clock)], who)
    assert session.blocks[-1].format == "interval"


def test_formats_for_one_and_for_several_are_not_mixed_up() -> None:
    with pytest.raises(InputError, match="done with others"):
        Edit("p", (), "pair")
    with pytest.raises(InputError, match="for one item"):
        Together("cluster", ("p",))


def test_a_pre_tire_block_is_exempt_from_what_spoils_what() -> None:
    """Outside a pre-tire block, which means it (common practice)."""
    hands = ByHand(together=(Together("pre-tire", ("movement:triceps-press", "movement:push-up")),))
    pair = [item("triceps-press"), item("push-up")]
    assert not [one for one in hands.session("day", pair, PLAIN).notes if "tires" in one]
    assert [one for one in NOTHING_BY_HAND.session("d", pair, PLAIN).notes if "tires" in one]
    assert hands.tired_first == {"movement:triceps-press"}


# ---- lengths as a stopwatch gave them (practitioners' sessions, common practice) -----------------


def exactly(movement: str, sets: int = 3, **asked: object) -> Slot:
    of = catalogue().find_movement(movement)
    wanted = Exactly(**asked)  # type: ignore[arg-type]
    return Slot(of.family, (movement,), "strength", sets, exact=True, asked=wanted)


def minutes_of(*blocks: ShapeBlock, warm: bool = True) -> float:
    session = session_of(SessionTemplate("x", "x", "own", "bar and bands", blocks), PLAIN)
    kept = [block for block in session.blocks if warm or block.format != "warm-up"]
    return ends_at(timeline(replace(session, blocks=tuple(kept)))) / 60.0


def test_four_movements_at_forty_on_twenty_off_take_twelve_minutes() -> None:
    slots = tuple(exactly(one) for one in ("squat", "push-up", "bridge", "climber"))
    clock = ShapeBlock("interval", slots, 3, between=20, work=40)
    assert minutes_of(clock, warm=False) == pytest.approx(12.0, rel=0.1)


@pytest.mark.parametrize("rest", [45, 90])
def test_a_press_session_of_four_exercises_takes_twenty_to_thirty_minutes(rest: int) -> None:
    asked = {"low": 8, "high": 12, "rest": rest}
    names = ("push-up", "pike-push-up", "bench-dip", "triceps-press")
    blocks = (ShapeBlock("straight sets", (exactly(one, **asked),)) for one in names)
    assert 18.0 <= minutes_of(*blocks) <= 33.0  # ten in a hundred either way


def test_rests_that_were_set_are_the_rests_that_are_kept() -> None:
    pair = (exactly("push-up", low=10, high=10), exactly("isometric-towel-row", low=25, high=25))
    short, long = (
        minutes_of(ShapeBlock("pair", pair, between=b, round_rest=b), warm=False) for b in (40, 60)
    )
    assert long - short == pytest.approx(5 * 20 / 60, abs=0.01)  # the last is rested for nothing


@pytest.mark.parametrize("rest", [40, 60])
def test_a_class_of_push_up_pairs_takes_twenty_eight_to_thirty_minutes(rest: int) -> None:
    """Three rounds of push-ups with towel pulls, two pairs of them, and chair dips with hollow
    walk-outs, 40 to 60 s between."""
    push, pull, dip = {"low": 10, "high": 12}, {"low": 25, "high": 30}, {"low": 6, "high": 8}
    pairs = (
        (exactly("push-up", **push), exactly("isometric-towel-row", **pull)),
        (exactly("wide-push-up", **push), exactly("isometric-towel-row", **pull)),
        (exactly("bench-dip", **push), exactly("hollow-walk-out", **dip)),
    )
    blocks = (ShapeBlock("pair", pair, between=rest, round_rest=rest) for pair in pairs)
    assert 0.9 * 28 <= minutes_of(*blocks) <= 1.1 * 30
