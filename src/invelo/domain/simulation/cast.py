"""Drawing simulated athletes: different bodies, talents, noise and luck, by seed."""

from dataclasses import dataclass

import numpy as np

from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.ladder.ladder import MeasuredLadder, measure
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.methods import criterion_for, prescription_for
from invelo.domain.plan.prescription import Level
from invelo.domain.simulation.response import Talent

LADDER = "push-up"
"""Ready ladder that simulated athletes climb."""

BODIES = ((52, 1.60), (58, 1.66), (64, 1.70), (70, 1.74), (76, 1.78), (82, 1.82), (92, 1.86))
"""kg and m of the bodies drawn from: few, so that a ladder is measured once for many."""

LEVELS: tuple[Level, ...] = ("beginner", "intermediate", "advanced")
BREAK_SHARE = 0.3
"""Share of athletes who are away for two to four weeks at some time."""


@dataclass(frozen=True)
class Member:
    """A simulated athlete: who they are, and their seed for whatever chance brings."""

    number: int
    talent: Talent
    level: Level
    seed: int


def rungs_for(level: Level, ladder: str = LADDER) -> tuple[Rung, ...]:
    """The ready ladder's rungs with the fixed range's strength prescription."""
    rungs = []
    for ready_rung in catalogue().find_ladder(ladder).rungs:
        modifiers = ready_rung.modifiers()
        prescription = prescription_for("double_progression", "strength", level, ready_rung.of.unit)
        rungs.append(
            Rung(
                ready_rung.name,
                ready_rung.of,
                modifiers,
                prescription,
                criterion_for("double_progression", prescription),
            )
        )
    return tuple(rungs)


def ladder_for(member: Member) -> MeasuredLadder:
    """The ladder measured for a member's body."""
    return measure(member.talent.body, rungs_for(member.level))


def cast(count: int, seed: int, weeks: int = 26) -> tuple[Member, ...]:
    """So many simulated athletes; the same seed gives the same, and the first ones of a greater
    count are those of a smaller."""
    return tuple(_member(number, seed, weeks) for number in range(count))


def _member(number: int, seed: int, weeks: int) -> Member:
    random = np.random.default_rng([seed, number])
    mass, stature = BODIES[int(random.integers(len(BODIES)))]
    level = LEVELS[int(random.integers(len(LEVELS)))]
    body = Body(float(mass), stature)
    strength = random.uniform(
        *{"beginner": (0.45, 0.7), "intermediate": (0.65, 0.9)}.get(level, (0.85, 1.1))
    )
    away = (0, 0)
    if random.random() < BREAK_SHARE and weeks > 6:
        away = (int(random.integers(28, 7 * weeks - 14)), int(random.integers(15, 29)))
    talent = Talent(
        body=body,
        capacity=float(strength * mass),
        gain=float(random.lognormal(0.0, 0.3)),
        tires=float(random.lognormal(0.0, 0.2)),
        endurance=float(random.lognormal(0.0, 0.15)),
        tempo=float(max(0.3, random.normal(0.65, 0.15))),
        day=float(random.uniform(0.015, 0.04)),
        rating=float(random.uniform(0.2, 0.7)),
        skips=float(random.uniform(0.02, 0.2)),
        prone=float(random.lognormal(0.0, 0.5)),
        away=away,
    )
    return Member(number, talent, level, int(random.integers(2**31)))
