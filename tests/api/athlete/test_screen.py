"""The screen over the API: kept, cleared, and binding wherever something is given."""

from datetime import timedelta
from typing import Any
from uuid import uuid4

import pytest

from invelo.domain.athlete.strain import QUANTITIES
from invelo.domain.catalogue.catalogue import catalogue
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


# ---- limits of the coach's own ----------------------------------------------------------------


def limits(coach: Coach, athlete: str, quantity: str, most: float, **more: object) -> Any:
    body = {"id": str(uuid4()), "quantity": quantity, "most": most, "why": "seen today", **more}
    return coach.client.post(f"/api/athletes/{athlete}/limits", json=body)


def closed(told: dict, quantity: str) -> list[str]:
    return next((one["forms"] for one in told["limits"] if one["id"] == quantity), [])


def test_a_coach_tightens_and_opens_what_they_closed(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    screens(coach, athlete)
    told = limits(coach, athlete, "knee bend", 60).json()
    assert told["outcome"] == "limits"
    (limit,) = told["limits"]
    assert limit["words"] == "knees bent by at most 60° under load"
    assert limit["why"] == "seen today"
    assert limit["set_by"].startswith("A coach, ")
    assert {"Deep squat", "Half squat"} <= set(limit["forms"])
    assert told["closed"] == []  # nothing a clearance is needed for
    end = f"/api/athletes/{athlete}/limits/{limit['by_coach']}/end"
    assert coach.post(end)["limits"] == []
    assert coach.post(end)["outcome"] == "go"
    assert problem(coach.client.post(end.replace(limit["by_coach"], str(uuid4()))), 404)


def test_a_coach_cannot_loosen_what_the_screen_says(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    told = screens(coach, athlete, pains={"knee": 6})
    most = next(one["most"] for one in told["limits"] if one["id"] == "knee bend")
    refused = problem(limits(coach, athlete, "knee bend", most + 20), 422)
    assert refused["field"] == "most"
    assert "stands already" in refused["problem"]
    tighter = limits(coach, athlete, "knee bend", most - 20).json()
    assert next(one for one in tighter["limits"] if one["id"] == "knee bend")["by_coach"]
    # a clearance of the screen's leaves the coach's own standing
    assert closed(clears(coach, athlete, "knee bend"), "knee bend")


@pytest.mark.parametrize(
    ("quantity", "most", "more", "field"),
    [
        ("knee bend", 400, {}, "most"),
        ("knee bend", 160, {}, "most"),
        ("impact", 0, {"until": "2020-01-01"}, "until"),
        ("luck", 1, {}, "quantity"),
        ("impact", 0, {"why": "  "}, "why"),
    ],
)
def test_a_limit_that_closes_nothing_is_refused(
    coach: Coach, quantity: str, most: float, more: dict, field: str
) -> None:
    athlete = coach.enrols()["id"]
    refused = limits(coach, athlete, quantity, most, **more)
    assert field in str(problem(refused, 422))
    assert coach.get(f"/api/athletes/{athlete}/screen")["limits"] == []


def test_a_limit_ends_on_its_day(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    last = coach.clock().date() + timedelta(days=7)
    limits(coach, athlete, "impact", 0, until=last.isoformat())
    coach.later(7)
    assert closed(coach.get(f"/api/athletes/{athlete}/screen"), "impact")
    coach.later(1)
    assert not closed(coach.get(f"/api/athletes/{athlete}/screen"), "impact")


def test_a_rung_past_the_coachs_limit_is_refused_with_its_remedy(coach: Coach) -> None:
    ladder = coach.has_ladder()
    limits(coach, ladder["athlete_id"], "wrist bend", 20)
    body = {"rung_id": ladder["rungs"][0]["id"]}
    refused = problem(coach.client.put(f"/api/ladders/{ladder['id']}/current-rung", json=body), 409)
    assert refused["field"] == "limit"
    assert "wrists bent back by at most 20°" in refused["problem"]


def test_lying_down_in_pregnancy_is_asked_by_stage(coach: Coach) -> None:
    """Common practice: on the back not after the first third, on the front while comfortable."""
    athlete = coach.enrols()["id"]

    def shut(**told: object) -> set[str]:
        coach.later(1)
        seen = screens(coach, athlete, pregnant=True, **told)
        return {one["id"] for one in seen["limits"]} & {"on the back", "on the front"}

    assert shut() == {"on the back", "on the front"}
    assert shut(pregnancy_stage="later", front_comfortable=True) == {"on the back"}
    assert shut(pregnancy_stage="first third") == {"on the front"}
    assert shut(pregnancy_stage="first third", front_comfortable=True) == set()


def test_limits_that_close_everything_say_so_and_what_could_be_done(coach: Coach) -> None:
    athlete = coach.enrols()["id"]
    told = limits(coach, athlete, "impact", 0).json()
    assert "movements open" in told["left_open"]
    for quantity in (name for name in QUANTITIES if name != "impact"):
        told = limits(coach, athlete, quantity, 0).json()
    assert "Nothing is left open" in told["left_open"]
    closed_names = {name for one in told["limits"] for name in one["forms"]}
    assert closed_names == {movement.name for movement in catalogue().movement}
