"""Sharing by least effort, against a general library's loop and a general solver per posture.

Two hands and two feet on the floor, each inside its friction cone, one force open. Ours: all
postures at once. Theirs: the library's bias forces and Jacobians of one posture after another, and
SciPy's non-negative least squares over the edges of the cones, once more while a torque's direction
changes its joint's strength. Forces agree to 1e-6 of body weight. No form has more than one force
open, so that several are not compared.
"""

import statistics

import mujoco
import numpy as np
from scipy.optimize import nnls
from tests.reference.test_statics_against_mujoco import JOINTS

from bench.statics import BODY, CHAIN, Library, postures, seconds
from invelo.domain.biomechanics.body import GRAVITY
from invelo.domain.biomechanics.effort import FRICTION, TIE, Strengths, least_effort
from invelo.domain.biomechanics.posture.refuse import Marked
from invelo.domain.biomechanics.posture.skeleton import Contact, Posture

POSTURES = 20_000
LOOPED = 2_000
ROUNDS = 5
HOLDS = 1e6
"""Weight of the balance beside the effort in the solver's rows."""
AGREE = 1e-6

WEIGHT = BODY.mass * GRAVITY


def standing(angles: dict[str, np.ndarray]) -> Posture:
    """The postures, with hands and feet on something."""
    held = postures(angles)
    contacts = (
        Contact("hands", "hand", held.joints["wrist"]),
        Contact("feet", "foot", held.joints["ankle"]),
    )
    return Posture(held.joints, held.segments, contacts)


def ours(angles: dict[str, np.ndarray]) -> np.ndarray:
    """Forces of hands and feet, N, shape `(n, 4)`; NaN where nothing holds the posture."""
    posture = standing(angles)
    marked = Marked(len(angles["thigh"]))
    forces = least_effort(posture, Strengths.of(posture), marked)
    found = np.concatenate([forces["hands"], forces["feet"]], axis=-1)
    found[marked.wrong] = np.nan
    return found


class Solver(Library):
    """The library's loop with a general solver in it."""

    def __init__(self) -> None:
        """Strengths of this body, both ways, in the library's sense of turning."""
        super().__init__()
        still = standing({name: np.zeros(1) for name in CHAIN})
        both = Strengths.of(still).both
        self.strengths = np.array([[float(np.ravel(way)[0]) for way in both[n]] for n in JOINTS])
        edges = np.array([[FRICTION, 1.0], [-FRICTION, 1.0]])
        self.cones = np.kron(np.eye(2), edges.T)

    def forces(self, angles: dict[str, np.ndarray]) -> np.ndarray:
        """Forces one posture after another."""
        return self._each(angles, self._shared)

    def _shared(self) -> np.ndarray:
        hands, feet = (self.data.xpos[self.body[n]] for n in ("hand", "foot"))
        mujoco.mj_jac(self.model, self.data, self.at_hands, None, hands, self.body["hand"])
        mujoco.mj_jac(self.model, self.data, self.at_feet, None, feet, self.body["foot"])
        push = np.concatenate([self.at_hands[[0, 2]], self.at_feet[[0, 2]]]).T @ self.cones
        bias = self.data.qfrc_bias
        strength = self.strengths[:, 0]
        tie = np.sqrt(TIE) / WEIGHT * self.cones
        for _ in range(4):
            rows = np.concatenate(
                [HOLDS / WEIGHT * push[:3], push[self.wanted] / strength[:, None], tie]
            )
            goal = np.concatenate(
                [HOLDS / WEIGHT * bias[:3], bias[self.wanted] / strength, np.zeros(4)]
            )
            size, _ = nnls(rows, goal)
            torque = (bias - push @ size)[self.wanted]
            before, strength = (
                strength,
                np.where(torque >= 0.0, self.strengths[:, 0], self.strengths[:, 1]),
            )
            if np.array_equal(before, strength):
                break
        found: np.ndarray = self.cones @ size
        return found


def run() -> dict[str, dict[str, float]]:
    """Postures for each second, ours and theirs, and their ratio."""
    random = np.random.default_rng(2)
    many = {name: random.uniform(-0.5, 0.5, POSTURES) for name in CHAIN}
    some = {name: values[:LOOPED] for name, values in many.items()}
    solver = Solver()
    mine, theirs = ours(some), solver.forces(some)
    held = ~np.isnan(mine[:, 0])
    off = np.abs(mine[held] - theirs[held]).max(axis=1) / WEIGHT
    if held.mean() < 0.2 or np.quantile(off, 0.99) > AGREE:
        raise SystemExit(f"forces differ by {np.quantile(off, 0.99):g} of body weight")
    rates: tuple[list[float], list[float]] = ([], [])
    for _ in range(ROUNDS):
        rates[0].append(POSTURES / seconds(ours, many))
        rates[1].append(LOOPED / seconds(solver.forces, some))
    ahead, behind = (statistics.median(rate) for rate in rates)
    return {
        "least effort, against a general library's loop and solver": {
            "ours, postures/s": ahead,
            "theirs, postures/s": behind,
            "ratio": ahead / behind,
            "held, share": float(held.mean()),
            "largest difference of 99 %, body weights": float(np.quantile(off, 0.99)),
        }
    }


if __name__ == "__main__":
    for _, figures in run().items():
        for what, value in figures.items():
            print(f"  {what:44} {value:14,.9g}")
