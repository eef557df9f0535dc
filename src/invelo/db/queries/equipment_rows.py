"""Bands, places and what is in them."""

from uuid import UUID

from sqlmodel import Session, col, delete, select

from invelo.db.tables.equipment import BandRow, KitItemRow, PlaceRow


def bands(db: Session, account_id: UUID) -> list[BandRow]:
    """The bands an account uses, by name."""
    statement = select(BandRow).where(
        BandRow.account_id == account_id, col(BandRow.retired_at).is_(None)
    )
    return list(db.exec(statement.order_by(col(BandRow.name), col(BandRow.id))))


def take_off_band(db: Session, band_id: UUID) -> None:
    """Take away the kit that names a band."""
    db.exec(delete(KitItemRow).where(col(KitItemRow.band_id) == band_id))
    db.flush()


def places(db: Session, account_id: UUID) -> list[PlaceRow]:
    """The places of an account, by name."""
    statement = select(PlaceRow).where(PlaceRow.account_id == account_id)
    return list(db.exec(statement.order_by(col(PlaceRow.name), col(PlaceRow.id))))


def items_of_account(db: Session, account_id: UUID) -> list[KitItemRow]:
    """What is in all places of an account, by place and name."""
    statement = (
        select(KitItemRow)
        .join(PlaceRow, col(PlaceRow.id) == col(KitItemRow.place_id))
        .where(PlaceRow.account_id == account_id)
        .order_by(col(PlaceRow.name), col(KitItemRow.name), col(KitItemRow.id))
    )
    return list(db.exec(statement))


def items(db: Session, place_id: UUID) -> list[KitItemRow]:
    """What is in a place, by kind and name."""
    statement = select(KitItemRow).where(KitItemRow.place_id == place_id)
    return list(
        db.exec(statement.order_by(col(KitItemRow.kind), col(KitItemRow.name), col(KitItemRow.id)))
    )
