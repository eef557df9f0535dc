"""Logs as CSV (RFC 4180): out with every figure, in with columns matched and a dry run.

Nothing in a cell is ever a formula: what would begin one goes out behind an apostrophe, which is
taken off again on the way in.
"""

import csv
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from datetime import date, datetime, time, timedelta
from io import StringIO
from typing import get_args
from zoneinfo import ZoneInfo

from invelo.core.catalogue import catalogue
from invelo.core.dose import Unit
from invelo.core.errors import InputError
from invelo.core.log import OneSide, SetKind, SetRecord, Told, told

COLUMNS = (
    "date",
    "time",
    "zone",
    "session",
    "movement",
    "rung",
    "set",
    "kind",
    "side",
    "amount",
    "unit",
    "partial",
    "effort",
    "clean",
    "faults",
    "felt in",
    "pain",
    "pain place",
    "note",
    "session effort",
)
WANTED = ("date", "amount", "effort")
"""Without which no row is read; a rung or a movement besides."""

ALSO: dict[str, tuple[str, ...]] = {
    "date": ("day", "datum", "date"),
    "time": ("clock", "time of day"),
    "session": ("workout", "training", "session name"),
    "movement": ("exercise", "exercise name", "movement name"),
    "rung": ("variation", "step"),
    "set": ("set number", "set no", "set #", "no"),
    "amount": ("reps", "count", "repetitions", "seconds", "reps done", "result"),
    "partial": ("partial reps", "half reps"),
    "effort": ("rpe", "how hard", "effort 1-10"),
    "clean": ("form", "clean form"),
    "pain": ("pain 0-10",),
    "pain place": ("where", "pain where"),
    "note": ("notes", "comment", "comments", "remarks"),
    "session effort": ("session rpe", "effort of the session"),
}
KINDS: dict[str, SetKind] = {kind: kind for kind in get_args(SetKind)}
SIDES: dict[str, OneSide] = {side: side for side in get_args(OneSide)}
FIRST_YEAR, LAST_YEAR = 1970, 2200
MOST_ROWS = 5000
MOST_CELL = 500
FORMULA = ("=", "+", "-", "@", "\t", "\r")
NOON = time(12, 0)


@dataclass(frozen=True)
class CsvSet:
    """A set as a row tells it; `row` counts as a spreadsheet does, the header being 1."""

    row: int
    day: date
    at: datetime
    session: str
    movement: str
    rung: str
    number: int
    kind: SetKind
    side: OneSide
    amount: Told
    unit: Unit
    partial: int
    effort: float
    clean: bool
    faults: tuple[str, ...]
    felt_in: tuple[str, ...]
    pain: int
    pain_place: str
    note: str
    session_effort: float | None


@dataclass(frozen=True)
class BadRow:
    """A row that cannot be read, and why."""

    row: int
    field: str
    problem: str
    remedy: str


@dataclass(frozen=True)
class Read:
    """What a file holds.

    Attributes:
        header: its columns, as they stand.
        matching: the file's column of each of ours that was found.
        sets: of the rows that can be read, in the file's order.
        bad: rows that cannot.
    """

    header: tuple[str, ...]
    matching: dict[str, str]
    sets: tuple[CsvSet, ...]
    bad: tuple[BadRow, ...]


def plain(value: object) -> str:
    """A cell that no spreadsheet takes for a formula."""
    words = "" if value is None else str(value)
    return f"'{words}" if words.startswith((*FORMULA, "'")) else words


def written(rows: Iterable[Mapping[str, object]]) -> str:
    """Rows as CSV with our columns."""
    made = StringIO()
    writer = csv.writer(made)  # RFC 4180: commas, quotes where needed, CRLF
    writer.writerow(COLUMNS)
    for row in rows:
        writer.writerow([plain(row.get(name, "")) for name in COLUMNS])
    return made.getvalue()


