"""Upwards: the rung that is earned, or what there is instead of one that is too far.

A rung is taken when its method's criterion was shown and the rung likely fits, or when both are all
but certain beforehand. A criterion that was shown always leads somewhere: to a rung, a set more,
one lever in a real piece, or a bridge.

Source: common practice; chances from `invelo.domain.strength.state`.
"""

from dataclasses import replace
from itertools import pairwise

from invelo.domain.estimate import Input
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.methods import most_sets, with_prescription
from invelo.domain.plan.prescription import HELD_RANGES
from invelo.domain.review.proposals.checking import due, too_easy
from invelo.domain.review.proposals.criterion import Shown, assisted_hold, long_enough, shown
from invelo.domain.review.proposals.progression import (
    GROWN_AFTER,
    days_since_sets,
    more_fits,
)
from invelo.domain.review.proposals.situation import (
    Confidence,
    Offer,
    Place,
    Proposal,
    Situation,
    chance,
    on_course,
    predicted,
    prescription_words,
    rules,
    set_figures,
)
from invelo.domain.review.proposals.suppression import is_suppressed

EARNED = 0.5
"""Chance from which the next rung fits well enough once its criterion was shown (ours)."""

BEFOREHAND = 0.85
"""The same before it was shown, and for rungs beyond the next (ours)."""

PASSED = 0.6
"""Chance of showing a rung's criterion at once from which it is passed over (ours)."""

SHOWS = 0.8
"""Chance of showing the criterion next time from which it need not be shown first (ours)."""

SURE = 0.8
"""Chance from which a step is as good as sure."""

BACK_DAYS = 60
"""Days after a step back in which that rung has to be earned, not foreseen (ours)."""


def upward(situation: Situation) -> Proposal | None:
    """What is earned, None where nothing is."""
    newest = situation.newest
    if situation.method == "habit" or newest is None or newest.derived or not newest.sets:
        return None
    earned = shown(situation)
    if situation.purpose == "keep":
        return _kept(situation, earned) if earned else None
    if _hurts(situation) or (too_easy(situation) and due(situation)):
        return None  # what hurts waits; what is far too easy is seen to its end first
    if earned and assisted_hold(situation):
        less = [
            setting for setting in situation.settings() if setting.outcome == "reduce_assistance"
        ]
        if less:
            return _set_to(situation, less[0], earned)
    climbed = _climb(situation, earned) or _after_long(situation, earned)
    if climbed is not None or earned is None or due(situation):
        return climbed  # where what they can do is not known any more, it is seen first
    return _way_on(situation, earned)


def _after_long(situation: Situation, earned: Shown | None) -> Proposal | None:
    """A rung, or one lever, that fits all but surely after weeks at the top of the range."""
    long = None if earned else long_enough(situation)
    near = next((place for place in situation.above if not place.closed), None)
    if long is None or near is None or near.state is None or near.state.evidence_on is None:
        return None
    if (near.fits or 0.0) >= BEFOREHAND:
        return _up(situation, near, [], long)
    offer = useful(situation)
    if offer is None or (offer.place.fits or 0.0) < BEFOREHAND:
        return None
    return _set_to(situation, offer, long)


def _hurts(situation: Situation) -> bool:
    return situation.pain >= 2 or any(
        not record.form_ok and not (record.asked and record.asked.open) for record in situation.last
    )


def _kept(situation: Situation, earned: Shown) -> Proposal:
    return on_course(
        situation,
        "The criterion is met and the purpose is to keep: stay, this is success.",
        earned.figures,
        earned.rule,
        "purpose.keep",
    )


def _climb(situation: Situation, earned: Shown | None) -> Proposal | None:
    """The hardest rung that is earned, or as good as earned."""
    open_ways = [place for place in situation.above if not place.closed]
    if not open_ways:
        return None
    near = open_ways[0]
    if near.fits is None:
        return _learnt(situation, near, earned) if earned else None
    if near.state is None or near.state.evidence_on is None:
        return None  # nothing has told the most they can do: that is seen first
    if earned:
        least = EARNED
    elif _foreseen(situation, near):
        least = BEFOREHAND
    else:
        return None
    if near.fits < least:
        return None
    target = near
    for before, place in pairwise(open_ways):
        if before.teaches or place.fits is None or place.fits < BEFOREHAND:
            break
        if (before.shows or 0.0) < PASSED:
            break
        target = place
    return _up(situation, target, open_ways[: open_ways.index(target)], earned)


