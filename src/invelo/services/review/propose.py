"""After a session: the athlete placed anew and what comes next proposed, ladder by ladder."""

from collections.abc import Collection, Sequence
from datetime import date
from typing import Any
from uuid import UUID

from sqlmodel import Session

from invelo.db import logs
from invelo.db.codec import METHOD, body_of, rung_columns, stored
from invelo.db.columns import dated
from invelo.db.moment import Moment
from invelo.db.queries import ladder_rows, review_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow
from invelo.db.tables.review import ProposalRow
from invelo.db.tables.training import TrainingSessionRow
from invelo.domain.estimate import ComputedInput, Input
from invelo.domain.review.proposals.offers import offers
from invelo.domain.review.proposals.propose import decide
from invelo.domain.review.proposals.situation import (
    AnsweredProposal,
    Neighbour,
    Proposal,
    Situation,
    WeekSeen,
)
from invelo.domain.strength.capacity import Pool
from invelo.services.ladder import ladder
from invelo.services.ladder.ladder import LadderView
from invelo.services.training import sums

SESSIONS_JUDGED = 12
"""Sessions of the ladder a decision looks back on."""


def proposals_of(db: Session, session: TrainingSessionRow) -> list[ProposalRow]:
    """What a session led to, of each ladder the newest."""
    newest: dict[UUID, ProposalRow] = {}
    for row in review_rows.of_session(db, session.id):
        newest.setdefault(row.ladder_id, row)
    return list(newest.values())


def judge(
    db: Session,
    athlete: AthleteRow,
    session: TrainingSessionRow,
    moment: Moment,
    only: Collection[UUID] | None = None,
) -> None:
    """Place the athlete by a finished session's sets, and propose what comes next, on each ladder.

    Args:
        db: one transaction.
        athlete: whose.
        session: which.
        moment: when it is judged.
        only: ladders to look at; all that the session touched if left out.
    """
    for row in _touched(db, session):
        if only is None or row.id in only:
            seen = ladder.record_placement(db, row, athlete, moment, {"session": str(session.id)})
            _propose(db, seen, session, moment)


def judge_all(
    db: Session, athlete: AthleteRow, sessions: Sequence[TrainingSessionRow], moment: Moment
) -> None:
    """Judge each ladder once, by the newest of some sessions, oldest first, that touched it."""
    standing = logs.standing_sets(db, [session.id for session in sessions])
    ladder_of = {row.id: row.ladder_id for row in ladder_rows.rungs_of_athlete(db, athlete.id)}
    left = set(ladder_of.values())
    for session in sessions:
        sums.settle(db, session, standing[session.id])
    for session in reversed(sessions):
        here = left & {ladder_of[one.rung_id] for one in standing[session.id] if one.rung_id}
        if here:
            judge(db, athlete, session, moment, here)
            left -= here


def judge_anew(
    db: Session, athlete: AthleteRow, session: TrainingSessionRow, moment: Moment
) -> None:
    """Judge a session again to which something came late, where the coach has not answered."""
    if session.finished_at is None:
        return
    sums.settle(db, session)
    answered = {row.ladder_id for row in proposals_of(db, session) if row.answered_by is not None}
    open_ones = [row.id for row in _touched(db, session) if row.id not in answered]
    judge(db, athlete, session, moment, open_ones)


def _touched(db: Session, session: TrainingSessionRow) -> list[LadderRow]:
    """The ladders that a session's sets stand on, locked, in a fixed order."""
    rungs = {logged.rung_id for logged in logs.standing_sets(db, [session.id])[session.id]}
    return ladder_rows.locked_of_rungs(db, {rung for rung in rungs if rung})


def situation(
    db: Session, seen: LadderView, today: date, week: WeekSeen | None = None
) -> Situation:
    """What a decision on this ladder looks at, after a session or at the end of a week."""
    here = seen.current
    below, above = seen.measured.below(here), seen.measured.above(here)
    rung, policy = seen.measured.rungs[here], seen.measured.policy
    return Situation(
        key=str(seen.row.current_rung_id),
        rung=rung,
        below=_neighbour(seen, max(below, default=None)),
        above=_neighbour(seen, _next(seen, above)),
        sessions=tuple(s.record for s in logs.finished(db, seen.row.id, SESSIONS_JUDGED)),
        purpose=seen.row.purpose,  # type: ignore[arg-type]
        policy=policy,
        method=METHOD.validate_python(seen.row.method),
        occasion="session" if week is None else "week",
        week=week,
        offers=lambda: offers(body_of(seen.measure), rung, policy, _pool(seen)),
        answered=answered(db, seen.row.id, today),
    )


