"""`./invelo review`: cases in, what is known and what comes next out, errors in their place."""

import json

import jsonschema_rs
import pytest

from invelo.domain import MODEL_VERSION
from invelo.runtime.settings import ROOT
from tests.command import invelo

PAGE = (ROOT / "docs" / "formats" / "review.md").read_text(encoding="utf-8")
EXAMPLE = PAGE.split("```json\n")[1].split("```")[0]


def test_the_example_of_the_page_is_answered_and_fits_the_schema() -> None:
    schema = json.loads(invelo("review", "--schema").stdout)
    jsonschema_rs.validator_for(schema).validate(json.loads(EXAMPLE))
    done = invelo("review", given=EXAMPLE)
    assert done.exit_code == 0
    (told,) = json.loads(done.stdout)
    assert told["state"] == "question"
    assert told["proposals"][0]["outcome"] == "step_up"
    assert told["proposals"][0]["then"]["rung"] == "Hands 30 cm"
    assert told["model_version"] == MODEL_VERSION
    assert told["capacities"][0]["capacity"]["low"] < told["capacities"][0]["capacity"]["high"]


@pytest.mark.parametrize(
    ("change", "words"),
    [
        ({"ladder": {"format": "invelo-ladder", "version": 2, "goal": "x", "rungs": []}}, "ladder"),
        ({"prescription": {"rung": "Nowhere"}}, "Nowhere"),
        ({"sessions": [{"day": "2026-06-24", "sets": [{"amount": -3}]}]}, "-3 reps"),
        ({"sessions": [{"day": "tomorrow", "sets": []}]}, "day"),
    ],
)
def test_what_cannot_be_is_said_in_its_place_and_the_rest_is_answered(
    change: dict, words: str
) -> None:
    (case,) = json.loads(EXAMPLE)
    done = invelo("review", given=json.dumps([{**case, **change}, case]))
    bad, good = json.loads(done.stdout)
    assert done.exit_code == 1
    assert words in json.dumps(bad)
    assert good["state"] == "question"
