"""What a set says of capacity: how it was done, what it was to be, how it was rated."""

from functools import lru_cache
from math import inf

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError
from invelo.domain.strength.predict import LEAST_LOAD, whole_reps
from invelo.domain.strength.state import CountedWork, Seen
from invelo.domain.strength.tempo import Tempo
from invelo.domain.training.log import PAIN_STOP, SetRecord

TELLING_KINDS = ("work", "single")
"""Kinds of set that are done fresh and whole."""

EXACT_RPE = 9.75
"""Effort from which a set ended because there was no more."""

SAID_END = 0.5
"""Reps by which an end that was only said may be off, standard deviation, and that are left on
average where it was (Zourdos 2016, from memory: about half a rep near the end)."""

RATED_RPE = 7.0
"""Effort under which reps in reserve are no longer told (common practice; Zourdos 2016)."""

SHORT_LEAVES = 3.0
"""Reps that may be left at most by a set that stopped short unrated (ours)."""

UNRATED_LEAVES = 3.0
"""Reps that are left at least by a set rated under 7: more than three in reserve were said."""

TEST_ERROR = 0.1
"""By how much the reps or seconds of a test may be off, as a share, standard deviation (ours:
tempo, depth and a watched or an unwatched day tell more than a day's form)."""

LET_GO_RPE = 9.5
"""Effort from which a hold of which nothing was asked ended by itself."""


@lru_cache(maxsize=16384)
def work_of(body: Body, movement: Movement, modifiers: Modifiers) -> CountedWork | None:
    """A movement as set up for a body, as the state sees it; None where nothing counts it, or it
    asks nothing of what limits it."""
    if movement.rpe_only or movement.posture.counted == "rpe" or movement.unit == "cm":
        return None
    try:
        load = reading(body, modifiers.setup(movement))
    except InputError:
        return None
    return work_of_reading(load, modifiers.tempo)


def work_of_reading(load: Reading, tempo: Tempo) -> CountedWork | None:
    """What a set-up asks at a tempo; None where nothing counts it. How a movement suits someone
    belongs to its form."""
    form, demand = load.setup.form, load.on_own_scale.likely
    if form.counted == "rpe" or demand < LEAST_LOAD:
        return None
    if form.counted == "hold":
        return CountedWork(form.id, "hold", form.curve, demand)
    seconds = whole_reps(load, tempo).plain_seconds()
    return CountedWork.reps_of(form.id, form.curve, demand, seconds)


def tested(amount: float, rpe: float, work: CountedWork) -> Seen:
    """A test by what it says: its end, or what was said to be left, as unsure as a test is.

    Args:
        amount: reps or seconds.
        rpe: effort at its end; a hold's says nothing.
        work: what was done.
    """
    left = 0.0 if work.measure == "hold" else 10.0 - rpe
    low = amount + left
    return Seen(work, amount, low, low + 1.0, TEST_ERROR * low, left)


def seen_of(record: SetRecord, work: CountedWork, rest: float) -> Seen:
    """A set by what it says.

    Args:
        record: as logged.
        work: what was done.
        rest: after it, s.

    Source: reps in reserve with an error that grows with them: Zourdos 2016, Hackett 2012, Halperin
    2022 (from memory).
    """
    done = record.amount
    if not _clean(record):
        return Seen(work, done, None, rest=rest)
    least, most = record.about or (done, done)
    if work.measure == "hold":
        return _of_hold(record, work, least, most, rest)
    return _of_reps(record, work, least, most, rest)


def _clean(record: SetRecord) -> bool:
    return (
        (record.form_ok or (record.asked is not None and record.asked.open))
        and record.kind in TELLING_KINDS
        and record.least >= 1
        and record.pain < PAIN_STOP
    )


def _of_hold(record: SetRecord, work: CountedWork, least: float, most: float, rest: float) -> Seen:
    asked = record.asked
    if asked is None:
        let_go = record.rpe >= LET_GO_RPE
    else:
        let_go = asked.open or record.least < asked.low
        let_go = let_go or (record.least < asked.high and record.rpe >= LET_GO_RPE)
    if let_go:
        return Seen(work, record.amount, least, most + 1.0, error=0.03 * least, rest=rest)
    return Seen(work, record.amount, least, inf, rest=rest)


def _of_reps(record: SetRecord, work: CountedWork, least: float, most: float, rest: float) -> Seen:
    done = record.amount
    if not record.rated:
        short = record.asked is not None and record.least < record.asked.low
        high = most + SHORT_LEAVES + 1.0 if short else inf
        reserve = SHORT_LEAVES / 2.0 if short else 0.0
        return Seen(work, done, least, high, error=0.5, reserve=reserve, rest=rest)
    if record.asked is not None and record.asked.open:
        return Seen(work, done, least, most + 1.0, rest=rest)
    if record.rpe >= EXACT_RPE:
        return Seen(work, done, least, most + 1.0 + SAID_END, error=SAID_END, rest=rest)
    if record.rpe < RATED_RPE:
        return Seen(work, done, least + UNRATED_LEAVES, inf, error=1.0, rest=rest)
    reserve = 10.0 - record.rpe
    error = (0.5 if reserve <= 1.0 else 0.5 * reserve) + 0.05 * done
    return Seen(
        work, done, least + reserve, most + reserve + 1.0, error=error, reserve=reserve, rest=rest
    )
