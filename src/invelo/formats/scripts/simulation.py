"""A comparison of plans as words, as JSON and as a drawing."""

from collections.abc import Iterable, Sequence

from pydantic import BaseModel, ConfigDict, TypeAdapter

from invelo.domain import MODEL_VERSION
from invelo.domain.simulation.compare import CandidateResult, Question, SimulatedMean
from invelo.formats.svg import FAINT, GREEN, RED, bar, line, sheet, words_at

FORMAT = "invelo-simulation-1"

CAUTION = (
    "Simulated athletes, whose laws are ours: this compares plans with each other, and says "
    "nothing of anyone. Ranges are 80 % of the mean."
)

QUESTION: TypeAdapter[Question] = TypeAdapter(Question)
"""What is compared, as JSON has it."""

ROW, TOP, NAME, PANEL = 34.0, 96.0, 210.0, 170.0


class _Said(BaseModel):
    model_config = ConfigDict(extra="forbid", from_attributes=True)


class MeanOut(_Said):
    """A mean over the athletes and its 80 % range."""

    likely: float
    low: float
    high: float


class ReachedOut(_Said):
    """Of the first, second, … criterion: median weeks until it, and how many athletes got there."""

    weeks: float
    athletes: int


class PlanLine(_Said):
    """What one plan came to, an athlete."""

    plan: str
    name: str
    criteria: MeanOut
    weeks_to_criteria: list[ReachedOut]
    hard_weeks: MeanOut
    spikes: MeanOut
    pain_events: MeanOut
    sessions: MeanOut
    capacity_gained: MeanOut


class Comparison(_Said):
    """A whole comparison; the same question gives the same bytes."""

    format: str = FORMAT
    model_version: str = MODEL_VERSION
    athletes: int
    weeks: int
    seed: int
    caution: str = CAUTION
    units: dict[str, str] = {
        "criteria": "rungs whose criterion true capacity allows at the end and did not before",
        "weeks_to_criteria": "weeks",
        "hard_weeks": "weeks with a mean effort of 8.5 or more",
        "spikes": "weeks with acute : chronic load above 1.5",
        "pain_events": "times pain reached 4 of 10",
        "sessions": "sessions done",
        "capacity_gained": "% of true capacity",
    }
    plans: list[PlanLine]


def comparison(question: Question, results: Iterable[CandidateResult]) -> Comparison:
    """A comparison as JSON has it, figures to three places."""
    return Comparison(
        athletes=question.athletes,
        weeks=question.weeks,
        seed=question.seed,
        plans=[
            PlanLine(
                plan=result.candidate.id,
                name=result.candidate.name,
                criteria=_figure(result.criteria),
                weeks_to_criteria=[ReachedOut(weeks=w, athletes=n) for w, n in result.first_weeks],
                hard_weeks=_figure(result.hard_weeks),
                spikes=_figure(result.spikes),
                pain_events=_figure(result.pains),
                sessions=_figure(result.sessions),
                capacity_gained=_figure(result.gained),
            )
            for result in results
        ],
    )


def _figure(simulated_mean: SimulatedMean) -> MeanOut:
    return MeanOut(
        likely=round(simulated_mean.likely, 3),
        low=round(simulated_mean.low, 3),
        high=round(simulated_mean.high, 3),
    )


HEADS = (
    "plan",
    "criteria",
    "weeks to 1st/2nd/3rd",
    "hard weeks",
    "spikes",
    "pain",
    "sessions",
    "% up",
)


def table(comparison: Comparison) -> str:
    """A comparison in columns, for a terminal."""
    rows: list[Sequence[str]] = [HEADS]
    for plan in comparison.plans:
        weeks = "/".join(f"{each.weeks:g}" for each in plan.weeks_to_criteria[:3]) or "none"
        rows.append(
            (
                plan.name,
                f"{plan.criteria.likely:.2f} ({plan.criteria.low:.2f}–{plan.criteria.high:.2f})",
                weeks,
                f"{plan.hard_weeks.likely:.1f}",
                f"{plan.spikes.likely:.2f}",
                f"{plan.pain_events.likely:.2f}",
                f"{plan.sessions.likely:.1f}",
                f"{plan.capacity_gained.likely:.1f}",
            )
        )
    widths = [max(len(row[i]) for row in rows) for i in range(len(HEADS))]
    lines = [
        "  ".join(
            cell.ljust(width) if i == 0 else cell.rjust(width)
            for i, (cell, width) in enumerate(zip(row, widths, strict=True))
        ).rstrip()
        for row in rows
    ]
    return "\n".join(
        (f"{_about(comparison)}; figures an athlete", "", *lines, "", comparison.caution, "")
    )


def _about(comparison: Comparison) -> str:
    return f"{comparison.athletes} athletes, {comparison.weeks} weeks, seed {comparison.seed}"


def chart(comparison: Comparison) -> str:
    """A comparison drawn: a row a plan; criteria, spikes and pain side by side."""
    panels = (
        ("criteria reached", [plan.criteria for plan in comparison.plans], GREEN),
        ("weeks with a spike", [plan.spikes for plan in comparison.plans], RED),
        ("pain events", [plan.pain_events for plan in comparison.plans], RED),
    )
    width, height = NAME + PANEL * len(panels) + 24, TOP + ROW * len(comparison.plans) + 40
    parts = [
        words_at(16, 28, "Plans on the same simulated athletes", 18),
        words_at(
            16,
            48,
            f"{_about(comparison)}; an athlete",
            12,
            FAINT,
        ),
        words_at(16, height - 14, "Simulated; compares plans, says nothing of anyone.", 11, FAINT),
    ]
    for i, plan_line in enumerate(comparison.plans):
        parts.append(words_at(16, TOP + ROW * i + 18, plan_line.name, 13))
    for k, (title, figures, colour) in enumerate(panels):
        x = NAME + PANEL * k
        most = max((figure.high for figure in figures), default=0.0) or 1.0
        per = (PANEL - 70) / most
        parts.append(words_at(x, TOP - 14, title, 12, FAINT))
        parts.append(line(x, TOP - 6, x, TOP + ROW * len(comparison.plans), 1))
        for i, figure in enumerate(figures):
            y = TOP + ROW * i + 4
            parts.append(bar(x, y, per * figure.likely, ROW - 14, colour))
            middle, end = y + (ROW - 14) / 2, x + per * figure.high
            parts.append(line(x + per * max(0.0, figure.low), middle, end, middle, 1.5))
            parts.append(words_at(end + 6, middle + 4, f"{figure.likely:.2f}", 12))
    return sheet(width, height, "Plans on the same simulated athletes", parts)
