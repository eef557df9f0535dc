"""A place that hurts, from the set it was told with to the weeks after it was cleared."""

from datetime import date
from uuid import uuid4

import pytest

from invelo.domain.athlete.screen import SPARED
from invelo.domain.athlete.spared import SparedPlace
from invelo.domain.athlete.strain import AVERAGE, strains
from invelo.domain.catalogue.catalogue import catalogue
from invelo.domain.catalogue.movement import Modifiers
from tests.api.athlete.test_intake import does, shows
from tests.api.coach import Coach, problem
from tests.api.plan.test_week import next_week, solve


@pytest.fixture
def planche(coach: Coach) -> str:
    """Someone on ladders of push-ups, planche and L-sit, who squats and rows besides."""
    athlete = coach.enrols()["id"]
    for check in coach.get(f"/api/athletes/{athlete}/readiness")["checks"]:
        shows(coach, athlete, check["id"])
    does(coach, athlete, "push-up", 14)
    does(coach, athlete, "row-half", 12)
    does(coach, athlete, "squat-slow", 15)
    for ready in ("push-up", "planche", "l-sit", "row", "household-legs"):
        LADDERS[ready] = coach.post(f"/api/athletes/{athlete}/ladders", ready_ladder=ready)["id"]
    return athlete


LADDERS: dict[str, str] = {}


def spared(coach: Coach, athlete: str) -> list[dict]:
    return coach.get(f"/api/athletes/{athlete}/spared")["places"]


def loads_the_wrist(movement_id: str) -> bool:
    movement = catalogue().find_movement(movement_id)
    asked = strains(AVERAGE, movement, movement.own(Modifiers()))
    bent = dict(SPARED["wrist"])["wrist bend"]
    return bool(movement.stress.get("wrist")) or asked.get("wrist bend", 0.0) > bent


def hurts(coach: Coach, pain: int = 5, place: str = "left wrist") -> dict:
    return coach.trains(LADDERS["push-up"], pain=pain, pain_place=place)


def test_a_sore_wrist_is_spared_on_every_ladder_with_what_fits_instead(
    coach: Coach, planche: str
) -> None:
    """Common practice: nothing that loads a painful wrist, no back lever in its place, and what
    trains the rest goes on."""
    assert spared(coach, planche) == []
    hurts(coach)
    (sore,) = spared(coach, planche)
    assert (sore["place"], sore["pain"]) == ("wrist", 5)
    assert sore["ask_on"] > sore["since"]
    assert len(sore["ladders"]) == 3
    offered = [one for ladder in sore["ladders"] for one in ladder["instead"]]
    assert offered
    for one in offered:
        assert not loads_the_wrist(one["movement"]), one
        assert "lever" not in one["movement"]
        if one["likely"] is not None:
            assert one["likely"] >= 5
    line = next(one for one in coach.get("/api/squad")["athletes"] if one["id"] == planche)
    assert line["flags"][0]["text"].startswith("wrist spared since")


def test_the_week_is_planned_without_it_and_says_so(coach: Coach, planche: str) -> None:
    hurts(coach)
    seen = next_week(coach, planche)
    assert len([words for words in seen["left_out"] if "wrist, which hurts" in words]) == 3
    plan = solve(coach, seen)
    coach.client.put(
        f"/api/athletes/{planche}/week?week_start={seen['week_start']}",
        json={"placed": plan["placed"], "number": seen["revision"]},
    ).raise_for_status()
    along = coach.get(f"/api/athletes/{planche}/floor")
    done = [
        each["what"]["movement"]
        for session in (*along["sessions"], *along["single"])
        for item in session["items"]
        for each in item["sets"]
    ]
    assert done
    assert not [name for name in done if loads_the_wrist(name)]


def test_cleared_days_later_it_comes_back_in_steps(coach: Coach, planche: str) -> None:
    hurts(coach)
    push = LADDERS["push-up"]
    refused = coach.client.put(
        f"/api/athletes/{planche}/sessions/{uuid4()}",
        json={"name": "Alone", "ladder_id": push, **coach.now()},
    )
    assert problem(refused, 409)["field"] == "pain"
    coach.later(5)
    path = f"/api/athletes/{planche}/spared/wrist/clear"
    assert problem(coach.client.post(path, json={"note": " "}), 422)["field"] == "note"
    assert coach.post(path, note="no pain leaning on the hands")["places"] == []
    assert problem(coach.client.post(path, json={"note": "twice"}), 404)["field"] == "spared place"
    single = {
        one["ladder_id"]: one for one in coach.get(f"/api/athletes/{planche}/floor")["single"]
    }
    assert "back after pain" in str(single[push])
    coach.later(7)
    single = {
        one["ladder_id"]: one for one in coach.get(f"/api/athletes/{planche}/floor")["single"]
    }
    assert "back after pain" not in str(single[push])


def test_a_coach_who_lets_it_go_on_is_asked_again_when_it_is_worse(
    coach: Coach, planche: str
) -> None:
    stop = hurts(coach)
    assert stop["outcome"] == "stop"
    answer = f"/api/proposals/{stop['id']}/answer"
    coach.post(answer, answer="decline", note="a bruise, seen by a doctor")
    assert spared(coach, planche) == []
    hurts(coach)
    assert spared(coach, planche) == []
    hurts(coach, 7)
    assert [one["pain"] for one in spared(coach, planche)] == [7]


@pytest.mark.parametrize(("pain", "place"), [(3, "wrist"), (6, "somewhere")])
def test_little_pain_and_no_place_that_is_known_spare_nothing(
    coach: Coach, planche: str, pain: int, place: str
) -> None:
    hurts(coach, pain, place)
    assert spared(coach, planche) == []


def test_a_sore_place_closes_what_its_class_of_stress_says_too() -> None:
    place = SparedPlace("elbow", date(2026, 3, 2), 5)
    row, squat = (catalogue().find_movement(name) for name in ("row", "squat"))
    assert place.closes(row, strains(AVERAGE, row, row.own(Modifiers())))
    assert not place.closes(squat, strains(AVERAGE, squat, squat.own(Modifiers())))
