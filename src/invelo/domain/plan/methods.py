"""Six methods of progress: what each asks on a rung, how its sets grow, when it moves up.

A method says how hard and how much; the purpose of the ladder says in which range. What a coach
sets by hand stands, and `departures` names every rule it goes against.

Source: common practice, where a constant does not say otherwise.
"""

import math
from collections.abc import Callable
from dataclasses import dataclass, replace
from typing import Literal

from invelo.domain.errors import InputError
from invelo.domain.estimate import Input
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.prescription import (
    CRITERION_RPE,
    FEW_SETS,
    HELD_RANGES,
    LEAST_USEFUL,
    RANGES,
    SETS,
    Criterion,
    Level,
    Method,
    Prescription,
    Purpose,
    Unit,
    range_criterion,
    range_prescription,
)
from invelo.domain.review.rules import Rule
from invelo.domain.strength.holds import LONGEST_SHARE, SHORTEST_SHARE
from invelo.domain.strength.tempo import REFERENCE_REP

WaveDay = Literal["easy", "middle", "hard"]
WAVE: tuple[WaveDay, ...] = ("easy", "middle", "hard")
"""The three days of a hold wave, in order: long and easy, middle, and the hardest shape helped."""

CEILING: dict[Unit, int] = {"reps": 30, "s": 60, "cm": 250}
"""A set that reaches this is too light for strength."""

STRENGTH_CEILING: dict[Unit, int] = {"reps": 25}
"""A first set of so many is too light where strength or size is the purpose (common practice)."""

MOST_SETS = 4
"""Sets of a movement grow 2 → 3 → 4 (common practice)."""

MOST_HARD_SETS = 5
"""The same where strength or a skill is the purpose: few reps each, so one more (common practice:
five sets of five; rounds of five holds of 5 s)."""

WORK_WINDOW, CHANGE_OVER = 40, 20
"""Seconds of work and of changing over in interval training."""

WINDOW_SHARE = 0.6
"""Share of a work window that reps fill at the range's foot (ours)."""

HABIT_SESSIONS = 14
"""Ticks after which a habit is offered more: two steady weeks."""

TOTAL_SHARE: dict[Purpose, float] = {
    "learn": 1.0,
    "skill": 2.0,
    "strength": 2.0,
    "size": 2.5,
    "endurance": 2.5,
    "keep": 1.2,
    "finisher": 1.0,
    "daily": 0.7,
}
"""Seconds of holding in a session, as a share of the best hold (ours: 3 × 15 s of a best of 25 s
is 1.8 of it)."""


@dataclass(frozen=True)
class MethodRule:
    """A method in words.

    Attributes:
        id, name: as stored, as shown.
        moves_up: when.
        grows: how sets grow.
    """

    id: Method
    name: str
    moves_up: str
    grows: str


METHODS: dict[Method, MethodRule] = {
    method_rule.id: method_rule
    for method_rule in (
        MethodRule(
            "double_progression",
            "fixed range",
            "Every set at the top of the range, effort 9 or under, form clean, two sessions "
            "running.",
            "A set more where the range is climbed and the next rung is not there yet, up to 4; "
            "sets that have grown go along.",
        ),
        MethodRule(
            "near_failure",
            "near failure",
            "A set taken to at most two in reserve passes the ceiling: 30 reps, or a minute.",
            "Sets stay as they are; reps and seconds grow.",
        ),
        MethodRule(
            "rpe_target",
            "guided by effort",
            "What is likely on the next rung at the target effort reaches the range's foot.",
            "A set more while the effort stays at its target, up to 4.",
        ),
        MethodRule(
            "wave",
            "three-day wave",
            "The hard day passes its shortest useful prescription in every set; assistance shrinks "
            "first.",
            "Sets stay as they are; the hard day's assistance shrinks.",
        ),
        MethodRule(
            "density",
            "against the clock",
            "More clean reps in the same work window, two sessions running.",
            "A round more, up to 5; then longer windows or a harder rung.",
        ),
        MethodRule(
            "habit",
            "habit",
            "Never pushed; more is offered after two steady weeks.",
            "One set, always.",
        ),
    )
}

MOST_ROUNDS = 5
"""Rounds of a circuit or of interval work: 2 to 5."""


PRESCRIPTION_RULES: dict[str, Rule] = {
    id_: Rule(id_, sentence, "ours" if id_ == "prescription.hold-total" else "common practice")
    for id_, sentence in (
        (
            "prescription.sets",
            "Sets grow from 2 to 3 to 4 with practice; a purpose may ask for fewer.",
        ),
        ("prescription.range", "Each purpose has its range; the method may open its top."),
        (
            "prescription.rest",
            "Rest follows from what the set is for: long for skill, short at last.",
        ),
        ("prescription.rpe", "Each method and purpose has its target effort."),
        (
            "prescription.least",
            "Under 5 reps, or 5 s of a hold, a set is a trial rather than practice.",
        ),
        ("prescription.hold-share", "Each hold is 50 to 70 % of the best one."),
        (
            "prescription.hold-total",
            "Seconds of holding in a session are a share of the best hold.",
        ),
        (
            "prescription.ceiling",
            "A set that reaches 30 reps, or a minute, is too light for strength.",
        ),
    )
}


