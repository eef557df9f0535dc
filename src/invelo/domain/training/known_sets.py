"""Which sets of a file are logged already: by id, else by moment, movement and amount; a set that
is alike but of another time is doubtful, and somebody has to say."""

from collections import defaultdict
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from datetime import UTC, date, datetime
from uuid import UUID

from invelo.domain.training.log import OneSide


@dataclass(frozen=True)
class KnownSet:
    """A set as it is logged, or as a row tells it.

    Attributes:
        id: its own; None of a row that tells none.
        movement: id of what was done.
        amount: reps, s or cm.
        side: of the body.
        at: when; only its second counts.
        day: on what day, where it was done.
    """

    id: UUID | None
    movement: str
    amount: float
    side: OneSide
    at: datetime
    day: date

    @property
    def alike(self) -> tuple[object, ...]:
        """What it has in common with the same set told with another time."""
        return self.movement, self.amount, self.side, self.day

    @property
    def moment(self) -> tuple[object, ...]:
        """What tells it apart from every other."""
        second = self.at.astimezone(UTC).replace(microsecond=0)
        return self.movement, self.amount, self.side, second


@dataclass(frozen=True)
class Match:
    """What is logged already of a row.

    Attributes:
        known: the set it is; None where it is none.
        doubtful: the one it may be; None where there is none alike.
    """

    known: KnownSet | None = None
    doubtful: KnownSet | None = None


def match(logged: Iterable[KnownSet], rows: Sequence[KnownSet]) -> list[Match]:
    """What is logged already, row by row; no set is taken for two rows.

    Args:
        logged: the sets that stand.
        rows: those of a file, in its order.
    """
    left = {each.id: each for each in logged}
    matches: list[Match | None] = [None] * len(rows)
    for i, row in enumerate(rows):
        if row.id in left:
            matches[i] = Match(known=left.pop(row.id))
    by_moment, by_day = defaultdict(list), defaultdict(list)
    for each in left.values():
        by_moment[each.moment].append(each)
    for i, row in enumerate(rows):
        if matches[i] is None and by_moment[row.moment]:
            known = by_moment[row.moment].pop(0)
            del left[known.id]
            matches[i] = Match(known=known)
    for each in left.values():
        by_day[each.alike].append(each)
    for i, row in enumerate(rows):
        if matches[i] is None:
            alike = by_day[row.alike]
            matches[i] = Match(doubtful=alike.pop(0) if alike else None)
    return [each or Match() for each in matches]
