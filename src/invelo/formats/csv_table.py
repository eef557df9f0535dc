"""Tables as CSV (RFC 4180): columns matched by name, each bad row told, no formula ever.

What would begin a formula goes out behind an apostrophe, which is taken off again on the way in.
"""

import csv
from collections.abc import Callable, Iterable, Mapping, Sequence
from dataclasses import dataclass
from datetime import date, datetime, time
from io import StringIO
from typing import Generic, TypeVar
from zoneinfo import ZoneInfo

from invelo.domain.errors import InputError

FIRST_YEAR, LAST_YEAR = 1970, 2200
MOST_ROWS = 5000
MOST_CELL = 500
FORMULA = ("=", "+", "-", "@", "\t", "\r", "＝", "＋", "－", "＠")
"""What begins a formula, full-width signs too, which some spreadsheets read alike."""
NOON = time(12, 0)

Cells = Mapping[str, str]
Row = TypeVar("Row")


@dataclass(frozen=True)
class Columns:
    """Which columns a table has.

    Attributes:
        names: ours, in order.
        also: what else each may be called.
        wanted: without which no row is read.
    """

    names: tuple[str, ...]
    also: Mapping[str, tuple[str, ...]]
    wanted: tuple[str, ...]


@dataclass(frozen=True)
class BadRow:
    """A row that cannot be read, and why."""

    row: int
    field: str
    problem: str
    remedy: str


@dataclass(frozen=True)
class Table(Generic[Row]):
    """What a file holds.

    Attributes:
        header: its columns, as they stand.
        matching: the file's column of each of ours that was found.
        rows: those that can be read, in the file's order.
        bad: those that cannot.
    """

    header: tuple[str, ...]
    matching: dict[str, str]
    rows: tuple[Row, ...]
    bad: tuple[BadRow, ...]


def plain(value: object) -> str:
    """A cell that no spreadsheet takes for a formula."""
    words = "" if value is None else str(value)
    return f"'{words}" if words.startswith((*FORMULA, "'")) else words


def written(columns: Columns, rows: Iterable[Mapping[str, object]]) -> str:
    """Rows as CSV with our columns."""
    made = StringIO()
    writer = csv.writer(made)  # RFC 4180: commas, quotes where needed, CRLF
    writer.writerow(columns.names)
    for row in rows:
        writer.writerow([plain(row.get(name, "")) for name in columns.names])
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


def matched(columns: Columns, header: Iterable[str], given: Mapping[str, str]) -> dict[str, str]:
    """Which column of a file is which of ours: as the coach says, else by name.

    Raises:
        InputError: for a column that is not there.
    """
    there = {name.strip().casefold(): name for name in header}
    headings: dict[str, str] = {}
    for ours, theirs in given.items():
        if ours not in columns.names:
            raise InputError("matching", f"“{ours}” is no column of ours.", "Leave it out.")
        if theirs and theirs.strip().casefold() not in there:
            raise InputError("matching", f"the file has no column “{theirs}”.", "Pick another.")
        if theirs:
            headings[ours] = there[theirs.strip().casefold()]
    for ours in columns.names:
        if ours in given:
            continue
        for name in (ours, *columns.also.get(ours, ())):
            if name in there and there[name] not in headings.values():
                headings[ours] = there[name]
                break
    return headings


def by_row(bad: Iterable[BadRow]) -> tuple[BadRow, ...]:
    """Bad rows in the order of the file."""
    return tuple(sorted(bad, key=lambda bad_row: bad_row.row))


def require_none(bad: Sequence[BadRow]) -> None:
    """Let no file be kept while a row of it is bad.

    Raises:
        InputError: naming the first bad row.
    """
    if bad:
        first = bad[0]
        raise InputError(
            f"row {first.row}, {first.field}", first.problem, f"{first.remedy} Nothing is kept."
        )


