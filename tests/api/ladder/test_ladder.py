"""Ladder: measured for its athlete, tested, moved along."""

from uuid import uuid4

import pytest
from sqlmodel import Session, select

from invelo.db.tables.athlete import TestRow as KeptTest
from invelo.db.tables.ladder import PlacementRow
from invelo.domain import MODEL_VERSION
from invelo.domain.catalogue.catalogue import CATALOGUE_VERSION
from tests.api.coach import problem


def standing(ladder):
    return next(r for r in ladder["rungs"] if r["id"] == ladder["current_rung_id"])


def test_a_ladder_is_entered_where_the_test_says(coach) -> None:
    ladder = coach.has_ladder(reps=9)
    assert ladder["current_rung_id"] == ladder["placement"]["rung_id"]
    assert ladder["placement"]["evidence_kind"] == "test"
    assert standing(ladder)["expected"]["likely"] >= 6 + 1


def test_rungs_come_measured_with_range_and_unit(coach, ladder) -> None:
    assert [r["position"] for r in ladder["rungs"]] == list(range(11))
    for rung in ladder["rungs"]:
        for name, unit in (("demand", "kg"), ("load", "kg"), ("expected", "reps")):
            assert rung[name]["low"] <= rung[name]["likely"] <= rung[name]["high"]
            assert rung[name]["unit"] == unit
        assert rung["figure"]["joints"]["shoulder"]["y"] > 0
    assert len(ladder["steps"]) == 10
    assert ladder["model_version"] == MODEL_VERSION


def test_the_floor_push_up_carries_about_two_thirds_of_body_weight(coach) -> None:
    """Suprak and others 2011: still, 69 % at the top and 75 % at the bottom (from memory)."""
    floor = next(r for r in coach.has_ladder()["rungs"] if r["name"] == "Floor push-up")
    assert floor["share"]["likely"] == pytest.approx(73, abs=2)


def test_the_sheet_of_a_rung_explains_every_figure(coach, ladder) -> None:
    sheet = coach.get(f"/api/ladders/{ladder['id']}/rungs/{ladder['current_rung_id']}")
    figures = [sheet[n] for n in ("demand", "share", "work", "expected")]
    for figure in (*figures, *sheet["phases"].values()):
        assert figure["derivation"]["formula"]
        assert figure["derivation"]["inputs"]
        assert figure["derivation"]["sources"]
    assert [f["phase"] for f in sheet["figures"]] == ["top", "bottom"]
    assert sheet["cues"]
    assert any("not medical advice" in caution for caution in sheet["cautions"])


def test_the_catalogue_lists_ready_ladders(coach) -> None:
    known = coach.get("/api/catalogue")
    assert "push-up" in [ladder["id"] for ladder in known["ladders"]]
    assert known["version"] == CATALOGUE_VERSION


def test_results_are_kept_with_versions_and_inputs(coach, ladder, engine) -> None:
    with Session(engine) as db:
        test = db.exec(select(KeptTest)).one()
        placement = db.exec(select(PlacementRow)).one()
        for kept in (test, placement):
            assert kept.model_version == MODEL_VERSION
            assert kept.catalogue_version == CATALOGUE_VERSION
            assert kept.inputs["mass_kg"] == 75.0
            assert (kept.time_zone, str(kept.local_date)) == ("Europe/Lisbon", "2026-03-02")
        assert placement.result["reach"]["likely"] == ladder["placement"]["reach"]["likely"]
        assert test.result["capacity"]["derivation"]["formula"]


def test_a_better_test_raises_reach_and_leaves_the_standing_to_the_coach(coach, clock) -> None:
    ladder = coach.has_ladder(reps=9)
    clock.pass_by(days=1)
    for _ in range(2):
        clock.pass_by(days=2)
        test = {"id": str(uuid4()), "movement": "push-up", "reps": 14}
        coach.post(f"/api/athletes/{ladder['athlete_id']}/tests", **test)
    after = coach.get(f"/api/ladders/{ladder['id']}")
    assert after["placement"]["reach"]["likely"] > ladder["placement"]["reach"]["likely"]
    assert after["placement"]["rung_id"] != ladder["placement"]["rung_id"]
    assert after["current_rung_id"] == ladder["current_rung_id"]
    assert after["revision"] == 3


def test_sending_a_test_twice_counts_once(coach, ladder) -> None:
    test = {"id": str(uuid4()), "movement": "push-up", "reps": 12}
    path = f"/api/athletes/{ladder['athlete_id']}/tests"
    assert coach.post(path, **test) == coach.post(path, **test)
    assert coach.get(f"/api/ladders/{ladder['id']}")["revision"] == 2
    other = coach.client.post(path, json={**test, "reps": 13})
    assert problem(other, 409)["field"] == "test id"


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"reps": 0}, "reps"),
        ({"reps": 201}, "reps"),
        ({"reps": 9.5}, "reps"),
        ({"rpe": 0}, "rpe"),
        ({"rpe": 11}, "rpe"),
        ({"movement": "flying"}, "movement"),
        ({"values": {"hand_height": -0.1}}, "hand height"),
        ({"values": {"hand_height": 30}}, "hand height"),
        ({"values": {"foot_height": 3}}, "foot height"),
        ({"values": {"hand_offset": 1}}, "hand offset"),
        ({"added_load": {"bag_kg": -5}}, "worn bag"),
        ({"added_load": {"vest_kg": 500}}, "worn vest"),
        ({"tempo": "fast"}, "tempo"),
        ({"id": "seven"}, "id"),
    ],
)
def test_a_bad_test_names_its_field_and_writes_nothing(
    coach, ladder, engine, change, field
) -> None:
    body = {"id": str(uuid4()), "movement": "push-up", "reps": 9, **change}
    response = coach.client.post(f"/api/athletes/{ladder['athlete_id']}/tests", json=body)
    assert problem(response, 422)["field"] == field
    with Session(engine) as db:
        assert len(db.exec(select(KeptTest)).all()) == 1
        assert len(db.exec(select(PlacementRow)).all()) == 1


