"""Ways to the next step: each thing that can be changed, alone, by as much as the step asks.

A coach who wants five per cent more can put kilos in the bag, centimetres under the feet, the hands
lower or further along the body, or seconds into the lowering. Each is solved for on the model and
shown beside the others, so that equal choices can be compared.
"""

from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from typing import Literal

from invelo.core.body import Body
from invelo.core.errors import InputError, require_within
from invelo.core.estimate import Z80, Derivation, Estimate, Input
from invelo.core.ladder import load_ratio, relative_range
from invelo.core.movement import Modifiers
from invelo.core.placement import Evidence
from invelo.core.reps import equivalent_ratio
from invelo.core.rung import Demand, Rung, demand
from invelo.core.tempo import ENDURANCE_EXPONENT, ENDURANCE_EXPONENT_SD

Dial = Literal["bag", "feet", "hands", "along", "lowering"]

STEP_RANGE = (-0.5, 1.0)
"""Steps that can be asked for, as a share of the demand."""

BAG_HOLDS = 15.0
"""Kilos a bag holds (common practice: about fifteen)."""

SCAN = 16
HALVINGS = 9
"""A dial is scanned in this many parts, and the part with the answer halved this often: to a
fifth of a millimetre in a metre."""


@dataclass(frozen=True)
class _Range:
    """How far one thing can be changed.

    Attributes:
        unit: of the amount.
        low, high: its ends.
        grain: to what it is rounded when it is set up for real.
        get, put: where it stands on a rung's modifiers.
        end: why it goes no further.
        words: how a rung's name tells an amount of it.
    """

    unit: str
    low: float
    high: float
    grain: float
    get: Callable[[Modifiers], float]
    put: Callable[[Modifiers, float], Modifiers]
    end: str
    words: Callable[[float], str]


DIALS: dict[Dial, _Range] = {
    "bag": _Range(
        "kg",
        0.0,
        BAG_HOLDS,
        0.5,
        lambda m: m.worn.bag,
        lambda m, x: replace(m, worn=replace(m.worn, bag=x)),
        f"a bag holds about {BAG_HOLDS:g} kg and cannot weigh less than nothing",
        lambda x: f"bag {x:g} kg",
    ),
    "feet": _Range(
        "m",
        0.0,
        1.0,
        0.01,
        lambda m: m.foot_height,
        lambda m, x: replace(m, foot_height=x),
        "raising the feet no longer adds load, or they are on the floor",
        lambda x: f"feet {100 * x:.0f} cm",
    ),
    "hands": _Range(
        "m",
        0.0,
        1.1,
        0.01,
        lambda m: m.hand_height,
        lambda m, x: replace(m, hand_height=x),
        "the hands are on the floor, or higher than this body leans on",
        lambda x: f"hands {100 * x:.0f} cm",
    ),
    "along": _Range(
        "m",
        -0.3,
        0.3,
        0.01,
        lambda m: m.hand_offset,
        lambda m, x: replace(m, hand_offset=x),
        "the hands are as far along the body as is useful",
        lambda x: f"hands {100 * x:.0f} cm along",
    ),
    "lowering": _Range(
        "s",
        0.5,
        10.0,
        0.1,
        lambda m: m.tempo.lower,
        lambda m, x: replace(m, tempo=replace(m.tempo, lower=x)),
        "no one lowers in less than half a second or more than ten",
        lambda x: f"lowering {x:g} s",
    ),
}
"""Ends are common practice."""


@dataclass(frozen=True)
class Way:
    """One thing changed alone.

    Attributes:
        dial: what is changed.
        unit: of `now` and `to`.
        now: as the rung has it.
        to: as the step asks for it, None where it cannot be reached.
        demand: of the changed rung.
        expected: reps to failure this athlete likely has there.
        why_not: why it cannot be reached, '' if it can.
    """

    dial: Dial
    unit: str
    now: float
    to: Estimate | None = None
    demand: Demand | None = None
    expected: Estimate | None = None
    why_not: str = ""


def ways(body: Body, rung: Rung, step: float, known: Evidence) -> tuple[Way, ...]:
    """Each dial turned alone until `rung` asks `step` more (or less) of `body`.

    Args:
        body: whose.
        rung: from where.
        step: as a share of the rung's demand, −0.5 to 1; 0.05 is five per cent more.
        known: the evidence that speaks for the athlete, for the expected reps.

    Raises:
        InputError: for a step out of range or of nothing.

    Source: root-finding on the model, bounded by what each dial allows.
    """
    require_within("step", step, *STEP_RANGE, "of the demand")
    if step == 0.0:
        raise InputError("step", "it is nothing.", "Ask for a few per cent more or less.")
    here = demand(body, rung)
    return tuple(_way(body, rung, here, dial, step, known) for dial in DIALS)


