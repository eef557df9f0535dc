"""Tests kept, and the tests proposed next."""

from dataclasses import dataclass
from datetime import date, timedelta
from typing import Any
from uuid import UUID

from sqlmodel import Session

from invelo.db import ladder_graph
from invelo.db.codec import body_of, body_on, row_of, set_up_columns, stored
from invelo.db.columns import dated
from invelo.db.errors import ConflictError
from invelo.db.moment import Moment
from invelo.db.queries import athlete_rows, ladder_rows, training_rows
from invelo.db.tables.athlete import AthleteRow, TestRow
from invelo.domain.athlete import battery
from invelo.domain.athlete.battery import Battery, BatterySituation
from invelo.domain.biomechanics.body import Body
from invelo.domain.biomechanics.posture.form import Lane
from invelo.domain.catalogue.catalogue import ReadyLadder, TestKind, catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError, require_within
from invelo.domain.plan.prescription import GIVEN_AS
from invelo.domain.strength.capacity import Evidence, Pool, evidence, groups_of, pool
from invelo.domain.strength.predict import Done
from invelo.domain.training.amount import whole_reps
from invelo.domain.training.log import MOST_LOGGED, OneSide
from invelo.services.athlete import capacity, guard, person, screen
from invelo.services.ladder import ladder
from invelo.services.ladder.ladder import LadderView


@dataclass(frozen=True)
class NewTest:
    """A test as it was done: strict reps, seconds of a hold or centimetres, as many as possible
    unless `rpe` < 10; `kind` is the catalogue's test it was done as, if any."""

    id: UUID
    movement: Movement
    modifiers: Modifiers
    amount: float
    rpe: float = 10.0
    side: OneSide = ""
    kind: TestKind | None = None

    def __post_init__(self) -> None:
        """Refuse a side where there is none, and what cannot be tested."""
        whole_reps(self.movement, self.amount)
        if self.kind is not None and self.kind.of is not self.movement:
            raise InputError(
                "test",
                f"{self.kind.name} is of another movement.",
                f"Send the {self.kind.of.name}.",
            )
        if self.tells_capacity:
            own = self.movement.own(self.modifiers)
            Done(own.setup(self.movement), self.amount, self.modifiers.tempo, self.rpe)
        else:
            field, unit = GIVEN_AS[self.movement.unit], self.movement.unit
            require_within(field, self.amount, 0.5, MOST_LOGGED[unit], unit)
            require_within("rpe", self.rpe, 1, 10, "")
        if self.side and self.movement.counted != "per side":
            raise InputError(
                "side", f"the {self.movement.name.lower()} has none.", "Leave the side out."
            )

    @property
    def tells_capacity(self) -> bool:
        """Whether it says something of strength that is computed."""
        return (self.kind or self.movement).tells_capacity


def keep_test(db: Session, athlete: AthleteRow, test: NewTest, moment: Moment) -> TestRow:
    """Keep a test with the capacity it was read as, and place the athlete anew on every ladder it
    says something of.

    The coach moves an athlete who stands on a ladder already. A replay changes nothing.

    Raises:
        InputError: for an amount, effort, side or set-up out of range.
        ConflictError: if the id names another test, or something closes the movement.
    """
    kept = db.get(TestRow, test.id)
    if kept is not None:
        same = (kept.athlete_id, kept.amount, kept.movement) == (
            athlete.id,
            test.amount,
            test.movement.id,
        )
        if same:
            return kept
        raise ConflictError("test id", "it names another test.", "Make a new id for each test.")
    modifiers = test.movement.own(test.modifiers)
    guard.allow(db, athlete.id, [(test.movement, modifiers)], moment.local_date)
    body = body_on(athlete_rows.measurements(db, athlete.id), moment.local_date)
    row = row_of(
        TestRow,
        test,
        athlete_id=athlete.id,
        **dated(moment),
        **set_up_columns(test.movement.id, modifiers),
        kind=test.kind.id if test.kind else "",
        inputs={
            "mass_kg": body.mass,
            "stature_m": body.stature,
            "segments": body.table.name,
            "lengths": dict(body.lengths),
        },
        result=_read(test, body, moment.local_date),
    )
    db.add(row)
    db.flush()
    for ladder_row in ladder_rows.of_athlete(db, athlete.id) if test.tells_capacity else ():
        rungs = ladder_graph.rungs_of(db, ladder_row.id)
        lanes = {catalogue().find_movement(rung.movement).posture.lane for rung in rungs}
        if test.movement.posture.lane in lanes:
            ladder.record_placement(db, ladder_row, athlete, moment, {"test": str(test.id)})
    return row


