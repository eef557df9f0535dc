"""Who may see or change what. Every query here carries the account that asks, and the roles that
may: `SEE`, `WRITE` or `OWN`."""

from typing import Any, TypeVar
from uuid import UUID

from sqlmodel import Session, col, select
from sqlmodel.sql.expression import SelectOfScalar

from invelo.store.errors import MissingError
from invelo.store.review_tables import Decision
from invelo.store.tables import (
    Athlete,
    AthleteAccess,
    Ladder,
    Role,
    TrainingSession,
)

Roles = tuple[Role, ...]
SEE: Roles = ("owner", "coach", "reader")
WRITE: Roles = ("owner", "coach")
OWN: Roles = ("owner",)

Row = TypeVar("Row")


def athletes(db: Session, account_id: UUID) -> list[Athlete]:
    """The athletes an account may see, by name."""
    statement = select(Athlete).order_by(col(Athlete.name), col(Athlete.id))
    return list(db.exec(_allowed(statement, account_id, Athlete.id, SEE)))


def athlete(db: Session, account_id: UUID, athlete_id: UUID, roles: Roles = SEE) -> Athlete:
    """An athlete, if this account holds one of `roles` for them; locked unless only seen.

    Raises:
        MissingError: if not, whether or not there is such an athlete.
    """
    statement = select(Athlete).where(Athlete.id == athlete_id)
    if roles != SEE:
        statement = statement.with_for_update(of=Athlete)
    return _one(db, _allowed(statement, account_id, Athlete.id, roles), "athlete")


def lock(db: Session, athlete: Athlete) -> Athlete:
    """An athlete who is let in already, locked until the transaction ends."""
    db.refresh(athlete, with_for_update=True)
    return athlete


def ladder(db: Session, account_id: UUID, ladder_id: UUID, roles: Roles = SEE) -> Ladder:
    """A ladder of an allowed athlete; locked until the transaction ends, unless only seen.

    Raises:
        MissingError: if there is none.
    """
    statement = select(Ladder).where(Ladder.id == ladder_id)
    if roles != SEE:
        statement = statement.with_for_update(of=Ladder)
    return _one(db, _allowed(statement, account_id, Ladder.athlete_id, roles), "ladder")


def ladder_seen(db: Session, account_id: UUID, ladder_id: UUID) -> tuple[Ladder, Athlete]:
    """A ladder of an allowed athlete with them, to be looked at.

    Raises:
        MissingError: if there is none.
    """
    statement = (
        select(Ladder, Athlete)
        .join(Athlete, col(Athlete.id) == Ladder.athlete_id)
        .join(AthleteAccess, col(AthleteAccess.athlete_id) == Athlete.id)
        .where(
            Ladder.id == ladder_id,
            AthleteAccess.account_id == account_id,
            col(AthleteAccess.role).in_(SEE),
        )
    )
    found = db.exec(statement).first()
    if found is None:
        raise MissingError("ladder")
    return found[0], found[1]


def own_session(db: Session, athlete_id: UUID, session_id: UUID) -> TrainingSession:
    """A session of an athlete who is let in already.

    Raises:
        MissingError: if there is none of theirs.
    """
    found = db.get(TrainingSession, session_id)
    if found is None or found.athlete_id != athlete_id:
        raise MissingError("session")
    return found


def decision(db: Session, account_id: UUID, decision_id: UUID, roles: Roles = SEE) -> Decision:
    """A decision about an allowed athlete.

    Raises:
        MissingError: if there is none.
    """
    statement = (
        select(Decision)
        .join(Ladder, col(Ladder.id) == Decision.ladder_id)
        .where(Decision.id == decision_id)
    )
    return _one(db, _allowed(statement, account_id, Ladder.athlete_id, roles), "decision")


def _allowed(
    statement: SelectOfScalar[Row], account_id: UUID, athlete_id: Any, roles: Roles
) -> SelectOfScalar[Row]:
    return statement.join(AthleteAccess, col(AthleteAccess.athlete_id) == athlete_id).where(
        AthleteAccess.account_id == account_id, col(AthleteAccess.role).in_(roles)
    )


def _one(db: Session, statement: SelectOfScalar[Row], thing: str) -> Row:
    found = db.exec(statement).first()
    if found is None:
        raise MissingError(thing)
    return found