def test_a_ladder_that_fails_leaves_nothing_half_written(coach) -> None:
    athlete = coach.enrols()
    test = {"id": str(uuid4()), "movement": "push-up", "reps": 999}
    response = coach.client.post(
        f"/api/athletes/{athlete['id']}/ladders", json={"ready_ladder": "push-up", "test": test}
    )
    assert problem(response, 422)["field"] == "reps"
    assert coach.get(f"/api/athletes/{athlete['id']}")["ladders"] == []


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"ready_ladder": "moon"}, "ready ladder"),
        ({"purpose": "fun"}, "purpose"),
        ({"level": "god"}, "level"),
    ],
)
def test_a_ladder_that_is_not_there_is_refused(coach, change, field) -> None:
    athlete = coach.enrols()["id"]
    body = {"ready_ladder": "push-up", "test": {"id": str(uuid4()), "reps": 9}, **change}
    response = coach.client.post(f"/api/athletes/{athlete}/ladders", json=body)
    assert problem(response, 422)["field"] == field


def test_the_same_ladder_twice_is_refused(coach, ladder) -> None:
    body = {"ready_ladder": "push-up", "test": {"id": str(uuid4()), "reps": 9}}
    response = coach.client.post(f"/api/athletes/{ladder['athlete_id']}/ladders", json=body)
    assert problem(response, 409)["field"] == "goal"


def test_the_coach_moves_the_athlete(coach, ladder) -> None:
    wanted = ladder["rungs"][2]["id"]
    moved = coach.put(f"/api/ladders/{ladder['id']}/current-rung", rung_id=wanted)
    assert moved["current_rung_id"] == wanted
    assert coach.item(ladder["id"])["sets"][0]["what"]["rung_id"] == wanted


def test_a_rung_of_another_ladder_is_no_place_to_stand(coach) -> None:
    ladder, other = coach.has_ladder(), coach.has_ladder()
    response = coach.client.put(
        f"/api/ladders/{ladder['id']}/current-rung", json={"rung_id": other["current_rung_id"]}
    )
    assert problem(response, 404)["field"] == "rung"


def test_what_a_short_body_cannot_do_is_left_out_of_its_ladder(coach) -> None:
    athlete = coach.enrols(mass_kg=25.0, stature_m=1.0)
    given = coach.post(f"/api/athletes/{athlete['id']}/ladders", ready_ladder="push-up")
    names = [one["name"] for one in given["rungs"]]
    assert "Counter push-up" not in names  # as high as their shoulders
    assert "Floor push-up" in names


def test_a_rung_that_a_body_has_outgrown_is_closed_and_the_ladder_opens(coach, ladder) -> None:
    """A mistyped height, say: the ladder says which rung it closes, and opens all the same."""
    measures = f"/api/athletes/{ladder['athlete_id']}/body-measurements"
    coach.later(days=1)
    coach.post(measures, mass_kg=30.0, stature_m=1.05)
    sheet = coach.get(f"/api/ladders/{ladder['id']}")
    closed = {one["name"]: one["closed"] for one in sheet["rungs"] if one["closed"]}
    assert "reach" in closed["Counter push-up"], closed
    assert len(closed) < len(sheet["rungs"])
    assert coach.get("/api/squad")["athletes"]


def test_resuming_what_is_not_stopped_is_refused(coach, ladder) -> None:
    response = coach.client.post(f"/api/ladders/{ladder['id']}/resume")
    assert problem(response, 409)["field"] == "ladder"


def test_ways_to_the_next_step_stand_side_by_side(coach, ladder) -> None:
    path = f"/api/ladders/{ladder['id']}/rungs/{ladder['current_rung_id']}/adjustments"
    told = coach.get(f"{path}?step_percent=7.5")
    assert told["step_percent"] == 7.5
    adjustables = [way["adjustable"] for way in told["ways"]]
    assert {"bag", "foot_height", "hand_height", "hand_offset", "eccentric", "range"} <= set(
        adjustables
    )
    assert len(set(adjustables)) == len(adjustables)
    for way in told["ways"]:
        if way["to"] is None:
            assert way["unavailable_reason"]
            continue
        assert way["to"]["derivation"]["formula"]
        standing_demand = standing(ladder)["demand"]["likely"]
        assert way["demand"]["likely"] == pytest.approx(1.075 * standing_demand, rel=1e-3)


@pytest.mark.parametrize("step", ["0", "500", "-90", "nan", "much"])
def test_a_step_that_cannot_be_asked_for_is_refused(coach, ladder, step: str) -> None:
    path = f"/api/ladders/{ladder['id']}/rungs/{ladder['current_rung_id']}/adjustments"
    told = problem(coach.client.get(f"{path}?step_percent={step}"), 422)
    assert "step" in told["field"]
