"""What a posture touches: where, and what is known of the force there."""

from collections.abc import Mapping

import numpy as np

from invelo.domain.biomechanics.body import SegmentValues
from invelo.domain.biomechanics.posture.form import Form, Touch
from invelo.domain.biomechanics.posture.skeleton import Contact, vector
from invelo.domain.estimate import Array

HEEL_SHARE = 0.25
"""Of the foot's length, what lies behind the ankle (common practice: a quarter)."""

RESTING = {
    "knees": ("shank", "foot"),
    "forearms": ("forearm", "hand"),
    "back": ("trunk", "head", "upper_arm", "forearm", "hand"),
    "front": ("trunk", "head", "upper_arm", "forearm", "hand"),
    "shoulders": ("head", "upper_arm", "forearm", "hand"),
}
"""What a contact carries without asking the joints."""

CLOSURES = {
    "any": "hands and feet share the load so that the effort of all joints is least",
    "strap": "the hands pull along the straps",
    "up": "{name} push straight up",
    "across": "{name} pushes straight across",
}


def mid_foot(segments: SegmentValues, joints: Mapping[str, Array], facing: float) -> Array:
    """Where the middle of a flat foot is along the ground, shape `(...)`, m."""
    ahead: Array = -facing * (0.5 - HEEL_SHARE) * segments.length["foot"]
    return joints["ankle"][..., 0] + ahead


def contact(
    touch: Touch,
    form: Form,
    segments: SegmentValues,
    values: Mapping[str, Array],
    joints: Mapping[str, Array],
    facing: float,
) -> Contact:
    """A contact with its point, and the line of its force where that is known."""
    foot = values.get("foot_height", np.zeros(1))
    wrist, shoulder, hip = joints["wrist"], joints["shoulder"], joints["hip"]
    if touch.at == "rear":
        name, segment, point = "rear foot", "other_foot", joints["other_ball"]
    else:
        name, segment, point = {
            "hands": ("hands", "hand", wrist),
            "forearms": ("forearms", "upper_arm", joints["elbow"]),
            "balls": ("feet", "foot", vector(joints["ankle"][..., 0], foot)),
            "feet": ("feet", "foot", vector(mid_foot(segments, joints, facing), foot)),
            "heels": ("heels", "foot", joints["heel"]),
            "knees": ("knees", "thigh", vector(joints["knee"][..., 0], foot)),
            "back": ("back", "trunk", vector(hip[..., 0], 0.0)),
            "front": ("front", "trunk", vector(hip[..., 0], 0.0)),
            "shoulders": ("shoulders", "trunk", vector(shoulder[..., 0], 0.0)),
            "wall": ("wall", "trunk", (hip + shoulder) / 2),
        }[touch.at]
    return Contact(
        name,
        segment,
        point,
        _line(touch, values, joints),
        np.array([1.0, 0.0]) if touch.at == "wall" else np.array([0.0, 1.0]),
        touch.at == "hands" and form.grip == "bar",
        touch.pull,
    )


def _line(touch: Touch, values: Mapping[str, Array], joints: Mapping[str, Array]) -> Array | None:
    shape = joints["wrist"].shape
    if touch.push == "up":
        return np.broadcast_to(np.array([0.0, 1.0]), shape)
    if touch.push == "across":
        return np.broadcast_to(np.array([1.0, 0.0]), shape)
    if touch.push == "strap" and _strapped(values):
        anchor = vector(values["strap_ahead"], values["strap_height"])
        return _unit(anchor - joints["wrist"])
    return None


def _strapped(values: Mapping[str, Array]) -> bool:
    return bool(np.any(values.get("strap_height", np.zeros(1)) > 0))


def _unit(towards: Array) -> Array:
    unit: Array = towards / np.linalg.norm(towards, axis=-1, keepdims=True)
    return unit


def closure(form: Form, values: Mapping[str, Array]) -> str:
    """How the open force was settled, in words."""
    residuals = []
    for touch in form.touches:
        if touch.push == "strap" and not _strapped(values):
            continue
        if touch.push != "any":
            residuals.append(CLOSURES[touch.push].format(name="the " + touch.at))
    if not residuals and len(form.touches) == 2:
        return CLOSURES["any"]
    return "; ".join(residuals) or "one support carries the whole weight"


def base(
    form: Form, segments: SegmentValues, joints: Mapping[str, Array], facing: float
) -> tuple[Array, Array] | None:
    """From heel to toe, where the body stands on its feet alone."""
    if [touch.at for touch in form.touches] != ["feet"]:
        return None
    ankle, ahead = joints["ankle"][..., 0], -facing * segments.length["foot"]
    ends = ankle - HEEL_SHARE * ahead, ankle + (1 - HEEL_SHARE) * ahead
    return np.minimum(*ends), np.maximum(*ends)
