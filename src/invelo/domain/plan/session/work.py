"""What a session is made of: sets, items, blocks.

A set carries its own rung, tempo and target, so that the sets of one item may differ. What is
counted per side, alternating or in total is kept apart: "8 per side" is 16 reps, "8 alternating"
is 8, four with each lead.
"""

from dataclasses import dataclass, field, replace
from typing import Literal

from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.prescription import Counted, Prescription, Unit
from invelo.domain.training.log import OneSide, SetKind

Role = Literal["preparation", "skill", "strength", "small"]
ROLES: tuple[Role, ...] = ("preparation", "skill", "strength", "small")
"""In the order in which a session does them: hardest skill first, strength next, small muscles
last (common practice)."""

Format = Literal[
    "warm-up",
    "straight sets",
    "pair",
    "triple",
    "circuit",
    "interval",
    "drop set",
    "cluster",
    "pre-tire",
    "top single",
    "holds in pieces",
    "preparatory work",
    "finisher",
]

SMALL_FAMILIES = frozenset(
    {
        "curl",
        "triceps",
        "calf",
        "grip",
        "chest isolation",
        "shoulder blade and rear shoulder",
        "towel and stick",
        "trunk front",
        "trunk side",
        "trunk back",
        "hip side and rear",
        "inner thigh",
    }
)
"""Families that come last (common practice: small muscles last; a tired trunk spoils the rest)."""

SideRule = Literal["", "left", "right", "per side", "alternating"]
"""One side alone, one after the other, or in turn with the lead swapped halfway; '' as the movement
is counted."""

JUMPS = 5
"""Jumps of a set (common practice: few, each landed still)."""

JUMP_SECONDS = 6.0
"""Of a jump with its landing held and the way back (ours)."""


def role_of(movement: Movement) -> Role:
    """When in a session a movement comes."""
    if movement.family == "balance and mobility":
        return "preparation"
    if movement.rest == "skill":
        return "skill"
    return "small" if movement.family in SMALL_FAMILIES else "strength"


FOLLOWING: frozenset[SetKind] = frozenset({"drop", "part"})
"""Kinds of sets that go on from the one before."""


@dataclass(frozen=True)
class Count:
    """Reps or seconds as they are told, on one side, and in all."""

    said: float
    each_side: float
    in_all: float
    words: str


