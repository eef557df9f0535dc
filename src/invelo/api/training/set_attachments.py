"""With sets: the coach's technique notes, and a photo or clip of a set."""

from datetime import datetime
from typing import Annotated
from uuid import UUID

from fastapi import APIRouter, Depends, Request, Response
from pydantic import Field

from invelo.api.common.context import AskedFor, AtWork, Coach, Database, Now, OnFloor, WholeBody
from invelo.api.common.problems import ERRORS
from invelo.db import access
from invelo.db.queries import training_rows
from invelo.domain.strict import ResponseModel, StrictModel
from invelo.formats import media
from invelo.formats.media import Stripped
from invelo.formats.media_apart import strip_apart
from invelo.services.training import set_attachments

router = APIRouter(prefix="/api/athletes/{athlete_id}", tags=["With sets"], responses=ERRORS)


class Note(ResponseModel):
    """A coach's word on how an athlete does a movement."""

    id: UUID
    movement: str
    text: str
    set_id: UUID | None
    created_at: datetime


class NewNote(StrictModel):
    """A note to keep; it is shown as a cue from the next time on."""

    movement: str = Field(max_length=80)
    text: str = Field(
        max_length=2 * set_attachments.LONGEST, examples=["Left elbow drifts out: tuck it."]
    )
    set_id: UUID | None = Field(None, description="The set it was seen in.")


class Picture(ResponseModel):
    """What is kept with a set."""

    media_type: str
    bytes: int


@router.get("/notes")
def get_notes(who: OnFloor, db: Database) -> list[Note]:
    """The notes that stand, the newest first."""
    return [Note.model_validate(row) for row in training_rows.standing_notes(db, who.athlete.id)]


@router.put("/notes/{note_id}")
def keep_note(
    athlete_id: UUID, note_id: UUID, body: NewNote, coach: Coach, db: Database, now: Now
) -> Note:
    """Keep a technique note. Sending it again changes nothing."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    row = set_attachments.keep(
        db, athlete, note_id, body.movement, body.text, coach.id, now, body.set_id
    )
    return Note.model_validate(row)


@router.delete("/notes/{note_id}", status_code=204)
def retire_note(athlete_id: UUID, note_id: UUID, coach: Coach, db: Database, now: Now) -> Response:
    """Take a note away."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    set_attachments.retire(db, athlete.id, note_id, now)
    return Response(status_code=204)


def _bare_picture(content: WholeBody, request: Request, ask: AskedFor) -> Stripped:
    ask.let_in()
    return strip_apart(request.headers.get("content-type", ""), content)


BarePicture = Annotated[Stripped, Depends(_bare_picture)]
"""The body as a picture without its metadata, from whoever may come in; read before a connection is
held or anybody locked, so that nothing waits for it."""


@router.put(
    "/sets/{set_id}/picture",
    openapi_extra={
        "requestBody": {
            "required": True,
            "content": {
                kind: {"schema": {"type": "string", "format": "binary"}}
                for kind in (*media.PHOTOS, *media.CLIPS)
            },
        }
    },
)
def keep_picture(bare: BarePicture, set_id: UUID, who: AtWork, db: Database, now: Now) -> Picture:
    """Keep a photo or a short clip with a set, without its metadata."""
    set_attachments.set_of(db, who.athlete.id, set_id)
    set_attachments.keep_media(db, set_id, bare.media_type, bare.content, now)
    return Picture(media_type=bare.media_type, bytes=len(bare.content))


@router.get("/sets/{set_id}/picture", response_class=Response)
def get_picture(set_id: UUID, who: OnFloor, db: Database) -> Response:
    """The photo or clip of a set."""
    set_attachments.set_of(db, who.athlete.id, set_id)
    row = set_attachments.media(db, set_id)
    return Response(row.content, media_type=row.media_type)


@router.delete("/sets/{set_id}/picture", status_code=204)
def remove_picture(set_id: UUID, who: AtWork, db: Database) -> Response:
    """Take the photo or clip of a set away."""
    set_attachments.set_of(db, who.athlete.id, set_id)
    set_attachments.remove_media(db, set_id)
    return Response(status_code=204)
