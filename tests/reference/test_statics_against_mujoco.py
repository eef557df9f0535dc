"""The same skeleton in MuJoCo, a general rigid-body library: forces and torques agree."""

import numpy as np
import pytest

from invelo.domain.biomechanics.body import GRAVITY, WINTER, Body
from invelo.domain.biomechanics.dumas import DUMAS
from invelo.domain.biomechanics.effort import contact_forces
from invelo.domain.biomechanics.posture.form import forms
from invelo.domain.biomechanics.posture.skeleton import ALL_ENDS, Posture
from invelo.domain.biomechanics.setup import set_up
from invelo.domain.biomechanics.statics import joint_torques
from tests.domain.people import PHASES, alone

mujoco = pytest.importorskip("mujoco", reason="a development package; installed by ./invelo test")

BODY = Body(75.0, 1.75)
AGREE = 1e-9 * BODY.mass * GRAVITY * BODY.stature

# Each chain hangs from the trunk; joint, then the segment beyond it.
CHAINS = (
    (("shoulder", "upper_arm"), ("elbow", "forearm"), ("wrist", "hand")),
    (("hip", "thigh"), ("knee", "shank"), ("ankle", "foot")),
)
OTHER_CHAIN = (
    ("other_hip", "other_thigh"), ("other_knee", "other_shank"), ("other_ankle", "other_foot")
)  # fmt: skip
JOINTS = ("shoulder", "elbow", "hip", "knee", "ankle")
OTHER_JOINTS = tuple(joint for joint, _ in OTHER_CHAIN)


def _inertial(at: np.ndarray, mass: float) -> str:
    x, y = at
    return f'<inertial pos="{x:.17g} 0 {y:.17g}" mass="{mass:.17g}" diaginertia="1 1 1"/>'


def model_of(posture: Posture) -> "mujoco.MjModel":
    """The posture as a MuJoCo model, drawn in place: our y is its z, all joints at zero."""

    def centre(name: str) -> np.ndarray:
        near, far = (posture.joints[end] for end in ALL_ENDS[name])
        return near + posture.segments.centre[name] * (far - near)

    def chain(links: tuple[tuple[str, str], ...], root: np.ndarray) -> str:
        if not links:
            return ""
        (joint, segment), *rest = links
        at = posture.joints[ALL_ENDS[segment][0]]
        x, y = at - root
        mass = float(posture.segments.mass[segment])
        return (
            f'<body pos="{x:.17g} 0 {y:.17g}">'
            f'<joint name="{joint}" type="hinge" axis="0 -1 0"/>'
            f"{_inertial(centre(segment) - at, mass)}"
            f'<geom name="{segment}" type="sphere" size="0.001" mass="0"/>'
            f"{chain(tuple(rest), at)}</body>"
        )

    hip = posture.joints["hip"]
    chains = (*CHAINS, OTHER_CHAIN) if posture.legs_differ else CHAINS
    trunk = float(posture.segments.mass["trunk"])
    head = float(posture.segments.mass["head"])
    middle = (trunk * centre("trunk") + head * centre("head")) / (trunk + head)
    xml = (
        f'<mujoco><option gravity="0 0 -{GRAVITY:.17g}"/><worldbody>'
        f'<body name="trunk" pos="{hip[0]:.17g} 0 {hip[1]:.17g}">'
        '<joint type="slide" axis="1 0 0"/><joint type="slide" axis="0 0 1"/>'
        '<joint name="root" type="hinge" axis="0 -1 0"/>'
        f"{_inertial(middle - hip, trunk + head)}"
        + "".join(chain(links, hip) for links in chains)
        + "</body></worldbody></mujoco>"
    )
    return mujoco.MjModel.from_xml_string(xml)


def _body_of(model: "mujoco.MjModel", segment: str) -> int:
    if segment == "trunk":
        return int(model.body("trunk").id)
    geom = mujoco.mj_name2id(model, mujoco.mjtObj.mjOBJ_GEOM, segment)
    return int(model.geom_bodyid[geom])


def still(posture: Posture, forces: dict[str, np.ndarray]) -> tuple[np.ndarray, dict[str, float]]:
    """What holds the posture at rest: the force missing at the free root, and joint torques."""
    model = model_of(posture)
    data = mujoco.MjData(model)
    mujoco.mj_forward(model, data)
    outside = np.zeros(model.nv)
    for contact in posture.contacts:
        body = _body_of(model, contact.segment)
        force = np.array([forces[contact.name][0], 0.0, forces[contact.name][1]])
        point = np.array([contact.point[0], 0.0, contact.point[1]])
        mujoco.mj_applyFT(model, data, force, np.zeros(3), point, body, outside)
    needed = data.qfrc_bias - outside
    names = (*JOINTS, *OTHER_JOINTS) if posture.legs_differ else JOINTS
    torques = {name: float(needed[model.jnt_dofadr[model.joint(name).id]]) for name in names}
    return needed[:3], torques


def random_posture(random: np.random.Generator, body: Body = BODY) -> Posture:
    """Every segment at an angle of its own, nothing touching the ground; the legs splayed out to
    the side by up to 80°, which shortens them in the plane and keeps their mass."""
    segments = body.segments()
    flat = np.cos(np.radians(random.uniform(0, 80)))

    def beyond(near: np.ndarray, name: str) -> np.ndarray:
        angle = random.uniform(-np.pi, np.pi)
        length = float(segments.length[name])
        if name in ("thigh", "shank", "foot"):
            length *= flat
        return near + length * np.array([np.cos(angle), np.sin(angle)])

    joints = {"hip": random.uniform(-1, 1, 2)}
    joints["shoulder"] = beyond(joints["hip"], "trunk")
    joints["crown"] = beyond(joints["shoulder"], "head")
    for near, far, name in (
        ("shoulder", "elbow", "upper_arm"),
        ("elbow", "wrist", "forearm"),
        ("wrist", "fingertip", "hand"),
        ("hip", "knee", "thigh"),
        ("knee", "ankle", "shank"),
        ("ankle", "ball", "foot"),
    ):
        joints[far] = beyond(joints[near], name)
    return Posture(joints, segments, ())


