"""The body as linked segments: how long, how heavy, where each segment's mass sits."""

from collections.abc import Sequence
from dataclasses import dataclass, fields, replace
from functools import cached_property, lru_cache
from math import exp
from typing import Protocol

import numpy as np

from invelo.domain.errors import InputError, require_within
from invelo.domain.estimate import Z80, Array

GRAVITY = 9.80665
"""Standard gravity in m/s² (CGPM 1901). A load shown in kg is a force divided by this."""

USUAL_STATURE = 1.75
"""Of the body for which the catalogue tells its metres, m."""

USUAL_MASS = 75.0
"""Of the body whose shares the catalogue's own kilos are, kg."""

MASS_RANGE = (20.0, 300.0)
STATURE_RANGE = (1.0, 2.4)
WORN_RANGE = (0.0, 150.0)


@dataclass(frozen=True)
class BodySegment:
    """One segment, both sides together.

    Attributes:
        mass_share: mass of the pair as a share of body mass.
        length_share: length as a share of stature.
        centre: the mass centre's place from the near joint, as a share of the length.
    """

    mass_share: float
    length_share: float
    centre: float


@dataclass(frozen=True)
class SegmentTable:
    """A published set of segments, by name, with its source."""

    name: str
    source: str
    segments: dict[str, BodySegment]
    ankle_height_share: float


WINTER = SegmentTable(
    name="winter",
    source=(
        "Winter, Biomechanics and Motor Control of Human Movement (segment masses and centres "
        "after Dempster; lengths after Drillis and Contini 1966)"
    ),
    segments={
        "head": BodySegment(0.081, 0.182, 0.5),
        "trunk": BodySegment(0.497, 0.288, 0.5),
        "upper_arm": BodySegment(0.056, 0.186, 0.436),
        "forearm": BodySegment(0.032, 0.146, 0.430),
        "hand": BodySegment(0.012, 0.108, 0.506),
        "thigh": BodySegment(0.200, 0.245, 0.433),
        "shank": BodySegment(0.093, 0.246, 0.433),
        "foot": BodySegment(0.029, 0.152, 0.5),
    },
    ankle_height_share=0.039,
)

LENGTH_CV = 0.035
"""Person-to-person coefficient of variation of a limb's share of stature: 3–4 % in adults
(from memory, of anthropometric surveys). Sets the range of a load for an unmeasured body."""

MASS_SHARE_CV = 0.05
"""Person-to-person coefficient of variation of a segment's share of body mass (ours: half of the
disagreement between the usual tables for trunk and thigh)."""

HANDS_SHARED = 0.04
HANDS_PER_FORM = 0.03
"""Standard deviation of the logarithm of what a body's hands carry ÷ what the model says, common to
all positions of one body, and of each position's own (ours)."""

VARIED = ("trunk", "upper_arm", "thigh", "shank")
"""Segments whose length and mass move a lever enough to be carried into the range."""


BODY_SAMPLES = 1 + 4 * len(VARIED)
"""The body itself and its neighbours; samples beyond these vary a set-up."""


@dataclass(frozen=True)
class AddedLoad:
    """Mass carried, in kg, by place: a vest at the trunk, a bag high on the back, ankle weights, a
    weight on the lap, weights in the hands."""

    vest: float = 0.0
    bag: float = 0.0
    ankles: float = 0.0
    lap: float = 0.0
    hands: float = 0.0

    def __post_init__(self) -> None:
        """Refuse loads no one carries."""
        for place in fields(self):
            require_within(f"worn {place.name}", getattr(self, place.name), *WORN_RANGE, "kg")

    @property
    def total(self) -> float:
        """All carried mass, kg."""
        return self.vest + self.bag + self.ankles + self.lap + self.hands


class AddedMass(Protocol):
    """Mass carried by place, kg: one load, or of shape `(k,)` one for each of many set-ups."""

    @property
    def vest(self) -> float | Array: ...  # noqa: D102
    @property
    def bag(self) -> float | Array: ...  # noqa: D102
    @property
    def ankles(self) -> float | Array: ...  # noqa: D102
    @property
    def lap(self) -> float | Array: ...  # noqa: D102
    @property
    def hands(self) -> float | Array: ...  # noqa: D102
    @property
    def total(self) -> float | Array: ...  # noqa: D102


@dataclass(frozen=True)
class Loads:
    """What each of many set-ups carries, kg, every value of shape `(k,)`."""

    vest: Array
    bag: Array
    ankles: Array
    lap: Array
    hands: Array

    @classmethod
    def of(cls, added_load: Sequence[AddedLoad]) -> "Loads":
        """The loads of many set-ups."""
        return cls(
            *(np.array([getattr(worn, place.name) for worn in added_load]) for place in fields(cls))
        )

    @property
    def total(self) -> Array:
        """All carried mass of each, kg."""
        return self.vest + self.bag + self.ankles + self.lap + self.hands


@dataclass(frozen=True)
class SegmentValues:
    """Segment lengths (m), masses (kg) and centres (share of length), ready to compute with.

    Every value is an array of one shape, `()` for one body or `(k,)` for `k` variations of it,
    so that one pass through the statics yields a load and its range. Stature and the ankle's
    height over the sole are in m.
    """

    length: dict[str, Array]
    mass: dict[str, Array]
    centre: dict[str, float]
    stature: float
    ankle_height: float


