"""Settings of a rung: the same movement a step harder or easier, by one thing, in real pieces.

A second more of the eccentric, a pause, the next piece of load, the next height, the next band:
each alone, as it can be set up with what is to hand.
"""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from math import floor
from typing import Literal

from invelo.domain.biomechanics.adjustable import Adjustable, adjustable_of, adjustables
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import form
from invelo.domain.biomechanics.setup import Assistance
from invelo.domain.equipment.kit import ToHand
from invelo.domain.errors import InputError
from invelo.domain.ladder.rung import Rung, demand
from invelo.domain.ladder.step_policy import Lever, StepPolicy

SLOWEST = 4.0
"""Seconds of the eccentric beyond which none is set (common practice)."""

LONGEST_PAUSE = 2.0
"""Seconds of a pause beyond which none is set (common practice)."""

LEAST_STEP, MOST_STEP = 1.01, 1.25
"""How many times harder, or easier, a setting is at least and at most (ours)."""

MOST_ASSISTANCE_STEP = 2.0
"""The same of help that is taken away or added: bands come in few sizes."""

ASSISTANCE_STEP = 2.5
"""Kilos by which assistance changes where no piece is known."""

Change = Literal["eccentric", "pause", "load", "height", "assistance"]


@dataclass(frozen=True)
class Setting:
    """A rung changed by one thing.

    Attributes:
        lever: kind of change.
        change: which.
        rung: as changed, named for it.
        ratio: its demand ÷ that of the rung.
    """

    lever: Lever
    change: Change
    rung: Rung
    ratio: float


def harder(body: Body, rung: Rung, hand: ToHand, policy: StepPolicy) -> tuple[Setting, ...]:
    """Each change alone that makes a rung a step harder: less assistance first, then in the coach's
    order; of each lever the smallest."""
    return _ordered(body, rung, hand, policy, up=True)


def easier(body: Body, rung: Rung, hand: ToHand, policy: StepPolicy) -> tuple[Setting, ...]:
    """Each change alone that makes a rung a step easier: more assistance first."""
    return _ordered(body, rung, hand, policy, up=False)


def _ordered(
    body: Body, rung: Rung, hand: ToHand, policy: StepPolicy, up: bool
) -> tuple[Setting, ...]:
    settings: dict[tuple[Lever, Change], Setting] = {}
    now = demand(body, rung).height
    if not now > 0.0:
        return ()
    for lever, change, changed in _changes(rung, hand, up):
        there = demand(body, changed)
        if there.refused or there.on_scale is None:
            continue
        ratio = there.height / now
        step = ratio if up else 1.0 / max(ratio, 1e-9)
        most = MOST_ASSISTANCE_STEP if change == "assistance" else MOST_STEP
        if not LEAST_STEP <= step <= most:
            continue
        best = settings.get((lever, change))
        nearer = best is None or step < (best.ratio if up else 1.0 / best.ratio)
        if nearer:
            settings[lever, change] = Setting(lever, change, changed, ratio)

    def rank(setting: Setting) -> tuple[int, int, float]:
        first = setting.change == "assistance"
        return (0 if first else 1, policy.order.index(setting.lever), setting.ratio)

    return tuple(sorted(settings.values(), key=rank))


def _changes(rung: Rung, hand: ToHand, up: bool) -> Iterator[tuple[Lever, Change, Rung]]:
    yield from _assistances(rung, hand, up)
    reps = rung.prescription.unit == "reps"
    tempo = rung.modifiers.tempo
    if reps:
        lower = floor(tempo.lower) + 1.0 if up else tempo.lower - 1.0
        if 1.0 <= lower <= max(SLOWEST, tempo.lower if not up else SLOWEST):
            yield from _turned(rung, "eccentric", lower, "tempo", "eccentric")
        pause = tempo.bottom + (1.0 if up else -1.0)
        if 0.0 <= pause <= LONGEST_PAUSE:
            yield from _turned(rung, "pause", pause, "tempo", "pause")
    for adjustable in adjustables(form(rung.movement.form)):
        now = adjustable.get(rung.modifiers)
        if adjustable.name in form(rung.movement.form).loads and reps:
            for kilos in (0.0, *hand.loads_at(adjustable.name)):
                if (kilos > now) is up and kilos != now:
                    yield from _turned(rung, adjustable.name, kilos, "load", "load")
        elif _set_by_kit(rung, adjustable):
            for height in (0.0, *hand.heights):
                if height != now:
                    yield from _turned(rung, adjustable.name, height, "lever", "height")


def _set_by_kit(rung: Rung, adjustable: Adjustable) -> bool:
    return any(
        parameter.name == adjustable.name and parameter.tried == "kit"
        for parameter in form(rung.movement.form).parameter
    )


def _turned(
    rung: Rung, name: str, amount: float, lever: Lever, change: Change
) -> Iterator[tuple[Lever, Change, Rung]]:
    adjustable = adjustable_of(form(rung.movement.form), name)
    try:
        modifiers = adjustable.turned(rung.modifiers, amount)
    except InputError:
        return
    now = adjustable.rounded(adjustable.get(rung.modifiers))
    base = rung.name.removesuffix(f", {adjustable.words(now)}")
    words = adjustable.words(adjustable.rounded(amount))
    plain = amount == 0.0 or (name == "eccentric" and amount == 1.0)
    yield (
        lever,
        change,
        replace(rung, name=base if plain else f"{base}, {words}", modifiers=modifiers),
    )


def _assistances(rung: Rung, hand: ToHand, up: bool) -> Iterator[tuple[Lever, Change, Rung]]:
    modifiers = rung.modifiers
    if modifiers.band is not None:
        base = rung.name.split(", band")[0]
        for name, band in hand.bands:
            for made, folded in ((band, ""), (band.doubled(), " doubled")):
                assisted = replace(modifiers.band, band=made)
                yield (
                    "load",
                    "assistance",
                    replace(
                        rung,
                        name=f"{base}, band {name}{folded}",
                        modifiers=replace(modifiers, band=assisted),
                    ),
                )
        if up:
            yield (
                "load",
                "assistance",
                replace(rung, name=base, modifiers=replace(modifiers, band=None)),
            )
        return
    now = modifiers.assistance.kg if modifiers.assistance else 0.0
    if up and now <= 0.0:
        return
    base = rung.name.removesuffix(f", {now:g} kg assistance")
    pieces = [kilos for kilos in hand.assistances if (kilos < now) is up and kilos != now]
    step = -ASSISTANCE_STEP if up else ASSISTANCE_STEP
    at = modifiers.assistance.at if modifiers.assistance else "hips"
    for kilos in pieces or [now + step, now + 2 * step]:
        left = max(0.0, kilos)
        yield (
            "load",
            "assistance",
            replace(
                rung,
                name=base if left == 0.0 else f"{base}, {left:g} kg assistance",
                modifiers=replace(modifiers, assistance=Assistance(left, at) if left else None),
            ),
        )
