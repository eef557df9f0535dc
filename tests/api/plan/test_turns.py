"""Two movements in turn and holds in pieces: asked, run, logged as what they are."""

from uuid import uuid4

from tests.api.coach import Coach

TURNS = {
    "name": "Wide and close",
    "blocks": [
        {
            "format": "straight sets",
            "slots": [
                {
                    "family": "horizontal push",
                    "movements": ["wide-push-up"],
                    "sets": 2,
                    "exact": True,
                    "asked": {"low": 9, "high": 9, "in_turn": "close-push-up"},
                }
            ],
        },
        {
            "format": "holds in pieces",
            "slots": [
                {
                    "family": "trunk front",
                    "movements": ["plank"],
                    "sets": 2,
                    "exact": True,
                    "asked": {"low": 20, "high": 20},
                }
            ],
        },
    ],
}


def test_turns_and_pieces_are_logged_as_what_they_are(coach: Coach, athlete: str) -> None:
    made = coach.put(f"/api/session-templates/{uuid4()}", **TURNS)
    today = coach.clock().date().isoformat()
    coach.put(f"/api/session-templates/{made['id']}/days/{today}", athletes=[athlete])
    (sheet, *_) = coach.get(f"/api/athletes/{athlete}/floor")["sessions"]
    wide, plank = (one for one in sheet["items"] if one["sets"][0]["kind"] in ("turn", "piece"))
    assert [one["number"] for one in plank["sets"]] == [1, 1, 3, 3]
    asked = wide["sets"][0]
    assert "one of each in turn with close push-up" in asked["note"].lower()
    assert len(asked["cues"]) > len(wide["cues"])

    base = f"/api/athletes/{athlete}/sessions/{uuid4()}"
    coach.put(base, name="Wide and close", **coach.now())
    said = {"rpe": 8, "kind": "turn", "in_turn": asked["in_turn"], "number": asked["number"]}
    path = f"{base}/sets/{uuid4()}"
    for _ in range(2):  # sent again, kept once
        coach.put(path, movement="wide-push-up", reps=9, item="w", **said, **coach.now())
    for one in plank["sets"]:
        coach.put(
            f"{base}/sets/{uuid4()}",
            **{"movement": "plank", "seconds": 10, "rpe": 7, "item": plank["key"]},
            **{"kind": "piece", "number": one["number"], **coach.now()},
        )
    (run,) = coach.get(f"/api/athletes/{athlete}/sessions")
    turns = [(s["name"], s["amount"]) for s in run["sets"] if s["kind"] == "turn"]
    assert sorted(turns) == [("Close push-up", 4), ("Wide push-up", 5)]
    coach.post(f"{base}/finish", rpe=7, **coach.now())
    ladder = coach.get(f"/api/athletes/{athlete}")["ladders"][0]["id"]
    (week,) = coach.get(f"/api/ladders/{ladder}/trends")["weeks"]
    assert week["regions"]["abs"] == 2.0  # two holds, four pieces
    assert week["regions"]["chest"] == 1.0  # one set, half of it each


def test_a_set_in_turn_is_corrected_one_movement_at_a_time(coach: Coach, athlete: str) -> None:
    base = f"/api/athletes/{athlete}/sessions/{uuid4()}"
    coach.put(base, name="Wide and close", **coach.now())
    first = str(uuid4())
    said = {"movement": "wide-push-up", "in_turn": "close-push-up", "rpe": 8, "number": 1}
    coach.put(f"{base}/sets/{first}", amount_text="about 9", **said, **coach.now())
    refused = coach.client.put(
        f"{base}/sets/{uuid4()}", json={"reps": 8, "corrects_set_id": first, **said, **coach.now()}
    )
    assert refused.status_code == 422
    assert "in turn" in str(refused.json())
