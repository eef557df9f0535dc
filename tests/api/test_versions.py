"""A page that has grown stale overwrites nothing, and is told what was changed."""

from typing import Any

import pytest

from tests.api.coach import Coach, problem
from tests.api.plan.test_week import next_week


@pytest.fixture
def athlete(ladder) -> str:
    return ladder["athlete_id"]


def put(coach: Coach, path: str, version: Any, body: dict[str, Any]) -> Any:
    return coach.client.put(path, json=body, headers={"If-Match": str(version)})


@pytest.mark.parametrize("written", ['"{}"', "{}", 'W/"{}"'])
def test_the_version_that_was_read_may_be_changed(coach, athlete, written) -> None:
    path = f"/api/athletes/{athlete}/person"
    version = coach.get(path)["version"]
    answer = put(coach, path, written.format(version), {"days": 3})
    assert answer.status_code == 200
    assert answer.json()["version"] != version


def test_a_stale_page_of_a_person_is_refused_and_nothing_is_lost(coach, athlete) -> None:
    path = f"/api/athletes/{athlete}/person"
    version = coach.get(path)["version"]
    assert put(coach, path, version, {"days": 3}).status_code == 200
    stale = put(coach, path, version, {"days": 5})
    assert "what they want and have was kept anew" in problem(stale, 412)["problem"]
    assert coach.get(path)["days"] == 3


def test_a_version_never_comes_back(coach, athlete) -> None:
    path = f"/api/athletes/{athlete}/person"
    versions = [coach.get(path)["version"]]
    for days in (3, 4, 3, 4):
        versions.append(coach.put(path, days=days)["version"])
    assert len(set(versions)) == len(versions)


def test_availability_is_kept_by_whoever_read_what_stands(coach, athlete) -> None:
    seen = next_week(coach, athlete)
    path = f"/api/athletes/{athlete}/week/availability?week_start={seen['week_start']}"
    asked, version = seen["availability"], seen["availability_version"]
    kept = put(coach, path, version, asked)
    assert kept.status_code == 200
    problem(put(coach, path, version, asked), 412)
    assert put(coach, path, kept.json()["availability_version"], asked).status_code == 200


def plain(rung: dict[str, Any], **change: Any) -> dict[str, Any]:
    keys = ("movement", "added_load", "criterion", "prescription", "why")
    return {**{key: rung[key] for key in keys if key in rung}, "name": rung["name"], **change}


def test_a_stale_rung_is_refused_by_its_name_of_today(coach, ladder) -> None:
    base = f"/api/ladders/{ladder['id']}"
    rung = coach.get(base)["rungs"][0]
    path = f"{base}/rungs/{rung['id']}"
    first = put(
        coach, path, rung["version"], {"name": "From the wall", "movement": rung["movement"]}
    )
    assert first.status_code == 200, first.text
    body = {"name": "Otherwise", "movement": rung["movement"]}
    assert "“From the wall” now" in problem(put(coach, path, rung["version"], body), 412)["problem"]
    assert coach.get(base)["rungs"][0]["name"] == "From the wall"


def test_undoing_twice_from_two_tabs_undoes_once(coach, ladder) -> None:
    base = f"/api/ladders/{ladder['id']}"
    rungs = coach.get(base)["rungs"]
    for rung in rungs[:2]:
        body = {"name": f"{rung['name']}, mine", "movement": rung["movement"]}
        coach.put(f"{base}/rungs/{rung['id']}", **body)
    read = {"If-Match": coach.get(base)["version"]}
    assert coach.client.post(f"{base}/undo", headers=read).status_code == 200
    stale = problem(coach.client.post(f"{base}/undo", headers=read), 412)
    assert "changed “" in stale["problem"]
    names = [rung["name"] for rung in coach.get(base)["rungs"][:2]]
    assert names == [f"{rungs[0]['name']}, mine", rungs[1]["name"]]


def test_a_number_of_a_week_is_never_given_again(coach, athlete) -> None:
    """Another tab has read revision 2; it was undone, and something else kept."""
    seen = next_week(coach, athlete)
    path = f"/api/athletes/{athlete}/week"
    of = f"?week_start={seen['week_start']}"
    day = seen["availability"]["days"][0]["index"]
    placed = [{"task": seen["tasks"][0]["key"], "day": day}]

    def keep(number: int, placed: list[dict[str, Any]], note: str) -> Any:
        body = {"placed": placed, "number": number, "pins": [], "note": note}
        return coach.client.put(f"{path}{of}", json=body)

    assert keep(0, [], "first").json()["revision"] == 1
    read = keep(1, placed, "second").json()["revision"]
    undone = coach.client.post(f"{path}/undo{of}", headers={"If-Match": str(read)})
    assert undone.json()["revision"] == 1
    assert keep(1, [], "third").json()["revision"] == 3
    assert "revision 3 stands, not 2" in problem(keep(read, placed, "stale"), 409)["problem"]
    stale = coach.client.post(f"{path}/undo{of}", headers={"If-Match": str(read)})
    assert "third" in problem(stale, 412)["problem"]
