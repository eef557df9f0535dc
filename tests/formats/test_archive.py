"""The archive: out and in to the same state, proven; broken ones refused, nothing half written."""

import hashlib
import json
import shutil
import zipfile
from datetime import UTC, datetime
from pathlib import Path
from random import Random

import pytest
from sqlalchemy import Engine, text

from invelo.db import archive as store
from invelo.db.database import transaction
from invelo.domain.errors import InputError
from invelo.services import archive
from invelo.services.account import accounts
from tests.depth import depth
from tests.stage import empty

NOW = datetime(2026, 3, 2, 9, 0, tzinfo=UTC)


@pytest.fixture(scope="module")
def full(fortnight: Engine) -> Engine:
    return fortnight


@pytest.fixture(scope="module")
def kept(full: Engine, tmp_path_factory: pytest.TempPathFactory) -> Path:
    path = tmp_path_factory.mktemp("archive") / "whole.zip"
    archive.write(full, path, NOW)
    return path


def state(engine: Engine) -> dict[str, list[bytes]]:
    with engine.connect() as db:
        return {table.name: list(store.rows(db, table)) for table in store.tables()}


def changed(kept: Path, tmp_path: Path, name: str, content: bytes | None) -> Path:
    """The archive with one file of it replaced, or left out."""
    path = tmp_path / "changed.zip"
    with zipfile.ZipFile(kept) as old, zipfile.ZipFile(path, "w") as new:
        for info in old.infolist():
            if info.filename != name:
                new.writestr(info.filename, old.read(info.filename))
        if content is not None:
            new.writestr(name, content)
    return path


def test_what_goes_out_comes_in_the_same(full: Engine, kept: Path, engine: Engine) -> None:
    told = archive.restore(engine, kept)
    assert state(engine) == state(full)
    assert told.rows == sum(len(rows) for rows in state(full).values())
    assert told.tables["logged_set"].rows > 100


def test_what_was_restored_goes_out_with_the_same_checksums(
    kept: Path, engine: Engine, tmp_path: Path
) -> None:
    first = archive.restore(engine, kept)
    again = archive.write(engine, tmp_path / "again.zip", NOW)
    assert again.tables == first.tables


def test_a_restored_database_goes_on(kept: Path, engine: Engine) -> None:
    archive.restore(engine, kept)
    with engine.begin() as db:
        one = db.execute(text("SELECT id FROM logged_set LIMIT 1")).scalar_one()
        with pytest.raises(Exception, match="append-only"):
            db.execute(text("UPDATE logged_set SET amount = 1 WHERE id = :id"), {"id": one})
    with engine.begin() as db:
        statement = "INSERT INTO sign_in_attempt (key, at) VALUES ('x', now()) RETURNING id"
        assert db.execute(text(statement)).scalar_one() >= 1


def test_who_is_signed_in_stays_out(kept: Path) -> None:
    with zipfile.ZipFile(kept) as whole:
        names = set(whole.namelist())
    assert "tables/sign_in.jsonl" not in names
    assert "tables/account.jsonl" in names


def test_every_table_is_kept_or_left_out_on_purpose(kept: Path, full: Engine) -> None:
    with full.connect() as db:
        there = set(
            db.execute(
                text("SELECT tablename FROM pg_tables WHERE schemaname = 'public'")
            ).scalars()
        )
    told = archive.read(kept)
    assert there == {*told.tables, *store.LEFT_OUT, "alembic_version"}


def test_rows_are_plain_json_lines(kept: Path) -> None:
    with zipfile.ZipFile(kept) as whole:
        lines = whole.read("tables/athlete.jsonl").splitlines()
    assert len(lines) == 8
    assert all(json.loads(line)["name"] for line in lines)


def test_a_full_database_is_not_written_over(full: Engine, kept: Path) -> None:
    before = state(full)
    with pytest.raises(InputError, match="holds something"):
        archive.restore(full, kept)
    assert state(full) == before


