"""A coach's bands: measured, listed, laid aside."""

from dataclasses import replace
from datetime import datetime
from uuid import UUID

from sqlmodel import Session

from invelo.db.errors import ConflictError, MissingError
from invelo.db.queries import athlete_rows, equipment_rows
from invelo.db.tables.equipment import BandRow
from invelo.domain.strength import bands

MOST_BANDS = 50


def curve(row: BandRow) -> bands.Band:
    """The band fitted to its pulls."""
    pulls = tuple(bands.Pull(length, force) for length, force in row.pulls)
    return replace(bands.fit(row.rest_m, pulls, row.limit), name=row.name)


def of_coach(db: Session, coach_id: UUID) -> tuple[tuple[str, bands.Band], ...]:
    """A coach's bands by name."""
    return tuple((row.name, curve(row)) for row in equipment_rows.bands(db, coach_id))


def of_athlete(db: Session, athlete_id: UUID) -> tuple[tuple[str, bands.Band], ...]:
    """The bands of whoever owns an athlete's record, by name."""
    owner = athlete_rows.owner(db, athlete_id)
    return of_coach(db, owner) if owner else ()


def keep(
    db: Session, account_id: UUID, band_id: UUID, name: str, measured: bands.Band, now: datetime
) -> BandRow:
    """Keep a measured band. A replay of the same changes nothing.

    Raises:
        ConflictError: if the id or the name is in use, or there are too many.
    """
    kept = db.get(BandRow, band_id)
    if kept is not None:
        if kept.account_id == account_id and kept.name == name:
            return kept
        raise ConflictError("id", "it is in use.", "Make a new id for each band.")
    known = equipment_rows.bands(db, account_id)
    if len(known) >= MOST_BANDS:
        raise ConflictError("bands", "there are too many.", "Lay one aside first.")
    if any(band.name == name for band in known):
        raise ConflictError(
            "name", f"there is a band “{name}” already.", "Give this one another name."
        )
    row = BandRow(
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


def of_account_one(db: Session, account_id: UUID, band_id: UUID) -> BandRow:
    """A band that the account uses.

    Raises:
        MissingError: if it has none such, or has retired it.
    """
    row = db.get(BandRow, band_id)
    if row is None or row.account_id != account_id or row.retired_at is not None:
        raise MissingError("band")
    return row


def retire(db: Session, account_id: UUID, band_id: UUID, why: str, now: datetime) -> None:
    """Take a band out of use: once cut, knotted or replaced it is another. Its row stays with its
    curve, set-ups that used it keep theirs, and kit that named it is taken off.

    Raises:
        MissingError: if the account has no such band.
    """
    row = of_account_one(db, account_id, band_id)
    row.retired_at, row.retired_why = now, why
    db.add(row)
    equipment_rows.take_off_band(db, band_id)
