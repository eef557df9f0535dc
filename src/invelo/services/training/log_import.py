"""A file of logged sets: whose rows are new, which are there already, which need a word."""

from collections import Counter
from collections.abc import Sequence
from dataclasses import dataclass, field
from datetime import UTC, date, datetime
from typing import Literal
from uuid import UUID

from pydantic import TypeAdapter
from sqlmodel import Session

from invelo.db import access
from invelo.db.moment import Moment
from invelo.db.queries import ladder_rows, training_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.background import BackgroundTaskRow
from invelo.db.tables.ladder import RungRow
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers, Movement
from invelo.domain.errors import InputError
from invelo.domain.training import known_sets
from invelo.formats import csv_table
from invelo.formats.csv_table import BadRow
from invelo.formats.training import log_csv
from invelo.services import background
from invelo.services.equipment import bands
from invelo.services.training import retrospective_log
from invelo.services.training.floor import SetEntry
from invelo.services.training.retrospective_log import WholeSession, numbered, row_id

LARGE = 500
"""Rows from which on a file is written by a worker (ours: a second or two)."""

GUESSES = 5
"""Movements that are offered for a name nobody here uses (ours)."""

Doubt = Literal["ask", "known", "new"]
"""What rows are that are like a logged set but of another time."""


@dataclass(frozen=True)
class LogQuestion:
    """How a file is to be read.

    Attributes:
        matching: our column to the file's, where the names do not tell.
        doubtful: what rows are that are like a logged set.
        names: movements by what the file calls them; '' leaves such rows out.
        without_bad: whether the others are kept where some rows cannot be.
    """

    matching: dict[str, str]
    doubtful: Doubt = "ask"
    names: dict[str, str] = field(default_factory=dict)
    without_bad: bool = False


QUESTION: TypeAdapter[LogQuestion] = TypeAdapter(LogQuestion)


@dataclass(frozen=True)
class Doubtful:
    """A row that is like a logged set but of another time."""

    row: int
    movement: str
    amount: float
    logged_at: datetime


@dataclass(frozen=True)
class UnknownName:
    """What a file calls a movement that nobody here does.

    Attributes:
        words: as the file has them.
        rows: how many have them.
        guesses: movements that may be meant, the likeliest first.
    """

    words: str
    rows: int
    guesses: tuple[Movement, ...]


@dataclass(frozen=True)
class LogImport:
    """What a file comes to.

    Attributes:
        sessions: with the sets that are new.
        known: how many rows are logged already.
        doubtful: rows that may be.
        bad: rows that cannot be kept.
        unknown: names that are to be matched.
        left_out: rows that were left out on purpose.
    """

    sessions: tuple[WholeSession, ...]
    known: int
    doubtful: tuple[Doubtful, ...]
    bad: tuple[BadRow, ...]
    unknown: tuple[UnknownName, ...] = ()
    left_out: int = 0

    @property
    def new(self) -> int:
        """Sets that are not there yet."""
        return sum(len(session.sets) for session in self.sessions)


@dataclass(frozen=True)
class _Row:
    """A row that can be kept, with what it is of the athlete's."""

    csv: log_csv.CsvSet
    movement: str
    entry: SetEntry

    @property
    def known_set(self) -> known_sets.KnownSet:
        return known_sets.KnownSet(
            self.csv.set_id or self.entry.id,
            self.movement,
            self.csv.count.amount,
            self.entry.draft.side,
            self.csv.at,
            self.csv.day,
        )


