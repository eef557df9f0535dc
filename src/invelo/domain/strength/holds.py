"""From a torque to a hold time and back.

Published curves tell how long a share f of the greatest torque can be held. Rohmert's is the likely
one; the others only widen the range, at any share: each reads the tested hold and the other shape
by itself. A tested hold gives the athlete's capacity, and the capacity the time of any other shape.
"""

import math
from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property, lru_cache
from typing import Literal

from invelo.domain.errors import require_within
from invelo.domain.estimate import Z80, Derivation, Estimate, Input, Part, combine

Joint = Literal["shoulder", "elbow", "trunk", "knee", "ankle", "grip", "hip"]

LEAST_SHARE = 0.15
"""Where Rohmert's curve ends below; such a share is held for about a quarter of an hour."""

ZERO_SHARE = 1.0889
"""Where Rohmert's formula, carried on above f = 1, reaches no time at all (ours: the published
curve ends at f = 1 with 6 s)."""

LEAST_USEFUL_HOLD = 5.0
"""Seconds; the least useful hold (common practice). Under about 3 s is not practice at all."""

SHORTEST_SHARE, LONGEST_SHARE = 0.5, 0.7
"""What a practice hold is of the best one (common practice)."""

HOLD_SCATTER = 0.12
"""80 % half-width of a hold repeated another day, as a share of its seconds and never under one
second (from memory of test–retest studies of static endurance)."""

REFERENCE_HOLD = 6.0
"""Seconds for which the greatest torque is held: f = 1 on the curve."""

ENDURANCE_SD = 0.15
"""How far people differ in endurance: standard deviation of the exponent k in T = 6 s (R/6 s)^k,
where R is the curve's time and k = 1 the curve itself (from memory: times at half of the greatest
torque differ from person to person by 30 to 40 %)."""

AVIN: dict[Joint, tuple[float, float]] = {
    "shoulder": (14.86, -1.83),
    "knee": (19.38, -1.88),
    "elbow": (17.98, -2.21),
    "trunk": (22.69, -2.27),
    "ankle": (34.71, -2.06),
    "grip": (33.55, -1.61),
}
"""T = b₀ f^b₁ in seconds (Frey Law and Avin 2010, Ergonomics 53(1):109–129; from memory)."""

NOT_YET = 0.9
"""Seconds that the high end of a range never lies under: where no hold is likely yet, something may
be (ours)."""

LONGEST_READ = 3600.0
"""Seconds at which a curve's time ends; beyond, it says nothing."""

STANDS_IN: dict[Joint, Joint] = {"hip": "trunk"}
"""Joints the study lacks, and the one that stands in (ours)."""

SOURCES = (
    "Rohmert 1960: T[min] = −1.5 + 2.1/f − 0.6/f² + 0.1/f³",
    "Frey Law and Avin 2010, Ergonomics 53(1):109–129: T[s] = b₀ f^b₁ by joint (from memory)",
    "Huijgens 1981, Sato 1984, Manenica 1986, Sjøgaard 1986, Rose 2000, as El ahrache and others "
    "2006, Int J Ind Ergon 36(8):725–738, compare them (from memory)",
)


def rohmert(share: float) -> float:
    """Seconds for which a share of the greatest torque can be held.

    Args:
        share: torque ÷ capacity, from `LEAST_SHARE` up; 0 s from `ZERO_SHARE` on, never less.

    Raises:
        InputError: for a share under `LEAST_SHARE`, where the curve does not speak.

    Source: Rohmert 1960; between 1 and `ZERO_SHARE` carried on (ours).
    """
    require_within("share of capacity", share, LEAST_SHARE, 1000.0, "")
    if share >= ZERO_SHARE:
        return 0.0
    minutes = -1.5 + 2.1 / share - 0.6 / share**2 + 0.1 / share**3
    return float(max(0.0, 60.0 * minutes))


LONGEST = rohmert(LEAST_SHARE)
"""Seconds at the curve's lower end; a longer hold only bounds capacity from below."""


@lru_cache(maxsize=4096)
def rohmert_inverse(seconds: float) -> float:
    """The share held for `seconds`, by halving; exact to 1e-12.

    Raises:
        InputError: for a time of 0 s or less, or beyond `LONGEST`.
    """
    require_within("hold", seconds, 1e-9, LONGEST, "s")
    low, high = LEAST_SHARE, ZERO_SHARE
    while high - low > 1e-12:
        middle = (low + high) / 2
        low, high = (middle, high) if rohmert(middle) >= seconds else (low, middle)
    return (low + high) / 2


def avin(share: float, joint: Joint) -> float:
    """Seconds after the second curve.

    Source: Frey Law and Avin 2010 (from memory); the trunk stands in for the hip.
    """
    scale, power = AVIN[STANDS_IN.get(joint, joint)]
    return float(scale * share**power)


Curve = Callable[[float], float]


def _huijgens(share: float) -> float:
    if share >= 1.0:
        return 0.0
    over = (1.0 - share) / max(1e-9, share - 0.15)
    return float(min(LONGEST_READ, 60.0 * 0.865 * over ** (1.0 / 1.4)))


