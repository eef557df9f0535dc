"""The one guard of whatever is given to someone: screen, age, pain, readiness, kit."""

from collections.abc import Iterable
from dataclasses import dataclass
from datetime import date
from functools import cached_property
from typing import Literal

from invelo.domain.athlete.age import OLDER, closed_by_age
from invelo.domain.athlete.limits import Limit, exceeded
from invelo.domain.athlete.readiness import CheckId, waits_for
from invelo.domain.athlete.screen import spares_hard_efforts
from invelo.domain.athlete.spared import SparedPlace
from invelo.domain.athlete.strain import AVERAGE, strains
from invelo.domain.biomechanics.body import Body
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.catalogue.needs import needs_of
from invelo.domain.days import day_words
from invelo.domain.equipment.kit import Kind, Room, kit_unavailable_reason
from invelo.domain.equipment.need import missing

ClosedBy = Literal["screen", "age", "limit", "pain", "readiness", "kit"]


@dataclass(frozen=True)
class Closed:
    """Why something is not given to someone, and what would open it.

    Attributes:
        by: what closes it.
        problem, remedy: in words.
    """

    by: ClosedBy
    problem: str
    remedy: str


@dataclass(frozen=True)
class Guard:
    """All that may close something to one athlete today.

    Attributes:
        doctor: what to say where a doctor is asked first, '' otherwise.
        limits: of the screen and the coach.
        passed, failed: readiness checks that are open, and that were tried and are not.
        rooms: where they train; no kit is missed where none is known.
        today: for safety checks that have run out.
        age: in years, None where it is not told.
        body: as measured last.
        spared: places that hurt and are not cleared yet.
    """

    doctor: str = ""
    limits: tuple[Limit, ...] = ()
    passed: frozenset[CheckId] = frozenset()
    rooms: tuple[Room, ...] = ()
    today: date = date.max
    age: int | None = None
    body: Body = AVERAGE
    failed: frozenset[CheckId] = frozenset()
    spared: tuple[SparedPlace, ...] = ()

    def closed(self, movement: Movement, modifiers: Modifiers | None = None) -> Closed | None:
        """What is in the way of a movement as it is set up, and what would open it; None where
        nothing is."""
        return (
            self._by_screen()
            or self._by_body(movement, modifiers)
            or self._by_kit(movement, modifiers)
        )

    def _by_screen(self) -> Closed | None:
        if not self.doctor:
            return None
        return Closed(
            "screen", self.doctor, "Record the clearance on the Intake sheet once it is there."
        )

    def _by_body(self, movement: Movement, modifiers: Modifiers | None) -> Closed | None:
        """Closed by limits, age, pain or readiness, wherever it is done."""
        name = movement.name.lower()
        as_set_up = movement.own(modifiers) if modifiers else movement.as_it_is
        if self.limits or self.spared:
            asked = strains(self.body, movement, as_set_up)
            over = exceeded(asked, self.limits)
            if over:
                return Closed(
                    "limit",
                    f"the {name} is closed: {over[0].words}.",
                    "Take another movement, or have the limit opened on the Intake sheet.",
                )
            for place in self.spared:
                if place.closes(movement, asked):
                    return Closed(
                        "pain",
                        f"the {name} loads the {place.place}, which hurts: spared since "
                        f"{day_words(place.since)}.",
                        "Take what is proposed instead, or clear the place once it is well.",
                    )
        asked = strains(AVERAGE, movement, as_set_up)
        why = closed_by_age(self.age, asked, as_set_up)
        if why:
            return Closed("age", f"the {name} is closed: {why}.", "Take an easier variation.")
        older = self.age is not None and self.age >= OLDER
        waiting = waits_for(movement, as_set_up, self.passed, self.failed, older=older)
        if waiting:
            return Closed(
                "readiness",
                f"the {name} waits for the check “{waiting[0].name.lower()}”.",
                f"Check it on the Intake sheet; until it is open: {waiting[0].prepares}",
            )
        return None

    def _by_kit(self, movement: Movement, modifiers: Modifiers | None) -> Closed | None:
        if not self.rooms:
            return None
        needs = needs_of(self.body, movement, modifiers or Modifiers())
        reason = missing(needs, self.rooms, self.today, movement.floor or None)
        if not reason:
            return None
        return Closed(
            "kit",
            f"the {movement.name.lower()}: {reason}.",
            "Look at the kit on the Intake sheet, or take another movement.",
        )

    def unavailable_reason(self, movement: Movement, modifiers: Modifiers) -> str:
        """Why a rung is closed, in words; '' where it is open."""
        closure = self.closed(movement, modifiers)
        return closure.problem if closure else ""

    def has(self, kind: Kind) -> bool:
        """Whether there is a safe thing of a kind where they train, as far as kit is known."""
        return bool(self.rooms) and not kit_unavailable_reason((kind,), self.rooms, self.today)

    @property
    def gentle(self) -> bool:
        """Whether hard efforts are kept from them."""
        return spares_hard_efforts(self.limits, self.age)

    @cached_property
    def refused(self) -> dict[str, Closed]:
        """What closes movements of the catalogue, by their id."""
        closures = ((movement.id, self.closed(movement)) for movement in catalogue().movement)
        return {movement_id: closed for movement_id, closed in closures if closed is not None}

    @property
    def open_movements(self) -> frozenset[str]:
        """Movements of the catalogue that nothing closes."""
        return frozenset(m.id for m in catalogue().movement if m.id not in self.refused)

    def first_closed(self, given: Iterable[tuple[Movement, Modifiers]]) -> Closed | None:
        """What closes the first of several that are given; None where all are open."""
        return next(filter(None, (self.closed(*asked) for asked in given)), None)
