"""Reading what was logged. A corrected set is passed over in favour of its correction."""

from collections import defaultdict
from collections.abc import Collection, Sequence
from dataclasses import dataclass
from datetime import date
from functools import cache
from typing import Any
from uuid import UUID

from sqlalchemy import ARRAY, Text, any_, bindparam, case, func
from sqlalchemy.dialects.postgresql import distinct_on
from sqlalchemy.orm import aliased
from sqlmodel import Session, col, select
from sqlmodel.sql.expression import Select, SelectOfScalar

from invelo.core.capacity import EVIDENCE_EFFORT, TELLING_KINDS
from invelo.core.catalogue import catalogue
from invelo.core.log import PAIN_STOP, SessionRecord
from invelo.store.columns import among
from invelo.store.rows import session_of
from invelo.store.tables import Athlete, Ladder, LoggedSet, Rung, TrainingSession

LOOK_BACK = 60
"""Sessions of a ladder that are read for a decision or a placement."""

_LATER = aliased(LoggedSet)
STANDS = ~select(_LATER.id).where(_LATER.corrects == LoggedSet.id).exists()
"""Whether no later row corrects a set."""


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
        .where(among(LoggedSet.session_id, session_ids))
        .order_by(col(LoggedSet.at), col(LoggedSet.number), col(LoggedSet.id))
    ).all()
    corrected = {row.corrects for row in rows}
    found: dict[UUID, list[LoggedSet]] = defaultdict(list)
    for row in rows:
        if row.id not in corrected:
            found[row.session_id].append(row)
    return found


def _newest_first(athlete_id: Any, most: int) -> SelectOfScalar[TrainingSession]:
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


def newest_telling(
    db: Session, athlete_id: UUID, movements: Collection[str], days: int
) -> list[tuple[date, LoggedSet]]:
    """The sets that say something of capacity on the newest days of each movement and side on which
    any did, oldest first.

    Args:
        db: one transaction.
        athlete_id: whose.
        movements: of the catalogue.
        days: how many of each.

    Source: `invelo.core.capacity.tells`, which has the last word.
    """
    held = [one for one in movements if catalogue().find_movement(one).unit == "s"]
    told = {"athlete": athlete_id, "movements": list(movements), "held": held, "days": days}
    return [(day, row) for day, row in db.exec(_telling(), params=told)]


@cache
def _telling() -> Select[Any, LoggedSet]:
    """The statement of `newest_telling`: it is long, and laid out once."""
    least_effort = case(
        (
            col(LoggedSet.movement) == any_(bindparam("held", type_=ARRAY(Text))),
            EVIDENCE_EFFORT["s"],
        ),
        else_=EVIDENCE_EFFORT["reps"],
    )
    recent = _newest_first(bindparam("athlete"), LOOK_BACK).with_only_columns(
        col(TrainingSession.id)
    )
    nth = func.dense_rank().over(
        partition_by=(col(LoggedSet.movement), col(LoggedSet.side)),
        order_by=col(TrainingSession.local_date).desc(),
    )
    ranked = (
        select(col(LoggedSet.id), col(TrainingSession.local_date), nth.label("nth"))
        .join(TrainingSession, col(TrainingSession.id) == LoggedSet.session_id)
        .where(
            col(LoggedSet.session_id).in_(recent),
            LoggedSet.movement == any_(bindparam("movements", type_=ARRAY(Text))),
            col(LoggedSet.clean),
            col(LoggedSet.kind).in_(TELLING_KINDS),
            func.coalesce(LoggedSet.least, LoggedSet.amount) >= 1,
            LoggedSet.effort >= least_effort,
            LoggedSet.pain < PAIN_STOP,
            STANDS,
        )
        .subquery()
    )
    return (
        select(ranked.c.local_date, LoggedSet)
        .join(LoggedSet, col(LoggedSet.id) == ranked.c.id)
        .where(ranked.c.nth <= bindparam("days"))
        .order_by(ranked.c.local_date, col(LoggedSet.at), col(LoggedSet.number))
    )


