"""What is known of an athlete: measures, tests, readiness, screen, links."""

from collections.abc import Collection, Sequence
from datetime import date, datetime
from uuid import UUID

from sqlmodel import Session, col, select

from invelo.db.columns import among
from invelo.db.tables.athlete import (
    AthleteAccessRow,
    AthleteLimitRow,
    AthleteLinkRow,
    AthleteRow,
    BodyMeasurementRow,
    ClearanceRow,
    ReadinessRow,
    ScaleCheckRow,
    ScreeningRow,
    SparedPlaceRow,
    TestRow,
)
from invelo.db.tables.ladder import LadderRow


def with_a_ladder(db: Session) -> Sequence[AthleteRow]:
    """Everybody who trains on a ladder, whoever coaches them, and is not put away: for work that no
    coach asks for."""
    trains = select(LadderRow.athlete_id).where(LadderRow.athlete_id == AthleteRow.id)
    statement = select(AthleteRow).where(trains.exists(), col(AthleteRow.archived_at).is_(None))
    return db.exec(statement.order_by(col(AthleteRow.id))).all()


def owner(db: Session, athlete_id: UUID) -> UUID | None:
    """The account that owns an athlete's record."""
    return db.exec(
        select(AthleteAccessRow.account_id).where(
            AthleteAccessRow.athlete_id == athlete_id, AthleteAccessRow.role == "owner"
        )
    ).first()


def measurements(db: Session, athlete_id: UUID) -> list[BodyMeasurementRow]:
    """An athlete's measures, oldest first."""
    statement = select(BodyMeasurementRow).where(BodyMeasurementRow.athlete_id == athlete_id)
    return list(db.exec(statement.order_by(col(BodyMeasurementRow.at), col(BodyMeasurementRow.id))))


def limits(db: Session, athlete_id: UUID) -> Sequence[AthleteLimitRow]:
    """Limits that coaches set and nobody ended, oldest first."""
    return db.exec(
        select(AthleteLimitRow)
        .where(AthleteLimitRow.athlete_id == athlete_id, col(AthleteLimitRow.ended_at).is_(None))
        .order_by(col(AthleteLimitRow.at), col(AthleteLimitRow.id))
    ).all()


def spared(db: Session, athlete_id: UUID) -> Sequence[SparedPlaceRow]:
    """Places that hurt and are not cleared, oldest first."""
    return db.exec(
        select(SparedPlaceRow)
        .where(SparedPlaceRow.athlete_id == athlete_id, col(SparedPlaceRow.cleared_at).is_(None))
        .order_by(col(SparedPlaceRow.at), col(SparedPlaceRow.place))
    ).all()


def cleared_since(db: Session, athlete_id: UUID, since: date) -> Sequence[SparedPlaceRow]:
    """Places that were cleared since a day."""
    return db.exec(
        select(SparedPlaceRow)
        .where(SparedPlaceRow.athlete_id == athlete_id, col(SparedPlaceRow.cleared_at) >= since)
        .order_by(col(SparedPlaceRow.cleared_at), col(SparedPlaceRow.place))
    ).all()


def spared_of_many(db: Session, athlete_ids: Collection[UUID]) -> Sequence[SparedPlaceRow]:
    """The same of many athletes."""
    return db.exec(
        select(SparedPlaceRow)
        .where(
            among(SparedPlaceRow.athlete_id, athlete_ids), col(SparedPlaceRow.cleared_at).is_(None)
        )
        .order_by(col(SparedPlaceRow.at), col(SparedPlaceRow.place))
    ).all()


def scale_checks(db: Session, athlete_id: UUID) -> list[ScaleCheckRow]:
    """What household scales said of an athlete, newest first."""
    statement = select(ScaleCheckRow).where(ScaleCheckRow.athlete_id == athlete_id)
    return list(db.exec(statement.order_by(col(ScaleCheckRow.at).desc(), col(ScaleCheckRow.id))))


def accepted_scale_check(db: Session, athlete_id: UUID) -> ScaleCheckRow | None:
    """The one that stands, if one does."""
    return db.exec(
        select(ScaleCheckRow)
        .where(
            ScaleCheckRow.athlete_id == athlete_id,
            col(ScaleCheckRow.accepted_at).is_not(None),
            col(ScaleCheckRow.undone_at).is_(None),
        )
        .order_by(col(ScaleCheckRow.accepted_at).desc())
        .limit(1)
    ).first()


def tests(db: Session, athlete_id: UUID, most: int) -> list[TestRow]:
    """An athlete's newest tests, newest first."""
    statement = select(TestRow).where(TestRow.athlete_id == athlete_id)
    return list(db.exec(statement.order_by(col(TestRow.at).desc(), col(TestRow.id)).limit(most)))


def tests_since(db: Session, athlete_id: UUID, since: date) -> list[TestRow]:
    """An athlete's tests since a day."""
    statement = select(TestRow).where(TestRow.athlete_id == athlete_id)
    return list(db.exec(statement.where(TestRow.local_date >= since)))


def readiness(db: Session, athlete_id: UUID) -> list[ReadinessRow]:
    """Every readiness check that was shown, oldest first."""
    statement = select(ReadinessRow).where(ReadinessRow.athlete_id == athlete_id)
    return list(db.exec(statement.order_by(col(ReadinessRow.at), col(ReadinessRow.id))))


def newest_screening(db: Session, athlete_id: UUID) -> ScreeningRow | None:
    """The screen that counts."""
    return db.exec(
        select(ScreeningRow)
        .where(ScreeningRow.athlete_id == athlete_id)
        .order_by(col(ScreeningRow.at).desc(), col(ScreeningRow.id))
        .limit(1)
    ).first()


def clearances(db: Session, screening_id: UUID) -> Sequence[ClearanceRow]:
    """What was said of a screen's findings, oldest first."""
    return db.exec(
        select(ClearanceRow)
        .where(ClearanceRow.screening_id == screening_id)
        .order_by(col(ClearanceRow.at))
    ).all()


def newest_link(db: Session, athlete_id: UUID) -> AthleteLinkRow | None:
    """The link that was made last."""
    statement = select(AthleteLinkRow).where(AthleteLinkRow.athlete_id == athlete_id)
    return db.exec(
        statement.order_by(col(AthleteLinkRow.created_at).desc(), col(AthleteLinkRow.token_hash))
    ).first()


def revoke_links(db: Session, athlete_id: UUID, now: datetime) -> None:
    """End every link that works."""
    statement = select(AthleteLinkRow).where(
        AthleteLinkRow.athlete_id == athlete_id, col(AthleteLinkRow.revoked_at).is_(None)
    )
    for row in db.exec(statement):
        row.revoked_at = now
        db.add(row)
    db.flush()


def by_letters_key(db: Session, key: UUID) -> AthleteRow | None:
    """Whose letters a key stops."""
    return db.exec(select(AthleteRow).where(AthleteRow.letters_key == key)).first()
