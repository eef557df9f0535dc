"""What an athlete does in place of what a sore place closes on their ladders."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date
from uuid import UUID

from sqlmodel import Session

from invelo.db.codec import body_of, rung_of
from invelo.db.queries import athlete_rows, ladder_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.spared import SparedPlace
from invelo.domain.athlete.strain import strains
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.ladder.rung import Rung
from invelo.domain.plan.substitutes import Substitute, substitutes
from invelo.domain.strength.state import State
from invelo.services.athlete import guard, spared, states
from invelo.services.ladder import prescribed

MOST_OFFERED = 3
"""Substitutes that are named for a rung."""


@dataclass(frozen=True)
class ClosedLadder:
    """A ladder whose prescribed rung loads a sore place.

    Attributes:
        id, goal, rung: of it.
        instead: what fits and is open, the nearest first.
    """

    id: UUID
    goal: str
    rung: str
    instead: tuple[Substitute, ...]


@dataclass(frozen=True)
class SparedView:
    """A sore place with what it closes."""

    place: SparedPlace
    ladders: tuple[ClosedLadder, ...]


def view(db: Session, athlete: AthleteRow, today: date) -> tuple[SparedView, ...]:
    """Every place that is spared, with the ladders it closes and what fits instead."""
    places = spared.open_places(db, athlete.id)
    if not places:
        return ()
    guarded = guard.of_athlete(db, athlete.id, today)
    rungs = _prescribed(db, athlete.id)
    lanes = frozenset(movement.posture.lane for movement in catalogue().movement)
    known = states.of_lanes(db, athlete.id, lanes, today)
    return tuple(
        SparedView(
            place,
            tuple(
                ClosedLadder(
                    ladder_id, goal, rung.name, _instead(db, athlete.id, rung, guarded, known)
                )
                for ladder_id, goal, rung in rungs
                if place.closes(rung.movement, strains(guarded.body, rung.movement, rung.modifiers))
            ),
        )
        for place in places
    )


def _prescribed(db: Session, athlete_id: UUID) -> list[tuple[UUID, str, Rung]]:
    all_asked = []
    for row in ladder_rows.of_athlete(db, athlete_id):
        given = prescribed.standing(db, row.id)
        if given is not None:
            all_asked.append((row.id, row.goal, rung_of(given)))
    return all_asked


def _instead(
    db: Session, athlete_id: UUID, rung: Rung, guarded: Guard, known: Mapping[Lane, State]
) -> tuple[Substitute, ...]:
    body = body_of(athlete_rows.measurements(db, athlete_id)[-1])
    offered = substitutes(rung.movement, rung.prescription, body, guarded.open_movements, known)
    return tuple(substitute for substitute, _ in zip(offered, range(MOST_OFFERED), strict=False))
