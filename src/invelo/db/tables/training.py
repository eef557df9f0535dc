"""What was done, and what devices tell of it."""

from datetime import datetime
from typing import Any, get_args
from uuid import UUID, uuid4

from sqlalchemy import (
    ARRAY,
    CheckConstraint,
    Column,
    ForeignKey,
    Index,
    LargeBinary,
    Text,
    text,
)
from sqlalchemy.dialects.postgresql import JSONB
from sqlmodel import Field, SQLModel

from invelo.db.columns import Dated, SetUpColumns, instant, json_column, one_of, within
from invelo.domain.training.log import SetKind


class TrainingSessionRow(Dated, table=True):
    """What an athlete did on one occasion, of one ladder or of several. Its id is made by the
    device, or told with a planned day, so that two devices at one session write into one.

    Once it is finished, `mean_set_rpe` is the mean effort of its standing sets and `duration_s` the
    seconds from its opening to the last of them; see `invelo.services.training.sums`. `asked` holds
    by ladder what it was to be: see `invelo.services.ladder.prescribed`.
    """

    __tablename__ = "training_session"
    __table_args__ = (
        Index("ix_training_session_athlete_id_at", "athlete_id", "at"),
        Index(
            "ix_training_session_load",
            "athlete_id",
            "local_date",
            postgresql_include=["rpe", "mean_set_rpe", "duration_s"],
            postgresql_where=text("finished_at IS NOT NULL"),
        ),
        within("rpe", 1, 10),
    )

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE")
    name: str
    finished_at: datetime | None = instant(nullable=True)
    rpe: float | None = None
    mean_set_rpe: float | None = None
    duration_s: float | None = None
    asked: dict[str, Any] = Field(default_factory=dict, sa_column=Column(JSONB, nullable=False))


class LoggedSetRow(Dated, SetUpColumns, table=True):
    """One set as it was logged: never changed, corrected by a new row that names the old.

    `at` is when it was done, `server_at` when we heard of it; `skew_s` is by how many seconds the
    device's own clock stood behind ours, where that was too much to believe it. `amount` holds
    full reps (or seconds, or cm), `partial` reps that fell short; `least` and `most` bound a count
    told from memory. `prescribed_min`, `prescribed_max` and `prescribed_rpe` are what
    the set was to be, `prescribed_open` whether it was to go on to its end. `rung_id`
    is empty for a movement off any ladder.
    """

    __tablename__ = "logged_set"
    __table_args__ = (
        Index("ix_logged_set_session_id", "session_id"),
        Index("ix_logged_set_rung_id", "rung_id"),
        Index(
            "ix_logged_set_corrects_set_id",
            "corrects_set_id",
            postgresql_where=text("corrects_set_id IS NOT NULL"),
        ),
        within("number", 1, 99),
        within("amount", 0, 3600),
        within("rpe", 1, 10),
        within("pain", 0, 10),
        within("partial", 0, 200),
        one_of("kind", *get_args(SetKind)),
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
    prescribed_min: int | None = None
    prescribed_max: int | None = None
    prescribed_rpe: float | None = None
    prescribed_open: bool = False
    rpe: float
    form_ok: bool
    faults: list[str] = Field(default_factory=list, sa_column=Column(ARRAY(Text), nullable=False))
    felt_in: list[str] = Field(default_factory=list, sa_column=Column(ARRAY(Text), nullable=False))
    pain: int
    pain_place: str
    note: str = ""
    corrects_set_id: UUID | None = Field(
        default=None,
        sa_column=Column(ForeignKey("logged_set.id", ondelete="CASCADE", deferrable=True)),
    )
    server_at: datetime = instant()
    skew_s: float | None = None
    author_id: UUID | None = Field(default=None, foreign_key="account.id")


class CheckInRow(Dated, table=True):
    """How an athlete comes to a day, as the domain's `CheckIn` writes it; the newest speaks."""

    __tablename__ = "check_in"
    __table_args__ = (Index("ix_check_in_athlete_id_local_date", "athlete_id", "local_date"),)

    id: UUID = Field(primary_key=True)
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE")
    answers: dict[str, Any] = json_column()


class SkipRow(Dated, table=True):
    """A set that was asked for and left out, with the reason."""

    __tablename__ = "skip"

    id: UUID = Field(primary_key=True)
    session_id: UUID = Field(foreign_key="training_session.id", ondelete="CASCADE", index=True)
    name: str
    number: int
    why: str


class SetMediaRow(SQLModel, table=True):
    """A photo or a short clip of a set, stripped of what it told besides the picture."""

    __tablename__ = "set_media"
    __table_args__ = (one_of("media_type", "image/jpeg", "video/webm", "video/mp4"),)

    id: UUID = Field(default_factory=uuid4, primary_key=True)
    set_id: UUID = Field(foreign_key="logged_set.id", ondelete="CASCADE", unique=True)
    media_type: str
    content: bytes = Field(sa_type=LargeBinary)
    kept_at: datetime = instant()


class WhereaboutsRow(SQLModel, table=True):
    """Where in a session an athlete is, as their device says; for whoever watches."""

    __tablename__ = "whereabouts"

    session_id: UUID = Field(
        foreign_key="training_session.id", ondelete="CASCADE", primary_key=True
    )
    athlete_id: UUID = Field(foreign_key="athlete.id", ondelete="CASCADE", index=True)
    state: str
    doing: str
    set_number: int
    set_count: int
    step: int
    steps: int
    at: datetime = instant()
