"""Load, tempo and band as someone says them of a set, in place of those it was given with."""

from dataclasses import dataclass, replace
from typing import Literal

from invelo.domain.biomechanics.body import AddedLoad
from invelo.domain.biomechanics.setup import Assistance
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.equipment.band_words import Known, hung, said_band
from invelo.domain.equipment.kit import HELD
from invelo.domain.errors import InputError, require_within
from invelo.domain.strength.tempo import Tempo

LoadPlace = Literal["belt", "bag", "lap", "hands", "ankles"]

PLACES: dict[LoadPlace, str] = {
    "belt": "vest",
    "bag": "bag",
    "lap": "lap",
    "hands": "hands",
    "ankles": "ankles",
}
"""Where kilos are said to hang, and the place of the model they weigh at."""

MOST_KG = 150.0


@dataclass(frozen=True)
class CarriedLoad:
    """What a set was done with.

    Attributes:
        kg: added; below nought what was taken off.
        at: where the kilos hung; None for none, for several places, and for what was taken off.
    """

    kg: float
    at: LoadPlace | None = None


def carried(modifiers: Modifiers) -> CarriedLoad:
    """The kilos of a set-up, all places together."""
    load = modifiers.added_load
    places: list[LoadPlace] = [said for said, place in PLACES.items() if getattr(load, place)]
    off = modifiers.assistance.kg if modifiers.assistance else 0.0
    if off and not places:
        return CarriedLoad(-off)
    return CarriedLoad(load.total - off, places[0] if len(places) == 1 else None)


def done_with(
    movement: Movement,
    modifiers: Modifiers,
    *,
    kg: float | None,
    at: LoadPlace | None,
    tempo: str,
    band: str = "",
    bands: Known = (),
) -> Modifiers:
    """A set-up with the kilos, the tempo and the band that were said.

    Args:
        movement: what was done.
        modifiers: as the set was given.
        kg: added, in place of all that was; below nought taken off; None as it was given.
        at: where; None for where it hung already, or else where the movement carries most often.
        tempo: lower-hold-press-hold in s; "" as it was given.
        band: of the coach's, as a coach says it; "" as it was given.
        bands: by name.

    Raises:
        InputError: for more than anyone carries, a place where the movement carries nothing, or
            words that are no tempo or no band.
    """
    if band.strip():
        hold = hung(said_band(band.strip(), bands), movement.posture, modifiers.band)
        modifiers = replace(modifiers, band=hold)
    if tempo.strip():
        modifiers = replace(modifiers, tempo=Tempo.parse(tempo))
    if kg is None:
        return modifiers
    require_within("load_kg", kg, -MOST_KG, MOST_KG, "kg")
    if kg <= 0:
        lifted = modifiers.assistance.at if modifiers.assistance else "hips"
        assistance = Assistance(-kg, lifted) if kg else None
        return replace(modifiers, added_load=AddedLoad(), assistance=assistance)
    place = PLACES[at or carried(modifiers).at or _usual(movement)]
    loads = movement.posture.loads
    if place not in loads:
        there = ", ".join(said for said, of in PLACES.items() if of in loads)
        raise InputError(
            "load_at",
            f"the {movement.name.lower()} carries nothing at the {at or place}.",
            f"Use {there}." if there else "Leave the kilos out.",
        )
    return replace(modifiers, added_load=AddedLoad(**{place: kg}), assistance=None)


HUNG: tuple[LoadPlace, ...] = ("belt", "lap", "bag", "hands", "ankles")
WORN: tuple[LoadPlace, ...] = ("bag", "hands", "belt", "lap", "ankles")
"""Where a load is looked for first: hanging, on a belt; else in a bag (common practice)."""


def _usual(movement: Movement) -> LoadPlace:
    """Where a movement carries most often."""
    loads = movement.posture.loads
    if "hands" in loads and {"load", *HELD} & set(movement.kit):
        return "hands"
    order = HUNG if movement.posture.grip == "bar" else WORN
    return next((said for said in order if PLACES[said] in loads), "belt")
