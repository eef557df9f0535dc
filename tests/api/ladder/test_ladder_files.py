"""Ladders as files: out and in to the same state, and every fault with its place."""

import json
from xml.etree import ElementTree

import jsonschema_rs
import pytest
from sqlmodel import Session, select

from invelo.db.tables.ladder import LadderRow, RungRow
from tests.api.coach import problem
from tests.api.ladder.test_workshop import add, floor

WHOLE = {
    "format": "invelo-ladder",
    "version": 1,
    "goal": "A dip and a push-up",
    "rungs": [
        {"id": "a", "name": "Counter", "movement": "counter-push-up"},
        {"id": "b", "name": "Floor", "movement": "push-up", "tempo": "3-1-1-0"},
        {"id": "c", "name": "Squeeze", "movement": "palm-squeeze", "after": ["a"]},
        {"id": "d", "name": "Feet", "movement": "feet-raised-push-up", "after": ["b", "c"]},
    ],
}


def read_in(coach, athlete: str, content, dry_run: bool = True):
    path = f"/api/athletes/{athlete}/ladder-files?dry_run={str(dry_run).lower()}"
    return coach.client.post(path, json=content)


def out(coach, ladder, kind: str = "json"):
    response = coach.client.get(f"/api/ladders/{ladder['id']}/file?kind={kind}")
    response.raise_for_status()
    assert "attachment" in response.headers["content-disposition"]
    return response


def state(sheet) -> tuple:
    """A ladder without its ids."""
    at = {rung["id"]: i for i, rung in enumerate(sheet["rungs"])}
    rungs = [
        {k: v for k, v in rung.items() if k not in ("id", "version")} for rung in sheet["rungs"]
    ]
    edges = [(at[s["lower_id"]], at[s["upper_id"]], s["ratio"], s["gap"]) for s in sheet["steps"]]
    return sheet["goal"], sheet["purpose"], sheet["level"], sheet["settings"], rungs, edges


def test_out_deleted_and_in_again_it_is_the_same_ladder(coach, ladder) -> None:
    add(coach, ladder, [floor(ladder)], name="Squeeze", movement="palm-squeeze", values={})
    path = f"/api/ladders/{ladder['id']}"
    coach.put(
        f"{path}/settings", target_step_percent=8, lever_order=["load", "tempo", "lever", "range"]
    )
    before = coach.get(path)
    told = out(coach, ladder).json()
    schema = coach.get("/api/ladder-schema")
    jsonschema_rs.validator_for(schema).validate(told)
    assert coach.client.delete(path).status_code == 204
    tried = read_in(coach, ladder["athlete_id"], told).json()
    assert tried["faults"] == []
    assert tried["ladder_id"] is None
    assert [rung["name"] for rung in tried["rungs"]] == [r["name"] for r in before["rungs"]]
    made = read_in(coach, ladder["athlete_id"], told, dry_run=False).json()
    after = coach.get(f"/api/ladders/{made['ladder_id']}")
    assert state(after) == state(before)
    assert out(coach, after).json() == told


def test_a_dry_run_writes_nothing(coach, ladder, engine) -> None:
    assert read_in(coach, ladder["athlete_id"], WHOLE).json()["faults"] == []
    with Session(engine) as db:
        assert len(db.exec(select(LadderRow)).all()) == 1


def test_markdown_is_a_table_with_every_rung(coach, ladder) -> None:
    told = out(coach, ladder, "md").text
    assert told.startswith(f"# {ladder['goal']}\n")
    rows = [line for line in told.splitlines() if line.startswith("| ")]
    assert len(rows) == len(ladder["rungs"]) + 1
    for rung in ladder["rungs"]:
        assert rung["name"] in told
    assert "**gap**" in told


