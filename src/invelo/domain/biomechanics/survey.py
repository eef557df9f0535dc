"""Many set-ups of one body at once: what each asks, and which of them cannot be done.

A reading tells one set-up with its range; where thousands are compared, the body itself is enough.
Both rest on the same statics (`held`), so a surveyed demand equals the reading's likely one.
"""

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache

import numpy as np

from invelo.domain.biomechanics.body import Body, Loads, SegmentValues
from invelo.domain.biomechanics.equilibrium import (
    Rows,
    hardest_third,
    hold,
    limiting,
    places_along,
    work,
)
from invelo.domain.biomechanics.posture.form import Form
from invelo.domain.biomechanics.posture.refuse import Marked, Wrong
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.estimate import Array


@dataclass(frozen=True)
class Surveyed:
    """What set-ups ask of a body, row by row.

    Attributes:
        demand: the limiting measure where it is judged, kg or N·m, shape `(k,)`.
        share: of a whole rep's work that a rep is, shape `(k,)`; 1 for a hold.
        possible: whether the body can be set up so, shape `(k,)`; elsewhere the rest says nothing.
    """

    demand: Array
    share: Array
    possible: Wrong


Asked = tuple[Form, Modifiers]


def survey(body: Body, asked: Sequence[Asked]) -> Surveyed:
    """What each set-up asks of a body.

    Args:
        body: whose.
        asked: forms and what is changed about them, every value in its range.

    Source: plane statics, as for a reading.
    """
    demand, share = np.zeros(len(asked)), np.ones(len(asked))
    possible = np.zeros(len(asked), dtype=bool)
    for places in _alike(asked):
        form = asked[places[0]][0]
        rows = [asked[i][1] for i in places]
        demand[places], done, possible[places] = _surveyed(body, form, rows)
        deep = {parameter.name for parameter in form.parameter if parameter.depth}
        partial = [
            i
            for i, modifiers in enumerate(rows)
            if modifiers.range != 1.0 or deep & dict(modifiers.values).keys()
        ]
        if not partial:
            continue
        wholes = {i: _whole(rows[i], deep) for i in partial}
        once = list(dict.fromkeys(wholes.values()))
        _, full, able = _surveyed(body, form, once)
        of = {modifiers: (full[k], able[k]) for k, modifiers in enumerate(once)}
        for i, whole in wholes.items():
            work_of_whole, can = of[whole]
            share[places[i]] = done[i] / work_of_whole if work_of_whole > 0.0 else 1.0
            possible[places[i]] &= can
    return Surveyed(demand, share, possible)


def _whole(modifiers: Modifiers, deep: set[str]) -> Modifiers:
    """The same with the form's own depth and all of its range."""
    kept = tuple((name, value) for name, value in modifiers.values if name not in deep)
    return replace(modifiers, values=kept, range=1.0, from_end=False)


def _alike(asked: Sequence[Asked]) -> Iterable[list[int]]:
    """Places of set-ups that can be held in one pass: of one form, with one thing that pulls, legs
    and straps alike."""
    groups: dict[object, list[int]] = {}
    for i, (form, modifiers) in enumerate(asked):
        values = dict(modifiers.values)
        legs, strap = values.get("leg_out", 0.0) > 0.0, values.get("strap_height", 0.0) > 0.0
        groups.setdefault((form.id, modifiers.band, modifiers.assistance, legs, strap), []).append(
            i
        )
    return groups.values()


def _surveyed(body: Body, form: Form, asked: Sequence[Modifiers]) -> tuple[Array, Array, Wrong]:
    """Demand, work of a rep and whether it can be, for set-ups of one pass."""
    count = len(asked)
    settings = [dict(modifiers.values) for modifiers in asked]
    values = {
        parameter.name: np.array([row.get(parameter.name, parameter.default) for row in settings])
        for parameter in form.parameter
    }
    rows = Rows(
        form,
        _alone(body),
        values,
        places_along(
            form,
            np.array([modifiers.range for modifiers in asked]),
            np.array([modifiers.from_end for modifiers in asked]),
        ),
        Loads.of([modifiers.added_load for modifiers in asked]),
        asked[0].band,
        asked[0].assistance,
        hands=body.hands_factor,
    )
    marked = Marked(count)
    with np.errstate(all="ignore"):
        equilibrium = hold(rows, marked)
        measured = limiting(rows, equilibrium, count, marked)
        done = np.broadcast_to(work(equilibrium.posture), (count,))
    measured = np.broadcast_to(measured, (len(measured), count))
    demand = hardest_third(measured)
    return demand, done, ~marked.wrong & np.isfinite(demand)


@lru_cache(maxsize=64)
def _alone(body: Body) -> SegmentValues:
    """The body's segments, each value of shape `(1,)`."""
    plain = body.segments()
    return SegmentValues(
        {name: value[None] for name, value in plain.length.items()},
        {name: value[None] for name, value in plain.mass.items()},
        plain.centre,
        plain.stature,
        plain.ankle_height,
    )
