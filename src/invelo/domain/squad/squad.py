"""Who needs the coach first, and why."""

from dataclasses import dataclass
from datetime import date
from typing import Literal

from invelo.domain.athlete.spared import SparedPlace
from invelo.domain.days import day_words
from invelo.domain.review.workload import RATIO_EASE, RATIO_WORD

MISSED_DAYS = 5
"""Days without a session after which it is worth a word: a region wants work at least twice a
week (common practice)."""

Kind = Literal["stopped", "pain", "load", "blocked", "proposal", "missed", "new"]

ORDER: tuple[Kind, ...] = ("stopped", "pain", "load", "blocked", "proposal", "missed", "new")
"""The squad's stated order: safety, then too much lately, then who is blocked, then what needs your
decision, then absence, then newcomers."""

ORDER_WORDS = (
    "safety first, then too much lately, then who is blocked, then what needs your decision, "
    "then absence; "
    "the worse first"
)


@dataclass(frozen=True)
class Flag:
    """One reason to look at an athlete; the greater the weight, the more it is of its kind."""

    kind: Kind
    text: str
    weight: float = 0.0


@dataclass(frozen=True)
class Condition:
    """What the squad list knows of one athlete.

    Attributes:
        stopped: why a movement was stopped, '' while all run.
        pain: worst pain of the last session, with its place.
        pending_decisions: what is not answered yet, in words.
        blocked: what those wait for without whose way on training stands still, in words.
        last: day of the last session, None before the first.
        ratio: acute : chronic load, None while it is not told.
        spared: places that hurt and are not cleared.
    """

    stopped: str
    pain: int
    pain_place: str
    pending_decisions: tuple[str, ...]
    last: date | None
    ratio: float | None = None
    blocked: tuple[str, ...] = ()
    spared: tuple[SparedPlace, ...] = ()


def flags(condition: Condition, today: date) -> tuple[Flag, ...]:
    """The reasons to look at an athlete, most urgent first; empty when all is well."""
    flags: list[Flag] = []
    if condition.stopped:
        flags.append(Flag("stopped", "movement stopped"))
    for sore in condition.spared:
        ask = ": ask how it is" if today >= sore.ask_on else ""
        text = f"{sore.place} spared since {day_words(sore.since)}{ask}"
        flags.append(Flag("stopped", text, sore.pain))
    if condition.pain:
        place = condition.pain_place or "unnamed place"
        flags.append(Flag("pain", f"pain {condition.pain} of 10, {place}", condition.pain))
    if condition.ratio is not None and condition.ratio > RATIO_WORD:
        much = "much more" if condition.ratio > RATIO_EASE else "more"
        text = f"{much} than usual, ×{condition.ratio:.2f}"
        flags.append(Flag("load", text, condition.ratio))
    if condition.blocked:
        flags.append(Flag("blocked", f"blocked: {condition.blocked[0]}", len(condition.blocked)))
    if condition.pending_decisions:
        count = len(condition.pending_decisions)
        more = f", and {count - 1} more" if count > 1 else ""
        text = f"needs your decision: {condition.pending_decisions[0]}{more}"
        flags.append(Flag("proposal", text, count))
    if condition.last is None:
        flags.append(Flag("new", "no session yet"))
    elif (today - condition.last).days > MISSED_DAYS:
        days = (today - condition.last).days
        flags.append(Flag("missed", f"{days} days since the last session", days))
    return tuple(flags)


def urgency(flags: tuple[Flag, ...]) -> tuple[int, float]:
    """Sort key: place of the most urgent mark in `ORDER`, the weightier first; athletes without one
    come last."""
    if not flags:
        return len(ORDER), 0.0
    first = min(flags, key=lambda mark: ORDER.index(mark.kind))
    return ORDER.index(first.kind), -first.weight
