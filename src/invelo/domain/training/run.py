"""A session as a device runs it: what happens when, and every rung that a set may be done on.

All prescriptions are worked out here, so that whoever runs it computes clocks only, with the
network gone.
"""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from math import floor
from typing import Literal

from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.figure import ARM, Figure, Point, figures
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.methods import criterion_for
from invelo.domain.plan.prescription import Prescription, Unit
from invelo.domain.plan.session.timeline import Event, timeline
from invelo.domain.plan.session.trainee import Near, Stand, Trainee, in_its_place
from invelo.domain.plan.session.work import Item, Reason, Session, WorkSet
from invelo.domain.strength.holds import LONGEST_SHARE
from invelo.domain.strength.tempo import HALF_THEN_FULL, Tempo
from invelo.domain.training.check_in import CheckIn

CEILING: dict[Unit, float] = {"reps": 30.0, "s": 60.0, "cm": 400.0}
"""Past which more of it trains little strength (common practice for reps; ours for holds)."""

EASIER_OFFERED, HARDER_OFFERED = 3, 1
"""Rungs to either side that go along with a set."""

PhaseName = Literal["lower", "hold", "press", "top", "pull", "return"]
Way = Literal["harder", "here", "easier"]


@dataclass(frozen=True)
class Phase:
    """A part of a rep.

    Attributes:
        name: what is done.
        seconds: how long.
        start, end: depth where it begins and ends; 0 at the rep's start, 1 at its other end.
    """

    name: PhaseName
    seconds: float
    start: float
    end: float


@dataclass(frozen=True)
class Path:
    """How a body moves in a rep: the joint that travels farthest, and the postures at both ends.

    Attributes:
        joint: which is followed; '' of a hold.
        points: where it is, m, at depths from 0 to 1 in equal steps.
        start, end: the whole figure there; the same of a hold.
    """

    joint: str
    points: tuple[Point, ...]
    start: Figure
    end: Figure


SKIP_REASONS = ("too tired", "no time", "kit not free", "no room", "did not feel right")
"""Why a set is left out, as it is offered on the floor; other words can be given."""


@dataclass(frozen=True)
class Choice:
    """A rung on which a set may be done, with the prescription it would have there.

    Attributes:
        way: harder, here or easier than what was planned.
        rung: which.
        low, high: the target there.
        rpe: as planned.
        rest: seconds after it.
        likely: what is likely there at most, if known.
    """

    way: Way
    rung: Rung
    low: int
    high: int
    rpe: float
    rest: float
    likely: Estimate | None = None


@dataclass(frozen=True)
class RunItem:
    """A movement of a session with the rungs around it, the hardest first."""

    item: Item
    choices: tuple[Choice, ...]


@dataclass(frozen=True)
class Run:
    """A session ready to be run."""

    session: Session
    items: tuple[RunItem, ...]
    events: tuple[Event, ...]


def run_of(session: Session, trainee: Trainee) -> Run:
    """A session with all that a device needs to run it."""
    items = tuple(
        RunItem(item, choices(item, trainee)) for block in session.blocks for item in block.items
    )
    return Run(session, items, timeline(session))


def choices(item: Item, trainee: Trainee) -> tuple[Choice, ...]:
    """The rungs that an item's sets may be done on: what the coach would have in its place first,
    then its ladder's, or an easier movement that its faults call for where it stands on none."""
    around = _around(item, trainee)
    harder, easier = (_instead(item, trainee, when) for when in ("too easy", "hurts"))
    own = {choice.rung.name for choice in (*harder, *easier)}
    kept = [choice for choice in around if choice.rung.name not in own]
    here = next(i for i, choice in enumerate(kept) if choice.way == "here")
    return (*kept[:here], *harder, kept[here], *easier, *kept[here + 1 :])


