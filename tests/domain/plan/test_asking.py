"""Sets asked for to the letter: ranges, sides, what follows, what is done instead."""

from dataclasses import replace

import pytest

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError
from invelo.domain.plan.day.adapt import Today, adapt
from invelo.domain.plan.session.blocks import in_pieces
from invelo.domain.plan.session.builder import session_of, template_of
from invelo.domain.plan.session.exactly import Exactly, Following
from invelo.domain.plan.session.level import harder_than, levelled
from invelo.domain.plan.session.template import SessionTemplate, ShapeBlock, Slot
from invelo.domain.plan.session.timeline import length, timeline
from invelo.domain.plan.session.totals import hard_sets
from invelo.domain.plan.session.words import sets_words
from invelo.domain.plan.session.work import Format, Instead, Item, Session
from invelo.domain.strength.tempo import Tempo
from invelo.domain.training.run import choices, phases, run_of
from invelo.services.plan import sessions as stored
from tests.domain.people import trainee

WHO = trainee()
FULL_THEN_HELD = Following(asked=Exactly(low=5, high=5, tempo="1-0-1-3"))
"""Five plain, then five with a held top (common practice)."""


def slot(movement: str, sets: int = 2, **more: object) -> Slot:
    family = catalogue().find_movement(movement).family
    return Slot(family, (movement,), "strength", sets, exact=True, **more)  # type: ignore[arg-type]


def made(*slots: Slot, format: Format = "straight sets") -> Session:
    return session_of(_shape(ShapeBlock(format, slots)), WHO)


def _shape(*blocks: ShapeBlock) -> SessionTemplate:
    return SessionTemplate("x", "x", "own", "bar and bands", blocks)


def only(session: Session) -> Item:
    (item,) = session.items
    return item


# ---- range -------------------------------------------------------------------------------------


@pytest.mark.parametrize(
    ("movement", "half", "from_end"),
    [
        ("push-up", "top half", False),  # a push-up begins at its top
        ("push-up", "bottom half", True),
        ("pull-up", "bottom half", False),  # a pull-up at its bottom
        ("pull-up", "top half", True),
    ],
)
def test_a_half_is_that_end_of_the_range_whichever_way_the_rep_goes(
    movement: str, half: str, from_end: bool
) -> None:
    item = only(made(slot(movement, asked=Exactly(range=half))))  # type: ignore[arg-type]
    assert (item.main.modifiers.range, item.main.modifiers.from_end) == (0.5, from_end)
    assert "50 % of the range" in sets_words(item)[0]


def test_half_then_full_counts_as_one_and_takes_half_as_long_again() -> None:
    plain = only(made(slot("push-up", asked=Exactly(low=8, high=8, tempo="2-0-1-0"))))
    both = Exactly(low=8, high=8, tempo="2-0-1-0", range="half, then full")
    longer = only(made(slot("push-up", asked=both)))
    assert longer.main.seconds(8) == pytest.approx(1.5 * plain.main.seconds(8))
    assert "half then full counts as one" in sets_words(longer)[0]
    tempo = longer.main.modifiers.tempo
    assert Tempo.parse(str(tempo)) == tempo
    parts = phases(longer.movement, longer.main.modifiers, rises=False)
    assert [part.end for part in parts] == [0.5, 0.0, 1.0, 0.0]
    assert sum(part.seconds for part in parts) == pytest.approx(tempo.rep_time)


def test_a_hold_has_no_range() -> None:
    with pytest.raises(InputError, match="is held"):
        made(slot("plank", asked=Exactly(range="top half")))


# ---- sides -------------------------------------------------------------------------------------


def test_what_is_counted_a_side_may_alternate_and_takes_one_turn() -> None:
    assert catalogue().find_movement("split-squat").counted == "per side"
    item = only(made(slot("split-squat", asked=Exactly(low=10, high=10, sides="alternating"))))
    assert item.main.sides == 1
    assert item.main.count(10).each_side == 5
    assert "10 alternating" in sets_words(item)[0]


def test_a_movement_of_both_arms_has_no_sides() -> None:
    with pytest.raises(InputError, match="works both at once"):
        made(slot("push-up", asked=Exactly(sides="left")))


# ---- what follows ------------------------------------------------------------------------------


