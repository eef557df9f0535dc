"""What a set-up asks of a body: the limiting measure along the rep, torques, forces, work.

One way for every family: the form's postures at places along the rep, for the body and its
plausible neighbours at once, through one solver.
"""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from functools import cached_property, lru_cache

import numpy as np

from invelo.core.account import Accounts
from invelo.core.body import GRAVITY, Body
from invelo.core.errors import InputError
from invelo.core.estimate import Z80, Array, Derivation, Estimate, interval_from_variations
from invelo.core.posture.build import Pull, build
from invelo.core.posture.form import Form
from invelo.core.posture.skeleton import Posture, vector
from invelo.core.setup import PLACES, SetUp
from invelo.core.statics import contact_forces, joint_torques, overhang

PLACES_ALONG = 9
"""Postures looked at along a rep; they bound where its peak is read."""

BAND_ROUNDS = 3
"""A band changes how the body settles, and that the band's length: taken in turns this often."""

LIFTS_OFF = 2.0
"""Newtons a support may seem to pull before the posture is told to fall over: rounding's play."""


@dataclass(frozen=True)
class Along:
    """One place along the rep.

    Attributes:
        depth: 0 at the rep's start, 1 at its other end.
        demand: the limiting measure there.
    """

    depth: float
    demand: Estimate


