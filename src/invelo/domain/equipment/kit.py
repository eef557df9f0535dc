"""Kit and places: what is there, how high, how heavy, and whether it may be used."""

from collections.abc import Iterable
from dataclasses import dataclass, replace
from datetime import date, timedelta
from typing import Literal

from invelo.domain.days import day_words
from invelo.domain.equipment.loads import Thing, weights
from invelo.domain.errors import InputError, require_within
from invelo.domain.strength.bands import Band

Kind = Literal[
    "surface",
    "bar",
    "parallel bars",
    "rings",
    "straps",
    "chair",
    "stairs",
    "wall",
    "bag",
    "load",
    "plate",
    "belt",
    "dumbbell",
    "kettlebell",
    "ankle weight",
    "pulley",
    "gripper",
    "band",
    "towel",
    "stick",
]
Surface = Literal["gripping", "smooth"]
Floor = Literal["gripping", "smooth", "both"]

LEAST_HEIGHT = 0.01
"""Metres; what has no height is the floor."""

NEEDS_HEIGHT: frozenset[Kind] = frozenset(
    {"surface", "bar", "parallel bars", "rings", "straps", "chair", "stairs", "pulley"}
)
KIND_WORDS: dict[Kind, str] = {
    "surface": "a box, riser or table",
    "chair": "a chair",
    "stairs": "stairs (height of one step)",
    "wall": "a free wall",
    "bar": "a bar to hang from",
    "parallel bars": "parallel bars",
    "rings": "rings",
    "straps": "straps",
    "bag": "a bag to fill",
    "load": "something of known weight",
    "plate": "plates",
    "belt": "a belt or vest to hang plates from",
    "dumbbell": "a dumbbell",
    "kettlebell": "a kettlebell",
    "ankle weight": "ankle weights",
    "pulley": "a pulley that takes weight off",
    "gripper": "a hand gripper (rating)",
    "band": "a measured band",
    "towel": "a strong towel",
    "stick": "a stick",
}
NEEDS_WEIGHT: frozenset[Kind] = frozenset(
    {"load", "bag", "plate", "dumbbell", "kettlebell", "ankle weight", "gripper"}
)
FILLS: frozenset[Kind] = frozenset({"load", "plate"})
"""What a bag is filled with, a belt carries and a pulley is loaded with."""

HELD: tuple[Kind, ...] = ("dumbbell", "kettlebell")
"""What the hands hold wherever something of known weight will do."""

BELT_HOLDS = 60.0
"""Kilos of plates a belt carries (common practice)."""

PULLEY_TAKES = 60.0
"""Kilos a pulley takes off at most (ours)."""

NAMED_WEIGHT: dict[Kind, str] = {"bag": "what it holds", "gripper": "its rating"}
"""What a thing's kilos are, where they are not the weight of one."""

BEARS: frozenset[Kind] = frozenset(
    {"surface", "bar", "parallel bars", "rings", "straps", "chair", "band", "belt", "pulley"}
)
"""What a person hangs from, leans on or is held by; it is looked at before it is planned with
(common practice)."""

CHECK_DAYS = 90
"""Days a safety check stands (ours). Bars, straps, bands and door anchors are looked at before
each use all the same (common practice)."""

LOOK_FOR: dict[Kind, str] = {
    "surface": "stands firm, does not tip or slide, edge not sharp",
    "bar": "rated for twice the person, fixings tight, no play, nothing sharp",
    "parallel bars": "both fixed and level, do not spread under load",
    "rings": "straps uncut, buckles hold, anchor rated",
    "straps": "uncut, door locked and opening away, anchor rated",
    "chair": "on a mat and against a wall, four sound legs",
    "stairs": "dry, lit, with a rail",
    "belt": "chain and carabiner closed, no torn seam",
    "pulley": "rope uncut, wheel turns freely, anchor rated, counterweight cannot slip",
    "band": "no nick, no white crease, no knot; anchor without an edge",
}


@dataclass(frozen=True)
class SafetyCheck:
    """Whether a thing was found safe on a day, and who looked."""

    day: date
    safe: bool
    by: str


