"""A coach's bands: measured, listed, laid aside."""

from datetime import datetime
from uuid import UUID

from sqlmodel import Session, col, select

from invelo.core import bands as core
from invelo.store.errors import ConflictError, MissingError
from invelo.store.tables import Band

MOST_BANDS = 50


def of_account(db: Session, account_id: UUID) -> list[Band]:
    """The bands of an account, by name."""
    statement = select(Band).where(Band.account_id == account_id)
    return list(db.exec(statement.order_by(col(Band.name), col(Band.id))))


def curve(row: Band) -> core.Band:
    """The band fitted to its pulls."""
    pulls = tuple(core.Pull(length, force) for length, force in row.pulls)
    return core.fit(row.rest_m, pulls, row.limit)


def keep(
    db: Session, account_id: UUID, band_id: UUID, name: str, measured: core.Band, now: datetime
) -> Band:
    """Keep a measured band. A replay of the same changes nothing.

    Raises:
        ConflictError: if the id or the name is in use, or there are too many.
    """
    kept = db.get(Band, band_id)
    if kept is not None:
        if kept.account_id == account_id and kept.name == name:
            return kept
        raise ConflictError("id", "it is in use.", "Make a new id for each band.")
    known = of_account(db, account_id)
    if len(known) >= MOST_BANDS:
        raise ConflictError("bands", "there are too many.", "Lay one aside first.")
    if any(one.name == name for one in known):
        raise ConflictError(
            "name", f"there is a band “{name}” already.", "Give this one another name."
        )
    row = Band(
        id=band_id,
        account_id=account_id,
        name=name,
        rest_m=measured.rest,
        limit=measured.limit,
        pulls=[(pull.length, pull.force) for pull in measured.pulls],
        created_at=now,
    )
    db.add(row)
    db.flush()
    return row


def lay_aside(db: Session, account_id: UUID, band_id: UUID) -> None:
    """Take a band off the list; set-ups that used it keep its curve.

    Raises:
        MissingError: if the account has no such band.
    """
    row = db.get(Band, band_id)
    if row is None or row.account_id != account_id:
        raise MissingError("band")
    db.delete(row)
