"""One simulated athlete on one plan, day by day."""

import math
from collections.abc import Callable
from dataclasses import dataclass, replace
from datetime import date, timedelta

import numpy as np

from invelo.domain.ladder.ladder import MeasuredLadder
from invelo.domain.ladder.rung import Demand, Rung
from invelo.domain.review.workload import RATIO_EASE, RATIO_WORD, SessionLoad, workload
from invelo.domain.simulation.cast import Member, ladder_for, purpose_of
from invelo.domain.simulation.coached import Coached, RuleSettings
from invelo.domain.simulation.perform import perform
from invelo.domain.simulation.plans import (
    Calendar,
    FirstRules,
    Fixed,
    Linear,
    NearFailure,
    Plan,
    PrescribedSession,
    TwoForTwo,
)
from invelo.domain.simulation.response import allowed, answer_of
from invelo.domain.simulation.told_the_truth import ToldTheTruth
from invelo.domain.strength.fatigue import FRESH
from invelo.domain.strength.holds import LONGEST_SHARE
from invelo.domain.strength.says import tested, work_of
from invelo.domain.strength.state import Seen
from invelo.domain.training.log import PAIN_STOP, AskedRange, SessionRecord, SetRecord

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

MUCH_LEFT = 4.0
"""Reps left beyond those asked for, at the range's top in every set, from which a session was too
light."""

THIRD = 3


@dataclass(frozen=True)
class Season:
    """What came of it.

    Attributes:
        criteria: rungs whose criterion was shown, and true of the day's capacity, and was not true
            at the beginning; a harder one shown counts for those below.
        weeks: until each of them, sorted.
        hard_weeks: with a mean effort of 8.5 or more.
        spikes: weeks that ended with acute : chronic load above 1.5.
        pains: events of pain of 4 or more.
        sessions: done.
        gained: growth of true capacity, share.
        judged: sessions that asked the plan's usual.
        light: of those, with much left in every set at the range's top.
        ups, taken_back: steps up, and those taken back within three weeks.
        questions, stuck: put to the coach; and of those, without a way on.
        open_ends: sets to the end that were asked beside the plan.
    """

    criteria: int
    weeks: tuple[float, ...]
    hard_weeks: int
    spikes: int
    pains: int
    sessions: int
    gained: float
    judged: int = 0
    light: int = 0
    ups: int = 0
    taken_back: int = 0
    questions: int = 0
    stuck: int = 0
    open_ends: int = 0

    @property
    def third(self) -> float | None:
        """Weeks to the third criterion, None where it was not reached."""
        return self.weeks[THIRD - 1] if len(self.weeks) >= THIRD else None


Watch = Callable[[date, float, SessionRecord | None], None]


def first_test(member: Member, ladder: MeasuredLadder, random: np.random.Generator) -> Seen:
    """A best set on the rung where twelve reps, or ten seconds, are nearest, as an intake asks for
    one; of someone misjudged it tells of another capacity than theirs."""
    talent = member.talent
    capacity = talent.capacity * math.exp(talent.misjudged)
    there = [allowed(talent, capacity, demand) for demand in ladder.demands]
    aim = 10.0 if member.kind == "hold" else 12.0
    index = min(range(len(there)), key=lambda i: abs(there[i] - aim))
    count = max(1, math.floor(there[index] * math.exp(random.normal(0.0, talent.day))))
    rung = ladder.rungs[index]
    work = work_of(talent.body, rung.movement, rung.modifiers)
    if work is None:
        raise AssertionError(rung.name)  # an even ladder asks something on every rung
    amount = float(min(60, count))
    return tested(amount, 10.0, work)


PLANS: dict[str, Callable[[MeasuredLadder, int], Fixed]] = {
    "two-for-two": lambda ladder, place: TwoForTwo(ladder, place),
    "linear": lambda ladder, place: Linear(ladder, place),
    "calendar": lambda ladder, place: Calendar(ladder, place),
    "failure": lambda ladder, place: NearFailure(ladder, place),
    "first": lambda ladder, place: FirstRules(ladder, place),
    "fixed": lambda ladder, place: Fixed(ladder, place),
}
"""Fixed plans by their short names."""


