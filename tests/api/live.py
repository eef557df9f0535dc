"""The service on a real socket, in a thread of the test run."""

import threading
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass
from datetime import UTC, datetime

import requests
import uvicorn

from invelo.api.app import create_app
from invelo.db.database import engine_for, migrate, transaction
from invelo.runtime.serving import listen
from invelo.runtime.settings import Settings
from invelo.services.account import accounts
from tests.api.coach import EMAIL, PASSWORD


@dataclass(frozen=True)
class Live:
    """A running service and a session signed in to it."""

    url: str
    session: requests.Session


@contextmanager
def running_service(database_url: str) -> Iterator[Live]:
    """Serve a freshly migrated database with one coach until the block ends."""
    migrate(database_url)
    engine = engine_for(database_url)
    with transaction(engine) as db:
        accounts.create(db, EMAIL, "A coach", PASSWORD, "Europe/Lisbon", datetime.now(UTC))
    engine.dispose()
    with serving(database_url, EMAIL, PASSWORD) as live:
        yield live


@contextmanager
def serving(database_url: str, email: str, password: str) -> Iterator[Live]:
    """Serve a database as it is, signed in to, until the block ends."""
    engine = engine_for(database_url)
    listener = listen("127.0.0.1", 18400, asked=False)
    running = uvicorn.Server(
        uvicorn.Config(
            create_app(Settings(), engine),
            log_level="error",
            access_log=False,
            timeout_graceful_shutdown=1,
        )
    )
    thread = threading.Thread(target=running.run, kwargs={"sockets": [listener]})
    thread.start()
    try:
        url = f"http://127.0.0.1:{listener.getsockname()[1]}"
        session = requests.Session()
        body = {"email": email, "password": password}
        session.post(f"{url}/api/sign-in", json=body, timeout=10).raise_for_status()
        yield Live(url, session)
    finally:
        running.should_exit = True
        thread.join()
        engine.dispose()
