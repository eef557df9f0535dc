"""Strain: what a movement asks of joints and places, as it is set up for a body.

What a posture tells is measured on it: how far joints bend under load, whether the head hangs below
the heart, whether the body hangs, stands on one leg, or lies. What no posture can tell (impact, a
locked elbow, a breath that is easily held) is told by the form's or the movement's own data.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from functools import lru_cache
from typing import Literal, get_args

import numpy as np

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Form
from invelo.domain.biomechanics.posture.skeleton import Posture
from invelo.domain.biomechanics.reading import posture_along
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError
from invelo.domain.estimate import Array

Quantity = Literal[
    "wrist bend",
    "elbow load",
    "straight arms",
    "overhead",
    "shoulders behind",
    "neck load",
    "back load",
    "hip bend",
    "straight-leg reach",
    "knee bend",
    "ankle bend",
    "impact",
    "one leg",
    "hanging",
    "head down",
    "on the back",
    "on the front",
    "hard hold",
    "one hand",
]
"""What can be limited."""


@dataclass(frozen=True)
class Measure:
    """How a quantity is told.

    Attributes:
        words: of a limit, with `{most}` where its figure stands.
        none: of a limit that allows nothing of it.
        unit: of the figure; '' for a class of 0 to 3.
        asks: what a coach is asked for.
        greatest: that can be asked of anyone.
    """

    words: str
    none: str
    unit: Literal["°", "%", ""]
    asks: str
    greatest: float


MEASURES: dict[Quantity, Measure] = {
    "wrist bend": Measure(
        "wrists bent back by at most {most}° under load",
        "no weight on hands laid flat",
        "°",
        "most bend of the wrist under load",
        150,
    ),
    "elbow load": Measure(
        "elbow load of class {most} at most",
        "no pressing or pulling with the arms",
        "",
        "class of elbow load",
        3,
    ),
    "straight arms": Measure(
        "straight arms bear the body in supports only, not in levers",
        "no locked elbows under load",
        "",
        "class of straight-arm load",
        2,
    ),
    "overhead": Measure(
        "upper arms raised by at most {most}°",
        "upper arms stay at the sides",
        "°",
        "most raise of the upper arm",
        190,
    ),
    "shoulders behind": Measure(
        "upper arms at most {most}° behind the body",
        "no upper arms behind the body",
        "°",
        "most reach of the upper arm behind the body",
        120,
    ),
    "neck load": Measure(
        "neck load of class {most} at most", "no load on the neck", "", "class of neck load", 3
    ),
    "back load": Measure(
        "back load of class {most} at most",
        "nothing that bends, twists or loads the back",
        "",
        "class of back load",
        3,
    ),
    "hip bend": Measure(
        "hips bent by at most {most}°", "no bend of the hips", "°", "most bend of the hip", 150
    ),
    "straight-leg reach": Measure(
        "straight legs drawn towards the body by at most {most}°",
        "no straight legs drawn towards the body",
        "°",
        "most bend of the hip with the knee straight",
        150,
    ),
    "knee bend": Measure(
        "knees bent by at most {most}° under load",
        "no bend of the knees under load",
        "°",
        "most bend of the knee under load",
        160,
    ),
    "ankle bend": Measure(
        "ankles bent by at most {most}° under load",
        "no bend of the ankles under load",
        "°",
        "most bend of the ankle under load",
        60,
    ),
    "impact": Measure(
        "impact of class {most} at most", "no jumps, jacks or running", "", "class of impact", 3
    ),
    "one leg": Measure(
        "one leg only with a hand on something firm",
        "nothing on one leg or on a step",
        "",
        "class of one-leg work",
        2,
    ),
    "hanging": Measure(
        "hanging only with the feet on the floor", "no hanging", "", "class of hanging", 2
    ),
    "head down": Measure(
        "the trunk at most {most}° head down",
        "the head stays above the heart",
        "°",
        "most tilt of the trunk with the head down",
        90,
    ),
    "on the back": Measure("", "nothing lying on the back", "", "lying on the back", 1),
    "on the front": Measure("", "nothing lying on the front", "", "lying on the front", 1),
    "hard hold": Measure(
        "", "no long hard holds, in which the breath is easily held", "", "long hard holds", 1
    ),
    "one hand": Measure(
        "one hand bears at most {most} % of what both would",
        "both hands bear alike",
        "%",
        "most share of one hand",
        100,
    ),
}
"""Every quantity in words. Classes are those of the catalogue: 1 light, 2 moderate, 3 hard."""

QUANTITIES: tuple[Quantity, ...] = get_args(Quantity)

STANDING_ANKLE = 108.9
"""Degrees between shank and foot in standing: the ankle stands higher than the ball."""

STEEP = 10.0
"""Degrees by which the trunk must point down before the head counts as below the heart."""

STRAIGHT = 30.0
"""Bend of the knee, degrees, up to which the leg counts as straight for the back of the thigh
(ours)."""

ON_LEGS = frozenset({"feet", "balls", "heels", "rear", "knees"})

Strains = Mapping[Quantity, float]


@lru_cache(maxsize=65_536)
def strains(body: Body, movement: Movement, modifiers: Modifiers) -> Strains:
    """The most of each quantity that a movement asks of a body anywhere along its rep; 0 where it
    asks nothing.

    A set-up that this body cannot take up is measured as an average body's.

    Source: measured on the posture; classes are the catalogue's.
    """
    return {
        **_measured(body, movement, modifiers),
        **_classes(movement, modifiers),
        **{
            quantity: movement.strain[quantity]
            for quantity in QUANTITIES
            if quantity in movement.strain
        },
    }


def _classes(movement: Movement, modifiers: Modifiers) -> dict[Quantity, float]:
    """What the form's and the movement's data tell."""
    values = dict(movement.own(modifiers).values)
    strains = movement.posture.strains
    return {
        "elbow load": movement.stress.get("elbow", 0),
        "neck load": movement.stress.get("neck", 0),
        "back load": movement.stress.get("back", 0),
        "straight arms": strains.get("straight arms", 0),
        "hard hold": strains.get("hard hold", 0),
        "on the back": strains.get("on the back", 0),
        "one hand": values.get("share", 50.0),
    }


def _measured(body: Body, movement: Movement, modifiers: Modifiers) -> dict[Quantity, float]:
    """What the posture tells, the most along the rep."""
    form = movement.posture
    if form.level_plane:
        return {}
    setup = movement.own(modifiers).setup(movement)
    try:
        posture = posture_along(body, setup)
    except InputError:
        posture = posture_along(AVERAGE, movement.as_it_is.setup(movement))
    return _angles(form, posture)


AVERAGE = Body(75.0, 1.75)


def _angles(form: Form, posture: Posture) -> dict[Quantity, float]:
    at = {name: place[:, 0, :] for name, place in posture.joints.items()}
    touched = {touch.at for touch in form.touches}
    trunk = _unit(at["shoulder"] - at["hip"])
    up, front = trunk[:, 1], _front(trunk, posture.facing)
    upper_arm = _unit(at["elbow"] - at["shoulder"])
    raised = np.degrees(np.arctan2(_dot(upper_arm, front), -_dot(upper_arm, trunk)))
    raised = np.where(raised < -135.0, raised + 360.0, raised)
    tilt = np.degrees(np.arcsin(np.clip(-up, -1.0, 1.0)))
    angles: dict[Quantity, float] = {
        "overhead": _most(raised),
        "shoulders behind": _most(-raised),
        "hip bend": max(_bend(at, "shoulder", "hip", knee) for knee in _both(at, "knee")),
        "straight-leg reach": max(_reach(at, knee) for knee in _both(at, "knee")),
        "head down": _most(np.where(tilt > STEEP, tilt, 0.0)),
        "on the front": float("front" in touched),
    }
    bearing = _both(at, "knee") if "rear" in touched else ("knee",)
    if touched & ON_LEGS:
        angles["knee bend"] = max(
            _bend(at, "hip", knee, knee.replace("knee", "ankle")) for knee in bearing
        )
    if touched & {"feet", "balls"}:
        angles["ankle bend"] = _ankle(at)
    hands = "hands" in touched
    if hands and form.grip == "palm":
        angles["wrist bend"] = _bend(at, "elbow", "wrist", "fingertip")
    above = bool((at["wrist"][:, 1] > at["shoulder"][:, 1]).any())
    if hands and form.grip == "bar" and above:
        angles["hanging"] = 1.0 if touched & ON_LEGS else 2.0
    if touched <= {"feet", "balls"} and "other_ankle" in at:
        angles["one leg"] = 2.0
    return angles


def _both(at: Mapping[str, Array], joint: str) -> tuple[str, ...]:
    return (joint, f"other_{joint}") if f"other_{joint}" in at else (joint,)


def _front(trunk: Array, facing: float) -> Array:
    """Where the chest faces: a quarter turn from the trunk."""
    front: Array = facing * np.stack((-trunk[:, 1], trunk[:, 0]), axis=-1)
    return front


def _bend(at: Mapping[str, Array], near: str, joint: str, far: str) -> float:
    """Greatest bend of a joint between two others: 0 where they lie in one line."""
    return _most(_bends(at, near, joint, far))


def _bends(at: Mapping[str, Array], near: str, joint: str, far: str) -> Array:
    """Bend of a joint along the rep, degrees."""
    one, other = _unit(at[near] - at[joint]), _unit(at[far] - at[joint])
    bends: Array = 180.0 - np.degrees(np.arccos(np.clip(_dot(one, other), -1.0, 1.0)))
    return bends


def _reach(at: Mapping[str, Array], knee: str) -> float:
    """Greatest bend of the hip while the knee is all but straight."""
    ankle = knee.replace("knee", "ankle")
    straight = _bends(at, "hip", knee, ankle) < STRAIGHT
    return _most(np.where(straight, _bends(at, "shoulder", "hip", knee), 0.0))


def _ankle(at: Mapping[str, Array]) -> float:
    """Greatest bend of the ankle beyond standing, toes towards the shank."""
    shank, foot = _unit(at["knee"] - at["ankle"]), _unit(at["ball"] - at["ankle"])
    between = np.degrees(np.arccos(np.clip(_dot(shank, foot), -1.0, 1.0)))
    return _most(STANDING_ANKLE - between)


def _unit(vector: Array) -> Array:
    size: Array = vector / np.maximum(np.linalg.norm(vector, axis=-1, keepdims=True), 1e-12)
    return size


def _dot(one: Array, other: Array) -> Array:
    product: Array = np.sum(one * other, axis=-1)
    return product


def _most(values: Array) -> float:
    return max(0.0, round(float(np.max(values)), 1))
