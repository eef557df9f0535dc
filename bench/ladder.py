"""How long a ladder takes at the API, told as a ratio to the health check in the same run.

The health check is one round trip to the service and one to the database, so the ratio says what
measuring and drawing a ladder of twelve rungs adds to the least any request can cost here.
"""

import os
import statistics
import tempfile
import threading
import time
from collections.abc import Callable
from datetime import UTC, datetime
from pathlib import Path

import httpx2 as httpx
import uvicorn

from invelo import postgres
from invelo.api.app import create_app
from invelo.demo.history import load
from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD
from invelo.serving import listen
from invelo.settings import Settings
from invelo.store.database import engine_for, migrate, transaction

ROUNDS = 100


def milliseconds(ask: Callable[[], object]) -> list[float]:
    """Durations of `ROUNDS` calls, sorted."""
    ask()
    taken = []
    for _ in range(ROUNDS):
        began = time.perf_counter()
        ask()
        taken.append(1000 * (time.perf_counter() - began))
    return sorted(taken)


def run() -> dict[str, dict[str, float]]:
    """Ratios to the health check, with the milliseconds behind them."""
    found: dict[str, dict[str, float]] = {}
    with tempfile.TemporaryDirectory(prefix="invelo-bench-") as folder:
        os.chmod(folder, 0o755)
        with postgres.running(Path(folder) / "postgres") as server:
            url = server.url("bench")
            migrate(url)
            engine = engine_for(url)
            with transaction(engine) as db:
                load(db, datetime.now(UTC))
            listener = listen("127.0.0.1", 18500, asked=False)
            config = uvicorn.Config(
                create_app(Settings(), engine), log_level="critical", access_log=False
            )
            running = uvicorn.Server(config)
            thread = threading.Thread(target=running.run, kwargs={"sockets": [listener]})
            thread.start()
            base = f"http://127.0.0.1:{listener.getsockname()[1]}"
            with httpx.Client(base_url=base) as client:
                body = {"email": COACH_EMAIL, "password": COACH_PASSWORD}
                client.post("/api/sign-in", json=body).raise_for_status()
                athletes = client.get("/api/squad").json()["athletes"]
                ladder = f"/api/ladders/{athletes[0]['ladder_id']}"
                reference = milliseconds(lambda: client.get("/api/health"))
                for name, path in (("ladder", ladder), ("squad", "/api/squad")):
                    taken = milliseconds(lambda path=path: client.get(path))
                    found[f"{name} at the API, against the health check"] = {
                        "median, ms": statistics.median(taken),
                        "p95, ms": taken[int(0.95 * len(taken))],
                        "health check, ms": statistics.median(reference),
                        "ratio": statistics.median(taken) / statistics.median(reference),
                    }
            running.should_exit = True
            thread.join()
            engine.dispose()
    return found