def prescription_for(
    method: Method,
    purpose: Purpose,
    level: Level,
    unit: Unit = "reps",
    *,
    rep_time: float = REFERENCE_REP,
    wave: WaveDay = "middle",
) -> Prescription:
    """What a method asks for a purpose.

    Args:
        method, purpose, level: of the ladder.
        unit: what is counted.
        rep_time: seconds of a rep, for reps against the clock.
        wave: which of the wave's three days.
    """
    plain = range_prescription(purpose, level, unit)
    if unit == "cm":
        return plain  # a jump is judged by its landing, whatever the method
    return _PRESCRIPTIONS[method](plain, purpose, level, rep_time, wave)


def _near_failure(plain: Prescription, purpose: Purpose, *_: object) -> Prescription:
    if purpose in ("learn", "keep", "daily"):
        return plain  # these purposes stay away from failure
    return replace(plain, high=max(plain.high, CEILING[plain.unit]), rest=min(plain.rest, 90))


def _by_rpe(plain: Prescription, *_: object) -> Prescription:
    return replace(plain, rpe=min(plain.rpe, 8.0))


WAVE_PRESCRIPTIONS: dict[Unit, dict[WaveDay, tuple[int, int, int, float]]] = {
    "s": {"easy": (15, 20, 90, 6.0), "middle": (8, 12, 120, 8.0), "hard": (5, 8, 180, 9.0)},
    "reps": {"easy": (12, 15, 75, 6.0), "middle": (8, 12, 90, 8.0), "hard": (5, 8, 150, 9.0)},
}
"""Foot and top, rest in s, effort of the wave's days: 15–20 s easy, then middle, then 5 s of the
hardest shape with help (reps after the same pattern: ours)."""


def _wave(plain: Prescription, _: Purpose, level: Level, __: float, wave: WaveDay) -> Prescription:
    low, high, rest, rpe = WAVE_PRESCRIPTIONS[plain.unit][wave]
    return Prescription(max(2, SETS[level]), low, high, rest, rpe, plain.unit)


