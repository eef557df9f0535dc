"""The room's clock: no turn is lost however late the page wakes, and a clock that stands stands."""

import pytest

from tests.phone.node import Node

TURNS = [
    {"at": at, "seconds": seconds, "kind": "work", "words": "", "doing": []}
    for at, seconds in ((0, 40), (40, 20), (60, 40))
]
STANDS = {"at": 0, "since": None, "spent": 0}
T = 1_000_000.0


def test_a_page_that_slept_is_in_the_turn_it_would_be_in(node: Node) -> None:
    room = node.roomPress(STANDS, T)
    assert node.roomTick(room, T + 39_900, TURNS)["at"] == 0
    woken = node.roomTick(room, T + 65_000, TURNS)
    assert woken["at"] == 2
    assert node.roomGone(woken, T + 65_000) == pytest.approx(5.0)


def test_a_clock_that_stands_loses_nothing_and_goes_on(node: Node) -> None:
    room = node.roomPress(STANDS, T)
    paused = node.roomPress(room, T + 15_000)
    assert node.roomTick(paused, T + 900_000, TURNS) == paused
    again = node.roomPress(paused, T + 900_000)
    assert node.roomGone(again, T + 905_000) == pytest.approx(20.0)
    assert node.roomTick(again, T + 925_000, TURNS)["at"] == 1


def test_after_the_last_turn_the_clock_stands(node: Node) -> None:
    room = node.roomTick(node.roomPress(STANDS, T), T + 3_600_000, TURNS)
    assert room == {"at": 3, "since": None, "spent": 0}


@pytest.mark.parametrize(("to", "at"), [(-1, 0), (1, 1), (9, 3)])
def test_nobody_goes_before_the_first_turn_or_past_the_last(node: Node, to: int, at: int) -> None:
    assert node.roomGoTo(node.roomPress(STANDS, T), to, T, TURNS)["at"] == at
