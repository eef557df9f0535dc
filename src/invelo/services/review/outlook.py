"""When the next criterion, when the goal, and what each asks of capacity."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date

from invelo.db.codec import body_of
from invelo.domain.errors import InputError
from invelo.domain.estimate import Estimate
from invelo.domain.review.forecast import (
    LEAST_DAYS,
    Forecast,
    forecast,
    growth_estimate,
    nearer_by,
)
from invelo.domain.review.trend import TrendPoint
from invelo.domain.strength.says import work_of
from invelo.domain.strength.tempo import Tempo
from invelo.services.ladder.ladder import LadderView
from invelo.services.review.trends import Adherence, SessionPoint

LATELY = 4
"""Weeks that say how it goes lately."""


@dataclass(frozen=True)
class CriterionLine:
    """What a rung's criterion asks of capacity, kg or N·m.

    Attributes:
        index: position of the rung.
        name: of it.
        needed: capacity.
        growth: over today's, share.
    """

    index: int
    name: str
    needed: float
    growth: float


def criteria(seen: LadderView) -> tuple[CriterionLine, ...]:
    """The criteria in the lane of the rung they stand on, from it upwards; empty where nothing
    tells."""
    here = seen.current
    lane = seen.measured.demands[here].lane
    if seen.placement is None or lane not in seen.placement.lanes:
        return ()
    known = seen.placement.lanes[lane]
    criterion_lines = []
    for index, (rung, demand) in enumerate(
        zip(seen.measured.rungs, seen.measured.demands, strict=True)
    ):
        if index < here or demand.lane != lane or demand.on_scale is None:
            continue
        try:
            allowed = known.known.allowed(rung.criterion.asks, Tempo()).likely
        except InputError:
            continue  # a criterion beyond the curves tells nothing
        times = demand.on_scale.likely / allowed
        criterion_lines.append(
            CriterionLine(index, rung.name, known.capacity.likely * times, times - 1.0)
        )
    return tuple(criterion_lines)


@dataclass(frozen=True)
class Outlook:
    """Forecasts of the next criterion and of the goal, or why there is none.

    Attributes:
        next_criterion, goal: None where there is none.
        unavailable_reason: in words, '' where both are told.
    """

    next_criterion: Forecast | None
    goal: Forecast | None
    unavailable_reason: str


def outlook(
    seen: LadderView,
    points: Sequence[TrendPoint],
    done: Sequence[SessionPoint],
    weeks: Sequence[Adherence],
    today: date,
) -> Outlook:
    """When capacity would allow the next criterion and the last of the lane."""
    lines = criteria(seen)
    if not lines:
        return Outlook(None, None, "Nothing tells yet what they can do here. Enter a test.")
    days = len({point.day for point in points})
    if days < LEAST_DAYS:
        more = LEAST_DAYS - days
        return Outlook(
            None,
            None,
            f"{days} days tell: not enough yet for a forecast. Log sets near their end on {more} "
            "more.",
        )
    nearer = _nearer(seen, done, weeks)
    ahead = next((line for line in lines if line.growth > 0), lines[-1])
    top = max(lines, key=lambda criterion_line: criterion_line.needed)
    first, last = (
        _forecast(seen, line, today, seed, nearer) for seed, line in ((1, ahead), (2, top))
    )
    return Outlook(first, last, "")


def _forecast(
    seen: LadderView, line: CriterionLine, today: date, seed: int, nearer: str
) -> Forecast | None:
    """When a rung's criterion is there, by the state of its lane."""
    rung = seen.prescribed if line.index == seen.current else seen.measured.rungs[line.index]
    work = work_of(body_of(seen.measure), rung.movement, rung.modifiers)
    state = seen.states.get(rung.movement.posture.lane)
    if work is None or state is None:
        return None
    criterion, rest = rung.criterion, float(rung.prescription.rest)
    what = f"criterion of “{line.name}”"
    return forecast(state, work, criterion, rest, today, what, seed, nearer)


def _nearer(seen: LadderView, done: Sequence[SessionPoint], weeks: Sequence[Adherence]) -> str:
    past = weeks[:-1][-LATELY:] or weeks[-1:]
    planned = sum(adherence.planned for adherence in past)
    share = sum(adherence.done for adherence in past) / planned if planned else 1.0
    days = sum(adherence.done for adherence in past) / max(1, len(past))
    newest = [point.mean_set_rpe for point in done[-3 * LATELY :]]
    rpe = sum(newest) / len(newest) if newest else 0.0
    growth = growth_of(seen)
    return nearer_by(days, rpe, share, growth.likely / 100 if growth else 0.0)


def growth_of(seen: LadderView) -> Estimate | None:
    """Growth in the prescribed rung's measure, % a week; None where nothing tells."""
    state = seen.states.get(seen.prescribed.movement.posture.lane)
    return growth_estimate(state) if state else None
