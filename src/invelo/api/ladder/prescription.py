"""Dose: the school of a ladder, and what its rungs' doses depart from."""

from uuid import UUID

from fastapi import APIRouter

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import PrescriptionOut as DoseShape
from invelo.api.common.schemas import ResponseModel
from invelo.api.ladder.views import seen_by
from invelo.db import access
from invelo.db.codec import LEVEL, METHOD, PURPOSE
from invelo.domain.plan.methods import METHODS
from invelo.domain.plan.prescription import Level, Method, Prescription, Purpose
from invelo.domain.strict import StrictModel
from invelo.services.ladder import prescription

router = APIRouter(prefix="/api", tags=["Dose"], responses=ERRORS)


class MethodOut(ResponseModel):
    """A school of progress."""

    id: Method
    name: str
    moves_up: str
    grows: str


class Overridden(ResponseModel):
    """A rule that a dose overrides."""

    rule: str
    sentence: str
    source: str
    asked: str
    given: str


class RungPrescriptionOut(ResponseModel):
    """A rung's dose beside what the rules ask."""

    id: UUID
    name: str
    given: DoseShape
    asked: DoseShape
    overrides: list[Overridden]


class PrescriptionsOut(ResponseModel):
    """The doses of a ladder."""

    school: Method
    purpose: Purpose
    level: Level
    schools: list[MethodOut]
    rungs: list[RungPrescriptionOut]


class MethodRequest(StrictModel):
    """By which school a ladder progresses from now on."""

    school: Method
    purpose: Purpose
    level: Level
    anew: bool = False


@router.get("/ladders/{ladder_id}/doses")
def get_doses(ladder_id: UUID, coach: Coach, db: Database, now: Now) -> PrescriptionsOut:
    """Every rung's dose beside what school and purpose ask."""
    seen = seen_by(db, access.ladder(db, coach.id, ladder_id), coach, now)
    row = seen.row
    return PrescriptionsOut(
        school=METHOD.validate_python(row.school),
        purpose=PURPOSE.validate_python(row.purpose),
        level=LEVEL.validate_python(row.level),
        schools=[MethodOut.model_validate(one) for one in METHODS.values()],
        rungs=[_rung(one) for one in prescription.prescriptions(seen)],
    )


@router.put("/ladders/{ladder_id}/school")
def choose_school(
    ladder_id: UUID, body: MethodRequest, coach: Coach, db: Database, now: Now
) -> PrescriptionsOut:
    """Choose the school, purpose and level; `anew` gives every rung the dose that they ask."""
    row = access.ladder(db, coach.id, ladder_id, roles=access.WRITE)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    moment = moment_for(athlete, now)
    prescription.set_method(
        db, row, athlete, body.school, body.purpose, body.level, body.anew, moment
    )
    return get_doses(ladder_id, coach, db, now)


def _rung(one: prescription.RungPrescription) -> RungPrescriptionOut:
    return RungPrescriptionOut(
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


def _dose(given: Prescription) -> DoseShape:
    return DoseShape(
        sets=given.sets,
        low=given.low,
        high=given.high,
        unit=given.unit,
        rest_s=given.rest,
        effort=given.effort,
    )
