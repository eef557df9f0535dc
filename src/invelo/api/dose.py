"""Dose: the school of a ladder, and what its rungs' doses depart from."""

from uuid import UUID

from fastapi import APIRouter

from invelo.api.context import Coach, Database, Now, moment_for
from invelo.api.ladder import seen_by
from invelo.api.problems import ERRORS
from invelo.api.shapes import Dose as DoseShape
from invelo.api.shapes import Shape
from invelo.core.dose import Dose, Level, Purpose, School
from invelo.core.schools import SCHOOLS
from invelo.exchange.setups import Request
from invelo.store import access, dose
from invelo.store.rows import LEVEL, PURPOSE, SCHOOL

router = APIRouter(prefix="/api", tags=["Dose"], responses=ERRORS)


class SchoolInWords(Shape):
    """A school of progress."""

    id: School
    name: str
    moves_up: str
    grows: str


class Overridden(Shape):
    """A rule that a dose overrides."""

    rule: str
    sentence: str
    source: str
    asked: str
    given: str


class RungDose(Shape):
    """A rung's dose beside what the rules ask."""

    id: UUID
    name: str
    given: DoseShape
    asked: DoseShape
    overrides: list[Overridden]


class Doses(Shape):
    """The doses of a ladder."""

    school: School
    purpose: Purpose
    level: Level
    schools: list[SchoolInWords]
    rungs: list[RungDose]


class ChosenSchool(Request):
    """By which school a ladder progresses from now on."""

    school: School
    purpose: Purpose
    level: Level
    anew: bool = False


@router.get("/ladders/{ladder_id}/doses")
def get_doses(ladder_id: UUID, coach: Coach, db: Database, now: Now) -> Doses:
    """Every rung's dose beside what school and purpose ask."""
    seen = seen_by(db, access.ladder(db, coach.id, ladder_id), coach, now)
    row = seen.row
    return Doses(
        school=SCHOOL.validate_python(row.school),
        purpose=PURPOSE.validate_python(row.purpose),
        level=LEVEL.validate_python(row.level),
        schools=[SchoolInWords.model_validate(one) for one in SCHOOLS.values()],
        rungs=[_rung(one) for one in dose.doses(seen)],
    )


@router.put("/ladders/{ladder_id}/school")
def choose_school(
    ladder_id: UUID, body: ChosenSchool, coach: Coach, db: Database, now: Now
) -> Doses:
    """Choose the school, purpose and level; `anew` gives every rung the dose that they ask."""
    row = access.ladder(db, coach.id, ladder_id, roles=access.WRITE)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    moment = moment_for(athlete, now)
    dose.set_school(db, row, athlete, body.school, body.purpose, body.level, body.anew, moment)
    return get_doses(ladder_id, coach, db, now)


def _rung(one: dose.RungDose) -> RungDose:
    return RungDose(
        id=one.row.id,
        name=one.row.name,
        given=_dose(one.given),
        asked=_dose(one.asked),
        overrides=[
            Overridden(
                rule=each.rule.id,
                sentence=each.rule.sentence,
                source=each.rule.source,
                asked=each.asked,
                given=each.given,
            )
            for each in one.departures
        ],
    )


def _dose(given: Dose) -> DoseShape:
    return DoseShape(
        sets=given.sets,
        low=given.low,
        high=given.high,
        unit=given.unit,
        rest_s=given.rest,
        effort=given.effort,
    )
