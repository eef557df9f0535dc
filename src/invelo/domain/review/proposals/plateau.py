"""At the end of a week: a plateau, an old test, a surface to swap."""

from datetime import timedelta

from invelo.domain.errors import InputError
from invelo.domain.estimate import Z80, Input
from invelo.domain.plan.methods import most_sets
from invelo.domain.review.proposals.fatigue import OFTEN
from invelo.domain.review.proposals.situation import Proposal, Situation, WeekSeen, hold, rules
from invelo.domain.review.proposals.upward import outcome_of
from invelo.domain.review.trend import trend

PLATEAU_WEEKS = 3
"""Weeks without a rise that count as a plateau (common practice)."""

PLATEAU_POINTS = 5
"""Days of evidence in those weeks under which nothing is said (ours)."""

SPAN_DAYS = 16
"""Days those have to span (ours)."""

OLD_DAYS = 28
"""Days after which evidence of capacity is old (ours: as long as it counts for placing)."""

SAME_SURFACE = 6
"""Sessions on one surface after which another is proposed (ours)."""

HARD_RPE = 9.0
"""Mean effort from which a plateau on many days is more likely tiredness (ours)."""


def plateau(situation: Situation) -> Proposal | None:
    """No rise in reach over three weeks beyond its noise: one thing is changed, and why that."""
    week = situation.week
    if situation.occasion != "week" or week is None or situation.purpose == "keep":
        return None
    if situation.method == "habit":
        return None
    since = week.today - timedelta(weeks=PLATEAU_WEEKS)
    recent = [point for point in week.reach if point.day > since]
    if len(recent) < PLATEAU_POINTS or (recent[-1].day - recent[0].day).days < SPAN_DAYS:
        return None
    try:
        line = trend(recent)
    except InputError:
        return None
    rise = PLATEAU_WEEKS * line.slope
    noise = PLATEAU_WEEKS * Z80 * line.error
    if rise > noise or rise > 2 * line.scatter:
        return None
    figures = (
        Input("rise of reach over three weeks", round(100 * rise, 1), "%"),
        Input("its noise", round(100 * noise, 1), "%"),
        Input("days of evidence", float(len(recent))),
        Input("days trained this week", float(week.days_done), "days"),
    )
    still = f"Reach has not risen over three weeks ({100 * rise:+.1f} % ± {100 * noise:.1f} %)."
    return _remedy(situation, week, still, figures)


def _remedy(
    situation: Situation, week: WeekSeen, still: str, figures: tuple[Input, ...]
) -> Proposal:
    """Fewer days where it is trained often and hard, else one more set, else another lever."""
    rpes = [s.rpe for s in situation.last]
    rpe = sum(rpes) / len(rpes) if rpes else 0.0
    if week.days_done >= OFTEN and rpe >= HARD_RPE:
        return Proposal(
            "reduce_days",
            situation.key,
            f"{still} It is trained on {week.days_done} days at effort {rpe:.1f}: more likely "
            "tired than done growing. Take a day away.",
            (*figures, Input("mean effort", round(rpe, 1))),
            rules("plateau.three-weeks", "plateau.frequency"),
            "medium",
            "Three weeks of sets; whether rest is the remedy shows in two weeks.",
            amount=float(week.days_done - 1),
        )
    sets = situation.rung.prescription.sets
    if sets < most_sets(situation.method):
        return Proposal(
            "add_set",
            situation.key,
            f"{still} There are {sets} sets: do one more before anything else changes.",
            (*figures, Input("sets now", float(sets))),
            rules("plateau.three-weeks", "sets.grow"),
            "medium",
            "Three weeks of sets; amount is the plainest thing to change.",
            amount=float(sets + 1),
        )
    for offer in situation.useful_offers():
        return Proposal(
            outcome_of(offer),
            situation.key,
            f"{still} Sets are at their most: change the lever, as “{offer.rung.name}”.",
            figures,
            rules("plateau.three-weeks", "step.one-lever"),
            "medium",
            "Three weeks of sets; another lever is another stimulus.",
            rung=offer.rung,
        )
    return hold(
        situation,
        f"{still} Change the range, the day or the rest by hand: no lever of this rung is left.",
        figures,
        rules("plateau.three-weeks"),
        "low",
        "The plateau is plain; the remedy is the coach's.",
    )


def test_again(situation: Situation) -> Proposal | None:
    """Nothing has told capacity for four weeks, while sessions go on."""
    week = situation.week
    if situation.occasion != "week" or week is None or situation.method == "habit":
        return None
    if not situation.sessions or situation.rung.movement.rpe_only:
        return None
    trained = (week.today - situation.sessions[-1].day).days <= OLD_DAYS
    days = None if week.evidence is None else (week.today - week.evidence).days
    if not trained or (days is not None and days <= OLD_DAYS):
        return None
    old = "Nothing yet" if days is None else f"Nothing for {days} days"
    return Proposal(
        "retest",
        situation.key,
        f"{old} tells what they can do: every set left many in reserve. Test "
        f"“{situation.rung.name}”, as many as possible, or log one set at effort 9.",
        (
            Input(
                "days since a set or a test told", "none" if days is None else float(days), "days"
            ),
        ),
        rules("test.old"),
        "high",
        "The days are counted.",
    )


def surface(situation: Situation) -> Proposal | None:
    """A straight-arm hold always done on one surface, where another is at hand."""
    week = situation.week
    if situation.occasion != "week" or week is None or not week.other_surface:
        return None
    since = week.today - timedelta(weeks=PLATEAU_WEEKS)
    there = sum(
        1 for session in situation.sessions if session.day > since and session.on(situation.key)
    )
    if there < SAME_SURFACE:
        return None
    return Proposal(
        "swap_surface",
        situation.key,
        f"{there} sessions in three weeks on the {week.surface}. Do the next ones on the "
        f"{week.other_surface}: about as hard, and it spreads what the joints bear.",
        (Input("sessions in three weeks", float(there)), Input("swapped from", SAME_SURFACE)),
        rules("surface.alternate"),
        "medium",
        "The sessions are counted; which surface is kinder differs from one to the next.",
    )
