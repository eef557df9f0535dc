"""A ladder as a drawing to scale: SVG in black ink, to keep and to print.

Height on the page is demand, one column for each measure; a rung that only effort tells stands
beside the scale.
"""

from collections.abc import Iterable, Sequence

from invelo.domain.biomechanics.figure import Figure, figure
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.ladder.ladder import MeasuredLadder, Step
from invelo.formats.svg import FAINT, RED, line, sheet, words_at

COLUMN, TOP, FOOT = 420.0, 64.0, 56.0
RAIL = (74.0, 134.0)
LABEL, ROW, BODY = 176.0, 40.0, 22.0


def svg(goal: str, whose: str, measured: MeasuredLadder) -> str:
    """The drawing of a ladder.

    Args:
        goal: of the ladder.
        whose: body it is measured for, in words.
        measured: the ladder.
    """
    columns: list[Lane | None] = [*measured.lanes]
    if any(demand.lane is None for demand in measured.demands):
        columns.append(None)
    rows = max(sum(demand.lane == lane for demand in measured.demands) for lane in columns)
    height = max(520.0, TOP + FOOT + ROW * (rows + 1))
    width = COLUMN * len(columns)
    parts = [
        words_at(16, 26, goal, 18),
        words_at(16, 44, f"Measured for {whose}; height is demand.", 12, FAINT),
    ]
    for i, lane in enumerate(columns):
        parts.append(f'<g transform="translate({i * COLUMN:g} 0)">')
        parts += _column(measured, lane, height)
        parts.append("</g>")
    return sheet(width, height, f"{goal}, measured for {whose}", parts)


def _column(measured: MeasuredLadder, lane: Lane | None, height: float) -> Iterable[str]:
    here = [i for i, demand in enumerate(measured.demands) if demand.lane == lane]
    foot = height - FOOT
    if lane is None:
        ys = [foot - ROW * (k + 0.5) for k in range(len(here))]
        yield words_at(16, height - 16, "By effort: beside the scale", 12, FAINT)
    else:
        demands = [measured.demands[i].height for i in here]
        low, high = min(demands), max(demands)
        margin = max(1.0, 0.06 * (high - low))
        per = (foot - TOP) / (high - low + 2 * margin)
        ys = [foot - (demand - low + margin) * per for demand in demands]
        unit = measured.demands[here[0]].load.unit
        words = measured.demands[here[0]].load.measure
        yield words_at(
            16, height - 16, f"{unit}, {words}; 1 cm : {37.8 / per:.2f} {unit}", 12, FAINT
        )
        for x in RAIL:
            yield line(x, TOP - 10, x, foot, 2)
    labels = spread(ys, ROW, TOP, foot)
    for k, i in enumerate(here):
        yield from _rung(measured, i, ys[k], labels[k], lane is not None)
    at = {i: ys[k] for k, i in enumerate(here)}
    for step in measured.steps:
        if step.gap and step.lower in at and step.upper in at:
            yield from _gap(step, at[step.lower], at[step.upper])


def _rung(measured: MeasuredLadder, i: int, y: float, label: float, scaled: bool) -> Iterable[str]:
    rung, demand = measured.rungs[i], measured.demands[i]
    if scaled:
        yield line(*((RAIL[0], y, RAIL[1], y)), 2)
        yield line(RAIL[1], y, LABEL - 6, label, 0.7, FAINT)
    yield from _figure(figure(demand.load, 0), LABEL + 34, label + 16)
    estimate = demand.on_scale
    figures = (
        f"{estimate.likely:.1f} {estimate.unit} ({estimate.low:.1f}–{estimate.high:.1f})"
        if estimate
        else ""
    )
    yield words_at(LABEL + 76, label - 1, rung.name, 13)
    asked = rung.prescription
    prescription = f"{asked.sets} × {asked.low}–{asked.high} {asked.unit}"
    yield words_at(
        LABEL + 76, label + 13, " · ".join(filter(None, (figures, prescription))), 10, FAINT
    )


def _gap(step: Step, low: float, high: float) -> Iterable[str]:
    assert step.ratio is not None  # noqa: S101  (only steps with a ratio are gaps)
    x = RAIL[0] - 16
    yield line(x, low, x, high, 1.4, RED)
    yield line(x - 4, low, x + 4, low, 1.4, RED)
    yield line(x - 4, high, x + 4, high, 1.4, RED)
    yield words_at(4, (low + high) / 2 + 4, f"gap ×{step.ratio.likely:.2f}", 11, RED)


def _figure(figure: Figure, x: float, foot: float) -> Iterable[str]:
    """A small figure that stands on a line, its middle at `x`."""
    xs = [joint.x for joint in figure.joints.values()]
    ys = [joint.y for joint in figure.joints.values()]
    floor = min(0.0, *ys) if figure.from_above else min(ys)
    size = min(BODY, 60.0 / max(0.1, max(xs) - min(xs)), 32.0 / max(0.1, max(ys) - floor))
    middle = (max(xs) + min(xs)) / 2

    def at(joint: str) -> tuple[float, float]:
        place = figure.joints[joint]
        return x + (place.x - middle) * size, foot - (place.y - floor) * size

    for segment in figure.segments:
        if segment.near in figure.joints and segment.far in figure.joints:
            yield line(*at(segment.near), *at(segment.far), 1.1)


def spread(heights: Sequence[float], row: float, top: float, foot: float) -> list[float]:
    """Labels moved apart as little as need be; the answer keeps the heights' order."""
    order = sorted(range(len(heights)), key=lambda i: heights[i])
    placed = list(heights)
    free = top
    for i in order:
        placed[i] = max(heights[i], free)
        free = placed[i] + row
    limit = foot
    for i in reversed(order):
        placed[i] = min(placed[i], limit)
        limit = placed[i] - row
    return placed
