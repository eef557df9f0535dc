"""Whatever anybody sends to the service of a lived-in squad, the answer is one that the document
knows: as its coach, by an athlete's link, and as nobody."""

from collections.abc import Iterator
from dataclasses import dataclass
from datetime import UTC, datetime
from uuid import UUID

import pytest
import requests
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from schemathesis.checks import not_a_server_error
from schemathesis.specs.openapi import checks
from sqlalchemy import Engine

from invelo.db.database import engine_for, transaction
from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD
from invelo.runtime import postgres
from invelo.services.training import links
from tests.api.asking import ASKED, Ids, people_of, schema, with_ids
from tests.api.live import serving
from tests.conftest import fresh
from tests.depth import depth, is_long

ENDS_ASKING = {
    ("POST", "/api/sign-out"): "whatever came after it would be asked by nobody",
    ("POST", "/api/sign-in"): "so would it be once the address is slowed down",
    ("DELETE", "/api/link"): "so would it be without the link",
    ("DELETE", "/api/athletes/{athlete_id}/link"): "so would it be once it ended",
}
JUDGED = [
    not_a_server_error,
    checks.status_code_conformance,
    checks.content_type_conformance,
    checks.response_schema_conformance,
]


@dataclass(frozen=True)
class Squad:
    """A running service, those who ask it, and the ids of each of the athletes."""

    url: str
    asking: dict[str, requests.Session]
    people: list[Ids]


@pytest.fixture(scope="module")
def squad(server: postgres.Server, fortnight: Engine) -> Iterator[Squad]:
    """The service on a real socket over a copy of the theatre's fortnight."""
    fortnight.dispose()
    url = fresh(server, "any_request", like="fortnight")
    engine = engine_for(url)
    people = people_of(engine)
    with transaction(engine) as db:
        token = links.make(db, UUID(people[0]["athlete_id"][0]), datetime.now(UTC))
    engine.dispose()
    with serving(url, COACH_EMAIL, COACH_PASSWORD) as live:
        athlete = requests.Session()
        athlete.post(f"{live.url}/api/link", json={"token": token}).raise_for_status()
        asking = {"coach": live.session, "athlete": athlete, "nobody": requests.Session()}
        yield Squad(live.url, asking, people)


def asked_of(squad: Squad, who: str, data: st.DataObject, method: str, path: str) -> None:
    case = data.draw(schema()[path][method].as_strategy())
    if data.draw(st.sampled_from([True, True, False]), label="with ids that there are"):
        athlete = data.draw(st.sampled_from(squad.people), label="athlete")
        ids = {name: data.draw(st.sampled_from(those)) for name, those in athlete.items() if those}
        if (method, path) == ("DELETE", "/api/athletes/{athlete_id}"):
            ids = {}  # the squad is wanted whole
        case.path_parameters = with_ids(dict(case.path_parameters or {}), ids)
        case.query = with_ids(dict(case.query or {}), ids)
        case.body = with_ids(case.body, ids)
    case.call_and_validate(session=squad.asking[who], base_url=squad.url, checks=JUDGED, timeout=30)


each = pytest.mark.parametrize(
    ("method", "path"),
    [one for one in ASKED if one not in ENDS_ASKING],
    ids=[" ".join(one) for one in ASKED if one not in ENDS_ASKING],
)
usual = settings(derandomize=not is_long(), suppress_health_check=list(HealthCheck))


@each
@settings(usual, max_examples=depth(4, 100))
@given(data=st.data())
def test_a_coach_is_answered_as_the_document_says(squad, data, method: str, path: str) -> None:
    asked_of(squad, "coach", data, method, path)


@each
@settings(usual, max_examples=depth(2, 100))
@given(data=st.data())
def test_an_athlete_is_answered_as_the_document_says(squad, data, method: str, path: str) -> None:
    asked_of(squad, "athlete", data, method, path)


@each
@settings(usual, max_examples=depth(1, 100))
@given(data=st.data())
def test_nobody_is_answered_as_the_document_says(squad, data, method: str, path: str) -> None:
    asked_of(squad, "nobody", data, method, path)
