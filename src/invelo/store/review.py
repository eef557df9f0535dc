"""The review: what was proposed, and what the coach says to it."""

from typing import Literal
from uuid import UUID

from sqlmodel import Session, col, select

from invelo.core.errors import InputError
from invelo.store import guard
from invelo.store import ladder as ladders
from invelo.store.errors import ConflictError
from invelo.store.moment import Moment
from invelo.store.tables import Account, Decision, Ladder

Answer = Literal["take", "edit", "decline"]

NEWEST = 20


def decisions(db: Session, ladder_id: UUID, most: int = NEWEST) -> list[Decision]:
    """The newest decisions of a ladder, newest first."""
    statement = (
        select(Decision)
        .where(Decision.ladder_id == ladder_id)
        .order_by(col(Decision.at).desc(), col(Decision.id))
        .limit(most)
    )
    return list(db.exec(statement))


def answer(
    db: Session,
    row: Ladder,
    decision: Decision,
    coach: Account,
    said: Answer,
    rung_id: UUID | None,
    word: str,
    moment: Moment,
) -> Decision:
    """Take a proposal, take another rung instead, or decline it; a replay changes nothing.

    Raises:
        ConflictError: if it is answered otherwise already, or something closes the rung.
        InputError: if an edit names no rung, or an edit or a decline gives no word why.
        MissingError: if the rung is not on this ladder.
    """
    final = {"take": decision.to_rung_id, "edit": rung_id, "decline": decision.from_rung_id}[said]
    if decision.answer is not None:
        if (decision.answer, decision.final_rung_id) == (said, final):
            return decision
        raise ConflictError(
            "decision",
            f"it is answered already ({decision.answer}).",
            "Move the athlete on the Ladder sheet instead.",
        )
    if final is None:
        raise InputError("rung", "an edit needs the rung to stand on.", "Choose one.")
    if said != "take" and not word.strip():
        raise InputError("word", "it is empty.", "Say in a word why.")
    rung = ladders.rung_on(db, row.id, final)
    if said != "decline" and decision.outcome != "stop":
        guard.allow(db, row.athlete_id, [rung.movement], moment.local_date)
    decision.answer = said
    decision.answered_at = moment.at
    decision.answered_by = coach.id
    decision.word = word.strip()
    decision.final_rung_id = final
    if said == "take" and decision.outcome == "stop":
        row.stopped = decision.reason
    if said != "decline":
        row.standing_id = final
    db.add_all([decision, row])
    db.flush()
    return decision
