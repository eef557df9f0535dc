"""The clock of a class: one turn after the other for the whole room, and what each does in it.

All begin and end a turn together, so that a turn takes as long as the slowest of them needs.
Source: common practice; the rounding is ours.
"""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from math import ceil
from typing import Literal

from invelo.domain.plan.group.group import ClassPart, GroupSession
from invelo.domain.plan.session.builder import FilledBlock
from invelo.domain.plan.session.timeline import (
    COUNT_IN,
    EXERCISE_REST,
    SIDE_CHANGE,
    ends_at,
    timeline,
)
from invelo.domain.plan.session.words import sets_words
from invelo.domain.plan.session.work import Block, Item, Session, WorkSet

TurnKind = Literal["warm-up", "preparatory work", "set up", "work", "change over", "rest"]

STEP = 5.0
"""Seconds to which a turn is rounded up: a room keeps no odd seconds (ours)."""

BEFORE: tuple[Literal["warm-up", "preparatory work"], ...] = ("warm-up", "preparatory work")


@dataclass(frozen=True)
class PersonTurn:
    """What one person does in a turn.

    Attributes:
        name: of the movement, or of what is fetched; '' for a turn they rest.
        words: how much of it, with load and tempo.
        cue: the first to think of.
    """

    name: str = ""
    words: str = ""
    cue: str = ""


NOBODY = PersonTurn()


@dataclass(frozen=True)
class Turn:
    """Something the whole room does at once.

    Attributes:
        at: seconds from the start.
        seconds: how long.
        kind: what it is.
        words: its block's format and round.
        doing: of each person, in the order of the class; of a rest, what comes next.
    """

    at: float
    seconds: float
    kind: TurnKind
    words: str
    doing: tuple[PersonTurn, ...]


_Made = tuple[float, TurnKind, str, tuple[PersonTurn, ...]]


def class_clock(group: GroupSession, *, rotate: bool = False) -> tuple[Turn, ...]:
    """A class from its first second to its last.

    Args:
        group: the class.
        rotate: whether each begins a round at another station, where there is one of each thing;
            together, all are at the same one.
    """
    made = [*_before(group.parts), *_blocks(group, rotate)]
    while made and made[-1][1] in ("rest", "change over"):
        made.pop()  # nothing is rested for
    turns: list[Turn] = []
    now = 0.0
    for at, (seconds, kind, words, doing) in enumerate(made):
        shown = doing or (made[at + 1][3] if at + 1 < len(made) else ())
        turns.append(Turn(now, seconds, kind, words, shown))
        now += seconds
    return tuple(turns)


def _before(parts: tuple[ClassPart, ...]) -> Iterator[_Made]:
    """The warm-up and what opens closed checks: each their own, for as long as the longest."""
    for kind in BEFORE:
        own = [
            next((block for block in part.session.blocks if block.format == kind), None)
            for part in parts
        ]
        seconds = max((_alone(block) for block in own if block), default=0.0)
        if seconds:
            yield _rounded(seconds), kind, kind, tuple(_listed(block) for block in own)


def _alone(block: Block) -> float:
    return ends_at(timeline(Session("", (block,))))


def _listed(block: Block | None) -> PersonTurn:
    if block is None:
        return NOBODY
    names = "; ".join(f"{item.name} {sets_words(item)[0]}" for item in block.items)
    return PersonTurn(block.format.capitalize(), names)


def _blocks(group: GroupSession, rotate: bool) -> Iterator[_Made]:
    rigged: set[str] = set()
    for at in range(len(group.shape.blocks)):
        own = [part.blocks[at] for part in group.parts]
        there = [block for block in own if block is not None]
        if not there:
            continue
        yield from _set_up(own, rigged)
        slots = len(group.shape.blocks[at].slots)
        if there[0].block.in_rounds:
            yield from _rounds(own, there, slots, rotate)
        else:
            yield from _in_turn(own, there)


def _set_up(own: list[FilledBlock | None], rigged: set[str]) -> Iterator[_Made]:
    """What is fetched before a block: as long as the longest of it takes."""

    def new(block: FilledBlock | None) -> list[Item]:
        items = block.block.items if block else ()
        return [item for item in items if item.rig.minutes and item.rig.what not in rigged]

    fetched = [new(block) for block in own]
    minutes = max((item.rig.minutes for items in fetched for item in items), default=0.0)
    if not minutes:
        return
    rigged |= {item.rig.what for items in fetched for item in items}
    doing = tuple(
        PersonTurn("Set up", "; ".join(dict.fromkeys(item.rig.words for item in items)))
        if items
        else NOBODY
        for items in fetched
    )
    yield 60.0 * minutes, "set up", "set up", doing


def _rounds(
    own: list[FilledBlock | None], there: list[FilledBlock], slots: int, rotate: bool
) -> Iterator[_Made]:
    block = there[0].block
    rounds = max(filled.block.rounds for filled in there)
    for number in range(rounds):
        for station in range(slots):
            words = f"{block.format}, round {number + 1} of {rounds}, {station + 1} of {slots}"
            chains = [
                _chain(filled, (station + person) % slots if rotate else station, number)
                for person, filled in enumerate(own)
            ]
            seconds = max((_seconds(block, chain) for chain in chains), default=0.0)
            if not seconds:
                continue
            yield seconds, "work", words, tuple(_doing(chain) for chain in chains)
            last = station == slots - 1
            off = max(filled.block.round_rest if last else filled.block.between for filled in there)
            yield off, "rest" if last else "change over", words, ()


def _in_turn(own: list[FilledBlock | None], there: list[FilledBlock]) -> Iterator[_Made]:
    sets = max(len(block.block.items[0].chains) for block in there)
    for number in range(sets):
        words = f"{there[0].block.format}, set {number + 1} of {sets}"
        chains = [_chain(block, None, number) for block in own]
        seconds = max(_seconds(there[0].block, chain) for chain in chains)
        yield seconds, "work", words, tuple(_doing(chain) for chain in chains)
        rest = max(chain[1][-1].rest for chain in chains if chain)
        yield max(rest, EXERCISE_REST) if number == sets - 1 else rest, "rest", words, ()


_Chain = tuple[Item, tuple[WorkSet, ...]]


def _chain(block: FilledBlock | None, slot: int | None, number: int) -> _Chain | None:
    """What someone does at a station in a round, with what follows it; None where they rest."""
    if block is None or (slot is not None and slot not in block.slots):
        return None
    item = block.block.items[block.slots.index(slot) if slot is not None else 0]
    return (item, item.chains[number]) if number < len(item.chains) else None


def _seconds(block: Block, chain: _Chain | None) -> float:
    if chain is None:
        return 0.0
    _, sets = chain
    if block.window is not None:
        return block.window[0] * sets[0].sides
    work = sum(
        work_set.seconds(work_set.amount) * work_set.sides + SIDE_CHANGE * (work_set.sides - 1)
        for work_set in sets
    )
    return _rounded(COUNT_IN + work + sum(work_set.rest for work_set in sets[:-1]))


def _doing(chain: _Chain | None) -> PersonTurn:
    if chain is None:
        return NOBODY
    item, sets = chain
    words = "; ".join(sets_words(replace(item, sets=sets), rests=False)).removeprefix("1 × ")
    return PersonTurn(item.name, words, next(iter(item.movement.cues), ""))


def _rounded(seconds: float) -> float:
    return STEP * ceil(seconds / STEP - 1e-9)