def text_of(content: bytes) -> str:
    """A file's text.

    Raises:
        InputError: for what is not UTF-8, naming the line.
    """
    if content.startswith((b"\xff\xfe", b"\xfe\xff")):
        raise InputError("file", "it is written in UTF-16.", "Save it as CSV in UTF-8.")
    try:
        text = content.decode("utf-8-sig")
    except UnicodeDecodeError as error:
        line = content.count(b"\n", 0, error.start) + 1
        raise InputError(
            "file", f"line {line} holds letters that are not UTF-8.", "Save it as CSV in UTF-8."
        ) from error
    if "\0" in text:
        raise InputError("file", "it is no text.", "Save it as CSV in UTF-8.")
    return text


def matched(header: Iterable[str], given: Mapping[str, str]) -> dict[str, str]:
    """Which column of a file is which of ours: as the coach says, else by name.

    Raises:
        InputError: for a column that is not there.
    """
    there = {name.strip().casefold(): name for name in header}
    found: dict[str, str] = {}
    for ours, theirs in given.items():
        if ours not in COLUMNS:
            raise InputError("matching", f"“{ours}” is no column of ours.", "Leave it out.")
        if theirs and theirs.strip().casefold() not in there:
            raise InputError("matching", f"the file has no column “{theirs}”.", "Pick another.")
        if theirs:
            found[ours] = there[theirs.strip().casefold()]
    for ours in COLUMNS:
        if ours in given:
            continue
        for name in (ours, *ALSO.get(ours, ())):
            if name in there and there[name] not in found.values():
                found[ours] = there[name]
                break
    return found


def read(
    content: bytes, zone: str, given: Mapping[str, str] | None = None, delimiter: str = ""
) -> Read:
    """The sets in a CSV file; nothing is kept by reading.

    Args:
        content: the file.
        zone: IANA zone of rows that tell none.
        given: our column to theirs, where names do not tell; '' leaves one out.
        delimiter: between cells; found out if left empty.

    Raises:
        InputError: for what is no CSV in UTF-8, has no rows, too many, or lacks a column.
    """
    text = text_of(content)
    try:
        rows = list(csv.reader(StringIO(text), delimiter=delimiter or _delimiter(text)))
    except csv.Error as error:
        raise InputError("file", f"{error}.", "Save it as CSV in UTF-8.") from error
    rows = [row for row in rows if any(cell.strip() for cell in row)]
    if len(rows) < 2:
        raise InputError("file", "it holds no rows under its header.", "Send at least one set.")
    if len(rows) - 1 > MOST_ROWS:
        raise InputError("file", f"it holds {len(rows) - 1} rows.", f"Send {MOST_ROWS} at most.")
    header = tuple(cell.strip() for cell in rows[0])
    matching = matched(header, given or {})
    missing = [name for name in WANTED if name not in matching]
    if not {"movement", "rung"} & set(matching):
        missing.append("movement")
    if missing:
        raise InputError(
            "matching",
            f"no column is known for: {', '.join(missing)}.",
            "Say which column of the file it is.",
        )
    at = {ours: header.index(theirs) for ours, theirs in matching.items()}
    sets: list[CsvSet] = []
    bad: list[BadRow] = []
    for number, row in enumerate(rows[1:], start=2):
        cells = {ours: _cell(row, i) for ours, i in at.items()}
        try:
            sets.append(_set(number, cells, zone))
        except InputError as error:
            bad.append(BadRow(number, error.field, error.problem, error.remedy))
    return Read(header, matching, tuple(sets), tuple(bad))


def _delimiter(text: str) -> str:
    first = text.split("\n", 1)[0]
    return max(",;\t", key=first.count)


def _cell(row: list[str], index: int) -> str:
    words = row[index].strip() if index < len(row) else ""
    return words[1:] if words.startswith("'") else words


