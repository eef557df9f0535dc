"""What a session asks: the prescription, or less of it on a day that is derived from it.

The way back after time away, an easy week, the first days on a rung: each asks less for its own
reason, and says so with the session, so that nobody is judged by what was not asked.
"""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from datetime import date
from itertools import pairwise
from statistics import median

from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.prescription import LEAST_USEFUL, Prescription
from invelo.domain.training.log import Derived

AWAY_DAYS = 14
AWAY_INTERVALS = 2.5
"""Days, and usual intervals, without a ladder after which its way back begins (common practice)."""

MOST_WEEKS = 4
"""Weeks of the way back at most (common practice)."""

LEAST_SHARE = 0.5
EASY_RPE = 7.0
"""Share of the sets on the first day back, and effort at most (common practice)."""

FIRST_SESSIONS = 2
"""Sessions on a new rung that ask a set less, at its foot (common practice)."""

FIRST_RPE = 8.0
"""Effort at most on those days."""

LOOKED_AT = 12
"""Newest sessions whose intervals are usual."""


@dataclass(frozen=True)
class WayBack:
    """How far someone is on the way back.

    Attributes:
        share: of the usual sets.
        rpe: effort at most.
        week: of the way back, from 1.
        weeks: it takes.
        away: days without the ladder.
    """

    share: float
    rpe: float
    week: int
    weeks: int
    away: int


def way_back(days: Sequence[date], today: date) -> WayBack | None:
    """The way back after time away from one ladder; None where nobody is on it.

    It begins with the first session after the break, and takes as many weeks as the break took, up
    to four.

    Args:
        days: of the ladder's sessions, oldest first.
        today: the day that is asked for.
    """
    dates = [*sorted({day for day in days if day < today}), today]
    for index in range(len(dates) - 1, 0, -1):
        away = (dates[index] - dates[index - 1]).days
        if away <= AWAY_DAYS:
            continue
        before = dates[max(0, index - LOOKED_AT) : index]
        usual = median([(b - a).days for a, b in pairwise(before)] or [3])
        if away <= AWAY_INTERVALS * usual:
            continue
        weeks = min(MOST_WEEKS, max(1, away // 7))
        week = (today - dates[index]).days // 7
        if week >= weeks:
            return None
        share = LEAST_SHARE + (1.0 - LEAST_SHARE) * week / weeks
        return WayBack(share, EASY_RPE if week < (weeks + 1) // 2 else 8.0, week + 1, weeks, away)
    return None


def back_from_pain(cleared: date, spared_days: int, today: date) -> WayBack | None:
    """The way back on what loads a place that hurt and was cleared: as many weeks as it was spared,
    one at least and four at most; None where it is over."""
    weeks = min(MOST_WEEKS, max(1, round(spared_days / 7)))
    week = (today - cleared).days // 7
    if week < 0 or week >= weeks:
        return None
    share = LEAST_SHARE + (1.0 - LEAST_SHARE) * week / weeks
    return WayBack(share, EASY_RPE, week + 1, weeks, spared_days)


@dataclass(frozen=True)
class AskedSession:
    """What a session asks on a ladder.

    Attributes:
        rung: with what is asked of it this day.
        derived: why that is not the prescription, '' where it is.
        why: in words, '' where there is nothing to say.
        open_end: whether the last set goes on to its end.
        last_rpe: effort up to which the last set may go on towards the top of the range.
    """

    rung: Rung
    derived: Derived = ""
    why: str = ""
    open_end: bool = False
    last_rpe: float | None = None


def session_asked(
    rung: Rung,
    days: Sequence[date],
    today: date,
    begun: int | None = None,
    easy: tuple[float, float] | None = None,
    open_end: bool = False,
    from_pain: WayBack | None = None,
) -> AskedSession:
    """What the next session asks.

    Args:
        rung: as prescribed.
        days: of the ladder's sessions, oldest first.
        today: when it is.
        begun: sessions done on a rung that was newly climbed to; None where it is not new.
        easy: share of the sets and effort at most, in an easy week.
        open_end: whether the last set is to be taken to its end.
        from_pain: how far the way back is after a place that hurt was cleared.
    """
    prescription = rung.prescription
    back = way_back(days, today)
    if from_pain is not None and (back is None or from_pain.share <= back.share):
        asked = _lowered(prescription, from_pain.share, from_pain.rpe)
        week = f"Week {from_pain.week} of {from_pain.weeks}"
        why = f"{week} back after pain: less, and nothing that hurts."
        return AskedSession(replace(rung, prescription=asked), "re-entry", why)
    if back is not None:
        asked = _lowered(prescription, back.share, back.rpe)
        why = f"Week {back.week} of {back.weeks} back after {back.away} days."
        return AskedSession(replace(rung, prescription=asked), "re-entry", why)
    if easy is not None:
        share, rpe = easy
        sets = max(1, round(share * prescription.sets))
        asked = replace(prescription, sets=sets, rpe=min(rpe, prescription.rpe))
        return AskedSession(replace(rung, prescription=asked), "easy", "An easy week.")
    if begun is not None and begun < FIRST_SESSIONS and not open_end:
        sets = max(min(2, prescription.sets), prescription.sets - 1)
        asked = replace(prescription, sets=sets, rpe=min(prescription.rpe, FIRST_RPE))
        why = f"Day {begun + 1} on this rung: a set less, and from the foot up."
        return AskedSession(replace(rung, prescription=asked), "first", why)
    return AskedSession(rung, open_end=open_end, last_rpe=last_rpe(prescription))


LAST_RPE = 9.5
"""Effort up to which the last set of a hard prescription may go on towards the top of the range
(common practice: the last set goes nearer to its end)."""

HARD_RPE = 9.0


def last_rpe(prescription: Prescription) -> float | None:
    """How far the last set may go on, None where it ends as the others do."""
    if prescription.unit != "reps" or prescription.sets < 2 or prescription.rpe < HARD_RPE:
        return None
    return max(LAST_RPE, prescription.rpe)


def _lowered(prescription: Prescription, share: float, rpe: float) -> Prescription:
    """Half the sets at first, range and effort lowered together."""
    sets = max(1, round(share * prescription.sets + 1e-9))
    high = prescription.low + (prescription.high - prescription.low) // 2
    low = prescription.low
    if prescription.unit == "s":
        low = max(int(LEAST_USEFUL["s"]), round(0.8 * low))
        high = max(low, round(0.8 * high))
    return replace(
        prescription, sets=sets, low=low, high=max(low, high), rpe=min(rpe, prescription.rpe)
    )