@dataclass(frozen=True)
class WorkSet:
    """One set.

    Attributes:
        name: of the rung.
        movement, modifiers: what is done, tempo included.
        low, high: the target, as the movement is counted.
        rpe: target, 1–10.
        rest: seconds after it.
        kind: an ordinary set, an easy one, one that is dropped to, a piece of a broken hold, a top
            single, one that finishes a range after a few breaths, a part that follows the set
            before it without a rest, an attempt, which nobody fails, or two movements in turn.
        share: of a hard set that it counts as in a region's total.
        side: the one side it is done on, '' for both; of what is counted per side.
        open_end: whether it goes on to its end, whatever the top.
        turns: how the sides take turns where a coach says so, '' as the movement is counted.
        in_turn: another movement that is done in turn with it, rep by rep; None for most.
    """

    name: str
    movement: Movement
    modifiers: Modifiers
    low: int
    high: int
    rpe: float
    rest: float
    kind: SetKind = "work"
    share: float = 1.0
    side: OneSide = ""
    open_end: bool = False
    turns: Literal["", "per side", "alternating"] = ""
    in_turn: Movement | None = None

    def on(self, rung: Rung) -> "WorkSet":
        """The same set on another rung."""
        return replace(self, name=rung.name, movement=rung.movement, modifiers=rung.modifiers)

    @property
    def parts(self) -> tuple[tuple[Movement, Modifiers, float], ...]:
        """What is done in it, each with its share of the reps."""
        if self.in_turn is None:
            return ((self.movement, self.modifiers, 1.0),)
        other = (self.in_turn, self.in_turn.own(Modifiers()), 0.5)
        return (self.movement, self.modifiers, 0.5), other

    @property
    def unit(self) -> Unit:
        """What is counted."""
        return self.movement.unit

    @property
    def counted(self) -> Counted:
        """How it is counted: as the coach says, or as the movement is."""
        return self.turns or self.movement.counted

    @property
    def amount(self) -> float:
        """The middle of the target."""
        return (self.low + self.high) / 2

    def count(self, amount: float) -> Count:
        """An amount of this set, told apart by side."""
        unit = {"reps": "", "s": " s", "cm": " cm"}[self.unit]
        if self.side:
            return Count(amount, amount, amount, f"{amount:g}{unit}, {self.side} only")
        if self.counted == "per side":
            return Count(amount, amount, 2 * amount, f"{amount:g}{unit} a side")
        if self.counted == "alternating":
            words = f"{amount:g}{unit} alternating, lead swapped halfway"
            return Count(amount, amount / 2, amount, words)
        return Count(amount, amount / 2, amount, f"{amount:g}{unit}")

    @property
    def sides(self) -> int:
        """How many times it is done: once for each side, or once."""
        return 2 if self.counted == "per side" and not self.side else 1

    def seconds_on(self, side: Literal["left", "right"]) -> float:
        """Time at work of one side, s, of what tells its sides apart; 0 of the rest."""
        if self.counted == "total" or self.side not in ("", side):
            return 0.0
        return self.seconds(self.amount) / (2 if self.counted == "alternating" else 1)

    def seconds(self, amount: float) -> float:
        """Time at work of one side's turn, s."""
        if self.unit == "cm":
            return JUMPS * JUMP_SECONDS
        return amount * (self.modifiers.tempo.rep_time if self.unit == "reps" else 1.0)


@dataclass(frozen=True)
class Rig:
    """What is set up for an item.

    Attributes:
        kind: of thing, '' for nothing.
        minutes: it takes.
        pieces: the things themselves with their sizes, in words; '' where none is known.
    """

    kind: str = ""
    minutes: float = 0.0
    pieces: str = ""

    @property
    def what(self) -> str:
        """What to fetch: the things where they are known, their kind otherwise."""
        return self.pieces or self.kind

    @property
    def words(self) -> str:
        """What to fetch, and how long it takes: “wooden rings at 2.1 m, 4 min to set up”."""
        if self.what and self.minutes:
            return f"{self.what}, {self.minutes:g} min to set up"
        return self.what


Reason = Literal["kit missing", "hurts", "too easy"]
REASONS: tuple[Reason, ...] = ("kit missing", "hurts", "too easy")


@dataclass(frozen=True)
class Instead:
    """If not this, then that: a coach's own choice, before any the product makes.

    Attributes:
        when: it is taken.
        movement: id of what is done then.
    """

    when: Reason
    movement: str


@dataclass(frozen=True)
class Item:
    """A movement of a session, with all its sets.

    Attributes:
        key: stable name within a plan: of a ladder, or of a movement.
        name: of the rung or movement.
        role: when in a session it comes.
        sets: in order.
        easier: rungs to fall back to, the nearest first; a drop set goes down them.
        rig: what is set up for it.
        goal: of its ladder, '' for none.
        why: how it came to differ from what the ladder says, '' where it does not.
        instead: what a coach would have done in its place, in order.
    """

    key: str
    name: str
    role: Role
    sets: tuple[WorkSet, ...]
    easier: tuple[Rung, ...] = ()
    rig: Rig = Rig()
    goal: str = ""
    why: str = ""
    instead: tuple[Instead, ...] = ()

    @property
    def main(self) -> WorkSet:
        """The first ordinary set, which says what the item is."""
        return next((work_set for work_set in self.sets if work_set.kind != "easy"), self.sets[0])

    @property
    def movement(self) -> Movement:
        """What it is."""
        return self.main.movement

    @property
    def chains(self) -> tuple[tuple[WorkSet, ...], ...]:
        """Its sets, each with what follows it without a rest."""
        chains: list[tuple[WorkSet, ...]] = []
        for work_set in self.sets:
            if work_set.kind in FOLLOWING and chains:
                chains[-1] = (*chains[-1], work_set)
            else:
                chains.append((work_set,))
        return tuple(chains)

    @property
    def numbers(self) -> tuple[int, ...]:
        """Of each set, counted from 1; the pieces of a broken hold share that of the first."""
        numbers: list[int] = []
        left = 0
        for number, work_set in enumerate(self.sets, start=1):
            if work_set.kind == "piece" and left:
                numbers.append(numbers[-1])
                left -= 1
                continue
            numbers.append(number)
            left = round(1 / work_set.share) - 1 if work_set.kind == "piece" else 0
        return tuple(numbers)

    def with_sets(self, count: int) -> "Item":
        """The same with this many sets and what follows them, the last ones gone."""
        return replace(
            self, sets=tuple(work_set for chain in self.chains[:count] for work_set in chain)
        )


