"""A movement of a coach's own as it travels: in requests and in ladder files."""

import json
from collections.abc import Callable, Iterable
from typing import Literal
from uuid import NAMESPACE_URL, uuid5

from pydantic import Field

from invelo.domain.catalogue.movement import Fault, Movement, Muscle, StressedJoint
from invelo.domain.catalogue.own import PREFIX, OwnMovement, learn, said_of
from invelo.domain.equipment.kit import Kind
from invelo.domain.errors import InputError
from invelo.domain.plan.prescription import Counted
from invelo.domain.strict import StrictModel


class OwnFault(StrictModel):
    """Something to see in a rep, and what to do about it."""

    name: str = Field(max_length=120)
    remedy: str = Field(max_length=200)


class OwnMovementOf(StrictModel):
    """A movement of a coach's own; what is left out is as of the one it is made from."""

    name: str = Field(max_length=80, examples=["Half-tuck lean"])
    base: str = Field(max_length=80, description="Movement it is made from.", examples=["planche"])
    also: list[str] = Field(default_factory=list, max_length=12)
    counted: Counted | None = None
    values: dict[str, float] = Field(default_factory=dict, max_length=20)
    start: dict[str, float] = Field(
        default_factory=dict, max_length=12, description="Joint angles, degrees."
    )
    end: dict[str, float] = Field(default_factory=dict, max_length=12)
    cues: list[str] = Field(default_factory=list, max_length=3)
    faults: list[OwnFault] = Field(default_factory=list, max_length=6)
    prime: dict[Muscle, int] = Field(default_factory=dict)
    helping: dict[Muscle, int] = Field(default_factory=dict)
    kit: list[Kind] | None = None
    stress: dict[StressedJoint, Literal[1, 2, 3]] | None = Field(
        None, description="Proposed from the posture if left out."
    )

    def core(self) -> OwnMovement:
        """As the domain reads it."""
        plain = {"name", "base", "counted", "values", "start", "end", "prime", "helping", "stress"}
        return OwnMovement(
            **self.model_dump(include=plain),
            also=tuple(self.also),
            cues=tuple(self.cues),
            faults=tuple(Fault(fault.name, fault.remedy) for fault in self.faults),
            kit=None if self.kit is None else tuple(self.kit),
        )

    @classmethod
    def of(cls, own: OwnMovement) -> "OwnMovementOf":
        """As it travels."""
        return cls.model_validate(own, from_attributes=True)


class FileMovement(OwnMovementOf):
    """A movement of the coach's own in a file."""

    id: str = Field(description="Its name in this file, as others give it.", examples=["own:m1"])

    @classmethod
    def keyed(cls, key: str, own: OwnMovement) -> "FileMovement":
        """As it stands in a file."""
        return cls(id=key, **OwnMovementOf.of(own).model_dump())


def keyed(movements: Iterable[Movement]) -> dict[str, tuple[str, OwnMovement]]:
    """Those of movements that are a coach's own, by their id: the name each has in a file, and what
    the coach said of it."""
    return {
        movement.id: (f"{PREFIX}m{number}", said)
        for number, movement in enumerate(dict.fromkeys(movements), start=1)
        if (said := said_of(movement)) is not None
    }


def brought(
    movements: Iterable[FileMovement], owner: str, note: Callable[[str, InputError], None]
) -> dict[str, tuple[str, OwnMovement]]:
    """Movements that a file brings, made known, by the name each has there: their id here, the
    same ones having the same for one owner, and what is said of them.

    Args:
        movements: of the file.
        owner: whose they become.
        note: takes what is wrong, and where.
    """
    by_id: dict[str, tuple[str, OwnMovement]] = {}
    for i, entry in enumerate(movements):
        said = json.dumps(entry.model_dump(mode="json", exclude={"id"}), sort_keys=True)
        own_id = f"{PREFIX}{uuid5(NAMESPACE_URL, f'invelo:own:{owner}:{said}')}"
        own = entry.core()
        try:
            learn(own_id, own)
        except InputError as error:
            note(f"movements[{i}]", error)
            continue
        by_id[entry.id] = own_id, own
    return by_id
