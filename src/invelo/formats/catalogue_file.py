"""A coach's own movements and tags as a JSON file."""

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Any, Literal

from pydantic import Field, ValidationError

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Movement
from invelo.domain.catalogue.own import OwnMovement
from invelo.domain.catalogue.tags import NO_TAGS, Tags, tidy
from invelo.domain.errors import InputError
from invelo.domain.strict import StrictModel
from invelo.formats.json_file import FileFault, fault_at, shape_faults
from invelo.formats.own_movement import FileMovement, brought, keyed

VERSION = 1
MOST_MOVEMENTS = 300


class CatalogueFile(StrictModel):
    """What a coach made: movements, and tags of these and of the catalogue's."""

    format: Literal["invelo-catalogue"]
    version: Literal[1] = Field(description="1 for now.")
    movements: list[FileMovement] = Field(default_factory=list, max_length=MOST_MOVEMENTS)
    tags: dict[str, list[str]] = Field(
        default_factory=dict,
        description="By the movement's id, or its name in this file.",
        examples=[{"pull-up": ["grip"], "own:m1": ["grip", "evening class"]}],
    )


@dataclass(frozen=True)
class ReadCatalogue:
    """A file that was read: movements by the id they have here, and tags; or its faults."""

    own: tuple[tuple[str, OwnMovement], ...]
    tags: Tags
    faults: tuple[FileFault, ...]


def write(movements: Iterable[Movement], tags: Tags) -> dict[str, Any]:
    """A coach's own movements and tags as a file says them."""
    own = keyed(movements)
    names = {movement_id: key for movement_id, (key, _) in own.items()}
    return CatalogueFile(
        format="invelo-catalogue",
        version=VERSION,
        movements=[FileMovement.keyed(*pair) for pair in own.values()],
        tags={names.get(movement, movement): list(those) for movement, those in tags.items()},
    ).model_dump(mode="json", exclude_none=True)


def check(document: Any, owner: str) -> ReadCatalogue:
    """Read what JSON holds, with every fault there is.

    Args:
        found: in the file.
        owner: whose movements those become that it brings.
    """
    try:
        file = CatalogueFile.model_validate(document)
    except ValidationError as error:
        remedy = "Export one here and see how it is written."
        return ReadCatalogue((), NO_TAGS, shape_faults(error, "file", remedy))
    faults: list[FileFault] = []
    own = brought(file.movements, owner, lambda at, error: faults.append(fault_at(at, error)))
    tags: dict[str, tuple[str, ...]] = {}
    for name, typed in file.tags.items():
        try:
            movement = own[name][0] if name in own else catalogue().find_movement(name).id
            tags[movement] = tidy(typed, tags)
        except InputError as error:
            faults.append(fault_at(f"tags.{name}", error))
    return ReadCatalogue(tuple(own.values()), tags, tuple(faults))
