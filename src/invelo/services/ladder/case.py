"""A ladder as its review sees it, and what its next session asks."""

from datetime import date
from typing import Any
from uuid import UUID

from sqlmodel import Session

from invelo.db import logs
from invelo.db.codec import METHOD, PURPOSE, body_of
from invelo.db.queries import athlete_rows, review_rows
from invelo.domain.athlete.strain import AVERAGE, strains
from invelo.domain.equipment.kit import ANYTHING
from invelo.domain.plan.asked import AskedSession, WayBack, back_from_pain, session_asked
from invelo.domain.review.ladder_case import LadderCase
from invelo.domain.review.proposals.checking import due
from invelo.domain.review.proposals.situation import AnsweredProposal, Bounds, WeekSeen
from invelo.services.athlete import guard, spared
from invelo.services.ladder.ladder import LadderView

SESSIONS_JUDGED = 40
"""Sessions of the ladder a decision looks back on."""


def of(db: Session, seen: LadderView, today: date, week: WeekSeen | None = None) -> LadderCase:
    """A ladder as its review sees it, after a session or at the end of a week."""
    given = seen.prescription
    rungs = seen.rungs
    owner = athlete_rows.owner(db, seen.athlete.id)
    return LadderCase(
        body=body_of(seen.measure),
        ladder=seen.measured,
        keys=tuple(str(rung.id) for rung in rungs),
        closed=seen.closed,
        current=seen.current,
        prescribed=seen.prescribed,
        sessions=tuple(s.record for s in logs.finished(db, seen.row.id, SESSIONS_JUDGED)),
        states=seen.states,
        purpose=PURPOSE.validate_python(seen.row.purpose),
        method=METHOD.validate_python(seen.row.method),
        today=today,
        since=given.begun if given else None,
        hand=guard.hand_of(db, seen.guarded, owner) if owner else ANYTHING,
        allowed=seen.guarded.open_movements,
        predictions=seen.placement.predictions if seen.placement else (),
        occasion="session" if week is None else "week",
        week=week,
        answered=answered(db, seen.row.id, today),
        bounds=bounds_of(db, seen),
        own_range=bool(given and given.own_range),
    )


def bounds_of(db: Session, seen: LadderView) -> Bounds:
    """Within what a ladder's rung is changed by itself, as the coach set it for the athlete."""
    gentle = seen.guarded.gentle
    return Bounds(seen.athlete.routine and not gentle, seen.athlete.routine_per_week, gentle)


ANSWERS = 12
"""Answers of a ladder that are looked back on, so that nothing is asked twice for nothing."""


def answered(db: Session, ladder_id: UUID, today: date) -> tuple[AnsweredProposal, ...]:
    """What the coach said to the newest proposals of a ladder, newest first."""
    return tuple(
        AnsweredProposal(
            proposal.outcome,  # type: ignore[arg-type]
            str(proposal.from_rung_id),
            tuple(proposal.rules),
            proposal.answer,  # type: ignore[arg-type]
            (today - proposal.local_date).days,
            int(proposal.inputs.get("pain", 0)),
        )
        for proposal in review_rows.answered(db, ladder_id, ANSWERS)
    )


Easy = tuple[float, float]
"""Share of the sets and effort at most, of an easy week."""


def asked(
    db: Session,
    seen: LadderView,
    today: date,
    easy: Easy | None = None,
) -> AskedSession:
    """What a session of a ladder asks on a day.

    Args:
        db, seen, today: the transaction, the ladder, and the day.
        easy: in an easy week.
    """
    case = of(db, seen, today)
    done = tuple(session for session in case.sessions if session.day < today)
    given = seen.prescription
    begun = None
    if given is not None and given.climbed:
        begun = sum(earlier.day >= given.begun for earlier in done)
    whole = len(done) == len(case.sessions)  # nothing was done on the day yet
    open_end = bool(done) and whole and due(case.situation())
    days = [earlier.day for earlier in done]
    return session_asked(
        seen.prescribed, days, today, begun, easy, open_end, _back_from_pain(db, seen, today)
    )


def _back_from_pain(db: Session, seen: LadderView, today: date) -> WayBack | None:
    """The longest way back of the places that were cleared and that the rung loads."""
    rung = seen.prescribed
    asked = strains(AVERAGE, rung.movement, rung.modifiers)
    backs = (
        back_from_pain(place.cleared, place.days, today)
        for place in spared.lately_cleared(db, seen.row.athlete_id, today)
        if place.cleared is not None and place.closes(rung.movement, asked)
    )
    return min(filter(None, backs), key=lambda back: back.share, default=None)


def document_of(asked: AskedSession) -> dict[str, Any]:
    """What was asked, as it is kept with the session."""
    prescription = asked.rung.prescription
    return {
        "rung": asked.rung.name,
        "derived": asked.derived,
        "sets": prescription.sets,
        "low": prescription.low,
        "high": prescription.high,
        "unit": prescription.unit,
        "rpe": prescription.rpe,
        "open_end": asked.open_end,
    }
