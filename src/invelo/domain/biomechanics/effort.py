"""Where contacts leave a force open, the body shares it so that effort is least.

Two contacts leave one number open: how hard the body presses along the line between them. It is the
one at which the sum of (joint torque ÷ that joint's strength in that direction)² over all joints is
least, inside the friction cone of every contact. The sum is a parabola in pieces, one for each set
of directions the torques have; Newton's rule walks from piece to piece to its bottom and ends
there exactly.

Source: static optimisation (Crowninshield and Brand 1981, J Biomech 14(11):793–801, for the idea).
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

import numpy as np

from invelo.domain.biomechanics.posture.refuse import Refuse, at_first
from invelo.domain.biomechanics.posture.skeleton import Contact, Posture, cross, vector
from invelo.domain.biomechanics.statics import (
    balance_of,
    contact_torques,
    determined_forces,
    joint_torques,
)
from invelo.domain.errors import InputError
from invelo.domain.estimate import Array

STRENGTHS: dict[str, tuple[float, float]] = {
    "elbow": (60.0, 45.0),
    "shoulder": (60.0, 75.0),
    "hip": (110.0, 250.0),
    "knee": (100.0, 200.0),
    "ankle": (40.0, 140.0),
}
"""Flexion and extension of one side, N·m, of a man of `REFERENCE`; of the ankle towards the shin
and away from it (from memory, of isometric norms)."""

REFERENCE = 75.0 * 1.75
"""Mass × stature that the strengths are of, kg·m; others' scale with theirs."""

FRICTION = 0.8
FRICTION_ENDS = (0.5, 1.0)
"""Sideways force a contact bears, of what presses on it: skin or a sole on a dry floor, likely and
80 % ends (from memory)."""

STRENGTH_OFF = 0.3
"""80 % half-width of a joint's strength from person to person, as a share of it (from memory, of
the norms' standard deviations)."""

TIE = 1e-6
"""Weight of (|F| ÷ body weight)² in the sum, which decides where no torque does."""

ROUNDS = 12
"""Steps of Newton's rule at most: more than a body has joints."""

MOST = 1e5
"""Newtons beyond which nothing is looked for."""


KNEE_AT = (
    (0.0, 30.0, 60.0, 75.0, 90.0, 105.0, 120.0, 135.0, 160.0),
    (0.6, 0.75, 1.0, 1.0, 0.9, 0.78, 0.66, 0.55, 0.4),
)
"""Bend of the knee, degrees, and what it can do there, of its best (ours, after isometric norms
that peak at 60 to 75°)."""


@dataclass(frozen=True)
class Assumed:
    """What sharing by least effort rests on besides the posture.

    Attributes:
        friction: at the contacts, `()` or `(k,)`.
        strength: factor on a joint's strength, by joint, shape `(k,)`; 1 where none is named.
    """

    friction: Array = field(default_factory=lambda: np.asarray(FRICTION))
    strength: Mapping[str, Array] = field(default_factory=dict)

    @classmethod
    def varied(cls, before: int, after: int) -> "Assumed":
        """As assumed `before` times, then each with its low and its high end, in pairs, and again
        as assumed `after` times."""
        count = before + VARIED_ASSUMPTIONS + after
        friction = np.full(count, FRICTION)
        friction[before : before + 2] = FRICTION_ENDS
        strength = {}
        for i, joint in enumerate(STRENGTHS, start=1):
            strength[joint] = np.ones(count)
            at = before + 2 * i
            strength[joint][at : at + 2] = 1.0 - STRENGTH_OFF, 1.0 + STRENGTH_OFF
        return cls(friction, strength)


VARIED_ASSUMPTIONS = 2 * (1 + len(STRENGTHS))
"""Rows that `Assumed.varied` adds."""

AS_ASSUMED = Assumed()