def _pool(seen: LadderView) -> Pool | None:
    """What is known of the athlete in the lane of the rung they stand on."""
    lane = seen.measured.demands[seen.current].lane
    if seen.placement is None or lane is None or lane not in seen.placement.lanes:
        return None
    return seen.placement.lanes[lane].known


ANSWERS = 12
"""Answers of a ladder that are looked back on, so that nothing is asked twice for nothing."""


def answered(db: Session, ladder_id: UUID, today: date) -> tuple[AnsweredProposal, ...]:
    """What the coach said to the newest proposals of a ladder, newest first."""
    return tuple(
        AnsweredProposal(
            proposal.outcome,  # type: ignore[arg-type]
            str(proposal.from_rung_id),
            tuple(proposal.rules),
            proposal.answer,  # type: ignore[arg-type]
            (today - proposal.local_date).days,
            int(proposal.inputs.get("pain", 0)),
        )
        for proposal in review_rows.answered(db, ladder_id, ANSWERS)
    )


def _next(seen: LadderView, above: tuple[int, ...]) -> int | None:
    """Where to go on: the first way up that is open, the first at all if none is."""
    open_ways = (index for index in above if index not in seen.shut)
    return next(open_ways, above[0] if above else None)


def _neighbour(seen: LadderView, index: int | None) -> Neighbour | None:
    if index is None:
        return None
    estimate = seen.placement.predictions[index] if seen.placement else None
    return Neighbour(str(seen.rungs[index].id), seen.measured.rungs[index], estimate)


def _propose(
    db: Session, seen: LadderView, session: TrainingSessionRow, moment: Moment
) -> ProposalRow:
    asked = situation(db, seen, moment.local_date)
    return keep(db, seen, asked, decide(asked), moment, session=session)


def keep(
    db: Session,
    seen: LadderView,
    asked: Situation,
    proposal: Proposal,
    moment: Moment,
    session: TrainingSessionRow | None = None,
    week_start: date | None = None,
) -> ProposalRow:
    """Keep a proposal with all it rests on; what waited on this ladder before expires."""
    spoke = "a newer session spoke" if session else "the end of the week spoke"
    review_rows.expire_pending(db, seen.row.id, moment.at, spoke)
    row = ProposalRow(
        ladder_id=seen.row.id,
        session_id=session.id if session else None,
        week_start=week_start,
        **dated(moment),
        outcome=proposal.outcome,
        from_rung_id=UUID(asked.key),
        to_rung_id=UUID(proposal.to),
        made=rung_columns(proposal.rung) if proposal.rung else None,
        amount=proposal.amount,
        reason=proposal.reason,
        figures=[_figure(figure) for figure in proposal.figures],
        rules=[rule.id for rule in proposal.rules],
        confidence=proposal.confidence,
        confidence_why=proposal.confidence_why,
        inputs={
            "purpose": asked.purpose,
            "method": seen.row.method,
            "pain": asked.pain,
            "plain": proposal.plain,
            "sessions": [str(s.row.id) for s in logs.finished(db, seen.row.id, SESSIONS_JUDGED)],
            "criterion": {
                "sets": asked.rung.criterion.sets,
                "amount": asked.rung.criterion.amount,
                "unit": asked.rung.criterion.unit,
                "rpe": asked.rung.criterion.rpe,
                "sessions": asked.rung.criterion.sessions,
            },
        },
    )
    db.add(row)
    db.flush()
    return row


def _figure(computed_input: Input) -> dict[str, Any]:
    """A figure a rule saw, with its account where it was computed."""
    told = {"name": computed_input.name, "value": computed_input.value, "unit": computed_input.unit}
    if isinstance(computed_input, ComputedInput) and computed_input.estimate is not None:
        return {**told, "explained": stored(computed_input.estimate)}
    return told
