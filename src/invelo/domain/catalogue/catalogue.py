"""The catalogue: what the product knows by name, as data, validated on first use.

The pages beside this one hold it; docs/catalogue.md says how a movement is added.
"""

from collections.abc import Callable, Iterable
from dataclasses import dataclass, field
from difflib import get_close_matches
from functools import cache, cached_property
from importlib import resources
from tomllib import loads
from typing import Any, Literal

from pydantic import TypeAdapter

from invelo.domain.biomechanics.body import USUAL_MASS, USUAL_STATURE, AddedLoad
from invelo.domain.biomechanics.setup import Assistance
from invelo.domain.catalogue.finder import Finder
from invelo.domain.catalogue.movement import Modifiers, Movement, sorted_values
from invelo.domain.catalogue.norms import Norm
from invelo.domain.equipment.kit import Kind
from invelo.domain.errors import InputError
from invelo.domain.plan.session.template import SessionTemplate
from invelo.domain.strength.tempo import Tempo

CATALOGUE_VERSION = "6"
"""Version of the movements as data; stored beside every result that used them."""


KINDS = ("family", "movement", "ladder", "test", "skill", "norm", "session")
"""What the pages hold."""


@dataclass(frozen=True)
class Family:
    """Movements that train one pattern.

    Attributes:
        name: as movements name it.
        about: what it is, in a line.
        usual: what its movements have in common; each may say otherwise.
    """

    name: str
    about: str
    usual: dict[str, Any] = field(default_factory=dict)


OF_HEIGHT = frozenset({"stride"})
"""Lengths that are a share of whoever steps, whatever the movement."""


@dataclass(frozen=True, kw_only=True)
class ReadySetUp:
    """A movement and what is changed about it, as the catalogue writes it.

    Attributes:
        name: as it is called there.
        movement: its id.
        shape: a named shape of its form; `values` go on top.
        vest, bag, hands: kg.
        assistance: kg taken off at the hips.
        assistance_share, vest_share: the same, and what hangs on a belt, in % of body mass.
        range: share of the full range.
        tempo: lower-hold-press-hold, s.
        of_height: values in metres that are no real thing's; the movement's own where none is
            named.
    """

    name: str
    movement: str
    shape: str = ""
    values: dict[str, float] = field(default_factory=dict)
    vest: float = 0.0
    bag: float = 0.0
    hands: float = 0.0
    assistance: float = 0.0
    range: float = 1.0
    assistance_share: float = 0.0
    vest_share: float = 0.0
    tempo: str = "1-0-1-0"
    of_height: tuple[str, ...] = ()

    @property
    def of(self) -> Movement:
        """Its movement."""
        return catalogue().find_movement(self.movement)

    def modifiers(self, stature: float = USUAL_STATURE, mass: float = USUAL_MASS) -> Modifiers:
        """As the domain computes with them.

        Args:
            stature: of the body, m; what the catalogue tells in metres for its own stature, and is
                no real thing's height, is that share of this one's.
            mass: of the body, kg, of which shares are taken.
        """
        movement = self.of
        named = movement.posture.named(self.shape) if self.shape else {}
        values = {**movement.values, **named, **self.values}
        if stature != USUAL_STATURE:
            own = movement.posture.values(values)
            scaled = set(self.of_height or movement.of_height) | (OF_HEIGHT & own.keys())
            values |= {name: round(own[name] * stature / USUAL_STATURE, 2) for name in scaled}
        assistance = self.assistance or _kilos(self.assistance_share, mass)
        return Modifiers(
            sorted_values(values),
            AddedLoad(
                vest=self.vest or _kilos(self.vest_share, mass), bag=self.bag, hands=self.hands
            ),
            assistance=Assistance(assistance) if assistance else None,
            range=self.range,
            tempo=Tempo.parse(self.tempo),
        )


def _kilos(share: float, mass: float) -> float:
    """A share of body mass, %, in half kilos."""
    return round(2.0 * share / 100.0 * mass) / 2.0


@dataclass(frozen=True, kw_only=True)
class TestKind(ReadySetUp):
    """Something to test: a set-up done as many times, or as long, as possible.

    Attributes:
        id: stable name.
        how: what to do, and what ends it.
        level: for whom it comes first: those new to it, the trained, or the strong.
        kit: besides the movement's own, any one of these.
        norm: id of the published norms it compares with, '' for none.
        beside: what is to be known where no norm stands beside it.
        stop_at: seconds of a hold after which longer tells nothing; 0 for none.
        within: seconds there are for it, counted till they are over; 0 where it goes to its end.
        from_age: years from which it is proposed.
    """

    id: str
    how: str
    level: Literal["new", "trained", "strong"]
    kit: tuple[Kind, ...] = ()
    norm: str = ""
    beside: str = ""
    stop_at: int = 0
    within: int = 0
    from_age: int = 0

    @property
    def per_side(self) -> bool:
        """Whether each side is tested for itself."""
        return self.of.counted == "per side"

    @property
    def tells_capacity(self) -> bool:
        """Whether its end is the end of strength: not of a clock, of balance or of a jump."""
        return not self.within and self.of.tells_capacity


