"""Whole-body centre of mass against yeadon, a geometric model of the human body (registry library).

The library builds a body of forty solids from girths and breadths; ours hangs table masses on
lines. Girths are of an average man of 1.75 m (from memory, of anthropometric surveys); lengths are
Winter's, so that both bodies have their joints in the same places. What differs is how mass lies
along each segment and among them. No bar was set beforehand: the differences found, 1.2 to 2.5 % of
stature, are told in docs/model.md, and more than 3 % would be news. People of one stature differ in
girths by about 8 % (from memory), which moves the library's own centre by 2 to 3 %.
"""

import numpy as np
import pytest

from invelo.domain.biomechanics.body import WINTER, Body, SegmentTable
from invelo.domain.biomechanics.dumas import DUMAS
from invelo.domain.biomechanics.posture.pose import joints
from invelo.domain.biomechanics.posture.skeleton import Posture

yeadon = pytest.importorskip("yeadon", reason="a development package; installed by ./invelo test")

STATURE = 1.75
NEWS = 0.03

TABLES = {"winter": WINTER, "dumas, men": DUMAS["male"]}
SHARE = {name: segment.length_share for name, segment in WINTER.segments.items()}

LENGTHS = tuple(sorted((name, STATURE * share) for name, share in SHARE.items()))


def measures() -> dict[str, float]:
    """The library's 95 measures: lengths from our table, girths of an average man, m."""
    trunk, head, arm, fore, hand, thigh, shank, foot = (
        STATURE * SHARE[name]
        for name in ("trunk", "head", "upper_arm", "forearm", "hand", "thigh", "shank", "foot")
    )
    torso = {
        **{"Ls1L": 0.32 * trunk, "Ls2L": 0.50 * trunk, "Ls3L": 0.72 * trunk, "Ls4L": trunk},
        **{"Ls5L": 1.08 * trunk, "Ls6L": 0.46 * head, "Ls7L": 0.68 * head, "Ls8L": 0.88 * head},
        **{"Ls0p": 0.95, "Ls1p": 0.86, "Ls2p": 0.88, "Ls3p": 0.97, "Ls5p": 0.38},
        **{"Ls6p": 0.52, "Ls7p": 0.57},
        **{"Ls0w": 0.34, "Ls1w": 0.30, "Ls2w": 0.30, "Ls3w": 0.33, "Ls4w": 0.36, "Ls4d": 0.16},
    }
    a_limb = {
        **{"2L": arm, "3L": arm + 0.25 * fore, "4L": arm + fore},
        **{"5L": 0.35 * hand, "6L": 0.5 * hand, "7L": hand},
        **{"0p": 0.40, "1p": 0.31, "2p": 0.28, "3p": 0.28, "4p": 0.17},
        **{"5p": 0.25, "6p": 0.21, "7p": 0.14},
        **{"4w": 0.06, "5w": 0.10, "6w": 0.08, "7w": 0.06},
    }
    a_leg = {
        **{"1L": 0.2 * thigh, "3L": thigh, "4L": thigh + 0.3 * shank, "5L": thigh + shank},
        **{"6L": 0.05, "8L": 0.75 * foot, "9L": foot},
        **{"1p": 0.59, "2p": 0.53, "3p": 0.38, "4p": 0.37, "5p": 0.23, "6p": 0.33},
        **{"7p": 0.26, "8p": 0.25, "9p": 0.20},
        **{"8w": 0.10, "9w": 0.08, "6d": 0.11},
    }
    arms = {f"L{side}{name}": value for side in "ab" for name, value in a_limb.items()}
    legs = {f"L{side}{name}": value for side in "jk" for name, value in a_leg.items()}
    return torso | arms | legs


SHAPES = {  # shoulder, hip and knee bend, degrees
    "standing": (0, 0, 0),
    "arms ahead": (90, 0, 0),
    "arms overhead": (180, 0, 0),
    "legs level": (0, 90, 0),
    "tuck": (0, 120, 130),
    "arms and legs ahead": (90, 90, 0),
    "half lay": (60, 0, 90),
}


def theirs(shoulder: float, hip: float, knee: float) -> np.ndarray:
    """The library's centre from the hip: ahead and up, m."""
    human = yeadon.Human(measures())
    human.set_CFG_dict(
        dict.fromkeys(human.CFGnames, 0.0)
        | {name: -np.radians(shoulder) for name in ("CA1extension", "CB1extension")}
        | {name: -np.radians(hip) for name in ("PJ1extension", "PK1extension")}
        | {name: np.radians(knee) for name in ("J1J2flexion", "K1K2flexion")}
    )
    _, y, z = np.asarray(human.center_of_mass).ravel()
    return np.array([-y, z])  # its y points backwards


def ours(table: SegmentTable, shoulder: float, hip: float, knee: float) -> np.ndarray:
    """Our centre from the hip: ahead and up, m, with the shank's line going on into the foot."""
    segments = Body(75.0, STATURE, table, LENGTHS).segments()
    angles = {
        name: np.full(1, np.radians(value))
        for name, value in (
            ("trunk", 90), ("shoulder", shoulder), ("hip", hip), ("knee", knee), ("ankle", 90)
        )
    }  # fmt: skip
    placed = {name: place[0] for name, place in joints(segments, angles, -1.0).items()}
    return Posture(placed, segments, ()).centre_of_mass()


@pytest.mark.parametrize("table", TABLES)
@pytest.mark.parametrize("shape", SHAPES)
def test_centres_lie_near_each_other(shape: str, table: str) -> None:
    away = ours(TABLES[table], *SHAPES[shape]) - theirs(*SHAPES[shape])
    assert np.hypot(*away) <= NEWS * STATURE


@pytest.mark.parametrize("shape", ["arms ahead", "legs level", "tuck", "arms and legs ahead"])
def test_moving_a_limb_moves_both_centres_the_same_way(shape: str) -> None:
    """What a change of shape does to the centre is what levers are made of."""
    moved = ours(WINTER, *SHAPES[shape]) - ours(WINTER, *SHAPES["standing"])
    expected = theirs(*SHAPES[shape]) - theirs(*SHAPES["standing"])
    cosine = moved @ expected / (np.hypot(*moved) * np.hypot(*expected))
    assert cosine > 0.99
    assert 0.75 < np.hypot(*moved) / np.hypot(*expected) < 1.25