def test_five_plain_and_five_held_are_one_hard_set_without_a_rest_between() -> None:
    five = Exactly(low=5, high=5, rest=90)
    session = made(slot("push-up", asked=five, followed_by=(FULL_THEN_HELD,)))
    item = only(session)
    assert [one.kind for one in item.sets] == ["work", "part", "work", "part"]
    assert [one.share for one in item.sets] == [1.0, 0.0, 1.0, 0.0]
    assert [one.rest for one in item.sets] == [0.0, 90.0, 0.0, 90.0]
    kinds = [event.kind for event in timeline(session) if event.item == item.key]
    assert kinds == ["count in", "work", "work", "rest", "count in", "work", "work"]
    assert "straight on: Push-up 1 × 5, tempo 1-0-1-3" in sets_words(item)[1]


def test_in_a_pair_a_round_takes_a_set_with_all_that_follows_it() -> None:
    first = slot("push-up", asked=Exactly(low=5, high=5), followed_by=(FULL_THEN_HELD,))
    session = made(first, slot("squat"), format="pair")
    (pair,) = [block for block in session.blocks if block.format == "pair"]
    assert pair.rounds == 2
    here = {item.key for item in pair.items}
    done = [e.item for e in timeline(session) if e.kind == "work" and e.item in here]
    push, squat = (item.key for item in pair.items)
    assert done == [push, push, squat, push, push, squat]


def test_a_drop_chain_of_ones_own_ends_the_last_set() -> None:
    to_knees = Following("knee-push-up", Exactly(low=6, high=10), pause=5, every=False)
    session = made(slot("push-up", sets=3, followed_by=(to_knees,)), format="drop set")
    item = only(session)
    assert [one.kind for one in item.sets] == ["work", "work", "work", "drop"]
    assert item.sets[-1].movement.id == "knee-push-up"
    assert item.with_sets(2).sets == item.sets[:2]  # a set less is the last and its drops less


def test_what_goes_on_by_its_own_rule_takes_nothing_after_it() -> None:
    with pytest.raises(InputError, match="goes on by its own rule"):
        made(slot("push-up", followed_by=(FULL_THEN_HELD,)), format="cluster")


def test_what_follows_in_other_units_says_how_much() -> None:
    with pytest.raises(InputError, match="counted in s"):
        made(slot("push-up", followed_by=(Following("plank"),)))


def test_what_follows_passes_the_guard_as_well() -> None:
    shut = trainee(open_movements=frozenset({"push-up"}))
    handstand = Following("handstand-push-up", Exactly(low=3, high=3))
    shape = _shape(ShapeBlock("straight sets", (slot("push-up", followed_by=(handstand,)),)))
    with pytest.raises(InputError, match="nothing of it is open"):
        session_of(shape, shut)


def test_a_session_kept_as_ones_own_comes_back_as_it_stood() -> None:
    chain = (FULL_THEN_HELD, Following("knee-push-up", Exactly(low=4, high=6), pause=5))
    one = slot("push-up", asked=Exactly(low=5, high=6, rest=75, bag=6.0), followed_by=chain)
    two = slot("split-squat", asked=Exactly(low=8, high=8, sides="alternating", attempt=True))
    three = slot("pull-up", asked=Exactly(low=3, high=5, range="bottom half", rest=60))
    shape = _shape(*(ShapeBlock("straight sets", (each,)) for each in (one, two, three)))
    session = session_of(shape, WHO)
    again = session_of(template_of("y", "x", session, WHO), WHO)
    assert [sets_words(item) for item in again.items] == [sets_words(i) for i in session.items]
    assert length(again).likely == pytest.approx(length(session).likely)


# ---- if not, then ------------------------------------------------------------------------------

INSTEAD = (
    Instead("kit missing", "row"),
    Instead("hurts", "wall-push-up"),
    Instead("too easy", "archer-push-up"),
)


def test_a_coachs_own_choice_comes_before_any_the_product_makes() -> None:
    session = made(slot("push-up", sets=3, instead=(Instead("hurts", "bridge"),)))
    sore = Today(sore=(("wrist", 5),))
    done = adapt(session, WHO, sore)
    (item,) = [one for one in done.after.items if one.role != "preparation"]
    assert item.movement.id == "bridge"
    assert any(change.kept == "as the coach chose" for change in done.changes)


def test_what_is_too_easy_has_the_coachs_harder_one_beside_it() -> None:
    item = only(made(slot("push-up", instead=INSTEAD)))
    ways = {choice.rung.movement.id: choice.way for choice in choices(item, WHO)}
    assert ways["archer-push-up"] == "harder"
    assert ways["wall-push-up"] == "easier"
    order = [choice.way for choice in choices(item, WHO)]
    assert order == sorted(order, key=["harder", "here", "easier"].index)


