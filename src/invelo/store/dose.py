"""Doses: the school, purpose and level of a ladder, and what its rungs' doses depart from."""

from dataclasses import dataclass, replace

from sqlmodel import Session

from invelo.core.dose import Dose, Level, Purpose, School
from invelo.core.rung import Rung as CoreRung
from invelo.core.schools import Departure, departures, dose_for, gate_for
from invelo.core.workshop import Drawing
from invelo.store import workshop
from invelo.store.ladder import LadderView
from invelo.store.moment import Moment
from invelo.store.rows import LEVEL, PURPOSE, SCHOOL
from invelo.store.tables import Athlete, Ladder, Rung


@dataclass(frozen=True)
class RungDose:
    """A rung's dose beside what school and purpose ask.

    Attributes:
        row: the rung.
        given, asked: the dose as it stands, and as it would be by the rules.
        departures: rules that it overrides.
    """

    row: Rung
    given: Dose
    asked: Dose
    departures: tuple[Departure, ...]


def doses(seen: LadderView) -> tuple[RungDose, ...]:
    """Every rung's dose, from the foot up."""
    row = seen.row
    school, purpose = SCHOOL.validate_python(row.school), PURPOSE.validate_python(row.purpose)
    level = LEVEL.validate_python(row.level)
    predictions = seen.placement.predictions if seen.placement else (None,) * len(seen.rungs)
    found = []
    for stored, rung, likely in zip(seen.rungs, seen.measured.rungs, predictions, strict=True):
        rep_time = rung.modifiers.tempo.rep_time
        asked = dose_for(school, purpose, level, rung.dose.unit, rep_time=rep_time)
        best = likely.likely if likely else None
        found.append(RungDose(stored, rung.dose, asked, departures(rung.dose, asked, best)))
    return tuple(found)


def set_school(
    db: Session,
    row: Ladder,
    athlete: Athlete,
    school: School,
    purpose: Purpose,
    level: Level,
    anew: bool,
    moment: Moment,
) -> Ladder:
    """By which school a ladder progresses from now on.

    Args:
        db, row, athlete: the transaction, the ladder and whose it is.
        school, purpose, level: from now on.
        anew: whether every rung takes the dose and gate that these ask; undone like any edit.
        moment: when.
    """
    row.school, row.purpose, row.level = school, purpose, level
    db.add(row)
    db.flush()
    if anew:

        def dosed(drawing: Drawing) -> Drawing:
            return replace(
                drawing,
                rungs=tuple(
                    replace(one, rung=_dosed(one.rung, school, purpose, level))
                    for one in drawing.rungs
                ),
            )

        workshop.edit(db, row, athlete, dosed, f"doses anew: {school}, {purpose}", moment)
    return row


def _dosed(rung: CoreRung, school: School, purpose: Purpose, level: Level) -> CoreRung:
    rep_time = rung.modifiers.tempo.rep_time
    dose = dose_for(school, purpose, level, rung.dose.unit, rep_time=rep_time)
    return replace(rung, dose=dose, gate=gate_for(school, dose))
