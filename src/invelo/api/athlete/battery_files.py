"""Tests as files: CSV out and in, with a dry run."""

import json
from datetime import UTC, datetime
from uuid import UUID
from zoneinfo import ZoneInfo

from fastapi import APIRouter, Response

from invelo.api.common.context import Coach, Database, Now
from invelo.api.common.csv_files import (
    BadRowOut,
    CsvFile,
    CsvRead,
    csv_answer,
)
from invelo.api.common.problems import ERRORS
from invelo.db import access
from invelo.db.codec import changes_from
from invelo.db.moment import Moment
from invelo.db.tables.athlete import AthleteRow
from invelo.domain.catalogue.catalogue import catalogue, find_test
from invelo.domain.errors import InputError
from invelo.formats import csv_table
from invelo.formats.training import tests_csv
from invelo.services.athlete import battery, capacity
from invelo.services.training import retrospective_log

router = APIRouter(prefix="/api/athletes/{athlete_id}", tags=["Test files"], responses=ERRORS)

MOST_TESTS = 300
"""Tests of one file: each places the athlete anew."""


class ReadTests(CsvRead):
    """What a file of tests holds, and what became of it."""

    tests: int


@router.get("/tests/file", response_class=Response)
def get_tests_file(athlete_id: UUID, coach: Coach, db: Database) -> Response:
    """An athlete's newest tests as CSV."""
    athlete = access.athlete(db, coach.id, athlete_id)
    rows = []
    for test in capacity.tests_of(db, athlete.id):
        there = test.at.astimezone(ZoneInfo(test.time_zone))
        rows.append(
            {
                "date": test.local_date.isoformat(),
                "time": f"{there:%H:%M:%S}",
                "time zone": test.time_zone,
                "movement": test.movement,
                "set-up": json.dumps(test.changes, ensure_ascii=False, sort_keys=True),
                "amount": f"{test.amount:g}",
                "unit": catalogue().find_movement(test.movement).unit,
                "rpe": f"{test.rpe:g}",
                "side": test.side,
                "done as": test.kind,
            }
        )
    return csv_answer(tests_csv.written(rows), f"Tests of {athlete.name}")


@router.post("/tests/file")
def read_tests(athlete_id: UUID, body: CsvFile, coach: Coach, db: Database, now: Now) -> ReadTests:
    """Read a CSV of tests. A dry run tells how its columns are matched and every row that cannot be
    kept; nothing is written until all are right. The same file again changes nothing."""
    athlete = access.athlete(db, coach.id, athlete_id, roles=access.WRITE)
    table = tests_csv.read(body.content, athlete.time_zone, body.matching)
    if len(table.rows) > MOST_TESTS:
        raise InputError(
            "file", f"it holds {len(table.rows)} tests.", f"Send {MOST_TESTS} at most."
        )
    bad = list(table.bad)
    ready = []
    for row in table.rows:
        try:
            ready.append((_new(athlete, row), _moment(row, now)))
        except InputError as error:
            bad.append(csv_table.BadRow(row.row, error.field, error.problem, error.remedy))
    bad_rows = csv_table.by_row(bad)
    if body.keep:
        csv_table.require_none(bad_rows)
        for test, moment in ready:
            battery.keep_test(db, athlete, test, moment)
    return ReadTests(
        columns=list(tests_csv.COLUMNS.names),
        header=list(table.header),
        matching=table.matching,
        tests=len(ready),
        bad=[BadRowOut.model_validate(bad_row) for bad_row in bad_rows],
        kept=body.keep,
    )


def _new(athlete: AthleteRow, row: tests_csv.CsvTest) -> battery.NewTest:
    return battery.NewTest(
        id=retrospective_log.row_id(
            athlete.id, "test", row.at.astimezone(UTC), row.movement.id, row.side
        ),
        movement=row.movement,
        modifiers=changes_from(row.changes),
        amount=row.amount,
        rpe=row.rpe,
        side=row.side,
        kind=find_test(row.kind) if row.kind else None,
    )


def _moment(row: tests_csv.CsvTest, now: datetime) -> Moment:
    if row.at.astimezone(UTC) > now:
        raise InputError("date", "it has not come yet.", "Give a day that is over.")
    return Moment(row.at, str(row.at.tzinfo))
