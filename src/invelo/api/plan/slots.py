"""Sessions without a person in them, as they are sent: groups, slots, and what is asked of each."""

from typing import Annotated

from pydantic import Field, field_validator

from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.plan.prescription import Purpose
from invelo.domain.plan.session import template
from invelo.domain.plan.session.exactly import (
    MOST_FOLLOWING,
    Exactly,
    Following,
    RepRange,
    require_turns,
)
from invelo.domain.plan.session.work import Format, Instead, Reason, SideRule
from invelo.domain.strict import StrictModel

MovementName = Annotated[str, Field(max_length=120)]


class ExactlyOf(StrictModel):
    """What is asked of a set; what is left out is as prescribed."""

    low: int | None = Field(None, description="Reps, seconds or centimetres.")
    high: int | None = None
    rpe: float | None = None
    rest: int | None = Field(None, description="Seconds after a set.")
    tempo: str = Field("", max_length=20, examples=["3-0-1-0"])
    range: RepRange = Field("", description="Of a rep.")
    sides: SideRule = Field("", description="Of what is done a side at a time.")
    attempt: bool = Field(False, description="A try at something hard, which nobody fails.")
    bag: float = Field(0.0, description="kg, as the four below.")
    belt: float = 0.0
    hands: float = 0.0
    ankles: float = 0.0
    assistance: float = 0.0
    band: str = Field(
        "",
        max_length=120,
        description="Of the coach's, by name, and how it is held.",
        examples=["red folded", "red + blue", "red at 0.6 m"],
    )
    values: dict[str, float] = Field(
        default_factory=dict,
        max_length=20,
        description="Of the form's parameters: heights in m, angles in degrees.",
        examples=[{"hand_height": 0.45}],
    )

    in_turn: str = Field(
        "",
        max_length=80,
        description="Another movement, done in turn with it, one rep of each.",
        examples=["close-push-up"],
    )

    @field_validator("values", mode="before")
    @classmethod
    def _named(cls, values: object) -> object:
        """Kept as pairs."""
        return dict(values) if isinstance(values, list | tuple) else values

    def core(self) -> Exactly:
        """As the domain reads it."""
        values = tuple(sorted(self.values.items()))
        in_turn = catalogue().find_movement(self.in_turn).id if self.in_turn else ""
        return Exactly(**{**self.model_dump(), "values": values, "in_turn": in_turn})


class FollowingOf(StrictModel):
    """What a set goes on to without a rest."""

    movement: MovementName = Field("", description="The same one if left out.")
    asked: ExactlyOf = Field(default_factory=ExactlyOf)
    pause: int = Field(0, description="Seconds to get there.")
    every: bool = Field(True, description="After every set, or after the last alone.")

    def core(self) -> Following:
        """As the domain reads it."""
        movement = catalogue().find_movement(self.movement).id if self.movement else ""
        return Following(movement, self.asked.core(), self.pause, self.every)


class InsteadOf(StrictModel):
    """If not this, then that."""

    when: Reason
    movement: MovementName

    def core(self) -> Instead:
        """As the domain reads it."""
        return Instead(self.when, catalogue().find_movement(self.movement).id)


class SlotOf(StrictModel):
    """A place in a session to start from."""

    family: str = Field(max_length=80)
    movements: list[MovementName] = Field(default_factory=list, max_length=10)
    purpose: Purpose = "strength"
    sets: int | None = Field(None, ge=1, le=12)
    exact: bool = Field(False, description="Just this movement, whatever ladder they are on.")
    asked: ExactlyOf = Field(default_factory=ExactlyOf)
    each: list[ExactlyOf] = Field(
        default_factory=list, max_length=12, description="Of each set, where they differ."
    )
    followed_by: list[FollowingOf] = Field(
        default_factory=list,
        max_length=MOST_FOLLOWING,
        description="What its sets go on to without a rest.",
    )
    instead: list[InsteadOf] = Field(
        default_factory=list, max_length=6, description="What is done in its place, in order."
    )

    def core(self) -> template.Slot:
        """As the domain reads it.

        Raises:
            InputError: for a value that a movement's form does not have, or turns it cannot take.
        """
        movements = [catalogue().find_movement(movement_id) for movement_id in self.movements]
        asked, *each = (movement_id.core() for movement_id in (self.asked, *self.each))
        for movement in movements if self.exact else ():
            for movement_id in (asked, *each):
                movement.posture.values(dict(movement_id.values))
                if movement_id.in_turn:
                    require_turns(movement, catalogue().find_movement(movement_id.in_turn))
        return template.Slot(
            self.family,
            tuple(movement.id for movement in movements),
            self.purpose,
            self.sets,
            self.exact,
            asked,
            tuple(each),
            tuple(movement_id.core() for movement_id in self.followed_by),
            tuple(movement_id.core() for movement_id in self.instead),
        )


class ShapeBlockOf(StrictModel):
    """Slots done in one format."""

    format: Format
    slots: list[SlotOf] = Field(min_length=1, max_length=12)
    rounds: int = Field(3, ge=2, le=5)
    between: float | None = Field(None, description="Seconds between movements of a round.")
    round_rest: float | None = Field(None, description="Seconds after a round.")
    work: float | None = Field(None, description="Seconds of a work window.")

    def core(self) -> template.ShapeBlock:
        """As the domain reads it."""
        slots = tuple(slot.core() for slot in self.slots)
        rests = (self.between, self.round_rest, self.work)
        return template.ShapeBlock(self.format, slots, self.rounds, *rests)
