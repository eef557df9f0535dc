"""How long the API takes, told as ratios to the least a request can cost in the same run.

The reference is an empty endpoint of the same application: the same middleware, the same sign-in
looked up in the same database, nothing computed. No two requests of the bench ask the same, so that
nothing is answered from memory.
"""

import itertools
import os
import statistics
import tempfile
import time
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from datetime import UTC, datetime
from multiprocessing import get_context
from pathlib import Path
from socket import socket

import httpx2 as httpx
from fastapi import FastAPI
from sqlalchemy import Engine

from invelo.api.app import create_app
from invelo.api.common.context import Coach
from invelo.db.database import engine_for, migrate, transaction
from invelo.demo.history import load
from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD
from invelo.runtime import postgres
from invelo.runtime.serving import listen
from invelo.runtime.serving import run as run_service
from invelo.runtime.settings import Settings

ROUNDS = 200
BODY = {"mass_kg": 75, "stature_m": 1.75}
SOMEWHERE = itertools.count(1)


def _sheet(movement: str, parameter: str, **more: object) -> dict[str, object]:
    """A sheet that was never asked before."""
    value = next(SOMEWHERE) * 1e-3
    return {"body": BODY, "one": {"movement": movement, "values": {parameter: value}}, **more}


def _asks(client: httpx.Client) -> dict[str, Callable[[], httpx.Response]]:
    ladder = client.get("/api/squad").json()["athletes"][0]["ladder_id"]
    done = {"setup": {"movement": "push_up"}, "reps": 9}
    return {
        "empty endpoint": lambda: client.post("/api/empty", json=_sheet("planche", "hip")),
        "one posture": lambda: client.post("/api/bench", json=_sheet("planche", "hip")),
        "a rep of nine postures, with its prediction": lambda: client.post(
            "/api/bench", json=_sheet("push_up", "hand_height", done=done)
        ),
        "ladder": lambda: client.get(f"/api/ladders/{ladder}"),
        "squad": lambda: client.get("/api/squad"),
    }


def run() -> dict[str, dict[str, float]]:
    """Ratios to the empty endpoint, with the milliseconds behind them; rounds are interleaved."""
    taken: dict[str, list[float]] = {}
    with _service() as client:
        asks = _asks(client)
        for round_ in range(ROUNDS + 5):
            for name, ask in asks.items():
                began = time.perf_counter()
                ask().raise_for_status()
                if round_ >= 5:
                    taken.setdefault(name, []).append(1000 * (time.perf_counter() - began))
    reference = statistics.median(taken["empty endpoint"])
    return {
        f"{name} at the API": {
            "median, ms": statistics.median(found),
            "p95, ms": sorted(found)[int(0.95 * len(found))],
            "ratio to the empty endpoint": statistics.median(found) / reference,
        }
        for name, found in taken.items()
    }


@contextmanager
def theatre(weeks: int = 8) -> Iterator[Engine]:
    """A database of its own with so many weeks of the demo in it."""
    with tempfile.TemporaryDirectory(prefix="invelo-bench-") as folder:
        os.chmod(folder, 0o755)
        with postgres.running(Path(folder) / "postgres") as server:
            url = server.url("bench")
            migrate(url)
            engine = engine_for(url)
            with transaction(engine) as db:
                load(db, datetime.now(UTC), weeks=weeks)
            yield engine
            engine.dispose()


def sign_in(client: httpx.Client) -> None:
    """As the demo's coach."""
    body = {"email": COACH_EMAIL, "password": COACH_PASSWORD}
    client.post("/api/sign-in", json=body).raise_for_status()


@contextmanager
def _service() -> Iterator[httpx.Client]:
    """The application over the demo's data, with one endpoint that does nothing, signed in."""
    with theatre() as engine, serving(engine.url.render_as_string(False)) as client:
        sign_in(client)
        yield client


def application(engine: Engine) -> FastAPI:
    """The application over a database, with one endpoint that does nothing."""
    app = create_app(Settings(), engine)

    @app.post("/api/empty")
    def empty(coach: Coach) -> dict[str, str]:
        return {}

    app.router.routes.insert(0, app.router.routes.pop())  # before the front end's pages
    return app


def _serve(url: str, listener: socket) -> None:
    run_service(application(engine_for(url)), listener, "the bench's service is ready")


@contextmanager
def serving(url: str) -> Iterator[httpx.Client]:
    """That application in a process of its own, so that who asks does not hold it up."""
    with listen("127.0.0.1", 18500, asked=False) as listener:
        process = get_context("spawn").Process(target=_serve, args=(url, listener))
        process.start()
        try:
            base = f"http://127.0.0.1:{listener.getsockname()[1]}"
            with httpx.Client(timeout=60, base_url=base) as client:
                yield client
        finally:
            process.terminate()
            process.join()
