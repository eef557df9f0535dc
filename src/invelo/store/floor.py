"""The floor: a session is opened, sets are logged, it is closed, and a decision is proposed."""

from dataclasses import dataclass
from datetime import datetime
from uuid import UUID

from sqlmodel import Session, col, update

from invelo.core.decide import Neighbour, Proposal, Situation, decide
from invelo.core.dose import amount_of
from invelo.core.errors import require_within
from invelo.core.log import SetRecord
from invelo.store import guard, logs
from invelo.store import ladder as ladders
from invelo.store.columns import dated
from invelo.store.errors import ConflictError
from invelo.store.ladder import LadderView
from invelo.store.moment import Moment
from invelo.store.rows import UNIT, units_of
from invelo.store.tables import Athlete, Decision, Ladder, LoggedSet, TrainingSession

SESSIONS_JUDGED = 12
"""Sessions of the ladder a decision looks back on."""


@dataclass(frozen=True)
class SetEntry:
    """A set as the device sends it."""

    id: UUID
    rung_id: UUID
    number: int
    reps: float | None
    seconds: float | None
    effort: float
    clean: bool
    pain: int
    pain_place: str
    moment: Moment
    corrects: UUID | None = None
    centimetres: float | None = None


def start(db: Session, row: Ladder, session_id: UUID, moment: Moment) -> TrainingSession:
    """Open a session on the rung the athlete stands on. A replay finds the same one.

    Raises:
        ConflictError: if pain stopped the movement, if another session is open, if something
            closes it, or if the id names a session of another ladder.
    """
    kept = db.get(TrainingSession, session_id)
    if kept is not None:
        if kept.ladder_id == row.id:
            return kept
        raise ConflictError("session id", "it is in use.", "Make a new id for each session.")
    if row.stopped:
        raise ConflictError(
            "ladder",
            f"it is stopped: {row.stopped}",
            "Take it up again on the Ladder sheet once a clinician agrees.",
        )
    if logs.unfinished(db, row.id) is not None:
        raise ConflictError(
            "session", "another session of this ladder is open.", "Finish or discard it first."
        )
    standing = row.standing_id
    assert standing is not None  # noqa: S101  (a ladder is made with a test, which places)
    rung = ladders.rung_on(db, row.id, standing)
    guard.allow(db, row.athlete_id, [rung.movement], moment.local_date)
    session = TrainingSession(id=session_id, ladder_id=row.id, rung_id=standing, **dated(moment))
    db.add(session)
    db.flush()
    return session


def log(db: Session, session: TrainingSession, entry: SetEntry, now: datetime) -> LoggedSet:
    """Log one set, for good. A replay of the same set changes nothing.

    Raises:
        InputError: for an amount, effort or pain out of range, or reps of a hold.
        ConflictError: if the id names a set with other figures, if the session is finished and
            this corrects nothing, or if the set to correct is not in this session.
        MissingError: if the rung is not on the session's ladder.
    """
    rung = ladders.rung_on(db, session.ladder_id, entry.rung_id)
    unit = UNIT.validate_python(rung.unit)
    amount = amount_of(rung.name, unit, entry.reps, entry.seconds, entry.centimetres)
    SetRecord(str(rung.id), amount, entry.effort, entry.clean, entry.pain, entry.pain_place, unit)
    require_within("set number", entry.number, 1, 99, "")
    fresh = LoggedSet(
        id=entry.id,
        session_id=session.id,
        rung_id=entry.rung_id,
        number=entry.number,
        amount=amount,
        effort=entry.effort,
        clean=entry.clean,
        pain=entry.pain,
        pain_place=entry.pain_place.strip(),
        corrects=entry.corrects,
        server_at=now,
        **dated(entry.moment),
    )
    kept = db.get(LoggedSet, entry.id)
    if kept is not None:
        if _same(kept, fresh):
            return kept
        raise ConflictError(
            "set id", "it names a set with other figures.", "Send a correction with a new id."
        )
    if entry.corrects is None and session.finished_at is not None:
        raise ConflictError(
            "session", "it is finished.", "Correct one of its sets, or start a new session."
        )
    if entry.corrects is not None:
        old = db.get(LoggedSet, entry.corrects)
        if old is None or old.session_id != session.id:
            raise ConflictError(
                "corrects", "that set is not in this session.", "Name a set of this session."
            )
    db.add(fresh)
    db.flush()
    return fresh


