"""Review: the decision with its reasons; take it, edit it or decline it."""

from collections.abc import Mapping, Sequence
from datetime import date, datetime, timedelta
from typing import Literal
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.context import Coach, Database, Now, moment_for
from invelo.api.log_shapes import LoggedSession, sessions_of
from invelo.api.problems import ERRORS
from invelo.api.shapes import Explained, Input, RungName, Shape
from invelo.core.decide import Outcome
from invelo.core.decide.afterwards import AFTER_DAYS, turnout
from invelo.core.rules import RULES
from invelo.core.trend import Point
from invelo.exchange.setups import Request
from invelo.store import access, drawings, logs, reach, review, review_tables, tables, weekly

router = APIRouter(prefix="/api", tags=["Review"], responses=ERRORS)


class Rule(Shape):
    """A rule that spoke."""

    id: str = Field(examples=["range.gate-met"])
    sentence: str
    source: str


class ComputedInput(Input):
    """A figure that a rule saw, with how it came about where it was computed."""

    explained: Explained | None = None


class Message(Shape):
    """What the athlete was told; it lies in the outbox and is not sent from here."""

    id: UUID
    athlete_id: UUID
    at: datetime
    subject: str
    body: str


class OutboxSheet(Shape):
    """Messages to the coach's athletes, newest first."""

    messages: list[Message]
    athletes: dict[UUID, str]
    before: UUID | None = Field(description="Ask for older ones with this; empty at the end.")


class Decision(Shape):
    """A proposal with its reasons, and what the coach said to it."""

    id: UUID
    at: datetime
    local_date: date
    monday: date | None = Field(description="Of the week to come, where a week's end proposed it.")
    outcome: Outcome
    from_rung: RungName
    to_rung: RungName
    made: str = Field(description="Name of a rung that would be put on the ladder, '' for none.")
    amount: float | None = Field(description="Sets, days a week, weeks or a share.")
    plain: bool = Field(description="Whether it may be taken along with others.")
    reason: str
    figures: list[ComputedInput]
    rules: list[Rule]
    confidence: Literal["high", "medium", "low"]
    confidence_why: str
    answer: Literal["take", "edit", "decline", "lapse"] | None
    answered_at: datetime | None
    word: str
    final_rung: RungName | None
    turned_out: str = Field("", description="What reach did in the weeks after; '' while unknown.")
    message: Message | None = None
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


class Answered(Decision):
    """An answered decision, and the week that was planned anew for it."""

    replanned: date | None = Field(description="Monday of that week; empty where none was.")


class Take(Request):
    """Decisions to take in one go, all or none of them."""

    ids: list[UUID] = Field(min_length=1, max_length=200)


class Replanned(Shape):
    """A week that was planned anew."""

    athlete_id: UUID
    monday: date


class TakenAll(Shape):
    """What came of it."""

    taken: list[UUID]
    replanned: list[Replanned]


class WeekLooked(Shape):
    """What the end of a week proposed."""

    proposed: int


class Answer(Request):
    """What the coach says to a decision."""

    answer: Literal["take", "edit", "decline"]
    rung_id: UUID | None = Field(None, description="Where to stand instead; for an edit.")
    word: str = Field("", max_length=300, description="Why; wanted with edit and decline.")


@router.get("/ladders/{ladder_id}/review")
def get_review(ladder_id: UUID, coach: Coach, db: Database) -> ReviewSheet:
    """What was proposed on this ladder and what was done."""
    row, athlete = access.ladder_seen(db, coach.id, ladder_id)
    rungs = {rung.id: rung for rung in drawings.rungs_of(db, row.id)}
    kept = review.decisions(db, row.id)
    told = review.messages(db, [one.id for one in kept])
    since = min((one.local_date for one in kept), default=None)
    points = [one.point for one in reach.over_time(db, row.id, _before(since))]
    return ReviewSheet(
        ladder_id=row.id,
        athlete_id=athlete.id,
        athlete_name=athlete.name,
        goal=row.goal,
        stopped=row.stopped,
        standing=RungName.model_validate(rungs[row.standing_id]) if row.standing_id else None,
        rungs=[RungName.model_validate(rung) for rung in rungs.values()],
        decisions=[decision_of(one, rungs, points, told.get(one.id)) for one in kept],
        sessions=sessions_of(db, logs.newest(db, row.athlete_id, review.NEWEST)),
    )


