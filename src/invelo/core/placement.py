"""Where an athlete stands on a ladder: the rung whose useful dose fits."""

from dataclasses import dataclass

from invelo.core.capacity import Evidence, Pool, pool
from invelo.core.estimate import Estimate
from invelo.core.holds import AVIN_ABOVE, HoldCapacity, rohmert
from invelo.core.ladder import MeasuredLadder
from invelo.core.reps import SILENT_ABOVE, Capacity
from invelo.core.tempo import Tempo

LONG_HOLD = rohmert(AVIN_ABOVE)
"""Seconds beyond which the two published curves part."""


@dataclass(frozen=True)
class Placement:
    """Where an athlete stands on one ladder.

    Attributes:
        capacity: one-rep load at a rep of 2 s, kg or N·m; or the torque held for 6 s.
        reach: the demand at which they get the useful dose of the placed rung.
        predictions: reps to failure, or seconds, on each rung.
        index: the placed rung.
        low_index, high_index: rungs the range of the predictions would place them on.
        fits: whether even the lowest rung's dose fits; if not they are placed there all the same.
        known: what it rests on.
        narrower: the test that would narrow it most, in words.
    """

    capacity: Estimate
    reach: Estimate
    predictions: tuple[Estimate, ...]
    index: int
    low_index: int
    high_index: int
    fits: bool
    known: Pool
    narrower: str


def place(ladder: MeasuredLadder, known: tuple[Evidence, ...]) -> Placement:
    """The hardest rung on which the range's foot is there with the dose's reserve to spare.

    Raises:
        InputError: without evidence.
    """
    chosen = pool(known)
    predictions = tuple(
        chosen.expected(demand.load, rung.modifiers.tempo)
        for rung, demand in zip(ladder.rungs, ladder.demands, strict=True)
    )
    wanted = [rung.dose.asks for rung in ladder.rungs]

    def hardest(counts: list[float]) -> int | None:
        fitting = [i for i, count in enumerate(counts) if count >= wanted[i]]
        return max(fitting, key=lambda i: ladder.demands[i].on_scale.likely, default=None)

    likely = hardest([p.likely for p in predictions])
    index = 0 if likely is None else likely
    return Placement(
        capacity=chosen.greatest,
        reach=chosen.allowed(wanted[index], Tempo()),
        predictions=predictions,
        index=index,
        low_index=hardest([p.low for p in predictions]) or 0,
        high_index=hardest([p.high for p in predictions]) or 0,
        fits=likely is not None,
        known=chosen,
        narrower=_narrower(ladder, index, chosen),
    )


def _narrower(ladder: MeasuredLadder, index: int, known: Pool) -> str:
    nearest = known.nearest
    capacity = nearest.known.capacity
    above = ladder.rungs[min(index + 1, len(ladder.rungs) - 1)].name
    if isinstance(capacity, Capacity) and capacity.result.reps_to_failure > SILENT_ABOVE:
        return (
            f"The estimate rests on {capacity.result.reps_to_failure:g} reps, where the equations "
            f"spread widely: test “{above}” to the end."
        )
    if isinstance(capacity, HoldCapacity) and capacity.result.seconds > LONG_HOLD:
        return (
            f"The estimate rests on a hold of {capacity.result.seconds:g} s, where the curves "
            f"part: test “{above}” to the end."
        )
    if nearest.kind == "set":
        here = ladder.rungs[index].name
        return f"The estimate rests on a rated effort: test “{here}” to the end."
    return f"A second test on another day, on “{above}”, would narrow it most."
