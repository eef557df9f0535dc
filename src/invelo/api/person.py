"""Person: what an athlete wants and has, filled in bit by bit."""

from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.context import Coach, Database, Now
from invelo.api.problems import ERRORS
from invelo.api.shapes import Shape
from invelo.core import person as core
from invelo.core.catalogue import catalogue
from invelo.core.dose import School
from invelo.core.person import Aim, Sex, Units
from invelo.exchange.setups import Request
from invelo.store import access, person

router = APIRouter(prefix="/api", tags=["Intake"], responses=ERRORS)


class Told(Request):
    """What an athlete tells; anything may be left out for now."""

    goals: list[str] = Field(default_factory=list, max_length=20, examples=[["pull-up", "l-sit"]])
    aim: Aim = "gain"
    training_years: float | None = Field(None, examples=[1.5])
    days: int | None = Field(None, description="A week, 1 to 7.")
    minutes: int | None = Field(None, description="A day, 5 to 180.")
    places: list[UUID] = Field(default_factory=list, max_length=20)
    units: Units = "metric"
    schools: list[School] = Field(default_factory=list)
    dislikes: list[str] = Field(default_factory=list, max_length=100)
    sex: Sex | None = Field(None, description="For published norms only.")

    def core(self) -> core.Person:
        """As the core reads it."""
        return core.Person(
            goals=tuple(self.goals),
            aim=self.aim,
            training_years=self.training_years,
            days=self.days,
            minutes=self.minutes,
            places=tuple(str(place) for place in self.places),
            units=self.units,
            schools=tuple(self.schools),
            dislikes=tuple(self.dislikes),
            sex=self.sex,
        )


class Person(Shape):
    """What is known of them, and what would still help."""

    goals: list[str]
    aim: Aim
    training_years: float | None
    days: int | None
    minutes: int | None
    places: list[UUID]
    units: Units
    schools: list[School]
    dislikes: list[str]
    sex: Sex | None
    missing: list[str]


class Skill(Shape):
    """A goal to choose."""

    id: str
    name: str
    families: list[str]


class Skills(Shape):
    """All there are."""

    skills: list[Skill]


@router.get("/skills")
def get_skills(_: Coach) -> Skills:
    """The goals to choose from."""
    return Skills(skills=[Skill.model_validate(one) for one in catalogue().skill])


@router.get("/athletes/{athlete_id}/person")
def get_person(athlete_id: UUID, coach: Coach, db: Database) -> Person:
    """What they have told so far."""
    athlete = access.athlete(db, coach.id, athlete_id)
    return Person.model_validate(person.of_athlete(db, athlete.id))


@router.put("/athletes/{athlete_id}/person")
def keep_person(athlete_id: UUID, body: Told, coach: Coach, db: Database, now: Now) -> Person:
    """Keep what they tell, in place of what they told before."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    return Person.model_validate(person.keep(db, coach.id, athlete, body.core(), now))
