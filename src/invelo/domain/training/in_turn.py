"""A set of two movements in turn, told as one and kept as a set of each."""

from collections.abc import Callable
from math import ceil, floor
from typing import Any

from invelo.domain.errors import InputError
from invelo.domain.training.log import read_count
from invelo.domain.training.set_draft import SetDraft


def apart(draft: SetDraft) -> tuple[SetDraft, ...]:
    """A set as it is kept: itself, or half of its reps of each movement, the first the odd one.

    Raises:
        InputError: for a correction, which is of one of the two; for words that are no count.
    """
    if not draft.in_turn:
        return (draft,)
    if draft.corrects_set_id is not None:
        raise InputError("in turn", "each of the two is corrected by itself.", "Leave it out.")
    mine = {**_half(draft, ceil), "in_turn": None, "kind": "turn"}
    other = {
        **_half(draft, floor),
        **dict.fromkeys(("in_turn", "rung_id", "changes", "load_kg", "load_at", "tempo", "band")),
        "movement": draft.in_turn,
        "kind": "turn",
        "partial": 0,
        "note": "",
    }
    return draft.model_copy(update=mine), draft.model_copy(update=other)


def _half(draft: SetDraft, whole: Callable[[float], int]) -> dict[str, Any]:
    """The counts of one of the two, in whole reps."""
    low, high = (None if bound is None else max(1, whole(bound / 2)) for bound in draft.prescribed)
    halved: dict[str, Any] = {"prescribed_min": low, "prescribed_max": high}
    if draft.amount_text is not None:
        count = read_count(draft.amount_text)
        halved["amount_text"] = f"{floor(count.least / 2)} to {ceil(count.most / 2)}"
    if draft.amount is not None:
        halved["amount"] = whole(draft.amount / 2)
    return halved
