"""Requests beside long work: reads while weeks are planned, live views stand open and uploads have
stalled, answers given in bulk. Ratios are to the same read in the same run, alone.

    PYTHONPATH=src:. .venv/bin/python -m bench.beside
"""

import os
import socket
import statistics
import subprocess
import sys
import tempfile
import threading
import time
from collections.abc import Iterator
from contextlib import ExitStack, contextmanager
from datetime import UTC, date, datetime, timedelta
from itertools import product
from pathlib import Path
from uuid import uuid4

import httpx2 as httpx

from invelo.db import access
from invelo.db.database import engine_for, migrate, transaction
from invelo.db.moment import Moment
from invelo.db.queries import account_rows
from invelo.demo.history import load
from invelo.demo.theatre import COACH_EMAIL, COACH_PASSWORD
from invelo.runtime import postgres
from invelo.runtime.ports import held_port
from invelo.runtime.settings import ROOT
from invelo.services.account import accounts
from invelo.services.review import weekly

READS = 60
VIEWS = 150
TOGETHER = 6
UPLOADS = 20
SOLVES = 12
WEEKS = 8
OTHER = "other@theatre.example"


@contextmanager
def _served(url: str) -> Iterator[str]:
    """`invelo serve` with its worker."""
    with held_port() as port:
        environment = {
            **os.environ,
            "PYTHONPATH": str(ROOT / "src"),
            "INVELO_DATABASE_URL": url,
            "INVELO_PORT": str(port),
        }
        command = [sys.executable, "-m", "invelo", "serve"]
        running = subprocess.Popen(command, env=environment, stderr=subprocess.PIPE, text=True)
        assert running.stderr is not None
        for line in running.stderr:
            if "ready at" in line:
                break
        # a full pipe would hold it up at its end
        threading.Thread(target=running.stderr.read, daemon=True).start()
        try:
            yield f"http://127.0.0.1:{port}"
        finally:
            running.terminate()
            running.wait(30)


def _signed_in(base: str, email: str) -> httpx.Client:
    client = httpx.Client(base_url=base, timeout=60)
    body = {"email": email, "password": COACH_PASSWORD}
    client.post("/api/sign-in", json=body).raise_for_status()
    return client


def _median(client: httpx.Client, path: str, reads: int = READS) -> float:
    """Seconds that a read takes, the middle of many."""
    taken = []
    for _ in range(reads):
        began = time.perf_counter()
        client.get(path).raise_for_status()
        taken.append(time.perf_counter() - began)
    return statistics.median(taken)


def _plans(client: httpx.Client, athletes: list[str], week_start: date) -> float:
    """The middle read while two weeks are being planned."""
    asked = []
    for athlete in athletes[:2]:
        path = f"/api/athletes/{athlete}/week/plans"
        answer = client.post(f"{path}?week_start={week_start}", json={"seconds": 20})
        asked.append(f"{path}/{answer.raise_for_status().json()['id']}")
    taken = []
    while any(client.get(path).json()["state"] in ("queued", "working") for path in asked):
        taken.append(_median(client, "/api/squad", 5))
    return statistics.median(taken)


