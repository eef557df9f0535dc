"""Every address that names something of somebody's × everybody who may not: refused, in the same
words as what never was. The addresses are the document's own, so that a new one cannot be left out.
"""

from collections.abc import Iterator
from typing import Any
from uuid import UUID, uuid4

import pytest
from fastapi.testclient import TestClient
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from sqlalchemy import Engine

from invelo.api.app import create_app
from invelo.api.common.cookies import LINK_COOKIE, SESSION_COOKIE
from invelo.db.database import engine_for, transaction
from invelo.runtime import postgres
from invelo.runtime.settings import Settings
from invelo.services.account import accounts
from invelo.services.training import links
from tests.api.asking import ASKED, NEVER_ENDS, ROWS, Ids, people_of, schema, with_ids
from tests.api.equipment.test_kit import PNG
from tests.conftest import Clock, fresh
from tests.depth import depth

ONES_OWN = {
    (
        "PUT",
        "/api/session-templates/{session_id}",
    ): "a template of one's own, under an id of its own",
}
OWNED = sorted(
    one
    for one in [*ASKED, *NEVER_ENDS]
    if any(f"{{{name}}}" in one[1] for name in ROWS) and one not in ONES_OWN
)
"""Addresses that name something of somebody's."""

REFUSED = {401, 403, 404}


@pytest.fixture(scope="module")
def strangers(
    server: postgres.Server, fortnight: Engine
) -> Iterator[tuple[dict[str, TestClient], Ids]]:
    """Another coach, another athlete; and what there is of the first athlete."""
    fortnight.dispose()
    engine = engine_for(fresh(server, "strangers", like="fortnight"))
    clock = Clock()
    first, second, *_ = people_of(engine)
    with transaction(engine) as db:
        account = accounts.create(
            db, "other@theatre.example", "Kit Lowe", "x" * 12, "Europe/Lisbon", clock()
        )
        token = accounts.open_session(db, account, clock(), accounts.DEVICE_KNOWN)
        link = links.make(db, UUID(second["athlete_id"][0]), clock())
    app = create_app(Settings(), engine, clock)
    made = {
        who: TestClient(app, base_url="http://localhost", raise_server_exceptions=False)
        for who in ("another coach", "another athlete")
    }
    here = {"domain": "localhost.local", "path": "/api"}
    made["another coach"].cookies.set(SESSION_COOKIE, token, **here)
    made["another athlete"].cookies.set(LINK_COOKIE, link, **here)
    yield made, first
    engine.dispose()


def sent(client: TestClient, case: Any, ids: dict[str, str]) -> Any:
    """A request with some ids in it."""
    address = case.path.format(**with_ids(dict(case.path_parameters or {}), ids))
    whole = isinstance(case.body, dict | list)
    content = {"json": with_ids(case.body, ids)} if whole else {"content": b"a picture"}
    return client.request(
        case.method, address, params=with_ids(dict(case.query or {}), ids), **content
    )


BODIES = {
    ("PUT", "/api/kit/{item_id}/photo"): {"photo": PNG},
    ("PUT", "/api/kit/{item_id}"): {"place_id": "of theirs", "kind": "stick", "name": "broom"},
}
"""What no schema makes, or makes only where height and weight happen to fit the kind."""


@pytest.mark.parametrize("who", ["another coach", "another athlete"])
@pytest.mark.parametrize(("method", "path"), OWNED, ids=[" ".join(one) for one in OWNED])
def test_what_is_somebodys_is_refused_to_everybody_else(strangers, who, method, path) -> None:
    clients, ids = strangers
    theirs = {name: those[0] for name, those in ids.items() if those}
    nobodys = {name: str(uuid4()) for name in theirs}
    answers: set[int] = set()

    @settings(
        max_examples=depth(2, 20),
        derandomize=True,
        database=None,
        deadline=None,
        suppress_health_check=list(HealthCheck),
    )
    @given(data=st.data())
    def ask(data: st.DataObject) -> None:
        case = data.draw(schema()[path][method].as_strategy())
        if (method, path) in BODIES:
            case.body = BODIES[method, path]
        there, nowhere = (sent(clients[who], case, known) for known in (theirs, nobodys))
        answers.add(there.status_code)
        if nowhere.is_error:  # else it makes a thing of one's own under a new id
            assert there.status_code == nowhere.status_code
            assert there.json()["errors"] == nowhere.json()["errors"]

    ask()
    assert answers & REFUSED, "a body that is looked at was never sent"
    assert answers <= REFUSED | {422}
