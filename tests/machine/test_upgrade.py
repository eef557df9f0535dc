"""A database of an old release, with three people in it, brought up to today and used."""

import subprocess
from collections.abc import Iterator
from datetime import UTC, datetime
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient
from sqlalchemy import Engine, func, select, text
from sqlmodel import SQLModel

from invelo.api.app import create_app
from invelo.db.database import engine_for, migrate
from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD
from invelo.runtime import postgres
from invelo.runtime.settings import Settings
from invelo.services import archive
from tests.api.coach import Coach
from tests.conftest import Clock

DUMP = Path(__file__).parent / "data" / "old_release.sql"
"""Made by pg_dump from the release before sessions belonged to athletes (schema 0007)."""

FLEETING = {"sign_in", "sign_in_attempt", "whereabouts"}
"""Tables of who is here just now, which no archive holds."""

SETS = "SELECT id, session_id, number, amount, effort, pain FROM logged_set ORDER BY id"
ANSWERS = "SELECT id, outcome, answer, word FROM decision ORDER BY id"


def rows(engine: Engine, asked: str) -> list[tuple[Any, ...]]:
    with engine.connect() as db:
        return [tuple(row) for row in db.execute(text(asked))]


@pytest.fixture(scope="module")
def brought_up(server: postgres.Server) -> Iterator[tuple[Engine, dict[str, list[Any]]]]:
    """That database, and what it held before."""
    url = server.url("old_release")
    psql = postgres.binaries() / "psql"
    command = [str(psql), "-q", "-v", "ON_ERROR_STOP=1", "-d", server.conninfo("old_release")]
    done = subprocess.run([*command, "-f", str(DUMP)], capture_output=True, text=True)
    assert done.returncode == 0, done.stderr
    engine = engine_for(url)
    assert rows(engine, "SELECT version_num FROM alembic_version") == [("0007",)]
    before = {asked: rows(engine, asked) for asked in (SETS, ANSWERS)}
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
        assert rows(engine, asked) == those


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
        for place in ("floor", "week", "screen", "battery", "person", "history"):
            assert coach.get(f"/api/athletes/{athlete}/{place}")


def test_training_goes_on(coach: Coach) -> None:
    ladder = coach.get("/api/squad")["athletes"][0]["ladder_id"]
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
