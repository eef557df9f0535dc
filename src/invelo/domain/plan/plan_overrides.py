"""What a coach sets by hand about a plan's items: their sets, their format, what is done together.

Every set may carry its own rung, tempo and target.
"""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace

from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.session.builder import block_of, dressed
from invelo.domain.plan.session.order import in_order
from invelo.domain.plan.session.trainee import Near, Stand, Trainee
from invelo.domain.plan.session.work import Block, Format, Item, Session, WorkSet
from invelo.domain.strength.tempo import Tempo

TOGETHER: tuple[Format, ...] = ("pair", "triple", "circuit", "interval", "pre-tire")
ALONE: tuple[Format, ...] = (
    "straight sets",
    "drop set",
    "cluster",
    "top single",
    "holds in pieces",
    "interval",
    "finisher",
)
MOST_SETS = 12
"""Sets of one item; 12 a day are plenty for a region (common practice)."""


@dataclass(frozen=True)
class OwnSet:
    """A set as the coach wants it; what is left out is as the prescription says.

    Attributes:
        rung: name of another rung of the same ladder, '' for the item's own.
        tempo: lower-hold-press-hold, s, '' for the rung's own.
        low, high: the target.
        rpe: target, 1–10.
        rest: seconds after it.
    """

    rung: str = ""
    tempo: str = ""
    low: int | None = None
    high: int | None = None
    rpe: float | None = None
    rest: float | None = None

    def __post_init__(self) -> None:
        """Check ranges."""
        for field, value, least, most, unit in (
            ("range's foot", self.low, 1, 600, ""),
            ("range's top", self.high, 1, 600, ""),
            ("rpe", self.rpe, 1, 10, ""),
            ("rest", self.rest, 0, 900, "s"),
        ):
            if value is not None:
                require_within(field, value, least, most, unit)
        if self.tempo:
            Tempo.parse(self.tempo)


@dataclass(frozen=True)
class Edit:
    """What is set by hand about one item: its sets, and its format."""

    key: str
    sets: tuple[OwnSet, ...] = ()
    format: Format = "straight sets"

    def __post_init__(self) -> None:
        """Refuse a format that takes several, and more sets than a day bears."""
        if self.format not in ALONE:
            raise InputError(
                "format",
                f"{self.format} is done with others.",
                f"Use one of {', '.join(ALONE)}, or put items together.",
            )
        require_within("sets", len(self.sets), 0, MOST_SETS, "")


@dataclass(frozen=True)
class Together:
    """Items done together where a day holds all of them."""

    format: Format
    keys: tuple[str, ...]
    rounds: int = 3

    def __post_init__(self) -> None:
        """Refuse a format for one item alone."""
        if self.format not in TOGETHER:
            raise InputError(
                "format",
                f"{self.format} is for one item.",
                f"Use one of {', '.join(TOGETHER)}.",
            )


@dataclass(frozen=True)
class ByHand:
    """All that is set by hand.

    Attributes:
        edits: of single items.
        together: of several.
    """

    edits: tuple[Edit, ...] = ()
    together: tuple[Together, ...] = ()

    @property
    def tired_first(self) -> frozenset[str]:
        """Items whose small muscle is tired on purpose."""
        return frozenset(
            block.keys[0] for block in self.together if block.format == "pre-tire" and block.keys
        )

    def edit(self, key: str) -> Edit | None:
        """What is set by hand about an item."""
        return next((other for other in self.edits if other.key == key), None)

    def edited(self, item: Item, trainee: Trainee) -> Item:
        """An item with its sets as the coach set them.

        Raises:
            InputError: for a rung that is not on its ladder.
        """
        edit = self.edit(item.key)
        if edit is None or not edit.sets:
            return item
        stand = next(
            (other for other in trainee.stands if other.key == item.key.split("/")[0]), None
        )
        rungs = _rungs(stand) if stand else {}
        sets = tuple(_own(item.main, own_set, rungs) for own_set in edit.sets)
        return replace(item, sets=sets)

    def session(self, name: str, items: Sequence[Item], trainee: Trainee) -> Session:
        """A day's items in the best order and in the formats set by hand; a clock's ladder is done
        in intervals unless the coach says otherwise; what opens a closed check comes first.

        Items done together stand where the first of them would.
        """
        prepares = [item for item in items if item.role == "preparation"]
        ordered = in_order([item for item in items if item.role != "preparation"])
        by_key = {item.key: item for item in ordered}
        clocks = {stand.key for stand in trainee.stands if stand.method == "density"}
        done: set[str] = set()
        made: list[Block] = []
        for item in ordered:
            if item.key in done:
                continue
            group = self._group(item, by_key)
            if group is not None:
                members = [by_key[key] for key in group.keys]
                made.append(block_of(group.format, members, group.rounds))
                done |= set(group.keys)
                continue
            edit = self.edit(item.key)
            clock = item.key in clocks and edit is None
            format_ = "interval" if clock else edit.format if edit else "straight sets"
            rounds = max(2, min(5, len(item.sets)))
            made.append(block_of(format_, [item], rounds))
        return dressed(name, made, trainee, prepares)

    def _group(self, item: Item, there: Mapping[str, Item]) -> Together | None:
        for block in self.together:
            if item.key in block.keys and all(key in there for key in block.keys):
                return block
        return None


NOTHING_BY_HAND = ByHand()


def _rungs(stand: Stand) -> dict[str, Near]:
    return {near.rung.name: near for near in (*stand.below, stand.here, *stand.above)}


def _own(usual: WorkSet, own: OwnSet, rungs: Mapping[str, Near]) -> WorkSet:
    made = usual
    if own.rung and own.rung != usual.name:
        if own.rung not in rungs:
            known = ", ".join(rungs) or "none: it stands on no ladder"
            raise InputError("rung", f"“{own.rung}” is not on its ladder.", f"Use one of {known}.")
        rung = rungs[own.rung].rung
        made = replace(made.on(rung), low=rung.prescription.low, high=rung.prescription.high)
    if own.tempo:
        made = replace(made, modifiers=replace(made.modifiers, tempo=Tempo.parse(own.tempo)))
    low = own.low if own.low is not None else made.low
    high = own.high if own.high is not None else max(low, made.high)
    if low > high:
        raise InputError(
            "range's top", "the range's top lies under its foot.", "Give the larger second."
        )
    return replace(
        made,
        low=low,
        high=high,
        rpe=own.rpe if own.rpe is not None else made.rpe,
        rest=own.rest if own.rest is not None else made.rest,
    )
