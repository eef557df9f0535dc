"""How a decision turned out: reach before it and in the weeks after."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, timedelta
from statistics import median

from invelo.domain.review.trend import TrendPoint

AFTER_DAYS = 21
"""Days after a decision in which it shows (ours: as long as a plateau is watched)."""

NOISE = 0.03
"""Change of reach that is no more than the noise of a few days (ours)."""

FEW = 3
"""Days of evidence on either side whose middle is taken."""


@dataclass(frozen=True)
class OutcomeAfter:
    """What came after a decision.

    Attributes:
        change: of reach, share.
        days: of evidence after it.
        words: in words.
    """

    change: float
    days: int
    words: str


def outcome_after(points: Sequence[TrendPoint], day: date) -> OutcomeAfter | None:
    """What reach did in the three weeks after a day; None where nothing tells yet.

    Args:
        points: capacity by day, kg or N·m, oldest first.
        day: of the answer.
    """
    before = [point.value for point in points if point.day <= day][-FEW:]
    after = [point.value for point in points if day < point.day <= day + timedelta(days=AFTER_DAYS)]
    if not before or not after:
        return None
    change = median(after[-FEW:]) / median(before) - 1.0
    percent = round(100 * change)
    sentence = (
        f"{percent:+d} % in the three weeks after" if percent else "0 % in the three weeks after"
    )
    if abs(change) <= NOISE:
        words = f"reach as before ({sentence})"
    else:
        words = f"reach {'rose' if change > 0 else 'fell'} ({sentence})"
    return OutcomeAfter(change, len(after), words)