def _clock(
    plain: Prescription, _: Purpose, level: Level, rep_time: float, __: WaveDay
) -> Prescription:
    sets = min(MOST_ROUNDS, SETS[level] + 1)
    if plain.unit == "s":
        least = int(LEAST_USEFUL["s"])
        return Prescription(sets, max(least, WORK_WINDOW // 2), WORK_WINDOW, CHANGE_OVER, 8.0, "s")
    most = max(1, int(WORK_WINDOW / rep_time))
    low = max(1, min(most, max(int(LEAST_USEFUL["reps"]), int(most * WINDOW_SHARE))))
    return Prescription(sets, low, most, CHANGE_OVER, 8.0, "reps")


def _habit(plain: Prescription, *_: object) -> Prescription:
    low, high, rest, rpe = (HELD_RANGES if plain.unit == "s" else RANGES)["daily"]
    return Prescription(1, low, high, rest, rpe, plain.unit)


_PRESCRIPTIONS: dict[
    Method, Callable[[Prescription, Purpose, Level, float, WaveDay], Prescription]
] = {
    "double_progression": lambda plain, *_: plain,
    "near_failure": _near_failure,
    "rpe_target": _by_rpe,
    "wave": _wave,
    "density": _clock,
    "habit": _habit,
}


def criterion_for(method: Method, prescription: Prescription) -> Criterion:
    """What a method asks to be shown before moving up."""
    if prescription.unit == "cm" or method == "double_progression":
        return range_criterion(prescription)
    if method == "near_failure":
        return Criterion(1, prescription.high, 10.0, 1, prescription.unit)
    if method == "rpe_target":
        return Criterion(
            prescription.sets, prescription.high, prescription.rpe, 1, prescription.unit
        )
    if method == "wave":
        return Criterion(prescription.sets, prescription.low, CRITERION_RPE, 1, prescription.unit)
    if method == "density":
        return Criterion(prescription.sets, prescription.high, CRITERION_RPE, 2, prescription.unit)
    return Criterion(1, prescription.high, prescription.rpe, HABIT_SESSIONS, prescription.unit)


def with_prescription(rung: Rung, prescription: Prescription, method: Method) -> Rung:
    """A rung with another prescription, its criterion along with it: a hold's moves with its range,
    and none asks for more sets than are done. Sets that grow add work; they do not raise what is to
    be shown."""
    criterion = rung.criterion
    if rung.prescription.unit == "s":
        criterion = replace(criterion_for(method, prescription), sets=criterion.sets)
    sets = min(criterion.sets, prescription.sets)
    return replace(rung, prescription=prescription, criterion=replace(criterion, sets=sets))


def most_sets(method: Method, purpose: Purpose = "size") -> int:
    """Sets up to which a method grows a prescription; 0 where it grows none."""
    if method == "density":
        return MOST_ROUNDS
    if method not in ("double_progression", "rpe_target"):
        return 0
    most = MOST_HARD_SETS if purpose in ("strength", "skill") else MOST_SETS
    return min(most, FEW_SETS.get(purpose, most))


def grown(method: Method, prescription: Prescription) -> Prescription | None:
    """The prescription with a set more, as the method grows them; None where it grows none."""
    return (
        replace(prescription, sets=prescription.sets + 1)
        if prescription.sets < most_sets(method)
        else None
    )


@dataclass(frozen=True)
class HoldPrescription:
    """A prescription of holding fitted to a known best hold.

    Attributes:
        prescription: in seconds.
        figures: what it rests on.
    """

    prescription: Prescription
    figures: tuple[Input, ...]


LEAST_BEST = LEAST_USEFUL["s"] / LONGEST_SHARE
"""Best hold, s, from which the least useful hold is at most 70 % of it: 7.1 s."""


def hold_prescription(
    best: float, prescription: Prescription, purpose: Purpose
) -> HoldPrescription:
    """A prescription fitted to the best hold: each 50 to 70 % of it, and of that what lies in the
    prescription's own range if any does; as many as make up the session's share.

    Args:
        best: likely best hold, s.
        prescription: what method and purpose ask, in seconds.
        purpose: says how much of the best hold a session has in all.

    Raises:
        InputError: for a best hold so short that both the least useful hold and its share cannot
            hold; an easier shape or help is wanted.
    """
    if best < LEAST_BEST:
        raise InputError(
            "best hold",
            f"{best:.0f} s: no hold is both useful (5 s) and at most 70 % of it.",
            f"Take an easier shape, or assistance, that is held {LEAST_BEST:.0f} s or more; single "
            "near-best tries are practice only.",
        )
    low, high = _within(best, prescription)
    wanted = TOTAL_SHARE[purpose] * best
    sets = max(2, min(MOST_SETS, round(wanted / ((low + high) / 2))))
    if purpose in ("learn", "finisher", "daily"):
        sets = min(sets, prescription.sets)
    return HoldPrescription(
        replace(prescription, sets=sets, low=int(low), high=int(high)),
        (
            Input("best hold", best, "s"),
            Input("each, at least", low, "s"),
            Input("each, at most", high, "s"),
            Input("in all, about", wanted, "s"),
        ),
    )


def held_within(best: float, purpose: Purpose) -> tuple[int, int]:
    """Foot and top of a hold's range, s: half to seven tenths of the best, and of that what the
    purpose asks for if any of it does."""
    low, high, rest, rpe = HELD_RANGES[purpose]
    prescription = _within(best, Prescription(1, low, high, rest, rpe, "s"))
    return int(prescription[0]), int(prescription[1])


def _within(best: float, prescription: Prescription) -> tuple[float, float]:
    low = max(LEAST_USEFUL["s"], math.ceil(SHORTEST_SHARE * best))
    high = max(low, min(math.floor(LONGEST_SHARE * best), CEILING["s"]))
    low = min(low, high)
    if prescription.low <= high and low <= prescription.high:
        return max(low, prescription.low), min(high, prescription.high)
    return low, high


@dataclass(frozen=True)
class Departure:
    """Where a coach's prescription goes against a rule.

    Attributes:
        rule: which.
        asked, given: what the rule asks and what the coach set, in words.
    """

    rule: Rule
    asked: str
    given: str


def departures(
    given: Prescription, asked: Prescription, best: float | None = None, most: int = 0
) -> tuple[Departure, ...]:
    """The rules a coach's own prescription overrides, most weighty first.

    Args:
        given: as the coach set it.
        asked: what method and purpose ask, in the same unit.
        best: likely reps to failure or best hold on this rung, if known.
        most: sets up to which the rules themselves let them grow.
    """
    unit = "" if asked.unit == "reps" else f" {asked.unit}"
    departures = []

    def note(rule: str, want: str, have: str) -> None:
        if want != have:
            departures.append(Departure(PRESCRIPTION_RULES[rule], want, have))

    least = LEAST_USEFUL[asked.unit]
    if given.high < least <= asked.high:
        note("prescription.least", f"{least:g}{unit} or more", f"{given.high:g}{unit} at most")
    if asked.unit == "s" and best is not None and given.low > LONGEST_SHARE * best:
        share = f"{LONGEST_SHARE * best:.0f} s at most, of a best of {best:.0f} s"
        note("prescription.hold-share", share, f"{given.low} s or more")
    if asked.high < CEILING[asked.unit] < given.high:
        note(
            "prescription.ceiling",
            f"up to {CEILING[asked.unit]}{unit}",
            f"up to {given.high}{unit}",
        )
    if not asked.sets <= given.sets <= max(asked.sets, most):
        note("prescription.sets", f"{asked.sets} sets", f"{given.sets} sets")
    note("prescription.range", f"{asked.low}–{asked.high}{unit}", f"{given.low}–{given.high}{unit}")
    note("prescription.rest", f"{asked.rest} s of rest", f"{given.rest} s of rest")
    note("prescription.rpe", f"effort {asked.rpe:g}", f"effort {given.rpe:g}")
    return tuple(departures)
