"""Fatigue: too much at once, and what stresses most on too many days."""

from invelo.domain.estimate import Input
from invelo.domain.plan.week.course import EASY_SHARE
from invelo.domain.review.proposals.situation import Proposal, Situation, rules
from invelo.domain.review.workload import RATIO_EASE, RATIO_WORD


def load(situation: Situation) -> Proposal | None:
    """Acute : chronic load above 1.5 by both ways of reckoning: next week is asked to ease."""
    week = situation.week
    if situation.occasion != "week" or week is None or week.ratio is None:
        return None
    if week.ratio <= RATIO_EASE or situation.coming_back:
        return None
    if week.ratio_smoothed is None or week.ratio_smoothed <= RATIO_WORD:
        return None
    if not _more_than_usual(situation):
        return None
    return Proposal(
        "ease_off",
        situation.key,
        f"The last week's load is {week.ratio:.2f} times what the athlete is used to. Ease next "
        f"week to {100 * EASY_SHARE:.0f} % of the sets, effort 7 at most.",
        (
            Input("acute : chronic load", round(week.ratio, 2)),
            Input("acute : chronic load, exponential means", round(week.ratio_smoothed, 2)),
            Input("eased above", RATIO_EASE),
            Input("share of the usual sets", 100 * EASY_SHARE, "%"),
        ),
        rules("load.ease"),
        "medium",
        "Both ways of reckoning agree; the measure itself is disputed and foretells no injury.",
        amount=EASY_SHARE,
    )


MORE_SETS = 1.25
"""Sets of a week, times those of a usual one, from which more was done rather than less before."""

USUAL_WEEKS = 8


def _more_than_usual(situation: Situation) -> bool:
    """Whether more was done than in a usual week, rather than less in the weeks before: coming back
    to what is usual is no spike to ease."""
    weeks: dict[int, int] = {}
    for session in situation.sessions:
        ago = (situation.today - session.day).days // 7
        if 0 <= ago <= USUAL_WEEKS and session.day < situation.today:
            weeks[ago] = weeks.get(ago, 0) + len(session.sets)
    newest, before = weeks.pop(0, 0), sorted(weeks.values())
    return not before or newest > MORE_SETS * before[len(before) // 2]


def frequency(situation: Situation) -> Proposal | None:
    """A most stressful rung trained on more days than this athlete bears."""
    week = situation.week
    if situation.occasion != "week" or week is None or not week.stressful:
        return None
    if week.days_done <= week.days_limit:
        return None
    return Proposal(
        "reduce_days",
        situation.key,
        f"“{situation.rung.name}” is among the most stressful and was trained on {week.days_done} "
        f"days this week. Keep it to {week.days_limit}.",
        (
            Input("days of the last seven", float(week.days_done), "days"),
            Input("this athlete's limit", float(week.days_limit), "days"),
        ),
        rules("stress.limit"),
        "medium",
        "The days are counted; the limit is common practice until their own response tells.",
        amount=float(week.days_limit),
    )
