"""Statics of many postures at once, against a general rigid-body library's loop over them.

Two pieces of work with equal outputs on both sides: gravity torques at elbow, shoulder, hip, knee
and ankle of the same postures; and the whole solve, which finds the forces on hands (along the
arms) and feet (any) first and then the torques under them. The library's model is built once and
only its joints are set for each posture, its quickest way. Rounds are interleaved, medians
compared; the peak of memory is what all arrays of the whole solve take together.
"""

import statistics
import time
import tracemalloc
from collections.abc import Callable

import mujoco
import numpy as np
from tests.reference.test_statics_against_mujoco import JOINTS, model_of

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.effort import contact_forces
from invelo.domain.biomechanics.posture.skeleton import SEGMENT_ENDS, Contact, Posture
from invelo.domain.biomechanics.statics import joint_torques

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


def ours_whole(angles: dict[str, np.ndarray]) -> np.ndarray:
    """Forces of hands and feet, N, and the torques under them, shape `(n, 4 + 5)`."""
    posture = postures(angles)
    joints = posture.joints
    arm = joints["shoulder"] - joints["wrist"]
    arm = arm / np.linalg.norm(arm, axis=-1, keepdims=True)
    held = Posture(
        joints,
        posture.segments,
        (
            Contact("hands", "hand", joints["wrist"], arm),
            Contact("feet", "foot", joints["ankle"]),
        ),
    )
    forces = contact_forces(held)
    torques = joint_torques(held, forces)
    found = [forces["hands"], forces["feet"], *(torques[name][:, None] for name in JOINTS)]
    return np.concatenate(found, axis=-1)


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
        self.wanted = [self.model.jnt_dofadr[self.model.joint(name).id] for name in JOINTS]
        self.body = {
            name: self.model.geom_bodyid[
                mujoco.mj_name2id(self.model, mujoco.mjtObj.mjOBJ_GEOM, name)
            ]
            for name in CHAIN
        }
        self.at_hands, self.at_feet = (np.zeros((3, self.model.nv)) for _ in range(2))

    def torques(self, angles: dict[str, np.ndarray]) -> np.ndarray:
        """Torques one posture after another."""
        return self._each(angles, lambda: self.data.qfrc_bias[self.wanted])

    def whole(self, angles: dict[str, np.ndarray]) -> np.ndarray:
        """Forces and torques, one posture after another."""
        return self._each(angles, self._solved)

    def _solved(self) -> np.ndarray:
        """Forces of hands and feet from what the free root lacks, and torques under them."""
        hands, feet, shoulder = (
            self.data.xpos[self.body[n]] for n in ("hand", "foot", "upper_arm")
        )
        mujoco.mj_jac(self.model, self.data, self.at_hands, None, hands, self.body["hand"])
        mujoco.mj_jac(self.model, self.data, self.at_feet, None, feet, self.body["foot"])
        arm = shoulder - hands
        arm = arm / np.linalg.norm(arm)
        columns = np.stack([arm @ self.at_hands, self.at_feet[0], self.at_feet[2]], axis=-1)
        size, x, z = np.linalg.solve(columns[:3], self.data.qfrc_bias[:3])
        torques = self.data.qfrc_bias - columns @ (size, x, z)
        return np.array([size * arm[0], size * arm[2], x, z, *torques[self.wanted]])

    def _each(self, angles: dict[str, np.ndarray], answer: Callable[[], np.ndarray]) -> np.ndarray:
        rows = np.stack([angles[name] for name in CHAIN], axis=-1)
        columns = [self.dof[name] for name in CHAIN]
        found = []
        for row in rows:
            self.data.qpos[columns] = row
            mujoco.mj_kinematics(self.model, self.data)
            mujoco.mj_comPos(self.model, self.data)
            mujoco.mj_rne(self.model, self.data, 0, self.data.qfrc_bias)
            found.append(answer())
        return np.array(found)


def seconds(doing: Callable[..., np.ndarray], angles: dict[str, np.ndarray]) -> float:
    """How long one run takes."""
    began = time.perf_counter()
    doing(angles)
    return time.perf_counter() - began


def peak_megabytes(doing: Callable[..., np.ndarray], angles: dict[str, np.ndarray]) -> float:
    """Most that all arrays take together at any one time."""
    tracemalloc.start()
    doing(angles)
    _, peak = tracemalloc.get_traced_memory()
    tracemalloc.stop()
    return peak / 1e6


def run() -> dict[str, dict[str, float]]:
    """Postures for each second, ours and the library's, and their ratio; the peak of memory."""
    random = np.random.default_rng(1)
    many = {name: random.uniform(-1.5, 1.5, POSTURES) for name in CHAIN}
    some = {name: values[:LOOPED] for name, values in many.items()}
    library = Library()
    found = {}
    for name, mine, theirs in (
        ("gravity torques", ours, library.torques),
        ("whole solve with contacts", ours_whole, library.whole),
    ):
        expected = theirs(some)
        off = float(np.abs(mine(some) - expected).max() / np.abs(expected).max())
        if off > 1e-9:
            raise SystemExit(f"{name}: outputs differ by {off:g}; there is nothing to compare")
        rates: tuple[list[float], list[float]] = ([], [])
        for _ in range(ROUNDS):
            rates[0].append(POSTURES / seconds(mine, many))
            rates[1].append(LOOPED / seconds(theirs, some))
        ahead, behind = (statistics.median(rate) for rate in rates)
        found[f"{name}, against a general library's loop"] = {
            "ours, postures/s": ahead,
            "library, postures/s": behind,
            "ratio": ahead / behind,
            "peak memory, MB": peak_megabytes(mine, many),
        }
    return found


assert set(CHAIN) <= set(SEGMENT_ENDS)
