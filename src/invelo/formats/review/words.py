"""A review as files say it: plain values, gathered once."""

from dataclasses import dataclass
from datetime import date

from invelo.domain.review.forecast import Forecast


@dataclass(frozen=True)
class ProposalReport:
    """A decision in words.

    Attributes:
        day: of the proposal.
        outcome: in words.
        way: from where to where.
        reason: as it was told.
        rules: that spoke, each a sentence with its source.
        confidence: in words.
        answer: of the coach, in words; '' while it waits.
    """

    day: date
    outcome: str
    way: str
    reason: str
    rules: tuple[str, ...]
    confidence: str
    answer: str


@dataclass(frozen=True)
class BlockReport:
    """Weeks of one ladder.

    Attributes:
        who, goal: whose, towards what.
        first, last: days it spans.
        began_on, stands_on: names of rungs.
        done, planned: sessions.
        sets: clean sets, and all of them.
        growth: of capacity over the block, share; None where too little tells.
        moves: what was taken, in words, oldest first.
        next_criterion: when it is likely, None where nothing tells.
        decisions: the newest first.
        revision: how many decisions there are.
    """

    who: str
    goal: str
    first: date
    last: date
    began_on: str
    stands_on: str
    done: int
    planned: int
    sets: tuple[int, int]
    growth: float | None
    moves: tuple[str, ...]
    next_criterion: Forecast | None
    proposals: tuple[ProposalReport, ...]
    revision: int

    @property
    def weeks(self) -> int:
        """It spans."""
        return max(1, round((self.last - self.first).days / 7))
