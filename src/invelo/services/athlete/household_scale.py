"""A household scale on a body: asked, kept, accepted or not, undone."""

from dataclasses import replace
from datetime import datetime
from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.db import access
from invelo.db.codec import body_of, body_on
from invelo.db.columns import dated
from invelo.db.errors import ConflictError, MissingError
from invelo.db.moment import Moment
from invelo.db.queries import athlete_rows
from invelo.db.tables.athlete import AthleteRow, ScaleCheckRow
from invelo.domain.athlete import household_scale
from invelo.domain.athlete.household_scale import HeldPosition, ScaleCheck
from invelo.domain.biomechanics.body import Body

READINGS: TypeAdapter[tuple[HeldPosition, ...]] = TypeAdapter(tuple[HeldPosition, ...])


def plain_body(db: Session, athlete_id: UUID) -> Body:
    """The body as last measured, without what a scale said of it."""
    return replace(body_of(athlete_rows.measurements(db, athlete_id)[-1]), hands=None)


def keep(
    db: Session,
    athlete: AthleteRow,
    check_id: UUID,
    standing_kg: float,
    readings: tuple[HeldPosition, ...],
    moment: Moment,
) -> ScaleCheckRow:
    """Keep what a scale said; nothing changes until it is accepted. A replay changes nothing.

    Raises:
        InputError: for readings that cannot be.
        ConflictError: if the id is in use.
    """
    kept = db.get(ScaleCheckRow, check_id)
    if kept is not None:
        if kept.athlete_id == athlete.id:
            return kept
        raise ConflictError("id", "it is in use.", "Make a new id for each check.")
    said = household_scale.check(plain_body(db, athlete.id), standing_kg, readings)
    row = ScaleCheckRow(
        id=check_id,
        athlete_id=athlete.id,
        inputs={
            "standing_kg": standing_kg,
            "readings": READINGS.dump_python(readings, mode="json"),
        },
        hands_log=said.correction[0],
        hands_sd=said.correction[1],
        **dated(moment),
    )
    db.add(row)
    db.flush()
    return row


def said(db: Session, row: ScaleCheckRow) -> ScaleCheck:
    """What a kept check says, of the body as it was known that day.

    Raises:
        InputError: where today's model refuses the readings.
    """
    readings = READINGS.validate_python(row.inputs["readings"])
    measures = athlete_rows.measurements(db, row.athlete_id)
    body = replace(body_on(measures, row.local_date), hands=None)
    return household_scale.check(body, float(row.inputs["standing_kg"]), readings)


def accept(db: Session, athlete: AthleteRow, check_id: UUID, now: datetime) -> ScaleCheckRow:
    """Let a check stand with every measure of the body; one that stood before is undone.

    Raises:
        MissingError: if there is none.
        ConflictError: if it was undone.
    """
    access.lock(db, athlete)
    row = _of_athlete(db, athlete.id, check_id)
    if row.undone_at is not None:
        raise ConflictError("check", "it was undone.", "Weigh anew.")
    before = athlete_rows.accepted_scale_check(db, athlete.id)
    if before is not None and before.id != row.id:
        before.undone_at = now
        db.add(before)
    row.accepted_at = row.accepted_at or now
    db.add(row)
    _put(db, athlete.id, row.hands_log, row.hands_sd)
    return row


def undo(db: Session, athlete: AthleteRow, check_id: UUID, now: datetime) -> ScaleCheckRow:
    """Take a check back: loads are as the model says again.

    Raises:
        MissingError: if there is none.
    """
    access.lock(db, athlete)
    row = _of_athlete(db, athlete.id, check_id)
    stood = athlete_rows.accepted_scale_check(db, athlete.id)
    row.undone_at = row.undone_at or now
    db.add(row)
    if stood is not None and stood.id == row.id:
        _put(db, athlete.id, None, None)
    db.flush()
    return row


def _of_athlete(db: Session, athlete_id: UUID, check_id: UUID) -> ScaleCheckRow:
    row = db.get(ScaleCheckRow, check_id)
    if row is None or row.athlete_id != athlete_id:
        raise MissingError("scale check")
    return row


def _put(db: Session, athlete_id: UUID, log: float | None, deviation: float | None) -> None:
    for measure in athlete_rows.measurements(db, athlete_id):
        measure.hands_log, measure.hands_sd = log, deviation
        db.add(measure)
    db.flush()
