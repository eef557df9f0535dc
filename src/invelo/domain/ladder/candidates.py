"""Candidates for a bridge: a family's movements with every modifier the kit allows.

Each movement is taken as it is, with one of its measures changed, with less than its range, with a
load or a band, and each of these at every tempo. The movements of the two rungs are also taken with
two measures of a held shape, and with a load on another height. What a body cannot do, or the kit
does not hold, is left out.
"""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass, replace
from functools import cache, lru_cache
from itertools import combinations

import numpy as np
from numpy.typing import NDArray

from invelo.domain.biomechanics.adjustable import LOADS, adjustable_of, changed_words
from invelo.domain.biomechanics.body import AddedLoad, Body
from invelo.domain.biomechanics.posture.form import Form, Lane, Parameter, form
from invelo.domain.biomechanics.setup import Assistance, BandHold
from invelo.domain.biomechanics.survey import survey
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement, sorted_values
from invelo.domain.equipment.kit import ToHand
from invelo.domain.estimate import Array
from invelo.domain.ladder.rung import Rung
from invelo.domain.ladder.step_policy import Lever
from invelo.domain.strength.rep_curve import CURVES, slow_factor
from invelo.domain.strength.tempo import ENDURANCE_EXPONENT, HOLD_COST, REFERENCE_REP, Tempo

LOWERINGS = (1.0, 2.0, 3.0, 4.0)
PAUSES = (0.0, 1.0, 2.0, 3.0)
"""Seconds of lowering and of the pause at the far end that are tried, whole as they are counted
(common practice: up to 4-2-1 for the advanced, and a 3 s hold)."""

PRESS = 1.0
RANGES = (0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9)
BETWEEN = tuple(round(0.1 * i, 1) for i in range(1, 10))
"""Shares of the way from the lower rung's shape to the upper one's."""

TEMPOS = tuple(Tempo(lower, pause, PRESS) for lower in LOWERINGS for pause in PAUSES)
ADDED_LOAD_AT = ("bag", "hands", "lap", "vest")


@dataclass(frozen=True)
class SetUpOf:
    """A movement as it may be set up, its tempo left open.

    Attributes:
        movement, modifiers: which and how.
        levers: kinds of change that make it differ from the movement as it is, or from the rung.
        words: what is changed, where no one measure says it.
    """

    movement: Movement
    modifiers: Modifiers
    levers: frozenset[Lever] = frozenset()
    words: str = ""


@dataclass(frozen=True)
class Candidates:
    """Set-ups and tempos, and what each asks of a body.

    Attributes:
        setups, tempos: of which; a hold has one tempo.
        setup, tempo: which of them each candidate has, shape `(n,)`.
        heights: demand on the scale, kg or N·m, shape `(n,)`.
    """

    setups: tuple[SetUpOf, ...]
    tempos: tuple[Tempo, ...]
    setup: NDArray[np.intp]
    tempo: NDArray[np.intp]
    heights: Array

    def of(self, index: int) -> SetUpOf:
        """A candidate's set-up."""
        return self.setups[int(self.setup[index])]

    def tempo_of(self, index: int) -> Tempo:
        """A candidate's tempo."""
        return self.tempos[int(self.tempo[index])]

    def modifiers(self, index: int) -> Modifiers:
        """Of a candidate."""
        return replace(self.of(index).modifiers, tempo=self.tempo_of(index))

    def levers(self, index: int) -> frozenset[Lever]:
        """Kinds of change that make a candidate differ from its movement as it is."""
        made = self.of(index).levers
        return made | {"tempo"} if self.tempo_of(index) != Tempo() else made

    def name(self, index: int) -> str:
        """As a rung would be called."""
        set_up = self.of(index)
        return name_of(set_up.movement, self.modifiers(index), set_up.words)


def name_of(movement: Movement, modifiers: Modifiers, words: str = "") -> str:
    """A movement's name and what is changed about it."""
    form, phrases = movement.posture, [movement.name]
    own = form.values(movement.values)
    changed = [(name, value) for name, value in modifiers.values if value != own[name]]
    phrases += (
        [words] if words else [adjustable_of(form, name).words(value) for name, value in changed]
    )
    hold = modifiers.band
    band = f"{hold.band.name or 'band'} from {hold.anchor_height:g} m" if hold else ""
    return ", ".join([*phrases, *changed_words(form, modifiers, band)])


Changed = tuple[Modifiers, frozenset[Lever]]
Ends = dict[str, tuple[float, float]]
"""The lesser and the greater of two rungs' values, by parameter."""

Scales = tuple[tuple[Lane, float], ...]
"""Lanes that may be used, and how much of the upper rung's measure a unit of each lane's is."""


