"""From a form and its values to a posture: angles, how the body settles, what it touches.

A posture settles by turning one thing (the whole body about its support, the arms, the legs, or the
upper body on standing legs) until a contact or the centre of mass is where it must be. Whatever
turns, the quantity asked for is a sine of the angle, so three looks at it settle the angle exactly.
"""

from collections.abc import Callable, Mapping
from dataclasses import dataclass

import numpy as np

from invelo.domain.biomechanics.body import GRAVITY, AddedMass, SegmentValues
from invelo.domain.biomechanics.posture import arms, checks, pose
from invelo.domain.biomechanics.posture.contacts import (
    HEEL_SHARE,
    RESTING,
    base,
    closure,
    contact,
    mid_foot,
)
from invelo.domain.biomechanics.posture.form import Form
from invelo.domain.biomechanics.posture.refuse import Refuse, at_first
from invelo.domain.biomechanics.posture.skeleton import (
    OutsideForce,
    Posture,
    cross,
    middle_joint,
    two_legs,
    vector,
)
from invelo.domain.errors import InputError
from invelo.domain.estimate import Array

ANKLE_OVER_BALL = 0.10
"""Height of the ankle over the ball of the foot on tiptoe, of stature (from memory of foot
lengths: two thirds of Winter's 0.152)."""

KNEE_RADIUS = 0.035
"""Height of the knee joint over the floor when kneeling, of stature: half the depth of a knee
0.38 m around (from memory, of anthropometric surveys)."""

BODY_DEPTH = 0.06
"""Height of hip and shoulder over the floor when lying on the back, of stature: half the depth of a
trunk (from memory, of anthropometric surveys)."""


@dataclass(frozen=True)
class ExternalForce:
    """A force from outside, at a joint.

    Attributes:
        name: what it is ("band").
        segment: it acts on.
        joint: where.
        vector: N, shape `(..., 2)`.
    """

    name: str
    segment: str
    joint: str
    vector: Array


def build(
    form: Form,
    segments: SegmentValues,
    values: Mapping[str, Array],
    depth: Array,
    added_load: AddedMass,
    pulls: tuple[ExternalForce, ...] = (),
    slack: Mapping[str, Array] | None = None,
    refuse: Refuse = at_first,
    near: Posture | None = None,
) -> Posture:
    """The posture of a body, or of its variations, at one or more places along the rep.

    Args:
        form: which family's.
        segments: of the body, each value of shape `(k,)`.
        values: of the form's parameters, in their units, each of shape `(1,)` or `(k,)`.
        depth: along the rep, 0 to 1, shape `(n, 1)` or `(n, k)`.
        added_load: what is carried.
        pulls: forces from outside.
        slack: added to joint angles, degrees, shape `(k,)`: how loosely they are held.
        refuse: what is done with a posture that cannot be.
        near: the same with other pulls, beside which it settles.

    Returns:
        a posture whose every value has the shape `(n, k)`.

    Raises:
        InputError: for joint angles no human has, or heights out of this body's reach.
    """
    facing = 1.0 if form.facing == "up" else -1.0
    angles = _angles(form, segments, values, depth, facing, slack or {}, refuse)
    if "other_hip" in angles or "rear" in [touch.at for touch in form.touches]:
        segments = two_legs(segments)

    def room(turned: dict[str, Array]) -> dict[str, Array]:
        return _in_the_room(form, segments, values, turned, facing, refuse)

    def settled(angles: dict[str, Array]) -> dict[str, Array]:
        if not form.turn:
            return angles
        wished = near.turned if near else angles.get(_turned_angle(form), np.zeros(1))
        return _settle(form, segments, values, angles, room, added_load, pulls, wished, refuse)

    if form.gives:
        at_start = _angles(form, segments, values, 0 * depth, facing, slack or {}, refuse)
        angles = _in_place(form, angles, at_start, lambda build_pose: room(settled(build_pose)))
    angles = settled(angles)
    joints = room(angles)
    pose.check(angles, refuse)
    checks.check_floor(form, values, joints, refuse)
    checks.check_lean(form, joints, refuse)
    checks.check_lift(form, joints, refuse)
    checks.check_straps(form, values, joints, refuse)
    shape = np.broadcast_shapes(*(place.shape for place in joints.values()))
    joints = {name: np.broadcast_to(place, shape) for name, place in joints.items()}
    touches = [contact(touch, form, segments, values, joints, facing) for touch in form.touches]
    return Posture(
        joints=joints,
        segments=segments,
        contacts=tuple(touches),
        resting=frozenset(name for touch in form.touches for name in RESTING.get(touch.at, ())),
        added_load=added_load,
        outside=tuple(
            OutsideForce(pull.name, pull.segment, joints[pull.joint], pull.vector) for pull in pulls
        ),
        closure=closure(form, values),
        gravity=0.0 if form.level_plane else GRAVITY,
        base=base(form, segments, joints, facing),
        facing=facing,
        turned=angles.get(_turned_angle(form), np.zeros(1)),
    )


