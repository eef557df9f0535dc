"""The rows. Every instant carries its zone and its local date; every computed result carries the
version of the model and of the catalogue it came from, with its inputs.
"""

from datetime import date, datetime
from typing import Any, Literal
from uuid import UUID, uuid4

from sqlalchemy import (
    ARRAY,
    CheckConstraint,
    Column,
    ForeignKey,
    Index,
    Text,
    UniqueConstraint,
    text,
)
from sqlmodel import Field, SQLModel

from invelo.core.dose import LEAST_USEFUL
from invelo.core.terms import LEVERS, WANTED_STEP
from invelo.store.columns import Computed, Dated, instant, json_column, one_of, within

Role = Literal["owner", "coach", "reader"]
"""`owner` may hand an athlete over or erase them, `coach` may write, `reader` may look."""


class Account(SQLModel, table=True):
    """A coach who signs in. `email` is kept in lower case."""

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    email: str = Field(unique=True)
    name: str
    password_hash: str
    time_zone: str
    created_at: datetime = instant()


class SignIn(SQLModel, table=True):
    """A server-side session; the cookie's token is kept only as its SHA-256."""

    __tablename__ = "sign_in"

    token_hash: str = Field(primary_key=True)
    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE", index=True)
    created_at: datetime = instant()
    expires_at: datetime = instant()


class SignInAttempt(SQLModel, table=True):
    """A failed sign-in, counted per e-mail address and per machine (both as SHA-256)."""

    __tablename__ = "sign_in_attempt"
    __table_args__ = (Index("ix_sign_in_attempt_key_at", "key", "at"),)

    id: int | None = Field(default=None, primary_key=True)
    key: str
    at: datetime = instant()


class Athlete(SQLModel, table=True):
    """Who trains. `consent_on` is the day they agreed that their records are kept."""

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    name: str
    time_zone: str
    note: str = ""
    consent_on: date
    created_at: datetime = instant()


class AthleteAccess(SQLModel, table=True):
    """Who may see or change an athlete: the one place that says so."""

    __tablename__ = "athlete_access"
    __table_args__ = (one_of("role", "owner", "coach", "reader"),)

    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE", primary_key=True)
    athlete_id: UUID = Field(
        foreign_key="athlete.id", ondelete="CASCADE", primary_key=True, index=True
    )
    role: str


class Person(SQLModel, table=True):
    """What an athlete wants and has, as the core's `Person` writes it."""

    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", primary_key=True)
    told: dict[str, Any] = json_column()
    updated_at: datetime = instant()


class Measure(Dated, table=True):
    """Body mass, stature and whatever limb lengths (m) were measured on a day."""

    __table_args__ = (within("mass_kg", 20, 300), within("stature_m", 1, 2.4))

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    mass_kg: float
    stature_m: float
    lengths: dict[str, float] = json_column()


class Screening(Dated, Computed, table=True):
    """What an athlete said of themselves (`inputs`), and what follows; the newest one speaks."""

    __table_args__ = (one_of("outcome", "go", "limits", "doctor"),)

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    outcome: str
    findings: list[dict[str, Any]] = json_column()


class Clearance(Dated, table=True):
    """What a doctor or clinician said, as the coach recorded it; never changed."""

    id: UUID = Field(primary_key=True)
    screening_id: UUID = Field(foreign_key="screening.id", ondelete="CASCADE", index=True)
    author_id: UUID | None = Field(foreign_key="account.id", ondelete="SET NULL")
    said_by: str
    word: str
    lifts: list[str] = Field(sa_column=Column(ARRAY(Text), nullable=False))


class Readiness(Dated, table=True):
    """What a readiness check showed; the newest of each speaks."""

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    check: str
    passed: bool
    word: str = ""


class Ladder(SQLModel, table=True):
    """Rungs toward a goal, and the one the athlete stands on.

    `stopped` holds the reason a pain rule ended the movement, '' while it runs. `drawn` is the
    number of the sketch that stands. What counts as a step is the coach's: `least_reps`,
    `least_seconds` (s), `step` (share of the demand) and `levers`, the dearest first.
    """

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    goal: str
    family: str
    school: str = "range"
    purpose: str
    level: str
    standing_id: UUID | None = Field(
        default=None,
        sa_column=Column(
            ForeignKey(
                "rung.id",
                name="fk_ladder_standing_id",
                ondelete="SET NULL",
                use_alter=True,
                deferrable=True,
            )
        ),
    )
    stopped: str = ""
    least_reps: float = LEAST_USEFUL["reps"]
    least_seconds: float = LEAST_USEFUL["s"]
    step: float = WANTED_STEP
    levers: list[str] = Field(
        default_factory=lambda: list(LEVERS), sa_column=Column(ARRAY(Text), nullable=False)
    )
    drawn: int = 0
    created_at: datetime = instant()


