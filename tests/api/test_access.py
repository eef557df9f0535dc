"""Nobody sees or changes another coach's athletes, whatever they ask for."""

from uuid import uuid4

import pytest
from sqlmodel import Session

from invelo.db.tables.athlete import AthleteAccessRow
from tests.api.coach import problem


@pytest.fixture
def theirs(coach) -> dict[str, str]:
    """Everything another coach has."""
    ladder = coach.has_ladder()
    proposal = coach.trains(ladder["id"])
    session = coach.get(f"/api/ladders/{ladder['id']}/review")["sessions"][0]
    return {
        "athlete": ladder["athlete_id"],
        "ladder": ladder["id"],
        "rung": ladder["current_rung_id"],
        "session": session["id"],
        "set": session["sets"][0]["id"],
        "proposal": proposal["id"],
    }


PLANNING = uuid4()
TEST = {"id": str(uuid4()), "movement": "push-up", "reps": 9}
AT = {"at": "2026-03-02T09:00:00Z"}
SET = {"number": 1, "reps": 8, "rpe": 8, **AT}

PUSH_UP = {"movement": "push_up"}

REQUESTS = [
    ("GET", "/api/athletes/{athlete}", None, "athlete"),
    ("DELETE", "/api/athletes/{athlete}", None, "athlete"),
    (
        "POST",
        "/api/athletes/{athlete}/body-measurements",
        {"mass_kg": 70, "stature_m": 1.7},
        "athlete",
    ),
    (
        "POST",
        "/api/athletes/{athlete}/ladders",
        {"ready_ladder": "push-up", "test": TEST},
        "athlete",
    ),
    ("GET", "/api/athletes/{athlete}/screen", None, "athlete"),
    (
        "POST",
        "/api/athletes/{athlete}/screens",
        {"id": str(uuid4()), "born": "1990-05-01", "active": True},
        "athlete",
    ),
    (
        "POST",
        "/api/athletes/{athlete}/clearances",
        {"id": str(uuid4()), "said_by": "Dr", "note": "may train", "lifts": ["doctor"]},
        "athlete",
    ),
    ("GET", "/api/ladders/{ladder}", None, "ladder"),
    ("GET", "/api/ladders/{ladder}/record", None, "ladder"),
    ("GET", "/api/ladders/{ladder}/trends", None, "ladder"),
    ("GET", "/api/athletes/{athlete}/tests/file", None, "athlete"),
    ("POST", "/api/athletes/{athlete}/tests/file", {"content": "ZGF0ZQ=="}, "athlete"),
    ("GET", "/api/ladders/{ladder}/review/file?kind=md", None, "ladder"),
    ("GET", "/api/athletes/{athlete}/sessions/{session}", None, "athlete"),
    ("POST", "/api/athletes/{athlete}/week-review", None, "athlete"),
    ("GET", "/api/ladders/{ladder}/personal", None, "ladder"),
    ("GET", "/api/ladders/{ladder}/rungs/{rung}", None, "ladder"),
    ("GET", "/api/ladders/{ladder}/rungs/{rung}/adjustments", None, "ladder"),
    (
        "POST",
        "/api/ladders/{ladder}/rungs",
        {"id": str(uuid4()), "name": "mine", "movement": "push-up", "after": []},
        "ladder",
    ),
    ("DELETE", "/api/ladders/{ladder}", None, "ladder"),
    ("PUT", "/api/ladders/{ladder}/rungs/{rung}", {"name": "x", "movement": "push-up"}, "ladder"),
    ("POST", "/api/ladders/{ladder}/rungs/{rung}/position", {"position": 0}, "ladder"),
    ("POST", "/api/ladders/{ladder}/edges", {"lower_id": "{rung}", "upper_id": "{rung}"}, "ladder"),
    ("DELETE", "/api/ladders/{ladder}/edges/{rung}/{rung}", None, "ladder"),
    ("POST", "/api/ladders/{ladder}/undo", None, "ladder"),
    ("POST", "/api/ladders/{ladder}/redo", None, "ladder"),
    ("PUT", "/api/ladders/{ladder}/settings", {"step_percent": 8}, "ladder"),
    ("GET", "/api/ladders/{ladder}/bridge?lower_id={rung}&upper_id={rung}", None, "ladder"),
    ("GET", "/api/ladders/{ladder}/file?kind=json", None, "ladder"),
    ("GET", "/api/ladders/{ladder}/beside/{athlete}", None, "ladder"),
    ("POST", "/api/ladders/{ladder}/copies", {"athlete_id": "{athlete}"}, "ladder"),
    ("GET", "/api/athletes/{athlete}/placements", None, "athlete"),
    ("POST", "/api/athletes/{athlete}/ladder-files", {"format": "invelo-ladder"}, "athlete"),
    ("GET", "/api/movements/squat?athlete_id={athlete}", None, "athlete"),
    (
        "POST",
        "/api/ladders/{ladder}/set-ups",
        {"id": str(uuid4()), "name": "mine", "setup": PUSH_UP},
        "ladder",
    ),
    ("DELETE", "/api/ladders/{ladder}/rungs/{rung}", None, "ladder"),
    ("GET", "/api/ladders/{ladder}/review", None, "ladder"),
    ("POST", "/api/athletes/{athlete}/tests", TEST, "athlete"),
    ("GET", "/api/athletes/{athlete}/battery", None, "athlete"),
    ("GET", "/api/athletes/{athlete}/capacity", None, "athlete"),
    ("GET", "/api/athletes/{athlete}/person", None, "athlete"),
    ("PUT", "/api/athletes/{athlete}/person", {"aim": "keep"}, "athlete"),
    ("GET", "/api/athletes/{athlete}/readiness", None, "athlete"),
    (
        "POST",
        "/api/athletes/{athlete}/readiness",
        {"id": str(uuid4()), "check": "wrist", "passed": True},
        "athlete",
    ),
    ("GET", "/api/ladders/{ladder}/prescriptions", None, "ladder"),
    (
        "PUT",
        "/api/ladders/{ladder}/method",
        {"method": "double_progression", "purpose": "keep", "level": "beginner"},
        "ladder",
    ),
    ("GET", "/api/athletes/{athlete}/week", None, "athlete"),
    ("PUT", "/api/athletes/{athlete}/week", {"placed": [], "number": 0}, "athlete"),
    ("POST", "/api/athletes/{athlete}/week/preview", {"placed": [], "number": 0}, "athlete"),
    ("POST", "/api/athletes/{athlete}/week/plans", {"seconds": 1}, "athlete"),
    ("GET", f"/api/athletes/{{athlete}}/week/plans/{PLANNING}", None, "athlete"),
    ("DELETE", f"/api/athletes/{{athlete}}/week/plans/{PLANNING}", None, "athlete"),
    ("GET", f"/api/athletes/{{athlete}}/week/plans/{PLANNING}/stream", None, "athlete"),
    ("POST", "/api/athletes/{athlete}/week/undo", None, "athlete"),
    (
        "PUT",
        "/api/athletes/{athlete}/week/availability",
        {"days": [{"index": 0, "minutes": 30}]},
        "athlete",
    ),
    ("GET", "/api/athletes/{athlete}/week/file?kind=ics", None, "athlete"),
    ("GET", "/api/athletes/{athlete}/days/2026-03-02/session", None, "athlete"),
    ("GET", "/api/athletes/{athlete}/days/2026-03-02/card", None, "athlete"),
    ("POST", "/api/athletes/{athlete}/days/2026-03-02/adapt", {"minutes": 20}, "athlete"),
    ("DELETE", "/api/athletes/{athlete}/days/2026-03-02/adapt", None, "athlete"),
    ("GET", "/api/athletes/{athlete}/session-templates/push-none", None, "athlete"),
    ("POST", "/api/session-templates/push-none/group", {"athletes": ["{athlete}"]}, "athlete"),
    ("GET", "/api/athletes/{athlete}/daily", None, "athlete"),
    (
        "PUT",
        "/api/athletes/{athlete}/daily/" + str(uuid4()),
        {"movement": "push-up", "moment": "at the door"},
        "athlete",
    ),
    ("PUT", "/api/athletes/{athlete}/daily/ticks/" + str(uuid4()), {}, "athlete"),
    ("POST", "/api/athletes/{athlete}/daily/end", {}, "athlete"),
    ("GET", "/api/athletes/{athlete}/feed", None, "athlete"),
    ("POST", "/api/athletes/{athlete}/feed", None, "athlete"),
    ("DELETE", "/api/athletes/{athlete}/feed", None, "athlete"),
    ("PUT", "/api/ladders/{ladder}/current-rung", {"rung_id": "{rung}"}, "ladder"),
    ("POST", "/api/ladders/{ladder}/resume", None, "ladder"),
    ("GET", "/api/athletes/{athlete}/floor", None, "athlete"),
    ("GET", "/api/athletes/{athlete}/sessions", None, "athlete"),
    ("PUT", "/api/athletes/{athlete}/sessions/" + str(uuid4()), {"name": "x", **AT}, "athlete"),
    (
        "PUT",
        "/api/athletes/{athlete}/sessions/{session}/sets/" + str(uuid4()),
        {"rung_id": "{rung}", **SET},
        "athlete",
    ),
    (
        "PUT",
        "/api/athletes/{athlete}/sessions/{session}/skips/" + str(uuid4()),
        {"name": "Push-up", "number": 1, "why": "no room", **AT},
        "athlete",
    ),
    (
        "PUT",
        "/api/athletes/{athlete}/sessions/{session}/where",
        {"state": "working", "doing": "Push-up"},
        "athlete",
    ),
    ("POST", "/api/athletes/{athlete}/sessions/{session}/finish", {"rpe": 7, **AT}, "athlete"),
    ("DELETE", "/api/athletes/{athlete}/sessions/{session}", None, "athlete"),
    ("GET", "/api/athletes/{athlete}/sets/{set}/history", None, "athlete"),
    ("PATCH", "/api/athletes/{athlete}/sets/{set}", {"id": str(uuid4()), **AT}, "athlete"),
    ("GET", "/api/athletes/{athlete}/history", None, "athlete"),
    ("GET", "/api/athletes/{athlete}/sets/{set}/picture", None, "athlete"),
    ("PUT", "/api/athletes/{athlete}/sets/{set}/picture", {}, "athlete"),
    ("DELETE", "/api/athletes/{athlete}/sets/{set}/picture", None, "athlete"),
    ("GET", "/api/athletes/{athlete}/notes", None, "athlete"),
    (
        "PUT",
        "/api/athletes/{athlete}/notes/" + str(uuid4()),
        {"movement": "push-up", "text": "elbows"},
        "athlete",
    ),
    ("DELETE", "/api/athletes/{athlete}/notes/" + str(uuid4()), None, "athlete"),
    ("GET", "/api/athletes/{athlete}/logs", None, "athlete"),
    ("POST", "/api/athletes/{athlete}/log-files", {"content": "ZGF0ZQ=="}, "athlete"),
    (
        "PUT",
        "/api/athletes/{athlete}/completed-sessions/" + str(uuid4()),
        {"name": "x", **AT, "sets": [{"id": str(uuid4()), "rung_id": "{rung}", **SET}]},
        "athlete",
    ),
    ("PUT", "/api/athletes/{athlete}/check-ins/" + str(uuid4()), {**AT}, "athlete"),
    ("GET", "/api/athletes/{athlete}/link", None, "athlete"),
    ("POST", "/api/athletes/{athlete}/link", {}, "athlete"),
    ("DELETE", "/api/athletes/{athlete}/link", None, "athlete"),
    ("POST", "/api/proposals/{proposal}/answer", {"answer": "accept"}, "proposal"),
]


