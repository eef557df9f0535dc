"""How simulated athletes answer to training, by three laws, so that no rule suits one by chance.

Fitness and fatigue (Banister 1975; Busso, Candau and Lacour 1994): every session adds to fitness,
which fades slowly, and to fatigue, which weighs more and fades sooner. Saturating growth: each
session closes a share of what is left to a ceiling, in weeks that are better or worse by chance.
Steps: nothing for a while, then a step at once; and now and then an illness.
"""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal, Protocol

import numpy as np

from invelo.domain.biomechanics.body import Body
from invelo.domain.ladder.rung import Demand
from invelo.domain.strength.holds import LEAST_SHARE, LONGEST, ZERO_SHARE, rohmert
from invelo.domain.strength.personal import reps_of
from invelo.domain.strength.tempo import REFERENCE_REP
from invelo.domain.training.log import SetRecord

Law = Literal["fitness", "saturating", "steps"]
LAWS: tuple[Law, ...] = ("fitness", "saturating", "steps")

FITNESS_DAYS, FATIGUE_DAYS = 45.0, 15.0
"""Time constants of fitness and of fatigue (Banister 1975, Busso 1994, from memory)."""

FITNESS_GAIN, FATIGUE_GAIN = 0.011, 0.009
"""Share of capacity that a unit of training adds and takes away (ours: three sessions of three hard
sets a week come out at about three tenths more capacity in half a year)."""

DIMINISHING = 0.75
"""Power by which more sets of one session tell less (ours; after Schoenfeld, Ogborn and Krieger
2017: growth rises with sets, and ever less)."""

EASY_RPE, FULL_RPE = 4.0, 8.0
"""Effort under which a set trains nothing, and from which it trains in full (ours; after Robinson
and others 2024, Sports Med 54:2209–2231, from memory: strength grows about alike from nothing to
several reps in reserve)."""

FAILURE_COST = 0.25
"""What each point of effort above 8 tires more (ours; common practice has it so)."""

LIGHT_FROM, LIGHT_TO, LIGHT_WORTH = 12.0, 30.0, 0.7
"""Reps from which a set counts less for strength, and what one of 30 is worth (ours; after
Schoenfeld and others 2017, J Strength Cond Res 31(12):3508–3523, from memory: light loads build
less strength)."""

CEILING, CLOSES = 0.5, 0.0065
"""Share of capacity that is left to gain, and share of it that a usual session closes (ours: about
three tenths in half a year, as the first law)."""

WEEK_LUCK = 0.6
"""How far weeks differ in what they give, standard deviation of the logarithm (ours)."""

UNUSED_DAYS, UNUSED_LOSS = 21.0, 0.0018
"""Days without training after which capacity is lost, and share of it a day (Bosquet 2013, from
memory)."""

STEP_NEEDS, STEP = 12.0, 0.037
"""Training that has to come together for a step, in units of about half a session, and the step's
share of capacity (ours, as the first law in half a year)."""

ILL_CHANCE, ILL_DAYS, ILL_LOSS = 0.06, 8, 0.06
"""Chance of falling ill in a week, days it takes, and capacity that is missing after (ours)."""

ILL_BACK_DAYS = 10.0
"""Days in which it comes back to 37 %."""


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
        bias: reps that are left beyond those they say.
        falls: how many times as fast as usual sets tire the next.
        skips: share of sessions that are missed.
        prone: factor on the chance of pain.
        days: of the week on which they train, Monday 0.
        away: first day and number of days of a break, counted from the first day; none by default.
        shape: by how much each movement suits them, as a standard deviation of the logarithm.
        misjudged: by how much the first test told wrong, of the logarithm.
        law, luck: how they answer, and the seed of its chance.
    """

    body: Body
    capacity: float
    gain: float = 1.0
    tires: float = 1.0
    endurance: float = 1.0
    tempo: float = 0.65
    day: float = 0.013
    rating: float = 0.4
    bias: float = 0.7
    falls: float = 1.0
    skips: float = 0.08
    prone: float = 1.0
    days: tuple[int, ...] = (0, 2, 4)
    away: tuple[int, int] = (0, 0)
    shape: float = 0.02
    misjudged: float = 0.0
    law: Law = "fitness"
    luck: int = 0


Trained = Sequence[tuple[SetRecord, float]]
"""Sets of a session, each with how many reps or seconds of it were there."""


class Answer(Protocol):
    """How capacity runs on from day to day."""

    talent: Talent

    @property
    def capacity(self) -> float:
        """True capacity today, without the day's own luck."""

    def rest(self, days: float = 1.0) -> None:
        """Let days pass."""

    def train(self, sets: Trained) -> None:
        """Take in a session."""


