"""Who a session is for: where they stand on each ladder, what is open to them, what is at hand."""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace

from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.readiness import Check
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.catalogue.needs import needs_of
from invelo.domain.catalogue.tags import Tags
from invelo.domain.equipment.kit import Kind, Room
from invelo.domain.equipment.need import pieces
from invelo.domain.errors import InputError
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.rung import Rung, kit_needed
from invelo.domain.plan.asked import AskedSession
from invelo.domain.plan.methods import (
    CEILING,
    LEAST_BEST,
    WaveDay,
    criterion_for,
    held_within,
    prescription_for,
)
from invelo.domain.plan.prescription import LEAST_USEFUL, Level, Method, Prescription, Purpose
from invelo.domain.plan.session.work import Item, Rig, WorkSet, role_of, sets_of
from invelo.domain.strength.bands import Band
from invelo.domain.strength.holds import LONGEST_SHARE
from invelo.domain.strength.state import State

PREPARES: dict[str, tuple[str, int]] = {
    "one-leg stand": ("one-leg-stand", 3),
    "ankle": ("ankle-rocks", 2),
    "hip": ("held-deep-squat", 3),
    "shoulder": ("wall-slide", 2),
    "hands behind": ("hands-behind-stretch", 2),
    "flat hand": ("knuckle-lifts", 2),
    "wrist": ("wrist-rocks", 2),
    "flat back": ("heel-taps", 2),
    "sit and lift": ("seated-leg-lift", 3),
}
"""The movement that works on a closed check, and its sets; see `readiness.CHECKS`."""

PREPARES_AMOUNT: dict[str, tuple[int, int]] = {
    "one-leg stand": (5, 10),
    "ankle": (8, 12),
    "hip": (20, 30),
    "shoulder": (8, 12),
    "hands behind": (15, 20),
    "flat hand": (8, 12),
    "wrist": (10, 15),
    "flat back": (5, 8),
    "sit and lift": (5, 8),
}
"""Reps or seconds of it: under the mark that was failed at first, and once it has grown."""

GROWS_AFTER_DAYS = 7
"""Days after a check was failed from which its work grows (common practice)."""


@dataclass(frozen=True)
class Near:
    """A rung beside where someone stands, and what they likely do there, if known."""

    rung: Rung
    likely: Estimate | None = None


@dataclass(frozen=True)
class Stand:
    """Where someone stands on a ladder.

    Attributes:
        key: stable name of the ladder.
        goal, method, purpose, level: of the ladder.
        here: the rung, with the coach's own prescription.
        below: rungs to fall back to, the nearest first.
        above: rungs to go on to, the nearest first.
        asked: what the day asks, where it is derived from the prescription.
    """

    key: str
    goal: str
    method: Method
    purpose: Purpose
    level: Level
    here: Near
    below: tuple[Near, ...] = ()
    above: tuple[Near, ...] = ()
    asked: AskedSession | None = None

    @property
    def movement(self) -> Movement:
        """Of the rung."""
        return self.here.rung.movement


