"""A coach's own tags of movements."""

from collections.abc import Iterable
from uuid import UUID

from sqlmodel import Session

from invelo.db.queries import athlete_rows, catalogue_rows
from invelo.db.tables.catalogue import MovementTagRow
from invelo.domain.catalogue.tags import Tags, tidy


def of_coach(db: Session, account_id: UUID) -> Tags:
    """By movement."""
    by_movement: dict[str, tuple[str, ...]] = {}
    for row in catalogue_rows.tags(db, account_id):
        by_movement[row.movement] = (*by_movement.get(row.movement, ()), row.tag)
    return by_movement


def of_athlete(db: Session, athlete_id: UUID) -> Tags:
    """Those of whoever owns an athlete's record."""
    owner = athlete_rows.owner(db, athlete_id)
    return of_coach(db, owner) if owner else {}


def put(db: Session, account_id: UUID, movement: str, typed: Iterable[str]) -> tuple[str, ...]:
    """Give a movement these tags and no others; none takes them away.

    Raises:
        InputError: for too many, an empty or a long one.
    """
    others = {key: tags for key, tags in of_coach(db, account_id).items() if key != movement}
    tags = tidy(typed, others)
    catalogue_rows.drop_tags(db, account_id, movement)
    db.add_all(MovementTagRow(account_id=account_id, movement=movement, tag=tag) for tag in tags)
    db.flush()
    return tags
