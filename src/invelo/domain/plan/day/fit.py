"""A session cut to the minutes there are, in a stated order; the warm-up is never cut.

Source: common practice: fewer sets of accessories first.
"""

from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace

from invelo.domain.errors import InputError
from invelo.domain.plan.session.timeline import ends_at, length, timeline
from invelo.domain.plan.session.work import ROLES, Block, Item, Role, Session

BRISK_REST = 60.0
"""Seconds a strength set's rest is cut to at most; skills keep theirs."""

ORDER_OF_CUTS = (
    "finishers go",
    "small muscles keep one set each",
    "rests of strength work shrink to 60 s",
    "strength work keeps two sets each",
    "small muscles go",
    "strength work keeps one set each",
    "skills keep two sets each",
    "strength work goes, the last first",
    "skills keep one set each",
)
"""In words; the warm-up and what opens a closed criterion stay."""


@dataclass(frozen=True)
class Fitted:
    """A session within its cap.

    Attributes:
        session: what is left.
        cuts: what was cut, in order, in words.
        back: sets that time left over gave back, in words.
    """

    session: Session
    cuts: tuple[str, ...]
    back: tuple[str, ...] = ()


def fit(session: Session, minutes: float) -> Fitted:
    """Cut a session until it takes no more than the minutes there are.

    Args:
        session: which.
        minutes: there are, likely length against them.

    Raises:
        InputError: where not even the warm-up with one set fits; it says what the least takes.
    """
    cuts: list[str] = []
    now = session
    if _minutes(now) <= minutes:
        return Fitted(now, ())
    for words, cut in zip(ORDER_OF_CUTS, _CUTS, strict=True):
        before = now
        for after in cut(now):
            now = after
            if _minutes(now) <= minutes:
                break
        if now != before:
            cuts.append(words)
        if _minutes(now) <= minutes:
            now, back = _given_back(session, now, minutes)
            return Fitted(now, tuple(cuts), back)
    least = length(now).likely
    raise InputError(
        "minutes",
        f"{minutes:g} min: the warm-up and one set of what matters most take {least:.0f} min.",
        f"Give {least:.0f} min, or do the daily minimum, which needs no warm-up.",
    )


def _given_back(whole: Session, now: Session, minutes: float) -> tuple[Session, tuple[str, ...]]:
    """Sets that there is time for after all, since a later cut freed more than was wanted: skills
    first, then strength, then small muscles; nobody before those above have all of theirs."""
    before = {item.key: item for item in whole.items}
    back: dict[str, str] = {}
    for item in sorted(now.items, key=lambda other: ROLES.index(other.role)):
        mine = before[item.key]
        rest = item.sets[0].rest
        for count in range(len(item.chains) + 1, len(mine.chains) + 1):
            sets = tuple(
                replace(work_set, rest=min(work_set.rest, rest))
                for work_set in mine.with_sets(count).sets
            )
            longer = now.with_items({item.key: replace(item, sets=sets)})
            if _minutes(longer) > minutes:
                return now, tuple(back.values())
            now = longer
            back[item.key] = f"{item.name} has {count} sets again"
    return now, tuple(back.values())


def _minutes(session: Session) -> float:
    return ends_at(timeline(session)) / 60.0


Cut = Callable[[Session], Iterator[Session]]


def _blocks(session: Session, change: Callable[[Block], Block | None]) -> Session:
    kept = tuple(new for block in session.blocks if (new := change(block)) is not None)
    return replace(session, blocks=kept)


def _no_finisher(session: Session) -> Iterator[Session]:
    yield _blocks(session, lambda block: None if block.format == "finisher" else block)


def _to_sets(role: Role, count: int) -> Cut:
    """One item after the other, the last first, keeps this many sets."""

    def cut(session: Session) -> Iterator[Session]:
        now = session
        for item in reversed(session.items):
            if item.role == role and len(item.chains) > count:
                now = now.with_items({item.key: item.with_sets(count)})
                yield now

    return cut


def _gone(role: Role) -> Cut:
    def cut(session: Session) -> Iterator[Session]:
        now = session
        for item in reversed(session.items):
            working = [other for other in now.items if other.role != "preparation"]
            if item.role == role and len(working) > 1:
                now = now.with_items({item.key: None})
                yield now

    return cut


def _brisk(session: Session) -> Iterator[Session]:
    def hurried(item: Item) -> Item:
        if item.role != "strength":
            return item
        return replace(
            item,
            sets=tuple(
                replace(work_set, rest=min(work_set.rest, BRISK_REST)) for work_set in item.sets
            ),
        )

    now = session.with_items({item.key: hurried(item) for item in session.items})
    yield _blocks(
        now,
        lambda block: (
            replace(block, round_rest=min(block.round_rest, BRISK_REST))
            if block.in_rounds
            else block
        ),
    )


_CUTS: tuple[Cut, ...] = (
    _no_finisher,
    _to_sets("small", 1),
    _brisk,
    _to_sets("strength", 2),
    _gone("small"),
    _to_sets("strength", 1),
    _to_sets("skill", 2),
    _gone("strength"),
    _to_sets("skill", 1),
)