def start_index(member: Member, ladder: MeasuredLadder, tested: Seen) -> int:
    """The hardest rung whose useful prescription fits by the first test."""
    capacity = tested.work.log_capacity(tested.done + 0.5)
    fits = []
    for index, rung in enumerate(ladder.rungs):
        work = work_of(member.talent.body, rung.movement, rung.modifiers)
        if work is None:
            continue
        likely = math.exp(float(work.log_count_at(capacity)[0]))
        asks = rung.prescription.asks
        if likely >= asks:
            fits.append(index)
    return max(fits, key=lambda i: ladder.demands[i].height, default=0)


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
        plan_name: a key of `PLANS`, "truth" for a plan that knows it, or any other name for
            Invelo's own rules.
        weeks: how long.
        settings: of Invelo's rules.
        watch: is told every day: true capacity, and the session if there was one.
    """
    luck = np.random.default_rng([member.seed, 1])
    ladder = ladder_for(member)
    tested = first_test(member, ladder, luck)
    place = start_index(member, ladder, tested)
    run = _Season(member, ladder, weeks, watch)
    if plan_name in PLANS:
        plan: Plan = PLANS[plan_name](ladder, place)
    elif plan_name == "truth":
        plan = ToldTheTruth(ladder, place, fits=run.fits, to_show=run.to_show)
    else:
        plan = Coached(
            member.talent.body,
            ladder,
            place,
            tested,
            FIRST_DAY - timedelta(days=2),
            purpose_of(member.kind),
            settings or RuleSettings(),
        )
    return run.season(plan)


class _Season:
    def __init__(
        self, member: Member, ladder: MeasuredLadder, weeks: int, watch: Watch | None
    ) -> None:
        self.talent, self.ladder, self.weeks = member.talent, ladder, weeks
        self.watch = watch
        self.response = answer_of(member.talent)
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
        self.spikes = self.pains = self.hard_weeks = self.judged = self.light = 0
        self.rpes: list[float] = []
        self.reached: dict[int, float] = {}

    def season(self, plan: Plan) -> Season:
        self.plan = plan
        self.start = self._true()
        begun = self.response.capacity
        away, back = self.talent.away[0], sum(self.talent.away)
        sore_until = -1
        for index in range(7 * self.weeks):
            day = FIRST_DAY + timedelta(days=index)
            if day.weekday() == 0 and index:
                self._week_ends(day)
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
        counted = getattr(plan, "counted", None)
        return Season(
            criteria=len(self.reached),
            weeks=tuple(sorted(self.reached.values())),
            hard_weeks=self.hard_weeks,
            spikes=self.spikes,
            pains=self.pains,
            sessions=len(self.loads),
            gained=self.response.capacity / begun - 1.0,
            judged=self.judged,
            light=self.light,
            ups=len(counted.ups) if counted else 0,
            taken_back=counted.taken_back if counted else 0,
            questions=counted.questions if counted else 0,
            stuck=counted.stuck if counted else 0,
            open_ends=counted.open_ends if counted else 0,
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

    def _there(self, rung: Rung, demand: Demand, capacity: float) -> float:
        return allowed(self.talent, capacity, demand, self.suits.get(rung.name, 1.0))

    def _sets(self, there: float, rung: Rung, sets: int, amount: float) -> list[float]:
        """What is there in each of some sets of an amount."""
        fatigue, done = FRESH, []
        for _ in range(sets):
            can = there * fatigue.left(self.talent.falls)
            done.append(can)
            fatigue = fatigue.after(min(amount, can) / max(can, 1e-9), rung.prescription.rest)
        return done

    def _true(self) -> set[int]:
        """Rungs whose criterion true capacity allows today, set after set."""
        rungs = set()
        capacity = self.response.capacity
        for index, (rung, demand) in enumerate(
            zip(self.ladder.rungs, self.ladder.demands, strict=True)
        ):
            there = self._there(rung, demand, capacity)
            criterion = rung.criterion
            reserve = 0.0 if criterion.unit == "s" else 10.0 - criterion.rpe
            sets = self._sets(there, rung, criterion.sets, criterion.amount)
            if min(sets) >= criterion.amount + reserve:
                rungs.add(index)
        return rungs

    def to_show(self) -> set[int]:
        """Rungs whose criterion is true today, was not at the beginning and was not shown."""
        return self._true() - self.start - set(self.reached)

    def fits(self, index: int) -> bool:
        """Whether a rung's prescription truly fits today, for a plan that is told."""
        rung, demand = self.ladder.rungs[index], self.ladder.demands[index]
        prescription = rung.prescription
        there = self._there(rung, demand, self.response.capacity)
        fatigue, total = FRESH, 0.0
        hold = prescription.unit == "s"
        for _ in range(prescription.sets):
            can = there * fatigue.left(self.talent.falls)
            done = max(0.0, LONGEST_SHARE * can if hold else can - prescription.reserve)
            total += done
            fatigue = fatigue.after(done / max(can, 1e-9), prescription.rest)
        return total >= prescription.sets * prescription.low

    def _session(self, index: int, day: date) -> tuple[SessionRecord, int]:
        asked = self.plan.asks(day)
        capacity = self.response.capacity * math.exp(self.day[index])
        there = self._there(asked.rung, asked.demand, capacity)
        sets: list[SetRecord] = []
        amounts: list[float] = []
        trained: list[SetRecord] = []
        fatigue = FRESH
        for number in range(asked.prescription.sets):
            can = max(0.0, there * fatigue.left(self.talent.falls))
            last = number == asked.prescription.sets - 1
            done, true_rpe = self._set(asked, can, index, number, asked.open_end and last)
            sets.append(done)
            amounts.append(can)
            trained.append(SetRecord("", done.amount, true_rpe, unit=done.unit))
            fatigue = fatigue.after(done.amount / max(can, 1e-9), asked.prescription.rest)
        hurt = self._pain(index, day, sets, trained, asked)
        if hurt:
            last_set = sets[-1]
            sets[-1] = SetRecord(
                last_set.rung,
                last_set.amount,
                last_set.rpe,
                last_set.form_ok,
                hurt,
                "wrist",
                last_set.unit,
                asked=last_set.asked,
            )
        session = SessionRecord(day, tuple(sets), asked.derived)
        self._count(index, asked, sets, amounts)
        self.response.train(list(zip(trained, amounts, strict=True)))
        self.loads.append(self._load(day, asked, trained))
        self.rpes += [record.rpe for record in trained]
        self.plan.logged(session)
        return session, hurt

    def _count(
        self, index: int, asked: PrescribedSession, sets: list[SetRecord], amounts: list[float]
    ) -> None:
        """What the session shows, and whether it was too light."""
        height = asked.demand.height
        total = sum(record.amount for record in sets)
        for rung_index, rung in enumerate(self.ladder.rungs):
            if rung_index in self.start or rung_index in self.reached:
                continue
            criterion = rung.criterion
            hard = height >= self.ladder.demands[rung_index].height * (1 - 1e-6)
            enough = len(sets) >= criterion.sets and total >= criterion.sets * criterion.amount
            left = 0.0 if criterion.unit == "s" else 10.0 - criterion.rpe
            true = min(amounts[: criterion.sets]) >= criterion.amount + left
            if hard and enough and true:
                self.reached[rung_index] = (index + 1) / 7
        if asked.derived:
            return
        self.judged += 1
        high = asked.prescription.high
        if asked.prescription.unit == "s":
            self.light += all(high < 0.5 * can for can in amounts)
        else:
            left = MUCH_LEFT + asked.prescription.reserve
            self.light += all(can - high >= left for can in amounts)

    def _set(
        self, asked: PrescribedSession, can: float, index: int, number: int, open_end: bool
    ) -> tuple[SetRecord, float]:
        prescription = asked.prescription
        if asked.last_rpe is not None and number == prescription.sets - 1:
            prescription = replace(prescription, rpe=asked.last_rpe)
        done = perform(
            prescription,
            can,
            self.rating[index, number],
            self.form[index, number],
            asked.to_failure or open_end,
            self.talent.bias,
        )
        unit = asked.rung.prescription.unit
        wanted = AskedRange(
            prescription.low, prescription.high, prescription.rpe, open_end or asked.to_failure
        )
        record = SetRecord(
            asked.key, float(done.amount), done.rpe, done.form_ok, unit=unit, asked=wanted
        )
        return record, done.true_rpe

    def _pain(
        self,
        index: int,
        day: date,
        sets: list[SetRecord],
        trained: list[SetRecord],
        asked: PrescribedSession,
    ) -> int:
        recent = workload([*self.loads, self._load(day, asked, trained)], day).on(day)[0] or 1.0
        failed = sum(1 for record in trained if record.rpe >= 10.0) / len(sets)
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
