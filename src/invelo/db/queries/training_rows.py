"""Sessions, sets and what goes with them."""

from collections.abc import Collection, Iterable, Sequence
from datetime import date, datetime
from typing import Any
from uuid import UUID

from sqlalchemy import case, cast, distinct, func, tuple_
from sqlalchemy import select as columns_of
from sqlalchemy.dialects.postgresql import JSONB
from sqlalchemy.orm import aliased
from sqlalchemy.types import Date
from sqlmodel import Session, col, select

from invelo.db import logs
from invelo.db.columns import among
from invelo.db.tables.athlete import TechniqueNoteRow
from invelo.db.tables.ladder import RungRow
from invelo.db.tables.training import (
    CheckInRow,
    LoggedSetRow,
    SetMediaRow,
    TrainingSessionRow,
    WhereaboutsRow,
)

FINISHED = col(TrainingSessionRow.finished_at).is_not(None)
RATED = col(TrainingSessionRow.mean_set_rpe).is_not(None)
"""Whether a session has an effort, its own or that of its sets."""


def began_after(db: Session, athlete_id: UUID, day: date) -> bool:
    """Whether an athlete trained on no day up to this one."""
    statement = select(TrainingSessionRow.id).where(
        TrainingSessionRow.athlete_id == athlete_id, TrainingSessionRow.local_date <= day
    )
    return db.exec(statement.limit(1)).first() is None


def finished_between(
    db: Session, athlete_id: UUID, since: date, before: date
) -> Sequence[TrainingSessionRow]:
    """An athlete's finished sessions of a span of days, oldest first."""
    return db.exec(
        select(TrainingSessionRow)
        .where(
            TrainingSessionRow.athlete_id == athlete_id,
            FINISHED,
            TrainingSessionRow.local_date >= since,
            TrainingSessionRow.local_date < before,
        )
        .order_by(col(TrainingSessionRow.at))
    ).all()


def sets_between(db: Session, athlete_id: UUID, first: date, last: date) -> Sequence[Any]:
    """Of the sets of some days that stand: id, session, movement, amount, side, moment and day."""
    newer = aliased(LoggedSetRow)
    row = LoggedSetRow
    wanted = (row.id, row.session_id, row.movement, row.amount, row.side, row.at, row.local_date)
    rows: Sequence[Any] = db.execute(
        columns_of(*wanted)  # type: ignore[call-overload]
        .join(TrainingSessionRow, col(TrainingSessionRow.id) == LoggedSetRow.session_id)
        .where(
            TrainingSessionRow.athlete_id == athlete_id,
            col(LoggedSetRow.local_date).between(first, last),
            ~select(newer.id).where(newer.corrects_set_id == LoggedSetRow.id).exists(),
        )
        .order_by(col(LoggedSetRow.at), col(LoggedSetRow.id))
    ).all()
    return rows


def last_day(db: Session, athlete_id: UUID) -> date | None:
    """The day of an athlete's newest finished session."""
    statement = select(col(TrainingSessionRow.local_date)).where(
        TrainingSessionRow.athlete_id == athlete_id, FINISHED
    )
    return db.exec(statement.order_by(col(TrainingSessionRow.at).desc()).limit(1)).first()


def begun_since(
    db: Session, athlete_ids: Collection[UUID], moment: datetime
) -> Sequence[TrainingSessionRow]:
    """Sessions of some athletes begun since a moment, newest first."""
    return db.exec(
        select(TrainingSessionRow)
        .where(
            col(TrainingSessionRow.athlete_id).in_(athlete_ids),
            col(TrainingSessionRow.at) > moment,
        )
        .order_by(col(TrainingSessionRow.at).desc(), col(TrainingSessionRow.id))
    ).all()


def rated_since(db: Session, athlete_id: UUID, since: date) -> Sequence[TrainingSessionRow]:
    """An athlete's finished sessions with an effort since a day, oldest first."""
    return db.exec(
        select(TrainingSessionRow)
        .where(
            TrainingSessionRow.athlete_id == athlete_id,
            FINISHED,
            RATED,
            TrainingSessionRow.local_date >= since,
        )
        .order_by(col(TrainingSessionRow.local_date), col(TrainingSessionRow.id))
    ).all()


