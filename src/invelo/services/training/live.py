"""Who is on the floor now: where each is in their session, and word to whoever watches."""

from dataclasses import dataclass
from datetime import datetime, timedelta
from uuid import UUID

from sqlalchemy import text
from sqlmodel import Session, col, select

from invelo.db import access
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
    db.execute(
        text("SELECT pg_notify(:channel, :athlete)"),
        {"channel": CHANNEL, "athlete": str(athlete_id)},
    )


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
    rows = db.exec(
        select(TrainingSessionRow)
        .where(
            col(TrainingSessionRow.athlete_id).in_(list(people)),
            col(TrainingSessionRow.at) > now - SHOWN_FOR,
        )
        .order_by(col(TrainingSessionRow.at).desc(), col(TrainingSessionRow.id))
    ).all()
    shown: dict[UUID, TrainingSessionRow] = {}
    for row in rows:
        over = row.finished_at is not None and row.finished_at < now - SHOWN_AFTER
        if not over:
            shown.setdefault(row.athlete_id, row)
    ids = [row.id for row in shown.values()]
    places = {
        row.session_id: row
        for row in db.exec(select(WhereaboutsRow).where(col(WhereaboutsRow.session_id).in_(ids)))
    }
    return [
        OnFloor(people[who], row, places.get(row.id))
        for who, row in sorted(shown.items(), key=lambda one: people[one[0]].name)
    ]