@dataclass(frozen=True)
class KitItem:
    """A thing in a place.

    Attributes:
        kind: what it is.
        name: as the coach calls it.
        height: of a surface, bar or anchor above the floor, m, 0 to 6.
        kg: of one piece of a load, or what a bag holds.
        count: how many.
        setup_minutes: to rig it up, 0 to 60.
        home_made: whether it was built at home; then a photo the coach approved is wanted.
        approved: the day the coach approved its photo.
        check: the newest safety check.
        rated: kg it is rated to bear; None where nobody said.
    """

    kind: Kind
    name: str
    height: float | None = None
    kg: float | None = None
    count: int = 1
    setup_minutes: float = 0.0
    home_made: bool = False
    approved: date | None = None
    check: SafetyCheck | None = None
    rated: float | None = None

    def __post_init__(self) -> None:
        """Check ranges, and that height and weight stand where they are needed."""
        if self.kind in NEEDS_HEIGHT and self.height is None:
            raise InputError("height", f"“{self.name}” has none.", "Measure it from the floor.")
        if self.kind in NEEDS_WEIGHT and self.kg is None:
            what = f"Say {NAMED_WEIGHT[self.kind]}" if self.kind in NAMED_WEIGHT else "Weigh one"
            raise InputError("weight", f"“{self.name}” has none.", f"{what}, in kg.")
        if self.height is not None:
            require_within("height", self.height, LEAST_HEIGHT, 6.0, "m")
        if self.kg is not None:
            require_within("weight", self.kg, 0.05, 150.0, "kg")
        require_within("count", self.count, 1, 200, "")
        require_within("minutes to set up", self.setup_minutes, 0.0, 60.0, "min")
        if self.rated is not None:
            require_within("rating", self.rated, 1.0, 1000.0, "kg")
            if self.kind == "bag" and self.kg is not None and self.kg > self.rated:
                raise InputError(
                    "weight",
                    f"“{self.name}” is to hold {self.kg:g} kg and is rated for {self.rated:g}.",
                    "Fill it less, or take another.",
                )

    def unavailable_reason(self, today: date) -> str:
        """Why it is not planned with; '' where it may be."""
        if self.check is not None and not self.check.safe:
            return f"found unsafe on {self.check.day.isoformat()}"
        if self.home_made and self.approved is None:
            return "home-made: waits for a photo that the coach approves"
        if self.kind not in BEARS:
            return ""
        if self.check is None:
            return "not checked yet"
        if (today - self.check.day).days > CHECK_DAYS:
            return f"its check of {day_words(self.check.day)} has run out: look again"
        return ""


WARN_DAYS = 14
"""Days before a check runs out from which it is told (common practice)."""


def lapsing(items: Iterable[KitItem], today: date) -> tuple[str, ...]:
    """Of each thing whose check runs out within two weeks, or has run out: what to do, in words."""
    lapses = []
    for item in items:
        if item.kind not in BEARS or item.check is None or not item.check.safe:
            continue
        last = item.check.day + timedelta(days=CHECK_DAYS)
        left = (last - today).days
        if left < 0:
            lapses.append(
                f"The check of “{item.name}” ran out on {day_words(last)}: closed until you look."
            )
        elif left <= WARN_DAYS:
            lapses.append(
                f"The check of “{item.name}” runs out on {day_words(last)}: look at it before."
            )
    return tuple(lapses)


def rebuilt(before: KitItem, after: KitItem) -> bool:
    """Whether a thing is so changed that what was checked and approved of it no longer holds."""
    return (before.kind, before.height, before.home_made) != (
        after.kind,
        after.height,
        after.home_made,
    )


def floors_of(floor: Floor) -> frozenset[Surface]:
    """Each floor of a place."""
    return frozenset(("gripping", "smooth")) if floor == "both" else frozenset((floor,))


@dataclass(frozen=True)
class Room:
    """A place to train.

    Attributes:
        name: as the coach calls it.
        floor: whether feet grip or slide, or whether there is one of each.
        items: what is there.
    """

    name: str
    floor: Floor
    items: tuple[KitItem, ...] = ()

    @property
    def floors(self) -> frozenset[Surface]:
        """Floors that are there."""
        return floors_of(self.floor)


