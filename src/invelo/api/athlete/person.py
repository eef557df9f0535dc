"""Person: what an athlete wants and has, filled in bit by bit."""

from typing import Any
from uuid import UUID

from fastapi import APIRouter
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now
from invelo.api.common.problems import ERRORS
from invelo.api.common.versions import IfMatch, require_match
from invelo.db import access
from invelo.domain.athlete import person as core
from invelo.domain.athlete.person import Aim, Sex, Units
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.plan.prescription import Method
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.services.athlete import person

router = APIRouter(prefix="/api", tags=["Intake"], responses=ERRORS)


class PersonRequest(StrictModel):
    """What an athlete tells; anything may be left out for now."""

    goals: list[str] = Field(default_factory=list, max_length=20, examples=[["pull-up", "l-sit"]])
    aim: Aim = "gain"
    training_years: float | None = Field(None, examples=[1.5])
    days: int | None = Field(None, description="A week, 1 to 7.")
    minutes: int | None = Field(None, description="A day, 5 to 180.")
    places: list[UUID] = Field(default_factory=list, max_length=20)
    units: Units = "metric"
    methods: list[Method] = Field(default_factory=list)
    dislikes: list[str] = Field(default_factory=list, max_length=100)
    sex: Sex | None = Field(None, description="For published norms only.")
    warm_up: list[str] = Field(
        default_factory=list,
        max_length=12,
        description="The coach's own general warm-up, in order; the usual one if empty.",
    )

    def core(self) -> core.Person:
        """As the domain reads it."""
        told: dict[str, Any] = self.model_dump(mode="json")
        lists = {name: tuple(told[name]) for name in told if isinstance(told[name], list)}
        return core.Person(**told | lists)


class PersonOut(ResponseModel):
    """What is known of them, and what would still help."""

    goals: list[str]
    aim: Aim
    training_years: float | None
    days: int | None
    minutes: int | None
    places: list[UUID]
    units: Units
    methods: list[Method]
    dislikes: list[str]
    sex: Sex | None
    warm_up: list[str]
    missing: list[str]
    version: str = Field(description="For `If-Match`.")


class SkillOut(ResponseModel):
    """A goal to choose."""

    id: str
    name: str
    families: list[str]


class Skills(ResponseModel):
    """All there are."""

    skills: list[SkillOut]


@router.get("/skills")
def get_skills(_: Coach) -> Skills:
    """The goals to choose from."""
    return Skills(skills=[SkillOut.model_validate(skill) for skill in catalogue().skill])


@router.get("/athletes/{athlete_id}/person")
def get_person(athlete_id: UUID, coach: Coach, db: Database) -> PersonOut:
    """What they have told so far."""
    athlete = access.athlete(db, coach.id, athlete_id)
    return _person(db, athlete.id)


@router.put("/athletes/{athlete_id}/person")
def keep_person(
    athlete_id: UUID,
    body: PersonRequest,
    coach: Coach,
    db: Database,
    now: Now,
    if_match: IfMatch = None,
) -> PersonOut:
    """Keep what they tell, in place of what they told before."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    changed = "what they want and have was kept anew"
    require_match(if_match, person.version(db, athlete.id), "person", changed)
    person.keep(db, coach.id, athlete, body.core(), now)
    return _person(db, athlete.id)


def _person(db: Database, athlete_id: UUID) -> PersonOut:
    details = person.of_athlete(db, athlete_id)
    return PersonOut.of(details, version=person.version(db, athlete_id))
