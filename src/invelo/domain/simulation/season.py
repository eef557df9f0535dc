"""One simulated athlete on one plan, day by day."""

import math
from collections.abc import Callable
from dataclasses import dataclass
from datetime import date, timedelta

import numpy as np

from invelo.domain.ladder.ladder import MeasuredLadder
from invelo.domain.review.workload import RATIO_EASE, RATIO_WORD, SessionLoad, workload
from invelo.domain.simulation.cast import Member, ladder_for
from invelo.domain.simulation.perform import perform, tires_by
from invelo.domain.simulation.plans import (
    Calendar,
    Fixed,
    Invelo,
    Linear,
    NearFailure,
    Plan,
    PrescribedSession,
    RuleSettings,
    start_index,
)
from invelo.domain.simulation.response import SET_DROP, Response, allowed
from invelo.domain.strength.capacity import Evidence, evidence, pool
from invelo.domain.training.log import PAIN_STOP, SessionRecord, SetRecord

FIRST_DAY = date(2026, 1, 5)
"""A Monday."""

PAIN_CHANCE = 0.006
"""Chance of pain of 4 or more in a session as usual (ours)."""

PAIN_BY_RATIO = 2.5
"""How the chance grows with acute : chronic load above 1.3, in the exponent (ours)."""

PAIN_BY_FAILURE = 1.0
"""How much a session all of whose sets end at effort 10 adds to it (ours)."""

PAIN_DAYS = 8
"""Days without training after it, whatever the plan (ours)."""

ACHE_CHANCE = 0.04
"""Chance of pain of 1 to 3, which is gone the next time (ours)."""

HARD_RPE = 8.5
"""Mean effort of a week's sets from which it counts as hard."""


@dataclass(frozen=True)
class Season:
    """What came of it.

    Attributes:
        criteria: rungs whose criterion true capacity allows at the end and did not at the
        beginning.
        weeks: until each of them, sorted.
        hard_weeks: with a mean effort of 8.5 or more.
        spikes: weeks that ended with acute : chronic load above 1.5.
        pains: events of pain of 4 or more.
        sessions: done.
        gained: growth of true capacity, share.
    """

    criteria: int
    weeks: tuple[int, ...]
    hard_weeks: int
    spikes: int
    pains: int
    sessions: int
    gained: float


Watch = Callable[[date, float, SessionRecord | None], None]


def first_test(member: Member, ladder: MeasuredLadder, random: np.random.Generator) -> Evidence:
    """A best set on the rung where twelve reps are nearest, as an intake asks for one."""
    talent = member.talent
    there = [allowed(talent, talent.capacity, demand) for demand in ladder.demands]
    index = min(range(len(there)), key=lambda i: abs(there[i] - 12.0))
    reps = max(1, math.floor(there[index] * math.exp(random.normal(0.0, talent.day))))
    rung = ladder.rungs[index]
    return evidence(
        FIRST_DAY - timedelta(days=2),
        "test",
        talent.body,
        rung.movement,
        rung.modifiers,
        float(min(60, reps)),
        10.0,
    )


PLANS: dict[str, Callable[[MeasuredLadder, int], Fixed]] = {
    "fixed": lambda ladder, place: Fixed(ladder, place),
    "linear": lambda ladder, place: Linear(ladder, place),
    "calendar": lambda ladder, place: Calendar(ladder, place),
    "failure": lambda ladder, place: NearFailure(ladder, place),
}
"""Fixed plans by their short names."""


def plan_for(
    name: str, member: Member, ladder: MeasuredLadder, tested: Evidence, settings: RuleSettings
) -> Plan:
    """A plan by its short name; any other name is Invelo's rules."""
    place = start_index(ladder, pool((tested,)))
    if name in PLANS:
        return PLANS[name](ladder, place)
    return Invelo(member.talent.body, ladder, place, tested, settings)


def live(
    member: Member,
    plan_name: str,
    weeks: int,
    settings: RuleSettings | None = None,
    watch: Watch | None = None,
) -> Season:
    """An athlete's weeks on a plan. Chance is the athlete's own: each plan meets the same.

    Args:
        member: who.
        plan_name: a key of `PLANS`, or any other name for Invelo's own rules.
        weeks: how long.
        settings: of Invelo's rules.
        watch: is told every day: true capacity, and the session if there was one.
    """
    luck = np.random.default_rng([member.seed, 1])
    ladder = ladder_for(member)
    tested = first_test(member, ladder, luck)
    plan = plan_for(plan_name, member, ladder, tested, settings or RuleSettings())
    return _Season(member, ladder, plan, weeks, watch).season()


