"""Review: the decision with its reasons; take it, edit it or decline it."""

from datetime import date, timedelta
from uuid import UUID

from fastapi import APIRouter

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import RungName
from invelo.api.review.schemas import (
    AcceptedOut,
    AcceptRequest,
    AnsweredProposalOut,
    ProposalAnswer,
    Replanned,
    ReviewSheet,
    WeekLooked,
    proposal_of,
)
from invelo.api.training.log_schemas import sessions_of
from invelo.db import access, ladder_graph, logs
from invelo.db.queries import review_rows
from invelo.domain.review.proposals.outcome import AFTER_DAYS
from invelo.services.plan import planning
from invelo.services.review import reach, review, weekly

router = APIRouter(prefix="/api", tags=["Review"], responses=ERRORS)


@router.get("/ladders/{ladder_id}/review")
def get_review(ladder_id: UUID, coach: Coach, db: Database) -> ReviewSheet:
    """What was proposed on this ladder and what was done."""
    row, athlete = access.ladder_seen(db, coach.id, ladder_id)
    rungs = {rung.id: rung for rung in ladder_graph.rungs_of(db, row.id)}
    kept = review.proposals(db, row.id)
    undoable = review.undoable(db, row)
    messages = review_rows.messages_of(db, [proposal.id for proposal in kept])
    since = min((proposal.local_date for proposal in kept), default=None)
    points = [capacity.point for capacity in reach.over_time(db, row, _before(since))]
    return ReviewSheet.of(
        row,
        ladder_id=row.id,
        athlete_id=athlete.id,
        athlete_name=athlete.name,
        current_rung=RungName.model_validate(rungs[row.current_rung_id])
        if row.current_rung_id
        else None,
        rungs=[RungName.model_validate(rung) for rung in rungs.values()],
        proposals=[
            proposal_of(
                proposal,
                rungs,
                points,
                messages.get(proposal.id),
                undoable,
                review.preview(row, proposal, rungs, coach.name),
            )
            for proposal in kept
        ],
        sessions=sessions_of(db, logs.newest(db, row.athlete_id, review.NEWEST)),
    )


def _before(since: date | None) -> date | None:
    """A while before the oldest decision, so that reach before it is known."""
    return since - timedelta(days=AFTER_DAYS) if since else None


@router.post("/proposals/{proposal_id}/answer")
def answer(
    proposal_id: UUID, body: ProposalAnswer, coach: Coach, db: Database, now: Now
) -> AnsweredProposalOut:
    """Take, edit or decline. Nothing is applied before this; a week that was planned is planned
    anew, and the athlete's message is written."""
    proposal = access.proposal(db, coach.id, proposal_id, roles=access.WRITE)
    row = access.ladder(db, coach.id, proposal.ladder_id, roles=access.WRITE)
    db.refresh(proposal)  # someone may have answered while we waited for the ladder
    athlete = access.athlete(db, coach.id, row.athlete_id)
    moment = moment_for(athlete, now)
    fresh = proposal.answer is None
    said = review.answer(db, row, proposal, coach, body.answer, body.rung_id, body.note, moment)
    changed = fresh and body.answer != "decline" and said.outcome != "hold"
    again = planning.ask_again(db, athlete, moment, "after the review") if changed else None
    rungs = {rung.id: rung for rung in ladder_graph.rungs_of(db, row.id)}
    message = review_rows.messages_of(db, [said.id]).get(said.id)
    plain = proposal_of(said, rungs, (), message)
    return AnsweredProposalOut(**dict(plain), replanned=again.week_start if again else None)


@router.post("/proposals/{proposal_id}/undo")
def undo_answer(proposal_id: UUID, coach: Coach, db: Database, now: Now) -> AnsweredProposalOut:
    """Take back what an answer, or a routine, has changed; until a session was done under it."""
    proposal = access.proposal(db, coach.id, proposal_id, roles=access.WRITE)
    row = access.ladder(db, coach.id, proposal.ladder_id, roles=access.WRITE)
    db.refresh(proposal)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    moment = moment_for(athlete, now)
    said = review.undo(db, row, proposal, moment)
    again = planning.ask_again(db, athlete, moment, "after the review")
    rungs = {rung.id: rung for rung in ladder_graph.rungs_of(db, row.id)}
    return AnsweredProposalOut(
        **dict(proposal_of(said, rungs)), replanned=again.week_start if again else None
    )


@router.post("/proposals/accept")
def take_all(body: AcceptRequest, coach: Coach, db: Database, now: Now) -> AcceptedOut:
    """Take several plain decisions in one go: all of them, or none."""
    done = review.accept_all(db, coach, body.ids, lambda athlete: moment_for(athlete, now))
    return AcceptedOut(
        accepted=[proposal.id for proposal in done.proposals],
        replanned=[
            Replanned(athlete_id=athlete, week_start=week_start)
            for athlete, week_start in done.weeks.items()
        ],
    )


@router.post("/athletes/{athlete_id}/week-review")
def look_at_week(athlete_id: UUID, coach: Coach, db: Database, now: Now) -> WeekLooked:
    """Look at an athlete's last week, once: a second look changes nothing."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    return WeekLooked(proposed=len(weekly.look(db, athlete, moment_for(athlete, now))))
