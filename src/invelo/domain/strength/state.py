"""What an athlete can do as a state that moves: capacity, how it grows, and what is personal.

Between days the state is a normal distribution over six and more things at once: the logarithm of
capacity, its growth a week, the day's form, how many reps people leave more than they say, how fast
they tire from set to set, and how each movement suits them. Within a day each set is weighed on a
grid of what may have been possible, by what it truly says: an end is exact, a rated effort vague,
a set that simply stopped only a lower bound. The grid's mean and spread then move the whole state.

Source: assumed-density filtering (Maybeck 1982, from memory); constants by source beside each.
"""

from bisect import bisect_right
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, field, replace
from datetime import date
from functools import cache
from math import exp, inf, log, sqrt
from typing import Literal

import numpy as np

from invelo.domain.estimate import Array
from invelo.domain.strength.fatigue import FRESH, FRESH_ARRAYS, PERSONAL_SD, Fatigue
from invelo.domain.strength.holds import LEAST_SHARE, rohmert
from invelo.domain.strength.rep_curve import CURVES, CurveName
from invelo.domain.strength.tempo import ENDURANCE_EXPONENT, REFERENCE_REP

FORM_SD = 0.0145
"""A day's form, common to all its sets, standard deviation of the logarithm (from memory of
test-retest studies: typical error of a count 5 to 8 % of the reps, read through the curve, and of a
one-rep test 2 to 4 %)."""

SET_SD, LATER_SD = 0.03, 0.08
"""What a set scatters besides, in the logarithm of its reps, and what each set after the first adds
(ours)."""

BIAS, BIAS_SD = 0.7, 0.35
"""Reps that are left beyond those that people say (Halperin and others 2022, from memory)."""

BIAS_IN_FULL = 2.0
"""Reps in reserve from which they are misjudged in full; nearer to the end people know better
(Halperin and others 2022, from memory)."""

SUITS_SD = 0.04
"""How a movement suits someone besides what it asks, standard deviation of the logarithm (ours)."""

GROWTH, GROWTH_SD = 0.006, 0.007
"""Growth a week that is expected of anybody, and its spread, of the logarithm (ours)."""

GROWTH_FADES = 30.0
"""Weeks over which growth goes back to what is left of it in the end (ours)."""

GROWTH_IN_THE_END = 0.002
GROWTH_WANDERS = 0.0012
WANDERS = 0.006
"""Growth a week that lasts, and how far growth and capacity wander in a week, standard deviations
(ours: chosen on simulated athletes whose seeds no test uses)."""

SURPRISE = 2.0
"""Standard deviations beyond which what is known gives way to what is seen (ours)."""

BAD_DAY = 0.75
"""Share of a bad surprise that is laid to the day rather than to what they can do (ours: nobody
does more than they can, and anybody less)."""

MOST_LOOSENED = 0.15
"""By how much one set loosens what is known at most, of the logarithm (ours)."""

FIRST_SD, AT_LEAST_SD = 0.25, 0.12
"""How vague capacity is before anything is known of it, of the logarithm, where the first set tells
the most that there is, and where it tells only the least (ours)."""

STILL_DAYS, LOSS_DAYS, LOSS = 10, 21, 0.012
"""Days without training after which capacity no longer grows, after which it is lost, and how much
of it a week (Bosquet 2013, Mujika and Padilla 2000, from memory)."""

NODES = np.linspace(-4.5, 4.5, 31)
"""Places of the grid, in standard deviations."""

_LOG_C, _GROWTH, _FORM, _BIAS, _TIRES = range(5)
OWN = 5
"""Things in the state before the movements' own."""

Measure = Literal["reps", "hold"]


@cache
def _table(measure: Measure, curve: CurveName) -> tuple[Array, Array, float, float]:
    """ln (capacity ÷ demand), ln (reps or seconds), and the slopes beyond both ends."""
    if measure == "reps":
        x, v = CURVES[curve]._table
    else:
        shares = np.geomspace(1.0, LEAST_SHARE, 400)
        v, x = -np.log(shares), np.log([rohmert(float(share)) for share in shares])
    first = (x[1] - x[0]) / (v[1] - v[0])
    last = (x[-1] - x[-2]) / (v[-1] - v[-2])
    return v, x, float(first), float(last)


