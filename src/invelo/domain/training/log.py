"""What was done: sets and sessions, as decisions read them."""

import re
from collections.abc import Iterable
from dataclasses import dataclass, replace
from datetime import date
from typing import Literal

from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.prescription import GIVEN_AS, Unit

PAIN_STOP = 4
"""Pain, 0–10, at which the movement ends for the day (common practice)."""


MOST_LOGGED: dict[Unit, float] = {"reps": 200.0, "s": 3600.0, "cm": 400.0}

MOST_PARTIAL = 200
"""Reps of a set that fell short."""

ABOUT = 0.1
"""Share by which a count told as "about" may be off, at least one rep or second (ours)."""

SetKind = Literal["work", "easy", "drop", "piece", "single", "cluster", "part", "attempt", "turn"]

GOES_ON: frozenset[SetKind] = frozenset({"drop", "cluster", "part"})
"""Kinds that go on from a set: they count as no set of their own."""

OneSide = Literal["", "left", "right"]


@dataclass(frozen=True)
class EstimatedCount:
    """A count as it was told: likely, and the least and the most it may have been."""

    amount: float
    least: float
    most: float

    @property
    def about(self) -> tuple[float, float] | None:
        """The least and the most of what is remembered; None where it was counted."""
        return None if self.least == self.most else (self.least, self.most)


_NUMBER = r"(\d+(?:[.,]\d+)?)"
_COUNT = re.compile(rf"^{_NUMBER}$")
_ABOUT = re.compile(rf"^(?:about|approx\.?|around|ca\.?|c\.|~|≈)\s*{_NUMBER}$", re.IGNORECASE)
_EITHER = re.compile(rf"^{_NUMBER}\s*(?:or|to|-|–|/)\s*{_NUMBER}$", re.IGNORECASE)


def read_count(words: str, field: str = "reps") -> EstimatedCount:
    """A count from what someone says: "12", "11 or 12", "11–12", "about 30", "~30".

    Raises:
        InputError: for what is no count.
    """
    said = words.strip()
    if match := _COUNT.match(said):
        amount = _number(match[1])
        return EstimatedCount(amount, amount, amount)
    if match := _ABOUT.match(said):
        return about(_number(match[1]))
    if match := _EITHER.match(said):
        low, high = sorted((_number(match[1]), _number(match[2])))
        return EstimatedCount((low + high) / 2, low, high)
    raise InputError(field, f"“{words[:40]}” is no count.", "Write 12, or 11 or 12, or about 30.")


def about(amount: float) -> EstimatedCount:
    """A count from memory."""
    off = max(1.0, ABOUT * amount)
    return EstimatedCount(amount, max(0.0, amount - off), amount + off)


def _number(words: str) -> float:
    return float(words.replace(",", "."))


@dataclass(frozen=True)
class AskedRange:
    """What a set was to be.

    Attributes:
        low, high: foot and top of the range, in the set's unit.
        rpe: target effort, 1–10.
        open: whether it was to go on to its end, whatever the top.
    """

    low: float
    high: float
    rpe: float = 10.0
    open: bool = False


@dataclass(frozen=True)
class SetRecord:
    """One logged set.

    Attributes:
        rung: key of the rung it was done on, unique on its ladder; '' off any.
        amount: clean full reps, seconds of a hold, or centimetres of a jump.
        rpe: 1–10.
        form_ok: whether form held to the end.
        pain: 0–10; 0 for none.
        pain_place: where, '' for none.
        unit: of the amount.
        kind: an ordinary set, or one that is easy, dropped to, a piece, a single, a cluster, a part
            that follows a set without a rest, an attempt, which nobody fails, or one of two
            movements that were done in turn, rep by rep.
        side: the one side it was done on, '' for both.
        number: of the set in its item; sides of one set share it, as pieces of one hold do.
        about: the least and the most it may have been, where it is told from memory.
        partial: reps that fell short of depth, beside the full ones.
        asked: what it was to be, None where that was not kept.
        rated: whether its effort was said; if not, `rpe` is only what was asked.
    """

    rung: str
    amount: float
    rpe: float
    form_ok: bool = True
    pain: int = 0
    pain_place: str = ""
    unit: Unit = "reps"
    kind: SetKind = "work"
    side: OneSide = ""
    number: int = 0
    about: tuple[float, float] | None = None
    partial: int = 0
    asked: AskedRange | None = None
    rated: bool = True

    def __post_init__(self) -> None:
        """Check ranges."""
        field = GIVEN_AS[self.unit]
        for value in (self.amount, *(self.about or ())):
            require_within(field, value, 0, MOST_LOGGED[self.unit], self.unit)
        if self.about is not None and not self.about[0] <= self.amount <= self.about[1]:
            raise InputError(
                field, "it is not between its least and its most.", "Give the least first."
            )
        require_within("rpe", self.rpe, 1, 10, "")
        require_within("pain", self.pain, 0, 10, "")
        require_within("partial reps", self.partial, 0, MOST_PARTIAL, "")

    @property
    def least(self) -> float:
        """What was done at the least: what a criterion is judged by."""
        return self.about[0] if self.about else self.amount

    def surplus(self, top: float) -> float:
        """Reps, seconds or centimetres beyond the top of the range; they count."""
        return max(0.0, self.amount - top)