def _instead(item: Item, trainee: Trainee, when: Reason) -> tuple[Choice, ...]:
    """What the coach would have done in an item's place, as choices beside it."""
    way: Way = "harder" if when == "too easy" else "easier"
    movements = [
        catalogue().find_movement(substitute.movement)
        for substitute in item.instead
        if substitute.when == when
    ]
    replacing = [
        in_its_place(item, movement, trainee, "").main
        for movement in movements
        if not trainee.shut(movement, movement.own(Modifiers()))
    ]
    return tuple(Choice(way, _rung_of(main), *_told(main)) for main in replacing)


def _around(item: Item, trainee: Trainee) -> tuple[Choice, ...]:
    main = item.main
    stand = stand_of(item, trainee)
    if stand is None:
        return _off_ladders(item, trainee)
    chain = (*reversed(stand.above), stand.here, *stand.below)
    at = next((i for i, near in enumerate(chain) if near.rung.name == main.name), None)
    if at is None:
        at = len(stand.above)
    harder = chain[max(0, at - HARDER_OFFERED) : at]
    easier = chain[at + 1 : at + 1 + EASIER_OFFERED]
    return (
        *(prescription_on(main, near, "harder") for near in harder),
        Choice("here", _as_done(chain[at].rung, main), *_told(main), chain[at].likely),
        *(prescription_on(main, near, "easier") for near in easier),
    )


def _as_done(rung: Rung, work_set: WorkSet) -> Rung:
    return replace(
        rung, name=work_set.name, movement=work_set.movement, modifiers=work_set.modifiers
    )


def _told(work_set: WorkSet) -> tuple[int, int, float, float]:
    return work_set.low, work_set.high, work_set.rpe, work_set.rest


def prescription_on(work_set: WorkSet, near: Near, way: Way) -> Choice:
    """What a set becomes on another rung: as wide a range, its top where the effort asked for
    leaves what it leaves in reserve.

    The top is the likely count there less the reps in reserve; of a hold at most 70 % of the likely
    best. It stays between 1 and the ceiling. Where nothing is known of the rung, its own
    prescription stands. Source: common practice; the rounding is ours.
    """
    prescription = near.rung.prescription
    if near.likely is None or near.rung.movement.unit == "cm":
        return Choice(
            way,
            near.rung,
            prescription.low,
            prescription.high,
            work_set.rpe,
            work_set.rest,
            near.likely,
        )
    unit = near.rung.movement.unit
    best = near.likely.likely
    there = best - (10.0 - work_set.rpe) if unit == "reps" else LONGEST_SHARE * best
    high = max(1, floor(min(CEILING[unit], there)))
    width = prescription.high - prescription.low
    low = max(1, high - width)
    return Choice(way, near.rung, low, high, work_set.rpe, work_set.rest, near.likely)


def _off_ladders(item: Item, trainee: Trainee) -> tuple[Choice, ...]:
    main = item.main
    own = Choice("here", _rung_of(main), *_told(main))
    choices = [own]
    for fault in main.movement.fault:
        if fault.easier:
            movement = catalogue().find_movement(fault.easier)
            if trainee.shut(movement) or movement.unit != main.unit:
                continue
            rung = replace(
                _rung_of(main),
                name=movement.name,
                movement=movement,
                modifiers=movement.own(Modifiers()),
            )
            if all(rung.name != choice.rung.name for choice in choices):
                choices.append(replace(own, way="easier", rung=rung))
    return tuple(choices)


def _rung_of(work_set: WorkSet) -> Rung:
    prescription = Prescription(
        1,
        work_set.low,
        max(work_set.low, work_set.high),
        int(work_set.rest),
        work_set.rpe,
        work_set.unit,
    )
    return Rung(
        work_set.name,
        work_set.movement,
        work_set.modifiers,
        prescription,
        criterion_for("double_progression", prescription),
    )


def without_closed(session: Session, trainee: Trainee) -> tuple[Session, tuple[str, ...]]:
    """A session without what is closed to someone today, and why each is."""
    gone: dict[str, Item | None] = {}
    whys: list[str] = []
    for item in session.items:
        why = trainee.shut(item.movement, item.main.modifiers)
        if why:
            gone[item.key] = None
            whys.append(f"{item.name}: {why}")
    return (session.with_items(gone) if gone else session), tuple(dict.fromkeys(whys))