@cache
def _lists(measure: Measure, curve: CurveName) -> tuple[list[float], list[float], float, float]:
    """The same for a single number, which a list answers sooner."""
    v, x, first, last = _table(measure, curve)
    return v.tolist(), x.tolist(), first, last


@dataclass(frozen=True)
class CountedWork:
    """What is done, as the state sees it.

    Attributes:
        movement: whose suiting it shares.
        measure, curve: by which count follows from capacity.
        demand: at the limiting place, kg, N·m or %.
        slowness: by how many times fewer reps are there at this tempo and range.
    """

    movement: str
    measure: Measure
    curve: CurveName
    demand: float
    slowness: float = 1.0

    @classmethod
    def reps_of(
        cls, movement: str, curve: CurveName, demand: float, plain_seconds: float
    ) -> "CountedWork":
        """Reps that cost as much as plain ones of so many seconds."""
        slow = (plain_seconds / REFERENCE_REP) ** ENDURANCE_EXPONENT
        return cls(movement, "reps", curve, demand, slow)

    def log_count(self, log_capacity: Array | float) -> Array:
        """ln of the reps or seconds that are there, fresh."""
        v, x, first, last = _table(self.measure, self.curve)
        at = np.asarray(log_capacity, dtype=float) - log(self.demand)
        log_counts = np.interp(at, v, x)
        log_counts = (
            log_counts + first * np.minimum(0.0, at - v[0]) + last * np.maximum(0.0, at - v[-1])
        )
        return np.asarray(log_counts - log(self.slowness))

    def log_count_at(self, log_capacity: float) -> tuple[float, float]:
        """ln of the count that is there, fresh, and how steeply it rises with that of capacity."""
        v, x, first, last = _lists(self.measure, self.curve)
        at = log_capacity - log(self.demand)
        slow = log(self.slowness)
        if at <= v[0]:
            return x[0] + first * (at - v[0]) - slow, max(0.5, first)
        if at >= v[-1]:
            return x[-1] + last * (at - v[-1]) - slow, max(0.5, last)
        i = bisect_right(v, at) - 1
        steep = (x[i + 1] - x[i]) / (v[i + 1] - v[i])
        return x[i] + steep * (at - v[i]) - slow, max(0.5, steep)

    def log_capacity(self, count: float) -> float:
        """ln of the capacity at which a count is just there."""
        v, x, first, last = _table(self.measure, self.curve)
        wanted = log(count * self.slowness)
        if wanted < x[0]:
            return float(v[0] + (wanted - x[0]) / first) + log(self.demand)
        if wanted > x[-1]:
            return float(v[-1] + (wanted - x[-1]) / last) + log(self.demand)
        return float(np.interp(wanted, x, v)) + log(self.demand)


@dataclass(frozen=True)
class Seen:
    """A set, by what it says.

    Attributes:
        work: what was done.
        done: reps or seconds.
        low, high: between which what was possible lies, by what was done and said; `high` is
            infinite where it is only a lower bound, both are None where nothing is said.
        error: standard deviation of that, in reps or seconds.
        reserve: reps that were said to be left, 0 where it rests on none.
        rest: before the next set, s.
    """

    work: CountedWork
    done: float
    low: float | None
    high: float = inf
    error: float = 0.0
    reserve: float = 0.0
    rest: float = 120.0

    @property
    def says(self) -> Literal["exact", "rated", "bound", "nothing"]:
        """What kind of evidence it is."""
        if self.low is None:
            return "nothing"
        if self.high == inf:
            return "bound"
        return "rated" if self.reserve > 0.0 else "exact"


@dataclass(frozen=True)
class DaySeen:
    """A day's sets of one limiting measure, in the order they were done."""

    day: date
    sets: tuple[Seen, ...]


