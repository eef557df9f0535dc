"""Postures that cannot be, or of which statics says nothing: each refused by name."""

from collections.abc import Mapping

import numpy as np

from invelo.domain.biomechanics.posture.form import Form
from invelo.domain.biomechanics.posture.refuse import Refuse
from invelo.domain.errors import InputError
from invelo.domain.estimate import Array

BELOW_FLOOR = 0.03
"""Metres a joint may lie under the floor before the posture is refused: a fist's play (ours)."""


OFF_THE_FLOOR = ("hip", "knee", "ankle", "other_knee", "other_ankle")
"""Joints that are asked; a head can look up, an elbow point out, and a toe give way."""


def check_floor(
    form: Form, values: Mapping[str, Array], joints: Mapping[str, Array], refuse: Refuse
) -> None:
    """No joint reaches under the floor."""
    if form.level_plane:
        return
    heights = [place[..., 1] for name, place in joints.items() if name in OFF_THE_FLOOR]
    lowest = np.minimum.reduce(np.broadcast_arrays(*heights))

    def error() -> InputError:
        deep = f"the body would reach {100 * -float(lowest[..., 0].min()):.0f} cm under the floor."
        if "hand_height" in values:
            return InputError("hand height", deep, "Raise the hands, or tuck the legs further.")
        return InputError("posture", deep, "Bend less, or raise the support.")

    refuse(lowest < -BELOW_FLOOR, error)


def check_lean(form: Form, joints: Mapping[str, Array], refuse: Refuse) -> None:
    """A press leans over its hands; behind the upright there is nothing to press."""
    if form.arms != "press" or form.far != "hands":
        return
    ahead = (
        joints["shoulder"][..., 0] - joints["knee" if form.anchor == "knees" else "ankle"][..., 0]
    )
    refuse(
        ahead <= 0.0,
        lambda: InputError(
            "hand height",
            "a surface as high as this body's shoulders leaves it nothing to lean on.",
            "Lower it, or stand on something.",
        ),
    )


def check_straps(
    form: Form, values: Mapping[str, Array], joints: Mapping[str, Array], refuse: Refuse
) -> None:
    """Straps pull, and so hang from above the hands."""
    if "strap_height" not in values or not any(touch.push == "strap" for touch in form.touches):
        return
    anchor = values["strap_height"]
    refuse(
        (anchor > 0.0) & (anchor <= joints["wrist"][..., 1]),
        lambda: InputError(
            "strap height",
            "the straps are anchored below the hands; they would hold nothing up.",
            "Anchor them higher than the hands, or set 0 for a bar.",
        ),
    )


def check_lift(form: Form, joints: Mapping[str, Array], refuse: Refuse) -> None:
    """Straight legs over level are a matter of reach, of which torques say nothing."""
    line = joints["ankle"] - joints["hip"]
    far = np.linalg.norm(line, axis=-1)
    most = np.sin(np.radians(form.most_lift)) * far
    refuse(
        (line[..., 1] > most) & (far > 0.9 * _straight(joints)),
        lambda: InputError(
            "hip",
            "straight legs over level are limited by the hips' reach, which no torque tells.",
            "Keep them level, or use the V-sit, which is told by its seconds alone.",
        ),
    )


def _straight(joints: Mapping[str, Array]) -> Array:
    """From hip to ankle with the knee straight, m."""
    thigh = np.linalg.norm(joints["knee"] - joints["hip"], axis=-1)
    shank = np.linalg.norm(joints["ankle"] - joints["knee"], axis=-1)
    whole: Array = thigh + shank
    return whole
