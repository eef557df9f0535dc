"""Ladders as files: JSON out and in, Markdown and SVG out."""

from typing import Annotated, Any, Literal
from urllib.parse import quote
from uuid import UUID

from fastapi import APIRouter, Body, Query, Response
from pydantic import Field

from invelo.api.common.context import Coach, Database, Now, moment_for
from invelo.api.common.problems import ERRORS
from invelo.api.ladder.views import seen_by
from invelo.db import access
from invelo.db.codec import LEVEL, PURPOSE, body_of
from invelo.db.queries import athlete_rows
from invelo.domain.errors import InputError
from invelo.domain.strict import ResponseModel
from invelo.formats.json_file import FileFault, as_text
from invelo.formats.ladder import document as ladder_document
from invelo.formats.ladder import shapes as ladder_shapes
from invelo.formats.ladder.markdown import markdown
from invelo.formats.ladder.svg import svg
from invelo.services.catalogue import own_movements
from invelo.services.ladder import ladder, workshop

router = APIRouter(prefix="/api", tags=["Ladder files"], responses=ERRORS)

Kind = Literal["json", "md", "svg"]
MEDIA: dict[Kind, str] = {
    "json": "application/json",
    "md": "text/markdown; charset=utf-8",
    "svg": "image/svg+xml",
}


class FileRung(ResponseModel):
    """A rung of a file, as it would stand."""

    name: str
    movement: str = Field(description="By name.")
    demand: str = Field(description="For this athlete, in words.")


class Imported(ResponseModel):
    """What a file holds, or what is wrong with it; and what was written."""

    goal: str
    rungs: list[FileRung]
    faults: list[FileFault] = Field(description="Every one, with its place; none if all is right.")
    ladder_id: UUID | None = Field(description="Of the ladder that was made; none in a dry run.")


@router.get("/ladders/{ladder_id}/file", response_class=Response)
def get_file(
    ladder_id: UUID,
    coach: Coach,
    db: Database,
    now: Now,
    kind: Annotated[Kind, Query(description="JSON to keep, Markdown to read, SVG to print.")],
) -> Response:
    """A ladder as a file. JSON says nothing of the athlete; the other two are measured for them."""
    row = access.ladder(db, coach.id, ladder_id)
    seen = seen_by(db, row, coach, now)
    whose = f"{seen.athlete.name}, {seen.measure.mass_kg:g} kg, {seen.measure.stature_m:g} m"
    if kind == "json":
        text = ladder_document.write(
            seen.drawing,
            row.goal,
            PURPOSE.validate_python(row.purpose),
            LEVEL.validate_python(row.level),
            seen.measured.policy,
        )
        content = as_text(text)
    elif kind == "md":
        content = markdown(row.goal, whose, seen.drawing, seen.measured)
    else:
        content = svg(row.goal, whose, seen.measured)
    name = quote(f"{row.goal}.{kind}")
    return Response(
        content,
        media_type=MEDIA[kind],
        headers={"Content-Disposition": f"attachment; filename*=UTF-8''{name}"},
    )


@router.get("/ladder-schema")
def get_schema(_: Coach) -> dict[str, Any]:
    """The JSON Schema of a ladder file."""
    return ladder_shapes.schema()


@router.post("/athletes/{athlete_id}/ladder-files")
def import_file(
    athlete_id: UUID,
    coach: Coach,
    db: Database,
    now: Now,
    content: Annotated[Any, Body(description="A ladder file.")],
    dry_run: Annotated[bool, Query(description="Only tell what it holds.")] = True,
) -> Imported:
    """Read a ladder file for an athlete. Nothing is written while there is a fault."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    body = body_of(athlete_rows.measurements(db, athlete.id)[-1])
    read = ladder_document.check(content, body, owner=str(coach.id))
    if read.file is None or read.drawing is None:
        return Imported(goal="", rungs=[], faults=list(read.faults), ladder_id=None)
    goal = read.file.goal.strip()
    file_rungs = [
        FileRung(
            name=node.rung.name,
            movement=node.rung.movement.name,
            demand=ladder_document.demand_words(body, node.rung),
        )
        for node in read.drawing.rungs
    ]
    if dry_run:
        return Imported(goal=goal, rungs=file_rungs, faults=[], ladder_id=None)
    if not goal:
        raise InputError("goal", "it is empty.", "Name what the ladder leads to.")
    for own_id, own in read.own:
        own_movements.adopt(db, coach.id, own_id, own, now)
    row = ladder.begin(
        db,
        athlete,
        goal,
        read.drawing,
        read.file.purpose,
        read.file.level,
        moment_for(athlete, now),
        {"ladder imported": goal},
    )
    workshop.set_step_policy(db, row, read.file.settings.core())
    return Imported(goal=goal, rungs=file_rungs, faults=[], ladder_id=row.id)
