"""The screen over the API: kept, cleared, and binding wherever something is given."""

from uuid import uuid4

import pytest

from tests.api.coach import Coach, problem

SIGNS = {"signs": ["chest pressure"]}
SORE_WRIST = {"pains": {"wrist": 6}}


def screens(coach: Coach, athlete: str, **told: object) -> dict:
    body = {"id": str(uuid4()), "born": "1990-05-01", "active": True, **told}
    return coach.post(f"/api/athletes/{athlete}/screens", **body)


def clears(coach: Coach, athlete: str, *lifts: str) -> dict:
    body = {"id": str(uuid4()), "said_by": "Dr Vale", "note": "may train", "lifts": list(lifts)}
    return coach.post(f"/api/athletes/{athlete}/clearances", **body)


def given(coach: Coach, ladder: dict) -> list:
    """Everything that can be given to an athlete, as requests that would be answered otherwise."""
    client, path = coach.client, f"/api/ladders/{ladder['id']}"
    test = {"id": str(uuid4()), "movement": "push-up", "reps": 9}
    rung = {
        "id": str(uuid4()),
        "name": "with a bag",
        "movement": "push-up",
        "added_load": {"bag_kg": 2},
        "after": [ladder["current_rung_id"]],
    }
    kept = {"id": str(uuid4()), "name": "mine", "setup": {"movement": "push_up"}}
    ready = {"ready_ladder": "push-up", "purpose": "strength", "level": "beginner"}
    other = coach.enrols("Bela Quint")
    screens(coach, other["id"], **SIGNS)
    return [
        client.post(f"/api/athletes/{ladder['athlete_id']}/tests", json=test),
        client.post(f"{path}/rungs", json=rung),
        client.post(f"{path}/set-ups", json=kept),
        client.put(f"{path}/current-rung", json={"rung_id": ladder["rungs"][0]["id"]}),
        client.put(
            f"/api/athletes/{ladder['athlete_id']}/sessions/{uuid4()}",
            json={"name": "Alone", "ladder_id": ladder["id"], **coach.now()},
        ),
        client.post(
            f"/api/athletes/{other['id']}/ladders",
            json={**ready, "test": {**test, "id": str(uuid4())}},
        ),
    ]


def test_nobody_was_asked_yet(coach: Coach) -> None:
    told = coach.get(f"/api/athletes/{coach.enrols()['id']}/screen")
    assert told["screened_on"] is None
    assert told["outcome"] == "unasked"
    assert "medicines" in told["unasked"]
    assert told["answers"] is None


def test_a_sign_closes_everything_that_can_be_given(coach: Coach, ladder: dict) -> None:
    told = screens(coach, ladder["athlete_id"], **SIGNS)
    assert told["outcome"] == "doctor"
    for response in given(coach, ladder):
        assert problem(response, 409)["field"] == "screen"
    after = coach.get(f"/api/ladders/{ladder['id']}")
    assert after["revision"] == ladder["revision"]
    assert len(after["rungs"]) == len(ladder["rungs"])


def test_a_limit_closes_what_it_forbids_and_says_which(coach: Coach, ladder: dict) -> None:
    told = screens(coach, ladder["athlete_id"], **SORE_WRIST)
    assert told["outcome"] == "limits"
    assert "Push-up" in next(one for one in told["limits"] if one["id"] == "wrist bend")["forms"]
    *on_the_ladder, _ = given(coach, ladder)
    for response in on_the_ladder:
        refused = problem(response, 409)
        assert refused["field"] == "limit"
        assert "wrists bent back by at most 30° under load" in refused["problem"]


def test_a_taken_step_onto_what_is_closed_is_refused(coach: Coach, ladder: dict) -> None:
    coach.trains(ladder["id"])
    proposal = coach.trains(ladder["id"])
    screens(coach, ladder["athlete_id"], **SIGNS)
    path = f"/api/proposals/{proposal['id']}/answer"
    assert problem(coach.client.post(path, json={"answer": "accept"}), 409)["field"] == "screen"
    coach.post(path, answer="decline", note="see a doctor first")


def test_a_stop_is_never_refused(coach: Coach, ladder: dict) -> None:
    pained = coach.trains(ladder["id"], pain=6, pain_place="wrist")
    assert pained["outcome"] == "stop"
    screens(coach, ladder["athlete_id"], **SIGNS)
    coach.post(f"/api/proposals/{pained['id']}/answer", answer="accept")


def test_a_clearance_opens_it_again_and_is_kept_with_date_and_author(
    coach: Coach, ladder: dict
) -> None:
    screens(coach, ladder["athlete_id"], **SIGNS)
    told = clears(coach, ladder["athlete_id"], "doctor")
    assert told["outcome"] == "go"
    assert told["findings"]
    (said,) = told["clearances"]
    assert (said["said_by"], said["on"], said["author"]) == ("Dr Vale", "2026-03-02", "A coach")
    coach.trains(ladder["id"])


def test_a_newer_screen_needs_a_clearance_of_its_own(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    screens(coach, athlete, **SIGNS)
    clears(coach, athlete, "doctor")
    coach.clock.pass_by(days=1)
    assert screens(coach, athlete, **SIGNS)["outcome"] == "doctor"
    coach.clock.pass_by(days=1)
    told = screens(coach, athlete)
    assert told["outcome"] == "go"
    assert told["clearances"] == []


def test_a_screen_sent_twice_counts_once_and_is_there_to_go_on_from(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    body = {"id": str(uuid4()), "born": "1990-05-01", "active": False, **SORE_WRIST}
    first, second = (coach.post(f"/api/athletes/{athlete}/screens", **body) for _ in range(2))
    assert first == second
    assert second["answers"]["pains"] == {"wrist": 6}
    assert second["answers"]["id"] == body["id"]


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"born": "2030-01-01"}, "born"),
        ({"born": "soon"}, "born"),
        ({"pains": {"knee": 12}}, "pain, knee"),
        ({"medicines": ["blood sugar"]}, "medicines"),
        ({"operated_weeks": -2}, "operation"),
    ],
)
def test_a_screen_that_cannot_be_is_refused(coach: Coach, change: dict, field: str) -> None:
    athlete = coach.enrols()["id"]
    body = {"id": str(uuid4()), "born": "1990-05-01", "active": True, **change}
    refused = coach.client.post(f"/api/athletes/{athlete}/screens", json=body)
    assert problem(refused, 422)["field"] == field
    assert coach.get(f"/api/athletes/{athlete}/screen")["screened_on"] is None


@pytest.mark.parametrize("lifts", [[], ["overhead"], ["everything"]])
def test_a_clearance_lifts_only_what_is_closed(coach: Coach, lifts: list[str]) -> None:
    athlete = coach.enrols()["id"]
    screens(coach, athlete, **SIGNS)
    body = {"id": str(uuid4()), "said_by": "Dr Vale", "note": "may train", "lifts": lifts}
    refused = coach.client.post(f"/api/athletes/{athlete}/clearances", json=body)
    assert problem(refused, 409)["field"] == "lifts"


def test_without_a_screen_there_is_nothing_to_clear(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    body = {"id": str(uuid4()), "said_by": "Dr Vale", "note": "fine", "lifts": ["doctor"]}
    refused = coach.client.post(f"/api/athletes/{athlete}/clearances", json=body)
    assert problem(refused, 409)["field"] == "screen"