def _read(test: NewTest, body: Body, day: date) -> dict[str, Any]:
    """The capacity that a test tells; nothing of one that tells none."""
    if not test.tells_capacity:
        return {}
    modifiers = test.movement.own(test.modifiers)
    read = evidence(day, "test", body, test.movement, modifiers, test.amount, test.rpe)
    return {"capacity": stored(read.greatest), "load": stored(read.load.demand)}


def capacities(db: Session, athlete_id: UUID) -> dict[Lane, Pool]:
    """Capacity by group of like tests."""
    known = capacity.newest(db, athlete_id, athlete_rows.measurements(db, athlete_id))
    return {key: pool(those) for key, those in groups_of(known).items()}


@dataclass(frozen=True)
class GroupStatus:
    """Where an athlete stands in one group of like tests.

    Attributes:
        pool: the evidence that speaks.
        ladder: the oldest ladder it places them on, None while there is none.
        moved_why: the coach's word, where they put the athlete on another rung.
        ready: ready ladders that could be given, none where one stands.
        sides: the newest test of the left and of the right, where both were tested.
    """

    pool: Pool
    ladder: LadderView | None
    moved_why: str
    ready: tuple[ReadyLadder, ...]
    sides: tuple[Evidence, Evidence] | None

    @property
    def half_width(self) -> float:
        """Half of the 80 % interval, % of the capacity."""
        return battery.half_width(self.pool.greatest)


def group_statuses(db: Session, athlete: AthleteRow, today: date) -> tuple[GroupStatus, ...]:
    """Where an athlete stands in every group that was tested, by family."""
    groups = groups_of(capacity.newest(db, athlete.id, athlete_rows.measurements(db, athlete.id)))
    views = [ladder.view(db, row, athlete, today) for row in ladder_rows.of_athlete(db, athlete.id)]
    group_statuses = []
    for known in groups.values():
        form = known[0].load.setup.form
        on = [view for view in views if form.lane in view.measured.lanes]
        ready = tuple(
            ready_ladder
            for ready_ladder in catalogue().ladder
            if any(rung.of.posture.lane == form.lane for rung in ready_ladder.rungs)
        )
        group_statuses.append(
            GroupStatus(
                pool(known),
                on[0] if on else None,
                ladder.moved_why(db, on[0].row) if on else "",
                () if on else ready,
                _sides(known),
            )
        )
    return tuple(
        sorted(
            group_statuses,
            key=lambda group_status: group_status.pool.nearest.load.setup.form.family,
        )
    )


def _sides(known: tuple[Evidence, ...]) -> tuple[Evidence, Evidence] | None:
    newest = {
        evidence.side: evidence for evidence in sorted(known, key=lambda evidence: evidence.day)
    }
    if "left" in newest and "right" in newest:
        return newest["left"], newest["right"]
    return None


def propose(db: Session, athlete: AthleteRow, today: date) -> Battery:
    """The tests to do now; none before a doctor has spoken, where one is to be seen first."""
    now = screen.standing(db, athlete.id, today).now
    if now.outcome == "doctor":
        return Battery((), (), ())
    return battery.battery(situation_of(db, athlete, today))


def situation_of(db: Session, athlete: AthleteRow, today: date) -> BatterySituation:
    """What tests are proposed from."""
    details = person.of_athlete(db, athlete.id)
    guarded = guard.of_athlete(db, athlete.id, today)
    return BatterySituation(
        body=body_of(athlete_rows.measurements(db, athlete.id)[-1]),
        person=details,
        guard=guarded,
        known=capacities(db, athlete.id),
        first_week=training_rows.began_after(db, athlete.id, today - timedelta(days=7)),
    )
