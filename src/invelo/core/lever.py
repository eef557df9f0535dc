"""What a straight-arm lever asks of the shoulders, and how long it can be held."""

from dataclasses import dataclass
from functools import lru_cache

import numpy as np

from invelo.core.body import GRAVITY, Body
from invelo.core.estimate import (
    Array,
    Derivation,
    Estimate,
    Input,
    interval_from_variations,
)
from invelo.core.holds import HoldCapacity, HoldResult
from invelo.core.ladder import relative_range
from invelo.core.posture.lever import LeverShape, varied_levers
from invelo.core.statics import gravity_moment

NOT_ARMS = ("head", "trunk", "thigh", "shank", "foot")


@dataclass(frozen=True)
class LeverTorque:
    """Torque about the shoulder.

    Attributes:
        torque: N·m, both sides together.
        share: torque ÷ (body weight × stature), the scale on which bodies compare.
        samples: torque for the body and its plausible neighbours, N·m, shape `(k,)`.
    """

    torque: Estimate
    share: Estimate
    samples: tuple[float, ...]


@lru_cache(maxsize=1024)
def lever_torque(body: Body, shape: LeverShape) -> LeverTorque:
    """The torque of everything but the arms about the shoulder, body level.

    Source: plane statics over the body's segment table; the angles are the shape's.
    """
    postures = varied_levers(body, shape)
    samples: Array = np.mean(
        [-gravity_moment(p, p.joints["shoulder"], NOT_ARMS) for p in postures], axis=0
    )
    inputs = (
        Input("body mass", body.mass, "kg"),
        Input("stature", body.stature, "m"),
        *(
            Input(f"{side} {name}", float(np.degrees(getattr(leg, name))), "°")
            for side, leg in zip(("left", "right"), shape.legs, strict=True)
            for name in ("thigh", "knee", "splay")
        ),
        Input("trunk rounded by", 100 * shape.rounding, "% of its length"),
    )
    words = (
        "Weight of head, trunk and legs × their distance from the shoulder along the level body; "
        "a leg out to the side keeps its mass and loses length. The range lets limb lengths, "
        "segment masses and the hip's angle differ as they do between people."
    )
    derivation = Derivation(words, inputs, (body.table.source, "plane statics"))
    unit = body.mass * GRAVITY * body.stature
    return LeverTorque(
        Estimate(*interval_from_variations(samples), "N·m", derivation),
        Estimate(*interval_from_variations(samples / unit), "body weight × stature", derivation),
        tuple(float(value) for value in samples),
    )


def predict_hold(body: Body, tested: LeverShape, seconds: float, wanted: LeverShape) -> Estimate:
    """How long `wanted` can be held by whoever holds `tested` for `seconds`, s.

    Raises:
        InputError: for a hold out of range.
    """
    here, there = lever_torque(body, tested), lever_torque(body, wanted)
    capacity = HoldCapacity(HoldResult(here.torque.likely, seconds))
    return capacity.predict(there.torque.likely, relative_range(there, here))
