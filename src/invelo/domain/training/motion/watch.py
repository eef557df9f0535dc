"""What a sensor watches in a movement: which joint, from where to where, and how deep is enough."""

from dataclasses import dataclass
from typing import Literal

import numpy as np

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError
from invelo.domain.estimate import Array
from invelo.domain.strength.tempo import Tempo

JointName = Literal["elbow", "knee", "hip", "shoulder"]
BETWEEN: dict[JointName, tuple[str, str, str]] = {
    "elbow": ("shoulder", "elbow", "wrist"),
    "knee": ("hip", "knee", "ankle"),
    "hip": ("shoulder", "hip", "knee"),
    "shoulder": ("hip", "shoulder", "elbow"),
}
"""A joint's angle is the one between its two neighbours; 180° is straight."""

LEAST_ANGLE: dict[str, float] = {"horizontal push": 90.0, "horizontal pull": 90.0}
"""Angle of the elbow, in degrees, that a rep of a family passes at the least (common practice:
push-up elbows to 90° or past)."""

LEAST_SHARE = 0.6
"""Share of the modelled range that counts as a full rep where no angle is agreed on (ours)."""

BEYOND = 15.0
"""Degrees past the modelled end that are deeper than the most (ours)."""

LEAST_TRAVEL = 20.0
"""Degrees that a joint must move to be counted by (ours)."""

HOLD_SLACK = 15.0
"""Degrees by which a held joint may wander before the hold is lost (ours)."""

STRAIGHT = ("horizontal push", "vertical push", "straight-arm push", "straight-arm pull")
"""Families in which the body keeps one line."""


@dataclass(frozen=True)
class Watch:
    """What to watch.

    Attributes:
        joint: whose angle is followed.
        start, end: its angle at the rep's start and other end, degrees; the same for a hold.
        least: the angle a full rep passes at the least.
        most: the angle past which a rep is too deep.
        tempo: seconds of each phase that are asked for.
        rises: whether the rep begins by going up.
        line: whether the body is to keep one line.
        held: whether it is a hold.
    """

    joint: JointName
    start: float
    end: float
    least: float
    most: float
    tempo: Tempo
    rises: bool = False
    line: bool = False
    held: bool = False

    def depth(self, angle: float) -> float:
        """How far a rep has gone: 0 at its start, 1 at its modelled end."""
        return (angle - self.start) / (self.end - self.start)

    @property
    def least_depth(self) -> float:
        """Of a full rep."""
        return self.depth(self.least)

    @property
    def most_depth(self) -> float:
        """Past which it is too deep."""
        return self.depth(self.most)


def watch(body: Body, movement: Movement, modifiers: Modifiers) -> Watch:
    """What to watch when this body does a movement.

    Raises:
        InputError: where no joint moves enough to be counted by, or no posture is known.
    """
    if movement.rpe_only or movement.unit == "cm":
        raise _cannot(movement, "no angle tells it")
    read = reading(body, modifiers.setup(movement))
    line = movement.family in STRAIGHT
    if movement.unit == "s":
        joint, angle = _held(read)
        return Watch(joint, angle, angle, angle, angle, modifiers.tempo, False, line, held=True)
    joint, start, end = _travels(read)
    if abs(end - start) < LEAST_TRAVEL:
        raise _cannot(movement, f"its {joint} moves {abs(end - start):.0f}° only")
    way = 1.0 if end > start else -1.0
    least = start + LEAST_SHARE * (end - start)
    if joint == "elbow" and movement.family in LEAST_ANGLE:
        agreed = LEAST_ANGLE[movement.family]
        least = agreed if (end - agreed) * way > 0 else least
    return Watch(joint, start, end, least, end + way * BEYOND, modifiers.tempo, read.rises, line)


def _cannot(movement: Movement, why: str) -> InputError:
    return InputError(
        "movement",
        f"the {movement.name.lower()} cannot be counted by a sensor: {why}.",
        "Count it by hand.",
    )


def _angles(read: Reading, joint: JointName) -> Array | None:
    """The joint's angle along the rep, degrees, shape `(n,)`; None where it is not drawn."""
    there = read.posture.joints
    names = BETWEEN[joint]
    if any(name not in there for name in names):
        return None
    near, at, far = (np.asarray(there[name])[:, 0, :] for name in names)
    one, other = near - at, far - at
    sizes = np.linalg.norm(one, axis=-1) * np.linalg.norm(other, axis=-1)
    if np.any(sizes < 1e-9):
        return None
    cosine = np.clip((one * other).sum(axis=-1) / sizes, -1.0, 1.0)
    angles: Array = np.degrees(np.arccos(cosine))
    return angles


def _travels(read: Reading) -> tuple[JointName, float, float]:
    """The joint whose angle changes most, and the angle at both ends."""
    travels: list[tuple[float, JointName, float, float]] = []
    for joint in BETWEEN:
        angles = _angles(read, joint)
        if angles is not None:
            ends = float(angles[0]), float(angles[-1])
            travels.append((abs(ends[1] - ends[0]), joint, *ends))
    _, joint, start, end = max(travels)
    return joint, start, end


def _held(read: Reading) -> tuple[JointName, float]:
    """The joint whose shape a hold keeps: the hip, or what is drawn instead."""
    for joint in ("hip", "knee", "elbow", "shoulder"):
        angles = _angles(read, joint)
        if angles is not None:
            return joint, float(angles[-1])
    raise InputError("movement", "no joint of it is drawn.", "Time it by hand.")
