"""Movements, and what changes a movement's demand."""

from dataclasses import dataclass, field
from functools import cache
from importlib import resources
from tomllib import loads
from typing import Literal

from pydantic import TypeAdapter

from invelo.core.body import Worn
from invelo.core.errors import InputError
from invelo.core.setup import BandHold, Help, SetUp, set_up
from invelo.core.tempo import Tempo

CATALOGUE_VERSION = "2"
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
    fault: tuple[Fault, ...] = ()

    def __post_init__(self) -> None:
        """Hold the catalogue to three cues."""
        if not 1 <= len(self.cues) <= 3:
            raise ValueError(f"{self.id}: one to three cues are wanted, not {len(self.cues)}")


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


@dataclass(frozen=True)
class ReadyRung:
    """A rung of a ready ladder, as the catalogue writes it."""

    name: str
    movement: str
    values: dict[str, float] = field(default_factory=dict)
    vest: float = 0.0
    bag: float = 0.0
    tempo: str = "1-0-1-0"

    def modifiers(self) -> Modifiers:
        """As the core computes with them."""
        return Modifiers(
            sorted_values(self.values),
            Worn(vest=self.vest, bag=self.bag),
            tempo=Tempo.parse(self.tempo),
        )


@dataclass(frozen=True)
class ReadyLadder:
    """A ladder to copy to an athlete and change from there."""

    id: str
    goal: str
    family: str
    rungs: tuple[ReadyRung, ...]


@dataclass(frozen=True)
class Catalogue:
    """Everything the product knows by name."""

    movement: tuple[Movement, ...]
    ladder: tuple[ReadyLadder, ...]

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
            "movement": [m for page in pages for m in page.get("movement", [])],
            "ladder": [ladder for page in pages for ladder in page.get("ladder", [])],
        }
    )
