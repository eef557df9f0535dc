"""An athlete's link: what it opens, and that it opens nothing else, for nobody else, no longer."""

import re
from collections.abc import Callable
from uuid import uuid4

import pytest
from fastapi.testclient import TestClient
from sqlmodel import Session, select
from starlette.websockets import WebSocketDisconnect

from invelo.db.tables.athlete import AthleteLinkRow
from tests.api.athlete_client import Athlete, link_for
from tests.api.coach import Coach, problem
from tests.api.document import OPERATIONS

OPEN_TO_ALL = {
    "/api/health",
    "/api/sign-in",
    "/api/sign-out",
    "/api/link",
    "/api/calendar/{token}.ics",
    "/api/invitations/look",
    "/api/invitations/join",
    "/api/password-resets",
    "/api/password-resets/use",
    "/api/letters/{key}",
    "/api/letters/{key}/stop",
    "/api/letters/{key}/start",
}
"""Addresses that ask nobody who they are: they sign in or out, or carry a secret of their own."""

OF_THE_ATHLETE = "/api/athletes/{athlete_id}/"
OPENED_BY_A_LINK = {
    ("GET", "floor"),
    ("GET", "sessions"),
    ("PUT", "sessions/{session_id}"),
    ("DELETE", "sessions/{session_id}"),
    ("PUT", "sessions/{session_id}/sets/{set_id}"),
    ("PUT", "sessions/{session_id}/skips/{skip_id}"),
    ("PUT", "sessions/{session_id}/where"),
    ("POST", "sessions/{session_id}/finish"),
    ("GET", "sets/{set_id}/history"),
    ("PATCH", "sets/{set_id}"),
    ("GET", "sets/{set_id}/picture"),
    ("PUT", "sets/{set_id}/picture"),
    ("DELETE", "sets/{set_id}/picture"),
    ("GET", "history"),
    ("GET", "notes"),
    ("GET", "logs"),
    ("POST", "log-files"),
    ("GET", "log-files/{task_id}"),
    ("PUT", "completed-sessions/{session_id}"),
    ("PUT", "check-ins/{check_in_id}"),
    ("GET", "daily"),
    ("PUT", "daily/{daily_minimum_id}"),
    ("PUT", "daily/ticks/{tick_id}"),
    ("POST", "daily/end"),
}
"""All that a link opens: the athlete's own day, log, history and daily minimums."""


@pytest.fixture
def come(new_client: Callable[[], TestClient], coach: Coach, clock) -> Callable[..., Athlete]:
    """Brings an athlete in by a link of their own."""

    def bring(athlete: str, days: int = 180) -> Athlete:
        return Athlete(new_client(), clock, link_for(coach, athlete, days))

    return bring


@pytest.fixture
def theirs(coach: Coach, ladder: dict) -> dict[str, str]:
    """Everything there is of the athlete, by the name of the path's part."""
    proposal = coach.trains(ladder["id"])
    session = coach.get(f"/api/ladders/{ladder['id']}/review")["sessions"][0]
    return {
        "athlete_id": ladder["athlete_id"],
        "athlete": ladder["athlete_id"],
        "ladder_id": ladder["id"],
        "ladder": ladder["id"],
        "rung_id": ladder["current_rung_id"],
        "rung": ladder["current_rung_id"],
        "lower_id": ladder["rungs"][0]["id"],
        "upper_id": ladder["current_rung_id"],
        "session_id": session["id"],
        "session": session["id"],
        "set_id": session["sets"][0]["id"],
        "set": session["sets"][0]["id"],
        "proposal_id": proposal["id"],
        "proposal": proposal["id"],
        "day": "2026-03-02",
        "movement_id": "push-up",
        "template_id": "push-none",
        "token": "x",
        "beside": ladder["athlete_id"],
    }


def address(path: str, theirs: dict[str, str]) -> str:
    return re.sub(r"\{(\w+)\}", lambda part: theirs.get(part[1], str(uuid4())), path)


# ---- every endpoint, as whoever must not ------------------------------------------------------


def test_nobody_gets_past_any_endpoint(new_client, theirs) -> None:
    nobody = new_client()
    for method, path, _ in OPERATIONS:
        if path in OPEN_TO_ALL:
            continue
        response = nobody.request(method, address(path, theirs), json={})
        assert response.status_code == 401, (method, path, response.status_code)
        assert problem(response, 401)["field"] == "session"


@pytest.mark.parametrize("how", ["expired", "revoked"])
def test_an_ended_link_gets_past_no_endpoint(coach, come, theirs, how) -> None:
    athlete = come(theirs["athlete_id"], days=1)
    if how == "expired":
        coach.clock.pass_by(days=2)
    else:
        coach.client.delete(f"/api/athletes/{athlete.id}/link").raise_for_status()
    for method, path, _ in OPERATIONS:
        if path in OPEN_TO_ALL:
            continue
        response = athlete.client.request(method, address(path, theirs), json={})
        assert response.status_code == 401, (method, path, response.status_code)
    told = problem(athlete.client.get(f"{athlete.base}/floor"), 401)
    assert told["field"] == "link"
    assert "kept on this device" in told["remedy"]


