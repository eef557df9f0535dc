"""Copies of the service on one database: signed in on one, watched on another, a phone sending to
both; several processes on one port."""

import json
import os
import signal
import subprocess
import sys
import threading
from collections.abc import Iterator
from contextlib import ExitStack, contextmanager
from datetime import UTC, datetime
from uuid import uuid4

import httpx2 as httpx
import pytest
from sqlalchemy import Engine

from invelo.api.common.cookies import SESSION_COOKIE
from invelo.db.database import engine_for, migrate, transaction
from invelo.runtime import postgres
from invelo.runtime.ports import held_port
from invelo.runtime.settings import ROOT
from invelo.services.account import accounts
from tests.command import until
from tests.conftest import fresh

EMAIL, PASSWORD = "coach@theatre.example", "a riser and two ropes"


@contextmanager
def service(url: str, *options: str) -> Iterator[tuple[str, subprocess.Popen[str]]]:
    """`invelo serve` on a database, and where it answers."""
    with held_port() as port:
        environment = {
            **os.environ,
            "PYTHONPATH": str(ROOT / "src"),
            "INVELO_DATABASE_URL": url,
            "INVELO_PORT": str(port),
            "INVELO_NIGHTLY": "false",
        }
        running = subprocess.Popen(
            [sys.executable, "-m", "invelo", "serve", *options],
            env=environment,
            stderr=subprocess.PIPE,
            text=True,
        )
        assert running.stderr is not None
        assert "ready at" in running.stderr.readline()
        threading.Thread(target=running.stderr.read, daemon=True).start()
        try:
            yield f"http://127.0.0.1:{port}", running
        finally:
            running.send_signal(signal.SIGINT)
            running.wait(20)


@pytest.fixture(scope="module")
def engine(server: postgres.Server) -> Iterator[Engine]:
    url = fresh(server, "copies")
    migrate(url)
    made = engine_for(url)
    with transaction(made) as db:
        accounts.create(db, EMAIL, "Ilse Marn", PASSWORD, "Europe/Lisbon", datetime.now(UTC))
    yield made
    made.dispose()


def address(engine: Engine) -> str:
    return engine.url.render_as_string(hide_password=False)


@pytest.fixture(scope="module")
def two(engine: Engine) -> Iterator[tuple[httpx.Client, httpx.Client]]:
    """Two copies; signed in on the first alone, its cookie shown to both."""
    with ExitStack() as stack:
        urls = [stack.enter_context(service(address(engine)))[0] for _ in range(2)]
        first, second = (
            stack.enter_context(httpx.Client(base_url=url, timeout=30)) for url in urls
        )
        said = first.post("/api/sign-in", json={"email": EMAIL, "password": PASSWORD})
        said.raise_for_status()
        second.cookies.set(SESSION_COOKIE, first.cookies[SESSION_COOKIE], path="/api")
        yield first, second


def has_ladder(client: httpx.Client) -> dict:
    person = {"id": str(uuid4()), "name": "Oda Fenwick", "mass_kg": 75.0, "stature_m": 1.75}
    athlete = client.post("/api/athletes", json={**person, "consent": True}).json()
    body = {
        "ready_ladder": "push-up",
        "purpose": "strength",
        "level": "intermediate",
        "test": {"id": str(uuid4()), "movement": "push-up", "reps": 9},
    }
    made: dict = client.post(f"/api/athletes/{athlete['id']}/ladders", json=body).json()
    return made


def test_what_one_copy_knows_the_other_does(two: tuple[httpx.Client, httpx.Client]) -> None:
    first, second = two
    ladder = has_ladder(first)
    assert second.get("/api/me").json()["email"] == EMAIL
    assert second.get(f"/api/ladders/{ladder['id']}").json()["id"] == ladder["id"]


