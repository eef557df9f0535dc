"""The clock of a class: everyone's turns begin and end together, long enough for the slowest."""

from itertools import pairwise

import pytest

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.plan.group.class_clock import Turn, class_clock
from invelo.domain.plan.group.group import GroupSession, group
from invelo.domain.plan.session.exactly import Exactly
from invelo.domain.plan.session.template import SessionTemplate, ShapeBlock, Slot
from invelo.domain.plan.session.timeline import length
from tests.domain.people import stand, trainee

OPEN = frozenset(movement.id for movement in catalogue().movement)
STRONG = trainee(stand("p", "push-up", "feet-raised-push-up", at=1))
NEW = trainee(stand("p", "wall-push-up", "knee-push-up", at=0))
NO_SQUATS = trainee(open_movements=OPEN - {"squat"})


def slot(movement: str, sets: int = 2, **asked: object) -> Slot:
    family = catalogue().find_movement(movement).family
    wanted = Exactly(**asked)  # type: ignore[arg-type]
    return Slot(family, (movement,), "strength", sets, exact=True, asked=wanted)


def made(*blocks: ShapeBlock, people: tuple = (STRONG, NEW, NO_SQUATS)) -> GroupSession:
    return group(SessionTemplate("x", "Class", "own", "bar and bands", blocks), people)


CIRCUIT = ShapeBlock(
    "interval",
    (slot("push-up"), slot("squat"), slot("bridge"), slot("climber")),
    rounds=3,
    work=40,
    between=20,
)


def work(turns: tuple[Turn, ...]) -> list[Turn]:
    return [turn for turn in turns if turn.kind == "work"]


def test_turns_follow_each_other_without_a_hole() -> None:
    turns = class_clock(made(CIRCUIT, ShapeBlock("straight sets", (slot("row", rest=60),))))
    assert turns[0].at == 0.0
    for before, after in pairwise(turns):
        assert after.at == pytest.approx(before.at + before.seconds)
    assert turns[-1].kind == "work", "nobody rests for nothing"


def test_four_stations_at_forty_and_twenty_for_three_rounds() -> None:
    """Twelve minutes, as a stopwatch gives it (common practice)."""
    turns = class_clock(made(CIRCUIT))
    windows = work(turns)
    assert [turn.seconds for turn in windows] == [40.0] * 12
    first = next(turn for turn in turns if turn.kind == "work")
    assert turns[-1].at + turns[-1].seconds - first.at == pytest.approx(12 * 60 - 20)


def test_each_is_on_their_own_rung_and_rests_where_a_station_is_closed() -> None:
    own = Slot("horizontal push", ("push-up",))
    turns = class_clock(made(ShapeBlock("pair", (own, slot("squat")))))
    push, squat = work(turns)[:2]
    assert len({doing.name for doing in push.doing[:2]}) == 2
    assert [bool(doing.name) for doing in squat.doing] == [True, True, False]
    assert all(doing.words and doing.cue for doing in push.doing)


def test_with_one_of_each_thing_no_two_are_at_one_station() -> None:
    turns = class_clock(made(CIRCUIT, people=(STRONG, NEW, trainee())), rotate=True)
    for turn in work(turns):
        names = [doing.name for doing in turn.doing]
        assert len(set(names)) == len(names)
    done = [{turn.doing[person].name for turn in work(turns)} for person in range(3)]
    assert done[0] == done[1] == done[2]


def test_a_turn_waits_for_the_slowest() -> None:
    """A pair of exact sets: a slow tempo of one movement makes its turn long, for all alike."""
    quick, slow = slot("push-up", low=10, high=10), slot("squat", low=10, high=10, tempo="4-2-1-0")
    first, second = work(class_clock(made(ShapeBlock("pair", (quick, slow)), people=(STRONG,))))[:2]
    assert second.seconds >= first.seconds + 40
    assert {turn.seconds % 5 for turn in work(class_clock(made(ShapeBlock("pair", (quick, slow)))))}


def test_a_rest_shows_what_comes_next() -> None:
    turns = class_clock(made(ShapeBlock("straight sets", (slot("row", rest=60),))))
    for turn, after in pairwise(turns):
        if turn.kind in ("rest", "change over"):
            assert turn.doing == after.doing


def test_a_class_takes_about_as_long_as_its_longest_session() -> None:
    """Within a fifth: everyone waits for the slowest of each turn."""
    session = made(CIRCUIT, ShapeBlock("pair", (slot("push-up"), slot("bridge"))))
    turns = class_clock(session)
    minutes = (turns[-1].at + turns[-1].seconds) / 60.0
    longest = max(length(part.session).likely for part in session.parts)
    assert minutes == pytest.approx(longest, rel=0.2)
