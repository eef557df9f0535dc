"""The guard of one athlete today, made of what is kept of them."""

from collections.abc import Iterable
from datetime import date
from uuid import UUID

from sqlmodel import Session

from invelo.db.codec import body_of
from invelo.db.errors import ConflictError
from invelo.db.queries import athlete_rows
from invelo.domain.athlete.guard import Closed, Guard
from invelo.domain.athlete.strain import AVERAGE
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.equipment.kit import ToHand, to_hand
from invelo.services.athlete import person, readiness, screen, spared
from invelo.services.equipment import bands, kit


def of_athlete(db: Session, athlete_id: UUID, today: date) -> Guard:
    """What may close something to an athlete."""
    screened = screen.standing(db, athlete_id, today)
    now = screened.now
    measures = athlete_rows.measurements(db, athlete_id)
    shown = readiness.newest(db, athlete_id).values()
    return Guard(
        doctor=now.referral.sentence if now.outcome == "doctor" else "",
        limits=now.limits,
        passed=frozenset(check.check for check in shown if check.passed),
        rooms=tuple(kit.rooms(db, person.of_athlete(db, athlete_id).places)),
        today=today,
        age=screen.age_on(screened.screening, today),
        body=body_of(measures[-1]) if measures else AVERAGE,
        failed=frozenset(check.check for check in shown if not check.passed),
        spared=spared.open_places(db, athlete_id),
    )


def allow(
    db: Session,
    athlete_id: UUID,
    given: Iterable[tuple[Movement, Modifiers]],
    today: date,
) -> None:
    """Refuse whatever a limit, age, pain, a closed check or unsafe kit forbids.

    Args:
        db: the transaction.
        athlete_id: whose.
        given: movements as they are set up.
        today: for safety checks that have run out.

    Raises:
        ConflictError: naming what is in the way and what would open it.
    """
    refuse(of_athlete(db, athlete_id, today).first_closed(given))


def refuse(closed: Closed | None) -> None:
    """Refuse what is closed.

    Raises:
        ConflictError: naming what is in the way and what would open it.
    """
    if closed is not None:
        raise ConflictError(closed.by, closed.problem, closed.remedy)


def hand_of(db: Session, guard: Guard, coach_id: UUID) -> ToHand:
    """What an athlete can set up with: the safe kit of their places, and the coach's bands."""
    return to_hand(guard.rooms, guard.today, bands.of_coach(db, coach_id))
