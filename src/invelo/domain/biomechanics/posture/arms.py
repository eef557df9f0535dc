"""Arms placed by where the hands are, not by angles: the press and the pull to a bar.

Both give the shoulder's and the elbow's angle along the rep; `depth` is 0 with the arms straight
and 1 at the other end.
"""

from collections.abc import Mapping

import numpy as np

from invelo.domain.biomechanics.body import SegmentValues
from invelo.domain.biomechanics.posture.pose import joints
from invelo.domain.biomechanics.posture.refuse import Refuse, at_first
from invelo.domain.errors import InputError
from invelo.domain.estimate import Array

BOTTOM_CLEARANCE = 0.10
"""Shoulder's distance from the hands' level at the bottom of a press, of stature (common practice:
chest just off the floor)."""

BOTTOM_HANDS_BACK = 0.05
"""How far the hands are towards the feet from the shoulder at the bottom, of stature (common
practice: hands beside the lower chest)."""

BAR_CLEARANCE = 0.12
"""Shoulder's distance from the bar at the end of a row, of stature (common practice: the bar near
the chest)."""


def press(
    segments: SegmentValues,
    values: Mapping[str, Array],
    depth: Array,
    refuse: Refuse = at_first,
) -> dict[str, Array]:
    """Hands on a surface under the chest: straight arms, elbows at 90°, chest near the hands.

    Args:
        segments: lengths, shape `(k,)`.
        values: `hand_offset` (m), `deficit` (m) and `width` (degrees the arms point outwards),
            where the form has them.
        depth: 0 to 1, shape `(n, 1)` or `(n, k)`; between the three places the hands move in a
            straight line seen from the shoulder.
        refuse: what is done with hands out of reach.

    Raises:
        InputError: for hands further along the body than the arms are long.
    """
    offset, stature = values["hand_offset"], segments.stature
    flat = np.cos(np.radians(values.get("width", np.zeros(1))))
    upper, fore = segments.length["upper_arm"] * flat, segments.length["forearm"] * flat
    back = offset + depth * BOTTOM_HANDS_BACK * stature
    middle = offset + 0.5 * BOTTOM_HANDS_BACK * stature
    straight, square = upper + fore, np.hypot(upper, fore)
    refuse(
        (np.abs(offset) >= straight) | (np.abs(middle) >= square),
        lambda: InputError(
            "hand offset",
            "the hands are further along the body than the arms are long.",
            "Bring the hands nearer to the shoulders.",
        ),
    )
    top_away = np.sqrt(np.maximum(0.0, straight**2 - offset**2))
    middle_away = np.sqrt(np.maximum(0.0, square**2 - middle**2))
    low = BOTTOM_CLEARANCE * stature - values.get("deficit", np.zeros(1))
    upper_half = top_away + (middle_away - top_away) * 2 * depth
    lower_half = middle_away + (low - middle_away) * (2 * depth - 1)
    away = np.where(depth <= 0.5, upper_half, lower_half)
    return _angles(back, away, upper, fore)


def bar(
    segments: SegmentValues, angles: Mapping[str, Array], depth: Array, facing: float
) -> dict[str, Array]:
    """Hands on a bar that stays where it is while the body turns about its heels.

    The pull starts with straight arms at right angles to the trunk; the distance from heels to bar
    is then kept, so the bar moves towards the head by what the arms' shortening asks.

    Returns:
        `shoulder`, `elbow` and the `trunk`'s angle; radians.
    """
    flat = {**angles, "trunk": np.zeros(1), "shoulder": np.zeros(1), "elbow": np.zeros(1)}
    placed = joints(segments, flat, facing)
    shank = placed["ankle"] - placed["knee"]
    heel = placed["ankle"] + shank * (segments.ankle_height / segments.length["shank"])[..., None]
    from_heel = placed["shoulder"] - heel
    along, front = from_heel[..., 0], facing * from_heel[..., 1]
    upper, fore = segments.length["upper_arm"], segments.length["forearm"]
    straight = upper + fore
    away = straight + depth * (BAR_CLEARANCE * segments.stature - straight)
    back = along - np.sqrt(along**2 + (front + straight) ** 2 - (front + away) ** 2)
    turned = np.arctan2(front + straight, along) - np.arctan2(front + away, along - back)
    return _angles(back, away, upper, fore) | {"trunk": angles["trunk"] + facing * turned}


def _angles(back: Array, away: Array, upper: Array, fore: Array) -> dict[str, Array]:
    """Shoulder and elbow for a hand `back` towards the feet and `away` from the chest, m."""
    reach = (back**2 + away**2 - upper**2 - fore**2) / (2 * upper * fore)
    elbow = np.arccos(np.clip(reach, -1.0, 1.0))
    lag = np.arctan2(fore * np.sin(elbow), upper + fore * np.cos(elbow))
    return {"shoulder": np.arctan2(away, back) - lag, "elbow": elbow}
