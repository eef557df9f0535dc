"""Proposals, messages and the weekly look."""

from collections.abc import Collection, Iterable, Sequence
from datetime import date, datetime
from typing import Any
from uuid import UUID

from sqlalchemy import func
from sqlalchemy.dialects.postgresql import insert
from sqlalchemy.orm import aliased
from sqlmodel import Session, col, delete, select, update

from invelo.db.columns import among
from invelo.db.tables.athlete import AthleteAccessRow
from invelo.db.tables.ladder import LadderRow, RungRow
from invelo.db.tables.review import MessageRow, ProposalRow, WeekReviewRow

SAID = ("accept", "edit", "decline")
"""Answers of the coach; what a newer proposal expired was not answered."""

SETTLED = (*SAID, "routine", "undone")
"""Those, and what was done by itself or taken back."""

NEWEST_FIRST = (col(ProposalRow.at).desc(), col(ProposalRow.id))


def of_ladder(db: Session, ladder_id: UUID, most: int) -> list[ProposalRow]:
    """The newest proposals of a ladder, newest first."""
    statement = select(ProposalRow).where(ProposalRow.ladder_id == ladder_id)
    return list(db.exec(statement.order_by(*NEWEST_FIRST).limit(most)))


def of_session(db: Session, session_id: UUID) -> list[ProposalRow]:
    """What a session led to, newest first."""
    statement = select(ProposalRow).where(ProposalRow.session_id == session_id)
    return list(db.exec(statement.order_by(*NEWEST_FIRST)))


def answered(db: Session, ladder_id: UUID, most: int) -> list[ProposalRow]:
    """The newest proposals of a ladder that were answered, newest first."""
    statement = select(ProposalRow).where(
        ProposalRow.ladder_id == ladder_id, col(ProposalRow.answer).in_(SETTLED)
    )
    return list(db.exec(statement.order_by(*NEWEST_FIRST).limit(most)))


def pending(db: Session, ladder_id: UUID) -> ProposalRow | None:
    """The proposal of a ladder that needs an answer, if one does."""
    statement = select(ProposalRow).where(
        ProposalRow.ladder_id == ladder_id, col(ProposalRow.answer).is_(None)
    )
    return db.exec(statement.order_by(*NEWEST_FIRST)).first()


def expire_pending(db: Session, ladder_id: UUID, now: datetime, note: str) -> None:
    """Let what needs an answer on a ladder expire."""
    statement = (
        update(ProposalRow)
        .where(col(ProposalRow.ladder_id) == ladder_id, col(ProposalRow.answer).is_(None))
        .values(answer="expired", answered_at=now, note=note)
    )
    db.exec(statement)


def pending_decisions(db: Session, ladder_ids: Iterable[UUID]) -> Sequence[Any]:
    """Athlete, proposal, ladder, outcome, reason, confidence, whether it is plain, whether the week
    made it, goal, rung from, rung to and standing of all that need an answer, the newest ladder's
    first."""
    to = aliased(RungRow)
    made = col(ProposalRow.made)["name"].as_string()
    statement = (
        select(  # type: ignore[call-overload]
            LadderRow.athlete_id,
            ProposalRow.id,
            ProposalRow.ladder_id,
            ProposalRow.outcome,
            ProposalRow.reason,
            ProposalRow.confidence,
            func.coalesce(col(ProposalRow.inputs)["plain"].as_boolean(), False),
            col(ProposalRow.week_start).is_not(None),
            LadderRow.goal,
            RungRow.name,
            func.coalesce(made, to.name),
            ProposalRow.standing,
        )
        .join(LadderRow, col(LadderRow.id) == ProposalRow.ladder_id)
        .join(RungRow, col(RungRow.id) == ProposalRow.from_rung_id)
        .join(to, to.id == ProposalRow.to_rung_id)
        .where(among(ProposalRow.ladder_id, ladder_ids), col(ProposalRow.answer).is_(None))
        .order_by(col(LadderRow.created_at).desc(), col(LadderRow.id))
    )
    rows: Sequence[Any] = db.exec(statement).all()
    return rows


def answers_since(
    db: Session, athlete_id: UUID, since: date
) -> Sequence[tuple[date, str, str | None, str]]:
    """Day, outcome, answer and note of the coach's answers since a day; to go on is none."""
    ladders = select(LadderRow.id).where(LadderRow.athlete_id == athlete_id)
    statement = select(
        col(ProposalRow.local_date),
        col(ProposalRow.outcome),
        col(ProposalRow.answer),
        col(ProposalRow.note),
    ).where(
        col(ProposalRow.ladder_id).in_(ladders),
        ProposalRow.local_date >= since,
        col(ProposalRow.answer).in_(SAID),
        ProposalRow.outcome != "hold",
    )
    return db.exec(statement).all()


def messages_of(db: Session, proposal_ids: Collection[UUID]) -> dict[UUID, MessageRow]:
    """What was written of some proposals, by proposal."""
    statement = select(MessageRow).where(among(MessageRow.proposal_id, proposal_ids))
    return {row.proposal_id: row for row in db.exec(statement) if row.proposal_id}


def forget_message(db: Session, proposal_id: UUID) -> None:
    """Take away what was written of a proposal that was undone; what was sent stays, as sent."""
    of_proposal = col(MessageRow.proposal_id) == proposal_id
    sent = col(MessageRow.status) == "sent"
    db.exec(delete(MessageRow).where(of_proposal, ~sent))
    db.exec(update(MessageRow).where(of_proposal).values(proposal_id=None))


def messages(db: Session, account_id: UUID, before: UUID | None, most: int) -> list[MessageRow]:
    """Messages to a coach's athletes, newest first, from after a known one."""
    statement = (
        select(MessageRow)
        .join(AthleteAccessRow, col(AthleteAccessRow.athlete_id) == MessageRow.athlete_id)
        .where(AthleteAccessRow.account_id == account_id)
        .order_by(col(MessageRow.at).desc(), col(MessageRow.id).desc())
        .limit(most)
    )
    known = db.get(MessageRow, before) if before else None
    if known is not None:
        older = (col(MessageRow.at) < known.at) | (
            (col(MessageRow.at) == known.at) & (col(MessageRow.id) < known.id)
        )
        statement = statement.where(older)
    return list(db.exec(statement))


def weeks_looked_at(
    db: Session, athlete_ids: Iterable[UUID], week_starts: Collection[date]
) -> set[tuple[UUID, date]]:
    """Which of some weeks of many athletes were looked at."""
    statement = select(col(WeekReviewRow.athlete_id), col(WeekReviewRow.week_start)).where(
        among(WeekReviewRow.athlete_id, athlete_ids),
        col(WeekReviewRow.week_start).in_(week_starts),
    )
    return {(athlete_id, week_start) for athlete_id, week_start in db.exec(statement)}


def mark_looked_at(db: Session, athlete_id: UUID, week_start: date, now: datetime) -> bool:
    """Note that a week is being looked at; False where it was before."""
    once = (
        insert(WeekReviewRow)
        .values(athlete_id=athlete_id, week_start=week_start, at=now)
        .on_conflict_do_nothing()
        .returning(col(WeekReviewRow.athlete_id))
    )
    return db.exec(once).first() is not None
