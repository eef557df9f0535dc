"""`leverage` and `predict`: JSON lists in and out, schemas, errors in their place."""

import json
from typing import Any

import jsonschema_rs
import pytest

from invelo.domain import MODEL_VERSION
from invelo.domain.errors import InputError
from invelo.formats.scripts import leverage, lists, predict
from tests.command import invelo, real

BODY = {"stature_m": 1.75, "mass_kg": 75, "sex": "male"}


def levered(**change: Any) -> dict[str, Any]:
    return {"movement": "push_up", "body": BODY, **change}


def ask(module: Any, *items: Any) -> list[dict[str, Any]]:
    answer = module.leverage if module is leverage else module.predict
    answers, _ = lists.answer_list(
        json.dumps(list(items)), module.requests, lambda one: answer(one, MODEL_VERSION)
    )
    return answers


def predicted(tested: dict[str, Any], wanted: dict[str, Any]) -> dict[str, Any]:
    return ask(predict, {"body": BODY, "from": tested, "to": wanted})[0]


def planche(shape: str, **more: Any) -> dict[str, Any]:
    return {"movement": "planche", "setup": {"shape": shape}, **more}


def test_a_push_up_tells_its_load_and_its_torques() -> None:
    setup = {"hands_height_m": 0.3048, "feet_height_m": 0, "support": "toes", "phase": "top"}
    answer = ask(leverage, levered(setup=setup))[0]
    assert answer["limiting_measure"] == "hand load"
    assert answer["hand_load_share"] == pytest.approx(0.60, abs=0.03)  # still, as Suprak 2011
    assert answer["hand_load_kg"] == pytest.approx(75 * answer["hand_load_share"])
    assert set(answer["joint_torque_nm"]) == {"elbow", "shoulder", "hip", "knee", "ankle"}
    for name, torque in answer["joint_torque_nm"].items():
        unit = 75 * 9.80665 * 1.75
        assert answer["torque_bw_stature"][name] == pytest.approx(torque / unit)
    told = answer["ranges"]["hand_load_kg"]
    assert told["low"] < told["likely"] < told["high"]
    assert answer["model_version"] == MODEL_VERSION


def test_the_second_table_and_measured_lengths_change_the_answer() -> None:
    plain, dumas, long_legs = ask(
        leverage,
        levered(),
        levered(body={**BODY, "table": "dumas"}),
        levered(body={**BODY, "lengths_m": {"thigh": 0.50, "shank": 0.48}}),
    )
    loads = {one["hand_load_kg"] for one in (plain, dumas, long_legs)}
    assert len(loads) == 3
    assert max(loads) - min(loads) < 5


def test_the_bottom_of_a_push_up_is_another_load() -> None:
    top, bottom = (
        ask(leverage, levered(setup={"phase": phase}))[0]["hand_load_kg"]
        for phase in ("top", "bottom")
    )
    assert bottom > top


def test_a_row_tells_its_pull_by_angle() -> None:
    pulls = [
        ask(leverage, levered(movement="row", setup={"body_angle_deg": angle}))[0]["hand_load_kg"]
        for angle in (30, 45, 60, 75)
    ]
    assert pulls == sorted(pulls)


def test_rows_predict_rows() -> None:
    tested = {"movement": "row", "setup": {"body_angle_deg": 45}, "reps": 14}
    answer = predicted(tested, {"movement": "row", "setup": {"body_angle_deg": 60}})
    assert 0 < answer["reps"]["likely"] < 14


@pytest.mark.parametrize("movement", ["planche", "front_lever"])
def test_a_lever_tells_its_shoulder_torque(movement: str) -> None:
    answer = ask(leverage, levered(movement=movement, setup={"shape": "advanced_tuck"}))[0]
    assert answer["limiting_measure"] == "shoulder torque"
    assert answer["torque_bw_stature"]["shoulder"] == pytest.approx(0.169, abs=1e-3)
    assert answer["hand_load_share"] == pytest.approx(1)


def test_a_held_shape_predicts_another() -> None:
    """Common practice: 20 s of advanced tuck are about 5 s of straddle."""
    answer = predicted(planche("advanced_tuck", hold_s=20), planche("straddle"))
    assert 4 <= answer["hold_s"]["likely"] <= 6
    assert "reps" not in answer


def test_a_long_hold_tells_the_spread_of_the_two_curves() -> None:
    answer = predicted(planche("tuck", hold_s=120), planche("tuck"))
    low, high = answer["hold_s"]["spread"]
    assert low <= answer["hold_s"]["likely"] <= high


def test_a_shape_out_of_reach_says_so() -> None:
    answer = predicted(planche("advanced_tuck", hold_s=5), planche("full"))
    assert answer["hold_s"]["likely"] == 0
    assert "Beyond reach" in answer["note"]


def test_reps_predict_reps_at_another_tempo_and_height() -> None:
    tested = {"movement": "push_up", "reps": 20, "tempo": [0.6, 0, 0.6, 0]}
    answer = predicted(tested, {"movement": "push_up", "tempo": [0.6, 0.9, 0.6, 0.9]})
    assert 20 / 3 <= answer["reps"]["likely"] <= 10  # common practice
    harder = predicted(
        {"movement": "push_up", "reps": 12},
        {"movement": "push_up", "setup": {"feet_height_m": 0.4}},
    )
    assert harder["reps"]["likely"] < 12


