"""Ways to the next step: each thing that can be changed, alone, by as much as the step asks.

A coach who wants five per cent more can put kilos in the bag, centimetres under the feet, the hands
lower or further along the body, or seconds into the lowering. Each is solved for on the model and
shown beside the others, so that equal choices can be compared.
"""

from dataclasses import dataclass, replace

from invelo.core.body import Body
from invelo.core.dial import Dial, dial, dials
from invelo.core.errors import InputError, require_within
from invelo.core.estimate import Derivation, Estimate, Input
from invelo.core.movement import Modifiers
from invelo.core.placement import Evidence
from invelo.core.posture.form import form
from invelo.core.ratio import Triple, demand_ratio, relative_range, work_ratio
from invelo.core.rung import Demand, Rung, asked, demand
from invelo.core.solve import solve

STEP_RANGE = (-0.5, 1.0)
"""Steps that can be asked for, as a share of the demand."""

NOT_WAYS = ("help", "width", "strap_height", "strap_ahead")
"""Dials that are no way to a next step of their own: help is for what is out of reach, and the rest
say how a thing is rigged."""


@dataclass(frozen=True)
class Way:
    """One thing changed alone.

    Attributes:
        dial: what is changed.
        now: as the rung has it.
        to: as the step asks for it, None where it cannot be reached.
        demand: of the changed rung.
        expected: reps to failure this athlete likely has there.
        why_not: why it cannot be reached, '' if it can.
    """

    dial: Dial
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
        step: as a share of the rung's demand, −0.5 to 1; 0.05 is five per cent more. Range and
            depth change the work of a rep instead, by the same share.
        known: the evidence that speaks for the athlete, for the expected reps.

    Raises:
        InputError: for a step out of range or of nothing.

    Source: root-finding on the model, bounded by what each dial allows.
    """
    require_within("step", step, *STEP_RANGE, "of the demand")
    if step == 0.0:
        raise InputError("step", "it is nothing.", "Ask for a few per cent more or less.")
    here = demand(body, rung)
    turnable = dials(form(rung.movement.form))
    return tuple(
        _way(body, rung, here, one, step, known) for one in turnable if one.name not in NOT_WAYS
    )


def changed(rung: Rung, name: str, amount: float) -> Rung:
    """The rung with one dial turned to an amount that can be set up for real, named for it.

    Raises:
        InputError: for no such dial, or an amount beyond its ends.
    """
    one = dial(form(rung.movement.form), name)
    return replace(
        rung,
        name=f"{rung.name}, {one.words(one.rounded(amount))}",
        modifiers=one.turned(rung.modifiers, amount),
    )


def _way(body: Body, rung: Rung, here: Demand, one: Dial, step: float, known: Evidence) -> Way:
    now = one.get(rung.modifiers)
    reps = rung.dose.reps_low

    def turned(amount: float) -> Modifiers:
        return one.put(rung.modifiers, amount)

    def there(amount: float) -> Demand:
        modifiers = turned(amount)
        return asked(body, modifiers.setup(rung.movement), modifiers.tempo, reps)

    def ratios(amount: float) -> Triple | None:
        """Demand (or work) there ÷ here: low, likely, high; None where no body goes."""
        try:
            found = there(amount)
        except InputError:
            return None
        if one.by_work:
            return work_ratio(found.load, here.load)
        return demand_ratio(found, here, reps)

    wanted = 1.0 + step
    found = solve(ratios, one.low, one.high, now, (wanted, wanted, wanted))
    if found is None:
        return Way(one, now, why_not=one.end)
    reached = there(found.likely)
    what, unit = ("work of a rep", "J") if one.by_work else ("demand", here.load.unit)
    before, after = (
        (d.load.work.likely if one.by_work else d.on_scale.likely) for d in (here, reached)
    )
    return Way(
        one,
        now,
        Estimate(
            found.likely,
            found.low,
            found.high,
            one.unit,
            Derivation(
                f"This alone is changed until the {what} is the asked share greater; found by "
                "halving. The range is where the step's own range meets it.",
                (
                    Input("now", now, one.unit),
                    Input(f"{what} now", before, unit),
                    Input("step", 100 * step, "%"),
                    Input(f"{what} then", after, unit),
                ),
                here.load.demand.derivation.sources,
            ),
        ),
        reached,
        known.capacity.predict(
            reached.load.demand.likely,
            turned(found.likely).tempo,
            relative_range(reached.load, known.load),
        ),
    )
