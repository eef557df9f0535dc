"""What nobody could have meant is refused by the name of its field, with a remedy; never a 500."""

from typing import Any
from uuid import uuid4

import pytest

from tests.api.coach import Coach, problem

LATE, EARLY = "9999-12-27", "0001-01-01"
HUGE = 10**400


def week(**change: Any) -> dict[str, Any]:
    return {"placed": [], "number": 0, "pins": [], "note": "", **change}


ASKED = {"sets": 3, "low": 12, "high": 6, "unit": "reps", "rest_s": 90, "rpe": 9}
ODD = [
    ("PUT", "/api/athletes/{athlete}/week?week_start=9999-12-27", week(), "week_start"),
    ("PUT", "/api/athletes/{athlete}/week?week_start=0001-01-01", week(), "week_start"),
    ("GET", "/api/athletes/{athlete}/week?week_start=9999-12-27", None, "week_start"),
    ("GET", "/api/athletes/{athlete}/days/0001-01-01/session", None, "day"),
    ("GET", "/api/athletes/{athlete}/days/9999-12-31/session", None, "day"),
    (
        "PUT",
        "/api/athletes/{athlete}/week",
        week(placed=[{"task": "nobody's", "day": 0}]),
        "plan",
    ),
    ("PUT", "/api/athletes/{athlete}/week", week(placed=[{"task": "x", "day": 10**12}]), "day"),
    ("PUT", "/api/athletes/{athlete}/person", {"days": 10**30}, "days"),
    ("PUT", "/api/athletes/{athlete}/person", {"dislikes": ["push\0up"]}, "dislikes"),
    ("PUT", "/api/athletes/{athlete}/person", {"dislikes": ["x" * 5000]}, "dislikes"),
    ("PUT", "/api/ladders/{ladder}/settings", {"step_percent": 1e300}, "step_percent"),
    (
        "PUT",
        "/api/ladders/{ladder}/rungs/{rung}",
        {"name": "a\0b", "movement": "push-up"},
        "name",
    ),
    (
        "PUT",
        "/api/ladders/{ladder}/rungs/{rung}",
        {"name": "x", "movement": "push-up", "prescription": ASKED},
        "range's top",
    ),
    (
        "PUT",
        "/api/ladders/{ladder}/rungs/{rung}",
        {"name": "x", "movement": "push-up", "values": {"hand_height": 10**12}},
        "hand height",
    ),
    ("POST", "/api/athletes", {"name": "x\0", "mass_kg": 70, "stature_m": 1.7}, "name"),
    ("POST", "/api/athletes/{athlete}/body-measurements", {"mass_kg": HUGE}, "mass_kg"),
    (
        "PUT",
        "/api/places/7a8a1f0e-5b1d-4a53-9f0e-1f5c3a2b4d6c",
        {"name": "y" * 3000, "floor": "smooth"},
        "name",
    ),
    ("POST", "/api/proposals/accept", {"ids": [str(uuid4())] * 3000}, "ids"),
]


@pytest.mark.parametrize(
    ("method", "path", "body", "field"), ODD, ids=[f"{m} {p} {f}" for m, p, _, f in ODD]
)
def test_it_is_refused_by_name(coach: Coach, ladder, method, path, body, field) -> None:
    ids = {
        "athlete": ladder["athlete_id"],
        "ladder": ladder["id"],
        "rung": ladder["rungs"][0]["id"],
    }
    answer = coach.client.request(method, path.format(**ids), json=body)
    assert answer.status_code == 422, answer.text
    errors = answer.json()["errors"]
    assert any(field in error["field"] for error in errors), errors
    assert all(error["remedy"] for error in errors)


def test_a_method_that_is_none_says_which_there_are(coach: Coach) -> None:
    answer = coach.client.patch("/api/me")
    assert problem(answer, 405)["field"] == "address"
    assert answer.headers["content-type"] == "application/problem+json"
    assert "GET" in answer.headers["allow"]


def test_another_host_is_told_so(coach: Coach) -> None:
    answer = coach.client.get("/api/health", headers={"Host": "elsewhere.example"})
    assert problem(answer, 400)["field"] == "host"


@pytest.mark.parametrize("frame", [b"\x00\x01", b""])
def test_a_frame_that_is_no_text_is_told_so_and_the_socket_goes_on(coach: Coach, frame) -> None:
    with coach.client.websocket_connect("ws://localhost/api/scale") as socket:
        socket.send_bytes(frame)
        for _ in range(400):
            said = socket.receive_json()
            if said["state"] == "fault":
                break
        assert "no command" in said["words"]
        socket.send_json({"type": "tare"})
        assert socket.receive_json()["state"] in ("empty", "moving", "steady")


def test_a_token_comes_into_no_log(coach: Coach, ladder, monkeypatch, capfd) -> None:
    """The address of a calendar is a key: where the database fails, only the route is logged."""
    feed = coach.post(f"/api/athletes/{ladder['athlete_id']}/feed")
    token = feed["address"].rsplit("/", 1)[-1].removesuffix(".ics")

    def broken(*_: object) -> None:
        from psycopg.errors import AdminShutdown
        from sqlalchemy.exc import OperationalError

        raise OperationalError("SELECT", {}, AdminShutdown("going down"))

    monkeypatch.setattr("invelo.services.plan.feeds.athlete_of", broken, raising=False)
    coach.client.get(f"/api/calendar/{token}.ics")
    assert token not in "".join(capfd.readouterr())
