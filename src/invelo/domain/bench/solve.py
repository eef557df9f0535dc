"""Root-finding on the model: turn one dial until a quantity is what is wanted.

A dial is scanned outwards from where it stands, and the part of the scan that holds the answer is
narrowed by secants. Quantities come with their range, so an answer has one too: where the
quantity's own low and high meet the wanted value.
"""

from collections.abc import Callable
from dataclasses import dataclass
from functools import cache

from invelo.domain.biomechanics.ratio import Triple

SCAN = 16
"""A dial's way to either end is scanned in this many parts."""

CLOSE = 1e-5
MOST_LOOKS = 40
"""How near the wanted quantity a root is left (quantities are ratios), and how often it is looked
for at most."""

Quantity = Callable[[float], Triple | None]
"""Low, likely and high of a quantity at an amount; None where no body goes."""


@dataclass(frozen=True)
class SolvedAmount:
    """The amount at which the quantity is what is wanted, with its range."""

    likely: float
    low: float
    high: float


def solve(
    quantity: Quantity, low: float, high: float, now: float, wanted: Triple
) -> SolvedAmount | None:
    """The amount nearest to `now` at which the quantity is the wanted one.

    Args:
        quantity: of an amount.
        low, high: the dial's ends.
        now: where it stands.
        wanted: low, likely and high of what is wanted.

    Returns:
        None where the dial cannot reach it. An end of the range that no amount reaches is the
        dial's own.

    Source: scan outwards from `now`, then bisection by secants (the Illinois method).
    """
    look = cache(quantity)
    solutions = [_nearest(look, i, low, high, now, wanted[i]) for i in range(3)]
    likely = solutions[1]
    if likely is None:
        return None
    end = high if likely > now else low
    ends = [end if x is None else x for x in (solutions[0], solutions[2])]
    return SolvedAmount(likely, min(likely, *ends), max(likely, *ends))


def _nearest(
    quantity: Quantity, which: int, low: float, high: float, now: float, wanted: float
) -> float | None:
    """Look outwards, both ways by turns, for the nearest part of the dial that holds the answer."""

    def short(amount: float) -> float | None:
        values = quantity(amount)
        return None if values is None else values[which] - wanted

    here = short(now)
    if here is None or here == 0.0:
        return now if here == 0.0 else None
    ways = {end: (now, here) for end in (high, low) if end != now}
    for i in range(1, SCAN + 1):
        answers = []
        for end, (last, before) in list(ways.items()):
            amount = now + (end - now) * i / SCAN
            after = short(amount)
            if after is None:
                del ways[end]
            elif (after >= 0.0) != (before >= 0.0):
                answers.append(_between(short, last, before, amount, after))
            else:
                ways[end] = (amount, after)
        if answers:
            return min(answers, key=lambda amount: abs(amount - now))
    return None


def _between(
    short: Callable[[float], float | None], near: float, lack: float, far: float, excess: float
) -> float:
    """The root between two amounts of which one falls short and the other does not."""
    for _ in range(MOST_LOOKS):
        middle = far - excess * (far - near) / (excess - lack)
        here = short(middle)
        if here is None:
            return near
        if abs(here) <= CLOSE:
            return middle
        if (here >= 0.0) != (excess >= 0.0):
            near, lack = far, excess
        else:
            lack /= 2
        far, excess = middle, here
    return far