@dataclass(frozen=True)
class Block:
    """Items done together in one format.

    In a pair, triple, circuit or interval block a round does one set of each item; in every other
    format the sets of an item follow each other.

    Attributes:
        format: how.
        items: in order.
        between: seconds from one item of a round to the next.
        round_rest: seconds after a round.
        window: seconds of work and of changing over, where a clock rules.
        words: what is to be known of it.
    """

    format: Format
    items: tuple[Item, ...]
    between: float = 15.0
    round_rest: float = 90.0
    window: tuple[float, float] | None = None
    words: str = ""

    @property
    def in_rounds(self) -> bool:
        """Whether a round does one set of each."""
        return self.format in ("pair", "triple", "circuit", "interval", "pre-tire")

    def of(self, items: tuple[Item, ...]) -> "Block":
        """The same format with other items; what is too few for a pair or triple is less of one."""
        short: dict[int, Format] = {1: "straight sets", 2: "pair"}
        fewer = len(items) < len(self.items) and self.format in ("pair", "triple", "pre-tire")
        return replace(self, items=items, format=short[len(items)] if fewer else self.format)

    @property
    def rounds(self) -> int:
        """How many."""
        return max(len(item.chains) for item in self.items) if self.in_rounds else 1


@dataclass(frozen=True)
class Session:
    """All that is done on one occasion.

    Attributes:
        name: as the coach calls it.
        blocks: in order, the warm-up first.
        notes: why something stands where it does.
    """

    name: str
    blocks: tuple[Block, ...]
    notes: tuple[str, ...] = field(default=())

    @property
    def items(self) -> tuple[Item, ...]:
        """All items but the warm-up's, in order."""
        return tuple(
            item for block in self.blocks if block.format != "warm-up" for item in block.items
        )

    def with_items(self, items: dict[str, Item | None]) -> "Session":
        """The same with some items put in place of others, by key; None takes one out, and the
        easier set that warms up for it."""
        gone = {f"warm-up:{key}" for key, item in items.items() if item is None}
        blocks = []
        for block in self.blocks:
            if block.format == "warm-up":
                left = tuple(item for item in block.items if item.key not in gone)
                blocks.append(replace(block, items=left))
                continue
            replaced = tuple(items.get(item.key, item) for item in block.items)
            kept = tuple(item for item in replaced if item is not None and item.sets)
            if kept:
                blocks.append(block.of(kept))
        return replace(self, blocks=tuple(blocks))


def sets_of(rung: Rung, prescription: Prescription, kind: SetKind = "work") -> tuple[WorkSet, ...]:
    """A rung's sets as a prescription asks for them."""
    work_set = WorkSet(
        rung.name,
        rung.movement,
        rung.modifiers,
        prescription.low,
        prescription.high,
        prescription.rpe,
        float(prescription.rest),
        kind,
    )
    return (work_set,) * prescription.sets
