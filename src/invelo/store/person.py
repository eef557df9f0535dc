"""Who an athlete is: goals, time, places, likes."""

from datetime import datetime
from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.core.person import Person
from invelo.store import kit, tables
from invelo.store.tables import Athlete

TOLD = TypeAdapter(Person)


def of_athlete(db: Session, athlete_id: UUID) -> Person:
    """What they have told; everything open where they have told nothing."""
    row = db.get(tables.Person, athlete_id)
    return TOLD.validate_python(row.told) if row else Person()


def keep(db: Session, account_id: UUID, athlete: Athlete, told: Person, now: datetime) -> Person:
    """Keep what they have told, in place of what they told before.

    Raises:
        MissingError: for a place that is not the coach's.
    """
    for place in told.places:
        kit.place(db, account_id, UUID(place))
    row = db.get(tables.Person, athlete.id) or tables.Person(
        athlete_id=athlete.id, told={}, updated_at=now
    )
    row.told = TOLD.dump_python(told, mode="json")
    row.updated_at = now
    db.add(row)
    db.flush()
    return told
