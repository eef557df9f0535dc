"""A database of an old release, with three people in it, brought up to today and used."""

import subprocess
from collections.abc import Iterator
from datetime import UTC, datetime
from functools import partial
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient
from sqlalchemy import Engine, func, select, text
from sqlmodel import SQLModel

from invelo.api.app import create_app
from invelo.db.database import engine_for, migrate, move_on, move_to
from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD
from invelo.runtime import postgres
from invelo.runtime.settings import Settings
from invelo.services import archive
from tests.api.coach import Coach, problem
from tests.conftest import Clock, fresh

DUMP = Path(__file__).parent / "data" / "old_release.sql"
"""Made by pg_dump from the release before sessions belonged to athletes (schema 0007)."""

FLEETING = {
    "sign_in",
    "sign_in_attempt",
    "sign_in_device",
    "password_reset",
    "whereabouts",
    "week_planning",
    "background_task",
}
"""Tables of who is here just now, which no archive holds."""

SETS = "SELECT id, session_id, number, amount, {rpe}, pain FROM logged_set ORDER BY id"
ANSWERS = "SELECT id, reason, answered_at, {note} FROM {proposal} ORDER BY id"
THEN = {"rpe": "effort", "note": "word", "proposal": "decision"}
NOW = {name: name for name in THEN}
"""What that release called them, and what they are called today."""

ARCHIVE = Path(__file__).parent / "data" / "release-0.1.0.zip"
"""Everything that release 0.1.0 kept of four people (schema 0010), by its own backup."""


LATER = {
    "0012": "release-0.2.0.zip",
    "0013": "release-0.3.0.zip",
    "0015": "release-0.4.0.zip",
    "0017": "release-0.5.0.zip",
}
"""A week of the demo as these releases kept it, by their own backup, by schema."""


def rows(engine: Engine, asked: str) -> list[tuple[Any, ...]]:
    with engine.connect() as db:
        return [tuple(row) for row in db.execute(text(asked))]


@pytest.fixture(scope="module")
def brought_up(server: postgres.Server) -> Iterator[tuple[Engine, dict[str, list[Any]]]]:
    """That database, and what it held before."""
    url = fresh(server, "old_release")
    psql = postgres.binaries() / "psql"
    command = [str(psql), "-q", "-v", "ON_ERROR_STOP=1", "-d", url.replace("+psycopg", "")]
    done = subprocess.run([*command, "-f", str(DUMP)], capture_output=True, text=True)
    assert done.returncode == 0, done.stderr
    engine = engine_for(url)
    assert rows(engine, "SELECT version_num FROM alembic_version") == [("0007",)]
    before = {asked: rows(engine, asked.format(**THEN)) for asked in (SETS, ANSWERS)}
    engine.dispose()
    migrate(url)
    yield engine, before
    engine.dispose()


@pytest.fixture
def coach(brought_up: tuple[Engine, dict[str, list[Any]]]) -> Iterator[Coach]:
    clock = Clock()
    clock.now = datetime(2026, 2, 2, 10, tzinfo=UTC)
    app = create_app(Settings(), brought_up[0], clock)
    with TestClient(app, base_url="http://localhost") as client:
        body = {"email": COACH_EMAIL, "password": COACH_PASSWORD}
        client.post("/api/sign-in", json=body).raise_for_status()
        yield Coach(client, clock, COACH_EMAIL)


def test_no_set_and_no_answer_is_lost(brought_up: tuple[Engine, dict[str, list[Any]]]) -> None:
    engine, before = brought_up
    assert len(before[SETS]) > 50
    for asked, those in before.items():
        assert rows(engine, asked.format(**NOW)) == those


def test_every_place_opens_for_everyone(coach: Coach) -> None:
    squad = coach.get("/api/squad")["athletes"]
    assert {one["name"] for one in squad} == {"Bram Oster", "Juno Pell", "Tilde Varga"}
    for one in squad:
        athlete, ladder = one["id"], one["ladder_id"]
        assert coach.get(f"/api/ladders/{ladder}")["rungs"]
        review = coach.get(f"/api/ladders/{ladder}/review")
        assert len(review["sessions"]) >= 4
        assert all(session["sets"] for session in review["sessions"])
        assert coach.get(f"/api/ladders/{ladder}/trends")["reach"]
        for place in ("floor", "screen", "battery", "person", "history"):
            assert coach.get(f"/api/athletes/{athlete}/{place}")
        week = coach.client.get(f"/api/athletes/{athlete}/week")
        if stands_open(coach, ladder):
            assert week.status_code == 200
        else:  # the only kit of that height was never approved
            assert "waits for a photo" in problem(week, 422)["problem"]


def ladders(coach: Coach) -> list[str]:
    return [one["ladder_id"] for one in coach.get("/api/squad")["athletes"] if one["ladder_id"]]


def stands_open(coach: Coach, ladder: str) -> bool:
    """Whether what they stand on is open by today's rules, which look at heights of the kit."""
    sheet = coach.get(f"/api/ladders/{ladder}")
    (rung,) = [one for one in sheet["rungs"] if one["id"] == sheet["current_rung_id"]]
    return not rung["closed"]


def test_training_goes_on(coach: Coach) -> None:
    ladder = next(filter(partial(stands_open, coach), ladders(coach)))
    before = len(coach.get(f"/api/ladders/{ladder}/review")["sessions"])
    assert coach.trains(ladder)["outcome"]
    review = coach.get(f"/api/ladders/{ladder}/review")
    assert len(review["sessions"]) == before + 1