def filled(value, theirs):
    if isinstance(value, str):
        return value.format(**theirs)
    if isinstance(value, list):
        return [filled(one, theirs) for one in value]
    if isinstance(value, dict):
        return {key: filled(one, theirs) for key, one in value.items()}
    return value


def test_another_coachs_things_are_not_there_and_nothing_changes(coach, theirs, new_coach) -> None:
    """What is another's and what never was answer the same, so that nobody learns what there is."""
    made_up = {name: str(uuid4()) for name in theirs}
    stranger = new_coach()
    before = coach.get(f"/api/ladders/{theirs['ladder']}/review")
    wrong = []
    for method, path, body, thing in REQUESTS:
        foreign, absent = (
            stranger.client.request(method, path.format(**those), json=filled(body, those))
            for those in (theirs, made_up)
        )
        answers = [
            (one.status_code, one.json() | {"request_id": "each its own"})
            for one in (foreign, absent)
        ]
        if answers[0] != answers[1] or problem(foreign, 404)["field"] != thing:
            wrong.append((method, path, *answers))
    assert wrong == []
    assert coach.get(f"/api/ladders/{theirs['ladder']}/review") == before
    assert stranger.get("/api/squad")["athletes"] == []


@pytest.mark.parametrize(("role", "may_write"), [("reader", False), ("coach", True)])
def test_a_second_coach_sees_and_a_reader_only_sees(
    coach, new_coach, engine, theirs, role, may_write
) -> None:
    second = new_coach()
    grant = AthleteAccessRow(
        account_id=second.get("/api/me")["id"], athlete_id=theirs["athlete"], role=role
    )
    with Session(engine) as db:
        db.add(grant)
        db.commit()
    assert second.get(f"/api/ladders/{theirs['ladder']}")["id"] == theirs["ladder"]
    response = second.client.put(
        f"/api/ladders/{theirs['ladder']}/current-rung", json={"rung_id": theirs["rung"]}
    )
    assert response.status_code == (200 if may_write else 404)


def test_only_the_owner_may_erase(coach, new_coach, engine, theirs) -> None:
    second = new_coach()
    with Session(engine) as db:
        account = second.get("/api/me")["id"]
        db.add(AthleteAccessRow(account_id=account, athlete_id=theirs["athlete"], role="coach"))
        db.commit()
    assert second.client.delete(f"/api/athletes/{theirs['athlete']}").status_code == 404
    assert coach.client.delete(f"/api/athletes/{theirs['athlete']}").status_code == 204