@pytest.mark.parametrize("share", [0.1, 0.5, 0.9, 0.999])
def test_an_archive_cut_short_is_refused(
    kept: Path, engine: Engine, tmp_path: Path, share: float
) -> None:
    content = kept.read_bytes()
    path = tmp_path / "short.zip"
    path.write_bytes(content[: int(share * len(content))])
    with pytest.raises(InputError, match="cut short"):
        archive.restore(engine, path)
    assert all(not rows for rows in state(engine).values())


def test_a_changed_row_is_found_out(kept: Path, engine: Engine, tmp_path: Path) -> None:
    with zipfile.ZipFile(kept) as whole:
        rows = whole.read("tables/athlete.jsonl")
    path = changed(kept, tmp_path, "tables/athlete.jsonl", rows.replace(b"Tilde", b"Tilda"))
    with pytest.raises(InputError, match="athlete"):
        archive.restore(engine, path)
    assert all(not rows for rows in state(engine).values())


def test_a_missing_table_is_found_out(kept: Path, engine: Engine, tmp_path: Path) -> None:
    path = changed(kept, tmp_path, "tables/logged_set.jsonl", None)
    with pytest.raises(InputError, match="missing or broken"):
        archive.restore(engine, path)


def manifest(kept: Path, **change: object) -> bytes:
    with zipfile.ZipFile(kept) as whole:
        told = json.loads(whole.read("manifest.json"))
    return json.dumps({**told, **change}).encode()


@pytest.mark.parametrize(
    ("change", "words"),
    [
        ({"format": "invelo-archive-2"}, "format"),
        ({"revision": "9999"}, "later Invelo"),
        ({"revision": "0001"}, "migration 0001"),
        ({"revision": "0010"}, "has a table"),
        ({"more": 1}, "no manifest"),
    ],
)
def test_another_version_is_said_plainly(
    kept: Path, engine: Engine, tmp_path: Path, change: dict[str, object], words: str
) -> None:
    path = changed(kept, tmp_path, "manifest.json", manifest(kept, **change))
    with pytest.raises(InputError, match=words):
        archive.restore(engine, path)
    assert all(not rows for rows in state(engine).values())


def test_a_table_of_a_later_version_is_refused(kept: Path, engine: Engine, tmp_path: Path) -> None:
    tables = {**json.loads(manifest(kept))["tables"], "moon": {"rows": 0, "sha256": ""}}
    path = changed(kept, tmp_path, "manifest.json", manifest(kept, tables=tables))
    with pytest.raises(InputError, match="moon"):
        archive.restore(engine, path)


@pytest.mark.parametrize("content", [b"", b"nothing", b"PK\x03\x04 and so on"])
def test_what_is_no_archive_is_refused(engine: Engine, tmp_path: Path, content: bytes) -> None:
    path = tmp_path / "odd.zip"
    path.write_bytes(content)
    with pytest.raises(InputError, match="archive"):
        archive.restore(engine, path)


def test_no_file_is_said(engine: Engine, tmp_path: Path) -> None:
    with pytest.raises(InputError, match="no file"):
        archive.restore(engine, tmp_path / "nowhere.zip")


def test_a_row_that_points_nowhere_leaves_nothing_behind(
    kept: Path, engine: Engine, tmp_path: Path
) -> None:
    """Checksums made right on purpose, so that the database itself has to refuse."""
    import hashlib

    with zipfile.ZipFile(kept) as whole:
        rows = whole.read("tables/account.jsonl").splitlines(keepends=True)[1:]
    content = b"".join(rows)
    file = {"rows": len(rows), "sha256": hashlib.sha256(content).hexdigest()}
    tables = {**json.loads(manifest(kept))["tables"], "account": file}
    one = changed(kept, tmp_path, "tables/account.jsonl", content)
    moved = tmp_path / "one.zip"
    shutil.move(one, moved)
    path = changed(moved, tmp_path, "manifest.json", manifest(kept, tables=tables))
    with pytest.raises(Exception, match="they do not fit the table"):
        archive.restore(engine, path)
    assert all(not rows for rows in state(engine).values())


