"""The workshop: edits of a ladder, each kept as a sketch, so that it can be undone."""

from collections.abc import Callable
from datetime import datetime
from uuid import UUID

from sqlmodel import Session

from invelo.db.codec import body_of, step_policy_of
from invelo.db.errors import ConflictError
from invelo.db.ladder_graph import document_of, graph_of, read, rungs_of, write
from invelo.db.moment import Moment
from invelo.db.queries import athlete_rows, ladder_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import LadderRevisionRow, LadderRow, RungRow
from invelo.domain.biomechanics.reading import reading
from invelo.domain.ladder.bridge import Bridge, bridge
from invelo.domain.ladder.ladder import belongs, measure
from invelo.domain.ladder.rung import demand
from invelo.domain.ladder.step_policy import StepPolicy
from invelo.domain.ladder.workshop import LadderGraph, Node
from invelo.services.athlete import guard
from invelo.services.ladder import ladder, prescribed

MOST_REVISIONS = 100
"""Edits of a ladder that can be undone."""

Edit = Callable[[LadderGraph], LadderGraph]


def edit(
    db: Session,
    row: LadderRow,
    athlete: AthleteRow,
    how: Edit,
    note: str,
    moment: Moment,
    own_prescription: bool = True,
) -> LadderRow:
    """Draw a ladder anew; placed anew, and the drawing before can be taken up again.

    Args:
        db: the transaction.
        row: the ladder, locked.
        athlete: whose it is.
        how: the drawing it becomes.
        note: what was done, for the undo.
        moment: when.
        own_prescription: whether changed figures of a rung are the coach's own.

    Raises:
        InputError: for a drawing that does not climb, or a rung out of this body's reach.
        ConflictError: if something closes what is new on it, or a rung would go that logs name.
    """
    before = graph_of(db, rungs_of(db, row.id))
    after = how(before)
    if after == before:
        return row
    stood = {(node.id, node.rung.movement, node.rung.modifiers) for node in before.rungs}
    new = [
        (node.rung.movement, node.rung.modifiers)
        for node in after.rungs
        if (node.id, node.rung.movement, node.rung.modifiers) not in stood
    ]
    guard.allow(db, athlete.id, new, moment.local_date)
    body = body_of(athlete_rows.measurements(db, athlete.id)[-1])
    measure(body, tuple(node.rung for node in after.rungs), after.links, step_policy_of(row))
    known = {node.rung for node in before.rungs}
    for node in after.rungs:
        if node.rung not in known:
            reading(body, node.rung.modifiers.setup(node.rung.movement))  # refused by name
    _revise(db, row, row.revision, before, "as it was", moment.at)
    ladder_rows.forget_revisions(db, row.id, after=row.revision)
    row.revision += 1
    write(db, row, after)
    _follow(db, row, before, after, moment, own_prescription)
    _revise(db, row, row.revision, after, note, moment.at)
    ladder_rows.forget_revisions(db, row.id, before=row.revision - MOST_REVISIONS)
    ladder.record_placement(db, row, athlete, moment, {"drawn anew": note})
    return row


def _follow(
    db: Session,
    row: LadderRow,
    before: LadderGraph,
    after: LadderGraph,
    moment: Moment,
    own_prescription: bool = True,
) -> None:
    """Ask for the rung that is trained as it is drawn now, where that has changed."""
    old = next((node for node in before.rungs if node.id == row.current_rung_id), None)
    new = next((node for node in after.rungs if node.id == row.current_rung_id), None)
    if new is not None and (old is None or old.rung != new.rung):
        hold = new.rung.prescription.unit == "s"
        same = old is not None and old.rung.prescription == new.rung.prescription
        prescribed.prescribe(
            db, row, new.id, new.rung, moment, own_range=own_prescription and hold and not same
        )


def _revise(
    db: Session, row: LadderRow, number: int, drawing: LadderGraph, note: str, at: datetime
) -> None:
    """Keep a drawing under its number; one that is kept already stays."""
    if ladder_rows.revision(db, row.id, number) is None:
        ladder_revision = LadderRevisionRow(
            ladder_id=row.id, number=number, at=at, note=note, document=document_of(drawing)
        )
        db.add(ladder_revision)
        db.flush()


def undoable(db: Session, row: LadderRow) -> tuple[str, str]:
    """What can be undone and what done again, in words; '' where nothing can."""
    near = (row.revision - 1, row.revision, row.revision + 1)
    words = ladder_rows.revision_notes(db, row.id, near)
    before, now, later = (words.get(number) for number in near)
    return (now if now and before is not None else "", later or "")


