"""What a finished session's sets add up to, kept with it so that lists need not read the sets."""

from collections.abc import Sequence

from sqlmodel import Session

from invelo.db import logs
from invelo.db.tables.training import LoggedSetRow, TrainingSessionRow


def settle(
    db: Session, session: TrainingSessionRow, standing: Sequence[LoggedSetRow] | None = None
) -> None:
    """Work out a finished session's sums anew, after it was closed or a set came late.

    Args:
        db: the transaction.
        session: which.
        standing: its sets that stand, where they have been read already.
    """
    sets = logs.standing_sets(db, [session.id])[session.id] if standing is None else standing
    if session.finished_at is None or not sets:
        return
    session.mean_set_rpe = sum(logged.rpe for logged in sets) / len(sets)
    last = max(logged.at for logged in sets)
    session.duration_s = max(0.0, (last - session.at).total_seconds())
    db.add(session)
    db.flush()
