"""Shapes that more than one place answers with."""

from datetime import date
from typing import Annotated
from uuid import UUID

from pydantic import Field

from invelo.db.codec import UNIT
from invelo.db.tables.ladder import RungRow
from invelo.domain.plan.prescription import Unit
from invelo.domain.strict import ResponseModel

OurDay = Annotated[date, Field(ge=date(1900, 1, 1), le=date(2200, 12, 31))]
"""A day that somebody could mean."""


class EstimateOut(ResponseModel):
    """A figure with its 80 % interval."""

    likely: float = Field(examples=[47.9])
    low: float = Field(examples=[46.6])
    high: float = Field(examples=[49.3])
    unit: str = Field(examples=["kg"])


class InputOut(ResponseModel):
    """One figure that went into a result."""

    name: str = Field(examples=["body mass"])
    value: float | str = Field(examples=[75.0])
    unit: str = Field("", examples=["kg"])


class DerivationOut(ResponseModel):
    """How a figure came about."""

    formula: str
    inputs: list[InputOut]
    sources: list[str]
    note: str


class Explained(EstimateOut):
    """A figure with its interval, the envelope of differing methods, and how it came about."""

    spread_low: float | None = None
    spread_high: float | None = None
    derivation: DerivationOut


class PrescriptionOut(ResponseModel):
    """What one session asks: so many sets of reps, or of seconds."""

    sets: int = Field(examples=[3])
    low: int = Field(examples=[6])
    high: int = Field(examples=[10])
    unit: Unit
    rest_s: int = Field(description="Seconds between sets.", examples=[120])
    rpe: float = Field(description="Target, 1–10.", examples=[9])


class CriterionOut(ResponseModel):
    """What is shown before moving up."""

    sets: int = Field(examples=[3])
    amount: int = Field(examples=[10])
    unit: Unit
    rpe: float = Field(description="Highest effort allowed.", examples=[9])
    sessions: int = Field(description="Sessions running.", examples=[2])


def prescription_of(row: RungRow) -> PrescriptionOut:
    """A rung's prescription."""
    return PrescriptionOut.of(row, unit=UNIT.validate_python(row.unit))


def criterion_of(row: RungRow) -> CriterionOut:
    """A rung's criterion."""
    return CriterionOut(
        sets=row.criterion_sets,
        amount=row.criterion_amount,
        unit=UNIT.validate_python(row.unit),
        rpe=row.criterion_rpe,
        sessions=row.criterion_sessions,
    )


class RungName(ResponseModel):
    """A rung by name."""

    id: UUID
    name: str = Field(examples=["Floor push-up"])


class BodyMeasurementOut(ResponseModel):
    """Body mass and stature on a day."""

    mass_kg: float = Field(examples=[75.0])
    stature_m: float = Field(examples=[1.75])
    lengths: dict[str, float] = Field(description="Measured limbs, m.", examples=[{"thigh": 0.44}])
    hands_log: float | None = Field(description="What a household scale said; null for nothing.")
    hands_sd: float | None
    local_date: date
