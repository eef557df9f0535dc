"""What weeks that went well make room for: a set more, more of a habit, more in the window."""

from collections.abc import Iterable
from dataclasses import replace
from datetime import date

from invelo.domain.catalogue.movement import Movement, Muscle
from invelo.domain.estimate import Input
from invelo.domain.plan.methods import most_sets, with_prescription
from invelo.domain.plan.prescription import Prescription
from invelo.domain.review.proposals.downward import fell_short
from invelo.domain.review.proposals.situation import (
    Outcome,
    Place,
    Proposal,
    Situation,
    fit_of,
    rules,
    set_figures,
)
from invelo.domain.review.workload import RATIO_WORD
from invelo.domain.strength.state import Asked, chance_of_each
from invelo.domain.training.log import SessionRecord

GROWN_AFTER = 12
"""Days since the sets were changed after which a set more is looked at: two weeks of sessions."""

SETS_CHANGED: frozenset[Outcome] = frozenset(("add_set", "fewer_sets", "step_back"))

MORE_FITS = 0.5
"""Chance from which a set more fits (ours)."""

GROWN_SESSIONS = 4
"""Sessions that asked it in those days, at least (ours)."""

PLENTY = 12
"""Sets a day that are plenty for a region (common practice)."""

COUNTS_FROM = 25
"""Share of the work, %, from which a set counts for a region (common practice: a helper under a
quarter does not)."""

STEADY_TICKS = 12
"""Days of fourteen from which two weeks count as steady (ours)."""


def days_since_sets(situation: Situation) -> int:
    """Days since the number of sets was last changed, or since the first session."""
    changed = [
        answer.days
        for answer in situation.answered
        if answer.outcome in SETS_CHANGED and answer.answer in ("accept", "edit", "routine")
    ]
    begun = [(situation.today - session.day).days for session in situation.sessions[:1]]
    return min((*changed, *begun), default=0)


def more_fits(place: Place, prescription: Prescription) -> bool:
    """Whether so many sets likely fit: holds are asked by their seconds alone, as their range is
    a share of the best already."""
    if place.state is None or place.work is None:
        return False
    if prescription.unit == "s":
        asked = Asked(place.work, prescription.sets, prescription.rest)
        return chance_of_each(place.state, asked, float(prescription.low), 0.0) >= MORE_FITS
    return (fit_of(place.state, place.work, prescription) or 0.0) >= MORE_FITS


def habit(situation: Situation) -> Proposal | None:
    """Two steady weeks of a daily minimum: more may be offered."""
    ticks = situation.week.ticks if situation.week else 0
    if situation.method != "habit" or situation.purpose == "keep":
        return None
    if situation.occasion != "week" or ticks < STEADY_TICKS:
        return None
    return Proposal(
        "add_amount",
        situation.key,
        "Two steady weeks. Offer a little more, or the next rung; nothing is asked for.",
        (Input("days done of the last fourteen", float(ticks), "days"),),
        rules("habit.steady"),
        "medium",
        "The days are counted; whether more is wanted is theirs to say.",
    )


SetsOfDay = tuple[date, Movement, int]
"""How many sets of a movement were done on a day."""


def fullest_day(movement: Movement, done: Iterable[SetsOfDay]) -> float:
    """Sets on the fullest day for a region that a movement trains."""
    counts: dict[tuple[date, Muscle], int] = {}
    for day, other, sets in done:
        for region in movement.prime:
            if other.share_of(region) >= COUNTS_FROM:
                counts[day, region] = counts.get((day, region), 0) + sets
    return float(max(counts.values(), default=0))


def volume(situation: Situation) -> Proposal | None:
    """Two weeks done as asked: a set more, up to the method's most."""
    week, prescription = situation.week, situation.rung.prescription
    if week is None or situation.coming_back:
        return None
    most = most_sets(situation.method, situation.purpose)
    lately = [s for s in situation.sessions if s.derived in ("", "first")][-GROWN_SESSIONS:]
    if prescription.sets >= most or len(lately) < GROWN_SESSIONS or week.region_sets >= PLENTY:
        return None
    days = days_since_sets(situation)
    if days < GROWN_AFTER or any(_strained(session, situation) for session in lately):
        return None
    if not situation.asked_sessions or (week.ratio is not None and week.ratio > RATIO_WORD):
        return None
    more = replace(prescription, sets=prescription.sets + 1)
    if not more_fits(situation.here, more):
        return None
    return Proposal(
        "add_set",
        situation.key,
        f"Two weeks done as asked: a set more, {more.sets} instead of {prescription.sets}.",
        (
            *set_figures(situation.last),
            Input("days so", float(days), "days"),
            Input("at most", float(most), "sets"),
        ),
        rules("sets.weeks"),
        "high",
        "Sessions and sets are counted; more work is what is left to grow by.",
        then=with_prescription(situation.rung, more, situation.method),
    )


def _strained(session: SessionRecord, situation: Situation) -> bool:
    """Whether a session hurt, lost its form or fell short."""
    hurts = any(record.pain >= 2 for record in session.sets)
    return hurts or fell_short(session, situation)


def clock(situation: Situation) -> Proposal | None:
    """Against the clock a session is judged by its total beside the best one before."""
    if situation.method != "density" or not situation.judges:
        return None
    totals = [
        sum(record.least for record in session.on(situation.key))
        for session in situation.asked_sessions
    ]
    before = max(totals[:-1], default=0.0)
    if not before or totals[-1] <= before:
        return None
    return Proposal(
        "hold",
        situation.key,
        f"{totals[-1]:g} {situation.unit} in the window, {before:g} at best before: on course.",
        (
            *set_figures(situation.last),
            Input("in all", totals[-1], situation.unit),
            Input("best before", before, situation.unit),
        ),
        rules("clock.total"),
        "high",
        "The counts are plain.",
        standing="on course",
    )