GIVING_ROUNDS = 8
"""Steps of the secant that finds how far a joint gives: to well under a millimetre."""


def _in_place(
    form: Form,
    angles: dict[str, Array],
    at_start: dict[str, Array],
    placed: Callable[[dict[str, Array]], dict[str, Array]],
) -> dict[str, Array]:
    """Let a joint give along the rep, so that hands and feet stay where they were at its start."""
    foot = "heel" if form.far == "heels" else "ankle"

    def apart(pose: dict[str, Array]) -> Array:
        joints = placed(pose)
        across: Array = joints["wrist"][..., 0] - joints[foot][..., 0]
        return across

    def given(by: Array) -> dict[str, Array]:
        return angles | {form.gives: angles[form.gives] + by}

    wanted = apart(at_start)
    before = np.zeros(np.broadcast_shapes(wanted.shape, angles[form.gives].shape))
    by = before + 0.05
    off_before = apart(given(before)) - wanted
    for _ in range(GIVING_ROUNDS):
        off = apart(given(by)) - wanted
        slope = off - off_before
        still = np.abs(slope) < 1e-12
        step = np.where(still, 0.0, off * (by - before) / np.where(still, 1.0, slope))
        before, off_before, by = by, off, by - np.clip(step, -0.3, 0.3)
    return given(by)


def _turned_angle(form: Form) -> str:
    """The joint angle that a form turns until it settles."""
    return "trunk" if form.turn == "upper body" else form.turn


def _angles(
    form: Form,
    segments: SegmentValues,
    values: Mapping[str, Array],
    depth: Array,
    facing: float,
    slack: Mapping[str, Array],
    refuse: Refuse,
) -> dict[str, Array]:
    """Joint angles along the rep, radians (`rounding` is a share)."""
    start = {name: np.atleast_1d(value) for name, value in form.start.items()}
    end = start | {name: np.atleast_1d(value) for name, value in form.end.items()}
    for parameter in form.parameter:
        if parameter.sets:
            value = parameter.plus + parameter.sign * np.atleast_1d(values[parameter.name])
            if parameter.at != "end":
                start[parameter.sets] = value
            if parameter.at != "start":
                end[parameter.sets] = value
    if form.far == "shoulders" and "foot_height" in values:
        end["hip"] = end["hip"] + _lower_from_raised_feet(segments, values, end["knee"])
    angles: dict[str, Array] = {}
    for name, last in end.items():
        first = start.get(name, last)
        degrees = (1 - depth) * first + depth * last + slack.get(name, 0.0)
        angles[name] = degrees / 100 if name == "rounding" else np.radians(degrees)
    if "width" in values:
        angles["arms_out"] = np.radians(values["width"])
    if form.arms == "press":
        knees = form.anchor == "knees"
        over = (KNEE_RADIUS if knees else ANKLE_OVER_BALL) * np.atleast_1d(segments.stature)
        about = "knee" if knees else "ankle"
        angles |= arms.press(segments, values, angles, depth, facing, about, over, refuse)
    if form.arms == "bar":
        angles |= arms.bar(segments, angles, depth, facing)
    if "shank" in angles:  # legs told from the ground up
        angles["hip"] = angles["knee"] - angles["shank"] + np.pi / 2 - angles["trunk"]
    if "other_lift" in angles:
        angles["other_hip"] = angles["other_lift"] + np.pi - angles["trunk"]
        angles.setdefault("other_knee", np.zeros(1))
    out = values.get("leg_out", np.zeros(1)) / 100
    if np.any(out > 0):
        angles["other_hip"] = angles["hip"] + out * (np.radians(form.leg_out) - angles["hip"])
        angles["other_knee"] = angles["knee"] * (1 - out)
        angles["other_ankle"] = angles.get("ankle", np.zeros(1))
    return angles


def _lower_from_raised_feet(
    segments: SegmentValues, values: Mapping[str, Array], knee: Array
) -> Array:
    """How much further the hips bend until they are at the floor where the feet are raised,
    degrees: by as much as the line from hip to ankle turns."""
    thigh, shank = segments.length["thigh"], segments.length["shank"]
    line = np.sqrt(thigh**2 + shank**2 + 2 * thigh * shank * np.cos(np.radians(knee)))
    over = (segments.ankle_height - BODY_DEPTH * segments.stature) / line
    raised = np.clip(over + values["foot_height"] / line, -1.0, 1.0)
    turned: Array = np.degrees(np.arcsin(raised) - np.arcsin(over))
    return turned