def finished(db: Session, ladder_id: UUID, most: int = LOOK_BACK) -> list[LoggedSession]:
    """The newest finished sessions of a ladder, oldest first, with the sets done on it."""
    rungs = select(Rung.id).where(Rung.ladder_id == ladder_id)
    touches = select(LoggedSet.id).where(
        LoggedSet.session_id == TrainingSession.id, col(LoggedSet.rung_id).in_(rungs)
    )
    whose = select(Ladder.athlete_id).where(Ladder.id == ladder_id).scalar_subquery()
    rows = db.exec(_newest_first(whose, most).where(touches.exists())).all()
    sets = standing_sets(db, [row.id for row in rows])
    own = set(db.exec(rungs))
    return [
        LoggedSession(row, tuple(one for one in sets[row.id] if one.rung_id in own))
        for row in reversed(rows)
    ]


def of_athlete(db: Session, athlete_id: UUID, most: int = LOOK_BACK) -> list[LoggedSession]:
    """The newest finished sessions of an athlete, oldest first."""
    rows = newest(db, athlete_id, most)
    sets = standing_sets(db, [row.id for row in rows])
    return [LoggedSession(row, tuple(sets[row.id])) for row in reversed(rows)]


def newest(db: Session, athlete_id: UUID, most: int) -> Sequence[TrainingSession]:
    """The newest finished sessions of an athlete, the newest first."""
    return db.exec(_newest_first(athlete_id, most)).all()


def unfinished(db: Session, athlete_id: UUID) -> Sequence[TrainingSession]:
    """The sessions of an athlete that are open, the newest first."""
    return db.exec(
        select(TrainingSession)
        .where(TrainingSession.athlete_id == athlete_id, col(TrainingSession.finished_at).is_(None))
        .order_by(col(TrainingSession.at).desc(), col(TrainingSession.id))
    ).all()


def newest_of(db: Session, athlete_ids: list[UUID]) -> dict[UUID, TrainingSession]:
    """The newest finished session of each athlete who has one."""
    newest = (
        select(TrainingSession.id)
        .where(
            TrainingSession.athlete_id == Athlete.id, col(TrainingSession.finished_at).is_not(None)
        )
        .order_by(col(TrainingSession.at).desc(), col(TrainingSession.id))
        .limit(1)
        .scalar_subquery()
    )
    ids = select(newest).where(among(Athlete.id, athlete_ids))
    rows = db.exec(select(TrainingSession).where(col(TrainingSession.id).in_(ids)))
    return {row.athlete_id: row for row in rows}


def worst_pain(db: Session, session_ids: list[UUID]) -> dict[UUID, tuple[int, str]]:
    """The worst pain of sessions in which there was some, and where."""
    statement = (
        select(col(LoggedSet.session_id), col(LoggedSet.pain), col(LoggedSet.pain_place))
        .where(
            among(LoggedSet.session_id, session_ids),
            LoggedSet.pain > 0,
            STANDS,
        )
        .ext(distinct_on(col(LoggedSet.session_id)))
        .order_by(col(LoggedSet.session_id), col(LoggedSet.pain).desc(), col(LoggedSet.at))
    )
    return {session: (pain, place) for session, pain, place in db.exec(statement)}


def history(db: Session, set_id: UUID) -> list[LoggedSet]:
    """A set and every row it corrects, the newest first."""
    found = []
    at = db.get(LoggedSet, set_id)
    while at is not None:
        found.append(at)
        at = db.get(LoggedSet, at.corrects) if at.corrects else None
    return found


A_PAGE = 20
"""Sessions of a page of history, and what else was done on the last day of them."""


def before(db: Session, athlete_id: UUID, day: date | None) -> list[TrainingSession]:
    """A page of an athlete's finished sessions from before a day, the newest first. A page ends
    with a whole day, so that the next goes on from a day and nothing falls between the two."""
    statement = (
        select(TrainingSession)
        .where(
            TrainingSession.athlete_id == athlete_id,
            col(TrainingSession.finished_at).is_not(None),
        )
        .order_by(col(TrainingSession.local_date).desc())
        .fetch(A_PAGE, with_ties=True)
    )
    if day is not None:
        statement = statement.where(TrainingSession.local_date < day)
    return sorted(
        db.exec(statement), key=lambda one: (one.local_date, one.at, one.id), reverse=True
    )