@lru_cache(maxsize=32)
def candidates(
    body: Body,
    lower: Rung,
    upper: Rung,
    hand: ToHand,
    scales: Scales,
    allowed: frozenset[str] | None = None,
) -> Candidates:
    """Everything that might stand between two rungs.

    Args:
        body: whose.
        lower, upper: the rungs; at the lower one's range's foot tempo and range are weighed.
        hand: what can be set up with.
        scales: lanes to take movements from.
        allowed: movements that nothing closes; all if None.
    """
    setups = tuple(_setups(lower, upper, hand, dict(scales), allowed))
    read = survey(body, [(set_up.movement.posture, set_up.modifiers) for set_up in setups])
    scale = np.array([dict(scales)[set_up.movement.posture.lane] for set_up in setups])
    form = lower.movement.posture
    tempos = TEMPOS if form.counted == "reps" else (Tempo(),)
    can = np.flatnonzero(read.possible & (read.demand > 0.0))
    factors = _factors(lower.prescription.low, tempos, read.share[can], form)
    heights = (read.demand * scale)[can][:, None] * factors
    return Candidates(
        setups,
        tempos,
        np.repeat(can, len(tempos)),
        np.tile(np.arange(len(tempos)), len(can)),
        heights.ravel(),
    )


def _factors(reps: float, tempos: tuple[Tempo, ...], shares: Array, form: Form) -> Array:
    """How much heavier each tempo and share of the range counts, shape `(setups, tempos)`."""
    if form.counted != "reps":
        return np.ones((len(shares), 1))
    moving, holding = (
        shares[:, None] * np.array([getattr(tempo, name) for tempo in tempos])
        for name in ("moving", "held")
    )
    cost = moving**ENDURANCE_EXPONENT + HOLD_COST * holding
    seconds = cost ** (1.0 / ENDURANCE_EXPONENT)
    factors = slow_factor(CURVES[form.curve], reps, seconds, ENDURANCE_EXPONENT)
    return np.where(seconds == REFERENCE_REP, 1.0, factors)


def _setups(
    lower: Rung,
    upper: Rung,
    hand: ToHand,
    scales: dict[Lane, float],
    allowed: frozenset[str] | None,
) -> Iterator[SetUpOf]:
    """Every set-up once: under the upper rung's movement, else the lower one's, else the first."""
    seen = set()
    movements = [upper.movement, lower.movement, *catalogue().movement]
    families = {upper.movement.family, lower.movement.family}
    lanes = {upper.movement.posture.lane, lower.movement.posture.lane}
    for movement in dict.fromkeys(movements):
        lane = movement.posture.lane
        if lane not in scales or not (lane in lanes or movement.family in families):
            continue
        if not hand.has(movement.kit) or (allowed is not None and movement.id not in allowed):
            continue
        for set_up in _of(movement, lower, upper, hand):
            key = _same(movement.posture, set_up.modifiers)
            if key not in seen:
                seen.add(key)
                yield set_up
    if hand.has(upper.movement.kit) and (allowed is None or upper.movement.id in allowed):
        yield from _between(lower, upper, hand)


def _same(form: Form, modifiers: Modifiers) -> tuple[object, ...]:
    """What set-ups that are the same in all but words have in common."""
    values = _own(form.id) | dict(modifiers.values)
    return (
        form.id,
        tuple(values.values()),
        modifiers.added_load,
        modifiers.range,
        modifiers.band,
        modifiers.assistance,
    )


@cache
def _own(form_id: str) -> dict[str, float]:
    return form(form_id).values({})


def _of(movement: Movement, lower: Rung, upper: Rung, hand: ToHand) -> Iterator[SetUpOf]:
    """A movement's set-ups: as it is, and as its rungs are, each with something changed."""
    near = [
        replace(rung.modifiers, tempo=Tempo())
        for rung in (lower, upper)
        if rung.movement is movement
    ]
    own = movement.own(Modifiers())
    for start in near:
        yield from _around(movement, start, hand, loaded_shapes=True)
    if own not in near:
        yield from _around(movement, own, hand, loaded_shapes=bool(near))
    if near and movement.unit == "s":
        ends = _ends(lower, upper)
        for start in (*near, own):
            for shape, levers in _pairs(movement.posture, start, hand, ends):
                yield SetUpOf(movement, shape, levers)


def _ends(lower: Rung, upper: Rung) -> Ends:
    both = [rung.movement.posture.values(dict(rung.modifiers.values)) for rung in (lower, upper)]
    names = both[0].keys() | both[1].keys()
    ends = {name: [end[name] for end in both if name in end] for name in names}
    return {name: (min(values), max(values)) for name, values in ends.items()}


