"""Movements of a coach's own: made, listed, put away, and made known to this process."""

from datetime import datetime
from uuid import UUID

from pydantic import TypeAdapter
from sqlalchemy import Engine
from sqlmodel import Session

from invelo.db.database import transaction
from invelo.db.errors import ConflictError, MissingError
from invelo.db.queries import catalogue_rows
from invelo.db.tables.catalogue import OwnMovementRow
from invelo.domain.catalogue.catalogue import catalogue, kept_movement, look_in
from invelo.domain.catalogue.movement import Movement
from invelo.domain.catalogue.own import PREFIX, OwnMovement, learn
from invelo.domain.errors import InputError

DOCUMENT: TypeAdapter[OwnMovement] = TypeAdapter(OwnMovement)
MOST = 300
"""Movements of one coach's own."""


def make(db: Session, account_id: UUID, row_id: UUID, own: OwnMovement, now: datetime) -> Movement:
    """Keep a movement of a coach's own. A replay changes nothing.

    Raises:
        InputError: for one that no body can do, or that is called like another of theirs.
        ConflictError: if the id is in use.
    """
    document = DOCUMENT.dump_python(own, mode="json")
    kept = db.get(OwnMovementRow, row_id)
    if kept is not None:
        if kept.account_id == account_id and kept.document == document:
            return catalogue().find_movement(f"{PREFIX}{row_id}")
        raise ConflictError(
            "id", "it is in use.", "A movement of one's own never changes; make another."
        )
    there = catalogue_rows.own_movements(db, account_id)
    if len(there) >= MOST:
        raise InputError("movement", f"there are {MOST} already.", "Put one away first.")
    name = own.name.strip()
    if any(row.name.casefold() == name.casefold() for row in there):
        raise InputError("name", "another of yours is called so.", "Give it a name of its own.")
    movement = learn(f"{PREFIX}{row_id}", own)
    _keep(db, account_id, row_id, own, now)
    return movement


def adopt(db: Session, account_id: UUID, own_id: str, own: OwnMovement, now: datetime) -> None:
    """Keep a movement that a file brought; one that is there already stays as it is."""
    row_id = UUID(own_id.removeprefix(PREFIX))
    if db.get(OwnMovementRow, row_id) is None:
        _keep(db, account_id, row_id, own, now)


def _keep(db: Session, account_id: UUID, row_id: UUID, own: OwnMovement, now: datetime) -> None:
    row = OwnMovementRow(
        id=row_id,
        account_id=account_id,
        name=own.name.strip(),
        document=DOCUMENT.dump_python(own, mode="json"),
        created_at=now,
    )
    db.add(row)
    db.flush()


def listed(db: Session, account_id: UUID) -> tuple[Movement, ...]:
    """A coach's own movements that are not put away, by name."""
    return tuple(_known(row) for row in catalogue_rows.own_movements(db, account_id))


def put_away(db: Session, account_id: UUID, row_id: UUID, now: datetime) -> None:
    """Offer it no more; what was done of it stands.

    Raises:
        MissingError: if it is not theirs.
    """
    row = db.get(OwnMovementRow, row_id)
    if row is None or row.account_id != account_id:
        raise MissingError("movement")
    if row.put_away_at is None:
        row.put_away_at = now
        db.add(row)
        db.flush()


def known_from(engine: Engine) -> None:
    """Let this process look for movements it does not know in a database."""

    def find(movement_id: str) -> Movement | None:
        try:
            key = UUID(movement_id.removeprefix(PREFIX))
        except ValueError:
            return None
        with transaction(engine) as db:
            row = db.get(OwnMovementRow, key)
            return _known(row) if row is not None else None

    look_in(find)


def _known(row: OwnMovementRow) -> Movement:
    own_id = f"{PREFIX}{row.id}"
    return kept_movement(own_id) or learn(own_id, DOCUMENT.validate_python(row.document))
