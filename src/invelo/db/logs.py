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

from invelo.db.codec import session_of
from invelo.db.columns import among
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow, RungRow
from invelo.db.tables.training import LoggedSetRow, TrainingSessionRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.strength.capacity import EVIDENCE_RPE, TELLING_KINDS
from invelo.domain.training.log import PAIN_STOP, SessionRecord

LOOK_BACK = 60
"""Sessions of a ladder that are read for a decision or a placement."""

_LATER = aliased(LoggedSetRow)
STANDS = ~select(_LATER.id).where(_LATER.corrects_set_id == LoggedSetRow.id).exists()
"""Whether no later row corrects a set."""


@dataclass(frozen=True)
class LoggedSession:
    """A session with the sets that stand, in the order they were done."""

    row: TrainingSessionRow
    sets: tuple[LoggedSetRow, ...]
    ladder_id: UUID | None = None

    @property
    def record(self) -> SessionRecord:
        """As the domain reads it, by what was asked on its ladder."""
        return session_of(self.row, self.sets, self.ladder_id)


def standing_sets(db: Session, session_ids: list[UUID]) -> dict[UUID, list[LoggedSetRow]]:
    """The sets of some sessions that no later row corrects, by session, in order."""
    rows = db.exec(
        select(LoggedSetRow)
        .where(among(LoggedSetRow.session_id, session_ids))
        .order_by(col(LoggedSetRow.at), col(LoggedSetRow.number), col(LoggedSetRow.id))
    ).all()
    corrected = {row.corrects_set_id for row in rows}
    by_session: dict[UUID, list[LoggedSetRow]] = defaultdict(list)
    for row in rows:
        if row.id not in corrected:
            by_session[row.session_id].append(row)
    return by_session


def _newest_first(athlete_id: Any, most: int) -> SelectOfScalar[TrainingSessionRow]:
    """Finished sessions of an athlete."""
    return (
        select(TrainingSessionRow)
        .where(
            TrainingSessionRow.athlete_id == athlete_id,
            col(TrainingSessionRow.finished_at).is_not(None),
        )
        .order_by(col(TrainingSessionRow.at).desc(), col(TrainingSessionRow.id))
        .limit(most)
    )


def newest_telling(
    db: Session, athlete_id: UUID, movements: Collection[str], days: int
) -> list[tuple[date, LoggedSetRow]]:
    """The sets that say something of capacity on the newest days of each movement and side on which
    any did, oldest first.

    Args:
        db: one transaction.
        athlete_id: whose.
        movements: of the catalogue.
        days: how many of each.

    Source: `invelo.domain.strength.capacity.tells`, which has the last word.
    """
    holds = [movement for movement in movements if catalogue().find_movement(movement).unit == "s"]
    parameters = {"athlete": athlete_id, "movements": list(movements), "held": holds, "days": days}
    return [(day, row) for day, row in db.exec(_telling(), params=parameters)]


@cache
def _telling() -> Select[Any, LoggedSetRow]:
    """The statement of `newest_telling`: it is long, and laid out once."""
    least_effort = case(
        (
            col(LoggedSetRow.movement) == any_(bindparam("held", type_=ARRAY(Text))),
            EVIDENCE_RPE["s"],
        ),
        else_=EVIDENCE_RPE["reps"],
    )
    recent = _newest_first(bindparam("athlete"), LOOK_BACK).with_only_columns(
        col(TrainingSessionRow.id)
    )
    nth = func.dense_rank().over(
        partition_by=(col(LoggedSetRow.movement), col(LoggedSetRow.side)),
        order_by=col(TrainingSessionRow.local_date).desc(),
    )
    ranked = (
        select(col(LoggedSetRow.id), col(TrainingSessionRow.local_date), nth.label("nth"))
        .join(TrainingSessionRow, col(TrainingSessionRow.id) == LoggedSetRow.session_id)
        .where(
            col(LoggedSetRow.session_id).in_(recent),
            LoggedSetRow.movement == any_(bindparam("movements", type_=ARRAY(Text))),
            col(LoggedSetRow.form_ok),
            col(LoggedSetRow.kind).in_(TELLING_KINDS),
            func.coalesce(LoggedSetRow.least, LoggedSetRow.amount) >= 1,
            LoggedSetRow.rpe >= least_effort,
            LoggedSetRow.pain < PAIN_STOP,
            STANDS,
        )
        .subquery()
    )
    return (
        select(ranked.c.local_date, LoggedSetRow)
        .join(LoggedSetRow, col(LoggedSetRow.id) == ranked.c.id)
        .where(ranked.c.nth <= bindparam("days"))
        .order_by(ranked.c.local_date, col(LoggedSetRow.at), col(LoggedSetRow.number))
    )