def _sato(share: float) -> float:
    return float(min(LONGEST_READ, 60.0 * 0.3802 * max(1e-3, share - 0.04) ** -1.44))


def _manenica(share: float) -> float:
    return 60.0 * 14.88 * math.exp(-4.48 * share)


def _sjogaard(share: float) -> float:
    return float(min(LONGEST_READ, 60.0 * 0.2997 * share**-2.14))


def _rose(share: float) -> float:
    return 60.0 * 7.96 * math.exp(-4.16 * share)


OTHERS: dict[str, Curve] = {
    "Huijgens 1981": _huijgens,
    "Sato 1984": _sato,
    "Manenica 1986": _manenica,
    "Sjøgaard 1986": _sjogaard,
    "Rose 2000": _rose,
}
"""Seconds for which a share f of the greatest torque is held, each falling in f (as El ahrache and
others 2006 compare them; from memory)."""


def by_another_curve(curve: Curve, tested: float, times: float) -> float | None:
    """Seconds for which a torque `times` the tested one can be held, by one curve alone.

    Args:
        curve: seconds by share.
        tested: seconds for which the tested torque was held.
        times: the other torque ÷ the tested one.

    Returns:
        None where the curve knows no share that is held as long as the test.
    """
    low, high = 1e-3, 4.0
    if not curve(high) <= tested <= curve(low):
        return None
    while high - low > 1e-9:
        middle = (low + high) / 2
        low, high = (middle, high) if curve(middle) >= tested else (low, middle)
    return curve(times * (low + high) / 2)


def as_another(seconds: float, sign: int, inverse: bool = False) -> float:
    """The curve's time for someone at one 80 % end of endurance: 6 s (T/6 s)^k.

    Args:
        seconds: on the curve, or that someone's own.
        sign: 1 for the end that holds long, −1 for the other, 0 for the curve itself.
        inverse: from that someone's own time back to the curve's.
    """
    if seconds <= 0.0:
        return 0.0
    k = 1.0 + sign * Z80 * ENDURANCE_SD
    return float(REFERENCE_HOLD * (seconds / REFERENCE_HOLD) ** (1.0 / k if inverse else k))


@dataclass(frozen=True)
class HoldResult:
    """A tested hold.

    Attributes:
        torque: held at the limiting joint, N·m.
        seconds: for how long, 0.5 to 3600.
        joint: the limiting joint.
        unit: of the torque; kg where a load stands in for it (a hang's grip).
        torque_low, torque_high: 80 % ends of the torque; the torque itself if not given.
        days: over how many days of results the scatter is averaged; this is one of them.
    """

    torque: float
    seconds: float
    joint: Joint = "shoulder"
    unit: str = "N·m"
    torque_low: float | None = None
    torque_high: float | None = None
    days: int = 1

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("torque", self.torque, 0.1, 5000.0, self.unit)
        require_within("hold", self.seconds, 0.5, 3600.0, "s")

    @property
    def scatter(self) -> float:
        """80 % half-width of the seconds."""
        return max(1.0, HOLD_SCATTER * self.seconds) / math.sqrt(self.days)


