"""Loads to hand: which things make a target load, in the fewest pieces.

Books, bottles, sandbags: what is in the room, each of a known weight and so many of it. The search
is exact: a small integer programme, solved by branch and bound in a general library (HiGHS, through
SciPy), first for the fewest pieces within the tolerance and then, with that many, for the nearest.
"""

from dataclasses import dataclass

from invelo.core.errors import InputError, require_within

LITRE_OF_WATER = 0.998
"""kg at 20 °C (CRC Handbook of Chemistry and Physics, from memory); one litre is one kilogram
(common practice)."""

MOST_THINGS = 60
MOST_PIECES = 200


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
    low, high = max(0.05, target - tolerance), min(limit, target + tolerance)
    fewest = _search(things, low, high, target, None)
    if fewest is None:
        nearest = _search(things, 0.0, limit, target, None, nearest=True)
        told = f"{nearest.kg:g} kg" if nearest and nearest.pieces else "nothing"
        raise InputError(
            "things",
            f"none of them make {target:g} kg within {tolerance:g}.",
            f"The nearest to be had is {told}; add a thing or widen the tolerance.",
        )
    count = sum(number for _, number in fewest.pieces)
    return _search(things, low, high, target, count, nearest=True) or fewest


def _search(
    things: tuple[Thing, ...],
    low: float,
    high: float,
    target: float,
    pieces: int | None,
    nearest: bool = False,
) -> Picked | None:
    """One integer programme: counts of each thing and how far off the target they are."""
    import numpy as np  # loaded on first use, with the solver
    from scipy.optimize import Bounds, LinearConstraint, milp

    weights = np.array([thing.kg for thing in things])
    count = len(things)
    zero = np.zeros((count, 1))
    rows = [
        (np.append(weights, 0.0), low, high),
        (np.append(weights, -1.0), -np.inf, target),  # weight − target ≤ off
        (np.append(weights, 1.0), target, np.inf),  # target − weight ≤ off
    ]
    if pieces is not None:
        rows.append((np.append(np.ones(count), 0.0), pieces, pieces))
    cost = np.append(zero[:, 0], 1.0) if nearest else np.append(np.ones(count), 0.0)
    found = milp(
        cost,
        constraints=[LinearConstraint(row, least, most) for row, least, most in rows],
        bounds=Bounds(np.zeros(count + 1), np.append([thing.count for thing in things], np.inf)),
        integrality=np.append(np.ones(count), 0.0),
    )
    if not found.success:
        return None
    numbers = np.rint(found.x[:count]).astype(int)
    kg = float(weights @ numbers)
    return Picked(
        tuple((thing, int(n)) for thing, n in zip(things, numbers, strict=True) if n),
        round(kg, 6),
        round(kg - target, 6),
    )
