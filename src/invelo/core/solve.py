"""Root-finding on the model: turn one dial until a quantity is what is wanted.

A dial is scanned from where it stands towards either end, and the part of the scan that holds the
answer is halved. Quantities come with their range, so an answer has one too: where the quantity's
own low and high meet the wanted value.
"""

from collections.abc import Callable, Iterator
from dataclasses import dataclass

SCAN = 16
HALVINGS = 9
"""A dial is scanned in this many parts, and the part with the answer halved this often: to a
fifth of a millimetre in a metre."""

Triple = tuple[float, float, float]
Quantity = Callable[[float], Triple | None]
"""Low, likely and high of a quantity at an amount; None where no body goes."""


@dataclass(frozen=True)
class Answer:
    """The amount at which the quantity is what is wanted, with its range."""

    likely: float
    low: float
    high: float


def solve(quantity: Quantity, low: float, high: float, now: float, wanted: Triple) -> Answer | None:
    """The amount nearest to `now` at which the quantity is the wanted one.

    Args:
        quantity: of an amount.
        low, high: the dial's ends.
        now: where it stands.
        wanted: low, likely and high of what is wanted.

    Returns:
        None where the dial cannot reach it. An end of the range that no amount reaches is the
        dial's own.

    Source: bisection on the model, bounded by the dial.
    """
    found = [_nearest(quantity, i, low, high, now, wanted[i]) for i in range(3)]
    likely = found[1]
    if likely is None:
        return None
    end = high if likely > now else low
    ends = [end if x is None else x for x in (found[0], found[2])]
    return Answer(likely, min(likely, *ends), max(likely, *ends))


def _nearest(
    quantity: Quantity, which: int, low: float, high: float, now: float, wanted: float
) -> float | None:
    answers = [
        amount
        for end in (high, low)
        if (amount := _towards(quantity, which, now, end, wanted)) is not None
    ]
    return min(answers, key=lambda amount: abs(amount - now), default=None)


def _towards(quantity: Quantity, which: int, now: float, end: float, wanted: float) -> float | None:
    last, here = now, quantity(now)
    if here is None:
        return None
    above = here[which] >= wanted
    for amount in _steps(now, end):
        there = quantity(amount)
        if there is None:
            return None
        if (there[which] >= wanted) != above:
            return _halve(quantity, which, last, amount, wanted, above)
        last = amount
    return None


def _steps(now: float, end: float) -> Iterator[float]:
    return (now + (end - now) * i / SCAN for i in range(1, SCAN + 1) if end != now)


def _halve(
    quantity: Quantity, which: int, near: float, far: float, wanted: float, above: bool
) -> float:
    for _ in range(HALVINGS):
        middle = (near + far) / 2
        here = quantity(middle)
        if here is None or (here[which] >= wanted) != above:
            far = middle
        else:
            near = middle
    return (near + far) / 2
