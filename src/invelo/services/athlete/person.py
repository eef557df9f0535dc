"""Who an athlete is: goals, time, places, likes."""

from datetime import datetime
from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.db.tables.athlete import AthleteRow, PersonRow
from invelo.domain.athlete.person import Person
from invelo.services.equipment import kit

ANSWERS = TypeAdapter(Person)


def of_athlete(db: Session, athlete_id: UUID) -> Person:
    """What they have told; everything open where they have told nothing."""
    row = db.get(PersonRow, athlete_id)
    return ANSWERS.validate_python(row.answers) if row else Person()


UNKEPT = "none"
"""The version of what was never kept."""


def version(db: Session, athlete_id: UUID) -> str:
    """The version of what they have told."""
    row = db.get(PersonRow, athlete_id)
    return row.version if row else UNKEPT


def keep(
    db: Session, account_id: UUID, athlete: AthleteRow, person: Person, now: datetime
) -> Person:
    """Keep what they have told, in place of what they told before.

    Raises:
        MissingError: for a place that is not the coach's.
    """
    for place in person.places:
        kit.place(db, account_id, UUID(place))
    row = db.get(PersonRow, athlete.id) or PersonRow(
        athlete_id=athlete.id, answers={}, updated_at=now
    )
    row.answers = ANSWERS.dump_python(person, mode="json")
    row.updated_at = now
    db.add(row)
    db.flush()
    return person
