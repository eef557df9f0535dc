"""Upwards: the step that is earned, or what there is instead of one that is too wide.

Source: common practice; see `invelo.domain.plan.methods`.
"""

from dataclasses import replace

from invelo.domain.estimate import Input
from invelo.domain.plan.methods import most_sets
from invelo.domain.plan.prescription import Unit
from invelo.domain.review.proposals.situation import (
    Neighbour,
    Offer,
    Outcome,
    Proposal,
    Situation,
    count,
    hold,
    predicted,
    rules,
)

BRIDGES: dict[Unit, str] = {
    "reps": "slower reps or a smaller change of height",
    "s": "a shape between the two or some assistance",
    "cm": "a shorter jump, landed still",
}


def kept(situation: Situation, figures: tuple[Input, ...], rule: str) -> Proposal:
    """The criterion is met by someone who only means to keep what they have."""
    return hold(
        situation,
        "The criterion is met and the purpose is to keep: stay, this is success.",
        figures,
        rules(rule, "purpose.keep"),
        "high",
        "The purpose is the coach's own.",
    )


def up(situation: Situation, met: str, figures: tuple[Input, ...], rule: str) -> Proposal:
    """Step up, if what is above is within reach; what else there is, if not."""
    above = situation.above
    if above is None:
        return hold(
            situation,
            "The last rung's criterion is met: the goal is reached. Keep it, or lengthen the "
            "ladder.",
            figures,
            rules(rule, "ladder.top"),
            "high",
            "Every set and session asked for was shown.",
        )
    if above.prediction is None:
        return Proposal(
            "step_up",
            above.key,
            f"{met} What is likely on “{above.rung.name}” is not known: learn it in a few easy "
            "ones.",
            figures,
            rules(rule, "step.by-effort"),
            "medium",
            "The criterion is plain; nothing tested says what the next rung allows.",
        )
    figures = (*figures, predicted("on the next rung", above.prediction))
    if situation.gap(above):
        return _across_gap(situation, above, met, figures, rule)
    foot, unit = above.rung.prescription.low, above.rung.prescription.unit
    sure = above.prediction.low >= foot
    likely = above.prediction.likely >= foot
    grown = _sets_kept(situation, above)
    keep = f" Keep the {grown} sets." if grown else ""
    return Proposal(
        "step_up",
        above.key,
        f"{met} On “{above.rung.name}” {count(above.prediction)} are likely.{keep}",
        figures,
        rules(rule, *(["sets.kept"] if grown else [])),
        "high" if sure else "medium" if likely else "low",
        f"The next rung's range starts at {foot} {unit}; its predicted low end is "
        f"{above.prediction.low:.0f}, its likely count {above.prediction.likely:.0f}.",
        amount=float(grown) if grown else None,
    )


def _sets_kept(situation: Situation, above: Neighbour) -> int | None:
    """Sets that have grown and go along to the next rung; None where it has as many."""
    sets = situation.rung.prescription.sets
    grown = above.rung.prescription.sets < sets <= most_sets(situation.method)
    return sets if grown else None


def _across_gap(
    situation: Situation, above: Neighbour, met: str, figures: tuple[Input, ...], rule: str
) -> Proposal:
    """The next rung likely allows too little: a lever alone, a set more, or a bridge."""
    assert above.prediction is not None  # noqa: S101  (whoever asks has looked)
    unit = above.rung.prescription.unit
    least = situation.policy.least(unit)
    figures = (*figures, Input("least useful prescription", least, unit))
    gap = f"{met} But “{above.rung.name}” likely allows only {count(above.prediction)}"
    useful = situation.useful_offers()
    if useful:
        return offered(situation, useful[0], f"{gap}.", figures, rule, "step.gap-ahead")
    more = more_sets(situation, figures, rule, "step.gap-ahead")
    if more is not None and situation.offers():
        return replace(more, reason=f"{gap}. {more.reason}")
    return hold(
        situation,
        f"{gap}: bridge the gap first, with {BRIDGES[unit]}.",
        figures,
        rules(rule, "step.gap-ahead"),
        "medium",
        "The criterion is plain; the next rung's count is a prediction.",
    )


def outcome_of(offer: Offer) -> Outcome:
    """What an offer is called."""
    if offer.less_assistance:
        return "reduce_assistance"
    return "slow_eccentric" if offer.lever == "tempo" else "add_load"


def offered(
    situation: Situation, offer: Offer, why: str, figures: tuple[Input, ...], *spoke: str
) -> Proposal:
    """One lever alone, in place of the next rung."""
    there = f", where {count(offer.expected)} are likely" if offer.expected else ""
    figures = (*figures, predicted("so", offer.expected)) if offer.expected else figures
    return Proposal(
        outcome_of(offer),
        situation.key,
        f"{why} Go on as “{offer.rung.name}”{there}.",
        figures,
        rules(*spoke, "step.one-lever"),
        "medium",
        "The lever's size is worked out; how it feels shows on the day.",
        rung=offer.rung,
    )


def more_sets(situation: Situation, figures: tuple[Input, ...], *spoke: str) -> Proposal | None:
    """A set more; None where there are as many as the method does."""
    sets = situation.rung.prescription.sets
    if sets >= most_sets(situation.method):
        return None
    return Proposal(
        "add_set",
        situation.key,
        f"Add a set: {sets + 1} instead of {sets}.",
        (
            *figures,
            Input("sets now", float(sets)),
            Input("at most", float(most_sets(situation.method)), "sets"),
        ),
        rules(*spoke, "sets.grow"),
        "medium",
        "Sets grow before the variation changes.",
        amount=float(sets + 1),
    )
