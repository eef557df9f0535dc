"""Movements, and what changes a movement's demand."""

from dataclasses import dataclass, field
from functools import cache
from importlib import resources
from tomllib import loads
from typing import Literal

from pydantic import TypeAdapter

from invelo.core.body import Worn
from invelo.core.dose import Unit
from invelo.core.errors import InputError
from invelo.core.kit import Kind
from invelo.core.norms import Norm
from invelo.core.posture.form import Form, form
from invelo.core.setup import BandHold, Help, SetUp, set_up
from invelo.core.tempo import Tempo

CATALOGUE_VERSION = "3"
"""Version of the movements as data; stored beside every result that used them."""


@dataclass(frozen=True)
class Fault:
    """Something to see in a rep, and what to do about it."""

    name: str
    remedy: str


@dataclass(frozen=True)
class Movement:
    """A named exercise.

    Attributes:
        id: stable name in stored data.
        name: plain name.
        family: movements that train one pattern.
        form: the posture that is computed.
        counted: how reps are counted.
        prime: muscles that do the work.
        cues: three at most.
        also: other terms for it.
        cautions: shown on the rung and before a session.
        kit: any one of these is needed; nothing is if it is empty.
        fault: faults with the easier rung each calls for.
    """

    id: str
    name: str
    family: str
    form: str
    counted: Literal["total", "per side", "alternating"]
    prime: tuple[str, ...]
    cues: tuple[str, ...]
    also: tuple[str, ...] = ()
    cautions: tuple[str, ...] = ()
    kit: tuple[Kind, ...] = ()
    fault: tuple[Fault, ...] = ()

    def __post_init__(self) -> None:
        """Hold the catalogue to three cues."""
        if not 1 <= len(self.cues) <= 3:
            raise ValueError(f"{self.id}: one to three cues are wanted, not {len(self.cues)}")

    @property
    def posture(self) -> Form:
        """The form it is computed by."""
        return form(self.form)

    @property
    def unit(self) -> Unit:
        """What a set of it is counted in: reps, or seconds of a hold."""
        return "s" if self.posture.counted == "hold" else "reps"


@dataclass(frozen=True)
class Modifiers:
    """What is changed about a movement.

    Attributes:
        values: of the form's parameters where they differ from its own, sorted by name.
        worn: mass carried.
        band, help: what pulls or lifts from outside.
        range: share of the full range, from the rep's start.
        tempo: seconds of each phase.
    """

    values: tuple[tuple[str, float], ...] = ()
    worn: Worn = field(default_factory=Worn)
    band: BandHold | None = None
    help: Help | None = None
    range: float = 1.0
    tempo: Tempo = field(default_factory=Tempo)

    def setup(self, movement: Movement) -> SetUp:
        """The posture's own set-up.

        Raises:
            InputError: for a value out of range.
        """
        return self.of_form(movement.form)

    def of_form(self, form_id: str, shape: str | None = None) -> SetUp:
        """The set-up of a form, or of a named shape of it with these values on top.

        Raises:
            InputError: for a value out of range.
        """
        return set_up(
            form_id,
            shape=shape,
            worn=self.worn,
            band=self.band,
            help=self.help,
            range=self.range,
            **dict(self.values),
        )


def sorted_values(values: dict[str, float]) -> tuple[tuple[str, float], ...]:
    """Values as `Modifiers` keeps them."""
    return tuple(sorted(values.items()))


@dataclass(frozen=True, kw_only=True)
class ReadySetUp:
    """A movement and what is changed about it, as the catalogue writes it.

    Attributes:
        name: as it is called there.
        movement: its id.
        shape: a named shape of its form; `values` go on top.
        vest, bag, hands: kg.
        tempo: lower-hold-press-hold, s.
    """

    name: str
    movement: str
    shape: str = ""
    values: dict[str, float] = field(default_factory=dict)
    vest: float = 0.0
    bag: float = 0.0
    hands: float = 0.0
    tempo: str = "1-0-1-0"

    def modifiers(self) -> Modifiers:
        """As the core computes with them."""
        named: dict[str, float] = {}
        if self.shape:
            named = catalogue().find_movement(self.movement).posture.named(self.shape)
        return Modifiers(
            sorted_values(named | self.values),
            Worn(vest=self.vest, bag=self.bag, hands=self.hands),
            tempo=Tempo.parse(self.tempo),
        )


@dataclass(frozen=True, kw_only=True)
class TestKind(ReadySetUp):
    """Something to test: a set-up done to the end.

    Attributes:
        id: stable name.
        how: what to do, and what ends it.
        level: for whom it comes first: those new to it, the trained, or the strong.
        kit: besides the movement's own, any one of these.
        norm: id of the published norms it compares with, '' for none.
    """

    id: str
    how: str
    level: Literal["new", "trained", "strong"]
    kit: tuple[Kind, ...] = ()
    norm: str = ""

    @property
    def of(self) -> Movement:
        """Its movement."""
        return catalogue().find_movement(self.movement)

    @property
    def per_side(self) -> bool:
        """Whether each side is tested for itself."""
        return self.of.counted == "per side"


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


@dataclass(frozen=True)
class ReadyLadder:
    """A ladder to copy to an athlete and change from there."""

    id: str
    goal: str
    family: str
    rungs: tuple[ReadySetUp, ...]


@dataclass(frozen=True)
class Catalogue:
    """Everything the product knows by name."""

    movement: tuple[Movement, ...]
    ladder: tuple[ReadyLadder, ...]
    test: tuple[TestKind, ...] = ()
    skill: tuple[Skill, ...] = ()
    norm: tuple[Norm, ...] = ()

    def find_movement(self, movement_id: str) -> Movement:
        """A movement by its id.

        Raises:
            InputError: if there is none.
        """
        for movement in self.movement:
            if movement.id == movement_id:
                return movement
        known = ", ".join(m.id for m in self.movement)
        raise InputError(
            "movement", f"“{movement_id}” is not in the catalogue.", f"Use one of {known}."
        )

    def families_with(self, form_id: str) -> tuple[str, ...]:
        """Families that have a movement computed by a form, by name."""
        return tuple(sorted({one.family for one in self.movement if one.form == form_id}))

    def movement_of(self, form_id: str, family: str) -> Movement:
        """The plainest movement of a family that is computed by a form.

        Raises:
            InputError: if the family has none.
        """
        for movement in self.movement:
            if movement.form == form_id and movement.family == family:
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


@cache
def catalogue() -> Catalogue:
    """The catalogue that ships with the product, validated on first use."""
    folder = resources.files("invelo.core.catalogue")
    pages = [
        loads(page.read_text(encoding="utf-8"))
        for page in sorted(folder.iterdir(), key=lambda p: p.name)
        if page.name.endswith(".toml")
    ]
    return TypeAdapter(Catalogue).validate_python(
        {
            kind: [entry for page in pages for entry in page.get(kind, [])]
            for kind in ("movement", "ladder", "test", "skill", "norm")
        }
    )
