"""Sets and sessions in words, the same on screen, in print and in files."""

import re
from dataclasses import replace
from itertools import groupby

from invelo.domain.plan.session.needed import load_words
from invelo.domain.plan.session.work import Block, Item, WorkSet
from invelo.domain.strength.tempo import HALF_THEN_FULL
from invelo.domain.training.log import SetKind


def set_words(work_set: WorkSet) -> str:
    """What a set asks: "6–10", "8 a side", "15–20 s"."""
    unit = {"reps": "", "s": " s", "cm": " cm"}[work_set.unit]
    amount = (
        f"{work_set.low}" if work_set.low == work_set.high else f"{work_set.low}–{work_set.high}"
    )
    if work_set.side:
        counted = f", {work_set.side} only"
    else:
        counted = {"total": "", "per side": " a side", "alternating": " alternating"}[
            work_set.counted
        ]
    return f"{amount}{unit}{counted}{in_turn_words(work_set)}"


def in_turn_words(work_set: WorkSet) -> str:
    """What it is done in turn with: ", one of each in turn with close push-up"."""
    if work_set.in_turn is None:
        return ""
    return f", one of each in turn with {work_set.in_turn.name.lower()}"


def sets_words(item: Item, *, rests: bool = True) -> tuple[str, ...]:
    """An item's sets, equal neighbours told together: "3 × 6–10, effort 9, rest 2:00"; a last one
    that goes on is told with them: "4 × 6–10, effort 9, the last to 9.5".

    Args:
        item: which.
        rests: whether they keep their own; in rounds the block's are kept instead.
    """
    runs = [(work_set, len(list(those))) for work_set, those in groupby(item.sets)]
    phrases = [_phrase(work_set, count, rests) for work_set, count in runs[:-2]]
    if len(runs) > 1 and (on := _goes_on(runs[-2][0], runs[-1][0])):
        work_set, count = runs[-2]
        return (*phrases, _phrase(work_set, count + runs[-1][1], rests, on))
    return (*phrases, *(_phrase(work_set, count, rests) for work_set, count in runs[-2:]))


def _goes_on(before: WorkSet, last: WorkSet) -> str:
    """How the last set differs from those before it, where it only goes further; '' where it is
    another."""
    if last.kind != "work":
        return ""
    alike = replace(last, high=before.high, rpe=before.rpe, open_end=before.open_end)
    if alike != before or last.rpe < before.rpe:
        return ""
    return ", the last to its end" if last.open_end else f", the last to {last.rpe:g}"


def _phrase(work_set: WorkSet, count: int, rests: bool, on: str = "") -> str:
    kind = BEFORE_KIND.get(work_set.kind, "")
    if work_set.kind == "part":
        kind += f"{work_set.name} "
    tempo = ""
    if work_set.unit == "reps":
        plain = replace(work_set.modifiers.tempo, part=1.0)
        tempo = "" if str(plain) == "1-0-1-0" else f", tempo {plain}"
        tempo += range_words(work_set)
    loads = "".join(f", {words}" for words in load_words(work_set) if not _named(words, work_set))
    rest = f", rest {clock(work_set.rest)}" if work_set.rest and rests else ""
    effort = f"effort {work_set.rpe:g}{on}"
    return f"{kind}{count} × {set_words(work_set)}{loads}{tempo}, {effort}{rest}"


BEFORE_KIND: dict[SetKind, str] = {
    "easy": "easy ",
    "drop": "go on: ",
    "single": "top single: ",
    "piece": "piece ",
    "cluster": "then ",
    "part": "straight on: ",
    "attempt": "attempt: ",
}
"""What is said before a set that is no ordinary one."""


def range_words(work_set: WorkSet) -> str:
    """How much of the range a rep takes, where it is not all of it."""
    modifiers = work_set.modifiers
    if modifiers.tempo.part == HALF_THEN_FULL:
        return ", half then full counts as one"
    if modifiers.range >= 1.0:
        return ""
    return f", {modifiers.range:.0%} of the range".replace("%", " %") + (
        " from the far end" if modifiers.from_end else ""
    )


def _named(words: str, work_set: WorkSet) -> bool:
    """Whether the set's own name says its kilos already."""
    kilos = re.search(r"[\d.]+ kg", words)
    return kilos is not None and kilos.group() in work_set.name


def clock(seconds: float) -> str:
    """Minutes and seconds: "1:30"."""
    return f"{int(seconds) // 60}:{int(seconds) % 60:02d}"


def block_words(block: Block) -> str:
    """A block's format with what there is to know of it."""
    rounds = ""
    if block.in_rounds and not block.window:
        rest = f"{clock(block.round_rest)} between them" if block.round_rest else "no rest between"
        rounds = f", {block.rounds} rounds, {rest}"
    words = f": {block.words}" if block.words else ""
    return f"{block.format.capitalize()}{rounds}{words}"
