"""How much was done: one shape for a set, a test and a script."""

from collections.abc import Callable
from typing import Any

from pydantic import Field, model_validator

from invelo.domain.catalogue.movement import Movement
from invelo.domain.errors import InputError
from invelo.domain.plan.prescription import GIVEN_AS, IN_WORDS, Unit
from invelo.domain.strict import StrictModel

EARLIER_AMOUNTS: dict[str, Unit] = {
    "reps": "reps",
    "seconds": "s",
    "hold_s": "s",
    "centimetres": "cm",
}
"""Fields of earlier releases, each an amount in a unit of its own."""


def with_unit(given: Any) -> Any:
    """What was given, with an amount in a field of its own unit as amount and unit. More than one
    such field stays as it is, to be refused by name."""
    if not isinstance(given, dict) or given.get("amount") is not None:
        return given
    amounts = {name: given[name] for name in EARLIER_AMOUNTS if given.get(name) is not None}
    if len(amounts) > 1:
        return given
    rest = {name: value for name, value in given.items() if name not in EARLIER_AMOUNTS}
    for name, amount in amounts.items():
        rest |= {"amount": amount, "unit": EARLIER_AMOUNTS[name]}
    return rest


def told_as(*names: str) -> Callable[[dict[str, Any]], None]:
    """What adds fields of earlier releases to a published schema, as deprecated."""

    def add(schema: dict[str, Any]) -> None:
        for name in names:
            schema["properties"][name] = {
                "type": "number",
                "deprecated": True,
                "description": f"The amount in {IN_WORDS[EARLIER_AMOUNTS[name]]}.",
            }

    return add


def whole_reps(movement: Movement, amount: float) -> float:
    """The same amount, where it may be one of this movement.

    Raises:
        InputError: for a part of a rep.
    """
    if movement.unit == "reps" and amount != int(amount):
        raise InputError(
            GIVEN_AS["reps"],
            f"{amount:g} is no whole number.",
            "Give full reps, and the others as partial reps.",
        )
    return amount


class AmountDone(StrictModel):
    """An amount with its unit."""

    amount: float | None = Field(
        None,
        description="Clean full reps (0 to 200), seconds of a hold (0 to 3600), or centimetres of "
        "a jump landed still.",
        examples=[10],
    )
    unit: Unit | None = Field(None, description="Of the amount; what is counted if left out.")

    @model_validator(mode="before")
    @classmethod
    def _take_in_earlier_amounts(cls, given: Any) -> Any:
        return with_unit(given)
