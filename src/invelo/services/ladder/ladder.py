"""The ladder: made from a ready one or from nothing, measured for its athlete, moved along."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace
from datetime import date
from typing import Any
from uuid import UUID

from sqlmodel import Session

from invelo.db.codec import LEVEL, METHOD, PURPOSE, body_of, row_of, rung_of, step_policy_of, stored
from invelo.db.columns import dated
from invelo.db.errors import ConflictError, MissingError
from invelo.db.ladder_graph import graph_of, rungs_of, write
from invelo.db.moment import Moment
from invelo.db.queries import athlete_rows, ladder_rows
from invelo.db.tables.account import AccountRow
from invelo.db.tables.athlete import AthleteRow, BodyMeasurementRow
from invelo.db.tables.ladder import LadderRow, PlacementRow, PrescriptionRow, RungRow
from invelo.domain.athlete.guard import Guard
from invelo.domain.athlete.screen import PainPlace
from invelo.domain.athlete.spared import SparedPlace
from invelo.domain.athlete.strain import AVERAGE, strains
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.catalogue.catalogue import ReadyLadder, catalogue
from invelo.domain.ladder import ladder
from invelo.domain.ladder.placement import Placement, place
from invelo.domain.ladder.ready import drawn
from invelo.domain.ladder.rung import Rung as CoreRung
from invelo.domain.ladder.workshop import LadderGraph
from invelo.domain.plan.prescription import Level, Method, Purpose
from invelo.domain.review.ladder_case import fitted
from invelo.domain.strength.capacity import Evidence
from invelo.domain.strength.says import work_of
from invelo.services.athlete import capacity, guard, person, spared, states
from invelo.services.ladder import prescribed


@dataclass(frozen=True)
class LadderView:
    """A ladder with everything the model says of it for an athlete, as measured last.

    Attributes:
        row, athlete, measure, rungs: as stored.
        drawing: how the rungs are tied.
        measured: demands and steps.
        guarded: what may close a rung to the athlete today.
        closed: why each rung is closed, '' where it is open.
        placement: None while nothing tells what the athlete can do.
        states: what is known today, by lane.
        prescription: what is asked; None where nobody trains on it yet.
    """

    row: LadderRow
    athlete: AthleteRow
    measure: BodyMeasurementRow
    rungs: list[RungRow]
    drawing: LadderGraph
    measured: ladder.MeasuredLadder
    guarded: Guard
    closed: tuple[str, ...]
    placement: Placement | None
    states: states.States
    prescription: PrescriptionRow | None

    @property
    def current(self) -> int:
        """Index of the rung that is trained."""
        return next(i for i, r in enumerate(self.rungs) if r.id == self.row.current_rung_id)

    @property
    def prescribed(self) -> CoreRung:
        """The rung as it is asked, settings included; a hold's seconds follow the best hold unless
        the coach set them."""
        given = self.prescription
        if given is None or given.rung_id != self.row.current_rung_id:
            return self.fitted(self.measured.rungs[self.current])
        rung = rung_of(given)
        return rung if given.own_range else self.fitted(rung)

    def fitted(self, rung: CoreRung) -> CoreRung:
        """A rung as it would be begun."""
        work = work_of(body_of(self.measure), rung.movement, rung.modifiers)
        state = self.states.get(rung.movement.posture.lane)
        purpose = PURPOSE.validate_python(self.row.purpose)
        return fitted(rung, work, state, purpose, METHOD.validate_python(self.row.method))

    @property
    def shut(self) -> frozenset[int]:
        """Positions of closed rungs."""
        return frozenset(i for i, why in enumerate(self.closed) if why)


def of_one(db: Session, athlete_id: UUID, ladder_id: UUID) -> LadderRow:
    """A ladder of an athlete who is let in already.

    Raises:
        MissingError: if it is not theirs.
    """
    ladder_row = db.get(LadderRow, ladder_id)
    if ladder_row is None or ladder_row.athlete_id != athlete_id:
        raise MissingError("ladder")
    return ladder_row


def rung_on(db: Session, ladder_id: UUID, rung_id: UUID) -> RungRow:
    """A rung of this ladder.

    Raises:
        MissingError: if it is no rung of it.
    """
    rung = db.get(RungRow, rung_id)
    if rung is None or rung.ladder_id != ladder_id:
        raise MissingError("rung")
    return rung


def create(
    db: Session,
    athlete: AthleteRow,
    ready: ReadyLadder,
    purpose: Purpose,
    level: Level,
    moment: Moment,
) -> LadderRow:
    """Give an athlete a ready ladder by the method they prefer, and stand them on the rung that
    their tests say.

    Raises:
        InputError: for a rung out of range for this body.
        ConflictError: if the athlete has such a ladder, or something closes all of it.
    """
    method: Method = next(iter(person.of_athlete(db, athlete.id).methods), "double_progression")
    body = body_of(athlete_rows.measurements(db, athlete.id)[-1])
    drawing = drawn(ready, body, purpose, level, method)
    because = {"ladder given": ready.id}
    return begin(db, athlete, ready.goal, drawing, purpose, level, moment, because, method)


def begin(
    db: Session,
    athlete: AthleteRow,
    goal: str,
    drawing: LadderGraph,
    purpose: Purpose,
    level: Level,
    moment: Moment,
    because: Mapping[str, Any],
    method: Method = "double_progression",
) -> LadderRow:
    """Give an athlete a ladder as it is drawn; its family is its last rung's.

    Raises:
        InputError: for a rung out of range for this body.
        ConflictError: if the athlete has such a ladder, or something closes all of it.
    """
    if any(ladder_row.goal == goal for ladder_row in ladder_rows.of_athlete(db, athlete.id)):
        raise ConflictError(
            "goal",
            f"{athlete.name} has a ladder “{goal}” already.",
            "Open it, or give this one another goal.",
        )
    guarded = guard.of_athlete(db, athlete.id, moment.local_date)
    closed = [guarded.closed(node.rung.movement, node.rung.modifiers) for node in drawing.rungs]
    if all(closed):
        guard.refuse(closed[0])
    row = LadderRow(
        athlete_id=athlete.id,
        goal=goal,
        family=drawing.rungs[-1].rung.movement.family,
        method=method,
        purpose=purpose,
        level=level,
        created_at=moment.at,
    )
    db.add(row)
    db.flush()
    write(db, row, drawing)
    record_placement(db, row, athlete, moment, because)
    return row


def copy(db: Session, row: LadderRow, other: AthleteRow, moment: Moment) -> LadderRow:
    """Give the same ladder to another athlete, with rungs of its own.

    Raises:
        InputError: for a rung out of the other body's reach.
        ConflictError: if they have such a ladder, or something closes all of it.
    """
    drawing = graph_of(db, rungs_of(db, row.id)).afresh()
    because = {"copied from": str(row.id)}
    purpose, level = PURPOSE.validate_python(row.purpose), LEVEL.validate_python(row.level)
    method = METHOD.validate_python(row.method)
    made = begin(db, other, row.goal, drawing, purpose, level, moment, because, method)
    for name in ("min_reps", "min_hold_s", "target_step", "lever_order"):
        setattr(made, name, getattr(row, name))
    db.flush()
    return made


def delete(db: Session, row: LadderRow) -> None:
    """Take a ladder away on which nothing was trained yet.

    Raises:
        ConflictError: if sessions are logged on it, which stay.
    """
    if ladder_rows.is_logged_on(db, row.id):
        raise ConflictError(
            "ladder", "sessions are logged on it, which stay.", "Leave it, or export it first."
        )
    db.delete(row)
    db.flush()


def known(db: Session, row: LadderRow) -> tuple[Evidence, ...]:
    """Everything kept that says something of the athlete's capacity in the ladder's lanes."""
    return capacity.of_rungs(db, row.athlete_id, rungs_of(db, row.id))


def lanes_of(rungs: Iterable[RungRow]) -> frozenset[Lane]:
    """The lanes that rungs are of."""
    return frozenset(catalogue().find_movement(rung.movement).posture.lane for rung in rungs)


def view(
    db: Session,
    row: LadderRow,
    athlete: AthleteRow,
    today: date,
    fresh: states.States | None = None,
) -> LadderView:
    """The ladder as it stands for its athlete on a day, theirs.

    Args:
        db, row, athlete, today: the transaction, which, whose and when.
        fresh: states worked out anew, in place of those kept.
    """
    rungs = rungs_of(db, row.id)
    bodies = athlete_rows.measurements(db, athlete.id)
    evidence = capacity.newest(db, athlete.id, bodies, rungs)
    return _view(db, row, athlete, rungs, bodies[-1], evidence, today, fresh)


def view_for(db: Session, row: LadderRow, other: AthleteRow, today: date) -> LadderView:
    """The same ladder measured for another athlete, by their own tests and sets."""
    rungs = rungs_of(db, row.id)
    bodies = athlete_rows.measurements(db, other.id)
    evidence = capacity.newest(db, other.id, bodies, rungs)
    return _view(db, row, other, rungs, bodies[-1], evidence, today)


def _view(
    db: Session,
    row: LadderRow,
    athlete: AthleteRow,
    rungs: list[RungRow],
    body: BodyMeasurementRow,
    evidence: tuple[Evidence, ...],
    today: date,
    fresh: states.States | None = None,
) -> LadderView:
    guarded = guard.of_athlete(db, athlete.id, today)
    drawing = graph_of(db, rungs)
    measured = ladder.measure(
        body_of(body),
        tuple(node.rung for node in drawing.rungs),
        drawing.links,
        step_policy_of(row),
    )
    closed = tuple(
        demand.refused or guarded.unavailable_reason(node.rung.movement, node.rung.modifiers)
        for node, demand in zip(drawing.rungs, measured.demands, strict=True)
    )
    shut = frozenset(i for i, why in enumerate(closed) if why)
    if fresh is None:
        known = states.of_lanes(db, athlete.id, measured.lanes, today)
    else:
        known = {lane: state.later(today) for lane, state in fresh.items()}
    evidence = capacity.as_known(evidence, known, body_of(body))
    tells = any(other.load.setup.form.lane in measured.lanes for other in evidence)
    placement = place(measured, evidence, shut) if tells else None
    return LadderView(
        row,
        athlete,
        body,
        rungs,
        drawing,
        measured,
        guarded,
        closed,
        placement,
        known,
        prescribed.standing(db, row.id),
    )


def record_placement(
    db: Session, row: LadderRow, athlete: AthleteRow, moment: Moment, because: Mapping[str, Any]
) -> LadderView:
    """Store where the model places the athlete after new evidence, if there is any.

    A ladder nobody was placed on yet is entered at the placed rung, or the lowest that is open.
    """
    fresh = states.from_logs(db, athlete.id, lanes_of(rungs_of(db, row.id)))
    seen = view(db, row, athlete, moment.local_date, fresh)
    placement = seen.placement
    foot = next((i for i, why in enumerate(seen.closed) if not why), 0)
    index = placement.index if placement else foot
    placed = seen.rungs[index]
    if row.current_rung_id is None or (placement and not revision(db, row)):
        begin_on = seen.fitted(seen.measured.rungs[index])
        prescribed.prescribe(db, row, placed.id, begin_on, moment, rule="placement")
        seen = replace(seen, prescription=prescribed.standing(db, row.id))
    db.add(row)
    if placement is not None:
        estimate = placement.capacity
        db.add(
            row_of(
                PlacementRow,
                estimate,
                ladder_id=row.id,
                rung_id=placed.id,
                **dated(moment),
                inputs={
                    **because,
                    "mass_kg": seen.measure.mass_kg,
                    "stature_m": seen.measure.stature_m,
                    "current_rung": str(row.current_rung_id),
                },
                told_on=max(member.day for member in placement.known.members),
                result={
                    "capacity": stored(estimate),
                    "reach": stored(placement.reach),
                    "predictions": {
                        str(rung.id): [p.low, p.likely, p.high]
                        for rung, p in zip(seen.rungs, placement.predictions, strict=True)
                        if p is not None
                    },
                    "narrower": placement.narrower,
                    "states": states.document_of(fresh, states.hands_of(db, athlete.id)),
                },
            )
        )
    db.flush()
    return seen


def stand(
    db: Session, row: LadderRow, athlete: AthleteRow, rung_id: UUID, note: str, moment: Moment
) -> LadderRow:
    """Put the athlete on another rung, on the coach's own word, which is kept.

    Raises:
        MissingError: if it is no rung of this ladder.
        ConflictError: if something closes it.
    """
    rung = rung_on(db, row.id, rung_id)
    asked = rung_of(rung)
    guard.allow(db, athlete.id, [(asked.movement, asked.modifiers)], moment.local_date)
    seen = view(db, row, athlete, moment.local_date)
    at = next(i for i, other in enumerate(seen.rungs) if other.id == rung_id)
    prescribed.prescribe(db, row, rung.id, seen.fitted(seen.measured.rungs[at]), moment)
    record_placement(db, row, athlete, moment, {"moved to": str(rung_id), "note": note})
    return row


def moved_why(db: Session, row: LadderRow) -> str:
    """The coach's newest word on why the athlete stands where they do; '' where there is none."""
    inputs = ladder_rows.placement_inputs(db, row.id)
    moves = (placement for placement in inputs if "moved to" in placement)
    newest = next(moves, None)
    if newest is None or newest["moved to"] != str(row.current_rung_id):
        return ""
    return str(newest.get("note", ""))


