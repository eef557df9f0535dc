"""The demo: an invented crew whose history the product's own rules made."""

from datetime import date

import pytest
from fastapi.testclient import TestClient

from invelo.demo.history import load
from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD, CREW
from invelo.store.database import transaction
from tests.api.coach import Coach


@pytest.fixture
def theatre(engine, clock, new_client) -> Coach:
    with transaction(engine) as db:
        load(db, clock())
    client: TestClient = new_client()
    body = {"email": COACH_EMAIL, "password": COACH_PASSWORD}
    client.post("/api/sign-in", json=body).raise_for_status()
    return Coach(client, clock)


def test_three_athletes_stand_on_three_rungs(theatre) -> None:
    lines = theatre.get("/api/squad")["athletes"]
    assert {line["name"] for line in lines} == {member.name for member in CREW}
    assert len({line["standing"]["name"] for line in lines}) == 3


def test_each_has_four_weeks_of_logs_with_reasoned_decisions(theatre) -> None:
    done = {member.name: member.sessions for member in CREW}
    for line in theatre.get("/api/squad")["athletes"]:
        sheet = theatre.get(f"/api/ladders/{line['ladder_id']}/review")
        days = [session["local_date"] for session in sheet["sessions"]]
        assert len(days) == len(sheet["decisions"]) == done[line["name"]]
        assert (date.fromisoformat(days[0]) - date.fromisoformat(days[-1])).days >= 21
        assert all(decision["rules"] for decision in sheet["decisions"])
        assert sheet["decisions"][0]["answer"] is None
        assert {d["answer"] for d in sheet["decisions"][1:]} == {"take"}


def test_a_step_up_and_a_complaint_wait_for_the_coach(theatre) -> None:
    marks = [mark["text"] for a in theatre.get("/api/squad")["athletes"] for mark in a["marks"]]
    assert "step up waits for a word" in marks
    assert any("left wrist" in mark for mark in marks)


def test_the_story_is_the_same_each_time_and_told_once(theatre, engine, clock) -> None:
    before = theatre.get("/api/squad")
    with transaction(engine) as db:
        load(db, clock())
    assert theatre.get("/api/squad") == before
