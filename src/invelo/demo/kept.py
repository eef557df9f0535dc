"""The story as it is kept: lived once by the rules, then moved to the week it is opened in.

`python -m invelo.demo` lives it anew; a test holds it to today's rules.
"""

import gzip
import json
import re
from collections.abc import Iterator
from datetime import UTC, date, datetime, timedelta
from itertools import groupby
from pathlib import Path

from sqlalchemy import Connection

from invelo.db import archive
from invelo.domain import MODEL_VERSION
from invelo.domain.catalogue.catalogue import CATALOGUE_VERSION

STORY = Path(__file__).with_name("theatre.jsonl.gz")
END = datetime(2026, 6, 29, 10, 0, tzinfo=UTC)
"""When it ends as it is kept: a Monday."""

WEEK = timedelta(days=7)
_DAY = re.compile(rb"(?<![0-9A-Za-z-])\d{4}-\d{2}-\d{2}(?![0-9-])")


def now_of(db: Connection) -> dict[str, str]:
    """By what a story is lived: the schema, the model and the catalogue."""
    return {
        "schema": archive.revision(db),
        "model": MODEL_VERSION,
        "catalogue": CATALOGUE_VERSION,
    }


def kept_of() -> dict[str, str]:
    """By what the kept one was lived; nothing where none is kept."""
    if not STORY.exists():
        return {}
    with gzip.open(STORY) as lines:
        head: dict[str, str] = json.loads(next(lines))
    return head


def fits(db: Connection) -> bool:
    """Whether the kept story can be opened in a database as it stands."""
    return kept_of() == now_of(db)


def write(db: Connection) -> None:
    """Keep what a database holds as the story."""
    with STORY.open("wb") as file, gzip.GzipFile("", "wb", 9, file, 0) as lines:
        lines.write(json.dumps(now_of(db)).encode() + b"\n")
        for table in archive.tables():
            for row in archive.rows(db, table):
                lines.write(table.name.encode() + b"\t" + row)


def restore(db: Connection, now: datetime) -> datetime:
    """Open the story in an empty database, so many whole weeks later that it ends in the week
    before `now`; when that is."""
    weeks = (now - END) // WEEK
    archive.defer(db)
    with gzip.open(STORY) as lines:
        next(lines)
        tables = {table.name: table for table in archive.tables()}
        for name, rows in groupby(lines, lambda line: line.split(b"\t", 1)[0].decode()):
            archive.fill(db, tables[name], _later(rows, weeks * 7))
    archive.check(db)
    archive.count_up(db)
    return END + weeks * WEEK


def _later(lines: Iterator[bytes], days: int) -> Iterator[bytes]:
    def later(found: re.Match[bytes]) -> bytes:
        day = date.fromisoformat(found[0].decode()) + timedelta(days=days)
        return day.isoformat().encode()

    for line in lines:
        yield _DAY.sub(later, line.split(b"\t", 1)[1])