@dataclass(frozen=True)
class Trainee:
    """Who trains.

    Attributes:
        name: as the coach calls them.
        body: as measured last.
        stands: on their ladders, what pain stopped left out.
        open_movements: ids of movements that nothing closes.
        closed_checks: readiness checks not passed.
        level: of movements that stand on no ladder.
        rigs: minutes to set up, by the kind of thing.
        why_closed: of movements that something closes, in words.
        guard: what closes set-ups to them; None where movements alone say it.
        dislikes: ids of movements they would rather not do.
        states: what is known of them today, by lane.
        failed_days: days since each closed check was last tried, by its id.
        warm_up: movements of the coach's own general warm-up, in order; empty for the usual.
        bands: of their coach, by name.
        tags: of their coach's own, by movement.
        minutes: there are on the day, None where nobody said.
    """

    name: str
    body: Body
    stands: tuple[Stand, ...]
    open_movements: frozenset[str]
    closed_checks: tuple[Check, ...] = ()
    level: Level = "beginner"
    rigs: Mapping[str, float] = field(default_factory=dict, hash=False)
    why_closed: Mapping[str, str] = field(default_factory=dict, hash=False)
    guard: Guard | None = field(default=None, hash=False, compare=False)
    dislikes: frozenset[str] = frozenset()
    states: Mapping[Lane, State] = field(default_factory=dict, hash=False, compare=False)
    failed_days: Mapping[str, int] = field(default_factory=dict, hash=False)
    warm_up: tuple[str, ...] = ()
    minutes: float | None = None
    bands: tuple[tuple[str, Band], ...] = field(default=(), hash=False)
    tags: Tags = field(default_factory=dict, hash=False)

    def shut(self, movement: Movement, modifiers: Modifiers | None = None) -> str:
        """Why a movement, as it is set up, is closed to them; '' where it is open."""
        if movement.id in self.dislikes:
            return "they would rather not."
        if self.guard is not None and modifiers is not None:
            closed = self.guard.closed(movement, modifiers)
            return closed.problem if closed else ""
        if movement.id in self.open_movements:
            return ""
        if self.guard is not None and movement.id not in self.why_closed:  # a coach's own
            closed = self.guard.closed(movement, movement.own(Modifiers()))
            return closed.problem if closed else ""
        return self.why_closed.get(movement.id, f"the {movement.name.lower()} is closed.")

    def stand_in(self, family: str) -> Stand | None:
        """The first ladder whose rung is of a family."""
        return next((stand for stand in self.stands if stand.movement.family == family), None)

    def within(self, stand: Stand, kinds: frozenset[Kind] | None) -> Stand | None:
        """The stand, gone down to the nearest rung that is open and takes only such kit; None where
        there is none."""
        for i, near in enumerate((stand.here, *stand.below)):
            rung = near.rung
            if self.shut(rung.movement, rung.modifiers):
                continue
            needed = kit_needed(rung.movement, rung.modifiers)
            if kinds is None or all(kinds & set(alternative) for alternative in needed):
                if i == 0:
                    return stand
                return replace(stand, here=near, below=stand.below[i:], above=())
        return None

    def at(self, room: Room) -> "Trainee":
        """The same in one place, with what is there and nothing else."""
        if self.guard is None:
            return self
        return replace(self, guard=replace(self.guard, rooms=(room,)))

    def rig(self, movement: Movement, modifiers: Modifiers | None = None) -> Rig:
        """What is set up for a movement: the things that fit it best, the quickest kind of thing
        where none is known by its size."""
        needs = needs_of(self.body, movement, movement.own(modifiers or Modifiers()))
        for room in self.guard.rooms if self.guard else ():
            needed_pieces = pieces(needs, room, self.guard.today) if self.guard else None
            if needed_pieces and needs:
                both = list(zip(needs, needed_pieces, strict=True))
                words = " and ".join(need.piece_words(item) for need, item in both)
                return Rig(
                    needed_pieces[0].kind, max(item.setup_minutes for item in needed_pieces), words
                )
        there = [(kind, self.rigs[kind]) for kind in movement.kit if kind in self.rigs]
        return Rig(*min(there, key=lambda pair: (pair[1], pair[0]))) if there else Rig()

    def rigged(self, item: Item) -> Item:
        """An item with what is set up for it where they train."""
        return replace(item, rig=self.rig(item.movement, item.main.modifiers))

    def item(self, stand: Stand, wave: WaveDay | None = None) -> Item:
        """The item of a ladder: its rung at the coach's prescription, a hold fitted to the best
        hold.

        A hold too short to be practised goes down the ladder to the first shape that is held long
        enough; where there is none it stays, and the item says so.

        Args:
            stand: where.
            wave: a day of the hold wave, if the ladder waves.
        """
        at, prescription, why = self._fitted(stand, wave)
        chain = (stand.here, *stand.below) if at in stand.above else stand.below
        if at in stand.below:
            chain = stand.below[stand.below.index(at) + 1 :]
        return Item(
            stand.key,
            at.rung.name,
            role_of(at.rung.movement),
            ended(sets_of(at.rung, prescription), stand.asked if at is stand.here else None),
            tuple(near.rung for near in chain),
            self.rig(at.rung.movement, at.rung.modifiers),
            stand.goal,
            why,
        )

    def _fitted(self, stand: Stand, wave: WaveDay | None) -> tuple[Near, Prescription, str]:
        if wave is not None:
            return _wave_fitted(stand, wave)
        prescription = stand.here.rung.prescription
        why = stand.asked.why if stand.asked else ""
        if prescription.unit != "s" or stand.here.likely is None:
            return stand.here, prescription, why
        if stand.here.likely.likely >= LEAST_BEST:
            return stand.here, prescription, why
        for near in stand.below:
            if near.likely is None or near.likely.likely < LEAST_BEST:
                continue
            low, high = held_within(near.likely.likely, stand.purpose)
            why = (
                f"“{stand.here.rung.name}” is held about {stand.here.likely.likely:.0f} s: too "
                "short to practise, so an easier shape."
            )
            return near, replace(prescription, low=low, high=high), why
        return stand.here, prescription, self._too_short(stand)

    @staticmethod
    def _too_short(stand: Stand) -> str:
        likely = stand.here.likely
        length_words = f"about {likely.likely:.0f} s" if likely else "too short"
        practice = "single near-best tries as practice only"
        return f"It is held {length_words}; take assistance, or {practice}."

    def loose(
        self, movement: Movement, purpose: Purpose, sets: int | None = None, name: str = ""
    ) -> Item:
        """An item of a movement that stands on no ladder.

        Raises:
            InputError: where something closes it.
        """
        why = self.shut(movement)
        if why:
            raise InputError(
                "movement", f"{movement.name.lower()}: {why}", "Take another, or open it there."
            )
        prescription = prescription_for("double_progression", purpose, self.level, movement.unit)
        prescription = replace(prescription, sets=sets or prescription.sets)
        rung = Rung(
            name or movement.name,
            movement,
            movement.own(Modifiers()),
            prescription,
            criterion_for("double_progression", prescription),
        )
        return Item(
            f"movement:{movement.id}",
            rung.name,
            role_of(movement),
            sets_of(rung, prescription),
            rig=self.rig(movement),
        )

    def preparation(self) -> tuple[Item, ...]:
        """The work that opens closed checks, an item each; what a limit closes is left out."""
        return tuple(
            self._prepares(check)
            for check in self.closed_checks
            if not self.shut(catalogue().find_movement(PREPARES[check.id][0]))
        )

    def _prepares(self, check: Check) -> Item:
        movement_id, sets = PREPARES[check.id]
        movement = catalogue().find_movement(movement_id)
        grown = self.failed_days.get(check.id, 0) >= GROWS_AFTER_DAYS
        amount = PREPARES_AMOUNT[check.id][grown]
        why = f"Opens the check “{check.name.lower()}”."
        return easy_item(f"check:{check.id}", movement, sets, amount, why)


