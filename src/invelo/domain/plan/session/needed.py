"""What is fetched before a session starts: things with their size, loads, floor, shoes.

Source: common practice.
"""

from collections.abc import Iterable, Iterator

from invelo.domain.equipment.kit import Kind
from invelo.domain.plan.session.work import Session, WorkSet

HUNG_FROM: frozenset[str] = frozenset[Kind](("bar", "rings", "straps", "parallel bars"))

PULL_GENTLY = "Pull gently on what you hang from, then with your weight, before the first set."


def needed(session: Session) -> tuple[str, ...]:
    """All that a session takes, each once, in the order it is needed; what is hung from is tried
    first."""
    items = [item for block in session.blocks for item in block.items]
    lines = [line for item in items for line in (item.rig.what, *_of_sets(item.sets))]
    if any(item.rig.kind in HUNG_FROM for item in items):
        lines.append(PULL_GENTLY)
    return tuple(dict.fromkeys(line for line in lines if line))


def needed_words(lines: Iterable[str]) -> str:
    """The same in a line: things first, then what to do with them."""
    known = tuple(lines)
    things = "; ".join(line for line in known if line != PULL_GENTLY)
    last = f" {PULL_GENTLY}" if PULL_GENTLY in known else ""
    return f"{things}.{last}" if things else ""


def _of_sets(sets: tuple[WorkSet, ...]) -> Iterator[str]:
    for work_set in sets:
        yield from load_words(work_set)
        if work_set.movement.floor == "smooth":
            yield "a smooth floor"
        if work_set.movement.family == "jump and land":
            yield "shoes with grip, a floor that does not slide"


def load_words(work_set: WorkSet) -> tuple[str, ...]:
    """What is carried in a set, or taken off: “bag of 6 kg”, “12 kg on a belt”."""
    load = work_set.modifiers.added_load
    assistance = work_set.modifiers.assistance
    phrases = (
        (load.bag, "bag of {:g} kg"),
        (load.vest, "{:g} kg on a belt"),
        (load.hands, "{:g} kg in the hands"),
        (assistance.kg if assistance else 0.0, "{:g} kg assistance"),
    )
    return tuple(words.format(kg) for kg, words in phrases if kg > 0.0)