def undo(db: Session, row: LadderRow, athlete: AthleteRow, moment: Moment) -> LadderRow:
    """Take up the drawing before.

    Raises:
        ConflictError: if there is none, or a rung would go that logs name.
    """
    return _turn(db, row, athlete, -1, moment)


def redo(db: Session, row: LadderRow, athlete: AthleteRow, moment: Moment) -> LadderRow:
    """Take up again what was undone last.

    Raises:
        ConflictError: if there is nothing.
    """
    return _turn(db, row, athlete, 1, moment)


def _turn(db: Session, row: LadderRow, athlete: AthleteRow, by: int, moment: Moment) -> LadderRow:
    ladder_revision = ladder_rows.revision(db, row.id, row.revision + by)
    if ladder_revision is None:
        what = "undo" if by < 0 else "do again"
        raise ConflictError("ladder", f"there is nothing to {what}.", "Go on from here.")
    row.revision += by
    before, after = graph_of(db, rungs_of(db, row.id)), read(ladder_revision.document)
    write(db, row, after)
    _follow(db, row, before, after, moment)
    ladder.record_placement(db, row, athlete, moment, {"drawn as in": ladder_revision.number})
    return row


def replayed(db: Session, row: LadderRow, rung_id: UUID) -> RungRow | None:
    """The rung that this id has put on the ladder already.

    Raises:
        ConflictError: if it is another ladder's.
    """
    kept = db.get(RungRow, rung_id)
    if kept is not None and kept.ladder_id != row.id:
        raise ConflictError("id", "it is in use.", "Make a new id for each rung.")
    return kept


def add(
    db: Session,
    row: LadderRow,
    athlete: AthleteRow,
    new: Node,
    after: tuple[UUID, ...],
    before: tuple[UUID, ...],
    moment: Moment,
) -> RungRow:
    """Put a rung between others. A replay of the same rung changes nothing.

    Raises:
        InputError: for a set-up out of this body's reach, or a loop.
        ConflictError: if something closes it.
    """
    if replayed(db, row, new.id) is None:
        name = new.rung.name
        edit(db, row, athlete, lambda d: d.add(new, after, before), f"added “{name}”", moment)
    return ladder.rung_on(db, row.id, new.id)


def add_where_it_belongs(
    db: Session, row: LadderRow, athlete: AthleteRow, new: Node, moment: Moment
) -> RungRow:
    """Put a rung right above the hardest one that asks no more.

    Raises:
        InputError: for a set-up out of this body's reach.
        ConflictError: if something closes it.
    """
    drawing = graph_of(db, rungs_of(db, row.id))
    body = body_of(athlete_rows.measurements(db, athlete.id)[-1])
    demands = tuple(demand(body, node.rung) for node in drawing.rungs)
    asks = demand(body, new.rung)
    position = belongs(demands, asks.height, asks.lane)
    after, before = neighbours(drawing, position)
    return add(db, row, athlete, new, after, before, moment)


def neighbours(drawing: LadderGraph, position: int) -> tuple[tuple[UUID, ...], tuple[UUID, ...]]:
    """What a rung at a position comes after and before."""
    after = (drawing.rungs[position - 1].id,) if position else ()
    if not after:
        return (), (drawing.rungs[0].id,)
    return after, drawing.above(after[0])


def set_step_policy(db: Session, row: LadderRow, policy: StepPolicy) -> LadderRow:
    """What counts as a step on this ladder from now on."""
    row.min_reps, row.min_hold_s = policy.reps, policy.seconds
    row.target_step, row.lever_order = policy.step, list(policy.order)
    db.add(row)
    db.flush()
    return row


def bridge_between(
    db: Session, seen: ladder.LadderView, lower: int, upper: int, coach_id: UUID
) -> Bridge:
    """What closes a step with the athlete's kit.

    Raises:
        InputError: if nothing compares the two rungs.
    """
    known = seen.placement.lanes if seen.placement else {}
    return bridge(
        body_of(seen.measure),
        seen.measured.rungs[lower],
        seen.measured.rungs[upper],
        guard.hand_of(db, seen.guarded, coach_id),
        seen.measured.policy,
        {lane: placed.capacity.likely for lane, placed in known.items()},
        seen.guarded.open_movements,
    )