@dataclass(frozen=True, eq=False)
class State:
    """What is known on a day.

    Attributes:
        day: on which.
        trained: the last day of training.
        mean, cov: of what is known, shapes `(n,)` and `(n, n)`: ln capacity, growth a week, form,
            reps left beyond those said, how fast sets tire, and each movement's suiting.
        movements: place of each movement's suiting.
        evidence_on: the last day whose sets said exactly, or by a rating; None for none.
        exact: the last day on which a set was taken to its end; None for none.
    """

    day: date
    trained: date
    mean: Array
    cov: Array
    movements: Mapping[str, int] = field(default_factory=dict)
    evidence_on: date | None = None
    exact: date | None = None

    @property
    def log_capacity(self) -> tuple[float, float]:
        """Mean and standard deviation."""
        return float(self.mean[_LOG_C]), sqrt(float(self.cov[_LOG_C, _LOG_C]))

    @property
    def growth(self) -> tuple[float, float]:
        """A week, of the logarithm: mean and standard deviation."""
        return float(self.mean[_GROWTH]), sqrt(float(self.cov[_GROWTH, _GROWTH]))

    @property
    def tires(self) -> float:
        """How fast they tire from set to set, 1 for as usual."""
        return min(1.6, max(0.4, float(self.mean[_TIRES])))

    @property
    def bias(self) -> float:
        """Reps that are left beyond those they say."""
        return float(self.mean[_BIAS])

    def on(self, work: CountedWork) -> tuple[float, float]:
        """ln capacity as a movement suits them, on a day of any form: mean and deviation."""
        at = self.movements.get(work.movement)
        mean, var = float(self.mean[_LOG_C]), float(self.cov[_LOG_C, _LOG_C])
        if at is None:
            var += SUITS_SD**2
        else:
            mean += float(self.mean[at])
            var += float(self.cov[at, at]) + 2.0 * float(self.cov[_LOG_C, at])
        return mean, sqrt(max(1e-8, var) + FORM_SD**2)

    def later(self, today: date) -> "State":
        """The same some days on, with nothing more seen."""
        return self if today <= self.day else _moved(self, today)


def begin(first: DaySeen) -> State:
    """Before anything is seen: round what the first set needs, as vague as that is."""
    seen = first.sets[0]
    about = seen.work.log_capacity(max(1.0, seen.low or seen.done, 1.0))
    mean = np.array([about, GROWTH, 0.0, BIAS, 1.0])
    vague = AT_LEAST_SD if seen.says == "bound" else FIRST_SD
    cov = np.diag([vague**2, GROWTH_SD**2, FORM_SD**2, BIAS_SD**2, PERSONAL_SD**2])
    return State(first.day, first.day, mean, cov)


def state_of(days: Sequence[DaySeen], today: date | None = None) -> State:
    """What days of sets say, oldest first.

    Raises:
        ValueError: without a set.
    """
    state = begin(next(day for day in days if day.sets))
    for day in days:
        state = seen(state, day)
    return state if today is None else state.later(today)


def _moved(state: State, today: date) -> State:
    """From one day to another: growth while they train, loss when they have long not."""
    days = (today - state.day).days
    since = (state.day - state.trained).days
    grows = max(0, min(days, STILL_DAYS - since))
    lost = max(0, since + days - LOSS_DAYS) - max(0, since - LOSS_DAYS)
    weeks = days / 7.0
    fade = exp(-weeks / GROWTH_FADES)
    mean, cov = state.mean.copy(), state.cov.copy()
    step = grows / 7.0
    mean[_LOG_C] += step * mean[_GROWTH] - LOSS * lost / 7.0
    cov[_LOG_C, :] += step * cov[_GROWTH, :]
    cov[:, _LOG_C] += step * cov[:, _GROWTH]
    mean[_GROWTH] = GROWTH_IN_THE_END + fade * (mean[_GROWTH] - GROWTH_IN_THE_END)
    cov[_GROWTH, :] *= fade
    cov[:, _GROWTH] *= fade
    cov[_LOG_C, _LOG_C] += WANDERS**2 * weeks
    cov[_GROWTH, _GROWTH] += GROWTH_WANDERS**2 * weeks
    mean[_FORM] = 0.0
    cov[_FORM, :] = cov[:, _FORM] = 0.0
    cov[_FORM, _FORM] = FORM_SD**2
    return replace(state, day=today, mean=mean, cov=cov)


