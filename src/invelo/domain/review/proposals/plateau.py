"""At the end of a week: a plateau by what the data show, and a surface to swap."""

from dataclasses import replace
from datetime import timedelta

from invelo.domain.estimate import Input
from invelo.domain.plan.methods import most_sets, with_prescription
from invelo.domain.plan.week.course import EASY_SHARE
from invelo.domain.review.proposals.situation import (
    Proposal,
    Situation,
    chance,
    prescription_words,
    rules,
)
from invelo.domain.review.proposals.upward import useful
from invelo.domain.strength.state import chance_above
from invelo.domain.training.log import SessionRecord

SESSIONS = 6
"""Asked sessions without a new best (common practice)."""

WEEKS = 4
"""Weeks they span at least, and weeks after the last day back from a break (common practice)."""

FLAT = 0.002
"""Growth a week that is no growth, of the logarithm."""

FLAT_CHANCE = 0.4
"""Chance of growth under that from which it is called (ours: chosen on simulated athletes whose
seeds no test uses)."""

AS_GOOD = 1.005
"""How many times the best before counts as a new one."""

EASY_DAYS = 21
"""Days within which no second easy week is proposed."""

HARD_RPE = 9.0
OFTEN = 4
"""Mean effort and days a week from which a plateau is more likely tiredness (common practice)."""

OLD_DAYS = 21
"""Days after which what they can do at most is not known any more (ours)."""

SURFACE_WEEKS = 3
SAME_SURFACE = 6
"""Sessions on one surface in so many weeks after which another is proposed (ours)."""


def plateau(situation: Situation) -> Proposal | None:
    """No new best in six sessions over four weeks, and hardly any growth: one thing is changed."""
    if situation.occasion != "week" or situation.purpose == "keep":
        return None
    if situation.method == "habit" or situation.coming_back or situation.here.state is None:
        return None
    run = _run(situation)
    if len(run) < SESSIONS or (run[-1].day - run[0].day).days < 7 * WEEKS - 2:
        return None
    if situation.newest and (situation.today - situation.newest.day).days > 7:
        return None
    mean, deviation = situation.here.state.growth
    flat = chance_above((mean - FLAT) / max(1e-6, deviation))
    if flat < FLAT_CHANCE:
        return None
    days = _days_a_week(situation)
    rpe = _mean_rpe(run)
    figures = (
        Input("sessions without a new best", len(run)),
        Input("they span", (run[-1].day - run[0].day).days, "days"),
        Input("growth a week", round(100 * mean, 2), "%"),
        chance(f"chance that it is under {100 * FLAT:g} % a week", flat),
        Input("mean effort", round(rpe, 1)),
        Input("days a week", round(days, 1)),
    )
    still = f"No new best in {len(run)} sessions over {_weeks(run)} weeks."
    return _remedy(situation, still, figures, rpe, days)


def best_of(session: SessionRecord, situation: Situation) -> float:
    """The best of a session as a capacity, so that reps, load and effort compare; 0 for none."""
    work = situation.here.work
    if work is None:
        return 0.0
    best = 0.0
    for record in session.on(situation.key):
        if not record.form_ok or record.least < 1:
            continue
        left = 10.0 - record.rpe if record.unit == "reps" and record.rpe >= 7.0 else 0.0
        best = max(best, work.log_capacity(record.least + left))
    return best


def _run(situation: Situation) -> list[SessionRecord]:
    """The newest asked sessions since the one that was the best."""
    asked = [
        session
        for session in situation.sessions
        if not session.derived and session.on(situation.key)
    ]
    best, since = 0.0, 0
    for index, session in enumerate(asked):
        here = best_of(session, situation)
        if here > best * (1.0 + (AS_GOOD - 1.0) / max(1.0, best)):
            best, since = here, index
    return asked[since + 1 :] if since else asked[1:]


def _weeks(run: list[SessionRecord]) -> int:
    return max(1, round((run[-1].day - run[0].day).days / 7))