def test_a_closed_movement_gives_way_to_the_coachs_own() -> None:
    shut = trainee(open_movements=frozenset({"row"}))
    shape = _shape(ShapeBlock("straight sets", (slot("push-up", instead=INSTEAD),)))
    item = only(session_of(shape, shut))
    assert item.movement.id == "row"
    assert "as the coach chose" in item.why


# ---- levels ------------------------------------------------------------------------------------


def test_a_level_down_is_the_easier_neighbour_or_less_of_the_same() -> None:
    shape = _shape(ShapeBlock("straight sets", (slot("push-up", asked=Exactly(low=10, high=12)),)))
    down = levelled(shape, "easier").blocks[0].slots[0]
    easier = [fault.easier for fault in catalogue().find_movement("push-up").fault if fault.easier]
    assert down.movements[0] in easier
    assert down.asked.low == 10


def test_a_level_up_leads_back_down_to_where_it_began() -> None:
    """Of every movement that has a harder neighbour."""
    checked = 0
    for movement in catalogue().movement:
        for harder in harder_than(movement):
            assert movement.id in {fault.easier for fault in harder.fault}
            checked += 1
    assert checked > 50


def test_their_current_rung_is_of_their_own_level_already() -> None:
    own = Slot("horizontal push", ("push-up",))
    shape = _shape(ShapeBlock("straight sets", (own,)))
    assert levelled(shape, "harder") == shape


def test_a_run_goes_through_all_that_follows() -> None:
    attempt = slot("push-up", sets=1, asked=Exactly(low=1, high=2, attempt=True))
    run = run_of(made(replace(attempt, followed_by=(FULL_THEN_HELD,))), WHO)
    sets = [one.kind for ready in run.items for one in ready.item.sets if one.kind != "easy"]
    assert sets == ["attempt", "part"]


def test_a_session_that_is_stored_is_read_as_it_was() -> None:
    """Every set with its range, its turns, what follows it and what is done instead."""
    one = slot("split-squat", asked=Exactly(sides="alternating", ankles=2.0), instead=INSTEAD)
    two = slot("push-up", asked=Exactly(range="half, then full"), followed_by=(FULL_THEN_HELD,))
    session = made(one, two, format="pair")
    assert stored.read(stored.document_of(session)) == session


# ---- two movements in turn -----------------------------------------------------------------------

TURNS = Exactly(low=10, high=10, in_turn="close-push-up")
"""Ten reps, wide and close in turn (common practice)."""


def test_two_movements_in_turn_are_one_set_that_works_both() -> None:
    session = made(slot("wide-push-up", sets=3, asked=TURNS))
    item = only(session)
    assert {one.kind for one in item.sets} == {"turn"}
    assert "in turn with close push-up" in sets_words(item)[0].lower()
    sets = hard_sets(session.items)
    alone = [hard_sets(made(slot(one, sets=3)).items) for one in ("wide-push-up", TURNS.in_turn)]
    for region, count in sets.items():
        assert count == pytest.approx(sum(one.get(region, 0.0) for one in alone) / 2)
    there = stored.read(stored.document_of(session))
    assert only(there).sets == item.sets


@pytest.mark.parametrize(
    ("first", "other", "said"),
    [
        ("push-up", "push-up", "is what is done"),
        ("push-up", "plank", "not counted in reps"),
        ("push-up", "split-squat", "of both sides"),
    ],
)
def test_what_cannot_take_turns_is_refused(first: str, other: str, said: str) -> None:
    with pytest.raises(InputError, match=said):
        made(slot(first, asked=Exactly(in_turn=other)))


def test_a_session_of_turns_is_kept_as_it_stood() -> None:
    session = made(slot("wide-push-up", sets=3, asked=TURNS))
    (block,) = template_of("y", "y", session, WHO).blocks
    assert block.slots[0].asked.in_turn == TURNS.in_turn
    assert block.slots[0].sets == 3


def test_pieces_of_one_hold_share_a_number() -> None:
    item = only(made(slot("plank", sets=2, asked=Exactly(low=40, high=40))))
    broken = in_pieces(item, 40).items[0]
    assert broken.numbers == (1, 1, 1, 1, 5, 5, 5, 5)
    assert item.numbers == (1, 2)