def seen(state: State, day: DaySeen) -> State:
    """After a day's sets."""
    if day.day > state.day:
        state = _moved(state, day.day)
    fatigue = FRESH
    for number, seen_set in enumerate(day.sets):
        state = _with_movement(state, seen_set.work.movement)
        if seen_set.low is not None:
            state = _weighed(state, seen_set, fatigue, number)
        state = _with_evidence(state, seen_set, max(day.day, state.day))
        possible = _possible(state, seen_set.work) * fatigue.left(state.tires)
        fatigue = fatigue.after(seen_set.done / max(possible, seen_set.done, 1e-9), seen_set.rest)
    return replace(state, trained=max(state.trained, day.day)) if day.sets else state


def _with_evidence(state: State, seen_set: Seen, day: date) -> State:
    if seen_set.says == "exact":
        return replace(state, evidence_on=day, exact=day)
    return replace(state, evidence_on=day) if seen_set.says == "rated" else state


def _with_movement(state: State, movement: str) -> State:
    if movement in state.movements:
        return state
    n = len(state.mean)
    cov = np.zeros((n + 1, n + 1))
    cov[:n, :n] = state.cov
    cov[n, n] = SUITS_SD**2
    return replace(
        state,
        mean=np.append(state.mean, 0.0),
        cov=cov,
        movements={**state.movements, movement: n},
    )


def _possible(state: State, work: CountedWork) -> float:
    at = state.movements[work.movement]
    here = float(state.mean[_LOG_C] + state.mean[_FORM] + state.mean[at])
    return exp(min(9.0, work.log_count_at(here)[0]))


def _weighed(state: State, seen_set: Seen, fatigue: Fatigue, number: int) -> State:
    """One set's word on the whole state."""
    work, at = seen_set.work, state.movements[seen_set.work.movement]
    here = float(state.mean[_LOG_C] + state.mean[_FORM] + state.mean[at])
    left = fatigue.left(state.tires)
    log_fresh, steep = work.log_count_at(here)
    fresh = exp(min(9.0, log_fresh))
    direction = np.zeros(len(state.mean))
    direction[[_LOG_C, _FORM, at]] = 1.0
    direction[_TIRES] = -fatigue.missing / left / steep
    misjudged = min(1.0, (seen_set.reserve + BIAS) / BIAS_IN_FULL) if seen_set.reserve else 0.0
    direction[_BIAS] = -misjudged / max(1.0, fresh * left) / steep
    shift = misjudged * state.bias / max(1.0, fresh * left) / steep
    assert seen_set.low is not None  # noqa: S101  (who asks has looked)
    low, high = max(seen_set.low, 0.05), seen_set.high
    count = min(high, low + 1.0)
    spread = sqrt(SET_SD**2 + (LATER_SD * number) ** 2 + (seen_set.error / max(1.0, count)) ** 2)
    cov = _loosened(state.cov, direction, here - shift, seen_set, log(left), spread / steep)
    projected = cov @ direction
    var = float(direction @ projected)
    deviation = sqrt(var)
    grid = here - shift + deviation * NODES
    can = work.log_count(grid) + log(left)
    chance = _above((log(low) - can) / spread)
    if high != inf:
        chance = chance - _above((log(high) - can) / spread)
    weights = np.exp(-0.5 * NODES**2) * np.maximum(chance, 1e-12)
    total = float(weights.sum())
    moved = float(weights @ NODES) / total
    left_over = float(weights @ (NODES - moved) ** 2) / total
    gain = projected / deviation
    mean = state.mean + gain * moved
    cov = cov - np.outer(gain, gain) * (1.0 - min(1.0, left_over))
    return replace(state, mean=mean, cov=cov)


def _loosened(
    cov: Array, direction: Array, here: float, seen_set: Seen, log_left: float, spread: float
) -> Array:
    """What is known of capacity, less surely where a set says something that could hardly be: a
    first test that told wrong, or a leap, is believed rather than explained away."""
    assert seen_set.low is not None  # noqa: S101
    middle = seen_set.low + 0.5 if seen_set.high != inf else seen_set.low
    gap = seen_set.work.log_capacity(max(0.3, middle) / exp(log_left)) - here
    if seen_set.says == "bound" and gap <= 0.0:
        return cov
    var = float(direction @ cov @ direction)
    allowed = SURPRISE**2 * (var + spread**2)
    if gap**2 <= allowed:
        return cov
    loose, more = cov.copy(), min(MOST_LOOSENED**2, gap**2 / SURPRISE**2 - var - spread**2)
    of_the_day = BAD_DAY if gap < 0.0 else 0.0
    loose[_LOG_C, _LOG_C] += (1.0 - of_the_day) * more
    loose[_FORM, _FORM] += of_the_day * more
    return loose


