"""Where an athlete stands on a ladder: the rung whose useful prescription fits."""

from collections.abc import Callable
from dataclasses import dataclass
from functools import lru_cache

from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.errors import InputError
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.ladder import MeasuredLadder
from invelo.domain.strength.capacity import Evidence, Pool, groups_of, pool
from invelo.domain.strength.holds import HoldCapacity, rohmert
from invelo.domain.strength.rep_equations import SILENT_ABOVE
from invelo.domain.strength.reps import Capacity
from invelo.domain.strength.tempo import Tempo

LONG_HOLD = rohmert(0.7)
"""Seconds beyond which the two published curves part."""


@dataclass(frozen=True)
class LaneStanding:
    """What is known of an athlete in one of a ladder's lanes.

    Attributes:
        known: what it rests on.
        capacity: one-rep load at a rep of 2 s, kg or N·m; or the torque held for 6 s.
        reach: the demand at which they get the useful prescription.
    """

    known: Pool
    capacity: Estimate
    reach: Estimate


@dataclass(frozen=True)
class Placement:
    """Where an athlete stands on one ladder.

    Attributes:
        lanes: what is known, by lane; lanes of which nothing is known are missing.
        predictions: reps to failure, or seconds, on each rung; None where nothing tells.
        index: the placed rung.
        low_index, high_index: rungs the range of the predictions would place them on.
        fits: whether its prescription fits; if not, they are placed at the foot all the same.
        narrower: the test that would narrow it most, in words.
    """

    lanes: dict[Lane, LaneStanding]
    predictions: tuple[Estimate | None, ...]
    index: int
    low_index: int
    high_index: int
    fits: bool
    narrower: str
    _lane: Lane

    @property
    def here(self) -> LaneStanding:
        """The lane of the placed rung, or the first one known."""
        return self.lanes[self._lane]

    @property
    def known(self) -> Pool:
        """What the placement rests on."""
        return self.here.known

    @property
    def capacity(self) -> Estimate:
        """In the placed rung's lane."""
        return self.here.capacity

    @property
    def reach(self) -> Estimate:
        """In the placed rung's lane."""
        return self.here.reach


@lru_cache(maxsize=2048)
def place(
    ladder: MeasuredLadder, known: tuple[Evidence, ...], closed: frozenset[int] = frozenset()
) -> Placement:
    """The hardest open rung on which the range's foot is there with the prescription's reserve to
    spare.

    Args:
        ladder: measured for the athlete's body.
        known: evidence; what is of none of the ladder's lanes is passed over.
        closed: positions that a limit, a criterion or the kit closes.

    Raises:
        InputError: without evidence of any of its lanes.
    """
    pools = {lane: pool(those) for lane, those in groups_of(known).items() if lane in ladder.lanes}
    if not pools:
        raise InputError("tests", "nothing says yet what this athlete can do.", "Enter a test.")
    predictions = tuple(
        pools[demand.lane].expected(demand.load, rung.modifiers.tempo)
        if demand.lane in pools
        else None
        for rung, demand in zip(ladder.rungs, ladder.demands, strict=True)
    )
    open_rungs = [
        i for i, estimate in enumerate(predictions) if estimate is not None and i not in closed
    ]

    def hardest(count: Callable[[Estimate], float]) -> int | None:
        fitting = [
            i
            for i in open_rungs
            if (estimate := predictions[i]) is not None
            and count(estimate) >= ladder.rungs[i].prescription.asks
        ]
        return max(fitting, key=lambda i: _rank(ladder, i), default=None)

    foot = min((i for i in range(len(ladder.rungs)) if i not in closed), default=0)
    likely = hardest(lambda estimate: estimate.likely)
    index = foot if likely is None else likely
    lane = ladder.demands[index].lane
    lane = lane if lane in pools else next(other for other in ladder.lanes if other in pools)
    lanes = {
        on_lane: LaneStanding(
            its, its.greatest, its.allowed(_asks(ladder, index, on_lane), Tempo())
        )
        for on_lane, its in pools.items()
    }
    low, high = hardest(lambda estimate: estimate.low), hardest(lambda estimate: estimate.high)
    return Placement(
        lanes=lanes,
        predictions=predictions,
        index=index,
        low_index=foot if low is None else low,
        high_index=foot if high is None else high,
        fits=likely is not None,
        narrower=_narrower(ladder, index, pools[lane]),
        _lane=lane,
    )


def _rank(ladder: MeasuredLadder, index: int) -> tuple[int, float]:
    """Harder is greater: the lane that begins further up, then the demand."""
    demand = ladder.demands[index]
    assert demand.lane is not None  # noqa: S101  (a rung with a prediction has one)
    return ladder.lanes.index(demand.lane), demand.height


def _asks(ladder: MeasuredLadder, index: int, lane: Lane) -> float:
    """What the useful prescription asks in a lane: that of the placed rung if it is its own, else
    that of the lane's first rung."""
    if ladder.demands[index].lane == lane:
        return ladder.rungs[index].prescription.asks
    first = next(i for i, demand in enumerate(ladder.demands) if demand.lane == lane)
    return ladder.rungs[first].prescription.asks


def _narrower(ladder: MeasuredLadder, index: int, known: Pool) -> str:
    nearest = known.nearest
    capacity = nearest.known.capacity
    above = ladder.rungs[next(iter(ladder.above(index)), index)].name
    if isinstance(capacity, Capacity) and capacity.result.reps_to_failure > SILENT_ABOVE:
        return (
            f"The estimate rests on {capacity.result.reps_to_failure:g} reps, where the equations "
            f"spread widely: test “{above}” to the last clean rep."
        )
    if isinstance(capacity, HoldCapacity) and capacity.result.seconds > LONG_HOLD:
        return (
            f"The estimate rests on a hold of {capacity.result.seconds:g} s, where the curves "
            f"part: test “{above}” for as long as it holds."
        )
    if nearest.kind == "set":
        here = ladder.rungs[index].name
        return f"The estimate rests on a rated effort: test “{here}”, to the last clean one."
    return f"A second test on another day, on “{above}”, would narrow it most."