def in_its_place(item: Item, movement: Movement, trainee: Trainee, why: str) -> Item:
    """Another movement in an item's place: as many sets, as much where it is counted alike."""
    loose = trainee.loose(movement, "strength", max(1, len(item.chains)))
    main = item.main
    alike = movement.unit == main.unit
    sets = tuple(
        replace(work_set, low=main.low, high=main.high, rpe=main.rpe, rest=main.rest)
        if alike
        else replace(work_set, rpe=main.rpe, rest=main.rest)
        for work_set in loose.sets
    )
    return replace(item, name=loose.name, sets=sets, easier=(), rig=loose.rig, why=why)


def easy_item(key: str, movement: Movement, sets: int, amount: int, why: str) -> Item:
    """Balance or mobility work: light sets of reps or seconds, with little rest."""
    prescription = Prescription(sets, amount, amount, 15, 4.0, movement.unit)
    rung = Rung(
        movement.name,
        movement,
        movement.own(Modifiers()),
        prescription,
        criterion_for("double_progression", prescription),
    )
    easy = sets_of(rung, prescription, "easy")
    return Item(key, movement.name, "preparation", easy, why=why)


def ended(sets: tuple[WorkSet, ...], asked: AskedSession | None) -> tuple[WorkSet, ...]:
    """Sets whose last one goes on as far as the day asks."""
    if asked is None or not sets:
        return sets
    last = sets[-1]
    if asked.open_end:
        top = max(last.high, CEILING[last.unit])
        return (*sets[:-1], replace(last, high=top, rpe=10.0, open_end=True))
    if asked.last_rpe is not None:
        return (*sets[:-1], replace(last, rpe=asked.last_rpe))
    return sets


def _wave_fitted(stand: Stand, wave: WaveDay) -> tuple[Near, Prescription, str]:
    """The hardest rung on which the wave's day is there: 15 to 20 s on the easy day, 5 s of the
    hardest shape on the hard one; each at most 70 % of the best."""
    unit = stand.here.rung.prescription.unit
    prescription = prescription_for("wave", stand.purpose, stand.level, unit, wave=wave)
    reserve = 10.0 - prescription.rpe
    asks = prescription.low / LONGEST_SHARE if unit == "s" else prescription.low + reserve
    for near in (*reversed(stand.above), stand.here, *stand.below):
        same = near.rung.prescription.unit == unit
        if same and near.likely is not None and near.likely.likely >= asks:
            if unit == "s":
                top = max(LEAST_USEFUL["s"], LONGEST_SHARE * near.likely.likely)
                prescription = replace(
                    prescription, high=max(prescription.low, min(prescription.high, int(top)))
                )
            return near, prescription, f"{wave.capitalize()} day of the wave."
    foot = stand.below[-1] if stand.below else stand.here
    return (
        foot,
        prescription,
        f"{wave.capitalize()} day of the wave; nothing tells yet what is held here.",
    )
