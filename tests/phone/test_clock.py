"""The phone's clock: reps at their tempo, a device whose own clock is off."""

import pytest

from tests.phone.node import Node

PHASES = [
    {"name": "lower", "seconds": 2, "start": 0, "end": 1},
    {"name": "pause", "seconds": 0, "start": 1, "end": 1},
    {"name": "press", "seconds": 1, "start": 1, "end": 0},
]


@pytest.mark.parametrize(
    ("elapsed", "reps", "phase", "depth"),
    [
        (-5, 0, "lower", 0),
        (0, 0, "lower", 0),
        (1, 0, "lower", 0.5),
        (2, 0, "press", 1),
        (2.5, 0, "press", 0.5),
        (3, 1, "lower", 0),
        (301, 100, "lower", 0.5),
    ],
)
def test_a_beat_is_told_from_when_it_began(
    node: Node, elapsed: float, reps: int, phase: str, depth: float
) -> None:
    told = node.beat(PHASES, elapsed)
    assert (told["reps"], told["phase"]["name"]) == (reps, phase)
    assert told["depth"] == pytest.approx(depth)


@pytest.mark.parametrize("phases", [[], [{"name": "lower", "seconds": 0, "start": 0, "end": 1}]])
def test_without_a_tempo_there_is_no_beat(node: Node, phases: list) -> None:
    assert node.beat(phases, 3) is None
    assert node.phaseStarts(phases, 60) == []


def test_phases_are_laid_out_without_drift(node: Node) -> None:
    starts = node.phaseStarts(PHASES, 600)
    lowers = [one["at"] for one in starts if one["phase"]["name"] == "lower"]
    assert lowers == [3.0 * rep for rep in range(200)]


@pytest.mark.parametrize(("off_s", "words"), [
    (300, "5 minutes behind"), (-300, "5 minutes ahead"), (-3600, "60 minutes ahead"),
    (7200, "2 hours behind"), (86_400, "1 day behind"), (-3 * 86_400, "3 days ahead"),
])  # fmt: skip
def test_how_far_a_clock_is_off_is_said_in_words(node: Node, off_s: float, words: str) -> None:
    server = "1970-01-02T00:00:00Z"
    asked = 86_400_000 - 1000 * off_s - 200
    offset = node.clockOffset(server, asked, asked + 400)
    assert offset == pytest.approx(1000 * off_s)
    assert node.offInWords(offset) == words


def test_a_moment_is_told_by_the_wall_clock_of_now(node: Node) -> None:
    """The clock was set back by an hour after the set, which is told as it goes now."""
    set_ended, now = 5_000_000.0, 5_060_000.0
    wall = now - 3_600_000
    assert node.deviceStamp(set_ended, wall, now) == "1970-01-01T00:23:20.000Z"
