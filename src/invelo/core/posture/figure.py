"""A posture as it is drawn: joints, centre of mass, forces, surfaces. Metres and newtons."""

from dataclasses import dataclass
from functools import lru_cache

from invelo.core.body import Body
from invelo.core.estimate import Array
from invelo.core.posture.push_up import Phase, PushUpSetup, push_up
from invelo.core.posture.skeleton import SEGMENT_ENDS
from invelo.core.statics import contact_forces


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
    """A force of the world on the body: where it acts (m) and its vector (N)."""

    name: str
    at: Point
    vector: Point


@dataclass(frozen=True)
class Figure:
    """One posture, in the plane seen from the side; x from the feet to the head, y up.

    Attributes:
        phase: where in the rep.
        joints: name to place, m.
        segments: what to join by a line.
        centre_of_mass: m.
        forces: at the contacts, N.
        hand_surface, foot_surface: heights of what is under hands and feet, m.
    """

    phase: Phase
    joints: dict[str, Point]
    segments: tuple[Segment, ...]
    centre_of_mass: Point
    forces: tuple[Force, ...]
    hand_surface: float
    foot_surface: float


@lru_cache(maxsize=4096)
def push_up_figure(body: Body, setup: PushUpSetup, phase: Phase) -> Figure:
    """The push-up of one body in one phase.

    Raises:
        InputError: if the set-up is out of this body's reach.
    """
    posture = push_up(body, setup, phase)
    forces = contact_forces(posture)

    def point(values: Array) -> Point:
        return Point(round(float(values[0]), 4), round(float(values[1]), 4))

    return Figure(
        phase=phase,
        joints={name: point(place) for name, place in posture.joints.items()},
        segments=tuple(Segment(near, far) for near, far in SEGMENT_ENDS.values()),
        centre_of_mass=point(posture.centre_of_mass()),
        forces=tuple(
            Force(contact.name, point(contact.point), point(forces[contact.name]))
            for contact in posture.contacts
        ),
        hand_surface=setup.hand_height,
        foot_surface=setup.foot_height,
    )
