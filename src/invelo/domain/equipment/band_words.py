"""Bands as a coach says them: "red", "red folded", "red at 0.6 m", "red + blue"; and where such a
band is hung."""

import re
from collections.abc import Iterable
from dataclasses import replace
from functools import reduce

from invelo.domain.biomechanics.posture.form import Form
from invelo.domain.biomechanics.setup import BandHold
from invelo.domain.errors import InputError
from invelo.domain.strength.bands import Band

MOST_TOGETHER = 4

_GRIPPED = re.compile(r"(?P<name>.+?) at (?P<length>\d+(?:[.,]\d+)?) ?(?P<unit>cm|m)")
_FOLDED = re.compile(r"(?P<name>.+?),? folded(?: in two)?")

Known = Iterable[tuple[str, Band]]


def said_band(words: str, known: Known) -> Band:
    """The band that is meant, several side by side as one.

    Args:
        words: names of bands with a + between them, each with "folded" or "at 0.6 m" (the rest
            length between the grips) after it where it is so held.
        known: bands by name.

    Raises:
        InputError: for a name nobody gave a band, too many, a grip longer than the band, or bands
            of different length side by side.
    """
    parts = [part.strip() for part in words.split("+")]
    if len(parts) > MOST_TOGETHER:
        raise InputError("band", f"{len(parts)} are too many at once.", "Take a thicker one.")
    by_name = {name.casefold(): replace(band, name=name) for name, band in known}
    return reduce(Band.beside, (_one(part, by_name) for part in parts))


def _one(words: str, by_name: dict[str, Band]) -> Band:
    plain = by_name.get(words.casefold())
    if plain is not None:
        return plain
    gripped, folded = _GRIPPED.fullmatch(words), _FOLDED.fullmatch(words)
    if gripped:
        length = float(gripped["length"].replace(",", "."))
        rest = length / 100 if gripped["unit"] == "cm" else length
        return _one(gripped["name"], by_name).gripped(rest)
    if folded:
        return _one(folded["name"], by_name).doubled()
    known = ", ".join(f"“{band.name}”" for band in by_name.values())
    raise InputError(
        "band",
        f"“{words[:40]}” is none of the bands in use.",
        f"Use {known}." if known else "Measure it first, under Bands.",
    )


def hung(band: Band, form: Form, before: BandHold | None) -> BandHold:
    """A band where one hung before, or else where such a movement has one: from the bar in
    the hands to the hips, where it helps; over the shoulders to the hands of a press or to the
    floor under the feet, where it loads.

    Raises:
        InputError: for a movement that takes none by name alone.
    """
    if before is not None:
        return replace(before, band=band)
    legs = form.family in ("squat", "hip") and {"balls", "feet", "heels"} & {
        touch.at for touch in form.touches
    }
    if form.grip == "bar" and form.measure == "arms":
        return BandHold(band, "hips", in_hands=True)
    if form.grip == "palm" and form.measure == "hands":
        return BandHold(band, "shoulders", in_hands=True)
    if not legs or form.measure not in ("legs", "torque"):
        raise InputError(
            "band",
            f"where it goes on a {form.name.lower()} is not known from its name.",
            "Set it up on the rung, with where it takes hold.",
        )
    return BandHold(band, "shoulders", 0.0)