@dataclass
class Response:
    """An athlete's fitness and fatigue as they run on from day to day."""

    talent: Talent
    fitness: float = 0.0
    fatigue: float = 0.0

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

    def train(self, sets: Trained) -> None:
        """Take in a session: each set with how many reps of it were there."""
        self.fitness += worth_of(sets)
        self.fatigue += sum(
            _worth(done, there) * (1.0 + FAILURE_COST * max(0.0, done.rpe - FULL_RPE))
            for done, there in sets
        )


@dataclass
class Saturating:
    """A share of what is left to a ceiling with each session, in better and worse weeks."""

    talent: Talent
    gained: float = 0.0
    unused: float = 0.0
    days: float = 0.0

    def __post_init__(self) -> None:
        """Draw the weeks' luck."""
        random = np.random.default_rng([self.talent.luck, 11])
        self.weeks = np.exp(random.normal(-(WEEK_LUCK**2) / 2, WEEK_LUCK, 160))

    @property
    def capacity(self) -> float:
        """True capacity today, without the day's own luck."""
        return self.talent.capacity * (1.0 + self.gained)

    def rest(self, days: float = 1.0) -> None:
        """Let days pass."""
        self.days += days
        self.unused += days
        if self.unused > UNUSED_DAYS:
            self.gained -= UNUSED_LOSS * days

    def train(self, sets: Trained) -> None:
        """Take in a session."""
        luck = float(self.weeks[int(self.days // 7) % len(self.weeks)])
        left = max(0.0, CEILING * self.talent.gain - self.gained)
        self.gained += CLOSES * left * worth_of(sets) / CEILING * luck
        self.unused = 0.0


@dataclass
class Steps:
    """Steps at once when enough training has come together; illness now and then."""

    talent: Talent
    gathered: float = 0.0
    gained: float = 0.0
    ill: float = 0.0
    unused: float = 0.0
    days: float = 0.0

    def __post_init__(self) -> None:
        """Draw how much each step needs."""
        random = np.random.default_rng([self.talent.luck, 12])
        self.needs = STEP_NEEDS * np.exp(random.normal(0.0, 0.4, 60))
        self.ills = random.random(160) < ILL_CHANCE
        self.taken = 0

    @property
    def capacity(self) -> float:
        """True capacity today, without the day's own luck."""
        return self.talent.capacity * (1.0 + self.gained) * (1.0 - self.ill)

    def rest(self, days: float = 1.0) -> None:
        """Let days pass."""
        self.ill *= math.exp(-days / ILL_BACK_DAYS)
        week = int(self.days // 7)
        self.days += days
        self.unused += days
        if int(self.days // 7) > week and self.ills[week % len(self.ills)]:
            self.ill = ILL_LOSS
        if self.unused > UNUSED_DAYS:
            self.gained -= UNUSED_LOSS * days

    def train(self, sets: Trained) -> None:
        """Take in a session."""
        self.gathered += worth_of(sets)
        self.unused = 0.0
        need = float(self.needs[self.taken % len(self.needs)])
        if self.gathered >= need:
            self.gathered -= need
            self.taken += 1
            self.gained += STEP * self.talent.gain / (1.0 + 1.5 * max(0.0, self.gained))


def answer_of(talent: Talent) -> Answer:
    """How an athlete answers, by their law."""
    if talent.law == "saturating":
        return Saturating(talent)
    return Steps(talent) if talent.law == "steps" else Response(talent)


def worth_of(sets: Trained) -> float:
    """What a session trains: its sets together, each more telling less."""
    return float(sum(_worth(done, there) for done, there in sets) ** DIMINISHING)


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