def without_pain(session: Session, check_in: CheckIn) -> tuple[Session, tuple[str, ...]]:
    """A session without what loads a place whose pain stops it today, and why each is left out."""
    gone = {item.key: place for item in session.items if (place := check_in.closes(item.movement))}
    if not gone:
        return session, ()
    whys = (
        f"{item.name}: the {gone[item.key]} hurts." for item in session.items if item.key in gone
    )
    return session.with_items(dict.fromkeys(gone)), tuple(dict.fromkeys(whys))


def phases(movement: Movement, modifiers: Modifiers, rises: bool) -> tuple[Phase, ...]:
    """The parts of a rep in the order they are done; none of a hold.

    A rep that lowers first begins at the top; one that rises first (a pull-up, a row) begins with
    the pull.
    """
    if movement.unit != "reps":
        return ()
    tempo = modifiers.tempo
    halves = _half_way(tempo, rises) if tempo.part == HALF_THEN_FULL else ()
    if rises:
        parts: tuple[Phase, ...] = (
            Phase("pull", tempo.press, 0.0, 1.0),
            Phase("hold", tempo.top, 1.0, 1.0),
            Phase("return", tempo.lower, 1.0, 0.0),
            Phase("hold", tempo.bottom, 0.0, 0.0),
        )
    else:
        parts = (
            Phase("lower", tempo.lower, 0.0, 1.0),
            Phase("hold", tempo.bottom, 1.0, 1.0),
            Phase("press", tempo.press, 1.0, 0.0),
            Phase("top", tempo.top, 0.0, 0.0),
        )
    return tuple(part for part in (*halves, *parts) if part.seconds > 0)


def _half_way(tempo: Tempo, rises: bool) -> tuple[Phase, ...]:
    """The half of a rep that comes before the whole one: there and back."""
    there, back = (tempo.press, tempo.lower) if rises else (tempo.lower, tempo.press)
    names: tuple[PhaseName, PhaseName] = ("pull", "return") if rises else ("lower", "press")
    return Phase(names[0], there / 2, 0.0, 0.5), Phase(names[1], back / 2, 0.5, 0.0)


FOLLOWED = ("shoulder", "hip", "knee", "wrist", "elbow", "ankle", "head_top")


HARDLY = 0.4
"""Share of the farthest joint's squared way from which the trunk is followed instead (ours)."""


@lru_cache(maxsize=1024)
def path(body: Body, movement: Movement, modifiers: Modifiers) -> Path | None:
    """How a body moves in a rep; None where no posture can be drawn."""
    try:
        read = reading(body, modifiers.setup(movement))
    except InputError:
        return None
    poses = figures(read)
    if len(poses) == 1:
        return Path("", (), poses[0], poses[0])
    joint = _farthest(read, poses)
    return Path(joint, tuple(figure.joints[joint] for figure in poses), poses[0], poses[-1])


def _farthest(read: Reading, poses: Sequence[Figure]) -> str:
    """The joint that travels farthest, the trunk's before a limb's that goes hardly farther; of a
    level arm the wrist."""
    first, last = poses[0].joints, poses[-1].joints

    def way(name: str) -> float:
        there, here = last[name], first[name]
        return (there.x - here.x) ** 2 + (there.y - here.y) ** 2

    names = ARM if read.setup.form.level_plane else FOLLOWED
    there = [name for name in names if name in first] or list(first)
    farthest = max(there, key=way)
    trunk = [name for name in ("shoulder", "hip") if name in there]
    near = max(trunk, key=way, default=farthest)
    return near if way(near) >= HARDLY * way(farthest) else farthest


def stand_of(item: Item, trainee: Trainee) -> Stand | None:
    """The ladder an item stands on."""
    return next((stand for stand in trainee.stands if stand.key == item.key.split("/")[0]), None)