def _above(z: Array) -> Array:
    """Share of a standard normal distribution above z; exact to 1e-4, which a grid does not see.

    Source: the logistic form of Bowling and others 2009 (from memory).
    """
    return np.asarray(
        1.0 / (1.0 + np.exp(np.minimum(np.maximum(1.5976 * z + 0.07056 * z**3, -60.0), 60.0)))
    )


def chance_above(z: float) -> float:
    """Share of a standard normal distribution above z."""
    return float(_above(np.asarray(z)))


_WEIGHTS = np.exp(-0.5 * NODES**2) / np.exp(-0.5 * NODES**2).sum()


@dataclass(frozen=True)
class Asked:
    """Sets that are asked of a work.

    Attributes:
        work: which.
        sets: as many.
        rest: between them, s.
    """

    work: CountedWork
    sets: int
    rest: float


def counts(state: State, asked: Asked) -> tuple[Array, Array, float]:
    """Reps or seconds that are there fresh, by node of what is known; the nodes' weights; how fast
    they tire."""
    mean, deviation = state.on(asked.work)
    return np.exp(asked.work.log_count(mean + deviation * NODES)), _WEIGHTS, state.tires


def chance_of_each(state: State, asked: Asked, amount: float, reserve: float) -> float:
    """Chance that every set reaches an amount with so much left (reps), or none (seconds)."""
    fresh, weights, tires = counts(state, asked)
    fatigue, chance = FRESH_ARRAYS, np.ones(len(fresh))
    for number in range(asked.sets):
        can = np.maximum(fresh * fatigue.left(tires), 1e-6)
        spread = sqrt(SET_SD**2 + (LATER_SD * number) ** 2)
        chance = np.minimum(chance, _above((log(amount + reserve) - np.log(can)) / spread))
        fatigue = fatigue.after(np.minimum(amount, can) / can, asked.rest)
    return float(weights @ chance)


def sets_of(
    fresh: Array, asked: Asked, tires: float, reserve: float, share: float = 1.0, top: float = inf
) -> tuple[Array, ...]:
    """Reps or seconds of each set at a target effort.

    Args:
        fresh: that are there in the first, shape `(k,)`.
        asked: the sets.
        tires: how fast they tire.
        reserve: reps left in each.
        share: of what is there that is done in each.
        top: at most in each.

    Returns:
        of each set, shape `(k,)`.
    """
    fatigue, counts = FRESH_ARRAYS, []
    for _ in range(asked.sets):
        can = np.maximum(fresh * fatigue.left(tires), 1e-6)
        done = np.minimum(top, np.maximum(0.0, share * can - reserve))
        counts.append(done)
        fatigue = fatigue.after(done / can, asked.rest)
    return tuple(counts)


def chance_of_total(
    state: State, asked: Asked, amount: float, reserve: float, share: float = 1.0
) -> float:
    """Chance that all sets together come to an amount at a target effort."""
    fresh, weights, tires = counts(state, asked)
    totals = sum(sets_of(fresh, asked, tires, reserve, share), np.zeros(len(fresh)))
    spread = sqrt(SET_SD**2 + (0.5 * LATER_SD) ** 2)
    return float(weights @ _above((log(amount) - np.log(np.maximum(totals, 1e-6))) / spread))


def days_seen(sets: Iterable[tuple[date, Seen]]) -> tuple[DaySeen, ...]:
    """Sets by day, oldest first, in the order they come."""
    by_day: dict[date, list[Seen]] = {}
    for day, seen_set in sets:
        by_day.setdefault(day, []).append(seen_set)
    return tuple(DaySeen(day, tuple(by_day[day])) for day in sorted(by_day))
