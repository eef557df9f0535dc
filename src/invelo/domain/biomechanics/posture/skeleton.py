"""The planar skeleton every posture is built on.

Axes: x runs along the ground from the feet towards the head, y runs up; metres. Any quantity may
carry leading array dimensions `(...)`, one entry per variation of the body or of the posture. The
two sides are one limb as long as they do the same; where the legs differ, the second one's joints
and segments are called `other_…` and each leg has half the pair's mass.
"""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass, field, replace

import numpy as np

from invelo.domain.biomechanics.body import GRAVITY, AddedLoad, AddedMass, SegmentValues
from invelo.domain.estimate import Array

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

LEG = ("thigh", "shank", "foot")
OTHER_ENDS = {
    "other_thigh": ("hip", "other_knee"),
    "other_shank": ("other_knee", "other_ankle"),
    "other_foot": ("other_ankle", "other_ball"),
}
"""The second leg, where it does something else than the first."""

ALL_ENDS = SEGMENT_ENDS | OTHER_ENDS

BEYOND = {
    "wrist": ("hand",),
    "elbow": ("forearm", "hand"),
    "shoulder": ("upper_arm", "forearm", "hand"),
    "hip": ("thigh", "shank", "foot"),
    "knee": ("shank", "foot"),
    "ankle": ("foot",),
}
"""The segments on the limb's side of each joint."""

OTHER_BEYOND = {
    "other_hip": ("other_thigh", "other_shank", "other_foot"),
    "other_knee": ("other_shank", "other_foot"),
    "other_ankle": ("other_foot",),
}

