"""How much was done, lately and for long: session load, monotony, strain, acute : chronic.

The ratio of acute : chronic load is shown as a caution and never as a prediction of injury: the
measure is disputed (Impellizzeri et al. 2020).
"""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass
from datetime import date, timedelta
from typing import TypeVar

import numpy as np
from numpy.lib.stride_tricks import sliding_window_view
from numpy.typing import NDArray

from invelo.domain.errors import InputError, require_within
from invelo.domain.estimate import Array, Derivation, Estimate, Input

K = TypeVar("K")

SHORT_DAYS, LONG_DAYS = 7, 28
"""Days of the short and of the long load."""

RATIO_WORD = 1.3
"""Above this the ratio is worth a word (common practice)."""

RATIO_EASE = 1.5
"""Above this next week is asked to ease (common practice)."""

LEAST_MINUTES, MOST_MINUTES = 1.0, 240.0
"""Length of a session that is believed (ours): a forgotten clock is not four hours of work."""

AFTER_LAST_SET = 1.0
"""Minutes a session goes on after its last set (ours)."""

RPE_RANGE = 0.5
"""Half-width of what a rated effort may be off (ours: the scale is told in halves and wholes)."""

DISPUTE = (
    "Disputed: the ratio has a part of itself in its divisor and has not been shown to foretell "
    "injury (Impellizzeri et al. 2020). Read it as “more than usual”, and ask how they are."
)

SESSION_SOURCE = "Foster et al. 2001, J Strength Cond Res 15(1):109–115, from memory"
MONOTONY_SOURCE = "Foster 1998, Med Sci Sports Exerc 30(7):1164–1168, from memory"
EXPONENTIAL_SOURCE = "Williams et al. 2017, Br J Sports Med 51(3):209–210, from memory"
DISPUTE_SOURCE = "Impellizzeri et al. 2020, Int J Sports Physiol Perform 15(6):907–913, from memory"


def minutes_of(lasted: Array | float) -> Array:
    """Minutes of sessions that lasted so many seconds up to their last set; a day at most."""
    minutes: Array = np.minimum(24 * 60.0, np.asarray(lasted) / 60.0 + AFTER_LAST_SET)
    return minutes


def load_of(rpe: Array | float, minutes: Array | float) -> Array:
    """Effort × minutes as far as they are believed, arbitrary units."""
    load: Array = np.asarray(rpe) * np.clip(minutes, LEAST_MINUTES, MOST_MINUTES)
    return load


@dataclass(frozen=True)
class SessionLoad:
    """What a session asked in all.

    Attributes:
        day: local date.
        rpe: of the whole session, 1–10.
        minutes: it lasted.
        stood_in: whether the effort is the mean of the sets', because the session's was not asked.
    """

    day: date
    rpe: float
    minutes: float
    stood_in: bool = False

    def __post_init__(self) -> None:
        """Check ranges."""
        require_within("session effort", self.rpe, 1, 10, "")
        require_within("minutes", self.minutes, 0, 24 * 60, "min")

    @property
    def load(self) -> float:
        """Effort × minutes, arbitrary units."""
        return float(load_of(self.rpe, self.minutes))

    @property
    def estimate(self) -> Estimate:
        """The load with its range and how it came about."""
        minutes = min(MOST_MINUTES, max(LEAST_MINUTES, self.minutes))
        low, high = max(1.0, self.rpe - RPE_RANGE), min(10.0, self.rpe + RPE_RANGE)
        return Estimate(
            self.load,
            low * minutes,
            high * minutes,
            "effort × min",
            Derivation(
                "Effort of the whole session × minutes.",
                (Input("rpe", self.rpe), Input("minutes", minutes, "min")),
                (SESSION_SOURCE,),
                "The mean of the sets' efforts stands in: the session's own was not asked."
                if self.stood_in
                else "",
            ),
        )


def daily(loads: Iterable[SessionLoad], first: date, last: date) -> Array:
    """Load by local day from `first` to `last`; a day of rest is 0.

    Returns:
        Shape `(days,)`.

    Raises:
        InputError: if the last day lies before the first.
    """
    if last < first:
        raise InputError("days", "the last lies before the first.", "Give the earlier one first.")
    series = np.zeros((last - first).days + 1)
    for session_load in loads:
        if first <= session_load.day <= last:
            series[(session_load.day - first).days] += session_load.load
    return series


