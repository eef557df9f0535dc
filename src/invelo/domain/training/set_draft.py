"""A set as someone says it was done: one shape for a device, a grid's row and a file's."""

from typing import Annotated, Any
from uuid import UUID

from pydantic import BeforeValidator, Field

from invelo.domain.catalogue.movement import EARLIER_REGIONS, Modifiers, Movement
from invelo.domain.equipment.band_words import Known
from invelo.domain.plan.prescription import GIVEN_AS, amount_in
from invelo.domain.strict import renamed
from invelo.domain.training.amount import AmountDone, whole_reps
from invelo.domain.training.by_hand import LoadPlace, done_with
from invelo.domain.training.log import EstimatedCount, OneSide, SetKind, read_count

MOST_FAULTS = 6
LONGEST_NOTE = 500

EARLIER_CHANGES = {"worn": "added_load", "help": "assistance"}


def _changes_of_today(given: Any) -> Any:
    if isinstance(given, dict):
        return {EARLIER_CHANGES.get(name, name): value for name, value in given.items()}
    return given


Region = Annotated[str, BeforeValidator(lambda name: EARLIER_REGIONS.get(name, name))]
"""Where a set was felt, by its name or by the one it had in an earlier release."""


class SetDraft(AmountDone):
    """What was done in a set, as it is told."""

    number: int = Field(description="Of its item, counted from 1.", examples=[1])
    rung_id: UUID | None = Field(None, description="Of a set on a ladder.")
    movement: str | None = Field(None, max_length=80, description="Of a set off any ladder.")
    changes: Annotated[Modifiers | None, BeforeValidator(_changes_of_today)] = Field(
        None, description="What was changed about the movement, as the set was given."
    )
    load_kg: float | None = Field(
        None,
        description="Kilos in place of those it was given with; below nought taken off.",
        examples=[12.5],
    )
    load_at: LoadPlace | None = Field(
        None, description="Where they hung; where the movement carries most often if left out."
    )
    tempo: str | None = Field(
        None,
        max_length=20,
        description="In place of the one it was given with.",
        examples=["3-0-1-0"],
    )
    band: str | None = Field(
        None,
        max_length=120,
        description="Of the coach's, in place of the one it was given with.",
        examples=["red folded"],
    )
    item: str = Field("", max_length=120, description="Of the session, where it has one.")
    kind: SetKind = "work"
    side: OneSide = ""
    in_turn: str | None = Field(
        None,
        max_length=80,
        description="A movement done in turn with it, one rep of each; the amount is both "
        "together's, and each is kept as a set of its own.",
    )
    amount_text: str | None = Field(
        None,
        max_length=40,
        description="In place of the amount: the count in words, exact or from memory.",
        examples=["11 or 12", "about 30"],
        validation_alias=renamed("amount_text", "told"),
    )
    partial: int = Field(0, description="Reps that fell short of depth.")
    prescribed_min: int | None = Field(
        None, ge=1, le=3600, validation_alias=renamed("prescribed_min", "asked_low")
    )
    prescribed_max: int | None = Field(
        None, ge=1, le=3600, validation_alias=renamed("prescribed_max", "asked_high")
    )
    prescribed_rpe: float | None = Field(
        None, ge=1, le=10, description="Effort that was asked; what is prescribed if left out."
    )
    prescribed_open: bool = Field(False, description="Whether it was to go on to its end.")
    rpe: float = Field(
        description="1–10; 10 is not one more.",
        examples=[8.5],
        validation_alias=renamed("rpe", "effort"),
    )
    form_ok: bool = Field(True, validation_alias=renamed("form_ok", "clean"))
    faults: list[str] = Field(default_factory=list, max_length=MOST_FAULTS)
    felt_in: list[Region] = Field(default_factory=list, max_length=MOST_FAULTS)
    pain: int = Field(0, description="0–10.")
    pain_place: str = Field("", max_length=40, examples=["left wrist"])
    note: str = Field("", max_length=LONGEST_NOTE)
    corrects_set_id: UUID | None = Field(
        None,
        description="The set this one puts right.",
        validation_alias=renamed("corrects_set_id", "corrects"),
    )

    @property
    def prescribed(self) -> tuple[int | None, int | None]:
        """What the set was to be, foot and top of the range; both or neither."""
        if self.prescribed_min is None or self.prescribed_max is None:
            return None, None
        return self.prescribed_min, self.prescribed_max

    def set_up(self, movement: Movement, modifiers: Modifiers, bands: Known) -> Modifiers:
        """What was changed about the movement, given what it was asked with and the coach's bands.

        Raises:
            InputError: for a load nobody carries there, no tempo or no band.
        """
        return done_with(
            movement,
            modifiers,
            kg=self.load_kg,
            at=self.load_at,
            tempo=self.tempo or "",
            band=self.band or "",
            bands=bands,
        )

    def count(self, movement: Movement, name: str) -> EstimatedCount:
        """How much was done of a movement.

        Args:
            movement: what was done.
            name: what it is called in a refusal.

        Raises:
            InputError: for no amount, one in another unit, or words that are no count.
        """
        if self.amount_text is not None:
            return read_count(self.amount_text, GIVEN_AS[movement.unit])
        amount = amount_in(name, movement.unit, self.amount, self.unit)
        amount = whole_reps(movement, amount)
        return EstimatedCount(amount, amount, amount)
