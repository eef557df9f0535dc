"""Downwards: a set less, then a step back; once, and never for obeying.

Source: common practice.
"""

from dataclasses import replace

from invelo.domain.estimate import Input
from invelo.domain.plan.methods import with_prescription
from invelo.domain.plan.prescription import LEAST_USEFUL
from invelo.domain.review.proposals.criterion import assisted_hold
from invelo.domain.review.proposals.situation import (
    Proposal,
    Situation,
    chance,
    predicted,
    prescription_words,
    rules,
    set_figures,
)
from invelo.domain.training.log import SessionRecord

SHORT = 0.85
"""Share of sets × foot under which a session fell short (ours)."""

FAR_SHORT = 0.7
"""Share under which one session is enough to go back, where the prescription does not fit."""

RUNNING = 2
"""Sessions running that fall short before anything is taken away (common practice)."""

NO_FIT = 0.25
"""Chance that the prescription fits under which one session far short is enough (ours)."""

GIVEN_DAYS = 28
"""Days for which a set less counts as just given (ours)."""

FEWEST = 2
"""Sets under which none is taken away."""


def fell_short(session: SessionRecord, situation: Situation) -> bool:
    """Whether a session stayed short of what was asked."""
    return share_done(session, situation) < SHORT


def share_done(session: SessionRecord, situation: Situation) -> float:
    """What a session did of what was asked at the foot: reps less the effort above it, all sets
    together. Sets that were left out for want of time are no failure."""
    done = session.on(situation.key)
    prescription = situation.rung.prescription
    total = asked = 0.0
    for record in done:
        foot = record.asked.low if record.asked else float(prescription.low)
        rpe = record.asked.rpe if record.asked else prescription.rpe
        if situation.method == "near_failure":
            foot = min(foot, LEAST_USEFUL[record.unit])  # an open foot cannot be undershot
        above = max(0.0, record.rpe - rpe) if record.unit == "reps" and record.rated else 0.0
        if situation.method == "near_failure" or (record.asked and record.asked.open):
            above = 0.0
        total += record.least - above
        asked += foot
    return total / asked if asked else 1.0


def downward(situation: Situation) -> Proposal | None:
    """What is taken away, None where nothing is."""
    if not situation.judges or situation.method == "habit" or situation.unit == "cm":
        return None
    assisted = _more_assistance(situation)
    if assisted is not None:
        return assisted
    recent = situation.asked_sessions[-RUNNING:]
    short = 0
    for session in reversed(recent):
        if not fell_short(session, situation):
            break
        short += 1
    given = any(
        earlier.outcome == "fewer_sets"
        and earlier.from_key == situation.key
        and earlier.days <= GIVEN_DAYS
        and earlier.answer != "decline"
        for earlier in situation.answered
    )
    far = short > 0 and share_done(situation.asked_sessions[-1], situation) < FAR_SHORT
    never_fitted = all(share_done(earlier, situation) < 1.0 for earlier in situation.asked_sessions)
    if far and never_fitted and (situation.here.fits or 0.0) < NO_FIT:
        return _back(situation, short)
    if short < (1 if given else RUNNING):
        return None
    prescription = situation.rung.prescription
    if given or prescription.sets <= FEWEST:
        return _back(situation, short)
    return _fewer(situation, short)


def _figures(situation: Situation, short: int) -> tuple[Input, ...]:
    prescription = situation.rung.prescription
    figures = (
        *set_figures(situation.last),
        Input("asked in all, at the foot", float(prescription.sets * prescription.low)),
        Input("sessions running that fell short", short),
    )
    if situation.here.fits is not None:
        figures = (*figures, chance("chance that it fits", situation.here.fits))
    return figures


def _words(short: int) -> str:
    sessions = "The newest session" if short == 1 else f"{short} sessions running"
    return f"{sessions} stayed under what was asked."


def _fewer(situation: Situation, short: int) -> Proposal:
    prescription = situation.rung.prescription
    fewer = replace(prescription, sets=prescription.sets - 1)
    return Proposal(
        "fewer_sets",
        situation.key,
        f"{_words(short)} A set less first: {prescription_words(fewer)}.",
        _figures(situation, short),
        rules("range.missed-twice", "sets.fewer"),
        "high",
        "Done and asked are plain counts.",
        then=with_prescription(situation.rung, fewer, situation.method),
    )


def _back(situation: Situation, short: int) -> Proposal:
    figures = _figures(situation, short)
    easier = [place for place in situation.below if not place.closed]
    if not easier:
        return _no_easier(situation, short, figures)
    target = next((place for place in easier if (place.fits or 0.0) >= 0.5), easier[0])
    if target.prediction is not None:
        figures = (*figures, predicted("on the easier rung", target.prediction))
    return Proposal(
        "step_back",
        target.key,
        f"{_words(short)} Step back to “{target.rung.name}”: "
        f"{prescription_words(target.rung.prescription)}.",
        figures,
        rules("range.missed-twice", "step.back"),
        "high",
        "Done and asked are plain counts.",
        then=target.rung,
    )


def _no_easier(situation: Situation, short: int, figures: tuple[Input, ...]) -> Proposal:
    prescription = situation.rung.prescription
    fewer = replace(prescription, sets=max(1, prescription.sets - 1))
    return Proposal(
        "fewer_sets",
        situation.key,
        f"{_words(short)} There is no easier rung: {prescription_words(fewer)}, or add one below.",
        figures,
        rules("range.missed-twice", "ladder.foot"),
        "medium",
        "The sets are plain; the remedy is the coach's to build.",
        standing="blocked",
        then=with_prescription(situation.rung, fewer, situation.method),
    )


def _more_assistance(situation: Situation) -> Proposal | None:
    """A straight-arm skill held for less than half of what is useful gets help at once."""
    if situation.unit != "s" or situation.rung.movement.rest != "skill":
        return None
    done = situation.last
    total = sum(record.least for record in done)
    if total >= 0.5 * LEAST_USEFUL["s"] * len(done):
        return None
    more = next(
        (setting for setting in situation.easier() if setting.outcome == "add_assistance"), None
    )
    figures = (
        *set_figures(done),
        Input("in all", total, "s"),
        Input("under half of", LEAST_USEFUL["s"] * len(done), "s"),
    )
    if more is not None:
        return Proposal(
            "add_assistance",
            situation.key,
            f"{total:g} s in all: too hard to practise. More assistance: “{more.place.rung.name}”.",
            figures,
            rules("skill.more-assistance"),
            "high",
            "The seconds are plain.",
            then=more.place.rung,
        )
    easier = [place for place in situation.below if not place.closed]
    if not easier:
        return None
    target = next((place for place in easier if (place.fits or 0.0) >= 0.5), easier[0])
    return Proposal(
        "step_back",
        target.key,
        f"{total:g} s in all: too hard to practise. Back to “{target.rung.name}”"
        + (" with less to hold." if assisted_hold(situation) else "."),
        figures,
        rules("skill.more-assistance", "step.back"),
        "high",
        "The seconds are plain.",
        then=target.rung,
    )
