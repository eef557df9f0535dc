"""What a movement needs of a thing, and which thing in a place serves."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date
from math import inf

from invelo.domain.equipment.kit import Kind, KitItem, Room, Surface

ADJUSTABLE: frozenset[Kind] = frozenset({"rings", "straps"})
"""Hung from an anchor and let down as far as is wanted."""

MOST_STEPS = 3
"""Steps of a stair that are stood or leaned on, at most."""


@dataclass(frozen=True)
class Need:
    """Something that has to be there.

    Attributes:
        kinds: any one of them.
        low, high: heights above the floor that serve, m.
        count: so many of it.
        what: it is for, in words, '' where its kind says it.
        bears: kg that hang from it or lean on it.
        pairs: kinds of which two are needed, one for each hand.
        at: the height that serves best, m; None where all that serve are alike.
    """

    kinds: tuple[Kind, ...]
    low: float = 0.0
    high: float = inf
    count: int = 1
    what: str = ""
    bears: float = 0.0
    at: float | None = None
    pairs: tuple[Kind, ...] = ()

    def many(self, kind: Kind) -> int:
        """So many of a kind are needed."""
        return max(self.count, 2) if kind in self.pairs else self.count

    def lacks(self, item: KitItem, today: date) -> str:
        """Why a thing does not serve, in words; '' where it does."""
        unsafe = item.unavailable_reason(today)
        if unsafe:
            return f"“{item.name}” is not safe to plan with: {unsafe}"
        if item.count < self.many(item.kind):
            return f"it needs {self.many(item.kind)} of “{item.name}”, and there is {item.count}"
        if item.rated is not None and item.rated < self.bears:
            return f"“{item.name}” bears {item.rated:g} kg, and {self.bears:.0f} kg are on it"
        if item.height is not None and not self._high_enough_and_no_more(item):
            return f"“{item.name}” at {item.height:.2f} m is {self._misfit(item)}{self._for}"
        return ""

    def _high_enough_and_no_more(self, item: KitItem) -> bool:
        high = inf if item.kind in ADJUSTABLE else self.high
        return any(self.low - 1e-6 <= height <= high + 1e-6 for height in heights_of(item))

    def _misfit(self, item: KitItem) -> str:
        low = max(heights_of(item)) < self.low
        return f"under {self.low:.2f} m, too low" if low else f"over {self.high:.2f} m, too high"

    def height_of(self, item: KitItem) -> float | None:
        """The height at which a thing that serves is used, m: of what is let down and of stairs the
        nearest to what serves best; None where it has none."""
        if item.height is None:
            return None
        if item.kind in ADJUSTABLE:
            return min(item.height, self.at) if self.at is not None else item.height
        able = [h for h in heights_of(item) if self.low - 1e-6 <= h <= self.high + 1e-6]
        best = self.at if self.at is not None else 0.0
        return min(able or heights_of(item), key=lambda height: abs(height - best))

    def rank(self, item: KitItem) -> tuple[float, float, float, str]:
        """Lower fits better: how far it is from what serves best, the minutes to set it up, then
        the lowest."""
        height = self.height_of(item) or 0.0
        away = abs(height - self.at) if self.at is not None else 0.0
        return round(away, 2), item.setup_minutes, height, item.name

    def piece_words(self, item: KitItem) -> str:
        """A thing with the size at which it is used: “wooden rings at 2.1 m”."""
        wanted = self.many(item.kind)
        many = f"{wanted} × " if wanted > 1 else ""
        height = self.height_of(item)
        if height is None:
            return many + item.name
        size = f"{height:.2f} m" if height >= 1.0 else f"{100 * height:.0f} cm"
        return many + (item.name if size in item.name else f"{item.name} at {size}")

    @property
    def _for(self) -> str:
        return f" {self.what}" if self.what else ""

    @property
    def words(self) -> str:
        """What is looked for."""
        many = f"{self.count} × " if self.count > 1 else ""
        return many + " or ".join(self.kinds) + self._for


def heights_of(item: KitItem) -> tuple[float, ...]:
    """Heights of a thing, m: of each step of a stair that is used; of what is let down, its
    anchor's."""
    height = item.height or 0.0
    if item.kind == "stairs":
        return tuple(round(step * height, 3) for step in range(1, MOST_STEPS + 1))
    return (height,)


def pieces(needs: Iterable[Need], room: Room, today: date) -> tuple[KitItem, ...] | None:
    """The things of a room that serve, one a need: the one that fits best, then the one that takes
    the least setting up; None where one is missing."""
    needed_pieces = []
    for need in needs:
        able = [
            item for item in room.items if item.kind in need.kinds and not need.lacks(item, today)
        ]
        if not able:
            return None
        needed_pieces.append(min(able, key=need.rank))
    return tuple(needed_pieces)


def missing(
    needs: Iterable[Need], rooms: Iterable[Room], today: date, floor: Surface | None = None
) -> str:
    """Why no place has all that is needed, in words; '' where one has, or none is known.

    Args:
        needs: all of them, in one place.
        rooms: where the person trains.
        today: for checks that have run out.
        floor: that it wants, None for any.
    """
    wanted, known = tuple(needs), tuple(rooms)
    if not known or (not wanted and floor is None):
        return ""
    reasons = []
    for room in known:
        if floor is not None and floor not in room.floors:
            reasons.append(f"it wants a {floor} floor, and {room.name} has none")
        elif pieces(wanted, room, today) is not None:
            return ""
        else:
            reasons.append(_first_lack(wanted, room, today))
    named = [reason for reason in reasons if reason.startswith("“")]
    if named:
        return named[0]
    if len({need.words for need in wanted}) == 1 and floor is None:
        where = ", ".join(room.name for room in known)
        return f"it needs {wanted[0].words}, and there is none at {where}"
    return reasons[0]


def _first_lack(needs: tuple[Need, ...], room: Room, today: date) -> str:
    for need in needs:
        there = [item for item in room.items if item.kind in need.kinds]
        if not there:
            return f"it needs {need.words}, and there is none at {room.name}"
        lacking = [need.lacks(item, today) for item in there]
        if all(lacking):
            return lacking[0]
    return ""