@dataclass(frozen=True)
class Strengths:
    """What each joint of a body can do anticlockwise and clockwise, N·m, both sides together.

    Attributes:
        both: joint to its two strengths.
    """

    both: dict[str, tuple[Array, Array]]

    @classmethod
    def of(cls, posture: Posture, assumed: Assumed = AS_ASSUMED) -> "Strengths":
        """A body's in a posture."""
        segments, facing = posture.segments, posture.facing
        mass = sum(segments.mass.values())
        scale = np.asarray(mass * segments.stature / REFERENCE)
        torques = {}
        for name, (flexion, extension) in STRENGTHS.items():
            # bending turns arm and thigh clockwise where the chest faces up, the shank otherwise
            against = facing if name in ("knee", "ankle") else -facing
            if name == "ankle":
                flexion, extension = extension, flexion
            pair = (flexion, extension) if against > 0 else (extension, flexion)
            alone = posture.legs_differ and name in ("hip", "knee", "ankle")
            sides = 1.0 if alone else 2.0
            whole = sides * scale * assumed.strength.get(name, np.asarray(1.0))
            torques[name] = (pair[0] * whole, pair[1] * whole)
            if alone:
                torques[f"other_{name}"] = torques[name]
        return cls(torques)


@dataclass(frozen=True)
class JointShare:
    """A joint's torque against what it can do that way, both sides together.

    Attributes:
        joint: name.
        torque: that holds the posture, N·m.
        strength: what a body of this size does there in that direction, N·m.
    """

    joint: str
    torque: float
    strength: float


def joint_shares(
    posture: Posture, torques: Mapping[str, Array]
) -> tuple[tuple[JointShare, ...], ...]:
    """Every joint's torque at each place along the rep, of the body itself, against its strength.

    Args:
        posture: along the rep, every value of shape `(n, 1)`.
        torques: at its joints, N·m, shape `(n, 1)`.

    Source: isometric norms (from memory), scaled by mass × stature.
    """
    strengths, at_bend = Strengths.of(posture).both, np.interp(knee_bend(posture), *KNEE_AT)
    shares: dict[str, tuple[Array, Array]] = {}
    for joint in torques.keys() & strengths.keys():
        turning = torques[joint][:, 0]
        left, right = (float(np.ravel(way)[0]) for way in strengths[joint])
        most = np.where(turning >= 0.0, left, right)
        if joint == "knee":  # the weaker where it is bent far, as the thigh's front stretches it
            most = np.where(most == max(left, right), most * at_bend[:, 0], most)
        shares[joint] = np.abs(turning), most
    return tuple(
        tuple(
            JointShare(joint, float(shares[joint][0][place]), float(shares[joint][1][place]))
            for joint in torques
            if joint in shares
        )
        for place in range(len(at_bend))
    )


def knee_bend(posture: Posture) -> Array:
    """Bend of the first leg's knee, degrees, shape `(...)`."""
    joints = posture.joints
    thigh, shank = joints["hip"] - joints["knee"], joints["ankle"] - joints["knee"]
    cosine = (thigh * shank).sum(axis=-1) / (
        np.linalg.norm(thigh, axis=-1) * np.linalg.norm(shank, axis=-1)
    )
    bend: Array = 180.0 - np.degrees(np.arccos(np.clip(cosine, -1.0, 1.0)))
    return bend


def leg_effort(posture: Posture, torques: Mapping[str, Array]) -> Array:
    """What a posture asks of a working leg, shape `(...)`: √(knee² + hip²), each torque over what
    that joint can do at its bend; 1 is all that a leg of this body does.

    Args:
        posture: on one leg, or on two that share alike.
        torques: at its joints, N·m.

    Source: isometric norms (from memory); the joining is ours.
    """
    segments = posture.segments
    sides = 1.0 if posture.legs_differ else 2.0
    scale = sides * sum(segments.mass.values()) * segments.stature / REFERENCE
    bend = knee_bend(posture)
    knee = torques["knee"] / (STRENGTHS["knee"][1] * scale * np.interp(bend, *KNEE_AT))
    hip = torques["hip"] / (STRENGTHS["hip"][1] * scale)
    effort: Array = np.hypot(knee, hip)
    return effort


def shares(contacts: Sequence[Contact]) -> bool:
    """Whether two contacts leave open how they share the load."""
    return len(contacts) == 2 and all(each.line is None for each in contacts)


def contact_forces(
    posture: Posture, refuse: Refuse = at_first, assumed: Assumed = AS_ASSUMED
) -> dict[str, Array]:
    """What holds a posture: by the three equations, and by least effort where they leave one open.

    Args:
        posture: which.
        refuse: what is done with a posture that nothing holds.
        assumed: friction and strengths.

    Returns:
        contact name to the force of the world on the body, shape `(..., 2)`, N.

    Raises:
        InputError: where nothing balances the body.
    """
    if shares(posture.contacts):
        return least_effort(posture, Strengths.of(posture, assumed), refuse, assumed.friction)
    return determined_forces(posture, refuse)


