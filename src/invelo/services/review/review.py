"""The review: what was proposed, and what the coach says to it."""

from collections.abc import Callable, Iterable
from dataclasses import dataclass
from datetime import date
from typing import Literal
from uuid import UUID

from sqlmodel import Session

from invelo.db import access
from invelo.db.errors import ConflictError
from invelo.db.moment import Moment
from invelo.db.queries import review_rows
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow
from invelo.db.tables.review import ProposalRow
from invelo.domain.errors import InputError
from invelo.services.athlete import guard
from invelo.services.ladder import ladder
from invelo.services.plan import planning
from invelo.services.review import apply

Answer = Literal["accept", "edit", "decline"]
MomentOf = Callable[[AthleteRow], Moment]

NEWEST = 20


def proposals(db: Session, ladder_id: UUID, most: int = NEWEST) -> list[ProposalRow]:
    """The newest decisions of a ladder, newest first."""
    return review_rows.of_ladder(db, ladder_id, most)


def answer(
    db: Session,
    row: LadderRow,
    proposal: ProposalRow,
    coach: AccountRow,
    said: Answer,
    rung_id: UUID | None,
    note: str,
    moment: Moment,
) -> ProposalRow:
    """Take a proposal, take another rung instead, or decline it; a replay changes nothing. What is
    accepted or edited is done, and written to the athlete as a message.

    Raises:
        ConflictError: if it is answered otherwise already, or something closes the rung.
        InputError: if an edit names no rung, or an edit or a decline gives no word why.
        MissingError: if the rung is not on this ladder.
    """
    final = {"accept": proposal.to_rung_id, "edit": rung_id, "decline": proposal.from_rung_id}[said]
    if proposal.answer is not None:
        made = said == "accept" and proposal.made is not None
        if proposal.answer == said and (made or proposal.final_rung_id == final):
            return proposal
        raise ConflictError(
            "proposal",
            f"it is answered already ({proposal.answer}).",
            "Move the athlete on the Ladder sheet instead.",
        )
    if final is None:
        raise InputError("rung", "an edit needs the rung to stand on.", "Choose one.")
    if said != "accept" and not note.strip():
        raise InputError("note", "it is empty.", "Say in short why.")
    rung = ladder.rung_on(db, row.id, final)
    if said != "decline" and proposal.outcome != "stop":
        guard.allow(db, row.athlete_id, [rung.movement], moment.local_date)
    athlete = db.get_one(AthleteRow, row.athlete_id)
    if said != "decline":
        row.current_rung_id = final
    if said == "accept":
        apply.apply_proposal(db, row, athlete, proposal, moment)
    proposal.answer = said
    proposal.answered_at = moment.at
    proposal.answered_by = coach.id
    proposal.note = note.strip()
    proposal.final_rung_id = row.current_rung_id if said != "decline" else final
    db.add_all([proposal, row])
    db.flush()
    if said != "decline":
        apply.tell(db, row, athlete, proposal, coach, moment)
    return proposal


@dataclass(frozen=True)
class Accepted:
    """What came of taking several at once.

    Attributes:
        proposals: as they are answered now.
        weeks: first days of those that are being planned anew, by athlete.
    """

    proposals: tuple[ProposalRow, ...]
    weeks: dict[UUID, date]


def accept_all(
    db: Session, coach: AccountRow, ids: Iterable[UUID], moment_of: MomentOf
) -> Accepted:
    """Take several proposals in one go: all of them, or none.

    Raises:
        MissingError: if one is not the coach's to answer.
        ConflictError: if one is answered otherwise, not plain, or something closes its rung.
    """
    proposals = []
    changed: dict[UUID, tuple[AthleteRow, Moment]] = {}
    asked = list(dict.fromkeys(ids))
    access.lock_athletes_of(db, coach.id, asked)
    for proposal_id in asked:
        proposal = access.proposal(db, coach.id, proposal_id, roles=access.WRITE)
        row = access.ladder(db, coach.id, proposal.ladder_id, roles=access.WRITE)
        db.refresh(proposal)
        if not proposal.inputs.get("plain"):
            raise ConflictError(
                "proposal",
                f"“{proposal.outcome.replace('_', ' ')}” is not plain enough to accept unread.",
                "Open it, and answer it by itself.",
            )
        athlete = db.get_one(AthleteRow, row.athlete_id)
        moment = moment_of(athlete)
        proposals.append(answer(db, row, proposal, coach, "accept", None, "", moment))
        changed[athlete.id] = (athlete, moment)
    weeks = {}
    for athlete, moment in changed.values():
        again = planning.ask_again(db, athlete, moment, "after the review")
        if again is not None:
            weeks[athlete.id] = again.week_start
    return Accepted(tuple(proposals), weeks)
