"""In which order a session's items are done, and what spoils what.

Two movements that lean on the same small muscle back to back spoil the second. Orders are searched
exactly: first the fewest and mildest such neighbours, then the fewest turns against skill before
strength before small muscles, then pull after push where there is a choice, then the least
rigging (common practice for each; their rank is ours).
"""

from collections.abc import Sequence
from dataclasses import dataclass
from itertools import pairwise

from invelo.domain.catalogue.movement import Movement, Muscle
from invelo.domain.errors import InputError
from invelo.domain.plan.session.totals import PULL, PUSH
from invelo.domain.plan.session.work import ROLES, Item

SMALL: frozenset[Muscle] = frozenset(
    {
        "triceps",
        "biceps",
        "forearm",
        "front shoulder",
        "side shoulder",
        "rear shoulder",
        "shoulder blade",
        "neck",
        "calves",
        "shins",
        "hip flexors",
    }
)
"""Muscles that tire before the large ones they help (common practice)."""

HEAVY = 25
"""Per cent of the work from which a movement leans on a small muscle (ours)."""

MOST_IN_ORDER = 12
"""Items whose order is searched; a longer session is two."""

Cost = tuple[int, int, int, float]


@dataclass(frozen=True)
class Interference:
    """Two neighbours that lean on one small muscle.

    Attributes:
        first, second: names.
        muscle: which.
        share: per cent of the work it does in the one that leans on it less.
    """

    first: str
    second: str
    muscle: Muscle
    share: int

    @property
    def words(self) -> str:
        """Why they should not stand together."""
        return (
            f"“{self.first}” tires the {self.muscle} just before “{self.second}” leans on it "
            f"({self.share} % of the work or more in both)."
        )


def leans_on(movement: Movement) -> dict[Muscle, int]:
    """Small muscles a movement leans on, % of its work."""
    worked = {**movement.prime, **movement.helping}
    return {muscle: share for muscle, share in worked.items() if muscle in SMALL and share >= HEAVY}


def shared(first: Movement, second: Movement) -> tuple[Muscle, int] | None:
    """The small muscle two movements both lean on, and how much; None where they share none."""
    one, other = leans_on(first), leans_on(second)
    common = {muscle: min(one[muscle], other[muscle]) for muscle in one if muscle in other}
    if not common:
        return None
    worst = max(sorted(common), key=lambda muscle: common[muscle])
    return worst, common[worst]


def interference(items: Sequence[Item]) -> tuple[Interference, ...]:
    """Neighbours that spoil each other, in order."""
    interferences = []
    for first, second in pairwise(items):
        both = shared(first.movement, second.movement)
        if both:
            interferences.append(Interference(first.name, second.name, *both))
    return tuple(interferences)


def cost(items: Sequence[Item]) -> Cost:
    """What speaks against an order, weightiest first: neighbours that spoil each other and by how
    much (per cent, added), turns against the roles' order, neighbours that both push or both pull,
    and minutes of rigging."""
    spoilt = sum(interference.share for interference in interference(items))
    turned = sum(
        _turned(items[i], items[j]) for i in range(len(items)) for j in range(i + 1, len(items))
    )
    same = sum(_same_way(first, second) for first, second in pairwise(items))
    rigging = sum(_rigging(None, item) for item in items[:1])
    rigging += sum(_rigging(first, second) for first, second in pairwise(items))
    return spoilt, turned, same, rigging


def _turned(earlier: Item, later: Item) -> int:
    return max(0, ROLES.index(earlier.role) - ROLES.index(later.role))


def _same_way(first: Item, second: Item) -> int:
    families = (first.movement.family, second.movement.family)
    return int(any(all(family in way for family in families) for way in (PUSH, PULL)))


def _rigging(before: Item | None, item: Item) -> float:
    what = item.rig.what
    return item.rig.minutes if what and (before is None or before.rig.what != what) else 0.0


def in_order(items: Sequence[Item]) -> tuple[Item, ...]:
    """The best order there is; of equals the one nearest to the order given.

    Held and Karp's dynamic programme over subsets: exact.

    Args:
        items: up to `MOST_IN_ORDER`.

    Raises:
        InputError: for more.

    Source: Held and Karp 1962, J SIAM 10(1):196–210.
    """
    if len(items) > MOST_IN_ORDER:
        raise InputError(
            "session",
            f"it has {len(items)} movements.",
            f"Keep to {MOST_IN_ORDER}, or make two sessions.",
        )
    if not items:
        return ()
    steps = _Steps(items)
    # Best way to have done a subset, ending in an item: its cost and the order itself.
    best: dict[tuple[int, int], tuple[Cost, tuple[int, ...]]] = {
        (1 << i, i): (steps.to(0, None, i), (i,)) for i in range(len(items))
    }
    for _ in range(len(items) - 1):
        longer: dict[tuple[int, int], tuple[Cost, tuple[int, ...]]] = {}
        for (done, last), (spent, order) in best.items():
            for i in range(len(items)):
                if done >> i & 1:
                    continue
                orders = (_plus(spent, steps.to(done, last, i)), (*order, i))
                key = (done | 1 << i, i)
                if key not in longer or orders < longer[key]:
                    longer[key] = orders
        best = longer
    return tuple(items[i] for i in min(best.values())[1])


def _plus(one: Cost, other: Cost) -> Cost:
    return one[0] + other[0], one[1] + other[1], one[2] + other[2], one[3] + other[3]


class _Steps:
    """What putting an item next adds, each pair looked at once."""

    def __init__(self, items: Sequence[Item]) -> None:
        self.items = items
        count = range(len(items))
        both = [[shared(a.movement, b.movement) for b in items] for a in items]
        self.spoilt = [[pair[1] if pair else 0 for pair in row] for row in both]
        self.turned = [[_turned(items[i], items[j]) for j in count] for i in count]
        self.turns: dict[tuple[int, int], int] = {}

    def to(self, done: int, last: int | None, item: int) -> Cost:
        """After the subset `done`, whose last is `last`."""
        before = None if last is None else self.items[last]
        here = self.items[item]
        return (
            0 if last is None else self.spoilt[last][item],
            self._turns(done, item),
            0 if before is None else _same_way(before, here),
            _rigging(before, here),
        )

    def _turns(self, done: int, item: int) -> int:
        if not done:
            return 0
        key = (done, item)
        if key not in self.turns:
            rest = done & (done - 1)
            lowest = (done ^ rest).bit_length() - 1
            self.turns[key] = self._turns(rest, item) + self.turned[lowest][item]
        return self.turns[key]