def test_nothing_is_left_of_a_backup_that_fails(full: Engine, tmp_path: Path) -> None:
    path = tmp_path / "there" / "whole.zip"
    with pytest.raises(OSError, match="whole"):
        archive.write(full, path, NOW)
    assert list(tmp_path.iterdir()) == []


def test_an_empty_database_makes_an_archive_too(engine: Engine, tmp_path: Path) -> None:
    empty(engine)
    told = archive.write(engine, tmp_path / "none.zip", NOW)
    assert told.rows == 0
    archive.restore(engine, tmp_path / "none.zip")


# ---- broken in whatever way ---------------------------------------------------------------------


@pytest.fixture
def small(engine: Engine, tmp_path: Path) -> Path:
    """An archive of one coach, into whose database it is to be restored again."""
    with transaction(engine) as db:
        accounts.create(db, "coach@theatre.example", "Ilse Marn", "x" * 12, "Europe/Lisbon", NOW)
    path = tmp_path / "small.zip"
    archive.write(engine, path, NOW)
    empty(engine)
    return path


def test_an_archive_is_for_its_owner_alone(small: Path) -> None:
    assert small.stat().st_mode & 0o077 == 0


def rewritten(small: Path, tmp_path: Path, **files: bytes | None) -> Path:
    """The archive with some tables' files replaced or left out, and a manifest that agrees."""
    path = tmp_path / "rewritten.zip"
    with zipfile.ZipFile(small) as old, zipfile.ZipFile(path, "w") as new:
        manifest = archive.Manifest.model_validate_json(old.read(archive.MANIFEST))
        for name in list(manifest.tables):
            content = files.get(name, old.read(archive.file_of(name)))
            if content is None:
                del manifest.tables[name]
                continue
            rows, digest = content.count(b"\n"), hashlib.sha256(content).hexdigest()
            manifest.tables[name] = archive.TableFile(rows=rows, sha256=digest)
            new.writestr(archive.file_of(name), content)
        new.writestr(archive.MANIFEST, manifest.model_dump_json())
    return path


DEEP = b'{"id": ' + b"[" * 100_000 + b"]" * 100_000 + b"}\n"


@pytest.mark.parametrize(
    ("files", "words"),
    [
        ({"athlete": None}, "lacks the table “athlete”"),
        ({"account": DEEP}, "account, line 1: it is no JSON"),
        ({"account": b'{"id": "no id"}\n'}, "account, lines to 1: they do not fit the table"),
        ({"account": b'{"id": "\\u0000"}\n'}, "they do not fit the table"),
        ({"account": b'{"id": null}\n'}, "they do not fit the table"),
        ({"account": b""}, ""),
    ],
)
def test_what_the_manifest_says_rightly_must_fit_too(
    small: Path, engine: Engine, tmp_path: Path, files: dict[str, bytes | None], words: str
) -> None:
    path = rewritten(small, tmp_path, **files)
    if words:
        with pytest.raises(InputError, match=words):
            archive.restore(engine, path)
    else:
        archive.restore(engine, path)
    assert all(not rows for rows in state(engine).values())


def test_bit_rot_is_refused_in_words_and_leaves_nothing(
    small: Path, engine: Engine, tmp_path: Path
) -> None:
    """Bytes changed, cut out and doubled anywhere; what comes in at all comes in whole."""
    random, whole = Random(20), small.read_bytes()
    archive.restore(engine, small)
    before = state(engine)
    empty(engine)
    refused = []
    for _ in range(depth(80, 1000)):
        content, at = bytearray(whole), random.randrange(len(whole))
        change = random.choice(["flip", "cut", "double"])
        if change == "flip":
            content[at] ^= 1 << random.randrange(8)
        else:
            part = content[at : at + random.randrange(1, 40)]
            content[at : at + len(part)] = b"" if change == "cut" else part * 2
        path = tmp_path / "rotten.zip"
        path.write_bytes(content)
        try:
            archive.restore(engine, path)
        except InputError as error:
            refused.append(error.remedy)
        after = state(engine)
        assert after == before or all(not rows for rows in after.values())
        empty(engine)
    assert len(refused) > 60
    assert all(refused), "each says what to do"
