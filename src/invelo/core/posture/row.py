"""The row: heels on the ground, the body leaning back in one line, hands on a bar or in straps.

At the start the arms are straight and at right angles to the trunk, and the hands pull along them:
that is the closure. Bent knees bring the heels under the body and shorten it.
"""

from dataclasses import dataclass, field

import numpy as np

from invelo.core.body import Body, SegmentValues, Worn
from invelo.core.errors import require_within
from invelo.core.estimate import Z80, Array
from invelo.core.posture.skeleton import Contact, Posture, vector

ANGLE_SD = np.radians(2.0)
"""How closely a body's lean is set up, standard deviation (ours)."""


@dataclass(frozen=True)
class RowSetup:
    """How a row is set up.

    Attributes:
        lean: of the trunk from upright, rad, 5° to 110°; 90° is level.
        knee: bend, rad, 0 to 110°.
        foot_height: of the surface under the heels, m.
        worn: mass worn.
    """

    lean: float
    knee: float = 0.0
    foot_height: float = 0.0
    worn: Worn = field(default_factory=Worn)

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("body angle", float(np.degrees(self.lean)), 5.0, 110.0, "°")
        require_within("knee bend", float(np.degrees(self.knee)), 0.0, 110.0, "°")
        require_within("foot height", self.foot_height, 0.0, 1.5, "m")


def row(body: Body, setup: RowSetup) -> Posture:
    """The start of the rep; all values of shape `()`."""
    return _place(body.segments(), body.table.ankle_height_share, setup, np.asarray(setup.lean))


def varied_row(body: Body, setup: RowSetup) -> Posture:
    """The same for the body and its plausible neighbours, and for leans a little off; `(k,)`."""
    segments = body.varied_segments(setup_pairs=1)
    lean = np.full(len(segments.length["trunk"]), setup.lean)
    lean[-2] -= Z80 * ANGLE_SD
    lean[-1] += Z80 * ANGLE_SD
    return _place(segments, body.table.ankle_height_share, setup, lean)


def _place(
    segments: SegmentValues, ankle_height_share: float, setup: RowSetup, lean: Array
) -> Posture:
    length = segments.length
    up = vector(np.sin(lean), np.cos(lean))
    chest = vector(-np.cos(lean), np.sin(lean))
    shin = up * np.cos(setup.knee) + chest * np.sin(setup.knee)  # from ankle to knee
    toe = chest * np.cos(setup.knee) - up * np.sin(setup.knee)  # at right angles to the shin
    heel = vector(np.zeros_like(lean), setup.foot_height)
    ankle = heel + shin * (ankle_height_share * segments.stature)
    knee = ankle + shin * length["shank"][..., None]
    hip = knee + up * length["thigh"][..., None]
    shoulder = hip + up * length["trunk"][..., None]
    elbow = shoulder + chest * length["upper_arm"][..., None]
    wrist = elbow + chest * length["forearm"][..., None]
    return Posture(
        phase="bottom",
        joints={
            "ball": ankle + toe * length["foot"][..., None],
            "ankle": ankle,
            "knee": knee,
            "hip": hip,
            "shoulder": shoulder,
            "crown": shoulder + up * length["head"][..., None],
            "elbow": elbow,
            "wrist": wrist,
            "fingertip": wrist + chest * length["hand"][..., None],
        },
        segments=segments,
        contacts=(Contact("hands", "hand", wrist, chest), Contact("heels", "foot", heel)),
        worn=setup.worn,
        closure="straight arms at right angles to the trunk: the hands pull along them",
    )