def exponential(series: Array, days: int) -> Array:
    """Exponentially weighted mean, λ = 2 ÷ (days + 1), begun at the first day's load.

    Args:
        series: shape `(…, n)`, a value a day; NaN before the first.
        days: N of the weight.

    Returns:
        Shape `(…, n)`.

    Source: Williams et al. 2017.
    """
    weight = 2.0 / (days + 1)
    averages = np.empty_like(series)
    at = np.full(series.shape[:-1], np.nan)
    for i in range(series.shape[-1]):
        value = series[..., i]
        at = np.where(np.isnan(at), value, weight * value + (1.0 - weight) * at)
        averages[..., i] = at
    return averages


def rolling(series: Array, days: int) -> Array:
    """Plain mean of the last `days`; of as many as there are at the beginning.

    Args:
        series: shape `(…, n)`; NaN before the first.
        days: how many.

    Returns:
        Shape `(…, n)`.
    """
    known = ~np.isnan(series)

    def lately(values: Array) -> Array:
        sums = np.cumsum(values, axis=-1)
        before: Array = sums.copy()
        before[..., days:] -= sums[..., :-days]
        return before

    with np.errstate(invalid="ignore"):
        averages: Array = lately(np.where(known, series, 0.0)) / lately(known.astype(float))
    return averages


def short_over_long(short: Array, long: Array, smooth: bool = True) -> Array:
    """The ratio by day. NaN before 28 days, and where nothing was done for long.

    Smoothed it is the mean of the last seven days, so that a steady week of hard and of free days
    does not alarm: an exponential mean leans on the newest day. A plain mean of seven days holds
    a whole week on any day and needs none; so its usual thresholds warn in the week they are for.

    Args:
        short, long: shape `(…, n)`; NaN before the first day.
        smooth: whether it is smoothed.

    Returns:
        Shape `(…, n)`.
    """
    with np.errstate(divide="ignore", invalid="ignore"):
        plain = np.where(long > 0, short / long, np.nan)
    if not smooth:
        plain[np.cumsum(~np.isnan(long), axis=-1) < LONG_DAYS] = np.nan
        return plain
    ratios = np.full_like(plain, np.nan)
    if plain.shape[-1] >= SHORT_DAYS:
        weeks = sliding_window_view(plain, SHORT_DAYS, axis=-1)
        ratios[..., SHORT_DAYS - 1 :] = weeks.mean(axis=-1)
    ratios[np.cumsum(~np.isnan(long), axis=-1) < LONG_DAYS] = np.nan
    return ratios


def daily_loads(days: NDArray[np.int64], loads: Array, length: int) -> Array:
    """Load by day of a span that ends today; NaN before the first session.

    Args:
        days: of each session, counted from the first of the span, shape `(sessions,)`; at least
            one.
        loads: effort × minutes, as many.
        length: days of the span; what lies beyond is left out.

    Returns:
        Shape `(length,)`.
    """
    series = np.full(length, np.nan)
    within = (days >= 0) & (days < length)
    if within.any():
        series[days[within].min() :] = 0.0
        np.add.at(series, days[within], loads[within])
    return series


def newest_ratios(series: Mapping[K, Array]) -> dict[K, float | None]:
    """Acute : chronic load of many athletes at once, each on their own last day; None where it is
    not told. A single athlete's is the newest of `workload`.

    Args:
        series: by athlete, shape `(days,)`, as `daily_loads` gives it.
    """
    if not series:
        return {}
    length = max(len(daily) for daily in series.values())
    aligned = np.full((len(series), length), np.nan)
    for row, daily in zip(aligned, series.values(), strict=True):
        row[length - len(daily) :] = daily
    short, long = rolling(aligned, SHORT_DAYS), rolling(aligned, LONG_DAYS)
    newest = short_over_long(short, long, smooth=False)[:, -1]
    return {
        key: None if np.isnan(value) else float(value)
        for key, value in zip(series, newest, strict=True)
    }


