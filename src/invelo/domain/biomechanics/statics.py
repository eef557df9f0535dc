"""Forces and torques of a body at rest, by the three equations of plane statics.

One solver for any posture: the unknowns are the contact forces, two where a contact may push in
any direction and one where its direction is known. A planar body has three equations, so exactly
three unknowns are wanted; the posture's closure supplies the direction that makes it so. Forces
from outside (a band, a partner) are known and join the weight.
"""

from collections.abc import Iterable, Mapping

import numpy as np

from invelo.domain.biomechanics.posture.refuse import Refuse, at_first
from invelo.domain.biomechanics.posture.skeleton import (
    BEYOND,
    OTHER_BEYOND,
    PIVOTS,
    Contact,
    Posture,
    cross,
)
from invelo.domain.errors import InputError
from invelo.domain.estimate import Array


def determined_forces(posture: Posture, refuse: Refuse = at_first) -> dict[str, Array]:
    """The forces that keep a posture still.

    Three unknowns are settled by the three equations. A body on one contact that may push in any
    direction has two: the force then carries the weight, and whether the body tips over is
    `overhang`'s to say.

    Returns:
        contact name to the force of the world on the body, shape `(..., 2)`, N.

    Raises:
        InputError: if the contacts push along one line, so that they cannot balance a body.
        ValueError: if the contacts leave another number of unknowns.

    Source: plane statics, ΣF = 0 and ΣM = 0.
    """
    columns = [
        (contact, direction) for contact in posture.contacts for direction in _unknowns(contact)
    ]
    load = balance_of(posture)
    if len(columns) == 2 and len(posture.contacts) == 1:
        return {posture.contacts[0].name: load[..., :2]}
    if len(columns) != 3:
        raise ValueError(f"{len(columns)} unknown contact forces; plane statics settles three")
    rows = [
        np.stack([d[..., 0], d[..., 1], cross(contact.point, d)], axis=-1) for contact, d in columns
    ]
    system = np.stack(np.broadcast_arrays(*rows), axis=-1)
    one_line = np.linalg.det(system) == 0.0
    refuse(
        one_line,
        lambda: InputError(
            "balance",
            "the supports push along one line; nothing keeps the body from turning about it.",
            "Lower the hands or the feet a little.",
        ),
    )
    settled = np.where(one_line[..., None, None], np.eye(3), system)
    sizes = np.linalg.solve(settled, load[..., None])[..., 0]
    forces: dict[str, Array] = {}
    for i, (contact, direction) in enumerate(columns):
        part = sizes[..., i, None] * direction
        forces[contact.name] = forces.get(contact.name, np.zeros_like(part)) + part
    return forces


def balance_of(posture: Posture) -> Array:
    """What the contacts must balance: force (N) and moment about the origin (N·m), `(..., 3)`."""
    up, moment = np.zeros(()), np.zeros(())
    for _, mass, place in posture.parts(posture.carried()):
        weight = mass * posture.gravity
        up = up + weight
        moment = moment + weight * place[..., 0]
    across = np.zeros(())
    for force in posture.outside:
        across = across - force.vector[..., 0]
        up = up - force.vector[..., 1]
        moment = moment - cross(force.point, force.vector)
    return np.stack(np.broadcast_arrays(across, up, moment), axis=-1)


def overhang(posture: Posture, base: tuple[Array, Array] | None = None) -> Array:
    """How far the centre of mass lies beyond the support, m: 0 where it is over it.

    Args:
        posture: whose centre.
        base: left and right end of the support, shape `(...)`, m; the posture's own if left out,
            and where it has none, from contact to contact (a single contact is a point).

    Returns:
        shape `(...)`; positive towards the head, negative towards the feet.

    Source: a body at rest on its support has its centre of mass above it (common practice).
    """
    x = posture.centre_of_mass()[..., 0]
    places = [contact.point[..., 0] for contact in posture.contacts]
    left, right = base or posture.base or (np.minimum.reduce(places), np.maximum.reduce(places))
    beyond: Array = np.maximum(0.0, x - right) + np.minimum(0.0, x - left)
    return beyond


def gravity_moment(posture: Posture, pivot: Array, segments: Iterable[str]) -> Array:
    """Moment of some segments' weight about a point, shape `(...)`, N·m; positive where the
    weight turns them clockwise, which is what muscles must hold anticlockwise.

    Source: plane statics.
    """
    moment = np.zeros(())
    for _, mass, place in posture.parts(segments):
        moment = moment + mass * posture.gravity * (place[..., 0] - pivot[..., 0])
    return moment


UPPER_TRUNK = 0.5
"""Of the trunk's mass and length, what lies above the waist (ours; Winter's thorax and half of the
abdomen have 0.57 of the mass)."""


def upper_trunk_torque(posture: Posture) -> Array:
    """What holds head, arms and the upper half of the trunk up about the waist, shape `(...)`, N·m.

    Source: plane statics.
    """
    hip, shoulder = posture.joints["hip"], posture.joints["shoulder"]
    waist = hip + UPPER_TRUNK * (shoulder - hip)
    middle = waist + UPPER_TRUNK / 2 * (shoulder - hip)
    trunk = UPPER_TRUNK * posture.segments.mass["trunk"] * posture.gravity
    above = gravity_moment(posture, waist, ("head", "upper_arm", "forearm", "hand"))
    moment: Array = trunk * (middle[..., 0] - waist[..., 0]) + above
    return moment


def joint_torques(posture: Posture, forces: dict[str, Array]) -> dict[str, Array]:
    """Net muscle torque at each joint of a posture held up by `forces`.

    Returns:
        joint name to torque, both sides together, shape `(...)`, N·m; positive where the muscles
        turn the limb anticlockwise.

    Source: moments of weight and contact forces beyond the joint (Winter, link-segment model).
    """
    outside = contact_torques(posture, forces)
    torques: dict[str, Array] = {}
    for joint, (pivot, beyond) in _limbs(posture).items():
        total = np.zeros(pivot.shape[:-1])
        if beyond:
            total = total - gravity_moment(posture, pivot, beyond)
            for force in posture.outside:
                if force.segment in beyond:
                    total = total + cross(force.point - pivot, force.vector)
        torques[joint] = outside[joint] - total
    return torques


def contact_torques(posture: Posture, forces: Mapping[str, Array]) -> dict[str, Array]:
    """What forces at the contacts alone ask of the muscles at each joint, as `joint_torques` tells
    it; linear in the forces."""
    torques: dict[str, Array] = {}
    for joint, (pivot, beyond) in _limbs(posture).items():
        total = np.zeros(pivot.shape[:-1])
        for contact in posture.contacts:
            if contact.segment in beyond:
                total = total - cross(contact.point - pivot, forces[contact.name])
        torques[joint] = total
    return torques


def _limbs(posture: Posture) -> dict[str, tuple[Array, tuple[str, ...]]]:
    """Of each joint its place, and what of the limb beyond it does not rest on a support."""
    limbs = BEYOND | OTHER_BEYOND if posture.legs_differ else BEYOND
    return {
        joint: (
            posture.joints[PIVOTS.get(joint, joint)],
            tuple(name for name in names if name not in posture.resting),
        )
        for joint, names in limbs.items()
    }


def _unknowns(contact: Contact) -> tuple[Array, ...]:
    if contact.line is not None:
        return (contact.line,)
    shape = contact.point.shape
    return (
        np.broadcast_to(np.array([1.0, 0.0]), shape),
        np.broadcast_to(np.array([0.0, 1.0]), shape),
    )