def _set(row: int, cells: Mapping[str, str], zone: str) -> CsvSet:
    long = next((name for name, words in cells.items() if len(words) > MOST_CELL), "")
    if long:
        raise InputError(long, f"it is over {MOST_CELL} letters.", "Shorten it.")
    day = _day(cells.get("date", ""))
    name = cells.get("movement", "")
    unit = _unit(name, cells.get("unit", ""))
    amount = told(cells.get("amount", ""), "amount")
    made = CsvSet(
        row=row,
        day=day,
        at=_at(day, cells.get("time", ""), cells.get("zone", "") or zone),
        session=cells.get("session", "") or "Session",
        movement=name,
        rung=cells.get("rung", ""),
        number=int(_number(cells, "set", 0, 0, 99)),
        kind=KINDS[_word(cells, "kind", "work", tuple(KINDS))],
        side=SIDES[_word(cells, "side", "", tuple(SIDES))],
        amount=amount,
        unit=unit,
        partial=int(_number(cells, "partial", 0, 0, 200)),
        effort=_number(cells, "effort", None, 1, 10),
        clean=_word(cells, "clean", "yes", ("yes", "no")) == "yes",
        faults=_list(cells, "faults"),
        felt_in=_list(cells, "felt in"),
        pain=int(_number(cells, "pain", 0, 0, 10)),
        pain_place=cells.get("pain place", "")[:40],
        note=cells.get("note", ""),
        session_effort=_number(cells, "session effort", 0, 0, 10) or None,
    )
    if not made.movement and not made.rung:
        raise InputError("movement", "it is empty.", "Name what was done.")
    SetRecord(
        "", amount.amount, made.effort, unit=unit, about=amount.about
    )  # the core's own limits
    return made


def _day(words: str) -> date:
    try:
        day = date.fromisoformat(words)
    except ValueError:
        raise InputError("date", f"“{words[:20]}” is no date.", "Write 2026-03-02.") from None
    if not FIRST_YEAR <= day.year <= LAST_YEAR:
        raise InputError("date", f"the year {day.year} is none of ours.", "Write 2026-03-02.")
    return day


def _at(day: date, words: str, zone: str) -> datetime:
    try:
        there = time.fromisoformat(words) if words else NOON
        return datetime.combine(day, there.replace(tzinfo=None), ZoneInfo(zone))
    except ValueError:
        raise InputError("time", f"“{words[:20]}” is no time.", "Write 18:30.") from None
    except (KeyError, OSError):
        raise InputError(
            "zone", f"“{zone[:40]}” is not known.", "Give an IANA name such as Europe/Lisbon."
        ) from None


def _unit(movement: str, words: str) -> Unit:
    units: dict[str, Unit] = {"reps": "reps", "s": "s", "cm": "cm", "seconds": "s"}
    if words:
        if words not in units:
            raise InputError("unit", f"“{words[:20]}” is none.", "Use reps, s or cm.")
        return units[words]
    found = find_movement(movement)
    return catalogue().find_movement(found).unit if found else "reps"


def find_movement(words: str) -> str:
    """The id of the movement that someone means by its name, another term or its id; '' where none
    or several bear it."""
    said = words.strip().casefold()
    found = [
        one.id
        for one in catalogue().movement
        if said in (one.id, one.name.casefold(), *(also.casefold() for also in one.also))
    ]
    exact = [one for one in found if one == said]
    return (exact or found)[0] if exact or len(found) == 1 else ""


def _number(
    cells: Mapping[str, str], name: str, usual: float | None, low: float, high: float
) -> float:
    words = cells.get(name, "")
    if not words:
        if usual is None:
            raise InputError(name, "it is empty.", f"Give {low:g} to {high:g}.")
        return usual
    try:
        value = float(words.replace(",", "."))
    except ValueError:
        value = float("nan")
    if not low <= value <= high:
        raise InputError(name, f"“{words[:20]}” is none.", f"Give {low:g} to {high:g}.")
    return value


def _word(cells: Mapping[str, str], name: str, usual: str, known: tuple[str, ...]) -> str:
    words = cells.get(name, "").casefold() or usual
    also = {"true": "yes", "1": "yes", "y": "yes", "false": "no", "0": "no", "n": "no"}
    words = also.get(words, words) if "yes" in known else words
    if words not in known:
        raise InputError(
            name, f"“{words[:20]}” is none.", f"Use {', '.join(one for one in known if one)}."
        )
    return words


def _list(cells: Mapping[str, str], name: str) -> tuple[str, ...]:
    return tuple(one.strip() for one in cells.get(name, "").split(";") if one.strip())[:6]


def after(moment: datetime, number: int) -> datetime:
    """When the n-th set of a session is taken to have been done where only its day is told."""
    return moment + timedelta(minutes=2 * number)