def _in_the_room(
    form: Form,
    segments: SegmentValues,
    values: Mapping[str, Array],
    angles: dict[str, Array],
    facing: float,
    refuse: Refuse,
) -> dict[str, Array]:
    """Joints with the anchor where it stands, hands and feet laid on what they touch."""
    stature, length = segments.stature, segments.length
    hand = values.get("hand_height", np.zeros(1))
    foot = values.get("foot_height", np.zeros(1))
    joints = pose.joints(segments, angles, facing)
    touching = {touch.at for touch in form.touches}
    lying = values.get("seat_height", np.zeros(1)) + BODY_DEPTH * stature
    back, rise = _over_the_ball(segments, angles)
    joint, height = {
        "hands": ("wrist", hand),
        "forearms": ("elbow", hand),
        "balls": ("ankle", foot + rise),
        "feet": ("ankle", foot + segments.ankle_height),
        "heels": ("heel", foot),
        "knees": ("knee", foot + KNEE_RADIUS * stature),
        "back": ("hip", lying),
        "front": ("hip", lying),
    }[form.anchor]
    joints["heel"] = _heel(segments, joints)
    shift = vector(np.zeros(1), height) - joints[joint]
    joints = {name: place + shift for name, place in joints.items()}
    if "hands" in touching and form.grip == "palm":
        joints["fingertip"] = joints["wrist"] + vector(length["hand"], 0.0)
    if "forearms" in touching:
        joints["wrist"] = joints["elbow"] + vector(length["forearm"], 0.0)
        joints["fingertip"] = joints["wrist"] + vector(length["hand"], 0.0)
    if "knees" in touching:
        joints["ankle"] = joints["knee"] - vector(length["shank"], 0.0)
        joints["ball"] = joints["ankle"] - vector(ANKLE_OVER_BALL * stature, 0.0)
        joints["heel"] = joints["ankle"]
    if "balls" in touching:
        joints["ball"] = joints["ankle"] + vector(-facing * back, -rise)
    if "feet" in touching:
        ahead = -facing * (1 - HEEL_SHARE) * length["foot"]
        joints["ball"] = joints["ankle"] + vector(ahead, -segments.ankle_height)
    if "shoulders" in touching:  # head and arms lie on the floor beside them
        joints["crown"] = joints["shoulder"] + vector(length["head"], 0.0)
        joints["elbow"] = joints["shoulder"] - vector(length["upper_arm"], 0.0)
        joints["wrist"] = joints["elbow"] - vector(length["forearm"], 0.0)
        joints["fingertip"] = joints["wrist"] - vector(length["hand"], 0.0)
    if "rear" in touching:
        joints |= _rear_leg(segments, values, joints, refuse)
    return joints


def _over_the_ball(segments: SegmentValues, angles: Mapping[str, Array]) -> tuple[Array, Array]:
    """How far the ankle lies behind and over the ball of the foot, m: on tiptoe, or with the heel
    raised by the angle `heel`."""
    if "heel" not in angles:
        return np.zeros(1), np.full(1, ANKLE_OVER_BALL * segments.stature)
    sole, heel = (1 - HEEL_SHARE) * segments.length["foot"], angles["heel"]
    ankle = segments.ankle_height
    return (
        sole * np.cos(heel) - ankle * np.sin(heel),
        sole * np.sin(heel) + ankle * np.cos(heel),
    )


def _heel(segments: SegmentValues, joints: Mapping[str, Array]) -> Array:
    """The heel under the ankle, on the shank's line."""
    shank = joints["ankle"] - joints["knee"]
    drop = segments.ankle_height / np.linalg.norm(shank, axis=-1, keepdims=True)
    heel: Array = joints["ankle"] + shank * drop
    return heel


def _rear_leg(
    segments: SegmentValues,
    values: Mapping[str, Array],
    joints: Mapping[str, Array],
    refuse: Refuse,
) -> dict[str, Array]:
    """The second leg, from the hip to the ball of a foot behind."""
    ball = vector(-values["stride"], values["rear_height"])
    ankle = ball + vector(0.0, ANKLE_OVER_BALL * segments.stature)
    refuse(
        np.linalg.norm(joints["hip"] - ankle, axis=-1)
        > segments.length["thigh"] + segments.length["shank"],
        lambda: InputError(
            "stride", "it is longer than the rear leg reaches.", "Bring the rear foot nearer."
        ),
    )
    knee = middle_joint(
        joints["hip"],
        ankle,
        segments.length["other_thigh"],
        segments.length["other_shank"],
        np.array([1.0, -0.3]),
    )
    return {"other_knee": knee, "other_ankle": ankle, "other_ball": ball}


