"""A form held still: postures along the rep, and the forces and torques that hold them.

Many rows at once, all of one form: the body and its plausible neighbours for a reading, or one body
at many set-ups for a survey. Every value has the shape `(n, k)`: places along the rep, rows.
"""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace

import numpy as np

from invelo.domain.biomechanics.body import GRAVITY, AddedMass, SegmentValues
from invelo.domain.biomechanics.effort import (
    AS_ASSUMED,
    Assumed,
    contact_forces,
    leg_effort,
)
from invelo.domain.biomechanics.posture.build import ExternalForce, build
from invelo.domain.biomechanics.posture.form import Form
from invelo.domain.biomechanics.posture.refuse import Refuse, at_first
from invelo.domain.biomechanics.posture.skeleton import Posture, vector
from invelo.domain.biomechanics.setup import PLACES, Assistance, BandHold
from invelo.domain.biomechanics.statics import joint_torques, upper_trunk_torque
from invelo.domain.errors import InputError
from invelo.domain.estimate import Array

PLACES_ALONG = 9
"""Postures looked at along a rep; they bound where its peak is read."""

BAND_ROUNDS = 120
BAND_SETTLED = 1e-6
"""A band changes how the body settles, and that the band's length: taken in turns so often at most,
until no joint moves by this many metres."""

LIFTS_OFF = 2.0
"""Newtons a support may seem to pull before the posture is told to fall over: rounding's play."""


@dataclass(frozen=True)
class Rows:
    """What is to be held.

    Attributes:
        form: of all rows.
        segments: of the bodies, each value of shape `(k,)` or `(1,)`.
        values: of the form's parameters, each of shape `(k,)`.
        depths: places along the rep, shape `(n, 1)` or `(n, k)`.
        added_load: what is carried.
        band, assistance: what pulls or lifts from outside, the same for all rows.
        slack: added to joint angles, degrees, shape `(k,)`.
        assumed: friction and strengths where contacts share the load.
        band_pull: factor on the band's force, shape `(k,)` or `(1,)`.
        hands: factor on what the hands carry where they share it, as a scale told of this body.
    """

    form: Form
    segments: SegmentValues
    values: Mapping[str, Array]
    depths: Array
    added_load: AddedMass
    band: BandHold | None = None
    assistance: Assistance | None = None
    slack: Mapping[str, Array] = field(default_factory=dict)
    assumed: Assumed = AS_ASSUMED
    band_pull: Array = field(default_factory=lambda: np.ones(1))
    hands: float = 1.0


@dataclass(frozen=True)
class Equilibrium:
    """Rows at rest.

    Attributes:
        posture: with whatever pulls.
        forces: of the world at every contact, N, shape `(n, k, 2)`.
        torques: at every joint, N·m, shape `(n, k)`.
        unhelped: the torques where nothing pulls from outside.
    """

    posture: Posture
    forces: Mapping[str, Array]
    torques: Mapping[str, Array]
    unhelped: Mapping[str, Array]


def places_along(form: Form, ranges: Array, from_end: Array) -> Array:
    """Places along a rep of these shares of the full range, shape `(n, k)`; one for a hold.

    Args:
        form: whose rep.
        ranges: shares, shape `(k,)`.
        from_end: whether each is used from the rep's other end, shape `(k,)`.
    """
    if form.counted == "hold":
        return np.zeros((1, 1)) * ranges
    places: Array = np.linspace(0.0, 1.0, PLACES_ALONG)[:, None] * ranges
    return places + np.where(from_end, 1.0 - ranges, 0.0)


def hold(rows: Rows, refuse: Refuse = at_first) -> Equilibrium:
    """Hold every row still.

    Raises:
        InputError: for a set-up out of reach, one that falls over, or a band past its limit, as
            `refuse` has it.

    Source: plane statics; closures and constants are the form's.
    """
    plain = posture = _posture(rows, (), refuse)
    if rows.band or rows.assistance:
        anchor = _anchor(rows.band, plain) if rows.band else None
        posture = _settled(rows, plain, anchor, refuse)
    forces = contact_forces(posture, refuse, rows.assumed)
    _check_supports(rows.form, forces, refuse)
    torques = joint_torques(posture, forces)
    if plain is posture:
        return Equilibrium(posture, forces, torques, torques)
    unhelped = joint_torques(plain, contact_forces(plain, refuse, rows.assumed))
    return Equilibrium(posture, forces, torques, unhelped)


