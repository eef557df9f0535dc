"""Reviews as files: a PDF for the coach, a Markdown report of a block for the athlete."""

from datetime import timedelta
from typing import Annotated, Literal
from uuid import UUID

from fastapi import APIRouter, Query, Response

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.files import Paper, file_answer
from invelo.api.common.problems import ERRORS
from invelo.db import access, ladder_graph
from invelo.db.tables.review import ProposalRow
from invelo.domain.days import day_words
from invelo.domain.errors import InputError
from invelo.domain.review.rules import rule_of
from invelo.domain.review.trend import trend
from invelo.formats.review.block_markdown import markdown
from invelo.formats.review.words import BlockReport, ProposalReport
from invelo.services.ladder import ladder
from invelo.services.review import outlook, reach, review, trends

router = APIRouter(prefix="/api", tags=["Review files"], responses=ERRORS)

ANSWERS = {
    "accept": "accepted",
    "edit": "edited",
    "decline": "declined",
    "expired": "expired",
    "routine": "done by itself",
    "undone": "undone",
}


@router.get("/ladders/{ladder_id}/review/file", response_class=Response)
def get_review_file(
    ladder_id: UUID,
    coach: Coach,
    db: Database,
    now: Now,
    kind: Annotated[
        Literal["pdf", "md"], Query(description="PDF of the review; Markdown for the athlete.")
    ],
    weeks: int = Query(8, ge=1, le=52, description="Of the block."),
    paper: Paper = "a4",
) -> Response:
    """A ladder's review on paper, or the report of a block for the athlete."""
    row = access.ladder(db, coach.id, ladder_id)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    today = moment_for(athlete, now).local_date
    since = today - timedelta(weeks=weeks)
    seen = ladder.view(db, row, athlete, today)
    names = {rung.id: rung.name for rung in ladder_graph.rungs_of(db, row.id)}
    points = [capacity.point for capacity in reach.over_time(db, row, since)]
    done = trends.sessions(db, athlete.id, since)
    weekly = trends.adherence(db, athlete.id, done, since, today)
    kept = [
        proposal for proposal in review.proposals(db, row.id, 200) if proposal.local_date >= since
    ]
    try:
        line = trend(points)
        growth = line.weeks * line.slope
    except InputError:
        growth = None
    stands = names[row.current_rung_id] if row.current_rung_id else ""
    block = BlockReport(
        who=athlete.name,
        goal=row.goal,
        first=since,
        last=today,
        began_on=names[kept[-1].from_rung_id] if kept else stands,
        stands_on=stands,
        done=len(done),
        planned=sum(adherence.planned for adherence in weekly),
        sets=(
            round(sum(point.form_ok * point.sets for point in done)),
            sum(point.sets for point in done),
        ),
        growth=growth,
        moves=tuple(
            f"{day_words(proposal.local_date)}: {words}"
            for proposal in reversed(kept)
            if (words := _move(proposal, names))
        ),
        next_criterion=outlook.outlook(seen, points, done, weekly, today).next_criterion,
        proposals=tuple(_said(proposal, names) for proposal in kept),
        revision=len(kept),
    )
    title = f"{row.goal}, {day_words(today)}"
    if kind == "md":
        return file_answer(markdown(block), kind, f"Report, {title}")
    from invelo.formats.review.pdf import review_pdf

    return file_answer(review_pdf(block, paper), kind, f"Review, {title}")


def _move(proposal: ProposalRow, names: dict[UUID, str]) -> str:
    """What an answer changed, without a word of why; '' where nothing moved."""
    if proposal.answer not in ("accept", "edit", "routine") or proposal.outcome in (
        "hold",
        "stop",
        "ease_off",
    ):
        return ""
    there = names[proposal.final_rung_id] if proposal.final_rung_id else ""
    return f"{proposal.outcome.replace('_', ' ')}, “{there}”"


def _said(proposal: ProposalRow, names: dict[UUID, str]) -> ProposalReport:
    to = proposal.made["name"] if proposal.made else names[proposal.to_rung_id]
    before = names[proposal.from_rung_id]
    answer = ANSWERS.get(proposal.answer or "", "")
    return ProposalReport(
        day=proposal.local_date,
        outcome=proposal.outcome.replace("_", " ").capitalize(),
        way=before if to == before else f"{before} → {to}",
        reason=proposal.reason,
        rules=tuple(f"{rule.sentence} ({rule.source})" for rule in map(rule_of, proposal.rules)),
        confidence=f"{proposal.confidence}. {proposal.confidence_why}",
        answer=f"{answer}: {proposal.note}" if answer and proposal.note else answer,
    )
