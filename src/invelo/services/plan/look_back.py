"""Looking back: what was done in the weeks before, and when last."""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from datetime import date, timedelta
from uuid import UUID

from sqlmodel import Session

from invelo.db import logs
from invelo.db.codec import ONE_SIDE, SET_KIND
from invelo.db.queries import training_rows
from invelo.db.tables.training import LoggedSetRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Muscle
from invelo.domain.plan.session.totals import set_of
from invelo.domain.plan.week.availability import week_start_of
from invelo.domain.review.tally import counts_as


@dataclass(frozen=True)
class PastSession:
    """A session that was done."""

    day: date
    goal: str
    sets: int
    rpe: float


@dataclass(frozen=True)
class LookBack:
    """A week that is over: what was done, and hard sets by region."""

    week_start: date
    sessions: tuple[PastSession, ...]
    regions: dict[Muscle, float]


def _each_hold_once(sets: Iterable[LoggedSetRow]) -> Iterator[LoggedSetRow]:
    """Sets, of the pieces of a broken hold the first."""
    seen: set[tuple[str, int, str]] = set()
    for done in sets:
        hold = (done.item, done.number, done.side)
        if done.kind != "piece" or hold not in seen:
            yield done
        if done.kind == "piece":
            seen.add(hold)


def weeks(db: Session, athlete_id: UUID, week_start: date, count: int = 2) -> tuple[LookBack, ...]:
    """The weeks before one, the newest first."""
    since = week_start - timedelta(days=7 * count)
    rows = training_rows.finished_between(db, athlete_id, since, week_start)
    sets = logs.standing_sets(db, [session.id for session in rows])
    look_backs = []
    for back in range(1, count + 1):
        first = week_start - timedelta(days=7 * back)
        there = [row for row in rows if week_start_of(row.local_date) == first]
        regions: dict[Muscle, float] = {}
        for session in there:
            for done in _each_hold_once(sets[session.id]):
                share = counts_as(
                    SET_KIND.validate_python(done.kind), ONE_SIDE.validate_python(done.side)
                )
                movement = catalogue().find_movement(done.movement)
                for region, weight in set_of(movement).items() if share else ():
                    regions[region] = regions.get(region, 0.0) + weight * share
        sessions = tuple(
            PastSession(
                training_session_row.local_date,
                training_session_row.name,
                len(sets[training_session_row.id]),
                training_session_row.rpe or 0.0,
            )
            for training_session_row in there
        )
        look_backs.append(LookBack(first, sessions, regions))
    return tuple(look_backs)
