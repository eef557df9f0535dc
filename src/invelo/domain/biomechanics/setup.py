"""A set-up: a form with its values, and what is worn, held, pulled and helped."""

from dataclasses import dataclass, field, replace
from typing import Literal

from invelo.domain.biomechanics.body import AddedLoad
from invelo.domain.biomechanics.posture.form import Form, form
from invelo.domain.errors import InputError, require_within
from invelo.domain.strength.bands import Band

Place = Literal["hips", "feet", "knees", "hands", "shoulders"]

PLACES: dict[Place, tuple[str, str]] = {
    "hips": ("trunk", "hip"),
    "feet": ("foot", "ankle"),
    "knees": ("shank", "knee"),
    "hands": ("hand", "wrist"),
    "shoulders": ("trunk", "shoulder"),
}
"""Where a band or a helper takes hold: the segment and the joint."""

LEAST_RANGE = 0.2


@dataclass(frozen=True)
class BandHold:
    """A band between the body and something that stays where it is.

    Attributes:
        band: which.
        at: where on the body.
        anchor_height: of its other end above the floor, m.
        anchor_ahead: how far that end lies towards the head's side of the body's place at the
            start of the rep, m.
        in_hands: whether the other end is held where the hands are, which overrides both.
    """

    band: Band
    at: Place = "hips"
    anchor_height: float = 2.2
    anchor_ahead: float = 0.0
    in_hands: bool = False

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("band anchor height", self.anchor_height, 0.0, 6.0, "m")
        require_within("band anchor ahead", self.anchor_ahead, -5.0, 5.0, "m")


@dataclass(frozen=True)
class Assistance:
    """A hand or a support that takes some kilos off, straight up.

    Attributes:
        kg: taken.
        at: where on the body.
    """

    kg: float
    at: Place = "hips"

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("assistance", self.kg, 0.0, 150.0, "kg")


@dataclass(frozen=True)
class SetUp:
    """Everything a coach sets up about a movement, the body left open.

    Attributes:
        movement: the form's id.
        values: of its parameters where they differ from the form's own, sorted by name.
        added_load: what is carried.
        band: where one pulls.
        assistance: where someone or something lifts.
        range: share of the full range that is used, 0.2 to 1, from the rep's start.
        from_end: whether it is used from the rep's other end.

    Raises:
        InputError: for a form, a parameter or a value that is not there.
    """

    movement: str
    values: tuple[tuple[str, float], ...] = ()
    added_load: AddedLoad = field(default_factory=AddedLoad)
    band: BandHold | None = None
    assistance: Assistance | None = None
    range: float = 1.0
    from_end: bool = False

    def __post_init__(self) -> None:
        """Check every value against the form's own ranges."""
        self.form.values(dict(self.values))
        require_within("range", self.range, LEAST_RANGE, 1.0, "")
        self._check_help()
        for place in ("vest", "bag", "ankles", "lap", "hands"):
            if getattr(self.added_load, place) and place not in self.form.loads:
                raise InputError(
                    f"worn {place}",
                    f"the {self.form.name.lower()} carries nothing there.",
                    f"Use one of {', '.join(self.form.loads) or 'none'}.",
                )

    def _check_help(self) -> None:
        """Refuse help where it helps nothing: at feet that stand, and by straps from below."""
        stands = {"balls", "feet", "heels"} & {touch.at for touch in self.form.touches}
        for name, helps in (("band", self.band), ("assistance", self.assistance)):
            if helps and helps.at == "feet" and stands:
                raise InputError(
                    name,
                    "the feet stand on something; what holds them up there takes nothing off.",
                    "Hang it at the hips or the knees.",
                )

    @property
    def form(self) -> Form:
        """The form it sets up."""
        return form(self.movement)

    @property
    def whole(self) -> "SetUp":
        """The same with the form's own depth and all of its range."""
        deep = {parameter.name for parameter in self.form.parameter if parameter.depth}
        kept = tuple((name, value) for name, value in self.values if name not in deep)
        return replace(self, values=kept, range=1.0, from_end=False)

    @property
    def all_values(self) -> dict[str, float]:
        """Every parameter's value, the form's own filled in."""
        return self.form.values(dict(self.values))

    @property
    def alone(self) -> float:
        """How far one limb works without the other: 0 where two share alike, 1 for one alone."""
        if self.form.id.startswith("one_leg"):
            return 1.0
        return self.all_values.get("share", 50.0) / 50.0 - 1.0

    def value(self, name: str) -> float:
        """One parameter's value.

        Raises:
            KeyError: if the form lacks it.
        """
        return self.all_values[name]


def set_up(
    movement: str,
    *,
    shape: str | None = None,
    added_load: AddedLoad | None = None,
    band: BandHold | None = None,
    assistance: Assistance | None = None,
    range: float = 1.0,
    from_end: bool = False,
    **values: float,
) -> SetUp:
    """A set-up from a form's name, a named shape of it and values on top.

    Values equal to the form's own are left out, so that equal set-ups compare equal.

    Raises:
        InputError: for what the form does not know.
    """
    known = form(movement)
    given = (known.named(shape) if shape else {}) | values
    own = known.values({})
    kept = {name: value for name, value in given.items() if own.get(name) != value}
    return SetUp(
        movement,
        tuple(sorted(kept.items())),
        added_load or AddedLoad(),
        band,
        assistance,
        range,
        from_end and range < 1.0,
    )
