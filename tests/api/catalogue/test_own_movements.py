"""Movements of a coach's own: made, found, put on a ladder and in a session, sent in a file."""

from typing import Any
from uuid import uuid4

import pytest

from invelo.domain.catalogue.catalogue import forget_movement
from tests.api.coach import Coach, problem

HALF_TUCK = {
    "name": "Half-tuck hang lever",
    "base": "tuck-front-lever",
    "also": ["halfway lever"],
    "start": {"hip": 60, "knee": 70},
    "cues": ["Ribs down."],
    "faults": [{"name": "hips sag", "remedy": "tuck further"}],
}


def makes(coach: Coach, **change: Any) -> dict[str, Any]:
    made: dict[str, Any] = coach.put(f"/api/own-movements/{uuid4()}", **{**HALF_TUCK, **change})
    return made


def test_it_is_seen_before_it_is_kept(coach: Coach) -> None:
    seen = coach.post("/api/own-movements/preview", **HALF_TUCK)
    assert seen["wrong"] == ""
    assert seen["is_hold"]
    assert seen["demand"]["low"] < seen["demand"]["likely"] < seen["demand"]["high"]
    assert {one["joint"]: one["start"] for one in seen["angles"]}["hip"] == 60
    bent = coach.post("/api/own-movements/preview", **{**HALF_TUCK, "start": {"hip": 160}})
    assert "hip" in bent["wrong"]
    assert bent["figures"]  # the one it is made from stands meanwhile
    assert coach.get("/api/own-movements")["movements"] == []
    plain = coach.post("/api/own-movements/preview", name="x", base="tuck-front-lever")
    told = {one["joint"]: one["start"] for one in plain["angles"]}
    assert told["hip"] > 90  # a tuck, as its shape sets it (common practice)
    assert told["knee"] > 90


def test_it_is_kept_found_and_put_away(coach: Coach) -> None:
    path = f"/api/own-movements/{uuid4()}"
    made = coach.put(path, **HALF_TUCK)
    assert coach.put(path, **HALF_TUCK) == made
    assert made["id"] in {one["id"] for one in coach.get("/api/catalogue")["movements"]}
    for words in ("Half-tuck hang lever", "halfway lever", "half tuck hang levers"):
        assert coach.get(f"/api/movements?words={words}")["ids"][0] == made["id"]
    sheet = coach.get(f"/api/movements/{made['id']}")
    assert (sheet["cues"], sheet["faults"][0]["name"]) == (["Ribs down."], "hips sag")
    changed = coach.client.put(path, json={**HALF_TUCK, "name": "Otherwise"})
    assert problem(changed, 409)["field"] == "id"
    twice = coach.client.put(f"/api/own-movements/{uuid4()}", json=HALF_TUCK)
    assert problem(twice, 422)["field"] == "name"
    coach.client.delete(path).raise_for_status()
    assert coach.get("/api/own-movements")["movements"] == []
    assert coach.get(f"/api/movements/{made['id']}")["name"] == HALF_TUCK["name"]  # what was done


def test_it_becomes_a_rung_whose_numbers_come_from_its_own_posture(coach: Coach) -> None:
    made = makes(coach, name="Steep row", base="row", start={}, cues=[], faults=[], also=[])
    ladder = coach.has_ladder()
    foot = ladder["rungs"][0]
    body = {"id": str(uuid4()), "name": "Mine", "movement": made["id"], "after": [foot["id"]]}
    coach.post(f"/api/ladders/{ladder['id']}/rungs", **body)
    stands = coach.get(f"/api/ladders/{ladder['id']}")
    mine = next(rung for rung in stands["rungs"] if rung["name"] == "Mine")
    assert mine["movement"] == made["id"] or mine["movement"]["id"] == made["id"]
    forget_movement(made["id"])  # as a process that has just begun
    again = coach.get(f"/api/ladders/{ladder['id']}")
    assert again["rungs"] == stands["rungs"]


def test_a_ladder_file_brings_it_along_to_another_coach(coach: Coach, new_coach: Any) -> None:
    made = makes(coach)
    ladder = coach.has_ladder()
    foot = ladder["rungs"][0]
    body = {"id": str(uuid4()), "name": "Mine", "movement": made["id"], "after": [foot["id"]]}
    coach.post(f"/api/ladders/{ladder['id']}/rungs", **body)
    file = coach.get(f"/api/ladders/{ladder['id']}/file?kind=json")
    (brought,) = file["movements"]
    assert brought["start"] == {"hip": 60.0, "knee": 70.0}
    assert [r["movement"] for r in file["rungs"] if r["name"] == "Mine"] == [brought["id"]]
    other = new_coach()
    athlete = other.enrols()["id"]
    path = f"/api/athletes/{athlete}/ladder-files"
    told = other.client.post(f"{path}?dry_run=true", json=file).json()
    assert "faults" in told, told
    assert told["faults"] == []
    read = other.client.post(f"{path}?dry_run=false", json=file).json()
    names = [rung["name"] for rung in other.get(f"/api/ladders/{read['ladder_id']}")["rungs"]]
    assert "Mine" in names
    assert [one["name"] for one in other.get("/api/own-movements")["movements"]] == [made["name"]]
    faulty = {**file, "movements": [{**brought, "start": {"elbow": 900}}]}
    wrong = other.client.post(path, json=faulty).json()["faults"]
    assert any(fault["place"].startswith("movements[0]") for fault in wrong)


def test_another_coach_neither_lists_nor_finds_it(coach: Coach, new_coach: Any) -> None:
    made = makes(coach)
    other = new_coach()
    assert other.get("/api/own-movements")["movements"] == []
    assert made["id"] not in other.get("/api/movements?words=halfway lever")["ids"]
    refused = other.client.delete(f"/api/own-movements/{made['id'].removeprefix('own:')}")
    assert refused.status_code == 404


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"name": ""}, "name"),
        ({"base": "somersault"}, "movement"),
        ({"start": {"hip": 170}}, "start, hip"),
        ({"prime": {"lats": 40}}, "movement"),
        ({"cues": ["a", "b", "c", "d"]}, "cues"),
    ],
)
def test_what_cannot_be_is_refused_and_nothing_is_kept(
    coach: Coach, change: dict[str, Any], field: str
) -> None:
    body = {**HALF_TUCK, **change}
    refused = coach.client.put(f"/api/own-movements/{uuid4()}", json=body)
    assert problem(refused, 422)["field"] == field
    assert coach.get("/api/own-movements")["movements"] == []