@dataclass(frozen=True)
class Body:
    """A person's mass and stature, and the table that says how both are shared out.

    Args:
        mass: body mass, kg, 20 to 300.
        stature: standing height, m, 1.0 to 2.4.
        table: published segment table.
        lengths: measured segment lengths, m, replacing the table's share.
        shares: a segment pair's share of body mass, replacing the table's; the other segments make
            up the difference in their own proportions.
        hands: what a household scale said of this body: the logarithm of what its hands carry ÷
            what the model says, and its standard deviation; None where none was asked.

    Raises:
        InputError: for a mass, stature, length or share no human has.
    """

    mass: float
    stature: float
    table: SegmentTable = WINTER
    lengths: tuple[tuple[str, float], ...] = ()
    shares: tuple[tuple[str, float], ...] = ()
    hands: tuple[float, float] | None = None

    def __post_init__(self) -> None:
        """Check ranges once, so that nothing further in has to."""
        require_within("mass", self.mass, *MASS_RANGE, "kg")
        require_within("stature", self.stature, *STATURE_RANGE, "m")
        for what, given, low, high, unit in (
            ("length", self.lengths, 0.05, 1.2, "m"),
            ("mass share", self.shares, 0.001, 0.8, ""),
        ):
            for name, value in given:
                if name not in self.table.segments:
                    raise InputError(
                        f"{what} of {name}",
                        "no such segment.",
                        f"Name one of {', '.join(self.table.segments)}.",
                    )
                require_within(f"{what} of {name}", value, low, high, unit)
        if sum(share for _, share in self.shares) >= 1.0:
            raise InputError(
                "mass shares",
                "they leave nothing for the rest.",
                "Give shares that add up to less than 1.",
            )

    def __hash__(self) -> int:
        """Worked out once: every figure of a body is asked for by it."""
        return self._hash

    @cached_property
    def _hash(self) -> int:
        return hash((self.mass, self.stature, self.lengths, self.shares, self.hands))

    @property
    def hands_factor(self) -> float:
        """Factor on what the hands carry where they share it with feet or knees."""
        return exp(self.hands[0]) if self.hands else 1.0

    def mass_shares(self) -> dict[str, float]:
        """Each segment pair's share of body mass; they add up to 1."""
        given = dict(self.shares)
        table = {name: seg.mass_share for name, seg in self.table.segments.items()}
        left = 1.0 - sum(given.values())
        rest = sum(share for name, share in table.items() if name not in given)
        return (
            {
                name: given[name] if name in given else share * left / rest
                for name, share in table.items()
            }
            if given
            else table
        )

    def segments(self) -> SegmentValues:
        """This body's segments, each value of shape `()`."""
        measured = dict(self.lengths)
        return SegmentValues(
            length={
                name: np.asarray(measured.get(name, seg.length_share * self.stature))
                for name, seg in self.table.segments.items()
            },
            mass={
                name: np.asarray(share * self.mass) for name, share in self.mass_shares().items()
            },
            centre={name: seg.centre for name, seg in self.table.segments.items()},
            stature=self.stature,
            ankle_height=self.table.ankle_height_share * self.stature,
        )

    def varied_segments(self, setup_pairs: int = 0) -> SegmentValues:
        """This body and its plausible neighbours, each value of shape `(1 + 4n + 2s,)`.

        The first entry is the body itself. Then, for each of the `n` names in `VARIED`, come a
        shorter and a longer segment (80 % ends; a measured length does not vary), and a lighter
        and a heavier one with the other segments making up the difference in mass (a share that
        was given does not vary). The last
        `2s` entries repeat the body itself: there a posture varies its own set-up. Arrays are
        shared between calls and not to be written to.
        """
        return _varied(self, setup_pairs)


@lru_cache(maxsize=256)
def _varied(body: Body, setup_pairs: int) -> SegmentValues:
    plain = body.segments()
    measured, weighed = dict(body.lengths), dict(body.shares)
    count = BODY_SAMPLES + 2 * setup_pairs
    length = {name: np.full(count, value) for name, value in plain.length.items()}
    mass = {name: np.full(count, value) for name, value in plain.mass.items()}
    for i, name in enumerate(VARIED):
        if name not in measured:
            length[name][1 + 2 * i] *= 1 - Z80 * LENGTH_CV
            length[name][2 + 2 * i] *= 1 + Z80 * LENGTH_CV
    for i, name in enumerate(VARIED):
        if name in weighed:
            continue
        for sign, row in ((-1, 1 + 2 * len(VARIED) + 2 * i), (1, 2 + 2 * len(VARIED) + 2 * i)):
            changed = plain.mass[name] * (1 + sign * Z80 * MASS_SHARE_CV)
            rest = (body.mass - changed) / (body.mass - plain.mass[name])
            for other in mass:
                mass[other][row] = changed if other == name else plain.mass[other] * rest
    return replace(plain, length=length, mass=mass)
