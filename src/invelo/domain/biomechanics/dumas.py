"""The second body table, by sex: Dumas, Chèze and Verriest 2007, brought to our end points.

The study ends its trunk at C7–T1 and L5–S1 and its pelvis at the hips' middle; ours has one trunk
from shoulder to hip. Thorax and pelvis are joined, and the shoulder is set a fixed way below C7–T1.
Mass centres are taken along the segments; how far they lie in front or behind is left out, since
the model's segments are lines.
"""

from dataclasses import dataclass
from typing import Literal

from invelo.domain.biomechanics.body import BodySegment, SegmentTable

Sex = Literal["female", "male"]

SHOULDER_BELOW_C7T1 = 0.034
"""Of stature: what makes hip–shoulder as long as Winter's in the study's own men (ours; the study
does not place the shoulder on the thorax's axis)."""


@dataclass(frozen=True)
class Measured:
    """A segment as published: length (m), mass (share of the body's, one side), and the mass centre
    along the segment from its near end (share of the length)."""

    length: float
    mass: float
    centre: float


@dataclass(frozen=True)
class Study:
    """One sex of the study, with its mean stature, m."""

    stature: float
    head_neck: Measured
    thorax: Measured
    pelvis: Measured
    arm: Measured
    forearm: Measured
    hand: Measured
    thigh: Measured
    leg: Measured
    foot: Measured


STUDIES: dict[Sex, Study] = {
    "female": Study(
        stature=1.61,
        head_neck=Measured(0.253, 0.067, 0.575),
        thorax=Measured(0.429, 0.304, 0.436),
        pelvis=Measured(0.107, 0.146, 0.232),
        arm=Measured(0.243, 0.022, 0.454),
        forearm=Measured(0.247, 0.013, 0.411),
        hand=Measured(0.167, 0.005, 0.327),
        thigh=Measured(0.379, 0.146, 0.377),
        leg=Measured(0.388, 0.045, 0.404),
        foot=Measured(0.165, 0.010, 0.270),
    ),
    "male": Study(
        stature=1.77,
        head_neck=Measured(0.277, 0.067, 0.536),
        thorax=Measured(0.477, 0.333, 0.420),
        pelvis=Measured(0.094, 0.142, 0.280),
        arm=Measured(0.271, 0.024, 0.452),
        forearm=Measured(0.253, 0.017, 0.417),
        hand=Measured(0.189, 0.006, 0.357),
        thigh=Measured(0.432, 0.123, 0.429),
        leg=Measured(0.433, 0.045, 0.410),
        foot=Measured(0.183, 0.012, 0.382),
    ),
}
"""Dumas, Chèze and Verriest 2007, J Biomech 40(3):543–553. The hand ends at the third fingertip,
the foot at the middle of the metatarsal heads. The tests hold these figures against a registry
library's copy."""

SOURCE = "Dumas, Chèze and Verriest 2007, J Biomech 40(3):543–553"
ANKLE_HEIGHT_SHARE = 0.039
"""Winter's; the study does not give one."""


def _table(sex: Sex) -> SegmentTable:
    study = STUDIES[sex]
    drop = SHOULDER_BELOW_C7T1 * study.stature
    pairs = (study.arm, study.forearm, study.hand, study.thigh, study.leg, study.foot)
    trunk_mass = study.thorax.mass + study.pelvis.mass
    # Published shares add up to a few thousandths less than one; they are scaled to a whole body.
    whole = study.head_neck.mass + trunk_mass + 2 * sum(pair.mass for pair in pairs)

    def limb(measured: Measured) -> BodySegment:
        return BodySegment(
            2 * measured.mass / whole, measured.length / study.stature, measured.centre
        )

    trunk_length = study.thorax.length + study.pelvis.length - drop
    trunk_centre = (
        study.thorax.mass * study.thorax.centre * study.thorax.length
        + study.pelvis.mass * (study.thorax.length + study.pelvis.centre * study.pelvis.length)
    ) / trunk_mass - drop
    head_length = study.head_neck.length + drop
    head_centre = study.head_neck.centre * study.head_neck.length + drop
    return SegmentTable(
        name=f"dumas, {sex}",
        source=SOURCE,
        segments={
            "head": BodySegment(
                study.head_neck.mass / whole,
                head_length / study.stature,
                head_centre / head_length,
            ),
            "trunk": BodySegment(
                trunk_mass / whole, trunk_length / study.stature, trunk_centre / trunk_length
            ),
            "upper_arm": limb(study.arm),
            "forearm": limb(study.forearm),
            "hand": limb(study.hand),
            "thigh": limb(study.thigh),
            "shank": limb(study.leg),
            "foot": limb(study.foot),
        },
        ankle_height_share=ANKLE_HEIGHT_SHARE,
    )


DUMAS: dict[Sex, SegmentTable] = {"female": _table("female"), "male": _table("male")}
"""The second table, by sex."""
