"""Whole sessions written down afterwards, by hand or from a file: all of them, or none."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from uuid import NAMESPACE_URL, UUID, uuid5

from sqlmodel import Session

from invelo.db.moment import Moment
from invelo.db.queries import ladder_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.training import TrainingSessionRow
from invelo.domain.errors import InputError
from invelo.services.review import propose
from invelo.services.training import floor
from invelo.services.training.floor import SetEntry


@dataclass(frozen=True)
class WholeSession:
    """A session as it is written down.

    Attributes:
        id: of it.
        name: what it is called.
        moment: when it began.
        rpe: of the whole session; None where nothing was said.
        sets: in order.
    """

    id: UUID
    name: str
    moment: Moment
    rpe: float | None
    sets: tuple[SetEntry, ...]


def keep(
    db: Session, athlete: AthleteRow, sessions: Sequence[WholeSession], now: datetime
) -> tuple[int, int]:
    """Keep whole sessions; what is there already stays. How many sets are new, and how many were
    there. Each ladder is judged once, by the newest of them.

    Raises:
        InputError: for a set that cannot be kept, naming the field.
        ConflictError: for an id that is in use.
    """
    new = old = 0
    touched: list[TrainingSessionRow] = []
    for whole_session in sorted(sessions, key=lambda each: each.moment.at):
        session = floor.start(
            db, athlete, whole_session.id, whole_session.name, whole_session.moment, now
        )
        fresh = floor.log_all(db, session, whole_session.sets, now)
        new, old = new + fresh, old + len(whole_session.sets) - fresh
        if session.finished_at is None:
            session.finished_at = (
                whole_session.sets[-1].moment.at if whole_session.sets else whole_session.moment.at
            )
            session.rpe = (
                whole_session.rpe
                if whole_session.rpe is not None
                else _stand_in(whole_session.sets)
            )
            db.add(session)
            db.flush()
        if fresh:
            touched.append(session)
    propose.judge_all(db, athlete, touched, Moment(now, athlete.time_zone))
    return new, old


def _stand_in(sets: Sequence[SetEntry]) -> float:
    """The mean effort of the sets, where nobody said how hard the whole session was."""
    return round(sum(set_entry.draft.rpe for set_entry in sets) / len(sets), 1) if sets else 1.0


def rung_names(db: Session, athlete_id: UUID) -> dict[UUID, str]:
    """The names of all rungs of an athlete's ladders."""
    return {rung.id: rung.name for rung in ladder_rows.rungs_of_athlete(db, athlete_id)}


def row_id(athlete_id: UUID, *parts: object) -> UUID:
    """An id that the same row always has, so that a file read twice is kept once."""
    return uuid5(NAMESPACE_URL, ":".join(("invelo:row", str(athlete_id), *map(str, parts))))


def numbered(sets: Sequence[SetEntry]) -> tuple[SetEntry, ...]:
    """Sets that tell no number counted through, each item for itself.

    Raises:
        InputError: for more than 99 of one item.
    """
    seen: dict[str, int] = {}
    set_entries = []
    for set_entry in sets:
        draft = set_entry.draft
        key = str(draft.rung_id or draft.movement or "")
        seen[key] = seen.get(key, 0) + 1
        if seen[key] > 99:
            raise InputError("set", "one item has more than 99.", "Split the session.")
        if not draft.number:
            draft = draft.model_copy(update={"number": seen[key]})
        set_entries.append(replace(set_entry, draft=draft))
    return tuple(set_entries)
