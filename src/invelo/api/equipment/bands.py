"""Bands: what the coach has, each measured."""

from typing import Annotated, Literal
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now
from invelo.api.common.problems import ERRORS
from invelo.db.queries import equipment_rows
from invelo.db.tables.equipment import BandRow
from invelo.domain.biomechanics.body import GRAVITY
from invelo.domain.errors import require_within
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.formats.setups import BandRequest, PullReading
from invelo.services.equipment import bands

router = APIRouter(prefix="/api/bands", tags=["Bench"], responses=ERRORS)

CURVE_POINTS = 21
MOST_KG = 300.0
"""More than any band pulls with at three times its length (common practice)."""


class ScaleReading(StrictModel):
    """A band pulled to a length, as a hanging scale reads it."""

    length_m: float = Field(examples=[1.5])
    kg: float = Field(examples=[8.2])

    def core(self) -> PullReading:
        """As a force, to the micronewton.

        Raises:
            InputError: for more than a band can pull with.
        """
        require_within("pull", self.kg, 0.0, MOST_KG, "kg")
        return PullReading(length_m=self.length_m, force_n=round(self.kg * GRAVITY, 6))

    @classmethod
    def of(cls, length: float, force: float) -> "ScaleReading":
        """Of a kept pull."""
        return cls(length_m=length, kg=round(force / GRAVITY, 6))


class NewBand(StrictModel):
    """A band with its pulls."""

    id: UUID = Field(description="Made by the client, so that sending it twice counts once.")
    name: Annotated[str, Field(min_length=1, max_length=60, pattern=r"\S", examples=["broad"])]
    rest_m: float = Field(description="Length without pull.", examples=[1.0])
    readings: list[ScaleReading] = Field(max_length=40)
    limit: float = Field(3.0, description="Largest stretch, times the rest length.")


class CurvePoint(ResponseModel):
    """A length and the pull there."""

    length_m: float
    kg: float


class BandOut(ResponseModel):
    """A band with its fitted curve."""

    id: UUID
    name: str
    rest_m: float
    limit: float
    pulls: list[PullReading] = Field(description="As a set-up that uses the band carries them.")
    readings: list[ScaleReading]
    measured: bool = Field(description="Whether it was pulled; else only its label speaks.")
    scatter_percent: float = Field(description="80 % half-width of a pull.")
    curve: list[CurvePoint]


class Bands(ResponseModel):
    """The coach's bands."""

    bands: list[BandOut]


@router.get("")
def get_bands(coach: Coach, db: Database) -> Bands:
    """What there is."""
    return Bands(bands=[_band(row) for row in equipment_rows.bands(db, coach.id)])


@router.post("", status_code=201)
def add_band(body: NewBand, coach: Coach, db: Database, now: Now) -> BandOut:
    """Keep a measured band; its curve is fitted to the pulls."""
    pulls = [reading.core() for reading in body.readings]
    measured = BandRequest(rest_m=body.rest_m, pulls=pulls, limit=body.limit).core()
    return _band(bands.keep(db, coach.id, body.id, body.name.strip(), measured, now))


class Retirement(StrictModel):
    """Why a band is out of use."""

    why: Literal["cut", "knotted", "replaced", "lost"]


@router.post("/{band_id}/retirement", status_code=204)
def retire_band(band_id: UUID, body: Retirement, coach: Coach, db: Database, now: Now) -> None:
    """Take a band out of use: what was cut, knotted or replaced is measured anew, as another band.
    Set-ups that used it keep its curve."""
    bands.retire(db, coach.id, band_id, body.why, now)


def _band(row: BandRow) -> BandOut:
    curve = bands.curve(row)
    stretches = [1 + (row.limit - 1) * i / (CURVE_POINTS - 1) for i in range(CURVE_POINTS)]
    return BandOut.of(
        row,
        pulls=[PullReading(length_m=length, force_n=force) for length, force in row.pulls],
        readings=[ScaleReading.of(length, force) for length, force in row.pulls],
        measured=curve.measured,
        scatter_percent=100 * curve.scatter,
        curve=[
            CurvePoint(length_m=at * row.rest_m, kg=float(curve.force_at(at)) / GRAVITY)
            for at in stretches
        ],
    )