@dataclass(frozen=True)
class Reading:
    """What a set-up asks of a body; estimates are made when they are asked for.

    Attributes:
        body, setup: whose and which.
        depths: places along the rep, shape `(n,)`; one for a hold.
        measured: the limiting measure, kg or N·m, shape `(n, k)`: for each place along the rep the
            body itself and its plausible neighbours.
        told: the place along the rep where the demand is told.
        posture: of the body itself along the rep, every value of shape `(n, 1)`.
        contact, torque: forces (N) and joint torques (N·m) that hold it, by name.
        told_forces, told_torques: of the body and its neighbours where the demand is told: upward
            forces, N, and joint torques, N·m, shape `(k,)`.
        work_samples: mechanical work of one lift, J, shape `(k,)`.
        overhang_samples: how far the centre of mass lies beyond the support, m, shape `(k,)`.
    """

    body: Body
    setup: SetUp
    depths: Array
    measured: Array
    told: int
    posture: Posture
    contact: Mapping[str, Array]
    torque: Mapping[str, Array]
    told_forces: Mapping[str, Array]
    told_torques: Mapping[str, Array]
    work_samples: Array
    overhang_samples: Array

    @property
    def measure(self) -> str:
        """The limiting measure in words."""
        return self.setup.form.limiting

    @property
    def unit(self) -> str:
        """Of the limiting measure."""
        return "N·m" if self.setup.form.measure == "torque" else "kg"

    @cached_property
    def samples(self) -> Array:
        """The demand for the body and its plausible neighbours, shape `(k,)`; ratios between two
        set-ups are taken entry by entry, because both belong to one body."""
        told: Array = self.measured[self.told]
        return told

    @cached_property
    def demand(self) -> Estimate:
        """The limiting measure where it is judged, kg or N·m."""
        return self._at(self.told)

    @property
    def rises(self) -> bool:
        """Whether the body is up at the rep's other end, as in a pull-up."""
        height = self.posture.centre_of_mass()[:, 0, 1]
        return bool(height[-1] > height[0])

    @cached_property
    def share(self) -> Estimate:
        """The demand on the scale on which bodies compare: % of body weight, or body weight ×
        stature."""
        of = self.body.mass * GRAVITY * self.body.stature if self.unit == "N·m" else self.body.mass
        scale = of if self.unit == "N·m" else of / 100
        unit = "body weight × stature" if self.unit == "N·m" else "% of body weight"
        return _estimate(self.samples / scale, unit, self._accounts.share(self.unit))

    def _at(self, place: int) -> Estimate:
        found = _estimate(
            self.measured[place], self.unit, self._accounts.demand(float(self.depths[place]))
        )
        # None of the readings is under 0; departures added in quadrature may be.
        return replace(found, low=max(0.0, found.low))

    @cached_property
    def at_start(self) -> Estimate:
        """The limiting measure at the rep's start."""
        return self._at(0)

    @cached_property
    def midway(self) -> Estimate:
        """The limiting measure half-way."""
        return self._at(len(self.depths) // 2)

    @cached_property
    def at_end(self) -> Estimate:
        """The limiting measure at the rep's other end."""
        return self._at(len(self.depths) - 1)

    @cached_property
    def peak(self) -> Along:
        """The place along the rep where the limiting measure is greatest: where it sticks."""
        place = int(np.argmax(self.measured[:, 0]))
        return Along(float(self.depths[place]), self._at(place))

    @cached_property
    def along(self) -> tuple[Along, ...]:
        """The limiting measure along the rep, start to end."""
        return tuple(Along(float(depth), self._at(i)) for i, depth in enumerate(self.depths))

    @cached_property
    def torques(self) -> dict[str, Estimate]:
        """Size of every joint's torque where the demand is told, both sides together, N·m."""
        return {
            name: _estimate(np.abs(torque), "N·m", self._accounts.torque(name))
            for name, torque in self.told_torques.items()
        }

    @cached_property
    def forces(self) -> dict[str, Estimate]:
        """Every contact's upward force where the demand is told, kg."""
        return {
            name: _estimate(force / GRAVITY, "kg", self._accounts.force(name))
            for name, force in self.told_forces.items()
        }

    @cached_property
    def work(self) -> Estimate:
        """Mechanical work of one lift, J; 0 for a hold."""
        return _estimate(self.work_samples, "J", self._accounts.work())

    @cached_property
    def overhang(self) -> Estimate:
        """How far the centre of mass lies beyond the support, m; + towards the head's side."""
        return _estimate(self.overhang_samples, "m", self._accounts.balance())

    @cached_property
    def _accounts(self) -> Accounts:
        return Accounts(self.body, self.setup, self.posture)


@lru_cache(maxsize=2048)
def reading(body: Body, setup: SetUp) -> Reading:
    """What `setup` asks of `body`.

    Raises:
        InputError: for a set-up out of this body's reach, one that falls over, or a band past its
            limit.

    Source: plane statics over the body's segment table; closures and constants are the form's.
    """
    form = setup.form
    plain, posture, depths = _postures(body, setup)
    forces = contact_forces(posture)
    _check_supports(form, forces)
    torques = joint_torques(posture, forces)
    unhelped = torques if plain is posture else joint_torques(plain, contact_forces(plain))
    measured = _measured(form, setup, posture, forces, torques, _working_sign(form, unhelped))
    told = 0 if form.judged == "start" else int(np.argmax(measured[:, 0]))
    return Reading(
        body=body,
        setup=setup,
        depths=depths,
        measured=measured,
        told=told,
        posture=posture.of_first(),
        contact={name: force[:, :1].copy() for name, force in forces.items()},
        torque={name: torque[:, :1].copy() for name, torque in torques.items()},
        told_forces={name: force[told, :, 1].copy() for name, force in forces.items()},
        told_torques={name: torque[told].copy() for name, torque in torques.items()},
        work_samples=_work(posture),
        overhang_samples=np.broadcast_to(overhang(posture), measured.shape)[told].copy(),
    )


def _postures(body: Body, setup: SetUp) -> tuple[Posture, Posture, Array]:
    """The body and its neighbours along the rep, without band and help and with them; where."""
    form = setup.form
    segments = body.varied_segments(setup_pairs=len(form.loose))
    count = len(segments.length["trunk"])
    values = {name: np.full(count, value) for name, value in setup.all_values.items()}
    slack: dict[str, Array] = {}
    for i, (name, deviation) in enumerate(form.loose.items()):
        by = np.zeros(count)
        end = -2 * (len(form.loose) - i)
        by[end], by[end + 1] = -Z80 * deviation, Z80 * deviation
        parameter = next((one for one in form.parameter if one.name == name), None)
        if parameter is None:
            slack[name] = by
        else:
            values[name] = values[name] + by * (body.stature if parameter.unit == "m" else 1.0)
    places = 1 if form.counted != "reps" else PLACES_ALONG
    depths = np.linspace(0.0, setup.range if places > 1 else 0.0, places)
    where = depths[:, None]
    plain = posture = build(form, segments, values, where, setup.worn, (), slack)
    if setup.band or setup.help:
        anchor: Array | None = None
        for _ in range(BAND_ROUNDS if setup.band else 1):
            if setup.band and anchor is None:
                anchor = _anchor(setup, posture)
            pulls = tuple(_pulls(setup, posture, anchor))
            posture = build(form, segments, values, where, setup.worn, pulls, slack)
    return plain, posture, depths


def _working_sign(form: Form, torques: Mapping[str, Array]) -> float:
    """Which way the limiting torque works where nothing helps; 0 where it works neither."""
    if form.measure != "torque":
        return 1.0
    nominal = _limiting_torque(form, torques)[:, 0]
    greatest = float(nominal[np.argmax(np.abs(nominal))])
    return float(np.sign(greatest)) if abs(greatest) > 1e-6 else 0.0


def _anchor(setup: SetUp, posture: Posture) -> Array:
    """Where the band's other end is: seen from the body's place at the rep's start."""
    hold = setup.band
    assert hold is not None  # noqa: S101
    place = posture.joints[PLACES[hold.at][1]]
    return vector(place[:1, :, 0] + hold.anchor_ahead, hold.anchor_height)


def _pulls(setup: SetUp, posture: Posture, anchor: Array | None) -> list[Pull]:
    shape = posture.joints["hip"].shape
    found = []
    if setup.help:
        segment, joint = PLACES[setup.help.at]
        lift = np.broadcast_to(np.array([0.0, setup.help.kg * GRAVITY]), shape)
        found.append(Pull("help", segment, joint, lift))
    if setup.band and anchor is not None:
        hold = setup.band
        segment, joint = PLACES[hold.at]
        end = posture.joints["wrist"] if hold.in_hands else anchor
        towards = end - posture.joints[joint]
        length = np.linalg.norm(towards, axis=-1)
        longest = float(length[:, 0].max())
        hold.band.pull(longest)  # refuses what may break it
        force = hold.band.force_at(length / hold.band.rest)
        found.append(
            Pull("band", segment, joint, towards * (force / np.maximum(length, 1e-9))[..., None])
        )
    return found


def _check_supports(form: Form, forces: Mapping[str, Array]) -> None:
    """Refuse a posture that only a pull of the ground would hold."""
    for touch in form.touches:
        name = {"balls": "feet", "rear": "rear foot"}.get(touch.at, touch.at)
        if name == "hands" and form.measure == "pull":
            continue
        if form.grip == "bar" and name == "hands":
            continue
        part = forces[name][:, 0, 0 if touch.at == "wall" else 1]
        if float(part.min()) < -LIFTS_OFF:
            raise InputError(
                "balance",
                f"the {name} would lift off: the body falls over.",
                "Bring its centre back between the supports: lean less, or move a support.",
            )


def _measured(
    form: Form,
    setup: SetUp,
    posture: Posture,
    forces: Mapping[str, Array],
    torques: Mapping[str, Array],
    sign: float,
) -> Array:
    """The limiting measure, shape `(n, k)`, kg or N·m; never under 0."""
    mass = posture.segments.mass
    share = setup.all_values.get("share", 50.0) / 50.0
    if form.measure == "torque":
        torque = _limiting_torque(form, torques)
        held: Array = np.maximum(0.0, sign * torque) if sign else np.abs(torque)
        return held
    if form.measure == "carried":
        whole = posture.mass_points()[0].sum(axis=0)
        return np.broadcast_to(whole, posture.joints["hip"].shape[:-1])
    if form.measure == "pull":
        line = next(contact.line for contact in posture.contacts if contact.name == "hands")
        assert line is not None  # noqa: S101  (the form gives it)
        pull: Array = (forces["hands"] * line).sum(axis=-1) / GRAVITY
        if pull[0, 0] <= 0.0:
            raise InputError(
                "body angle",
                "the body stands over its heels; there is nothing to pull.",
                "Lean further back, or bend the knees less.",
            )
        return pull.clip(0.0) * share
    if form.measure == "legs":
        feet: Array = forces["feet"][..., 1] / GRAVITY - mass["shank"] - mass["foot"]
        return feet.clip(0.0) * (2.0 if posture.legs_differ else 1.0)
    hands: Array = forces["hands"][..., 1] / GRAVITY
    if form.measure == "arms":
        hands = hands - mass["forearm"] - mass["hand"]
    load: Array = hands.clip(0.0) * share
    return load


def _limiting_torque(form: Form, torques: Mapping[str, Array]) -> Array:
    """Of the form's joint, both sides together; one leg that works alone counts twice, so that it
    compares with two."""
    torque = torques[form.joint]
    if form.one_leg_works:
        return 2.0 * torque
    other = torques.get(f"other_{form.joint}")
    return torque if other is None else torque + other


def _work(posture: Posture) -> Array:
    """Mechanical work of one lift, J: weight times rise, less what bands and helpers do."""
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
    upwards = 1.0 if rise[0] >= 0 else -1.0
    work: Array = np.maximum(0.0, upwards * (rise - given))
    return work


def _estimate(samples: Array, unit: str, derivation: Derivation) -> Estimate:
    return Estimate(*interval_from_variations(samples), unit, derivation)
