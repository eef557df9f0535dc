"""A rung made a step harder by one lever alone, so that a gap can be closed without a new shape."""

import math
from dataclasses import replace

from invelo.domain.biomechanics.adjustable import Adjustable, adjustable_of
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import form
from invelo.domain.errors import InputError
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.rung import Rung, demand
from invelo.domain.ladder.step_policy import Lever, StepPolicy
from invelo.domain.ladder.ways import Adjustment, adjustments, changed
from invelo.domain.review.proposals.situation import Offer
from invelo.domain.strength.capacity import Pool

LEVER_OF: dict[str, Lever] = {
    "eccentric": "tempo",
    "pause": "tempo",
    "range": "range",
    "bag": "load",
    "vest": "load",
    "hands": "load",
    "lap": "load",
    "ankles": "load",
}
"""Kind of change that each dial is, of each kind what is nearest to hand first; any other is
leverage."""


SLOWEST = 4.0
"""Seconds of the eccentric beyond which none is offered (common practice: 4-0-1 is for the
advanced)."""


def offers(body: Body, rung: Rung, policy: StepPolicy, known: Pool | None) -> tuple[Offer, ...]:
    """The rung a wanted step harder by each lever alone, in the coach's order.

    Less assistance comes before everything else where there is any. A lever that cannot reach the
    step is left out; of two dials of one lever the first speaks.

    Args:
        body: whose.
        rung: from where.
        policy: say how large a step is, and which lever is dearest.
        known: the evidence that speaks for the athlete, if any.

    Source: `invelo.domain.ladder.ways`.
    """
    offers = [offer for offer in (_less_help(body, rung, policy, known),) if offer]
    first: dict[Lever, Adjustment] = {}
    nearest = list(LEVER_OF)
    found_ways = sorted(
        adjustments(body, rung, policy.step, known),
        key=lambda way: (
            nearest.index(way.adjustable.name) if way.adjustable.name in LEVER_OF else len(nearest)
        ),
    )
    for way in found_ways:
        lever = LEVER_OF.get(way.adjustable.name, "lever")
        if way.to is not None and way.to.likely > way.now and lever not in first:
            first[lever] = way
    for lever in policy.order:
        way_there = first.get(lever)
        if way_there is None or way_there.to is None:
            continue
        amount = way_there.to.likely
        if lever == "tempo":
            amount = math.ceil(amount)  # whole seconds, and never fewer than the step asks
        if way_there.adjustable.name == "eccentric" and amount > SLOWEST:
            continue
        try:
            harder = _changed(rung, way_there.adjustable, amount)
        except InputError:
            continue
        offers.append(Offer(lever, harder, _expected(body, harder, known)))
    return tuple(offers)


def _changed(rung: Rung, adjustable: Adjustable, amount: float) -> Rung:
    """The rung with a dial turned; its name tells the new amount in place of the old."""
    now = adjustable.rounded(adjustable.get(rung.modifiers))
    name = rung.name.removesuffix(f", {adjustable.words(now)}").removesuffix(
        f", {now:g} kg assistance"
    )
    return changed(replace(rung, name=name), adjustable.name, amount)


def _less_help(body: Body, rung: Rung, policy: StepPolicy, known: Pool | None) -> Offer | None:
    now = rung.modifiers.assistance.kg if rung.modifiers.assistance else 0.0
    if now <= 0.0:
        return None
    plain = demand(body, rung).load.demand.likely
    less = max(0.0, now - max(0.5, policy.step * plain))
    harder = _changed(rung, adjustable_of(form(rung.movement.form), "assistance"), less)
    return Offer("load", harder, _expected(body, harder, known), less_assistance=True)


def _expected(body: Body, rung: Rung, known: Pool | None) -> Estimate | None:
    if known is None:
        return None
    return known.expected(demand(body, rung).load, rung.modifiers.tempo)
