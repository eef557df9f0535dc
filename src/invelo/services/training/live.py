"""Who is on the floor now: where each is in their session, and word to whoever watches."""

from dataclasses import dataclass
from datetime import datetime, timedelta
from uuid import UUID

from sqlmodel import Session

from invelo.db import access
from invelo.db.queries import training_rows
from invelo.db.queue import notify
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.training import TrainingSessionRow, WhereaboutsRow

CHANNEL = "invelo_floor"
"""PostgreSQL's channel on which a change is told, with the athlete's id."""

SHOWN_FOR = timedelta(hours=4)
"""How long a session that was left open is shown."""

SHOWN_AFTER = timedelta(minutes=20)
"""How long a finished one stays."""


@dataclass(frozen=True)
class OnFloor:
    """One athlete at work."""

    athlete: AthleteRow
    session: TrainingSessionRow
    where: WhereaboutsRow | None


def tell(db: Session, athlete_id: UUID) -> None:
    """Say that something of an athlete's changed, once this transaction is kept."""
    notify(db, CHANNEL, str(athlete_id))


def move(
    db: Session,
    session: TrainingSessionRow,
    state: str,
    doing: str,
    of_set: tuple[int, int],
    step: tuple[int, int],
    now: datetime,
) -> None:
    """Note where in a session someone is, and say so."""
    row = db.get(WhereaboutsRow, session.id) or WhereaboutsRow(
        session_id=session.id,
        athlete_id=session.athlete_id,
        state=state,
        doing=doing,
        set_number=0,
        set_count=0,
        step=0,
        steps=0,
        at=now,
    )
    row.state, row.doing, row.at = state, doing, now
    row.set_number, row.set_count = of_set
    row.step, row.steps = step
    db.add(row)
    db.flush()
    tell(db, session.athlete_id)


def on_floor(db: Session, account_id: UUID, now: datetime) -> list[OnFloor]:
    """Everyone at work whom an account may see, by name."""
    people = {row.id: row for row in access.athletes(db, account_id)}
    rows = training_rows.begun_since(db, list(people), now - SHOWN_FOR)
    shown: dict[UUID, TrainingSessionRow] = {}
    for row in rows:
        over = row.finished_at is not None and row.finished_at < now - SHOWN_AFTER
        if not over:
            shown.setdefault(row.athlete_id, row)
    places = training_rows.whereabouts(db, [row.id for row in shown.values()])
    return [
        OnFloor(people[who], row, places.get(row.id))
        for who, row in sorted(shown.items(), key=lambda pair: people[pair[0]].name)
    ]