def read(
    db: Session,
    athlete: AthleteRow,
    table: log_csv.Read,
    asked: LogQuestion,
    now: datetime,
) -> LogImport:
    """What a file's sets come to; nothing is written.

    Args:
        db, athlete: the transaction, and whose file it is.
        table: its rows.
        asked: how it is to be read.
        now: no set may be of a later time.
    """
    bad = list(table.bad)
    unknown: Counter[str] = Counter()
    dropped = {said.casefold() for said, movement in asked.names.items() if not movement}
    kept = [each for each in table.rows if _said(each).casefold() not in dropped]
    rows = _rows(db, athlete, kept, now, unknown, bad)
    logged, session_of = _logged(db, athlete, rows)
    matches = known_sets.match(logged, [row.known_set for row in rows])
    own_bands = bands.of_athlete(db, athlete.id)
    doubtful, known = [], 0
    groups: dict[tuple[date, str], list[_Row]] = {}
    there: dict[tuple[date, str], UUID] = {}
    for row, match in zip(rows, matches, strict=True):
        group = (row.csv.day, row.csv.session)
        taken = match.known or (match.doubtful if asked.doubtful == "known" else None)
        if taken is not None and taken.id is not None:
            known += 1
            there.setdefault(group, session_of[taken.id])
            continue
        try:
            row.entry.draft.set_up(catalogue().find_movement(row.movement), Modifiers(), own_bands)
        except InputError as error:
            bad.append(BadRow(row.csv.row, error.field, error.problem, error.remedy))
            continue
        if match.doubtful is not None:
            like = match.doubtful
            doubtful.append(Doubtful(row.csv.row, row.movement, like.amount, like.at))
        groups.setdefault(group, []).append(row)
    sessions = [_session(athlete, those, there.get(group)) for group, those in groups.items()]
    return LogImport(
        tuple(sessions),
        known,
        tuple(doubtful),
        csv_table.by_row(bad),
        tuple(
            UnknownName(said, count, catalogue().finder.find(said, GUESSES))
            for said, count in unknown.most_common()
        ),
        len(table.rows) - len(kept),
    )


def _said(csv_set: log_csv.CsvSet) -> str:
    return csv_set.movement or csv_set.rung


def _rows(
    db: Session,
    athlete: AthleteRow,
    sets: list[log_csv.CsvSet],
    now: datetime,
    unknown: Counter[str],
    bad: list[BadRow],
) -> list[_Row]:
    """What the rows mean; names that mean nothing are counted, rows that cannot be are said."""
    names = _RungNames.of(db, athlete)
    rows: list[_Row] = []
    seen: dict[tuple[object, ...], int] = {}
    for csv_set in sets:
        if not _means_something(names, csv_set):
            unknown[_said(csv_set)] += 1
        try:
            rows.append(_row(athlete, names, csv_set, seen, now))
        except InputError as error:
            bad.append(BadRow(csv_set.row, error.field, error.problem, error.remedy))
    return rows


def keep(
    db: Session, athlete: AthleteRow, file: LogImport, asked: LogQuestion, now: datetime
) -> None:
    """Write what is new of a file: all of it, or all but the rows that cannot be kept where that
    was said.

    Raises:
        InputError: for a row that cannot be kept, or that needs a word.
        ConflictError: for an id that is in use.
    """
    _require_clear(file, asked)
    retrospective_log.keep(db, athlete, file.sessions, now)


def keep_later(
    db: Session,
    athlete: AthleteRow,
    file: LogImport,
    asked: LogQuestion,
    content: bytes,
    now: datetime,
) -> BackgroundTaskRow:
    """Have a worker write what is new of a large file.

    Raises:
        InputError: for a row that cannot be kept, or that needs a word.
        ConflictError: while another file is being read in for the athlete.
    """
    _require_clear(file, asked)
    question = QUESTION.dump_python(asked, mode="json")
    return background.ask(db, "log_file", athlete.id, question, now, content)


def keep_file(db: Session, task_id: UUID, now: datetime) -> None:
    """Do what `keep_later` asked for; once, however often it is tried.

    Raises:
        InputError, ConflictError: where the file cannot be kept any more.
    """
    row = db.get(BackgroundTaskRow, task_id)
    if row is None or row.athlete_id is None or row.content is None:
        return
    athlete = db.get_one(AthleteRow, row.athlete_id)
    asked = QUESTION.validate_python(row.question)
    table = log_csv.read(row.content, athlete.time_zone, asked.matching, asked.names)
    access.lock(db, athlete)
    row = background.to_finish(db, task_id)
    if row is not None:
        file = read(db, athlete, table, asked, now)
        keep(db, athlete, file, asked, now)
        background.finish(db, row, {"new": file.new, "known": file.known}, now)