def least_effort(
    posture: Posture,
    strengths: Strengths,
    refuse: Refuse = at_first,
    friction: Array | float = FRICTION,
) -> dict[str, Array]:
    """The forces at two contacts that may push any way inside their cones.

    Returns:
        contact name to the force of the world on the body, shape `(..., 2)`, N.

    Raises:
        InputError: where no force inside the cones balances the body: it slips or falls over.
    """
    first, second = posture.contacts
    load = balance_of(posture)
    span = second.point - first.point
    length = np.maximum(np.linalg.norm(span, axis=-1), 1e-9)
    along = span / length[..., None]
    across = vector(-along[..., 1], along[..., 0])
    turning = load[..., 2] - cross(first.point, load[..., :2])
    far = across * (turning / length)[..., None]
    near = load[..., :2] - far
    low, high = _cones(((first, near, along), (second, far, -along)), np.asarray(friction))
    refuse(
        low > high + 1e-6,
        lambda: InputError(
            "balance",
            f"no push of {first.name} and {second.name} holds it: the body slips or falls over.",
            "Bring its centre between the supports, or make hands and feet grip.",
        ),
    )
    middle = (low + high) / 2
    low, high = np.minimum(low, middle), np.maximum(high, middle)
    size = _least(posture, strengths, (near, far, along), low, high)
    push = size[..., None] * along
    return {first.name: near + push, second.name: far - push}


def _cones(
    pushes: tuple[tuple[Contact, Array, Array], ...], friction: Array
) -> tuple[Array, Array]:
    """Ends of what may be added along the line without leaving a cone."""
    low, high = np.asarray(-MOST), np.asarray(MOST)
    for contact, force, along in pushes:
        if contact.grips:
            continue
        cones = [(contact.normal, friction)]
        if contact.pull:
            towards = np.sign(along[..., 0])
            rising = np.maximum(0.0, along[..., 1])  # a body that slopes down leans on its feet
            leaning = vector(towards * rising, np.sqrt(1.0 - rising**2))
            cones.append((leaning, np.asarray(contact.pull)))
        for normal, most in cones:
            tangent = vector(-normal[..., 1], normal[..., 0])
            bears = most[..., None] * normal
            for edge in (bears - tangent, bears + tangent):
                there, by = (force * edge).sum(axis=-1), (along * edge).sum(axis=-1)
                with np.errstate(divide="ignore", invalid="ignore"):
                    end = -there / by
                low = np.where(by > 1e-12, np.maximum(low, end), low)
                high = np.where(by < -1e-12, np.minimum(high, end), high)
    return low, high


def _least(
    posture: Posture,
    strengths: Strengths,
    line: tuple[Array, Array, Array],
    low: Array,
    high: Array,
) -> Array:
    """Where between two ends the effort is least."""
    near, far, along = line
    first, second = posture.contacts
    still = joint_torques(posture, {first.name: near, second.name: far})
    more = contact_torques(posture, {first.name: along, second.name: -along})
    names = [name for name in still if name in strengths.both]
    still_, more_ = (
        np.stack(np.broadcast_arrays(*(torques[name] for name in names)))
        for torques in (still, more)
    )
    shape = still_.shape[1:]
    left, right = (
        np.stack([np.broadcast_to(strengths.both[name][way], shape) for name in names])
        for way in (0, 1)
    )
    weight_of_body = sum(posture.segments.mass.values()) * max(posture.gravity, 1.0)
    little = TIE / np.square(weight_of_body)
    tie = 2.0 * little * ((near - far) * along).sum(axis=-1), 4.0 * little
    at: Array = np.clip(np.zeros(shape), low, high)
    for _ in range(ROUNDS):
        torque = still_ + more_ * at
        weight = more_ / np.where(torque >= 0.0, left, right) ** 2
        slope = (weight * torque).sum(axis=0) * 2.0 + tie[0] + tie[1] * at
        bend = (weight * more_).sum(axis=0) * 2.0 + tie[1]
        before, at = at, np.clip(at - slope / bend, low, high)
        if np.allclose(before, at, rtol=0.0, atol=1e-9):
            break
    return at