BODIES = {
    "winter": BODY,
    "dumas, women": Body(61.0, 1.64, table=DUMAS["female"]),
    "dumas, men": Body(83.0, 1.81, table=DUMAS["male"]),
}
POSTURES = 350
"""Of each body; with three bodies more than a thousand."""


@pytest.mark.parametrize("name", BODIES)
def test_gravity_torques_of_random_postures(name: str) -> None:
    body = BODIES[name]
    agree = 1e-9 * body.mass * GRAVITY * body.stature
    random = np.random.default_rng(2026)
    for _ in range(POSTURES):
        posture = random_posture(random, body)
        _, expected = still(posture, {})
        computed = joint_torques(posture, {})
        for joint in JOINTS:
            assert float(computed[joint]) == pytest.approx(expected[joint], abs=agree), joint


@pytest.mark.parametrize("lean", [20, 45, 70, 90])
@pytest.mark.parametrize("knee", [0, 40])
def test_rows_are_at_rest_under_our_forces(lean: float, knee: float) -> None:
    posture = alone(BODY, set_up("row", body_angle=lean, knee=knee))
    forces = contact_forces(posture)
    missing, expected = still(posture, forces)
    assert missing == pytest.approx(np.zeros(3), abs=AGREE)
    computed = joint_torques(posture, forces)
    for joint in JOINTS:
        assert float(computed[joint]) == pytest.approx(expected[joint], abs=AGREE), joint


@pytest.mark.parametrize("seed", range(5))
def test_centres_of_mass_of_random_postures(seed: int) -> None:
    posture = random_posture(np.random.default_rng(100 + seed))
    model = model_of(posture)
    data = mujoco.MjData(model)
    mujoco.mj_forward(model, data)
    x, _, z = data.subtree_com[0]
    assert posture.centre_of_mass() == pytest.approx(np.array([x, z]), abs=1e-9)


@pytest.mark.parametrize("phase", ["top", "middle", "bottom"])
@pytest.mark.parametrize("hands", [0.0, 0.3, 0.6])
@pytest.mark.parametrize("feet", [0.0, 0.4])
def test_push_ups_are_at_rest_under_our_forces(phase: str, hands: float, feet: float) -> None:
    posture = alone(BODY, set_up("push_up", hand_height=hands, foot_height=feet), PHASES[phase])
    forces = contact_forces(posture)
    missing, expected = still(posture, forces)
    assert missing == pytest.approx(np.zeros(3), abs=AGREE)
    computed = joint_torques(posture, forces)
    for joint in JOINTS:
        assert float(computed[joint]) == pytest.approx(expected[joint], abs=AGREE), joint


IN_THE_AIR_OR_ON_HANDS_AND_FEET = [
    (one.id, shape, depth)
    for one in forms().values()
    if not one.level_plane
    and not {"knees", "forearms", "back", "front", "shoulders"}
    & {touch.at for touch in one.touches}
    for shape in (*one.preset, None)
    for depth in ((0.0, 0.5, 1.0) if one.counted == "reps" else (0.0,))
]
"""Every posture in which nothing lies on the floor: there a body would rest on more than points."""


@pytest.mark.parametrize(("movement", "shape", "depth"), IN_THE_AIR_OR_ON_HANDS_AND_FEET)
def test_every_form_is_at_rest_under_our_forces(
    movement: str, shape: str | None, depth: float
) -> None:
    """The second leg where it does something else, the foot behind and the wall among them."""
    posture = alone(BODY, set_up(movement, shape=shape), depth)
    forces = contact_forces(posture)
    missing, expected = still(posture, forces)
    # A body on one flat support may have its centre anywhere over it: its moment is the support's.
    free = 2 if len(posture.contacts) == 1 else 3
    assert missing[:free] == pytest.approx(np.zeros(free), abs=AGREE)
    computed = joint_torques(posture, forces)
    for joint, torque in expected.items():
        assert float(computed[joint]) == pytest.approx(torque, abs=AGREE), joint


def test_standing_centre_of_mass_lies_where_anatomy_books_put_it() -> None:
    """55–57 % of stature in adults at rest (from memory, of anthropometric handbooks)."""
    share = {name: segment.length_share for name, segment in WINTER.segments.items()}
    ankle = WINTER.ankle_height_share
    heights = {"ball": 0.0, "ankle": ankle, "knee": ankle + share["shank"]}
    heights["hip"] = heights["knee"] + share["thigh"]
    heights["shoulder"] = heights["hip"] + share["trunk"]
    heights["crown"] = heights["shoulder"] + share["head"]
    heights["elbow"] = heights["shoulder"] - share["upper_arm"]
    heights["wrist"] = heights["elbow"] - share["forearm"]
    heights["fingertip"] = heights["wrist"] - share["hand"]
    joints = {name: np.array([0.0, h * BODY.stature]) for name, h in heights.items()}
    centre = Posture(joints, BODY.segments(), ()).centre_of_mass()[1] / BODY.stature
    assert 0.54 <= centre <= 0.58
