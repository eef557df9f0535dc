"""A posture as it is drawn: joints, centre of mass, forces, surfaces. Metres and newtons."""

from dataclasses import dataclass
from functools import lru_cache

import numpy as np

from invelo.domain.biomechanics.body import GRAVITY
from invelo.domain.biomechanics.posture.form import Form
from invelo.domain.biomechanics.posture.skeleton import ALL_ENDS
from invelo.domain.biomechanics.reading import Reading
from invelo.domain.estimate import Array

ARM = ("upper_arm", "forearm", "hand")


@dataclass(frozen=True)
class Point:
    """A place (m) or a vector (N)."""

    x: float
    y: float


@dataclass(frozen=True)
class Segment:
    """Two joints to join by a line."""

    near: str
    far: str


@dataclass(frozen=True)
class Force:
    """A force of the world on the body.

    Attributes:
        name: what pushes or pulls.
        at: where it acts, m.
        vector: N.
        kg: its size as it is told: the upward part of an upright force, the whole of another.
        pulls: whether it draws the body towards itself, as a band, a helper or a bar does.
    """

    name: str
    at: Point
    vector: Point
    kg: float
    pulls: bool


@dataclass(frozen=True)
class Surface:
    """Something the body touches.

    Attributes:
        kind: a block to stand or lean on, a bar to hold, or a wall.
        under: the joint it is drawn at.
        height: above the floor, m.
        label: what it is under.
    """

    kind: str
    under: str
    height: float
    label: str


@dataclass(frozen=True)
class Figure:
    """One posture, in the plane seen from the side; x from the feet to the head, y up.

    Attributes:
        phase: where in the rep, in words.
        depth: 0 at the rep's start, 1 at its other end.
        joints: name to place, m.
        segments: what to join by a line.
        centre_of_mass: m.
        forces: at the contacts and from outside, N.
        surfaces: blocks, bars and walls.
        from_above: whether the plane is level.
    """

    phase: str
    depth: float
    joints: dict[str, Point]
    segments: tuple[Segment, ...]
    centre_of_mass: Point
    forces: tuple[Force, ...]
    surfaces: tuple[Surface, ...]
    from_above: bool


def figures(read: Reading) -> tuple[Figure, ...]:
    """The body itself at each place along the rep."""
    return tuple(figure(read, place) for place in range(len(read.depths)))


@lru_cache(maxsize=4096)
def figure(read: Reading, place: int) -> Figure:
    """The body itself at one place along the rep."""
    posture, form = read.posture, read.setup.form
    names = [name for name in posture.segments.mass if not form.level_plane or name in ARM]

    def point(values: Array) -> Point:
        x, y = values[place, 0]
        return Point(round(float(x), 4), round(float(y), 4))

    worked = [] if form.level_plane else list(posture.contacts)
    return Figure(
        phase=_phase(form, float(read.depths[place])),
        depth=float(read.depths[place]),
        joints={
            name: point(at)
            for name, at in posture.joints.items()
            if name != "heel" and (not form.level_plane or name in _ARM_JOINTS)
        },
        segments=tuple(Segment(*ALL_ENDS[name]) for name in names),
        centre_of_mass=point(posture.centre_of_mass()),
        forces=(
            *(
                _force(
                    contact.name,
                    point(contact.point),
                    point(read.contact[contact.name]),
                    contact.name == "hands" and form.grip == "bar",
                )
                for contact in worked
            ),
            *(
                _force(
                    outside_force.name,
                    point(outside_force.point),
                    point(outside_force.vector),
                    True,
                )
                for outside_force in posture.outside
            ),
        ),
        surfaces=_surfaces(read),
        from_above=form.level_plane,
    )


def _force(name: str, at: Point, vector: Point, pulls: bool) -> Force:
    upright = abs(vector.y) >= abs(vector.x)
    size = abs(vector.y) if upright else float(np.hypot(vector.x, vector.y))
    return Force(name, at, vector, size / GRAVITY, pulls)


_ARM_JOINTS = ("shoulder", "elbow", "wrist", "fingertip")


def _phase(form: Form, depth: float) -> str:
    start, end = form.ends
    if form.counted == "hold":
        return "hold"
    if depth == 0.0:
        return start
    return end if depth == 1.0 else f"{100 * depth:.0f} % of the way"


_UNDER = {
    "hands": ("wrist", "hand_height", "hands"),
    "forearms": ("elbow", "hand_height", "forearms"),
    "balls": ("ball", "foot_height", "feet"),
    "feet": ("ankle", "foot_height", "feet"),
    "heels": ("heel", "foot_height", "heels"),
    "knees": ("knee", "foot_height", "knees"),
    "rear": ("other_ball", "rear_height", "rear foot"),
    "back": ("hip", "seat_height", "seat"),
}


def _surfaces(read: Reading) -> tuple[Surface, ...]:
    form, values = read.setup.form, read.setup.all_values
    surfaces = []
    for touch in form.touches:
        if touch.at == "wall":
            surfaces.append(Surface("wall", "shoulder", 0.0, "wall"))
        if touch.at not in _UNDER:
            continue
        joint, name, label = _UNDER[touch.at]
        height = values.get(name, 0.0)
        if touch.at == "hands" and form.grip == "bar":
            wrist = float(np.asarray(read.posture.joints["wrist"])[0, 0, 1])
            surfaces.append(Surface("bar", "wrist", round(wrist, 4), "bar"))
        elif height > 0:
            surfaces.append(Surface("block", "ankle" if joint == "heel" else joint, height, label))
    return tuple(surfaces)
