"""What happens when in a session, second by second, and how long it takes."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from typing import Literal

from invelo.domain.estimate import Derivation, Estimate, Input
from invelo.domain.plan.session.work import Block, Item, Session, WorkSet

COUNT_IN = 5.0
"""Seconds to take up the position before a set (ours)."""

SIDE_CHANGE = 10.0
"""Seconds from one side to the other (ours)."""

EXERCISE_REST = 90.0
"""Seconds between exercises, at least (common practice: 90 to 120)."""

BRISK, LATE = 3.0, 10.0
"""Seconds by which each rest and change-over may be cut short or overrun (ours)."""

UNBROKEN = frozenset({"drop", "piece", "cluster", "part"})
"""Kinds of sets that go on from the one before, without a count-in."""

Kind = Literal["rig_change", "count in", "work", "change sides", "rest", "change over"]


@dataclass(frozen=True)
class Event:
    """Something that takes time.

    Attributes:
        at: seconds from the session's start.
        seconds: how long.
        kind: what it is.
        item: key of the item, '' for none.
        set: position among the item's sets, −1 for none.
        side: 0 for both, or the first and second side.
        block: position of its block.
    """

    at: float
    seconds: float
    kind: Kind
    item: str = ""
    set: int = -1
    side: int = 0
    block: int = 0


Amount = Callable[[WorkSet], float]
Piece = tuple[float, Kind, str, int, int]
"""Seconds, kind, item's key, set and side of an event whose time is not known yet."""


def timeline(
    session: Session, amount: Amount = lambda work_set: work_set.amount
) -> tuple[Event, ...]:
    """A session from its first second to its last.

    Args:
        session: which.
        amount: reps or seconds of each set; the middle of its target if left out.
    """
    events: list[Event] = []
    now, rigged = 0.0, ""
    last = len(session.blocks) - 1
    for i, block in enumerate(session.blocks):
        for item in block.items:
            # what takes no time to set up takes nothing down
            if item.rig.minutes and item.rig.what != rigged:
                seconds = 60.0 * item.rig.minutes
                events.append(Event(now, seconds, "rig_change", item.key, block=i))
                now += seconds
                rigged = item.rig.what
        pieces = list(_in_rounds(block, amount) if block.in_rounds else _in_turn(block, amount))
        if i == last and pieces and pieces[-1][1] in ("rest", "change over"):
            pieces.pop()  # nothing is rested for
        for seconds, kind, key, number, side in pieces:
            events.append(Event(now, seconds, kind, key, number, side, i))
            now += seconds
    return tuple(events)


def _in_turn(block: Block, amount: Amount) -> Iterator[Piece]:
    warm = block.format == "warm-up"
    for item in block.items:
        for number, work_set in enumerate(item.sets):
            yield from _set(item, number, amount)
            ends = number == len(item.sets) - 1
            rest = work_set.rest if warm or not ends else max(work_set.rest, EXERCISE_REST)
            if rest:
                yield rest, "rest", item.key, number, 0


def _in_rounds(block: Block, amount: Amount) -> Iterator[Piece]:
    for round_ in range(block.rounds):
        there = [item for item in block.items if round_ < len(item.chains)]
        for place, item in enumerate(there):
            first = sum(len(chain) for chain in item.chains[:round_])
            last = first + len(item.chains[round_]) - 1
            if block.window:
                work, off = block.window
                yield work * item.sets[first].sides, "work", item.key, first, 0
                yield off, "change over", item.key, first, 0
                continue
            for number in range(first, last + 1):
                yield from _set(item, number, amount)
                if number < last and item.sets[number].rest:
                    yield item.sets[number].rest, "rest", item.key, number, 0
            ends = place == len(there) - 1
            seconds = block.round_rest if ends else block.between
            yield seconds, "rest" if ends else "change over", item.key, last, 0


def _set(item: Item, number: int, amount: Amount) -> Iterator[Piece]:
    work_set = item.sets[number]
    if work_set.kind not in UNBROKEN:
        yield COUNT_IN, "count in", item.key, number, 0
    for side in range(work_set.sides):
        if side:
            yield SIDE_CHANGE, "change sides", item.key, number, side
        yield (
            work_set.seconds(amount(work_set)),
            "work",
            item.key,
            number,
            side + 1 if work_set.sides > 1 else 0,
        )


def ends_at(events: tuple[Event, ...]) -> float:
    """Seconds until the last event is over."""
    return events[-1].at + events[-1].seconds if events else 0.0


def length(session: Session) -> Estimate:
    """How long a session takes, min.

    The likely value takes the middle of every target; the range runs from every set at its foot
    with brisk rests to every set at its top with slow ones.
    """
    events = timeline(session)
    parts: dict[Kind, float] = {}
    for event in events:
        parts[event.kind] = parts.get(event.kind, 0.0) + event.seconds / 60.0
    idle = sum(minutes for kind, minutes in parts.items() if kind != "work")
    pauses = sum(event.kind in ("rest", "change over") for event in events) / 60.0
    work = [
        sum(e.seconds for e in timeline(session, end) if e.kind == "work") / 60.0
        for end in (lambda work_set: float(work_set.low), lambda work_set: float(work_set.high))
    ]
    likely = ends_at(events) / 60.0
    return Estimate(
        likely,
        min(likely, work[0] + idle - BRISK * pauses),
        max(likely, work[1] + idle + LATE * pauses),
        "min",
        Derivation(
            "The time of every set (reps × seconds of a rep, once for each side), its count-in, "
            "rests, change-overs and rigging, added up. The range runs from the foot of every "
            "target with brisk rests to its top with slow ones.",
            tuple(Input(kind, minutes, "min") for kind, minutes in parts.items()),
            ("common practice for rests", "ours"),
        ),
    )
