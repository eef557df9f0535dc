"""A coach's technique notes, and the pictures kept with sets."""

from datetime import datetime
from uuid import UUID

from sqlmodel import Session

from invelo.db.errors import ConflictError, MissingError
from invelo.db.queries import training_rows
from invelo.db.tables.athlete import AthleteRow, TechniqueNoteRow
from invelo.db.tables.training import LoggedSetRow, SetMediaRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError

LONGEST = 200
MOST_OF_A_MOVEMENT = 3
"""Notes that stand for a movement; more than a few cues at once help nobody (common practice)."""


def keep(
    db: Session,
    athlete: AthleteRow,
    row_id: UUID,
    movement: str,
    text: str,
    author_id: UUID,
    now: datetime,
    set_id: UUID | None = None,
) -> TechniqueNoteRow:
    """Keep a note on a movement, pinned to a set if one is named. A replay changes nothing.

    Raises:
        InputError: for an empty note, or one too many on the movement.
        MissingError: for a set that is not the athlete's, or a movement nobody knows.
    """
    kept = db.get(TechniqueNoteRow, row_id)
    if kept is not None:
        if kept.athlete_id != athlete.id:
            raise ConflictError("id", "it is in use.", "Make a new id for each note.")
        return kept
    said = text.strip()
    if not said or len(said) > LONGEST:
        raise InputError("note", f"it has {len(said)} letters.", f"Say it in 1 to {LONGEST}.")
    if set_id is not None:
        set_of(db, athlete.id, set_id)
    name = catalogue().find_movement(movement).name
    if (
        sum(
            technique_note.movement == movement
            for technique_note in training_rows.standing_notes(db, athlete.id)
        )
        >= MOST_OF_A_MOVEMENT
    ):
        raise InputError(
            "note",
            f"the {name.lower()} has {MOST_OF_A_MOVEMENT} already.",
            "Take one away first: a few cues at once are enough.",
        )
    row = TechniqueNoteRow(
        id=row_id,
        athlete_id=athlete.id,
        movement=movement,
        text=said,
        set_id=set_id,
        author_id=author_id,
        created_at=now,
    )
    db.add(row)
    db.flush()
    return row


def retire(db: Session, athlete_id: UUID, row_id: UUID, now: datetime) -> None:
    """Take a note away.

    Raises:
        MissingError: if it is not there.
    """
    row = db.get(TechniqueNoteRow, row_id)
    if row is None or row.athlete_id != athlete_id:
        raise MissingError("note")
    row.retired_at = row.retired_at or now
    db.add(row)
    db.flush()


def set_of(db: Session, athlete_id: UUID, set_id: UUID) -> LoggedSetRow:
    """A set of an athlete's.

    Raises:
        MissingError: if it is not there.
    """
    logged = training_rows.set_of_athlete(db, athlete_id, set_id)
    if logged is None:
        raise MissingError("set")
    return logged


def keep_media(db: Session, set_id: UUID, media_type: str, content: bytes, now: datetime) -> None:
    """Keep a picture of a set, in place of the one there was; stripped already."""
    row = training_rows.media(db, set_id)
    if row is None:
        row = SetMediaRow(set_id=set_id, media_type=media_type, content=content, kept_at=now)
    row.media_type, row.content, row.kept_at = media_type, content, now
    db.add(row)
    db.flush()


def media(db: Session, set_id: UUID) -> SetMediaRow:
    """The picture of a set.

    Raises:
        MissingError: if there is none.
    """
    row = training_rows.media(db, set_id)
    if row is None:
        raise MissingError("picture")
    return row


def remove_media(db: Session, set_id: UUID) -> None:
    """Take the picture of a set away.

    Raises:
        MissingError: if there is none.
    """
    db.delete(media(db, set_id))
    db.flush()
