"""The shapes of a ladder file: what each part of it holds, and as what the domain takes it."""

from typing import Any, Literal

from pydantic import Field

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Movement
from invelo.domain.errors import InputError
from invelo.domain.ladder.ladder import MOST_RUNGS
from invelo.domain.ladder.rung import Rung
from invelo.domain.ladder.step_policy import LEVERS, WANTED_STEP, Lever, StepPolicy
from invelo.domain.plan import prescription
from invelo.domain.plan.prescription import (
    Level,
    Purpose,
    Unit,
    range_criterion,
    range_prescription,
)
from invelo.domain.strict import StrictModel, attributes_of, renamed
from invelo.formats.own_movement import FileMovement
from invelo.formats.setups import Changes

FORMAT = "invelo-ladder"
VERSION = 2
"""Version 1 had other names for the same fields; it is read as well."""
MOST_BYTES = 256 * 1024
"""Of a ladder file (ours): sixty rungs take a third of it."""


class PrescriptionDocument(StrictModel):
    """What one session asks on a rung."""

    sets: int = Field(examples=[3])
    low: int = Field(description="The range's foot, in `unit`.", examples=[6])
    high: int = Field(description="The range's top.", examples=[10])
    unit: Unit
    rest_s: int = Field(120, description="Seconds between sets.")
    rpe: float = Field(9.0, description="Target, 1–10.", validation_alias=renamed("rpe", "effort"))

    def core(self) -> prescription.Prescription:
        """As the domain computes with it."""
        return prescription.Prescription(
            self.sets, self.low, self.high, self.rest_s, self.rpe, self.unit
        )


class CriterionDocument(StrictModel):
    """What is shown before moving up, in the prescription's unit."""

    sets: int = Field(examples=[3])
    amount: int = Field(description="In every set.", examples=[10])
    rpe: float = Field(
        prescription.CRITERION_RPE,
        description="Highest effort allowed.",
        validation_alias=renamed("rpe", "effort"),
    )
    sessions: int = Field(prescription.CRITERION_SESSIONS, description="Sessions running.")

    def core(self, unit: Unit) -> prescription.Criterion:
        """As the domain computes with it."""
        return prescription.Criterion(self.sets, self.amount, self.rpe, self.sessions, unit)


class StepPolicyDocument(StrictModel):
    """What counts as a step."""

    min_reps: float = Field(
        prescription.LEAST_USEFUL["reps"],
        description="Fewest useful reps above.",
        validation_alias=renamed("min_reps", "least_reps"),
    )
    min_hold_s: float = Field(
        prescription.LEAST_USEFUL["s"],
        description="Shortest useful hold above.",
        validation_alias=renamed("min_hold_s", "least_seconds"),
    )
    target_step_percent: float = Field(
        100 * WANTED_STEP,
        description="Wanted step, % of the demand.",
        validation_alias=renamed("target_step_percent", "step_percent"),
    )
    lever_order: list[Lever] = Field(
        list(LEVERS),
        description="Kinds of change, the dearest first.",
        validation_alias=renamed("lever_order", "order"),
    )

    def core(self) -> StepPolicy:
        """As the domain computes with them.

        Raises:
            InputError: for a value out of range, or a kind that is missing.
        """
        return StepPolicy(
            self.min_reps, self.min_hold_s, self.target_step_percent / 100, tuple(self.lever_order)
        )

    @classmethod
    def of(cls, policy: StepPolicy) -> "StepPolicyDocument":
        """As they travel."""
        return cls(
            min_reps=policy.reps,
            min_hold_s=policy.seconds,
            target_step_percent=round(100 * policy.step, 6),
            lever_order=list(policy.order),
        )


class PlainRung(Changes):
    """A rung by itself: a movement, what is changed about it, and what it asks."""

    name: str = Field(min_length=1, max_length=120, examples=["Floor push-up"])
    movement: str = Field(
        description="Id in the catalogue, or a name that means only one.", examples=["push-up"]
    )
    prescription: PrescriptionDocument | None = Field(
        None,
        validation_alias=renamed("prescription", "dose"),
        description="The purpose's and level's own if left out.",
    )
    criterion: CriterionDocument | None = Field(
        None,
        validation_alias=renamed("criterion", "gate"),
        description="The top of the prescription's range if left out.",
    )
    why: str = Field("", max_length=300, description="Why it is here, if not by demand.")

    def core(self, purpose: Purpose, level: Level) -> Rung:
        """As the domain computes with it.

        Raises:
            InputError: for no such movement, or what its form does not know.
        """
        movement = movement_named(self.movement)
        prescription = (
            self.prescription.core()
            if self.prescription
            else range_prescription(purpose, level, movement.unit)
        )
        if prescription.unit != movement.unit:
            raise InputError(
                "prescription.unit",
                f"the {movement.name.lower()} is counted in {movement.unit}, not "
                f"{prescription.unit}.",
                f"Give its prescription in {movement.unit}.",
            )
        criterion = (
            self.criterion.core(prescription.unit)
            if self.criterion
            else range_criterion(prescription)
        )
        modifiers = movement.own(self.modifiers())
        modifiers.setup(movement)  # refuses what the form does not know
        return Rung(self.name.strip(), movement, modifiers, prescription, criterion)

    @classmethod
    def fields_of(cls, rung: Rung, why: str = "") -> dict[str, Any]:
        """Its fields as they travel."""
        prescription = rung.prescription
        return {
            "name": rung.name,
            "movement": rung.movement.id,
            **Changes.as_sent(rung.modifiers),
            "prescription": PrescriptionDocument(
                **attributes_of(PrescriptionDocument.model_fields, prescription),
                rest_s=prescription.rest,
            ),
            "criterion": CriterionDocument.model_validate(rung.criterion, from_attributes=True),
            "why": why,
        }


class RungOf(PlainRung):
    """A rung of a ladder file."""

    id: str = Field(description="Its tag in this file.", examples=["r1"])
    after: list[str] | None = Field(
        None,
        description="Tags of the rungs one steps here from; the one before if left out, none for "
        "another foot.",
    )


class LadderFile(StrictModel):
    """A ladder."""

    format: Literal["invelo-ladder"]
    version: int = Field(description=f"{VERSION} for now.", examples=[VERSION])
    goal: str = Field(min_length=1, max_length=120, examples=["Floor push-up"])
    purpose: Purpose = "strength"
    level: Level = "beginner"
    settings: StepPolicyDocument = Field(
        default_factory=StepPolicyDocument, validation_alias=renamed("settings", "terms")
    )
    rungs: list[RungOf] = Field(min_length=1, max_length=MOST_RUNGS)
    movements: list[FileMovement] | None = Field(
        None, max_length=MOST_RUNGS, description="Of the coach's own that rungs name."
    )


def schema() -> dict[str, Any]:
    """The published JSON Schema."""
    return {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        **LadderFile.model_json_schema(),
    }


def movement_named(name: str) -> Movement:
    """A movement by its id, or by a name that means only one.

    Raises:
        InputError: if there is none, or the name means several.
    """
    known = {movement.id: movement for movement in catalogue().movement}
    if name in known:
        return known[name]
    called = catalogue().called(name)
    if len(called) == 1:
        return called[0]
    if called:
        choices = " or ".join(
            f"“{called_so.id}” ({called_so.posture.name.lower()})" for called_so in called
        )
        raise InputError("movement", f"“{name}” means {len(called)} things.", f"Write {choices}.")
    return catalogue().find_movement(name)