def test_the_drawing_is_svg_to_scale(coach, ladder) -> None:
    """Rungs stand at heights in proportion to their demand."""
    root = ElementTree.fromstring(out(coach, ladder, "svg").text)
    name = "{http://www.w3.org/2000/svg}"
    assert root.tag == f"{name}svg"
    words = [text.text for text in root.iter(f"{name}text")]
    for rung in ladder["rungs"]:
        assert rung["name"] in words
    assert any(note and note.startswith("gap ×") for note in words)
    marks = [
        float(line.get("y1"))
        for line in root.iter(f"{name}line")
        if line.get("x1") == "74.0" and line.get("x2") == "134.0"
    ]
    demands = [rung["demand"]["likely"] for rung in ladder["rungs"]]
    assert len(marks) == len(demands)
    scale = (marks[0] - marks[-1]) / (demands[-1] - demands[0])
    for mark, demand in zip(marks, demands, strict=True):
        assert marks[0] - mark == pytest.approx(scale * (demand - demands[0]), abs=0.2)


def changed(**top) -> dict:
    return {**json.loads(json.dumps(WHOLE)), **top}


def with_rung(place: int, **change) -> dict:
    whole = changed()
    whole["rungs"][place] |= change
    return whole


@pytest.mark.parametrize(
    ("content", "place", "words"),
    [
        (changed(version=3), "version", "reads up to 2"),
        (changed(format="other"), "format", "Input should be"),
        (changed(goal=""), "goal", "at least 1"),
        (changed(rungs=[]), "rungs", "at least 1"),
        (changed(rungs=[WHOLE["rungs"][0]] * 1000), "rungs", "at most 60"),
        (changed(colour="red"), "colour", "Extra inputs"),
        (changed(settings={"target_step_percent": 900}), "settings.wanted_step", "out of range"),
        ([1, 2], "file", "valid dictionary"),
        (with_rung(1, movement=None), "rungs[1].movement", "valid string"),
        (with_rung(1, movement="flying"), "rungs[1].movement", "not in the catalogue"),
        (with_rung(1, movement="Incline push-up"), "rungs[1].movement", "means 2 things"),
        (with_rung(1, values={"wings": 2}), "rungs[1].wings", "no such measure"),
        (with_rung(1, values={"hand_height": 9}), "rungs[1].hand_height", "out of range"),
        (with_rung(1, values={"hand_height": 1.9}), "rungs[1].hand_height", "beyond this body"),
        (with_rung(1, added_load={"bag_kg": -1}), "rungs[1].worn_bag", "out of range"),
        (with_rung(1, after=["d"]), "rungs[1].after", "a loop"),
        (with_rung(1, after=["b"]), "rungs[1].after", "a loop"),
        (with_rung(1, after=["z"]), "rungs[1].after", "no rung of this file"),
        (with_rung(1, id="a"), "rungs[1].id", "is taken"),
        (with_rung(1, name="Counter"), "rungs.name", "two rungs are called"),
        (
            with_rung(1, prescription={"sets": 0, "low": 1, "high": 2, "unit": "reps"}),
            "rungs[1].sets",
            "",
        ),
    ],
)
def test_every_fault_has_its_place_and_nothing_is_written(
    coach, ladder, engine, content, place, words
) -> None:
    told = read_in(coach, ladder["athlete_id"], content, dry_run=False).json()
    assert told["ladder_id"] is None
    assert place in [fault["place"] for fault in told["faults"]]
    said = next(fault for fault in told["faults"] if fault["place"] == place)
    assert words in said["problem"]
    assert said["remedy"]
    with Session(engine) as db:
        assert len(db.exec(select(LadderRow)).all()) == 1
        assert len(db.exec(select(RungRow)).all()) == len(ladder["rungs"])


def test_all_faults_are_told_at_once(coach, ladder) -> None:
    whole = with_rung(1, movement="flying")
    whole["rungs"][0]["values"] = {"wings": 1}
    whole["rungs"][3]["after"] = ["z"]
    told = read_in(coach, ladder["athlete_id"], whole).json()["faults"]
    assert len(told) == 3


def test_a_file_of_twenty_megabytes_is_refused(coach, ladder) -> None:
    path = f"/api/athletes/{ladder['athlete_id']}/ladder-files"
    response = coach.client.post(path, json={**WHOLE, "goal": "x" * 20_000_000})
    assert problem(response, 413)["field"] == "body"


def test_a_goal_that_is_there_already_is_refused(coach, ladder) -> None:
    told = out(coach, ladder).json()
    refused = read_in(coach, ladder["athlete_id"], told, dry_run=False)
    assert problem(refused, 409)["field"] == "goal"
