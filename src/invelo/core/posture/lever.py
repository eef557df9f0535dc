"""Straight-arm levers: planche, front and back lever, with the body level.

What decides them is the torque of everything but the arms about the shoulder. The body lies along
x, feet first; whether it faces down (planche, back lever) or up (front lever) changes which
muscles hold it, not how much they hold.
"""

from dataclasses import dataclass
from typing import Literal, get_args

import numpy as np

from invelo.core.body import Body, SegmentValues
from invelo.core.errors import InputError, require_within
from invelo.core.estimate import Z80, Array
from invelo.core.posture.skeleton import Posture, vector

ShapeName = Literal["tuck", "advanced_tuck", "one_leg", "half_lay", "straddle", "full"]

ANGLE_SD = np.radians(4.0)
"""How closely a hip angle is held to its canonical shape, standard deviation (ours)."""


@dataclass(frozen=True)
class Leg:
    """One leg's shape, in radians.

    Attributes:
        thigh: from straight towards the chest (hip flexion), 0 to 150°.
        knee: bend, 0 to 160°.
        splay: out to the side, 0 to 80°; the leg keeps its mass and loses length in the plane.
    """

    thigh: float = 0.0
    knee: float = 0.0
    splay: float = 0.0

    def __post_init__(self) -> None:
        """Refuse what no leg does."""
        for name, most in (("thigh", 150.0), ("knee", 160.0), ("splay", 80.0)):
            require_within(name, np.degrees(getattr(self, name)), 0.0, most + 1e-9, "°")


@dataclass(frozen=True)
class LeverShape:
    """Both legs and the trunk.

    Attributes:
        legs: left and right; they may differ.
        rounding: share of its length that a rounded trunk loses, 0 to 0.3.
    """

    legs: tuple[Leg, Leg]
    rounding: float = 0.0

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("rounding", self.rounding, 0.0, 0.3, "")


def _both(thigh: float, knee: float, splay: float = 0.0, rounding: float = 0.0) -> LeverShape:
    leg = Leg(np.radians(thigh), np.radians(knee), np.radians(splay))
    return LeverShape((leg, leg), rounding)


def straddle(degrees: float) -> LeverShape:
    """Straight legs, each `degrees` out to the side."""
    return _both(0, 0, degrees)


_TUCKED, _STRAIGHT = _both(90, 140).legs[0], Leg()

SHAPES: dict[ShapeName, LeverShape] = {
    "tuck": _both(130, 140, rounding=0.15),
    "advanced_tuck": _both(90, 140),
    "one_leg": LeverShape((_TUCKED, _STRAIGHT)),
    "half_lay": _both(0, 90),
    "straddle": straddle(45),
    "full": _both(0, 0),
}
"""The canonical shapes, from easy to hard; half-lay and straddle lie within the body tables'
spread (common practice for the angles)."""


def shape(name: str) -> LeverShape:
    """A canonical shape by its name.

    Raises:
        InputError: if there is none.
    """
    for known in get_args(ShapeName):
        if known == name:
            return SHAPES[known]
    raise InputError("shape", f"“{name}” is not known.", f"Use one of {', '.join(SHAPES)}.")


def lever(segments: SegmentValues, leg: Leg, rounding: float, tilt: Array) -> Posture:
    """A level body with both legs alike; hands under nothing, since only the body is asked.

    Args:
        segments: lengths and masses, shape `(...)`.
        leg: of both sides.
        rounding: share of its length that the trunk loses.
        tilt: added to the thigh's angle, rad, shape `(...)`.
    """
    length = segments.length
    shoulder = vector(np.zeros_like(length["trunk"]), 0.0)
    hip = shoulder - vector(length["trunk"] * (1 - rounding), 0.0)
    thigh = np.maximum(0.0, leg.thigh + tilt)
    flat = np.cos(leg.splay)
    knee = hip + _along(thigh, length["thigh"], flat)
    shin = thigh - leg.knee
    ankle = knee + _along(shin, length["shank"], flat)
    arm = vector(0.0, -(length["upper_arm"]))
    elbow = shoulder + arm
    wrist = elbow + vector(0.0, -length["forearm"])
    return Posture(
        phase="top",
        joints={
            "shoulder": shoulder,
            "crown": shoulder + vector(length["head"], 0.0),
            "hip": hip,
            "knee": knee,
            "ankle": ankle,
            "ball": ankle + _along(shin, length["foot"], flat),
            "elbow": elbow,
            "wrist": wrist,
            "fingertip": wrist + vector(length["hand"], 0.0),
        },
        segments=segments,
        contacts=(),
        closure="body level; everything but the arms turns about the shoulder",
    )


def varied_levers(body: Body, shaped: LeverShape) -> tuple[Posture, Posture]:
    """The posture with either leg on both sides, for the body and its plausible neighbours.

    Entry 0 is the body itself; pairs vary segment lengths, masses and the hip's angle. Torques of
    the two are averaged: each leg carries half the legs' mass.
    """
    segments = body.varied_segments(setup_pairs=1)
    tilt = np.zeros(len(segments.length["trunk"]))
    tilt[-2], tilt[-1] = -Z80 * ANGLE_SD, Z80 * ANGLE_SD
    left, right = (lever(segments, leg, shaped.rounding, tilt) for leg in shaped.legs)
    return left, right


def _along(angle: Array, length: Array, flat: float) -> Array:
    """From a joint towards the feet, turned `angle` towards the chest."""
    return vector(-np.cos(angle) * length * flat, -np.sin(angle) * length * flat)
