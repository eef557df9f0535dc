"""A set as a device sends it, and what puts one right."""

from copy import copy
from typing import Any
from uuid import UUID

from pydantic import Field, create_model

from invelo.api.common.context import DeviceClock
from invelo.domain.training.set_draft import SetDraft


class NewSet(SetDraft, DeviceClock):
    """A set done, and when."""


class _Correction(DeviceClock):
    """What of a set was wrong; fields that are left out stay as they were, null empties one (RFC
    7396)."""

    id: UUID = Field(description="Of the row that puts it right, made by the client.")

    def applied_to(self, draft: SetDraft) -> SetDraft:
        """The set as it should have been told.

        Raises:
            ValidationError: for a value that cannot be.
        """
        changed = self.model_dump(exclude_unset=True, include=set(CORRECTABLE))
        if {"amount", "amount_text"} & set(changed):
            changed = {"amount": None, "amount_text": None} | changed
        kept = draft.model_dump() | changed
        return SetDraft(**{name: value for name, value in kept.items() if value is not None})


CORRECTABLE = tuple(
    name
    for name in SetDraft.model_fields
    if name not in ("rung_id", "movement", "changes", "corrects_set_id", "item")
)
"""What of a set can be put right; what was done on which rung is another set."""


def _optional(name: str) -> Any:
    field = copy(SetDraft.model_fields[name])
    field.default, field.default_factory, field.validation_alias = None, None, None
    return (field.annotation | None, field)  # type: ignore[operator]


SetCorrection = create_model(
    "SetCorrection",
    __base__=_Correction,
    __doc__=_Correction.__doc__,
    **{name: _optional(name) for name in CORRECTABLE},
)
