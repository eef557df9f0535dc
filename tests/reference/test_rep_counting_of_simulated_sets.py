"""The counter against sets whose truth is known: noise, pauses, half reps, spikes.

The simulated person moves by their own laws (`devices/simulated_motion.py`): eased ends, drift and
wandering of the sensor, a tempo that is never quite kept. The counter knows none of it.
"""

from dataclasses import dataclass, replace
from functools import cache
from random import Random

import pytest

from invelo.devices.simulated_motion import Mover, TrueRep
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.strength.tempo import Tempo
from invelo.domain.training.motion.count import RepCounter, Tally
from invelo.domain.training.motion.watch import Watch, watch
from tests.depth import depth
from tests.domain.people import AVERAGE

SETS = depth(200, 600)
MOVEMENTS = (
    "push-up",
    "knee-push-up",
    "squat",
    "level-row",
    "towel-pull-up",
    "ring-dip",
    "rear-lunge",
    "bridge",
    "front-curl",
    "pike-push-up",
)
TEMPOS = (
    Tempo(),
    Tempo(2, 0, 1, 0),
    Tempo(4, 0, 1, 0),
    Tempo(3, 1, 1, 1),
    Tempo(1, 0, 1, 0.5),
    Tempo(0.6, 0, 0.6, 0),
)
BACK = 0.25
"""Depth from which a rep that stops on its way back is a partial one."""


@dataclass(frozen=True)
class Seen:
    """A simulated set and what the counter made of it."""

    watch: Watch
    reps: tuple[TrueRep, ...]
    tally: Tally

    @property
    def full(self) -> int:
        return sum(one.depth >= self.watch.least_depth and one.left <= BACK for one in self.reps)


def _rep(watched: Watch, random: Random) -> TrueRep:
    tempo = watched.tempo
    ways = (tempo.press, tempo.lower) if watched.rises else (tempo.lower, tempo.press)
    rests = (tempo.top, tempo.bottom) if watched.rises else (tempo.bottom, tempo.top)
    slow = random.gauss(1.0, 0.08)
    # one in seven falls short, anywhere between fidgeting and the least depth
    short = random.random() < 1 / 7
    least = watched.least_depth
    depth = random.uniform(0.38, least) if short else random.uniform(least, 1.0)
    stops = random.uniform(0.4, 0.6) if random.random() < 0.05 and depth > 0.8 else 0.0
    pause = random.uniform(1, 4) if random.random() < 0.08 else 0.0
    return TrueRep(
        depth, ways[0] * slow, rests[0] * slow, ways[1] * slow, rests[1] * slow + pause, stops
    )


@cache
def simulated() -> tuple[Seen, ...]:
    found = []
    for seed in range(SETS):
        random = Random(f"motion {seed}")
        movement = catalogue().find_movement(random.choice(MOVEMENTS))
        tempo = random.choice(TEMPOS)
        watched = watch(AVERAGE, movement, replace(movement.own(Modifiers()), tempo=tempo))
        reps = tuple(_rep(watched, random) for _ in range(random.randint(3, 15)))
        counter = RepCounter(watched)
        noise, spikes = random.uniform(0.5, 4), random.choice((0, 0, 0.01, 0.02))
        mover = Mover(watched, reps, noise, Random(f"noise {seed}"), spikes)
        for sample in mover.samples():
            counter.feed(sample)
        found.append(Seen(watched, reps, counter.finish()))
    return tuple(found)


def test_the_count_of_full_reps_is_right_within_one_in_98_of_100_sets() -> None:
    close = [abs(one.tally.full - one.full) <= 1 for one in simulated()]
    assert len(close) >= SETS * 5 // 6
    assert sum(close) / len(close) >= 0.98


def test_whether_a_rep_is_deep_enough_is_judged_right_in_95_of_100() -> None:
    right = []
    for one in simulated():
        if len(one.tally.reps) != len(one.reps):
            continue  # which rep is which cannot be told
        for seen, true in zip(one.tally.reps, one.reps, strict=True):
            if not true.left:
                right.append((seen.verdict != "short") == (true.depth >= one.watch.least_depth))
    assert len(right) > SETS * 20 // 3
    assert sum(right) / len(right) >= 0.95


def test_the_deepest_angle_is_told_within_five_degrees_in_nine_of_ten() -> None:
    off = [
        abs(seen.depth - true.depth) * abs(one.watch.end - one.watch.start)
        for one in simulated()
        if len(one.tally.reps) == len(one.reps)
        for seen, true in zip(one.tally.reps, one.reps, strict=True)
    ]
    assert sum(error <= 5.0 for error in off) / len(off) >= 0.9


def test_honest_streams_are_believed() -> None:
    assert all(one.tally.believed for one in simulated())


@pytest.mark.parametrize("movement", MOVEMENTS)
def test_no_movement_is_counted_worse_than_the_rest(movement: str) -> None:
    joint = catalogue().find_movement(movement)
    wanted = watch(AVERAGE, joint, joint.own(Modifiers()))
    same = [
        one
        for one in simulated()
        if one.watch.start == wanted.start and one.watch.end == wanted.end
    ]
    close = [abs(one.tally.full - one.full) <= 1 for one in same]
    assert sum(close) / len(close) >= 0.9
