"""The service over a fresh database, and a coach who is signed in."""

from collections.abc import Callable, Iterator
from contextlib import ExitStack
from copy import deepcopy
from datetime import timedelta
from functools import partial
from typing import Any
from uuid import uuid4

import pytest
from fastapi import FastAPI
from fastapi.testclient import TestClient
from pwdlib import PasswordHash
from pwdlib.hashers.argon2 import Argon2Hasher
from sqlalchemy import Engine

from invelo.api.app import create_app, start
from invelo.api.common.cookies import SESSION_COOKIE
from invelo.db.database import transaction
from invelo.devices.mail import server_of
from invelo.devices.simulated_mail import MailBox, simulated_mail
from invelo.jobs.queue import drain
from invelo.jobs.work import Post
from invelo.runtime.ports import held_port
from invelo.runtime.settings import Settings
from invelo.services.account import accounts
from tests.api.athlete_client import Athlete, link_for
from tests.api.coach import EMAIL, PASSWORD, Coach
from tests.conftest import Clock
from tests.stage import Stages

Stage = Callable[[str, Callable[[], Any]], Any]


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
            client = TestClient(
                app,
                base_url="http://localhost",
                raise_server_exceptions=False,
            )
            return stack.enter_context(client)  # one event loop for all it asks

        yield make


def signed_in(client: TestClient, clock: Clock, address: str, token: str) -> Coach:
    """A coach whose browser holds a session's token."""
    client.cookies.set(SESSION_COOKIE, token, domain="localhost.local", path="/api")
    return Coach(client, clock, address)


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
        return signed_in(client, clock, address, token)

    return make


@pytest.fixture
def stage(stages: Stages, engine: Engine, clock: Clock) -> Stage:
    """Begin where a function leads, which is run once for all tests that begin there."""
    return partial(stages.set, engine, clock)


@pytest.fixture
def coach(
    stage: Stage,
    new_coach: Callable[..., Coach],
    new_client: Callable[[], TestClient],
    clock: Clock,
    request: pytest.FixtureRequest,
) -> Coach:
    name = "coach, real password" if request.node.get_closest_marker("real_passwords") else "coach"
    token = stage(name, lambda: new_coach(EMAIL).client.cookies[SESSION_COOKIE])
    return signed_in(new_client(), clock, EMAIL, token)


@pytest.fixture
def ladder(stage: Stage, coach: Coach) -> dict[str, Any]:
    """A push-up ladder of a new athlete, entered by a floor test."""
    return deepcopy(stage("ladder", coach.has_ladder))


@pytest.fixture
def phone(coach: Coach, new_client: Callable[[], TestClient], clock: Clock, ladder) -> Athlete:
    """Its athlete, come in by their link."""
    return Athlete(new_client(), clock, link_for(coach, ladder["athlete_id"]))


@pytest.fixture
def box(app: FastAPI) -> Iterator[MailBox]:
    """A mail server, and a service that hands its letters in there."""
    made = MailBox()
    with held_port() as port, simulated_mail(port, made) as address:
        app.state.settings.mail_server = address
        app.state.settings.mail_security = "none"
        yield made
        app.state.settings.mail_server = ""


@pytest.fixture
def delivers(app: FastAPI, engine: Engine, clock: Clock, box: MailBox) -> Callable[[], None]:
    """Has a worker hand in whatever letters wait."""
    post = Post(server_of(app.state.settings), "https://coach.example")
    return partial(drain, engine, clock, post)