def test_a_live_view_on_one_hears_what_a_phone_sends_to_the_other(
    two: tuple[httpx.Client, httpx.Client],
) -> None:
    first, second = two
    ladder = has_ladder(first)
    athlete, now = ladder["athlete_id"], datetime.now(UTC).isoformat()
    heard: list[str] = []

    def listen() -> None:
        with second.stream("GET", "/api/live/stream") as events:
            for line in events.iter_lines():
                heard.append(line)
                if "Two copies" in line:
                    return

    watching = threading.Thread(target=listen, daemon=True)
    watching.start()
    until(lambda: bool(heard))
    base = f"/api/athletes/{athlete}/sessions/{uuid4()}"
    first.put(base, json={"name": "Two copies", "at": now}).raise_for_status()
    work_set = {"movement": "squat", "number": 1, "reps": 8, "rpe": 8, "at": now}
    first.put(f"{base}/sets/{uuid4()}", json=work_set).raise_for_status()
    watching.join(20)
    assert any("Two copies" in line for line in heard), json.dumps(heard)


def test_a_set_sent_to_both_is_written_once(two: tuple[httpx.Client, httpx.Client]) -> None:
    first, second = two
    athlete, now = has_ladder(first)["athlete_id"], datetime.now(UTC).isoformat()
    base = f"/api/athletes/{athlete}/sessions/{uuid4()}"
    first.put(base, json={"name": "Both", "at": now}).raise_for_status()
    work_set = {"movement": "squat", "number": 1, "reps": 8, "rpe": 8, "at": now}
    path = f"{base}/sets/{uuid4()}"
    at_once = [
        threading.Thread(target=client.put, args=(path,), kwargs={"json": work_set})
        for client in (first, second) * 5
    ]
    for thread in at_once:
        thread.start()
    for thread in at_once:
        thread.join()
    first.post(f"{base}/finish", json={"rpe": 7, "at": now}).raise_for_status()
    (session,) = first.get(f"/api/athletes/{athlete}/history").json()["sessions"]
    assert len(session["sets"]) == 1


def test_wrong_passwords_count_wherever_they_are_tried(
    two: tuple[httpx.Client, httpx.Client],
) -> None:
    """Ten guesses at one copy are no fewer for having gone to two."""
    guess = {"email": "coach@theatre.example", "password": "not it at all"}
    answers = [client.post("/api/sign-in", json=guess).status_code for client in two * 8]
    assert 429 in answers


def children(process: subprocess.Popen[str]) -> list[int]:
    found = subprocess.run(
        ["pgrep", "-P", str(process.pid), "-f", "invelo copy"], capture_output=True, text=True
    )
    return [int(line) for line in found.stdout.split()]


def test_several_processes_answer_on_one_port_and_one_that_dies_is_followed(
    engine: Engine,
) -> None:
    with service(address(engine), "--workers", "3") as (url, process):
        until(lambda: len(children(process)) == 2)
        assert httpx.get(f"{url}/api/health").json()["status"] == "ok"
        os.kill(children(process)[0], signal.SIGKILL)
        until(lambda: len(children(process)) == 2)
        assert all(httpx.get(f"{url}/api/health").status_code == 200 for _ in range(20))
        left = children(process)
    until(lambda: not any(_runs(pid) for pid in left))


def test_while_one_stands_still_the_others_answer(engine: Engine) -> None:
    with service(address(engine), "--workers", "2") as (url, process):
        until(lambda: len(children(process)) == 1)
        (other,) = children(process)
        until(lambda: httpx.get(f"{url}/api/health").status_code == 200)
        os.kill(other, signal.SIGSTOP)
        try:
            answered = 0
            for _ in range(10):
                try:
                    answered += httpx.get(f"{url}/api/health", timeout=2).status_code == 200
                except httpx.TimeoutException:  # the kernel gave it to the one that stands
                    continue
            assert answered
        finally:
            os.kill(other, signal.SIGCONT)


def _runs(pid: int) -> bool:
    try:
        os.kill(pid, 0)
    except ProcessLookupError:
        return False
    return True