def changed(rung: Rung, dial: Dial, amount: float) -> Rung:
    """The rung with one dial turned to an amount that can be set up for real, named for it.

    Raises:
        InputError: for an amount beyond the dial's ends.
    """
    span = DIALS[dial]
    require_within(dial, amount, span.low, span.high, span.unit)
    rounded = round(round(amount / span.grain) * span.grain, 6)
    return replace(
        rung,
        name=f"{rung.name}, {span.words(rounded)}",
        modifiers=span.put(rung.modifiers, rounded),
    )


def _way(body: Body, rung: Rung, here: Demand, dial: Dial, step: float, known: Evidence) -> Way:
    span = DIALS[dial]
    now = span.get(rung.modifiers)

    def turned(amount: float) -> Rung:
        return replace(rung, modifiers=span.put(rung.modifiers, amount))

    def ratios(amount: float) -> tuple[float, float, float] | None:
        """Demand there ÷ demand here: low, likely, high; None where no body goes."""
        try:
            there = demand(body, turned(amount))
        except InputError:
            return None
        return _ratio(rung, here, there)

    found = [_solve(ratios, i, span, now, 1.0 + step) for i in range(3)]
    likely = found[1]
    if likely is None:
        return Way(dial, span.unit, now, why_not=span.end)
    ends = [x if x is not None else _end(span, now, likely) for x in (found[0], found[2])]
    there = demand(body, turned(likely))
    return Way(
        dial,
        span.unit,
        now,
        Estimate(
            likely,
            min(likely, *ends),
            max(likely, *ends),
            span.unit,
            Derivation(
                "This alone is changed until the demand is the asked share greater; found by "
                "halving. The range is where the step's own range meets it.",
                (
                    Input("now", now, span.unit),
                    Input("demand now", here.on_scale.likely, "kg"),
                    Input("step", 100 * step, "%"),
                    Input("demand then", there.on_scale.likely, "kg"),
                ),
                here.load.top.derivation.sources,
            ),
        ),
        there,
        known.capacity.predict(
            there.load.top.likely,
            turned(likely).modifiers.tempo,
            relative_range(there.load, known.load),
        ),
    )


def _ratio(rung: Rung, here: Demand, there: Demand) -> tuple[float, float, float]:
    """Demand there ÷ here with its 80 % ends: loads of one body, and how tempo tells on it."""
    plain, low, high = load_ratio(there.load, here.load)

    def factor(exponent: float) -> float:
        slow, quick = (
            equivalent_ratio(rung.dose.reps_low, seconds, exponent)
            for seconds in (there.rep_time, here.rep_time)
        )
        return slow / quick

    tempo = factor(ENDURANCE_EXPONENT)
    if there.rep_time == here.rep_time:
        return low, plain, high
    spread = Z80 * ENDURANCE_EXPONENT_SD
    ends = sorted(factor(ENDURANCE_EXPONENT + sign * spread) / tempo for sign in (-1, 1))
    return low * tempo * ends[0], plain * tempo, high * tempo * ends[1]


def _solve(
    ratios: Callable[[float], tuple[float, float, float] | None],
    which: int,
    span: _Range,
    now: float,
    wanted: float,
) -> float | None:
    """The amount nearest to `now` at which one of the three ratios is `wanted`."""
    answers = [
        amount
        for end in (span.high, span.low)
        if (amount := _towards(ratios, which, now, end, wanted)) is not None
    ]
    return min(answers, key=lambda amount: abs(amount - now), default=None)


def _towards(
    ratios: Callable[[float], tuple[float, float, float] | None],
    which: int,
    now: float,
    end: float,
    wanted: float,
) -> float | None:
    last = now
    above = wanted < 1.0  # at `now` the ratio is 1
    for amount in _steps(now, end):
        here = ratios(amount)
        if here is None:
            return None
        if (here[which] >= wanted) != above:
            return _halve(ratios, which, last, amount, wanted, above)
        last = amount
    return None


def _steps(now: float, end: float) -> Iterator[float]:
    return (now + (end - now) * i / SCAN for i in range(1, SCAN + 1) if end != now)


def _halve(
    ratios: Callable[[float], tuple[float, float, float] | None],
    which: int,
    near: float,
    far: float,
    wanted: float,
    above: bool,
) -> float:
    for _ in range(HALVINGS):
        middle = (near + far) / 2
        here = ratios(middle)
        if here is None or (here[which] >= wanted) != above:
            far = middle
        else:
            near = middle
    return (near + far) / 2


def _end(span: _Range, now: float, likely: float) -> float:
    """Where a bound of the range lies when no amount reaches it: the dial's own end."""
    return span.high if likely > now else span.low
