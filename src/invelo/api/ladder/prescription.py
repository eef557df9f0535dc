"""Prescription: the method of a ladder, and what its rungs' prescriptions depart from."""

from uuid import UUID

from fastapi import APIRouter

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import PrescriptionOut as PrescriptionShape
from invelo.api.ladder.views import seen_by
from invelo.db import access
from invelo.db.codec import LEVEL, METHOD, PURPOSE
from invelo.domain.plan.methods import METHODS
from invelo.domain.plan.prescription import Level, Method, Prescription, Purpose
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.ladder import prescription

router = APIRouter(prefix="/api", tags=["Prescription"], responses=ERRORS)


class MethodOut(ResponseModel):
    """A method of progress."""

    id: Method
    name: str
    moves_up: str
    grows: str


class Overridden(ResponseModel):
    """A rule that a prescription overrides."""

    rule: str
    sentence: str
    source: str
    asked: str
    given: str


class RungPrescriptionOut(ResponseModel):
    """A rung's prescription beside what the rules ask."""

    id: UUID
    name: str
    given: PrescriptionShape
    asked: PrescriptionShape
    overrides: list[Overridden]


class PrescriptionsOut(ResponseModel):
    """The prescriptions of a ladder."""

    method: Method
    purpose: Purpose
    level: Level
    methods: list[MethodOut]
    rungs: list[RungPrescriptionOut]


class MethodRequest(StrictModel):
    """By which method a ladder progresses from now on."""

    method: Method
    purpose: Purpose
    level: Level
    anew: bool = False


@router.get("/ladders/{ladder_id}/prescriptions")
def get_prescriptions(ladder_id: UUID, coach: Coach, db: Database, now: Now) -> PrescriptionsOut:
    """Every rung's prescription beside what method and purpose ask."""
    seen = seen_by(db, access.ladder(db, coach.id, ladder_id), coach, now)
    row = seen.row
    return PrescriptionsOut(
        method=METHOD.validate_python(row.method),
        purpose=PURPOSE.validate_python(row.purpose),
        level=LEVEL.validate_python(row.level),
        methods=[MethodOut.model_validate(method_rule) for method_rule in METHODS.values()],
        rungs=[_rung(rung_prescription) for rung_prescription in prescription.prescriptions(seen)],
    )


@router.put("/ladders/{ladder_id}/method")
def choose_method(
    ladder_id: UUID, body: MethodRequest, coach: Coach, db: Database, now: Now
) -> PrescriptionsOut:
    """Choose the method, purpose and level; `anew` gives every rung the prescription that they
    ask."""
    row = access.ladder(db, coach.id, ladder_id, roles=access.WRITE)
    athlete = access.athlete(db, coach.id, row.athlete_id)
    moment = moment_for(athlete, now)
    prescription.set_method(
        db, row, athlete, body.method, body.purpose, body.level, body.anew, moment
    )
    return get_prescriptions(ladder_id, coach, db, now)


def _rung(rung_prescription: prescription.RungPrescription) -> RungPrescriptionOut:
    return RungPrescriptionOut.of(
        rung_prescription.row,
        given=_prescription(rung_prescription.given),
        asked=_prescription(rung_prescription.asked),
        overrides=[
            Overridden.of(each.rule, rule=each.rule.id, asked=each.asked, given=each.given)
            for each in rung_prescription.departures
        ],
    )


def _prescription(given: Prescription) -> PrescriptionShape:
    return PrescriptionShape.of(given, rest_s=given.rest)
