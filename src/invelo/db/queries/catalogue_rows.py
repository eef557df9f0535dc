"""Reads of movements that coaches made."""

from uuid import UUID

from sqlmodel import Session, col, select

from invelo.db.tables.catalogue import OwnMovementRow


def own_movements(db: Session, account_id: UUID) -> list[OwnMovementRow]:
    """A coach's own that are not put away, by name."""
    statement = (
        select(OwnMovementRow)
        .where(OwnMovementRow.account_id == account_id, col(OwnMovementRow.put_away_at).is_(None))
        .order_by(OwnMovementRow.name)
    )
    return list(db.exec(statement))
