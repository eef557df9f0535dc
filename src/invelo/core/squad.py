"""Who needs the coach first, and why."""

from dataclasses import dataclass
from datetime import date
from typing import Literal

MISSED_DAYS = 5
"""Days without a session after which it is worth a word: a region wants work at least twice a
week (common practice)."""

Kind = Literal["stopped", "pain", "decision", "missed", "new"]

ORDER: tuple[Kind, ...] = ("stopped", "pain", "decision", "missed", "new")
"""The squad's stated order: safety, then what waits for a word, then absence, then newcomers."""


@dataclass(frozen=True)
class Mark:
    """One reason to look at an athlete."""

    kind: Kind
    text: str


@dataclass(frozen=True)
class Condition:
    """What the squad list knows of one athlete's ladder.

    Attributes:
        stopped: why the movement was stopped, '' while it runs.
        pain: worst pain of the last session, with its place.
        waiting: outcome of a decision not answered yet, '' for none.
        last: day of the last session, None before the first.
    """

    stopped: str
    pain: int
    pain_place: str
    waiting: str
    last: date | None


def marks(condition: Condition, today: date) -> tuple[Mark, ...]:
    """The reasons to look at an athlete, most urgent first; empty when all is well."""
    found: list[Mark] = []
    if condition.stopped:
        found.append(Mark("stopped", "movement stopped"))
    if condition.pain:
        place = condition.pain_place or "unnamed place"
        found.append(Mark("pain", f"pain {condition.pain} of 10, {place}"))
    if condition.waiting:
        found.append(Mark("decision", f"{condition.waiting.replace('-', ' ')} waits for a word"))
    if condition.last is None:
        found.append(Mark("new", "no session yet"))
    elif (today - condition.last).days > MISSED_DAYS:
        found.append(Mark("missed", f"{(today - condition.last).days} days since the last session"))
    return tuple(found)


def urgency(found: tuple[Mark, ...]) -> int:
    """Sort key: place of the most urgent mark in `ORDER`; athletes without one come last."""
    return min((ORDER.index(mark.kind) for mark in found), default=len(ORDER))
