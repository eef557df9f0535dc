"""Reads of movements that coaches made."""

from uuid import UUID

from sqlalchemy import delete
from sqlmodel import Session, col, select

from invelo.db.tables.catalogue import MovementTagRow, OwnMovementRow


def own_movements(db: Session, account_id: UUID) -> list[OwnMovementRow]:
    """A coach's own that are not put away, by name."""
    statement = (
        select(OwnMovementRow)
        .where(OwnMovementRow.account_id == account_id, col(OwnMovementRow.put_away_at).is_(None))
        .order_by(OwnMovementRow.name)
    )
    return list(db.exec(statement))


def tags(db: Session, account_id: UUID) -> list[MovementTagRow]:
    """A coach's own tags, by movement."""
    statement = select(MovementTagRow).where(MovementTagRow.account_id == account_id)
    return list(db.exec(statement.order_by(MovementTagRow.movement, MovementTagRow.tag)))


def drop_tags(db: Session, account_id: UUID, movement: str) -> None:
    """Take all tags off a movement."""
    db.exec(
        delete(MovementTagRow).where(
            col(MovementTagRow.account_id) == account_id, col(MovementTagRow.movement) == movement
        )
    )
    db.flush()