def _mean_rpe(run: list[SessionRecord]) -> float:
    rpes = [record.rpe for session in run for record in session.sets if record.kind == "work"]
    return sum(rpes) / len(rpes) if rpes else 0.0


def _days_a_week(situation: Situation) -> float:
    since = situation.today - timedelta(weeks=WEEKS)
    return len({session.day for session in situation.sessions if session.day >= since}) / WEEKS


def _remedy(
    situation: Situation, still: str, figures: tuple[Input, ...], rpe: float, days: float
) -> Proposal:
    """By what the data show: old evidence a test, much and hard an easy week, little a set or a
    day more, else another lever."""
    state = situation.here.state
    newest = state.evidence_on if state else None
    if newest is None or (situation.today - newest).days > OLD_DAYS:
        return Proposal(
            "retest",
            situation.key,
            f"{still} Nothing has told what they can do at most for a while: take one set to its "
            "end.",
            figures,
            rules("plateau.weeks", "test.old"),
            "medium",
            "Sessions and dates are counted.",
        )
    eased = any(
        earlier.outcome == "ease_off" and earlier.answer != "decline" and earlier.days <= EASY_DAYS
        for earlier in situation.answered
    )
    if rpe >= HARD_RPE and days >= OFTEN and not eased:
        return Proposal(
            "ease_off",
            situation.key,
            f"{still} {days:.0f} days a week at effort {rpe:.1f}: more likely tired than done "
            f"growing. An easy week, {100 * EASY_SHARE:.0f} % of the sets.",
            figures,
            rules("plateau.weeks", "plateau.tired"),
            "medium",
            "Whether rest is the remedy shows in two weeks.",
            standing="blocked",
            amount=EASY_SHARE,
        )
    more_work = _more_work(situation, still, figures, days)
    if more_work is not None:
        return more_work
    offer = useful(situation)
    if offer is not None:
        return Proposal(
            offer.outcome,
            situation.key,
            f"{still} Another stimulus: “{offer.place.rung.name}”.",
            figures,
            rules("plateau.weeks", "step.one-lever"),
            "medium",
            "One lever alone, in a real piece.",
            standing="blocked",
            then=offer.place.rung,
        )
    return Proposal(
        "ease_off",
        situation.key,
        f"{still} Sets, days and levers are used up: an easy week, then another range.",
        figures,
        rules("plateau.weeks"),
        "low",
        "The plateau is plain; the remedy is the coach's.",
        standing="blocked",
        amount=EASY_SHARE,
    )


def _more_work(
    situation: Situation, still: str, figures: tuple[Input, ...], days: float
) -> Proposal | None:
    """A set or a day more, where there are few."""
    prescription = situation.rung.prescription
    if prescription.sets < max(3, most_sets(situation.method, situation.purpose)):
        more = replace(prescription, sets=prescription.sets + 1)
        return Proposal(
            "add_set",
            situation.key,
            f"{still} {prescription.sets} sets on {days:.0f} days a week are little: "
            f"{prescription_words(more)}.",
            figures,
            rules("plateau.weeks", "sets.grow"),
            "medium",
            "Amount is the plainest thing to change.",
            standing="blocked",
            then=with_prescription(situation.rung, more, situation.method),
        )
    if days < OFTEN - 1.5:
        return Proposal(
            "add_day",
            situation.key,
            f"{still} {days:.0f} days a week are little: one more.",
            figures,
            rules("plateau.weeks", "plateau.day"),
            "medium",
            "Amount is the plainest thing to change.",
            standing="blocked",
            amount=float(round(days) + 1),
        )
    return None


def surface(situation: Situation) -> Proposal | None:
    """A straight-arm hold always done on one surface, where another is at hand."""
    week = situation.week
    if situation.occasion != "week" or week is None or not week.other_surface:
        return None
    since = situation.today - timedelta(weeks=SURFACE_WEEKS)
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
