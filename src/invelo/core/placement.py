"""Where an athlete stands: capacity from tests and sets, and the rung whose useful dose fits."""

from dataclasses import dataclass
from datetime import date, timedelta
from functools import lru_cache
from typing import Literal

from invelo.core.body import Body
from invelo.core.errors import InputError
from invelo.core.estimate import Estimate
from invelo.core.ladder import MeasuredLadder
from invelo.core.log import PAIN_STOP, SetRecord
from invelo.core.movement import Modifiers, Movement
from invelo.core.ratio import relative_range
from invelo.core.reading import Reading, reading
from invelo.core.reps import SILENT_ABOVE, Capacity, RepResult

EVIDENCE_DAYS = 28
"""Days back from the newest evidence that still count (ours)."""

EVIDENCE_SESSIONS = 3
"""Capacity is the median over this many days of evidence, so that one day does not move it
(ours)."""

EVIDENCE_EFFORT = 6.0
"""Least effort at which reps in reserve still say something of capacity (common practice: the
scale tells reserve near its top)."""


def tells(done: SetRecord) -> bool:
    """Whether a logged set says something of capacity: clean, hard enough, not cut by pain."""
    return (
        done.clean and done.reps >= 1 and done.effort >= EVIDENCE_EFFORT and done.pain < PAIN_STOP
    )


@dataclass(frozen=True)
class Evidence:
    """A test or a logged set, with the load it was done at."""

    day: date
    kind: Literal["test", "set"]
    load: Reading
    capacity: Capacity


@lru_cache(maxsize=4096)
def evidence(
    day: date,
    kind: Literal["test", "set"],
    body: Body,
    movement: Movement,
    modifiers: Modifiers,
    reps: float,
    effort: float,
) -> Evidence:
    """What `reps` of a movement say, done by a body as it was that day.

    Raises:
        InputError: for a set-up, reps or effort out of range.
    """
    load = reading(body, modifiers.setup(movement))
    result = RepResult(
        load.demand.likely,
        reps,
        modifiers.tempo,
        effort,
        load.demand.low,
        load.demand.high,
        load.unit,
    )
    return Evidence(day, kind, load, Capacity(result))


def weigh(known: tuple[Evidence, ...]) -> Evidence:
    """The evidence that speaks for an athlete now.

    The best of each day, then the median of the last three days within four weeks; of an even
    number the better.

    Raises:
        InputError: if there is none.
    """
    if not known:
        raise InputError("tests", "nothing says yet what this athlete can do.", "Enter a rep test.")
    newest = max(e.day for e in known)
    best: dict[date, Evidence] = {}
    for item in known:
        if item.day <= newest - timedelta(days=EVIDENCE_DAYS):
            continue
        held = best.get(item.day)
        if held is None or item.capacity.one_rep.likely > held.capacity.one_rep.likely:
            best[item.day] = item
    recent = [best[day] for day in sorted(best)[-EVIDENCE_SESSIONS:]]
    recent.sort(key=lambda e: e.capacity.one_rep.likely)
    return recent[len(recent) // 2]


@dataclass(frozen=True)
class Placement:
    """Where an athlete stands on one ladder.

    Attributes:
        capacity: one-rep load at a rep of 2 s, kg.
        reach: the demand at which they get the useful dose of the placed rung, kg.
        predictions: reps to failure on each rung.
        index: the placed rung.
        low_index, high_index: rungs the range of the predictions would place them on.
        fits: whether even the lowest rung's dose fits; if not they are placed there all the same.
        evidence: what it rests on.
        narrower: the test that would narrow it most, in words.
    """

    capacity: Estimate
    reach: Estimate
    predictions: tuple[Estimate, ...]
    index: int
    low_index: int
    high_index: int
    fits: bool
    evidence: Evidence
    narrower: str


def predict(ladder: MeasuredLadder, index: int, known: Evidence) -> Estimate:
    """Reps to failure on one rung."""
    load = ladder.demands[index].load
    tempo = ladder.rungs[index].modifiers.tempo
    return known.capacity.predict(load.demand.likely, tempo, relative_range(load, known.load))


def place(ladder: MeasuredLadder, known: tuple[Evidence, ...]) -> Placement:
    """The hardest rung on which the range's foot is there with the dose's reserve to spare.

    Raises:
        InputError: without evidence.
    """
    chosen = weigh(known)
    predictions = tuple(predict(ladder, i, chosen) for i in range(len(ladder.rungs)))
    wanted = [rung.dose.reps_low + rung.dose.reserve for rung in ladder.rungs]

    def hardest(counts: list[float]) -> int | None:
        fitting = [i for i, count in enumerate(counts) if count >= wanted[i]]
        return max(fitting, key=lambda i: ladder.demands[i].on_scale.likely, default=None)

    likely = hardest([p.likely for p in predictions])
    index = 0 if likely is None else likely
    return Placement(
        capacity=chosen.capacity.one_rep,
        reach=chosen.capacity.load_for(wanted[index]),
        predictions=predictions,
        index=index,
        low_index=hardest([p.low for p in predictions]) or 0,
        high_index=hardest([p.high for p in predictions]) or 0,
        fits=likely is not None,
        evidence=chosen,
        narrower=_narrower(ladder, index, chosen),
    )


def _narrower(ladder: MeasuredLadder, index: int, chosen: Evidence) -> str:
    reps = chosen.capacity.result.reps_to_failure
    above = ladder.rungs[min(index + 1, len(ladder.rungs) - 1)].name
    if reps > SILENT_ABOVE:
        return (
            f"The estimate rests on {reps:g} reps, where the equations spread widely: test "
            f"“{above}” to the end."
        )
    if chosen.kind == "set":
        here = ladder.rungs[index].name
        return f"The estimate rests on a rated effort: test “{here}” to the end."
    return f"A second test on another day, on “{above}”, would narrow it most."