def test_sixty_reps_are_answered_by_the_equations_that_still_speak() -> None:
    answer = predicted({"movement": "push_up", "reps": 60}, {"movement": "push_up"})
    assert "Brzycki 1993" not in answer["equations"]
    assert "Epley 1985" in answer["equations"]
    assert answer["reps"]["likely"] > 30


BAD = [
    (leverage, levered(body={**BODY, "mass_kg": 900}), "mass"),
    (leverage, levered(body={**BODY, "stature_m": 175}), "stature"),
    (leverage, levered(body={"stature_m": 1.7, "mass_kg": 70, "table": "dumas"}), "sex"),
    (leverage, levered(body={**BODY, "lengths_m": {"tail": 0.3}}), "length of tail"),
    (leverage, levered(body={**BODY, "lengths_m": {"thigh": 3}}), "length of thigh"),
    (leverage, levered(setup={"hands_height_m": -1}), "hand height"),
    (leverage, levered(setup={"hands_height_m": 1.9}), "hand height"),
    (leverage, levered(setup={"hand_height": 1}), "setup.hand_height"),
    (leverage, levered(movement="planche", setup={"shape": "moon"}), "setup.shape"),
    (leverage, levered(movement="row", setup={"body_angle_deg": 2}), "body angle"),
    (
        leverage,
        levered(movement="row", setup={"body_angle_deg": 30, "knee_bend_deg": 90}),
        "body angle",
    ),
    (leverage, levered(movement="planche"), "setup"),
    (leverage, levered(movement="moonwalk"), "movement"),
    (leverage, {"movement": "push_up"}, "body"),
    (leverage, 7, "item"),
    (leverage, None, "item"),
    (
        predict,
        {"body": BODY, "from": planche("tuck", hold_s=0), "to": planche("full")},
        "hold",
    ),
    (
        predict,
        {"body": BODY, "from": planche("tuck", hold_s=9), "to": {"movement": "push_up"}},
        "to",
    ),
    (
        predict,
        {"body": BODY, "from": {"movement": "push_up", "reps": 0}, "to": {"movement": "push_up"}},
        "reps",
    ),
    (
        predict,
        {
            "body": BODY,
            "from": {"movement": "push_up", "reps": 9, "tempo": [0, 0, 0, 0]},
            "to": {"movement": "push_up"},
        },
        "tempo",
    ),
    (predict, {"body": BODY, "from": planche("tuck"), "to": planche("full")}, "hold"),
]


@pytest.mark.parametrize(("module", "item", "field"), BAD)
def test_a_bad_item_gets_its_error_and_the_rest_still_answer(module, item, field) -> None:
    good = (
        levered()
        if module is leverage
        else {"body": BODY, "from": planche("tuck", hold_s=9), "to": planche("tuck")}
    )
    first, bad, last = ask(module, good, item, good)
    assert first == last
    assert "error" not in first
    assert bad["error"]["field"] == field
    assert bad["error"]["problem"]
    assert bad["error"]["remedy"]


@pytest.mark.parametrize("text", ["", "{", "{}", "7", '"list"'])
def test_what_is_no_list_is_refused(text: str) -> None:
    with pytest.raises(InputError, match="input"):
        lists.answer_list(text, leverage.requests, lambda one: leverage.leverage(one, "1"))


@pytest.mark.parametrize("module", [leverage, predict])
def test_the_schema_takes_what_the_command_takes(module) -> None:
    schema = lists.schema_of(module.requests)
    jsonschema_rs.meta.validate(schema)
    validator = jsonschema_rs.validator_for(schema)
    good = (
        levered()
        if module is leverage
        else {"body": BODY, "from": planche("tuck", hold_s=9), "to": planche("full")}
    )
    assert validator.is_valid([good])
    assert not validator.is_valid([{**good, "shoe_size": 43}])
    assert not validator.is_valid(good)


def test_the_commands_read_files_and_standard_input(tmp_path) -> None:
    file = tmp_path / "list.json"
    file.write_text(json.dumps([levered()]))
    from_file = invelo("leverage", str(file))
    from_input = invelo("leverage", given=file.read_text())
    in_a_shell = real("leverage", given=file.read_text())
    assert from_file.exit_code == from_input.exit_code == in_a_shell.returncode == 0
    assert from_file.stdout == from_input.stdout == in_a_shell.stdout
    assert json.loads(from_file.stdout)[0]["limiting_measure"] == "hand load"


def test_exit_codes_tell_a_bad_item_from_a_bad_list() -> None:
    bad_item = invelo("predict", given="[7]")
    assert bad_item.exit_code == 1
    assert json.loads(bad_item.stdout)[0]["error"]
    bad_list = real("predict", given="not json")
    assert bad_list.returncode == 2
    assert "Traceback" not in bad_list.stderr


@pytest.mark.parametrize("name", ["leverage", "predict"])
def test_the_schema_is_printed(name: str) -> None:
    done = invelo(name, "--schema")
    assert done.exit_code == 0
    assert json.loads(done.stdout)["type"] == "array"
