"""`./invelo week`: JSON in, a plan with its score and reasons out."""

import json
from typing import Any

import jsonschema_rs
import pytest

from invelo.domain.errors import InputError
from invelo.domain.plan.week.solve import solve
from invelo.formats.plan import document as week_json
from tests.command import invelo

DAYS = [{"day": day, "minutes": 45} for day in ("monday", "wednesday", "friday")]
WEEK: dict[str, Any] = {
    "days": DAYS,
    "tasks": [
        {"movement": "push-up", "days": 3, "least": 1},
        {"movement": "row", "days": 3},
        {"movement": "dip"},
        {
            "key": "rope",
            "name": "Rope drill",
            "role": "small",
            "minutes": 5,
            "sets": {"calves": 2},
            "days": 2,
        },
    ],
    "targets": {"chest": 9, "upper back": 9},
    "pins": [{"task": "dip", "day": "wednesday"}],
}


def planned(week: dict[str, Any]) -> week_json.WeekAnswer:
    request = week_json.read(week)
    problem = request.core()
    return week_json.answer(problem, solve(problem, seconds=request.seconds))


def test_a_week_is_planned_scored_and_proven() -> None:
    told = planned(WEEK)
    assert told.proof == "proven best"
    assert told.points == told.bound == sum(term.points for term in told.terms)
    assert [day.day for day in told.days] == ["monday", "wednesday", "friday"]
    assert "dip" in [task.key for task in told.days[1].tasks]
    assert all(day.minutes <= day.of for day in told.days)
    assert told.relaxed == []
    assert {term.name for term in told.terms} == {*week_json.WeightsIn.model_fields}


def test_a_movements_minutes_sets_and_stress_come_from_the_catalogue() -> None:
    problem = week_json.read(WEEK).core()
    dip = problem.task("dip")
    assert dip.stressful
    assert "triceps" in dip.leans
    assert dip.sets["chest"] == 4
    assert problem.task("rope").sets == {"calves": 4}


def test_what_cannot_be_kept_is_relaxed_and_named() -> None:
    told = planned({**WEEK, "days": [{"day": "wednesday", "minutes": 9}]})
    assert told.relaxed
    assert told.breaches[0].sentence
    assert told.breaches[0].source


@pytest.mark.parametrize(
    ("change", "field"),
    [
        ({"days": []}, "days"),
        ({"tasks": []}, "tasks"),
        ({"days": [{"day": "moonday", "minutes": 30}]}, "days.0.day"),
        ({"days": [{"day": "monday", "minutes": 0}]}, "minutes"),
        ({"tasks": [{"movement": "nothing"}]}, "movement"),
        ({"tasks": [{"name": "x"}]}, "tasks.0.key"),
        ({"pins": [{"task": "nothing", "day": "monday"}]}, "pins"),
        ({"shoe_size": 43}, "shoe_size"),
        ({"seconds": 0}, "seconds"),
    ],
)
def test_a_week_that_cannot_be_names_the_field(change: dict[str, Any], field: str) -> None:
    with pytest.raises(InputError) as caught:
        week_json.read({**WEEK, **change}).core()
    assert caught.value.field == field
    assert caught.value.remedy


def test_the_schema_takes_what_the_command_takes() -> None:
    schema = week_json.schema()
    jsonschema_rs.meta.validate(schema)
    validator = jsonschema_rs.validator_for(schema)
    assert validator.is_valid(WEEK)
    assert not validator.is_valid({**WEEK, "shoe_size": 43})
    assert not validator.is_valid([WEEK])


def test_the_command_plans_prints_its_schema_and_tells_what_is_wrong(tmp_path: Any) -> None:
    file = tmp_path / "week.json"
    file.write_text(json.dumps(WEEK))
    done = invelo("week", str(file))
    assert done.exit_code == 0
    assert json.loads(done.stdout)["proof"] == "proven best"
    assert json.loads(invelo("week", "--schema").stdout)["type"] == "object"
    tight = {**WEEK, "days": [{"day": "wednesday", "minutes": 9}]}
    assert invelo("week", given=json.dumps(tight)).exit_code == 1
    bad = invelo("week", given='{"days": []}')
    assert bad.exit_code == 2
    assert "tasks" in bad.stderr
