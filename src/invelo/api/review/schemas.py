"""What reviews are asked and what they answer."""

from collections.abc import Mapping, Sequence
from datetime import date, datetime
from typing import Any, Literal
from uuid import UUID

from pydantic import Field

from invelo.api.common.schemas import Explained, InputOut, RungName
from invelo.api.training.log_schemas import LoggedSessionOut
from invelo.db.ladder_graph import rung_from
from invelo.db.tables.ladder import RungRow
from invelo.db.tables.review import MessageRow, ProposalRow
from invelo.domain.catalogue.movement import Muscle
from invelo.domain.plan.prescription import Unit
from invelo.domain.review.proposals.outcome import outcome_after
from invelo.domain.review.proposals.situation import Outcome, Standing, prescription_words
from invelo.domain.review.rules import rule_of
from invelo.domain.review.trend import TrendPoint
from invelo.domain.strict import ResponseModel, StrictModel


class RuleOut(ResponseModel):
    """A rule that spoke."""

    id: str = Field(examples=["range.criterion-met"])
    sentence: str
    source: str


MessageStatus = Literal["draft", "queued", "sent", "failed"]


class ComputedInputOut(InputOut):
    """A figure that a rule saw, with how it came about where it was computed."""

    explained: Explained | None = None


class MessageOut(ResponseModel):
    """What an athlete is told of a decision."""

    id: UUID
    athlete_id: UUID
    at: datetime
    subject: str
    body: str
    status: MessageStatus
    sent_at: datetime | None
    failure: str = Field(description="Why it did not go out, or not yet.")


class PrescribedOut(ResponseModel):
    """What is asked on a ladder: a rung as it is set for this athlete."""

    name: str = Field(examples=["Push-up, eccentric 3 s"])
    words: str = Field(description="Sets, range and effort.", examples=["3 × 6–10 at effort 9"])
    sets: int
    low: int
    high: int
    unit: Unit
    rest_s: int
    rpe: float
    weekly_sets: float = Field(description="Sets a week at the days of the last four weeks.")


class ProposalOut(ResponseModel):
    """A proposal with its reasons, and what the coach said to it."""

    id: UUID
    at: datetime
    local_date: date
    week_start: date | None = Field(
        description="Of the week to come, where a week's end proposed it."
    )
    outcome: Outcome
    from_rung: RungName
    to_rung: RungName
    standing: Standing = Field(description="Nothing to decide, done by itself, or to be answered.")
    now: PrescribedOut | None = Field(description="What was asked then; empty of old proposals.")
    then: PrescribedOut | None = Field(
        description="What is asked once it is taken; empty where nothing of it changes."
    )
    passed: list[str] = Field(description="Names of rungs that are left behind as shown.")
    regions: list[Muscle] = Field(description="That the weekly sets train.")
    undoable: bool = Field(False, description="Whether it can be taken back now.")
    preview: str = Field("", description="What the athlete would read; '' once it is answered.")
    made: str = Field(description="Name of a rung that would be put on the ladder, '' for none.")
    amount: float | None = Field(description="Days a week, or a share.")
    plain: bool = Field(description="Whether it may be taken along with others.")
    reason: str
    figures: list[ComputedInputOut]
    rules: list[RuleOut]
    confidence: Literal["high", "medium", "low"]
    confidence_why: str
    answer: Literal["accept", "edit", "decline", "expired", "routine", "undone", "noted"] | None = (
        Field(
            description="What became of it: answered, overtaken by a newer one, done by itself, "
            "taken back, or nothing to answer."
        )
    )
    answered_at: datetime | None
    note: str
    final_rung: RungName | None
    turned_out: str = Field("", description="What reach did in the weeks after; '' while unknown.")
    message: MessageOut | None = None
    model_version: str
    catalogue_version: str


class ReviewSheet(ResponseModel):
    """A ladder's decisions and sessions, newest first."""

    ladder_id: UUID
    athlete_id: UUID
    athlete_name: str
    goal: str
    stopped: str
    current_rung: RungName
    rungs: list[RungName]
    proposals: list[ProposalOut]
    sessions: list[LoggedSessionOut] = Field(description="The athlete's, every set of them.")


class AnsweredProposalOut(ProposalOut):
    """An answered decision, and the week that was planned anew for it."""

    replanned: date | None = Field(description="Monday of that week; empty where none was.")


class AcceptRequest(StrictModel):
    """Decisions to take in one go, all or none of them."""

    ids: list[UUID] = Field(min_length=1, max_length=200)


class Replanned(ResponseModel):
    """A week that was planned anew."""

    athlete_id: UUID
    week_start: date


class AcceptedOut(ResponseModel):
    """What came of it."""

    accepted: list[UUID]
    replanned: list[Replanned]


class WeekLooked(ResponseModel):
    """What the end of a week proposed."""

    proposed: int


class ProposalAnswer(StrictModel):
    """What the coach says to a decision."""

    answer: Literal["accept", "edit", "decline"]
    rung_id: UUID | None = Field(None, description="Where to stand instead; for an edit.")
    note: str = Field("", max_length=300, description="Why; wanted with edit and decline.")


def proposal_of(
    row: ProposalRow,
    rungs: Mapping[UUID, RungRow],
    points: Sequence[TrendPoint] = (),
    message: MessageRow | None = None,
    undoable: UUID | None = None,
    preview: str = "",
) -> ProposalOut:
    """A kept decision as it is answered with."""
    final = rungs.get(row.final_rung_id) if row.final_rung_id else None
    said = row.answer in ("accept", "edit", "decline")
    after = outcome_after(points, row.answered_at.date()) if said and row.answered_at else None
    days = float(row.inputs.get("days_a_week", 0.0))
    now = row.inputs.get("now")
    return ProposalOut.of(
        row,
        now=_prescribed(now, days) if now else None,
        then=_prescribed(row.prescription, days) if row.prescription else None,
        passed=row.inputs.get("passed", []),
        regions=_regions(row.prescription or now),
        undoable=row.id == undoable,
        preview=preview,
        from_rung=RungName.model_validate(rungs[row.from_rung_id]),
        to_rung=RungName.model_validate(rungs[row.to_rung_id]),
        made=row.made["name"] if row.made else "",
        plain=bool(row.inputs.get("plain")),
        figures=[ComputedInputOut.model_validate(figure) for figure in row.figures],
        rules=[RuleOut.model_validate(rule_of(rule)) for rule in row.rules],
        final_rung=RungName.model_validate(final) if final else None,
        turned_out=after.words if after else "",
        message=MessageOut.model_validate(message) if message else None,
    )


def _prescribed(columns: dict[str, Any], days: float) -> PrescribedOut:
    rung = rung_from(columns)
    prescription = rung.prescription
    return PrescribedOut.of(
        prescription,
        name=rung.name,
        words=prescription_words(prescription),
        rest_s=prescription.rest,
        weekly_sets=round(days * prescription.sets, 1),
    )


def _regions(columns: dict[str, Any] | None) -> list[Muscle]:
    return list(rung_from(columns).movement.prime) if columns else []