def _foreseen(situation: Situation, near: Place) -> bool:
    if situation.bounds.gentle:
        return False  # of someone whose hard efforts are spared, only what was shown tells
    again = any(
        earlier.outcome == "step_back"
        and earlier.from_key == near.key
        and earlier.days <= BACK_DAYS
        for earlier in situation.answered
    )
    if again:
        return False
    if situation.method == "rpe_target":
        return True
    return situation.shows is not None and situation.shows >= SHOWS


def _learnt(situation: Situation, near: Place, earned: Shown) -> Proposal:
    return Proposal(
        "step_up",
        near.key,
        f"{earned.words} What is likely on “{near.rung.name}” is not known: learn it in a few easy "
        "ones.",
        earned.figures,
        rules(earned.rule, "step.by-effort"),
        "medium",
        "The criterion is plain; nothing tested says what the next rung allows.",
        then=near.rung,
    )


def _up(situation: Situation, target: Place, passed: list[Place], earned: Shown | None) -> Proposal:
    fits = target.fits or 0.0
    then = _with_grown_sets(situation, target)
    figures = earned.figures if earned else set_figures(situation.last)
    if target.prediction is not None:
        figures = (*figures, predicted(f"on “{target.rung.name}”", target.prediction))
    figures = (
        *figures,
        chance(f"chance that {prescription_words(then.prescription)} fits there", fits),
    )
    spoke = [earned.rule] if earned else ["effort.next-fits"]
    if not earned and situation.method != "rpe_target":
        spoke = ["step.foreseen"]
        figures = (
            *figures,
            chance("chance of showing the criterion next time", situation.shows or 0.0),
        )
    why = earned.words if earned else _foreseen_words(situation)
    names = (*situation.overtaken, *(place.rung.name for place in passed))
    over = f" {_list(names)} {'is' if len(names) == 1 else 'are'} passed as shown." if names else ""
    if names:
        spoke.append("step.passes-over")
    sure: Confidence = "high" if fits >= SURE else "medium"
    return Proposal(
        "step_up",
        target.key,
        f"{why} “{target.rung.name}” fits: {prescription_words(then.prescription)}.{over}",
        figures,
        rules(*spoke),
        sure,
        f"The chance that the next rung fits is {100 * min(0.99, fits):.0f} %.",
        then=then,
        passed=names,
    )


def _foreseen_words(situation: Situation) -> str:
    if situation.method == "rpe_target":
        return "At the effort asked the next rung is there."
    return "The criterion is as good as shown."


def _list(names: tuple[str, ...]) -> str:
    quoted = [f"“{name}”" for name in names]
    return quoted[0] if len(quoted) == 1 else f"{', '.join(quoted[:-1])} and {quoted[-1]}"


def _with_grown_sets(situation: Situation, target: Place) -> Rung:
    """Sets that have grown go along, as many as fit there."""
    rung, grown = target.rung, situation.rung.prescription.sets
    for sets in range(
        min(grown, most_sets(situation.method, situation.purpose)), rung.prescription.sets, -1
    ):
        more = replace(rung.prescription, sets=sets)
        if more_fits(target, more):
            return with_prescription(rung, more, situation.method)
    return rung


def _way_on(situation: Situation, earned: Shown) -> Proposal:
    """The criterion is shown, and no rung fits or is open: what there is instead."""
    open_ways = [place for place in situation.above if not place.closed]
    if not situation.above:
        return _goal(situation, earned) if _reached(situation) else _grows(situation, earned)
    near = open_ways[0] if open_ways else situation.above[0]
    why = _why_not(near, bool(open_ways))
    ways = [_more_sets, _lever]
    if situation.policy.order[0] == "load":
        ways.reverse()
    for way in ways:
        proposal = way(situation, earned, why)
        if proposal is not None and not is_suppressed(proposal, situation):
            return proposal  # what was refused makes room for the next way
    if open_ways and situation.unit == "s" and _range_grows(situation):
        return _grows(situation, earned)
    return _bridged(situation, near, earned, why, bool(open_ways))


def _range_grows(situation: Situation) -> bool:
    """Whether a hold's range has not come to the purpose's top."""
    return situation.rung.prescription.high < HELD_RANGES[situation.purpose][1]


def _grows(situation: Situation, earned: Shown) -> Proposal:
    return on_course(
        situation,
        f"{earned.words} On course: the seconds asked grow with the best hold.",
        earned.figures,
        earned.rule,
        "hold.moves",
    )


def _reached(situation: Situation) -> bool:
    """Whether the last rung's own criterion was shown, not only what a growing range asks."""
    final = situation.final
    if situation.unit != "s" or final is None:
        return True
    done = situation.last
    return len(done) >= final.sets and all(s.least >= final.amount for s in done)