def _before(since: date | None) -> date | None:
    """A while before the oldest decision, so that reach before it is known."""
    return since - timedelta(days=AFTER_DAYS) if since else None


@router.post("/decisions/{decision_id}/answer")
def answer(decision_id: UUID, body: Answer, coach: Coach, db: Database, now: Now) -> Answered:
    """Take, edit or decline. Nothing is applied before this; a week that was planned is planned
    anew, and the athlete's message lies in the outbox."""
    decision = access.decision(db, coach.id, decision_id, roles=access.WRITE)
    row = access.ladder(db, coach.id, decision.ladder_id, roles=access.WRITE)
    db.refresh(decision)  # someone may have answered while we waited for the ladder
    athlete = access.athlete(db, coach.id, row.athlete_id)
    moment = moment_for(athlete, now)
    fresh = decision.answer is None
    said = review.answer(db, row, decision, coach, body.answer, body.rung_id, body.word, moment)
    changed = fresh and body.answer != "decline" and said.outcome != "hold"
    again = review.week_again(db, athlete, moment) if changed else None
    rungs = {rung.id: rung for rung in drawings.rungs_of(db, row.id)}
    told = review.messages(db, [said.id]).get(said.id)
    plain = decision_of(said, rungs, (), told)
    return Answered(**dict(plain), replanned=again.monday if again else None)


@router.post("/decisions/take")
def take_all(body: Take, coach: Coach, db: Database, now: Now) -> TakenAll:
    """Take several plain decisions in one go: all of them, or none."""
    done = review.take_all(db, coach, body.ids, lambda athlete: moment_for(athlete, now))
    return TakenAll(
        taken=[one.id for one in done.decisions],
        replanned=[
            Replanned(athlete_id=athlete, monday=plan.monday)
            for athlete, plan in done.weeks.items()
        ],
    )


@router.post("/athletes/{athlete_id}/week-review")
def look_at_week(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> WeekLooked:
    """Look at an athlete's last week, once: a second look changes nothing."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    return WeekLooked(proposed=len(weekly.look(db, athlete, moment_for(athlete, now))))


@router.get("/outbox")
def get_outbox(coach: Coach, db: Database, before: UUID | None = None) -> OutboxSheet:
    """Messages to this coach's athletes, twenty at a time. Nothing is sent from here."""
    rows = review.outbox(db, coach.id, before, review.NEWEST)
    names = {one.id: one.name for one in access.athletes(db, coach.id)}
    return OutboxSheet(
        messages=[Message.model_validate(row) for row in rows],
        athletes={row.athlete_id: names[row.athlete_id] for row in rows},
        before=rows[-1].id if len(rows) == review.NEWEST else None,
    )


def decision_of(
    row: review_tables.Decision,
    rungs: Mapping[UUID, tables.Rung],
    points: Sequence[Point] = (),
    told: review_tables.OutboxMessage | None = None,
) -> Decision:
    """A kept decision as it is answered with."""
    final = rungs.get(row.final_rung_id) if row.final_rung_id else None
    said = row.answer in ("take", "edit", "decline")
    after = turnout(points, row.answered_at.date()) if said and row.answered_at else None
    return Decision(
        id=row.id,
        at=row.at,
        local_date=row.local_date,
        monday=row.monday,
        outcome=row.outcome,
        from_rung=RungName.model_validate(rungs[row.from_rung_id]),
        to_rung=RungName.model_validate(rungs[row.to_rung_id]),
        made=row.made["name"] if row.made else "",
        amount=row.amount,
        plain=bool(row.inputs.get("plain")),
        reason=row.reason,
        figures=[ComputedInput.model_validate(figure) for figure in row.figures],
        rules=[Rule.model_validate(RULES[rule]) for rule in row.rules],
        confidence=row.confidence,
        confidence_why=row.confidence_why,
        answer=row.answer,
        answered_at=row.answered_at,
        word=row.word,
        final_rung=RungName.model_validate(final) if final else None,
        turned_out=after.words if after else "",
        message=Message.model_validate(told) if told else None,
        model_version=row.model_version,
        catalogue_version=row.catalogue_version,
    )
