"""Prescriptions: the method, purpose and level of a ladder, and what its rungs' prescriptions
depart from."""

from dataclasses import dataclass, replace

from sqlmodel import Session

from invelo.db.codec import LEVEL, METHOD, PURPOSE
from invelo.db.moment import Moment
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow, RungRow
from invelo.domain.ladder.rung import Rung as CoreRung
from invelo.domain.ladder.workshop import LadderGraph
from invelo.domain.plan.methods import (
    Departure,
    criterion_for,
    departures,
    most_sets,
    prescription_for,
)
from invelo.domain.plan.prescription import Level, Method, Prescription, Purpose
from invelo.services.ladder import workshop
from invelo.services.ladder.ladder import LadderView


@dataclass(frozen=True)
class RungPrescription:
    """A rung's prescription beside what method and purpose ask.

    Attributes:
        row: the rung.
        given, asked: the prescription as it stands, and as it would be by the rules.
        departures: rules that it overrides.
    """

    row: RungRow
    given: Prescription
    asked: Prescription
    departures: tuple[Departure, ...]


def prescriptions(seen: LadderView) -> tuple[RungPrescription, ...]:
    """Every rung's prescription, from the foot up."""
    row = seen.row
    method, purpose = METHOD.validate_python(row.method), PURPOSE.validate_python(row.purpose)
    level = LEVEL.validate_python(row.level)
    predictions = seen.placement.predictions if seen.placement else (None,) * len(seen.rungs)
    rung_prescriptions = []
    for stored, rung, likely in zip(seen.rungs, seen.measured.rungs, predictions, strict=True):
        rep_time = rung.modifiers.tempo.rep_time
        asked = prescription_for(method, purpose, level, rung.prescription.unit, rep_time=rep_time)
        best = likely.likely if likely else None
        most = most_sets(method, purpose)
        differs = departures(rung.prescription, asked, best, most)
        rung_prescriptions.append(RungPrescription(stored, rung.prescription, asked, differs))
    return tuple(rung_prescriptions)


def set_method(
    db: Session,
    row: LadderRow,
    athlete: AthleteRow,
    method: Method,
    purpose: Purpose,
    level: Level,
    anew: bool,
    moment: Moment,
) -> LadderRow:
    """By which method a ladder progresses from now on.

    Args:
        db, row, athlete: the transaction, the ladder and whose it is.
        method, purpose, level: from now on.
        anew: whether every rung takes the prescription and criterion that these ask; undone like
        any edit.
        moment: when.
    """
    row.method, row.purpose, row.level = method, purpose, level
    db.add(row)
    db.flush()
    if anew:

        def prescribed(drawing: LadderGraph) -> LadderGraph:
            return replace(
                drawing,
                rungs=tuple(
                    replace(node, rung=_prescribed(node.rung, method, purpose, level))
                    for node in drawing.rungs
                ),
            )

        workshop.edit(
            db,
            row,
            athlete,
            prescribed,
            f"prescriptions anew: {method}, {purpose}",
            moment,
            own_prescription=False,
        )
    return row


def _prescribed(rung: CoreRung, method: Method, purpose: Purpose, level: Level) -> CoreRung:
    rep_time = rung.modifiers.tempo.rep_time
    prescription = prescription_for(
        method, purpose, level, rung.prescription.unit, rep_time=rep_time
    )
    return replace(rung, prescription=prescription, criterion=criterion_for(method, prescription))
