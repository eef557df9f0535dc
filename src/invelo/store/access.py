"""Who may see or change what. Every query here carries the account that asks."""

from typing import Any, TypeVar
from uuid import UUID

from sqlmodel import Session, col, select
from sqlmodel.sql.expression import SelectOfScalar

from invelo.store.errors import MissingError
from invelo.store.tables import (
    WRITERS,
    Athlete,
    AthleteAccess,
    Decision,
    Ladder,
    TrainingSession,
)

Row = TypeVar("Row")


def athletes(db: Session, account_id: UUID) -> list[Athlete]:
    """The athletes an account may see, by name."""
    statement = select(Athlete).order_by(col(Athlete.name), col(Athlete.id))
    return list(db.exec(_allowed(statement, account_id, Athlete.id, writing=False)))


def athlete(db: Session, account_id: UUID, athlete_id: UUID, writing: bool = False) -> Athlete:
    """An athlete, if this account may see (or, with `writing`, change and lock) them.

    Raises:
        MissingError: if not, whether or not there is such an athlete.
    """
    statement = select(Athlete).where(Athlete.id == athlete_id)
    if writing:
        statement = statement.with_for_update(of=Athlete)
    return _one(db, _allowed(statement, account_id, Athlete.id, writing), "athlete")


def ladder(db: Session, account_id: UUID, ladder_id: UUID, writing: bool = False) -> Ladder:
    """A ladder of an allowed athlete; locked until the transaction ends when `writing`.

    Raises:
        MissingError: if there is none.
    """
    statement = select(Ladder).where(Ladder.id == ladder_id)
    if writing:
        statement = statement.with_for_update(of=Ladder)
    return _one(db, _allowed(statement, account_id, Ladder.athlete_id, writing), "ladder")


def training_session(
    db: Session, account_id: UUID, session_id: UUID, writing: bool = False
) -> TrainingSession:
    """A session of an allowed athlete.

    Raises:
        MissingError: if there is none.
    """
    statement = (
        select(TrainingSession)
        .join(Ladder, col(Ladder.id) == TrainingSession.ladder_id)
        .where(TrainingSession.id == session_id)
    )
    return _one(db, _allowed(statement, account_id, Ladder.athlete_id, writing), "session")


def decision(db: Session, account_id: UUID, decision_id: UUID, writing: bool = False) -> Decision:
    """A decision about an allowed athlete.

    Raises:
        MissingError: if there is none.
    """
    statement = (
        select(Decision)
        .join(Ladder, col(Ladder.id) == Decision.ladder_id)
        .where(Decision.id == decision_id)
    )
    return _one(db, _allowed(statement, account_id, Ladder.athlete_id, writing), "decision")


def _allowed(
    statement: SelectOfScalar[Row], account_id: UUID, athlete_id: Any, writing: bool
) -> SelectOfScalar[Row]:
    joined = statement.join(AthleteAccess, col(AthleteAccess.athlete_id) == athlete_id).where(
        AthleteAccess.account_id == account_id
    )
    return joined.where(col(AthleteAccess.role).in_(WRITERS)) if writing else joined


def _one(db: Session, statement: SelectOfScalar[Row], thing: str) -> Row:
    found = db.exec(statement).first()
    if found is None:
        raise MissingError(thing)
    return found
