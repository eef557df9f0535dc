"""Plans compared on simulated athletes: asked for, looked at as it goes, stopped."""

from typing import Literal
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now
from invelo.api.common.problems import ERRORS, FieldProblem
from invelo.db.tables.background import BackgroundTaskRow
from invelo.domain.simulation.compare import CANDIDATES, USUAL, Question
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.formats.scripts.simulation import QUESTION, Comparison
from invelo.services import background

router = APIRouter(prefix="/api/comparisons", tags=["Simulation"], responses=ERRORS)

MOST_ATHLETES, MOST_WEEKS = 100, 52
"""That one request may ask for; `./invelo simulate` takes more (ours)."""


class ComparisonRequest(StrictModel):
    """What is to be compared."""

    plans: list[str] = Field(
        default=list(USUAL),
        description=f"Short names, of {', '.join(CANDIDATES)}.",
        min_length=1,
        max_length=len(CANDIDATES),
    )
    athletes: int = Field(20, ge=2, le=MOST_ATHLETES)
    weeks: int = Field(26, ge=4, le=MOST_WEEKS)
    seed: int = Field(1, ge=0, le=2**31 - 1, description="The same seed gives the same answer.")


class ComparisonOut(ResponseModel):
    """A comparison: how far it is, and what it ended with."""

    id: UUID
    state: Literal["queued", "working", "done", "stopped", "refused"]
    seasons: int = Field(description="To be lived through in all.")
    progress: int = Field(description="Seasons lived through so far.")
    result: Comparison | None = Field(description="Once it is done.")
    refusal: FieldProblem | None = Field(description="Why there is none.")
    note: str = Field(description="What there is to say while it waits; '' for nothing.")


@router.post("", status_code=202)
def ask_for_comparison(
    body: ComparisonRequest, coach: Coach, db: Database, now: Now
) -> ComparisonOut:
    """Ask for plans to be compared on the same simulated athletes. A worker does it."""
    plans = tuple(dict.fromkeys(body.plans))
    question = Question(plans, body.athletes, body.weeks, body.seed)
    asked = QUESTION.dump_python(question, mode="json")
    return _out(background.ask(db, "comparison", coach.id, asked, now), now)


@router.get("/{task_id}")
def get_comparison(task_id: UUID, coach: Coach, db: Database, now: Now) -> ComparisonOut:
    """How far a comparison is."""
    return _out(background.of_owner(db, "comparison", coach.id, task_id), now)


@router.delete("/{task_id}")
def stop_comparison(task_id: UUID, coach: Coach, db: Database, now: Now) -> ComparisonOut:
    """Stop a comparison. One that has ended stays so."""
    row = background.of_owner(db, "comparison", coach.id, task_id)
    return _out(background.stop(db, row.id, now), now)


def _out(row: BackgroundTaskRow, now: Now) -> ComparisonOut:
    return ComparisonOut.of(
        row,
        seasons=QUESTION.validate_python(row.question).seasons,
        result=Comparison.model_validate(row.result) if row.result else None,
        refusal=FieldProblem.model_validate(row.refusal) if row.refusal else None,
        note=background.waiting_note(row, now),
    )
