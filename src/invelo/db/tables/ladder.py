"""Ladders and where athletes stand on them."""

from datetime import date, datetime
from typing import Any
from uuid import UUID, uuid4

from sqlalchemy import (
    ARRAY,
    Column,
    ForeignKey,
    Index,
    Text,
    UniqueConstraint,
)
from sqlmodel import Field, SQLModel

from invelo.db.columns import Computed, Dated, SetUpColumns, Versioned, instant, json_column, one_of
from invelo.domain.ladder.step_policy import LEVERS, WANTED_STEP
from invelo.domain.plan.prescription import LEAST_USEFUL


class LadderRow(Versioned, table=True):
    """Rungs toward a goal, and the one the athlete stands on.

    `stopped` holds the reason a pain rule ended the movement, '' while it runs. `drawn` is the
    number of the sketch that stands. What counts as a step is the coach's: `least_reps`,
    `least_seconds` (s), `step` (share of the demand) and `levers`, the dearest first.
    """

    __tablename__ = "ladder"

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    goal: str
    family: str
    method: str = "double_progression"
    purpose: str
    level: str
    current_rung_id: UUID | None = Field(
        default=None,
        sa_column=Column(
            ForeignKey(
                "rung.id",
                name="fk_ladder_current_rung_id",
                ondelete="SET NULL",
                use_alter=True,
                deferrable=True,
            )
        ),
    )
    stopped: str = ""
    min_reps: float = LEAST_USEFUL["reps"]
    min_hold_s: float = LEAST_USEFUL["s"]
    target_step: float = WANTED_STEP
    lever_order: list[str] = Field(
        default_factory=lambda: list(LEVERS), sa_column=Column(ARRAY(Text), nullable=False)
    )
    revision: int = 0
    created_at: datetime = instant()


class LadderRevisionRow(SQLModel, table=True):
    """A ladder as it was drawn at one time, `number` counting its edits; kept so that an edit can
    be undone. `document` holds the drawing."""

    __tablename__ = "ladder_revision"

    __table_args__ = (UniqueConstraint("ladder_id", "number"),)

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    ladder_id: UUID = Field(foreign_key="ladder.id", ondelete="CASCADE")
    number: int
    at: datetime = instant()
    note: str
    document: dict[str, Any] = json_column()


class RungColumns(SetUpColumns):
    """A set-up with what is asked of it and what is shown before moving on."""

    name: str
    sets: int
    low: int
    high: int
    unit: str
    rest_s: int
    rpe: float
    criterion_sets: int
    criterion_amount: int
    criterion_rpe: float
    criterion_sessions: int


class RungRow(RungColumns, Versioned, table=True):
    """A set-up with its prescription and its criterion, at a position counted from 0 at the
    foot."""

    __tablename__ = "rung"

    __table_args__ = (
        UniqueConstraint("ladder_id", "position", deferrable=True),
        one_of("unit", "reps", "s", "cm"),
    )

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    ladder_id: UUID = Field(foreign_key="ladder.id", ondelete="CASCADE")
    position: int
    why: str = ""


class PrescriptionRow(RungColumns, Dated, table=True):
    """What is asked of an athlete on a ladder from a day on: a rung with its settings as they train
    it, `number` counting its versions. The newest that is not undone stands; none is changed.

    `begun` is the day from which it is asked. `climbed` says that the rung was newly taken, so that
    its first days ask less; `own_range` that a hold's seconds are the coach's and stay. `set_by` is
    the coach's account, None where a rule set it; `rule` names which.
    """

    __tablename__ = "prescription"
    __table_args__ = (
        UniqueConstraint("ladder_id", "number"),
        one_of("unit", "reps", "s", "cm"),
    )
    id: UUID = Field(default_factory=uuid4, primary_key=True)
    ladder_id: UUID = Field(foreign_key="ladder.id", ondelete="CASCADE")
    rung_id: UUID = Field(foreign_key="rung.id", ondelete="CASCADE")
    number: int
    begun: date
    climbed: bool = False
    own_range: bool = False
    set_by: UUID | None = Field(default=None, foreign_key="account.id", ondelete="SET NULL")
    rule: str = ""
    proposal_id: UUID | None = Field(
        default=None, foreign_key="proposal.id", ondelete="SET NULL", index=True
    )
    undone_at: datetime | None = instant(nullable=True)


class EdgeRow(SQLModel, table=True):
    """One steps from a lower rung to an upper one of the same ladder."""

    __tablename__ = "edge"

    lower_id: UUID = Field(foreign_key="rung.id", ondelete="CASCADE", primary_key=True)
    upper_id: UUID = Field(foreign_key="rung.id", ondelete="CASCADE", primary_key=True, index=True)


class PlacementRow(Dated, Computed, table=True):
    """Where new evidence put the athlete on a ladder: capacity with its range and unit, told by
    evidence of a day; `result` holds it whole, with how it came about."""

    __tablename__ = "placement"

    __table_args__ = (Index("ix_placement_ladder_id_at", "ladder_id", "at"),)

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    ladder_id: UUID = Field(foreign_key="ladder.id", ondelete="CASCADE")
    rung_id: UUID = Field(foreign_key="rung.id", ondelete="CASCADE")
    likely: float
    low: float
    high: float
    unit: str
    told_on: date | None = None
    result: dict[str, Any] = json_column()
