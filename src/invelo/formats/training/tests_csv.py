"""Tests as CSV: best sets and longest holds, out and in."""

import json
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from datetime import date, datetime
from typing import Any, get_args

from invelo.domain.catalogue.catalogue import catalogue, find_test
from invelo.domain.catalogue.movement import Movement
from invelo.domain.errors import InputError
from invelo.domain.training.log import OneSide
from invelo.formats import csv_table
from invelo.formats.csv_table import Cells, Columns, Table, day_of, moment_of, number_of, word_of
from invelo.formats.training.log_csv import find_movement

COLUMNS = Columns(
    names=(
        "date",
        "time",
        "time zone",
        "movement",
        "set-up",
        "amount",
        "unit",
        "rpe",
        "side",
        "done as",
    ),
    also={
        "date": ("day", "tested on"),
        "movement": ("exercise", "test", "movement name"),
        "set-up": ("changes", "setup"),
        "amount": ("reps", "seconds", "result", "best"),
        "rpe": ("effort", "how hard"),
        "time zone": ("zone", "time_zone"),
    },
    wanted=("date", "movement", "amount"),
)
SIDES: dict[str, OneSide] = {side: side for side in get_args(OneSide)}


@dataclass(frozen=True)
class CsvTest:
    """A test as a row tells it; `row` counts as a spreadsheet does, the header being 1."""

    row: int
    day: date
    at: datetime
    movement: Movement
    changes: dict[str, Any]
    amount: float
    rpe: float
    side: OneSide
    kind: str


def written(rows: Iterable[Mapping[str, object]]) -> str:
    """Tests as CSV."""
    return csv_table.written(COLUMNS, rows)


def read(content: bytes, time_zone: str, given: Mapping[str, str] | None = None) -> Table[CsvTest]:
    """The tests in a CSV file; nothing is kept by reading.

    Args:
        content: the file.
        time_zone: IANA zone of rows that tell none.
        given: our column to theirs, where names do not tell; '' leaves one out.

    Raises:
        InputError: for what is no CSV in UTF-8, has no rows, too many, or lacks a column.
    """
    return csv_table.read(content, COLUMNS, lambda row, cells: _test(row, cells, time_zone), given)


def _test(row: int, cells: Cells, time_zone: str) -> CsvTest:
    day = day_of(cells.get("date", ""))
    said = cells.get("movement", "")
    movement_id = find_movement(said)
    if not movement_id:
        raise InputError(
            "movement",
            f"“{said[:40]}” is no movement, or several bear it.",
            "Write its name as the catalogue does.",
        )
    movement = catalogue().find_movement(movement_id)
    unit = cells.get("unit", "") or movement.unit
    if unit != movement.unit:
        raise InputError(
            "unit", f"the {movement.name.lower()} is told in {movement.unit}.", "Leave it out."
        )
    return CsvTest(
        row=row,
        day=day,
        at=moment_of(day, cells.get("time", ""), cells.get("time zone", "") or time_zone),
        movement=movement,
        changes=_changes(cells.get("set-up", "")),
        amount=number_of(cells, "amount", None, 0.5, 3600),
        rpe=number_of(cells, "rpe", 10.0, 1, 10),
        side=SIDES[word_of(cells, "side", "", tuple(SIDES))],
        kind=find_test(said).id if (said := cells.get("done as", "")) else "",
    )


def _changes(words: str) -> dict[str, Any]:
    """What is changed about the movement, as JSON; nothing where the cell is empty."""
    if not words:
        return {}
    try:
        changes = json.loads(words)
    except ValueError:
        changes = None
    if not isinstance(changes, dict):
        raise InputError("set-up", "it is no JSON object.", "Leave it as it came, or empty.")
    return changes