def kit_unavailable_reason(needed: tuple[Kind, ...], rooms: Iterable[Room], today: date) -> str:
    """Why the kit at hand does not allow something; '' where it does.

    Args:
        needed: any one of these kinds will do; none is needed if empty.
        rooms: where the person trains; nothing is refused where none is known.
        today: for checks that have run out.
    """
    known = tuple(rooms)
    if not needed or not known:
        return ""
    there = [item for room in known for item in room.items if item.kind in needed]
    if not there:
        where = ", ".join(room.name for room in known)
        return f"it needs {' or '.join(needed)}, and there is none at {where}"
    reasons = [(item, item.unavailable_reason(today)) for item in there]
    if any(not reason for _, reason in reasons):
        return ""
    item, reason = reasons[0]
    return f"“{item.name}” is not safe to plan with: {reason}"


Weights = tuple[float, ...]


@dataclass(frozen=True)
class ToHand:
    """What can be set up with: heights, weights, bands, and whatever kinds of thing there are.

    Attributes:
        kinds: of safe things; None where nothing is known, and all are taken to be there.
        heights: of things to stand or lean on, m.
        bars: heights of what one hangs from, m.
        loads: weights a bag can be filled to, kg.
        placed: weights that things made for a place make there, kg, by the place's name.
        bands: measured ones, by name.
        assistances: kilos that something takes off at the hips.
    """

    kinds: frozenset[Kind] | None
    heights: tuple[float, ...] = ()
    bars: tuple[float, ...] = ()
    loads: tuple[float, ...] = ()
    bands: tuple[tuple[str, Band], ...] = ()
    assistances: tuple[float, ...] = ()
    placed: tuple[tuple[str, tuple[float, ...]], ...] = ()

    def loads_at(self, place: str) -> tuple[float, ...]:
        """Weights that can be carried at a place, kg, ascending."""
        return tuple(sorted({*self.loads, *dict(self.placed).get(place, ())}))

    def has(self, needed: tuple[Kind, ...]) -> bool:
        """Whether one of these kinds is there; none is needed if empty."""
        return not needed or self.kinds is None or bool(self.kinds & set(needed))


LEAN_ON: frozenset[Kind] = frozenset({"surface", "chair", "stairs"})
HANG_FROM: frozenset[Kind] = frozenset({"bar", "rings"})
BAG_HOLDS = 15.0
"""Kilos a bag of unknown size holds (common practice)."""

ANYTHING = ToHand(
    None,
    tuple(round(0.1 * i, 1) for i in range(1, 10)),
    (2.2,),
    tuple(2.5 * i for i in range(1, 7)),
)
"""What is taken to be there where no kit is known: heights of 10 to 90 cm in
tens, and a bag of 2.5 to 15 kg."""


def to_hand(rooms: Iterable[Room], today: date, bands: tuple[tuple[str, Band], ...] = ()) -> ToHand:
    """What the safe things of some rooms can be set up to; `ANYTHING` where no room is known."""
    known = tuple(rooms)
    if not known:
        return replace(ANYTHING, bands=bands)
    items = [item for room in known for item in room.items if not item.unavailable_reason(today)]

    def heights(kinds: frozenset[Kind]) -> tuple[float, ...]:
        piece_heights = {item.height for item in items if item.kind in kinds and item.height}
        return tuple(sorted(piece_heights))

    bags = [item.kg or BAG_HOLDS for item in items if item.kind == "bag"]
    things = tuple(
        Thing(item.name, item.kg or 0.0, item.count) for item in items if item.kind in FILLS
    )
    kinds = frozenset(item.kind for item in items)
    stairs = {
        round(step * item.height, 3)
        for item in items
        if item.kind == "stairs" and item.height
        for step in (2, 3)
    }
    return ToHand(
        kinds,
        tuple(sorted({*heights(LEAN_ON), *stairs})),
        heights(HANG_FROM),
        weights(things, max(bags)) if bags else (),
        bands if "band" in kinds else (),
        weights(things, PULLEY_TAKES) if "pulley" in kinds and things else (),
        (
            ("vest", weights(things, BELT_HOLDS) if "belt" in kinds and things else ()),
            ("hands", _in_pairs(items, HELD, alone=True)),
            ("ankles", _in_pairs(items, ("ankle weight",), alone=False)),
        ),
    )


def _in_pairs(items: Iterable[KitItem], kinds: tuple[Kind, ...], *, alone: bool) -> Weights:
    """What one and two of the same weigh together, kg; two only where one is not used alone."""
    masses: set[float] = set()
    for item in items:
        if item.kind in kinds and item.kg:
            if alone:
                masses.add(item.kg)
            if item.count >= 2:
                masses.add(2 * item.kg)
    return tuple(sorted(masses))
