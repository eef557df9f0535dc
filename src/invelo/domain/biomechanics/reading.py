"""What a set-up asks of a body: the limiting measure along the rep, torques, forces, work.

One way for every family: the form's postures at places along the rep, for the body and its
plausible neighbours at once, through one solver.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from functools import cached_property, lru_cache
from math import hypot

import numpy as np

from invelo.domain.biomechanics.body import BODY_SAMPLES, GRAVITY, Body, SegmentValues
from invelo.domain.biomechanics.derivations import Derivations
from invelo.domain.biomechanics.effort import (
    AS_ASSUMED,
    VARIED_ASSUMPTIONS,
    Assumed,
    JointShare,
    joint_shares,
)
from invelo.domain.biomechanics.equilibrium import (
    Rows,
    hardest_third,
    hold,
    limiting,
    places_along,
    work,
)
from invelo.domain.biomechanics.model_error import relative_error
from invelo.domain.biomechanics.posture.build import build
from invelo.domain.biomechanics.posture.skeleton import Posture
from invelo.domain.biomechanics.setup import SetUp
from invelo.domain.biomechanics.statics import overhang
from invelo.domain.estimate import Z80, Array, Derivation, Estimate, interval_from_variations


@dataclass(frozen=True)
class Along:
    """One place along the rep.

    Attributes:
        depth: 0 at the rep's start, 1 at its other end.
        demand: the limiting measure there.
    """

    depth: float
    demand: Estimate


@dataclass(frozen=True, eq=False)
class Reading:
    """What a set-up asks of a body; estimates are made when they are asked for.

    `reading` makes one for each body and set-up, so that the same question is the same object.

    Attributes:
        body, setup: whose and which.
        depths: places along the rep, shape `(n,)`; one for a hold.
        measured: the limiting measure, kg, N·m or %, shape `(n, k)`: for each place of the rep the
            body itself and its plausible neighbours.
        at: the place along the rep where the limiting measure is greatest, and forces and
            torques are told.
        posture: of the body itself along the rep, every value of shape `(n, 1)`.
        contact, torque: forces (N) and joint torques (N·m) that hold it, by name.
        forces_there, torques_there: of the body and its neighbours where the demand is told: upward
            forces, N, and joint torques, N·m, shape `(k,)`.
        work_samples: mechanical work of one lift, J, shape `(k,)`.
        overhang_samples: how far the centre of mass lies beyond the support, m, shape `(k,)`.
    """

    body: Body
    setup: SetUp
    depths: Array
    measured: Array
    at: int
    posture: Posture
    contact: Mapping[str, Array]
    torque: Mapping[str, Array]
    forces_there: Mapping[str, Array]
    torques_there: Mapping[str, Array]
    work_samples: Array
    overhang_samples: Array

    @property
    def measure(self) -> str:
        """The limiting measure in words."""
        return self.setup.form.limiting

    @property
    def unit(self) -> str:
        """Of the limiting measure."""
        return {"torque": "N·m", "legs": "%"}.get(self.setup.form.measure, "kg")

    @cached_property
    def samples(self) -> Array:
        """The demand for the body and its plausible neighbours, shape `(k,)`; ratios between two
        set-ups are taken entry by entry, because both belong to one body."""
        return hardest_third(self.measured)

    @cached_property
    def demand(self) -> Estimate:
        """The limiting measure in the hardest third of the rep, kg, N·m or %; of a hold its own."""
        return self._estimate(self.samples, self.unit, self._accounts.demand())

    @cached_property
    def on_own_scale(self) -> Estimate:
        """The demand with what is unknown of the body, but not of the model: for what is told on
        the model's own scale, a capacity or a reach, whose error is the load's own."""
        likely, low, high = interval_from_variations(self.samples)
        return Estimate(likely, max(0.0, low), high, self.unit, self._accounts.demand())

    @property
    def rises(self) -> bool:
        """Whether the body is up at the rep's other end, as in a pull-up."""
        height = self.posture.centre_of_mass()[:, 0, 1]
        return bool(height[-1] > height[0])

    @cached_property
    def share(self) -> Estimate:
        """The demand on the scale on which bodies compare: % of body weight, body weight × stature,
        or % of what a leg does, which is one already."""
        if self.unit == "%":
            return self.demand
        of = self.body.mass * GRAVITY * self.body.stature if self.unit == "N·m" else self.body.mass
        scale = of if self.unit == "N·m" else of / 100
        unit = "body weight × stature" if self.unit == "N·m" else "% of body weight"
        return self._estimate(self.samples / scale, unit, self._accounts.share(self.unit))

    def _at(self, place: int) -> Estimate:
        account = self._accounts.place(float(self.depths[place]))
        return self._estimate(self.measured[place], self.unit, account)

    def _estimate(self, samples: Array, unit: str, derivation: Derivation) -> Estimate:
        """What the samples say, and how far the model itself may be off."""
        likely, low, high = interval_from_variations(samples)
        off = relative_error(self.setup, self.body) * abs(likely)
        # None of the samples is under 0; departures added in quadrature may be.
        floor = min(0.0, likely) if samples.min() < 0.0 else 0.0
        low = max(floor, likely - hypot(likely - low, off))
        return Estimate(
            likely, min(low, likely), likely + hypot(high - likely, off), unit, derivation
        )

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

    def carried_at(self, place: int) -> dict[str, float]:
        """Upward force on every contact at a place along the rep, kg."""
        return {name: float(force[place, 0, 1]) / GRAVITY for name, force in self.contact.items()}

    @cached_property
    def joints(self) -> tuple[tuple[JointShare, ...], ...]:
        """Every joint's torque against its strength, at each place along the rep."""
        return joint_shares(self.posture, self.torque)

    @cached_property
    def torques(self) -> dict[str, Estimate]:
        """Size of every joint's torque where the demand is told, both sides together, N·m."""
        return {
            name: self._estimate(np.abs(torque), "N·m", self._accounts.torque(name))
            for name, torque in self.torques_there.items()
        }

    @cached_property
    def forces(self) -> dict[str, Estimate]:
        """Every contact's upward force where the demand is told, kg."""
        return {
            name: self._estimate(force / GRAVITY, "kg", self._accounts.force(name))
            for name, force in self.forces_there.items()
        }

    @cached_property
    def work(self) -> Estimate:
        """Mechanical work of one lift, J; 0 for a hold."""
        return self._estimate(self.work_samples, "J", self._accounts.work())

    @cached_property
    def overhang(self) -> Estimate:
        """How far the centre of mass lies beyond the support, m; + towards the head's side."""
        likely, low, high = interval_from_variations(self.overhang_samples)
        return Estimate(likely, low, high, "m", self._accounts.balance())

    @cached_property
    def _accounts(self) -> Derivations:
        return Derivations(self.body, self.setup, self.posture)


