"""Sessions: a coach's own to start from, and days that were adapted."""

from collections.abc import Collection
from dataclasses import astuple
from datetime import date, datetime
from typing import Any
from uuid import UUID, uuid4

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.db.codec import CHANGES
from invelo.db.columns import dated
from invelo.db.errors import ConflictError, MissingError
from invelo.db.moment import Moment
from invelo.db.queries import plan_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.plan import AdaptedDayRow, SessionTemplateRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.errors import InputError
from invelo.domain.plan.day.adapt import Adapted, Today
from invelo.domain.plan.session.template import SessionTemplate
from invelo.domain.plan.session.work import Block, Instead, Item, Rig, WorkSet
from invelo.domain.plan.session.work import Session as CoreSession

SHAPE: TypeAdapter[SessionTemplate] = TypeAdapter(SessionTemplate)
TODAY: TypeAdapter[Today] = TypeAdapter(Today)
MOST_OWN = 200


def shapes(db: Session, account_id: UUID) -> tuple[SessionTemplate, ...]:
    """Every session to start from: the ready ones, then the coach's own."""
    kept = tuple(SHAPE.validate_python(row.document) for row in plan_rows.templates(db, account_id))
    return (*catalogue().session, *kept)


def find(db: Session, account_id: UUID, shape_id: str) -> SessionTemplate:
    """A session to start from.

    Raises:
        MissingError: if there is none of that id.
    """
    for shape in shapes(db, account_id):
        if shape.id == shape_id:
            return shape
    raise MissingError("session")


def keep_own(
    db: Session, account_id: UUID, shape: SessionTemplate, now: datetime
) -> SessionTemplateRow:
    """Keep a coach's own session, to be used again. A replay changes nothing.

    Raises:
        InputError: for an empty name, or too many.
        ConflictError: if the name is taken.
    """
    row_id = UUID(shape.id)
    kept = db.get(SessionTemplateRow, row_id)
    if kept is not None:
        if kept.account_id != account_id:
            raise ConflictError("id", "it is in use.", "Make a new id for each session.")
        if SHAPE.dump_python(shape, mode="json") == kept.document:
            return kept
    if not shape.name.strip():
        raise InputError("name", "it is empty.", "Name it as you would call it.")
    there = [row for row in plan_rows.templates(db, account_id) if row.id != row_id]
    if any(session_template.name == shape.name.strip() for session_template in there):
        raise ConflictError("name", f"“{shape.name}” is there already.", "Give it another name.")
    if len(there) >= MOST_OWN:
        raise InputError("sessions", f"there are {MOST_OWN}.", "Take one away first.")
    row = kept or SessionTemplateRow(
        id=row_id, account_id=account_id, name="", document={}, created_at=now
    )
    row.name = shape.name.strip()
    row.document = SHAPE.dump_python(shape, mode="json")
    db.add(row)
    db.flush()
    return row


def remove_own(db: Session, account_id: UUID, row_id: UUID) -> None:
    """Take one away.

    Raises:
        MissingError: if it is not the coach's.
    """
    row = db.get(SessionTemplateRow, row_id)
    if row is None or row.account_id != account_id:
        raise MissingError("session")
    db.delete(row)
    db.flush()


def keep_adapted(
    db: Session,
    athlete: AthleteRow,
    row_id: UUID,
    day: date,
    today: Today,
    done: Adapted,
    at: Moment,
) -> None:
    """Keep a day's session as it was adapted. A replay changes nothing."""
    if db.get(AdaptedDayRow, row_id) is None:
        row = AdaptedDayRow(
            id=row_id,
            athlete_id=athlete.id,
            day=day,
            **dated(at),
            allowed=TODAY.dump_python(today, mode="json"),
            session=document_of(done.after),
        )
        db.add(row)
        db.flush()


def keep_given(
    db: Session, athlete: AthleteRow, day: date, session: CoreSession, at: Moment
) -> None:
    """Keep a session as a day's, in place of what is planned for it.

    Raises:
        InputError: for a day that is over.
    """
    if day < at.local_date:
        raise InputError("day", "it is over.", "Choose today or a later one.")
    row = AdaptedDayRow(
        id=uuid4(),
        athlete_id=athlete.id,
        day=day,
        **dated(at),
        allowed=TODAY.dump_python(Today(), mode="json"),
        session=document_of(session),
    )
    db.add(row)
    db.flush()


def adapted(
    db: Session, athlete_id: UUID, day: date, besides: Collection[UUID] = ()
) -> CoreSession | None:
    """A day's session as it was adapted last; None where it was not, or only `besides`."""
    row = plan_rows.newest_adapted(db, athlete_id, day, besides)
    return read(row.session) if row else None


def document_of(session: CoreSession) -> dict[str, Any]:
    """A session as it is stored: movements by their id, easier rungs left out."""
    return {
        "name": session.name,
        "notes": list(session.notes),
        "blocks": [
            {
                "format": block.format,
                "between": block.between,
                "round_rest": block.round_rest,
                "window": block.window,
                "words": block.words,
                "items": [_item(item) for item in block.items],
            }
            for block in session.blocks
        ],
    }


def _item(item: Item) -> dict[str, Any]:
    return {
        "key": item.key,
        "name": item.name,
        "role": item.role,
        "rig": list(astuple(item.rig)),
        "goal": item.goal,
        "why": item.why,
        "sets": [
            {
                "name": work_set.name,
                "movement": work_set.movement.id,
                "changes": CHANGES.dump_python(work_set.modifiers, mode="json"),
                "low": work_set.low,
                "high": work_set.high,
                "rpe": work_set.rpe,
                "rest": work_set.rest,
                "kind": work_set.kind,
                "share": work_set.share,
                "side": work_set.side,
                "open_end": work_set.open_end,
                "turns": work_set.turns,
                "in_turn": work_set.in_turn.id if work_set.in_turn else "",
            }
            for work_set in item.sets
        ],
        "instead": [
            {"when": substitute.when, "movement": substitute.movement}
            for substitute in item.instead
        ],
    }


def read(document: dict[str, Any]) -> CoreSession:
    """A session from what is stored of it."""
    return CoreSession(
        document["name"],
        tuple(
            Block(
                block["format"],
                tuple(_read_item(item) for item in block["items"]),
                block["between"],
                block["round_rest"],
                tuple(block["window"]) if block["window"] else None,
                block["words"],
            )
            for block in document["blocks"]
        ),
        tuple(document["notes"]),
    )


def _read_item(document: dict[str, Any]) -> Item:
    sets = tuple(
        WorkSet(
            work_set["name"],
            catalogue().find_movement(work_set["movement"]),
            CHANGES.validate_python(work_set["changes"]),
            work_set["low"],
            work_set["high"],
            work_set["rpe"],
            work_set["rest"],
            work_set["kind"],
            work_set["share"],
            work_set["side"],
            work_set.get("open_end", False),
            work_set.get("turns", ""),
            catalogue().find_movement(work_set["in_turn"]) if work_set.get("in_turn") else None,
        )
        for work_set in document["sets"]
    )
    rig = Rig(*document["rig"])
    instead = tuple(Instead(**work_set) for work_set in document.get("instead", ()))
    names = (document["key"], document["name"], document["role"])
    return Item(*names, sets, (), rig, document["goal"], document["why"], instead)
