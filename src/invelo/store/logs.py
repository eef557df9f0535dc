"""Reading what was logged. A corrected set is passed over in favour of its correction."""

from collections import defaultdict
from dataclasses import dataclass
from datetime import date
from uuid import UUID

from sqlalchemy.dialects.postgresql import distinct_on
from sqlmodel import Session, col, select
from sqlmodel.sql.expression import SelectOfScalar

from invelo.core.log import SessionRecord
from invelo.store.rows import session_of
from invelo.store.tables import LoggedSet, Rung, TrainingSession

LOOK_BACK = 60
"""Sessions of a ladder that are read for a decision or a placement."""


@dataclass(frozen=True)
class LoggedSession:
    """A session with the sets that stand, in the order they were done."""

    row: TrainingSession
    sets: tuple[LoggedSet, ...]

    @property
    def record(self) -> SessionRecord:
        """As the core reads it."""
        return session_of(self.row, self.sets)


def standing_sets(db: Session, session_ids: list[UUID]) -> dict[UUID, list[LoggedSet]]:
    """The sets of some sessions that no later row corrects, by session, in order."""
    rows = db.exec(
        select(LoggedSet)
        .where(col(LoggedSet.session_id).in_(session_ids))
        .order_by(col(LoggedSet.at), col(LoggedSet.number), col(LoggedSet.id))
    ).all()
    corrected = {row.corrects for row in rows}
    found: dict[UUID, list[LoggedSet]] = defaultdict(list)
    for row in rows:
        if row.id not in corrected:
            found[row.session_id].append(row)
    return found


def _newest_first(athlete_id: UUID, most: int) -> SelectOfScalar[TrainingSession]:
    """Finished sessions of an athlete."""
    return (
        select(TrainingSession)
        .where(
            TrainingSession.athlete_id == athlete_id,
            col(TrainingSession.finished_at).is_not(None),
        )
        .order_by(col(TrainingSession.at).desc(), col(TrainingSession.id))
        .limit(most)
    )


def finished(db: Session, ladder_id: UUID, most: int = LOOK_BACK) -> list[LoggedSession]:
    """The newest finished sessions of a ladder, oldest first, with the sets done on it."""
    rungs = select(Rung.id).where(Rung.ladder_id == ladder_id)
    touched = select(LoggedSet.session_id).where(col(LoggedSet.rung_id).in_(rungs))
    rows = db.exec(
        select(TrainingSession)
        .where(col(TrainingSession.id).in_(touched), col(TrainingSession.finished_at).is_not(None))
        .order_by(col(TrainingSession.at).desc(), col(TrainingSession.id))
        .limit(most)
    ).all()
    sets = standing_sets(db, [row.id for row in rows])
    own = set(db.exec(rungs))
    return [
        LoggedSession(row, tuple(one for one in sets[row.id] if one.rung_id in own))
        for row in reversed(rows)
    ]


def of_athlete(db: Session, athlete_id: UUID, most: int = LOOK_BACK) -> list[LoggedSession]:
    """The newest finished sessions of an athlete, oldest first."""
    rows = db.exec(_newest_first(athlete_id, most)).all()
    sets = standing_sets(db, [row.id for row in rows])
    return [LoggedSession(row, tuple(sets[row.id])) for row in reversed(rows)]


def unfinished(db: Session, athlete_id: UUID) -> list[LoggedSession]:
    """The sessions of an athlete that are open, the newest first."""
    rows = db.exec(
        select(TrainingSession)
        .where(TrainingSession.athlete_id == athlete_id, col(TrainingSession.finished_at).is_(None))
        .order_by(col(TrainingSession.at).desc(), col(TrainingSession.id))
    ).all()
    sets = standing_sets(db, [row.id for row in rows])
    return [LoggedSession(row, tuple(sets[row.id])) for row in rows]


def newest_of(db: Session, athlete_ids: list[UUID]) -> dict[UUID, TrainingSession]:
    """The newest finished session of each athlete who has one."""
    statement = (
        select(TrainingSession)
        .where(
            col(TrainingSession.athlete_id).in_(athlete_ids),
            col(TrainingSession.finished_at).is_not(None),
        )
        .ext(distinct_on(col(TrainingSession.athlete_id)))
        .order_by(
            col(TrainingSession.athlete_id),
            col(TrainingSession.at).desc(),
            col(TrainingSession.id),
        )
    )
    return {row.athlete_id: row for row in db.exec(statement)}


def history(db: Session, set_id: UUID) -> list[LoggedSet]:
    """A set and every row it corrects, the newest first."""
    found = []
    at = db.get(LoggedSet, set_id)
    while at is not None:
        found.append(at)
        at = db.get(LoggedSet, at.corrects) if at.corrects else None
    return found


A_PAGE = 20
"""Sessions of a page of history."""


def before(db: Session, athlete_id: UUID, day: date | None) -> list[LoggedSession]:
    """A page of an athlete's finished sessions from before a day, the newest first."""
    statement = _newest_first(athlete_id, A_PAGE)
    if day is not None:
        statement = statement.where(TrainingSession.local_date < day)
    rows = db.exec(statement).all()
    sets = standing_sets(db, [row.id for row in rows])
    return [LoggedSession(row, tuple(sets[row.id])) for row in rows]
