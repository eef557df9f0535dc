"""Bodies and set-ups as they travel in JSON: the one shape for scripts and for the API."""

from dataclasses import replace
from typing import Any, Literal

from pydantic import Field

from invelo.domain.biomechanics.body import WINTER, AddedLoad, Body
from invelo.domain.biomechanics.dumas import DUMAS
from invelo.domain.biomechanics.setup import Assistance, BandHold, Place, SetUp
from invelo.domain.catalogue.movement import Modifiers, sorted_values
from invelo.domain.errors import InputError
from invelo.domain.strength.bands import LIMIT, Band, Pull, fit
from invelo.domain.strength.tempo import Tempo
from invelo.domain.strict import StrictModel, renamed


class BodyRequest(StrictModel):
    """Whose body."""

    stature_m: float = Field(description="1.0 to 2.4 m.", examples=[1.75])
    mass_kg: float = Field(description="20 to 300 kg.", examples=[75])
    sex: Literal["male", "female"] | None = Field(None, description="Which of dumas's tables.")
    table: Literal["winter", "dumas"] = Field("winter", description="Segment table.")
    lengths_m: dict[str, float] = Field(
        default_factory=dict,
        description="Measured segment lengths in place of the table's.",
        examples=[{"thigh": 0.44}],
    )
    mass_shares: dict[str, float] = Field(
        default_factory=dict,
        description="Shares of body mass of segment pairs in place of the table's.",
        examples=[{"thigh": 0.21}],
    )

    hands_log: float | None = Field(
        None,
        ge=-0.5,
        le=0.5,
        description="What a household scale said: logarithm of what the hands carry ÷ the model's.",
    )
    hands_sd: float | None = Field(None, gt=0, le=0.2, description="Its standard deviation.")

    def core(self) -> Body:
        """As the domain computes with it.

        Raises:
            InputError: for values no human has, or a table by sex without the sex.
        """
        if self.table == "dumas" and self.sex is None:
            raise InputError("sex", "the table dumas is by sex.", "Give male or female.")
        weighed = self.hands_log is not None and self.hands_sd is not None
        return Body(
            self.mass_kg,
            self.stature_m,
            DUMAS[self.sex] if self.table == "dumas" and self.sex else WINTER,
            tuple(sorted(self.lengths_m.items())),
            tuple(sorted(self.mass_shares.items())),
            (self.hands_log, self.hands_sd) if weighed else None,  # type: ignore[arg-type]
        )


class AddedLoadRequest(StrictModel):
    """What is worn or held, kg, by place."""

    vest_kg: float = Field(0.0, description="At the trunk's middle.")
    bag_kg: float = Field(0.0, description="High on the back.")
    ankles_kg: float = 0.0
    lap_kg: float = 0.0
    hands_kg: float = Field(0.0, description="Both hands together.")

    def core(self) -> AddedLoad:
        """As the domain computes with it."""
        return AddedLoad(self.vest_kg, self.bag_kg, self.ankles_kg, self.lap_kg, self.hands_kg)

    @classmethod
    def of(cls, added_load: AddedLoad) -> "AddedLoadRequest":
        """As it travels."""
        return cls(
            vest_kg=added_load.vest,
            bag_kg=added_load.bag,
            ankles_kg=added_load.ankles,
            lap_kg=added_load.lap,
            hands_kg=added_load.hands,
        )


class PullReading(StrictModel):
    """A band pulled to a length, and its force there."""

    length_m: float = Field(examples=[1.5])
    force_n: float = Field(examples=[80.0])


class BandRequest(StrictModel):
    """A band: its curve is fitted to its pulls, or goes through the one on its label."""

    rest_m: float = Field(description="Length without pull.", examples=[1.0])
    pulls: list[PullReading] = Field(
        description="Five or more, reaching twice the rest length; or one, as its label tells."
    )
    limit: float = Field(LIMIT, description="Largest stretch, times the rest length.")
    doubled: bool = Field(False, description="Folded in two.")
    grip_m: float | None = Field(None, description="Held shorter: the rest length between grips.")

    def core(self) -> Band:
        """The fitted band as it is held.

        Raises:
            InputError: for pulls that no curve fits, or a grip longer than the band.
        """
        band = fit(
            self.rest_m, tuple(Pull(pull.length_m, pull.force_n) for pull in self.pulls), self.limit
        )
        if self.grip_m is not None:
            band = band.gripped(self.grip_m)
        return band.doubled() if self.doubled else band