def _same(kept: LoggedSet, fresh: LoggedSet) -> bool:
    told = ("session_id", "rung_id", "number", "amount", "effort", "clean", "pain", "pain_place")
    return all(getattr(kept, name) == getattr(fresh, name) for name in told)


def discard(db: Session, session: TrainingSession) -> None:
    """Drop a session that was opened by mistake.

    Raises:
        ConflictError: if it is finished or has sets, which stay.
    """
    if session.finished_at is not None or logs.standing_sets(db, [session.id]):
        raise ConflictError("session", "it holds logged sets, which stay.", "Finish it instead.")
    db.delete(session)


def finish(
    db: Session,
    row: Ladder,
    athlete: Athlete,
    session: TrainingSession,
    effort: float,
    moment: Moment,
) -> Decision:
    """Close a session, place the athlete anew and propose what comes next.

    Raises:
        ConflictError: if it is finished already, or nothing was logged.
        InputError: for an effort out of range.
    """
    require_within("session effort", effort, 1, 10, "")
    if session.finished_at is not None:
        raise ConflictError(
            "session", "it is finished already.", "Its decision is on the Review sheet."
        )
    if not logs.standing_sets(db, [session.id]):
        raise ConflictError("session", "no set is logged in it.", "Log a set, or discard it.")
    session.finished_at = moment.at
    session.effort = effort
    db.add(session)
    db.flush()
    seen = ladders.record_placement(db, row, athlete, moment, {"session": str(session.id)})
    return _propose(db, seen, session, moment)


def situation(db: Session, seen: LadderView) -> Situation:
    """What a decision on this ladder looks at."""
    here = seen.standing
    below, above = seen.measured.below(here), seen.measured.above(here)
    return Situation(
        key=str(seen.row.standing_id),
        rung=seen.measured.rungs[here],
        below=_neighbour(seen, max(below, default=None)),
        above=_neighbour(seen, _next(seen, above)),
        sessions=tuple(
            s.record(units_of(seen.rungs)) for s in logs.finished(db, seen.row.id, SESSIONS_JUDGED)
        ),
        purpose=seen.row.purpose,  # type: ignore[arg-type]
        terms=seen.measured.terms,
    )


def _next(seen: LadderView, above: tuple[int, ...]) -> int | None:
    """Where to go on: the first way up that is open, the first at all if none is."""
    open_ways = (index for index in above if index not in seen.shut)
    return next(open_ways, above[0] if above else None)


def _neighbour(seen: LadderView, index: int | None) -> Neighbour | None:
    if index is None:
        return None
    told = seen.placement.predictions[index] if seen.placement else None
    return Neighbour(str(seen.rungs[index].id), seen.measured.rungs[index], told)


def _propose(db: Session, seen: LadderView, session: TrainingSession, moment: Moment) -> Decision:
    asked = situation(db, seen)
    proposal: Proposal = decide(asked)
    lapsing = (
        update(Decision)
        .where(col(Decision.ladder_id) == seen.row.id, col(Decision.answer).is_(None))
        .values(answer="lapse", answered_at=moment.at, word="a newer session spoke")
    )
    db.exec(lapsing)
    decision = Decision(
        ladder_id=seen.row.id,
        session_id=session.id,
        **dated(moment),
        outcome=proposal.outcome,
        from_rung_id=UUID(asked.key),
        to_rung_id=UUID(proposal.to),
        reason=proposal.reason,
        figures=[{"name": f.name, "value": f.value, "unit": f.unit} for f in proposal.figures],
        rules=[rule.id for rule in proposal.rules],
        confidence=proposal.confidence,
        confidence_why=proposal.confidence_why,
        inputs={
            "purpose": asked.purpose,
            "school": seen.row.school,
            "sessions": [str(s.row.id) for s in logs.finished(db, seen.row.id, SESSIONS_JUDGED)],
            "gate": {
                "sets": asked.rung.gate.sets,
                "amount": asked.rung.gate.amount,
                "unit": asked.rung.gate.unit,
                "effort": asked.rung.gate.effort,
                "sessions": asked.rung.gate.sessions,
            },
        },
    )
    db.add(decision)
    db.flush()
    return decision
