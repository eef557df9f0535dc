"""What the database says of itself: work that waits, copies of it, statements that take long."""

import time
from dataclasses import dataclass
from typing import Any

import structlog
from sqlalchemy import Connection, Engine, event, text

LONGEST = 400
"""Letters of a statement that are logged; what it was asked with never is."""


@dataclass(frozen=True)
class QueueState:
    """Work for the workers.

    Attributes:
        waiting, doing, failed: jobs.
        oldest_s: how long the oldest has waited, s; 0 where none does.
    """

    waiting: int
    doing: int
    failed: int
    oldest_s: float


def queue_state(db: Connection) -> QueueState:
    """How much work waits, and for how long the oldest of it has."""
    by_status = text("SELECT status::text, count(*) FROM procrastinate_jobs GROUP BY status")
    counts = {str(row[0]): int(row[1]) for row in db.execute(by_status)}
    oldest = db.execute(
        text(
            "SELECT extract(epoch FROM now() - min(e.at)) FROM procrastinate_jobs j "
            "JOIN procrastinate_events e ON e.job_id = j.id AND e.type = 'deferred' "
            "WHERE j.status = 'todo' AND (j.scheduled_at IS NULL OR j.scheduled_at <= now())"
        )
    ).scalar()
    return QueueState(
        counts.get("todo", 0), counts.get("doing", 0), counts.get("failed", 0), float(oldest or 0.0)
    )


@dataclass(frozen=True)
class ReplicaState:
    """Copies of the database.

    Attributes:
        is_standby: whether this one follows another.
        replicas: that follow this one.
        behind_bytes: how far the last of them is behind; 0 where none is or follows.
    """

    is_standby: bool
    replicas: int
    behind_bytes: float


def replica_state(db: Connection) -> ReplicaState:
    """Whether copies follow, and how closely."""
    if db.execute(text("SELECT pg_is_in_recovery()")).scalar():
        return ReplicaState(True, 0, 0.0)
    count, behind = db.execute(
        text(
            "SELECT count(*), max(pg_wal_lsn_diff(pg_current_wal_lsn(), replay_lsn)) "
            "FROM pg_stat_replication"
        )
    ).one()
    return ReplicaState(False, count, float(behind or 0.0))


def log_slow(engine: Engine, least_ms: float) -> None:
    """Log statements that take so long or longer, without what they were asked with."""
    log = structlog.get_logger()

    def before(db: Connection, *_: Any) -> None:
        db.info["began"] = time.perf_counter()

    def after(db: Connection, _cursor: Any, statement: str, *_: Any) -> None:
        took = 1000.0 * (time.perf_counter() - db.info.get("began", time.perf_counter()))
        if took >= least_ms:
            words = " ".join(statement.split())[:LONGEST]
            log.warning("slow statement", took_ms=round(took, 1), statement=words)

    event.listen(engine, "before_cursor_execute", before)
    event.listen(engine, "after_cursor_execute", after)