Derived = Literal["", "easy", "re-entry", "first", "by hand", "adapted"]
"""Why a day asks less than, or other than, the prescription: an easy week, the way back, the first
days on a rung, a coach's or a day's own change; '' where it asks what is prescribed."""


@dataclass(frozen=True)
class SessionRecord:
    """One session of one ladder, its sets in the order they were done.

    Attributes:
        day: when.
        sets: done.
        derived: why it asked other than the prescription, '' where it did not.
    """

    day: date
    sets: tuple[SetRecord, ...]
    derived: Derived = ""

    def on(self, rung: str) -> tuple[SetRecord, ...]:
        """The ordinary sets done on one rung; of a set done a side at a time, the weaker side; of
        a hold broken into pieces, their sum."""
        there = whole_holds(s for s in self.sets if s.rung == rung)
        return weaker_sides(s for s in there if s.kind == "work")

    def pain_by_place(self) -> dict[str, int]:
        """Worst pain of the session at each place where there was any."""
        worst: dict[str, int] = {}
        for done in self.sets:
            if done.pain:
                place = done.pain_place or "unnamed place"
                worst[place] = max(done.pain, worst.get(place, 0))
        return worst


def whole_holds(sets: Iterable[SetRecord]) -> tuple[SetRecord, ...]:
    """Sets with the pieces of each broken hold made one: their seconds and what was asked added up,
    the greatest effort and pain, clean if all were. A piece alone is no whole hold."""
    records: list[SetRecord] = []
    first: dict[tuple[int, OneSide], int] = {}
    for record in sets:
        at = len(records)
        if record.kind == "piece" and record.number:
            at = first.setdefault((record.number, record.side), at)
        if at == len(records):
            records.append(record)
            continue
        whole = records[at]
        records[at] = replace(
            whole,
            kind="work",
            amount=whole.amount + record.amount,
            about=_summed(whole, record),
            asked=_asked_in_all(whole.asked, record.asked),
            rpe=max(whole.rpe, record.rpe),
            pain=max(whole.pain, record.pain),
            form_ok=whole.form_ok and record.form_ok,
        )
    return tuple(records)


def _summed(one: SetRecord, other: SetRecord) -> tuple[float, float] | None:
    if one.about is None and other.about is None:
        return None
    (low, high), (less, more) = (each.about or (each.amount, each.amount) for each in (one, other))
    return low + less, high + more


def _asked_in_all(one: AskedRange | None, other: AskedRange | None) -> AskedRange | None:
    if one is None or other is None:
        return None
    return replace(one, low=one.low + other.low, high=one.high + other.high)


def weaker_sides(sets: Iterable[SetRecord]) -> tuple[SetRecord, ...]:
    """Sets with the two sides of each made one: the lesser count, the greater effort and pain,
    clean if both were; a single side stands for itself."""
    records: list[SetRecord] = []
    first: dict[int, int] = {}
    for record in sets:
        at = first.get(record.number) if record.side else None
        if at is None:
            if record.side:
                first[record.number] = len(records)
            records.append(record)
            continue
        other = records[at]
        weaker = min(record, other, key=lambda each: each.amount)
        records[at] = replace(
            weaker,
            side="",
            rpe=max(record.rpe, other.rpe),
            pain=max(record.pain, other.pain),
            form_ok=record.form_ok and other.form_ok,
        )
        del first[record.number]
    return tuple(records)
