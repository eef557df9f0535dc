"""Dials: each thing about a set-up that can be turned alone, and how far.

A dial is a parameter of the form, a load at one of its places, help, the share of the range, the
lowering or the pause. Ends are common practice or the form's own.
"""

from collections.abc import Callable
from dataclasses import dataclass, replace

from invelo.domain.biomechanics.posture.form import Form
from invelo.domain.biomechanics.setup import LEAST_RANGE, Assistance
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError, require_within
from invelo.domain.strength.tempo import Tempo

LOADS: dict[str, tuple[str, float]] = {
    "bag": ("bag high on the back", 15.0),
    "vest": ("vest or belt at the trunk", 60.0),
    "ankles": ("weights at the ankles", 10.0),
    "lap": ("weight on the lap", 40.0),
    "hands": ("weight in the hands", 60.0),
}
"""Places for a load, in words, and the most kilos one holds (common practice; a bag about
fifteen)."""

MOST_HELP = 80.0
"""Kilos beyond which a helper carries more than helps (ours)."""


@dataclass(frozen=True)
class Adjustable:
    """One thing that can be turned.

    Attributes:
        name: stable name.
        label: in words.
        unit: of the amount.
        low, high: its ends.
        grain: to what it is rounded when it is set up for real.
        get, put: where it stands on a set-up.
        end: why it goes no further.
        words: how a rung's name tells an amount of it.
        lengthens: whether it tells on how long a rep counts, and so on the count itself.
    """

    name: str
    label: str
    unit: str
    low: float
    high: float
    grain: float
    get: Callable[[Modifiers], float]
    put: Callable[[Modifiers, float], Modifiers]
    end: str
    words: Callable[[float], str]
    lengthens: bool = False

    def turned(self, modifiers: Modifiers, amount: float) -> Modifiers:
        """The set-up with this dial at an amount that can be set up for real.

        Raises:
            InputError: for an amount beyond the dial's ends.
        """
        require_within(self.name.replace("_", " "), amount, self.low, self.high, self.unit)
        return self.put(modifiers, self.rounded(amount))

    def rounded(self, amount: float) -> float:
        """To the dial's grain."""
        return round(round(amount / self.grain) * self.grain, 6)


def adjustables(form: Form) -> tuple[Adjustable, ...]:
    """Every dial of a form: loads, its parameters, help, range, lowering and pause."""
    adjustables = [_load(place) for place in form.loads]
    adjustables += [_parameter(form, parameter.name) for parameter in form.parameter]
    adjustables.append(
        Adjustable(
            "assistance",
            "assistance upwards",
            "kg",
            0.0,
            MOST_HELP,
            0.5,
            lambda m: m.assistance.kg if m.assistance else 0.0,
            lambda m, x: replace(
                m,
                assistance=Assistance(x, m.assistance.at if m.assistance else "hips")
                if x
                else None,
            ),
            "assistance is nothing at least, and lifting the whole person at most",
            lambda x: f"{x:g} kg assistance",
        )
    )
    if form.counted == "reps":
        adjustables += [_RANGE, _ECCENTRIC, _PAUSE]
    return tuple(adjustables)


def adjustable_of(form: Form, name: str) -> Adjustable:
    """One dial of a form.

    Raises:
        InputError: if it has none of that name.
    """
    for adjustable in adjustables(form):
        if adjustable.name == name:
            return adjustable
    known = ", ".join(adjustable.name for adjustable in adjustables(form))
    raise InputError(
        "adjustable", f"the {form.name.lower()} has no “{name}”.", f"Use one of {known}."
    )


def _load(place: str) -> Adjustable:
    label, most = LOADS[place]
    return Adjustable(
        place,
        label,
        "kg",
        0.0,
        most,
        0.5,
        lambda m: float(getattr(m.added_load, place)),
        lambda m, x: replace(m, added_load=replace(m.added_load, **{place: x})),
        f"it holds about {most:g} kg and cannot weigh less than nothing",
        lambda x: f"{place} {x:g} kg",
    )


def _parameter(form: Form, name: str) -> Adjustable:
    parameter = next(parameter for parameter in form.parameter if parameter.name == name)

    def words(amount: float) -> str:
        amount_words = (
            f"{round(100 * amount, 1):g} cm"
            if parameter.unit == "m"
            else f"{amount:g} {parameter.unit}".replace(" °", "°")
        )
        return f"{parameter.label.removeprefix('surface under the ')} {amount_words}"

    return Adjustable(
        name,
        parameter.label,
        parameter.unit,
        parameter.low,
        parameter.high,
        parameter.step,
        lambda m: dict(m.values).get(name, parameter.default),
        lambda m, x: replace(m, values=tuple(sorted((dict(m.values) | {name: x}).items()))),
        "no amount that this body can do reaches it",
        words,
        lengthens=parameter.depth,
    )


_RANGE = Adjustable(
    "range",
    "share of the range",
    "%",
    100 * LEAST_RANGE,
    100.0,
    5.0,
    lambda m: 100 * m.range,
    lambda m, x: replace(m, range=x / 100),
    "no rep is longer than its whole range",
    lambda x: f"{x:g} % of the range",
    lengthens=True,
)
_ECCENTRIC = Adjustable(
    "eccentric",
    "eccentric",
    "s",
    0.5,
    10.0,
    1.0,
    lambda m: m.tempo.lower,
    lambda m, x: replace(m, tempo=replace(m.tempo, lower=x)),
    "no one lowers in less than half a second or more than ten",
    lambda x: f"{x:g} s eccentric",
    lengthens=True,
)
_PAUSE = Adjustable(
    "pause",
    "pause at the far end",
    "s",
    0.0,
    10.0,
    1.0,
    lambda m: m.tempo.bottom,
    lambda m, x: replace(m, tempo=replace(m.tempo, bottom=x)),
    "a pause is nothing at least, and ten seconds at most",
    lambda x: f"{x:g} s pause",
    lengthens=True,
)


def changed_words(form: Form, modifiers: Modifiers, band: str) -> list[str]:
    """Loads, band (in the words given), help, range and tempo, as a coach would say them."""
    loads = [
        (adjustable_of(form, place), getattr(modifiers.added_load, place)) for place in form.loads
    ]
    phrases = [load.words(kg) for load, kg in loads if kg]
    if modifiers.band:
        phrases.append(band)
    if modifiers.assistance:
        phrases.append(adjustable_of(form, "assistance").words(modifiers.assistance.kg))
    if modifiers.range < 1.0:
        part = adjustable_of(form, "range").words(100 * modifiers.range)
        phrases.append(f"{part} from the {form.ends[1]}" if modifiers.from_end else part)
    if modifiers.tempo != Tempo():
        phrases.append(str(modifiers.tempo))
    return phrases
