"""What age closes, whatever the screen says: nobody lifts it (common practice)."""

from invelo.domain.athlete.strain import Strains
from invelo.domain.catalogue.movement import Modifiers

CHILD, YOUNG_CHILD, OLDER = 16, 10, 65
"""Years: under the first bodyweight only; under the second sets are play; from the third balance
and landing are looked at first."""

ONE_HAND = 70.0
"""Per cent of what both hands bear that one of a child's bears at the most; staggered and rotating
ways stay open."""

DROP = 3
"""Class of impact that is closed to a child: drops, and hops on one leg."""

LEVER = 2
"""Class of straight-arm load that is closed to a child: levers, not supports."""


def closed_by_age(age: int | None, asked: Strains, modifiers: Modifiers) -> str:
    """Why a movement is closed at an age, in words; '' where it is open.

    Args:
        age: whole years; None where it is not told.
        asked: what it strains.
        modifiers: with what it is done.
    """
    if age is None or age >= CHILD:
        return ""
    if asked.get("straight arms", 0.0) >= LEVER:
        return f"no straight-arm levers under {CHILD}"
    if asked.get("one hand", 0.0) > ONE_HAND:
        return f"no more than {ONE_HAND:g} % on one hand under {CHILD}"
    if asked.get("impact", 0.0) >= DROP:
        return f"no drops and no hops for distance on one leg under {CHILD}"
    if modifiers.added_load.total > 0.0:
        return f"no added load under {CHILD}: bodyweight only"
    return ""
