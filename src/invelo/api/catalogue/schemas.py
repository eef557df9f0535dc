"""Movements as they are answered."""

from pydantic import Field

from invelo.domain.catalogue.movement import Movement
from invelo.domain.plan.prescription import Unit
from invelo.domain.strict import ResponseModel


class MovementOut(ResponseModel):
    """A movement of the catalogue."""

    id: str
    name: str
    also: list[str]
    family: str
    form: str = Field(description="Of the bench's forms.")
    form_name: str
    unit: Unit
    counted: str
    rpe_only: bool
    muscles: list[str] = Field(description="Regions that work, the most first.")
    kit: list[str] = Field(description="Any one of these is needed.")
    values: dict[str, float]


def movement_fields(movement: Movement) -> dict[str, object]:
    """A movement as it is answered."""
    return {
        "id": movement.id,
        "name": movement.name,
        "also": list(movement.also),
        "family": movement.family,
        "form": movement.form,
        "form_name": movement.posture.name,
        "unit": movement.unit,
        "counted": movement.counted,
        "rpe_only": movement.rpe_only,
        "muscles": list(movement.muscles),
        "kit": list(movement.kit),
        "values": dict(movement.values),
    }
