"""Lives of simulated athletes whose truth is known, rated as people rate."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from datetime import date, timedelta
from math import exp, log

import numpy as np

from invelo.domain.plan.prescription import Prescription
from invelo.domain.simulation.cast import Member
from invelo.domain.simulation.perform import perform
from invelo.domain.simulation.response import answer_of
from invelo.domain.strength.fatigue import FRESH
from invelo.domain.strength.says import seen_of
from invelo.domain.strength.state import CountedWork, DaySeen
from invelo.domain.training.log import AskedRange, SetRecord

FIRST = date(2026, 1, 5)
REST = 120.0


@dataclass(frozen=True)
class Lived:
    """One session.

    Attributes:
        day: of it.
        work: what was done.
        capacity: logarithm of what they were able to, whatever the day's form.
        can: reps that were there, fresh, on the day.
        seen: what its sets said.
        told: the best that a set with its rated reserve told, reps.
    """

    day: date
    work: CountedWork
    capacity: float
    can: float
    seen: DaySeen
    told: float


def lived(member: Member, ability: int, sessions: int) -> Iterator[Lived]:
    """Sessions of three sets of someone who begins with so many reps."""
    random = np.random.default_rng([member.seed, 77])
    talent = member.talent
    answer = answer_of(talent)
    ratio = exp(CountedWork("x", "reps", "upper", 1.0).log_capacity(ability))
    work = CountedWork("press", "reps", "upper", talent.capacity / ratio)
    suits = float(random.normal(0.0, talent.shape))
    day = FIRST
    for number in range(sessions):
        gap = (2, 2, 3)[number % 3] if random.random() > talent.skips else 5
        answer.rest(gap)
        day += timedelta(days=gap)
        capacity = log(answer.capacity) + suits
        can = exp(float(work.log_count(capacity + float(random.normal(0.0, talent.day)))))
        sets, trained = _sets(can, talent, random)
        answer.train(trained)
        seen = DaySeen(day, tuple(seen_of(record, work, REST) for record in sets))
        told = max(record.amount + 10.0 - record.rpe for record in sets)
        yield Lived(day, work, capacity, can, seen, told)


def _sets(can, talent, random):
    low, high = min(60, max(1, int(0.6 * can))), min(100, int(1.15 * can) + 1)  # who grows, goes on
    asked = Prescription(3, low, high, 120, 9.0)
    if random.random() < 0.25:  # some days ask less and are rated low
        asked = replace(asked, high=max(low, int(0.7 * can)), rpe=7.0)
    fatigue, sets, trained = FRESH, [], []
    for _ in range(3):
        left = max(1.0, can * fatigue.left(talent.falls))
        rating, luck = float(random.normal(0, talent.rating)), float(random.random())
        done = perform(asked, left, rating, luck, bias=talent.bias)
        was = AskedRange(asked.low, asked.high, asked.rpe)
        sets.append(SetRecord("r", float(done.amount), done.rpe, done.form_ok, asked=was))
        trained.append((SetRecord("r", float(done.amount), done.true_rpe), left))
        fatigue = fatigue.after(done.amount / left, REST)
    return sets, trained
