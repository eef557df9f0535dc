"""The service over a fresh database, and a coach who is signed in."""

from collections.abc import Callable, Iterator
from contextlib import ExitStack
from datetime import timedelta
from typing import Any
from uuid import uuid4

import pytest
from fastapi import FastAPI
from fastapi.testclient import TestClient
from pwdlib import PasswordHash
from pwdlib.hashers.argon2 import Argon2Hasher
from sqlalchemy import Engine

from invelo.api.app import create_app, start
from invelo.api.context import SESSION_COOKIE
from invelo.settings import Settings
from invelo.store import accounts
from invelo.store.database import transaction
from tests.api.athlete import Athlete, link_for
from tests.api.coach import EMAIL, PASSWORD, Coach
from tests.conftest import Clock


@pytest.fixture(autouse=True)
def quick_passwords(request: pytest.FixtureRequest, monkeypatch: pytest.MonkeyPatch) -> None:
    """argon2id at its cheapest, so that hundreds of sign-ins take no minutes; a test marked
    `real_passwords` keeps the product's own cost."""
    if request.node.get_closest_marker("real_passwords"):
        return
    cheap = PasswordHash((Argon2Hasher(time_cost=1, memory_cost=8, parallelism=1),))
    monkeypatch.setattr(accounts, "_hasher", lambda: cheap)
    accounts._nobody.cache_clear()


@pytest.fixture(scope="session")
def shared_app(shared_engine: Engine) -> FastAPI:
    """The service, put together once."""
    return create_app(Settings(), shared_engine)


@pytest.fixture
def app(shared_app: FastAPI, engine: Engine, clock: Clock) -> FastAPI:
    """The service as if it had just started, over the emptied database."""
    start(shared_app, Settings(), engine, clock)
    return shared_app


@pytest.fixture
def new_client(app: FastAPI) -> Iterator[Callable[[], TestClient]]:
    """Makes browsers, each with cookies of its own."""
    with ExitStack() as stack:

        def make() -> TestClient:
            client = TestClient(app, base_url="http://localhost", raise_server_exceptions=False)
            return stack.enter_context(client)  # one event loop for all it asks

        yield make


@pytest.fixture
def new_coach(
    engine: Engine, clock: Clock, new_client: Callable[[], TestClient]
) -> Callable[..., Coach]:
    """Makes coaches with an account, signed in."""

    def make(email: str | None = None) -> Coach:
        address = email or f"{uuid4().hex[:8]}@theatre.example"
        now, client = clock(), new_client()
        with transaction(engine) as db:
            account = accounts.create(db, address, "A coach", PASSWORD, "Europe/Lisbon", now)
            token = accounts.open_session(db, account, now, timedelta(days=14))
        client.cookies.set(SESSION_COOKIE, token, domain="localhost.local", path="/api")
        return Coach(client, clock, address)

    return make


@pytest.fixture
def coach(new_coach: Callable[..., Coach]) -> Coach:
    return new_coach(EMAIL)


@pytest.fixture
def ladder(coach: Coach) -> dict[str, Any]:
    """A push-up ladder of a new athlete, entered by a floor test."""
    return coach.has_ladder()


@pytest.fixture
def phone(coach: Coach, new_client: Callable[[], TestClient], clock: Clock, ladder) -> Athlete:
    """Its athlete, come in by their link."""
    return Athlete(new_client(), clock, link_for(coach, ladder["athlete_id"]))
