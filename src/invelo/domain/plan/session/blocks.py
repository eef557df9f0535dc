"""Every block format, made of items.

Source: common practice, where a constant does not say otherwise.
"""

from collections.abc import Iterable
from dataclasses import replace

from invelo.domain.athlete.readiness import Check
from invelo.domain.errors import InputError
from invelo.domain.plan.methods import CHANGE_OVER, MOST_ROUNDS, WORK_WINDOW
from invelo.domain.plan.prescription import LEAST_USEFUL
from invelo.domain.plan.session.work import Block, Format, Item, WorkSet

PAIR_BETWEEN = 60.0
"""Seconds between the two of a pair."""

ROUND_REST = 90.0
"""Seconds between rounds: 1 to 2 min."""

CIRCUIT_BETWEEN = 20.0
"""Seconds from one station to the next (ours)."""

LEAST_ROUNDS = 2
BREATHS = 15.0
"""Seconds of the break after which a set that ended short of its range is finished."""

DROP_BREAK = 10.0
"""Seconds to get to the easier set-up of a drop set (ours)."""

MOST_DROPS = 2
PIECES = (5, 10)
"""Seconds of a piece of a broken hold: a 40 s hold in pieces of 5 to 10 s."""

PIECE_REST = 10.0
SINGLE_REST = 180.0
"""Seconds after a top single: 1 to 3 min."""


def straight(item: Item) -> Block:
    """All sets of one item, one after the other."""
    return Block("straight sets", (item,))


def rounds_of(format_: Format, items: Iterable[Item]) -> Block:
    """A pair, a triple or a circuit: a set of each in turn.

    Raises:
        InputError: for too many or too few items, or rounds.
    """
    given = tuple(items)
    wanted = {"pair": (2, 2), "triple": (3, 3), "circuit": (3, 12)}[format_]
    if not wanted[0] <= len(given) <= wanted[1]:
        raise InputError(
            format_,
            f"it has {len(given)} movement{'' if len(given) == 1 else 's'}.",
            f"Give it {wanted[0]}."
            if wanted[0] == wanted[1]
            else f"Give it {wanted[0]} to {wanted[1]}.",
        )
    if format_ == "circuit":
        rounds = min(MOST_ROUNDS, max(LEAST_ROUNDS, max(len(item.sets) for item in given)))
        given = tuple(_for_rounds(item, rounds) for item in given)
    between = CIRCUIT_BETWEEN if format_ == "circuit" else PAIR_BETWEEN
    return Block(format_, given, between, ROUND_REST)


def _for_rounds(item: Item, rounds: int) -> Item:
    """As many sets as there are rounds, the last repeated."""
    sets = (*item.sets, *(item.sets[-1],) * rounds)[:rounds]
    return replace(item, sets=sets)


def interval(
    items: Iterable[Item],
    rounds: int = 3,
    work: float = WORK_WINDOW,
    off: float = CHANGE_OVER,
) -> Block:
    """Work windows with a change-over between them.

    Raises:
        InputError: for rounds outside 2 to 5.
    """
    if not LEAST_ROUNDS <= rounds <= MOST_ROUNDS:
        raise InputError(
            "rounds", f"{rounds} is out of range.", f"Give {LEAST_ROUNDS} to {MOST_ROUNDS}."
        )
    given = tuple(_for_rounds(item, rounds) for item in items)
    return Block("interval", given, off, off, (work, off), f"{work:g} s on, {off:g} s to change")


def drop_set(item: Item) -> Block:
    """The last set goes on, without a rest, on the easier rungs.

    Raises:
        InputError: where no easier rung is known.
    """
    if not item.easier:
        raise InputError(
            "drop set", f"“{item.name}” has no easier rung.", "Put one on its ladder, or set none."
        )
    last = item.sets[-1]
    chain = item.easier[:MOST_DROPS]
    rests = (*(DROP_BREAK,) * (len(chain) - 1), last.rest)
    drops = tuple(
        replace(last.on(rung), rest=rest, kind="drop", share=0.0)
        for rung, rest in zip(chain, rests, strict=True)
    )
    sets = (*item.sets[:-1], replace(last, rest=DROP_BREAK), *drops)
    names = ", ".join(drop.name for drop in drops)
    return Block("drop set", (replace(item, sets=sets),), words=f"the last set goes on: {names}")


def drop_chain(item: Item) -> Block:
    """A coach's own chain: what follows the last set goes on from it."""
    sets = tuple(
        replace(work_set, kind="drop") if work_set.kind == "part" else work_set
        for work_set in item.sets
    )
    names = dict.fromkeys(work_set.name for work_set in sets if work_set.kind == "drop")
    words = f"the last set goes on: {', '.join(names)}"
    return Block("drop set", (replace(item, sets=sets),), words=words)


def cluster(item: Item) -> Block:
    """A range that is finished after a few breaths: each set in two parts."""
    sets: list[WorkSet] = []
    for work_set in item.sets:
        first = max(1, round(work_set.low * 2 / 3))
        rest = max(1, work_set.low - first)
        sets.append(replace(work_set, low=first, high=first, rest=BREATHS, kind="work"))
        sets.append(replace(work_set, low=rest, high=rest, kind="cluster", share=0.0))
    words = f"after {BREATHS:g} s of breathing the range is finished"
    return Block("cluster", (replace(item, sets=tuple(sets)),), words=words)


def pre_tire(small: Item, large: Item) -> Block:
    """The small muscle is tired first, on purpose, where load is short."""
    rounds = min(len(small.sets), len(large.sets))
    return Block(
        "pre-tire",
        (small.with_sets(rounds), large.with_sets(rounds)),
        CIRCUIT_BETWEEN,
        ROUND_REST,
        words="the small muscle is tired first, on purpose",
    )


def top_single(item: Item) -> Block:
    """One rep, near the best, before the ordinary sets."""
    work_set = item.main
    if work_set.unit != "reps":
        low = int(LEAST_USEFUL["s"]) if work_set.unit == "s" else work_set.low
        single = replace(work_set, low=low, high=low, rpe=9.0, rest=SINGLE_REST, kind="single")
    else:
        single = replace(work_set, low=1, high=1, rpe=9.0, rest=SINGLE_REST, kind="single")
    return Block("top single", (replace(item, sets=(single, *item.sets)),))


def in_pieces(item: Item, total: int | None = None) -> Block:
    """A long hold broken into pieces of 5 to 10 s.

    Raises:
        InputError: for what is not held.
    """
    if item.main.unit != "s":
        raise InputError("format", f"“{item.name}” is not held.", "Break holds into pieces only.")
    whole = total or item.main.high
    pieces = max(2, -(-whole // PIECES[1]))
    each = max(PIECES[0], -(-whole // pieces))
    sets: list[WorkSet] = []
    for work_set in item.sets:
        piece = replace(
            work_set, low=each, high=each, rest=PIECE_REST, kind="piece", share=1.0 / pieces
        )
        sets += [piece] * (pieces - 1) + [replace(piece, rest=work_set.rest)]
    words = f"{whole} s in {pieces} pieces of {each} s"
    return Block("holds in pieces", (replace(item, sets=tuple(sets)),), words=words)


def finisher(item: Item) -> Block:
    """Small muscles, light, at the very end."""
    return Block("finisher", (item,))


def preparatory(checks: Iterable[Check], items: Iterable[Item]) -> Block:
    """The balance and mobility work that opens closed criteria."""
    names = "; ".join(f"{check.name.lower()}: again in {check.again_days} days" for check in checks)
    return Block("preparatory work", tuple(items), words=f"opens {names}")
