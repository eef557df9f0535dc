"""The one guard of whatever is given to someone: screen, readiness, kit."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date
from uuid import UUID

from sqlmodel import Session

from invelo.db.errors import ConflictError
from invelo.db.queries import equipment_rows
from invelo.domain.athlete.readiness import CheckId, waits_for
from invelo.domain.athlete.screen import WORDS, forbidden, spares_hard_efforts
from invelo.domain.biomechanics.posture.form import Strain
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.equipment.kit import Kind, Room, ToHand, kit_unavailable_reason, to_hand
from invelo.domain.ladder.rung import kit_needed
from invelo.services.athlete import person, readiness, screen
from invelo.services.equipment import bands, kit


@dataclass(frozen=True)
class Guard:
    """All that may close something to one athlete today.

    Attributes:
        doctor: what to say where a doctor is asked first, '' otherwise.
        limits: what the screen closes.
        passed: readiness checks that are open.
        rooms: where they train.
        today: for safety checks that have run out.
        age: in years, None where it is not told.
    """

    doctor: str
    limits: frozenset[Strain]
    passed: frozenset[CheckId]
    rooms: tuple[Room, ...]
    today: date
    age: int | None = None

    def refusal(self, movement: Movement) -> ConflictError | None:
        """What is in the way of a movement and what would open it; None where nothing is."""
        if self.doctor:
            return ConflictError(
                "screen",
                self.doctor,
                "Record the clearance on the Intake sheet once it is there.",
            )
        name = movement.name.lower()
        closed = forbidden(movement.posture, self.limits)
        if closed:
            return ConflictError(
                "limit",
                f"the {name} is closed: {WORDS[closed[0]]}.",
                "Take another movement, or record a clearance on the Intake sheet.",
            )
        waiting = waits_for(movement.posture, self.passed)
        if waiting:
            check = waiting[0]
            return ConflictError(
                "readiness",
                f"the {name} waits for the check “{check.name.lower()}”.",
                f"Check it on the Intake sheet; until it is open: {check.prepares}",
            )
        unavailable_reason = kit_unavailable_reason(movement.kit, self.rooms, self.today)
        if unavailable_reason:
            return ConflictError(
                "kit",
                f"the {name}: {unavailable_reason}.",
                "Look at the kit on the Intake sheet, or take another movement.",
            )
        return None

    def unavailable_reason(self, movement: Movement, modifiers: Modifiers) -> str:
        """Why a rung is closed, in words; '' where it is open."""
        refused = self.refusal(movement)
        if refused is not None:
            return refused.problem
        reasons = (
            kit_unavailable_reason(kinds, self.rooms, self.today)
            for kinds in kit_needed(movement, modifiers)
        )
        return next(filter(None, reasons), "")

    def has(self, kind: Kind) -> bool:
        """Whether there is a safe thing of a kind where they train, as far as kit is known."""
        return bool(self.rooms) and not kit_unavailable_reason((kind,), self.rooms, self.today)

    @property
    def gentle(self) -> bool:
        """Whether hard efforts are kept from them."""
        return spares_hard_efforts(self.limits, self.age)

    @property
    def open_movements(self) -> frozenset[str]:
        """Movements of the catalogue that nothing closes."""
        return frozenset(
            movement.id for movement in catalogue().movement if self.refusal(movement) is None
        )


def of_athlete(db: Session, athlete_id: UUID, today: date) -> Guard:
    """What may close something to an athlete."""
    screened = screen.standing(db, athlete_id)
    now = screened.now
    return Guard(
        doctor=now.referral.sentence if now.outcome == "doctor" else "",
        limits=now.limits,
        passed=readiness.passed(db, athlete_id),
        rooms=tuple(kit.rooms(db, person.of_athlete(db, athlete_id).places)),
        today=today,
        age=screen.age_on(screened.screening, today),
    )


def allow(db: Session, athlete_id: UUID, given: Iterable[str], today: date) -> None:
    """Refuse whatever a limit, a closed criterion or unsafe kit forbids.

    Args:
        db: the transaction.
        athlete_id: whose.
        given: movements of the catalogue.
        today: for safety checks that have run out.

    Raises:
        ConflictError: naming what is in the way and what would open it.
    """
    guard = of_athlete(db, athlete_id, today)
    for movement_id in dict.fromkeys(given):
        refused = guard.refusal(catalogue().find_movement(movement_id))
        if refused is not None:
            raise refused


def hand_of(db: Session, guard: Guard, coach_id: UUID) -> ToHand:
    """What an athlete can set up with: the safe kit of their places, and the coach's bands."""
    known = tuple((row.name, bands.curve(row)) for row in equipment_rows.bands(db, coach_id))
    return to_hand(guard.rooms, guard.today, known)
