"""Drawing simulated athletes: different bodies, talents, ladders, noise and luck, by seed."""

from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Literal

import numpy as np

from invelo.domain.biomechanics.body import AddedLoad, Body
from invelo.domain.biomechanics.reading import reading
from invelo.domain.biomechanics.setup import Assistance
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.ladder.ladder import MeasuredLadder, measure
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.methods import criterion_for, prescription_for
from invelo.domain.plan.prescription import Level, Purpose
from invelo.domain.simulation.response import LAWS, Law, Talent

Kind = Literal["push", "pull", "hold", "legs"]
KINDS: tuple[Kind, ...] = ("push", "pull", "hold", "legs")
"""Ladders that simulated athletes climb."""

MOVEMENTS: dict[Kind, str] = {
    "push": "push-up",
    "pull": "pull-up",
    "hold": "front-lever",
    "legs": "split-squat",
}
"""What they are made of: one movement, lightened and loaded in even steps."""

STEPS = (0.06, 0.10, 0.15)
"""How much harder each rung is than the one below."""

FOOT, TOP = 0.5, 1.75
"""Demand of the lowest and the highest rung, as a share of the plain movement's."""

BODIES = ((52, 1.60), (58, 1.66), (64, 1.70), (70, 1.74), (76, 1.78), (82, 1.82), (92, 1.86))
"""kg and m of the bodies drawn from: few, so that a ladder is measured once for many."""

LEVELS: tuple[Level, ...] = ("beginner", "intermediate", "advanced")

BREAK_SHARE, MISJUDGED_SHARE = 0.3, 0.3
"""Share of athletes who are away for two to four weeks at some time, and of those whose first test
told wrong."""

DAY = (0.007, 0.02)
"""Form of a day, standard deviation of the logarithm of capacity (from memory of test-retest
studies: typical error of a count 5 to 8 % of the reps, read through the curve)."""

MISJUDGED = 0.18
"""By how much then, standard deviation of the logarithm."""


@dataclass(frozen=True)
class Member:
    """A simulated athlete: who they are, what they climb, and their seed for whatever chance
    brings."""

    number: int
    talent: Talent
    level: Level
    seed: int
    kind: Kind = "push"
    step: float = 0.10

    @property
    def hard_case(self) -> bool:
        """Whether the start was misjudged, a break came, or the steps are wide."""
        talent = self.talent
        ill = talent.law == "steps"
        return bool(talent.misjudged or talent.away[1] or ill or self.step > 0.149)


def _loaded(kilos: float) -> Modifiers:
    if kilos < 0.0:
        return Modifiers(assistance=Assistance(round(-kilos, 2)))
    return Modifiers(added_load=AddedLoad(vest=round(kilos, 2)))


@lru_cache(maxsize=512)
def _demand(body: Body, movement: Movement, kilos: float) -> float:
    return float(reading(body, _loaded(kilos).setup(movement)).demand.likely)


def _kilos_for(body: Body, movement: Movement, wanted: float) -> float | None:
    """Kilos on (or off) at which the movement asks so much; None beyond what is worn or taken."""
    plain = _demand(body, movement, 0.0)
    side = 10.0 if wanted >= plain else -10.0
    a_kilo = (_demand(body, movement, side) - plain) / side
    kilos = (wanted - plain) / a_kilo
    return kilos if -0.55 * body.mass <= kilos <= 30.0 else None


@lru_cache(maxsize=256)
def even_ladder(
    body: Body, kind: Kind, step: float, level: Level, purpose: Purpose
) -> MeasuredLadder:
    """A ladder of even steps."""
    movement = catalogue().find_movement(MOVEMENTS[kind])
    unit = movement.unit
    prescription = prescription_for("double_progression", purpose, level, unit)
    if unit == "s":
        prescription = replace(prescription, low=5, high=8)
    criterion = criterion_for("double_progression", prescription)
    plain = _demand(body, movement, 0.0)
    rungs, share = [], FOOT
    while share <= TOP:
        kilos = _kilos_for(body, movement, share * plain)
        if kilos is not None:
            name = f"{movement.name}, {abs(kilos):.1f} kg {'off' if kilos < 0 else 'on'}"
            rungs.append(Rung(name, movement, _loaded(kilos), prescription, criterion))
        share *= 1.0 + step
    return measure(body, tuple(rungs))


def purpose_of(kind: Kind) -> Purpose:
    """What a ladder of a kind is climbed for."""
    return "skill" if kind == "hold" else "strength"


def ladder_for(member: Member) -> MeasuredLadder:
    """The ladder measured for a member's body."""
    return even_ladder(
        member.talent.body, member.kind, member.step, member.level, purpose_of(member.kind)
    )


def cast(
    count: int,
    seed: int,
    weeks: int = 26,
    kind: Kind | None = None,
    step: float | None = None,
    law: Law | None = None,
) -> tuple[Member, ...]:
    """So many simulated athletes; the same seed gives the same, and the first ones of a greater
    count are those of a smaller.

    Args:
        count, seed: how many, and whose luck.
        weeks: within which a break may fall.
        kind, step, law: of all of them; drawn if left out.
    """
    return tuple(_member(number, seed, weeks, kind, step, law) for number in range(count))


def _member(
    number: int, seed: int, weeks: int, kind: Kind | None, step: float | None, law: Law | None
) -> Member:
    random = np.random.default_rng([seed, number])
    mass, stature = BODIES[int(random.integers(len(BODIES)))]
    level = LEVELS[int(random.integers(len(LEVELS)))]
    body = Body(float(mass), stature)
    drawn_kind = KINDS[int(random.integers(len(KINDS)))]
    drawn_step = STEPS[int(random.integers(len(STEPS)))]
    drawn_law = LAWS[int(random.integers(len(LAWS)))]
    chosen = kind or drawn_kind
    movement = catalogue().find_movement(MOVEMENTS[chosen])
    plain = _demand(body, movement, 0.0)
    strength = random.uniform(
        *{"beginner": (0.85, 1.0), "intermediate": (0.95, 1.15)}.get(level, (1.1, 1.3))
    )
    away = (0, 0)
    if random.random() < BREAK_SHARE and weeks > 6:
        away = (int(random.integers(28, 7 * weeks - 14)), int(random.integers(15, 29)))
    misjudged = float(random.normal(0.0, MISJUDGED))
    talent = Talent(
        body=body,
        capacity=float(strength * plain),
        gain=float(random.lognormal(0.0, 0.3)),
        tires=float(random.lognormal(0.0, 0.2)),
        endurance=float(random.lognormal(0.0, 0.15)),
        tempo=float(max(0.3, random.normal(0.65, 0.15))),
        day=float(random.uniform(*DAY)),
        rating=float(random.uniform(0.2, 0.7)),
        skips=float(random.uniform(0.02, 0.2)),
        prone=float(random.lognormal(0.0, 0.5)),
        away=away,
        misjudged=misjudged if random.random() < MISJUDGED_SHARE else 0.0,
        bias=float(random.normal(0.7, 0.6)),
        falls=float(min(1.5, max(0.5, random.normal(1.0, 0.22)))),
        law=law or drawn_law,
        luck=int(random.integers(2**31)),
    )
    return Member(number, talent, level, int(random.integers(2**31)), chosen, step or drawn_step)