class Sketch(SQLModel, table=True):
    """A ladder as it was drawn at one time, `number` counting its edits; kept so that an edit can
    be undone. `document` holds the drawing."""

    __table_args__ = (UniqueConstraint("ladder_id", "number"),)

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    ladder_id: UUID = Field(foreign_key="ladder.id", ondelete="CASCADE")
    number: int
    at: datetime = instant()
    word: str
    document: dict[str, Any] = json_column()


class SetUp(SQLModel):
    """A movement with what is changed about it, as the core's `Modifiers` write it."""

    movement: str
    changes: dict[str, Any] = json_column()


class Rung(SetUp, table=True):
    """A set-up with its dose and its gate, at a position counted from 0 at the foot."""

    __table_args__ = (
        UniqueConstraint("ladder_id", "position", deferrable=True),
        one_of("unit", "reps", "s", "cm"),
    )

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    ladder_id: UUID = Field(foreign_key="ladder.id", ondelete="CASCADE")
    position: int
    name: str
    sets: int
    low: int
    high: int
    unit: str
    rest_s: int
    effort: float
    gate_sets: int
    gate_amount: int
    gate_effort: float
    gate_sessions: int
    why: str = ""


class Tie(SQLModel, table=True):
    """One steps from a lower rung to an upper one of the same ladder."""

    lower_id: UUID = Field(foreign_key="rung.id", ondelete="CASCADE", primary_key=True)
    upper_id: UUID = Field(foreign_key="rung.id", ondelete="CASCADE", primary_key=True, index=True)


class Test(Dated, Computed, SetUp, table=True):
    """A best set of strict reps, or a longest hold in seconds, with the capacity it was read as."""

    __table_args__ = (
        within("amount", 0.5, 3600),
        within("effort", 1, 10),
        one_of("side", "", "left", "right"),
    )

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    amount: float
    effort: float
    side: str = ""
    result: dict[str, Any] = json_column()


class Placement(Dated, Computed, table=True):
    """Where new evidence put the athlete on a ladder: capacity with its range and unit, told by
    evidence of a day; `result` holds it whole, with how it came about."""

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


class TrainingSession(Dated, table=True):
    """What an athlete did on one occasion, of one ladder or of several. Its id is made by the
    device, or told with a planned day, so that two devices at one session write into one.

    Once it is finished, `of_sets` is the mean effort of its standing sets and `lasted_s` the
    seconds from its opening to the last of them; see `invelo.store.sums`.
    """

    __tablename__ = "training_session"
    __table_args__ = (
        Index("ix_training_session_athlete_id_at", "athlete_id", "at"),
        Index(
            "ix_training_session_load",
            "athlete_id",
            "local_date",
            postgresql_include=["effort", "of_sets", "lasted_s"],
            postgresql_where=text("finished_at IS NOT NULL"),
        ),
        within("effort", 1, 10),
    )

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE")
    name: str
    finished_at: datetime | None = instant(nullable=True)
    effort: float | None = None
    of_sets: float | None = None
    lasted_s: float | None = None


class LoggedSet(Dated, SetUp, table=True):
    """One set as it was logged: never changed, corrected by a new row that names the old.

    `at` is when it was done, `server_at` when we heard of it; `skew_s` is by how many seconds the
    device's own clock stood behind ours, where that was too much to believe it. `amount` holds
    full reps (or seconds, or cm), `partial` reps that fell short; `least` and `most` bound a count
    told from memory. `asked_low` and `asked_high` are what the set was to be. `rung_id` is empty
    for a movement off any ladder.
    """

    __tablename__ = "logged_set"
    __table_args__ = (
        Index("ix_logged_set_session_id", "session_id"),
        Index("ix_logged_set_rung_id", "rung_id"),
        Index("ix_logged_set_corrects", "corrects", postgresql_where=text("corrects IS NOT NULL")),
        within("number", 1, 99),
        within("amount", 0, 3600),
        within("effort", 1, 10),
        within("pain", 0, 10),
        within("partial", 0, 200),
        one_of("kind", "work", "easy", "drop", "piece", "single", "cluster"),
        one_of("side", "", "left", "right"),
        CheckConstraint("least <= amount AND amount <= most", "about"),
    )

    id: UUID = Field(primary_key=True)
    session_id: UUID = Field(foreign_key="training_session.id", ondelete="CASCADE")
    rung_id: UUID | None = Field(default=None, foreign_key="rung.id", ondelete="CASCADE")
    item: str = ""
    kind: str = "work"
    side: str = ""
    number: int
    amount: float
    least: float | None = None
    most: float | None = None
    partial: int = 0
    asked_low: int | None = None
    asked_high: int | None = None
    effort: float
    clean: bool
    faults: list[str] = Field(default_factory=list, sa_column=Column(ARRAY(Text), nullable=False))
    felt_in: list[str] = Field(default_factory=list, sa_column=Column(ARRAY(Text), nullable=False))
    pain: int
    pain_place: str
    note: str = ""
    corrects: UUID | None = Field(
        default=None,
        sa_column=Column(ForeignKey("logged_set.id", ondelete="CASCADE", deferrable=True)),
    )
    server_at: datetime = instant()
    skew_s: float | None = None
