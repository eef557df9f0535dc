"""The rows. Every instant carries its zone and its local date; every computed result carries the
version of the model and of the catalogue it came from, with its inputs.

Whoever imports one table knows them all, since rows name each other by foreign keys.
"""

from invelo.db.tables import (
    account,
    athlete,
    background,
    catalogue,
    equipment,
    ladder,
    plan,
    review,
    training,
)

__all__ = [
    "account",
    "athlete",
    "background",
    "catalogue",
    "equipment",
    "ladder",
    "plan",
    "review",
    "training",
]
