"""The floor: a session is opened, sets are logged, it is closed, and decisions are proposed.

What is done already is always taken in, in whatever order it comes: a device may have been away,
and two may have run one session. Only what is about to begin can be refused.
"""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from datetime import datetime, timedelta
from uuid import UUID, uuid5

from sqlmodel import Session

from invelo.db import logs
from invelo.db.codec import modifiers_of, rung_of, set_up_columns
from invelo.db.columns import dated
from invelo.db.errors import ConflictError, MissingError
from invelo.db.moment import Moment
from invelo.db.queries import training_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow, PrescriptionRow, RungRow
from invelo.db.tables.review import ProposalRow
from invelo.db.tables.training import LoggedSetRow, SkipRow, TrainingSessionRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError, require_within
from invelo.domain.training.in_turn import apart
from invelo.domain.training.log import SetRecord
from invelo.domain.training.set_draft import SetDraft
from invelo.services.athlete import guard, spared
from invelo.services.equipment import bands
from invelo.services.ladder import ladder as ladders
from invelo.services.ladder import prescribed
from invelo.services.review import propose
from invelo.services.training import sums

ABOUT_TO_BEGIN = timedelta(minutes=15)
"""A session whose start is no older than this is about to begin, and can be refused (ours)."""


@dataclass(frozen=True)
class SetEntry:
    """A set to be logged.

    Attributes:
        id: made by the device.
        draft: what was done.
        moment: when it was done.
        skew: seconds by which the device's clock stood behind ours, where it could not be believed.
        author_id: the coach's account who entered it; None by the athlete's own device.
    """

    id: UUID
    draft: SetDraft
    moment: Moment
    skew: float | None = None
    author_id: UUID | None = None


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
    asked = rung_of(rung)
    guard.allow(db, ladder.athlete_id, [(asked.movement, asked.modifiers)], moment.local_date)


def _each(entry: SetEntry) -> tuple[SetEntry, ...]:
    """A set as it is kept: itself, or one of each of two movements in turn."""
    first, *others = apart(entry.draft)
    rest = (
        replace(entry, id=uuid5(entry.id, other.movement or ""), draft=other) for other in others
    )
    return replace(entry, draft=first), *rest


def log(db: Session, session: TrainingSessionRow, entry: SetEntry, now: datetime) -> LoggedSetRow:
    """Log one set, for good. A replay of the same set changes nothing; a set that comes after its
    session was closed is taken in, and the session judged anew.

    Raises:
        InputError: for an amount, effort or pain out of range, or reps of a hold.
        ConflictError: if the id names a set with other figures, or if the set to correct is not in
            this session.
        MissingError: if the rung is on no ladder of the athlete's.
    """
    rows = []
    for draft in _each(entry):
        row = _keep(db, session, _row(db, session, draft, now), db.get(LoggedSetRow, draft.id))
        db.flush()
        spared.tell(db, session.athlete_id, row.pain_place, row.pain, draft.moment, now)
        rows.append(row)
    return rows[0]


def log_all(
    db: Session, session: TrainingSessionRow, entries: Sequence[SetEntry], now: datetime
) -> int:
    """Log many sets of a session; how many of them are new.

    Raises:
        InputError, ConflictError, MissingError: as `log`.
    """
    numbered = [
        (number, draft) for number, entry in enumerate(entries, start=1) for draft in _each(entry)
    ]
    there = training_rows.sets_by_id(db, [entry.id for _, entry in numbered])
    new = len({entry.id for _, entry in numbered} - there.keys())
    for number, entry in numbered:
        try:
            fresh = _row(db, session, entry, now)
        except InputError as error:
            raise InputError(f"row {number}, {error.field}", error.problem, error.remedy) from error
        there[entry.id] = _keep(db, session, fresh, there.get(entry.id))
        spared.tell(db, session.athlete_id, fresh.pain_place, fresh.pain, entry.moment, now)
    db.flush()
    return new


def _keep(
    db: Session,
    session: TrainingSessionRow,
    fresh: LoggedSetRow,
    kept: LoggedSetRow | None,
) -> LoggedSetRow:
    if kept is not None:
        if _same(kept, fresh):
            return kept
        raise ConflictError(
            "set id", "it names a set with other figures.", "Send a correction with a new id."
        )
    if fresh.corrects_set_id is not None:
        db.flush()  # what it corrects may have come with it
        old = db.get(LoggedSetRow, fresh.corrects_set_id)
        if old is None or old.session_id != session.id:
            raise ConflictError(
                "corrects_set_id", "that set is not in this session.", "Name a set of this session."
            )
        if training_rows.is_corrected(db, old.id):
            raise ConflictError(
                "corrects_set_id", "that set is corrected already.", "Correct the newest row of it."
            )
    db.add(fresh)
    return fresh


def correct(
    db: Session, session: TrainingSessionRow, old: LoggedSetRow, entry: SetEntry, now: datetime
) -> LoggedSetRow:
    """Log what puts a set right: the draft is the old one with what was changed; a count that was
    left alone stays as it was told, from memory or exact.

    Raises:
        InputError, ConflictError, MissingError: as `log`.
    """
    fresh = _row(db, session, entry, now)
    if entry.draft.amount_text == _remembered(old):
        fresh.amount, fresh.least, fresh.most = old.amount, old.least, old.most
    row = _keep(db, session, fresh, db.get(LoggedSetRow, entry.id))
    db.flush()
    return row


