"""What a coach made of the catalogue: tags of movements, and all of it as a file."""

from typing import Annotated, Any

from fastapi import APIRouter, Body, Query, Response
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now
from invelo.api.common.files import file_answer
from invelo.api.common.problems import ERRORS
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.tags import MOST_OF_ONE
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.formats import catalogue_file
from invelo.formats.json_file import FileFault, as_text
from invelo.services.catalogue import own_movements
from invelo.services.catalogue import tags as own_tags

router = APIRouter(prefix="/api", tags=["Catalogue"], responses=ERRORS)


class MovementTags(StrictModel):
    """Tags of one movement."""

    tags: list[str] = Field(
        max_length=MOST_OF_ONE, description="None takes them away.", examples=[["grip"]]
    )


class AllTags(ResponseModel):
    """A coach's own tags."""

    tags: dict[str, list[str]] = Field(description="By the movement's id.")


class CatalogueTaken(ResponseModel):
    """What a file holds, or what is wrong with it."""

    movements: list[str] = Field(description="By name.")
    tagged: int = Field(description="Movements that it tags.")
    faults: list[FileFault] = Field(description="Every one, with its place; none if all is right.")


@router.get("/movement-tags")
def get_tags(coach: Coach, db: Database) -> AllTags:
    """A coach's own tags: hard sets are counted by them beside the regions."""
    there = own_tags.of_coach(db, coach.id)
    return AllTags(tags={movement: list(tags) for movement, tags in there.items()})


@router.put("/movements/{movement_id}/tags")
def put_tags(movement_id: str, body: MovementTags, coach: Coach, db: Database) -> MovementTags:
    """Give a movement these tags and no others."""
    movement = catalogue().find_movement(movement_id)
    return MovementTags(tags=list(own_tags.put(db, coach.id, movement.id, body.tags)))


@router.get("/catalogue-file", response_class=Response)
def get_catalogue_file(coach: Coach, db: Database) -> Response:
    """A coach's own movements and tags, to keep or to hand on."""
    there = own_movements.listed(db, coach.id)
    text = catalogue_file.write(there, own_tags.of_coach(db, coach.id))
    return file_answer(as_text(text), "json", "movements and tags")


@router.post("/catalogue-files")
def import_catalogue_file(
    coach: Coach,
    db: Database,
    now: Now,
    content: Annotated[Any, Body(description="A file of movements and tags.")],
    dry_run: Annotated[bool, Query(description="Only tell what it holds.")] = True,
) -> CatalogueTaken:
    """Read a file of movements and tags. Nothing is written while there is a fault; what is there
    already stays."""
    read = catalogue_file.check(content, str(coach.id))
    if not dry_run and not read.faults:
        for own_id, own in read.own:
            own_movements.adopt(db, coach.id, own_id, own, now)
        for movement, tags in read.tags.items():
            own_tags.put(db, coach.id, movement, tags)
    return CatalogueTaken(
        movements=[own.name for _, own in read.own],
        tagged=len(read.tags),
        faults=list(read.faults),
    )