def finished(db: Session, ladder_id: UUID, most: int = LOOK_BACK) -> list[LoggedSession]:
    """The newest finished sessions of a ladder, oldest first, with the sets done on it."""
    rungs = select(RungRow.id).where(RungRow.ladder_id == ladder_id)
    touches = select(LoggedSetRow.id).where(
        LoggedSetRow.session_id == TrainingSessionRow.id, col(LoggedSetRow.rung_id).in_(rungs)
    )
    whose = select(LadderRow.athlete_id).where(LadderRow.id == ladder_id).scalar_subquery()
    rows = db.exec(_newest_first(whose, most).where(touches.exists())).all()
    sets = standing_sets(db, [row.id for row in rows])
    own = set(db.exec(rungs))
    return [
        LoggedSession(
            row, tuple(logged for logged in sets[row.id] if logged.rung_id in own), ladder_id
        )
        for row in reversed(rows)
    ]


def of_athlete(db: Session, athlete_id: UUID, most: int = LOOK_BACK) -> list[LoggedSession]:
    """The newest finished sessions of an athlete, oldest first."""
    rows = newest(db, athlete_id, most)
    sets = standing_sets(db, [row.id for row in rows])
    return [LoggedSession(row, tuple(sets[row.id])) for row in reversed(rows)]


def newest(db: Session, athlete_id: UUID, most: int) -> Sequence[TrainingSessionRow]:
    """The newest finished sessions of an athlete, the newest first."""
    return db.exec(_newest_first(athlete_id, most)).all()


def unfinished(db: Session, athlete_id: UUID) -> Sequence[TrainingSessionRow]:
    """The sessions of an athlete that are open, the newest first."""
    return db.exec(
        select(TrainingSessionRow)
        .where(
            TrainingSessionRow.athlete_id == athlete_id,
            col(TrainingSessionRow.finished_at).is_(None),
        )
        .order_by(col(TrainingSessionRow.at).desc(), col(TrainingSessionRow.id))
    ).all()


def newest_of(db: Session, athlete_ids: list[UUID]) -> dict[UUID, TrainingSessionRow]:
    """The newest finished session of each athlete who has one."""
    newest = (
        select(TrainingSessionRow.id)
        .where(
            TrainingSessionRow.athlete_id == AthleteRow.id,
            col(TrainingSessionRow.finished_at).is_not(None),
        )
        .order_by(col(TrainingSessionRow.at).desc(), col(TrainingSessionRow.id))
        .limit(1)
        .scalar_subquery()
    )
    ids = select(newest).where(among(AthleteRow.id, athlete_ids))
    rows = db.exec(select(TrainingSessionRow).where(col(TrainingSessionRow.id).in_(ids)))
    return {row.athlete_id: row for row in rows}


def worst_pain(db: Session, session_ids: list[UUID]) -> dict[UUID, tuple[int, str]]:
    """The worst pain of sessions in which there was some, and where."""
    statement = (
        select(col(LoggedSetRow.session_id), col(LoggedSetRow.pain), col(LoggedSetRow.pain_place))
        .where(
            among(LoggedSetRow.session_id, session_ids),
            LoggedSetRow.pain > 0,
            STANDS,
        )
        .ext(distinct_on(col(LoggedSetRow.session_id)))
        .order_by(col(LoggedSetRow.session_id), col(LoggedSetRow.pain).desc(), col(LoggedSetRow.at))
    )
    return {session: (pain, place) for session, pain, place in db.exec(statement)}


def history(db: Session, set_id: UUID) -> list[LoggedSetRow]:
    """A set and every row it corrects, the newest first."""
    loggeds = []
    at = db.get(LoggedSetRow, set_id)
    while at is not None:
        loggeds.append(at)
        at = db.get(LoggedSetRow, at.corrects_set_id) if at.corrects_set_id else None
    return loggeds


A_PAGE = 20
"""Sessions of a page of history, and what else was done on the last day of them."""


def before(db: Session, athlete_id: UUID, day: date | None) -> list[TrainingSessionRow]:
    """A page of an athlete's finished sessions from before a day, the newest first. A page ends
    with a whole day, so that the next goes on from a day and nothing falls between the two."""
    statement = (
        select(TrainingSessionRow)
        .where(
            TrainingSessionRow.athlete_id == athlete_id,
            col(TrainingSessionRow.finished_at).is_not(None),
        )
        .order_by(col(TrainingSessionRow.local_date).desc())
        .fetch(A_PAGE, with_ties=True)
    )
    if day is not None:
        statement = statement.where(TrainingSessionRow.local_date < day)
    return sorted(
        db.exec(statement),
        key=lambda session: (session.local_date, session.at, session.id),
        reverse=True,
    )