def draft_of(row: LoggedSetRow) -> SetDraft:
    """A logged set as it would be told."""
    kept = {name: getattr(row, name) for name in KEPT_AS_GIVEN - {"amount"}}
    words = _remembered(row)
    return SetDraft(
        **kept,
        amount=row.amount if words is None else None,
        amount_text=words,
        movement=row.movement,
        changes=modifiers_of(row),
        prescribed_min=row.prescribed_min,
        prescribed_max=row.prescribed_max,
        prescribed_rpe=row.prescribed_rpe,
        corrects_set_id=row.id,
    )


def _remembered(row: LoggedSetRow) -> str | None:
    """A count from memory in words; None for one that was counted."""
    if row.least is None or row.most is None:
        return None
    return f"{row.least:g} to {row.most:g}"


def _row(db: Session, session: TrainingSessionRow, entry: SetEntry, now: datetime) -> LoggedSetRow:
    """The row of a set, checked."""
    draft = entry.draft
    rung = _rung_of(db, session.athlete_id, draft.rung_id) if draft.rung_id else None
    movement = _movement_of(draft, rung)
    given = _prescription_for(db, rung, entry.moment)
    if draft.changes is not None:
        modifiers = draft.changes if rung else movement.own(draft.changes)
    elif given is not None:
        modifiers = modifiers_of(given)
    else:
        modifiers = modifiers_of(rung) if rung else movement.own(Modifiers())
    known = bands.of_athlete(db, session.athlete_id) if draft.band else ()
    modifiers = draft.set_up(movement, modifiers, known)
    count = draft.count(movement, rung.name if rung else movement.name)
    SetRecord(
        str(draft.rung_id or ""),
        count.amount,
        draft.rpe,
        draft.form_ok,
        draft.pain,
        draft.pain_place,
        movement.unit,
        about=count.about,
        partial=draft.partial,
    )
    require_within("set number", draft.number, 1, 99, "")
    least, most = count.about or (None, None)
    low, high = draft.prescribed
    asked_rpe = given.rpe if given else None
    if low is None and given is not None and draft.kind == "work":
        low, high = given.low, given.high
    return LoggedSetRow(
        id=entry.id,
        session_id=session.id,
        **draft.model_dump(include=set(KEPT_AS_GIVEN) - {"item", "amount", "pain_place", "note"}),
        **set_up_columns(movement.id, modifiers),
        item=draft.item or (str(rung.ladder_id) if rung else f"movement:{movement.id}"),
        amount=count.amount,
        least=least,
        most=most,
        prescribed_min=low,
        prescribed_max=high,
        prescribed_rpe=None if low is None else draft.prescribed_rpe or asked_rpe,
        pain_place=draft.pain_place.strip(),
        note=draft.note.strip(),
        corrects_set_id=draft.corrects_set_id,
        server_at=now,
        skew_s=entry.skew,
        author_id=entry.author_id,
        **dated(entry.moment),
    )


def _prescription_for(db: Session, rung: RungRow | None, moment: Moment) -> PrescriptionRow | None:
    """What was asked of a rung on a day; None where another was asked, or nothing yet."""
    given = prescribed.standing(db, rung.ladder_id) if rung else None
    if rung is None or given is None or given.rung_id != rung.id:
        return None
    return given if given.begun <= moment.local_date else None


def _movement_of(draft: SetDraft, rung: RungRow | None) -> Movement:
    entry = catalogue().find_movement(draft.movement) if draft.movement else None
    if rung is None:
        if entry is None:
            remedy = "Name a rung or a movement."
            raise InputError("movement", "nothing says what was done.", remedy)
        return entry
    movement = catalogue().find_movement(rung.movement)
    if entry is not None and entry.id != movement.id:
        raise InputError("movement", "the rung is of another.", "Leave it out.")
    return movement


def _rung_of(db: Session, athlete_id: UUID, rung_id: UUID) -> RungRow:
    rung = db.get(RungRow, rung_id)
    ladder = db.get(LadderRow, rung.ladder_id) if rung else None
    if rung is None or ladder is None or ladder.athlete_id != athlete_id:
        raise MissingError("rung")
    return rung


KEPT_AS_GIVEN = frozenset(
    {
        *("number", "rung_id", "item", "kind", "side", "amount", "partial", "rpe", "form_ok"),
        *("faults", "felt_in", "pain", "pain_place", "note", "prescribed_open"),
    }
)
"""Fields of a draft that are columns of the same name."""

OF_THE_SAME = (
    *(KEPT_AS_GIVEN - {"prescribed_open"}),
    *("session_id", "movement", "least", "most", "corrects_set_id"),
)
"""What makes two rows of a set the same."""


def _same(kept: LoggedSetRow, fresh: LoggedSetRow) -> bool:
    return all(getattr(kept, name) == getattr(fresh, name) for name in OF_THE_SAME)


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