def _why_not(near: Place, is_open: bool) -> str:
    if not is_open:
        return f"“{near.rung.name}” is closed: {near.closed.rstrip('.')}."
    if near.prediction is None:
        return f"“{near.rung.name}” does not fit yet."
    amount = near.prediction.likely
    least = near.rung.prescription.low
    unit = near.rung.prescription.unit
    return (
        f"“{near.rung.name}” does not fit yet: about {amount:.0f} {unit} in a first set, "
        f"{near.rung.prescription.sets} × {least} are asked."
    )


def _more_sets(situation: Situation, earned: Shown, why: str) -> Proposal | None:
    prescription = situation.rung.prescription
    sets = prescription.sets
    if situation.unit == "s" and days_since_sets(situation) < GROWN_AFTER:
        return None  # the seconds grow with the best hold meanwhile
    most = most_sets(situation.method, situation.purpose)
    if sets >= most:
        return None
    more = replace(prescription, sets=sets + 1)
    return Proposal(
        "add_set",
        situation.key,
        f"{earned.words} {why} A set more first: {sets + 1} instead of {sets}.",
        (
            *earned.figures,
            Input("sets now", float(sets)),
            Input("at most", float(most), "sets"),
        ),
        rules(earned.rule, "sets.grow"),
        "high",
        "Sets grow before the variation changes.",
        then=with_prescription(situation.rung, more, situation.method),
    )


def _lever(situation: Situation, earned: Shown, why: str) -> Proposal | None:
    offer = useful(situation)
    return None if offer is None else _set_to(situation, offer, earned, why)


def useful(situation: Situation) -> Offer | None:
    """The first setting in the coach's order that likely fits and is easier than the next rung."""
    near = next((place for place in situation.above if not place.closed), None)
    for offer in situation.settings():
        fits = offer.place.fits
        if fits is None or fits < EARNED:
            continue
        if near is not None and near.fits is not None and fits <= near.fits:
            continue
        return offer
    return None


def _set_to(situation: Situation, offer: Offer, earned: Shown, why: str = "") -> Proposal:
    then = offer.place.rung
    figures = earned.figures
    if offer.place.fits is not None:
        figures = (*figures, chance("chance that it fits so", offer.place.fits))
    words = f"{earned.words} {why}".strip()
    return Proposal(
        offer.outcome,
        situation.key,
        f"{words} One change alone: “{then.name}”, {prescription_words(then.prescription)}.",
        figures,
        rules(earned.rule, "step.one-lever"),
        "high" if (offer.place.fits or 0.0) >= SURE else "medium",
        "The piece is real and its size is worked out; how it feels shows on the day.",
        then=then,
    )


def _bridged(situation: Situation, near: Place, earned: Shown, why: str, is_open: bool) -> Proposal:
    way = situation.bridge(near) if is_open else None
    if way is not None and way.place is not None:
        place = way.place
        figures = earned.figures
        if place.fits is not None:
            figures = (*figures, chance("chance that it fits", place.fits))
        return Proposal(
            "bridge",
            situation.key,
            f"{earned.words} {why} Put “{place.rung.name}” between: "
            f"{prescription_words(place.rung.prescription)}. {way.words}".strip(),
            figures,
            rules(earned.rule, "step.gap-ahead", "step.bridge"),
            "medium",
            "The step is worked out for this body and kit.",
            standing="blocked",
            then=place.rung,
            rung=place.rung,
        )
    piece = way.words if way is not None else ""
    piece = piece or "Nothing to hand closes the gap: add a movement between."
    if not is_open:
        return Proposal(
            "bridge",
            situation.key,
            f"{earned.words} {why} Open it on the Intake sheet, or choose another way round or "
            "another goal.",
            earned.figures,
            rules(earned.rule, "step.closed"),
            "high",
            "What closes it is on the Intake sheet.",
            standing="blocked",
        )
    return Proposal(
        "bridge",
        situation.key,
        f"{earned.words} {why} {piece}",
        earned.figures,
        rules(earned.rule, "step.gap-ahead", "step.piece"),
        "medium",
        "Every set-up that the kit allows was tried.",
        standing="blocked",
    )


def _goal(situation: Situation, earned: Shown) -> Proposal:
    return Proposal(
        "goal_reached",
        situation.key,
        f"{earned.words} That was the last rung: the goal is reached. Keep it at a day or two a "
        "week, choose another goal, or lengthen the ladder.",
        earned.figures,
        rules(earned.rule, "ladder.top"),
        "high",
        "Every set and session asked for was shown.",
    )
