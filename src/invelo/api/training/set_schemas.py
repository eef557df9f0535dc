"""A set as a device sends it."""

from typing import Any, TypeVar
from uuid import UUID

from pydantic import Field

from invelo.api.common.context import DeviceClock
from invelo.db.codec import changes_from
from invelo.db.moment import Moment
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import EARLIER_REGIONS
from invelo.domain.strict import renamed
from invelo.domain.training.log import OneSide, SetKind, told
from invelo.services.training import floor

MOST_FAULTS = 6


T = TypeVar("T")


class NewSet(DeviceClock):
    """A set done."""

    number: int = Field(description="Of its item, counted from 1.", examples=[1])
    rung_id: UUID | None = Field(None, description="Of a set on a ladder.")
    movement: str | None = Field(None, max_length=80, description="Of a set off any ladder.")
    changes: dict[str, Any] | None = Field(None, description="As the set was given.")
    item: str = Field("", max_length=120)
    kind: SetKind = "work"
    side: OneSide = ""
    reps: int | None = Field(None, description="Clean full reps, 0 to 200.", examples=[10])
    seconds: float | None = Field(None, description="Of a hold, 0 to 3600; instead of reps.")
    centimetres: float | None = Field(None, description="Of a jump, landed still.")
    amount_text: str | None = Field(
        None,
        validation_alias=renamed("amount_text", "told"),
        max_length=40,
        description="In place of the three: the count in words, exact or from memory.",
        examples=["11 or 12", "about 30"],
    )
    partial: int = Field(0, description="Reps that fell short of depth.")
    prescribed_min: int | None = Field(
        None, ge=1, le=3600, validation_alias=renamed("prescribed_min", "asked_low")
    )
    prescribed_max: int | None = Field(
        None, ge=1, le=3600, validation_alias=renamed("prescribed_max", "asked_high")
    )
    rpe: float = Field(
        description="1–10; 10 is not one more.",
        examples=[8.5],
        validation_alias=renamed("rpe", "effort"),
    )
    form_ok: bool = Field(True, validation_alias=renamed("form_ok", "clean"))
    faults: list[str] = Field(default_factory=list, max_length=MOST_FAULTS)
    felt_in: list[str] = Field(default_factory=list, max_length=MOST_FAULTS)
    pain: int = Field(0, description="0–10.")
    pain_place: str = Field("", max_length=40, examples=["left wrist"])
    note: str = Field("", max_length=floor.LONGEST_NOTE)
    corrects_set_id: UUID | None = Field(
        None,
        description="The set this one puts right.",
        validation_alias=renamed("corrects_set_id", "corrects"),
    )


def entry_of(set_id: UUID, body: NewSet, moment: Moment, skew: float | None) -> floor.SetEntry:
    """A set as the store takes it."""
    return floor.SetEntry(
        id=set_id,
        moment=moment,
        skew=skew,
        movement=catalogue().find_movement(body.movement) if body.movement else None,
        modifiers=changes_from(body.changes) if body.changes is not None else None,
        told=told(body.amount_text) if body.amount_text is not None else None,
        asked=_pair(body.prescribed_min, body.prescribed_max),
        faults=tuple(body.faults),
        felt_in=tuple(EARLIER_REGIONS.get(region, region) for region in body.felt_in),
        **{name: getattr(body, name) for name in AS_SENT},
    )


AS_SENT = (
    *("number", "rpe", "rung_id", "reps", "seconds", "centimetres", "partial", "form_ok"),
    *("pain", "pain_place", "note", "item", "kind", "side", "corrects_set_id"),
)
"""What of a set goes on as it came."""


def _pair(low: T | None, high: T | None) -> tuple[T, T] | None:
    return None if low is None or high is None else (low, high)
