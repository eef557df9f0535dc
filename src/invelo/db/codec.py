"""From rows to the domain's values, and from computed values to what is stored."""

from bisect import bisect_right
from collections.abc import Iterable
from dataclasses import asdict
from datetime import date
from typing import Any, TypeVar
from uuid import UUID

from pydantic import TypeAdapter, ValidationError
from sqlmodel import SQLModel

from invelo.db.columns import SetUpColumns
from invelo.db.tables.athlete import BodyMeasurementRow
from invelo.db.tables.ladder import LadderRow, RungColumns
from invelo.db.tables.training import LoggedSetRow, TrainingSessionRow
from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from invelo.domain.errors import InputError
from invelo.domain.estimate import Estimate
from invelo.domain.ladder.rung import Rung
from invelo.domain.ladder.step_policy import Lever, StepPolicy
from invelo.domain.plan.prescription import Criterion, Level, Method, Prescription, Purpose, Unit
from invelo.domain.strict import attributes_of
from invelo.domain.training.log import (
    AskedRange,
    Derived,
    OneSide,
    SessionRecord,
    SetKind,
    SetRecord,
)

Row = TypeVar("Row", bound=SQLModel)


def row_of(table: type[Row], *values: object, **more: Any) -> Row:
    """A new row of what the values say themselves, and with it what none of them does; what is
    left out takes the column's default."""
    return table(**attributes_of(table.model_fields.keys() - more.keys(), *values), **more)


def body_of(measure: BodyMeasurementRow) -> Body:
    """The body a measure describes."""
    hands = None
    if measure.hands_log is not None and measure.hands_sd is not None:
        hands = measure.hands_log, measure.hands_sd
    return Body(
        measure.mass_kg,
        measure.stature_m,
        lengths=tuple(sorted(measure.lengths.items())),
        hands=hands,
    )


def body_on(measures: list[BodyMeasurementRow], day: date) -> Body:
    """The body as last measured by `day`, or at the first measure if that came later.

    Args:
        measures: oldest first, at least one.
    """
    by_then = bisect_right(measures, day, key=lambda body_measurement: body_measurement.local_date)
    return body_of(measures[max(by_then - 1, 0)])


CHANGES = TypeAdapter(Modifiers)
UNIT: TypeAdapter[Unit] = TypeAdapter(Unit)
PURPOSE: TypeAdapter[Purpose] = TypeAdapter(Purpose)
LEVEL: TypeAdapter[Level] = TypeAdapter(Level)
METHOD: TypeAdapter[Method] = TypeAdapter(Method)
SET_KIND: TypeAdapter[SetKind] = TypeAdapter(SetKind)
DERIVED: TypeAdapter[Derived] = TypeAdapter(Derived)
ONE_SIDE: TypeAdapter[OneSide] = TypeAdapter(OneSide)
LEVER_ORDER: TypeAdapter[tuple[Lever, ...]] = TypeAdapter(tuple[Lever, ...])


EARLIER = {"worn": "added_load", "help": "assistance"}
"""Names that changes had in earlier releases, which a phone may still send."""


def modifiers_of(row: SetUpColumns) -> Modifiers:
    """What a row changes about its movement."""
    return CHANGES.validate_python(row.changes)


def changes_from(document: dict[str, Any]) -> Modifiers:
    """What someone says is changed about a movement.

    Raises:
        InputError: naming what of it cannot be read.
    """
    try:
        return CHANGES.validate_python(
            {EARLIER.get(name, name): of for name, of in document.items()}
        )
    except ValidationError as error:
        what = error.errors()[0]
        where = ".".join(str(part) for part in ("changes", *what["loc"]))
        raise InputError(where, f"{what['msg'].lower()}.", "Send it as it was given.") from error


def set_up_columns(movement: str, modifiers: Modifiers) -> dict[str, Any]:
    """The columns of `SetUp`."""
    return {"movement": movement, "changes": CHANGES.dump_python(modifiers, mode="json")}


def rung_of(row: RungColumns) -> Rung:
    """A rung as the domain reasons about it."""
    unit = UNIT.validate_python(row.unit)
    return Rung(
        name=row.name,
        movement=catalogue().find_movement(row.movement),
        modifiers=modifiers_of(row),
        prescription=Prescription(
            row.sets, row.low, row.high, row.rest_s, row.rpe, UNIT.validate_python(row.unit)
        ),
        criterion=Criterion(
            row.criterion_sets,
            row.criterion_amount,
            row.criterion_rpe,
            row.criterion_sessions,
            unit,
        ),
    )


def session_of(
    session: TrainingSessionRow, sets: Iterable[LoggedSetRow], ladder_id: UUID | None = None
) -> SessionRecord:
    """A session as decisions read it; rungs are keyed by their row's id. What it asked is that of
    one ladder."""
    asked = session.asked.get(str(ladder_id), {})
    derived = DERIVED.validate_python(asked.get("derived", ""))
    return SessionRecord(
        session.local_date, tuple(set_of(row, asked.get("rpe")) for row in sets), derived
    )


def rung_columns(rung: Rung) -> dict[str, Any]:
    """The columns of a rung as the domain reasons about it; the other way is `rung_of`."""
    prescription, criterion = rung.prescription, rung.criterion
    return {
        "name": rung.name,
        **set_up_columns(rung.movement.id, rung.modifiers),
        "sets": prescription.sets,
        "low": prescription.low,
        "high": prescription.high,
        "unit": prescription.unit,
        "rest_s": prescription.rest,
        "rpe": prescription.rpe,
        "criterion_sets": criterion.sets,
        "criterion_amount": criterion.amount,
        "criterion_rpe": criterion.rpe,
        "criterion_sessions": criterion.sessions,
    }


def step_policy_of(row: LadderRow) -> StepPolicy:
    """What counts as a step on a ladder."""
    return StepPolicy(
        row.min_reps, row.min_hold_s, row.target_step, LEVER_ORDER.validate_python(row.lever_order)
    )


def set_of(row: LoggedSetRow, asked_rpe: float | None = None) -> SetRecord:
    """A logged set as decisions read it.

    Args:
        row: as logged.
        asked_rpe: effort that its session asked, where the set does not say.
    """
    return SetRecord(
        str(row.rung_id or ""),
        row.amount,
        row.rpe,
        row.form_ok,
        row.pain,
        row.pain_place,
        catalogue().find_movement(row.movement).unit,
        SET_KIND.validate_python(row.kind),
        ONE_SIDE.validate_python(row.side),
        row.number,
        about_of(row),
        row.partial,
        asked_of(row, asked_rpe),
    )


def asked_of(row: LoggedSetRow, asked_rpe: float | None = None) -> AskedRange | None:
    """What a set was to be, None where that was not kept."""
    if row.prescribed_min is None or row.prescribed_max is None:
        return None
    rpe = row.prescribed_rpe or asked_rpe or USUAL_ASKED_RPE
    return AskedRange(row.prescribed_min, row.prescribed_max, rpe, row.prescribed_open)


USUAL_ASKED_RPE = 9.0
"""Effort of sets that were asked for before it was kept with them."""


def about_of(row: LoggedSetRow) -> tuple[float, float] | None:
    """The least and the most of a count told from memory."""
    return None if row.least is None or row.most is None else (row.least, row.most)


def stored(estimate: Estimate) -> dict[str, Any]:
    """An estimate with its derivation, as JSON keeps it."""
    return asdict(estimate)
