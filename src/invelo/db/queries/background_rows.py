"""Long work that was asked for: what is under way, and what ended long ago."""

from collections.abc import Sequence
from datetime import datetime
from uuid import UUID

from sqlalchemy import func
from sqlmodel import Session, col, delete, select

from invelo.db.tables.background import UNDER_WAY, BackgroundTaskRow


def under_way(db: Session, kind: str, owner_id: UUID) -> BackgroundTaskRow | None:
    """The task of a kind that is under way for an athlete or an account, if there is one."""
    return db.exec(
        select(BackgroundTaskRow).where(
            BackgroundTaskRow.kind == kind,
            func.coalesce(BackgroundTaskRow.athlete_id, BackgroundTaskRow.account_id) == owner_id,
            col(BackgroundTaskRow.state).in_(UNDER_WAY),
        )
    ).first()


def locked(db: Session, task_id: UUID) -> BackgroundTaskRow | None:
    """A task, held until this transaction ends."""
    statement = select(BackgroundTaskRow).where(BackgroundTaskRow.id == task_id)
    return db.exec(statement.with_for_update()).first()


def untouched_since(db: Session, moment: datetime) -> Sequence[BackgroundTaskRow]:
    """Tasks under way that have not changed since a moment."""
    return db.exec(
        select(BackgroundTaskRow).where(
            col(BackgroundTaskRow.state).in_(UNDER_WAY), col(BackgroundTaskRow.changed_at) < moment
        )
    ).all()


def forget_before(db: Session, moment: datetime) -> None:
    """Take away the tasks that ended long ago."""
    db.exec(
        delete(BackgroundTaskRow).where(
            col(BackgroundTaskRow.changed_at) < moment,
            col(BackgroundTaskRow.state).not_in(UNDER_WAY),
        )
    )