def rated_of_many(db: Session, athlete_ids: Iterable[UUID], since: date) -> Sequence[Any]:
    """Of many athletes: days after `since`, efforts and lengths (s) of their rated sessions."""
    statement = (
        select(
            col(TrainingSessionRow.athlete_id),
            func.array_agg(TrainingSessionRow.local_date - since),
            func.array_agg(func.coalesce(TrainingSessionRow.rpe, TrainingSessionRow.mean_set_rpe)),
            func.array_agg(TrainingSessionRow.duration_s),
        )
        .where(
            among(TrainingSessionRow.athlete_id, athlete_ids),
            FINISHED,
            RATED,
            TrainingSessionRow.local_date >= since,
        )
        .group_by(col(TrainingSessionRow.athlete_id))
    )
    rows: Sequence[Any] = db.exec(statement).all()
    return rows


def days_on_ladder(db: Session, ladder_id: UUID, since: date) -> list[date]:
    """Days since one on which a ladder was trained, each once, in order."""
    statement = (
        select(col(TrainingSessionRow.local_date))
        .join(LoggedSetRow, col(LoggedSetRow.session_id) == TrainingSessionRow.id)
        .join(RungRow, col(RungRow.id) == LoggedSetRow.rung_id)
        .where(RungRow.ladder_id == ladder_id, TrainingSessionRow.local_date >= since)
        .distinct()
        .order_by(col(TrainingSessionRow.local_date))
    )
    return list(db.exec(statement))


def session_sums(
    db: Session, athlete_id: UUID, since: date, fault_words: Collection[str]
) -> Sequence[Any]:
    """Id, day, effort, mean effort of the sets, sets, those with their form, those with a fault
    that bears one of some words, and worst pain of each finished session, oldest first."""
    faults = func.array_to_string(LoggedSetRow.faults, " ")
    faulty = func.count().filter(faults.op("~*")("|".join(fault_words)))
    statement = (
        select(  # type: ignore[call-overload]
            TrainingSessionRow.id,
            TrainingSessionRow.local_date,
            TrainingSessionRow.rpe,
            func.avg(LoggedSetRow.rpe),
            func.count(),
            func.count().filter(col(LoggedSetRow.form_ok)),
            faulty,
            func.max(LoggedSetRow.pain),
        )
        .join(LoggedSetRow, col(LoggedSetRow.session_id) == TrainingSessionRow.id)
        .where(*_standing_since(athlete_id, since))
        .group_by(TrainingSessionRow.id)
        .order_by(TrainingSessionRow.at, TrainingSessionRow.id)
    )
    rows: Sequence[Any] = db.exec(statement).all()
    return rows


def set_sums_by_week(db: Session, athlete_id: UUID, since: date) -> Sequence[Any]:
    """Week, movement, changes, kind, side, sets, sum and best of like sets since a day; pieces of
    one broken hold are one set."""
    week_start = cast(func.date_trunc("week", TrainingSessionRow.local_date), Date)
    changes = cast(LoggedSetRow.changes, JSONB)
    whole = tuple_(LoggedSetRow.session_id, LoggedSetRow.item, LoggedSetRow.number)
    alike = (week_start, LoggedSetRow.movement, changes, LoggedSetRow.kind, LoggedSetRow.side)
    statement = (
        select(  # type: ignore[call-overload]
            *alike,
            case(
                (col(LoggedSetRow.kind) == "piece", func.count(distinct(whole))), else_=func.count()
            ),
            func.sum(LoggedSetRow.amount),
            func.max(LoggedSetRow.amount),
        )
        .join(TrainingSessionRow, col(TrainingSessionRow.id) == LoggedSetRow.session_id)
        .where(*_standing_since(athlete_id, since))
        .group_by(*alike)
    )
    rows: Sequence[Any] = db.exec(statement).all()
    return rows


