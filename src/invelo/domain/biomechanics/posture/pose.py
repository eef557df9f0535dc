"""Joint angles, and where they put every joint.

Angles are told as a clinician tells them, in radians here and in degrees in the forms:

- `trunk`: of the line hip–shoulder from the ground, 0 with the head to the right, 90° upright;
- `shoulder`: 0 with the arm along the trunk, 90° straight ahead, 180° overhead;
- `elbow`, `knee`: bend; `hip`: of the thigh from straight towards the chest;
- `wrist`: back of the hand towards the forearm's front; `ankle`: toes pointed, 0 at a right angle;
- `neck`: chin towards the chest;
- `splay`, `arms_out`: out of the plane to the sides; the limb keeps its mass and loses length.

`rounding` is a share: how much of its length a rounded trunk loses. Names that begin with `other_`
are of the second leg.
"""

from collections.abc import Mapping
from functools import partial

import numpy as np

from invelo.domain.biomechanics.body import SegmentValues
from invelo.domain.biomechanics.posture.refuse import Refuse, at_first
from invelo.domain.biomechanics.posture.skeleton import vector
from invelo.domain.errors import InputError
from invelo.domain.estimate import Array

Angles = Mapping[str, Array]

HUMAN_RANGE: dict[str, tuple[float, float]] = {
    "neck": (-60.0, 60.0),
    "shoulder": (-100.0, 190.0),
    "elbow": (0.0, 160.0),
    "wrist": (-95.0, 95.0),
    "hip": (-30.0, 150.0),
    "knee": (0.0, 160.0),
    "ankle": (-40.0, 90.0),
    "splay": (0.0, 80.0),
    "arms_out": (0.0, 90.0),
}
"""Degrees; ends of what supple adults reach (from memory, of clinical range-of-motion tables; the
shoulder's lower end is the back lever's)."""

TOLERANCE = np.radians(0.5)


def check(angles: Angles, refuse: Refuse = at_first) -> None:
    """Refuse joint angles outside human range.

    Raises:
        InputError: naming the joint.
    """
    for name, values in angles.items():
        joint = name.removeprefix("other_")
        if joint not in HUMAN_RANGE:
            continue
        low, high = (np.radians(end) for end in HUMAN_RANGE[joint])
        inside = (values >= low - TOLERANCE) & (values <= high + TOLERANCE)
        refuse(~inside, partial(_no_joint, name, np.atleast_1d(values)[..., 0], low, high))


def _no_joint(name: str, first: Array, low: float, high: float) -> InputError:
    worst = float(np.degrees(first.flat[np.argmax(np.abs(first - (low + high) / 2))]))
    return InputError(
        name.replace("_", " "),
        f"this would ask for {worst:.0f}°, which no joint does.",
        f"Change the posture until it lies from {np.degrees(low):.0f} to {np.degrees(high):.0f}°.",
    )


def joints(segments: SegmentValues, angles: Angles, facing: float) -> dict[str, Array]:
    """Every joint's place with the hip at the origin.

    Args:
        segments: lengths, shape `(k,)` or `()`.
        angles: radians, each of a shape that goes with the lengths'; missing ones are 0.
        facing: 1 where the chest faces up when the head lies to the right, −1 where it faces down.

    Returns:
        joint name to place, shape `(..., 2)`, m; with `other_hip` or `other_knee` among the
        angles, the second leg's joints too.
    """
    zero = np.zeros(1)

    def angle(name: str) -> Array:
        return angles.get(name, zero)

    trunk = angle("trunk")
    along = vector(np.cos(trunk), np.sin(trunk))
    front = facing * vector(-np.sin(trunk), np.cos(trunk))
    length = segments.length

    def reach(turn: Array, size: Array) -> Array:
        """From a joint, `turn` away from the direction of the feet towards the front."""
        down, ahead = -np.cos(turn) * size, np.sin(turn) * size
        step: Array = down[..., None] * along + ahead[..., None] * front
        return step

    hip = np.zeros(2)
    shoulder = hip + (length["trunk"] * (1 - angle("rounding")))[..., None] * along
    nod = vector(np.cos(angle("neck")), np.sin(angle("neck"))) * length["head"][..., None]
    crown = shoulder + nod[..., :1] * along + nod[..., 1:] * front
    flat = np.cos(angle("arms_out"))
    upper = angle("shoulder")
    fore = upper + angle("elbow")
    elbow = shoulder + reach(upper, length["upper_arm"] * flat)
    wrist = elbow + reach(fore, length["forearm"] * flat)
    placed = {
        "hip": np.broadcast_to(hip, shoulder.shape),
        "shoulder": shoulder,
        "crown": crown,
        "elbow": elbow,
        "wrist": wrist,
        "fingertip": wrist + reach(fore + angle("wrist"), length["hand"]),
    }
    sides = ("", "other_") if "other_hip" in angles else ("",)
    splayed = np.cos(angle("splay"))
    for side in sides:
        thigh = angle(f"{side}hip")
        shin = thigh - angle(f"{side}knee")
        toe = shin + np.pi / 2 - angle(f"{side}ankle")
        knee = hip + reach(thigh, length["thigh"] * splayed)
        ankle = knee + reach(shin, length["shank"] * splayed)
        placed[f"{side}knee"] = knee
        placed[f"{side}ankle"] = ankle
        placed[f"{side}ball"] = ankle + reach(toe, length["foot"] * splayed)
    return placed
