"""The leverage bench: two set-ups of one body side by side, and what would make them equal.

Everything here joins what the other pages compute; the questions are a coach's: how much harder is
this than that, what equals it, which band is enough.
"""

from collections.abc import Callable, Iterable
from dataclasses import dataclass, replace

from invelo.domain.bench.solve import SolvedAmount, solve
from invelo.domain.biomechanics.adjustable import Adjustable, adjustable_of, changed_words
from invelo.domain.biomechanics.body import GRAVITY, Body
from invelo.domain.biomechanics.posture.form import Form, form
from invelo.domain.biomechanics.ratio import Triple, demand_ratio, load_ratio
from invelo.domain.biomechanics.reading import Reading, reading
from invelo.domain.biomechanics.setup import PLACES, BandHold, Place, SetUp
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError
from invelo.domain.estimate import Derivation, Estimate, Input
from invelo.domain.ladder.rung import Demand, asked
from invelo.domain.strength.bands import Band
from invelo.domain.strength.predict import Known, compare, whole_reps

WEIGHED_AT = 8.0
"""Reps at which tempo is weighed where no prescription says otherwise (ours: the middle of
6–10)."""

HIGHEST_ANCHOR = 5.0
"""Metres above the floor beyond which no band is hung (ours)."""


@dataclass(frozen=True)
class LeverageTask:
    """A form with what is changed about it, its tempo included."""

    form_id: str
    changes: Modifiers

    @property
    def form(self) -> Form:
        """The form."""
        return form(self.form_id)

    @property
    def setup(self) -> SetUp:
        """What is set up, without the tempo."""
        return self.changes.of_form(self.form_id)

    @property
    def words(self) -> str:
        """The set-up as a coach would call it: the form, its shape, and what is changed."""
        form, changes = self.form, self.changes
        phrases = [form.name, *_shape_words(self)]
        return ", ".join([*phrases, *changed_words(form, changes, "with a band")])

    def asks(self, body: Body, reps: float = WEIGHED_AT) -> Demand:
        """What it asks of a body, its tempo weighed at so many reps."""
        return asked(body, self.setup, self.changes.tempo, reps)


def _shape_words(task: LeverageTask) -> list[str]:
    """A named shape by its name; one that is a matter of lengths, and what has no name, by what is
    changed."""
    form, values = task.form, dict(task.setup.values)
    units = {parameter.name: parameter.unit for parameter in form.parameter}
    if any(units[name] != "m" for name in values):
        for name, preset in form.preset.items():
            if form.values(preset) == task.setup.all_values:
                return [name.replace("_", " ")]
    return [adjustable_of(form, name).words(value) for name, value in values.items()]


def against(body: Body, leverage_task: LeverageTask, other: LeverageTask) -> Estimate:
    """How many times as hard `other` is as `one`.

    Raises:
        InputError: if the two are limited by different things, or `one` asks nothing.
    """
    compare(leverage_task.setup, other.setup)
    here, there = leverage_task.asks(body), other.asks(body)
    if here.load.demand.likely <= 0.0:
        raise InputError("first set-up", "it asks nothing.", "Add load or take assistance away.")
    low, likely, high = demand_ratio(there, here, WEIGHED_AT)
    return Estimate(
        likely,
        low,
        high,
        "×",
        Derivation(
            "Demand of the second set-up ÷ demand of the first, tempo counted as load. The range "
            "is that of one body doing both.",
            (
                Input("first", here.estimate.likely, here.estimate.unit),
                Input("second", there.estimate.likely, there.estimate.unit),
            ),
            ("ours", *here.load.demand.derivation.sources),
        ),
    )


@dataclass(frozen=True)
class Solution:
    """One dial turned until the aim is met.

    Attributes:
        adjustable: what was turned.
        now: where it stands.
        to: where it meets the aim; None where it cannot.
        task: the set-up with the dial there, rounded to what can be set up.
        unavailable_reason: why it cannot, '' if it can.
    """

    adjustable: Adjustable
    now: float
    to: Estimate | None = None
    task: LeverageTask | None = None
    unavailable_reason: str = ""


