"""Long work by name, put into the queue within the transaction that asks for it.

A job is seen by a worker once that transaction is kept, and never if it is not.
"""

import json
from typing import Any

from sqlalchemy import text
from sqlalchemy.exc import IntegrityError
from sqlmodel import Session

DEFAULT = "default"

_ENQUEUE = text(
    "SELECT procrastinate_defer_jobs_v1(ARRAY[ROW(:queue, :task, 0, :lock, :once,"
    " CAST(:args AS jsonb), NULL)::procrastinate_job_to_defer_v1])"
)
_NOTIFY = text("SELECT pg_notify(:channel, :payload)")


def is_ours(name: str | None, kind: str, _: Any = None) -> bool:
    """Whether a table is one of ours, and none of the queue's own (for Alembic's comparison)."""
    return kind != "table" or not (name or "").startswith("procrastinate_")


def enqueue(db: Session, task: str, args: dict[str, Any], once: str = "", lock: str = "") -> bool:
    """Put a job into the queue.

    Args:
        db: the transaction.
        task: its name, as `invelo.jobs` knows it.
        args: JSON values.
        once: a name under which one job waits at a time; '' for as many as come.
        lock: a name under which one job runs at a time.

    Returns:
        False where one waits already.
    """
    values = {
        "queue": DEFAULT,
        "task": task,
        "args": json.dumps(args),
        "once": once or None,
        "lock": lock or None,
    }
    try:
        with db.begin_nested():
            db.execute(_ENQUEUE, values)
    except IntegrityError:
        return False
    return True


def notify(db: Session, channel: str, payload: str) -> None:
    """Tell whoever listens on a channel, once this transaction is kept."""
    db.execute(_NOTIFY, {"channel": channel, "payload": payload})