def sets_by_day(
    db: Session, athlete_id: UUID, first: date, last: date
) -> Sequence[tuple[date, str, int]]:
    """Day, movement and working sets from one day to another."""
    alike = (col(TrainingSessionRow.local_date), col(LoggedSetRow.movement))
    statement = (
        select(*alike, func.count())
        .join(LoggedSetRow, col(LoggedSetRow.session_id) == TrainingSessionRow.id)
        .where(
            *_standing_since(athlete_id, first),
            TrainingSessionRow.local_date <= last,
            LoggedSetRow.kind == "work",
        )
        .group_by(*alike)
    )
    return db.exec(statement).all()


def _standing_since(athlete_id: UUID, since: date) -> tuple[Any, ...]:
    """Of finished sessions since a day, the sets that no later row corrects."""
    return (
        TrainingSessionRow.athlete_id == athlete_id,
        TrainingSessionRow.local_date >= since,
        FINISHED,
        logs.STANDS,
    )


def sets_by_id(db: Session, set_ids: Collection[UUID]) -> dict[UUID, LoggedSetRow]:
    """Those of some sets that are there."""
    rows = db.exec(select(LoggedSetRow).where(among(LoggedSetRow.id, set_ids)))
    return {row.id: row for row in rows}


def is_corrected(db: Session, set_id: UUID) -> bool:
    """Whether a later row corrects a set."""
    statement = select(LoggedSetRow.id).where(LoggedSetRow.corrects_set_id == set_id)
    return db.exec(statement).first() is not None


def set_of_athlete(db: Session, athlete_id: UUID, set_id: UUID) -> LoggedSetRow | None:
    """A set of an athlete's."""
    statement = (
        select(LoggedSetRow)
        .join(TrainingSessionRow, col(TrainingSessionRow.id) == LoggedSetRow.session_id)
        .where(LoggedSetRow.id == set_id, TrainingSessionRow.athlete_id == athlete_id)
    )
    return db.exec(statement).first()


def media(db: Session, set_id: UUID) -> SetMediaRow | None:
    """The picture of a set."""
    return db.exec(select(SetMediaRow).where(SetMediaRow.set_id == set_id)).first()


def standing_notes(db: Session, athlete_id: UUID) -> list[TechniqueNoteRow]:
    """An athlete's notes that stand, the newest first."""
    statement = select(TechniqueNoteRow).where(
        TechniqueNoteRow.athlete_id == athlete_id, col(TechniqueNoteRow.retired_at).is_(None)
    )
    order = (col(TechniqueNoteRow.created_at).desc(), col(TechniqueNoteRow.id))
    return list(db.exec(statement.order_by(*order)))


def notes_since(db: Session, athlete_id: UUID, since: date) -> Sequence[TechniqueNoteRow]:
    """An athlete's notes made since a day."""
    return db.exec(
        select(TechniqueNoteRow).where(
            TechniqueNoteRow.athlete_id == athlete_id,
            func.date(TechniqueNoteRow.created_at) >= since,
        )
    ).all()


def newest_check_in(db: Session, athlete_id: UUID, day: date) -> CheckInRow | None:
    """What was told last on a day."""
    statement = select(CheckInRow).where(
        CheckInRow.athlete_id == athlete_id, CheckInRow.local_date == day
    )
    return db.exec(statement.order_by(col(CheckInRow.at).desc(), col(CheckInRow.id))).first()


def check_in_ids(db: Session, athlete_id: UUID, day: date) -> frozenset[UUID]:
    """The ids of a day's check-ins."""
    statement = select(CheckInRow.id).where(
        CheckInRow.athlete_id == athlete_id, CheckInRow.local_date == day
    )
    return frozenset(db.exec(statement))


def check_ins_since(db: Session, athlete_id: UUID, since: date) -> Sequence[CheckInRow]:
    """An athlete's check-ins since a day."""
    return db.exec(
        select(CheckInRow).where(
            CheckInRow.athlete_id == athlete_id, CheckInRow.local_date >= since
        )
    ).all()


def whereabouts(db: Session, session_ids: Collection[UUID]) -> dict[UUID, WhereaboutsRow]:
    """Where some sessions have come to, by session."""
    statement = select(WhereaboutsRow).where(col(WhereaboutsRow.session_id).in_(session_ids))
    return {row.session_id: row for row in db.exec(statement)}
