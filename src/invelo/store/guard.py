"""The one guard of whatever is given to someone: screen, readiness, kit."""

from collections.abc import Iterable
from datetime import date
from uuid import UUID

from sqlmodel import Session

from invelo.core.kit import kit_why_not
from invelo.core.movement import catalogue
from invelo.core.readiness import waits_for
from invelo.core.screen import WORDS, forbidden
from invelo.store import kit, person, readiness, screen
from invelo.store.errors import ConflictError


def allow(db: Session, athlete_id: UUID, given: Iterable[str], today: date) -> None:
    """Refuse whatever a limit, a closed gate or unsafe kit forbids.

    Args:
        db: the transaction.
        athlete_id: whose.
        given: movements of the catalogue.
        today: for safety checks that have run out.

    Raises:
        ConflictError: naming what is in the way and what would open it.
    """
    now = screen.standing(db, athlete_id).now
    if now.outcome == "doctor":
        raise ConflictError(
            "screen",
            now.referral.sentence,
            "Record the clearance on the Intake sheet once it is there.",
        )
    passed = readiness.passed(db, athlete_id)
    rooms = kit.rooms(db, person.of_athlete(db, athlete_id).places)
    for movement_id in dict.fromkeys(given):
        movement = catalogue().find_movement(movement_id)
        name = movement.name.lower()
        closed = forbidden(movement.posture, now.limits)
        if closed:
            raise ConflictError(
                "limit",
                f"the {name} is closed: {WORDS[closed[0]]}.",
                "Take another movement, or record a clearance on the Intake sheet.",
            )
        waiting = waits_for(movement.posture, passed)
        if waiting:
            check = waiting[0]
            raise ConflictError(
                "readiness",
                f"the {name} waits for the check “{check.name.lower()}”.",
                f"Check it on the Intake sheet; until it is open: {check.prepares}",
            )
        why_not = kit_why_not(movement.kit, rooms, today)
        if why_not:
            raise ConflictError(
                "kit",
                f"the {name}: {why_not}.",
                "Look at the kit on the Intake sheet, or take another movement.",
            )
