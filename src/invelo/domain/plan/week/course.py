"""Blocks of weeks: building, easy weeks planned ahead, and the way back after a layoff.

Source: common practice, where a constant does not say otherwise.
"""

from dataclasses import dataclass, replace
from typing import Literal

from invelo.domain.errors import require_within
from invelo.domain.plan.methods import most_sets
from invelo.domain.plan.prescription import Method
from invelo.domain.plan.session.work import Item

WeekKind = Literal["build", "easy", "re-entry"]

EASY_EVERY = 4
"""Every so manieth week is easy."""

EASY_SHARE = 0.6
EASY_RPE = 7.0
"""Share of the usual sets in an easy week, and effort at most: 6 to 7 is a light set."""

LAYOFF_WEEKS = 2
"""Weeks away from which the way back is planned."""

LEAST_SHARE = 0.5
"""Share of the usual sets in the first week back (ours)."""

WORDS: dict[WeekKind, str] = {
    "build": "sets grow as the method says",
    "easy": "a planned easy week: fewer sets, effort 7 at most",
    "re-entry": "back after time away: fewer sets, effort 7 at most, no top singles",
}


@dataclass(frozen=True)
class CourseWeek:
    """One week of a block.

    Attributes:
        number: from 1.
        kind: building, easy or coming back.
        share: of the usual sets.
        rpe: at most; 10 where the method's own stands.
        grows: sets more than at the block's start, where the method grows them.
    """

    number: int
    kind: WeekKind
    share: float = 1.0
    rpe: float = 10.0
    grows: int = 0

    @property
    def words(self) -> str:
        """What kind of week it is."""
        return WORDS[self.kind]


def course(weeks: int, away: float = 0.0, easy_every: int = EASY_EVERY) -> tuple[CourseWeek, ...]:
    """A block of weeks.

    After more than two weeks away the first weeks come back at a lower share, rising over as many
    weeks as were missed. Every fourth week is easy; a set is added after each of those.

    Args:
        weeks: of the block, 1 to 26.
        away: weeks since the last session.
        easy_every: how often a week is easy, 2 to 12.

    Raises:
        InputError: for values out of range.
    """
    require_within("weeks", weeks, 1, 26, "weeks")
    require_within("weeks away", away, 0, 520, "weeks")
    require_within("easy week every", easy_every, 2, 12, "weeks")
    back = min(weeks, int(away)) if away > LAYOFF_WEEKS else 0
    course_weeks = []
    for number in range(1, weeks + 1):
        if number <= back:
            share = LEAST_SHARE + (1.0 - LEAST_SHARE) * (number - 1) / back
            course_weeks.append(CourseWeek(number, "re-entry", share, EASY_RPE))
        elif (number - back) % easy_every == 0:
            course_weeks.append(CourseWeek(number, "easy", EASY_SHARE, EASY_RPE))
        else:
            grows = (number - back - 1) // easy_every
            course_weeks.append(CourseWeek(number, "build", grows=grows))
    return tuple(course_weeks)


BUILDING = CourseWeek(1, "build")
"""A week like any other."""

EASED = CourseWeek(1, "easy", EASY_SHARE, EASY_RPE)
"""A week that was asked to ease, whatever the block says."""


def paced(item: Item, week: CourseWeek, method: Method = "wave") -> Item:
    """An item as a week of the block has it: fewer sets at an effort of 7 in an easy week, a set
    more where the method has grown it."""
    sets = item.sets[: max(1, round(week.share * len(item.sets)))]
    for _ in range(week.grows):
        if len(sets) < most_sets(method):
            sets = (*sets, sets[-1])
    eased = tuple(replace(work_set, rpe=min(work_set.rpe, week.rpe)) for work_set in sets)
    if week.kind != "build":
        eased = tuple(work_set for work_set in eased if work_set.kind != "single") or eased
    return replace(item, sets=eased)
