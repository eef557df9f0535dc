"""JSON files: how they are written, and every fault of one that is read, with its place."""

import json
from collections.abc import Iterable
from typing import Any

from pydantic import BaseModel, Field, ValidationError

from invelo.domain.errors import InputError


def as_text(document: Any) -> str:
    """JSON as files have it."""
    return json.dumps(document, indent=2, ensure_ascii=False) + "\n"


class FileFault(BaseModel):
    """Something wrong with a file, and where."""

    place: str = Field(examples=["rungs[2].values.hand_height"])
    problem: str
    remedy: str


def place_of(loc: Iterable[str | int]) -> str:
    """Where something is in JSON: `rungs[2].prescription.low`."""
    place = ""
    for part in loc:
        place += f"[{part}]" if isinstance(part, int) else f".{part}" if place else str(part)
    return place


def shape_faults(error: ValidationError, whole: str, remedy: str) -> tuple[FileFault, ...]:
    """What a schema refuses.

    Args:
        error: of the schema's.
        whole: what the whole is called.
        remedy: for each.
    """
    return tuple(
        FileFault(
            place=place_of(fault["loc"]) or whole,
            problem=f"{fault['msg'].rstrip('.')}.",
            remedy=remedy,
        )
        for fault in error.errors()
    )


def fault_at(place: str, error: InputError) -> FileFault:
    """What the domain refuses of a part."""
    field = error.field.replace(" ", "_")
    return FileFault(
        place=f"{place}.{field}".strip("."), problem=error.problem, remedy=error.remedy
    )