def as_hard_as(
    body: Body,
    task: LeverageTask,
    name: str,
    model: LeverageTask,
    step: float = 0.0,
    reps: float = WEIGHED_AT,
) -> Solution:
    """Turn one dial of `task` until it is as hard as `model`, or a step harder or easier.

    Args:
        body: whose.
        task: the set-up that is changed.
        name: of the dial.
        model: what it is to equal.
        step: share on top; 0.05 is five per cent harder.
        reps: at which tempo is weighed.

    Raises:
        InputError: if the two are limited by different things, or there is no such dial.
    """
    compare(task.setup, model.setup)
    wanted = model.asks(body, reps)

    def ratio(changes: Modifiers) -> Triple:
        return demand_ratio(LeverageTask(task.form_id, changes).asks(body, reps), wanted, reps)

    words = "This alone is changed until the demand equals the aim's"
    if step:
        words += f" {'plus' if step > 0 else 'less'} {abs(100 * step):g} %"
    inputs = (
        Input("demand aimed at", wanted.estimate.likely, wanted.estimate.unit),
        Input("step", 100 * step, "%"),
    )
    aim = 1.0 + step
    return _turn(task, name, ratio, (aim, aim, aim), words, inputs)


def for_count(known: Known, task: LeverageTask, name: str, count: float) -> Solution:
    """Turn one dial of `task` until so many reps or seconds are just there.

    Raises:
        InputError: if what is known is limited by something else, or for a count out of range.
    """
    compare(task.setup, known.done.setup)
    adjustable = adjustable_of(task.form, name)
    if adjustable.lengthens:
        unavailable_reason = "a longer or shorter rep changes the count itself; turn another"
        return Solution(
            adjustable, adjustable.get(task.changes), unavailable_reason=unavailable_reason
        )
    allowed = _allowed(known, task, count)
    tested = known.load.demand.likely

    def ratio(changes: Modifiers) -> Triple:
        return load_ratio(reading(known.body, changes.of_form(task.form_id)), known.load)

    return _turn(
        task,
        name,
        ratio,
        (allowed.low / tested, allowed.likely / tested, allowed.high / tested),
        f"This alone is changed until {count:g} {'s' if task.form.counted == 'hold' else 'reps'} "
        "are just there",
        (Input("demand allowed", allowed.likely, allowed.unit), *allowed.derivation.inputs),
    )


def _allowed(known: Known, task: LeverageTask, count: float) -> Estimate:
    """The demand at which a count of the task's reps is just there."""
    return known.allowed(count, whole_reps(reading(known.body, task.setup), task.changes.tempo))


def _turn(
    task: LeverageTask,
    name: str,
    ratio: Callable[[Modifiers], Triple],
    wanted: Triple,
    words: str,
    inputs: tuple[Input, ...],
) -> Solution:
    adjustable = adjustable_of(task.form, name)
    now = adjustable.get(task.changes)

    def quantity(amount: float) -> Triple | None:
        try:
            return ratio(adjustable.put(task.changes, amount))
        except InputError:
            return None

    ratio(task.changes)  # what is wrong with the set-up itself is said, not taken for an end
    solved_amount = solve(quantity, adjustable.low, adjustable.high, now, wanted)
    if solved_amount is None:
        return Solution(adjustable, now, unavailable_reason=adjustable.end)
    return Solution(
        adjustable,
        now,
        _answer(
            solved_amount, adjustable.unit, words, (Input("now", now, adjustable.unit), *inputs)
        ),
        LeverageTask(
            task.form_id,
            adjustable.turned(
                task.changes, min(adjustable.high, max(adjustable.low, solved_amount.likely))
            ),
        ),
    )


def _answer(
    solved_amount: SolvedAmount, unit: str, words: str, inputs: tuple[Input, ...]
) -> Estimate:
    return Estimate(
        solved_amount.likely,
        solved_amount.low,
        solved_amount.high,
        unit,
        Derivation(
            f"{words}; found by secants on the model. The range is where the figures' own range "
            "meets it.",
            inputs,
            ("ours",),
        ),
    )