def resume(db: Session, row: LadderRow, coach: AccountRow, moment: Moment) -> LadderRow:
    """Take up a movement again that pain had stopped; the places that it loads are cleared.

    Raises:
        ConflictError: if it is not stopped.
    """
    if not row.stopped:
        raise ConflictError("ladder", "it is not stopped.", "Go on with it.")
    row.stopped = ""
    db.add(row)
    for sore in _closing(db, row):
        word = spared.ClearingWord(coach, f"{row.goal} is taken up again")
        spared.clear(db, db.get_one(AthleteRow, row.athlete_id), sore.place, word, moment.at)
    return row


def go_on_in_spite(
    db: Session, row: LadderRow, coach: AccountRow, note: str, moment: Moment
) -> None:
    """Let a ladder go on in spite of a pain as it is now, on the coach's word; more of it spares
    its place again."""
    for sore in _closing(db, row):
        word = spared.ClearingWord(coach, note, borne=sore.pain)
        spared.clear(db, db.get_one(AthleteRow, row.athlete_id), sore.place, word, moment.at)


def _closing(db: Session, row: LadderRow) -> tuple[SparedPlace, ...]:
    """Sore places that the rung they stand on loads."""
    assert row.current_rung_id is not None  # noqa: S101  (a ladder is entered when it is made)
    stands = rung_of(rung_on(db, row.id, row.current_rung_id))
    asked = strains(AVERAGE, stands.movement, stands.modifiers)
    return tuple(
        sore
        for sore in spared.open_places(db, row.athlete_id)
        if sore.closes(stands.movement, asked)
    )


def clear_place(
    db: Session, athlete: AthleteRow, sore: PainPlace, word: spared.ClearingWord, moment: Moment
) -> None:
    """Open again what a place had closed; ladders that it stopped go on.

    Raises:
        MissingError: if it is not spared.
        ConflictError: without a word of what was seen.
    """
    row = spared.clear(db, athlete, sore, word, moment.at)
    cleared = spared.of_row(row)
    for ladder_row in ladder_rows.of_athlete(db, athlete.id):
        if not ladder_row.stopped or ladder_row.current_rung_id is None:
            continue
        stands = rung_of(rung_on(db, ladder_row.id, ladder_row.current_rung_id))
        if cleared.closes(stands.movement, strains(AVERAGE, stands.movement, stands.modifiers)):
            ladder_row.stopped = ""
            db.add(ladder_row)
    db.flush()


def revision(db: Session, row: LadderRow) -> int:
    """How often the sheet was drawn anew: placements kept for it."""
    return ladder_rows.placements(db, row.id)
