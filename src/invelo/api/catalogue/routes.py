"""The catalogue: movements to find, ready ladders to give, tests to do."""

from typing import Annotated
from uuid import UUID

from fastapi import APIRouter, Query
from pydantic import Field

from invelo.api.catalogue.schemas import MovementOut, movement_fields
from invelo.api.common.context import Coach, Database
from invelo.api.common.drawing import FigureOut
from invelo.api.common.problems import ERRORS
from invelo.api.common.schemas import Explained
from invelo.api.ladder.schemas import FaultAtRungOut, ends_of, faults_of
from invelo.db import access
from invelo.db.codec import body_of
from invelo.db.queries import athlete_rows
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.figure import figure
from invelo.domain.biomechanics.reading import reading
from invelo.domain.catalogue.catalogue import CATALOGUE_VERSION, catalogue
from invelo.domain.catalogue.finder import Finder
from invelo.domain.catalogue.movement import RESTS, STRESS, Modifiers
from invelo.domain.plan.prescription import Unit
from invelo.domain.strict import ResponseModel
from invelo.formats.setups import Changes
from invelo.services.catalogue import own_movements

router = APIRouter(prefix="/api", tags=["Catalogue"], responses=ERRORS)

REFERENCE = Body(75.0, 1.75)
"""The body a movement is told for where nobody is picked."""


class FamilyOut(ResponseModel):
    """Movements that train one pattern."""

    name: str
    about: str


class ReadyLadderOut(ResponseModel):
    """A ladder to copy to an athlete."""

    id: str = Field(examples=["push-up"])
    goal: str
    family: str
    household: bool
    rungs: list[str]


class CatalogueTest(Changes, ResponseModel):
    """A test: a set-up done as many times, or as long, as possible."""

    id: str
    name: str
    movement: str
    family: str
    unit: Unit
    how: str
    tells_capacity: bool = Field(description="Whether it places anybody on a ladder.")


class CatalogueOut(ResponseModel):
    """What the product knows by name."""

    version: str
    families: list[FamilyOut]
    movements: list[MovementOut]
    ladders: list[ReadyLadderOut]
    tests: list[CatalogueTest]


class Region(ResponseModel):
    """How much a region works."""

    name: str
    share: int = Field(description="% of the work.")
    prime: bool


class MovementSheet(MovementOut):
    """Everything about a movement, drawn at both ends of the rep."""

    regions: list[Region]
    cues: list[str]
    faults: list[FaultAtRungOut]
    cautions: list[str]
    depth: list[str] = Field(description="The least and the most.")
    stress: list[str]
    rest_s: int
    says: str = Field(description="What to know of the model's limits here.")
    demand: Explained | None
    measure_words: str
    whose: str
    figures: list[FigureOut]


class MovementsFound(ResponseModel):
    """What was found, the likeliest first."""

    called: int = Field(description="How many of them are called just so; several ask which.")
    ids: list[str]


@router.get("/catalogue")
def get_catalogue(coach: Coach, db: Database) -> CatalogueOut:
    """Movements by family, the coach's own last; ready ladders and tests."""
    known = catalogue()
    movements = (*known.movement, *own_movements.listed(db, coach.id))
    return CatalogueOut(
        version=CATALOGUE_VERSION,
        families=[FamilyOut.model_validate(family) for family in known.family],
        movements=[MovementOut(**movement_fields(movement)) for movement in movements],
        ladders=[
            ReadyLadderOut.of(ready_ladder, rungs=[r.name for r in ready_ladder.rungs])
            for ready_ladder in known.ladder
        ],
        tests=[
            CatalogueTest.of(test_kind, test_kind.of, **Changes.as_sent(test_kind.modifiers()))
            for test_kind in known.test
        ],
    )


@router.get("/movements")
def find_movements(
    coach: Coach,
    db: Database,
    words: Annotated[str, Query(max_length=80, description="What it is called.")],
) -> MovementsFound:
    """Movements that words may mean, the likeliest first: called so, holding every word, or spelt
    nearly so."""
    own = Finder(own_movements.listed(db, coach.id))
    mine = own.find(words)
    called = (*own.called(words), *catalogue().called(words))
    others = catalogue().finder.find(words)
    first = (*called, *mine, *others) if own.called(words) else (*called, *others, *mine)
    ids = list(dict.fromkeys(movement.id for movement in first))
    return MovementsFound(called=len(called), ids=ids)


@router.get("/movements/{movement_id}")
def get_movement(
    movement_id: str,
    coach: Coach,
    db: Database,
    athlete_id: Annotated[
        UUID | None, Query(description="For whose body; an average one if left out.")
    ] = None,
) -> MovementSheet:
    """A movement's sheet: its figure at both ends of the rep, what works, cues, faults."""
    movement = catalogue().find_movement(movement_id)
    body, whose = REFERENCE, f"a body of {REFERENCE.mass:g} kg and {REFERENCE.stature:g} m"
    if athlete_id is not None:
        athlete = access.athlete(db, coach.id, athlete_id)
        body, whose = body_of(athlete_rows.measurements(db, athlete.id)[-1]), athlete.name
    read = reading(body, movement.own(Modifiers()).setup(movement))
    places = {"start": 0, "end": len(read.depths) - 1}
    worked = {**movement.prime, **movement.helping}
    return MovementSheet(
        **movement_fields(movement),
        regions=[
            Region(name=name, share=worked[name], prime=name in movement.prime)
            for name in movement.muscles
        ],
        cues=list(movement.cues),
        faults=faults_of(movement),
        cautions=list(movement.cautions),
        depth=list(movement.depth),
        stress=[f"{joint}: {STRESS[much]}" for joint, much in movement.stress.items()],
        rest_s=RESTS[movement.rest],
        says=movement.posture.says,
        demand=None if movement.rpe_only else Explained.model_validate(read.demand),
        measure_words=read.measure,
        whose=whose,
        figures=[
            FigureOut.model_validate(figure(read, places[end])) for end in ends_of(movement.posture)
        ],
    )
