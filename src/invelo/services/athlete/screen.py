"""Screens kept, and clearances beside them."""

from dataclasses import dataclass
from datetime import date
from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.db.codec import row_of
from invelo.db.columns import dated
from invelo.db.errors import ConflictError
from invelo.db.moment import Moment
from invelo.db.queries import athlete_rows
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteLimitRow, AthleteRow, ClearanceRow, ScreeningRow
from invelo.domain.athlete.limits import EARLIER_LIMITS, Limit, on_day
from invelo.domain.athlete.screen import (
    QUESTION_WORDS,
    Answers,
    Cleared,
    Finding,
    Screened,
    screen,
)
from invelo.domain.athlete.strain import Quantity

ANSWERS = TypeAdapter(Answers)
QUANTITY: TypeAdapter[Quantity] = TypeAdapter(Quantity)
FINDINGS = TypeAdapter(tuple[Finding, ...])


@dataclass(frozen=True)
class ScreenStatus:
    """Where an athlete stands with their screen.

    Attributes:
        screening: the newest; None while there is none.
        clearances: recorded for it, oldest first.
        now: what the two leave open.
    """

    screening: ScreeningRow | None
    clearances: tuple[ClearanceRow, ...]
    now: Cleared


def standing(db: Session, athlete_id: UUID, today: date) -> ScreenStatus:
    """Where an athlete stands with their screen: what its answers say by today's rules."""
    newest = athlete_rows.newest_screening(db, athlete_id)
    added = on_day(map(_limit, athlete_rows.limits(db, athlete_id)), today)
    if newest is None:
        unasked = Screened((), tuple(QUESTION_WORDS))
        return ScreenStatus(None, (), Cleared(unasked, added=added))
    said = athlete_rows.clearances(db, newest.id)
    screened = screen(ANSWERS.validate_python(newest.inputs), today)
    lifted = frozenset(
        EARLIER_LIMITS[lift][0] if lift in EARLIER_LIMITS else lift
        for clearance in said
        for lift in clearance.lifts
    )
    return ScreenStatus(newest, tuple(said), Cleared(screened, lifted, added))


def _limit(row: AthleteLimitRow) -> Limit:
    """What a coach limits, as the domain sees it; it is known by its id."""
    quantity = QUANTITY.validate_python(row.quantity)
    return Limit(quantity, row.most, str(row.id), row.why, row.until)


def age_of(db: Session, athlete_id: UUID, today: date) -> int | None:
    """Whole years; None while the date of birth is not told."""
    return age_on(athlete_rows.newest_screening(db, athlete_id), today)


def age_on(screening: ScreeningRow | None, today: date) -> int | None:
    """The same, by a screen that was looked up."""
    return ANSWERS.validate_python(screening.inputs).age(today) if screening else None


def record(
    db: Session, athlete: AthleteRow, screening_id: UUID, answers: Answers, moment: Moment
) -> ScreeningRow:
    """Keep a screen; from now on it is the one that speaks. A replay changes nothing.

    Raises:
        InputError: for a birth in the future, or an age no athlete has.
        ConflictError: if the id is in use.
    """
    kept = db.get(ScreeningRow, screening_id)
    if kept is not None:
        if kept.athlete_id == athlete.id:
            return kept
        raise ConflictError("id", "it is in use.", "Make a new id for each screen.")
    screened = screen(answers, moment.local_date)
    row = ScreeningRow(
        id=screening_id,
        athlete_id=athlete.id,
        outcome=screened.outcome,
        findings=FINDINGS.dump_python(screened.findings, mode="json"),
        inputs=ANSWERS.dump_python(answers, mode="json"),
        **dated(moment),
    )
    db.add(row)
    db.flush()
    return row


@dataclass(frozen=True)
class Word:
    """A clinician's word as the coach records it.

    Attributes:
        said_by: who said it.
        note: what they said.
        lifts: limits it lifts, and "doctor" where training may begin.
    """

    id: UUID
    said_by: str
    note: str
    lifts: tuple[str, ...]


def clear(
    db: Session, athlete: AthleteRow, coach: AccountRow, note: Word, moment: Moment
) -> ClearanceRow:
    """Record a clearance of the newest screen. A replay changes nothing.

    Raises:
        ConflictError: if there is no screen, the id is in use, or it lifts what was never closed.
    """
    kept = db.get(ClearanceRow, note.id)
    current_rung_now = standing(db, athlete.id, moment.local_date)
    if current_rung_now.screening is None:
        raise ConflictError("screen", "there is none yet.", "Ask the questions first.")
    if kept is not None:
        if kept.screening_id == current_rung_now.screening.id:
            return kept
        raise ConflictError("id", "it is in use.", "Make a new id for each clearance.")
    closed = current_rung_now.now.closed
    strange = [lift for lift in note.lifts if lift not in closed]
    if strange or not note.lifts:
        raise ConflictError(
            "lifts",
            f"“{strange[0]}” is not closed." if strange else "it lifts nothing.",
            f"Choose of: {', '.join(closed) or 'nothing is closed'}.",
        )
    row = row_of(
        ClearanceRow,
        note,
        screening_id=current_rung_now.screening.id,
        author_id=coach.id,
        lifts=list(note.lifts),
        **dated(moment),
    )
    db.add(row)
    db.flush()
    return row
