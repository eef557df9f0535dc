"""One archive of everything: a ZIP of JSON Lines, a file a table, with a manifest that proves it.

Format `invelo-archive-1`: `manifest.json` says the version, when it was made, at which migration,
and of each table how many rows and the SHA-256 of its file; `tables/<name>.jsonl` holds the rows.
Restoring checks the whole manifest first, and writes in one transaction: all of it, or nothing.
"""

import hashlib
import os
import struct
import zipfile
import zlib
from collections.abc import Iterator
from datetime import datetime
from pathlib import Path
from typing import IO

from pydantic import BaseModel, ConfigDict, ValidationError
from sqlalchemy import Engine

from invelo.db import archive, database
from invelo.domain import MODEL_VERSION
from invelo.domain.errors import InputError

FORMAT = "invelo-archive-1"
MANIFEST = "manifest.json"
FIRST = "0009"
"""The schema with which archives began."""
MOST_MANIFEST = 1024 * 1024
MOST_LINE = 64 * 1024 * 1024
"""Bytes of a row: a clip of 8 MiB is 16 MiB as hexadecimal digits."""


_BROKEN = (
    *(zipfile.BadZipFile, zlib.error, EOFError, OSError, struct.error),
    *(NotImplementedError, RuntimeError, UnicodeDecodeError, OverflowError, ValueError),
)
"""What reading a broken ZIP file raises: other bytes, an unknown packing, a password."""


class TableFile(BaseModel):
    """A table's file: rows and checksum."""

    model_config = ConfigDict(extra="forbid")

    rows: int
    sha256: str


class Manifest(BaseModel):
    """What an archive holds."""

    model_config = ConfigDict(extra="forbid")

    format: str = FORMAT
    model_version: str = MODEL_VERSION
    made_at: datetime
    revision: str
    tables: dict[str, TableFile]

    @property
    def rows(self) -> int:
        """In all."""
        return sum(table.rows for table in self.tables.values())


def file_of(table: str) -> str:
    """Name of a table's file."""
    return f"tables/{table}.jsonl"


def write(engine: Engine, path: Path, now: datetime) -> Manifest:
    """Write everything kept to a file, as it stands at one instant.

    The file appears under its name only when it is whole.
    """
    part = path.with_name(path.name + ".part")
    kept: dict[str, TableFile] = {}
    try:
        with (
            engine.connect().execution_options(isolation_level="REPEATABLE READ") as db,
            open(part, "wb", opener=_for_us_alone) as made,
            zipfile.ZipFile(made, "w", zipfile.ZIP_DEFLATED, compresslevel=3) as whole,
        ):
            database.take_time(db)
            for table in archive.tables():
                digest, count = hashlib.sha256(), 0
                with whole.open(file_of(table.name), "w", force_zip64=True) as file:
                    for line in archive.rows(db, table):
                        file.write(line)
                        digest.update(line)
                        count += 1
                kept[table.name] = TableFile(rows=count, sha256=digest.hexdigest())
            manifest = Manifest(made_at=now, revision=archive.revision(db), tables=kept)
            whole.writestr(MANIFEST, manifest.model_dump_json(indent=2))
        part.replace(path)
    finally:
        part.unlink(missing_ok=True)
    return manifest


def read(path: Path) -> Manifest:
    """What an archive says it holds, checked against every byte of it.

    Raises:
        InputError: for what is no archive, one cut short or changed, or of another version.
    """
    with _opened(path) as whole:
        manifest = _manifest(whole)
        for name, file in manifest.tables.items():
            digest, count = hashlib.sha256(), 0
            for line in _lines(whole, name):
                digest.update(line)
                count += 1
            if (count, digest.hexdigest()) != (file.rows, file.sha256):
                raise InputError(
                    "archive",
                    f"the rows of “{name}” are not what the manifest says: {count} of "
                    f"{file.rows} rows, or other bytes.",
                    "Take another copy of it.",
                )
    return manifest


def restore(engine: Engine, path: Path) -> Manifest:
    """Write an archive into an empty database: all of it, or nothing.

    One of an earlier release is written into tables of its own schema, which are then brought to
    today's with what is in them.

    Raises:
        InputError: for what `read` refuses, an archive of a later release, or a database that holds
            something.
    """
    manifest = read(path)
    with engine.begin() as db, _opened(path) as whole:
        database.take_time(db)
        if not archive.is_empty(db):
            raise InputError(
                "database",
                "it holds something already.",
                "Restore into an empty one; nothing is overwritten.",
            )
        if not database.knows(manifest.revision) or manifest.revision < FIRST:
            raise InputError("archive", f"it was made at migration {manifest.revision}.", _LATER)
        earlier = manifest.revision != archive.revision(db)
        if earlier:
            database.move_to(db, manifest.revision)
        there = archive.tables_there(db)
        names = {table.name for table in there}
        if strange := set(manifest.tables) - names:
            raise InputError("archive", f"it has a table “{min(strange)}”.", _LATER)
        if missing := names - set(manifest.tables):
            raise InputError("archive", f"it lacks the table “{min(missing)}”.", _ANOTHER)
        archive.defer(db)
        for table in there:
            if table.name in manifest.tables:
                archive.fill(db, table, _lines(whole, table.name))
        archive.check(db)
        if earlier:
            database.move_on(db)
        archive.count_up(db)
    return manifest


_LATER = "Restore it with a later Invelo: this one does not know all of it."
_ANOTHER = "Take another copy of it."


def _for_us_alone(path: str, flags: int) -> int:
    """Opens a file that nobody else may read: it holds what people have entrusted to a coach."""
    return os.open(path, flags, 0o600)


def _opened(path: Path) -> zipfile.ZipFile:
    try:
        return zipfile.ZipFile(path)
    except FileNotFoundError as error:
        raise InputError("archive", f"there is no file {path}.", "Name one.") from error
    except _BROKEN as error:
        raise InputError(
            "archive", "it is no archive, or was cut short.", "Take another copy of it."
        ) from error


def _manifest(whole: zipfile.ZipFile) -> Manifest:
    try:
        info = whole.getinfo(MANIFEST)
        if info.file_size > MOST_MANIFEST:
            raise KeyError(MANIFEST)
        manifest = Manifest.model_validate_json(whole.read(MANIFEST))
    except (KeyError, ValidationError, *_BROKEN) as error:
        raise InputError("archive", "it has no manifest.", "Take another copy of it.") from error
    if manifest.format != FORMAT:
        raise InputError("archive", f"its format is “{manifest.format}”, not “{FORMAT}”.", _LATER)
    return manifest


def _lines(whole: zipfile.ZipFile, table: str) -> Iterator[bytes]:
    try:
        with whole.open(file_of(table)) as file:
            yield from _each(file)
    except (KeyError, *_BROKEN) as error:
        raise InputError(
            "archive", f"the rows of “{table}” are missing or broken.", "Take another copy of it."
        ) from error


def _each(file: IO[bytes]) -> Iterator[bytes]:
    while line := file.readline(MOST_LINE):
        yield line