def _settle(
    form: Form,
    segments: SegmentValues,
    values: Mapping[str, Array],
    angles: dict[str, Array],
    room: Callable[[dict[str, Array]], dict[str, Array]],
    added_load: AddedMass,
    pulls: tuple[ExternalForce, ...],
    wished: Array,
    refuse: Refuse,
) -> dict[str, Array]:
    """Turn what the form turns until it settles, as near as can be to the angle wished for."""
    hip_sum = angles.get("hip", np.zeros(1)) + angles.get("trunk", np.zeros(1))
    other_sum = angles.get("other_hip", np.zeros(1)) + angles.get("trunk", np.zeros(1))
    name = _turned_angle(form)

    def turned(by: Array) -> dict[str, Array]:
        changed = angles | {name: by}
        if form.turn == "upper body":  # the legs stay where they stand
            changed["hip"] = hip_sum - by
            if "other_hip" in angles:
                changed["other_hip"] = other_sum - by
        return changed

    def missing(by: Array) -> Array:
        return _missing(form, segments, values, room(turned(by)), added_load, pulls)

    at_0, at_90, at_180 = missing(np.array([0.0, np.pi / 2, np.pi])[:, None, None])
    level, cosine = (at_0 + at_180) / 2, (at_0 - at_180) / 2
    sine = at_90 - level
    size = np.hypot(sine, cosine)
    short = -level / size
    first = np.atleast_1d(short)[..., 0]
    refuse(
        ~(np.abs(short) <= 1.0),
        lambda: _cannot(form, values, float(first.flat[np.argmax(np.abs(first))]) < 0),
    )
    lean = np.arcsin(np.clip(short, -1.0, 1.0))
    lag = np.arctan2(cosine, sine)
    roots = np.stack([lean - lag, np.pi - lean - lag])
    away = np.abs((roots - wished + np.pi) % (2 * np.pi) - np.pi)
    chosen = np.where(away[0] <= away[1], roots[0], roots[1])
    return turned((chosen - wished + np.pi) % (2 * np.pi) - np.pi + wished)


def _missing(
    form: Form,
    segments: SegmentValues,
    values: Mapping[str, Array],
    joints: dict[str, Array],
    added_load: AddedMass,
    pulls: tuple[ExternalForce, ...],
) -> Array:
    """How far the posture is from settled, m: a height, or the lever at which it would tip."""
    if form.until == "far contact":
        joint, height = {
            "hands": ("wrist", values.get("hand_height", np.zeros(1))),
            "forearms": ("elbow", values.get("hand_height", np.zeros(1))),
            "shoulders": ("shoulder", np.full(1, BODY_DEPTH * segments.stature)),
            "heels": ("heel", values.get("foot_height", np.zeros(1))),
        }[form.far]
        missing: Array = joints[joint][..., 1] - height
        return missing
    if form.until == "centre over hands":
        pivot = joints["wrist"]
    else:
        facing = 1.0 if form.facing == "up" else -1.0
        pivot = vector(mid_foot(segments, joints, facing), 0.0)
    posture = Posture(joints, segments, (), added_load=added_load)
    whole, tipping = np.zeros(()), np.zeros(())
    for _, mass, place in posture.parts():
        whole = whole + mass
        tipping = tipping + mass * (place[..., 0] - pivot[..., 0])
    for pull in pulls:
        tipping = tipping - cross(joints[pull.joint] - pivot, pull.vector) / GRAVITY
    lever: Array = tipping / whole
    return lever


def _cannot(form: Form, values: Mapping[str, Array], low: bool) -> InputError:
    """What to say where nothing the body turns settles it."""
    if form.until == "centre over feet":
        return InputError(
            "balance",
            f"the body would fall {'forwards' if low else 'backwards'}: however the trunk leans, "
            "its centre does not come over the foot.",
            "Bend the knee less, lean the shank further or stretch the arms ahead.",
        )
    if form.until == "centre over hands":
        return InputError(
            "balance",
            "the arms cannot come under the body's centre.",
            "Tuck the legs further, or hold the body less far out.",
        )
    hand, foot = (
        float(np.ravel(values.get(name, np.zeros(1)))[0]) for name in ("hand_height", "foot_height")
    )
    field = "hand height" if hand >= foot else "foot height"
    return InputError(
        field,
        f"{max(hand, foot):.2f} m is beyond this body's reach.",
        "Lower it, or bring hands and feet nearer in height.",
    )
