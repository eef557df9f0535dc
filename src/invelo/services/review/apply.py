"""What a decision changes once the coach has said yes: the ladder, the prescription, the weeks."""

from datetime import date
from uuid import UUID, uuid4

from sqlmodel import Session

from invelo.db import logs
from invelo.db.codec import rung_of
from invelo.db.columns import dated
from invelo.db.ladder_graph import rung_from, rungs_of
from invelo.db.moment import Moment
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRow, RungRow
from invelo.db.tables.review import MessageRow, ProposalRow
from invelo.domain.ladder.rung import Rung as CoreRung
from invelo.domain.ladder.workshop import LadderGraph, Node
from invelo.domain.plan.week.availability import StandingAvailability, next_week_start
from invelo.domain.review.message import MessageTopic, message
from invelo.domain.review.proposals.situation import Outcome, prescription_words
from invelo.services.ladder import prescribed, workshop
from invelo.services.plan import week

TO_WEEK: frozenset[Outcome] = frozenset(("ease_off", "reduce_days", "add_day"))
"""Outcomes that change what is asked of the weeks."""


def apply_proposal(
    db: Session, row: LadderRow, athlete: AthleteRow, proposal: ProposalRow, moment: Moment
) -> None:
    """Do what a taken decision says.

    Raises:
        InputError: if a rung that is to be put on does not fit this body.
        ConflictError: if something closes it.
    """
    outcome = proposal.outcome
    if outcome == "stop":
        row.stopped = proposal.reason
    elif proposal.made is not None:
        rung_id = _put_on(db, row, athlete, rung_from(proposal.made), moment)
        _prescribe(db, row, rung_id, proposal, moment)
    elif proposal.prescription is not None:
        _prescribe(db, row, proposal.to_rung_id, proposal, moment)
    elif outcome in TO_WEEK:
        _ask_of_weeks(db, athlete, proposal, moment)
    db.add(row)
    db.flush()


def do_routine(db: Session, row: LadderRow, proposal: ProposalRow, moment: Moment) -> None:
    """Do a small change inside a rung by itself; it can be undone."""
    proposal.answer, proposal.answered_at = "routine", moment.at
    proposal.final_rung_id = proposal.to_rung_id
    db.add(proposal)
    if proposal.prescription is not None:
        _prescribe(db, row, proposal.to_rung_id, proposal, moment)
    db.flush()


CLIMBED: frozenset[Outcome] = frozenset(("step_up", "bridge"))
"""Outcomes after which a rung is new, and its first days ask less."""


def _prescribe(
    db: Session, row: LadderRow, rung_id: UUID, proposal: ProposalRow, moment: Moment
) -> None:
    columns = proposal.prescription or proposal.made
    assert columns is not None  # noqa: S101  (who asks has looked)
    prescribed.prescribe(
        db,
        row,
        rung_id,
        rung_from(columns),
        moment,
        rule=proposal.rules[0] if proposal.rules else "",
        set_by=proposal.answered_by,
        proposal_id=proposal.id,
        climbed=proposal.outcome in CLIMBED,
        from_tomorrow=_trained_today(db, row, moment),
    )


def _trained_today(db: Session, row: LadderRow, moment: Moment) -> bool:
    newest = logs.finished(db, row.id, 1)
    return bool(newest) and newest[-1].row.local_date >= moment.local_date


def _put_on(
    db: Session, row: LadderRow, athlete: AthleteRow, rung: CoreRung, moment: Moment
) -> UUID:
    """A rung right above the one they train; the one that is there, if it was put on before."""
    here = row.current_rung_id
    assert here is not None  # noqa: S101  (a ladder that is decided on is trained)
    there = next(
        (rung_row for rung_row in rungs_of(db, row.id) if rung_row.name == rung.name), None
    )
    if there is not None:
        return there.id  # it was put on before
    new = Node(uuid4(), rung, "a bridge, proposed in the review")

    def how(drawing: LadderGraph) -> LadderGraph:
        return drawing.add(new, (here,), drawing.above(here))

    workshop.edit(db, row, athlete, how, f"put on “{rung.name}”", moment)
    return new.id


def _ask_of_weeks(db: Session, athlete: AthleteRow, proposal: ProposalRow, moment: Moment) -> None:
    availability = week.standing_availability(db, athlete, moment.local_date)
    week.keep_availability(
        db, athlete, _asked(availability, proposal, moment.local_date), moment.at
    )


def _asked(
    availability: StandingAvailability, proposal: ProposalRow, today: date
) -> StandingAvailability:
    """What is asked of the weeks from the one a decision is about."""
    week_start = proposal.week_start or next_week_start(today)
    if proposal.outcome in ("reduce_days", "add_day"):
        return availability.keeping_to(str(proposal.ladder_id), max(1, round(proposal.amount or 1)))
    return availability.easing(week_start)


def tell(
    db: Session,
    row: LadderRow,
    athlete: AthleteRow,
    proposal: ProposalRow,
    coach: AccountRow,
    moment: Moment,
) -> MessageRow:
    """Write the athlete's message of an answered decision as one not sent yet."""
    edited = proposal.answer == "edit"
    final, before = db.get(RungRow, proposal.final_rung_id), db.get(RungRow, proposal.from_rung_id)
    given = prescribed.standing(db, row.id)
    assert final is not None  # noqa: S101  (an answer names where they stand)
    assert before is not None  # noqa: S101
    outcome = _edited(before, final) if edited else proposal.outcome
    draft = message(
        MessageTopic(
            outcome,  # type: ignore[arg-type]
            given.name if given and given.rung_id == final.id else final.name,
            before.name,
            row.goal,
            coach.name,
            amount=proposal.amount,
            prescription=prescription_words(rung_of(given).prescription) if given else "",
        )
    )
    kept = MessageRow(
        athlete_id=athlete.id,
        proposal_id=proposal.id,
        **dated(moment),
        subject=draft.subject,
        body=draft.body,
    )
    db.add(kept)
    db.flush()
    return kept


def _edited(before: RungRow, final: RungRow) -> Outcome:
    """What a coach's own rung comes to, in words."""
    if final.position == before.position:
        return "hold"
    return "step_up" if final.position > before.position else "step_back"
