"""The push-up and its kin that keep both hands and the body in one line.

The trunk and legs form a straight line from the supporting joint (ankle or knee) to the shoulder;
the arms decide where along and how far from that line the hands are. Given the heights of hands
and feet, the line's slope follows.
"""

from dataclasses import dataclass, field
from typing import Literal

import numpy as np

from invelo.core.body import Body, SegmentValues, Worn
from invelo.core.errors import InputError, require_within
from invelo.core.estimate import Z80, Array
from invelo.core.posture.skeleton import Contact, Posture, middle_joint, vector

Phase = Literal["top", "middle", "bottom"]
Support = Literal["toes", "knees"]

ANKLE_OVER_BALL = 0.10
"""Height of the ankle over the ball of the foot on tiptoe, of stature (from memory of foot
lengths: two thirds of Winter's 0.152)."""

KNEE_RADIUS = 0.035
"""Height of the knee joint over the floor when kneeling, of stature: half the depth of a knee
0.38 m around (from memory, of anthropometric surveys)."""

BOTTOM_CLEARANCE = 0.10
"""Shoulder's distance from the hands' level at the bottom, of stature (common practice: chest
just off the floor)."""

BOTTOM_HANDS_BACK = 0.05
"""How far the hands are towards the feet from the shoulder at the bottom, of stature (common
practice: hands beside the lower chest)."""

HAND_PLACEMENT_SD = 0.02
"""How repeatably hands are placed along the body, standard deviation, of stature (ours)."""

HEIGHT_RANGE = (0.0, 2.0)
OFFSET_RANGE = (-0.4, 0.4)


@dataclass(frozen=True)
class PushUpSetup:
    """How a push-up is set up.

    Attributes:
        hand_height: of the surface under the hands above the floor, m.
        foot_height: of the surface under the feet or knees above the floor, m.
        support: what the body turns about.
        hand_offset: hands along the body from the shoulder at the top, m; positive towards the
            feet (which lengthens the shoulder's lever), negative beyond the head.
        worn: mass worn.
    """

    hand_height: float = 0.0
    foot_height: float = 0.0
    support: Support = "toes"
    hand_offset: float = 0.0
    worn: Worn = field(default_factory=Worn)

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("hand height", self.hand_height, *HEIGHT_RANGE, "m")
        require_within("foot height", self.foot_height, *HEIGHT_RANGE, "m")
        require_within("hand offset", self.hand_offset, *OFFSET_RANGE, "m")


def push_up(body: Body, setup: PushUpSetup, phase: Phase) -> Posture:
    """The posture of one body in one phase of the rep; all values of shape `()`.

    Raises:
        InputError: if the hands cannot be where the set-up puts them.
    """
    return _place(body.segments(), setup, phase, np.asarray(setup.hand_offset))


def varied_push_up(body: Body, setup: PushUpSetup, phase: Phase) -> Posture:
    """The same posture for the body and its plausible neighbours; all values of shape `(k,)`.

    Entry 0 is the body itself; the pairs that follow vary segment lengths, segment masses and
    where the hands are put, each at its 80 % ends (see `Body.varied_segments`).
    """
    segments = body.varied_segments(setup_pairs=1)
    offset = np.full(len(segments.length["trunk"]), setup.hand_offset)
    offset[-2] -= Z80 * HAND_PLACEMENT_SD * body.stature
    offset[-1] += Z80 * HAND_PLACEMENT_SD * body.stature
    return _place(segments, setup, phase, offset)


def _hands_from_shoulder(
    segments: SegmentValues, phase: Phase, offset: Array
) -> tuple[Array, Array]:
    """Hands in the body's own frame: towards the feet, and away from the chest; m."""
    upper, fore = segments.length["upper_arm"], segments.length["forearm"]
    lowest = offset + BOTTOM_HANDS_BACK * segments.stature
    if phase == "bottom":
        return lowest, np.full_like(lowest, BOTTOM_CLEARANCE * segments.stature)
    if phase == "middle":
        back, reach = (offset + lowest) / 2, np.hypot(upper, fore)
    else:
        back, reach = offset, upper + fore
    if np.any(np.abs(back) >= reach):
        raise InputError(
            "hand offset",
            "the hands are further along the body than the arms are long.",
            "Bring the hands nearer to the shoulders.",
        )
    return back, np.sqrt(reach**2 - back**2)


def _place(segments: SegmentValues, setup: PushUpSetup, phase: Phase, offset: Array) -> Posture:
    stature, length = segments.stature, segments.length
    kneeling = setup.support == "knees"
    base_height = (KNEE_RADIUS if kneeling else ANKLE_OVER_BALL) * stature
    line = length["thigh"] + length["trunk"]
    if not kneeling:
        line = line + length["shank"]
    back, away = _hands_from_shoulder(segments, phase, offset)

    # base + (line - back)·sin θ - away·cos θ = hand height, solved for the slope θ
    along = line - back
    rise = setup.hand_height - setup.foot_height - base_height
    reach = np.hypot(along, away)
    if np.any(np.abs(rise) >= reach):
        name = "hand height" if rise > 0 else "foot height"
        raise InputError(
            name,
            f"{max(setup.hand_height, setup.foot_height):.2f} m is beyond this body's reach.",
            "Lower it, or bring hands and feet nearer in height.",
        )
    slope = np.arctan2(away, along) + np.arcsin(rise / reach)
    if np.any(slope > np.pi / 2):
        raise InputError(
            "hand height",
            f"{setup.hand_height:.2f} m leaves this body standing upright.",
            "Lower the surface under the hands.",
        )

    up = vector(np.cos(slope), np.sin(slope))
    chest = vector(np.sin(slope), -np.cos(slope))
    base = vector(np.zeros_like(slope), setup.foot_height + base_height)
    if kneeling:
        knee, shin = base, vector(-np.ones_like(slope), 0.0)
        ankle = knee + shin * length["shank"][..., None]
        ball = ankle + shin * (ANKLE_OVER_BALL * stature)
        ground = vector(np.zeros_like(slope), setup.foot_height)
    else:
        ankle = base
        ball = ground = vector(np.zeros_like(slope), setup.foot_height)
        knee = ankle + up * length["shank"][..., None]
    hip = knee + up * length["thigh"][..., None]
    shoulder = hip + up * length["trunk"][..., None]
    wrist = shoulder - up * back[..., None] + chest * away[..., None]
    fingertip = wrist + vector(length["hand"], 0.0)
    elbow = middle_joint(shoulder, wrist, length["upper_arm"], length["forearm"], -up)
    arm = shoulder - wrist
    locked = phase == "top"
    push = (
        arm / np.linalg.norm(arm, axis=-1, keepdims=True)
        if locked
        else vector(np.zeros_like(slope), 1.0)
    )
    return Posture(
        phase=phase,
        joints={
            "ball": ball,
            "ankle": ankle,
            "knee": knee,
            "hip": hip,
            "shoulder": shoulder,
            "crown": shoulder + up * length["head"][..., None],
            "elbow": elbow,
            "wrist": wrist,
            "fingertip": fingertip,
        },
        segments=segments,
        contacts=(
            Contact("hands", "hand", wrist, push),
            Contact("knees", "thigh", ground) if kneeling else Contact("feet", "foot", ground),
        ),
        resting=frozenset({"shank", "foot"}) if kneeling else frozenset(),
        worn=setup.worn,
        closure=(
            "locked arms: the hands push along the line from hand to shoulder"
            if locked
            else "bent arms: the hands push straight up"
        ),
    )
