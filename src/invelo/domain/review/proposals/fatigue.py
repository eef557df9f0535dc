"""Then fatigue: too hard, too much, too long away."""

from invelo.domain.estimate import Input
from invelo.domain.plan.week.course import EASY_SHARE, LAYOFF_WEEKS, LEAST_SHARE
from invelo.domain.review.proposals.situation import (
    Proposal,
    Situation,
    count,
    hold,
    predicted,
    rules,
    set_figures,
)
from invelo.domain.review.workload import RATIO_EASE, RATIO_WORD

FOOT_RPE = 9.5
"""Effort that is too much at the foot of the range (common practice)."""

OFTEN = 3
"""Days a week from which fewer are proposed before an easier rung is built (common practice)."""


def layoff(situation: Situation) -> Proposal | None:
    """More than two weeks away: a way back at a lower share, building over as many weeks."""
    if situation.occasion != "week" or situation.week is None or not situation.sessions:
        return None
    days = (situation.week.today - situation.sessions[-1].day).days
    if days <= 7 * LAYOFF_WEEKS:
        return None
    weeks = days / 7
    return Proposal(
        "ease_off",
        situation.key,
        f"{days} days away. Come back at {100 * LEAST_SHARE:.0f} % of the usual sets, effort 7 at "
        f"most, and build up over {int(weeks)} weeks.",
        (
            Input("days since the last session", float(days), "days"),
            Input("a layoff is longer than", float(7 * LAYOFF_WEEKS), "days"),
            Input("share of the usual sets to begin with", 100 * LEAST_SHARE, "%"),
        ),
        rules("layoff.re-entry"),
        "high",
        "The days are counted.",
        amount=weeks,
    )


def too_hard(situation: Situation) -> Proposal | None:
    """Under the foot of the range twice, or all but everything at its foot."""
    foot, unit = situation.rung.prescription.low, situation.rung.prescription.unit
    last = situation.last
    all_out = situation.method == "near_failure"  # there a set is meant to end so
    past = any(s.amount > foot for s in last)
    at_foot = [s for s in last if s.rpe >= FOOT_RPE and not (all_out or past)]
    recent = [session.on(situation.key) for session in situation.sessions[-2:]]
    missed = [sets for sets in recent if any(s.amount < foot for s in sets)]
    spoke = ["range.missed-twice"] * (len(missed) == 2) + ["effort.foot"] * bool(at_foot)
    if not spoke:
        return None
    figures = (
        *set_figures(last),
        Input("foot of the range", foot, unit),
        Input("sessions running with a set under it", len(missed), "of 2"),
    )
    hard = (
        f"No set went past {foot} {unit}, and one took effort {max(s.rpe for s in at_foot):g}."
        if at_foot
        else f"A set fell under {foot} {unit} on two sessions running."
    )
    below = situation.below
    if below is None:
        days = situation.week.days_done if situation.week else 0
        if days >= OFTEN:
            return Proposal(
                "reduce_days",
                situation.key,
                f"{hard} There is no easier rung: train it on {days - 1} days a week instead of "
                f"{days}, or build an easier one.",
                (*figures, Input("days of the last seven", float(days), "days")),
                rules(*spoke, "ladder.foot"),
                "medium",
                "The sets are plain; whether rest is the remedy shows in two weeks.",
                amount=float(days - 1),
            )
        return hold(
            situation,
            hard + " There is no easier rung: add one below, or take fewer sessions a week.",
            figures,
            rules(*spoke, "ladder.foot"),
            "medium",
            "The sets are plain; the remedy is the coach's to build.",
        )
    estimate = below.prediction
    there = f", where {count(estimate)} are likely" if estimate else ""
    return Proposal(
        "step_back",
        below.key,
        f"{hard} Step back to “{below.rung.name}”{there}.",
        (*figures, predicted("on the easier rung", estimate)) if estimate else figures,
        rules(*spoke),
        "high" if len(spoke) == 2 else "medium",
        "Both signs agree." if len(spoke) == 2 else "One of two signs spoke.",
    )


def load(situation: Situation) -> Proposal | None:
    """Acute : chronic load above 1.5: next week is asked to ease."""
    week = situation.week
    if situation.occasion != "week" or week is None or week.ratio is None:
        return None
    if week.ratio <= RATIO_EASE:
        return None
    agree = week.ratio_smoothed is not None and week.ratio_smoothed > RATIO_WORD
    return Proposal(
        "ease_off",
        situation.key,
        f"The last week's load is {week.ratio:.2f} times what the athlete is used to. Ease next "
        f"week to {100 * EASY_SHARE:.0f} % of the sets, effort 7 at most.",
        (
            Input("acute : chronic load", round(week.ratio, 2)),
            Input(
                "acute : chronic load, exponential means",
                "not yet" if week.ratio_smoothed is None else round(week.ratio_smoothed, 2),
            ),
            Input("eased above", RATIO_EASE),
            Input("share of the usual sets", 100 * EASY_SHARE, "%"),
        ),
        rules("load.ease"),
        "medium" if agree else "low",
        "Both ways of reckoning agree; the measure itself is disputed and foretells no injury."
        if agree
        else "Only the plain means say so; the measure itself is disputed.",
        amount=EASY_SHARE,
    )


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
