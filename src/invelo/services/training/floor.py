"""The floor: a session is opened, sets are logged, it is closed, and decisions are proposed.

What is done already is always taken in, in whatever order it comes: a device may have been away,
and two may have run one session. Only what is about to begin can be refused.
"""

from dataclasses import dataclass
from datetime import datetime, timedelta
from uuid import UUID

from sqlmodel import Session, col, select

from invelo.db import logs
from invelo.db.codec import modifiers_of, set_up_columns
from invelo.db.columns import dated
from invelo.db.errors import ConflictError, MissingError
from invelo.db.moment import Moment
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow, RungRow
from invelo.db.tables.review import ProposalRow
from invelo.db.tables.training import LoggedSetRow, SkipRow, TrainingSessionRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.prescription import amount_of
from invelo.domain.training.log import EstimatedCount, OneSide, SetKind, SetRecord
from invelo.services.athlete import guard
from invelo.services.ladder import ladder as ladders
from invelo.services.review import propose
from invelo.services.training import sums

ABOUT_TO_BEGIN = timedelta(minutes=15)
"""A session whose start is no older than this is about to begin, and can be refused (ours)."""

LONGEST_NOTE = 500


@dataclass(frozen=True)
class SetEntry:
    """A set as the device sends it.

    Attributes:
        id: made by the device.
        number: of the set within its item, from 1.
        effort: 1–10.
        moment: when it was done.
        rung_id: of a set on a ladder; None off any.
        movement, modifiers: what was done, where it is not simply the rung.
        reps, seconds, centimetres: the one it is counted in.
        told: the count as it was told, in place of the three; from memory or exact.
        partial: reps that fell short of depth.
        clean: whether form held.
        faults, felt_in: what was seen, and where it was felt.
        pain, pain_place: 0–10, and where.
        note: in words.
        item, kind, side: of the session, of the set, of the body.
        asked: what the set was to be, low and high.
        corrects: the set this one puts right.
        skew: seconds by which the device's clock stood behind ours, where it could not be believed.
    """

    id: UUID
    number: int
    rpe: float
    moment: Moment
    rung_id: UUID | None = None
    movement: Movement | None = None
    modifiers: Modifiers | None = None
    reps: float | None = None
    seconds: float | None = None
    centimetres: float | None = None
    told: EstimatedCount | None = None
    partial: int = 0
    form_ok: bool = True
    faults: tuple[str, ...] = ()
    felt_in: tuple[str, ...] = ()
    pain: int = 0
    pain_place: str = ""
    note: str = ""
    item: str = ""
    kind: SetKind = "work"
    side: OneSide = ""
    asked: tuple[int, int] | None = None
    corrects_set_id: UUID | None = None
    skew: float | None = None


def start(
    db: Session,
    athlete: AthleteRow,
    session_id: UUID,
    name: str,
    moment: Moment,
    now: datetime,
    ladder: LadderRow | None = None,
) -> TrainingSessionRow:
    """Open a session. A replay finds the same one.

    Args:
        db: one transaction.
        athlete: who trains.
        session_id: the device's own, or the planned day's.
        name: what the session is called.
        moment: when and where it began.
        now: by our clock.
        ladder: the one it is of, if of one alone.

    Raises:
        ConflictError: if the id names a session of someone else; or if it is about to begin and
            pain stopped the movement, or something closes it.
    """
    kept = db.get(TrainingSessionRow, session_id)
    if kept is not None:
        if kept.athlete_id == athlete.id:
            return kept
        raise ConflictError("session id", "it is in use.", "Make a new id for each session.")
    if ladder is not None and now - moment.at < ABOUT_TO_BEGIN:
        _may_begin(db, ladder, moment)
    session = TrainingSessionRow(
        id=session_id, athlete_id=athlete.id, name=name.strip() or "Session", **dated(moment)
    )
    db.add(session)
    db.flush()
    return session


def _may_begin(db: Session, ladder: LadderRow, moment: Moment) -> None:
    if ladder.stopped:
        raise ConflictError(
            "ladder",
            f"it is stopped: {ladder.stopped}",
            "Take it up again on the Ladder sheet once a clinician agrees.",
        )
    assert ladder.current_rung_id is not None  # noqa: S101  (a ladder is entered when it is made)
    rung = ladders.rung_on(db, ladder.id, ladder.current_rung_id)
    movement = catalogue().find_movement(rung.movement)
    guard.allow(db, ladder.athlete_id, [movement.id], moment.local_date)


def log(db: Session, session: TrainingSessionRow, entry: SetEntry, now: datetime) -> LoggedSetRow:
    """Log one set, for good. A replay of the same set changes nothing; a set that comes after its
    session was closed is taken in, and the session judged anew.

    Raises:
        InputError: for an amount, effort or pain out of range, or reps of a hold.
        ConflictError: if the id names a set with other figures, or if the set to correct is not in
            this session.
        MissingError: if the rung is on no ladder of the athlete's.
    """
    fresh = _row(db, session, entry, now)
    kept = db.get(LoggedSetRow, entry.id)
    if kept is not None:
        if _same(kept, fresh):
            return kept
        raise ConflictError(
            "set id", "it names a set with other figures.", "Send a correction with a new id."
        )
    if entry.corrects_set_id is not None:
        old = db.get(LoggedSetRow, entry.corrects_set_id)
        if old is None or old.session_id != session.id:
            raise ConflictError(
                "corrects_set_id", "that set is not in this session.", "Name a set of this session."
            )
        taken = select(LoggedSetRow.id).where(LoggedSetRow.corrects_set_id == old.id)
        if db.exec(taken).first() is not None:
            raise ConflictError(
                "corrects_set_id", "that set is corrected already.", "Correct the newest row of it."
            )
    db.add(fresh)
    db.flush()
    return fresh