class BandHoldRequest(StrictModel):
    """A band between the body and something that stays where it is."""

    band: BandRequest
    at: Place = "hips"
    anchor_height_m: float = Field(2.2, description="Of its other end above the floor.")
    anchor_ahead_m: float = Field(
        0.0, description="How far that end lies towards the head's side of the body's place."
    )
    in_hands: bool = Field(False, description="Its other end is held where the hands are.")

    def core(self) -> BandHold:
        """As the domain computes with it."""
        return BandHold(
            self.band.core(), self.at, self.anchor_height_m, self.anchor_ahead_m, self.in_hands
        )

    @classmethod
    def of(cls, hold: BandHold) -> "BandHoldRequest":
        """As it travels: the pulls the band was fitted to, and how it is held."""
        band = hold.band
        return cls(
            band=BandRequest(
                rest_m=band.measured_rest,
                pulls=[PullReading(length_m=p.length, force_n=p.force) for p in band.pulls],
                limit=band.limit,
                doubled=band.folds == 2,
                grip_m=None if band.full_grip else band.rest * band.folds,
            ),
            at=hold.at,
            anchor_height_m=hold.anchor_height,
            anchor_ahead_m=hold.anchor_ahead,
            in_hands=hold.in_hands,
        )


class AssistanceRequest(StrictModel):
    """Kilos a hand or a support takes off, straight up."""

    kg: float = Field(examples=[10])
    at: Place = "hips"

    def core(self) -> Assistance:
        """As the domain computes with it."""
        return Assistance(self.kg, self.at)


class Changes(StrictModel):
    """What is changed about a movement; lengths in m, angles in degrees, loads in kg."""

    values: dict[str, float] = Field(
        default_factory=dict,
        description="Of the form's parameters; what is left out is the form's own.",
        examples=[{"hand_height": 0.3}],
    )
    added_load: AddedLoadRequest = Field(
        default_factory=AddedLoadRequest, validation_alias=renamed("added_load", "carried")
    )
    band: BandHoldRequest | None = None
    assistance: AssistanceRequest | None = Field(
        None, validation_alias=renamed("assistance", "help")
    )
    range_percent: float = Field(100.0, description="Share of the full range that is used.")
    range_from: Literal["start", "end"] = Field(
        "start", description="From which end of the rep it is used."
    )
    tempo: str = Field(
        "1-0-1-0", description="Lower – hold – press – hold, s.", examples=["3-0-1-0"]
    )

    def modifiers(self) -> Modifiers:
        """As a rung keeps them.

        Raises:
            InputError: for a value out of range.
        """
        return Modifiers(
            sorted_values(self.values),
            self.added_load.core(),
            self.band.core() if self.band else None,
            self.assistance.core() if self.assistance else None,
            self.range_percent / 100,
            Tempo.parse(self.tempo),
            self.range_from == "end" and self.range_percent < 100,
        )

    @staticmethod
    def as_sent(modifiers: Modifiers) -> dict[str, Any]:
        """The fields as they travel."""
        return {
            "values": dict(modifiers.values),
            "added_load": AddedLoadRequest.of(modifiers.added_load),
            "band": BandHoldRequest.of(modifiers.band) if modifiers.band else None,
            "assistance": AssistanceRequest(kg=modifiers.assistance.kg, at=modifiers.assistance.at)
            if modifiers.assistance
            else None,
            "range_percent": round(100 * modifiers.range, 6),
            "range_from": "end" if modifiers.from_end else "start",
            "tempo": str(modifiers.tempo),
        }


class SetUpRequest(Changes):
    """A form and what is changed about it."""

    movement: str = Field(examples=["push_up"])
    shape: str | None = Field(
        None, description="A named shape of the form.", examples=["advanced_tuck"]
    )

    def core(self) -> SetUp:
        """As the domain computes with it.

        Raises:
            InputError: for what the form does not know or a value out of range.
        """
        return self.modifiers().of_form(self.movement, self.shape)

    def changes(self) -> Modifiers:
        """What is changed about the form, the named shape's values among them."""
        return replace(self.modifiers(), values=self.core().values)

    @classmethod
    def from_core(cls, setup: SetUp, tempo: Tempo) -> "SetUpRequest":
        """As it travels."""
        changes = Modifiers(
            setup.values,
            setup.added_load,
            setup.band,
            setup.assistance,
            setup.range,
            tempo,
            setup.from_end,
        )
        return cls(movement=setup.movement, **Changes.as_sent(changes))
