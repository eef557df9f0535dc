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

HANDS_BACK = 0.03
"""How far the hands are towards the feet from the shoulder at the bottom, of stature (common
practice: hands beside the chest; 0.02 to either side)."""

MOST_BEND = np.radians(157.0)
"""Bend at which an elbow ends; where a deep press would ask for more, the hands lie further back
(from memory, of clinical range-of-motion tables)."""

BAR_CLEARANCE = 0.12
"""Shoulder's distance from the bar at the end of a row, of stature (common practice: the bar near
the chest)."""


def press(
    segments: SegmentValues,
    values: Mapping[str, Array],
    angles: Mapping[str, Array],
    depth: Array,
    facing: float,
    anchor: str,
    over: Array,
    refuse: Refuse = at_first,
) -> dict[str, Array]:
    """Hands that stay where they are on a surface while the body turns about its feet or knees.

    They lie by the chest at the bottom, or nearer the head where straight arms would lean past the
    vertical (feet raised); how far they are from the joint that the body turns about is kept, so
    that they slide nowhere. From there the arms straighten.

    Args:
        segments: lengths, shape `(k,)`.
        values: `hand_offset` (m), `deficit` (m) and `width` (degrees the arms point outwards),
            where the form has them.
        angles: of the rest of the body.
        depth: 0 with straight arms to 1 at the bottom, by the way of the chest to the hands, shape
            `(n, 1)` or `(n, k)`.
        facing: 1 where the chest faces up with the head to the right, −1 where it faces down.
        anchor: joint the body turns about.
        over: its height over what it stands on, m.
        refuse: what is done with hands out of reach.

    Raises:
        InputError: for hands further along the body than the arms are long.
    """
    straight = {**angles, "trunk": np.zeros(1), "shoulder": np.zeros(1), "elbow": np.zeros(1)}
    placed = joints(segments, straight, facing)
    from_anchor = placed["shoulder"] - placed[anchor]
    along, front = from_anchor[..., 0], facing * from_anchor[..., 1]
    flat = np.cos(np.radians(values.get("width", np.zeros(1))))
    upper, fore = segments.length["upper_arm"] * flat, segments.length["forearm"] * flat
    arm, stature = upper + fore, segments.stature
    low = BOTTOM_CLEARANCE * stature - values.get("deficit", np.zeros(1))
    rise = _rise(values, over)
    nearest = upper**2 + fore**2 - 2 * upper * fore * np.cos(np.pi - MOST_BEND)

    def apart_with(back: Array | float) -> Array:
        """Hands to anchor, squared, with the hands so far towards the feet at the bottom."""
        return (along - back) ** 2 + (front + low) ** 2

    def bent(apart: Array) -> Array:
        """The same, but with no elbow bent further than it goes at the bottom."""
        back = along - np.sqrt(np.maximum(apart - (front + low) ** 2, 0.0))
        least = np.sqrt(np.maximum(nearest - low**2, 0.0))
        return np.where(back**2 + low**2 < nearest, apart_with(least), apart)

    apart = bent(apart_with(HANDS_BACK * stature))
    upright = np.maximum(apart, _upright(along**2 + front**2, arm, rise))
    apart = np.where(bent(upright) == upright, upright, apart)
    across = np.sqrt(np.maximum(apart - rise**2, 0.0)) - values["hand_offset"]
    apart = bent(across**2 + rise**2)
    level = (along**2 + front**2 + arm**2 - apart) / 2
    square, half = 1 + (front / along) ** 2, level * front / along**2
    inside = half**2 - square * ((level / along) ** 2 - arm**2)
    refuse(
        (values["hand_offset"] != 0.0)
        & ((inside <= 0.0) | (across <= 0.0) | (apart <= (front + low) ** 2)),
        lambda: InputError(
            "hand offset",
            "the hands are further along the body than the arms are long.",
            "Bring the hands nearer to the shoulders.",
        ),
    )
    high = (np.sqrt(np.maximum(inside, 0.0)) - half) / square
    away = high + depth * (low - high)
    kept = along - np.sqrt(np.maximum(apart - (front + away) ** 2, 0.0))
    return _angles(kept, away, upper, fore)


def _rise(values: Mapping[str, Array], over: Array) -> Array:
    """Height of the hands over the joint that the body turns about, m."""
    nothing = np.zeros(1)
    return values.get("hand_height", nothing) - values.get("foot_height", nothing) - over


def _upright(body: Array, arm: Array, rise: Array) -> Array:
    """Square of the distance from the joint the body turns about to hands right under the shoulders
    of straight arms, m²; 0 where the body does not reach so high.

    Args:
        body: square of the distance from that joint to the shoulder, m².
        arm: length, m.
        rise: height of the hands over that joint, m.
    """
    across: Array = body - (rise + arm) ** 2
    return np.where(across > 0.0, across + rise**2, 0.0)


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
