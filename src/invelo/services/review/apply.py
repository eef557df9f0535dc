"""What a decision changes once the coach has said yes: the ladder, the prescription, the weeks."""

from datetime import date
from uuid import UUID, uuid4

from sqlmodel import Session

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
from invelo.domain.review.proposals.situation import Outcome
from invelo.services.ladder import ladder, workshop
from invelo.services.plan import week

TO_WEEK: frozenset[Outcome] = frozenset(("ease_off", "reduce_days"))
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
        row.current_rung_id = _put_on(db, row, athlete, rung_from(proposal.made), moment)
        ladder.record_placement(db, row, athlete, moment, {"proposal": str(proposal.id)})
    elif outcome in ("add_set", "step_up") and proposal.amount:
        _more_sets(db, proposal.to_rung_id, round(proposal.amount))
    elif outcome in TO_WEEK:
        _ask_of_weeks(db, athlete, proposal, moment)
    db.add(row)
    db.flush()


def _put_on(
    db: Session, row: LadderRow, athlete: AthleteRow, rung: CoreRung, moment: Moment
) -> UUID:
    """A rung right above the one they stand on; the one that is there, if it was put on before."""
    here = row.current_rung_id
    assert here is not None  # noqa: S101  (a ladder that is decided on is stood on)
    there = next(
        (rung_row for rung_row in rungs_of(db, row.id) if rung_row.name == rung.name), None
    )
    if there is not None:
        return there.id  # it was put on before
    new = Node(uuid4(), rung, "a step by one lever, proposed in the review")

    def how(drawing: LadderGraph) -> LadderGraph:
        return drawing.add(new, (here,), drawing.above(here))

    workshop.edit(db, row, athlete, how, f"put on “{rung.name}”", moment, [rung.movement.id])
    return new.id


def _more_sets(db: Session, rung_id: UUID, sets: int) -> None:
    rung = db.get(RungRow, rung_id)
    assert rung is not None  # noqa: S101  (decisions keep their rungs)
    if rung.criterion_sets == rung.sets:
        rung.criterion_sets = sets
    rung.sets = sets
    db.add(rung)


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
    if proposal.outcome == "reduce_days":
        return availability.keeping_to(str(proposal.ladder_id), max(1, round(proposal.amount or 1)))
    if "layoff.re-entry" in proposal.rules:
        return availability.coming_back(week_start, proposal.amount or 0.0)
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
    assert final is not None  # noqa: S101  (an answer names where they stand)
    assert before is not None  # noqa: S101
    outcome = _edited(before, final) if edited else proposal.outcome
    told = message(
        MessageTopic(
            outcome,  # type: ignore[arg-type]
            final.name,
            before.name,
            row.goal,
            coach.name,
            amount=proposal.amount,
        )
    )
    kept = MessageRow(
        athlete_id=athlete.id,
        proposal_id=proposal.id,
        **dated(moment),
        subject=told.subject,
        body=told.body,
    )
    db.add(kept)
    db.flush()
    return kept


def _edited(before: RungRow, final: RungRow) -> Outcome:
    """What a coach's own rung comes to, in words."""
    if final.position == before.position:
        return "hold"
    return "step_up" if final.position > before.position else "step_back"