def test_all_of_it_can_be_kept_in_an_archive(
    brought_up: tuple[Engine, dict[str, list[Any]]], tmp_path: Path
) -> None:
    engine, _ = brought_up
    told = archive.write(engine, tmp_path / "old.zip", Clock().now)
    with engine.connect() as db:
        rows = {
            table.name: db.scalar(select(func.count()).select_from(table))
            for table in SQLModel.metadata.sorted_tables
            if table.name not in FLEETING
        }
    assert {name: file.rows for name, file in told.tables.items()} == rows
    assert rows["logged_set"] > 0


@pytest.fixture(scope="module")
def restored(server: postgres.Server) -> Iterator[Engine]:
    """A database into which that archive was read."""
    url = fresh(server, "restored")
    migrate(url)
    engine = engine_for(url)
    archive.restore(engine, ARCHIVE)
    yield engine
    engine.dispose()


def test_an_archive_of_an_earlier_release_comes_in_whole(restored: Engine) -> None:
    manifest = archive.read(ARCHIVE)
    assert manifest.revision == "0010"
    moved = {"decision": "proposal", "tie": "edge", "sketch": "ladder_revision"}
    for table in ("logged_set", "rung", "test", "decision", "tie", "sketch", "readiness"):
        there = rows(restored, f"SELECT count(*) FROM {moved.get(table, table)}")
        assert there == [(manifest.tables[table].rows,)]


@pytest.mark.parametrize("revision", LATER)
def test_an_archive_of_a_later_release_comes_in_whole(
    server: postgres.Server, revision: str
) -> None:
    url = fresh(server, "later_release")
    migrate(url)
    engine = engine_for(url)
    kept_then = Path(__file__).parent / "data" / LATER[revision]
    archive.restore(engine, kept_then)
    manifest = archive.read(kept_then)
    assert manifest.revision == revision
    for table, kept in manifest.tables.items():
        assert rows(engine, f"SELECT count(*) FROM {table}") == [(kept.rows,)], table
    engine.dispose()


def test_what_it_kept_by_name_has_the_names_of_today(restored: Engine) -> None:
    told = rows(restored, "SELECT DISTINCT unnest(felt_in) FROM logged_set ORDER BY 1")
    assert ("lower back",) in told
    assert ("low back",) not in told
    answered = {one for (one,) in rows(restored, "SELECT DISTINCT answer FROM proposal")}
    assert answered <= {None, "accept", "edit", "decline", "expired", "noted"}
    methods = {one for (one,) in rows(restored, "SELECT DISTINCT method FROM ladder")}
    assert {"double_progression", "wave"} <= methods
    (document,) = rows(restored, "SELECT document FROM availability LIMIT 1")[0]
    assert document["targets"] == [["quads", 4.0]]


def test_it_is_trained_on_and_changed_like_any_other(restored: Engine) -> None:
    clock = Clock()
    clock.now = datetime(2026, 3, 2, 10, tzinfo=UTC)
    with TestClient(create_app(Settings(), restored, clock), base_url="http://localhost") as client:
        body = {"email": COACH_EMAIL, "password": COACH_PASSWORD}
        client.post("/api/sign-in", json=body).raise_for_status()
        coach = Coach(client, clock, COACH_EMAIL)
        squad = coach.get("/api/squad")["athletes"]
        assert len(squad) == 4
        for one in squad:
            athlete, ladder = one["id"], one["ladder_id"]
            for place in ("floor", "week", "screen", "battery", "person", "history", "daily"):
                assert coach.get(f"/api/athletes/{athlete}/{place}")
            for place in ("", "/review", "/trends", "/prescriptions", "/record"):
                assert coach.get(f"/api/ladders/{ladder}{place}")
        assert len(coach.get("/api/session-templates")["sessions"]) > 3
        changed = next(
            one for one in squad if coach.get(f"/api/ladders/{one['ladder_id']}")["undo"]
        )
        undone = coach.post(f"/api/ladders/{changed['ladder_id']}/undo")
        assert undone["redo"]


def test_a_migration_can_be_taken_back(restored: Engine) -> None:
    """Down to the schema that release had and up again, with all that is kept."""
    before = {one: rows(restored, one.format(**NOW)) for one in (SETS, ANSWERS)}
    documents = "SELECT document FROM ladder_revision ORDER BY id"
    kept = rows(restored, documents)
    with restored.begin() as connection:
        move_to(connection, "0010")
    for one, those in before.items():
        assert rows(restored, one.format(**THEN)) == those
    with restored.begin() as connection:
        move_on(connection)
    assert rows(restored, documents) == kept


FIRST_REVISIONS = [f"{number:04d}" for number in range(14, 0, -1)]


def test_every_migration_is_taken_back_on_lived_in_data(
    server: postgres.Server, fortnight: Engine
) -> None:
    """Step by step down from today's schema, and up again; the people are still there."""
    fortnight.dispose()
    url = fresh(server, "taken_back", like="fortnight")
    engine = engine_for(url)
    people = rows(engine, "SELECT id, name FROM athlete ORDER BY id")
    for revision in FIRST_REVISIONS:
        with engine.begin() as db:
            move_to(db, revision)
        assert rows(engine, "SELECT version_num FROM alembic_version") == [(revision,)]
    assert rows(engine, "SELECT id, name FROM athlete ORDER BY id") == people
    engine.dispose()
    migrate(url)
    assert rows(engine, "SELECT id, name FROM athlete ORDER BY id") == people
    engine.dispose()
