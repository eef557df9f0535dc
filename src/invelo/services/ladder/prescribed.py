"""What is asked of an athlete on a ladder: the one prescription that stands, and who set it.

Week, session, phone, review and forecast read what stands here; a rung's own figures only say what
it begins with.
"""

from collections.abc import Iterable, Sequence
from datetime import date, timedelta
from uuid import UUID

from sqlmodel import Session

from invelo.db.codec import rung_columns
from invelo.db.columns import dated
from invelo.db.moment import Moment
from invelo.db.queries import ladder_rows
from invelo.db.tables.ladder import LadderRow, PrescriptionRow
from invelo.domain.ladder.rung import Rung

BY_COACH = "coach"
"""Rule of what a coach set by hand."""


def prescribe(
    db: Session,
    row: LadderRow,
    rung_id: UUID,
    rung: Rung,
    moment: Moment,
    *,
    rule: str = BY_COACH,
    set_by: UUID | None = None,
    proposal_id: UUID | None = None,
    climbed: bool = False,
    own_range: bool = False,
    from_tomorrow: bool = False,
) -> PrescriptionRow:
    """Ask for a rung from now on; the ladder is trained on it.

    Args:
        db, row: the transaction and the ladder.
        rung_id, rung: of the ladder, and as it is asked, settings included.
        moment: when.
        rule, set_by, proposal_id: what or who set it.
        climbed: whether it was newly taken.
        own_range: whether a hold's seconds are the coach's, and stay.
        from_tomorrow: whether today's session was done under the one before.
    """
    day = moment.local_date + timedelta(days=1 if from_tomorrow else 0)
    prescription = PrescriptionRow(
        ladder_id=row.id,
        rung_id=rung_id,
        number=ladder_rows.next_prescription(db, row.id),
        **dated(moment),
        **rung_columns(rung),
        begun=day,
        climbed=climbed,
        own_range=own_range,
        set_by=set_by,
        rule=rule,
        proposal_id=proposal_id,
    )
    row.current_rung_id = rung_id
    db.add_all([row, prescription])
    db.flush()
    return prescription


def standing(db: Session, ladder_id: UUID) -> PrescriptionRow | None:
    """What is asked on a ladder now; None where nobody trains on it yet."""
    return next(iter(ladder_rows.prescriptions(db, ladder_id, 1)), None)


def history(db: Session, ladder_id: UUID, most: int) -> Sequence[PrescriptionRow]:
    """What was asked on a ladder, the newest first, undone ones left out."""
    return ladder_rows.prescriptions(db, ladder_id, most)


def undo(db: Session, row: LadderRow, proposal_ids: Iterable[UUID], moment: Moment) -> bool:
    """Take back what some proposals had set; what stood before stands again. Whether any did."""
    wanted = set(proposal_ids)
    undone = [
        prescription
        for prescription in ladder_rows.prescriptions(db, row.id, 20)
        if prescription.proposal_id in wanted
    ]
    for prescription in undone:
        prescription.undone_at = moment.at
        db.add(prescription)
    db.flush()
    before = standing(db, row.id)
    if before is not None and undone:
        row.current_rung_id = before.rung_id
        db.add(row)
        db.flush()
    return bool(undone)


def begun_on(prescription: PrescriptionRow | None) -> date | None:
    """The day from which it is asked."""
    return prescription.begun if prescription else None
