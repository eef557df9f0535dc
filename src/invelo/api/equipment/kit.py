"""Kit and places: what is there, and whether it may be planned with."""

from datetime import date
from typing import Annotated
from uuid import UUID

from fastapi import APIRouter, Depends, Request, Response
from pydantic import Base64Bytes, Field
from sqlmodel import Session

from invelo.api.common.context import Coach, Database, NobodyError, Now, Token
from invelo.api.common.problems import ERRORS
from invelo.db.errors import MissingError
from invelo.db.moment import Moment
from invelo.db.queries import equipment_rows
from invelo.db.tables.account import AccountRow
from invelo.db.tables.equipment import KitItemRow
from invelo.domain.equipment.kit import LOOK_FOR, Floor, Kind, KitItem
from invelo.domain.errors import InputError
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.formats.media import Stripped
from invelo.formats.media_apart import strip_apart
from invelo.services.account import accounts
from invelo.services.equipment import kit

router = APIRouter(prefix="/api", tags=["Intake"], responses=ERRORS)

Name = Annotated[str, Field(min_length=1, max_length=60, pattern=r"\S")]


class KitItemOut(ResponseModel):
    """A thing in a place."""

    id: UUID
    kind: Kind
    name: str
    height_m: float | None
    kg: float | None
    count: int
    setup_minutes: float
    rated_kg: float | None
    home_made: bool
    band_id: UUID | None
    has_photo: bool
    approved_on: date | None
    checked_on: date | None
    safe: bool | None
    checked_by: str
    look_for: str = Field(description="What a safety check looks for.")
    unavailable_reason: str = Field(description="Why it is not planned with; empty where it is.")


class PlaceOut(ResponseModel):
    """A place to train."""

    id: UUID
    name: str
    floor: Floor
    items: list[KitItemOut]


class Places(ResponseModel):
    """The coach's places."""

    places: list[PlaceOut]


class NewPlace(StrictModel):
    """A place, new or changed."""

    name: Name
    floor: Floor = "gripping"


class NewItem(StrictModel):
    """A thing, new or changed."""

    place_id: UUID
    kind: Kind
    name: Name
    height_m: float | None = Field(None, description="Above the floor; bars, surfaces, anchors.")
    kg: float | None = Field(None, description="Of one piece, or what a bag holds.")
    count: int = 1
    setup_minutes: float = 0.0
    rated_kg: float | None = Field(None, description="That it is rated to bear.")
    home_made: bool = False
    band_id: UUID | None = None

    def core(self) -> KitItem:
        """As the domain reads it."""
        return KitItem(
            self.kind,
            self.name.strip(),
            self.height_m,
            self.kg,
            self.count,
            self.setup_minutes,
            self.home_made,
            rated=self.rated_kg,
        )


class Looked(StrictModel):
    """What a safety check found."""

    safe: bool


@router.get("/places")
def get_places(coach: Coach, db: Database, now: Now) -> Places:
    """Every place with what is in it."""
    return _places(db, coach, now)


@router.put("/places/{place_id}")
def keep_place(place_id: UUID, body: NewPlace, coach: Coach, db: Database, now: Now) -> Places:
    """Keep a place under an id the client made."""
    kit.keep_place(db, coach.id, place_id, body.name.strip(), body.floor, now)
    return _places(db, coach, now)


@router.delete("/places/{place_id}", status_code=204)
def remove_place(place_id: UUID, coach: Coach, db: Database) -> None:
    """Take a place off, with what is in it."""
    kit.remove_place(db, coach.id, place_id)


@router.put("/kit/{item_id}")
def keep_item(item_id: UUID, body: NewItem, coach: Coach, db: Database, now: Now) -> Places:
    """Keep a thing under an id the client made."""
    kit.keep_item(db, coach.id, body.place_id, item_id, body.core(), body.band_id)
    return _places(db, coach, now)


@router.delete("/kit/{item_id}", status_code=204)
def remove_item(item_id: UUID, coach: Coach, db: Database) -> None:
    """Take a thing off."""
    kit.remove_item(db, coach.id, item_id)


@router.post("/kit/{item_id}/check")
def check_item(item_id: UUID, body: Looked, coach: Coach, db: Database, now: Now) -> Places:
    """Keep what a safety check found today."""
    kit.check(db, coach, item_id, body.safe, _today(coach, now))
    return _places(db, coach, now)


PHOTO_TYPES = {b"\xff\xd8\xff": "image/jpeg", b"\x89PNG\r\n\x1a\n": "image/png"}
"""First bytes of the pictures that are taken."""


class NewPhoto(StrictModel):
    """A photo of a rig."""

    photo: Base64Bytes = Field(description="JPEG or PNG, as base64.")


def _bare_photo(body: NewPhoto, request: Request, now: Now, token: Token = None) -> Stripped:
    with Session(request.app.state.engine) as db:
        if token is None or accounts.for_token(db, token, now) is None:
            raise NobodyError
    kind = next((name for head, name in PHOTO_TYPES.items() if body.photo.startswith(head)), None)
    if kind is None:
        raise InputError("photo", "it is no picture.", "Send a JPEG or a PNG.")
    return strip_apart(kind, body.photo)


BarePhoto = Annotated[Stripped, Depends(_bare_photo)]
"""A coach's photo without its metadata, read before a connection is held."""


@router.put("/kit/{item_id}/photo")
def put_photo(bare: BarePhoto, item_id: UUID, coach: Coach, db: Database, now: Now) -> Places:
    """Keep a photo of a home-made rig, without its metadata."""
    kit.put_photo(db, coach.id, item_id, bare.media_type, bare.content)
    return _places(db, coach, now)


@router.get("/kit/{item_id}/photo", response_class=Response)
def get_photo(item_id: UUID, coach: Coach, db: Database) -> Response:
    """The photo of a rig."""
    row = kit.item(db, coach.id, item_id)
    if row.photo is None:
        raise MissingError("photo")
    return Response(row.photo, media_type=row.photo_type)


@router.post("/kit/{item_id}/approval")
def approve(item_id: UUID, coach: Coach, db: Database, now: Now) -> Places:
    """The coach has seen the photo and says yes."""
    kit.approve(db, coach.id, item_id, _today(coach, now))
    return _places(db, coach, now)


def _today(coach: AccountRow, now: Now) -> date:
    return Moment(now, coach.time_zone).local_date


def _places(db: Database, coach: AccountRow, now: Now) -> Places:
    today = _today(coach, now)
    return Places(
        places=[
            PlaceOut.of(
                row, items=[_item(item, today) for item in equipment_rows.items(db, row.id)]
            )
            for row in equipment_rows.places(db, coach.id)
        ]
    )


def _item(row: KitItemRow, today: date) -> KitItemOut:
    thing = kit.item_of(row)
    return KitItemOut.of(
        row,
        kind=thing.kind,
        has_photo=row.photo is not None,
        look_for=LOOK_FOR.get(thing.kind, ""),
        unavailable_reason=thing.unavailable_reason(today),
    )
