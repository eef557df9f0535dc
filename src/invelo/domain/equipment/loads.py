"""Loads to hand: which things make a target load, in the fewest pieces.

Books, bottles, sandbags: what is in the room, each of a known weight and so many of it. The search
is exact to the gram: a table of the fewest pieces for every weight, read for the fewest within the
tolerance and, with that many, the nearest.
"""

from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from invelo.domain.errors import InputError, require_within

LITRE_OF_WATER = 0.998
"""kg at 20 °C (CRC Handbook of Chemistry and Physics, from memory); one litre is one kilogram
(common practice)."""

MOST_THINGS = 60
MOST_PIECES = 200
NEVER = 1_000_000
"""Pieces of a weight that cannot be made."""


@dataclass(frozen=True)
class Thing:
    """Something to load with.

    Attributes:
        name: as the coach calls it.
        kg: of one piece, 0.05 to 60.
        count: how many there are.
    """

    name: str
    kg: float
    count: int = 1

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within(f"weight of {self.name or 'a thing'}", self.kg, 0.05, 60.0, "kg")
        require_within(f"count of {self.name or 'a thing'}", self.count, 0, MOST_PIECES, "")


@dataclass(frozen=True)
class Picked:
    """What to take.

    Attributes:
        pieces: thing and how many of it.
        kg: altogether.
        off: kg above (+) or under (−) the target.
    """

    pieces: tuple[tuple[Thing, int], ...]
    kg: float
    off: float


def water(litres: float) -> float:
    """Kilos of water in a bottle.

    Args:
        litres: 0.1 to 30.
    """
    require_within("litres", litres, 0.1, 30.0, "L")
    return litres * LITRE_OF_WATER


def pick(
    things: tuple[Thing, ...], target: float, tolerance: float = 0.25, limit: float = 15.0
) -> Picked:
    """The fewest pieces that weigh `target` within `tolerance`, nearest among equals.

    Args:
        things: what there is.
        target: kg, above 0.
        tolerance: kg either way.
        limit: kg the bag holds (common practice: about fifteen).

    Raises:
        InputError: if nothing is there, the target is over the limit, or no choice of things comes
            near enough; then the nearest load to be had is told.
    """
    require_within("target", target, 0.05, 200.0, "kg")
    require_within("tolerance", tolerance, 0.0, 10.0, "kg")
    require_within("limit", limit, 0.05, 200.0, "kg")
    require_within("things", len(things), 1, MOST_THINGS, "")
    if target > limit:
        raise InputError(
            "target", f"{target:g} kg is more than the bag holds ({limit:g}).", "Ask for less."
        )
    table = _Table(things, _grams(limit))
    low, high = max(0.05, target - tolerance), min(limit, target + tolerance)
    enough = table.nearest_fewest(_grams(low), _grams(high), _grams(target))
    if enough is not None:
        return table.picked(enough, target)
    nearest = table.nearest_fewest(1, _grams(limit), _grams(target), fewest=False)
    words = f"{nearest / 1000:g} kg" if nearest else "nothing"
    raise InputError(
        "things",
        f"none of them make {target:g} kg within {tolerance:g}.",
        f"The nearest to be had is {words}; add a thing or widen the tolerance.",
    )


def _grams(kg: float) -> int:
    return round(1000 * kg)


class _Table:
    """The fewest pieces for every weight up to a limit, gram by gram.

    Things come in lots of 1, 2, 4 … pieces, so that every count can be made of them; each lot is
    taken once or not at all (the bounded knapsack by binary splitting: Martello and Toth 1990,
    Knapsack Problems, chapter 3).
    """

    def __init__(self, things: tuple[Thing, ...], limit: int) -> None:
        self.things = things
        self.pieces = np.full(limit + 1, NEVER, dtype=np.int32)
        self.pieces[0] = 0
        self.lots: list[tuple[int, int, int, NDArray[np.bool_]]] = []
        for i, thing in enumerate(things):
            for size in _lots(thing.count):
                weight = size * _grams(thing.kg)
                if weight > limit:
                    continue
                with_it = self.pieces[:-weight] + size
                better = with_it < self.pieces[weight:]
                self.pieces[weight:][better] = with_it[better]
                self.lots.append((i, size, weight, better))

    def nearest_fewest(self, low: int, high: int, target: int, fewest: bool = True) -> int | None:
        """The weight between two that takes the fewest pieces, of several the nearest to the
        target; or simply the nearest one. None where none can be made."""
        window = self.pieces[low : high + 1]
        least = int(window.min(initial=NEVER))
        if least >= NEVER:
            return None
        good = np.flatnonzero(window == least if fewest else window < NEVER) + low
        return int(good[np.argmin(np.abs(good - target))])

    def picked(self, weight: int, target: float) -> Picked:
        """What makes a weight, walked back lot by lot."""
        left, counts = weight, dict.fromkeys(range(len(self.things)), 0)
        for i, size, heavy, better in reversed(self.lots):
            if left >= heavy and better[left - heavy]:
                counts[i] += size
                left -= heavy
        pieces = tuple((self.things[i], count) for i, count in counts.items() if count)
        kg = sum(thing.kg * count for thing, count in pieces)
        return Picked(pieces, round(kg, 6), round(kg - target, 6))


def _lots(count: int) -> list[int]:
    """Lots of which every number up to `count` can be made: 1, 2, 4 … and what is left."""
    lots, size = [], 1
    while count > 0:
        lots.append(min(size, count))
        count -= lots[-1]
        size *= 2
    return lots


def weights(things: tuple[Thing, ...], limit: float, grain: float = 0.5) -> tuple[float, ...]:
    """Every weight on a grid that some of the things make, kg.

    Args:
        things: what there is.
        limit: kg the bag holds.
        grain: spacing of the grid, kg; a weight is on it within 50 g.
    """
    if not things or limit < grain:
        return ()
    table = _Table(things, _grams(limit))
    made = np.flatnonzero(table.pieces < NEVER) / 1000
    steps = np.round(made / grain)
    near = (np.abs(made - steps * grain) <= 0.05) & (steps > 0)
    return tuple(float(step * grain) for step in np.unique(steps[near]))
