"""Athletes, what is known of them, and what they were tested on."""

from datetime import date, datetime
from typing import Any, Literal
from uuid import UUID, uuid4

from sqlalchemy import (
    ARRAY,
    Column,
    Index,
    Text,
    text,
)
from sqlmodel import Field, SQLModel

from invelo.db.columns import (
    Computed,
    Dated,
    SetUpColumns,
    Versioned,
    instant,
    json_column,
    one_of,
    within,
)


class AthleteRow(SQLModel, table=True):
    """Who trains. `consent_on` is the day they agreed that their records are kept. `routine` says
    whether small changes inside a rung are done by themselves, and how many a ladder and week.
    Whoever is put away (`archived_at`) stands in no squad and is reviewed by nobody. Letters go to
    `email`, unless the athlete stopped them; whoever has `letters_key` may stop them, no more."""

    __tablename__ = "athlete"
    __table_args__ = (within("routine_per_week", 0, 7),)

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    name: str
    time_zone: str
    note: str = ""
    consent_on: date
    created_at: datetime = instant()
    archived_at: datetime | None = instant(nullable=True)
    routine: bool = True
    routine_per_week: int = 1
    email: str = ""
    letters_stopped_at: datetime | None = instant(nullable=True)
    letters_key: UUID = Field(default_factory=uuid4, unique=True)


class AthleteAccessRow(SQLModel, table=True):
    """Who may see or change an athlete: the one place that says so."""

    __tablename__ = "athlete_access"
    __table_args__ = (one_of("role", "owner", "coach", "reader"),)

    account_id: UUID = Field(foreign_key="account.id", ondelete="CASCADE", primary_key=True)
    athlete_id: UUID = Field(
        foreign_key="athlete.id", ondelete="CASCADE", primary_key=True, index=True
    )
    role: str


class PersonRow(Versioned, table=True):
    """What an athlete wants and has, as the domain's `Person` writes it."""

    __tablename__ = "person"

    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", primary_key=True)
    answers: dict[str, Any] = json_column()
    updated_at: datetime = instant()


class BodyMeasurementRow(Dated, table=True):
    """Body mass, stature and whatever limb lengths (m) were measured on a day; and what a household
    scale said of the body, the same on every day."""

    __tablename__ = "body_measurement"

    __table_args__ = (within("mass_kg", 20, 300), within("stature_m", 1, 2.4))

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    mass_kg: float
    stature_m: float
    lengths: dict[str, float] = json_column()
    hands_log: float | None = None
    hands_sd: float | None = None


class ScaleCheckRow(Dated, Computed, table=True):
    """What a household scale said of a body (`inputs` the readings); accepted, it stands with every
    measure of the body until it is undone."""

    __tablename__ = "scale_check"

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    hands_log: float
    hands_sd: float
    accepted_at: datetime | None = instant(nullable=True)
    undone_at: datetime | None = instant(nullable=True)


class ScreeningRow(Dated, Computed, table=True):
    """What an athlete said of themselves (`inputs`), and what follows; the newest one speaks."""

    __tablename__ = "screening"

    __table_args__ = (one_of("outcome", "unasked", "go", "limits", "doctor"),)

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    outcome: str
    findings: list[dict[str, Any]] = json_column()


class ClearanceRow(Dated, table=True):
    """What a doctor or clinician said, as the coach recorded it; never changed."""

    __tablename__ = "clearance"

    id: UUID = Field(primary_key=True)
    screening_id: UUID = Field(foreign_key="screening.id", ondelete="CASCADE", index=True)
    author_id: UUID | None = Field(foreign_key="account.id", ondelete="SET NULL")
    said_by: str
    note: str
    lifts: list[str] = Field(sa_column=Column(ARRAY(Text), nullable=False))


class ReadinessRow(Dated, table=True):
    """What a readiness check showed; the newest of each speaks."""

    __tablename__ = "readiness"

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    check: str
    passed: bool
    note: str = ""


class SparedPlaceRow(Dated, table=True):
    """A place that hurt when it was told: nothing that loads it is given until it is cleared.
    `borne` is the pain up to which the coach lets it go on in spite of it."""

    __tablename__ = "spared_place"

    __table_args__ = (
        within("pain", 0, 10),
        Index("ix_spared_place_open", "athlete_id", postgresql_where=text("cleared_at IS NULL")),
    )

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    place: str
    pain: int
    cleared_at: datetime | None = instant(nullable=True)
    cleared_by: UUID | None = Field(None, foreign_key="account.id", ondelete="SET NULL")
    note: str = ""
    borne: int | None = None


class AthleteLimitRow(Dated, table=True):
    """The most of a quantity that a coach leaves open, besides what the screen says; it holds until
    its last day, or until it is ended."""

    __tablename__ = "athlete_limit"

    __table_args__ = (within("most", 0, 200),)

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    author_id: UUID | None = Field(None, foreign_key="account.id", ondelete="SET NULL")
    quantity: str
    most: float
    why: str
    until: date | None = None
    ended_at: datetime | None = instant(nullable=True)
    ended_by: UUID | None = Field(None, foreign_key="account.id", ondelete="SET NULL")


class TestRow(Dated, Computed, SetUpColumns, table=True):
    """A best set of strict reps, or a longest hold in seconds, with the capacity it was read as;
    nothing is read of what a clock, balance or a jump ends. `kind` is the catalogue's test it was
    done as, '' for none."""

    __tablename__ = "test"

    __table_args__ = (
        within("amount", 0.5, 3600),
        within("rpe", 1, 10),
        one_of("side", "", "left", "right"),
    )

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    amount: float
    rpe: float
    side: str = ""
    kind: str = ""
    result: dict[str, Any] = json_column()


Role = Literal["owner", "coach", "reader"]
"""`owner` may hand an athlete over or erase them, `coach` may write, `reader` may look."""


class AthleteLinkRow(SQLModel, table=True):
    """An athlete's private way in; its token is kept only as its SHA-256."""

    __tablename__ = "athlete_link"

    token_hash: str = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    created_at: datetime = instant()
    expires_at: datetime = instant()
    opened_at: datetime | None = instant(nullable=True)
    revoked_at: datetime | None = instant(nullable=True)


class TechniqueNoteRow(SQLModel, table=True):
    """A coach's word on how an athlete does a movement, shown as a cue from then on; pinned to the
    set it was seen in, if it was."""

    __tablename__ = "technique_note"

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    movement: str
    text: str
    set_id: UUID | None = Field(default=None, foreign_key="logged_set.id", ondelete="SET NULL")
    author_id: UUID | None = Field(default=None, foreign_key="account.id", ondelete="SET NULL")
    created_at: datetime = instant()
    retired_at: datetime | None = instant(nullable=True)
