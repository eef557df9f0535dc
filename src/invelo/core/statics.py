"""Forces and torques of a body at rest, by the three equations of plane statics.

One solver for any posture: the unknowns are the contact forces, two where a contact may push in
any direction and one where its direction is known. A planar body has three equations, so exactly
three unknowns are wanted; the posture's closure supplies the direction that makes it so.
"""

import numpy as np

from invelo.core.body import GRAVITY
from invelo.core.estimate import Array
from invelo.core.posture.skeleton import BEYOND, Contact, Posture


def cross(a: Array, b: Array) -> Array:
    """Plane cross product a × b (positive anticlockwise) of vectors `(..., 2)`; shape `(...)`."""
    product: Array = a[..., 0] * b[..., 1] - a[..., 1] * b[..., 0]
    return product


def contact_forces(posture: Posture) -> dict[str, Array]:
    """The forces that keep a posture still.

    Returns:
        contact name to the force of the world on the body, shape `(..., 2)`, N.

    Raises:
        ValueError: if the contacts leave more or fewer than three unknowns.

    Source: plane statics, ΣF = 0 and ΣM = 0.
    """
    masses, places = posture.mass_points(posture.carried())
    columns = [
        (contact, direction) for contact in posture.contacts for direction in _unknowns(contact)
    ]
    if len(columns) != 3:
        raise ValueError(f"{len(columns)} unknown contact forces; plane statics settles three")
    rows = [
        np.stack([d[..., 0], d[..., 1], cross(contact.point, d)], axis=-1) for contact, d in columns
    ]
    system = np.stack(np.broadcast_arrays(*rows), axis=-1)
    weight = masses * GRAVITY
    total = weight.sum(axis=0)
    moment = (weight * places[..., 0]).sum(axis=0)
    load = np.stack([np.zeros_like(total), total, moment], axis=-1)
    sizes = np.linalg.solve(system, load[..., None])[..., 0]
    forces: dict[str, Array] = {}
    for i, (contact, direction) in enumerate(columns):
        part = sizes[..., i, None] * direction
        forces[contact.name] = forces.get(contact.name, np.zeros_like(part)) + part
    return forces


def gravity_moment(posture: Posture, pivot: Array, segments: tuple[str, ...]) -> Array:
    """Moment of some segments' weight about a point, shape `(...)`, N·m; positive where the
    weight turns them clockwise, which is what muscles must hold anticlockwise.

    Source: plane statics.
    """
    masses, places = posture.mass_points(segments)
    moment: Array = (masses * GRAVITY * (places - pivot)[..., 0]).sum(axis=0)
    return moment


def joint_torques(posture: Posture, forces: dict[str, Array]) -> dict[str, Array]:
    """Net muscle torque at each joint of a posture held up by `forces`.

    Returns:
        joint name to torque, both sides together, shape `(...)`, N·m; positive where the muscles
        turn the limb anticlockwise.

    Source: moments of weight and contact forces beyond the joint (Winter, link-segment model).
    """
    torques: dict[str, Array] = {}
    for joint, names in BEYOND.items():
        pivot = posture.joints[joint]
        beyond = tuple(name for name in names if name not in posture.resting)
        total = np.zeros(pivot.shape[:-1])
        if beyond:
            total = total - gravity_moment(posture, pivot, beyond)
            for contact in posture.contacts:
                if contact.segment in beyond:
                    total = total + cross(contact.point - pivot, forces[contact.name])
        torques[joint] = -total
    return torques


def _unknowns(contact: Contact) -> tuple[Array, ...]:
    if contact.line is not None:
        return (contact.line,)
    shape = contact.point.shape
    return (
        np.broadcast_to(np.array([1.0, 0.0]), shape),
        np.broadcast_to(np.array([0.0, 1.0]), shape),
    )
