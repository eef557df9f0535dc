"""The demo: an invented crew whose history the product's own rules made."""

from collections.abc import Iterator
from datetime import UTC, date, datetime

import pytest
from fastapi.testclient import TestClient
from sqlalchemy import Engine

from invelo import postgres
from invelo.api.app import create_app
from invelo.demo.history import load
from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD, CREW
from invelo.settings import Settings
from invelo.store.database import engine_for, migrate, transaction
from tests.api.coach import Coach
from tests.conftest import Clock

WEEKS = 6


@pytest.fixture(scope="module")
def told(server: postgres.Server) -> Iterator[Engine]:
    """Six weeks of the story, told once for all tests of it."""
    url = server.url("theatre")
    migrate(url)
    engine = engine_for(url)
    with transaction(engine) as db:
        load(db, Clock().now, weeks=WEEKS)
    yield engine
    engine.dispose()


@pytest.fixture
def theatre(told: Engine, clock: Clock) -> Iterator[Coach]:
    app = create_app(Settings(), told, clock)
    with TestClient(app, base_url="http://localhost") as client:
        body = {"email": COACH_EMAIL, "password": COACH_PASSWORD}
        client.post("/api/sign-in", json=body).raise_for_status()
        yield Coach(client, clock)


def line(theatre: Coach, name: str) -> dict:
    return next(one for one in theatre.get("/api/squad")["athletes"] if one["name"] == name)


def test_eight_people_of_every_kind(theatre: Coach) -> None:
    lines = theatre.get("/api/squad")["athletes"]
    kinds = [one["marks"][0]["kind"] if one["marks"] else "well" for one in lines]
    order = ["stopped", "pain", "load", "decision", "missed", "new", "well"]
    assert kinds == sorted(kinds, key=order.index)
    assert {one["name"] for one in lines} == {member.name for member in CREW}
    assert len(CREW) == 8
    assert len({member.school for member in CREW}) >= 4
    assert len({member.ladder for member in CREW}) >= 5


def test_each_has_weeks_of_logs_with_reasoned_decisions(theatre: Coach) -> None:
    for one in theatre.get("/api/squad")["athletes"]:
        sheet = theatre.get(f"/api/ladders/{one['ladder_id']}/review")
        days = [date.fromisoformat(session["local_date"]) for session in sheet["sessions"]]
        assert len(days) >= 6, one["name"]
        assert (days[0] - days[-1]).days >= 21, one["name"]
        assert all(decision["rules"] for decision in sheet["decisions"])
        answers = {decision["answer"] for decision in sheet["decisions"]}
        assert "take" in answers


def test_the_newest_proposals_wait_for_whoever_looks(theatre: Coach) -> None:
    squad = theatre.get("/api/squad")
    waiting = [one for athlete in squad["athletes"] for one in athlete["waiting"]]
    assert len(waiting) >= 5
    assert any(one["plain"] for one in waiting)
    assert len(squad["due"]) == 8


def test_a_wrist_complains(theatre: Coach) -> None:
    texts = [mark["text"] for mark in line(theatre, "Bram Oster")["marks"]]
    assert any("left wrist" in text for text in texts)


def test_messages_lie_in_the_outbox_and_trends_have_their_lines(theatre: Coach) -> None:
    assert len(theatre.get("/api/outbox")["messages"]) == 20
    ladder = line(theatre, "Tilde Varga")["ladder_id"]
    trends = theatre.get(f"/api/ladders/{ladder}/trends")
    assert len(trends["reach"]) >= 10
    assert trends["load"]["ratio"] is not None
    assert trends["next_gate"] is not None


def test_the_story_is_the_same_each_time_and_told_once(theatre: Coach, told: Engine) -> None:
    before = theatre.get("/api/squad")
    with transaction(told) as db:
        load(db, Clock().now, weeks=WEEKS)
    assert theatre.get("/api/squad") == before


def test_told_anew_it_is_the_same(server: postgres.Server, theatre: Coach, told: Engine) -> None:
    """By the same seed, at the same hour: the same sets and the same answers, ids and all."""
    from invelo.store import archive

    url = server.url("theatre_again")
    migrate(url)
    again = engine_for(url)
    with transaction(again) as db:
        load(db, datetime(2026, 3, 2, 9, 0, tzinfo=UTC), weeks=WEEKS)
    sets = next(table for table in archive.tables() if table.name == "logged_set")
    drop = ("server_at", "rung_id", "item")  # when it was told, ids of rungs and ladders differ

    def figures(engine: Engine) -> list[dict]:
        import json

        with engine.connect() as db:
            rows = [json.loads(row) for row in archive.rows(db, sets)]
        return [{k: v for k, v in row.items() if k not in drop} for row in rows]

    assert figures(again) == figures(told)
    again.dispose()
