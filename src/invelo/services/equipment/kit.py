"""A coach's places and what is in them."""

from collections.abc import Sequence
from datetime import date, datetime
from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.db.errors import ConflictError, MissingError
from invelo.db.queries import equipment_rows
from invelo.db.tables.account import AccountRow
from invelo.db.tables.equipment import KitItemRow, PlaceRow
from invelo.domain.equipment.kit import Floor, Kind, KitItem, Room, SafetyCheck, lapsing, rebuilt
from invelo.domain.errors import InputError
from invelo.services.equipment import bands

KIND: TypeAdapter[Kind] = TypeAdapter(Kind)
FLOOR: TypeAdapter[Floor] = TypeAdapter(Floor)

MOST_PLACES, MOST_ITEMS = 40, 100


def place(db: Session, account_id: UUID, place_id: UUID) -> PlaceRow:
    """A place of the account's.

    Raises:
        MissingError: if it is not.
    """
    place_row = db.get(PlaceRow, place_id)
    if place_row is None or place_row.account_id != account_id:
        raise MissingError("place")
    return place_row


def item(db: Session, account_id: UUID, item_id: UUID) -> KitItemRow:
    """A thing in one of the account's places.

    Raises:
        MissingError: if it is not.
    """
    kit_item_row = db.get(KitItemRow, item_id)
    where = db.get(PlaceRow, kit_item_row.place_id) if kit_item_row else None
    if kit_item_row is None or where is None or where.account_id != account_id:
        raise MissingError("thing")
    return kit_item_row


def item_of(row: KitItemRow) -> KitItem:
    """A thing as the domain reasons about it."""
    check = (
        SafetyCheck(row.checked_on, row.safe, row.checked_by)
        if row.checked_on is not None and row.safe is not None
        else None
    )
    return KitItem(
        KIND.validate_python(row.kind),
        row.name,
        row.height_m,
        row.kg,
        row.count,
        row.setup_minutes,
        row.home_made,
        row.approved_on,
        check,
        row.rated_kg,
    )


def rooms(db: Session, place_ids: Sequence[str]) -> tuple[Room, ...]:
    """Places as the domain reasons about them; one that is gone is left out."""
    rooms = []
    for place_id in place_ids:
        row = db.get(PlaceRow, UUID(place_id))
        if row is not None:
            things = tuple(
                item_of(kit_item_row) for kit_item_row in equipment_rows.items(db, row.id)
            )
            rooms.append(Room(row.name, FLOOR.validate_python(row.floor), things))
    return tuple(rooms)


def lapses(db: Session, account_id: UUID, today: date) -> tuple[str, ...]:
    """Checks of the account's things that run out within two weeks or have run out, in words."""
    return lapsing(map(item_of, equipment_rows.items_of_account(db, account_id)), today)


def keep_place(
    db: Session, account_id: UUID, place_id: UUID, name: str, floor: Floor, now: datetime
) -> PlaceRow:
    """Keep a place, new or changed.

    Raises:
        ConflictError: if the name is in use, or there are too many.
        MissingError: if the id is another coach's.
    """
    known = equipment_rows.places(db, account_id)
    if any(place_row.name == name and place_row.id != place_id for place_row in known):
        raise ConflictError("name", f"there is a place “{name}” already.", "Name it otherwise.")
    row = db.get(PlaceRow, place_id)
    if row is None:
        if len(known) >= MOST_PLACES:
            raise ConflictError("places", "there are too many.", "Take one off first.")
        row = PlaceRow(id=place_id, account_id=account_id, name=name, floor=floor, created_at=now)
    elif row.account_id != account_id:
        raise MissingError("place")
    row.name, row.floor = name, floor
    db.add(row)
    db.flush()
    return row


def remove_place(db: Session, account_id: UUID, place_id: UUID) -> None:
    """Take a place off, with what is in it.

    Raises:
        MissingError: if the account has no such place.
    """
    db.delete(place(db, account_id, place_id))
    db.flush()


def keep_item(
    db: Session,
    account_id: UUID,
    place_id: UUID,
    item_id: UUID,
    thing: KitItem,
    band_id: UUID | None = None,
) -> KitItemRow:
    """Keep a thing, new or changed; what was checked and approved of it stays.

    A home-made rig that is changed must be looked at anew.

    Raises:
        ConflictError: if there are too many.
        MissingError: if place or band are not the account's.
    """
    where = place(db, account_id, place_id)
    if thing.kind == "band":
        if band_id is None:
            raise InputError("band", "none is named.", "Measure a band first, then pick it.")
        bands.of_account_one(db, account_id, band_id)
    row = db.get(KitItemRow, item_id)
    if row is None:
        if len(equipment_rows.items(db, where.id)) >= MOST_ITEMS:
            raise ConflictError("kit", "there is too much here.", "Take something off first.")
        row = KitItemRow(id=item_id, place_id=where.id, kind=thing.kind, name=thing.name)
    else:
        item(db, account_id, item_id)
        if rebuilt(item_of(row), thing):
            row.approved_on = row.checked_on = row.safe = None
    row.place_id, row.kind, row.name = where.id, thing.kind, thing.name
    row.height_m, row.kg, row.count = thing.height, thing.kg, thing.count
    row.rated_kg = thing.rated
    row.setup_minutes, row.home_made, row.band_id = thing.setup_minutes, thing.home_made, band_id
    db.add(row)
    db.flush()
    return row


def remove_item(db: Session, account_id: UUID, item_id: UUID) -> None:
    """Take a thing off.

    Raises:
        MissingError: if it is not the account's.
    """
    db.delete(item(db, account_id, item_id))
    db.flush()


def check(db: Session, coach: AccountRow, item_id: UUID, safe: bool, day: date) -> KitItemRow:
    """Keep that a thing was looked at, and what was found.

    Raises:
        MissingError: if it is not the account's.
    """
    row = item(db, coach.id, item_id)
    row.checked_on, row.safe, row.checked_by = day, safe, coach.name
    db.add(row)
    db.flush()
    return row


def put_photo(
    db: Session, account_id: UUID, item_id: UUID, media_type: str, photo: bytes
) -> KitItemRow:
    """Keep a photo of a thing; an approval of an older one falls.

    Raises:
        MissingError: if the thing is not the account's.
    """
    row = item(db, account_id, item_id)
    row.photo, row.photo_type, row.approved_on = photo, media_type, None
    db.add(row)
    db.flush()
    return row


def approve(db: Session, account_id: UUID, item_id: UUID, day: date) -> KitItemRow:
    """Keep that the coach saw the photo and said yes.

    Raises:
        ConflictError: if there is no photo to see.
        MissingError: if the thing is not the account's.
    """
    row = item(db, account_id, item_id)
    if row.photo is None:
        raise ConflictError("photo", "there is none to approve.", "Take one of the whole rig.")
    row.approved_on = day
    db.add(row)
    db.flush()
    return row