def least_assistance(known: Known, task: LeverageTask, count: float) -> Estimate:
    """How much of the demand must be taken off so that a count is just there, kg or N·m.

    Returns:
        0 where it is there without help.

    Raises:
        InputError: if what is known is limited by something else.
    """
    compare(task.setup, known.done.setup)
    allowed = _allowed(known, task, count)
    asks = reading(known.body, task.setup).demand
    low, likely, high = (
        max(0.0, asks.likely - part) for part in (allowed.high, allowed.likely, allowed.low)
    )
    return Estimate(
        likely,
        low,
        high,
        asks.unit,
        Derivation(
            "What the set-up asks less what the capacity allows for that count.",
            (
                Input("asked", asks.likely, asks.unit),
                Input("allowed", allowed.likely, allowed.unit),
                *allowed.derivation.inputs,
            ),
            allowed.derivation.sources,
        ),
    )


@dataclass(frozen=True)
class BandChoice:
    """One band, and where it must hang.

    Attributes:
        name: of the band.
        anchor: height of its upper end above the floor, m; None where it cannot do it.
        pull: what it gives there, kg.
        stretch: its length there ÷ rest length.
        expected: reps or seconds with the band hung there.
        task: the set-up with it.
        unavailable_reason: why it cannot, '' if it can.
    """

    name: str
    anchor: Estimate | None = None
    pull: Estimate | None = None
    stretch: float | None = None
    expected: Estimate | None = None
    task: LeverageTask | None = None
    unavailable_reason: str = ""


def both_ways(bands: Iterable[tuple[str, Band]]) -> tuple[tuple[str, Band], ...]:
    """Each band plain, and folded in two."""
    return tuple(
        way for name, band in bands for way in ((name, band), (f"{name}, doubled", band.doubled()))
    )


def bands_for(
    known: Known,
    task: LeverageTask,
    count: float,
    bands: tuple[tuple[str, Band], ...],
    at: Place = "hips",
) -> tuple[BandChoice, ...]:
    """Which bands, hung straight above the body, bring a count within reach, and how high.

    Args:
        known: what the body has done.
        task: the set-up that needs help; a band it has is replaced.
        count: reps or seconds wanted.
        bands: what there is, by name.
        at: where the band takes hold.

    Raises:
        InputError: if what is known is limited by something else.
    """
    bare = LeverageTask(task.form_id, replace(task.changes, band=None))
    compare(bare.setup, known.done.setup)
    return tuple(_band(known, bare, count, name, band, at) for name, band in bands)


def _band(
    known: Known, bare: LeverageTask, count: float, name: str, band: Band, at: Place
) -> BandChoice:
    plain = reading(known.body, bare.setup)
    place = float(plain.posture.joints[PLACES[at][1]][0, 0, 1])
    if least_assistance(known, bare, count).likely == 0.0:
        return BandChoice(name, unavailable_reason="no assistance is needed")
    allowed = _allowed(known, bare, count)
    tested = known.load.demand.likely

    def hung(height: float) -> LeverageTask:
        return LeverageTask(
            bare.form_id, replace(bare.changes, band=BandHold(band, at, anchor_height=height))
        )

    def quantity(height: float) -> Triple | None:
        try:
            return load_ratio(reading(known.body, hung(height).setup), known.load)
        except InputError:
            return None

    slack = place + band.rest
    highest = min(HIGHEST_ANCHOR, place + band.rest * band.limit * 0.98)
    wanted = (allowed.low / tested, allowed.likely / tested, allowed.high / tested)
    solved_amount = solve(quantity, slack, highest, slack, wanted) if slack < highest else None
    if solved_amount is None:
        return BandChoice(
            name,
            unavailable_reason="too thin: it would stretch past its limit. Double it or add one",
        )
    task = hung(round(solved_amount.likely, 2))
    there = reading(known.body, task.setup)
    length = _length(there)
    return BandChoice(
        name,
        _answer(
            solved_amount,
            "m",
            f"The band's upper end is raised until {count:g} are just there",
            (Input("rest length", band.rest, "m"), Input("height of the body's place", place, "m")),
        ),
        _in_kilos(band.pull(length)),
        length / band.rest,
        known.expected(there, task.changes.tempo),
        task,
    )


def _length(read: Reading) -> float:
    hold = read.setup.band
    assert hold is not None  # noqa: S101  (asked of a set-up with a band)
    place = float(read.posture.joints[PLACES[hold.at][1]][0, 0, 1])
    return abs(hold.anchor_height - place)


def _in_kilos(pull: Estimate) -> Estimate:
    return Estimate(
        pull.likely / GRAVITY, pull.low / GRAVITY, pull.high / GRAVITY, "kg", pull.derivation
    )
