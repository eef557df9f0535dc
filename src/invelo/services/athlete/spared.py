"""Places that hurt: told by a set or a check-in, spared on every ladder until the coach clears
them."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date, datetime, timedelta
from uuid import UUID, uuid4

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.db.columns import dated
from invelo.db.errors import ConflictError, MissingError
from invelo.db.moment import Moment
from invelo.db.queries import athlete_rows
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteRow, SparedPlaceRow
from invelo.domain.athlete.screen import PainPlace
from invelo.domain.athlete.spared import BACK_DAYS, SparedPlace
from invelo.domain.training.log import PAIN_STOP
from invelo.domain.training.pain import joints_of

PLACE: TypeAdapter[PainPlace] = TypeAdapter(PainPlace)

FRESH_DAYS = 14
"""Days after which pain that is told of a day spares nothing more: logs that come in late say how
it was (ours)."""


def of_row(row: SparedPlaceRow) -> SparedPlace:
    """A row as the domain sees it."""
    cleared = Moment(row.cleared_at, row.time_zone).local_date if row.cleared_at else None
    return SparedPlace(PLACE.validate_python(row.place), row.local_date, row.pain, cleared)


def open_places(db: Session, athlete_id: UUID) -> tuple[SparedPlace, ...]:
    """What is spared now."""
    return tuple(of_row(row) for row in athlete_rows.spared(db, athlete_id))


def of_many(db: Session, athlete_ids: Sequence[UUID]) -> dict[UUID, tuple[SparedPlace, ...]]:
    """What is spared now, by athlete."""
    by_athlete: dict[UUID, tuple[SparedPlace, ...]] = {}
    for row in athlete_rows.spared_of_many(db, athlete_ids):
        by_athlete[row.athlete_id] = (*by_athlete.get(row.athlete_id, ()), of_row(row))
    return by_athlete


def lately_cleared(db: Session, athlete_id: UUID, today: date) -> tuple[SparedPlace, ...]:
    """What was cleared as well so lately that its way back may still go on."""
    since = today - timedelta(days=BACK_DAYS)
    rows = athlete_rows.cleared_since(db, athlete_id, since)
    return tuple(of_row(row) for row in rows if row.borne is None)


def tell(
    db: Session, athlete_id: UUID, words: str, pain: int, moment: Moment, now: datetime
) -> None:
    """Spare the places that words name, where the pain is strong enough, told in time, and more
    than the coach lets go on."""
    if pain < PAIN_STOP or (now - moment.at).days > FRESH_DAYS:
        return
    hurting = {row.place: row for row in athlete_rows.spared(db, athlete_id)}
    since = moment.local_date - timedelta(days=BACK_DAYS)
    borne = {row.place: row.borne or 0 for row in athlete_rows.cleared_since(db, athlete_id, since)}
    for place in sorted(joints_of(words)):
        if pain <= borne.get(place, 0):
            continue
        known = hurting.get(place)
        if known is None:
            row = SparedPlaceRow(
                id=uuid4(), athlete_id=athlete_id, place=place, pain=pain, **dated(moment)
            )
            db.add(row)
        elif pain > known.pain:
            known.pain = pain
            db.add(known)
    db.flush()


@dataclass(frozen=True)
class ClearingWord:
    """A coach's word that a place is well.

    Attributes:
        by: the coach.
        note: what was seen.
        borne: pain up to which it goes on in spite of it; None where it is well.
    """

    by: AccountRow
    note: str
    borne: int | None = None


def clear(
    db: Session, athlete: AthleteRow, place: PainPlace, word: ClearingWord, now: datetime
) -> SparedPlaceRow:
    """Open again what a place had closed; it comes back in steps.

    Raises:
        MissingError: if it is not spared.
        ConflictError: without a word of what was seen.
    """
    rows: Sequence[SparedPlaceRow] = athlete_rows.spared(db, athlete.id)
    row = next((row for row in rows if row.place == place), None)
    if row is None:
        raise MissingError("spared place")
    if not word.note.strip():
        raise ConflictError("note", "it is empty.", "Say in short what was seen.")
    row.cleared_at = now
    row.cleared_by = word.by.id
    row.note = word.note.strip()
    row.borne = word.borne
    db.add(row)
    db.flush()
    return row
