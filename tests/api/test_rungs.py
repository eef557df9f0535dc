"""Rungs put on a ladder and taken off it."""

from uuid import uuid4

import pytest
from sqlmodel import Session, select

from invelo.store.tables import Rung
from tests.api.coach import problem


@pytest.fixture
def ladder(coach):
    return coach.has_ladder()


def add(coach, ladder, beside, **change):
    body = {"id": str(uuid4()), "beside": beside["id"], "dial": "foot_height", "amount": 0.0841}
    return coach.client.post(f"/api/ladders/{ladder['id']}/rungs", json={**body, **change})


def drawn(coach, ladder):
    return coach.get(f"/api/ladders/{ladder['id']}")


def names(sheet) -> list[str]:
    assert [rung["position"] for rung in sheet["rungs"]] == list(range(len(sheet["rungs"])))
    return [rung["name"] for rung in sheet["rungs"]]


def floor(ladder):
    return next(r for r in ladder["rungs"] if r["name"] == "Floor push-up")


def test_a_rung_stands_right_above_the_one_it_was_made_from(coach, ladder) -> None:
    made = add(coach, ladder, floor(ladder))
    assert made.status_code == 201
    assert made.json()["name"] == "Floor push-up, feet 8 cm"
    after = drawn(coach, ladder)
    at = names(after).index("Floor push-up")
    assert names(after)[at + 1] == "Floor push-up, feet 8 cm"
    assert after["rungs"][at + 1]["values"]["foot_height"] == 0.08
    assert after["rungs"][at + 1]["dose"] == floor(ladder)["dose"]
    assert after["rungs"][at + 1]["gate"] == floor(ladder)["gate"]
    assert after["standing_id"] == ladder["standing_id"]


def test_or_right_below_it(coach, ladder) -> None:
    add(coach, ladder, floor(ladder), side="below", dial="hand_height", amount=0.1)
    after = names(drawn(coach, ladder))
    assert after[after.index("Floor push-up") - 1] == "Floor push-up, hands 10 cm"


def test_a_rung_between_closes_a_gap(coach, ladder) -> None:
    """The ready ladder's first step is too big; a counter push-up with slower reps lies between."""
    assert ladder["steps"][0]["gap"]
    path = f"/api/ladders/{ladder['id']}/rungs/{ladder['rungs'][0]['id']}/ways?step_percent=9"
    lower = next(w for w in coach.get(path)["ways"] if w["dial"] == "hand_height")["to"]["likely"]
    add(coach, ladder, ladder["rungs"][0], dial="hand_height", amount=lower)
    after = drawn(coach, ladder)
    assert not after["steps"][0]["gap"]
    assert not after["steps"][1]["gap"]
    assert not after["steps"][0]["easier"]


def test_sending_a_rung_twice_adds_one(coach, ladder) -> None:
    rung = str(uuid4())
    first, second = (add(coach, ladder, floor(ladder), id=rung) for _ in range(2))
    assert first.json() == second.json()
    assert len(drawn(coach, ladder)["rungs"]) == len(ladder["rungs"]) + 1


def test_an_id_of_another_ladder_is_refused(coach, ladder) -> None:
    other = coach.has_ladder()
    assert problem(add(coach, ladder, floor(ladder), id=other["standing_id"]), 409)["field"] == "id"


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"amount": 5}, "foot height"),
        ({"amount": -0.1}, "foot height"),
        ({"dial": "bag", "amount": 40}, "bag"),
        ({"dial": "lowering", "amount": 0.1}, "lowering"),
        ({"dial": "magic"}, "dial"),
        ({"side": "left"}, "side"),
        ({"amount": "some"}, "amount"),
    ],
)
def test_a_bad_rung_names_its_field_and_changes_nothing(coach, ladder, change, field) -> None:
    assert problem(add(coach, ladder, floor(ladder), **change), 422)["field"] == field
    assert names(drawn(coach, ladder)) == names(ladder)


def test_a_rung_of_another_ladder_is_no_neighbour(coach, ladder) -> None:
    assert problem(add(coach, ladder, floor(coach.has_ladder())), 404)["field"] == "rung"


def remove(coach, ladder, rung_id: str):
    return coach.client.delete(f"/api/ladders/{ladder['id']}/rungs/{rung_id}")


def test_a_rung_nobody_trained_on_is_taken_off(coach, ladder) -> None:
    made = add(coach, ladder, floor(ladder)).json()
    assert remove(coach, ladder, made["id"]).status_code == 204
    assert names(drawn(coach, ladder)) == names(ladder)


def test_the_rung_one_stands_on_stays(coach, ladder) -> None:
    told = problem(remove(coach, ladder, ladder["standing_id"]), 409)
    assert told["problem"] == "the athlete stands on it."


def test_a_rung_with_history_stays(coach, ladder, engine) -> None:
    coach.trains(ladder["id"])
    trained = ladder["standing_id"]
    coach.post(f"/api/ladders/{ladder['id']}/standing", rung_id=ladder["rungs"][0]["id"])
    assert problem(remove(coach, ladder, trained), 409)["field"] == "rung"
    with Session(engine) as db:
        assert len(db.exec(select(Rung)).all()) == len(ladder["rungs"])


def test_a_rung_that_is_not_there_cannot_be_taken_off(coach, ladder) -> None:
    assert problem(remove(coach, ladder, str(uuid4())), 404)["field"] == "rung"