@dataclass(frozen=True)
class Skill:
    """A goal.

    Attributes:
        id, name: as stored, as shown.
        families: that lead there, the nearest first.
        movement: the goal itself, '' for strength in general.
    """

    id: str
    name: str
    families: tuple[str, ...]
    movement: str = ""


@dataclass(frozen=True, kw_only=True)
class ReadyRung(ReadySetUp):
    """A rung of a ready ladder.

    Attributes:
        after: names of the rungs one steps here from; the one before it if left out.
        why: why it is here, where the computed demand alone would not say so.
    """

    after: tuple[str, ...] = ()
    why: str = ""


@dataclass(frozen=True, kw_only=True)
class ReadyLadder:
    """A ladder to copy to an athlete and change from there.

    Attributes:
        id, goal, family: as stored, as shown, and what it trains.
        rungs: from the easiest.
        household: whether stairs, chairs, towels and a bag are all it takes.
    """

    id: str
    goal: str
    family: str
    rungs: tuple[ReadyRung, ...]
    household: bool = False

    def lower(self, index: int) -> tuple[int, ...]:
        """Positions of the rungs one steps to this one from; empty at a foot."""
        names = [rung.name for rung in self.rungs]
        after = self.rungs[index].after
        if after == ("",):
            return ()
        return tuple(names.index(name) for name in after) or ((index - 1,) if index else ())


@dataclass(frozen=True)
class Catalogue:
    """Everything the product knows by name."""

    family: tuple[Family, ...]
    movement: tuple[Movement, ...]
    ladder: tuple[ReadyLadder, ...]
    test: tuple[TestKind, ...] = ()
    skill: tuple[Skill, ...] = ()
    norm: tuple[Norm, ...] = ()
    session: tuple[SessionTemplate, ...] = ()

    def __post_init__(self) -> None:
        """Check that what is named is there, once."""
        for kind in ("family", "movement", "ladder", "test", "skill", "session"):
            names = [entry.name if kind == "family" else entry.id for entry in getattr(self, kind)]
            twice = {name for name in names if names.count(name) > 1}
            if twice:
                raise ValueError(f"{kind} {', '.join(sorted(twice))}: named twice.")
        known = {other.id for other in self.movement}
        for shape in self.session:
            for slot in (slot for block in shape.blocks for slot in block.slots):
                unknown = set(slot.movements) - known
                if unknown or not self.of_family(slot.family):
                    raise ValueError(f"{shape.id}: {', '.join(unknown) or slot.family} is unknown.")
        for movement in self.movement:
            for fault in movement.fault:
                if fault.easier and fault.easier not in known - {movement.id}:
                    raise ValueError(
                        f"{movement.id}: “{fault.name}” calls for “{fault.easier}”, which is no "
                        "other movement."
                    )

    def find_movement(self, movement_id: str) -> Movement:
        """A movement by its id, or else by its name or another term that no other has.

        Raises:
            InputError: if there is none, or several.
        """
        movement = self.movement_or_none(movement_id)
        if movement is not None:
            return movement
        called = self.called(movement_id)
        if len(called) == 1:
            return called[0]
        if called:
            names = " or ".join(f"“{candidate.name}”" for candidate in called)
            raise InputError(
                "movement", f"“{movement_id}” may be several movements.", f"Say {names}."
            )
        raise InputError(
            "movement",
            f"“{movement_id}” is not in the catalogue.",
            f"Did you mean {self._near(movement_id)}?",
        )

    def movement_or_none(self, movement_id: str) -> Movement | None:
        """A movement by its id, a coach's own too; None if there is none."""
        return self._by_id.get(movement_id) or _own(movement_id)

    @cached_property
    def _by_id(self) -> dict[str, Movement]:
        return {other.id: other for other in self.movement}

    def _near(self, name: str) -> str:
        near_ids = [other.id for other in self.finder.find(name, 3)]
        near = near_ids or get_close_matches(name, list(self._by_id), n=3, cutoff=0.0)
        return " or ".join(f"“{movement_id}”" for movement_id in near)

    @cached_property
    def finder(self) -> Finder:
        """By which movements are found by what people call them."""
        return Finder(self.movement)

    def called(self, name: str) -> tuple[Movement, ...]:
        """Movements of a name or another term for it; one name may mean several."""
        return self.finder.called(name)

    def of_family(self, family: str) -> tuple[Movement, ...]:
        """A family's movements, in the order of the pages."""
        return tuple(other for other in self.movement if other.family == family)

    def families_with(self, form_id: str) -> tuple[str, ...]:
        """Families that have a movement computed by a form, by name."""
        return tuple(sorted({other.family for other in self.movement if other.form == form_id}))

    def movement_of(self, form_id: str, family: str) -> Movement:
        """The plainest movement of a family that is computed by a form.

        Raises:
            InputError: if the family has none.
        """
        for movement in self.of_family(family):
            if movement.form == form_id:
                return movement
        raise InputError(
            "movement",
            f"a ladder of the {family} has no {form_id.replace('_', ' ')} yet.",
            "Keep it on a ladder of its own family.",
        )

    def find_ladder(self, ladder_id: str) -> ReadyLadder:
        """A ready ladder by its id.

        Raises:
            InputError: if there is none.
        """
        for ladder in self.ladder:
            if ladder.id == ladder_id:
                return ladder
        known = ", ".join(ladder.id for ladder in self.ladder)
        raise InputError(
            "ready ladder", f"“{ladder_id}” is not in the catalogue.", f"Use one of {known}."
        )


