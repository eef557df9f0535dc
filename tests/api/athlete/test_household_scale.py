"""A household scale: kept, nothing changed before it is accepted, undone by one press."""

from uuid import uuid4

import pytest

from tests.api.coach import Coach, problem


@pytest.fixture
def checks(ladder) -> str:
    return f"/api/athletes/{ladder['athlete_id']}/scale-checks"


def weighs(coach: Coach, checks: str, lighter_feet_kg: float = 0.0) -> dict:
    """The simulated scale's readings, the feet lighter by so much."""
    there = coach.get(checks)["simulated"]
    readings = [{**one, "read_kg": one["read_kg"] - lighter_feet_kg} for one in there["readings"]]
    return coach.post(checks, id=str(uuid4()), standing_kg=there["standing_kg"], readings=readings)


def load(coach: Coach, ladder) -> dict:
    """What the current rung asks."""
    sheet = coach.get(f"/api/ladders/{ladder['id']}")
    return next(one for one in sheet["rungs"] if one["id"] == sheet["current_rung_id"])["load"]


def test_nothing_changes_before_it_is_accepted_and_one_press_undoes_it(
    coach, ladder, checks
) -> None:
    before = load(coach, ladder)
    said = weighs(coach, checks, lighter_feet_kg=3.0)
    assert (said["accepted"], len(said["positions"])) == (False, 3)
    assert load(coach, ladder) == before
    accepted = coach.post(f"{checks}/{said['id']}/acceptance")
    assert accepted["accepted"]
    after = load(coach, ladder)
    factor = accepted["factor"]["likely"]
    assert after["likely"] == pytest.approx(before["likely"] * factor)
    assert (after["high"] - after["low"]) < 0.9 * (before["high"] - before["low"])
    undone = coach.client.delete(f"{checks}/{said['id']}/acceptance").json()
    assert undone["undone"]
    assert load(coach, ladder) == before


def test_it_stands_with_measures_of_before_and_after_and_capacity_stays_comparable(
    coach, ladder, checks
) -> None:
    """A test of before and a rung of after are of one body: predictions hardly move."""

    def predicted() -> float:
        sheet = coach.get(f"/api/ladders/{ladder['id']}")
        return sum(one["expected"]["likely"] for one in sheet["rungs"] if one["expected"])

    before = predicted()
    said = weighs(coach, checks, lighter_feet_kg=3.0)
    coach.post(f"{checks}/{said['id']}/acceptance")
    assert predicted() == pytest.approx(before, rel=0.02)
    measures = f"/api/athletes/{ladder['athlete_id']}/body-measurements"
    coach.later(days=1)
    coach.post(measures, mass_kg=74.0, stature_m=1.75)
    sheet = coach.get(f"/api/ladders/{ladder['id']}")
    assert sheet["measure"]["hands_log"] == pytest.approx(said_log(coach, checks), abs=1e-9)


def said_log(coach: Coach, checks: str) -> float:
    from math import log

    newest = coach.get(checks)["checks"][0]
    return log(newest["factor"]["likely"])


def test_a_newer_one_takes_the_place_of_the_one_before(coach, ladder, checks) -> None:
    first, second = (weighs(coach, checks, by) for by in (2.0, 4.0))
    for said in (first, second):
        coach.post(f"{checks}/{said['id']}/acceptance")
    there = {one["id"]: one for one in coach.get(checks)["checks"]}
    assert there[first["id"]]["undone"]
    assert there[second["id"]]["accepted"]
    refused = coach.client.post(f"{checks}/{first['id']}/acceptance")
    assert "undone" in problem(refused, 409)["problem"]


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"standing_kg": 40.0}, "standing weight"),
        ({"readings": [{"position": "floor, low", "read_kg": 73.0}]}, "floor, low: reading"),
        ({"readings": []}, "readings"),
    ],
)
def test_what_cannot_be_is_refused_by_name(coach, checks, change, field) -> None:
    there = coach.get(checks)["simulated"]
    refused = coach.client.post(checks, json={"id": str(uuid4()), **there, **change})
    assert problem(refused, 422)["field"] == field
    assert coach.get(checks)["checks"] == []
