"""What was done of each movement the last time, and which side is the weaker."""

from dataclasses import dataclass
from uuid import UUID

from sqlmodel import Session

from invelo.db import logs
from invelo.db.logs import LoggedSession
from invelo.db.tables.training import LoggedSetRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.training.log import OneSide

UNITS = {"reps": "", "s": " s", "cm": " cm"}


@dataclass(frozen=True)
class LastTime:
    """The newest finished sessions of an athlete, oldest first."""

    sessions: tuple[LoggedSession, ...]

    def _sets(self, movement: str) -> tuple[LoggedSession, tuple[LoggedSetRow, ...]] | None:
        for session in reversed(self.sessions):
            done = tuple(s for s in session.sets if s.movement == movement and s.kind != "easy")
            if done:
                return session, done
        return None

    def words(self, movement: str) -> str:
        """What was done of a movement the last time; '' where it never was."""
        sets = self._sets(movement)
        if sets is None:
            return ""
        session, done = sets
        unit = UNITS[catalogue().find_movement(movement).unit]
        amounts = ", ".join(f"{logged.amount:g}{unit}" for logged in done)
        hardest = max(logged.rpe for logged in done)
        return f"{session.row.local_date:%-d %b}: {amounts} at effort {hardest:g} at most"

    def first_side(self, movement: str) -> OneSide:
        """The side to begin with: the weaker the last time, else the left (common practice)."""
        sets = self._sets(movement)
        sides = {"left": 0.0, "right": 0.0}
        for logged in sets[1] if sets else ():
            if logged.side in sides:
                sides[logged.side] += logged.amount
        return "right" if sides["right"] < sides["left"] else "left"


def of_athlete(db: Session, athlete_id: UUID) -> LastTime:
    """The last time of everything."""
    return LastTime(tuple(logs.of_athlete(db, athlete_id)))
