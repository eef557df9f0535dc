"""Shapes that more than one place answers with."""

from datetime import date
from uuid import UUID

from pydantic import BaseModel, ConfigDict, Field

from invelo.core.dose import Unit
from invelo.store import tables
from invelo.store.rows import UNIT


class Shape(BaseModel):
    """An answer, readable off the core's and the store's own values."""

    model_config = ConfigDict(from_attributes=True)


class Estimate(Shape):
    """A figure with its 80 % interval."""

    likely: float = Field(examples=[47.9])
    low: float = Field(examples=[46.6])
    high: float = Field(examples=[49.3])
    unit: str = Field(examples=["kg"])


class Input(Shape):
    """One figure that went into a result."""

    name: str = Field(examples=["body mass"])
    value: float | str = Field(examples=[75.0])
    unit: str = Field("", examples=["kg"])


class Derivation(Shape):
    """How a figure came about."""

    formula: str
    inputs: list[Input]
    sources: list[str]
    note: str


class Explained(Estimate):
    """A figure with its interval, the envelope of differing methods, and how it came about."""

    spread_low: float | None = None
    spread_high: float | None = None
    derivation: Derivation


class Dose(Shape):
    """What one session asks: so many sets of reps, or of seconds."""

    sets: int = Field(examples=[3])
    low: int = Field(examples=[6])
    high: int = Field(examples=[10])
    unit: Unit
    rest_s: int = Field(description="Seconds between sets.", examples=[120])
    effort: float = Field(description="Target, 1–10.", examples=[9])


class Gate(Shape):
    """What is shown before moving up."""

    sets: int = Field(examples=[3])
    amount: int = Field(examples=[10])
    unit: Unit
    effort: float = Field(description="Highest effort allowed.", examples=[9])
    sessions: int = Field(description="Sessions running.", examples=[2])


def dose_of(row: tables.Rung) -> Dose:
    """A rung's dose."""
    return Dose(
        sets=row.sets,
        low=row.low,
        high=row.high,
        unit=UNIT.validate_python(row.unit),
        rest_s=row.rest_s,
        effort=row.effort,
    )


def gate_of(row: tables.Rung) -> Gate:
    """A rung's gate."""
    return Gate(
        sets=row.gate_sets,
        amount=row.gate_amount,
        unit=UNIT.validate_python(row.unit),
        effort=row.gate_effort,
        sessions=row.gate_sessions,
    )


class RungName(Shape):
    """A rung by name."""

    id: UUID
    name: str = Field(examples=["Floor push-up"])


class Measure(Shape):
    """Body mass and stature on a day."""

    mass_kg: float = Field(examples=[75.0])
    stature_m: float = Field(examples=[1.75])
    lengths: dict[str, float] = Field(description="Measured limbs, m.", examples=[{"thigh": 0.44}])
    local_date: date