@dataclass(frozen=True)
class HoldCapacity:
    """What a tested hold says of the greatest torque."""

    result: HoldResult

    @property
    def only_a_bound(self) -> bool:
        """Whether the hold outlasted the curve, so that capacity is at least what is told."""
        return self.result.seconds >= LONGEST

    def _torque(self, seconds: float, sign: int = 0) -> float:
        """The greatest torque that a hold of `seconds` tells; of someone at one 80 % end of
        endurance for a `sign` of −1 or 1."""
        torque = as_another(min(max(seconds, 0.1), LONGEST), sign, inverse=True)
        return self.result.torque / rohmert_inverse(min(torque, LONGEST))

    @cached_property
    def repeats(self) -> tuple[float, float]:
        """80 % ends of the greatest torque by the day's scatter alone."""
        seconds, scatter = self.result.seconds, self.result.scatter
        return self._torque(seconds - scatter), self._torque(seconds + scatter)

    @cached_property
    def greatest(self) -> Estimate:
        """The torque that can be held for 6 s, N·m."""
        result = self.result
        likely = self._torque(result.seconds)
        low, high = combine(
            likely,
            (
                Part(
                    "a hold repeats only roughly",
                    *self.repeats,
                ),
                Part(
                    "people differ in endurance",
                    self._torque(result.seconds, -1),
                    self._torque(result.seconds, 1),
                ),
                Part(
                    "the torque on an unmeasured body",
                    likely * (result.torque_low or result.torque) / result.torque,
                    likely * (result.torque_high or result.torque) / result.torque,
                ),
            ),
        )
        return Estimate(
            likely,
            low,
            high,
            self.result.unit,
            Derivation(
                "Torque held ÷ the share of capacity that Rohmert's curve gives for that time. "
                "The range joins the test's own scatter, how far people differ in endurance and "
                "the torque's own range.",
                (
                    Input("torque held", result.torque, result.unit),
                    Input("for", result.seconds, "s"),
                    Input("share of capacity", rohmert_inverse(min(result.seconds, LONGEST))),
                ),
                SOURCES[:1],
                "The hold outlasted the curve: capacity is at least this. Test a harder shape."
                if self.only_a_bound
                else "",
            ),
        )

    def predict(
        self,
        torque: float,
        ratio_range: tuple[float, float] = (1.0, 1.0),
        joint: Joint | None = None,
    ) -> Estimate:
        """Seconds for which another torque can be held.

        Args:
            torque: of the other shape, N·m.
            ratio_range: 80 % ends of `torque ÷ tested torque` as a factor on its likely value;
                both shapes are of one body, so their ratio is surer than either.
            joint: whose second curve bounds the time; the tested one if left out.

        Returns:
            seconds; 0 where the torque is beyond reach. A torque under `LEAST_SHARE` of capacity
            reads the curve's end, with a note.
        """
        require_within("torque", torque, 0.0, 5000.0, self.result.unit)
        result, which = self.result, joint or self.result.joint

        def seconds(load: float, tested: float, sign: int = 0) -> float:
            predicted = rohmert(max(LEAST_SHARE, load / self._torque(tested, sign)))
            return as_another(predicted, sign)

        likely = seconds(torque, result.seconds)
        share = torque / self._torque(result.seconds)
        parts = [
            Part(
                "a hold repeats only roughly",
                seconds(torque, result.seconds - result.scatter),
                seconds(torque, result.seconds + result.scatter),
            ),
            Part(
                "the step between the two shapes",
                seconds(torque * ratio_range[1], result.seconds),
                seconds(torque * ratio_range[0], result.seconds),
            ),
            Part(
                "people differ in endurance",
                seconds(torque, result.seconds, -1),
                seconds(torque, result.seconds, 1),
            ),
        ]
        others = self._by_the_others(torque, which)
        if others:
            parts.append(Part("published curves differ", min(others), max(others)))
        low, high = combine(likely, tuple(parts))
        high = max(high, NOT_YET, min(likely + 1.0, 1.02 * likely))
        spread = (min(likely, *others), max(likely, *others)) if others else (None, None)
        return Estimate(
            likely,
            max(0.0, low),
            high,
            "s",
            self._account(torque, share, which),
            *spread,
        )

    def _by_the_others(self, torque: float, joint: Joint) -> list[float]:
        """Seconds by each of the other curves that speaks."""
        result, times = self.result, torque / self.result.torque
        curves = [*OTHERS.values(), lambda share: avin(share, joint)]
        alternatives = (by_another_curve(curve, result.seconds, times) for curve in curves)
        return [min(seconds, LONGEST_READ) for seconds in alternatives if seconds is not None]

    def _account(self, torque: float, share: float, joint: Joint) -> Derivation:
        result = self.result
        return Derivation(
            "The tested hold gives the capacity; the new torque is a share of it, and "
            "Rohmert's curve gives the time. The range joins the test's scatter, the step "
            "between the shapes, how far people differ in endurance and how far the published "
            "curves differ.",
            (
                Input("tested torque", result.torque, result.unit),
                Input("tested hold", result.seconds, "s"),
                Input("capacity", self.greatest.likely, result.unit),
                Input("new torque", torque, result.unit),
                Input("share of capacity", share),
            ),
            SOURCES,
            self._note(share, joint),
        )

    def _note(self, share: float, joint: Joint) -> str:
        if share < LEAST_SHARE:
            return "So light that the curve ends: at least this long."
        if share >= ZERO_SHARE:
            return "Beyond reach: no hold is likely yet."
        if joint in STANDS_IN:
            return f"The {STANDS_IN[joint]}'s curve stands in for the {joint}'s."
        return ""

    def torque_for(self, seconds: float) -> Estimate:
        """The torque that can be held for `seconds`, N·m: what an easier shape or help must reach.

        Raises:
            InputError: for a time outside the curve.
        """
        share = rohmert_inverse(seconds)
        greatest = self.greatest
        return Estimate(
            greatest.likely * share,
            greatest.low * share,
            greatest.high * share,
            self.result.unit,
            Derivation(
                "The capacity × the share that can be held for this long.",
                (
                    Input("capacity", greatest.likely, self.result.unit),
                    Input("seconds", seconds, "s"),
                    Input("share of capacity", share),
                ),
                SOURCES[:1],
            ),
        )


def hold_share(best: float) -> tuple[float, float]:
    """Seconds of one practice hold: 50–70 % of the best, never under the least useful.

    Args:
        best: longest hold, s.

    Returns:
        `(shortest, longest)`; both the least useful hold where the best is too short for it to be
        70 % of it, which asks for an easier shape or help instead.

    Source: common practice.
    """
    return (
        max(LEAST_USEFUL_HOLD, SHORTEST_SHARE * best),
        max(LEAST_USEFUL_HOLD, LONGEST_SHARE * best),
    )