def read(
    content: bytes,
    columns: Columns,
    row_of: Callable[[int, Cells], Row],
    given: Mapping[str, str] | None = None,
    also_missing: Callable[[Iterable[str]], list[str]] = lambda _: [],
) -> Table[Row]:
    """The rows of a CSV file; nothing is kept by reading.

    Args:
        content: the file.
        columns: of ours.
        row_of: makes a row of its number, the header being 1, and its cells by our columns.
        given: our column to theirs, where names do not tell; '' leaves one out.
        also_missing: columns that are missing besides the wanted ones, given those found.

    Raises:
        InputError: for what is no CSV in UTF-8, has no rows, too many, or lacks a column.
    """
    text = text_of(content)
    try:
        rows = list(csv.reader(StringIO(text), delimiter=_delimiter(text)))
    except csv.Error as error:
        raise InputError("file", f"{error}.", "Save it as CSV in UTF-8.") from error
    rows = [row for row in rows if any(cell.strip() for cell in row)]
    if len(rows) < 2:
        raise InputError("file", "it holds no rows under its header.", "Send at least one.")
    if len(rows) - 1 > MOST_ROWS:
        raise InputError("file", f"it holds {len(rows) - 1} rows.", f"Send {MOST_ROWS} at most.")
    header = tuple(cell.strip() for cell in rows[0])
    matching = matched(columns, header, given or {})
    missing = [name for name in columns.wanted if name not in matching]
    missing += also_missing(matching)
    if missing:
        raise InputError(
            "matching",
            f"no column is known for: {', '.join(missing)}.",
            "Say which column of the file it is.",
        )
    at = {ours: header.index(theirs) for ours, theirs in matching.items()}
    good: list[Row] = []
    bad: list[BadRow] = []
    for number, row in enumerate(rows[1:], start=2):
        cells = {ours: _cell(row, i) for ours, i in at.items()}
        try:
            _not_too_long(cells)
            good.append(row_of(number, cells))
        except InputError as error:
            bad.append(BadRow(number, error.field, error.problem, error.remedy))
    return Table(header, matching, tuple(good), tuple(bad))


def _not_too_long(cells: Cells) -> None:
    for name, words in cells.items():
        if len(words) > MOST_CELL:
            raise InputError(name, f"it is over {MOST_CELL} letters.", "Shorten it.")


def _delimiter(text: str) -> str:
    first = text.split("\n", 1)[0]
    return max(",;\t", key=first.count)


def _cell(row: list[str], index: int) -> str:
    words = row[index].strip() if index < len(row) else ""
    return words[1:] if words.startswith("'") else words


def day_of(words: str) -> date:
    """A day from its cell, ISO 8601.

    Raises:
        InputError: for what is none.
    """
    try:
        day = date.fromisoformat(words)
    except ValueError:
        raise InputError("date", f"“{words[:20]}” is no date.", "Write 2026-03-02.") from None
    if not FIRST_YEAR <= day.year <= LAST_YEAR:
        raise InputError("date", f"the year {day.year} is none of ours.", "Write 2026-03-02.")
    return day


def moment_of(day: date, words: str, time_zone: str) -> datetime:
    """When on a day, by its cell and an IANA zone; noon where no time is told.

    Raises:
        InputError: for what is none.
    """
    try:
        there = time.fromisoformat(words) if words else NOON
        return datetime.combine(day, there.replace(tzinfo=None), ZoneInfo(time_zone))
    except ValueError:
        raise InputError("time", f"“{words[:20]}” is no time.", "Write 18:30.") from None
    except (KeyError, OSError):
        raise InputError(
            "time zone",
            f"“{time_zone[:40]}” is not known.",
            "Give an IANA name such as Europe/Lisbon.",
        ) from None


def number_of(cells: Cells, name: str, usual: float | None, low: float, high: float) -> float:
    """A number within its ends; the usual one where the cell is empty.

    Raises:
        InputError: for what is none, or where there is no usual one.
    """
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


def word_of(cells: Cells, name: str, usual: str, known: tuple[str, ...]) -> str:
    """One of a few words, whatever its case.

    Raises:
        InputError: for another.
    """
    words = cells.get(name, "").casefold() or usual
    also = {"true": "yes", "1": "yes", "y": "yes", "false": "no", "0": "no", "n": "no"}
    words = also.get(words, words) if "yes" in known else words
    if words not in known:
        raise InputError(
            name, f"“{words[:20]}” is none.", f"Use {', '.join(word for word in known if word)}."
        )
    return words
