"""Long work beside the requests: asked for in one, done by a worker, looked at until it has ended.

A worker may die and another do the same again; so whatever writes does so in the transaction that
ends the task.
"""

from datetime import datetime, timedelta
from typing import Any, Literal
from uuid import UUID

from sqlmodel import Session

from invelo.db.errors import ConflictError, MissingError
from invelo.db.queries import background_rows
from invelo.db.queue import enqueue
from invelo.db.tables.background import UNDER_WAY, BackgroundTaskRow
from invelo.db.tables.plan import WeekPlanningRow
from invelo.domain.errors import InputError

TASK = "background_task"

Kind = Literal["log_file", "comparison"]

_OWNER = {"log_file": "athlete_id", "comparison": "account_id"}

KEPT_FOR = timedelta(days=1)
"""How long a task that has ended is kept."""

FORGOTTEN = timedelta(seconds=60)
"""How long nobody has touched a task whose job may be lost."""

WAITS_LONG = timedelta(seconds=15)
"""After which someone who waits is told that nobody has taken it up."""

NO_WORKER = (
    "Nothing has taken it up yet: the worker that does long work may be away. It goes on by itself "
    "once the worker is back; `./invelo worker` starts one."
)


def ask(
    db: Session,
    kind: Kind,
    owner_id: UUID,
    question: dict[str, Any],
    now: datetime,
    content: bytes | None = None,
) -> BackgroundTaskRow:
    """Ask for a task.

    Args:
        db: the transaction.
        kind: what it is.
        owner_id: the athlete's whose file it is; the account's that compares.
        question: what is to be done, as its kind reads it.
        now: the moment.
        content: of a file.

    Raises:
        ConflictError: while another of the kind is under way for its owner.
    """
    if background_rows.under_way(db, kind, owner_id) is not None:
        raise ConflictError(
            "task", "the one before is still being done.", "Wait for it, or stop it first."
        )
    background_rows.forget_before(db, now - KEPT_FOR)
    row = BackgroundTaskRow(
        kind=kind,
        question=question,
        content=content,
        asked_at=now,
        changed_at=now,
    )
    setattr(row, _OWNER[kind], owner_id)
    db.add(row)
    db.flush()
    _queue(db, row)
    return row


def of_owner(db: Session, kind: Kind, owner_id: UUID, task_id: UUID) -> BackgroundTaskRow:
    """A task that was asked for.

    Raises:
        MissingError: if there is none.
    """
    row = db.get(BackgroundTaskRow, task_id)
    if row is None or row.kind != kind or getattr(row, _OWNER[kind]) != owner_id:
        raise MissingError("task")
    return row


def stop(db: Session, task_id: UUID, now: datetime) -> BackgroundTaskRow:
    """Stop a task. One that has ended stays so."""
    row = background_rows.locked(db, task_id)
    if row is None:
        raise MissingError("task")
    if row.state in UNDER_WAY:
        _end(db, row, "stopped", now)
    return row


def waiting_note(row: BackgroundTaskRow | WeekPlanningRow, now: datetime) -> str:
    """What there is to say to someone who waits; '' for nothing."""
    return NO_WORKER if row.state == "queued" and now - row.changed_at > WAITS_LONG else ""


def take_up(db: Session, task_id: UUID, now: datetime) -> tuple[Kind, dict[str, Any]] | None:
    """What there is to do; None where it has ended."""
    row = background_rows.locked(db, task_id)
    if row is None or row.state not in UNDER_WAY:
        return None
    row.state = "working"
    row.changed_at = now
    db.add(row)
    return row.kind, row.question  # type: ignore[return-value]


def note_progress(db: Session, task_id: UUID, progress: int, now: datetime) -> bool:
    """Tell how far it is; False where nobody waits for it any more."""
    row = background_rows.locked(db, task_id)
    if row is None or row.state not in UNDER_WAY:
        return False
    row.progress, row.changed_at = progress, now
    db.add(row)
    return True


def to_finish(db: Session, task_id: UUID) -> BackgroundTaskRow | None:
    """A task to be ended within this transaction, locked; None where it has ended."""
    row = background_rows.locked(db, task_id)
    return row if row is not None and row.state in UNDER_WAY else None


def finish(db: Session, row: BackgroundTaskRow, result: dict[str, Any], now: datetime) -> None:
    """Write what a task ends with."""
    row.result = result
    _end(db, row, "done", now)


def finish_by_id(db: Session, task_id: UUID, result: dict[str, Any], now: datetime) -> None:
    """Write what a task ends with, if anybody still waits for it."""
    row = to_finish(db, task_id)
    if row is not None:
        finish(db, row, result, now)


def refuse(db: Session, task_id: UUID, error: InputError, now: datetime) -> None:
    """Write why it was not done."""
    row = to_finish(db, task_id)
    if row is not None:
        row.refusal = {"field": error.field, "problem": error.problem, "remedy": error.remedy}
        _end(db, row, "refused", now)


def put_back(db: Session, task_id: UUID, now: datetime) -> None:
    """Leave a task to another worker."""
    row = to_finish(db, task_id)
    if row is not None:
        row.state, row.changed_at = "queued", now
        db.add(row)
        _queue(db, row)


def put_back_forgotten(db: Session, now: datetime) -> None:
    """See to it that whatever is under way has a job, should its own have been lost."""
    for row in background_rows.untouched_since(db, now - FORGOTTEN):
        _queue(db, row)


def _queue(db: Session, row: BackgroundTaskRow) -> None:
    key = str(row.id)
    enqueue(db, TASK, {"task_id": key}, once=key, lock=key)


def _end(db: Session, row: BackgroundTaskRow, state: str, now: datetime) -> None:
    row.state, row.changed_at, row.content = state, now, None
    db.add(row)
    db.flush()
