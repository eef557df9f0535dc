"""Statics of many postures at once, against a general rigid-body library's loop over them.

Equal outputs: gravity torques at elbow, shoulder, hip, knee and ankle of the same postures. The
library's model is built once and only its joints are set for each posture, its quickest way. Rounds
are interleaved, medians compared.
"""

import statistics
import time

import mujoco
import numpy as np
from tests.reference.test_statics_against_mujoco import JOINTS, model_of

from invelo.core.body import Body
from invelo.core.posture.skeleton import SEGMENT_ENDS, Posture
from invelo.core.statics import joint_torques

POSTURES = 100_000
LOOPED = 5_000
ROUNDS = 5
CHAIN = {
    "upper_arm": ("shoulder", "elbow"),
    "forearm": ("elbow", "wrist"),
    "hand": ("wrist", "fingertip"),
    "thigh": ("hip", "knee"),
    "shank": ("knee", "ankle"),
    "foot": ("ankle", "ball"),
}
HINGE = {
    "upper_arm": "shoulder",
    "forearm": "elbow",
    "hand": "wrist",
    "thigh": "hip",
    "shank": "knee",
    "foot": "ankle",
}
BODY = Body(75.0, 1.75)


def postures(angles: dict[str, np.ndarray]) -> Posture:
    """Limbs hanging off a level trunk, each segment turned by its angle from hanging down."""
    segments = BODY.segments()
    count = len(angles["thigh"])
    level = np.zeros((count, 2))
    along = np.array([1.0, 0.0])
    joints = {"hip": level, "shoulder": level + float(segments.length["trunk"]) * along}
    joints["crown"] = joints["shoulder"] + float(segments.length["head"]) * along
    total = {"upper_arm": 0.0, "thigh": 0.0}
    for name, (near, far) in CHAIN.items():
        above = {"forearm": "upper_arm", "hand": "forearm", "shank": "thigh", "foot": "shank"}
        total[name] = angles[name] + total.get(above.get(name, ""), 0.0)
        direction = np.stack([np.sin(total[name]), -np.cos(total[name])], axis=-1)
        joints[far] = joints[near] + float(segments.length[name]) * direction
    return Posture(joints, segments, ())


def ours(angles: dict[str, np.ndarray]) -> np.ndarray:
    """Torques of all postures, shape `(n, 5)`."""
    torques = joint_torques(postures(angles), {})
    return np.stack([torques[name] for name in JOINTS], axis=-1)


class Library:
    """The general library, set up once."""

    def __init__(self) -> None:
        """Build the model in the posture with every limb hanging down."""
        still = {name: np.zeros(1) for name in CHAIN}
        hanging = postures(still)
        one = Posture(
            {name: place[0] for name, place in hanging.joints.items()}, BODY.segments(), ()
        )
        self.model = model_of(one)
        self.data = mujoco.MjData(self.model)
        self.dof = {
            name: self.model.jnt_dofadr[self.model.joint(hinge).id] for name, hinge in HINGE.items()
        }

    def torques(self, angles: dict[str, np.ndarray]) -> np.ndarray:
        """Torques one posture after another."""
        count = len(angles["thigh"])
        found = np.empty((count, len(JOINTS)))
        wanted = [self.model.jnt_dofadr[self.model.joint(name).id] for name in JOINTS]
        columns = [self.dof[name] for name in CHAIN]
        rows = np.stack([angles[name] for name in CHAIN], axis=-1)
        for i in range(count):
            self.data.qpos[columns] = rows[i]
            mujoco.mj_kinematics(self.model, self.data)
            mujoco.mj_comPos(self.model, self.data)
            mujoco.mj_rne(self.model, self.data, 0, self.data.qfrc_bias)
            found[i] = self.data.qfrc_bias[wanted]
        return found


def seconds(doing, angles: dict[str, np.ndarray]) -> float:
    """How long one run takes."""
    began = time.perf_counter()
    doing(angles)
    return time.perf_counter() - began


def run() -> dict[str, float]:
    """Postures for each second, ours and the library's, and their ratio."""
    random = np.random.default_rng(1)
    many = {name: random.uniform(-1.5, 1.5, POSTURES) for name in CHAIN}
    some = {name: values[:LOOPED] for name, values in many.items()}
    library = Library()
    off = float(np.abs(ours(some) - library.torques(some)).max())
    if off > 1e-6:
        raise SystemExit(f"outputs differ by {off:g} N·m; there is nothing to compare")
    mine, theirs = [], []
    for _ in range(ROUNDS):
        mine.append(POSTURES / seconds(ours, many))
        theirs.append(LOOPED / seconds(library.torques, some))
    return {
        "ours, postures/s": statistics.median(mine),
        "library, postures/s": statistics.median(theirs),
        "ratio": statistics.median(mine) / statistics.median(theirs),
    }


assert set(CHAIN) <= set(SEGMENT_ENDS)
