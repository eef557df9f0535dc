"""Reading what was logged. A corrected set is passed over in favour of its correction."""

from collections import defaultdict
from dataclasses import dataclass
from uuid import UUID

from sqlmodel import Session, col, select

from invelo.core.log import SessionRecord
from invelo.store.rows import Units, session_of
from invelo.store.tables import LoggedSet, TrainingSession

LOOK_BACK = 60
"""Sessions of a ladder that are read for a decision or a placement."""


@dataclass(frozen=True)
class LoggedSession:
    """A session with the sets that stand, in the order they were done."""

    row: TrainingSession
    sets: tuple[LoggedSet, ...]

    def record(self, units: Units) -> SessionRecord:
        """As the core reads it."""
        return session_of(self.row, self.sets, units)


def standing_sets(db: Session, session_ids: list[UUID]) -> dict[UUID, list[LoggedSet]]:
    """The sets of some sessions that no later row corrects, by session, in order."""
    rows = db.exec(
        select(LoggedSet)
        .where(col(LoggedSet.session_id).in_(session_ids))
        .order_by(col(LoggedSet.number), col(LoggedSet.server_at))
    ).all()
    corrected = {row.corrects for row in rows}
    found: dict[UUID, list[LoggedSet]] = defaultdict(list)
    for row in rows:
        if row.id not in corrected:
            found[row.session_id].append(row)
    return found


def finished(db: Session, ladder_id: UUID, most: int = LOOK_BACK) -> list[LoggedSession]:
    """The newest finished sessions of a ladder, oldest first."""
    rows = db.exec(
        select(TrainingSession)
        .where(
            TrainingSession.ladder_id == ladder_id, col(TrainingSession.finished_at).is_not(None)
        )
        .order_by(col(TrainingSession.at).desc(), col(TrainingSession.id))
        .limit(most)
    ).all()
    sets = standing_sets(db, [row.id for row in rows])
    return [LoggedSession(row, tuple(sets[row.id])) for row in reversed(rows)]


def unfinished(db: Session, ladder_id: UUID) -> LoggedSession | None:
    """The session of a ladder that is running, if one is."""
    row = db.exec(
        select(TrainingSession).where(
            TrainingSession.ladder_id == ladder_id, col(TrainingSession.finished_at).is_(None)
        )
    ).first()
    return LoggedSession(row, tuple(standing_sets(db, [row.id])[row.id])) if row else None
