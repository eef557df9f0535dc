"""Review: the decision with its reasons; take it, edit it or decline it."""

from collections.abc import Mapping
from datetime import date, datetime
from typing import Literal
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.context import Coach, Database, Now, moment_for
from invelo.api.log_shapes import LoggedSession, sessions_of
from invelo.api.problems import ERRORS
from invelo.api.shapes import Input, RungName, Shape
from invelo.core.rules import RULES
from invelo.exchange.setups import Request
from invelo.store import access, drawings, logs, review, tables

router = APIRouter(prefix="/api", tags=["Review"], responses=ERRORS)


class Rule(Shape):
    """A rule that spoke."""

    id: str = Field(examples=["range.gate-met"])
    sentence: str
    source: str


class Decision(Shape):
    """A proposal with its reasons, and what the coach said to it."""

    id: UUID
    at: datetime
    local_date: date
    outcome: Literal["stop", "step-back", "hold", "step-up"]
    from_rung: RungName
    to_rung: RungName
    reason: str
    figures: list[Input]
    rules: list[Rule]
    confidence: Literal["high", "medium", "low"]
    confidence_why: str
    answer: Literal["take", "edit", "decline", "lapse"] | None
    answered_at: datetime | None
    word: str
    final_rung: RungName | None
    model_version: str
    catalogue_version: str


class ReviewSheet(Shape):
    """A ladder's decisions and sessions, newest first."""

    ladder_id: UUID
    athlete_id: UUID
    athlete_name: str
    goal: str
    stopped: str
    standing: RungName
    rungs: list[RungName]
    decisions: list[Decision]
    sessions: list[LoggedSession] = Field(description="The athlete's, every set of them.")


class Answer(Request):
    """What the coach says to a decision."""

    answer: Literal["take", "edit", "decline"]
    rung_id: UUID | None = Field(None, description="Where to stand instead; for an edit.")
    word: str = Field("", max_length=300, description="Why; wanted with edit and decline.")


@router.get("/ladders/{ladder_id}/review")
def get_review(ladder_id: UUID, coach: Coach, db: Database) -> ReviewSheet:
    """What was proposed on this ladder and what was done."""
    row = access.ladder(db, coach.id, ladder_id)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    rungs = {rung.id: rung for rung in drawings.rungs_of(db, row.id)}
    return ReviewSheet(
        ladder_id=row.id,
        athlete_id=athlete.id,
        athlete_name=athlete.name,
        goal=row.goal,
        stopped=row.stopped,
        standing=RungName.model_validate(rungs[row.standing_id]) if row.standing_id else None,
        rungs=[RungName.model_validate(rung) for rung in rungs.values()],
        decisions=[decision_of(one, rungs) for one in review.decisions(db, row.id)],
        sessions=sessions_of(db, reversed(logs.of_athlete(db, row.athlete_id, review.NEWEST))),
    )


@router.post("/decisions/{decision_id}/answer")
def answer(decision_id: UUID, body: Answer, coach: Coach, db: Database, now: Now) -> Decision:
    """Take, edit or decline. Nothing is applied before this."""
    decision = access.decision(db, coach.id, decision_id, roles=access.WRITE)
    row = access.ladder(db, coach.id, decision.ladder_id, roles=access.WRITE)
    db.refresh(decision)  # someone may have answered while we waited for the ladder
    athlete = access.athlete(db, coach.id, row.athlete_id)
    moment = moment_for(athlete, now)
    said = review.answer(db, row, decision, coach, body.answer, body.rung_id, body.word, moment)
    return decision_of(said, {rung.id: rung for rung in drawings.rungs_of(db, row.id)})


def decision_of(row: tables.Decision, rungs: Mapping[UUID, tables.Rung]) -> Decision:
    """A kept decision as it is answered with."""
    final = rungs.get(row.final_rung_id) if row.final_rung_id else None
    return Decision(
        id=row.id,
        at=row.at,
        local_date=row.local_date,
        outcome=row.outcome,
        from_rung=RungName.model_validate(rungs[row.from_rung_id]),
        to_rung=RungName.model_validate(rungs[row.to_rung_id]),
        reason=row.reason,
        figures=[Input.model_validate(figure) for figure in row.figures],
        rules=[Rule.model_validate(RULES[rule]) for rule in row.rules],
        confidence=row.confidence,
        confidence_why=row.confidence_why,
        answer=row.answer,
        answered_at=row.answered_at,
        word=row.word,
        final_rung=RungName.model_validate(final) if final else None,
        model_version=row.model_version,
        catalogue_version=row.catalogue_version,
    )