def _require_clear(file: LogImport, asked: LogQuestion) -> None:
    if not asked.without_bad:
        csv_table.require_none(file.bad)
    if file.doubtful and asked.doubtful == "ask":
        raise InputError(
            f"row {file.doubtful[0].row}",
            "a set like it is logged already, at another time.",
            "Say whether such rows are the same sets or others. Nothing is kept.",
        )


@dataclass(frozen=True)
class _RungNames:
    """An athlete's rungs by name, in lower case; the oldest ladder's first."""

    rungs: dict[str, RungRow]

    @classmethod
    def of(cls, db: Session, athlete: AthleteRow) -> "_RungNames":
        by_name: dict[str, RungRow] = {}
        for row in ladder_rows.rungs_of_athlete(db, athlete.id):
            by_name.setdefault(row.name.casefold(), row)
        return cls(by_name)


def _means_something(names: _RungNames, csv_set: log_csv.CsvSet) -> bool:
    """Whether a row names a rung of theirs or a movement."""
    said = csv_set.rung or csv_set.movement
    return said.casefold() in names.rungs or bool(log_csv.find_movement(csv_set.movement))


def _row(
    athlete: AthleteRow,
    names: _RungNames,
    csv_set: log_csv.CsvSet,
    seen: dict[tuple[object, ...], int],
    now: datetime,
) -> _Row:
    rung = names.rungs.get((csv_set.rung or csv_set.movement).casefold())
    movement = log_csv.find_movement(csv_set.movement) if rung is None else rung.movement
    if not movement:
        said = csv_set.movement or csv_set.rung
        raise InputError(
            "movement",
            f"“{said[:40]}” is no rung of {athlete.name}'s and no movement, or several bear it.",
            "Write its name as the catalogue does.",
        )
    if csv_set.at.astimezone(UTC) > now:
        raise InputError("date", "it has not come yet.", "Give a day that is over.")
    done = csv_set.draft
    key = (
        *(csv_set.day, csv_set.session, csv_set.movement, csv_set.rung),
        *(done.number, done.side, done.kind),
    )
    seen[key] = seen.get(key, 0) + 1
    named = {"rung_id": rung.id} if rung else {"movement": movement}
    entry = SetEntry(
        row_id(athlete.id, *key, seen[key]),
        done.model_copy(update={"rung_id": None, "movement": None, **named}),
        Moment(csv_set.at, str(csv_set.at.tzinfo)),
    )
    return _Row(csv_set, movement, entry)


def _logged(
    db: Session, athlete: AthleteRow, rows: Sequence[_Row]
) -> tuple[list[known_sets.KnownSet], dict[UUID, UUID]]:
    """The sets that stand on a file's days, and the session of each."""
    if not rows:
        return [], {}
    days = [row.csv.day for row in rows]
    logged, session_of = [], {}
    for set_id, session_id, movement, amount, side, at, day in training_rows.sets_between(
        db, athlete.id, min(days), max(days)
    ):
        logged.append(known_sets.KnownSet(set_id, movement, amount, side, at, day))
        session_of[set_id] = session_id
    return logged, session_of


def _session(athlete: AthleteRow, rows: Sequence[_Row], there: UUID | None) -> WholeSession:
    """A session of what is new in it; it goes on with one whose other sets are logged already."""
    first = rows[0].csv
    rpe = next((row.csv.session_rpe for row in rows if row.csv.session_rpe), None)
    return WholeSession(
        there or row_id(athlete.id, "session", first.day, first.session),
        first.session,
        Moment(first.at, str(first.at.tzinfo)),
        rpe,
        numbered([row.entry for row in rows]),
    )
