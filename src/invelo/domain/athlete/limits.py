"""Limits: the most of a quantity that stays open to someone, who set it, and until when."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date

from invelo.domain.athlete.strain import MEASURES, QUANTITIES, Quantity, Strains, strains
from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Movement
from invelo.domain.errors import InputError, require_within

EARLIER_LIMITS: dict[str, tuple[Quantity, float]] = {
    "wrist load": ("wrist bend", 30.0),
    "elbow load": ("elbow load", 0.0),
    "locked elbows": ("straight arms", 0.0),
    "overhead": ("overhead", 90.0),
    "shoulder behind": ("shoulders behind", 10.0),
    "deep knee bend": ("knee bend", 60.0),
    "jump": ("impact", 0.0),
    "long hold": ("hard hold", 0.0),
    "floor on the back": ("on the back", 0.0),
}
"""What limits of earlier releases come to, which had a name and no figure."""


@dataclass(frozen=True)
class Limit:
    """The most of a quantity that stays open.

    Attributes:
        quantity: which; see `strain.MEASURES`.
        most: of it: degrees, %, or a class of 0 to 3.
        by: the screen's rule that set it, or who did.
        why: in a sentence, '' for nothing to add.
        until: the last day it holds; None until it is lifted.
    """

    quantity: Quantity
    most: float
    by: str
    why: str = ""
    until: date | None = None

    def __post_init__(self) -> None:
        """Check that there is such a quantity, and the range of its figure."""
        if self.quantity not in MEASURES:
            raise InputError(
                "quantity",
                f"“{self.quantity}” cannot be limited.",
                f"Use one of {', '.join(QUANTITIES)}.",
            )
        measure = MEASURES[self.quantity]
        require_within(measure.asks, self.most, 0, measure.greatest, measure.unit)

    @property
    def words(self) -> str:
        """As it is told: “knees bent by at most 60° under load”."""
        measure = MEASURES[self.quantity]
        return measure.words.format(most=f"{self.most:g}") if self.most else measure.none


def tightened(asked: Limit, stand: Iterable[Limit]) -> Limit:
    """A coach's limit, where it leaves less open than what stands.

    Raises:
        InputError: where it would change nothing.
    """
    measure = MEASURES[asked.quantity]
    known = next((limit for limit in tightest(stand) if limit.quantity == asked.quantity), None)
    if known is not None and known.most <= asked.most:
        raise InputError(
            "most",
            f"{known.words} stands already.",
            f"Set less than {known.most:g}{measure.unit}, or record what a clinician opened.",
        )
    if asked.most >= measure.greatest:
        raise InputError(
            "most",
            f"{asked.most:g}{measure.unit} closes nothing.",
            f"Set less than {measure.greatest:g}{measure.unit}.",
        )
    return asked


def tightest(limits: Iterable[Limit]) -> tuple[Limit, ...]:
    """One limit a quantity, the one that leaves least open, in the order of the quantities."""
    by_quantity: dict[Quantity, Limit] = {}
    for limit in limits:
        known = by_quantity.get(limit.quantity)
        if known is None or limit.most < known.most:
            by_quantity[limit.quantity] = limit
    return tuple(by_quantity[quantity] for quantity in QUANTITIES if quantity in by_quantity)


def on_day(limits: Iterable[Limit], today: date) -> tuple[Limit, ...]:
    """Those that hold on a day."""
    return tuple(limit for limit in limits if limit.until is None or today <= limit.until)


def exceeded(asked: Strains, limits: Iterable[Limit]) -> tuple[Limit, ...]:
    """The limits that a movement's strains are over, in the limits' order."""
    return tuple(limit for limit in limits if asked.get(limit.quantity, 0.0) > limit.most)


def closed_by(limits: Iterable[Limit], body: Body) -> tuple[Movement, ...]:
    """Movements of the catalogue that ask more of a body than limits leave open."""
    known = tuple(limits)
    return tuple(
        movement
        for movement in catalogue().movement
        if exceeded(strains(body, movement, movement.as_it_is), known)
    )