@contextmanager
def _watched(base: str, tokens: list[str]) -> Iterator[None]:
    """Live views held open, eight to a session."""
    with ExitStack() as open_:
        for number in range(VIEWS):
            cookies = {"invelo_session": tokens[number // 8]}
            view = open_.enter_context(httpx.Client(base_url=base, cookies=cookies, timeout=60))
            stream = open_.enter_context(view.stream("GET", "/api/live/stream"))
            stream.raise_for_status()
            reader = threading.Thread(target=_drain, args=(stream,), daemon=True)
            reader.start()
        yield


@contextmanager
def _stalled(base: str, token: str, athlete: str) -> Iterator[None]:
    """Uploads that have sent half of a picture and send no more."""
    host, port = base.removeprefix("http://").split(":")
    path = f"/api/athletes/{athlete}/sets/{uuid4()}/picture"
    head = (
        f"PUT {path} HTTP/1.1\r\nHost: {host}:{port}\r\nCookie: invelo_session={token}\r\n"
        "Content-Type: image/jpeg\r\nContent-Length: 1000000\r\n\r\n"
    )
    with ExitStack() as open_:
        for _ in range(UPLOADS):
            upload = open_.enter_context(socket.create_connection((host, int(port)), timeout=60))
            upload.sendall(head.encode() + b"x" * 500_000)
        yield


def _solving(client: httpx.Client, athletes: list[str], week_start: date) -> None:
    """Ask for so many weeks to be planned, a long search each."""
    weeks = (week_start + timedelta(weeks=ahead) for ahead in range(2, 2 + SOLVES))
    asked = 0
    for week, athlete in product(weeks, athletes):
        path = f"/api/athletes/{athlete}/week/plans?week_start={week}"
        asked += client.post(path, json={"seconds": 20}).is_success  # a stopped ladder has no week
        if asked == SOLVES:
            return
    raise RuntimeError(f"only {asked} weeks could be asked for")


def _drain(stream: httpx.Response) -> None:
    try:
        for _ in stream.iter_bytes():
            pass
    except httpx.HTTPError:
        return


def _bulk(client: httpx.Client) -> tuple[int, float]:
    """How many plain proposals were answered in one go, and how long it took, s."""
    squad = client.get("/api/squad").json()["athletes"]
    plain = [one for line in squad for one in line["pending_decisions"] if one["plain"]]
    ids = [one["id"] for one in plain][:TOGETHER]
    began = time.perf_counter()
    client.post("/api/proposals/accept", json={"ids": ids}).raise_for_status()
    return len(ids), time.perf_counter() - began


def run() -> dict[str, float]:
    """Every figure by name."""
    with tempfile.TemporaryDirectory(prefix="invelo-bench-") as folder:
        os.chmod(folder, 0o755)
        with postgres.running(Path(folder) / "postgres") as server:
            url = server.url("beside")
            migrate(url)
            engine = engine_for(url)
            now = datetime.now(UTC)
            with transaction(engine) as db:
                load(db, now, WEEKS)
            with transaction(engine) as db:
                accounts.create(db, OTHER, "Ilse Marn", COACH_PASSWORD, "Europe/Lisbon", now)
                coach = account_rows.by_email(db, COACH_EMAIL)
                assert coach is not None
                tokens = [
                    accounts.open_session(db, coach, now, timedelta(days=1))
                    for _ in range(VIEWS // 8 + 1)
                ]
                for athlete in access.athletes(db, coach.id):
                    weekly.look(db, athlete, Moment(now, athlete.time_zone))
            engine.dispose()
            with _served(url) as base:
                client, other = _signed_in(base, COACH_EMAIL), _signed_in(base, OTHER)
                squad = client.get("/api/squad").json()["athletes"]
                athletes = [one["id"] for one in squad if one["ladder_id"]]
                _median(client, "/api/squad", 10)
                alone, others = _median(client, "/api/squad"), _median(other, "/api/squad")
                answered, bulk = _bulk(client)
                time.sleep(20)  # what the answers have planned anew is done
                monday = now.date() + timedelta(days=7 - now.weekday())
                planning = _plans(client, athletes, monday)
                with _watched(base, tokens):
                    watched = _median(other, "/api/squad")
                    with _stalled(base, tokens[0], athletes[0]):
                        _solving(client, athletes, monday)
                        beside_all = _median(other, "/api/squad")
    return {
        "squad alone, ms": 1000 * alone,
        "proposals answered in bulk": float(answered),
        "answering them, ms": 1000 * bulk,
        "squad beside two plans / alone": planning / alone,
        "another's squad beside 150 views / alone": watched / others,
        "another's squad beside views, stalled uploads and solves / alone": beside_all / others,
    }


if __name__ == "__main__":
    for name, value in run().items():
        print(f"{name:66} {value:10.2f}")
