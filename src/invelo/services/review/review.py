"""The review: what was proposed, and what the coach says to it."""

from collections.abc import Callable, Iterable, Mapping
from dataclasses import dataclass
from datetime import date
from typing import Literal
from uuid import UUID

from sqlmodel import Session

from invelo.db import access, logs
from invelo.db.codec import rung_of
from invelo.db.errors import ConflictError
from invelo.db.ladder_graph import rung_from
from invelo.db.moment import Moment
from invelo.db.queries import review_rows
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow, RungRow
from invelo.db.tables.review import ProposalRow
from invelo.domain.errors import InputError
from invelo.domain.review.message import MessageTopic, message
from invelo.domain.review.proposals.situation import prescription_words
from invelo.services.athlete import guard
from invelo.services.ladder import ladder, prescribed
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
        asked = rung_of(rung)
        guard.allow(db, row.athlete_id, [(asked.movement, asked.modifiers)], moment.local_date)
    athlete = db.get_one(AthleteRow, row.athlete_id)
    proposal.answer = said
    proposal.answered_at = moment.at
    proposal.answered_by = coach.id
    proposal.note = note.strip()
    if said == "accept":
        apply.apply_proposal(db, row, athlete, proposal, moment)
    elif said == "edit":
        _edited(db, row, athlete, final, proposal, moment)
    elif proposal.outcome == "stop":
        ladder.go_on_in_spite(db, row, coach, note, moment)
    proposal.final_rung_id = row.current_rung_id if said != "decline" else final
    db.add_all([proposal, row])
    db.flush()
    if said != "decline":
        apply.tell(db, row, athlete, proposal, coach, moment)
    return proposal


def _edited(
    db: Session,
    row: LadderRow,
    athlete: AthleteRow,
    rung_id: UUID,
    proposal: ProposalRow,
    moment: Moment,
) -> None:
    """The coach's own rung in place of the proposed one."""
    seen = ladder.view(db, row, athlete, moment.local_date)
    at = next(i for i, rung in enumerate(seen.rungs) if rung.id == rung_id)
    prescribed.prescribe(
        db,
        row,
        rung_id,
        seen.fitted(seen.measured.rungs[at]),
        moment,
        set_by=proposal.answered_by,
        proposal_id=proposal.id,
        climbed=rung_id != proposal.from_rung_id,
    )


def preview(
    row: LadderRow, proposal: ProposalRow, rungs: Mapping[UUID, RungRow], coach: str
) -> str:
    """What the athlete would read if a proposal were accepted; '' where it is answered."""
    if proposal.answer is not None:
        return ""
    then = rung_from(proposal.prescription) if proposal.prescription else None
    topic = MessageTopic(
        proposal.outcome,  # type: ignore[arg-type]
        then.name if then else rungs[proposal.to_rung_id].name,
        rungs[proposal.from_rung_id].name,
        row.goal,
        coach,
        proposal.amount,
        prescription_words(then.prescription) if then else "",
    )
    return message(topic).body


def undoable(db: Session, row: LadderRow) -> UUID | None:
    """The proposal of a ladder whose change can be taken back: until a session was done under
    it."""
    given = prescribed.standing(db, row.id)
    if given is None or given.proposal_id is None:
        return None
    newest = logs.finished(db, row.id, 1)
    done = newest and newest[-1].row.local_date >= given.begun
    return None if done else given.proposal_id


def undo(db: Session, row: LadderRow, proposal: ProposalRow, moment: Moment) -> ProposalRow:
    """Take back what an answer, or a routine, has changed of the prescription: until the next
    session asks for it. A replay changes nothing.

    Raises:
        ConflictError: if there is nothing to take back, or a session was done under it.
    """
    if proposal.answer == "undone":
        return proposal
    if proposal.answer not in ("accept", "edit", "routine"):
        raise ConflictError("proposal", "nothing of it was done.", "Answer it instead.")
    if undoable(db, row) != proposal.id:
        raise ConflictError(
            "proposal",
            "a session was done under it, or something newer is asked.",
            "Move the athlete on the Ladder sheet instead.",
        )
    prescribed.undo(db, row, (proposal.id,), moment)
    proposal.answer, proposal.answered_at = "undone", moment.at
    proposal.final_rung_id = row.current_rung_id
    db.add(proposal)
    review_rows.forget_message(db, proposal.id)
    db.flush()
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
