"""Who may see or change what. Every query here carries the account that asks, and the roles that
may: `SEE`, `WRITE` or `OWN`."""

from collections.abc import Iterable
from typing import Any, TypeVar
from uuid import UUID

from sqlmodel import Session, col, select
from sqlmodel.sql.expression import SelectOfScalar

from invelo.db.errors import MissingError
from invelo.db.tables.athlete import AthleteAccessRow, AthleteRow, Role
from invelo.db.tables.ladder import LadderRow
from invelo.db.tables.review import MessageRow, ProposalRow
from invelo.db.tables.training import TrainingSessionRow

Roles = tuple[Role, ...]
SEE: Roles = ("owner", "coach", "reader")
WRITE: Roles = ("owner", "coach")
OWN: Roles = ("owner",)

Row = TypeVar("Row")


def athletes(db: Session, account_id: UUID) -> list[AthleteRow]:
    """The athletes an account may see, by name."""
    statement = select(AthleteRow).order_by(col(AthleteRow.name), col(AthleteRow.id))
    return list(db.exec(_allowed(statement, account_id, AthleteRow.id, SEE)))


def athlete(db: Session, account_id: UUID, athlete_id: UUID, roles: Roles = SEE) -> AthleteRow:
    """An athlete, if this account holds one of `roles` for them; locked unless only seen.

    Raises:
        MissingError: if not, whether or not there is such an athlete.
    """
    statement = select(AthleteRow).where(AthleteRow.id == athlete_id)
    if roles != SEE:
        statement = statement.with_for_update(of=AthleteRow, key_share=True)
    return _one(db, _allowed(statement, account_id, AthleteRow.id, roles), "athlete")


def lock(db: Session, athlete: AthleteRow) -> AthleteRow:
    """An athlete who is let in already, locked until the transaction ends."""
    db.refresh(athlete, with_for_update={"key_share": True})
    return athlete


def ladder(db: Session, account_id: UUID, ladder_id: UUID, roles: Roles = SEE) -> LadderRow:
    """A ladder of an allowed athlete; unless only seen, the athlete is locked until the transaction
    ends, and then the ladder: whoever locks several things begins with the athlete.

    Raises:
        MissingError: if there is none.
    """
    statement = select(LadderRow).where(LadderRow.id == ladder_id)
    if roles != SEE:
        ladder_of = select(LadderRow.athlete_id).where(LadderRow.id == ladder_id)
        _lock_athlete(db, account_id, db.exec(ladder_of).first(), roles, "ladder")
        statement = statement.with_for_update(of=LadderRow)
    return _one(db, _allowed(statement, account_id, LadderRow.athlete_id, roles), "ladder")


def ladder_seen(db: Session, account_id: UUID, ladder_id: UUID) -> tuple[LadderRow, AthleteRow]:
    """A ladder of an allowed athlete with them, to be looked at.

    Raises:
        MissingError: if there is none.
    """
    statement = (
        select(LadderRow, AthleteRow)
        .join(AthleteRow, col(AthleteRow.id) == LadderRow.athlete_id)
        .join(AthleteAccessRow, col(AthleteAccessRow.athlete_id) == AthleteRow.id)
        .where(
            LadderRow.id == ladder_id,
            AthleteAccessRow.account_id == account_id,
            col(AthleteAccessRow.role).in_(SEE),
        )
    )
    row = db.exec(statement).first()
    if row is None:
        raise MissingError("ladder")
    return row[0], row[1]


def own_session(db: Session, athlete_id: UUID, session_id: UUID) -> TrainingSessionRow:
    """A session of an athlete who is let in already.

    Raises:
        MissingError: if there is none of theirs.
    """
    session = db.get(TrainingSessionRow, session_id)
    if session is None or session.athlete_id != athlete_id:
        raise MissingError("session")
    return session


def proposal(db: Session, account_id: UUID, proposal_id: UUID, roles: Roles = SEE) -> ProposalRow:
    """A decision about an allowed athlete, who is locked until the transaction ends unless it is
    only seen.

    Raises:
        MissingError: if there is none.
    """
    if roles != SEE:
        athlete_of = (
            select(LadderRow.athlete_id)
            .join(ProposalRow, col(ProposalRow.ladder_id) == LadderRow.id)
            .where(ProposalRow.id == proposal_id)
        )
        _lock_athlete(db, account_id, db.exec(athlete_of).first(), roles, "proposal")
    statement = (
        select(ProposalRow)
        .join(LadderRow, col(LadderRow.id) == ProposalRow.ladder_id)
        .where(ProposalRow.id == proposal_id)
    )
    return _one(db, _allowed(statement, account_id, LadderRow.athlete_id, roles), "proposal")


def message(db: Session, account_id: UUID, message_id: UUID, roles: Roles = SEE) -> MessageRow:
    """A message to an athlete for whom this account holds one of `roles`; its athlete locked
    unless it is only seen.

    Raises:
        MissingError: if it is not there or not for this account.
    """
    statement = select(MessageRow).where(MessageRow.id == message_id)
    if roles != SEE:
        whose = select(MessageRow.athlete_id).where(MessageRow.id == message_id)
        _lock_athlete(db, account_id, db.exec(whose).first(), roles, "message")
    return _one(db, _allowed(statement, account_id, MessageRow.athlete_id, roles), "message")


def lock_athletes_of(db: Session, account_id: UUID, proposal_ids: Iterable[UUID]) -> None:
    """Lock whom some proposals concern, always in the same order, so that two coaches who accept
    much at once wait for each other instead of clashing."""
    concerned = (
        select(LadderRow.athlete_id)
        .join(ProposalRow, col(ProposalRow.ladder_id) == LadderRow.id)
        .where(col(ProposalRow.id).in_(list(proposal_ids)))
    )
    statement = select(AthleteRow).where(col(AthleteRow.id).in_(concerned))
    statement = statement.order_by(col(AthleteRow.id))
    statement = statement.with_for_update(of=AthleteRow, key_share=True)
    db.exec(_allowed(statement, account_id, AthleteRow.id, WRITE)).all()


def _lock_athlete(
    db: Session, account_id: UUID, athlete_id: UUID | None, roles: Roles, thing: str
) -> None:
    if athlete_id is None:
        raise MissingError(thing)
    statement = select(AthleteRow).where(AthleteRow.id == athlete_id)
    statement = statement.with_for_update(of=AthleteRow, key_share=True)
    _one(db, _allowed(statement, account_id, AthleteRow.id, roles), thing)


def _allowed(
    statement: SelectOfScalar[Row], account_id: UUID, athlete_id: Any, roles: Roles
) -> SelectOfScalar[Row]:
    return statement.join(AthleteAccessRow, col(AthleteAccessRow.athlete_id) == athlete_id).where(
        AthleteAccessRow.account_id == account_id, col(AthleteAccessRow.role).in_(roles)
    )


def _one(db: Session, statement: SelectOfScalar[Row], thing: str) -> Row:
    row = db.exec(statement).first()
    if row is None:
        raise MissingError(thing)
    return row
