"""The line protocol of a hanging scale: one JSON object a line, over a WebSocket.

`docs/formats/scale.md` tells it to whoever builds a device; this page reads and writes it.
"""

from typing import Annotated, Literal, TypeVar

from pydantic import BaseModel, ConfigDict, Field, TypeAdapter, ValidationError

from invelo.domain.equipment.load_cell import Unit
from invelo.domain.errors import InputError

LONGEST_LINE = 1024
"""Characters; a longer line is a fault, not a reading."""


class ProtocolLine(BaseModel):
    """One line of a device's protocol."""

    model_config = ConfigDict(frozen=True, allow_inf_nan=False)


class Hello(ProtocolLine):
    """First line of a scale: what it is and the unit its samples come in."""

    type: Literal["hello"] = "hello"
    device: str = Field(max_length=80)
    unit: Unit
    simulated: bool = False


class SampleLine(ProtocolLine):
    """A reading: seconds on the scale's own clock, and the value in its unit."""

    type: Literal["sample"] = "sample"
    at: float
    value: float


class UnitNow(ProtocolLine):
    """The unit of the samples that follow; said when it changes."""

    type: Literal["unit"] = "unit"
    unit: Unit


class PullLine(ProtocolLine):
    """To the stand-in only: how far its band is pulled, times its rest length; 0 lets go."""

    type: Literal["pull"] = "pull"
    stretch: float = Field(ge=0, le=3.5)


class Trouble(ProtocolLine):
    """To the stand-in only: fall silent, flood, or drop the link, to see what becomes of it."""

    type: Literal["trouble"] = "trouble"
    what: Literal["silent", "flood", "drop"]


FromScale = Hello | SampleLine | UnitNow
ToScale = UnitNow | PullLine | Trouble

T = TypeVar("T")

_FROM: TypeAdapter[FromScale] = TypeAdapter(Annotated[FromScale, Field(discriminator="type")])
_TO: TypeAdapter[ToScale] = TypeAdapter(Annotated[ToScale, Field(discriminator="type")])


def from_scale(line: str | bytes) -> FromScale:
    """Read a line of a scale.

    Raises:
        InputError: for what is no such line.
    """
    return read(_FROM, line, "scale")


def to_scale(line: str | bytes) -> ToScale:
    """Read a line to a scale.

    Raises:
        InputError: for what is no such line.
    """
    return read(_TO, line, "command")


def written(message: BaseModel) -> str:
    """A message as a line."""
    return message.model_dump_json() + "\n"


def read(kinds: TypeAdapter[T], line: str | bytes, who: str) -> T:
    """Read a line as one of several kinds.

    Raises:
        InputError: naming `who` sent what is none of them.
    """
    if len(line) > LONGEST_LINE:
        raise InputError(who, f"a line of {len(line)} characters.", "Send one object a line.")
    try:
        return kinds.validate_json(line)
    except ValidationError as error:
        what = error.errors()[0]
        where = ".".join(str(part) for part in what["loc"]) or "the line"
        raise InputError(
            who, f"{where}: {what['msg'].lower()}.", "See the protocol's page for what it says."
        ) from error