def _around(
    movement: Movement, start: Modifiers, hand: ToHand, loaded_shapes: bool
) -> Iterator[SetUpOf]:
    """A movement's set-ups from a start: a measure, the range, a load or a band changed."""
    form = movement.posture
    yield SetUpOf(movement, start)
    shapes = tuple(_shapes(form, start, hand))
    for shape, levers in shapes:
        yield SetUpOf(movement, shape, levers)
    for plain, levers in ((start, frozenset[Lever]()), *(shapes if loaded_shapes else ())):
        for place in _places(form, hand):
            for kg in hand.loads_at(place):
                loaded = _loaded(place, plain, kg)
                if loaded is not None:
                    yield SetUpOf(movement, loaded, levers | {"load"})
    if form.counted == "reps":
        for share in RANGES:
            yield SetUpOf(movement, replace(start, range=share), frozenset({"range"}))
    for band in _bands(form, hand):
        yield SetUpOf(movement, replace(start, band=band), frozenset({"load"}))
    for kg in hand.assistances:
        yield SetUpOf(movement, replace(start, assistance=Assistance(kg)), frozenset({"load"}))


def _shapes(form: Form, start: Modifiers, hand: ToHand) -> Iterator[Changed]:
    """One measure changed."""
    for parameter in form.parameter:
        for amount in _amounts(parameter, hand):
            yield from _changed(start, (parameter, amount))


def _pairs(form: Form, start: Modifiers, hand: ToHand, ends: Ends) -> Iterator[Changed]:
    """Two measures changed, each between the two rungs' own."""
    between = {
        given.name: tuple(
            a for a in _amounts(given, hand) if ends[given.name][0] <= a <= ends[given.name][1]
        )
        for given in form.parameter
    }
    for parameter, other in combinations(form.parameter, 2):
        for first in between[parameter.name]:
            for second in between[other.name]:
                yield from _changed(start, (parameter, first), (other, second))


def _changed(start: Modifiers, *to: tuple[Parameter, float]) -> Iterator[Changed]:
    """A start with some measures set; nothing if that changes nothing."""
    values = dict(start.values) | {parameter.name: amount for parameter, amount in to}
    made = replace(start, values=sorted_values(values))
    if made != start:
        yield made, frozenset("range" if parameter.depth else "lever" for parameter, _ in to)


def _amounts(parameter: Parameter, hand: ToHand) -> tuple[float, ...]:
    """Amounts of a measure that are tried; none where none are."""
    if not parameter.tried:
        return ()
    if parameter.tried == "kit":
        return tuple(h for h in (0.0, *hand.heights) if parameter.low <= h <= parameter.high)
    count = int(round((parameter.high - parameter.low) / parameter.tried, 6)) + 1
    return tuple(round(parameter.low + i * parameter.tried, 6) for i in range(count))


def _places(form: Form, hand: ToHand) -> tuple[str, ...]:
    """Where a load is tried: the first place a form carries one, and whatever there are things
    made for."""
    usual = next((spot for spot in ADDED_LOAD_AT if spot in form.loads), None)
    made_for = [place for place, kilos in hand.placed if kilos and place in form.loads]
    return tuple(dict.fromkeys([*([usual] if usual else []), *made_for]))


def _loaded(place: str, plain: Modifiers, kg: float) -> Modifiers | None:
    """With so many kilos at a place; None where it has some already, or holds no more."""
    if plain.added_load != NOTHING or kg > LOADS[place][1]:
        return None
    return replace(plain, added_load=_worn(place, kg))


NOTHING = AddedLoad()


@lru_cache(maxsize=1024)
def _worn(place: str, kg: float) -> AddedLoad:
    return AddedLoad(**{place: kg})


def _bands(form: Form, hand: ToHand) -> Iterable[BandHold]:
    """Bands that help from a bar, plain and doubled, at the hips."""
    if form.grip != "bar" or form.measure not in ("arms", "torque") or form.level_plane:
        return
    for _, band in hand.bands:
        for made in (band, band.doubled()):
            for height in hand.bars:
                yield BandHold(made, "hips", height)


def _between(lower: Rung, upper: Rung, hand: ToHand) -> Iterator[SetUpOf]:
    """Shapes part of the way from the lower rung's to the upper one's, at heights to hand."""
    if lower.movement.form != upper.movement.form:
        return
    form = upper.movement.posture
    first, last = (form.values(dict(rung.modifiers.values)) for rung in (lower, upper))
    fixed = [parameter.name for parameter in form.parameter if parameter.tried == "kit"]
    if first == last or any(first[name] != last[name] for name in fixed):
        return
    for share in BETWEEN:
        values = {
            name: round(first[name] + share * (last[name] - first[name]), 4) for name in first
        }
        yield SetUpOf(
            upper.movement,
            replace(upper.modifiers, values=sorted_values(values), tempo=Tempo()),
            frozenset({"lever"}),
            f"{100 * share:.0f} % of the way from “{lower.name}” to “{upper.name}”",
        )
