"""`ladder`: a ladder, a body, tests and kit in JSON to demands, steps, gaps and bridges."""

import itertools
import json
from typing import Any

import jsonschema_rs
import pytest

from invelo.formats.ladder import document
from invelo.formats.scripts import ladder
from invelo.runtime.settings import ROOT
from tests.command import invelo

FILE = {
    "format": "invelo-ladder",
    "version": 1,
    "goal": "Push-up, feet raised",
    "rungs": [
        {"id": "a", "name": "Counter", "movement": "counter-push-up"},
        {"id": "b", "name": "Floor", "movement": "push-up"},
        {"id": "c", "name": "Squeeze", "movement": "palm-squeeze", "after": ["a"]},
        {"id": "d", "name": "Feet", "movement": "feet-raised-push-up", "after": ["b", "c"]},
    ],
}
EARLIER = ROOT / "tests" / "machine" / "data" / "release-0.1.0-ladder.json"
"""Written by release 0.1.0."""

KIT = [
    {"kind": "surface", "height_m": 0.2},
    {"kind": "surface", "height_m": 0.4},
    {"kind": "bag", "kg": 12},
    {"kind": "load", "kg": 2.5, "count": 3},
]
WHOLE = {
    "body": {"stature_m": 1.75, "mass_kg": 75},
    "ladder": FILE,
    "tests": [{"movement": "push-up", "reps": 9}],
    "kit": KIT,
}


def asked(**change: Any) -> dict[str, Any]:
    return {**json.loads(json.dumps(WHOLE)), **change}


def test_it_tells_demands_steps_gaps_and_bridges() -> None:
    told = ladder.answer(asked())
    rungs = {one.name: one for one in told.rungs}
    assert rungs["Floor"].expected.likely == pytest.approx(9)
    assert rungs["Floor"].limiting_measure == "hand load"
    assert rungs["Squeeze"].demand is None
    steps = {(one.lower, one.upper): one for one in told.steps}
    assert set(steps) == {
        ("Counter", "Floor"),
        ("Counter", "Squeeze"),
        ("Floor", "Feet"),
        ("Squeeze", "Feet"),
    }
    gap = steps["Counter", "Floor"]
    assert gap.gap
    assert gap.bridge.possible
    levels = [
        rungs["Counter"].demand.likely,
        *(one.demand for one in gap.bridge.rungs),
        rungs["Floor"].demand.likely,
    ]
    assert all(1 < b / a <= 1.1 + 1e-6 for a, b in itertools.pairwise(levels))
    assert steps["Squeeze", "Feet"].ratio is None


def test_what_it_takes_fits_its_schema() -> None:
    told = ladder.schema()
    jsonschema_rs.validator_for(told).validate(WHOLE)
    assert not jsonschema_rs.validator_for(told).is_valid(asked(colour="red"))


@pytest.mark.parametrize(
    ("change", "place"),
    [
        ({"body": {"stature_m": 9, "mass_kg": 75}}, "body.stature"),
        ({"body": {"mass_kg": 75}}, "body.stature_m"),
        ({"kit": [{"kind": "surface", "height_m": -0.2}]}, "kit[0].height"),
        ({"kit": [{"kind": "wand"}]}, "kit[0].kind"),
        ({"tests": [{"movement": "push-up", "seconds": 9}]}, "tests[0].reps"),
        ({"tests": [{"movement": "flying", "reps": 9}]}, "tests[0].movement"),
        ({"settings": {"target_step_percent": 0.1}}, "settings.wanted_step"),
        ({"ladder": {**FILE, "version": 3}}, "ladder.version"),
        ({"ladder": {**FILE, "rungs": []}}, "ladder.rungs"),
        ({"wings": 2}, "wings"),
    ],
)
def test_a_fault_is_told_with_its_place(change: dict[str, Any], place: str) -> None:
    with pytest.raises(ladder.FaultyError) as caught:
        ladder.answer(asked(**change))
    assert place in [fault.place for fault in caught.value.faults]


def test_faults_of_several_parts_are_told_at_once() -> None:
    wrong = asked(kit=[{"kind": "surface", "height_m": -1}], ladder={**FILE, "version": 3})
    with pytest.raises(ladder.FaultyError) as caught:
        ladder.answer(wrong)
    assert {fault.place for fault in caught.value.faults} == {"kit[0].height", "ladder.version"}


def test_the_command_reads_and_answers_json() -> None:
    done = invelo("ladder", given=json.dumps(WHOLE))
    assert done.exit_code == 0, done.stderr
    assert json.loads(done.stdout)["goal"] == FILE["goal"]
    assert json.loads(invelo("ladder", "--schema").stdout)["$schema"]


@pytest.mark.parametrize(
    ("given", "words"),
    [
        ("{", "not JSON"),
        (json.dumps(asked(kit=[{"kind": "surface", "height_m": -1}])), "kit[0].height"),
        (json.dumps(asked(wings="x" * 20_000_000)), "over 256 KiB"),
    ],
)
def test_the_command_says_what_is_wrong_and_answers_nothing(given: str, words: str) -> None:
    done = invelo("ladder", given=given)
    assert done.exit_code == 2
    assert words in done.stderr
    assert done.stdout == ""


def test_the_worked_example_of_the_page_is_what_it_answers() -> None:
    page = (ROOT / "docs" / "formats" / "ladder.md").read_text(encoding="utf-8")
    blocks = [block.split("```")[0] for block in page.split("```json\n")[1:]]
    request, answered = (json.loads(block) for block in blocks[1:3])
    told = ladder.answer(request).model_dump(mode="json", exclude_none=True)
    step = told["steps"][0]
    assert step["ratio"]["likely"] == pytest.approx(answered["ratio"]["likely"], abs=0.005)
    assert step["gap"] == answered["gap"]
    assert [one["name"] for one in step["bridge"]["rungs"]] == answered["bridge"]


def test_a_ladder_file_of_an_earlier_release_is_read() -> None:
    text = EARLIER.read_text(encoding="utf-8")
    found = document.read(text)
    assert (found.faults, found.file is not None) == ((), True)
    assert found.file is not None
    told = json.loads(text)
    assert told["version"] == 1
    assert found.file.settings.target_step_percent == told["terms"]["step_percent"] == 8
    for now, before in zip(found.file.rungs, told["rungs"], strict=True):
        assert now.prescription is not None
        assert now.criterion is not None
        assert (now.prescription.low, now.prescription.rpe) == (
            before["dose"]["low"],
            before["dose"]["effort"],
        )
        assert now.criterion.amount == before["gate"]["amount"]
        assert now.added_load.bag_kg == before["carried"]["bag_kg"]
