"""What a row asks of the hands."""

from dataclasses import dataclass
from functools import lru_cache

import numpy as np

from invelo.core.body import GRAVITY, Body
from invelo.core.errors import InputError
from invelo.core.estimate import Derivation, Estimate, Input, interval_from_variations
from invelo.core.posture.row import RowSetup, varied_row
from invelo.core.statics import contact_forces


@dataclass(frozen=True)
class RowLoad:
    """Pull of both hands at the start of the rep.

    Attributes:
        pull: force along the arms ÷ g, kg.
        share: `pull` as a share of body weight, %.
        samples: `pull` for the body and its plausible neighbours, kg, shape `(k,)`.
    """

    pull: Estimate
    share: Estimate
    samples: tuple[float, ...]


@lru_cache(maxsize=2048)
def row_load(body: Body, setup: RowSetup) -> RowLoad:
    """The pull on the hands at the start of a row.

    Raises:
        InputError: if the body stands over its heels, so that there is nothing to pull.

    Source: plane statics; the closure is the posture's own.
    """
    posture = varied_row(body, setup)
    hands = next(contact for contact in posture.contacts if contact.name == "hands")
    assert hands.line is not None  # noqa: S101  (the row's closure gives it)
    samples = (contact_forces(posture)["hands"] * hands.line).sum(axis=-1) / GRAVITY
    if samples.min() <= 0.0:
        raise InputError(
            "body angle",
            "the body stands over its heels; there is nothing to pull.",
            "Lean further back, or bend the knees less.",
        )
    derivation = Derivation(
        "The body's weight and what it wears, balanced about the heels by the hands; "
        f"{posture.closure}. The pull ÷ 9.80665 m/s². The range lets limb lengths, segment "
        "masses and the lean differ as they do.",
        (
            Input("body mass", body.mass, "kg"),
            Input("stature", body.stature, "m"),
            Input("lean from upright", float(np.degrees(setup.lean)), "°"),
            Input("knee bend", float(np.degrees(setup.knee)), "°"),
            Input("heels above the floor", setup.foot_height, "m"),
            Input("worn", setup.worn.total, "kg"),
        ),
        (body.table.source, "plane statics"),
        "Straps that do not hang at right angles to the trunk pull harder than this.",
    )
    return RowLoad(
        Estimate(*interval_from_variations(samples), "kg", derivation),
        Estimate(
            *interval_from_variations(100 * samples / body.mass), "% of body weight", derivation
        ),
        tuple(float(value) for value in samples),
    )