def _row(db: Session, session: TrainingSessionRow, entry: SetEntry, now: datetime) -> LoggedSetRow:
    """The row of a set, checked."""
    rung = _rung_of(db, session.athlete_id, entry.rung_id) if entry.rung_id else None
    movement = _movement_of(entry, rung)
    if entry.modifiers is not None:
        modifiers = entry.modifiers
    else:
        modifiers = modifiers_of(rung) if rung else movement.own(Modifiers())
    name = rung.name if rung else movement.name
    if entry.told is not None:
        amount = entry.told.amount
    else:
        amount = amount_of(name, movement.unit, entry.reps, entry.seconds, entry.centimetres)
    about = entry.told.about if entry.told is not None else None
    SetRecord(
        str(entry.rung_id or ""),
        amount,
        entry.rpe,
        entry.form_ok,
        entry.pain,
        entry.pain_place,
        movement.unit,
        about=about,
        partial=entry.partial,
    )
    require_within("set number", entry.number, 1, 99, "")
    if len(entry.note) > LONGEST_NOTE:
        raise InputError("note", f"it is over {LONGEST_NOTE} letters.", "Say it in fewer.")
    least, most = about or (None, None)
    low, high = entry.asked or (None, None)
    return LoggedSetRow(
        id=entry.id,
        session_id=session.id,
        rung_id=entry.rung_id,
        **set_up_columns(movement.id, modifiers),
        item=entry.item or (str(rung.ladder_id) if rung else f"movement:{movement.id}"),
        kind=entry.kind,
        side=entry.side,
        number=entry.number,
        amount=amount,
        least=least,
        most=most,
        partial=entry.partial,
        prescribed_min=low,
        prescribed_max=high,
        rpe=entry.rpe,
        form_ok=entry.form_ok,
        faults=list(entry.faults),
        felt_in=list(entry.felt_in),
        pain=entry.pain,
        pain_place=entry.pain_place.strip(),
        note=entry.note.strip(),
        corrects_set_id=entry.corrects_set_id,
        server_at=now,
        skew_s=entry.skew,
        **dated(entry.moment),
    )


def _movement_of(entry: SetEntry, rung: RungRow | None) -> Movement:
    if rung is None:
        if entry.movement is None:
            remedy = "Name a rung or a movement."
            raise InputError("movement", "nothing says what was done.", remedy)
        return entry.movement
    movement = catalogue().find_movement(rung.movement)
    if entry.movement is not None and entry.movement.id != movement.id:
        raise InputError("movement", "the rung is of another.", "Leave it out.")
    return movement


def _rung_of(db: Session, athlete_id: UUID, rung_id: UUID) -> RungRow:
    statement = select(RungRow).join(LadderRow, col(LadderRow.id) == RungRow.ladder_id)
    found = db.exec(
        statement.where(RungRow.id == rung_id, LadderRow.athlete_id == athlete_id)
    ).first()
    if found is None:
        raise MissingError("rung")
    return found


TOLD = (
    *("session_id", "rung_id", "movement", "item", "kind", "side", "number", "amount"),
    *("least", "most", "partial", "rpe", "form_ok", "faults", "felt_in", "pain", "pain_place"),
    *("note", "corrects_set_id"),
)
"""What makes two rows of a set the same."""


def _same(kept: LoggedSetRow, fresh: LoggedSetRow) -> bool:
    return all(getattr(kept, name) == getattr(fresh, name) for name in TOLD)


def skip(
    db: Session,
    session: TrainingSessionRow,
    row_id: UUID,
    name: str,
    number: int,
    why: str,
    at: Moment,
) -> None:
    """Keep that a set was left out, and why. A replay changes nothing."""
    if db.get(SkipRow, row_id) is None:
        row = SkipRow(
            id=row_id, session_id=session.id, name=name, number=number, why=why, **dated(at)
        )
        db.add(row)
        db.flush()


def discard(db: Session, session: TrainingSessionRow) -> None:
    """Drop a session that was opened by mistake.

    Raises:
        ConflictError: if it is finished or has sets, which stay.
    """
    if session.finished_at is not None or logs.standing_sets(db, [session.id]):
        raise ConflictError("session", "it holds logged sets, which stay.", "Finish it instead.")
    db.delete(session)


def finish(
    db: Session, athlete: AthleteRow, session: TrainingSessionRow, rpe: float, moment: Moment
) -> list[ProposalRow]:
    """Close a session, place the athlete anew on each ladder it touched, and propose what comes
    next. Closing it again with the same effort changes nothing.

    Raises:
        ConflictError: if it was finished with another effort, or nothing was logged.
        InputError: for an effort out of range.
    """
    require_within("session effort", rpe, 1, 10, "")
    if session.finished_at is not None:
        if session.rpe == rpe:
            return propose.proposals_of(db, session)
        raise ConflictError(
            "session",
            f"it is finished already, at effort {session.rpe:g}.",
            "Its decisions are on the Review sheet.",
        )
    if not logs.standing_sets(db, [session.id]):
        raise ConflictError("session", "no set is logged in it.", "Log a set, or discard it.")
    session.finished_at = moment.at
    session.rpe = rpe
    db.add(session)
    sums.settle(db, session)
    propose.judge(db, athlete, session, moment)
    return propose.proposals_of(db, session)