def monotony(week: Sequence[float]) -> float | None:
    """Mean daily load of a week ÷ its population standard deviation; None where it has none.

    Args:
        week: seven daily loads.

    Source: Foster 1998.
    """
    spread = float(np.std(week))
    return None if spread < 1e-9 else float(np.mean(week)) / spread


def strain(week: Sequence[float]) -> float | None:
    """Load of a week × its monotony; None where monotony is none.

    Source: Foster 1998.
    """
    same = monotony(week)
    return None if same is None else float(np.sum(week)) * same


@dataclass(frozen=True)
class Workload:
    """An athlete's load by day, and what follows.

    Attributes:
        first: day of the first value.
        series: load by day, shape `(n,)`.
        ratio: acute : chronic, plain means of 7 and 28 days, shape `(n,)`; NaN where not told. Its
            thresholds are the usual ones.
        ratio_smoothed: by exponential means, the mean of seven days; shown beside it.
    """

    first: date
    series: Array
    ratio: Array
    ratio_smoothed: Array

    @property
    def last(self) -> date:
        """The newest day."""
        return self.first + timedelta(days=len(self.series) - 1)

    def week(self, week_start: date) -> list[float]:
        """Seven daily loads from a Monday; days outside are 0."""
        begin = (week_start - self.first).days
        days = range(begin, begin + 7)
        return [float(self.series[i]) if 0 <= i < len(self.series) else 0.0 for i in days]

    def on(self, day: date) -> tuple[float | None, float | None]:
        """Plain and smoothed ratio on a day; None where not told."""
        at = (day - self.first).days
        if not 0 <= at < len(self.series):
            return None, None
        both = float(self.ratio[at]), float(self.ratio_smoothed[at])
        return (None if np.isnan(both[0]) else both[0], None if np.isnan(both[1]) else both[1])


def workload(loads: Iterable[SessionLoad], today: date) -> Workload:
    """Load by day up to today, from the first session on.

    Raises:
        InputError: without a session by today.
    """
    until_today = [load for load in loads if load.day <= today]
    if not until_today:
        raise InputError("sessions", "there is none yet.", "Log one, with its effort at the end.")
    first = min(session_load.day for session_load in until_today)
    series = daily(until_today, first, today)
    return Workload(
        first,
        series,
        short_over_long(rolling(series, SHORT_DAYS), rolling(series, LONG_DAYS), smooth=False),
        short_over_long(exponential(series, SHORT_DAYS), exponential(series, LONG_DAYS)),
    )


def ratio_words(ratio: float | None) -> str:
    """What a ratio is worth in words."""
    if ratio is None:
        return "not told before four weeks of sessions"
    if ratio > RATIO_EASE:
        return "much more than usual: ease next week"
    if ratio > RATIO_WORD:
        return "more than usual: ask how they are"
    return "as usual" if ratio >= 1 / RATIO_WORD else "less than usual"


LEAST_HALF = 0.05
"""How far a ratio's range reaches at the least: loads are rated in whole steps of effort (ours)."""


def ratio_on(work: Workload, day: date) -> Estimate | None:
    """The ratio of a day; its range is what the two ways of reckoning span."""
    ratio, smoothed = work.on(day)
    if ratio is None:
        return None
    ends = [ratio * (1 - LEAST_HALF), ratio * (1 + LEAST_HALF)]
    ends += [] if smoothed is None else [smoothed]
    return Estimate(
        ratio,
        min(ends),
        max(ends),
        "",
        Derivation(
            "Mean daily load of the last 7 days ÷ that of the last 28, those seven among them, "
            "rest days as 0. The range takes in what exponential means of 7 and 28 days say "
            "(weights 2 ÷ 8 and 2 ÷ 29, the mean of the last seven days' ratios).",
            (
                Input("plain means", ratio),
                Input("exponential", "not told" if smoothed is None else smoothed),
                Input("load of the last seven days", float(work.series[-SHORT_DAYS:].sum())),
            ),
            (EXPONENTIAL_SOURCE, DISPUTE_SOURCE),
            DISPUTE,
        ),
    )
