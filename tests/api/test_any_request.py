"""Whatever a coach of a lived-in squad sends, the answer is one that the document knows."""

from collections.abc import Iterator
from dataclasses import dataclass
from functools import cache
from typing import Any

import pytest
import schemathesis
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from schemathesis.checks import not_a_server_error
from schemathesis.specs.openapi import checks
from sqlalchemy import Engine, text

from invelo.db.database import engine_for
from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD
from invelo.runtime import postgres
from tests.api.document import DOCUMENT, OPERATIONS
from tests.api.live import Live, serving
from tests.conftest import fresh
from tests.depth import depth, is_long

LEFT_OUT = {
    ("POST", "/api/sign-out"): "whatever came after it would be asked by nobody",
    ("POST", "/api/sign-in"): "so would it be once the address is slowed down",
    ("GET", "/api/live/stream"): "it never ends",
    ("GET", "/api/athletes/{athlete_id}/week/plans/{planning_id}/stream"): "it ends with a plan",
}
ASKED = [(method, path) for method, path, _ in OPERATIONS if (method, path) not in LEFT_OUT]
JUDGED = [
    not_a_server_error,
    checks.status_code_conformance,
    checks.content_type_conformance,
    checks.response_schema_conformance,
]
ROWS = {
    "athlete_id": "SELECT :athlete",
    "ladder_id": "SELECT id FROM ladder WHERE athlete_id = :athlete",
    "rung_id": "SELECT r.id FROM rung r JOIN ladder l ON r.ladder_id = l.id"
    " WHERE l.athlete_id = :athlete ORDER BY r.position",
    "proposal_id": "SELECT d.id FROM proposal d JOIN ladder l ON d.ladder_id = l.id"
    " WHERE l.athlete_id = :athlete ORDER BY d.at DESC",
    "session_id": "SELECT id FROM training_session WHERE athlete_id = :athlete ORDER BY at DESC",
    "set_id": "SELECT s.id FROM logged_set s JOIN training_session t ON s.session_id = t.id"
    " WHERE t.athlete_id = :athlete ORDER BY s.at DESC",
    "place_id": "SELECT id FROM place",
    "item_id": "SELECT id FROM kit_item",
    "band_id": "SELECT id FROM band",
}
"""What of an athlete's there is for the parts of addresses and bodies."""
ALSO = {
    "lower_id": "rung_id",
    "upper_id": "rung_id",
    "corrects_set_id": "set_id",
    "athletes": "athlete_id",
}

Ids = dict[str, list[str]]


@dataclass(frozen=True)
class Squad:
    """A running service, signed in to, and the ids of each of the athletes."""

    live: Live
    people: list[Ids]


@cache
def schema() -> Any:
    return schemathesis.openapi.from_dict(DOCUMENT)


@pytest.fixture(scope="module")
def squad(server: postgres.Server, fortnight: Engine) -> Iterator[Squad]:
    """The service on a real socket over a copy of the theatre's fortnight."""
    fortnight.dispose()
    url = fresh(server, "any_request", like="fortnight")
    engine = engine_for(url)
    with engine.connect() as db:
        athletes = [row[0] for row in db.execute(text("SELECT id FROM athlete ORDER BY name"))]
        people = [
            {
                name: [str(row[0]) for row in db.execute(text(asked), {"athlete": athlete})]
                for name, asked in ROWS.items()
            }
            for athlete in athletes
        ]
    engine.dispose()
    with serving(url, COACH_EMAIL, COACH_PASSWORD) as live:
        yield Squad(live, people)


def with_ids(found: Any, ids: dict[str, str]) -> Any:
    """The same with ids that there are in place of made-up ones."""
    if isinstance(found, list):
        return [with_ids(one, ids) for one in found]
    if not isinstance(found, dict):
        return found
    known = {name: ids[ALSO.get(name, name)] for name in found if ALSO.get(name, name) in ids}
    rest = {name: with_ids(value, ids) for name, value in found.items() if name not in known}
    return {**rest, **{k: [v] if isinstance(found[k], list) else v for k, v in known.items()}}


@pytest.mark.parametrize(("method", "path"), ASKED, ids=[" ".join(one) for one in ASKED])
@settings(
    max_examples=depth(5, 60),
    derandomize=not is_long(),
    suppress_health_check=list(HealthCheck),
)
@given(data=st.data())
def test_it_is_answered_as_the_document_says(
    squad: Squad, data: st.DataObject, method: str, path: str
) -> None:
    case = data.draw(schema()[path][method].as_strategy())
    if data.draw(st.sampled_from([True, True, False]), label="with ids that there are"):
        athlete = data.draw(st.sampled_from(squad.people), label="athlete")
        ids = {name: data.draw(st.sampled_from(those)) for name, those in athlete.items() if those}
        if (method, path) == ("DELETE", "/api/athletes/{athlete_id}"):
            ids = {}  # the squad is wanted whole
        case.path_parameters = with_ids(dict(case.path_parameters or {}), ids)
        case.query = with_ids(dict(case.query or {}), ids)
        case.body = with_ids(case.body, ids)
    case.call_and_validate(
        session=squad.live.session, base_url=squad.live.url, checks=JUDGED, timeout=30
    )
