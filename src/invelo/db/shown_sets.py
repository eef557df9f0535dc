"""Logged sets as they are shown: beside the set, its rung's name and whether a picture is kept.

What is only shown is read as plain values: a page holds hundreds of sets.
"""

from collections import defaultdict
from collections.abc import Iterable
from functools import cache
from typing import Any
from uuid import UUID

from sqlalchemy import ARRAY, Select, Uuid, any_, bindparam, func, inspect, select
from sqlmodel import Session

from invelo.db.tables.ladder import RungRow
from invelo.db.tables.training import LoggedSetRow, SetMediaRow

ShownSet = dict[str, Any]
"""Values by name: of `KEPT`, the rung's name (None off any ladder), the media type of a picture (''
for none), and by how many seconds the device's clock was off."""

KEPT = (
    *("id", "session_id", "at", "rung_id", "movement", "item", "kind", "side", "number", "amount"),
    *("least", "most", "partial", "prescribed_min", "prescribed_max", "rpe", "form_ok", "faults"),
    *("felt_in", "pain", "pain_place", "note", "corrects_set_id", "author_id", "changes"),
)
"""Columns of a logged set that are shown."""

_NAMES = (*KEPT, "clock_off_s", "name", "picture")


def of_sessions(db: Session, session_ids: Iterable[UUID]) -> dict[UUID, list[ShownSet]]:
    """The sets of some sessions that no later row corrects, by session, in order."""
    rows = _read(db, "session_id", session_ids)
    corrected = {row["corrects_set_id"] for row in rows}
    by_session: dict[UUID, list[ShownSet]] = defaultdict(list)
    for row in rows:
        if row["id"] not in corrected:
            by_session[row["session_id"]].append(row)
    return by_session


def of_sets(db: Session, set_ids: Iterable[UUID]) -> list[ShownSet]:
    """Some sets, as they are asked for."""
    asked = list(set_ids)
    by_id = {row["id"]: row for row in _read(db, "id", asked)}
    return [by_id[set_id] for set_id in asked]


def _read(db: Session, by: str, ids: Iterable[UUID]) -> list[ShownSet]:
    rows = db.execute(_statement(by), {"ids": list(ids)})
    return [dict(zip(_NAMES, row, strict=True)) for row in rows]


@cache
def _statement(by: str) -> Select[Any]:
    """It is long, and laid out once for each column that picks the sets."""
    logged, rung, media = (
        inspect(table).local_table for table in (LoggedSetRow, RungRow, SetMediaRow)
    )
    kept = (logged.c[name] for name in KEPT)
    name = select(rung.c.name).where(rung.c.id == logged.c.rung_id).scalar_subquery()
    picture = select(media.c.media_type).where(media.c.set_id == logged.c.id).scalar_subquery()
    return (
        select(*kept, logged.c.skew_s, name, func.coalesce(picture, ""))
        .where(logged.c[by] == any_(bindparam("ids", type_=ARRAY(Uuid()))))
        .order_by(logged.c.at, logged.c.number, logged.c.id)
    )