@lru_cache(maxsize=2048)
def rep_share(body: Body, setup: SetUp) -> float:
    """How much of a whole rep's work a rep of this range and depth is; 1 for a whole one.

    Raises:
        InputError: for a set-up out of this body's reach.

    Source: work as force over the path (plane statics).
    """
    whole = setup.whole
    if whole == setup:
        return 1.0
    full = reading(body, whole).work.likely
    return reading(body, setup).work.likely / full if full > 0.0 else 1.0


@lru_cache(maxsize=4096)
def reading(body: Body, setup: SetUp) -> Reading:
    """What `setup` asks of `body`.

    Raises:
        InputError: for a set-up out of this body's reach, one that falls over, or a band past its
            limit.

    Source: plane statics over the body's segment table; closures and constants are the form's.
    """
    rows = _variations(body, setup)
    equilibrium = hold(rows)
    measured = limiting(rows, equilibrium, 1)
    forces = _as_weighed(body, setup, equilibrium.forces)
    at = int(np.argmax(measured[:, 0]))
    return Reading(
        body=body,
        setup=setup,
        depths=rows.depths[:, 0],
        measured=measured,
        at=at,
        posture=equilibrium.posture.of_first(),
        contact={name: force[:, :1].copy() for name, force in forces.items()},
        torque={name: torque[:, :1].copy() for name, torque in equilibrium.torques.items()},
        forces_there={name: force[at, :, 1].copy() for name, force in forces.items()},
        torques_there={name: torque[at].copy() for name, torque in equilibrium.torques.items()},
        work_samples=work(equilibrium.posture),
        overhang_samples=np.broadcast_to(overhang(equilibrium.posture), measured.shape)[at].copy(),
    )


def posture_along(body: Body, setup: SetUp) -> Posture:
    """The body itself along the rep, with nothing that pulls from outside: shape `(n, 1)`.

    Raises:
        InputError: for a set-up out of this body's reach.
    """
    plain = body.segments()
    segments = SegmentValues(
        length={name: np.atleast_1d(value) for name, value in plain.length.items()},
        mass={name: np.atleast_1d(value) for name, value in plain.mass.items()},
        centre=plain.centre,
        stature=plain.stature,
        ankle_height=plain.ankle_height,
    )
    return build(
        setup.form,
        segments,
        {name: np.full(1, value) for name, value in setup.all_values.items()},
        places_along(setup.form, np.array([setup.range]), np.array([setup.from_end])),
        setup.added_load,
    )


def _as_weighed(body: Body, setup: SetUp, forces: Mapping[str, Array]) -> Mapping[str, Array]:
    """Forces as a household scale told them of this body: what the hands carry more, the other
    contact carries less."""
    if not (body.hands and setup.form.measure == "hands" and setup.form.shares_load):
        return forces
    more = (body.hands_factor - 1.0) * forces["hands"]
    return {
        name: force + more if name == "hands" else force - more for name, force in forces.items()
    }


def _variations(body: Body, setup: SetUp) -> Rows:
    """The body itself, its plausible neighbours, and the set-up as loosely as it is held."""
    form = setup.form
    shared = VARIED_ASSUMPTIONS if form.shares_load else 0
    banded = 1 if setup.band else 0
    segments = body.varied_segments(setup_pairs=len(form.loose) + shared // 2 + banded)
    count = len(segments.length["trunk"])
    band_pull = np.ones(count)
    if setup.band:
        off = setup.band.band.scatter
        band_pull[-2:] = 1.0 - off, 1.0 + off
    assumed = AS_ASSUMED
    if shared:
        assumed = Assumed.varied(count - shared - 2 * banded, 2 * banded)
    values = {name: np.full(count, value) for name, value in setup.all_values.items()}
    slack: dict[str, Array] = {}
    for i, (name, deviation) in enumerate(form.loose.items()):
        by = np.zeros(count)
        end = BODY_SAMPLES + 2 * i
        by[end], by[end + 1] = -Z80 * deviation, Z80 * deviation
        parameter = next((other for other in form.parameter if other.name == name), None)
        if parameter is None:
            slack[name] = by
        else:
            values[name] = values[name] + by * (body.stature if parameter.unit == "m" else 1.0)
    return Rows(
        form,
        segments,
        values,
        places_along(form, np.array([setup.range]), np.array([setup.from_end])),
        setup.added_load,
        setup.band,
        setup.assistance,
        slack,
        assumed,
        band_pull,
        body.hands_factor,
    )
