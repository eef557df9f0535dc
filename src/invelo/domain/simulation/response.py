"""How a simulated athlete answers to training.

Two components (Banister 1975; Busso, Candau and Lacour 1994): every session adds to fitness, which
fades slowly, and to fatigue, which weighs more and fades sooner.
"""

import math
from dataclasses import dataclass, field

from invelo.domain.biomechanics.body import Body
from invelo.domain.ladder.rung import Demand
from invelo.domain.strength.holds import LEAST_SHARE, LONGEST, ZERO_SHARE, rohmert
from invelo.domain.strength.personal import reps_of
from invelo.domain.strength.tempo import REFERENCE_REP
from invelo.domain.training.log import SetRecord

FITNESS_DAYS, FATIGUE_DAYS = 45.0, 15.0
"""Time constants of fitness and of fatigue (Banister 1975, Busso 1994, from memory)."""

FITNESS_GAIN, FATIGUE_GAIN = 0.011, 0.009
"""Share of capacity that a unit of training adds and takes away (ours: three sessions of three hard
sets a week come out at about three tenths more capacity in half a year)."""

DIMINISHING = 0.75
"""Power by which more sets of one session tell less (ours; after Schoenfeld, Ogborn and Krieger
2017: growth rises with sets, and ever less)."""

EASY_RPE, FULL_RPE = 5.0, 9.0
"""Effort under which a set trains nothing, and from which it trains in full (ours)."""

FAILURE_COST = 0.25
"""What an effort of 10 tires more than one of 9 (ours; common practice has it so)."""

LIGHT_FROM, LIGHT_TO, LIGHT_WORTH = 12.0, 30.0, 0.7
"""Reps from which a set counts less for strength, and what one of 30 is worth (ours; after
Schoenfeld and others 2017, J Strength Cond Res 31(12):3508–3523, from memory: light loads build
less strength)."""

SET_DROP = 0.05
"""Share of reps by which each hard set before lessens the next (ours)."""


@dataclass(frozen=True)
class Talent:
    """What makes one simulated athlete differ from the next.

    Attributes:
        body: measured.
        capacity: on the first day: one-rep load, kg, or torque held for 6 s, N·m.
        gain, tires: factors on what training adds and takes away.
        endurance, tempo: exponents of reps over load and over the length of a rep.
        day: standard deviation of a day's capacity, of the logarithm.
        rating: standard deviation of a rated effort.
        skips: share of sessions that are missed.
        prone: factor on the chance of pain.
        days: of the week on which they train, Monday 0.
        away: first day and number of days of a break, counted from the first day; none by default.
        shape: by how much each movement suits them, as a standard deviation of the logarithm.
    """

    body: Body
    capacity: float
    gain: float = 1.0
    tires: float = 1.0
    endurance: float = 1.0
    tempo: float = 0.65
    day: float = 0.03
    rating: float = 0.4
    skips: float = 0.08
    prone: float = 1.0
    days: tuple[int, ...] = (0, 2, 4)
    away: tuple[int, int] = (0, 0)
    shape: float = 0.02


@dataclass
class Response:
    """An athlete's fitness and fatigue as they run on from day to day."""

    talent: Talent
    fitness: float = 0.0
    fatigue: float = 0.0
    before: list[float] = field(default_factory=list)

    @property
    def capacity(self) -> float:
        """True capacity today, without the day's own luck."""
        talent = self.talent
        change = (
            talent.gain * FITNESS_GAIN * self.fitness - talent.tires * FATIGUE_GAIN * self.fatigue
        )
        return talent.capacity * max(0.3, 1.0 + change)

    def rest(self, days: float = 1.0) -> None:
        """Let days pass."""
        self.fitness *= math.exp(-days / FITNESS_DAYS)
        self.fatigue *= math.exp(-days / FATIGUE_DAYS)

    def train(self, sets: list[tuple[SetRecord, float]]) -> None:
        """Take in a session: each set with how many reps of it were there."""
        worth = sum(_worth(done, there) for done, there in sets)
        cost = sum(
            _worth(done, there) * (1.0 + FAILURE_COST * max(0.0, done.rpe - FULL_RPE))
            for done, there in sets
        )
        self.fitness += worth**DIMINISHING
        self.fatigue += cost


def _worth(done: SetRecord, there: float) -> float:
    """What a set trains, 0 to 1: near enough its end, and heavy enough."""
    near = (done.rpe - EASY_RPE) / (FULL_RPE - EASY_RPE)
    light = 1.0
    if done.unit == "reps" and there > LIGHT_FROM:
        over = min(1.0, (there - LIGHT_FROM) / (LIGHT_TO - LIGHT_FROM))
        light = 1.0 - (1.0 - LIGHT_WORTH) * over
    return min(1.0, max(0.0, near)) * light


def allowed(talent: Talent, capacity: float, demand: Demand, suits: float = 1.0) -> float:
    """Reps to failure, or seconds, that a capacity truly allows.

    Args:
        talent: whose exponents.
        capacity: kg or N·m.
        demand: of the rung.
        suits: factor on what the movement asks of them.
    """
    asked = demand.load.demand.likely * suits
    if demand.load.setup.form.counted == "hold":
        share = asked / capacity
        if share >= ZERO_SHARE:
            return 0.0
        return min(LONGEST, rohmert(max(LEAST_SHARE, share)) * talent.endurance)
    if asked > capacity:
        return 0.0
    curve = demand.load.setup.form.curve
    plain = float(reps_of(capacity, talent.endurance, asked, curve))
    return float(plain * (REFERENCE_REP / demand.counts_as) ** talent.tempo)
