"""The database goes away and comes back; the service notices both by itself."""

from collections.abc import Iterator
from pathlib import Path

import pytest
from fastapi.testclient import TestClient

from invelo.api.app import create_app
from invelo.db.database import engine_for, migrate, transaction
from invelo.runtime import postgres
from invelo.runtime.settings import Settings
from invelo.services.account import accounts
from tests.api.coach import EMAIL, PASSWORD, problem
from tests.conftest import open_folder

BODY = {"email": EMAIL, "password": PASSWORD}


@pytest.fixture
def home() -> Iterator[Path]:
    with open_folder() as folder:
        yield folder / "postgres"


def test_the_service_outlives_its_database(home: Path, clock) -> None:
    with postgres.running(home, postgres.FAST_AND_LOOSE) as server:
        url = server.url("here")
        migrate(url)
        engine = engine_for(url)
        with transaction(engine) as db:
            accounts.create(db, EMAIL, "A coach", PASSWORD, "Europe/Lisbon", clock())
        app = create_app(Settings(), engine, clock)
        client = TestClient(app, base_url="http://localhost", raise_server_exceptions=False)
        client.post("/api/sign-in", json=BODY).raise_for_status()
        assert client.get("/api/health").json()["status"] == "ok"

    # away
    health = client.get("/api/health")
    assert health.status_code == 503
    assert health.json()["database"] == "unreachable"
    for response in (client.get("/api/squad"), client.post("/api/sign-in", json=BODY)):
        told = problem(response, 503)
        assert told["field"] == "database"
        assert response.headers["retry-after"]
        assert PASSWORD not in response.text
    assert client.get("/").status_code == 200  # the page itself needs no database

    # back, on the same address, without a restart
    with postgres.running(home, postgres.FAST_AND_LOOSE, server.port):
        assert client.get("/api/health").json()["status"] == "ok"
        assert client.get("/api/squad").status_code == 200
        engine.dispose()
