"""The OpenAPI document: true, readable, and what the front end was made from."""

import json

import pytest
import schemathesis
from hypothesis import HealthCheck, settings

from invelo.api.app import create_app
from invelo.api.document import openapi_json
from invelo.settings import ROOT, Settings
from invelo.store.database import engine_for

DOCUMENT = json.loads(openapi_json())
OPERATIONS = [
    (path, method, operation)
    for path, methods in DOCUMENT["paths"].items()
    for method, operation in methods.items()
]


def test_the_front_end_was_made_from_the_current_document() -> None:
    kept = (ROOT / "web" / "openapi.json").read_text(encoding="utf-8")
    assert kept == openapi_json(), "run: ./invelo openapi web/openapi.json && npm run schema"


@pytest.mark.parametrize(("path", "method", "operation"), OPERATIONS, ids=lambda v: str(v)[:40])
def test_every_operation_reads_well(path: str, method: str, operation) -> None:
    assert operation["operationId"].isidentifier()
    assert operation["tags"]
    assert operation["description"].endswith(".")
    errors = {code for code in operation["responses"] if code.startswith(("4", "5"))}
    assert errors


def test_operation_names_are_unique() -> None:
    names = [operation["operationId"] for _, _, operation in OPERATIONS]
    assert len(names) == len(set(names))


def test_every_schema_says_what_it_is() -> None:
    for name, schema in DOCUMENT["components"]["schemas"].items():
        assert schema.get("description"), name


@pytest.mark.parametrize("name", ["Credentials", "NewAthlete", "NewSet", "NewTest", "Finish"])
def test_request_bodies_carry_examples(name: str) -> None:
    properties = DOCUMENT["components"]["schemas"][name]["properties"]
    assert any("examples" in one for one in properties.values())


schema = (
    schemathesis.openapi.from_dict(DOCUMENT)
    .exclude(path="/api/sign-out")  # whatever came after it would be asked by nobody
    .exclude(path="/api/live/stream")  # it never ends
)


@schema.parametrize()
@settings(
    max_examples=12,
    suppress_health_check=list(HealthCheck),
)
def test_no_request_makes_the_service_fall_over(case, service) -> None:
    """Whatever is sent, a signed-in coach gets an answer the document knows, and never a 500."""
    response = case.call(session=service.session, base_url=service.url)
    assert response.status_code < 500, response.text


@pytest.fixture(scope="module")
def service(server):
    """The service on a real socket, with a coach signed in."""
    from tests.api.live import running_service

    url = server.url("schemathesis")
    with running_service(url) as live:
        yield live


def test_the_document_needs_no_database() -> None:
    app = create_app(Settings(), engine_for("postgresql+psycopg://127.0.0.1:1/none"))
    assert app.openapi()["info"]["title"] == "Invelo"