def test_another_athletes_link_gets_past_no_endpoint(coach, come, theirs) -> None:
    other = come(coach.enrols("Bela Quint")["id"])
    for method, path, _ in OPERATIONS:
        if path in OPEN_TO_ALL:
            continue
        response = other.client.request(method, address(path, theirs), json={})
        assert response.status_code in (401, 404), (method, path, response.status_code)


def test_ones_own_link_opens_the_floor_and_nothing_else(come, theirs) -> None:
    athlete = come(theirs["athlete_id"])
    for method, path, _ in OPERATIONS:
        if path in OPEN_TO_ALL:
            continue
        response = athlete.client.request(method, address(path, theirs), json={})
        own = path.startswith(OF_THE_ATHLETE)
        opened = own and (method, path.removeprefix(OF_THE_ATHLETE)) in OPENED_BY_A_LINK
        assert (response.status_code not in (401, 403)) == opened, (method, path)


def test_the_sensor_is_closed_to_whoever_may_not(coach, come, new_client, theirs) -> None:
    path = f"ws://localhost/api/athletes/{theirs['athlete_id']}/motion"
    other = come(coach.enrols("Bela Quint")["id"])
    ended = come(theirs["athlete_id"])
    coach.client.delete(f"/api/athletes/{ended.id}/link").raise_for_status()
    for client in (new_client(), other.client, ended.client):
        with pytest.raises(WebSocketDisconnect) as closed, client.websocket_connect(path):
            pass
        assert closed.value.code == 1008


# ---- making, opening, ending -------------------------------------------------------------------


def test_a_link_is_told_once_and_kept_only_hashed(coach, ladder, engine) -> None:
    token = link_for(coach, ladder["athlete_id"])
    assert len(token) >= 43, "32 bytes of randomness"
    state = coach.get(f"/api/athletes/{ladder['athlete_id']}/link")
    assert (state["state"], state["address"]) == ("works", "")
    with Session(engine) as db:
        row = db.exec(select(AthleteLinkRow)).one()
    assert token not in str(row.model_dump())
    assert len(row.token_hash) == 64


def test_the_token_stands_behind_the_hash_that_no_browser_sends(coach, ladder) -> None:
    made = coach.post(f"/api/athletes/{ladder['athlete_id']}/link")
    path, _, token = made["address"].partition("#")
    assert path == "/open"
    assert token


def test_a_new_link_ends_the_old(coach, come, ladder) -> None:
    first = come(ladder["athlete_id"])
    second = come(ladder["athlete_id"])
    assert first.client.get(f"{first.base}/floor").status_code == 401
    assert second.get("/floor")["athlete_id"] == ladder["athlete_id"]


def test_opening_is_noted_and_the_cookie_is_out_of_scripts_reach(coach, new_client, ladder) -> None:
    token = link_for(coach, ladder["athlete_id"])
    response = new_client().post("/api/link", json={"token": token})
    cookie = response.headers["set-cookie"].lower()
    for note in ("httponly", "samesite=strict", "path=/api"):
        assert note in cookie
    assert coach.get(f"/api/athletes/{ladder['athlete_id']}/link")["opened_at"]


@pytest.mark.parametrize("days", [0, -1, 401])
def test_a_link_lives_for_days_not_for_ever(coach, ladder, days) -> None:
    response = coach.client.post(f"/api/athletes/{ladder['athlete_id']}/link", json={"days": days})
    assert problem(response, 422)["field"] == "days"


def test_a_made_up_token_opens_nothing(new_client) -> None:
    response = new_client().post("/api/link", json={"token": "x" * 43})
    assert problem(response, 404)["field"] == "link"


def test_leaving_forgets_the_link_on_this_device(come, ladder) -> None:
    athlete = come(ladder["athlete_id"])
    athlete.client.delete("/api/link").raise_for_status()
    assert athlete.client.get(f"{athlete.base}/floor").status_code == 401


def test_an_athlete_is_not_told_the_decisions_before_the_coach(come, coach, ladder) -> None:
    athlete = come(ladder["athlete_id"])
    session = athlete.starts(ladder_id=ladder["id"])
    what = coach.item(ladder["id"])["sets"][0]["what"]
    athlete.sends(session, what).raise_for_status()
    assert athlete.finishes(session).json() == {"proposals": []}
    assert coach.get(f"/api/ladders/{ladder['id']}/review")["proposals"]


def test_erasing_a_person_ends_their_link(coach, come, ladder, engine) -> None:
    athlete = come(ladder["athlete_id"])
    coach.client.delete(f"/api/athletes/{athlete.id}").raise_for_status()
    assert athlete.client.get(f"{athlete.base}/floor").status_code in (401, 404)
    with Session(engine) as db:
        assert db.exec(select(AthleteLinkRow)).all() == []