PIVOTS = {"other_hip": "hip"}
"""Torques taken about a joint of another name: both thighs turn about the one hip."""

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
        normal: shape `(2,)`, which way a surface pushes that is only leaned on.
        grips: whether it closes round something, so that it may pull any way.
        pull: most that it is pulled towards the other contact, of what presses on it, beyond what
            the body's slope makes lean that way by itself; all that friction bears if 0.
    """

    name: str
    segment: str
    point: Array
    line: Array | None = None
    normal: Array = field(default_factory=lambda: np.array([0.0, 1.0]))
    grips: bool = False
    pull: float = 0.0


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
        joints: name to position, shape `(..., 2)`, m.
        segments: the body's lengths, masses and centres.
        contacts: what the body touches.
        resting: segments that lie on the support and carry themselves.
        added_load: mass worn.
        outside: forces that are known beforehand.
        closure: how the sideways force was settled.
        gravity: m/s²; 0 where the plane is level, seen from above.
        base: left and right end of what the body stands on, shape `(...)`, m; from contact to
            contact if None.
        facing: 1 where the chest faces up with the head to the right, −1 where it faces down.
        turned: the angle at which it settled, radians.
    """

    joints: dict[str, Array]
    segments: SegmentValues
    contacts: tuple[Contact, ...]
    resting: frozenset[str] = frozenset()
    added_load: AddedMass = field(default_factory=AddedLoad)
    outside: tuple[OutsideForce, ...] = ()
    closure: str = ""
    gravity: float = GRAVITY
    base: tuple[Array, Array] | None = None
    facing: float = -1.0
    turned: Array = field(default_factory=lambda: np.zeros(1))

    @property
    def legs_differ(self) -> bool:
        """Whether the second leg has joints of its own."""
        return "other_knee" in self.joints

    def parts(self, segments: Iterable[str] | None = None) -> Iterator[tuple[str, Array, Array]]:
        """Every piece of mass: the segment it belongs to, kg of shape `(...)`, place `(..., 2)`, m.

        Args:
            segments: only what belongs to these; all by default.
        """
        wanted = tuple(self.segments.mass) if segments is None else tuple(segments)
        for name in wanted:
            near, far = (self.joints[end] for end in ALL_ENDS[name])
            yield name, self.segments.mass[name], near + self.segments.centre[name] * (far - near)
        for name, mass, place in self._carried():
            if np.any(mass) and name in wanted:
                yield name, np.asarray(mass), place

    def mass_points(self, segments: Iterable[str] | None = None) -> tuple[Array, Array]:
        """Masses and where they sit, worn ones included, as two arrays.

        Args:
            segments: only these; all of them by default.

        Returns:
            masses of shape `(n, ...)`, kg, and places of shape `(n, ..., 2)`, m.
        """
        _, masses, places = zip(*self.parts(segments), strict=True)
        # One body in many postures, or many bodies in one: both grow to the common shape.
        shape = np.broadcast_shapes(
            *(np.shape(mass) for mass in masses), *(place.shape[:-1] for place in places)
        )
        return (
            np.stack([np.broadcast_to(mass, shape) for mass in masses]),
            np.stack([np.broadcast_to(place, (*shape, 2)) for place in places]),
        )

    def _carried(self) -> Iterable[tuple[str, float | Array, Array]]:
        """What is worn or held: segment, kg, place."""
        if not np.any(self.added_load.total):
            return
        joints, added_load = self.joints, self.added_load
        hip, shoulder = joints["hip"], joints["shoulder"]
        yield "trunk", added_load.vest, (hip + shoulder) / 2
        yield "trunk", added_load.bag, hip + BAG_PLACE * (shoulder - hip)
        yield "hand", added_load.hands, (joints["wrist"] + joints["fingertip"]) / 2
        sides = ("", "other_") if self.legs_differ else ("",)
        for side in sides:
            yield f"{side}shank", added_load.ankles / len(sides), joints[f"{side}ankle"]
            yield f"{side}thigh", added_load.lap / len(sides), (hip + joints[f"{side}knee"]) / 2

    def of_first(self) -> "Posture":
        """The body itself out of its variations: every value `(n, k)` becomes `(n, 1)`."""

        def first(values: Array) -> Array:
            return values[:, :1].copy()

        return replace(
            self,
            joints={name: first(place) for name, place in self.joints.items()},
            segments=replace(
                self.segments,
                length={name: value[:1] for name, value in self.segments.length.items()},
                mass={name: value[:1] for name, value in self.segments.mass.items()},
            ),
            contacts=tuple(
                replace(
                    contact,
                    point=first(contact.point),
                    line=None if contact.line is None else first(contact.line),
                )
                for contact in self.contacts
            ),
            outside=tuple(
                replace(
                    outside_force,
                    point=first(outside_force.point),
                    vector=first(outside_force.vector),
                )
                for outside_force in self.outside
            ),
            base=None if self.base is None else (first(self.base[0]), first(self.base[1])),
        )

    def carried(self) -> tuple[str, ...]:
        """Names of the segments that do not rest on the support."""
        return tuple(name for name in self.segments.mass if name not in self.resting)

    def centre_of_mass(self) -> Array:
        """Centre of mass of the whole body and what it wears, shape `(..., 2)`, m."""
        total, weighted = np.zeros(()), np.zeros(2)
        for _, mass, place in self.parts():
            total = total + mass
            weighted = weighted + mass[..., None] * place
        centre: Array = weighted / total[..., None]
        return centre


def two_legs(segments: SegmentValues) -> SegmentValues:
    """The same body with its legs told apart, half the pair's mass each."""
    mass, length, centre = dict(segments.mass), dict(segments.length), dict(segments.centre)
    for name in LEG:
        mass[name] = segments.mass[name] / 2
        mass[f"other_{name}"] = mass[name]
        length[f"other_{name}"] = segments.length[name]
        centre[f"other_{name}"] = segments.centre[name]
    return replace(segments, mass=mass, length=length, centre=centre)


def vector(x: Array | float, y: Array | float) -> Array:
    """Join two coordinates of shape `(...)` into points of shape `(..., 2)`."""
    points = np.empty((*np.broadcast_shapes(np.shape(x), np.shape(y)), 2))
    points[..., 0], points[..., 1] = x, y
    return points


def cross(a: Array, b: Array) -> Array:
    """Plane cross product a × b (positive anticlockwise) of vectors `(..., 2)`; shape `(...)`."""
    product: Array = a[..., 0] * b[..., 1] - a[..., 1] * b[..., 0]
    return product


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