def _settled(rows: Rows, plain: Posture, anchor: Array | None, refuse: Refuse) -> Posture:
    """The posture with all that pulls, posture and pull being each other's.

    Raises:
        InputError: where they find no rest.
    """
    posture, before = plain, tuple[ExternalForce, ...]()
    moved = np.zeros(())
    for number in range(BAND_ROUNDS):
        part = 1.0 / (2.0 + number // 10)  # shorter steps where longer ones swing to and fro
        pulls = _part_way(before, tuple(_pulls(rows, posture, anchor, refuse)), part)
        pulled = _posture(rows, pulls, refuse, posture)
        moved = np.max(
            [np.abs(pulled.joints[name] - posture.joints[name]).max(axis=-1) for name in ENDS],
            axis=0,
        )
        posture, before = pulled, pulls
        if moved.max() < BAND_SETTLED:
            return posture
    refuse(
        moved >= BAND_SETTLED,
        lambda: InputError(
            "band",
            "the body finds no rest with it: the band moves it as fast as it lets go.",
            "Take a thinner band, or hang it straight over the hands.",
        ),
    )
    return posture


ENDS = ("wrist", "ankle", "hip", "shoulder")
"""Joints that are looked at to see whether a posture rests."""


def _part_way(
    before: tuple[ExternalForce, ...], after: tuple[ExternalForce, ...], part: float
) -> tuple[ExternalForce, ...]:
    """Pulls a part of the way from what they were to what they would be."""
    if not before:
        return after
    return tuple(
        replace(new, vector=old.vector + part * (new.vector - old.vector))
        for old, new in zip(before, after, strict=True)
    )


def _posture(
    rows: Rows, pulls: tuple[ExternalForce, ...], refuse: Refuse, near: Posture | None = None
) -> Posture:
    return build(
        rows.form,
        rows.segments,
        rows.values,
        rows.depths,
        rows.added_load,
        pulls,
        rows.slack,
        refuse,
        near,
    )


def _anchor(band: BandHold, posture: Posture) -> Array:
    """Where the band's other end is: seen from the body's place at the rep's start; of a band at
    the feet, which hangs over the hands where the body is held by them, from the hands."""
    by_hands = band.at == "feet" and any(each.name == "hands" for each in posture.contacts)
    place = posture.joints["wrist" if by_hands else PLACES[band.at][1]]
    return vector(place[:1, :, 0] + band.anchor_ahead, band.anchor_height)


def _pulls(
    rows: Rows, posture: Posture, anchor: Array | None, refuse: Refuse
) -> list[ExternalForce]:
    shape = posture.joints["hip"].shape
    external_forces = []
    if rows.assistance:
        segment, joint = PLACES[rows.assistance.at]
        lift = np.broadcast_to(np.array([0.0, rows.assistance.kg * GRAVITY]), shape)
        external_forces.append(ExternalForce("assistance", segment, joint, lift))
    if rows.band and anchor is not None:
        band = rows.band.band
        segment, joint = PLACES[rows.band.at]
        end = posture.joints["wrist"] if rows.band.in_hands else anchor
        towards = end - posture.joints[joint]
        length = np.linalg.norm(towards, axis=-1)
        refuse(
            length > band.limit * band.rest,
            lambda: band.too_long(float(length[:, 0].max())),
        )
        force = rows.band_pull * band.force_at(length / band.rest)
        external_forces.append(
            ExternalForce(
                "band", segment, joint, towards * (force / np.maximum(length, 1e-9))[..., None]
            )
        )
    return external_forces


def _check_supports(form: Form, forces: Mapping[str, Array], refuse: Refuse) -> None:
    """Refuse a posture that only a pull of the ground would hold."""
    for touch in form.touches:
        name = {"balls": "feet", "rear": "rear foot"}.get(touch.at, touch.at)
        if name == "hands" and form.measure == "pull":
            continue
        if form.grip == "bar" and name == "hands":
            continue
        part = forces[name][..., 0 if touch.at == "wall" else 1]
        refuse(part < -LIFTS_OFF, lambda name=name: _falls(name))  # type: ignore[misc]


def _falls(name: str) -> InputError:
    return InputError(
        "balance",
        f"the {name} would lift off: the body falls over.",
        "Bring its centre back between the supports: lean less, or move a support.",
    )


def limiting(rows: Rows, equilibrium: Equilibrium, count: int, refuse: Refuse = at_first) -> Array:
    """The limiting measure, shape `(n, k)`, kg, N·m or %; never under 0.

    Args:
        rows, equilibrium: what was asked, and what holds it.
        count: how many of the first rows say which way the limiting torque works: the body alone
            for its neighbours, or each row for itself.
        refuse: what is done with a posture that has nothing to pull.
    """
    form, posture = rows.form, equilibrium.posture
    mass = posture.segments.mass
    share = rows.values.get("share", np.full(1, 50.0)) / 50.0
    if form.measure == "torque":
        torque = _torque(rows, posture, equilibrium.torques)
        sign = _working_sign(_torque(rows, posture, equilibrium.unhelped)[:, :count])
        return np.where(sign == 0.0, np.abs(torque), np.maximum(0.0, sign * torque))
    if form.measure == "carried":
        whole = posture.mass_points()[0].sum(axis=0)
        return np.broadcast_to(whole, posture.joints["hip"].shape[:-1])
    if form.measure == "pull":
        line = next(contact.line for contact in posture.contacts if contact.name == "hands")
        arms = line if line is not None else posture.joints["wrist"] - posture.joints["shoulder"]
        hands_pull = equilibrium.forces["hands"]
        along: Array = (hands_pull * arms).sum(axis=-1)
        size: Array = np.linalg.norm(hands_pull, axis=-1) / GRAVITY
        pull = np.copysign(size, along)
        refuse(
            pull[:1] <= 0.0,
            lambda: InputError(
                "body angle",
                "the body stands over its heels; there is nothing to pull.",
                "Lean further back, or bend the knees less.",
            ),
        )
        return pull.clip(0.0) * share
    if form.measure == "legs":
        return 100.0 * leg_effort(posture, equilibrium.torques)
    if form.measure == "feet":
        feet: Array = equilibrium.forces["feet"][..., 1] / GRAVITY - mass["foot"]
        return feet.clip(0.0) * (2.0 if posture.legs_differ else 1.0)
    factor = rows.hands if form.shares_load else 1.0
    hands: Array = factor * equilibrium.forces["hands"][..., 1] / GRAVITY
    if form.measure == "arms":
        hands = hands - mass["forearm"] - mass["hand"]
    load: Array = hands.clip(0.0) * share
    return load


def hardest_third(measured: Array) -> Array:
    """What a rep asks: the mean of the hardest third of its way, shape `(k,)`; a hold's own.

    Args:
        measured: the limiting measure at places evenly along the way, shape `(n, k)`.
    """
    if len(measured) == 1:
        only: Array = measured[0]
        return only
    ranked = -np.sort(-measured, axis=0)
    third = len(measured) / 3.0
    whole = int(third)
    part = (third - whole) * ranked[whole] if third > whole else 0.0
    mean: Array = (ranked[:whole].sum(axis=0) + part) / third
    return mean


def _working_sign(torque: Array) -> Array:
    """Which way a torque works along the rep, shape `(k,)`; 0 where it works neither."""
    places = np.argmax(np.abs(torque), axis=0)
    greatest = np.take_along_axis(torque, places[None], axis=0)[0]
    return np.where(np.abs(greatest) > 1e-6, np.sign(greatest), 0.0)


def _torque(rows: Rows, posture: Posture, torques: Mapping[str, Array]) -> Array:
    """Of the form's joint, both sides together; one leg that works alone counts twice, so that it
    compares with two. A leg that is spread is as long as before: the hip holds all of its weight's
    lever, of which the plane shows the part ahead."""
    form = rows.form
    torque = torques[form.joint]
    if form.joint == "hip" and "splay" in rows.values:
        torque = torque / np.cos(np.radians(rows.values["splay"]))
    if form.upper_trunk:
        return np.abs(torque) + np.abs(upper_trunk_torque(posture))
    if form.one_leg_works:
        return 2.0 * torque
    other = torques.get(f"other_{form.joint}")
    return torque if other is None else torque + other


def work(posture: Posture) -> Array:
    """Mechanical work of one lift, J, shape `(k,)`: weight times rise, less what bands and helpers
    do."""
    height = np.zeros(())
    for _, mass, place in posture.parts(posture.carried()):
        height = height + mass * posture.gravity * place[..., 1]
    rise = height[-1] - height[0]
    given = np.zeros_like(rise)
    for force in posture.outside:
        step = np.diff(force.point, axis=0)
        mean = (force.vector[1:] + force.vector[:-1]) / 2
        given = given + (step * mean).sum(axis=-1).sum(axis=0)
    if len(height) == 1:
        return np.zeros_like(rise)
    if posture.gravity == 0.0:
        moved: Array = np.abs(given)
        return moved
    lifts: Array = np.maximum(0.0, np.where(rise >= 0, 1.0, -1.0) * (rise - given))
    return lifts
