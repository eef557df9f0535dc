"""Ways to the next step: each thing that can be changed, alone, by as much as the step asks.

A coach who wants five per cent more can put kilos in the bag, centimetres under the feet, the hands
lower or further along the body, or seconds into the lowering. Each is solved for on the model and
shown beside the others, so that equal choices can be compared.
"""

from dataclasses import dataclass, replace

from invelo.domain.bench.comparison import LeverageTask, as_hard_as
from invelo.domain.biomechanics.adjustable import Adjustable, adjustable_of, adjustables
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import form
from invelo.domain.errors import InputError, require_within
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.rung import Demand, Rung
from invelo.domain.strength.capacity import Pool

STEP_RANGE = (-0.5, 1.0)
"""Steps that can be asked for, as a share of the demand."""

NOT_WAYS = ("assistance", "width", "strap_height", "strap_ahead")
"""Dials that are no way to a next step of their own: help is for what is out of reach, and the rest
say how a thing is rigged."""


@dataclass(frozen=True)
class Adjustment:
    """One thing changed alone.

    Attributes:
        adjustable: what is changed.
        now: as the rung has it.
        to: as the step asks for it, None where it cannot be reached.
        demand: of the changed rung.
        expected: reps to failure, or seconds, this athlete likely has there.
        unavailable_reason: why it cannot be reached, '' if it can.
    """

    adjustable: Adjustable
    now: float
    to: Estimate | None = None
    demand: Demand | None = None
    expected: Estimate | None = None
    unavailable_reason: str = ""


def adjustments(body: Body, rung: Rung, step: float, known: Pool | None) -> tuple[Adjustment, ...]:
    """Each dial turned alone until `rung` asks `step` more (or less) of `body`.

    Args:
        body: whose.
        rung: from where.
        step: as a share of the rung's demand, −0.5 to 1; 0.05 is five per cent more.
        known: the evidence that speaks for the athlete, for the expected count, if there is any.

    Raises:
        InputError: for a step out of range or of nothing.

    Source: root-finding on the model, bounded by what each dial allows.
    """
    require_within("step", step, *STEP_RANGE, "of the demand")
    if step == 0.0:
        raise InputError("step", "it is nothing.", "Ask for a few per cent more or less.")
    turnable = adjustables(form(rung.movement.form))
    return tuple(
        _way(body, rung, adjustable.name, step, known)
        for adjustable in turnable
        if adjustable.name not in NOT_WAYS
    )


def changed(rung: Rung, name: str, amount: float) -> Rung:
    """The rung with one dial turned to an amount that can be set up for real, named for it.

    Raises:
        InputError: for no such dial, or an amount beyond its ends.
    """
    adjustable = adjustable_of(form(rung.movement.form), name)
    return replace(
        rung,
        name=f"{rung.name}, {adjustable.words(adjustable.rounded(amount))}",
        modifiers=adjustable.turned(rung.modifiers, amount),
    )


def _way(body: Body, rung: Rung, name: str, step: float, known: Pool | None) -> Adjustment:
    here = LeverageTask(rung.movement.form, rung.modifiers)
    reps = rung.prescription.low
    solution = as_hard_as(body, here, name, here, step, reps)
    if solution.to is None:
        return Adjustment(
            solution.adjustable, solution.now, unavailable_reason=solution.unavailable_reason
        )
    there = LeverageTask(here.form_id, solution.adjustable.put(rung.modifiers, solution.to.likely))
    reached = there.asks(body, reps)
    return Adjustment(
        solution.adjustable,
        solution.now,
        solution.to,
        reached,
        known.expected(reached.load, there.changes.tempo) if known else None,
    )
