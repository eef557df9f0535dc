"""After a session: the athlete placed anew and what comes next proposed, ladder by ladder."""

from collections.abc import Collection, Sequence
from datetime import date, timedelta
from typing import Any
from uuid import UUID

from sqlmodel import Session

from invelo.db import logs
from invelo.db.codec import row_of, rung_columns, stored
from invelo.db.columns import dated
from invelo.db.moment import Moment
from invelo.db.queries import ladder_rows, plan_rows, review_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow
from invelo.db.tables.review import ProposalRow
from invelo.db.tables.training import TrainingSessionRow
from invelo.domain.estimate import ComputedInput, Input
from invelo.domain.review.proposals.propose import decide
from invelo.domain.review.proposals.situation import (
    Proposal,
    Situation,
)
from invelo.services.ladder import case, ladder
from invelo.services.ladder.ladder import LadderView
from invelo.services.plan import availability
from invelo.services.review import apply
from invelo.services.training import sums

SESSIONS_NAMED = 12
"""Sessions that a proposal names as what it rests on."""


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
            keep_asked(db, seen, session)
            _propose(db, seen, session, moment)


def keep_asked(db: Session, seen: LadderView, session: TrainingSessionRow) -> None:
    """Keep with a session what it was to be on a ladder, where that is not kept yet: the
    prescription, or what the day derived from it."""
    key = str(seen.row.id)
    if key in session.asked:
        return
    day = session.local_date
    week = availability.course_week(db, seen.athlete.id, day)
    easy = (week.share, week.rpe) if week.kind != "build" else None
    asked = case.document_of(case.asked(db, seen, day, easy))
    if not asked["derived"] and _by_hand(db, seen, day):
        asked["derived"] = "by hand"
    if not asked["derived"] and plan_rows.newest_adapted(db, seen.athlete.id, day, ()):
        asked["derived"] = "adapted"
    session.asked = {**session.asked, key: asked}
    db.add(session)
    db.flush()


def _by_hand(db: Session, seen: LadderView, day: date) -> bool:
    """Whether the coach set a ladder's sets by hand in the week's plan."""
    standing = availability.of(db, seen.athlete.id)
    edit = standing.hands.edit(str(seen.row.id)) if standing else None
    return bool(edit and edit.sets)


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
        here = left & {
            ladder_of[logged_set.rung_id]
            for logged_set in standing[session.id]
            if logged_set.rung_id
        }
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


def _propose(
    db: Session, seen: LadderView, session: TrainingSessionRow, moment: Moment
) -> ProposalRow:
    asked = case.of(db, seen, moment.local_date).situation()
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
    noted = proposal.standing == "on course"
    row = row_of(
        ProposalRow,
        proposal,
        ladder_id=seen.row.id,
        session_id=session.id if session else None,
        week_start=week_start,
        **dated(moment),
        from_rung_id=UUID(asked.key),
        to_rung_id=UUID(proposal.to),
        made=rung_columns(proposal.rung) if proposal.rung else None,
        prescription=rung_columns(proposal.then) if proposal.then else None,
        answer="noted" if noted else None,
        answered_at=moment.at if noted else None,
        figures=[_figure(figure) for figure in proposal.figures],
        rules=[rule.id for rule in proposal.rules],
        inputs={
            "purpose": asked.purpose,
            "method": seen.row.method,
            "pain": asked.pain,
            "plain": proposal.plain,
            "passed": list(proposal.passed),
            "now": rung_columns(asked.rung),
            "days_a_week": days_a_week(asked),
            "sessions": [
                str(s.row.id) for s in logs.finished(db, seen.row.id, case.SESSIONS_JUDGED)
            ],
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
    if proposal.standing == "routine":
        apply.do_routine(db, seen.row, row, moment)
    return row


def days_a_week(asked: Situation) -> float:
    """On how many days a week a ladder was trained in the last four weeks, at least one."""
    since = asked.today - timedelta(weeks=4)
    days = {session.day for session in asked.sessions if session.day > since}
    return max(1.0, round(len(days) / 4.0, 1))


def _figure(computed_input: Input) -> dict[str, Any]:
    """A figure a rule saw, with its account where it was computed."""
    figure = {
        "name": computed_input.name,
        "value": computed_input.value,
        "unit": computed_input.unit,
    }
    if isinstance(computed_input, ComputedInput) and computed_input.estimate is not None:
        return {**figure, "explained": stored(computed_input.estimate)}
    return figure