class _Season:
    def __init__(
        self,
        member: Member,
        ladder: MeasuredLadder,
        plan: Plan,
        weeks: int,
        watch: Watch | None,
    ) -> None:
        self.talent, self.ladder, self.plan, self.weeks = member.talent, ladder, plan, weeks
        self.watch = watch
        self.response = Response(member.talent)
        days = 7 * weeks
        # drawn beforehand and by day, so that a plan's own doings shift nobody's luck
        luck = np.random.default_rng([member.seed, 2])
        self.skip = luck.random(days)
        self.day = luck.normal(0.0, member.talent.day, days)
        self.rating = luck.normal(0.0, member.talent.rating, (days, 12))
        self.pain = luck.random(days)
        self.ache = luck.random((days, 2))
        self.form = luck.random((days, 12))
        suits = np.random.default_rng([member.seed, 3])
        self.suits = {
            rung.name: math.exp(suits.normal(0.0, member.talent.shape)) for rung in ladder.rungs
        }
        self.loads: list[SessionLoad] = []
        self.spikes = self.pains = self.hard_weeks = 0
        self.rpes: list[float] = []

    def season(self) -> Season:
        start = self._criteria()
        begun = self.response.capacity
        reached: dict[int, int] = {}
        away, back = self.talent.away[0], sum(self.talent.away)
        sore_until = -1
        for index in range(7 * self.weeks):
            day = FIRST_DAY + timedelta(days=index)
            if day.weekday() == 0 and index:
                self._week_ends(day)
                for criterion in self._criteria() - start:
                    reached.setdefault(criterion, index // 7)
            done = None
            trains = (
                day.weekday() in self.talent.days
                and not (away <= index < back)
                and index >= sore_until
                and self.skip[index] >= self.talent.skips
            )
            if trains:
                done, hurt = self._session(index, day)
                if hurt >= PAIN_STOP:
                    self.pains += 1
                    sore_until = index + PAIN_DAYS
                    self.plan.hurt()
            if self.watch is not None:
                self.watch(day, self.response.capacity, done)
            self.response.rest()
        for criterion in self._criteria() - start:
            reached.setdefault(criterion, self.weeks)
        return Season(
            criteria=len(reached),
            weeks=tuple(sorted(reached.values())),
            hard_weeks=self.hard_weeks,
            spikes=self.spikes,
            pains=self.pains,
            sessions=len(self.loads),
            gained=self.response.capacity / begun - 1.0,
        )

    def _week_ends(self, week_start: date) -> None:
        ratio = rolling = None
        if self.loads:
            ratio, rolling = workload(self.loads, week_start - timedelta(days=1)).on(
                week_start - timedelta(days=1)
            )
        if ratio is not None and ratio > RATIO_EASE:
            self.spikes += 1
        if self.rpes and sum(self.rpes) / len(self.rpes) >= HARD_RPE:
            self.hard_weeks += 1
        self.rpes = []
        self.plan.week_ends(week_start, ratio, rolling)

    def _criteria(self) -> set[int]:
        """Rungs whose criterion true capacity allows today, last set and reserve counted in."""
        found = set()
        for index, (rung, demand) in enumerate(
            zip(self.ladder.rungs, self.ladder.demands, strict=True)
        ):
            there = allowed(
                self.talent, self.response.capacity, demand, self.suits.get(rung.name, 1.0)
            )
            last = there * (1.0 - SET_DROP * (rung.criterion.sets - 1))
            if last >= rung.criterion.amount + 10.0 - rung.criterion.rpe:
                found.add(index)
        return found

    def _session(self, index: int, day: date) -> tuple[SessionRecord, int]:
        asked = self.plan.asks(day)
        capacity = self.response.capacity * math.exp(self.day[index])
        there = allowed(self.talent, capacity, asked.demand, self.suits.get(asked.rung.name, 1.0))
        sets, amounts = [], []
        drop = 0.0
        for number in range(asked.prescription.sets):
            can = max(0.0, there * (1.0 - drop))
            done = self._set(asked, can, index, number)
            sets.append(done)
            amounts.append(can)
            drop += tires_by(done.rpe)
        hurt = self._pain(index, day, sets, asked)
        if hurt:
            last = sets[-1]
            sets[-1] = SetRecord(
                last.rung, last.amount, last.rpe, last.form_ok, hurt, "wrist", last.unit
            )
        session = SessionRecord(day, tuple(sets))
        self.response.train(list(zip(sets, amounts, strict=True)))
        self.loads.append(self._load(day, asked, sets))
        self.rpes += [record.rpe for record in sets]
        self.plan.logged(session)
        return session, hurt

    def _set(self, asked: PrescribedSession, can: float, index: int, number: int) -> SetRecord:
        done = perform(
            asked.prescription,
            can,
            self.rating[index, number],
            self.form[index, number],
            asked.to_failure,
        )
        unit = asked.rung.prescription.unit
        return SetRecord(asked.key, float(done.amount), done.rpe, done.form_ok, unit=unit)

    def _pain(self, index: int, day: date, sets: list[SetRecord], asked: PrescribedSession) -> int:
        recent = workload([*self.loads, self._load(day, asked, sets)], day).on(day)[0] or 1.0
        failed = sum(1 for record in sets if record.rpe >= 10.0) / len(sets)
        chance = (
            PAIN_CHANCE
            * self.talent.prone
            * math.exp(PAIN_BY_RATIO * max(0.0, recent - RATIO_WORD))
            * (1.0 + PAIN_BY_FAILURE * failed)
        )
        if self.pain[index] < chance:
            return 4 + int(3 * self.ache[index, 1])
        if self.ache[index, 0] < ACHE_CHANCE:
            return 1 + int(3 * self.ache[index, 1])
        return 0

    def _load(self, day: date, asked: PrescribedSession, sets: list[SetRecord]) -> SessionLoad:
        seconds = sum(
            record.amount * asked.demand.rep_time + asked.prescription.rest for record in sets
        )
        rpe = sum(record.rpe for record in sets) / len(sets)
        return SessionLoad(day, min(10.0, max(1.0, rpe)), 5.0 + seconds / 60.0)
