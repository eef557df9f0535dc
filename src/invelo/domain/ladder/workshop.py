"""The ladder workshop: a ladder as it is drawn, and every edit of it as a new drawing.

An edit never changes a drawing; it makes another, so that undoing one is taking up the one before.
"""

from collections.abc import Iterable
from dataclasses import dataclass, replace
from itertools import pairwise
from uuid import UUID, uuid4

from invelo.domain.errors import InputError
from invelo.domain.ladder.ladder import Link, check_links
from invelo.domain.ladder.rung import Rung


@dataclass(frozen=True)
class Node:
    """A rung with its tag.

    Attributes:
        id: that logs and decisions know it by.
        rung: itself.
        why: why it stands where it does, '' where the demand says so.
    """

    id: UUID
    rung: Rung
    why: str = ""


@dataclass(frozen=True)
class LadderGraph:
    """A ladder as it is drawn.

    Attributes:
        rungs: from the foot up.
        ties: pairs of a lower and an upper rung's id.

    Raises:
        InputError: for too many rungs, two of one name, or a tie that does not lead upwards.
    """

    rungs: tuple[Node, ...]
    edges: tuple[tuple[UUID, UUID], ...]

    def __post_init__(self) -> None:
        """Check that it climbs."""
        names = tuple(node.rung.name for node in self.rungs)
        check_links(names, self.links)
        for name in names:
            if not name.strip():
                raise InputError("name", "a rung has none.", "Name it as you would call it.")
            if names.count(name) > 1:
                raise InputError(
                    "name", f"two rungs are called “{name}”.", "Give each a name of its own."
                )

    @property
    def links(self) -> tuple[Link, ...]:
        """The ties by position, in order."""
        at = {node.id: i for i, node in enumerate(self.rungs)}
        for edge in self.edges:
            for end in edge:
                if end not in at:
                    raise InputError("after", "it names no rung of this ladder.", "Name one.")
        return tuple(sorted((at[lower], at[upper]) for lower, upper in self.edges))

    def afresh(self) -> "LadderGraph":
        """The same with new ids, for another ladder."""
        new = {node.id: uuid4() for node in self.rungs}
        return LadderGraph(
            tuple(replace(node, id=new[node.id]) for node in self.rungs),
            tuple(sorted((new[lower], new[upper]) for lower, upper in self.edges)),
        )

    def position(self, rung_id: UUID) -> int:
        """Where a rung stands.

        Raises:
            InputError: if it is not on the ladder.
        """
        for i, node in enumerate(self.rungs):
            if node.id == rung_id:
                return i
        raise InputError("rung", "it is not on this ladder.", "Look at the ladder anew.")

    def below(self, rung_id: UUID) -> tuple[UUID, ...]:
        """Rungs one steps to this one from."""
        return tuple(lower for lower, upper in self.edges if upper == rung_id)

    def above(self, rung_id: UUID) -> tuple[UUID, ...]:
        """Rungs one steps to from this one."""
        return tuple(upper for lower, upper in self.edges if lower == rung_id)

    def add(self, new: Node, after: Iterable[UUID], before: Iterable[UUID]) -> "LadderGraph":
        """Put a rung between others.

        Args:
            new: the rung.
            after: rungs one steps to it from.
            before: rungs one steps to from it; a tie straight from an `after` to a `before` goes.

        Raises:
            InputError: if an `after` stands above a `before`, or the name is taken.
        """
        lower, upper = tuple(after), tuple(before)
        foot = max((self.position(rung_id) + 1 for rung_id in lower), default=0)
        top = min((self.position(rung_id) for rung_id in upper), default=len(self.rungs))
        if foot > top:
            raise InputError(
                "after",
                "it stands above what comes next: a loop.",
                "Put it between two neighbours.",
            )
        place = foot if lower else top
        edges = {edge for edge in self.edges if not (edge[0] in lower and edge[1] in upper)}
        edges |= {(rung_id, new.id) for rung_id in lower} | {(new.id, rung_id) for rung_id in upper}
        rungs = (*self.rungs[:place], new, *self.rungs[place:])
        return LadderGraph(rungs, tuple(sorted(edges)))

    def change(self, new: Node) -> "LadderGraph":
        """Put another rung in the place of the one of the same id."""
        place = self.position(new.id)
        return replace(self, rungs=(*self.rungs[:place], new, *self.rungs[place + 1 :]))

    def remove(self, rung_id: UUID) -> "LadderGraph":
        """Take a rung off; what stood below it is tied to what stood above.

        Raises:
            InputError: if it is the last one.
        """
        if len(self.rungs) == 1:
            raise InputError(
                "rung", "it is the only one.", "Put another on first, or delete the ladder."
            )
        place = self.position(rung_id)
        edges = {edge for edge in self.edges if rung_id not in edge}
        edges |= {(lower, upper) for lower in self.below(rung_id) for upper in self.above(rung_id)}
        return LadderGraph(self.rungs[:place] + self.rungs[place + 1 :], tuple(sorted(edges)))

    def move(self, rung_id: UUID, place: int) -> "LadderGraph":
        """Put a rung at another position, between whatever stands there.

        Raises:
            InputError: for a position that is not there.
        """
        if not 0 <= place < len(self.rungs):
            raise InputError(
                "position", f"{place} is not on the ladder.", f"Give 0 to {len(self.rungs) - 1}."
            )
        moved = self.rungs[self.position(rung_id)]
        rest = self.remove(rung_id)
        below = [rest.rungs[place - 1].id] if place else []
        above = [rest.rungs[place].id] if place < len(rest.rungs) else []
        if below and above and (below[0], above[0]) not in rest.edges:
            above = []  # between two ways: it ends the lower one
        return rest.add(moved, below, above)

    def edge(self, lower: UUID, upper: UUID) -> "LadderGraph":
        """Branch or join: let one step from a rung to another.

        Raises:
            InputError: if that would turn back.
        """
        return replace(self, edges=tuple(sorted({*self.edges, (lower, upper)})))

    def untie(self, lower: UUID, upper: UUID) -> "LadderGraph":
        """No longer step from a rung to another.

        Raises:
            InputError: if they are not tied.
        """
        if (lower, upper) not in self.edges:
            raise InputError("after", "the two are not tied.", "Look at the ladder anew.")
        return replace(self, edges=tuple(edge for edge in self.edges if edge != (lower, upper)))


def in_a_row(rungs: Iterable[Node]) -> LadderGraph:
    """A ladder without branches."""
    chain = tuple(rungs)
    return LadderGraph(chain, tuple((a.id, b.id) for a, b in pairwise(chain)))
