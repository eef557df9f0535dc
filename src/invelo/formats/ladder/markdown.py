"""A ladder to read: Markdown with its rungs, hardest on top, and its steps."""

from invelo.domain.estimate import Estimate
from invelo.domain.ladder.ladder import MeasuredLadder, Step
from invelo.domain.ladder.rung import Rung
from invelo.domain.ladder.workshop import LadderGraph
from invelo.domain.plan.prescription import IN_WORDS
from invelo.formats.markdown import literal


def markdown(goal: str, whose: str, drawing: LadderGraph, measured: MeasuredLadder) -> str:
    """A ladder as a table, the hardest rung on top.

    Args:
        goal: of the ladder.
        whose: body it is measured for, in words.
        drawing, measured: the ladder.
    """
    lines = [
        f"# {literal(goal)}",
        "",
        f"Measured for {literal(whose)}. Ranges hold the value 8 times of 10.",
        "",
        "| | Rung | Demand | Step from below | Prescription | Criterion |",
        "|---|---|---|---|---|---|",
    ]
    for i in reversed(range(len(measured.rungs))):
        rung, demand = measured.rungs[i], measured.demands[i]
        steps = [step for step in measured.steps if step.upper == i]
        cells = (
            str(i + 1),
            literal(rung.name),
            _told(demand.on_scale) if demand.on_scale else "by effort",
            "; ".join(_step(step, measured, len(steps) > 1) for step in steps) or "–",
            prescription_words(rung),
            criterion_words(rung),
        )
        lines.append(f"| {' | '.join(cells)} |")
    reasons = [(node.rung.name, node.why) for node in drawing.rungs if node.why]
    if reasons:
        lines += ["", *(f"- {literal(name)}: {literal(why)}" for name, why in reasons)]
    return "\n".join(lines) + "\n"


def prescription_words(rung: Rung) -> str:
    """A prescription as it is told: 3 × 6–10 reps, effort 9, rest 120 s."""
    prescription = rung.prescription
    amount = (
        f"{prescription.low}–{prescription.high}"
        if prescription.high > prescription.low
        else f"{prescription.low}"
    )
    return (
        f"{prescription.sets} × {amount} {prescription.unit}, effort {prescription.rpe:g}, "
        f"rest {prescription.rest} s"
    )


def criterion_words(rung: Rung) -> str:
    """A criterion as it is told."""
    criterion = rung.criterion
    often = "once" if criterion.sessions == 1 else f"{criterion.sessions} sessions running"
    return (
        f"{criterion.sets} × {criterion.amount} {IN_WORDS[criterion.unit]}, effort "
        f"{criterion.rpe:g} or under, {often}"
    )


def _told(figure: Estimate) -> str:
    return f"{figure.likely:.1f} {figure.unit} ({figure.low:.1f}–{figure.high:.1f})"


def _step(step: Step, measured: MeasuredLadder, named: bool) -> str:
    origin = f" from {literal(measured.rungs[step.lower].name)}" if named else ""
    if step.ratio is None:
        return f"another measure{origin}"
    mark = ", **gap**" if step.gap else ", easier" if step.easier else ""
    return f"×{step.ratio.likely:.2f}{mark}{origin}"
