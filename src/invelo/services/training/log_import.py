"""A file of logged sets: whose rows are new, which are there already, which need a word."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, date, datetime
from uuid import UUID

from sqlmodel import Session

from invelo.db.moment import Moment
from invelo.db.queries import ladder_rows, training_rows
from invelo.db.tables.athlete import AthleteRow
from invelo.db.tables.ladder import RungRow
from invelo.domain.errors import InputError
from invelo.domain.training import known_sets
from invelo.formats.csv_table import BadRow
from invelo.formats.training import log_csv
from invelo.services.training import retrospective_log
from invelo.services.training.floor import SetEntry
from invelo.services.training.retrospective_log import WholeSession, numbered, row_id


@dataclass(frozen=True)
class Doubtful:
    """A row that is like a logged set but of another time."""

    row: int
    movement: str
    amount: float
    logged_at: datetime


@dataclass(frozen=True)
class LogImport:
    """What a file comes to.

    Attributes:
        sessions: with the sets that are new.
        known: how many rows are logged already.
        doubtful: rows that may be.
        bad: rows that cannot be kept.
    """

    sessions: tuple[WholeSession, ...]
    known: int
    doubtful: tuple[Doubtful, ...]
    bad: tuple[BadRow, ...]

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
    def told(self) -> known_sets.Told:
        return known_sets.Told(
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
    sets: Sequence[log_csv.CsvSet],
    alike_are_known: bool,
    now: datetime,
) -> LogImport:
    """What a file's sets come to; nothing is written.

    Args:
        db, athlete: the transaction, and whose file it is.
        sets: its rows.
        alike_are_known: take a set like one of another time for the same.
        now: no set may be of a later time.
    """
    names = _RungNames.of(db, athlete)
    rows: list[_Row] = []
    bad: list[BadRow] = []
    seen: dict[tuple[object, ...], int] = {}
    for csv_set in sets:
        try:
            rows.append(_row(athlete, names, csv_set, seen, now))
        except InputError as error:
            bad.append(BadRow(csv_set.row, error.field, error.problem, error.remedy))
    logged, session_of = _logged(db, athlete, rows)
    matches = known_sets.match(logged, [row.told for row in rows])
    doubtful, known = [], 0
    groups: dict[tuple[date, str], list[_Row]] = {}
    there: dict[tuple[date, str], UUID] = {}
    for row, match in zip(rows, matches, strict=True):
        group = (row.csv.day, row.csv.session)
        taken = match.known or (match.doubtful if alike_are_known else None)
        if taken is not None and taken.id is not None:
            known += 1
            there.setdefault(group, session_of[taken.id])
            continue
        if match.doubtful is not None:
            like = match.doubtful
            doubtful.append(Doubtful(row.csv.row, row.movement, like.amount, like.at))
        groups.setdefault(group, []).append(row)
    sessions = [_session(athlete, those, there.get(group)) for group, those in groups.items()]
    return LogImport(tuple(sessions), known, tuple(doubtful), tuple(bad))


def keep(db: Session, athlete: AthleteRow, file: LogImport, now: datetime) -> None:
    """Write what is new of a file.

    Raises:
        InputError: for a set that cannot be kept.
        ConflictError: for an id that is in use.
    """
    retrospective_log.keep(db, athlete, file.sessions, now)


@dataclass(frozen=True)
class _RungNames:
    """An athlete's rungs by name, in lower case; the oldest ladder's first."""

    rungs: dict[str, RungRow]

    @classmethod
    def of(cls, db: Session, athlete: AthleteRow) -> "_RungNames":
        found: dict[str, RungRow] = {}
        for row in ladder_rows.rungs_of_athlete(db, athlete.id):
            found.setdefault(row.name.casefold(), row)
        return cls(found)


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
) -> tuple[list[known_sets.Told], dict[UUID, UUID]]:
    """The sets that stand on a file's days, and the session of each."""
    if not rows:
        return [], {}
    days = [row.csv.day for row in rows]
    logged, session_of = [], {}
    for set_id, session_id, movement, amount, side, at, day in training_rows.sets_between(
        db, athlete.id, min(days), max(days)
    ):
        logged.append(known_sets.Told(set_id, movement, amount, side, at, day))
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
