"""The planar skeleton every family's postures are built on.

Axes: x runs along the ground from the feet towards the head, y runs up; metres. Any quantity may
carry leading array dimensions `(...)`, one entry per variation of the body.
"""

from dataclasses import dataclass, field
from typing import Literal

import numpy as np

from invelo.core.body import SegmentValues, Worn
from invelo.core.estimate import Array

SEGMENT_ENDS = {
    "head": ("shoulder", "crown"),
    "trunk": ("shoulder", "hip"),
    "upper_arm": ("shoulder", "elbow"),
    "forearm": ("elbow", "wrist"),
    "hand": ("wrist", "fingertip"),
    "thigh": ("hip", "knee"),
    "shank": ("knee", "ankle"),
    "foot": ("ankle", "ball"),
}
"""Near and far joint of each segment; mass centres are counted from the near one."""

BEYOND = {
    "elbow": ("forearm", "hand"),
    "shoulder": ("upper_arm", "forearm", "hand"),
    "hip": ("thigh", "shank", "foot"),
    "knee": ("shank", "foot"),
    "ankle": ("foot",),
}
"""The segments on the limb's side of each joint."""

BAG_PLACE = 0.85
"""Where a bag's weight sits on the line from hip to shoulder (ours: a bag worn high)."""


@dataclass(frozen=True)
class Contact:
    """A place where the world pushes on the body.

    Attributes:
        name: what touches ("hands", "feet", "knees").
        segment: the segment the force acts on.
        point: shape `(..., 2)`, m.
        line: shape `(..., 2)`, the unit direction the force is known to have, or None where the
            force may have any direction.
    """

    name: str
    segment: str
    point: Array
    line: Array | None = None


@dataclass(frozen=True)
class OutsideForce:
    """A force that is known: a band's help, a partner's hand, a weight held.

    Attributes:
        name: what it is ("band").
        segment: the segment it acts on.
        point: shape `(..., 2)`, m.
        vector: shape `(..., 2)`, N.
    """

    name: str
    segment: str
    point: Array
    vector: Array


@dataclass(frozen=True)
class Posture:
    """A shape with its contacts.

    Attributes:
        phase: where in the rep this is.
        joints: name to position, shape `(..., 2)`, m.
        segments: the body's lengths, masses and centres.
        contacts: what the body touches.
        resting: segments that lie on the support and carry themselves.
        worn: mass worn.
        outside: forces that are known beforehand.
        closure: how the sideways force was settled.
    """

    phase: Literal["top", "middle", "bottom"]
    joints: dict[str, Array]
    segments: SegmentValues
    contacts: tuple[Contact, ...]
    resting: frozenset[str] = frozenset()
    worn: Worn = field(default_factory=Worn)
    outside: tuple[OutsideForce, ...] = ()
    closure: str = ""

    def mass_points(self, segments: tuple[str, ...] | None = None) -> tuple[Array, Array]:
        """Masses and where they sit, worn ones included.

        Args:
            segments: only these; all of them by default.

        Returns:
            masses of shape `(n, ...)`, kg, and places of shape `(n, ..., 2)`, m.
        """
        wanted = tuple(SEGMENT_ENDS) if segments is None else segments
        masses: list[Array] = []
        places: list[Array] = []
        for name in wanted:
            near, far = (self.joints[end] for end in SEGMENT_ENDS[name])
            masses.append(self.segments.mass[name])
            places.append(near + self.segments.centre[name] * (far - near))
        hip, shoulder = self.joints["hip"], self.joints["shoulder"]
        worn = (
            ("trunk", self.worn.vest, (hip + shoulder) / 2),
            ("trunk", self.worn.bag, hip + BAG_PLACE * (shoulder - hip)),
            ("shank", self.worn.ankles, self.joints["ankle"]),
        )
        for segment, mass, place in worn:
            if mass and segment in wanted:
                masses.append(np.full_like(masses[0], mass))
                places.append(place)
        # One body in many postures, or many bodies in one: both grow to the common shape.
        shape = np.broadcast_shapes(
            *(np.shape(mass) for mass in masses), *(place.shape[:-1] for place in places)
        )
        return (
            np.stack([np.broadcast_to(mass, shape) for mass in masses]),
            np.stack([np.broadcast_to(place, (*shape, 2)) for place in places]),
        )

    def carried(self) -> tuple[str, ...]:
        """Names of the segments that do not rest on the support."""
        return tuple(name for name in SEGMENT_ENDS if name not in self.resting)

    def centre_of_mass(self) -> Array:
        """Centre of mass of the whole body and what it wears, shape `(..., 2)`, m."""
        masses, places = self.mass_points()
        weighted: Array = (masses[..., None] * places).sum(axis=0)
        total: Array = masses.sum(axis=0)[..., None]
        return weighted / total


def vector(x: Array | float, y: Array | float) -> Array:
    """Join two coordinates of shape `(...)` into points of shape `(..., 2)`."""
    return np.stack(np.broadcast_arrays(np.asarray(x, float), np.asarray(y, float)), axis=-1)


def middle_joint(near: Array, far: Array, first: Array, second: Array, towards: Array) -> Array:
    """Place the joint between two rods whose outer ends are known (elbow, knee).

    Args:
        near, far: outer ends, shape `(..., 2)`.
        first, second: rod lengths from the near and to the far end, shape `(...)`.
        towards: direction the joint bends to, shape `(..., 2)`.

    Returns:
        The joint, shape `(..., 2)`. Rods that just fail to reach are drawn straight.
    """
    span = far - near
    distance = np.linalg.norm(span, axis=-1)
    along = (distance**2 + first**2 - second**2) / (2 * distance)
    across = np.sqrt(np.maximum(first**2 - along**2, 0.0))
    unit = span / distance[..., None]
    normal = vector(-unit[..., 1], unit[..., 0])
    side = np.sign((normal * towards).sum(axis=-1))
    joint: Array = near + along[..., None] * unit + (side * across)[..., None] * normal
    return joint
