"""The OpenAPI document: true, readable, and what the front end was made from."""

from pathlib import Path

import pytest

from invelo.runtime.settings import ROOT
from tests.api.document import DOCUMENT, KEPT, OPERATIONS
from tests.command import invelo


def test_the_front_end_was_made_from_the_current_document(tmp_path: Path) -> None:
    """It is written by the command, which needs no database."""
    made = tmp_path / "openapi.json"
    assert invelo("openapi", str(made)).exit_code == 0
    assert KEPT.read_bytes() == made.read_bytes(), (
        "run: ./invelo openapi web/openapi.json && npm run schema"
    )


def test_the_front_end_has_the_words_of_the_service(tmp_path: Path) -> None:
    made = tmp_path / "vocabulary.ts"
    assert invelo("vocabulary", str(made)).exit_code == 0
    kept = ROOT / "web" / "src" / "common" / "vocabulary.ts"
    assert kept.read_bytes() == made.read_bytes(), "run: ./invelo vocabulary " + str(
        kept.relative_to(ROOT)
    )


def test_every_operation_reads_well() -> None:
    for method, path, operation in OPERATIONS:
        assert operation["operationId"].isidentifier(), (method, path)
        assert operation["tags"], (method, path)
        assert operation["description"].endswith("."), (method, path)
        errors = {code for code in operation["responses"] if code.startswith(("4", "5"))}
        assert errors, (method, path)


def test_operation_names_are_unique() -> None:
    names = [operation["operationId"] for _, _, operation in OPERATIONS]
    assert len(names) == len(set(names))


def test_every_schema_says_what_it_is() -> None:
    for name, schema in DOCUMENT["components"]["schemas"].items():
        assert schema.get("description"), name


@pytest.mark.parametrize("name", ["Credentials", "NewAthlete", "NewSet", "TestCreate", "Finish"])
def test_request_bodies_carry_examples(name: str) -> None:
    properties = DOCUMENT["components"]["schemas"][name]["properties"]
    assert any("examples" in one for one in properties.values())
