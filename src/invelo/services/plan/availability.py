"""What the coach asked of an athlete's weeks, as it is kept."""

from datetime import date
from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.db.tables.plan import AvailabilityRow
from invelo.domain.plan.week.availability import StandingAvailability, week_start_of
from invelo.domain.plan.week.course import BUILDING, CourseWeek

AVAILABILITY: TypeAdapter[StandingAvailability] = TypeAdapter(StandingAvailability)


def of(db: Session, athlete_id: UUID) -> StandingAvailability | None:
    """What was asked, if anything."""
    row = db.get(AvailabilityRow, athlete_id)
    return AVAILABILITY.validate_python(row.document) if row else None


def course_week(db: Session, athlete_id: UUID, day: date) -> CourseWeek:
    """Which week of the block a day falls in; a building one outside of any."""
    asked = of(db, athlete_id)
    return BUILDING if asked is None else asked.week(week_start_of(day))
