"""What a phone of an earlier release still holds unsent is taken in, under its own names."""

from uuid import uuid4

from tests.api.coach import Coach, problem

AT = {"at": "2026-03-02T08:59:00Z", "zone": "Europe/Lisbon"}


def test_a_session_of_an_earlier_phone_comes_in_whole(coach: Coach, ladder: dict) -> None:
    base = f"/api/athletes/{ladder['athlete_id']}"
    session, done = str(uuid4()), str(uuid4())
    body = {"name": "Monday", "ladder_id": ladder["id"], **AT}
    coach.put(f"{base}/runs/{session}", **body)
    before = {
        "number": 1,
        "rung_id": ladder["current_rung_id"],
        "changes": {"worn": {"bag": 2.5}, "help": {"kg": 5}},
        "reps": 9,
        "asked_low": 6,
        "asked_high": 10,
        "effort": 8.5,
        "clean": False,
        "faults": ["hips sag"],
        "felt_in": ["low back"],
        **AT,
    }
    kept = coach.put(f"{base}/runs/{session}/sets/{done}", **before)
    assert (kept["amount"], kept["rpe"], kept["form_ok"]) == (9, 8.5, False)
    assert (kept["prescribed_min"], kept["prescribed_max"]) == (6, 10)
    assert kept["felt_in"] == ["lower back"]
    assert coach.put(f"{base}/runs/{session}/sets/{done}", **before) == kept  # sent twice
    right = {**before, "told": "10", "corrects": done}
    del right["reps"]
    assert coach.put(f"{base}/runs/{session}/sets/{uuid4()}", **right)["amount"] == 10
    where = {"state": "working", "doing": "Push-up"}
    assert coach.client.put(f"{base}/runs/{session}/where", json=where).status_code == 204
    skipped = {"name": "Push-up", "number": 2, "why": "no room", **AT}
    path = f"{base}/runs/{session}/skips/{uuid4()}"
    assert coach.client.put(path, json=skipped).status_code == 204
    coach.post(f"{base}/runs/{session}/finish", effort=7, **AT)
    newest = coach.get(f"{base}/history")["sessions"][0]
    assert (newest["id"], newest["rpe"], len(newest["sets"])) == (session, 7, 1)


def test_a_session_by_hand_of_an_earlier_page_comes_in(coach: Coach, ladder: dict) -> None:
    base = f"/api/athletes/{ladder['athlete_id']}"
    one = {"id": str(uuid4()), "number": 1, "rung_id": ladder["current_rung_id"], "reps": 8}
    body = {"name": "Sunday", "effort": 6, "sets": [{**one, "effort": 8, **AT}], **AT}
    assert coach.put(f"{base}/whole-sessions/{uuid4()}", **body) == {"new": 1, "known": 0}


def test_both_names_at_once_are_refused(coach: Coach, ladder: dict) -> None:
    base = f"/api/athletes/{ladder['athlete_id']}/sessions/{uuid4()}"
    coach.put(base, name="Monday", **AT)
    body = {"number": 1, "movement": "push-up", "reps": 8, "rpe": 8, "effort": 9, **AT}
    refused = problem(coach.client.put(f"{base}/sets/{uuid4()}", json=body), 422)
    assert refused["field"] == "effort"
