"""The rows of a coach's places and of what is in them."""

from datetime import date, datetime
from uuid import UUID

from sqlalchemy import Index, UniqueConstraint, text
from sqlmodel import Field, SQLModel

from invelo.db.columns import instant, json_column, one_of


class BandRow(SQLModel, table=True):
    """A coach's band as it was measured: length (m) and force (N) of each pull. A cut, knotted or
    replaced band is a new one; the old row stays, retired."""

    __tablename__ = "band"

    __table_args__ = (
        Index(
            "uq_band_in_use",
            "account_id",
            "name",
            unique=True,
            postgresql_where=text("retired_at IS NULL"),
        ),
    )

    id: UUID = Field(primary_key=True)
    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE")
    name: str
    rest_m: float
    limit: float
    pulls: list[tuple[float, float]] = json_column()
    created_at: datetime = instant()
    retired_at: datetime | None = instant(nullable=True)
    retired_why: str = ""


class PlaceRow(SQLModel, table=True):
    """A coach's place to train, with its floor."""

    __tablename__ = "place"

    __table_args__ = (
        UniqueConstraint("account_id", "name"),
        one_of("floor", "gripping", "smooth", "both"),
    )

    id: UUID = Field(primary_key=True)
    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE")
    name: str
    floor: str
    created_at: datetime = instant()


class KitItemRow(SQLModel, table=True):
    """A thing in a place. `photo` is what a home-made rig is judged by."""

    __tablename__ = "kit_item"

    id: UUID = Field(primary_key=True)
    place_id: UUID = Field(foreign_key="place.id", ondelete="CASCADE", index=True)
    kind: str
    name: str
    height_m: float | None = None
    kg: float | None = None
    count: int = 1
    setup_minutes: float = 0.0
    rated_kg: float | None = None
    home_made: bool = False
    band_id: UUID | None = Field(default=None, foreign_key="band.id", ondelete="CASCADE")
    photo: bytes | None = None
    photo_type: str = ""
    approved_on: date | None = None
    checked_on: date | None = None
    safe: bool | None = None
    checked_by: str = ""