_kept: dict[str, Movement] = {}
"""Movements that coaches made, by id; none ever changes."""

_sources: list[Callable[[str], Movement | None]] = []
"""Where one that is not known yet is looked for; at most one."""


def keep_movement(own: Movement) -> None:
    """Make a coach's movement known to this process."""
    _kept[own.id] = own


def kept_movement(movement_id: str) -> Movement | None:
    """A coach's movement that this process knows already."""
    return _kept.get(movement_id)


def forget_movement(movement_id: str) -> None:
    """Let go of one that was only looked at."""
    _kept.pop(movement_id, None)


def look_in(source: Callable[[str], Movement | None]) -> None:
    """Say where coaches' movements that this process does not know are looked for."""
    _sources[:] = [source]


def _own(movement_id: str) -> Movement | None:
    if movement_id not in _kept and movement_id.startswith("own:"):
        for source in _sources:
            source(movement_id)
    return _kept.get(movement_id)


@cache
def catalogue() -> Catalogue:
    """The catalogue that ships with the product, validated on first use."""
    folder = resources.files("invelo.domain.catalogue")
    pages = sorted((p for p in folder.iterdir() if p.name.endswith(".toml")), key=lambda p: p.name)
    return read(page.read_text(encoding="utf-8") for page in pages)


def read(pages: Iterable[str]) -> Catalogue:
    """A catalogue from the text of its pages.

    Raises:
        ValueError: for a careless entry, naming it and what it wants.
    """
    tables = [loads(page) for page in pages]
    entries = {kind: [row for table in tables for row in table.get(kind, [])] for kind in KINDS}
    usual = {entry["name"]: entry.get("usual", {}) for entry in entries["family"]}
    entries["movement"] = [_inherits(usual, entry) for entry in entries["movement"]]
    return TypeAdapter(Catalogue).validate_python(entries)


def _inherits(usual: dict[str, dict[str, Any]], entry: dict[str, Any]) -> dict[str, Any]:
    """A movement with what its family usually has; who names regions of its own names all."""
    family = entry.get("family")
    if family not in usual:
        raise ValueError(f"{entry.get('id')}: no family “{family}” is described.")
    regions = {"prime", "helping"} if {"prime", "helping"} & entry.keys() else set()
    whole = {k: v for k, v in usual[family].items() if k not in regions} | entry
    dropped = entry.get("drops_cautions", [])
    cautions = [*usual[family].get("cautions", []), *entry.get("cautions", [])]
    unknown = [line for line in dropped if line not in cautions]
    if unknown:
        raise ValueError(f"{entry.get('id')}: drops a caution its family has not: {unknown[0]}")
    whole["cautions"] = [line for line in dict.fromkeys(cautions) if line not in dropped]
    return whole


def find_test(test_id: str) -> TestKind:
    """A test of the catalogue.

    Raises:
        InputError: if there is none of that id.
    """
    for test in catalogue().test:
        if test.id == test_id:
            return test
    raise InputError(
        "test", f"there is no “{test_id[:40]}”.", "Name one of GET /api/catalogue, or leave it out."
    )
