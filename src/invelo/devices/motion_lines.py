"""The line protocol of a motion sensor: one JSON object a line, over a WebSocket.

`docs/formats/motion.md` tells it to whoever builds a device; this page reads and writes it.
"""

from typing import Annotated, Literal

from pydantic import Field, TypeAdapter

from invelo.devices.lines import ProtocolLine, read, written
from invelo.domain.training.motion.watch import JointName

__all__ = [
    "Angle",
    "FromSensor",
    "MotionHello",
    "MotionTrouble",
    "from_sensor",
    "to_sensor",
    "written",
]


class MotionHello(ProtocolLine):
    """First line of a sensor: what it is, and the joint whose angle it tells."""

    type: Literal["hello"] = "hello"
    device: str = Field(max_length=80)
    joint: JointName
    simulated: bool = False


class Angle(ProtocolLine):
    """A reading: seconds on the sensor's own clock, the joint's angle in degrees (180 straight),
    and how far the hips are off the line from shoulder to ankle, in degrees, + up."""

    type: Literal["angle"] = "angle"
    at: float
    angle: float
    line: float | None = None


class MotionTrouble(ProtocolLine):
    """To the stand-in only: fall silent, lie, or drop the link, to see what becomes of it."""

    type: Literal["trouble"] = "trouble"
    what: Literal["silent", "lie", "drop"]


FromSensor = MotionHello | Angle

_FROM: TypeAdapter[FromSensor] = TypeAdapter(Annotated[FromSensor, Field(discriminator="type")])
_TO: TypeAdapter[MotionTrouble] = TypeAdapter(MotionTrouble)


def from_sensor(line: str | bytes) -> FromSensor:
    """Read a line of a sensor.

    Raises:
        InputError: for what is no such line.
    """
    return read(_FROM, line, "sensor")


def to_sensor(line: str | bytes) -> MotionTrouble:
    """Read a line to a sensor.

    Raises:
        InputError: for what is no such line.
    """
    return read(_TO, line, "command")
